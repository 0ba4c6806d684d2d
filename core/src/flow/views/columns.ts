import type { Strand } from '../../model/strand';

/** Above this many strands, likeness is compared only with the nearest candidates. */
const window = 120;

/** How much two strands belong together: shared places over all places, and a start at the same place. */
function affinity(a: Strand, b: Strand): number {
  const places = new Set(a.knots.map((knot) => knot.place));
  let shared = 0;
  for (const knot of b.knots) if (places.has(knot.place)) shared++;
  const likeness = shared / (places.size + b.knots.length - shared);
  const distance = Math.abs((a.knots[0]?.place ?? 0) - (b.knots[0]?.place ?? 0));
  return likeness + (a.home === b.home ? 0.25 : 0) - Math.min(distance, 50) / 100;
}

/**
 * Orders strands for columns beside the rows: from the highest start on, each next to the one that
 * it shares most places with, so that related ones stand together. Greedy nearest neighbour, as
 * for the seriation of a similarity matrix (Liiv 2010, "Seriation and matrix reordering methods").
 */
export function orderColumns(strands: readonly Strand[]): Strand[] {
  const top = (strand: Strand): number => strand.knots[0]?.place ?? 0;
  const waiting = [...strands].sort((a, b) => top(a) - top(b) || a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name));
  const ordered: Strand[] = [];
  for (let last = waiting.shift(); last;) {
    ordered.push(last);
    const from: Strand = last;
    let best = 0;
    let most = -Infinity;
    for (let at = 0; at < Math.min(waiting.length, window); at++) {
      const found = affinity(from, waiting[at] as Strand);
      if (found > most) [most, best] = [found, at];
    }
    last = waiting.splice(best, 1)[0];
  }
  return ordered;
}
