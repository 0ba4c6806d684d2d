import type { Piece, Pieces, Trait } from './pieces';
import { append } from '../../model/append';

/** Where two aligned components differ. Indexes are of pieces; -1 where one side has none. */
export type Difference =
  | {
      readonly kind: 'trait';
      readonly a: number;
      readonly b: number;
      readonly of: Trait['kind'];
      readonly one: Trait | undefined;
      readonly other: Trait | undefined;
    }
  | { readonly kind: 'tag'; readonly a: number; readonly b: number }
  /** One side has a piece, with all that is in it, where the other has nothing. */
  | { readonly kind: 'presence'; readonly a: number; readonly b: number }
  /** One side has a layer around what both have. */
  | { readonly kind: 'layer'; readonly a: number; readonly b: number }
  /** Both have it, at another place among their siblings. */
  | { readonly kind: 'moved'; readonly a: number; readonly b: number };

export type Alignment = {
  /** Pieces that stand for each other, in the order of the first's text. */
  readonly pairs: readonly (readonly [a: number, b: number])[];
  readonly differences: readonly Difference[];
  /** The weight of what both have. */
  readonly shared: number;
};

/** Beyond this many pieces on either side nothing is aligned: such a component is split before it is compared. */
const piecesMost = 400;
/** A pair of children that shares less than this of the smaller is no pair. */
const pairLeast = 0.34;

type Tables = { readonly a: Pieces; readonly b: Pieces; readonly scores: Map<number, number>; readonly width: number };

const shareOfConstant = 0.75;

function traitsShared(one: Piece, other: Piece): number {
  let shared = 0;
  for (const trait of one.traits) {
    const same = other.traits.find((candidate) => candidate.name === trait.name);
    if (same) shared += same.kind === trait.kind && same.binding.constant === trait.binding.constant ? 1 : shareOfConstant;
  }
  return shared;
}

/** What two pieces share themselves; 0 where they cannot stand for each other. */
function ownShared(one: Piece, other: Piece): number {
  if (one.role !== other.role) return 0;
  if (one.kind === 'element') return (one.label === other.label ? 2 : 1) + traitsShared(one, other);
  if (one.kind === 'use') return one.label === other.label ? 2 + traitsShared(one, other) : 0;
  return Math.min(one.own, other.own);
}

/**
 * The weight that two subtrees share: the heaviest matching of their pieces that keeps what is above
 * what (Yang 1991, “Identifying syntactic differences between two programs”), children in the same
 * order first, then those that moved; a layer on one side alone may be passed over.
 */
function score(tables: Tables, a: number, b: number): number {
  const key = a * tables.width + b;
  const known = tables.scores.get(key);
  if (known !== undefined) return known;
  tables.scores.set(key, 0);
  const [one, other] = [tables.a.nodes[a] as Piece, tables.b.nodes[b] as Piece];
  const own = ownShared(one, other);
  let best = own > 0 ? own + childrenScore(tables, one.children, other.children) : 0;
  if (canPass(other)) for (const child of other.children) best = Math.max(best, score(tables, a, child));
  if (canPass(one)) for (const child of one.children) best = Math.max(best, score(tables, child, b));
  tables.scores.set(key, best);
  return best;
}

/** Layers that may stand around something without making it another thing. */
const canPass = (piece: Piece): boolean => piece.kind === 'element' || piece.kind === 'branch';

function fits(tables: Tables, a: number, b: number): number {
  const shared = score(tables, a, b);
  const smaller = Math.min(tables.a.nodes[a]?.total ?? 0, tables.b.nodes[b]?.total ?? 0);
  return shared >= pairLeast * smaller ? shared : 0;
}

/** Pairs of children: the heaviest common subsequence (Needleman and Wunsch 1970, gaps free), then what is left in any order. */
function pairChildren(tables: Tables, left: readonly number[], right: readonly number[]): { a: number; b: number; moved: boolean }[] {
  const width = right.length + 1;
  const best = new Float64Array((left.length + 1) * width);
  for (let row = left.length - 1; row >= 0; row--)
    for (let column = right.length - 1; column >= 0; column--) {
      const weight = fits(tables, left[row] ?? -1, right[column] ?? -1);
      const paired = weight > 0 ? weight + (best[(row + 1) * width + column + 1] ?? 0) : 0;
      best[row * width + column] = Math.max(paired, best[(row + 1) * width + column] ?? 0, best[row * width + column + 1] ?? 0);
    }
  const pairs: { a: number; b: number; moved: boolean }[] = [];
  const [restLeft, restRight]: [number[], number[]] = [[], []];
  let row = 0;
  let column = 0;
  while (row < left.length && column < right.length) {
    const [a, b] = [left[row] ?? -1, right[column] ?? -1];
    const weight = fits(tables, a, b);
    const here = best[row * width + column] ?? 0;
    if (weight > 0 && Math.abs(here - weight - (best[(row + 1) * width + column + 1] ?? 0)) < 1e-9) {
      pairs.push({ a, b, moved: false });
      row++;
      column++;
    } else if (here === (best[(row + 1) * width + column] ?? 0)) {
      restLeft.push(a);
      row++;
    } else {
      restRight.push(b);
      column++;
    }
  }
  append(restLeft, left.slice(row));
  append(restRight, right.slice(column));
  for (const a of restLeft) {
    const [b, weight] = restRight.reduce<[number, number]>(
      (top, one) => (fits(tables, a, one) > top[1] ? [one, fits(tables, a, one)] : top),
      [-1, 0],
    );
    if (weight <= 0) continue;
    restRight.splice(restRight.indexOf(b), 1);
    pairs.push({ a, b, moved: true });
  }
  return pairs;
}

function childrenScore(tables: Tables, left: readonly number[], right: readonly number[]): number {
  if (left.length === 0 || right.length === 0) return 0;
  return pairChildren(tables, left, right).reduce((sum, { a, b }) => sum + fits(tables, a, b), 0);
}

function tablesOf(a: Pieces, b: Pieces): Tables | undefined {
  return a.nodes.length > piecesMost || b.nodes.length > piecesMost ? undefined : { a, b, scores: new Map(), width: b.nodes.length };
}

/** The weight that the markup of two components shares; 0 for none, and for markup that is too much to be laid side by side. */
export function sharedWeight(a: Pieces, b: Pieces): number {
  const tables = tablesOf(a, b);
  return tables ? childrenScore(tables, a.roots, b.roots) : 0;
}

/** Which piece of one component stands for which of the other, and where they differ. */
export function alignPieces(a: Pieces, b: Pieces): Alignment {
  const tables = tablesOf(a, b);
  if (!tables) return { pairs: [], differences: [], shared: 0 };
  const pairs: [number, number][] = [];
  const differences: Difference[] = [];
  const alone = (side: 'a' | 'b', at: number): void =>
    void differences.push({ kind: 'presence', a: side === 'a' ? at : -1, b: side === 'b' ? at : -1 });
  const layChildren = (left: readonly number[], right: readonly number[]): void => {
    const found = pairChildren(tables, left, right);
    for (const child of left) if (!found.some((pair) => pair.a === child)) alone('a', child);
    for (const child of right) if (!found.some((pair) => pair.b === child)) alone('b', child);
    for (const pair of found) {
      if (pair.moved) differences.push({ kind: 'moved', a: pair.a, b: pair.b });
      lay(pair.a, pair.b);
    }
  };
  const passOver = (side: 'a' | 'b', layer: Piece, chosen: number, go: () => void): void => {
    differences.push({ kind: 'layer', a: side === 'a' ? layer.index : -1, b: side === 'b' ? layer.index : -1 });
    for (const child of layer.children) if (child !== chosen) alone(side, child);
    go();
  };
  const lay = (at: number, bt: number): void => {
    const [one, other] = [a.nodes[at] as Piece, b.nodes[bt] as Piece];
    const whole = score(tables, at, bt);
    const own = ownShared(one, other);
    if (own > 0 && Math.abs(own + childrenScore(tables, one.children, other.children) - whole) < 1e-9) {
      pairs.push([at, bt]);
      if (one.label !== other.label) differences.push({ kind: 'tag', a: at, b: bt });
      append(differences, traitDifferences(one, other));
      layChildren(one.children, other.children);
      return;
    }
    const inner = canPass(other) ? other.children.find((child) => score(tables, at, child) === whole) : undefined;
    if (inner !== undefined) return passOver('b', other, inner, () => lay(at, inner));
    const outer = canPass(one) ? one.children.find((child) => score(tables, child, bt) === whole) : undefined;
    if (outer !== undefined) return passOver('a', one, outer, () => lay(outer, bt));
  };
  layChildren(a.roots, b.roots);
  return { pairs: pairs.sort((x, y) => x[0] - y[0]), differences, shared: childrenScore(tables, a.roots, b.roots) };
}

function traitDifferences(one: Piece, other: Piece): Difference[] {
  const names = new Set([...one.traits, ...other.traits].map((trait) => trait.name));
  return [...names].flatMap((name): Difference[] => {
    const [mine, theirs] = [one.traits.find((trait) => trait.name === name), other.traits.find((trait) => trait.name === name)];
    const isSame =
      mine && theirs && mine.kind === 'constant' && theirs.kind === 'constant' && mine.binding.constant === theirs.binding.constant;
    return isSame ? [] : [{ kind: 'trait', a: one.index, b: other.index, of: (mine ?? theirs)?.kind ?? 'value', one: mine, other: theirs }];
  });
}
