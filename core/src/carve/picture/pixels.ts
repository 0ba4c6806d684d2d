/** A picture as plain pixels: red, green, blue, alpha, row by row from the top. */
export type Pixels = { readonly width: number; readonly height: number; readonly data: Uint8Array | Uint8ClampedArray };

/** A box in whole pixels of its picture; right and bottom are exclusive. */
export type Box = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

export const right = (box: Box): number => box.x + box.width;
export const bottom = (box: Box): number => box.y + box.height;
export const area = (box: Box): number => box.width * box.height;

/** The part that two boxes share; of no width or height where they share none. */
export function shared(one: Box, other: Box): Box {
  const x = Math.max(one.x, other.x);
  const y = Math.max(one.y, other.y);
  return {
    x,
    y,
    width: Math.max(0, Math.min(right(one), right(other)) - x),
    height: Math.max(0, Math.min(bottom(one), bottom(other)) - y),
  };
}

/** Shared area by the area of both together, 0 to 1. */
export function agreement(one: Box, other: Box): number {
  const both = area(shared(one, other));
  const either = area(one) + area(other) - both;
  return either === 0 ? 0 : both / either;
}

/** Tells whether `inner` lies within `outer`, with `slack` pixels to spare. A box lies within itself. */
export function holds(outer: Box, inner: Box, slack = 0): boolean {
  return (
    inner.x >= outer.x - slack &&
    inner.y >= outer.y - slack &&
    right(inner) <= right(outer) + slack &&
    bottom(inner) <= bottom(outer) + slack
  );
}

/** Tells whether two boxes share no more than a tenth of the smaller one: neighbours in a table share a line. */
export function isApart(one: Box, other: Box): boolean {
  return area(shared(one, other)) <= Math.min(area(one), area(other)) * 0.1;
}

/** Tells whether two numbers differ by no more than `by`. */
export const near = (one: number, other: number, by: number): boolean => Math.abs(one - other) <= by;

/** Orders boxes as one reads them: from the top, and in one line from the left. */
export const byReading = (one: Box, other: Box): number => (near(one.y, other.y, 4) ? one.x - other.x : one.y - other.y);

/** Tells whether two boxes stand in one column or row of things of one width or height. */
export function standsWith(given: Box, other: Box): boolean {
  return (
    (near(given.x, other.x, 2) && near(given.width, other.width, 2)) || (near(given.y, other.y, 2) && near(given.height, other.height, 2))
  );
}

export type Colour = readonly [red: number, green: number, blue: number];

/** A pixel's colour over white. */
export function colourAt({ width, data }: Pixels, x: number, y: number): Colour {
  const at = (y * width + x) * 4;
  const alpha = (data[at + 3] ?? 255) / 255;
  const over = (value: number | undefined): number => (value ?? 255) * alpha + 255 * (1 - alpha);
  return [over(data[at]), over(data[at + 1]), over(data[at + 2])];
}

/** The greatest difference of two colours in any channel, 0 to 255. */
export function differs(one: Colour, other: Colour): number {
  return Math.max(Math.abs(one[0] - other[0]), Math.abs(one[1] - other[1]), Math.abs(one[2] - other[2]));
}

/** Tells whether a pixel differs from a colour by more than `by` in any channel. Makes no object, for it is asked of millions. */
export function isFar(pixels: Pixels, x: number, y: number, [red, green, blue]: Colour, by: number): boolean {
  const { data, width } = pixels;
  const at = (y * width + x) * 4;
  // Half-transparent pixels are rare in pictures of pages; only those take the slow way.
  if (data[at + 3] !== 255) return differs(colourAt(pixels, x, y), [red, green, blue]) > by;
  return Math.abs((data[at] ?? 0) - red) > by || Math.abs((data[at + 1] ?? 0) - green) > by || Math.abs((data[at + 2] ?? 0) - blue) > by;
}

/** The colour that most of a box has: the middle of the fullest of 4,096 bins, over a sample of its pixels. */
export function groundOf(pixels: Pixels, box: Box): Colour {
  const step = Math.max(1, Math.floor(Math.sqrt(area(box) / 20_000)));
  const { data, width } = pixels;
  const bins = new Map<number, [count: number, red: number, green: number, blue: number]>();
  for (let y = box.y; y < bottom(box); y += step) {
    for (let x = box.x; x < right(box); x += step) {
      const at = (y * width + x) * 4;
      const [red, green, blue] = data[at + 3] === 255 ? [data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0] : colourAt(pixels, x, y);
      const key = ((red >> 4) << 8) | ((green >> 4) << 4) | (blue >> 4);
      const bin = bins.get(key);
      if (bin) {
        bin[0]++;
        bin[1] += red;
        bin[2] += green;
        bin[3] += blue;
      } else bins.set(key, [1, red, green, blue]);
    }
  }
  let best: readonly [number, number, number, number] = [0, 255, 255, 255];
  for (const bin of bins.values()) if (bin[0] > best[0]) best = bin;
  const count = Math.max(1, best[0]);
  return [best[1] / count, best[2] / count, best[3] / count];
}
