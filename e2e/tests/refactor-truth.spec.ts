import { readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';
import { acts, paths } from '../truth/acts';
import { buildMarked, openFor, serve } from '../truth/check';
import { ownerInReact } from '../truth/owner-in-react';

type Step = {
  readonly step: string;
  readonly sound: boolean;
  readonly components: readonly { readonly name: string; readonly before?: string; readonly status: string; readonly holds?: boolean }[];
  readonly answers?: readonly { readonly component: string }[];
};
const demo = fileURLToPath(new URL('../../demo/react', import.meta.url));
const steps = JSON.parse(readFileSync(path.join(demo, 'refactored', 'steps.json'), 'utf8')) as Step[];

/** What each component shows, by its name: its elements with their attributes, its texts, and what stands in its fields. */
type Shown = Readonly<Record<string, readonly string[]>>;

const shownBy = (page: Page): Promise<Shown> =>
  page.evaluate(() => {
    const { __ownerOf: ownerOf } = window as unknown as { __ownerOf: (node: Node) => string | undefined };
    const shown: Record<string, string[]> = {};
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const owner = ownerOf(node);
      if (owner === undefined) continue;
      const field = node instanceof HTMLInputElement || node instanceof HTMLSelectElement ? ` = ${node.value}` : '';
      const attributes = node instanceof Element ? [...node.attributes].map(({ name, value }) => `${name}=${value}`).sort() : [];
      const text = node instanceof Element ? `<${[node.localName, ...attributes].join(' ')}>${field}` : (node.nodeValue ?? '').trim();
      if (text !== '') (shown[owner] ??= []).push(text);
    }
    return shown;
  });

type Moment = { readonly when: string; readonly shown: Shown; readonly errors: number };

/** What is shown before and after each act, in one edition of the demo. */
async function momentsOf(page: Page, edition: string): Promise<Moment[]> {
  const { folder } = await buildMarked(path.join(demo, edition), 'react');
  await page.unrouteAll();
  await serve(page, folder, ownerInReact);
  const moments: Moment[] = [];
  let errors = 0;
  const count = (): void => void errors++;
  page.on('pageerror', count);
  for (const one of acts.filter((act) => act.in?.includes('react') ?? true)) {
    errors = 0;
    await openFor(page, { ...one, at: paths[one.page] });
    await page.waitForTimeout(50);
    moments.push({ when: `before ${one.name}`, shown: await shownBy(page), errors });
    await one.act(page);
    await page.waitForTimeout(80);
    moments.push({ when: one.name, shown: await shownBy(page), errors });
  }
  page.off('pageerror', count);
  return moments;
}

// The name that a component has after the refactor; of one that was taken out of another, that of the other.
const later = new Map([
  ...steps.flatMap(({ components }) => components.flatMap(({ name, before }) => (before ? [[before, name] as const] : []))),
  ['LockChoice', 'PassageForm'] as const,
]);

/** By the later names; the clock goes on between the two. */
function comparable(shown: Shown): Map<string, string[]> {
  const found = new Map<string, string[]>();
  for (const [owner, all] of Object.entries(shown)) {
    const name = later.get(owner) ?? owner;
    found.set(name, [...(found.get(name) ?? []), ...all.filter((text) => !/^\d\d:\d\d$/.test(text) || owner !== 'ClockBadge')].sort());
  }
  return found;
}

test('what Compare says of the demo’s refactor is what is seen in a run of both', async ({ page }) => {
  test.setTimeout(120_000);
  page.setDefaultTimeout(5_000);
  const before = await momentsOf(page, 'sound');
  const after = await momentsOf(page, 'refactored');
  const seen = new Set<string>();
  const otherwise = new Map<string, string>();
  const failed: string[] = [];
  before.forEach(({ when, shown, errors }, index) => {
    const now = after[index];
    const [was, is] = [comparable(shown), comparable(now?.shown ?? {})];
    for (const name of new Set([...was.keys(), ...is.keys()])) {
      seen.add(name);
      const [one, other] = [was.get(name) ?? [], is.get(name) ?? []];
      if (one.join('\n') !== other.join('\n'))
        otherwise.set(
          name,
          `${when}: ${one.filter((text) => !other.includes(text)).join(' | ')} → ${other.filter((text) => !one.includes(text)).join(' | ')}`,
        );
    }
    if (now?.errors !== errors) failed.push(when);
  });
  const named = ({ components, answers = [] }: Step): string[] => [
    ...components.map(({ name }) => name),
    ...answers.map(({ component }) => component),
  ];
  const foretold = new Set(steps.filter(({ sound }) => !sound).flatMap(named));
  // What is said to hold is seen to hold: nothing else shows anything else at any moment.
  expect([...otherwise].filter(([name]) => !foretold.has(name))).toEqual([]);
  // The one call of what is not given any more.
  expect(failed).toEqual(['the time is changed']);
  // What is said not to hold is seen not to.
  for (const step of steps.filter(({ sound }) => !sound))
    expect(
      named(step).filter((name) => otherwise.has(name)),
      `${step.step} ${[...otherwise].join('; ')}`,
    ).not.toEqual([]);
  // Each component of which something is said was seen, the new one within the one that it was taken from.
  const told = steps.flatMap(({ components }) => components.map(({ name }) => later.get(name) ?? name));
  expect(told.filter((name) => !seen.has(name))).toEqual([]);
});
