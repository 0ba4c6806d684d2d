import type { Knot, Strand, StrandKind } from '@liana/core';
import type { Row } from '../../analysis/answers';
import { nothingMoved, type StandsDrawn } from './stands';
import type { TreeState } from './state';

export const rowHeight = 30;
export const headHeight = 118;
/** Without a narrower choice, no more strands than this are drawn. */
export const mostStrands = 40;

/** A page with more strands than are drawn at once shows those through the rows in view. */
export const isLarge = (strands: readonly Strand[]): boolean => strands.length > mostStrands;

export type VisibleRow = {
  /** Stable while the row is the same, wherever it shows. */
  readonly key: string;
  readonly row: Row;
  readonly y: number;
  readonly isOpen: boolean | undefined;
  /** It would stand here (`there`), or no longer. */
  readonly stands?: 'there' | 'gone';
};

/** What of a tree's rows shows. */
export type Shown = {
  /** Places whose children are folded away. */
  readonly closed: ReadonlySet<number>;
  /** Folded places that are opened. */
  readonly opened: ReadonlySet<number>;
  /** Only rows whose names hold this, and what is above them; empty for all. */
  readonly filter: string;
};

/** Which rows show, and for each place the line that stands for it: its own, or the folded row above it. */
/** All rows, as they are. */
export const allShown: Shown = { closed: new Set(), opened: new Set(), filter: '' };

export type RowLayout = { readonly rows: readonly VisibleRow[]; readonly lineOf: Int32Array };

/** Lays the rows out: without those below closed ones and those that the filter leaves out, with what opened ones stand for. */
export function layoutRows(
  rows: readonly Row[],
  { closed, opened, filter }: Shown,
  { there, gone, count }: StandsDrawn = nothingMoved,
): RowLayout {
  const parents = new Set(rows.map((row) => row.parent));
  const lineOf = new Int32Array(rows.length + count);
  const shown: VisibleRow[] = [];
  const folded = new Set<number>();
  const kept = filter === '' ? undefined : keptBy(rows, filter);
  const push = (row: Row, key: string, isOpen: boolean | undefined): void => {
    const stands = gone.has(row.place) ? { stands: 'gone' as const } : row.place >= rows.length ? { stands: 'there' as const } : {};
    shown.push({ key, row, y: shown.length * rowHeight + rowHeight / 2, isOpen, ...stands });
  };
  /** The rows that come below a place: their lines are those of the place where it is folded away or left out. */
  const pushThere = (place: number, isShown: boolean, line = lineOf[place] ?? 0, deeper = 0): void => {
    for (const row of there.get(place) ?? []) {
      lineOf[row.place] = isShown ? shown.length : line;
      const depth = row.depth + deeper;
      if (isShown) push({ ...row, depth }, `${row.place}`, undefined);
      // What stands in a part that stands elsewhere itself goes along.
      pushThere(row.of, isShown, line, depth - (rows[row.of]?.depth ?? 0));
    }
  };
  for (const row of rows) {
    if (kept && !kept.has(row.place)) {
      lineOf[row.place] = Math.max(0, shown.length - 1);
      if (!gone.has(row.place)) pushThere(row.place, false);
      continue;
    }
    if (folded.has(row.parent)) {
      folded.add(row.place);
      lineOf[row.place] = lineOf[row.parent] ?? 0;
      if (!gone.has(row.place)) pushThere(row.place, false);
      continue;
    }
    lineOf[row.place] = shown.length;
    const hasChildren = parents.has(row.place) || there.has(row.place);
    if (hasChildren && closed.has(row.place)) folded.add(row.place);
    const isFolded = row.sameAs !== undefined;
    push(row, `${row.place}`, isFolded ? opened.has(row.place) : hasChildren ? !closed.has(row.place) : undefined);
    if (isFolded && opened.has(row.place)) for (const echo of echoesOf(rows, row)) push(echo, `${row.place}.${echo.place}`, undefined);
    if (!gone.has(row.place)) pushThere(row.place, !(hasChildren && closed.has(row.place)));
  }
  return { rows: shown, lineOf };
}

/** The rows that a folded one stands for, at its depth: those below its like. */
function echoesOf(rows: readonly Row[], row: Row): Row[] {
  const like = rows[row.sameAs ?? -1];
  const found: Row[] = [];
  for (let at = (like?.place ?? rows.length) + 1; like && (rows[at]?.depth ?? -1) > like.depth; at++) {
    const one = rows[at];
    if (one) found.push({ ...one, depth: one.depth - like.depth + row.depth });
  }
  return found;
}

/** Places whose rows hold a text in their names, with those above them. */
function keptBy(rows: readonly Row[], filter: string): ReadonlySet<number> {
  const wanted = filter.toLowerCase();
  const kept = new Set<number>();
  for (const row of rows) {
    if (!row.name.toLowerCase().includes(wanted)) continue;
    for (let at: Row | undefined = row; at && !kept.has(at.place); at = rows[at.parent]) kept.add(at.place);
  }
  return kept;
}

/** Strands of one kind, name and home as one, by the key under which they are told apart; those in `apart`, the chosen one and loose ends stay themselves. */
export function bundled(strands: readonly Strand[], apart: ReadonlySet<string>, chosen: string | undefined): readonly Bundle[] {
  const groups = new Map<string, Strand[]>();
  for (const strand of strands) {
    const key = `${strand.kind} ${strand.home} ${strand.name}`;
    const isOwn = apart.has(key) || strand.id === chosen || strand.loose !== undefined;
    const at = isOwn ? `${key} ${strand.id}` : key;
    const known = groups.get(at);
    if (known) known.push(strand);
    else groups.set(at, [strand]);
  }
  return [...groups].flatMap(([key, all]): Bundle[] => {
    const [first] = all;
    if (!first) return [];
    return [{ key, count: all.length, strand: all.length === 1 ? first : { ...first, knots: all.flatMap((one) => one.knots) } }];
  });
}

/** Strands that are drawn as one, with how many they are. */
export type Bundle = { readonly key: string; readonly count: number; readonly strand: Strand };

/** The columns of what is drawn, by its key. */
export type Columns = ReadonlyMap<string, number>;

/**
 * The columns for what is in view: whatever has one already keeps it, the rest takes the first that
 * are free. Gives the same map where nothing changes.
 */
export function assignColumns(before: Columns, keys: readonly string[]): Columns {
  const wanted = new Set(keys);
  const next = new Map([...before].filter(([key]) => wanted.has(key)));
  const taken = new Set(next.values());
  let free = 0;
  for (const key of keys) {
    if (next.has(key)) continue;
    while (taken.has(free)) free++;
    taken.add(free);
    next.set(key, free);
  }
  return next.size === before.size && keys.every((key) => before.has(key)) ? before : next;
}

/** Each strand as it is. */
export const unbundled = (strands: readonly Strand[]): readonly Bundle[] => strands.map((strand) => ({ key: strand.id, count: 1, strand }));

/** What has a knot among some lines, the weightiest of it: the chosen strand, loose ends, then the most knots. */
export function inView(
  bundles: readonly Bundle[],
  { lineOf }: RowLayout,
  first: number,
  last: number,
  most: number,
  chosen: string | undefined,
): readonly Bundle[] {
  const isIn = ({ strand }: Bundle): boolean =>
    strand.knots.some(({ place }) => place >= 0 && (lineOf[place] ?? -1) >= first && (lineOf[place] ?? -1) <= last);
  const found = bundles.filter((one) => one.strand.id === chosen || isIn(one));
  if (found.length <= most) return found;
  const weight = ({ strand }: Bundle): number =>
    (strand.id === chosen ? 1e6 : 0) + (strand.loose === undefined ? 0 : 1e4) + strand.knots.length;
  const kept = new Set([...found].sort((a, b) => weight(b) - weight(a)).slice(0, most));
  return found.filter((one) => kept.has(one));
}

export type Choice = { readonly strands: readonly Strand[]; readonly hidden: number; readonly why: 'none' | 'many' | 'filter' };

const touches = (strand: Strand, place: number | undefined): boolean =>
  place !== undefined && strand.knots.some((knot) => knot.place === place);

/** The strands that the kinds and the switch leave. */
export function wantedStrands(strands: readonly Strand[], state: TreeState, place: number | undefined): readonly Strand[] {
  return strands.filter((strand) => {
    if (strand.id === state.strand) return true;
    if (state.without.has(strand.kind)) return false;
    if (state.only === 'loose') return strand.loose !== undefined;
    return state.only === 'through' && place !== undefined ? touches(strand, place) : true;
  });
}

/** The strands to draw: by kind, by the switch, and never more than fit; how many are hidden, and why. */
export function chooseStrands(strands: readonly Strand[], state: TreeState, place: number | undefined): Choice {
  const wanted = wantedStrands(strands, state, place);
  if (wanted.length <= mostStrands)
    return { strands: wanted, hidden: strands.length - wanted.length, why: wanted.length < strands.length ? 'filter' : 'none' };
  const weight = (strand: Strand): number =>
    (strand.id === state.strand ? 1e6 : 0) +
    (touches(strand, place) ? 1e5 : 0) +
    (strand.loose === undefined ? 0 : 1e4) +
    strand.knots.length;
  const kept = new Set([...wanted].sort((a, b) => weight(b) - weight(a)).slice(0, mostStrands));
  return { strands: wanted.filter((strand) => kept.has(strand)), hidden: strands.length - kept.size, why: 'many' };
}

/** Distance between columns: wide where there is room, and never so close that the names touch. */
export function columnWidth(count: number, available: number): number {
  return Math.max(22, Math.min(38, Math.floor((available - 90) / Math.max(count, 1))));
}

export type Segment = { readonly from: number; readonly to: number; readonly twoWay: boolean };
export type DrawnKnot = {
  readonly knot: Knot;
  readonly line: number;
  readonly folded: boolean;
  /** Its place would not be where it is. */
  readonly isGone: boolean;
};
export type DrawnStrand = {
  /** What it is told apart by, and how many strands it is. */
  readonly key: string;
  readonly count: number;
  readonly strand: Strand;
  readonly x: number;
  /** Lines as stretches between rows, merged; in row numbers. */
  readonly segments: readonly Segment[];
  /** Those to places that would not be where they are. */
  readonly before: readonly Segment[];
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
export function drawStrands(
  bundles: readonly Bundle[],
  { lineOf, rows }: RowLayout,
  width: number,
  columns?: Columns,
  gone: StandsDrawn['gone'] = nothingMoved.gone,
): DrawnStrand[] {
  return bundles.map(({ key, count, strand }, index): DrawnStrand => {
    const knots = strand.knots.filter((knot) => knot.place >= 0 && knot.place < lineOf.length);
    const line = (place: number): number => lineOf[place] ?? 0;
    const fromAbove = strand.kind === 'context' && !strand.knots.some((knot) => knot.kinds.includes('owns'));
    const segmentsOf = (knot: Knot): Segment[] => {
      const from = knot.from >= 0 ? line(knot.from) : fromAbove ? -1 : line(knot.place);
      const to = line(knot.place);
      return from === to ? [] : [{ from: Math.min(from, to), to: Math.max(from, to), twoWay: knot.twoWay }];
    };
    const isGone = ({ place }: Knot): boolean => gone.has(place);
    return {
      key,
      count,
      strand,
      x: 26 + (columns?.get(key) ?? index) * width,
      segments: mergeSegments(knots.filter((knot) => !isGone(knot)).flatMap(segmentsOf)),
      before: mergeSegments(knots.filter(isGone).flatMap(segmentsOf)),
      knots: knots.map((knot) => ({
        knot,
        line: line(knot.place),
        folded: rows[line(knot.place)]?.row.place !== knot.place,
        isGone: isGone(knot),
      })),
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
