import { correlation } from './ink';
import { bottom, type Box, type Pixels } from './pixels';

/** A box that is like a given one, and how much speaks for it; more is better. */
export type Found = { readonly box: Box; readonly score: number };

/** Where two neighbouring pixels differ, per cell of a grid: what stands in a box whatever its ground is. */
export type Steps = { readonly columns: number; readonly cells: Uint8Array };

const cellWide = 8;
const cellHigh = 4;

const stepsKept = new WeakMap<Pixels, Steps>();

/** The steps of a picture, found once for each. */
export function stepsOf(pixels: Pixels): Steps {
  const known = stepsKept.get(pixels);
  if (known) return known;
  const { width, height, data } = pixels;
  const columns = Math.ceil(width / cellWide);
  const cells = new Uint8Array(columns * height);
  for (let y = 1; y < height; y++)
    for (let x = 1; x < width; x++) {
      const at = (y * width + x) * 4;
      const step =
        Math.abs((data[at] ?? 0) - (data[at - 4] ?? 0)) +
        Math.abs((data[at + 1] ?? 0) - (data[at - 3] ?? 0)) +
        Math.abs((data[at + 2] ?? 0) - (data[at - 2] ?? 0));
      if (step > 60) cells[y * columns + ((x / cellWide) | 0)] = 1;
    }
  const steps = { columns, cells };
  stepsKept.set(pixels, steps);
  return steps;
}

/** Where a box has steps, by cells counted from its own corner, each with its neighbours to the sides: words of other lengths are still alike. */
function stepMap(steps: Steps, box: Box, columns: number, rows: number): Float64Array {
  const map = new Float64Array(columns * rows);
  const first = Math.round(box.x / cellWide);
  for (let row = 0; row < rows; row++)
    for (let line = 0; line < cellHigh; line++) {
      const start = (Math.round(box.y) + row * cellHigh + line) * steps.columns + first;
      for (let column = 0; column < columns; column++) if (steps.cells[start + column]) map[row * columns + column] = 1;
    }
  const out = new Float64Array(map.length);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const at = row * columns + column;
      const [left, right] = [column > 0 ? (map[at - 1] ?? 0) : 0, column < columns - 1 ? (map[at + 1] ?? 0) : 0];
      out[at] = (map[at] ?? 0) * 0.5 + left * 0.25 + right * 0.25;
    }
  return out;
}

/** Which columns of a box have steps anywhere, each with its neighbours. */
export function acrossOf(steps: Steps, box: Box): Float64Array {
  const columns = Math.max(2, Math.round(box.width / cellWide));
  const first = Math.round(box.x / cellWide);
  const found = new Float64Array(columns + 2);
  for (let y = Math.max(0, box.y); y < Math.min(bottom(box), steps.cells.length / steps.columns); y++)
    for (let column = 0; column < columns; column++) if (steps.cells[y * steps.columns + first + column]) found[column + 1] = 1;
  return found
    .map((own, at) => (at === 0 || at > columns ? 0 : own * 0.5 + ((found[at - 1] ?? 0) + (found[at + 1] ?? 0)) * 0.25))
    .slice(1, -1);
}

/** How much of a box is compared: things of one kind begin alike, and differ in what follows. */
const comparedAtMost = 88;

/** What a box looks like at its start, to be compared with others of its width. */
export type StepMap = { readonly columns: number; readonly rows: number; readonly map: Float64Array };

export function likeness(steps: Steps, box: Box): StepMap {
  const columns = Math.max(2, Math.round(box.width / cellWide));
  const rows = Math.max(2, Math.round(Math.min(box.height, comparedAtMost) / cellHigh));
  return { columns, rows, map: stepMap(steps, box, columns, rows) };
}

/** How alike a box looks at its start to what was mapped, −1 to 1. */
export function stepLikeness(steps: Steps, { columns, rows, map }: StepMap, box: Box): number {
  return correlation(map, stepMap(steps, box, columns, rows), columns);
}
