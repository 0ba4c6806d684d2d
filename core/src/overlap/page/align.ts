import type { MarkupNode, MarkupTree } from './tree';
import { likeness, shapeOf, type Profile } from './likeness';

/**
 * Several subtrees laid over each other. `at` holds, for each of them, the node that stands here, or
 * -1 where that one has none.
 */
export type Overlay = { readonly label: string; readonly at: readonly number[]; readonly children: readonly Overlay[] };

type Growing = { label: string; at: number[]; children: Growing[] };

/** Two children of alike nodes are the same child when they are at least this alike. */
const sameChild = 0.3;
/** Beyond this many pairs of children, alignment goes by order alone. */
const pairsMost = 40_000;

function known(shapes: Map<number, Profile>, tree: MarkupTree, at: number): Profile {
  const shape = shapes.get(at) ?? shapeOf(tree, at);
  shapes.set(at, shape);
  return shape;
}

/** How well two nodes fit at one place; 0 where they cannot. Equal labels are needed. */
function fit(tree: MarkupTree, shapes: Map<number, Profile>, one: number, other: number): number {
  const [a, b] = [tree.nodes[one] as MarkupNode, tree.nodes[other] as MarkupNode];
  if (a.label !== b.label) return 0;
  if (a.label.startsWith('#')) return 1;
  if (a.children.length === 0 && b.children.length === 0 && a.tokens.length === 0 && b.tokens.length === 0) return 1;
  const alike = likeness(known(shapes, tree, one), known(shapes, tree, other));
  return alike < sameChild ? 0 : alike;
}

/**
 * Pairs of children in the same order that fit best together: the heaviest common subsequence
 * (Needleman and Wunsch 1970, without a price for gaps).
 */
function pairUp(left: readonly number[], right: readonly number[], weigh: (one: number, other: number) => number): [number, number][] {
  if (left.length * right.length > pairsMost) {
    return left.slice(0, right.length).flatMap((one, index): [number, number][] => {
      const other = right[index] ?? -1;
      return weigh(one, other) > 0 ? [[one, other]] : [];
    });
  }
  const width = right.length + 1;
  const best = new Float64Array((left.length + 1) * width);
  const weights = new Float64Array(left.length * right.length);
  const cell = (row: number, column: number): number => best[row * width + column] ?? 0;
  for (let row = left.length - 1; row >= 0; row--) {
    for (let column = right.length - 1; column >= 0; column--) {
      const weight = weigh(left[row] ?? -1, right[column] ?? -1);
      weights[row * right.length + column] = weight;
      const paired = weight > 0 ? weight + cell(row + 1, column + 1) : 0;
      best[row * width + column] = Math.max(paired, cell(row + 1, column), cell(row, column + 1));
    }
  }
  const pairs: [number, number][] = [];
  for (let row = 0, column = 0; row < left.length && column < right.length;) {
    const weight = weights[row * right.length + column] ?? 0;
    if (weight > 0 && cell(row, column) === weight + cell(row + 1, column + 1)) pairs.push([left[row++] ?? -1, right[column++] ?? -1]);
    else if (cell(row + 1, column) >= cell(row, column + 1)) row++;
    else column++;
  }
  return pairs;
}

/**
 * Lays subtrees over each other. The fullest of them comes first; each further one is fitted to what
 * stands, and what it alone has is put in where it stood. `opaque` nodes are not looked into.
 */
export function overlay(tree: MarkupTree, roots: readonly number[], opaque: (at: number) => boolean = () => false): Overlay {
  const shapes = new Map<number, Profile>();
  const childrenOf = (at: number, isRoot: boolean): readonly number[] => (!isRoot && opaque(at) ? [] : (tree.nodes[at]?.children ?? []));
  const grow = (at: number, turn: number, isRoot: boolean): Growing => {
    const at_ = new Array<number>(roots.length).fill(-1);
    at_[turn] = at;
    return { label: tree.nodes[at]?.label ?? '', at: at_, children: childrenOf(at, isRoot).map((child) => grow(child, turn, false)) };
  };
  const sample = (node: Growing): number => node.at.find((at) => at >= 0) ?? -1;
  const layOver = (into: Growing, at: number, turn: number, isRoot: boolean): void => {
    into.at[turn] = at;
    const bySample = new Map(into.children.map((child) => [sample(child), child]));
    const theirs = childrenOf(at, isRoot);
    const pairs = pairUp([...bySample.keys()], theirs, (one, other) => fit(tree, shapes, one, other));
    const partner = new Map(pairs.map(([one, other]) => [other, bySample.get(one)]));
    let after: Growing | undefined;
    for (const child of theirs) {
      const found = partner.get(child);
      if (found) layOver(found, child, turn, false);
      const placed = found ?? grow(child, turn, false);
      if (!found) into.children.splice(after ? into.children.indexOf(after) + 1 : 0, 0, placed);
      after = placed;
    }
  };
  const size = (at: number): number => (tree.nodes[at]?.end ?? at) - at;
  const fullest = roots.reduce((best, at, turn) => (size(at) > size(roots[best] ?? -1) ? turn : best), 0);
  const made = grow(roots[fullest] ?? -1, fullest, true);
  roots.forEach((at, turn) => {
    if (turn !== fullest) layOver(made, at, turn, true);
  });
  return made;
}
