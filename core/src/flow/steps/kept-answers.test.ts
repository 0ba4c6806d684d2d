import { expect, test } from 'vitest';
import { keptAnswers, newNesting } from './kept-answers';

/** A question for each point of a graph: what can be reached from it, and how often any was answered. */
function reaching(onward: readonly (readonly number[])[]): { ask: (point: number) => readonly number[]; answered: () => number } {
  let count = 0;
  const ask = keptAnswers(
    newNesting(),
    String,
    (point: number): readonly number[] => {
      count++;
      return [...new Set([point, ...(onward[point] ?? []).flatMap((next) => ask(next))])].sort((a, b) => a - b);
    },
    [],
  );
  return { ask, answered: () => count };
}

const all = (count: number): number[] => Array.from({ length: count }, (_, at) => at);

test('each question is answered once where none leads back to itself', () => {
  const { ask, answered } = reaching([[1, 2], [3], [3], []]);
  expect(ask(0)).toEqual([0, 1, 2, 3]);
  expect(ask(1)).toEqual([1, 3]);
  expect(answered()).toBe(4);
});

test('an answer that was cut is not kept for those who ask it by itself', () => {
  const { ask } = reaching([[1], [2], [0, 3], []]);
  // Within the first, 2 is asked while 0 is open, and lacks what 0 leads to.
  expect(ask(0)).toEqual([0, 1, 2, 3]);
  expect(ask(2)).toEqual([0, 1, 2, 3]);
});

test('points that all lead to each other are not followed in all orders', () => {
  const { ask, answered } = reaching(all(200).map((at) => all(200).filter((other) => other !== at)));
  expect(ask(0)).toHaveLength(200);
  expect(answered()).toBeLessThan(2000);
});
