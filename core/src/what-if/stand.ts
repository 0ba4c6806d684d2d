import type { TemplateNode, TemplateUse } from '../model/facts';
import type { UseId } from '../model/ids';
import { useById } from '../model/lookup';
import { memberName, slotKey } from '../model/member';
import type { Model } from '../model/model';
import type { Host, Place, Provider, Tree } from '../model/tree';
import { templateChildren } from '../model/walk';
import { ancestors } from '../tree';
import type { Stand } from './move';

/** Where a part would stand: in whom, who would write it, and what would be around it. */
export type Spot = { readonly parent: Place; readonly owner: Place; readonly provider: number; readonly host: number };

/** Whether a place is another, or stands in it. */
export const isWithin = (tree: Tree, outer: Place, inner: Place): boolean => inner === outer || ancestors(tree, inner).includes(outer);

/** A slot by its name; what stands between the tags has several. */
const isNamed = (name: string, asked: string): boolean =>
  name === asked || (/^(default|children)$/.test(name) && /^(default|children)$/.test(asked));

/** Where a place would stand that is written into another one's markup, or into a slot of that by whoever wrote its use. */
export function spotAt(model: Model, tree: Tree, target: Place, slot: string | undefined): Spot {
  const inSlot =
    slot === undefined
      ? undefined
      : tree.places.find((place) => place.slot?.of === target.index && isNamed(memberName(place.slot.key), slot));
  const own = tree.places.find((place) => place.owner === target.index && place.parent === target.index);
  const beside = slot === undefined ? own : inSlot;
  const shown = slot === undefined || inSlot ? undefined : shownIn(model, tree, target, slot);
  return {
    parent: target,
    owner: slot === undefined ? target : (tree.places[target.owner] ?? target),
    provider: beside?.provider ?? shown ?? lastProvider(tree, target),
    host: beside?.host ?? own?.host ?? target.element ?? target.host,
  };
}

/** Answers for the places of a tree which provider would be innermost around a part that is written into their own markup; as `spotAt` tells it. */
export function providersWithin(tree: Tree): (place: Place) => number {
  const own = new Map<number, Place>();
  for (const place of tree.places) if (place.owner === place.parent && !own.has(place.owner)) own.set(place.owner, place);
  const last = new Map(tree.providers.map(({ owner }, index) => [owner, index]));
  return (place) => own.get(place.index)?.provider ?? last.get(place.index) ?? place.provider;
}

/** The innermost provider around what a place shows of a slot that holds nothing yet; undefined where it does not show it. */
function shownIn(model: Model, tree: Tree, target: Place, slot: string, depth = 0): number | undefined {
  const around = usesAround(model.components.get(target.component)?.facts.template ?? [], slot);
  if (!around || depth > 20) return undefined;
  const isNode = (id: UseId | undefined, node: TemplateUse): boolean => id !== undefined && useById(model, id)?.node === node;
  for (const node of [...around].reverse()) {
    const provider = tree.providers.findLastIndex(({ owner, use }) => owner === target.index && isNode(use, node));
    if (provider >= 0) return provider;
    const place = tree.places.find(({ owner, use }) => owner === target.index && isNode(use, node));
    if (place) return shownIn(model, tree, place, 'children', depth + 1) ?? place.provider;
  }
  const own = tree.providers.findLastIndex(({ owner, use }) => owner === target.index && use === undefined);
  return own >= 0 ? own : target.provider;
}

/** The uses around the place where a template shows a slot, outermost first; undefined where it does not. */
function usesAround(nodes: readonly TemplateNode[], slot: string): readonly TemplateUse[] | undefined {
  for (const node of nodes) {
    if (node.kind === 'outlet' && isNamed(memberName(node.slot), slot)) return [];
    const inner = usesAround(templateChildren(node), slot);
    if (inner) return node.kind === 'use' ? [node, ...inner] : inner;
  }
  return undefined;
}

/** The innermost provider within a place: those that it makes for what is in it, or those around it. */
function lastProvider(tree: Tree, place: Place): number {
  const own = tree.providers.findLastIndex(({ owner }) => owner === place.index);
  return own >= 0 ? own : place.provider;
}

/**
 * A tree in which a place stands elsewhere, with all that is in it. Places, providers and hosts keep their indices, so
 * that parents no longer come before children in every case, and keep the depths that they had.
 */
export function movedTree(model: Model, tree: Tree, { moved: index, slot }: Stand, spot: Spot): Tree {
  const moved = tree.places[index];
  if (!moved) return tree;
  const isIn = (place: Place | undefined): boolean => place !== undefined && isWithin(tree, moved, place);
  const isWritten = writtenWith(model, moved);
  const places = tree.places.map((place): Place => {
    if (!isIn(place)) return place;
    const owner = place.owner === moved.owner && isWritten(place) ? spot.owner.index : place.owner;
    const provider = place.provider === moved.provider ? spot.provider : place.provider;
    const host = place.host === moved.host ? spot.host : place.host;
    if (place !== moved) return { ...place, owner, provider, host };
    const { slot: _slot, sharesHost: _shares, ...rest } = place;
    const inSlot = slot === undefined ? {} : { slot: { key: slotKey(slot), of: spot.parent.index } };
    return { ...rest, parent: spot.parent.index, owner, provider, host, repeats: [], branches: [], ...inSlot };
  });
  const isOwnProvider = ({ owner, use }: Provider): boolean => {
    const node = use && useById(model, use)?.node;
    return isIn(tree.places[owner]) || (owner === moved.owner && node !== undefined && isSpanIn(model, moved, node));
  };
  const providers = tree.providers.map((provider) =>
    provider.outer === moved.provider && isOwnProvider(provider) ? { ...provider, outer: spot.provider } : provider,
  );
  const isOwnHost = ({ place, owner, node }: Host): boolean =>
    (place !== undefined && isIn(tree.places[place])) ||
    isIn(tree.places[owner]) ||
    (owner === moved.owner && isSpanIn(model, moved, node));
  const hosts = tree.hosts.map((host) => (host.parent === moved.host && isOwnHost(host) ? { ...host, parent: spot.host } : host));
  return { ...tree, places, providers, hosts };
}

/** Whether the use of a place is written within the use of another, so that it goes with that. */
export function writtenWith(model: Model, moved: Place): (place: Place) => boolean {
  const around = moved.use && useById(model, moved.use);
  return (place) => {
    const use = place.use && useById(model, place.use);
    return (
      around !== undefined &&
      use !== undefined &&
      use.owner === around.owner &&
      use.node.span.start >= around.node.span.start &&
      use.node.span.end <= around.node.span.end
    );
  };
}

function isSpanIn(model: Model, moved: Place, { span }: Host['node']): boolean {
  const around = moved.use && useById(model, moved.use);
  return around !== undefined && span.start >= around.node.span.start && span.end <= around.node.span.end;
}
