import path from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  analyse,
  applyEdits,
  type Finding,
  type Model,
  type Place,
  proposeMoves,
  providerFor,
  type Stand,
  treesOf,
  type Tree,
  unfold,
  type WhatIf,
  whatIfAll,
} from '@liana/core';
import { readFolder } from '../../cli/src/folder';
import { loadCompilers } from '@liana/core';
import { fetched, packages } from './corpus-packages';
import { seeded } from './random';

// What if against truth: seeded moves whose patch can be written are written, the source is read again, and what was
// answered before is compared with what holds then.

const demos = ['react/worn', 'react/sound', 'vue/worn', 'vue/sound', 'svelte/worn', 'svelte/sound'];

/** `npm run moves [name of a demo or a package] [how many for each] [--patches]`. */
const [asked = '', most = '40', ...flags] = process.argv.slice(2);
const folders = [
  ...demos.map((name) => ({ name, at: fileURLToPath(new URL(`../../demo/${name}`, import.meta.url)) })),
  ...(asked === '' ? [] : packages.map(({ name, folder = '' }) => ({ name, at: () => path.join(fetched(name), folder) }))),
].filter(({ name }) => name.includes(asked));

const nameOf = (model: Model, place: Place | undefined): string => (place && model.components.get(place.component)?.name) ?? '';

/** Who answers, in the source as it is then, for what was asked of a move: what differs, in words. */
function differences(model: Model, tree: Tree, answered: WhatIf, to: string, part: string): string[] {
  const moved = tree.places.filter((place) => {
    if (nameOf(model, place) !== part) return false;
    for (let at = tree.places[place.parent]; at; at = tree.places[at.parent]) if (nameOf(model, at) === to) return true;
    return nameOf(model, tree.places[place.owner]) === to;
  });
  if (moved.length === 0) return [`${part} does not stand in ${to}`];
  const within = (outer: Place, inner: Place): boolean => {
    for (let at: Place | undefined = inner; at; at = tree.places[at.parent]) if (at === outer) return true;
    return false;
  };
  return answered.answers.flatMap(({ component, key, after }) => {
    const found = tree.places
      .filter((place) => moved.some((one) => within(one, place)) && nameOf(model, place) === component)
      .flatMap((place) =>
        (model.components.get(place.component)?.consumes ?? [])
          .filter((take) => model.contexts.get(take.context)?.name === key)
          .map((take) => {
            const by = providerFor(tree, place, take.context, take.asks);
            return by ? nameOf(model, tree.places[by.owner]) || null : null;
          }),
      );
    return found.includes(after)
      ? []
      : [`${key} of ${component}: answered ${after ?? 'nobody'}, is ${found.map((one) => one ?? 'nobody').join(' or ') || 'not asked'}`];
  });
}

const worst = (findings: readonly Finding[]): string[] =>
  findings.filter(({ severity }) => severity === 'fault').map(({ rule, message }) => `${rule}: ${message}`);

const sum = { asked: 0, written: 0, equal: 0 };
for (const { name, at } of folders) {
  const folder = await readFolder(typeof at === 'string' ? at : at());
  const files = folder.sources;
  await loadCompilers(files.map(({ file }) => file));
  const configs = folder.configs;
  const { model, findings } = analyse(files, configs);
  const texts = new Map(files.map(({ file, text }) => [file, text]));
  const pages = model.pages.filter((page) => unfold(model, page).places.length > 4);
  const trees = treesOf(model);
  const random = seeded(21);
  const pick = <One>(from: readonly One[]): One => from[Math.floor(random() * from.length)] as One;
  const reasons = new Map<string, number>();
  let [count, written, equal] = [0, 0, 0];
  for (let turn = 0; pages.length > 0 && turn < 4000 && count < Number(most); turn++) {
    const page = pick(pages);
    const tree = unfold(model, page);
    const [moved, target] = [pick(tree.places), pick(tree.places)];
    const slots = model.components.get(target.component)?.facts.slots ?? [];
    const stand: Stand = {
      moved: moved.index,
      target: target.index,
      ...(slots.length > 0 && random() < 0.5 ? { slot: (pick(slots).key as string).replace(/^slot:/, '') } : {}),
    };
    const [answered] = whatIfAll(model, tree, [stand], trees);
    if (!answered) continue;
    count++;
    const proposal = proposeMoves(model, tree, [stand], [answered], (file) => texts.get(file));
    if ('wrong' in proposal) {
      reasons.set(proposal.wrong, (reasons.get(proposal.wrong) ?? 0) + 1);
      continue;
    }
    written++;
    const after = analyse(
      files.map(({ file, text }) => ({
        file,
        text: applyEdits(
          text,
          proposal.edits.filter((edit) => edit.file === file),
        ),
      })),
      configs,
    );
    const then = after.model.pages.find(({ id }) => id === page.id);
    const before = new Set(worst(findings));
    const wrong = [
      ...(then
        ? differences(after.model, unfold(after.model, then), answered, nameOf(model, target), nameOf(model, moved))
        : ['the page is gone']),
      ...worst(after.findings).filter((one) => !before.has(one)),
    ];
    if (wrong.length === 0) equal++;
    else console.log(`  ${name} ${answered.move}\n    ${wrong.join('\n    ')}`);
    if (flags.includes('--patches'))
      console.log(proposal.edits.map(({ file, was, text }) => `    ${file} - ${was}\n      + ${text}`).join('\n'));
  }
  console.log(`${name}: ${count} moves, ${written} written, ${equal} of them as answered`);
  if (flags.includes('--reasons'))
    for (const [reason, times] of [...reasons].sort((a, b) => b[1] - a[1]).slice(0, 12)) console.log(`    ${times} × ${reason}`);
  sum.asked += count;
  sum.written += written;
  sum.equal += equal;
}
console.log(`${sum.asked} moves, ${sum.written} written, ${sum.equal} of them as answered`);
