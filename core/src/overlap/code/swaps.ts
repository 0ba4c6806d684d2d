import type { TemplateNode } from '../../model/facts';
import type { Framework } from '../../model/framework';
import { contains } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import type { Hole, Laid } from './holes';
import type { Piece } from './pieces';

/** One piece in the first and another one in its place in the second. */
export type Swap = { readonly a: Piece; readonly b: Piece; readonly holes: readonly Hole[] };

/** It says the same wherever it stands: it reads nothing, does nothing, and uses no component. */
function isFree(root: Piece): boolean {
  let free = true;
  walkTemplate([root.node], (node: TemplateNode) => {
    if (node.kind === 'element') {
      if (node.spreads.some((spread) => spread.span.end > node.nameSpan.end)) free = false;
      if (node.bindings.some((one) => one.readings.length > 0 || one.action !== undefined || one.markup || one.constant === undefined))
        free = false;
    } else free = false;
  });
  return free;
}

/** Between which siblings that both have a piece stands: their indexes in the first, -1 for none. */
function gapOf({ a, b, alignment }: Laid, side: 'a' | 'b', piece: Piece): string {
  const own = side === 'a' ? a : b;
  const siblings = piece.parent >= 0 ? (own.nodes[piece.parent]?.children ?? []) : own.roots;
  const inFirst = (index: number): number => alignment.pairs.find((pair) => pair[side === 'a' ? 0 : 1] === index)?.[0] ?? -1;
  const at = siblings.indexOf(piece.index);
  const before =
    siblings
      .slice(0, at)
      .map(inFirst)
      .filter((one) => one >= 0)
      .at(-1) ?? -1;
  const after =
    siblings
      .slice(at + 1)
      .map(inFirst)
      .find((one) => one >= 0) ?? -1;
  return `${piece.parent < 0 ? -1 : inFirst(piece.parent)} ${before} ${after}`;
}

/** Styles of a component's own do not reach what its users put into it. */
const scoped: Readonly<Partial<Record<Framework, RegExp>>> = { vue: /<style\b[^>]*\b(?:scoped|module)\b/, svelte: /<style\b/ };

/** Elements that stand in each other's place, of which the second's can be given by its users as it is. */
export function swapsOf(laid: Laid, framework: Framework): Swap[] {
  if (laid.texts.some((text) => scoped[framework]?.test(text))) return [];
  const fits = ({ a, b }: Pick<Swap, 'a' | 'b'>): boolean =>
    a.kind === 'element' &&
    b.kind === 'element' &&
    isFree(b) &&
    a.parent >= 0 &&
    !/\bv-else\b/.test(laid.texts[0].slice(a.span.start, a.span.end).slice(0, 200));
  const tags = laid.holes.flatMap((hole): Swap[] => {
    const [a, b] = [laid.a.nodes[hole.difference?.a ?? -1], laid.b.nodes[hole.difference?.b ?? -1]];
    return hole.difference?.kind === 'tag' && a && b ? [{ a, b, holes: [hole] }] : [];
  });
  const gaps = new Map<string, { a: [Hole, Piece][]; b: [Hole, Piece][] }>();
  for (const hole of laid.holes) {
    if (hole.difference?.kind !== 'presence') continue;
    const side = hole.a ? 'a' : 'b';
    const piece = side === 'a' ? laid.a.nodes[hole.difference.a] : laid.b.nodes[hole.difference.b];
    if (!piece) continue;
    const gap = gapOf(laid, side, piece);
    const known = gaps.get(gap) ?? { a: [], b: [] };
    known[side].push([hole, piece]);
    gaps.set(gap, known);
  }
  const gapped = [...gaps.values()].flatMap(({ a: [one, ...more], b: [other, ...others] }): Swap[] =>
    one && other && more.length + others.length === 0 ? [{ a: one[1], b: other[1], holes: [one[0], other[0]] }] : [],
  );
  return [...tags, ...gapped].filter(fits);
}

/** Whether a difference is one of two elements in each other's place, or lies within these. */
export const isInSwap = (hole: Hole, swaps: readonly Swap[]): boolean =>
  swaps.some(
    ({ a, b, holes }) =>
      holes.includes(hole) || (hole.a !== undefined && contains(a.span, hole.a)) || (hole.b !== undefined && contains(b.span, hole.b)),
  );
