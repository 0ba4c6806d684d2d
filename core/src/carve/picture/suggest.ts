import { append } from '../../model/append';
import { freeName } from '../../write/case';
import type { PlannedProp } from '../plan/plan';
import { correlation } from './ink';
import { likeMark } from './like-starts';
import { apart, boxesOfMake } from './like';
import { agreement, area, bottom, type Box, type Colour, differs, holds, isApart, isFar, near, type Pixels, right, shared } from './pixels';
import { type Mark, outsideOf, piecesIn, type Scene, sceneOf, type Shape } from './scene';
import { regionsOf } from './regions';
import { acrossOf, stepsOf } from './steps';

export type PictureWhy = 'bar' | 'panel' | 'card' | 'row' | 'field' | 'button' | 'pill' | 'sign' | 'picture';

/** A part that Liana would make of a picture, with why. */
export type PicturePart = {
  readonly name: string;
  /** Where it stands, in the order of reading; several for a part that repeats. */
  readonly boxes: readonly Box[];
  /** The name of the part around it; null for one right on the page. */
  readonly parent: string | null;
  readonly why: PictureWhy;
  readonly reason: string;
  /** What stands in it and would be given to it. */
  readonly props: readonly PlannedProp[];
};

type Thing = { readonly boxes: readonly Box[]; readonly why: PictureWhy };

const words: Readonly<Record<PictureWhy, { name: string; one: string; many: string }>> = {
  bar: { name: 'PageBar', one: 'reaches from one side to the other, or nearly', many: 'bars of one make' },
  panel: { name: 'Panel', one: 'has a ground or a frame of its own', many: 'panels of one make' },
  card: { name: 'Card', one: 'a card', many: 'frames or grounds of one make' },
  row: { name: 'Row', one: 'a row', many: 'rows of one column with something at the same places' },
  field: { name: 'Field', one: 'a label over a box', many: 'labels over boxes of one make' },
  button: { name: 'Button', one: 'a button', many: 'boxes of one make with a line in them' },
  pill: { name: 'Pill', one: 'a small mark', many: 'small grounds of one make with a line on them' },
  sign: { name: 'Sign', one: 'a sign', many: 'small shapes of one make' },
  picture: { name: 'Picture', one: 'a picture', many: 'pictures of one make' },
};

/** Tells whether a shape is no letter's inside and no patch of a photograph. */
function stands({ marks, pixels }: Scene, { box }: Shape): boolean {
  if (box.width < 14 || box.height < 12 || area(box) > pixels.width * pixels.height * 0.85) return false;
  return !marks.some(
    (mark) => holds(mark.box, box) && area(mark.box) > area(box) * 1.02 && (mark.kind === 'picture' || mark.box.height <= 48),
  );
}

/** The share of a box that has a colour, 0 to 1. */
function shareOf(pixels: Pixels, { x, y, width, height }: Box, tone: Colour): number {
  const step = Math.max(1, Math.floor(Math.sqrt((width * height) / 1500)));
  let [seen, own] = [0, 0];
  for (let row = y; row < y + height; row += step)
    for (let column = x; column < x + width; column += step) {
      seen++;
      if (!isFar(pixels, column, row, tone, 12)) own++;
    }
  return seen === 0 ? 0 : own / seen;
}

/** Tells whether what is around a box has one colour, but for a few places: a patch of a drawing has others around it. */
function isAlone(pixels: Pixels, { x, y, width, height }: Box): boolean {
  const ground = outsideOf(pixels, { x, y, width, height });
  let [seen, own] = [0, 0];
  const look = (column: number, row: number): void => {
    if (column < 0 || row < 0 || column >= pixels.width || row >= pixels.height) return;
    seen++;
    if (!isFar(pixels, column, row, ground, 10)) own++;
  };
  for (let at = 0; at <= 12; at++) {
    const [across, down] = [Math.floor(x + (width * at) / 12), Math.floor(y + (height * at) / 12)];
    look(across, y - 4);
    look(across, y + height + 3);
    look(x - 4, down);
    look(x + width + 3, down);
  }
  return own >= seen * 0.85;
}

/** A circle fills less of its box than any other ground of a control; large letters fill less than a circle. */
const groundShare = 0.72;

/** Tells whether a shape stands in a line of others as near as letters, of other widths. */
function isLetter({ box }: Shape, bare: readonly Shape[]): boolean {
  if (box.height >= 60) return false;
  return bare.some(({ box: one }) => {
    const gap = Math.max(one.x - right(box), box.x - right(one));
    const both = Math.min(bottom(one), bottom(box)) - Math.max(one.y, box.y);
    return gap >= 0 && gap <= 8 && both > Math.min(one.height, box.height) * 0.5 && !near(one.width, box.width, 2);
  });
}

/** Shapes that stand alone on their ground: no letters of a heading, and no patches of a drawing, which lie on or beside each other. */
function controls(scene: Scene): Shape[] {
  const shapes = scene.shapes.filter((shape) => stands(scene, shape)).sort((a, b) => area(b.box) - area(a.box));
  const isBare = ({ content, isBlank }: Shape): boolean => content.length === 0 && isBlank;
  const grown = ({ x, y, width, height }: Box): Box => ({ x: x - 2, y: y - 2, width: width + 4, height: height + 4 });
  const bare = shapes.filter((shape) => isBare(shape) && !shape.isFramed);
  return shapes.filter((shape) => {
    // A letter is not blank, and holds nothing that could be told from it.
    if (shape.content.length === 0 && !shape.isBlank && !shape.isFramed && shape.box.height < 60 && shape.radius < shape.box.height * 0.36)
      return false;
    if (!isBare(shape)) return true;
    if (!shape.isFramed && (!isAlone(scene.pixels, shape.box) || isLetter(shape, bare))) return false;
    if (!shape.isFramed && shape.box.height < 60 && shareOf(scene.pixels, shape.box, shape.tone) < groundShare) return false;
    return !bare.some((one) => one !== shape && differs(one.tone, shape.tone) > 8 && area(shared(grown(one.box), shape.box)) > 0);
  });
}

/** What a thing that repeats is, by its size and what is in it. */
function kindOf(scene: Scene, boxes: readonly Box[]): PictureWhy {
  const [box] = boxes;
  if (!box) return 'card';
  const inside = piecesIn(scene, box, 0).filter((piece) => agreement(piece.box, box) < 0.8);
  const most = Math.max(...boxes.slice(0, 6).map((one) => piecesIn(scene, one, 0).length));
  const isSquare = near(box.width, box.height, box.height * 0.25);
  if (box.height >= 60 && box.width >= 60) return 'card';
  if (isSquare) return 'sign';
  if (most >= 3 && box.width >= 160) return 'card';
  const [text] = inside;
  const isWords = inside.length <= 2 && !!text && box.height >= 12;
  if (!isWords) return box.height >= 40 ? 'card' : 'sign';
  return box.height >= 25 ? 'button' : 'pill';
}

/** Fields: boxes to write in, with their labels over them. Undefined for shapes of which most have no label. */
function fieldsOf({ pieces }: Scene, boxes: readonly Box[]): Box[] | undefined {
  const labelled = boxes.map((box): Box | undefined => {
    const label = pieces.find(
      (piece) =>
        piece.kind === 'text' &&
        near(piece.box.x, box.x, 6) &&
        bottom(piece.box) <= box.y &&
        bottom(piece.box) >= box.y - 16 &&
        piece.box.height <= 20,
    );
    return label && { x: box.x, y: label.box.y - 3, width: box.width, height: bottom(box) - label.box.y + 3 };
  });
  const found = labelled.flatMap((box) => box ?? []);
  return found.length * 2 > boxes.length ? found : undefined;
}

/** Things of one make: shapes, and pictures of one size; the largest first. */
function repeats(scene: Scene): Thing[] {
  const found: Thing[] = [];
  const seen: Box[] = [];
  const isKnown = (box: Box): boolean => seen.some((one) => agreement(one, box) > 0.7);
  const add = (boxes: readonly Box[], why: PictureWhy): void => {
    if (boxes.length >= 2) found.push({ boxes, why });
  };
  const shapes = controls(scene).filter(({ box }) => box.width < scene.pixels.width * 0.94);
  for (const shape of shapes) {
    if (isKnown(shape.box)) continue;
    const boxes = boxesOfMake(scene, shape).filter((box) => shapes.some((one) => agreement(one.box, box) > 0.9));
    if (boxes.length < 2) continue;
    const isSeen = boxes.filter(isKnown).length * 2 > boxes.length;
    append(seen, boxes);
    if (isSeen) continue;
    const [box = shape.box] = boxes;
    const isBox = shape.isFramed && box.height >= 24 && box.height <= 64 && box.width >= 100;
    const fields = isBox ? fieldsOf(scene, boxes) : undefined;
    if (fields) add(fields, 'field');
    else if (!(isBox && piecesIn(scene, box, 0).length < 2 && box.width > 200)) add(boxes, kindOf(scene, boxes));
  }
  const drawings = scene.marks.filter(({ kind }) => kind === 'picture').map(({ box }) => box);
  const isInDrawing = (box: Box): boolean => drawings.some((one) => one !== box && area(one) >= area(box) && !isApart(one, box));
  for (const { box, kind } of [...scene.marks].sort((a, b) => area(b.box) - area(a.box))) {
    if (kind !== 'picture' || box.width < 20 || box.height < 20 || isKnown(box) || isInDrawing(box) || !isAlone(scene.pixels, box))
      continue;
    const boxes = apart(box, likeMark(scene, box));
    append(seen, boxes);
    add(boxes, 'picture');
  }
  return found;
}

const gaps = [5, 8, 11, 15, 20, 28];
const rowMost = 150;
const columnsMost = 40;

/** Rows of a column: the longest list of stretches between gaps of which each has several things and ink in the same columns as the first. */
function rowsIn(scene: Scene, column: Box): Box[] {
  const inner = piecesIn(scene, column, 0).map(({ box }) => box);
  const shapes = scene.shapes.map(({ box }) => box).filter((box) => holds(column, box) && box.width < column.width * 0.9);
  const atoms = [...inner, ...shapes];
  if (inner.length < 6) return [];
  const ink = new Uint8Array(column.height + 1);
  for (const { y, height } of atoms) ink.fill(1, Math.max(0, y - column.y), y - column.y + height);
  const left = Math.min(...atoms.map(({ x }) => x));
  const end = Math.max(...atoms.map(right));
  const steps = stepsOf(scene.pixels);
  let best: { rows: Box[]; worth: number } = { rows: [], worth: 0 };
  for (const gap of gaps) {
    const bands: Box[] = [];
    for (let y = 0; y < ink.length; y++) {
      if (ink[y] !== 1) continue;
      let foot = y;
      for (let at = y, open = 0; at < ink.length && open <= gap; at++) {
        open = ink[at] === 1 ? 0 : open + 1;
        if (open === 0) foot = at + 1;
      }
      bands.push({ x: left, y: column.y + y, width: end - left, height: foot - y });
      y = foot;
    }
    const across = bands.map((band) => acrossOf(steps, band));
    for (const [at, first] of bands.entries()) {
      const own = across[at] ?? new Float64Array(0);
      const run = [first];
      for (let next = at + 1; next < bands.length; next++) {
        const [band, theirs] = [bands[next], across[next]];
        if (!band || !theirs || band.height >= first.height * 2.2 || first.height >= band.height * 2.2) break;
        if (correlation(own, theirs, own.length) < 0.7) break;
        run.push(band);
      }
      const counts = run.map((band) => inner.filter((box) => holds(band, box, 1)).length);
      const things = counts.reduce((sum, count) => sum + Math.min(count, 6), 0) / run.length;
      const worth = run.length * Math.min(4, things);
      if (run.length >= 3 && first.height <= rowMost && Math.min(...counts) >= 2 && things >= 2 && first.width >= 140 && worth > best.worth)
        best = { rows: run, worth };
    }
  }
  return withRoom(best.rows, column);
}

/** Rows with half of the gap to their neighbours each, from side to side of their column. */
function withRoom(rows: readonly Box[], column: Box): Box[] {
  return rows.map((row, at) => {
    const before = rows[at - 1];
    const after = rows[at + 1];
    const above = before ? (row.y - bottom(before)) / 2 : after ? (after.y - bottom(row)) / 2 : 0;
    const under = after ? (after.y - bottom(row)) / 2 : above;
    const y = Math.max(column.y, Math.round(row.y - above));
    return { x: row.x, y, width: row.width, height: Math.min(bottom(column), Math.round(bottom(row) + under)) - y };
  });
}

/** Regions with a look of their own that do not repeat: bars from side to side, columns, panels. */
function regions(scene: Scene, known: readonly Thing[]): Thing[] {
  const { pixels } = scene;
  const isKnown = (box: Box): boolean => known.some(({ boxes }) => boxes.some((one) => agreement(one, box) > 0.75));
  const found: Thing[] = [];
  for (const shape of [...scene.shapes].sort((a, b) => area(b.box) - area(a.box))) {
    const { box } = shape;
    const isLarge = box.width >= 150 && box.height >= 36 && area(box) >= 14_000;
    if (!isLarge || area(box) > pixels.width * pixels.height * 0.8 || isKnown(box) || !stands(scene, shape)) continue;
    if (found.some(({ boxes }) => boxes.some((one) => agreement(one, box) > 0.75))) continue;
    const isWide = box.width >= pixels.width * 0.94;
    if (piecesIn(scene, box, 0).length < 2) continue;
    found.push({ boxes: [box], why: isWide && box.height <= 140 ? 'bar' : 'panel' });
  }
  return found;
}

/** The name of what is around a box: the part of the smallest box that holds it. */
function parentOf(box: Box, parts: readonly { name: string; boxes: readonly Box[] }[]): string | null {
  let best: { name: string; size: number } | undefined;
  for (const { name, boxes } of parts)
    for (const one of boxes)
      if (one !== box && area(one) > area(box) && holds(one, box, 3) && (!best || area(one) < best.size)) best = { name, size: area(one) };
  return best?.name ?? null;
}

/** Props for what stands in a part itself: its largest words, further words, a picture. What belongs to inner parts is theirs. */
function propsOf(scene: Scene, box: Box, inner: readonly Box[]): PlannedProp[] {
  const own = piecesIn(scene, box, 0).filter(
    (piece) => !inner.some((one) => one !== box && area(one) < area(box) && holds(one, piece.box, 2)),
  );
  const texts = own.filter((piece) => piece.kind === 'text').sort((a, b) => b.box.height - a.box.height || a.box.y - b.box.y);
  const prop = (name: string): PlannedProp => ({ name, type: 'string', optional: false });
  const hasPicture = own.some((piece: Mark) => piece.kind === 'picture' && area(piece.box) >= 400);
  return [
    ...(texts.length > 0 ? [prop(texts.length > 1 ? 'title' : 'text')] : []),
    ...(texts.length > 1 ? [prop('text')] : []),
    ...(hasPicture ? [prop('picture')] : []),
  ];
}

/**
 * The parts of a picture, biggest first: bars, panels and columns with a look of their own, and what repeats in
 * them: cards, rows, fields, buttons, pills, signs, pictures. Empty for a picture in which nothing stands out.
 */
export function partsOfPicture(pixels: Pixels): PicturePart[] {
  const scene = sceneOf(pixels);
  const made = repeats(scene);
  const large = regions(scene, made);
  const page = { x: 0, y: 0, width: pixels.width, height: pixels.height };
  const isTaken = (box: Box): boolean => made.some(({ boxes }) => boxes.some((one) => agreement(one, box) > 0.6));
  const rows: Thing[] = [];
  const pieces = regionsOf(pixels)
    .map(({ box }) => box)
    .filter((box) => box.width >= 140 && box.height >= 80 && !isTaken(box));
  const columns = [
    ...large.flatMap(({ boxes }) => boxes),
    ...made.filter(({ why }) => why === 'card').flatMap(({ boxes }) => boxes.slice(0, 1)),
    ...pieces.slice(0, columnsMost),
    page,
  ];
  for (const column of columns) {
    const boxes = rowsIn(scene, column).filter(
      (box) => !isTaken(box) && !rows.some((one) => one.boxes.some((other) => !isApart(other, box))),
    );
    if (boxes.length >= 3) rows.push({ boxes, why: 'row' });
  }
  const found = [...large, ...made, ...rows].sort((a, b) => area(b.boxes[0] ?? page) - area(a.boxes[0] ?? page));
  const taken = new Set<string>();
  const named = found.map((one) => {
    const name = freeName(words[one.why].name, taken);
    taken.add(name);
    return { ...one, name };
  });
  const all = named.flatMap(({ boxes }) => boxes);
  return named.map(({ name, boxes, why }) => ({
    name,
    boxes,
    parent: boxes[0] ? parentOf(boxes[0], named) : null,
    why,
    reason: boxes.length > 1 ? `${boxes.length} times: ${words[why].many}` : words[why].one,
    props: boxes[0] ? propsOf(scene, boxes[0], all) : [],
  }));
}
