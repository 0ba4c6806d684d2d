import type { Strand } from '@liana/core';
import type { RowLayout } from './drawing';
import { loosePlaces } from './large';

type Props = {
  layout: RowLayout;
  strands: readonly Strand[];
  place: number | undefined;
  top: number;
  bottom: number;
  onPlace: (place: number) => void;
};

/** The whole page as a strip at the edge: what of it is in view, where loose ends are, and the chosen row. */
export function Strip({ layout, strands, place, top, bottom, onPlace }: Props) {
  const count = Math.max(layout.rows.length, 1);
  const at = (line: number): string => `${(line / count) * 100}%`;
  const lineOf = (one: number): number => layout.lineOf[one] ?? 0;
  return (
    <div
      className="strip"
      aria-hidden="true"
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        const row = layout.rows[Math.floor(((event.clientY - box.top) / box.height) * count)];
        if (row) onPlace(row.row.place);
      }}
    >
      <i className="thumb" style={{ top: at(top), height: at(bottom - top + 1) }} />
      {loosePlaces(strands).map((one) => (
        <i key={one} className="loose" style={{ top: at(lineOf(one)) }} />
      ))}
      {place !== undefined && <i className="chosen" style={{ top: at(lineOf(place)) }} />}
    </div>
  );
}
