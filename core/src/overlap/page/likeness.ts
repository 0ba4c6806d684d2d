import { type MarkupNode, type MarkupTree, spaceLabel } from './tree';

/** What a subtree looks like: the paths of labels found in it, each once, with its weight. */
export type Profile = ReadonlyMap<string, number>;

/** Levels below the root that count; what lies deeper says little about what a thing is. */
const depthSeen = 6;
const nodesSeen = 400;

/**
 * The shape of the subtree at a node. Each path of labels from the root counts once however often it
 * occurs, and less the deeper it ends: a card with five rows is like a card with two, and order does
 * not matter. Classes are paths of their own.
 */
export function shapeOf(tree: MarkupTree, root: number): Profile {
  const top = tree.nodes[root];
  const shape = new Map<string, number>();
  if (!top) return shape;
  const paths = new Map<number, string>();
  for (let index = root; index < Math.min(top.end, root + nodesSeen); index++) {
    const node = tree.nodes[index] as MarkupNode;
    const depth = node.depth - top.depth;
    if (depth > depthSeen || node.label === spaceLabel) continue;
    const path = depth === 0 ? node.label : `${paths.get(node.parent) ?? ''}/${node.label}`;
    paths.set(index, path);
    const weight = 1 / (1 + depth);
    shape.set(path, weight);
    for (const token of node.tokens) shape.set(`${path}.${token}`, weight * (depth === 0 ? 1.5 : 0.7));
  }
  return shape;
}

/** How alike two shapes are, 0 to 1: the weight of what both have, by the weight of what either has (Ruzicka). */
export function likeness(one: Profile, other: Profile): number {
  let both = 0;
  let either = 0;
  for (const [path, weight] of one) {
    if (other.has(path)) both += weight;
    either += weight;
  }
  for (const [path, weight] of other) if (!one.has(path)) either += weight;
  return either === 0 ? 0 : both / either;
}
