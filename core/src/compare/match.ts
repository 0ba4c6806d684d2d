import { bareEvent } from '../model/member';
import type { Component } from '../model/model';
import { comparedIn, type Side, sourceOf } from './side';

/** A component before and after; one of them is absent for what is new, or gone. */
export type Pair = {
  readonly before?: Component;
  readonly after?: Component;
  /** How alike their sources are, 0 to 1, by the words and signs they share; 1 where nothing was touched. */
  readonly alike: number;
};

/** Less than this is shared by chance: the languages' own words, and names of the trade. */
const renamedFrom = 0.42;

/** The words and signs of a text, each with how often it stands there. */
function wordsOf(text: string): ReadonlyMap<string, number> {
  const words = new Map<string, number>();
  for (const word of text.match(/[\w$]+|[^\s\w$]/g) ?? []) words.set(word, (words.get(word) ?? 0) + 1);
  return words;
}

type Counted = { readonly words: ReadonlyMap<string, number>; readonly all: number };

function counted(text: string): Counted {
  const words = wordsOf(text);
  return { words, all: [...words.values()].reduce((sum, count) => sum + count, 0) };
}

/** What two counted texts share; the word `from` of the first one counts as `to`. */
function shareOf(one: Counted, other: Counted, from = '', to = from): number {
  let both = 0;
  for (const [word, count] of one.words) both += Math.min(count, other.words.get(word === from ? to : word) ?? 0);
  const all = one.all + other.all;
  return all === 0 ? 1 : (2 * both) / all;
}

/** What two texts share of their words and signs, 0 to 1 (Dice 1945, over multisets); 1 for two empty ones. */
export const wordsShared = (one: string, other: string): number => shareOf(counted(one), counted(other));

const membersOf = ({ contract, facts }: Component): Set<string> =>
  new Set([...contract.members.values(), ...facts.events].map(({ name }) => bareEvent(name).toLowerCase()));

/** What two contracts share, 0 to 1 (Jaccard); undefined where neither has a member. */
function membersShared(one: Component, other: Component): number | undefined {
  const [a, b] = [membersOf(one), membersOf(other)];
  const either = new Set([...a, ...b]).size;
  return either === 0 ? undefined : [...a].filter((name) => b.has(name)).length / either;
}

const folderless = (file: string): string => (file.split('/').at(-1) ?? file).replace(/\.\w+$/, '');

/**
 * Pairs the components of two versions: those of one file and name; then those of one name, the
 * nearest file first; then, of what is left, those that are most alike by source and contract.
 */
export function matchComponents(before: Side, after: Side): Pair[] {
  const pairs: Pair[] = [];
  const left = new Set(comparedIn(before));
  const right = new Set(comparedIn(after));
  const kept = new Map<Component, Counted>();
  const countedIn = (side: Side, component: Component): Counted => {
    const known = kept.get(component) ?? counted(sourceOf(side, component));
    kept.set(component, known);
    return known;
  };
  const shared = (one: Component, other: Component): number =>
    shareOf(countedIn(before, one), countedIn(after, other), one.name, other.name);
  const pair = (one: Component, other: Component): void => {
    const isSame = sourceOf(before, one) === sourceOf(after, other);
    pairs.push({ before: one, after: other, alike: isSame ? 1 : shared(one, other) });
    left.delete(one);
    right.delete(other);
  };
  const join = (isSame: (one: Component, other: Component) => boolean): void => {
    for (const one of [...left]) {
      const found = [...right].filter((other) => isSame(one, other));
      const best = found.length > 1 ? found.find((other) => folderless(other.file) === folderless(one.file)) : found[0];
      if (best) pair(one, best);
    }
  };
  join((one, other) => one.file === other.file && one.name === other.name);
  join((one, other) => one.name === other.name && folderless(one.file) === folderless(other.file));
  join((one, other) => one.name === other.name);
  const scored = [...left].flatMap((one) =>
    [...right].map((other) => {
      const [words, members] = [shared(one, other), membersShared(one, other)];
      const sameFile = one.file === other.file ? 0.1 : 0;
      return { one, other, score: (members === undefined ? words : words * 0.6 + members * 0.4) + sameFile };
    }),
  );
  for (const { one, other, score } of scored.sort((a, b) => b.score - a.score))
    if (score >= renamedFrom && left.has(one) && right.has(other)) pair(one, other);
  return [
    ...pairs,
    ...[...left].map((one): Pair => ({ before: one, alike: 0 })),
    ...[...right].map((one): Pair => ({ after: one, alike: 0 })),
  ];
}
