import { scaleBand, scaleLinear } from 'd3-scale';

export type Bar = { readonly label: string; readonly value: number; readonly to?: string };
export type LaidBar = Bar & { readonly y: number; readonly height: number; readonly width: number };

/** Bars one beneath the other, as wide as they are large; in pixels. */
export function layBars(bars: readonly Bar[], width: number, row = 22): { readonly bars: readonly LaidBar[]; readonly height: number } {
  const height = bars.length * row;
  const y = scaleBand<number>()
    .domain(bars.map((_, index) => index))
    .range([0, height])
    .padding(0.25);
  const x = scaleLinear()
    .domain([0, Math.max(1, ...bars.map((bar) => bar.value))])
    .range([0, width]);
  return {
    bars: bars.map((bar, index) => ({
      ...bar,
      y: y(index) ?? 0,
      height: y.bandwidth(),
      width: Math.max(bar.value > 0 ? 2 : 0, x(bar.value)),
    })),
    height,
  };
}

/** How often numbers fall into steps: `[0], [1], [2, 3], …` by their lower bounds. */
export function inSteps(numbers: readonly number[], bounds: readonly number[]): number[] {
  return bounds.map((bound, index) => {
    const next = bounds[index + 1] ?? Infinity;
    return numbers.filter((one) => one >= bound && one < next).length;
  });
}

/** The words for a step between two bounds: `1`, `2 to 4`, `5 or more`. */
export function stepWords(bounds: readonly number[], index: number): string {
  const [from = 0, next] = [bounds[index], bounds[index + 1]];
  if (next === undefined) return `${from} or more`;
  return next - from === 1 ? String(from) : `${from} to ${next - 1}`;
}
