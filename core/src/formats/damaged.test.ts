import { describe, expect, test } from 'vitest';
import { addSheet, emptyPlan, markPart, putValue } from '../carve';
import { decisionsDocument, parseDecisions } from './decisions';
import { parsePlan, planDocument } from './plan-document';

const begun = addSheet(emptyPlan('Towpath'), 'TodayPage', { title: 'today', kind: 'html', width: 1280, height: 800, file: 'today.html' });
const marked = markPart(begun.plan, begun.sheet, 'LockCard', [{ box: { x: 0, y: 0, width: 10, height: 10 }, selector: 'li' }]);
const { plan } = putValue(marked.plan, {
  name: 'level',
  type: 'number',
  readBy: [marked.part],
  changedBy: [],
  fromServer: false,
  perItem: true,
  otherPages: false,
});
const decisions = {
  marks: { 'prop-missing:a:b': { state: 'later', reason: 'x', at: 5 } },
  rules: { 'prop-idle': 'off' },
  twinsFrom: 0.9,
} as const;

type Path = readonly (string | number)[];

/** Every place in a document, the document itself among them. */
function places(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  const below = Array.isArray(value) ? value.map((one, at) => [at, one] as const) : Object.entries(value);
  return [path, ...below.flatMap(([key, one]) => places(one, [...path, key]))];
}

/** A copy of a document in which one place holds something else; nothing where that is undefined. */
function damaged(document: unknown, path: Path, put: unknown): unknown {
  if (path.length === 0) return put;
  const copy = structuredClone(document);
  let at = copy as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  const last = path.at(-1) ?? '';
  if (put === undefined) Reflect.deleteProperty(at, last);
  else at[last] = put;
  return copy;
}

const strange: readonly unknown[] = [
  undefined,
  null,
  true,
  -1,
  1.5,
  '',
  '__proto__',
  [],
  {},
  [null],
  { constructor: 1 },
  '\ud800',
  'x'.repeat(5000),
];

describe.each([
  ['a plan', planDocument(plan), parsePlan],
  ['decisions', decisionsDocument(decisions), parseDecisions],
] as const)('%s of which one field is something else', (_, document, parse) => {
  test('is read as it stands, or refused in words that name a place', () => {
    let refused = 0;
    for (const path of places(document))
      for (const put of strange) {
        const read = parse(damaged(document, path, put));
        if (!('wrong' in read)) continue;
        refused++;
        expect(read.wrong, path.join('.')).toMatch(/\w.*\.$/);
      }
    expect(refused).toBeGreaterThan(20);
  });

  test('and as it was written it is read', () => {
    expect('wrong' in parse(document)).toBe(false);
  });
});
