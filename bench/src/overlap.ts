import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { comparable, type Component, findTwins, likenessOf, link, type Linked, loadCompilers, readFile, walkTemplate } from '@liana/core';
import { type Folder, readFolder } from '../../cli/src/folder';
import { fetched, packages } from './corpus-packages';
import { edited } from './judges';
import { seeded } from './random';

/** How many copies are planted at each distance in one project, and how far they go. */
const copies = 4;
const distances = [1, 2, 3, 4, 6, 8];
const randomPairs = 40;

type Edit = { readonly start: number; readonly end: number; readonly text: string };
type Random = () => number;

const pick = <T>(all: readonly T[], random: Random): T | undefined => all[Math.floor(random() * all.length)];

/** One change of a copy, of a kind that people make. Nothing where this component has no place for it. */
const changes: Readonly<Record<string, (component: Component, text: string, random: Random) => Edit | undefined>> = {
  'a class is another': ({ facts }, text, random) => {
    const found: Edit[] = [];
    walkTemplate(facts.template, (node) => {
      if (node.kind !== 'element' && node.kind !== 'use') return;
      for (const one of node.bindings)
        if (/^class(Name)?$/.test(one.to.name) && one.constant && text.slice(one.span.start, one.span.end).includes(one.constant))
          found.push({ ...one.span, text: text.slice(one.span.start, one.span.end).replace(one.constant, 'other') });
    });
    return pick(found, random);
  },
  'a constant is another': ({ facts }, text, random) => {
    const found: Edit[] = [];
    walkTemplate(facts.template, (node) => {
      if (node.kind !== 'element' && node.kind !== 'use') return;
      for (const one of node.bindings) {
        const own = text.slice(one.span.start, one.span.end);
        if (/^\w+="[^"]+"$/.test(own) && !/^class/.test(own)) found.push({ ...one.span, text: own.replace(/"[^"]+"/, '"another"') });
      }
    });
    return pick(found, random);
  },
  'an element comes': ({ facts }, text, random) => {
    const at = pick(elements(facts.template, text), random);
    return at && { start: at.start, end: at.start, text: '<hr title="here" />' };
  },
  'an element goes': ({ facts }, text, random) => {
    const leaf = pick(
      elements(facts.template, text).filter((one) => one.end - one.start < 120),
      random,
    );
    return leaf && { ...leaf, text: '' };
  },
  'an element is wrapped': ({ facts }, text, random) => {
    const at = pick(elements(facts.template, text), random);
    return at && { ...at, text: `<div>${text.slice(at.start, at.end)}</div>` };
  },
  'two elements change places': ({ facts }, text, random) => {
    const all = elements(facts.template, text);
    const first = pick(
      all.filter((one) => all.some((other) => other.start >= one.end && text.slice(one.end, other.start).trim() === '')),
      random,
    );
    const second = first && all.find((other) => other.start >= first.end && text.slice(first.end, other.start).trim() === '');
    if (!first || !second) return undefined;
    const between = text.slice(first.end, second.start);
    return {
      start: first.start,
      end: second.end,
      text: text.slice(second.start, second.end) + between + text.slice(first.start, first.end),
    };
  },
};

/** Elements and uses that stand between tags, so that text may be put around them. */
function elements(template: Component['facts']['template'], text: string): { start: number; end: number }[] {
  const found: { start: number; end: number }[] = [];
  walkTemplate(template, (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const child of node.children) {
      if ((child.kind !== 'element' && child.kind !== 'use') || child.span.end <= child.span.start) continue;
      const own = text.slice(child.span.start, child.span.end);
      if (own.startsWith('<') && own.endsWith('>') && /[>}]\s*$/.test(text.slice(node.span.start, child.span.start)))
        found.push(child.span);
    }
  });
  return found;
}

/** A copy of a component's file with some changes in it; undefined where that many do not fit. */
function changedCopy(component: Component, text: string, count: number, random: Random): string | undefined {
  const edits: Edit[] = [];
  const kinds = Object.keys(changes);
  for (let tries = 0; edits.length < count && tries < 60; tries++) {
    const edit = changes[pick(kinds, random) ?? '']?.(component, text, random);
    if (edit && !edits.some((one) => one.start <= edit.end && edit.start <= one.end)) edits.push(edit);
  }
  return edits.length === count
    ? edited(
        text,
        edits.map((edit) => ({ file: component.file, ...edit })),
      )
    : undefined;
}

const folders = [
  ...['react', 'vue', 'svelte'].map((framework) => ({
    name: `demo ${framework}`,
    folder: fileURLToPath(new URL(`../../demo/${framework}/sound`, import.meta.url)),
  })),
  ...packages.map(({ name, folder = '' }) => ({ name, folder: () => path.join(fetched(name), folder) })),
];

type Sum = { planted: number; found: number; likeness: number };
const curve = new Map<number, Sum>();
const byLikeness = { above: 0, aboveFound: 0 };
let pairs = 0;
const reported: string[] = [];

function plantIn(model: Linked, folder: Folder, random: Random): void {
  const texts = new Map(folder.sources.map(({ file, text }) => [file, text]));
  const large = comparable(model);
  // A file of one component alone can be copied as a whole.
  const whole = [...model.components.values()].filter(
    (one) =>
      large.has(one.id) &&
      one.fileRole === 'source' &&
      (model.files.get(one.file)?.components.length ?? 0) === 1 &&
      elements(one.facts.template, texts.get(one.file) ?? '').length > 2,
  );
  for (const distance of distances) {
    for (let turn = 0; turn < copies; turn++) {
      const component = pick(whole, random);
      const text = component && texts.get(component.file);
      const changed = component && text !== undefined ? changedCopy(component, text, distance, random) : undefined;
      if (!component || changed === undefined) continue;
      const file = component.file.replace(/(\/?)([^/]+)$/, (_, slash: string, name: string) => `${slash}Copied${name}`);
      const facts = new Map(model.files).set(file, readFile(file, changed));
      const after = link(facts, folder.configs);
      const copy = [...after.components.values()].find((one) => one.file === file && one.role === 'component');
      const original = after.components.get(component.id);
      if (!copy || !original) continue;
      const alike = likenessOf(after, original, copy);
      const cluster = findTwins(after).some(({ members }) => members.includes(original.id) && members.includes(copy.id));
      const sum = curve.get(distance) ?? { planted: 0, found: 0, likeness: 0 };
      curve.set(distance, sum);
      sum.planted++;
      sum.likeness += alike;
      if (cluster) sum.found++;
      if (alike >= 0.8) {
        byLikeness.above++;
        if (cluster) byLikeness.aboveFound++;
        else if (process.env['SHOW'])
          console.log(`  not found: ${component.file}, ${distance} changes, ${(100 * alike).toFixed(0)} % alike`);
      }
    }
  }
}

function pairsIn(model: Linked, random: Random): void {
  const all = [...model.components.values()].filter((one) => one.role === 'component' && one.fileRole === 'source');
  const clusters = findTwins(model);
  for (let turn = 0; turn < randomPairs && all.length > 1; turn++) {
    const [one, other] = [pick(all, random), pick(all, random)];
    if (!one || !other || one === other) continue;
    pairs++;
    if (clusters.some(({ members }) => members.includes(one.id) && members.includes(other.id)))
      reported.push(`${one.name} and ${other.name}, ${one.file}`);
  }
}

await loadCompilers(['a.vue', 'a.svelte']);
const asked = process.argv.slice(2);
for (const { name, folder } of folders) {
  if (asked.length > 0 && !asked.some((one) => name.startsWith(one))) continue;
  const read = await readFolder(typeof folder === 'string' ? folder : folder());
  const model = link(new Map(read.sources.map(({ file, text }) => [file, readFile(file, text)])), read.configs);
  plantIn(model, read, seeded(name.length * 31 + 7));
  pairsIn(model, seeded(name.length * 17 + 3));
}
console.log('changes  planted  found         mean likeness');
for (const [distance, { planted, found, likeness }] of curve)
  console.log(
    String(distance).padStart(7),
    String(planted).padStart(8),
    `${String(found).padStart(6)} (${((100 * found) / planted).toFixed(0)} %)`.padEnd(14),
    (likeness / planted).toFixed(2).padStart(8),
  );
console.log(`At a likeness of 0.8 or more: ${byLikeness.aboveFound} of ${byLikeness.above} found.`);
console.log(`Of ${pairs} random pairs ${reported.length} are told as twins${reported.length > 0 ? `: ${reported.join('; ')}` : '.'}`);
