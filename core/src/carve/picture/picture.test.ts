import { describe, expect, test } from 'vitest';
import { boxOf, green, grey, ink, line, type Painted, picture, white, word } from '../../../../testing/src/picture';
import { patchesOf } from './flat';
import { boxesLike } from './like';
import { agreement, type Colour, groundOf, holds, type Pixels } from './pixels';
import { edgesOf, regionsOf, snap } from './regions';

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

describe('things without a card of their own', () => {
  const like = (pixels: Pixels, given: Painted[0]): number[][] =>
    boxesLike(pixels, regionsOf(pixels), boxOf(given)).map((box) => [box.x, box.y, box.width, box.height]);
  const pillAt = (x: number, y: number, width: number, colour: Colour): Painted[] => [
    [[x, y, width, 20], colour],
    ...word(x + 8, y + 6, width - 16),
  ];

  test('pills of one height and room, in any tone and length, wherever they stand', () => {
    const page = picture(
      500,
      200,
      white,
      ...pillAt(20, 20, 60, [200, 240, 200]),
      ...pillAt(300, 90, 90, [240, 200, 200]),
      ...pillAt(120, 150, 74, [200, 200, 240]),
      [[20, 60, 60, 44], ink],
    );
    expect(like(page, [20, 20, 60, 20])).toEqual([
      [20, 20, 60, 20],
      [300, 90, 90, 20],
      [120, 150, 74, 20],
    ]);
  });

  test('rows without lines between them, one of two lines of text', () => {
    const rows: Painted[] = [10, 50, 90, 150].flatMap((y, seed): Painted[] => [
      ...word(20, y, 80 + seed * 10),
      ...word(300, y, 50),
      ...(seed === 2 ? word(20, y + 12, 60) : []),
    ]);
    const found = like(picture(420, 200, white, ...rows), [10, 0, 380, 28]);
    expect(found.map(([, y]) => y)).toEqual([0, 40, 80, 140]);
    expect(found[2]?.[3]).toBe(40);
  });

  test('the chosen one of a menu has a ground that the others lack', () => {
    const menu: Painted[] = [20, 60, 100].flatMap((y, seed): Painted[] => [
      [
        [24, y + 10, 16, 16],
        [90, 90, 90],
      ],
      ...word(50, y + 13, 70 + seed * 10),
    ]);
    const page = picture(
      300,
      200,
      white,
      [
        [10, 20, 200, 36],
        [220, 240, 230],
      ],
      ...menu,
    );
    expect(like(page, [10, 20, 200, 36]).map(([x, y]) => [x, y])).toEqual([
      [10, 20],
      [10, 60],
      [10, 100],
    ]);
  });
});

describe('things of one make', () => {
  const like = (pixels: Pixels, given: Painted[0]): number[][] =>
    boxesLike(pixels, regionsOf(pixels), boxOf(given)).map((box) => [box.x, box.y, box.width, box.height]);
  /** A box with round corners, row by row. */
  const rounded = ([x, y, width, height]: Painted[0], radius: number, colour: Colour): Painted[] =>
    Array.from({ length: height }, (_, row): Painted => {
      const down = Math.max(0, radius - row - 0.5, row + 0.5 - (height - radius));
      const cut = down === 0 ? 0 : Math.round(radius - Math.sqrt(Math.max(0, radius * radius - down * down)));
      return [[x + cut, y + row, width - 2 * cut, 1], colour];
    });
  const outlined = ([x, y, width, height]: Painted[0], colour: Colour, within: Colour = white): Painted[] => [
    [[x, y, width, height], colour],
    [[x + 1, y + 1, width - 2, height - 2], within],
  ];
  const red: Colour = [180, 60, 50];
  type Case = readonly [title: string, painted: readonly Painted[], given: Painted[0], found: readonly Painted[0][]];
  const circles = (places: readonly (readonly [x: number, y: number, size: number, colour: Colour])[]): Painted[] =>
    places.flatMap(([x, y, size, colour]) => [
      ...rounded([x, y, size, size], size / 2, colour),
      ...word(x + size / 2 - 4, y + size / 2 - 4, 10, white),
    ]);
  const cases: readonly Case[] = [
    [
      'a filled button and those with a line around them',
      [
        [[20, 20, 120, 36], red],
        ...word(50, 34, 60, white),
        ...outlined([160, 20, 100, 36], ink),
        ...word(185, 34, 50),
        ...outlined([20, 120, 90, 36], ink),
        ...word(45, 134, 40),
        [[20, 80, 300, 20], grey],
      ],
      [20, 20, 120, 36],
      [
        [20, 20, 120, 36],
        [160, 20, 100, 36],
        [20, 120, 90, 36],
      ],
    ],
    [
      'circles with letters, in two sizes and many tones, but no square of that size',
      [
        ...circles([
          [20, 20, 32, green],
          [80, 20, 32, red],
          [20, 90, 24, [70, 76, 145]],
          [80, 90, 24, green],
        ]),
        [[200, 20, 32, 32], red],
        ...word(212, 32, 10, white),
      ],
      [20, 20, 32, 32],
      [
        [20, 20, 32, 32],
        [80, 20, 32, 32],
        [20, 90, 24, 24],
        [80, 90, 24, 24],
      ],
    ],
    [
      'days of a month, each with a line around it that its neighbour shares, some of another tone and height',
      [0, 1, 2, 3].flatMap((at) =>
        [0, 1].flatMap((row) => outlined([20 + at * 90, 20 + row * 79, 91, row === 0 ? 80 : 100], line, at === 0 ? grey : white)),
      ),
      [20, 20, 91, 80],
      [0, 1].flatMap((row) => [0, 1, 2, 3].map((at): Painted[0] => [20 + at * 90, 20 + row * 79, 91, row === 0 ? 80 : 100])),
    ],
    [
      'cards with a picture over a ground, one of them without',
      [
        ...[20, 240, 460].flatMap((x, at): Painted[] => [
          ...(at === 1
            ? []
            : Array.from({ length: 60 }, (_, row): Painted => [
                [x, 20 + row, 200, 1],
                [40 + row * 3, 90, 200 - row * 2],
              ])),
          [[x, 80, 200, 100], white],
          ...word(x + 14, 100, 80 + at * 20),
          ...word(x + 14, 130, 120 - at * 20),
        ]),
      ],
      [20, 20, 200, 160],
      [
        [20, 20, 200, 160],
        [460, 20, 200, 160],
        [240, 80, 200, 100],
      ],
    ],
    [
      'fields of two widths under their labels, one with a hint',
      [
        [20, 20, 400],
        [20, 120, 180],
        [240, 120, 180],
      ].flatMap(([x = 0, y = 0, width = 0], at): Painted[] => [
        ...word(x, y + 2, 50 + at * 10),
        ...outlined([x, y + 20, width, 36], line),
        ...word(x + 10, y + 34, 60),
        ...(at === 2 ? word(x, y + 62, 80) : []),
      ]),
      [20, 20, 400, 58],
      [
        [20, 20, 400, 58],
        [20, 120, 180, 58],
        [240, 120, 180, 73],
      ],
    ],
    [
      'stars of one colour, in two sizes, and no words of that width',
      [
        ...[20, 80, 140].flatMap((y) =>
          Array.from({ length: 5 }, (_, at): Painted => [
            [30 + at * 12, y, 9, 9],
            [222, 160, 30],
          ]),
        ),
        ...Array.from({ length: 5 }, (_, at): Painted => [
          [200 + at * 15, 20, 12, 12],
          [222, 160, 30],
        ]),
        ...word(30, 200, 57),
      ],
      [30, 20, 57, 9],
      [
        [30, 20, 57, 9],
        [200, 20, 76, 12],
        [30, 80, 57, 9],
        [30, 140, 57, 9],
      ],
    ],
    [
      'two kinds in frames of one size: those with nothing in common inside are left out',
      [
        ...[20, 240].flatMap((x): Painted[] => [
          ...outlined([x, 20, 200, 120], line),
          [[x + 15, 36, 40, 40], green],
          ...word(x + 70, 40, 90),
          ...word(x + 15, 100, 60),
        ]),
        ...outlined([20, 160, 200, 120], line),
        ...Array.from({ length: 4 }, (_, at): Painted => [[50, 180 + at * 22, 20, 16], red]),
        ...Array.from({ length: 4 }, (_, at): Painted => [[130, 180 + at * 22, 20, 16], red]),
      ],
      [20, 20, 200, 120],
      [
        [20, 20, 200, 120],
        [240, 20, 200, 120],
      ],
    ],
  ];
  test.each(cases)('%s', (_, painted, given, found) => {
    expect(like(picture(700, 320, [244, 244, 242], ...painted), given)).toEqual(found.map((box) => [...box]));
  });
});

describe('patches', () => {
  test('a line around two fills, with round corners, is a frame', () => {
    const corners: Painted[] = [
      [[40, 20, 120, 1], ink],
      [[40, 119, 120, 1], ink],
      [[36, 24, 1, 92], ink],
      [[163, 24, 1, 92], ink],
      [[37, 21, 126, 40], grey],
    ];
    expect(patchesOf(picture(200, 140, white, ...corners)).frames).toEqual([boxOf([36, 20, 128, 100])]);
  });
  test('lines of two colours are no frame', () => {
    const lines: Painted[] = [
      [[40, 20, 120, 1], ink],
      [[40, 119, 120, 1], grey],
      [[36, 24, 1, 92], ink],
      [[163, 24, 1, 92], ink],
    ];
    expect(patchesOf(picture(200, 140, white, ...lines)).frames).toEqual([]);
  });
  test('fills and what is drawn on them', () => {
    const { fills, marks } = patchesOf(picture(200, 100, white, [[20, 20, 120, 60], grey], [[40, 40, 30, 8], ink], [[73, 40, 20, 8], ink]));
    expect(fills).toContainEqual(boxOf([20, 20, 120, 60]));
    // Two strokes as near as letters are one mark; each is a fill of its own too.
    expect(marks).toEqual([boxOf([40, 40, 53, 8])]);
    expect(fills).toContainEqual(boxOf([40, 40, 30, 8]));
  });
  test.each<[string, Pixels]>([
    ['one colour', picture(30, 30, white)],
    ['no size', { width: 0, height: 0, data: new Uint8Array(0) }],
  ])('none in a picture of %s', (_, pixels) => {
    expect(patchesOf(pixels)).toEqual({ fills: [], marks: [], frames: [] });
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
