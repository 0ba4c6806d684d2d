import { agreement, bottom, type Box, colourAt, differs, isApart, isFar, near, type Pixels, right, standsWith } from './pixels';
import { looksAlike } from './ink';
import { type Mark, outsideOf, type Scene, type Shape } from './scene';
import type { Found } from './steps';

/** Grounds that are further apart than this are two tones. */
const tonesApart = 6;
const sizesSmall = { width: 420, height: 72 };

type Inside = 'nothing' | 'sign' | 'words' | 'picture';

function insideOf({ content, isBlank }: Shape): Inside {
  if (content.length === 0) return isBlank ? 'nothing' : 'sign';
  if (content.some((mark) => mark.kind === 'picture')) return 'picture';
  return content.length === 1 && content[0]?.kind === 'sign' ? 'sign' : 'words';
}

/** The first line of what is in a shape: its room to the left and the right, its top, and how high it is. */
function firstLine({ box, content }: Shape): { left: number; right: number; top: number; height: number } {
  const top = Math.min(box.height, ...content.map((mark) => mark.box.y - box.y));
  const line = content.filter((mark) => mark.box.y - box.y <= top + 6);
  const left = Math.min(box.width, ...line.map((mark) => mark.box.x - box.x));
  const end = Math.min(box.width, ...line.map((mark) => right(box) - right(mark.box)));
  return { left, right: end, top, height: Math.max(0, ...line.map((mark) => mark.box.height)) };
}

const isSquare = ({ box }: Shape): boolean => near(box.width, box.height, Math.max(2, box.height * 0.12));
const isRound = (shape: Shape): boolean => isSquare(shape) && shape.radius >= shape.box.height * 0.36;
const isSmall = ({ box }: Shape): boolean => box.height <= sizesSmall.height && box.width <= sizesSmall.width;
const isOneTone = (one: Shape, other: Shape): boolean => differs(one.tone, other.tone) <= tonesApart;

const cornersFit = (given: Shape, other: Shape): boolean =>
  near(given.radius, other.radius, Math.max(3.6, Math.min(given.box.height, given.box.width) * 0.12));

/** Controls and marks of one make: of one height and corner, with what is in them set alike. */
function isOfOneMake(given: Shape, other: Shape): boolean {
  const [a, b] = [given.box, other.box];
  if (!near(a.height, b.height, 2) || !cornersFit(given, other)) return false;
  const [inside, theirs] = [insideOf(given), insideOf(other)];
  const isOneSize = near(a.width, b.width, 2);
  // Cells of one size in line are one thing, whatever state they show.
  if (isOneSize && (standsWith(a, b) || (a.width >= a.height * 2 && near(a.width, b.width, 1)))) return true;
  if ((inside === 'nothing') !== (theirs === 'nothing')) return false;
  if (isSquare(given)) return near(a.width, b.width, 3);
  if (inside === 'nothing') return near(a.width, b.width, 4);
  if (b.width < a.height * 1.2 || b.width > a.width * 3.2 || b.width * 3.2 < a.width) return false;
  const [own, line] = [firstLine(given), firstLine(other)];
  const isCentred = near(own.left, own.right, 4) && near(line.left, line.right, 4);
  return (isCentred || near(own.left, line.left, 5)) && near(own.height, line.height, 5);
}

/** A small card with lines of words in it, some of which have a line more: of one corner, with the first line at one place. */
function hasOneHead(given: Shape, other: Shape): boolean {
  const [a, b] = [given.box, other.box];
  const lines = ({ content }: Shape): number => new Set(content.map((mark) => Math.round((mark.box.y + mark.box.height) / 6))).size;
  if (lines(given) < 2 || lines(other) < 2 || !cornersFit(given, other)) return false;
  if (b.width > a.width * 1.6 || a.width > b.width * 1.6 || b.height > a.height * 2 || a.height > b.height * 2) return false;
  const [own, line] = [firstLine(given), firstLine(other)];
  return near(own.left, line.left, 3) && near(own.top, line.top, 3) && near(own.height, line.height, 2);
}

/** The same make in another size: circles with a letter or a picture in them, and buttons of one tone. */
function isOfOtherSize({ pixels }: Scene, given: Shape, other: Shape): boolean {
  const scale = other.box.height / given.box.height;
  if (scale < 0.6 || scale > 1.7 || near(scale, 1, 0.05)) return false;
  const [own, line] = [firstLine(given), firstLine(other)];
  const isInScale = near(line.height / other.box.height, own.height / given.box.height, 0.12);
  const isPicture = (shape: Shape): boolean => insideOf(shape) === 'picture';
  if (isRound(given))
    return (
      isRound(other) &&
      insideOf(given) !== 'nothing' &&
      insideOf(other) !== 'nothing' &&
      isPicture(given) === isPicture(other) &&
      (isInScale || given.content.length === 0 || other.content.length === 0)
    );
  const isButton = (shape: Shape, { left, right: end, height }: typeof own): boolean =>
    insideOf(shape) === 'words' && left >= 8 && near(left, end, 4) && shape.box.height > height * 1.8 && !isSquare(shape);
  const stands = differs(given.tone, outsideOf(pixels, given.box)) > 30;
  return (
    stands &&
    isOneTone(given, other) &&
    isButton(given, own) &&
    isButton(other, line) &&
    near(given.radius, other.radius, 3) &&
    scale > 0.7 &&
    scale < 1.4
  );
}

/**
 * What the found ones themselves say of their kind. Where most of those of the given tone have the given
 * sign in them, those with another are something else; so are, where all of them stand in one column and
 * have one width, others that differ in tone, width and place; and a column of another tone and width.
 */
function ofLearntKind(given: Shape, found: readonly Shape[]): Shape[] {
  const own = [given, ...found.filter((shape) => isOneTone(given, shape))];
  if (own.length < 4) return [...found];
  const isWidth = ({ box }: Shape): boolean => near(box.width, given.box.width, 2);
  const isPlace = ({ box }: Shape): boolean => near(box.x, given.box.x, 2) || near(right(box), right(given.box), 2);
  const signOf = ({ content }: Shape): Mark | undefined => (content.length === 1 && content[0]?.kind === 'sign' ? content[0] : undefined);
  const sign = signOf(given);
  const hasSign = (shape: Shape): boolean => {
    const theirs = signOf(shape);
    return (
      !!sign &&
      !!theirs &&
      near(theirs.box.width, sign.box.width, 1) &&
      near(theirs.box.height, sign.box.height, 1) &&
      near(theirs.density, sign.density, 0.04)
    );
  };
  const bySign = own.filter(hasSign).length > own.length * 0.7;
  const byPlace = own.length >= 6 && own.every((shape) => isWidth(shape) && isPlace(shape));
  // A column of one tone and width that the given one is not in is another kind of mark.
  const others = found.filter((shape) => !own.includes(shape) && !isWidth(shape) && !isPlace(shape));
  const inColumn = others.filter(
    (shape) =>
      others.filter((one) => isOneTone(one, shape) && near(one.box.x, shape.box.x, 2) && near(one.box.width, shape.box.width, 2)).length >=
      6,
  );
  return found.filter(
    (shape) =>
      (own.includes(shape) && !bySign) ||
      !(inColumn.includes(shape) || (bySign && !hasSign(shape)) || (byPlace && !isWidth(shape) && !isPlace(shape))),
  );
}

/** Cards and panels of one width in a column, or of one height in a row, with the same room inside. */
function cardScore(pixels: Pixels, given: Shape, other: Shape): number {
  const [a, b] = [given.box, other.box];
  if (near(a.width, b.width, 1) && near(a.height, b.height, 1) && cornersFit(given, other)) return 1;
  const isOfHeight = b.height * 2.2 >= a.height && b.height <= a.height * 3;
  const isColumn = near(b.width, a.width, Math.max(3, a.width * 0.03));
  const isRow = near(b.height, a.height, 3) && near(b.y, a.y, 3) && b.width < a.width * 1.8 && a.width < b.width * 1.8;
  if (!isOfHeight || (!isColumn && !isRow)) return 0;
  const outside = (box: Box) => colourAt(pixels, Math.max(0, box.x - 3), Math.min(pixels.height - 1, box.y + (box.height >> 1)));
  const isTone = !isOneTone(given, other) || differs(outside(b), outside(a)) > 40;
  if (!isTone && isColumn && a.width < pixels.width * 0.8 && cornersFit(given, other)) return 1;
  const [own, line] = [firstLine(given), firstLine(other)];
  const sameRoom = near(line.left, own.left, 6) && near(line.top, own.top, 12);
  return looksAlike(pixels, a, b) * 0.6 + (sameRoom ? 0.4 : 0) + (standsWith(a, b) ? 0.15 : 0) - (isTone ? 0.35 : 0);
}

const cardFrom = 0.42;
const sureFrom = 0.65;

/** The box of a shape as the given one has it: the chosen card of a column has an outline that the others lack, and is as wide as they are without it. */
function boxAs(given: Shape, { box, fill }: Shape): Box {
  const isInLine = near(fill.x, given.box.x, 1) && near(fill.width, given.box.width, 1);
  return isInLine && !near(box.width, given.box.width, 1) ? fill : box;
}

/** Things of one make as the given shape, without it; not apart yet. Empty for what is like nothing. */
export function likeShape(scene: Scene, given: Shape): Found[] {
  const { pixels, shapes } = scene;
  const others = shapes.filter((shape) => shape !== given && isApart(shape.box, given.box));
  if (!isSmall(given)) {
    const scored = others.map((shape) => ({ shape, score: cardScore(pixels, given, shape) }));
    // Of a card in another tone, those of its tone are cards too: the days of another month among those of this one.
    const sure = scored.filter(({ score }) => score === 1);
    // Where several are alike in all, what is alike in part is of another kind.
    const least = sure.filter(({ shape }) => isOneTone(shape, given)).length >= 2 ? sureFrom : cardFrom;
    return scored
      .map(({ shape, score }) => ({
        box: boxAs(given, shape),
        score:
          score < cardFrom && sure.some((one) => !isOneTone(one.shape, given) && cardScore(pixels, one.shape, shape) === 1) ? 0.9 : score,
      }))
      .filter(({ score }) => score >= least);
  }
  const made = ofLearntKind(
    given,
    others.filter((shape) => isOfOneMake(given, shape)),
  );
  const sized = others.filter((shape) => !made.includes(shape) && isOfOtherSize(scene, given, shape));
  const headed = others.filter((shape) => hasOneHead(given, shape));
  // Of a button in another size, those of its own size in other tones are buttons too.
  const tones =
    sized.length > 0 && !isRound(given) ? others.filter((shape) => sized.some((one) => one !== shape && isOfOneMake(one, shape))) : [];
  const all = new Set([...made, ...sized, ...headed, ...tones]);
  const alikeness = (box: Box): number => agreement({ ...box, x: 0, y: 0 }, { ...given.box, x: 0, y: 0 });
  return [...all].map(({ box }) => ({ box, score: alikeness(box) }));
}

/** The shape that is the lower part of a card, under a picture from side to side. */
function bodyOf({ shapes }: Scene, given: Box): Shape | undefined {
  return shapes.find(
    ({ box }) =>
      near(box.x, given.x, 3) &&
      near(right(box), right(given), 3) &&
      near(bottom(box), bottom(given), 3) &&
      box.height > given.height * 0.3 &&
      box.y > given.y + 8,
  );
}

/** How far up what stands right on a box reaches, at its width: to the first row that has the colour around it throughout. */
function headOf({ pixels }: Scene, box: Box, most: number): number {
  const ground = outsideOf(pixels, { ...box, y: box.y + (box.height >> 1), height: 4 });
  const columns = Array.from({ length: 12 }, (_, at) => Math.floor(box.x + 4 + ((box.width - 8) * at) / 11));
  let height = 0;
  while (
    height < most &&
    box.y - height > 0 &&
    columns.some((x) => isFar(pixels, Math.min(x, pixels.width - 1), box.y - height - 1, ground, 10))
  )
    height++;
  return height >= 8 && height < most ? height : 0;
}

/** Cards with a picture over a ground of their own: known by their grounds, and as high as their pictures. Empty where the given box is none. */
export function likeHeaded(scene: Scene, given: Box): Found[] {
  const body = bodyOf(scene, given);
  if (!body) return [];
  const likeBody = scene.shapes.filter(
    (shape) =>
      shape !== body &&
      isOneTone(shape, body) &&
      near(shape.box.width, body.box.width, 3) &&
      shape.box.height > body.box.height * 0.4 &&
      shape.box.height < body.box.height * 3 &&
      isApart(shape.box, given),
  );
  return likeBody.map(({ box }) => {
    const head = headOf(scene, box, given.height * 1.5);
    return { box: { ...box, y: box.y - head, height: box.height + head }, score: head > 0 ? 1 : 0.8 };
  });
}

/** The shape that a drawn box means: the one that agrees most with it, where one agrees enough. */
export function shapeMeant({ shapes }: Scene, given: Box): Shape | undefined {
  let best: Shape | undefined;
  let most = 0.72;
  for (const shape of shapes) {
    const agrees = agreement(shape.box, given);
    if (agrees > most) [best, most] = [shape, agrees];
  }
  return best;
}
