import type { Derivation } from '@liana/core';
import { KnotGlyph, knotWords, strandColour } from '../../theme/Glyph';
import { type DerivesLayout, knotOf } from './derives-drawing';

type Props = {
  derivation: Derivation;
  layout: DerivesLayout;
  chosen: number | undefined;
  onChoose: (row: number) => void;
};

const dashes: Readonly<Record<string, string | undefined>> = { event: '7 4', store: '1.5 5', context: '1.5 5' };

/** The strands beside the declarations. A picture of what the rows and the card say in words. */
export function DerivesStrands({ derivation: { rows, strands }, layout, chosen, onChoose }: Props) {
  const yOf = (row: number): number => layout.rows[row]?.y ?? 0;
  return (
    <svg className="derives-strands" aria-hidden="true" width={layout.width} height={layout.height}>
      {rows.map((_, row) => {
        const ends = strands.flatMap((strand) =>
          strand.row === row || strand.to.some((one) => one.row === row) ? [layout.xOf(strand.column)] : [],
        );
        return ends.length === 0 ? null : (
          <line key={row} x1={Math.min(...ends)} x2={layout.width - 6} y1={yOf(row)} y2={yOf(row)} stroke="var(--line)" strokeWidth={1} />
        );
      })}
      {strands.map(({ row, column, to }) => {
        const source = rows[row];
        if (!source) return null;
        const colour = strandColour(source.kind, false);
        const x = layout.xOf(column);
        const all = [yOf(row), ...to.map((one) => yOf(one.row))];
        const isBright = chosen === undefined || row === chosen || to.some((one) => one.row === chosen);
        return (
          <g key={row} className={isBright ? undefined : 'faded'}>
            <line
              x1={x}
              x2={x}
              y1={Math.min(...all)}
              y2={Math.max(...all)}
              stroke={colour}
              strokeWidth={row === chosen ? 3 : 2.2}
              strokeDasharray={dashes[source.kind]}
              strokeLinecap={dashes[source.kind] === '1.5 5' ? 'round' : undefined}
            />
            <g className="knot" onClick={() => onChoose(row)}>
              <title>{source.name}</title>
              <KnotGlyph kind={source.kind === 'event' ? 'raises' : 'owns'} x={x} y={yOf(row)} colour={colour} />
            </g>
            {to.map((one) => {
              const kind = knotOf(one.how, rows[one.row]?.group);
              return (
                <g key={one.row} className="knot" onClick={() => onChoose(one.row)}>
                  <title>{`${rows[one.row]?.name ?? ''}: ${knotWords[kind]}${one.row < row ? ', which leads back' : ''}`}</title>
                  <KnotGlyph kind={kind} x={x} y={yOf(one.row)} colour={colour} />
                </g>
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}
