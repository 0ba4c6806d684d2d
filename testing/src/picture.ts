import type { Box, Colour, Pixels } from '../../core/src/carve/picture/pixels';

export const white: Colour = [255, 255, 255];
export const grey: Colour = [238, 240, 236];
export const ink: Colour = [30, 40, 36];
export const line: Colour = [205, 205, 205];
export const green: Colour = [60, 140, 90];

/** A box of one colour in a picture that is drawn for a test. */
export type Painted = readonly [box: readonly [x: number, y: number, width: number, height: number], colour: Colour];

/** A picture of plain boxes, painted one over the other. */
export function picture(width: number, height: number, ground: Colour, ...painted: readonly Painted[]): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  const fill = ([x, y, across, down]: Painted[0], [red, green, blue]: Colour): void => {
    for (let row = y; row < y + down; row++)
      for (let column = x; column < x + across; column++) data.set([red, green, blue, 255], (row * width + column) * 4);
  };
  fill([0, 0, width, height], ground);
  for (const [box, colour] of painted) fill(box, colour);
  return { width, height, data };
}

export const boxOf = ([x, y, width, height]: Painted[0]): Box => ({ x, y, width, height });

/** A word: letters of three pixels with two between, so that they are near enough to be one. */
export const word = (x: number, y: number, width: number, colour: Colour = ink, high = 8): Painted[] =>
  Array.from({ length: Math.floor(width / 5) }, (_, at): Painted => [[x + at * 5, y, 3, high], colour]);
