import { KnotGlyph } from '../../theme/Glyph';

const rows = [
  { name: 'TodayPage', depth: 0 },
  { name: 'LevelBar', depth: 1 },
  { name: 'LockList', depth: 1 },
  { name: 'LockCard', depth: 2, guard: 'for each lock' },
  { name: 'LevelGauge', depth: 3 },
  { name: 'BookButton', depth: 3 },
] as const;

const rowHeight = 30;
const top = 50;
const at = (row: number): number => top + row * rowHeight + rowHeight / 2;

const strands = [
  {
    name: 'level',
    colour: 'var(--state)',
    x: 236,
    knots: [
      ['owns', 0],
      ['reads', 1],
      ['passes', 2],
      ['passes', 3],
      ['reads', 4],
    ],
  },
  {
    name: 'book',
    colour: 'var(--event)',
    x: 292,
    dash: '7 5',
    knots: [
      ['catches', 0],
      ['passes', 2],
      ['passes', 3],
      ['raises', 5],
    ],
  },
  {
    name: 'unit',
    colour: 'var(--loose)',
    x: 348,
    knots: [
      ['ground', 3],
      ['loose', 4],
    ],
  },
] as const;

/** A small tree with three strands, as Liana draws them: a value down, an event up, and a binding that is not met. */
export function TreePicture() {
  return (
    <svg
      viewBox={`0 0 420 ${top + rows.length * rowHeight + 8}`}
      width="100%"
      role="img"
      aria-label="A tree of six components. The state level goes from TodayPage down to LevelGauge; the event book goes up from BookButton; LevelGauge needs unit, and LockCard does not pass it."
    >
      {rows.map(({ name, depth, ...rest }, index) => (
        <g key={name}>
          {depth > 0 && <path d={`M${depth * 18},${at(index) - 14} v14 h9`} fill="none" stroke="var(--guide)" />}
          <text x={12 + depth * 18} y={at(index) + 4.5} fill="var(--ink)" fontSize={13.5} fontWeight={index === 0 ? 700 : 500}>
            {name}
            {'guard' in rest && (
              <tspan fill="var(--faint)" fontSize={11.5} dx={8}>
                {rest.guard}
              </tspan>
            )}
          </text>
          <path d={`M206,${at(index) + rowHeight / 2} H412`} stroke="var(--hair)" />
        </g>
      ))}
      {strands.map((strand) => {
        const ends = strand.knots.map(([, row]) => at(row));
        return (
          <g key={strand.name}>
            <text
              transform={`translate(${strand.x + 2} ${top - 6}) rotate(-42)`}
              fill={strand.colour}
              fontFamily="var(--mono)"
              fontSize={12.5}
              fontWeight={600}
            >
              {strand.name}
            </text>
            <path
              d={`M${strand.x},${Math.min(...ends)} V${Math.max(...ends)}`}
              stroke={strand.colour}
              strokeWidth={2.2}
              {...('dash' in strand ? { strokeDasharray: strand.dash } : {})}
            />
            {strand.knots.map(([kind, row]) => (
              <KnotGlyph key={row} kind={kind} x={strand.x} y={at(row)} colour={strand.colour} />
            ))}
          </g>
        );
      })}
    </svg>
  );
}
