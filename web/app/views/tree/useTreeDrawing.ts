import type { Strand } from '@liana/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect, useMemo, useState } from 'react';
import type { TreeAnswer } from '../../analysis/answers';
import {
  assignColumns,
  bundled,
  chooseStrands,
  type Columns,
  columnWidth,
  drawStrands,
  headHeight,
  inView,
  isLarge,
  layoutRows,
  mostStrands,
  rowHeight,
  type RowLayout,
  unbundled,
  wantedStrands,
} from './drawing';
import { indent } from './large';
import { drawnStands, type ShownStand, type StandsDrawn, strandsThen } from './stands';
import { placesAt, type TreeState } from './state';

/** Width of the column of names: as wide as they need, within bounds. */
function namesWidth(tree: TreeAnswer, available: number): number {
  const widest = tree.rows
    .slice(0, 2000)
    .reduce((most, row) => Math.max(most, row.depth * indent + 60 + row.name.length * 8.2 + Math.min(row.guard.length * 6, 180)), 240);
  return Math.round(Math.min(widest, Math.max(240, available * 0.5)));
}

/** For each row, whether the line of each level above goes on below it. */
function guideLines(layout: RowLayout): boolean[][] {
  const open: boolean[] = [];
  const lines: boolean[][] = new Array(layout.rows.length) as boolean[][];
  for (let at = layout.rows.length - 1; at >= 0; at--) {
    const depth = layout.rows[at]?.row.depth ?? 0;
    open.length = depth;
    lines[at] = Array.from({ length: depth }, (_, level) => open[level] ?? false);
    if (depth > 0) open[depth - 1] = true;
  }
  return lines;
}

/** What is drawn of a tree, and where. */
export type TreeDrawing = ReturnType<typeof useTreeDrawing>;

/**
 * Lays a tree out in the room that `scroll` has: the rows that are in view, and the strands through them.
 * `place` is the chosen one; `hovered` the one under the pointer; `stands` are places that would stand elsewhere.
 */
export function useTreeDrawing(
  scroll: RefObject<HTMLDivElement | null>,
  tree: TreeAnswer | undefined,
  state: TreeState,
  place: number | undefined,
  hovered: number | undefined,
  stands: readonly ShownStand[],
) {
  const [width, setWidth] = useState(852);
  const [border, setBorder] = useState<number>();
  useEffect(() => {
    if (!scroll.current) return;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(scroll.current);
    return () => observer.disconnect();
  }, [scroll]);

  const moved = useMemo(() => drawnStands(tree?.rows ?? [], stands), [tree, stands]);
  const layout = useMemo(() => {
    const rows = tree?.rows ?? [];
    return layoutRows(rows, { closed: placesAt(rows, state.closed), opened: placesAt(rows, state.open), filter: state.rows }, moved);
  }, [tree, state.closed, state.open, state.rows, moved]);
  const lines = useMemo(() => guideLines(layout), [layout]);
  const natural = useMemo(() => (tree ? namesWidth(tree, width) : 300), [tree, width]);
  const names = Math.min(border ?? natural, Math.max(width - 120, 160));

  const virtual = useVirtualizer({
    count: layout.rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => rowHeight,
    overscan: 8,
    scrollMargin: headHeight,
    scrollPaddingStart: headHeight,
  });
  const items = virtual.getVirtualItems();
  const top = Math.min(Math.floor((virtual.scrollOffset ?? 0) / rowHeight), Math.max(layout.rows.length - 1, 0));
  const bottom = Math.min(top + Math.ceil(((virtual.scrollRect?.height ?? 600) - headHeight) / rowHeight), layout.rows.length - 1);

  const line = place === undefined ? -1 : (layout.lineOf[place] ?? -1);
  useEffect(() => {
    if (line >= 0) virtual.scrollToIndex(line, { align: 'auto' });
    // Scrolling follows the choice alone, not every new virtualiser.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [line]);

  // Where the part that is asked about would stand, right below the chosen row.
  const asked = stands.find((one) => one.isAsked);
  const thereRow = asked && moved.there.get(asked.target)?.find((row) => row.of === asked.moved);
  const thereLine = thereRow === undefined ? -1 : (layout.lineOf[thereRow.place] ?? -1);
  useEffect(() => {
    if (thereLine >= 0) virtual.scrollToIndex(thereLine, { align: 'auto' });
    // As above, it follows the question alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [thereLine]);

  const all = useMemo(() => strandsThen(tree?.rows ?? [], tree?.strands ?? [], stands, moved), [tree, stands, moved]);
  const strands = useStrands({ all, gone: moved.gone, state, place, hovered, layout, top, bottom, room: width - names });
  const widest = strands.drawn.reduce((most, one) => Math.max(most, one.x), 0);
  return {
    layout,
    /** The rows that come and go where places would stand elsewhere. */
    moved,
    lines,
    items,
    height: virtual.getTotalSize(),
    width,
    /** Width of the column of names, and of what stands beside it. */
    names,
    area: Math.max(width - names, widest + 64),
    /** The rows that are in view, and those that are drawn. */
    top,
    bottom,
    first: items[0]?.index ?? 0,
    last: items.at(-1)?.index ?? 0,
    /** The row of the chosen place; -1 for none. */
    line,
    setBorder,
    ...strands,
  };
}

type View = {
  readonly all: readonly Strand[];
  readonly gone: StandsDrawn['gone'];
  readonly state: TreeState;
  readonly place: number | undefined;
  readonly hovered: number | undefined;
  readonly layout: RowLayout;
  readonly top: number;
  readonly bottom: number;
  readonly room: number;
};

/** The strands that are drawn: all of them, or on a large page those in view, equal ones in one bundle, each in the column that it has. */
function useStrands({ all, gone, state, place, hovered, layout, top, bottom, room }: View) {
  const [columns, setColumns] = useState<Columns>(new Map());
  const large = isLarge(all);
  const choice = useMemo(() => chooseStrands(all, state, place), [all, state, place]);
  const bundles = useMemo(
    () => (large ? bundled(wantedStrands(all, state, place), state.apart, state.strand) : unbundled(choice.strands)),
    [large, all, state, place, choice],
  );
  const most = large ? Math.max(4, Math.min(mostStrands, Math.floor((room - 90) / 26))) : bundles.length;
  const shownBundles = useMemo(
    () => (large ? inView(bundles, layout, top, bottom, most, state.strand) : bundles),
    [large, bundles, layout, top, bottom, most, state.strand],
  );
  const keys = useMemo(() => shownBundles.map((one) => one.key), [shownBundles]);
  const assigned = large ? assignColumns(columns, keys) : columns;
  if (assigned !== columns) setColumns(assigned);
  const column = large ? 26 : columnWidth(bundles.length, room);
  const drawn = useMemo(
    () => drawStrands(shownBundles, layout, column, large ? assigned : undefined, gone),
    [shownBundles, layout, column, large, assigned, gone],
  );

  const bright = useMemo(() => {
    const strands = shownBundles.map((one) => one.strand);
    if (state.strand && strands.some((strand) => strand.id === state.strand)) return new Set([state.strand]);
    const through = hovered ?? place;
    // What would be otherwise is shown before what goes through the chosen place.
    const isMoved = hovered === undefined && strands.some(({ knots }) => knots.some((knot) => gone.has(knot.place)));
    const isThrough = (at: number): boolean => (isMoved ? gone.has(at) : at === through);
    const touching = strands.filter((strand) => strand.knots.some((knot) => isThrough(knot.place))).map((strand) => strand.id);
    // A row that the pointer passes over without a strand takes no colour from the others.
    return through === undefined || (touching.length === 0 && through !== place) ? undefined : new Set(touching);
  }, [shownBundles, hovered, place, state.strand, gone]);

  const chosenStrand = all.find((strand) => strand.id === state.strand);
  const touched = useMemo(() => (chosenStrand ? new Set(chosenStrand.knots.map((knot) => knot.place)) : undefined), [chosenStrand]);
  return { large, choice, shownBundles, drawn, bright, chosenStrand, touched };
}
