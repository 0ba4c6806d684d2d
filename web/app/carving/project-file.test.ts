import { addSheet, emptyPlan, planDocument } from '@liana/core';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { isProjectFile, readProjectFile, writeProjectFile } from './project-file';

const plan = addSheet(emptyPlan('Towpath'), 'TodayPage', {
  title: '',
  kind: 'html',
  width: 1280,
  height: 800,
  file: 'pages/today.html',
}).plan;
const looks = [
  { projectId: 'p', file: 'pages/today.html', type: 'text/html', bytes: strToU8('<p>é</p>') as Uint8Array<ArrayBuffer> },
  { projectId: 'p', file: 'a b.png', type: 'image/png', bytes: new Uint8Array([1, 2, 3]) },
];
const decisions = { marks: { 'prop-missing:a:b': { state: 'later', reason: 'é', at: 5 } }, rules: { 'prop-carried': 'off' } } as const;
const source = [{ projectId: 'p', file: 'src/App.tsx', text: 'export const a = "ü";\n' }];

test('a project file comes back as it was written', async () => {
  const read = await readProjectFile(writeProjectFile(plan, looks, source, decisions), 'x.liana.zip');
  expect(read.name).toBe('Towpath');
  expect(read.plan).toEqual(plan);
  expect(read.decisions).toEqual(decisions);
  expect(read.looks.map(({ file, type, bytes }) => [file, type, [...bytes]])).toEqual(
    looks.map(({ file, type, bytes }) => [file, type, [...bytes]]),
  );
  expect(read.source).toEqual([{ file: 'src/App.tsx', text: 'export const a = "ü";\n' }]);
});

test('a file that was written before there were decisions is read', async () => {
  const head = strToU8('{"format":"liana-project","version":1,"name":"Towpath"}');
  const old = zipSync({ 'liana.json': head, 'plan.json': strToU8(JSON.stringify(planDocument(plan))) });
  expect((await readProjectFile(old, 'x.liana.zip')).decisions).toBeUndefined();
});

describe('a file that is wrong is refused with the entry and the field', () => {
  const head = { format: 'liana-project', version: 1, name: 'Towpath' };
  const zip = (entries: Record<string, unknown>): Uint8Array =>
    zipSync(
      Object.fromEntries(
        Object.entries(entries).map(([file, content]) => [file, strToU8(typeof content === 'string' ? content : JSON.stringify(content))]),
      ),
    );
  test.each<[string, Uint8Array, RegExp]>([
    ['no archive', strToU8('nothing'), /Nothing was imported|cannot be read|archive/],
    ['no head', zip({ 'plan.json': planDocument(plan) }), /liana\.json is missing/],
    ['no plan', zip({ 'liana.json': head }), /plan\.json is missing/],
    ['a head that is no JSON', zip({ 'liana.json': '{', 'plan.json': planDocument(plan) }), /liana\.json is no JSON/],
    ['another format', zip({ 'liana.json': { ...head, format: 'x' }, 'plan.json': planDocument(plan) }), /liana\.json: "format" must be/],
    [
      'a version that is no whole number',
      zip({ 'liana.json': { ...head, version: 1.5 }, 'plan.json': planDocument(plan) }),
      /"version" must be an integer/,
    ],
    [
      'a version below the first',
      zip({ 'liana.json': { ...head, version: 0 }, 'plan.json': planDocument(plan) }),
      /"version" must be greater/,
    ],
    ['a newer version', zip({ 'liana.json': { ...head, version: 9 }, 'plan.json': planDocument(plan) }), /newer Liana \(version 9\)/],
    [
      'a spoilt plan',
      zip({ 'liana.json': head, 'plan.json': { ...planDocument(plan), plan: { ...plan, parts: 3 } } }),
      /plan\.json: .*"plan\.parts" must be an array/,
    ],
    [
      'spoilt decisions',
      zip({
        'liana.json': head,
        'plan.json': planDocument(plan),
        'decisions.json': { format: 'liana-decisions', version: 1, marks: 3, rules: {} },
      }),
      /decisions\.json: "marks" must be of type object/,
    ],
    ['a path that climbs out', zip({ 'liana.json': head, 'plan.json': planDocument(plan), '../x': 'a' }), /climbs out/],
  ])('%s', async (_, bytes, says) => {
    await expect(readProjectFile(bytes, 'x.liana.zip')).rejects.toThrow(says);
  });
});

test('project files are known by their name', () => {
  expect(['a.liana.zip', 'A.LIANA.ZIP', 'a.zip', 'liana.zip'].map(isProjectFile)).toEqual([true, true, false, false]);
});
