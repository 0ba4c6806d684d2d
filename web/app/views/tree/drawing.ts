import type { Knot, Strand, StrandKind } from '@liana/core';
import type { Row } from '../../analysis/answers';
import type { TreeState } from './state';

export const rowHeight = 30;
export const headHeight = 118;
/** Without a narrower choice, no more strands than this are drawn. */
export const mostStrands = 40;

export type VisibleRow = { readonly row: Row; readonly y: number; readonly isOpen: boolean | undefined };

/** Which rows show, and for each place the line that stands for it: its own, or the folded row above it. */
export type RowLayout = { readonly rows: readonly VisibleRow[]; readonly lineOf: Int32Array };

/** Lays the rows out, without those below folded ones. */
export function layoutRows(rows: readonly Row[], closed: ReadonlySet<number>): RowLayout {
  const parents = new Set(rows.map((row) => row.parent));
  const lineOf = new Int32Array(rows.length);
  const shown: VisibleRow[] = [];
  const folded = new Set<number>();
  for (const row of rows) {
    if (folded.has(row.parent)) {
      folded.add(row.place);
      lineOf[row.place] = lineOf[row.parent] ?? 0;
      continue;
    }
    lineOf[row.place] = shown.length;
    const hasChildren = parents.has(row.place);
    if (hasChildren && closed.has(row.place)) folded.add(row.place);
    shown.push({ row, y: shown.length * rowHeight + rowHeight / 2, isOpen: hasChildren ? !closed.has(row.place) : undefined });
  }
  return { rows: shown, lineOf };
}

export type Choice = { readonly strands: readonly Strand[]; readonly hidden: number; readonly why: 'none' | 'many' | 'filter' };

/** The strands to draw: by kind, by the switch, and never more than fit; how many are hidden, and why. */
export function chooseStrands(strands: readonly Strand[], state: TreeState, place: number | undefined): Choice {
  const touches = (strand: Strand): boolean => place !== undefined && strand.knots.some((knot) => knot.place === place);
  const wanted = strands.filter((strand) => {
    if (strand.id === state.strand) return true;
    if (state.without.has(strand.kind)) return false;
    if (state.only === 'loose') return strand.loose !== undefined;
    return state.only === 'through' && place !== undefined ? touches(strand) : true;
  });
  if (wanted.length <= mostStrands)
    return { strands: wanted, hidden: strands.length - wanted.length, why: wanted.length < strands.length ? 'filter' : 'none' };
  const weight = (strand: Strand): number =>
    (strand.id === state.strand ? 1e6 : 0) + (touches(strand) ? 1e5 : 0) + (strand.loose === undefined ? 0 : 1e4) + strand.knots.length;
  const kept = new Set([...wanted].sort((a, b) => weight(b) - weight(a)).slice(0, mostStrands));
  return { strands: wanted.filter((strand) => kept.has(strand)), hidden: strands.length - kept.size, why: 'many' };
}

/** Distance between columns: wide where there is room, and never so close that the names touch. */
export function columnWidth(count: number, available: number): number {
  return Math.max(22, Math.min(38, Math.floor((available - 90) / Math.max(count, 1))));
}

export type Segment = { readonly from: number; readonly to: number; readonly twoWay: boolean };
export type DrawnKnot = { readonly knot: Knot; readonly line: number; readonly folded: boolean };
export type DrawnStrand = {
  readonly strand: Strand;
  readonly x: number;
  /** Lines as stretches between rows, merged; in row numbers. */
  readonly segments: readonly Segment[];
  readonly knots: readonly DrawnKnot[];
  /** It starts above the page: its line begins in the head. */
  readonly fromAbove: boolean;
};

/** Stretches without overlap; where a two-way and a one-way stretch cover the same rows, the two-way one shows. */
function mergeSegments(segments: readonly Segment[]): Segment[] {
  const ends = [...new Set(segments.flatMap((segment) => [segment.from, segment.to]))].sort((a, b) => a - b);
  const merged: Segment[] = [];
  for (let at = 1; at < ends.length; at++) {
    const from = ends[at - 1] ?? 0;
    const to = ends[at] ?? 0;
    const covering = segments.filter((segment) => segment.from <= from && segment.to >= to);
    if (covering.length === 0) continue;
    const twoWay = covering.some((segment) => segment.twoWay);
    const last = merged.at(-1);
    if (last && last.to === from && last.twoWay === twoWay) merged[merged.length - 1] = { ...last, to };
    else merged.push({ from, to, twoWay });
  }
  return merged;
}

/** Puts each strand into its column of a given width, aligned with the rows that show. */
export function drawStrands(strands: readonly Strand[], { lineOf, rows }: RowLayout, width: number): DrawnStrand[] {
  return strands.map((strand, index): DrawnStrand => {
    const knots = strand.knots.filter((knot) => knot.place >= 0 && knot.place < lineOf.length);
    const line = (place: number): number => lineOf[place] ?? 0;
    const fromAbove = strand.kind === 'context' && !strand.knots.some((knot) => knot.kinds.includes('owns'));
    const segments = knots.flatMap((knot): Segment[] => {
      const from = knot.from >= 0 ? line(knot.from) : fromAbove ? -1 : line(knot.place);
      const to = line(knot.place);
      return from === to ? [] : [{ from: Math.min(from, to), to: Math.max(from, to), twoWay: knot.twoWay }];
    });
    return {
      strand,
      x: 26 + index * width,
      segments: mergeSegments(segments),
      knots: knots.map((knot) => ({ knot, line: line(knot.place), folded: rows[line(knot.place)]?.row.place !== knot.place })),
      fromAbove,
    };
  });
}

/** How many strands there are of each kind. */
export function countKinds(strands: readonly Strand[]): Readonly<Record<StrandKind, number>> {
  const counts: Record<StrandKind, number> = { state: 0, prop: 0, event: 0, store: 0, context: 0 };
  for (const strand of strands) counts[strand.kind]++;
  return counts;
}

/** A name for a column, short enough not to leave the head. */
export function shortName(name: string, most = 17): string {
  return name.length > most ? `${name.slice(0, most - 1)}…` : name;
}
