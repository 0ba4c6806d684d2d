import {
  agreement,
  area,
  bottom,
  type Box,
  type Colour,
  colourAt,
  differs,
  groundOf,
  holds,
  isFar,
  type Pixels,
  right,
  shared,
} from './pixels';
import { type Patches, patchesOf } from './flat';
import type { PictureRegion } from './regions';

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
function correlation(one: Float64Array, other: Float64Array, columns: number): number {
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

/** Sizes that one thing may have with other content: one side as it was, the other longer or shorter. */
function fitsSize(given: Box, other: Box): boolean {
  const near = (one: number, two: number, share: number): boolean => Math.abs(one - two) <= Math.max(4, one * share);
  const within = (one: number, two: number, factor: number): boolean => two <= one * factor + 8 && two >= one / factor - 8;
  const sameColumn = near(given.width, other.width, 0.02) && Math.abs(given.x - other.x) <= 4;
  const sameRow = near(given.height, other.height, 0.03) && Math.abs(given.y - other.y) <= 4;
  if (sameColumn) return within(given.height, other.height, 5);
  if (sameRow) return within(given.width, other.width, 1.6);
  return near(given.width, other.width, 0.12) && within(given.height, other.height, 1.5);
}

/** Standing in one column, or one row, of things of one size speaks for being the same. */
function standsWith(given: Box, other: Box): boolean {
  const same = (one: number, two: number): boolean => Math.abs(one - two) <= 2;
  return (same(given.x, other.x) && same(given.width, other.width)) || (same(given.y, other.y) && same(given.height, other.height));
}

/** Alike enough to be the same part; smaller things have less to tell them by. */
const alikeFrom = 0.58;

/** Tells whether a box stands out by a frame or a ground of its own: most of its edge differs from what is right outside. */
function isFramed(pixels: Pixels, box: Box): boolean {
  const step = Math.max(1, Math.floor((box.width + box.height) / 200));
  let seen = 0;
  let apart = 0;
  const look = (x: number, y: number, outX: number, outY: number): void => {
    if (outX < 0 || outY < 0 || outX >= pixels.width || outY >= pixels.height) return;
    seen++;
    if (differs(colourAt(pixels, x, y), colourAt(pixels, outX, outY)) > 5) apart++;
  };
  for (let x = box.x; x < right(box); x += step) {
    look(x, box.y, x, box.y - 2);
    look(x, bottom(box) - 1, x, bottom(box) + 1);
  }
  for (let y = box.y; y < bottom(box); y += step) {
    look(box.x, y, box.x - 2, y);
    look(right(box) - 1, y, right(box) + 1, y);
  }
  return seen > 8 && apart / seen > 0.8;
}

/** Room between a box's frame and its first ink, from the left and from the top; all of it for an empty box. */
function padding(pixels: Pixels, box: Box): { left: number; top: number } {
  const frame = Math.min(6, Math.floor(Math.min(box.width, box.height) / 6));
  const inner = { x: box.x + frame, y: box.y + frame, width: box.width - 2 * frame, height: box.height - 2 * frame };
  const ground = groundOf(pixels, inner);
  let left = inner.width;
  let top = inner.height;
  for (let y = inner.y; y < bottom(inner); y++)
    for (let x = inner.x; x < Math.min(right(inner), inner.x + left); x++)
      if (isFar(pixels, x, y, ground, 24)) {
        left = Math.min(left, x - inner.x);
        top = Math.min(top, y - inner.y);
        break;
      }
  return { left, top };
}

/**
 * How much speaks for two boxes being one thing. Boxes with a frame or a ground of their own, in one
 * column or row, of one ground and with the same room inside, are one thing whatever they hold: so
 * are cards made. Others must show their ink in the same places.
 */
function evidence(pixels: Pixels, given: Box, other: Box): number {
  const inLine = standsWith(given, other);
  const ink = looksAlike(pixels, given, other) + (inLine ? 0.12 : 0);
  if (!inLine || ink >= alikeFrom || differs(groundOf(pixels, given), groundOf(pixels, other)) > 6) return ink;
  if (!isFramed(pixels, given) || !isFramed(pixels, other)) return ink;
  const [one, two] = [padding(pixels, given), padding(pixels, other)];
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= Math.max(4, given.width * 0.006);
  return near(one.left, two.left) && Math.abs(one.top - two.top) <= Math.max(10, given.width * 0.012)
    ? Math.max(ink, alikeFrom + 0.01)
    : ink;
}

/**
 * Boxes alike by the regions of the picture alone: for pictures that were drawn again (photographed,
 * compressed), in which no patch has one exact colour. A box that is no region of its own is known
 * again by the largest region in it, and keeps its room around that.
 */
function likeByRegions(pixels: Pixels, regions: readonly PictureRegion[], given: Box): Box[] {
  const meant = regions.reduce<PictureRegion | undefined>(
    (best, region) => (agreement(region.box, given) > Math.max(0.7, best ? agreement(best.box, given) : 0) ? region : best),
    undefined,
  );
  if (meant) return alikeTo(pixels, regions, meant.box);
  const anchor = regions.find(({ box }) => holds(given, box, 2))?.box;
  if (!anchor) return alikeTo(pixels, regions, given);
  const around = {
    left: anchor.x - given.x,
    top: anchor.y - given.y,
    right: right(given) - right(anchor),
    foot: bottom(given) - bottom(anchor),
  };
  const found = alikeTo(pixels, regions, anchor).map((box): Box => {
    const x = Math.max(0, box.x - around.left);
    const y = Math.max(0, box.y - around.top);
    // In a column every one is as wide as the given one, in a row as high.
    const isColumn = Math.abs(box.x - anchor.x) <= 4;
    const isRow = Math.abs(box.y - anchor.y) <= 4;
    const end = isColumn ? x + given.width : right(box) + around.right;
    const foot = isRow ? y + given.height : bottom(box) + around.foot;
    return { x, y, width: Math.min(pixels.width, end) - x, height: Math.min(pixels.height, foot) - y };
  });
  return found.filter((box, index) => !found.slice(0, index).some((one) => agreement(one, box) > 0.1));
}

function alikeTo(pixels: Pixels, regions: readonly PictureRegion[], start: Box): Box[] {
  const scored = regions
    .map(({ box }) => box)
    .filter((box) => area(shared(box, start)) === 0 && fitsSize(start, box))
    .map((box) => ({ box, score: evidence(pixels, start, box) }))
    .filter(({ score }) => score >= alikeFrom)
    .sort((a, b) => b.score - a.score || area(b.box) - area(a.box));
  const chosen: Box[] = [start];
  for (const { box } of scored) if (!chosen.some((one) => area(shared(one, box)) > 0)) chosen.push(box);
  return chosen.sort((a, b) => (Math.abs(a.y - b.y) > 4 ? a.y - b.y : a.x - b.x));
}

/**
 * The boxes of a picture that are like the given one, the given one among them (as the box it stands
 * for where there is one), in the order of reading; boxes do not overlap. What has a fill or a frame of its own is
 * looked for among those of one height (pills, buttons) or one width (cards); what has none, by what
 * stands where in it, wherever something begins as it does.
 */
export function boxesLike(pixels: Pixels, regions: readonly PictureRegion[], given: Box): Box[] {
  const patches = patchesIn(pixels);
  const nearest = (among: readonly Box[], least: number): Box | undefined =>
    among.reduce<Box | undefined>(
      (best, box) => (agreement(box, given) > Math.max(least, best ? agreement(best, given) : 0) ? box : best),
      undefined,
    );
  const fill = nearest(patches.fills, 0.72);
  if (fill) {
    const made = likeFill(pixels, patches, fill);
    // The chosen one of a list has a ground that the others lack: these begin as it does, in one line with it.
    const begun = likeByStart(pixels, patches, fill, true);
    const found = made.length > 2 ? made : inOrder(apart([...made, ...begun]));
    return found.length > 1 ? found : likeByRegions(pixels, regions, given);
  }
  const mark = nearest(patches.marks, 0.72);
  const found = mark && mark.width < mark.height * 1.3 && mark.height < mark.width * 1.3 ? likeMark(patches, mark) : [];
  const begun = found.length > 1 ? found : likeByStart(pixels, patches, given, false);
  return begun.length > 1 ? begun : likeByRegions(pixels, regions, given);
}

const inOrder = (boxes: readonly Box[]): Box[] => [...boxes].sort((a, b) => (Math.abs(a.y - b.y) > 4 ? a.y - b.y : a.x - b.x));

/** Of boxes in the order of their worth, those that overlap none before them. */
function apart(boxes: readonly Box[]): Box[] {
  const chosen: Box[] = [];
  for (const box of boxes) if (!chosen.some((one) => area(shared(one, box)) > Math.min(area(one), area(box)) * 0.1)) chosen.push(box);
  return chosen;
}

/** What stands in a box: the marks in it, the room before the first from the left and the top, and how high a line is. */
type Content = { readonly marks: readonly Box[]; readonly left: number; readonly top: number; readonly line: number };

function contentOf({ marks }: Patches, box: Box): Content {
  const inner = marks.filter((mark) => holds(box, mark, 0) && mark.width < box.width * 0.98 && mark.x > box.x + 1 && mark.y > box.y);
  const left = Math.min(box.width, ...inner.map((mark) => mark.x - box.x));
  const top = Math.min(box.height, ...inner.map((mark) => mark.y - box.y));
  const first = inner.filter((mark) => mark.y - box.y <= top + 6).map((mark) => mark.height);
  return { marks: inner, left, top, line: Math.max(0, ...first) };
}

/** Things of one make among the fills: of one height and any length, or of one width and any height, with the same room inside. */
function likeFill(pixels: Pixels, patches: Patches, given: Box): Box[] {
  const near = (one: number, two: number, by: number): boolean => Math.abs(one - two) <= by;
  const own = contentOf(patches, given);
  const ground = groundOf(pixels, given);
  const isSquare = near(given.width, given.height, given.height * 0.12);
  const isSmall = given.height <= 72 && given.width <= 330;
  const outside = (box: Box): Colour => colourAt(pixels, Math.max(0, box.x - 3), Math.min(pixels.height - 1, box.y + (box.height >> 1)));
  const corner = cornerOf(pixels, given);
  const scores = patches.fills.flatMap((box): { box: Box; score: number }[] => {
    if (box === given || area(shared(box, given)) > 0) return [];
    const content = contentOf(patches, box);
    const isEmpty = (own.marks.length === 0) !== (content.marks.length === 0);
    // Cells of one size are one thing, whatever state they show.
    const isSize = near(box.width, given.width, 1) && near(box.height, given.height, 1);
    if (isSize && cornersApart(corner, cornerOf(pixels, box)) <= 9) return [{ box, score: 1 }];
    if (isSmall) {
      if (!near(box.height, given.height, 2) || isEmpty) return [];
      if (
        isSquare
          ? !near(box.width, given.width, 3)
          : box.width < given.height * 1.2 || box.width > given.width * 3.2 || box.width * 3.2 < given.width
      )
        return [];
      if (!isSquare && own.marks.length > 0 && (!near(content.left, own.left, 4) || !near(content.line, own.line, 5))) return [];
      if (own.marks.length === 0 && !isSquare && !near(box.width, given.width, 4)) return [];
      if (cornersApart(corner, cornerOf(pixels, box)) > 9) return [];
      return [{ box, score: agreement({ ...box, x: 0, y: 0 }, { ...given, x: 0, y: 0 }) }];
    }
    const isColumn =
      near(box.width, given.width, Math.max(3, given.width * 0.03)) &&
      box.height < given.height * 5 + 8 &&
      given.height < box.height * 5 + 8;
    const isRow =
      near(box.height, given.height, 3) && near(box.y, given.y, 3) && box.width < given.width * 1.8 && given.width < box.width * 1.8;
    if (!isColumn && !isRow) return [];
    const isTone = differs(groundOf(pixels, box), ground) > tonesApart || differs(outside(box), outside(given)) > 40;
    const isOfHeight = box.height < given.height * 3 + 8 && given.height < box.height * 3 + 8;
    if (!isTone && isColumn && isOfHeight && given.width < pixels.width * 0.8 && cornersApart(corner, cornerOf(pixels, box)) <= 9)
      return [{ box, score: 1 }];
    const sameRoom = near(content.left, own.left, 6) && near(content.top, own.top, 12);
    const ink = looksAlike(pixels, given, box);
    const score = ink * 0.6 + (sameRoom ? 0.4 : 0) + (standsWith(given, box) ? 0.15 : 0) - (isTone ? 0.35 : 0);
    return score >= 0.42 ? [{ box, score }] : [];
  });
  return inOrder(apart([given, ...scores.sort((a, b) => b.score - a.score).map(({ box }) => box)]));
}

/** Pictures and signs of one size. */
function likeMark({ marks, fills }: Patches, given: Box): Box[] {
  const near = (one: number, two: number): boolean => Math.abs(one - two) <= Math.max(1.5, two * 0.07);
  const sized = [...marks, ...fills].filter((box) => near(box.width, given.width) && near(box.height, given.height));
  return inOrder(apart([given, ...sized]));
}

/** What the top left corner of a fill is like: which of its first pixels have the fill's colour. Round corners of one radius are the same. */
function cornerOf(pixels: Pixels, box: Box): readonly boolean[] {
  const size = Math.min(10, Math.floor(Math.min(box.width, box.height) / 3));
  const own = colourAt(pixels, box.x + Math.min(size, box.width >> 1), box.y + Math.min(2, box.height >> 1));
  const corner: boolean[] = [];
  for (let y = 0; y < 10; y++)
    for (let x = 0; x < 10; x++) corner.push(x < size && y < size && !isFar(pixels, box.x + x, box.y + y, own, 14));
  return corner;
}

const cornersApart = (one: readonly boolean[], other: readonly boolean[]): number =>
  one.reduce((sum, is, at) => sum + (is === other[at] ? 0 : 1), 0);

/** Where two neighbouring pixels differ, per cell of a grid: what stands in a box whatever its ground is. */
type Steps = { readonly columns: number; readonly cells: Uint8Array };

const cellWide = 8;
const cellHigh = 4;

const stepsKept = new WeakMap<Pixels, Steps>();

function stepsOf(pixels: Pixels): Steps {
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
function acrossOf(steps: Steps, box: Box): Float64Array {
  const columns = Math.max(2, Math.round(box.width / cellWide));
  const first = Math.round(box.x / cellWide);
  const found = new Float64Array(columns + 2);
  for (let y = Math.max(0, box.y); y < Math.min(bottom(box), steps.cells.length / steps.columns); y++)
    for (let column = 0; column < columns; column++) if (steps.cells[y * steps.columns + first + column]) found[column + 1] = 1;
  return found
    .map((own, at) => (at === 0 || at > columns ? 0 : own * 0.5 + ((found[at - 1] ?? 0) + (found[at + 1] ?? 0)) * 0.25))
    .slice(1, -1);
}

/**
 * Rows without a frame: what stands in the given one's column is cut wherever nothing stands for
 * longer than within the given one (projection profile), and each piece gets the room that the given one has.
 */
function likeBands(pixels: Pixels, { marks }: Patches, given: Box): { box: Box; score: number }[] {
  const inStrip = marks.filter((mark) => {
    const middle = mark.x + mark.width / 2;
    return middle > given.x && middle < right(given) && !(mark.width > given.width * 0.9 && mark.height > given.height);
  });
  const isLine = (mark: Box): boolean => mark.width >= given.width * 0.9 && mark.height <= 3;
  const ink = new Uint8Array(pixels.height + 1);
  for (const mark of inStrip) if (!isLine(mark)) ink.fill(1, mark.y, bottom(mark));
  const own = inStrip.filter((mark) => !isLine(mark) && holds(given, mark, 1));
  if (own.length === 0) return [];
  const top = Math.min(...own.map((mark) => mark.y));
  const foot = Math.max(...own.map(bottom));
  let inner = 0;
  for (let y = top, gap = 0; y < foot; y++) {
    gap = ink[y] === 1 ? 0 : gap + 1;
    inner = Math.max(inner, gap);
  }
  const room = { top: top - given.y, foot: bottom(given) - foot };
  if (room.top + room.foot <= inner) return [];
  // Another row may have two lines where this one has one: lines stand nearer than rows do.
  inner = Math.max(inner, Math.min(7, Math.floor((room.top + room.foot) * 0.4)));
  const steps = stepsOf(pixels);
  const across = acrossOf(steps, given);
  const found: { box: Box; score: number }[] = [];
  for (let y = 0; y < pixels.height; y++) {
    if (ink[y] !== 1) continue;
    let end = y;
    for (let gap = 0, at = y; at < pixels.height && gap <= inner; at++) {
      gap = ink[at] === 1 ? 0 : gap + 1;
      if (gap === 0) end = at + 1;
    }
    const box = { x: given.x, y: y - room.top, width: given.width, height: end - y + room.top + room.foot };
    const isHigh = box.height >= given.height * 4 || box.y < 0 || bottom(box) > pixels.height;
    found.push({ box, score: isHigh ? 0 : correlation(across, acrossOf(steps, box), across.length) });
    y = end;
  }
  // A list goes on from the given row in both directions, past a head or two between its parts.
  const goesOn = (pieces: typeof found): typeof found => {
    const taken: typeof found = [];
    let passed = 0;
    for (const piece of pieces) {
      if (piece.score >= bandsAlike) {
        taken.push(piece);
        passed = 0;
      } else if (++passed > bandsPassed) break;
    }
    return taken;
  };
  const before = found.filter(({ box }) => bottom(box) <= given.y + room.top).reverse();
  const after = found.filter(({ box }) => box.y >= bottom(given) - room.foot - 1);
  return [...goesOn(before), ...goesOn(after)].map(({ box, score }) => ({ box, score: score + 0.6 }));
}

const bandsAlike = 0.65;
const bandsPassed = 1;

/** How much of a box is compared: things of one kind begin alike, and differ in what follows. */
const comparedAtMost = 88;
const startsAlike = 0.5;
/** Grounds that are further apart than this are two tones. */
const tonesApart = 12;
/** Out of line with the given one, more is asked. */
const strayAlike = 0.86;

/** Tells whether a box cuts through something that is drawn: no thing begins in the middle of a word, or half in a card. */
function cutsThrough({ marks, fills }: Patches, box: Box): boolean {
  const isCut = marks.some((mark) => {
    if (mark.x >= right(box) || mark.y >= bottom(box) || right(mark) <= box.x || bottom(mark) <= box.y) return false;
    return (mark.x < box.x - 2 && right(mark) > box.x + 2) || (mark.y < box.y - 2 && bottom(mark) > box.y + 2);
  });
  return (
    isCut ||
    fills.some((fill) => {
      const both = shared(fill, box);
      const isGrazed =
        both.width < Math.max(4, Math.min(fill.width, box.width) * 0.2) ||
        both.height < Math.max(4, Math.min(fill.height, box.height) * 0.2);
      if (isGrazed || holds(fill, box, 3) || holds(box, fill, 3)) return false;
      return fill.x < box.x - 3 || fill.y < box.y - 3 || right(fill) > right(box) + 3;
    })
  );
}

/** Things without a frame: looked for wherever a mark stands as the first of the given one does, and known by what begins there. */
function likeByStart(pixels: Pixels, patches: Patches, given: Box, onlyInLine: boolean): Box[] {
  const own = patches.marks.filter((mark) => holds(given, mark, 1));
  if (own.length === 0) return [];
  const steps = stepsOf(pixels);
  const columns = Math.max(2, Math.round(given.width / cellWide));
  const rows = Math.max(2, Math.round(Math.min(given.height, comparedAtMost) / cellHigh));
  const map = stepMap(steps, given, columns, rows);
  const topmost = own.reduce((best, mark) => (mark.y < best.y - 2 || (Math.abs(mark.y - best.y) <= 2 && mark.x < best.x) ? mark : best));
  const leftmost = own.reduce((best, mark) => (mark.x < best.x - 2 || (Math.abs(mark.x - best.x) <= 2 && mark.y < best.y) ? mark : best));
  const starts = new Map<string, { box: Box; score: number }>();
  const ground = groundOf(pixels, given);
  for (const anchor of new Set([topmost, leftmost]))
    for (const mark of patches.marks) {
      if (Math.abs(mark.height - anchor.height) > Math.max(4, anchor.height * 0.35)) continue;
      const box = { ...given, x: mark.x - anchor.x + given.x, y: mark.y - anchor.y + given.y };
      if (box.x < 0 || box.y < 0 || right(box) > pixels.width + 2 || bottom(box) > pixels.height + given.height / 2) continue;
      const key = `${box.x} ${box.y}`;
      if (starts.has(key) || area(shared(box, given)) > 0 || cutsThrough(patches, box)) continue;
      const isSmall = given.width < 160 && given.height < 40;
      const inLine = Math.abs(box.x - given.x) <= 2 || (Math.abs(box.y - given.y) <= 2 && given.width < pixels.width / 2);
      const score = correlation(map, stepMap(steps, box, columns, rows), columns);
      if (!inLine && (onlyInLine || isSmall || Math.abs(mark.height - anchor.height) > 1)) continue;
      if (score < (inLine ? startsAlike : strayAlike) || (!inLine && differs(groundOf(pixels, box), ground) > 24)) continue;
      starts.set(key, { box, score: score + (inLine ? 0.2 : 0) });
    }
  const found = [...starts.values(), ...(given.width >= 220 && !onlyInLine ? likeBands(pixels, patches, given) : [])].sort(
    (a, b) => b.score - a.score,
  );
  return inOrder(apart([given, ...found.map(({ box }) => box)]));
}

const patchesKept = new WeakMap<Pixels, Patches>();

function patchesIn(pixels: Pixels): Patches {
  const known = patchesKept.get(pixels) ?? patchesOf(pixels);
  patchesKept.set(pixels, known);
  return known;
}
