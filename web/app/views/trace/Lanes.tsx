import type { KnotKind, LaneMarks, Rung, StepKind } from '@liana/core';
import { KnotMark } from '../../theme/Glyph';

/** The glyph of a knot that says what a step does. */
const glyphs: Readonly<Record<StepKind, KnotKind>> = {
  owns: 'owns',
  passes: 'passes',
  renames: 'renames',
  narrows: 'narrows',
  derives: 'narrows',
  gives: 'passes',
  reads: 'reads',
  paints: 'reads',
  starts: 'owns',
  changes: 'changes',
  raises: 'raises',
  relays: 'passes',
  catches: 'catches',
  calls: 'raises',
  provides: 'owns',
  takes: 'catches',
  publishes: 'raises',
  hears: 'catches',
};

const loose = new Set(['unheard', 'untaken', 'ungiven']);

/** The glyph of a rung; a loose end where the way ends and should not. */
export function glyphOf(rung: Rung): KnotKind {
  if (rung.by === 'impact' && rung.ending === 'read') return 'passes';
  return rung.ending !== undefined && loose.has(rung.ending) && rung.kind !== 'provides' ? 'loose' : glyphs[rung.kind];
}

export const laneWidth = 22;
const mostLanes = 9;

/** Where the text beside the lanes begins. */
export function textX(lanes: LaneMarks): number {
  return laneX(lanes.through.reduce((most, one) => Math.max(most, one.lane), lanes.lane)) + 24;
}

/** Where a lane is drawn, from the left of the ladder. */
export function laneX(lane: number): number {
  return 14 + Math.min(lane, mostLanes) * laneWidth;
}

type Props = { lanes: LaneMarks; glyph: KnotKind | undefined; colour: string; colourOf: (rung: Rung | undefined) => string };

/** The strand beside a rung: its knot, what comes from above and goes on below, and the lanes that pass by. */
export function Lanes({ lanes, glyph, colour, colourOf }: Props) {
  const { lane, through, from, below, to } = lanes;
  const x = laneX(lane);
  return (
    <div className="lanes" aria-hidden="true" style={{ color: colour }}>
      {through.map((one) => (
        <i key={one.lane} className="lane whole" style={{ left: laneX(one.lane), color: colourOf(one.to) }} />
      ))}
      {from === lane && <i className="lane above" style={{ left: x }} />}
      {from >= 0 && from < lane && <i className="lane branch" style={{ left: laneX(from), width: x - laneX(from) }} />}
      {below && <i className="lane below" style={{ left: x, color: colourOf(to) }} />}
      {glyph && (
        <span className="knot" style={{ left: x - 9 }}>
          <KnotMark kind={glyph} colour={glyph === 'loose' ? 'var(--loose)' : colour} />
        </span>
      )}
    </div>
  );
}
