import { expect, test } from 'vitest';
import { inSteps, layBars, stepWords } from './charts';

test('bars are as wide as they are large, and none lies over another', () => {
  const { bars, height } = layBars(
    [
      { label: 'a', value: 10 },
      { label: 'b', value: 5 },
      { label: 'c', value: 0 },
    ],
    200,
  );
  expect(bars.map((bar) => bar.width)).toEqual([200, 100, 0]);
  for (const [index, bar] of bars.entries()) {
    expect(bar.y + bar.height).toBeLessThanOrEqual(bars[index + 1]?.y ?? height);
  }
  expect(layBars([], 200)).toEqual({ bars: [], height: 0 });
});

test('numbers in steps', () => {
  const bounds = [0, 1, 2, 5];
  expect(inSteps([0, 0, 1, 2, 3, 4, 5, 99], bounds)).toEqual([2, 1, 3, 2]);
  expect(bounds.map((_, index) => stepWords(bounds, index))).toEqual(['0', '1', '2 to 4', '5 or more']);
});
