import {
  agreement,
  area,
  bottom,
  type Box,
  byReading,
  colourAt,
  differs,
  groundOf,
  holds,
  isFar,
  type Pixels,
  right,
  shared,
  standsWith,
} from './pixels';
import { looksAlike } from './ink';
import type { PictureRegion } from './regions';

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
export function likeByRegions(pixels: Pixels, regions: readonly PictureRegion[], given: Box): Box[] {
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
  return chosen.sort(byReading);
}
