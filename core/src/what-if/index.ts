import { nearest } from '../contract';
import { ancestors, unfold } from '../tree';
import type { Model } from '../model/model';
import type { Place, Tree } from '../model/tree';
import { type Answered, answersOf, type Elsewhere, elsewhereOf, type OtherTrees } from './answers';
import { type Given, givenAt } from './given';
import { hearersOf } from './heard';
import { type Move, moveWords, parseMove, type Refused, type Stand } from './move';
import { isWithin, movedTree, type Spot, spotAt } from './stand';

export { holderOf, livesAt, type LivesElsewhere } from './live';
export { providedAt, type ProvidedElsewhere } from './provide';
export { lostWords } from './words';
export type { OtherTrees } from './answers';
export type { Lift } from './lift';
export { type Move, parseMove, type Stand } from './move';
export { isWithin } from './stand';

/** What a move would change. Nothing is written. */
export type WhatIf = Given & {
  readonly move: string;
  /** Who answers for each context that the moved part, or anything in it, asks for; null for nobody. */
  readonly answers: readonly Answered[];
  /** Other answers at other places of the component that it would be written into. */
  readonly elsewhere: readonly Elsewhere[];
  /** The component that would write the part is the part's own, or one that the part renders: it would stand within itself, without an end where no condition makes one. */
  readonly endless: boolean;
};

/** The answers to a move that is asked for in words. */
export function askedMove(model: Model, text: string): WhatIf | Refused {
  const move = parseMove(text);
  return 'wrong' in move ? move : whatIf(model, move);
}

/** The trees of all pages, each unfolded anew when they are asked for. */
export const treesOf =
  (model: Model): OtherTrees =>
  () =>
    model.pages.map((page) => ({ page: page.name, tree: unfold(model, page) }));

/** What would become of a part of the page if it stood elsewhere. Refused, with near names, where no page has such a place. */
export function whatIf(model: Model, move: Move): WhatIf | Refused {
  const found = standOf(model, move);
  if ('wrong' in found) return found;
  return whatIfAll(model, found.tree, [found.stand], treesOf(model))[0] ?? { wrong: `${move.component} cannot stand in itself.` };
}

/**
 * The places that a move is about, by names: on the first page that has both. Refused, with near names, where no page
 * has such a place.
 */
export function standOf(model: Model, move: Move): { readonly tree: Tree; readonly stand: Stand } | Refused {
  let hasPart = false;
  for (const page of model.pages) {
    const tree = unfold(model, page);
    const moved = tree.places.find((place) => nameOf(model, place) === move.component && isIn(model, tree, place, move.from));
    if (!moved) continue;
    hasPart = true;
    const target = nearestTo(
      tree,
      moved,
      tree.places.filter((place) => nameOf(model, place) === move.to && !isWithin(tree, moved, place)),
    );
    if (target)
      return { tree, stand: { moved: moved.index, target: target.index, ...(move.slot === undefined ? {} : { slot: move.slot }) } };
  }
  const names = [...new Set([...model.components.values()].map(({ name }) => name))];
  const asked = hasPart ? move.to : names.includes(move.component) ? move.from : move.component;
  const near = nearest(asked, names);
  const meant = near !== undefined && near !== asked ? ` Near to it: ${near}.` : '';
  if (hasPart) return { wrong: `No page has ${move.to} beside ${move.component} for it to be moved to.${meant}` };
  return { wrong: `No page has ${move.component} in ${move.from}.${meant}` };
}

const nameOf = (model: Model, place: Place | undefined): string => (place && model.components.get(place.component)?.name) ?? '';

/** Whether a component of a name is the parent of a place, or wrote it. */
const isIn = (model: Model, tree: Tree, { parent, owner }: Place, name: string): boolean =>
  nameOf(model, tree.places[parent]) === name || nameOf(model, tree.places[owner]) === name;

/** Of several places, the one with the nearest ancestor in common; the first of those. */
function nearestTo(tree: Tree, from: Place, among: readonly Place[]): Place | undefined {
  const above = [from, ...ancestors(tree, from)];
  const distance = (place: Place): number => {
    const steps = [place, ...ancestors(tree, place)];
    const common = steps.findIndex((one) => above.includes(one));
    return common < 0 ? Number.POSITIVE_INFINITY : above.indexOf(steps[common] ?? place) * 1000 + common;
  };
  return [...among].sort((a, b) => distance(a) - distance(b) || a.index - b.index)[0];
}

/**
 * What would become of some places of a tree if all of them stood elsewhere, one answer for each move, against what is
 * now. The moves come one after the other: a later one finds the part where an earlier one left it. Undefined for a
 * move that cannot be: into what stands in the part itself, or of a place that is not there. `trees` are
 * those of all pages, asked for only where the part asks for something.
 */
export function whatIfAll(model: Model, tree: Tree, stands: readonly Stand[], trees: OtherTrees): (WhatIf | undefined)[] {
  let then = tree;
  const made = stands.map((stand): { stand: Stand; spot: Spot; words: string } | undefined => {
    const [moved, target] = [then.places[stand.moved], then.places[stand.target]];
    if (!moved || !target || moved.parent < 0 || isWithin(then, moved, target)) return undefined;
    const spot = spotAt(model, then, target, stand.slot);
    const words = moveWords({
      component: nameOf(model, moved),
      from: nameOf(model, tree.places[tree.places[stand.moved]?.parent ?? -1]),
      to: nameOf(model, target),
      ...(stand.slot === undefined ? {} : { slot: stand.slot }),
    });
    then = movedTree(model, then, stand, spot);
    return { stand, spot, words };
  });
  return made.map((one) => {
    if (!one) return undefined;
    // Who writes it then may have moved as well.
    const owner = then.places[then.places[one.stand.moved]?.owner ?? -1] ?? one.spot.owner;
    const given = givenAt(model, tree, one.stand, { ...one.spot, owner: tree.places[owner.index] ?? owner });
    const [part, target] = [tree.places[one.stand.moved], tree.places[one.stand.target]];
    const isOwn = one.stand.slot === undefined && target !== undefined;
    return {
      move: one.words,
      answers: answersOf(model, tree, then, one.stand.moved),
      elsewhere: isOwn ? elsewhereOf(model, tree, one.stand.moved, target, trees) : [],
      endless: tree.places.some((place) => place.component === owner.component && part !== undefined && isWithin(tree, part, place)),
      ...given,
      heardBy: [...given.heardBy, ...hearersOf(model, tree, then, one.stand.moved)],
    };
  });
}
