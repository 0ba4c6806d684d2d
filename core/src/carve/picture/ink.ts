import { type Box, differs, groundOf, isFar, type Pixels } from './pixels';

const gridSize = 24;

/**
 * Where a box has ink: the share of pixels in each cell of a grid that differ from the box's ground.
 * Cells have a fixed size in pixels, counted from the top left, so that a card that is longer than
 * another still has its head where the other has it.
 */
function inkMap(pixels: Pixels, box: Box, cell: number, columns: number, rows: number): Float64Array {
  const ground = groundOf(pixels, box);
  const ink = new Float64Array(columns * rows);
  const step = Math.max(1, Math.floor(cell / 6));
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      let count = 0;
      let seen = 0;
      for (let y = box.y + row * cell; y < Math.min(box.y + (row + 1) * cell, box.y + box.height); y += step)
        for (let x = box.x + column * cell; x < Math.min(box.x + (column + 1) * cell, box.x + box.width); x += step) {
          seen++;
          if (isFar(pixels, Math.floor(x), Math.floor(y), ground, 16)) count++;
        }
      // Words and a filled shape count alike: what matters is that something stands here.
      ink[row * columns + column] = seen === 0 ? 0 : Math.min(1, (count / seen) * 3);
    }
  }
  return blurred(ink, columns, rows);
}

/** Each cell with its neighbours: words of other lengths then still look alike. */
function blurred(ink: Float64Array, columns: number, rows: number): Float64Array {
  const out = new Float64Array(ink.length);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      let sum = 0;
      let weight = 0;
      for (let y = Math.max(0, row - 1); y <= Math.min(rows - 1, row + 1); y++)
        for (let x = Math.max(0, column - 2); x <= Math.min(columns - 1, column + 2); x++) {
          const share = (y === row ? 2 : 1) * (x === column ? 2 : 1);
          sum += (ink[y * columns + x] ?? 0) * share;
          weight += share;
        }
      out[row * columns + column] = sum / weight;
    }
  return out;
}

/**
 * Normalised cross-correlation, −1 to 1; two even surfaces are alike. Rows count less the lower they
 * are: things of one kind begin alike and differ in what follows.
 */
export function correlation(one: Float64Array, other: Float64Array, columns: number): number {
  const weigh = (at: number): number => 1 / (1 + Math.floor(at / columns) / 6);
  const total = one.reduce((sum, _, at) => sum + weigh(at), 0);
  const mean = (values: Float64Array): number => values.reduce((sum, value, at) => sum + value * weigh(at), 0) / total;
  const [a, b] = [mean(one), mean(other)];
  let both = 0;
  let left = 0;
  let rightSum = 0;
  for (let at = 0; at < one.length; at++) {
    const [x, y] = [(one[at] ?? 0) - a, (other[at] ?? 0) - b];
    both += x * y * weigh(at);
    left += x * x * weigh(at);
    rightSum += y * y * weigh(at);
  }
  if (left < 1e-6 || rightSum < 1e-6) return left < 1e-6 && rightSum < 1e-6 ? 1 : 0;
  return both / Math.sqrt(left * rightSum);
}

/** How alike two boxes of a picture look, 0 to 1, over the part that both have, counted from the top left. */
export function looksAlike(pixels: Pixels, one: Box, other: Box): number {
  const width = Math.min(one.width, other.width);
  const height = Math.min(one.height, other.height);
  const cell = Math.max(3, Math.min(width, height * 2) / gridSize);
  const columns = Math.max(1, Math.floor(width / cell));
  const rows = Math.max(1, Math.floor(height / cell));
  const apart = differs(groundOf(pixels, one), groundOf(pixels, other));
  const maps = [one, other].map((box) => inkMap(pixels, { ...box, width, height }, cell, columns, rows));
  const ink = Math.max(0, correlation(maps[0] ?? new Float64Array(0), maps[1] ?? new Float64Array(0), columns));
  // Another ground is another tone of the same thing at most, never proof that it is the same.
  return apart > 24 ? ink * 0.75 : ink;
}
