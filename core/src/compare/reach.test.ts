import { describe, expect, test } from 'vitest';
import type { Spot } from '../flow/graph/graph';
import type { FlowQueries } from '../flow/steps/queries';
import { makeReach } from './reach';

/** Ways between frames, each with one value: `links[from]` are those that its value goes on to; -1 is an end in the frame itself. */
function queriesOf(links: readonly (readonly number[])[]): FlowQueries {
  const onward = ({ frame }: Spot) =>
    (links[frame] ?? []).map((to) => ({ frame, ...(to < 0 ? {} : { to: { frame: to, value: 0, track: [] } }) }));
  return { graph: { frames: links.map((_, index) => ({ index })) }, onward } as unknown as FlowQueries;
}
const at = (frame: number): Spot => ({ frame, value: 0, track: [] });

/** The same, by a search of its own for each start. */
function searched(links: readonly (readonly number[])[], start: number): number[] {
  const [seen, found] = [new Set([start]), new Set<number>()];
  for (const one of seen)
    for (const to of links[one] ?? []) {
      found.add(one);
      if (to < 0) continue;
      found.add(to);
      seen.add(to);
    }
  return [...found].sort((a, b) => a - b);
}

describe('what a value comes to', () => {
  test.each<[string, number[][], number[]]>([
    ['nothing', [[]], []],
    ['an end where it is', [[-1]], [0]],
    ['a chain', [[1], [2], [-1]], [0, 1, 2]],
    ['a circle, and what leaves it', [[1], [2], [0, 3], []], [0, 1, 2, 3]],
    ['itself', [[0]], [0]],
    ['two ways to one', [[1, 2], [3], [3], []], [0, 1, 2, 3]],
  ])('%s', (_, links, found) => {
    expect(makeReach(queriesOf(links))(at(0))?.frames).toEqual(found);
  });
  test.each([1, 2, 3, 4, 5, 6])('is what a search for each alone finds, in whatever order they are asked (seed %d)', (seed) => {
    let state = seed;
    const next = (below: number): number => (state = (state * 48_271) % 2_147_483_647) % below;
    const links = Array.from({ length: 70 }, () => Array.from({ length: next(4) }, () => next(71) - 1));
    const reach = makeReach(queriesOf(links));
    for (let turn = 0; turn < 70; turn++) {
      const start = (turn * 29 + seed) % 70;
      expect([start, reach(at(start))?.frames]).toEqual([start, searched(links, start)]);
    }
  });
  test('what is asked of each step is gathered along the way', () => {
    const reach = makeReach(queriesOf([[1], [2], [-1], [2]]), { around: ({ frame }) => (frame === 2 ? [0, 3] : []) });
    expect(reach(at(0))).toEqual({ frames: [0, 1, 2], around: [0, 3] });
    expect(reach(at(2))?.around).toEqual([0, 3]);
  });
  test('on a page with too much to follow, nothing is said of who comes to what is not followed', () => {
    const reach = makeReach(queriesOf([[1], [2], [3], [-1], [-1]]), { most: 3 });
    expect([reach(at(0)), reach(at(2)), reach(at(4))]).toEqual([undefined, undefined, undefined]);
    expect(makeReach(queriesOf([[1], [2], [3], [-1], [-1]]), { most: 4 })(at(0))?.frames).toEqual([0, 1, 2, 3]);
  });
});
