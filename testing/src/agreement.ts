import { leaving, type Rung, spotOf, type Strands, traceOf, type FlowQueries } from '../../core/src/flow';

/** The places of a trace up to where the value becomes something else. */
function placesOf(rungs: readonly Rung[]): Set<number> {
  const places = new Set<number>();
  const below = new Map<number, Rung[]>();
  for (const rung of rungs) below.set(rung.from, [...(below.get(rung.from) ?? []), rung]);
  const seen = new Set<number>();
  const stack = [...(below.get(-1) ?? [])];
  for (let rung = stack.pop(); rung; rung = stack.pop()) {
    if (seen.has(rung.index)) continue;
    seen.add(rung.index);
    if (rung.place >= 0) places.add(rung.place);
    if (leaving.has(rung.kind)) continue;
    // What was told before goes on there, wherever that stands.
    stack.push(...(below.get(rung.index) ?? []), ...(rung.again === undefined ? [] : (below.get(rung.again) ?? [])));
  }
  return places;
}

/**
 * Where strands and traces of one page say different things: each strand that a trace can be asked
 * for, against the trace of where it goes. Its knots must be the trace's places and the reverse, but
 * for knots that only change the value, which another question tells. Empty where they agree.
 */
export function disagreements(ways: FlowQueries, { strands }: Strands): string[] {
  return strands.flatMap((strand): string[] => {
    const home = strand.knots.find((knot) => knot.kinds.includes('owns')) ?? strand.knots[0];
    const spot = strand.subject === undefined || strand.loose ? undefined : spotOf(ways.graph, strand.subject, home?.place);
    if (!spot || strand.kind === 'event') return [];
    const trace = traceOf(ways, spot, 'goes');
    const said = placesOf(trace.rungs);
    const knots = new Set(strand.knots.map((knot) => knot.place));
    // Who only changes it, another question tells; a part that is given it and changes it is drawn so too.
    const drawn = new Set(strand.knots.filter((knot) => knot.kinds.join() !== 'changes').map((knot) => knot.place));
    const only = (a: ReadonlySet<number>, b: ReadonlySet<number>): number[] => [...a].filter((place) => !b.has(place));
    const [left, right] = [only(drawn, said), only(said, knots)];
    if (trace.truncated || (left.length === 0 && right.length === 0)) return [];
    return [`${strand.id}: drawn alone ${left.join(' ')}; traced alone ${right.join(' ')}`];
  });
}
