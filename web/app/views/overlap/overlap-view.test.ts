import { describe, expect, test } from 'vitest';
import type { AlikeAnswer } from '../../analysis/answers';
import { layMap } from './map';
import { comparisonLink, parseOverlapState } from './state';

test('the link to a comparison comes back as what it was made of', () => {
  const link = comparisonLink('p', 'src/A b.tsx#A', 'src/B.tsx#B');
  expect(parseOverlapState(new URL(`http://x${link}`).searchParams).pair).toEqual(['src/A b.tsx#A', 'src/B.tsx#B']);
});

test.each([
  ['', undefined, 80, {}],
  ['a=x', undefined, 80, {}],
  ['a=x&b=x', undefined, 80, {}],
  ['from=90', undefined, 90, {}],
  ['from=91', undefined, 80, {}],
  ['a=x&b=y&name.text-1=label', ['x', 'y'], 80, { 'text-1': 'label' }],
  ['a=x&b=y&name.text-1=no%20name', ['x', 'y'], 80, {}],
])('%s', (query, pair, from, names) => {
  expect(parseOverlapState(new URLSearchParams(query))).toEqual({ pair, from, names });
});

describe('the map', () => {
  const member = (name: string, lines: number) => ({ id: name as never, name, file: `${name}.tsx`, framework: 'react', lines, uses: 1 });
  const answer: AlikeAnswer = {
    groups: [
      { members: [member('A', 40), member('B', 20)], pairs: [{ a: 'A' as never, b: 'B' as never, likeness: 0.9 }], likeness: 0.9 },
      {
        members: [member('C', 5), member('D', 9), member('E', 7)],
        pairs: [
          { a: 'C' as never, b: 'D' as never, likeness: 1 },
          { a: 'C' as never, b: 'E' as never, likeness: 0.8 },
        ],
        likeness: 1,
      },
    ],
    others: 3,
  };
  const map = layMap(answer, 800, 500);
  test('every member has its circle, within the sheet and over no other', () => {
    const circles = map.groups.flatMap((group) => group.circles);
    expect(circles.map((one) => one.member.name).sort()).toEqual(['A', 'B', 'C', 'D', 'E']);
    for (const one of circles) {
      expect(one.x - one.r).toBeGreaterThanOrEqual(0);
      expect(one.y + one.r).toBeLessThanOrEqual(500);
      for (const other of circles)
        if (other !== one) expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(one.r + other.r - 0.01);
    }
  });
  test('more lines are a larger circle', () => {
    const of = (name: string) => map.groups.flatMap((group) => group.circles).find((one) => one.member.name === name)?.r ?? 0;
    expect(of('A')).toBeGreaterThan(of('B'));
  });
  test('each pair is a line between two circles', () => {
    expect(map.groups.map((group) => group.lines.length).sort()).toEqual([1, 2]);
  });
  test('of nothing there is nothing', () => {
    expect(layMap({ groups: [], others: 2 }, 800, 500).groups).toEqual([]);
  });
});
