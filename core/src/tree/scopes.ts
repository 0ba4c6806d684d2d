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

/** Whether a place can ask a provider that stands around it: one that is asked by an event may be beyond a shadow root. */
function isAsked(tree: Tree, place: Place | undefined, { withinRoot, owner }: Provider): boolean {
  if (!withinRoot || place?.element === undefined) return true;
  return eventPath(tree, place.element, { bubbles: true, composed: false }).some(({ host }) => host.place === owner);
}

/**
 * Who answers for a context within a scope, and who is beyond; nobody where it is not provided on the page. `place` is
 * who asks, where that is known: not all can be asked from everywhere.
 */
export function resolve(tree: Tree, innermost: number, context: SharedId, place?: Place): Resolution {
  const asked = scopesAround(tree, innermost).filter((scope) => scope.context === context && isAsked(tree, place, scope));
  // Elements are asked first, from the inside outward, and what stands around the whole of a route or the application after them.
  const [answers, ...beyond] = asked.some(({ isAround }) => isAround)
    ? [...asked.filter((one) => !one.isAround), ...asked.filter((one) => one.isAround)]
    : asked;
  return { ...(answers ? { answers } : {}), beyond };
}

/** The provider of a context that answers at a place: the innermost one around it that it can ask. */
export function providerFor(tree: Tree, place: Place, context: SharedId, asks?: Take['asks']): Provider | undefined {
  const { providers } = tree;
  let around: Provider | undefined;
  for (let scope = providers[place.provider]; scope; scope = providers[scope.outer]) {
    if (scope.context !== context || !isAsked(tree, place, scope)) continue;
    if (asks !== undefined && !isWithin(tree, place, scope, asks)) continue;
    if (!scope.isAround) return scope;
    around ??= scope;
  }
  return around;
}

/** Whether a provider lies within the bounds of a question: on the own element, up to the component whose markup it stands in, or not on the own element. */
function isWithin(tree: Tree, place: Place, { owner, isAround }: Provider, asks: NonNullable<Take['asks']>): boolean {
  const isOwn = elementOf(tree, owner) === elementOf(tree, place.index);
  if (asks === 'beyond') return !isOwn;
  if (isAround) return false;
  if (asks === 'self' || isOwn) return isOwn;
  const host = tree.places[place.index]?.owner ?? -1;
  return tree.places[owner]?.owner === host || owner === host;
}

/** The innermost place that stands on the element of another: directives share theirs with what stands in them. */
function elementOf(tree: Tree, index: PlaceIndex): PlaceIndex {
  let at = index;
  for (let next = tree.places[at + 1]; tree.places[at]?.onHost !== undefined && next?.parent === at; next = tree.places[at + 1])
    at = next.index;
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
