import { likeness, type Profile, shapeOf } from './likeness';
import { elementChildren, elementCount, isElement, type MarkupNode, type MarkupTree, textLabel } from './tree';

/** Subtrees that are one thing repeated, in the order of the text. */
export type Group = { readonly items: readonly number[]; /** 0 to 1: how alike the least alike item is. */ readonly likeness: number };

/** What is never a thing of its own, however often it stands in a row: text and its makers, cells, options. */
const plain = new Set(
  'p br hr span b i em strong small sub sup code u s mark abbr h1 h2 h3 h4 h5 h6 td th dt dd option optgroup col source track label input img br wbr time button legend caption colgroup thead tbody tfoot path circle rect line g use svg script style template'.split(
    ' ',
  ),
);

const alikeEnough = 0.52;
const pairAlike = 0.72;
const strayAlike = 0.7;
const clustersMost = 40;

type Cluster = { items: number[]; shape: Profile; label: string; least: number; tokens: ReadonlySet<string> };

/** What stands among words, as a word does. */
const inline = new Set('a abbr b bdi cite code data dfn em i kbd mark q s samp small span strong sub sup time u var br wbr img'.split(' '));
/** Within these, what repeats is drawing or type, no part of a page. */
const sealed = new Set(['svg', 'pre', 'code', 'math', 'select']);

/** Words with marked words among them: a sentence, however it is cut up. */
function isProse(tree: MarkupTree, node: MarkupNode): boolean {
  if (!node.children.some((child) => tree.nodes[child]?.label === textLabel)) return false;
  for (let at = node.index + 1; at < node.end; at++) {
    const one = tree.nodes[at];
    if (one && isElement(one) && !inline.has(one.label)) return false;
  }
  return true;
}

function isThing(tree: MarkupTree, node: MarkupNode): boolean {
  const elements = elementCount(tree, node.index);
  if (node.tokens.length === 0 && isProse(tree, node)) return false;
  const parent = tree.nodes[node.parent];
  // A link or a word in a sentence is part of the sentence.
  if (parent && inline.has(node.label) && isProse(tree, parent)) return false;
  // A line of mere words in a list is text, as long as no class makes more of it.
  if (!plain.has(node.label))
    return (
      elements > 1 ||
      node.tokens.length > 0 ||
      (node.label !== 'li' && node.children.some((child) => tree.nodes[child]?.label === textLabel))
    );
  // A cell or a paragraph counts when it holds a structure, and a word when it has a class to itself.
  return elements >= 3 || (elements >= 2 && node.label !== 'label') || (node.tokens.length > 0 && node.label !== 'p');
}

function joins(cluster: Cluster, node: MarkupNode, shape: Profile): number {
  if (cluster.label !== node.label) return 0;
  const alike = likeness(cluster.shape, shape);
  const shared = node.tokens.some((token) => cluster.tokens.has(token));
  if (shared) return alike >= alikeEnough - 0.17 ? alike : 0;
  // Classes that have nothing in common speak against it.
  const bar = node.tokens.length > 0 && cluster.tokens.size > 0 ? pairAlike : alikeEnough;
  return alike >= bar ? alike : 0;
}

/** Children of one node that are alike, whatever stands between them. */
function clusterChildren(tree: MarkupTree, at: number, shapes: (at: number) => Profile): Cluster[] {
  const clusters: Cluster[] = [];
  for (const node of elementChildren(tree, at)) {
    if (!isThing(tree, node)) continue;
    const shape = shapes(node.index);
    let best: { cluster: Cluster; alike: number } | undefined;
    for (const cluster of clusters) {
      const alike = joins(cluster, node, shape);
      if (alike > (best?.alike ?? 0)) best = { cluster, alike };
    }
    if (best) {
      best.cluster.items.push(node.index);
      best.cluster.least = Math.min(best.cluster.least, best.alike);
      // The fullest item stands for all: those without optional parts are like it, not the other way round.
      if (shape.size > best.cluster.shape.size) best.cluster.shape = shape;
    } else if (clusters.length < clustersMost) {
      clusters.push({ items: [node.index], shape, label: node.label, least: 1, tokens: new Set(node.tokens) });
    }
  }
  return clusters;
}

/** Two in a row may be chance: they count when they are very alike and no mere wrappers. */
function isGroup(tree: MarkupTree, cluster: Cluster): boolean {
  const { items } = cluster;
  if (items.length < 2) return false;
  if (items.length > 2) return true;
  const bar = cluster.tokens.size > 0 ? 0.5 : pairAlike;
  return cluster.least >= bar && items.every((item) => elementCount(tree, item) >= 2);
}

/** The labels and classes of a node and of the two around it: where things of one kind stand. */
function standing(tree: MarkupTree, at: number): string {
  const steps: string[] = [];
  for (let node = tree.nodes[at]; node && steps.length < 3; node = tree.nodes[node.parent])
    steps.push(`${node.label}.${[...node.tokens].sort().join('.')}`);
  return steps.join(' < ');
}

/** Groups of different parents that are one thing: alike, and standing in the same surroundings. */
function joinAcross(tree: MarkupTree, clusters: readonly Cluster[]): Cluster[] {
  const joined: Cluster[] = [];
  const byStanding = new Map<string, Cluster[]>();
  for (const cluster of clusters) {
    const key = standing(tree, tree.nodes[cluster.items[0] ?? -1]?.parent ?? -1) + cluster.label;
    const before = byStanding.get(key) ?? [];
    const same = before.find((one) => likeness(one.shape, cluster.shape) >= alikeEnough);
    if (same) {
      same.items.push(...cluster.items);
      same.least = Math.min(same.least, cluster.least);
    } else {
      const copy = { ...cluster, items: [...cluster.items] };
      joined.push(copy);
      byStanding.set(key, [...before, copy]);
    }
  }
  return joined;
}

/**
 * Finds what repeats below a node: alike children of one parent, the same across alike parents (the
 * cells of a grid's rows, the rows of each card), and strays, alone in their parent, that are like a
 * group found elsewhere in the same surroundings. Outer groups come first.
 */
export function findGroups(tree: MarkupTree, root = 0): Group[] {
  const kept = new Map<number, Profile>();
  const shapes = (at: number): Profile => {
    const shape = kept.get(at) ?? shapeOf(tree, at);
    kept.set(at, shape);
    return shape;
  };
  const found: Cluster[] = [];
  const strays = new Map<string, Cluster[]>();
  const end = tree.nodes[root]?.end ?? 0;
  for (let at = root; at < end; at++) {
    const node = tree.nodes[at];
    if (!node || node.children.length === 0) continue;
    if (sealed.has(node.label)) {
      at = node.end - 1;
      continue;
    }
    for (const cluster of clusterChildren(tree, at, shapes)) {
      if (isGroup(tree, cluster)) found.push(cluster);
      else {
        const key = standing(tree, cluster.items[0] ?? -1);
        strays.set(key, [...(strays.get(key) ?? []), cluster]);
      }
    }
  }
  const joined = joinAcross(tree, found);
  for (const cluster of joined) {
    for (const key of new Set(cluster.items.map((item) => standing(tree, item)))) {
      for (const stray of strays.get(key) ?? []) if (likeness(cluster.shape, stray.shape) >= strayAlike) cluster.items.push(...stray.items);
      strays.delete(key);
    }
  }
  return joined
    .map((cluster) => ({ items: [...new Set(cluster.items)].sort((a, b) => a - b), likeness: cluster.least }))
    .sort((a, b) => (a.items[0] ?? 0) - (b.items[0] ?? 0));
}

/**
 * The elements of a tree that are like one of another (or the same) tree: the group it stands in,
 * where it has one, else all of its label that are alike enough. `at` itself is left out.
 */
export function findLikes(tree: MarkupTree, at: number, among: MarkupTree = tree): number[] {
  const node = tree.nodes[at];
  if (!node) return [];
  const group = among === tree ? findGroups(tree).find(({ items }) => items.includes(at)) : undefined;
  if (group) return group.items.filter((item) => item !== at);
  const shape = shapeOf(tree, at);
  const cluster: Cluster = { items: [at], shape, label: node.label, least: 1, tokens: new Set(node.tokens) };
  const found: number[] = [];
  for (const other of among.nodes) {
    const isSelf =
      among === tree && (other.index === at || (other.index < at && at < other.end) || (at < other.index && other.index < node.end));
    if (isSelf || other.label !== node.label || other.index < (among.nodes[found.at(-1) ?? -1]?.end ?? 0)) continue;
    const alike = joins(cluster, other, shapeOf(among, other.index));
    if (alike >= strayAlike || (alike > 0 && other.tokens.some((token) => cluster.tokens.has(token)))) found.push(other.index);
  }
  return found;
}
