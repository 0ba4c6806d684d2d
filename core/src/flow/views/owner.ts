import type { PlaceIndex, Tree } from '../../model/tree';
import { owners } from '../../tree';

/** The closest place that owns all of these, itself or through those it owns; -1 for none in common. */
export function commonOwner(tree: Tree, places: readonly PlaceIndex[]): PlaceIndex {
  const [first, ...rest] = places.flatMap((index) => tree.places[index] ?? []);
  if (first === undefined) return -1;
  let chain = owners(tree, first);
  for (const place of rest) {
    const own = new Set(owners(tree, place));
    chain = chain.filter((one) => own.has(one));
  }
  return chain[0]?.index ?? -1;
}
