import type { PlaceIndex, Tree } from '../../model/tree';

/** The closest place that owns all of these, itself or through those it owns; -1 for none in common. */
export function commonOwner(tree: Tree, places: readonly PlaceIndex[]): PlaceIndex {
  const [first, ...rest] = places.filter((place) => place >= 0);
  if (first === undefined) return -1;
  let chain = ownersOf(tree, first);
  for (const place of rest) {
    const own = new Set(ownersOf(tree, place));
    chain = chain.filter((one) => own.has(one));
  }
  return chain[0] ?? -1;
}

/** A place and those that own it, from the place itself to the page. */
function ownersOf(tree: Tree, place: PlaceIndex): PlaceIndex[] {
  const found: PlaceIndex[] = [];
  for (let at = place; at >= 0; at = tree.places[at]?.owner ?? -1) found.push(at);
  return found;
}
