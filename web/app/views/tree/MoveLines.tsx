import { rowHeight } from './drawing';
import { indent } from './large';
import type { ShownStand } from './stands';
import type { TreeDrawing } from './useTreeDrawing';

/** For each place that would stand elsewhere, a line from where it is to where it would be. The card says it in words. */
export function MoveLines({ stands, drawing: { layout, names, moved } }: { stands: readonly ShownStand[]; drawing: TreeDrawing }) {
  const lines = stands.flatMap(({ moved: place, target }) => {
    const there = moved.there.get(target)?.find((row) => row.of === place);
    const [from, to] = [layout.lineOf[place], there && layout.lineOf[there.place]];
    const start = from === undefined ? undefined : layout.rows[from]?.row;
    if (from === undefined || to === undefined || !start || !there || from === to) return [];
    return [{ key: `${place} ${target}`, from, to, x1: start.depth * indent + 10, x2: there.depth * indent + 10 }];
  });
  if (lines.length === 0) return null;
  return (
    <svg className="move-lines" aria-hidden="true" width={names} height={layout.rows.length * rowHeight}>
      {lines.map(({ key, from, to, x1, x2 }, at) => {
        const [y1, y2] = [from, to].map((line) => line * rowHeight + rowHeight / 2) as [number, number];
        const [left, bend] = [5 + (at % 3) * 4, y1 < y2 ? 6 : -6];
        return (
          <g key={key} fill="none" stroke="var(--moss)" strokeWidth={1.6}>
            <path
              d={`M${x1},${y1} H${left + 6} Q${left},${y1} ${left},${y1 + bend} V${y2 - bend} Q${left},${y2} ${left + 6},${y2} H${x2 - 3}`}
              strokeDasharray="3 3"
            />
            <path d={`M${x2 - 9},${y2 - 4} L${x2 - 3},${y2} L${x2 - 9},${y2 + 4}`} />
          </g>
        );
      })}
    </svg>
  );
}
