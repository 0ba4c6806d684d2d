import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { CardAnswer, Excerpt, Summary, TreeAnswer, WhatIfAnswer } from '../../analysis/answers';
import { KnotMark, knotWords, strandColour, strandWords } from '../../theme/Glyph';
import { useUrlParams } from '../../parts/useUrlParams';
import { Card } from './Card';
import { sheetWords } from './sheet-words';
import { Controls } from './Controls';
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
  shortName,
  unbundled,
  wantedStrands,
} from './drawing';
import { ancestorsOf, indent, labelTitle, loosePlaces, nextAmong, pinnedOf, placesLike, shiftOf, viewWords } from './large';
import { NoComponents } from './NoComponents';
import { pathOf, placesAt, type TreeState, withState } from './state';
import { StrandLayer } from './StrandLayer';
import { Strip } from './Strip';
import { TreeRow } from './TreeRow';

export type CodeShown = { readonly caption: string; readonly loose: boolean; readonly excerpt: Excerpt };

type Props = {
  summary: Summary;
  project: { readonly id: string; readonly name: string };
  tree: TreeAnswer | undefined;
  state: TreeState;
  place: number | undefined;
  card: CardAnswer | undefined;
  code: readonly CodeShown[];
  /** The planned part that the chosen component is, by its name. */
  part: string | undefined;
  /** The place of which it is asked what if it stood elsewhere, and what would come of that at the chosen one. */
  moved: number | undefined;
  answered: WhatIfAnswer | undefined;
};

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

/** The component tree of a page, with its strands hanging beside the rows. */
export function TreeView({ summary, project, tree, state, place, card, code, part, moved, answered }: Props) {
  const [params, change] = useUrlParams();
  const scroll = useRef<HTMLDivElement>(null);
  const [hovered, setHovered] = useState<number>();
  const [width, setWidth] = useState(852);
  const [border, setBorder] = useState<number>();
  const [columns, setColumns] = useState<Columns>(new Map());

  const go = useCallback(
    (next: Parameters<typeof withState>[1], replace = false) =>
      change((before) => withState(before, { code: undefined, ...next }), { replace }),
    [change],
  );

  useEffect(() => {
    if (!scroll.current) return;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(scroll.current);
    return () => observer.disconnect();
  }, []);

  const layout = useMemo(() => {
    const rows = tree?.rows ?? [];
    return layoutRows(rows, { closed: placesAt(rows, state.closed), opened: placesAt(rows, state.open), filter: state.rows });
  }, [tree, state.closed, state.open, state.rows]);
  const lines = useMemo(() => guideLines(layout), [layout]);
  const natural = useMemo(() => (tree ? namesWidth(tree, width) : 300), [tree, width]);
  const names = Math.min(border ?? natural, Math.max(width - 120, 160));
  const chosenStrand = tree?.strands.find((strand) => strand.id === state.strand);
  const touched = useMemo(() => (chosenStrand ? new Set(chosenStrand.knots.map((knot) => knot.place)) : undefined), [chosenStrand]);

  const virtual = useVirtualizer({
    count: layout.rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => rowHeight,
    overscan: 8,
    scrollMargin: headHeight,
    scrollPaddingStart: headHeight,
  });
  const items = virtual.getVirtualItems();
  const first = items[0]?.index ?? 0;
  const last = items.at(-1)?.index ?? 0;
  const top = Math.min(Math.floor((virtual.scrollOffset ?? 0) / rowHeight), Math.max(layout.rows.length - 1, 0));
  const bottom = Math.min(top + Math.ceil(((virtual.scrollRect?.height ?? 600) - headHeight) / rowHeight), layout.rows.length - 1);

  const large = isLarge(tree?.strands ?? []);
  const choice = useMemo(() => chooseStrands(tree?.strands ?? [], state, place), [tree, state, place]);
  const bundles = useMemo(
    () => (large ? bundled(wantedStrands(tree?.strands ?? [], state, place), state.apart, state.strand) : unbundled(choice.strands)),
    [large, tree, state, place, choice],
  );
  const room = large ? Math.max(4, Math.min(mostStrands, Math.floor((width - names - 90) / 26))) : bundles.length;
  const shownBundles = useMemo(
    () => (large ? inView(bundles, layout, top, bottom, room, state.strand) : bundles),
    [large, bundles, layout, top, bottom, room, state.strand],
  );
  const keys = useMemo(() => shownBundles.map((one) => one.key), [shownBundles]);
  const assigned = large ? assignColumns(columns, keys) : columns;
  if (assigned !== columns) setColumns(assigned);
  const column = large ? 26 : columnWidth(bundles.length, width - names);
  const drawn = useMemo(
    () => drawStrands(shownBundles, layout, column, large ? assigned : undefined),
    [shownBundles, layout, column, large, assigned],
  );

  const bright = useMemo(() => {
    const strands = shownBundles.map((one) => one.strand);
    if (state.strand && strands.some((strand) => strand.id === state.strand)) return new Set([state.strand]);
    const through = hovered ?? place;
    const touching = strands.filter((strand) => strand.knots.some((knot) => knot.place === through)).map((strand) => strand.id);
    // A row that the pointer passes over without a strand takes no colour from the others.
    return through === undefined || (touching.length === 0 && through !== place) ? undefined : new Set(touching);
  }, [shownBundles, hovered, place, state.strand]);

  const choosePlace = useCallback((next: number) => tree && go({ place: pathOf(tree.rows, next), strand: undefined }), [go, tree]);
  const chooseKnot = useCallback(
    (strand: string, next: number) => tree && go({ strand, place: next >= 0 ? pathOf(tree.rows, next) : undefined }),
    [go, tree],
  );
  const fold = useCallback(
    (next: number, shut?: boolean) => {
      const path = pathOf(tree?.rows ?? [], next);
      if (tree?.rows[next]?.sameAs !== undefined) {
        const open = new Set(state.open);
        if (shut ?? open.has(path)) open.delete(path);
        else open.add(path);
        go({ open: [...open].join('|') }, true);
        return;
      }
      const closed = new Set(state.closed);
      if (shut ?? !closed.has(path)) closed.add(path);
      else closed.delete(path);
      go({ closed: [...closed].join('|') }, true);
    },
    [go, state.closed, state.open, tree],
  );

  const line = place === undefined ? -1 : (layout.lineOf[place] ?? -1);
  useEffect(() => {
    if (line >= 0) virtual.scrollToIndex(line, { align: 'auto' });
    // Scrolling follows the choice alone, not every new virtualiser.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [line]);

  if (!tree || tree.rows.length === 0) return <NoComponents summary={summary} />;

  const onKeyDown = (event: KeyboardEvent): void => {
    const here = layout.rows[Math.max(line, 0)];
    const moveTo = (index: number): void => {
      const next = layout.rows[Math.min(Math.max(index, 0), layout.rows.length - 1)];
      if (next) choosePlace(next.row.place);
    };
    if (!here) return;
    if (event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
      event.preventDefault();
      if (!chosenStrand) return;
      const knots = chosenStrand.knots.filter((knot) => knot.place >= 0);
      const at = knots.findIndex((knot) => knot.place === place);
      const next = knots[event.key === 'ArrowDown' ? at + 1 : at < 0 ? knots.length - 1 : at - 1];
      if (next) chooseKnot(chosenStrand.id, next.place);
      return;
    }
    switch (event.key) {
      case 'n':
      case 'N': {
        const next = nextAmong(loosePlaces(tree.strands), place, event.key === 'N');
        if (next !== undefined) choosePlace(next);
        break;
      }
      case 'm':
      case 'M': {
        const next = nextAmong(placesLike(tree.rows, place), place, event.key === 'M');
        if (next !== undefined) choosePlace(next);
        break;
      }
      case 'ArrowDown':
        moveTo(line + 1);
        break;
      case 'ArrowUp':
        moveTo(line - 1);
        break;
      case 'Home':
        moveTo(0);
        break;
      case 'End':
        moveTo(layout.rows.length - 1);
        break;
      case 'ArrowRight':
        if (here.isOpen === false) fold(here.row.place, false);
        else if (here.isOpen) moveTo(line + 1);
        break;
      case 'ArrowLeft':
        if (here.isOpen) fold(here.row.place, true);
        else if (here.row.parent >= 0) choosePlace(here.row.parent);
        break;
      case 'Enter':
      case ' ':
        document.getElementById('card')?.focus();
        break;
      case 'Escape':
        go({ place: undefined, strand: undefined });
        break;
      default:
        return;
    }
    event.preventDefault();
  };

  const widest = drawn.reduce((most, one) => Math.max(most, one.x), 0);
  const area = Math.max(width - names, widest + 64);
  const shift = shiftOf(layout, top, bottom, names);
  const above = ancestorsOf(tree.rows, layout.rows[top]?.row);
  const pinned = pinnedOf(above, width);
  return (
    <>
      <Controls summary={summary} tree={tree} state={state} place={place} onChange={go} />
      <div className="work-area">
        <section className="sheet tree-sheet" aria-label={`Components of ${tree.page.name}`}>
          <div className="tree-scroll" ref={scroll}>
            <div className="tree-head" style={{ height: headHeight, width: names + area }}>
              <div className="corner" role="status" style={{ width: names }}>
                {large
                  ? viewWords(tree, layout, { top, bottom, shown: shownBundles.length })
                  : sheetWords(tree, choice, place !== undefined)}
              </div>
              <div className="labels" role="group" aria-label="Strands" style={{ width: area }}>
                {drawn.map(({ key, count, strand, x }) => (
                  <button
                    key={key}
                    type="button"
                    className="plain strand-label"
                    aria-pressed={strand.id === state.strand}
                    aria-label={`${strandWords[strand.kind][0]} ${strand.name}${strand.loose ? ', loose end' : ''}, ${strand.knots.length} knots`}
                    title={strand.loose ?? labelTitle(tree.rows, strand, count)}
                    style={{
                      left: x + 4,
                      color: strandColour(strand.kind, strand.loose !== undefined),
                      ...(bright && !bright.has(strand.id) ? { color: 'var(--faint)', fontWeight: 400 } : {}),
                    }}
                    onClick={() =>
                      count > 1
                        ? go({ apart: [...state.apart, key].join('|') })
                        : go({ strand: strand.id === state.strand ? undefined : strand.id })
                    }
                  >
                    {shortName(strand.name, count > 1 ? 13 : 17)}
                    {count > 1 ? ` ×${count}` : ''}
                  </button>
                ))}
              </div>
            </div>
            {large && above.length > 0 && top > 0 && (
              <div className="pinned" style={{ top: headHeight }}>
                <div style={{ width: Math.min(width, names + area) }}>
                  {pinned.length < above.length && <span>…&nbsp;›&nbsp;</span>}
                  {pinned.map((one) => (
                    <button key={one.place} type="button" className="plain" tabIndex={-1} onClick={() => choosePlace(one.place)}>
                      {one.name}
                    </button>
                  ))}
                </div>
              </div>
            )}
            <div
              className="tree tree-body"
              role="tree"
              tabIndex={0}
              aria-label={`Tree of ${tree.page.name}. Arrow keys move and fold, with Alt they go along the chosen strand, N goes to the next loose end, M to the next place of the component, with Shift back, Enter goes to the card.`}
              {...(place === undefined ? {} : { 'aria-activedescendant': `row-${place}` })}
              style={{
                height: virtual.getTotalSize(),
                width: names + area,
                ['--names' as string]: `${names}px`,
                ['--shift' as string]: `${-shift}px`,
              }}
              onKeyDown={onKeyDown}
              onMouseLeave={() => setHovered(undefined)}
            >
              {items.map((item) => {
                const visible = layout.rows[item.index];
                if (!visible) return null;
                const { key, row, y, isOpen } = visible;
                return (
                  <div key={key} role="presentation" onMouseEnter={() => setHovered(row.place)}>
                    <TreeRow
                      row={row}
                      y={y}
                      isOpen={isOpen}
                      isChosen={row.place === place}
                      isFaded={touched !== undefined && !touched.has(row.place)}
                      lines={lines[item.index] ?? []}
                      hasChildrenShown={isOpen === true && row.sameAs === undefined}
                      position={item.index + 1}
                      count={layout.rows.length}
                      onChoose={choosePlace}
                      onFold={fold}
                    />
                  </div>
                );
              })}
              <StrandLayer
                strands={drawn}
                left={names}
                width={area}
                first={first}
                last={last}
                chosen={state.strand}
                bright={bright}
                onChoose={chooseKnot}
              />
            </div>
          </div>
          {large && <Strip layout={layout} strands={tree.strands} place={place} top={top} bottom={bottom} onPlace={choosePlace} />}
          <div
            className="border-handle"
            role="separator"
            aria-orientation="vertical"
            aria-label="Border between names and strands"
            aria-valuenow={names}
            aria-valuemin={160}
            aria-valuemax={Math.round(width - 120)}
            tabIndex={0}
            style={{ left: names }}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={(event) => {
              if (event.buttons !== 1) return;
              const left = scroll.current?.getBoundingClientRect().left ?? 0;
              setBorder(Math.max(160, Math.round(event.clientX - left)));
            }}
            onDoubleClick={() => setBorder(undefined)}
            onKeyDown={(event) => {
              if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
              event.preventDefault();
              setBorder(Math.max(160, names + (event.key === 'ArrowLeft' ? -20 : 20)));
            }}
          />
          <div className="legend" aria-label="What the knots mean">
            {(['owns', 'passes', 'renames', 'narrows', 'reads', 'changes', 'raises', 'catches', 'loose'] as const).map((kind) => (
              <span key={kind}>
                <KnotMark kind={kind} colour={kind === 'loose' ? 'var(--loose)' : 'var(--soft)'} />
                {knotWords[kind].replace(/ it$/, '')}
              </span>
            ))}
          </div>
        </section>
        <Card
          projectId={project.id}
          tree={tree}
          answer={card}
          strand={chosenStrand}
          place={place}
          code={code}
          params={params}
          part={part}
          onKnot={chooseKnot}
          onPlace={choosePlace}
          moved={moved}
          answered={answered}
          slot={state.slot}
          onChange={go}
        />
      </div>
    </>
  );
}
