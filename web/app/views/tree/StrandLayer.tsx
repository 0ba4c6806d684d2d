import { memo } from 'react';
import { drawnKinds, KnotGlyph, knotWords, LeafGlyph, strandColour } from '../../theme/Glyph';
import { type DrawnStrand, rowHeight } from './drawing';

type Props = {
  strands: readonly DrawnStrand[];
  left: number;
  width: number;
  /** First and last line to draw. */
  first: number;
  last: number;
  chosen: string | undefined;
  /** Strands not faded; all when undefined. */
  bright: ReadonlySet<string> | undefined;
  onChoose: (strand: string, place: number) => void;
};

const dashes: Readonly<Record<string, string | undefined>> = { event: '7 4', store: '1.5 5', context: '1.5 5' };

function yOf(line: number, first: number): number {
  return (line - first) * rowHeight + rowHeight / 2;
}

type StrandProps = { drawn: DrawnStrand; first: number; last: number; isFaded: boolean; isChosen: boolean; onChoose: Props['onChoose'] };

/** One strand: its line in stretches, and its knots. */
function StrandLine({ drawn, first, last, isFaded, isChosen, onChoose }: StrandProps) {
  const { strand, x, segments, before, knots, fromAbove } = drawn;
  const colour = strandColour(strand.kind, strand.loose !== undefined);
  const dash = strand.loose === undefined ? dashes[strand.kind] : '3 5';
  const top = Math.min(...knots.map((knot) => knot.line));
  const width = isChosen ? 3.2 : 2.3;
  return (
    <g className={isFaded ? 'faded' : undefined}>
      {top > first && (
        <line
          x1={x}
          x2={x}
          y1={0}
          y2={Math.min(yOf(top, first), yOf(last + 1, first))}
          stroke={colour}
          strokeWidth={1}
          opacity={0.35}
          strokeDasharray="1 4"
        />
      )}
      {before
        .filter((segment) => segment.to >= first - 1 && segment.from <= last + 1)
        .map(({ from, to }) => (
          <line
            key={`before ${from}-${to}`}
            x1={x}
            x2={x}
            y1={from < 0 ? 0 : Math.max(yOf(from, first), -rowHeight)}
            y2={Math.min(yOf(to, first), yOf(last + 1, first))}
            stroke={colour}
            strokeWidth={width}
            strokeDasharray={dash}
            opacity={0.3}
          />
        ))}
      {segments
        .filter((segment) => segment.to >= first - 1 && segment.from <= last + 1)
        .map((segment) => {
          const y1 = segment.from < 0 ? 0 : Math.max(yOf(segment.from, first), -rowHeight);
          const y2 = Math.min(yOf(segment.to, first), yOf(last + 1, first));
          const line = { y1, y2, stroke: colour, strokeDasharray: dash, strokeLinecap: dash === '1.5 5' ? ('round' as const) : undefined };
          const key = `${segment.from}-${segment.to}`;
          if (!segment.twoWay) return <line key={key} x1={x} x2={x} strokeWidth={width} {...line} />;
          return (
            <g key={key}>
              <line x1={x - 2.2} x2={x - 2.2} strokeWidth={1.6} {...line} />
              <line x1={x + 2.2} x2={x + 2.2} strokeWidth={1.6} {...line} />
            </g>
          );
        })}
      {fromAbove && first === 0 && <rect x={x - 8} y={0} width={16} height={9} rx={3} fill={colour} />}
      {knots
        .filter((knot) => knot.line >= first && knot.line <= last)
        .map(({ knot, line, folded, isGone }) => {
          const y = yOf(line, first);
          const { kind, leaf } = drawnKinds(knot.kinds);
          return (
            <g key={knot.place} className="knot" opacity={isGone ? 0.35 : undefined} onClick={() => onChoose(strand.id, knot.place)}>
              <title>{`${knot.name}: ${knot.kinds.map((one) => knotWords[one]).join(', ')}`}</title>
              <rect x={x - 12} y={y - 14} width={26} height={28} fill="transparent" />
              {folded && kind !== 'loose' ? (
                <circle cx={x} cy={y} r={2.2} fill={colour} />
              ) : (
                <KnotGlyph kind={kind} x={x} y={y} colour={kind === 'loose' ? 'var(--loose)' : colour} />
              )}
              {leaf && !folded && <LeafGlyph x={x} y={y} colour={colour} />}
            </g>
          );
        })}
    </g>
  );
}

const Strand = memo(StrandLine);

/** The strands beside the rows that are in view. A picture of what the card says in words. */
export function StrandLayer({ strands, left, width, first, last, chosen, bright, onChoose }: Props) {
  return (
    <svg
      className="strand-layer"
      aria-hidden="true"
      width={width}
      height={(last - first + 1) * rowHeight}
      style={{ left, top: first * rowHeight }}
    >
      {strands.map((drawn) => (
        <Strand
          key={drawn.key}
          drawn={drawn}
          first={first}
          last={last}
          isFaded={bright !== undefined && !bright.has(drawn.strand.id)}
          isChosen={drawn.strand.id === chosen}
          onChoose={onChoose}
        />
      ))}
    </svg>
  );
}
