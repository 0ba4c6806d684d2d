import { correlation } from './ink';
import { bottom, type Box, holds, right } from './pixels';
import type { Scene } from './scene';
import { acrossOf, type Found, stepsOf } from './steps';

/** A column of a picture, as wide as a given thing in it: in which rows something stands, and how the given thing stands among them. */
export type Strip = {
  /** By row of the picture, 1 where something stands that is no line between rows. */
  readonly ink: Uint8Array;
  /** The widest gap within the given thing, in rows; rows of a column are further apart. */
  readonly inner: number;
  /** Room between the given box and what stands in it. */
  readonly room: { readonly top: number; readonly foot: number };
};

/** The column at a given box, as wide as it, moved to begin at `x`. Undefined where nothing stands in the box, or its rows stand as far apart as it from others. */
export function stripOf({ pixels, pieces, shapes }: Scene, given: Box, x = given.x): Strip | undefined {
  const column = { ...given, x };
  const stands = (box: Box): boolean => {
    const middle = box.x + box.width / 2;
    const isLine = box.width >= given.width * 0.9 && box.height <= 3;
    return middle > x && middle < right(column) && !isLine && !(box.width > given.width * 0.9 && box.height > given.height);
  };
  const inner = shapes.filter(({ box }) => box.width < given.width * 0.97 && box.height < given.height * 4);
  const boxes = [...pieces, ...inner].map(({ box }) => box).filter(stands);
  const ink = new Uint8Array(pixels.height + 1);
  for (const box of boxes) ink.fill(1, Math.max(0, box.y), bottom(box));
  const own = (x === given.x ? boxes : [...pieces, ...inner].map(({ box }) => box)).filter((box) => holds(given, box, 1));
  if (own.length === 0) return undefined;
  const top = Math.min(...own.map((box) => box.y));
  const foot = Math.max(...own.map(bottom));
  const taken = new Uint8Array(Math.max(1, foot - top));
  for (const box of own) taken.fill(1, box.y - top, bottom(box) - top);
  let widest = 0;
  for (let y = 0, gap = 0; y < taken.length; y++) {
    gap = taken[y] === 1 ? 0 : gap + 1;
    widest = Math.max(widest, gap);
  }
  const room = { top: top - given.y, foot: bottom(given) - foot };
  if (room.top + room.foot <= widest && widest > 0) return undefined;
  // Another row may have two lines where this one has one: lines stand nearer than rows do.
  const spare = Math.max(0, Math.min(4, room.top + room.foot - widest));
  return { ink, inner: Math.max(widest > 0 ? widest + spare : 0, Math.min(7, Math.floor((room.top + room.foot) * 0.4))), room };
}

/** The row after the last that what begins at a row has without a gap that parts rows; with its room. */
export function endOfRow({ ink, inner, room }: Strip, from: number): number {
  let end = from;
  for (let gap = 0, at = from; at < ink.length && gap <= inner; at++) {
    gap = ink[at] === 1 ? 0 : gap + 1;
    if (gap === 0) end = at + 1;
  }
  return end + room.foot;
}

const bandsAlike = 0.65;
const bandsPassed = 3;
/** A row is not much lower than the given one, nor several times as high. */
const heights = { least: 0.5, most: 4 };

/**
 * Rows without a frame: what stands in the given one's column is cut wherever nothing stands for
 * longer than within the given one (projection profile), and each piece gets the room that the given one has.
 * `column` is the given box, or one beside it in whose column rows like it are looked for.
 */
export function likeRows(scene: Scene, given: Box, column = given): Found[] {
  const strip = stripOf(scene, given, column.x);
  if (!strip) return [];
  const { ink, room } = strip;
  const { pixels } = scene;
  const steps = stepsOf(pixels);
  const across = acrossOf(steps, column);
  const found: Found[] = [];
  for (let y = 0; y < pixels.height; y++) {
    if (ink[y] !== 1) continue;
    const end = endOfRow(strip, y);
    const box = { x: column.x, y: y - room.top, width: given.width, height: end - y + room.top };
    const fits =
      box.height < given.height * heights.most && box.height >= given.height * heights.least && box.y >= 0 && end <= pixels.height;
    found.push({ box, score: fits ? correlation(across, acrossOf(steps, box), across.length) : 0 });
    y = Math.max(y, end - room.foot);
  }
  // A list goes on from the given row in both directions, past a head or two between its parts.
  const goesOn = (rows: readonly Found[]): Found[] => {
    const taken: Found[] = [];
    let passed = 0;
    for (const row of rows) {
      if (row.score >= bandsAlike) {
        taken.push(row);
        passed = 0;
      } else if (++passed > bandsPassed) break;
    }
    return taken;
  };
  const before = found.filter(({ box }) => bottom(box) <= given.y + room.top).reverse();
  const after = found.filter(({ box }) => box.y >= bottom(given) - room.foot - 1);
  return [...goesOn(before), ...goesOn(after)].map(({ box, score }) => ({ box, score: score + 0.6 }));
}
