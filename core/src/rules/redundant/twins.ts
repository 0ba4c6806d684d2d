import type { Component, Model } from '../../model/model';
import { alignPieces, type Difference, piecesOf, type Trait } from '../../overlap';
import { headOf } from '../shared/head';
import { listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';

const words: Readonly<Record<Exclude<Difference['kind'], 'trait'> | Trait['kind'], string>> = {
  class: 'classes',
  constant: 'values',
  value: 'values',
  handler: 'handlers',
  content: 'content',
  tag: 'elements',
  presence: 'parts that one alone has',
  layer: 'layers around what both have',
  moved: 'order',
};

const kept = new WeakMap<Component, WeakMap<Component, string>>();

/** What two differ in, as far as it shows without their texts. Kept for as long as both are. */
function differencesOf(model: Model, one: Component, other: Component): string {
  const row = kept.get(one) ?? new WeakMap<Component, string>();
  const found = row.get(other) ?? findDifferences(model, one, other);
  kept.set(one, row.set(other, found));
  return found;
}

function findDifferences(model: Model, one: Component, other: Component): string {
  const naming = one.framework === other.framework ? 'exact' : 'by name';
  const { differences } = alignPieces(piecesOf(model, one, naming), piecesOf(model, other, naming));
  const found = differences.flatMap((difference): string | [] => {
    if (difference.kind !== 'trait') return words[difference.kind];
    const [mine, theirs] = [difference.one?.binding, difference.other?.binding];
    // Values that are read go by names of their own: whether they are the same is not seen here.
    const isTold = !mine || !theirs || mine.constant !== theirs.constant;
    return isTold ? words[difference.of] : [];
  });
  return found.length === 0 ? 'names and texts alone' : listed([...new Set(found)].sort());
}

/** Two or more components are alike in structure and contract. One finding for all that are. */
export const twins: Rule = {
  inProject: ({ model, overlap }) =>
    overlap.twins.flatMap(({ members, likeness }): Found[] => {
      const all = members.flatMap((id) => model.components.get(id) ?? []);
      const [first, second, ...more] = all;
      if (!first || !second) return [];
      const at = headOf(first);
      const others = listed([second, ...more].map((one) => one.name));
      return [
        {
          rule: 'twins',
          component: first.id,
          subject: all
            .map((one) => one.name)
            .slice(0, 4)
            .join(' · '),
          at,
          words: {
            first: first.name,
            second: others,
            all: listed(all.map((one) => one.name)),
            places: more.length > 0 ? 'all places' : 'both places',
            together: more.length > 0 ? 'all of them' : 'both',
            alike: `${Math.round(100 * likeness)} %`,
            across: all.some((one) => one.framework !== first.framework) ? 'yes' : '',
            holes: differencesOf(model, first, second),
          },
          evidence: all.slice(0, 6).map((one) => ({
            at: headOf(one),
            text: `${one.name} has this markup, and ${one.contract.members.size === 1 ? 'one prop' : `${one.contract.members.size} props`}.`,
          })),
          goes: [{ count: all.length - 1, what: 'component' }],
          touches: first.id,
        },
      ];
    }),
};
