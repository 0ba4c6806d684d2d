import { useCallback, useRef, useState } from 'react';
import type { CardAnswer, Excerpt, LivesAnswer, ProposalAnswer, Summary, TreeAnswer } from '../../analysis/answers';
import { KnotMark, knotWords } from '../../theme/Glyph';
import { useUrlParams } from '../../parts/useUrlParams';
import { BorderHandle } from './BorderHandle';
import { Card } from './Card';
import { Controls } from './Controls';
import { NoComponents } from './NoComponents';
import type { ShownStand } from './stands';
import { pathOf, type TreeState, withState } from './state';
import { Strip } from './Strip';
import { TreeBody } from './TreeBody';
import { folded } from './tree-keys';
import { PinnedAncestors, TreeHead } from './TreeHead';
import { useTreeDrawing } from './useTreeDrawing';

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
  /** The place of which it is asked what if it stood elsewhere. */
  moved: number | undefined;
  /** Places that would stand elsewhere, with what would come of it, and the edits to do it. */
  stands: readonly ShownStand[];
  proposal: ProposalAnswer | undefined;
  /** What would come of it if the chosen strand's state lived at the chosen place. */
  lives: LivesAnswer | undefined;
};

/** The component tree of a page, with its strands hanging beside the rows. */
export function TreeView({ summary, project, tree, state, place, card, code, part, moved, stands, proposal, lives }: Props) {
  const [params, change] = useUrlParams();
  const scroll = useRef<HTMLDivElement>(null);
  const [hovered, setHovered] = useState<number>();
  const drawing = useTreeDrawing(scroll, tree, state, place, hovered, stands);

  const go = useCallback(
    (next: Parameters<typeof withState>[1], replace = false) =>
      change((before) => withState(before, { code: undefined, ...next }), { replace }),
    [change],
  );
  // Asked where a strand's state should live, a row is the answer.
  const isAskedToLive = state.lives;
  const choosePlace = useCallback(
    (next: number) => tree && go({ place: pathOf(tree.rows, next), ...(isAskedToLive ? {} : { strand: undefined }) }),
    [go, tree, isAskedToLive],
  );
  const chooseKnot = useCallback(
    (strand: string, next: number) => tree && go({ strand, place: next >= 0 ? pathOf(tree.rows, next) : undefined, lives: undefined }),
    [go, tree],
  );
  const moveTo = useCallback(
    (from: number, to: number) =>
      tree && go({ move: pathOf(tree.rows, from), place: pathOf(tree.rows, to), slot: undefined, strand: undefined }),
    [go, tree],
  );
  const { open, closed } = state;
  const fold = useCallback(
    (next: number, shut?: boolean) =>
      go(folded({ open, closed }, pathOf(tree?.rows ?? [], next), tree?.rows[next]?.sameAs !== undefined, shut), true),
    [go, open, closed, tree],
  );

  if (!tree || tree.rows.length === 0) return <NoComponents summary={summary} />;

  const { layout, width, names, top, bottom, chosenStrand } = drawing;
  return (
    <>
      <Controls summary={summary} tree={tree} state={state} place={place} onChange={go} />
      <div className="work-area">
        <section className="sheet tree-sheet" aria-label={`Components of ${tree.page.name}`}>
          <div className="tree-scroll" ref={scroll}>
            <TreeHead
              tree={tree}
              drawing={drawing}
              place={place}
              chosen={state.strand}
              onStrand={(strand) => go({ strand, lives: undefined })}
              onBundle={(key) => go({ apart: [...state.apart, key].join('|') })}
            />
            <PinnedAncestors tree={tree} drawing={drawing} onPlace={choosePlace} />
            <TreeBody
              tree={tree}
              drawing={drawing}
              place={place}
              strand={state.strand}
              stands={stands}
              acts={{ choosePlace, chooseKnot, fold, go, moveTo }}
              onHover={setHovered}
            />
          </div>
          {drawing.large && <Strip layout={layout} strands={tree.strands} place={place} top={top} bottom={bottom} onPlace={choosePlace} />}
          <BorderHandle names={names} width={width} scroll={scroll} onMove={drawing.setBorder} />
          <Legend />
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
          stands={stands}
          proposal={proposal}
          isAskedToLive={state.lives}
          lives={lives}
          onChange={go}
        />
      </div>
    </>
  );
}

function Legend() {
  return (
    <div className="legend" aria-label="What the knots mean">
      {(['owns', 'passes', 'renames', 'narrows', 'reads', 'changes', 'raises', 'catches', 'loose'] as const).map((kind) => (
        <span key={kind}>
          <KnotMark kind={kind} colour={kind === 'loose' ? 'var(--loose)' : 'var(--soft)'} />
          {knotWords[kind].replace(/ it$/, '')}
        </span>
      ))}
    </div>
  );
}
