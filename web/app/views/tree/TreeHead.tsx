import type { TreeAnswer } from '../../analysis/answers';
import { strandColour, strandWords } from '../../theme/Glyph';
import { headHeight, shortName } from './drawing';
import { ancestorsOf, labelTitle, pinnedOf, viewWords } from './large';
import { sheetWords } from './sheet-words';
import type { TreeDrawing } from './useTreeDrawing';

type HeadProps = {
  tree: TreeAnswer;
  drawing: TreeDrawing;
  place: number | undefined;
  chosen: string | undefined;
  /** A strand was chosen by its label, or left; or a bundle was opened, by its key. */
  onStrand: (strand: string | undefined) => void;
  onBundle: (key: string) => void;
};

/** What is shown, in words, and the names of the strands above their columns. */
export function TreeHead({ tree, drawing, place, chosen, onStrand, onBundle }: HeadProps) {
  const { names, area, large, layout, top, bottom, shownBundles, choice, drawn, bright } = drawing;
  return (
    <div className="tree-head" style={{ height: headHeight, width: names + area }}>
      <div className="corner" role="status" style={{ width: names }}>
        {large ? viewWords(tree, layout, { top, bottom, shown: shownBundles.length }) : sheetWords(tree, choice, place !== undefined)}
      </div>
      <div className="labels" role="group" aria-label="Strands" style={{ width: area }}>
        {drawn.map(({ key, count, strand, x }) => (
          <button
            key={key}
            type="button"
            className="plain strand-label"
            aria-pressed={strand.id === chosen}
            aria-label={`${strandWords[strand.kind][0]} ${strand.name}${strand.loose ? ', loose end' : ''}, ${strand.knots.length} knots`}
            title={strand.loose ?? labelTitle(tree.rows, strand, count)}
            style={{
              left: x + 4,
              color: strandColour(strand.kind, strand.loose !== undefined),
              ...(bright && !bright.has(strand.id) ? { color: 'var(--faint)', fontWeight: 400 } : {}),
            }}
            onClick={() => (count > 1 ? onBundle(key) : onStrand(strand.id === chosen ? undefined : strand.id))}
          >
            {shortName(strand.name, count > 1 ? 13 : 17)}
            {count > 1 ? ` ×${count}` : ''}
          </button>
        ))}
      </div>
    </div>
  );
}

type PinnedProps = { tree: TreeAnswer; drawing: TreeDrawing; onPlace: (place: number) => void };

/** The names of what stands around the first row in view; nothing at the top, and on small pages. */
export function PinnedAncestors({ tree, drawing: { large, layout, top, width, names, area }, onPlace }: PinnedProps) {
  const above = ancestorsOf(tree.rows, layout.rows[top]?.row);
  if (!large || above.length === 0 || top <= 0) return null;
  const pinned = pinnedOf(above, width);
  return (
    <div className="pinned" style={{ top: headHeight }}>
      <div style={{ width: Math.min(width, names + area) }}>
        {pinned.length < above.length && <span>…&nbsp;›&nbsp;</span>}
        {pinned.map((one) => (
          <button key={one.place} type="button" className="plain" tabIndex={-1} onClick={() => onPlace(one.place)}>
            {one.name}
          </button>
        ))}
      </div>
    </div>
  );
}
