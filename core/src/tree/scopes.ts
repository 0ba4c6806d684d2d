import type { SharedId } from '../model/ids';
import type { Take } from '../model/model';
import type { Place, PlaceIndex, Provider, Tree } from '../model/tree';
import { eventPath } from './hosts';

/** Who answers for a context, and who would if that one did not: from the inside outward. */
export type Resolution = { readonly answers?: Provider; readonly beyond: readonly Provider[] };

/** The scopes around what stands in one, itself first, up to the page; each is what one provider provides. Empty for none (-1). */
export function scopesAround({ providers }: Tree, innermost: number): Provider[] {
  const found: Provider[] = [];
  for (let scope = providers[innermost]; scope; scope = providers[scope.outer]) found.push(scope);
  return found;
}

/**
 * The scopes that a place may ask. A directive is answered by the component of its element, too, but not by what that
 * keeps for its own markup.
 */
export function scopesFor(tree: Tree, place: Place): Provider[] {
  const own = tree.places[elementOf(tree, place.index)];
  if (!own || own === place) return scopesAround(tree, place.provider);
  return scopesAround(tree, own.provider).filter((scope) => !(scope.ofMarkup && scope.owner === own.index));
}

/** Whether an event that a place sends, and that does not leave the shadow tree, comes by a provider. */
function isInRoot(tree: Tree, { element }: Place, { owner }: Provider): boolean {
  return element === undefined || eventPath(tree, element, { bubbles: true, composed: false }).some(({ host }) => host.place === owner);
}

/**
 * Who answers for a context within a scope, and who is beyond; nobody where it is not provided on the page. `place` is
 * who asks, where that is known, and `asks` how far: not all can be asked from everywhere.
 */
export function resolve(tree: Tree, innermost: number, context: SharedId, place?: Place, asks?: Take['asks']): Resolution {
  const scopes = place ? scopesFor(tree, place) : scopesAround(tree, innermost);
  const asked = inOrder(
    tree,
    scopes.filter(
      (scope) => scope.context === context && (place === undefined || asks === undefined || isWithin(tree, place, scope, asks)),
    ),
  );
  const [answers, ...beyond] = asked;
  return { ...(answers ? { answers } : {}), beyond };
}

/**
 * Elements are asked first, from the inside outward, and what stands around the whole of a route or the application after
 * them. Of one element, what a directive provides stands in the place of what its component does, but for the markup of that.
 */
function inOrder(tree: Tree, scopes: readonly Provider[]): readonly Provider[] {
  if (scopes.length < 2) return scopes;
  const ordered = [...scopes.filter((one) => !one.isAround), ...scopes.filter((one) => one.isAround)];
  for (let at = 1; at < ordered.length; at++) {
    const [inner, outer] = [ordered[at - 1], ordered[at]];
    if (!inner || !outer || inner.owner === outer.owner || inner.ofMarkup || inner.isAround || outer.isAround) continue;
    if (tree.places[outer.owner]?.onHost !== undefined && elementOf(tree, outer.owner) === inner.owner)
      [ordered[at - 1], ordered[at]] = [outer, inner];
  }
  return ordered;
}

/** The provider of a context that answers at a place: the innermost one around it that it can ask. */
export const providerFor = (tree: Tree, place: Place, context: SharedId, asks?: Take['asks']): Provider | undefined =>
  resolve(tree, place.provider, context, place, asks).answers;

/** Whether a question ends before what stands around the whole, so that not even a default answers it. */
export const isBounded = (asks: Take['asks']): boolean => asks === 'self' || asks === 'host';

/** Whether a provider lies within the bounds of a question: on the own element, up to the component whose markup it stands in, not on the own element, or in the same shadow tree. */
function isWithin(tree: Tree, place: Place, scope: Provider, asks: NonNullable<Take['asks']>): boolean {
  if (asks === 'root') return isInRoot(tree, place, scope);
  const { owner, isAround, ofMarkup } = scope;
  const isOwn = elementOf(tree, owner) === elementOf(tree, place.index);
  if (asks === 'beyond') return !isOwn;
  if (isAround) return false;
  if (asks === 'self' || isOwn) return isOwn;
  const host = tree.places[place.index]?.owner ?? -1;
  // Of the component whose markup it is, only what that keeps for its markup.
  return owner === host ? ofMarkup === true : tree.places[owner]?.owner === host;
}

/** The innermost place that stands on the element of another: directives share theirs with what stands in them. */
function elementOf(tree: Tree, index: PlaceIndex): PlaceIndex {
  let at = index;
  for (let next = tree.places[at + 1]; next?.sharesHost && next.parent === at; next = tree.places[at + 1]) at = next.index;
  return at;
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

/** A place and those that own it, each the writer of the one before, up to the page. */
export function owners(tree: Tree, place: Place): Place[] {
  const found: Place[] = [];
  for (let at: Place | undefined = place; at && !found.includes(at); at = tree.places[at.owner]) found.push(at);
  return found;
}
