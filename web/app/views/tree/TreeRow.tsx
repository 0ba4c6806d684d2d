import { memo } from 'react';
import type { Row } from '../../analysis/answers';
import { SeverityMark } from '../../theme/Glyph';
import { rowHeight, type VisibleRow } from './drawing';
import { indent } from './large';
import { standingAs } from './stands';

type Props = {
  row: Row;
  y: number;
  isOpen: boolean | undefined;
  isChosen: boolean;
  isFaded: boolean;
  /** It would stand here, or no longer. */
  stands: VisibleRow['stands'];
  /** For each level above, whether its line goes on below this row. */
  lines: readonly boolean[];
  hasChildrenShown: boolean;
  position: number;
  count: number;
  onChoose: (place: number) => void;
  onFold: (place: number) => void;
  /** It was dragged onto another row. */
  onMove: (from: number, to: number) => void;
};

/** The lines that lead from a parent to its children, and the component's mark. */
function Guides({ row, lines, hasChildrenShown }: Pick<Props, 'row' | 'lines' | 'hasChildrenShown'>) {
  const width = row.depth * indent + 26;
  const x = row.depth * indent + 16;
  const middle = rowHeight / 2;
  return (
    <svg className="guides" width={width} height={rowHeight} aria-hidden="true">
      <g fill="none" stroke="var(--guide)" strokeWidth={1.3}>
        {lines.map(
          (goesOn, level) => goesOn && level < row.depth - 1 && <path key={level} d={`M${level * indent + 16},0 V${rowHeight}`} />,
        )}
        {row.depth > 0 && <path d={`M${x - indent},0 V${middle - 5} q0,5 6,5 h4`} />}
        {row.depth > 0 && lines[row.depth - 1] && <path d={`M${x - indent},${middle - 5} V${rowHeight}`} />}
        {hasChildrenShown && <path d={`M${x},${middle + 8} V${rowHeight}`} />}
      </g>
      {row.role === 'page' && <rect x={x - 6.5} y={middle - 7} width={13} height={14} rx={2} fill="var(--moss)" />}
      {row.sameAs === undefined && row.role === 'layout' && (
        <rect x={x - 6} y={middle - 6} width={12} height={12} rx={2} fill="var(--sheet)" stroke="var(--moss)" strokeWidth={2} />
      )}
      {row.sameAs !== undefined && (
        <path d={`M${x - 6},${middle - 3} h12 M${x - 6},${middle + 3} h12`} stroke="var(--loose)" strokeWidth={2} />
      )}
      {row.sameAs === undefined && row.role === 'component' && <circle cx={x} cy={middle} r={3.4} fill="var(--moss)" />}
    </svg>
  );
}

/** What is said of a row beside its name. */
const standsWords = { there: 'would stand here', gone: 'would stand elsewhere' } as const;

const dragged = 'application/x-liana-place';

function TreeRowPlain(props: Props) {
  const { row, y, isOpen, isChosen, isFaded, stands, lines, hasChildrenShown, position, count, onChoose, onFold, onMove } = props;
  const canMove = row.parent >= 0 && stands === undefined;
  const classes = ['tree-row', isChosen && 'chosen', isFaded && 'faded', stands].filter(Boolean).join(' ');
  return (
    <div
      className={classes}
      role="presentation"
      style={{ transform: `translateY(${y - rowHeight / 2}px)` }}
      onClick={() => onChoose(standingAs(row))}
      draggable={canMove}
      onDragStart={(event) => {
        event.dataTransfer.setData(dragged, `${row.place}`);
        event.dataTransfer.effectAllowed = 'move';
      }}
      onDragOver={(event) => {
        if (stands === undefined && event.dataTransfer.types.includes(dragged)) event.preventDefault();
      }}
      onDrop={(event) => {
        const from = event.dataTransfer.getData(dragged);
        if (from !== '' && Number(from) !== row.place) onMove(Number(from), row.place);
      }}
    >
      <div
        id={`row-${row.place}`}
        className="name-cell"
        title={[row.name, row.guard].filter(Boolean).join(' · ')}
        role="treeitem"
        aria-level={row.depth + 1}
        aria-posinset={position}
        aria-setsize={count}
        aria-selected={isChosen}
        {...(isOpen === undefined ? {} : { 'aria-expanded': isOpen })}
        aria-label={[row.name, row.guard, row.worst && `has a ${row.worst}`, stands && standsWords[stands]].filter(Boolean).join(', ')}
      >
        <Guides row={row} lines={lines} hasChildrenShown={hasChildrenShown} />
        <span className="name">{row.name}</span>
        {row.worst && (
          <span className="worst">
            <SeverityMark severity={row.worst} />
          </span>
        )}
        {isOpen !== undefined && (
          <button
            type="button"
            tabIndex={-1}
            className="plain twist"
            aria-label={isOpen ? `Fold ${row.name}` : `Unfold ${row.name}`}
            onClick={(event) => {
              event.stopPropagation();
              onFold(row.place);
            }}
          >
            <svg width={18} height={30} aria-hidden="true">
              <path d={isOpen ? 'M5,13 l4,4 4,-4' : 'M7,11 l4,4 -4,4'} fill="none" stroke="var(--faint)" strokeWidth={1.6} />
            </svg>
          </button>
        )}
        {row.guard && <span className="guard">{row.guard}</span>}
      </div>
    </div>
  );
}

/** One row: its place in the tree, its name, how it is repeated, conditional or slotted. */
export const TreeRow = memo(TreeRowPlain);
