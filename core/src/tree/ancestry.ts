import type { SharedId } from '../model/ids';
import type { Place, PlaceIndex, Provider, Tree } from '../model/tree';

/** The provider of a context that answers at a place: the innermost one around it. */
export function providerFor(tree: Tree, place: Place, context: SharedId): Provider | undefined {
  for (let at = place.provider; at >= 0; at = tree.providers[at]?.outer ?? -1) {
    const provider = tree.providers[at];
    if (provider?.context === context) return provider;
  }
  return undefined;
}

/** The places a place stands in, from its parent up to the page. */
export function ancestors(tree: Tree, place: Place): Place[] {
  const found: Place[] = [];
  for (let at: PlaceIndex = place.parent; at >= 0; at = tree.places[at]?.parent ?? -1) {
    const ancestor = tree.places[at];
    if (ancestor) found.push(ancestor);
  }
  return found;
}
