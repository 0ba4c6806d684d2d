import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { CardAnswer, Excerpt, Summary, TreeAnswer } from '../../analysis/answers';
import { KnotMark, knotWords, strandColour, strandWords } from '../../theme/Glyph';
import { useUrlParams } from '../../parts/useUrlParams';
import { Card } from './Card';
import { sheetWords } from './sheet-words';
import { Controls } from './Controls';
import { chooseStrands, columnWidth, drawStrands, headHeight, layoutRows, rowHeight, type RowLayout, shortName } from './drawing';
import { NoComponents } from './NoComponents';
import { closedPlaces, pathOf, type TreeState, withState } from './state';
import { StrandLayer } from './StrandLayer';
import { indent, TreeRow } from './TreeRow';

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
export function TreeView({ summary, project, tree, state, place, card, code, part }: Props) {
  const [params, change] = useUrlParams();
  const scroll = useRef<HTMLDivElement>(null);
  const [hovered, setHovered] = useState<number>();
  const [width, setWidth] = useState(852);

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

  const layout = useMemo(() => layoutRows(tree?.rows ?? [], closedPlaces(tree?.rows ?? [], state.closed)), [tree, state.closed]);
  const lines = useMemo(() => guideLines(layout), [layout]);
  const choice = useMemo(() => chooseStrands(tree?.strands ?? [], state, place), [tree, state, place]);
  const names = useMemo(() => (tree ? namesWidth(tree, width) : 300), [tree, width]);
  const column = columnWidth(choice.strands.length, width - names);
  const drawn = useMemo(() => drawStrands(choice.strands, layout, column), [choice, layout, column]);

  const bright = useMemo(() => {
    if (state.strand && choice.strands.some((strand) => strand.id === state.strand)) return new Set([state.strand]);
    const through = hovered ?? place;
    return through === undefined
      ? undefined
      : new Set(choice.strands.filter((strand) => strand.knots.some((knot) => knot.place === through)).map((strand) => strand.id));
  }, [choice, hovered, place, state.strand]);
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

  const choosePlace = useCallback((next: number) => tree && go({ place: pathOf(tree.rows, next), strand: undefined }), [go, tree]);
  const chooseKnot = useCallback(
    (strand: string, next: number) => tree && go({ strand, place: next >= 0 ? pathOf(tree.rows, next) : undefined }),
    [go, tree],
  );
  const fold = useCallback(
    (next: number, shut?: boolean) => {
      const closed = new Set(state.closed);
      const path = pathOf(tree?.rows ?? [], next);
      if (shut ?? !closed.has(path)) closed.add(path);
      else closed.delete(path);
      go({ closed: [...closed].join('|') }, true);
    },
    [go, state.closed, tree],
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

  const area = Math.max(width - names, 26 + drawn.length * column + 64);
  return (
    <>
      <Controls summary={summary} tree={tree} state={state} place={place} onChange={go} />
      <div className="work-area">
        <section className="sheet tree-sheet" aria-label={`Components of ${tree.page.name}`}>
          <div className="tree-scroll" ref={scroll}>
            <div className="tree-head" style={{ height: headHeight, width: names + area }}>
              <div className="corner" role="status" style={{ width: names }}>
                {sheetWords(tree, choice, place !== undefined)}
              </div>
              <div className="labels" role="group" aria-label="Strands" style={{ width: area }}>
                {drawn.map(({ strand, x }) => (
                  <button
                    key={strand.id}
                    type="button"
                    className="plain strand-label"
                    aria-pressed={strand.id === state.strand}
                    aria-label={`${strandWords[strand.kind][0]} ${strand.name}${strand.loose ? ', loose end' : ''}, ${strand.knots.length} knots`}
                    title={strand.loose ?? `${strandWords[strand.kind][0]} ${strand.name}`}
                    style={{
                      left: x + 4,
                      color: strandColour(strand.kind, strand.loose !== undefined),
                      ...(bright && !bright.has(strand.id) ? { color: 'var(--faint)', fontWeight: 400 } : {}),
                    }}
                    onClick={() => go({ strand: strand.id === state.strand ? undefined : strand.id })}
                  >
                    {shortName(strand.name)}
                  </button>
                ))}
              </div>
            </div>
            <div
              className="tree tree-body"
              role="tree"
              tabIndex={0}
              aria-label={`Tree of ${tree.page.name}. Arrow keys move and fold, with Alt they go along the chosen strand, Enter goes to the card.`}
              {...(place === undefined ? {} : { 'aria-activedescendant': `row-${place}` })}
              style={{ height: virtual.getTotalSize(), width: names + area, ['--names' as string]: `${names}px` }}
              onKeyDown={onKeyDown}
              onMouseLeave={() => setHovered(undefined)}
            >
              {items.map((item) => {
                const visible = layout.rows[item.index];
                if (!visible) return null;
                const { row, y, isOpen } = visible;
                return (
                  <div key={row.place} role="presentation" onMouseEnter={() => setHovered(row.place)}>
                    <TreeRow
                      row={row}
                      y={y}
                      isOpen={isOpen}
                      isChosen={row.place === place}
                      isFaded={touched !== undefined && !touched.has(row.place)}
                      lines={lines[item.index] ?? []}
                      hasChildrenShown={isOpen === true}
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
        />
      </div>
    </>
  );
}
