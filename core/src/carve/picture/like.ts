import { agreement, area, type Box, byReading, differs, isApart, near, type Pixels, right } from './pixels';
import { likeByRegions } from './like-regions';
import { likeHeaded, likeShape, shapeMeant } from './like-shapes';
import { likeColumns, likeDrawing, likeMark, likePart, likeStart } from './like-starts';
import type { PictureRegion } from './regions';
import { type Mark, piecesIn, type Scene, sceneOf, type Shape } from './scene';
import type { Found } from './steps';

/** What is a shape has its exact box, which beginnings alone do not tell. */
const surer = 2;

/** The given box and those found, the best first, that share no more than a tenth with one before them; in the order of reading. */
export function apart(given: Box, found: readonly Found[]): Box[] {
  const chosen: Box[] = [given];
  for (const { box } of [...found].sort((a, b) => b.score - a.score || area(b.box) - area(a.box)))
    if (chosen.every((one) => isApart(one, box))) chosen.push(box);
  return chosen.sort(byReading);
}

/** How much of what stands in a box stands in another too: pieces of one kind, height and tone at one distance from its left or right edge, 0 to 1. */
function sharedContent(scene: Scene, one: Box, other: Box): number {
  const [own, theirs] = [piecesIn(scene, one), piecesIn(scene, other)];
  if (own.length < 3 || theirs.length < 3) return 1;
  const isIn = (piece: Mark, from: Box, pieces: readonly Mark[], to: Box): boolean =>
    pieces.some(
      (mark) =>
        mark.kind === piece.kind &&
        near(mark.box.height, piece.box.height, 4) &&
        (near(mark.box.x - to.x, piece.box.x - from.x, 3) || near(right(to) - right(mark.box), right(from) - right(piece.box), 3)) &&
        differs(mark.tone, piece.tone) <= 40,
    );
  return Math.max(
    own.filter((piece) => isIn(piece, one, theirs, other)).length / own.length,
    theirs.filter((piece) => isIn(piece, other, own, one)).length / theirs.length,
  );
}

/** Without what shares nothing inside with the given box where others share half with it: two kinds in frames of one size. */
function ofOneContent(scene: Scene, given: Box, boxes: readonly Box[]): Box[] {
  const parts = boxes.map((box) => ({ box, share: box === given ? 1 : sharedContent(scene, given, box) }));
  const isKnown = parts.some(({ box, share }) => box !== given && share >= 0.5);
  return parts.filter(({ share }) => !isKnown || share > 0.05).map(({ box }) => box);
}

/** A shape and those of one make with it, in the order of reading. */
export function boxesOfMake(scene: Scene, shape: Shape): Box[] {
  return ofOneContent(scene, shape.box, apart(shape.box, likeShape(scene, shape)));
}

/**
 * The boxes of a picture that are like the given one, the given one among them (as the box it stands
 * for where there is one), in the order of reading; boxes share no more than a tenth. What has a ground or a frame
 * of its own is looked for among those of one make; one drawing by its size; what has neither, by what
 * its first line is, wherever something begins so, and by the rows of its column.
 */
export function boxesLike(pixels: Pixels, regions: readonly PictureRegion[], given: Box): Box[] {
  const scene = sceneOf(pixels);
  const shape = shapeMeant(scene, given);
  const mark = scene.marks.reduce<Box | undefined>(
    (best, one) => (agreement(one.box, given) > Math.max(0.72, best ? agreement(best, given) : 0) ? one.box : best),
    undefined,
  );
  if (shape && !(mark && agreement(mark, given) > agreement(shape.box, given))) {
    const made = likeShape(scene, shape);
    // The chosen one of a list has a ground that the others lack: these begin as it does.
    const found =
      made.length > 3 ? made : [...made.map(({ box, score }) => ({ box, score: score + surer })), ...likeStart(scene, shape.box)];
    return found.length > 0 ? ofOneContent(scene, shape.box, apart(shape.box, found)) : likeByRegions(pixels, regions, given);
  }
  const isSquare = mark && mark.width < mark.height * 1.3 && mark.height < mark.width * 1.3;
  const ways: (() => Found[])[] = [
    () => (isSquare ? likeMark(scene, mark) : []),
    () => likeDrawing(scene, given),
    () => likeHeaded(scene, given),
    () => likePart(scene, given),
    () => {
      const begun = likeStart(scene, given);
      return [...begun, ...likeColumns(scene, given, begun)];
    },
  ];
  for (const way of ways) {
    const found = way();
    if (found.length === 0) continue;
    const start = mark && isSquare ? mark : given;
    return ofOneContent(scene, start, apart(start, found));
  }
  return likeByRegions(pixels, regions, given);
}
