import { describe, expect, test } from 'vitest';
import { boxesLike } from './like';
import { agreement, type Box, type Colour, groundOf, holds, type Pixels } from './pixels';
import { edgesOf, regionsOf, snap } from './regions';

const white: Colour = [255, 255, 255];
const grey: Colour = [238, 240, 236];
const ink: Colour = [30, 40, 36];

type Painted = readonly [box: readonly [x: number, y: number, width: number, height: number], colour: Colour];

/** A picture of plain boxes, painted one over the other. */
function picture(width: number, height: number, ground: Colour, ...painted: readonly Painted[]): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  const fill = ([x, y, across, down]: Painted[0], [red, green, blue]: Colour): void => {
    for (let row = y; row < y + down; row++)
      for (let column = x; column < x + across; column++) data.set([red, green, blue, 255], (row * width + column) * 4);
  };
  fill([0, 0, width, height], ground);
  for (const [box, colour] of painted) fill(box, colour);
  return { width, height, data };
}

const boxOf = ([x, y, width, height]: Painted[0]): Box => ({ x, y, width, height });
/** Lines of words: short dark stretches, their lengths told by a seed. */
function words(x: number, y: number, seed: number, lines: number): Painted[] {
  return Array.from({ length: lines }, (_, line): Painted => [[x, y + line * 22, 60 + ((seed * 37 + line * 53) % 90), 8], ink]);
}
const card = (x: number, y: number, width: number, height: number, seed: number, lines: number): Painted[] => [
  [[x, y, width, height], white],
  ...words(x + 14, y + 16, seed, lines),
];

describe('regions', () => {
  const cards: Painted[0][] = [
    [40, 100, 400, 90],
    [40, 206, 400, 90],
    [40, 312, 400, 90],
  ];
  const page = picture(
    480,
    460,
    grey,
    [[0, 0, 480, 56], ink],
    ...cards.flatMap(([x, y, width, height], seed) => card(x, y, width, height, seed, 3)),
  );
  const has = (box: Painted[0]): boolean => regionsOf(page).some((region) => agreement(region.box, boxOf(box)) > 0.97);

  test('bars and cards are regions though most of the page is white', () => {
    expect([[0, 0, 480, 56] as const, ...cards].filter((box) => !has(box))).toEqual([]);
  });
  test('what is painted nowhere is no region', () => {
    expect(has([200, 60, 100, 30])).toBe(false);
  });
  test('outer regions come before inner ones', () => {
    const found = regionsOf(page);
    expect(
      found.every((region, index) =>
        found.slice(index + 1).every((later) => !holds(later.box, region.box) || agreement(later.box, region.box) === 1),
      ),
    ).toBe(true);
  });
  test('a bordered box on the page’s own ground is a region, and what is in it', () => {
    const bordered = picture(
      300,
      200,
      white,
      [[40, 40, 200, 100], ink],
      [[41, 41, 198, 98], white],
      [[60, 60, 50, 20], ink],
      [[60, 100, 80, 20], ink],
    );
    const found = regionsOf(bordered).map((region) => region.box);
    expect(found.some((box) => agreement(box, boxOf([40, 40, 200, 100])) > 0.97)).toBe(true);
    expect(found.some((box) => agreement(box, boxOf([60, 60, 50, 20])) > 0.9)).toBe(true);
  });
  test('rows with a line between them are cut at the line', () => {
    const rows = picture(
      300,
      160,
      white,
      ...[0, 1, 2, 3].flatMap((row): Painted[] => [
        ...words(10, 14 + row * 40, row, 1),
        [
          [0, 39 + row * 40, 300, 1],
          [200, 200, 200],
        ],
      ]),
    );
    const found = regionsOf(rows).map((region) => region.box);
    expect([0, 1, 2, 3].filter((row) => !found.some((box) => box.y === 14 + row * 40 && box.height === 8))).toEqual([]);
  });
  test('an empty picture has itself alone', () => {
    expect(regionsOf(picture(50, 40, white)).map((region) => region.box)).toEqual([{ x: 0, y: 0, width: 50, height: 40 }]);
  });
  test('a single pixel is no reason to fail', () => {
    expect(regionsOf(picture(1, 1, white))).toEqual([]);
  });
});

describe('boxes alike', () => {
  const like = (pixels: Pixels, given: Painted[0]): number[][] =>
    boxesLike(pixels, regionsOf(pixels), boxOf(given)).map((box) => [box.x, box.y, box.width, box.height]);
  const column: Painted[0][] = [
    [40, 30, 300, 90],
    [40, 136, 300, 112],
    [40, 264, 300, 68],
  ];
  const page = (scale: number): Pixels =>
    picture(
      400 * scale,
      420 * scale,
      grey,
      ...column.flatMap(([x, y, width, height], seed) => card(x * scale, y * scale, width * scale, height * scale, seed, 3 - (seed % 2))),
      [[40 * scale, 350 * scale, 120 * scale, 30 * scale], ink],
    );

  test.each([1, 2])('cards of one column with other words and heights, at scale %i', (scale) => {
    const scaled = column.map((box) => box.map((one) => one * scale));
    for (const given of scaled) expect(like(page(scale), given as unknown as Painted[0])).toEqual(scaled);
  });
  test('a roughly drawn box is taken for the region it means', () => {
    expect(like(page(1), [37, 27, 306, 95])).toEqual(column.map((box) => [...box]));
  });
  test('what is like nothing is alone', () => {
    expect(like(page(1), [40, 350, 120, 30])).toEqual([[40, 350, 120, 30]]);
  });
  test('a card of another ground is not like the others', () => {
    const odd = picture(
      400,
      330,
      grey,
      ...card(40, 30, 300, 90, 1, 3),
      ...card(40, 136, 300, 90, 2, 3),
      [[40, 242, 300, 66], ink],
      [[60, 260, 200, 8], white],
    );
    expect(like(odd, [40, 30, 300, 90])).toEqual([
      [40, 30, 300, 90],
      [40, 136, 300, 90],
    ]);
  });
  test('tiles in a row', () => {
    const tiles = [20, 240, 460].map((x): Painted[0] => [x, 20, 200, 120]);
    const board = picture(680, 180, grey, ...tiles.flatMap(([x, y, width, height], seed) => card(x, y, width, height, seed, 4)));
    expect(like(board, tiles[1] as Painted[0])).toEqual(tiles.map((tile) => [...tile]));
  });
});

describe('edges and snapping', () => {
  const page = picture(300, 200, white, [[50, 40, 200, 100], ink]);
  test('long straight edges are found on both axes', () => {
    expect(edgesOf(page)).toEqual({ x: [50, 250], y: [40, 140] });
  });
  test('short ones are not', () => {
    expect(edgesOf(picture(300, 200, white, [[50, 40, 20, 20], ink]))).toEqual({ x: [], y: [] });
  });
  test.each([
    ['near edges', [46, 43, 207, 94], [50, 40, 200, 100]],
    ['far from edges', [70, 60, 100, 50], [70, 60, 100, 50]],
    ['one side near', [70, 60, 178, 50], [70, 60, 180, 50]],
  ] as const)('a box %s', (_, given, snapped) => {
    expect(snap(boxOf(given), edgesOf(page), 7)).toEqual(boxOf(snapped));
  });
});

test('the ground of a box is what most of it has; clear pixels count as white', () => {
  expect(groundOf(picture(40, 40, grey, [[0, 0, 40, 10], ink]), boxOf([0, 0, 40, 40]))).toEqual(grey);
  expect(groundOf({ width: 2, height: 1, data: new Uint8Array(8) }, boxOf([0, 0, 2, 1]))).toEqual(white);
});
