import {
  agreement,
  area,
  bottom,
  type Box,
  byReading,
  type Colour,
  colourAt,
  differs,
  groundOf,
  holds,
  isFar,
  type Pixels,
  right,
} from './pixels';
import { patchesOf } from './flat';

/** What a mark is: words, a sign (icon, letter, number of one digit), or a picture of many colours. */
export type MarkKind = 'text' | 'sign' | 'picture';

/** Something drawn on a ground. */
export type Mark = {
  readonly box: Box;
  readonly kind: MarkKind;
  /** The colour it is drawn in: that of the pixel which differs most from what is around it. */
  readonly tone: Colour;
  /** The share of its box that is drawn, 0 to 1. */
  readonly density: number;
};

/** Something with a ground or a frame of its own. */
export type Shape = {
  /** With its frame. */
  readonly box: Box;
  /** Without it. */
  readonly fill: Box;
  /** The colour of its ground. */
  readonly tone: Colour;
  /** It has a line around it, or is made of several fills. */
  readonly isFramed: boolean;
  /** Radius of its corners, in pixels, within about two. */
  readonly radius: number;
  /** Tells whether its middle has no other colour. */
  readonly isBlank: boolean;
  /** What is drawn in it, in the order of reading. */
  readonly content: readonly Mark[];
};

/** A picture as things that stand on each other. */
export type Scene = {
  readonly pixels: Pixels;
  readonly marks: readonly Mark[];
  readonly shapes: readonly Shape[];
  /** What a line is made of: marks, words that stand together as one, and small shapes as signs. From the top. */
  readonly pieces: readonly Mark[];
};

const frameAtMost = 3;
/** Colours further apart than this are two, whatever the edge of a letter does. */
const coloursApart = 24;
const pictureColours = 20;

const scenesKept = new WeakMap<Pixels, Scene>();

/** The things of a picture, found once for each. Empty lists for a picture of one colour. */
export function sceneOf(pixels: Pixels): Scene {
  const known = scenesKept.get(pixels);
  if (known) return known;
  const { fills, marks, frames } = patchesOf(pixels);
  const rows = byTop(marks.map((box) => ({ box })));
  const filled = fills.map((fill) => ({ fill, ...framed(pixels, fill, rows) }));
  // A frame around several fills, such as a head and a body, is a shape of its own.
  const bare = [...frames, ...stacksOf(fills)].filter((frame) => !filled.some(({ box }) => agreement(box, frame) > 0.9));
  const outer = [...filled, ...bare.map((box) => ({ fill: box, box, isFramed: true, ring: undefined }))];
  const rings = new Set(outer.flatMap(({ ring }) => (ring ? [ring] : [])));
  const corners = cornersOf(outer.map(({ box }) => box));
  const drawn = marks.filter((mark) => !rings.has(mark) && !isCorner(mark, corners)).map((box) => markOf(pixels, box));
  const byRow = byTop(drawn);
  const shapes = outer.map(({ fill, box, isFramed }): Shape => {
    const tone = groundOf(pixels, fill);
    return {
      box,
      fill,
      tone,
      isFramed,
      radius: radiusOf(pixels, box),
      isBlank: isBlank(pixels, box, tone),
      content: contentOf(byRow, fill),
    };
  });
  const scene: Scene = { pixels, marks: drawn, shapes, pieces: piecesOf(byRow, shapes) };
  scenesKept.set(pixels, scene);
  return scene;
}

/** A fill with the frame around it: a mark that is a ring, or a line of one colour on all sides. */
function framed(pixels: Pixels, fill: Box, rows: readonly { readonly box: Box }[]): { box: Box; isFramed: boolean; ring?: Box } {
  const near = rows.slice(firstFrom(rows, fill.y - 8), firstFrom(rows, fill.y + 1));
  const ring = near.find(
    ({ box }) => box.width - fill.width <= 10 && box.height - fill.height <= 8 && holds(box, fill) && area(box) > area(fill),
  )?.box;
  if (ring) return { box: ring, isFramed: true, ring };
  const around = (by: number): Colour[] => {
    const box = { x: fill.x - by, y: fill.y - by, width: fill.width + 2 * by, height: fill.height + 2 * by };
    const [middleX, middleY] = [fill.x + (fill.width >> 1), fill.y + (fill.height >> 1)];
    const points = [
      [box.x, middleY],
      [right(box) - 1, middleY],
      [middleX, box.y],
      [middleX, bottom(box) - 1],
    ];
    return points.map(([x = 0, y = 0]) =>
      x < 0 || y < 0 || x >= pixels.width || y >= pixels.height ? [-1, -1, -1] : colourAt(pixels, x, y),
    );
  };
  const isOne = (colours: readonly Colour[], like: Colour): boolean => colours.every((colour) => differs(colour, like) <= 12);
  const line = around(1);
  const [colour] = line;
  if (!colour || !isOne(line, colour) || differs(colour, colourAt(pixels, fill.x + (fill.width >> 1), fill.y)) <= 5)
    return { box: fill, isFramed: false };
  for (let thick = 1; thick <= frameAtMost; thick++)
    if (around(thick + 1).filter((one) => differs(one, colour) > 12).length >= 3)
      return {
        box: { x: fill.x - thick, y: fill.y - thick, width: fill.width + 2 * thick, height: fill.height + 2 * thick },
        isFramed: true,
      };
    else if (!isOne(around(thick + 1), colour)) break;
  return { box: fill, isFramed: false };
}

const stackedMost = 4;

/** Fills of one width that stand on each other, such as the head and the body of a card, as one; a longer row of them is a list. */
function stacksOf(fills: readonly Box[]): Box[] {
  const large = fills.filter((box) => box.width >= 90 && box.height >= 20).sort((a, b) => a.y - b.y);
  const isOn = (one: Box, other: Box): boolean =>
    Math.abs(one.x - other.x) <= 2 && Math.abs(one.width - other.width) <= 3 && Math.abs(other.y - bottom(one)) <= 2;
  const under = new Set<Box>();
  return large.flatMap((first) => {
    if (under.has(first)) return [];
    const run = [first];
    for (let last: Box | undefined = first; last;) {
      const before: Box = last;
      last = large.find((box) => isOn(before, box));
      if (last) {
        under.add(last);
        run.push(last);
      }
    }
    const foot = run.at(-1) ?? first;
    if (run.length < 2 || run.length > stackedMost) return [];
    return [{ x: first.x, y: first.y, width: first.width, height: bottom(foot) - first.y }];
  });
}

function markOf(pixels: Pixels, box: Box): Mark {
  const ground = outsideOf(pixels, box);
  const step = Math.max(1, Math.floor(Math.sqrt(area(box) / 3000)));
  let [count, seen, most] = [0, 0, -1];
  let tone: Colour = ground;
  const colours = new Set<number>();
  for (let y = box.y; y < bottom(box); y += step)
    for (let x = box.x; x < right(box); x += step) {
      seen++;
      if (!isFar(pixels, x, y, ground, coloursApart)) continue;
      count++;
      const colour = colourAt(pixels, x, y);
      colours.add(((colour[0] >> 5) << 6) | ((colour[1] >> 5) << 3) | (colour[2] >> 5));
      const far = differs(colour, ground);
      if (far > most) [most, tone] = [far, colour];
    }
  const density = seen === 0 ? 0 : count / seen;
  const isPicture =
    area(box) >= 300 && box.height >= 14 && (colours.size >= pictureColours || (density > 0.7 && box.height >= 24 && area(box) >= 1200));
  const isSign = box.width <= box.height * 1.6 && box.width >= box.height * 0.4;
  return { box, kind: isPicture ? 'picture' : isSign ? 'sign' : 'text', tone, density };
}

/** The colour around a box: what most of the pixels right outside of it have. */
export function outsideOf(pixels: Pixels, { x, y, width, height }: Box): Colour {
  const left = Math.max(0, x - 2);
  const top = Math.max(0, y - 2);
  const [end, foot] = [Math.min(pixels.width - 1, x + width + 1), Math.min(pixels.height - 1, y + height + 1)];
  const points: Colour[] = [];
  for (let at = 0; at < 8; at++) {
    const across = left + Math.floor(((end - left) * at) / 7);
    const down = top + Math.floor(((foot - top) * at) / 7);
    points.push(colourAt(pixels, across, top), colourAt(pixels, across, foot), colourAt(pixels, left, down), colourAt(pixels, end, down));
  }
  return points.reduce(
    (best, colour) => {
      const votes = points.filter((one) => differs(one, colour) <= 10).length;
      return votes > best.votes ? { colour, votes } : best;
    },
    { colour: points[0] ?? ([255, 255, 255] as Colour), votes: 0 },
  ).colour;
}

const cornerAtMost = 12;
const cornerKey = (x: number, y: number): number => y * 65_536 + x;

/** The places of all corners of boxes. */
function cornersOf(boxes: readonly Box[]): ReadonlySet<number> {
  const found = new Set<number>();
  for (const box of boxes)
    if (box.width > 2 * cornerAtMost) for (const x of [box.x, right(box)]) for (const y of [box.y, bottom(box)]) found.add(cornerKey(x, y));
  return found;
}

/** Tells whether a mark is no more than the soft edge of a round corner. */
function isCorner({ x, y, width, height }: Box, corners: ReadonlySet<number>): boolean {
  if (width > cornerAtMost) return false;
  return [x, x + width].some((at) => {
    const ends = [y, y + height].filter((down) => corners.has(cornerKey(at, down))).length;
    return ends === 2 || (ends === 1 && height <= cornerAtMost);
  });
}

/** Tells whether the middle of a small box has one colour. */
function isBlank(pixels: Pixels, { x, y, width, height }: Box, tone: Colour): boolean {
  const [across, down] = [Math.floor(width * 0.27), Math.floor(height * 0.27)];
  const step = Math.max(1, Math.floor(Math.sqrt((width * height) / 2000)));
  let [seen, far] = [0, 0];
  for (let row = y + down; row < y + height - down; row += step)
    for (let column = x + across; column < x + width - across; column += step) {
      seen++;
      if (isFar(pixels, column, row, tone, coloursApart)) far++;
    }
  return far <= seen * 0.02;
}

/**
 * The radius of a box's corners, from how far in along the diagonal its first pixel is that differs
 * from what is outside: r(1 − 1/√2) for a round corner. The second largest of the four, as things that lie over
 * one another hide some.
 */
export function radiusOf(pixels: Pixels, box: Box): number {
  const most = Math.min(box.width, box.height) / 2;
  const steps: number[] = [];
  for (const [x, y, across, down] of [
    [box.x, box.y, 1, 1],
    [right(box) - 1, box.y, -1, 1],
    [box.x, bottom(box) - 1, 1, -1],
    [right(box) - 1, bottom(box) - 1, -1, -1],
  ] as const) {
    const [outX, outY] = [x - across, y - down];
    if (outX < 0 || outY < 0 || outX >= pixels.width || outY >= pixels.height) continue;
    const out = colourAt(pixels, outX, outY);
    const far: number[] = [];
    for (let step = 0; step < Math.min(most, 24); step++) far.push(differs(colourAt(pixels, x + across * step, y + down * step), out));
    // The pixels of a soft edge are of both colours: the edge is where half of its own contrast is reached.
    const first = far.findIndex((one) => one > 3);
    const contrast = first < 0 ? 0 : Math.max(...far.slice(first, first + 3));
    const step = far.findIndex((one) => one > 3 && one >= contrast / 2);
    steps.push(Math.max(0, step));
  }
  steps.sort((a, b) => b - a);
  return Math.min(most, (steps[1] ?? 0) / 0.293);
}

const signAtMost = 48;

/** Marks with words of one line, one tone and the room of a space between them as one, and small shapes without what is in them. */
function piecesOf(byRow: readonly Mark[], shapes: readonly Shape[]): Mark[] {
  const signs = shapes
    .filter(({ box }) => box.width >= 8 && box.height >= 8 && box.width <= signAtMost && box.height <= signAtMost)
    .sort((a, b) => area(b.box) - area(a.box));
  const tops: Shape[] = [];
  const columns = new Map<number, Shape[]>();
  const near = (box: Box): Shape[] => [-1, 0, 1].flatMap((by) => columns.get((box.x >> 6) + by) ?? []);
  for (const shape of signs) {
    if (near(shape.box).some((one) => holds(one.box, shape.box, 1))) continue;
    tops.push(shape);
    const at = shape.box.x >> 6;
    columns.set(at, [...(columns.get(at) ?? []), shape]);
  }
  // Lines of a table are drawn as one, around all of its cells.
  const isGrid = (mark: Mark): boolean =>
    mark.density < 0.3 && area(mark.box) > 2000 && byRow.some((one) => one !== mark && one.box.height > 5 && holds(mark.box, one.box, -2));
  const free = byRow.filter((mark) => !near(mark.box).some((one) => holds(one.box, mark.box, 1)) && !isGrid(mark));
  const phrases: { box: Box; marks: Mark[] }[] = [];
  let open: typeof phrases = [];
  for (const mark of [...free].sort((a, b) => a.box.x - b.box.x)) {
    open = open.filter(({ box }) => right(box) + 16 >= mark.box.x);
    const before = mark.kind === 'picture' ? undefined : open.find(({ box, marks }) => continues(box, marks, mark));
    if (!before) {
      const phrase = { box: mark.box, marks: [mark] };
      phrases.push(phrase);
      open.push(phrase);
      continue;
    }
    before.marks.push(mark);
    const [y, x] = [Math.min(before.box.y, mark.box.y), before.box.x];
    before.box = {
      x,
      y,
      width: Math.max(right(before.box), right(mark.box)) - x,
      height: Math.max(bottom(before.box), bottom(mark.box)) - y,
    };
  }
  const joined = phrases.map(({ box, marks }): Mark => {
    const [first] = marks;
    if (marks.length === 1 && first) return first;
    const widest = marks.reduce((best, mark) => (mark.box.width > best.box.width ? mark : best));
    return { box, kind: 'text', tone: widest.tone, density: widest.density };
  });
  const shown = tops.map(({ box, tone }): Mark => ({ box, kind: 'sign', tone, density: 1 }));
  return [...joined, ...shown].sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x);
}

/** Tells whether a mark goes on with a line: a space from its end, of like height, in its tone. */
function continues(box: Box, marks: readonly Mark[], mark: Mark): boolean {
  const last = marks.at(-1);
  if (!last || last.kind === 'picture') return false;
  const gap = mark.box.x - right(box);
  const height = Math.max(box.height, mark.box.height);
  if (gap < -1 || gap > height * 0.42 + 1.5 || height > 2.2 * Math.min(last.box.height, mark.box.height) + 2) return false;
  const overlap = Math.min(bottom(box), bottom(mark.box)) - Math.max(box.y, mark.box.y);
  return overlap >= Math.min(last.box.height, mark.box.height) * 0.6 && differs(last.tone, mark.tone) <= 40;
}

/** Things by the row they begin in, for finding those at a place without asking all. */
function byTop<One extends { readonly box: Box }>(all: readonly One[]): readonly One[] {
  return [...all].sort((a, b) => a.box.y - b.box.y);
}

/** The first of things by their rows that begins at a row or under it. */
function firstFrom(rows: readonly { readonly box: Box }[], y: number): number {
  let low = 0;
  for (let high = rows.length; low < high;) {
    const middle = (low + high) >> 1;
    if ((rows[middle]?.box.y ?? 0) < y) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** What is drawn within a fill and does not belong to its edge. */
function contentOf(byRow: readonly Mark[], fill: Box): Mark[] {
  const found: Mark[] = [];
  for (let at = firstFrom(byRow, fill.y); at < byRow.length; at++) {
    const mark = byRow[at];
    if (!mark || mark.box.y >= bottom(fill)) break;
    const touches =
      mark.box.x <= fill.x + 1 || mark.box.y <= fill.y || right(mark.box) >= right(fill) - 1 || bottom(mark.box) >= bottom(fill);
    if (!touches && holds(fill, mark.box)) found.push(mark);
  }
  return found.sort((a, b) => byReading(a.box, b.box));
}

/** The pieces that stand in a box, in the order of reading. */
export function piecesIn({ pieces }: Scene, box: Box, slack = 1): Mark[] {
  return pieces.filter((mark) => holds(box, mark.box, slack)).sort((a, b) => byReading(a.box, b.box));
}
