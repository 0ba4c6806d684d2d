import { agreement, area, bottom, type Box, differs, groundOf, holds, isApart, near, right, shared, standsWith } from './pixels';
import { endOfRow, likeRows, stripOf } from './like-rows';
import { type Mark, piecesIn, radiusOf, type Scene, type Shape } from './scene';
import { type Found, likeness, stepsOf, stepLikeness } from './steps';

const middleOf = ({ y, height }: Box): number => y + height / 2;

/** The first line of a thing: what stands before its first word, and that word, from the left (`marks`); and what follows (`rest`). */
type Lead = { readonly marks: readonly Mark[]; readonly rest: readonly Mark[] };

/** The first line of a thing, and the second where words stand under the first: a sign may stand over a name. */
function leadsOf(marks: readonly Mark[]): Lead[] {
  const first = leadOf(marks);
  const used = new Set([...first.marks, ...first.rest]);
  const foot = Math.max(0, ...[...used].map((mark) => bottom(mark.box)));
  const second = leadOf(marks.filter((mark) => !used.has(mark) && mark.box.y >= foot - 2));
  const [lead] = second.marks;
  return lead && lead.kind === 'text' ? [first, second] : [first];
}

function leadOf(marks: readonly Mark[]): Lead {
  const [first] = marks;
  if (!first) return { marks: [], rest: [] };
  const top = Math.min(...marks.map((mark) => mark.box.y));
  const highest = marks.filter((mark) => mark.box.y <= top + 2).reduce((most, mark) => Math.max(most, mark.box.height), 0);
  const line = marks
    .filter((mark) => middleOf(mark.box) <= top + Math.max(14, highest))
    .sort((a, b) => (near(a.box.x, b.box.x, 3) ? a.box.y - b.box.y : a.box.x - b.box.x));
  const words = line.findIndex((mark) => mark.kind === 'text');
  return words < 0 ? { marks: line.slice(0, 2), rest: line.slice(2) } : { marks: line.slice(0, words + 1), rest: line.slice(words + 1) };
}

/** Marks by columns of their left edges, so that those at a place are found without asking all. */
class MarkIndex {
  private readonly byLeft = new Map<number, Mark[]>();
  constructor(marks: readonly Mark[]) {
    for (const mark of marks) {
      const at = mark.box.x >> 3;
      const held = this.byLeft.get(at);
      if (held) held.push(mark);
      else this.byLeft.set(at, [mark]);
    }
  }
  /** Marks whose left edge is within `by` pixels of x. */
  at(x: number, by: number): Mark[] {
    const found: Mark[] = [];
    for (let at = (x - by) >> 3; at <= (x + by) >> 3; at++)
      for (const mark of this.byLeft.get(at) ?? []) if (near(mark.box.x, x, by)) found.push(mark);
    return found;
  }
}

const indexKept = new WeakMap<Scene, MarkIndex>();
function indexOf(scene: Scene): MarkIndex {
  const known = indexKept.get(scene) ?? new MarkIndex(scene.pieces);
  indexKept.set(scene, known);
  return known;
}

/** Tells whether two marks may be the same place of two things: of one kind and height, whatever they say. */
function fits(one: Mark, other: Mark, isInLine: boolean, isAlone: boolean): boolean {
  const [a, b] = [one.box, other.box];
  // What has no sign before it is told by its letters alone.
  if (isAlone && one.kind === 'text' && (differs(one.tone, other.tone) > 60 || !near(a.height, b.height, 3.5))) return false;
  if (one.kind === 'picture' || other.kind === 'picture')
    return (
      one.kind === other.kind &&
      near(a.width, b.width, Math.max(2, a.width * 0.12)) &&
      near(a.height, b.height, Math.max(2, a.height * 0.12))
    );
  if (!isInLine && differs(one.tone, other.tone) > 48) return false;
  if (one.kind === 'sign' && other.kind === 'sign')
    return near(a.height, b.height, Math.max(4, a.height * 0.4)) && near(a.width, b.width, Math.max(5, a.width * 0.6));
  return near(a.height, b.height, isInLine ? 4 : 3);
}

/**
 * How much of the first line of a thing stands in another box at the same places, 0 to 1; what
 * stands there and is not in the given one takes from it.
 */
function leadLikeness(scene: Scene, given: Box, lead: Lead, box: Box, isInLine: boolean): number {
  const index = indexOf(scene);
  let matched = 0;
  const used = new Set<Mark>();
  for (const mark of lead.marks) {
    const x = mark.box.x - given.x + box.x;
    const y = middleOf(mark.box) - given.y + box.y;
    // Signs of other widths share their middle, not their left edge.
    const reach = mark.kind === 'sign' ? Math.max(4, mark.box.width * 0.4) : 3;
    const same = index
      .at(x, reach)
      .find((other) => near(middleOf(other.box), y, 4.5) && fits(mark, other, isInLine, lead.marks.length === 1) && !used.has(other));
    if (!same) continue;
    used.add(same);
    matched++;
  }
  const last = lead.marks.at(-1);
  if (!last) return 0;
  const head = { x: box.x, y: last.box.y - given.y + box.y - 2, width: last.box.x - given.x - 4, height: last.box.height + 4 };
  const more =
    head.width > 8
      ? scene.pieces.filter((mark) => !used.has(mark) && mark.box.height > 5 && area(shared(mark.box, head)) > area(mark.box) * 0.6)
      : [];
  return matched / lead.marks.length - more.length * 0.3 - restApart(scene, given, lead, box);
}

/** Tells whether some piece after the first word begins at the same place: what happens, after its time. */
function goesOnAlike(scene: Scene, given: Box, lead: Lead, box: Box): boolean {
  const index = indexOf(scene);
  return lead.rest.some((mark) =>
    index
      .at(mark.box.x - given.x + box.x, 3)
      .some((one) => near(middleOf(one.box), middleOf(mark.box) - given.y + box.y, 5) && near(one.box.height, mark.box.height, 4)),
  );
}

/** Columns after the first word: what is lost where the other has none of them, or has some where the given one has none; 0 or 0.45. */
function restApart(scene: Scene, given: Box, lead: Lead, box: Box): number {
  if (lead.marks.length > 1) return 0;
  const last = lead.marks[0];
  if (!last) return 0;
  const index = indexOf(scene);
  const columns = lead.rest.filter((mark) => mark.box.x >= right(last.box) + 24);
  const y = (mark: Mark): number => middleOf(mark.box) - given.y + box.y;
  if (columns.length > 0) {
    const found = columns.filter((mark) => {
      const left = mark.box.x - given.x + box.x;
      const end = right(mark.box) - given.x + box.x;
      return (
        index.at(left, 4).some((one) => near(middleOf(one.box), y(mark), 5)) ||
        scene.pieces.some((one) => near(right(one.box), end, 4) && near(middleOf(one.box), y(mark), 5))
      );
    });
    return found.length * 2 >= columns.length ? 0 : 0.45;
  }
  const line = { x: last.box.x - given.x + box.x, y: y(last) - 4, width: right(box) - (last.box.x - given.x + box.x), height: 8 };
  const inLine = scene.pieces
    .filter((one) => holds(box, one.box, 2) && area(shared(one.box, line)) > 0 && one.box.height > 5)
    .sort((a, b) => a.box.x - b.box.x);
  return inLine.some((one, at) => at > 0 && one.box.x >= right((inLine[at - 1] ?? one).box) + 24) ? 0.45 : 0;
}

/** Tells whether a box cuts through something that is drawn: no thing begins in the middle of a word, or half in a card. */
function cutsThrough({ marks, shapes }: Scene, box: Box): boolean {
  const isCut = marks.some(({ box: mark }) => {
    if (mark.x >= right(box) || mark.y >= bottom(box) || right(mark) <= box.x || bottom(mark) <= box.y) return false;
    return (mark.x < box.x - 2 && right(mark) > box.x + 2) || (mark.y < box.y - 2 && bottom(mark) > box.y + 2);
  });
  return (
    isCut ||
    shapes.some(({ box: fill }) => {
      const both = shared(fill, box);
      const isGrazed =
        both.width < Math.max(4, Math.min(fill.width, box.width) * 0.2) ||
        both.height < Math.max(4, Math.min(fill.height, box.height) * 0.2);
      if (isGrazed || holds(fill, box, 3) || holds(box, fill, 3)) return false;
      return fill.x < box.x - 3 || fill.y < box.y - 3 || right(fill) > right(box) + 3;
    })
  );
}

const inLineFrom = 0.6;
const strayFrom = 0.86;
const startsAlike = 0.5;

/** Things without a frame: looked for wherever something stands as the first line of the given one does, or its second. */
export function likeStart(scene: Scene, given: Box): Found[] {
  const { pixels } = scene;
  const own = piecesIn(scene, given);
  const leads = leadsOf(own).filter((lead) => lead.marks.length > 0);
  const steps = stepsOf(pixels);
  const ground = groundOf(pixels, given);
  const map = likeness(steps, given);
  const isSmall = given.width < 160 && given.height < 40;
  const found = new Map<string, Found>();
  const isBare = own.length === 1;
  const isSingle = leads.every((lead) => lead.marks.length === 1);
  // Several marks in their order tell a thing wherever it stands.
  const isTelling = (leads[0]?.marks.length ?? 0) >= 2;
  const underPicture = leads.length > 1 && own[0]?.kind === 'picture';
  const strip = stripOf(scene, given);
  const inItsHeight = (box: Box): Box => {
    if (!strip) return box;
    const end = endOfRow(strip, Math.max(0, box.y + strip.room.top - 3));
    const height = end - box.y;
    return height >= given.height * 0.5 && height <= given.height * 4 && end <= pixels.height + 2 ? { ...box, height } : box;
  };
  const tried = new Set<string>();
  const tryAt = (box: Box): void => {
    const key = `${box.x >> 1} ${box.y >> 1}`;
    if (tried.has(key)) return;
    tried.add(key);
    if (box.x < -1 || box.y < -1 || right(box) > pixels.width + 2 || bottom(box) > pixels.height + given.height / 2) return;
    if (!isApart(box, given)) return;
    const isInLine = near(box.x, given.x, 2) || (near(box.y, given.y, 2) && given.width < pixels.width / 2);
    if (!isInLine && (isSmall || isBare)) return;
    const begins = Math.max(...leads.map((lead, at) => leadLikeness(scene, given, lead, box, isInLine) - at * 0.05));
    if (begins < (isInLine ? inLineFrom : 1) || cutsThrough(scene, box)) return;
    const looks = stepLikeness(steps, map, box);
    const tells = isTelling || (begins >= 0.9 && !!leads[0] && goesOnAlike(scene, given, leads[0], box));
    if (!isInLine && (looks < (tells && given.width >= 90 ? startsAlike : strayFrom) || differs(groundOf(pixels, box), ground) > 24))
      return;
    if (isInLine && !underPicture && looks < (begins < 0.9 || (isSingle && !tells) ? startsAlike : tells ? 0.15 : 0.3)) return;
    found.set(key, { box: near(box.x, given.x, 2) ? inItsHeight(box) : box, score: begins * 0.5 + looks * 0.5 + (isInLine ? 0.2 : 0) });
  };
  for (const lead of leads)
    for (const anchor of new Set([lead.marks.at(-1), lead.marks[0]]))
      for (const mark of scene.pieces) {
        if (!anchor || !near(mark.box.height, anchor.box.height, Math.max(4, anchor.box.height * 0.35))) continue;
        const y = Math.round(middleOf(mark.box) - middleOf(anchor.box)) + given.y;
        tryAt({ ...given, x: mark.box.x - anchor.box.x + given.x, y });
      }
  const all = clipped([...found.values()]);
  return isSingle && !leads.some(({ rest }) => rest.length > 0) ? nearest(given, all) : all;
}

/** What is told by one word alone is taken from the list it stands in: as far as one follows another in its column. */
function nearest(given: Box, found: readonly Found[]): Found[] {
  const room = given.height * 1.5 + 24;
  const column = found.filter(({ box }) => near(box.x, given.x, 2)).sort((a, b) => a.box.y - b.box.y);
  const kept = new Set<Found>();
  let end = bottom(given);
  for (const one of column.filter(({ box }) => box.y >= bottom(given) - 2)) {
    if (one.box.y > end + room) break;
    kept.add(one);
    end = bottom(one.box);
  }
  let start = given.y;
  for (const one of column.filter(({ box }) => bottom(box) <= given.y + 2).reverse()) {
    if (bottom(one.box) < start - room) break;
    kept.add(one);
    start = one.box.y;
  }
  return found.filter((one) => kept.has(one) || !column.includes(one));
}

/** Things of one column end where the next begins. */
function clipped(found: readonly Found[]): Found[] {
  return found.map(({ box, score }) => {
    const next = found
      .map((other) => other.box)
      .filter((other) => near(other.x, box.x, 2) && other.y > box.y + Math.min(box.height, other.height) * 0.4 && other.y < bottom(box));
    const end = Math.min(bottom(box), ...next.map((other) => other.y));
    return { box: { ...box, height: end - box.y }, score };
  });
}

/** Rows whose columns fall together so well need not begin alike. */
const rowsSure = 1.38;

/** Rows of the columns in which a thing, and what is like it beside it, stand; those that begin otherwise are left out. */
export function likeColumns(scene: Scene, given: Box, beside: readonly Found[]): Found[] {
  const lead = leadOf(piecesIn(scene, given));
  const columns = [given, ...beside.map(({ box }) => box).filter((box) => near(box.y, given.y, 3) && !near(box.x, given.x, 3))];
  const isTile = given.width < 220;
  if (isTile && (given.height < 60 || columns.length < 2)) return [];
  const isWord = lead.marks.length === 1 && lead.rest.length === 0;
  const fits = ({ box, score }: Found): boolean =>
    isTile
      ? box.height < given.height * 1.25 && given.height < box.height * 1.25
      : (score >= rowsSure && !isWord) || leadLikeness(scene, given, lead, box, true) >= 0.4;
  return columns.flatMap((column) => likeRows(scene, given, column).filter(fits));
}

/** The largest shape in a thing, where it reaches nearly from side to side: a field's box, a card's picture. */
function mainShape({ shapes }: Scene, given: Box): Shape | undefined {
  const inner = shapes.filter(
    ({ box }) => holds(given, box, 2) && box.width >= given.width * 0.85 && box.height >= 20 && agreement(box, given) < 0.72,
  );
  return inner.reduce<Shape | undefined>((best, shape) => (best && area(best.box) >= area(shape.box) ? best : shape), undefined);
}

/** Things with one shape from side to side and words over it, such as a field under its label: known by both, at any width. */
export function likePart(scene: Scene, given: Box): Found[] {
  const main = mainShape(scene, given);
  if (!main) return [];
  const own = piecesIn(scene, given).filter((mark) => bottom(mark.box) <= main.box.y + 2);
  const lead = leadOf(own);
  if (lead.marks.length === 0) return [];
  return scene.shapes.flatMap((shape): Found[] => {
    const [a, b] = [main.box, shape.box];
    if (shape === main || !isApart(b, given) || shape.isFramed !== main.isFramed) return [];
    const isOfHeight = near(a.height, b.height, 3) && b.width > a.width * 0.25 && b.width < a.width * 4;
    const isOfWidth = near(a.width, b.width, 3) && b.height < a.height * 4 && a.height < b.height * 4;
    if ((!isOfHeight && !isOfWidth) || !near(shape.radius, main.radius, 3.6)) return [];
    const start = { x: b.x - (a.x - given.x), y: b.y - (a.y - given.y) };
    const box = { ...start, width: b.width + given.width - a.width, height: bottom(b) + bottom(given) - bottom(a) - start.y };
    if (leadLikeness(scene, given, lead, box, true) < inLineFrom) return [];
    // A line right under it belongs to it: a hint, or what is wrong.
    const hint = scene.marks.find(
      (mark) => mark.kind === 'text' && near(mark.box.x, b.x, 4) && mark.box.y >= bottom(b) && mark.box.y <= bottom(b) + 12,
    );
    const foot = hint ? Math.max(bottom(box), bottom(hint.box) + 3) : bottom(box);
    return [{ box: { ...box, height: foot - box.y }, score: 1 + (standsWith(given, box) ? 0.1 : 0) }];
  });
}

/** What is one drawing, such as stars or a small chart: the same drawing elsewhere, also in another size where its colour tells. */
export function likeDrawing(scene: Scene, given: Box): Found[] {
  const inner = piecesIn(scene, given);
  // Stars that touch are one drawing, and each a shape too.
  const own = inner.filter((piece) => !inner.some((one) => one !== piece && area(one.box) > area(piece.box) && holds(one.box, piece.box)));
  const [mark] = own;
  if (!mark || own.length !== 1 || mark.box.width < given.width * 0.6) return [];
  const fills = mark.box.width >= given.width * 0.85;
  const { box: a, tone, density } = mark;
  const isColoured = Math.max(...tone) - Math.min(...tone) > 40;
  const isThin = fills && density < 0.25 && a.width >= 40;
  return scene.pieces.flatMap((other): Found[] => {
    const b = other.box;
    if (other === mark || !isApart(b, given)) return [];
    const isOneTone = differs(other.tone, tone) <= 24;
    const isSame = near(a.width, b.width, 1) && near(a.height, b.height, 1.5) && isOneTone && near(other.density, density, 0.1);
    const isScaled =
      fills && isColoured && isOneTone && near(b.width / b.height / (a.width / a.height), 1, 0.06) && near(other.density, density, 0.12);
    const isLine = isThin && near(a.width, b.width, 1) && other.density * b.height < 5 && b.height < given.height * 1.2;
    if (!isSame && !isScaled && !isLine) return [];
    const scale = isLine ? 1 : b.height / a.height;
    const box = {
      x: Math.round(b.x - (a.x - given.x) * scale),
      y: isLine ? Math.round(middleOf(b) - given.height / 2) : Math.round(b.y - (a.y - given.y) * scale),
      width: Math.round(given.width * scale),
      height: Math.round(given.height * scale),
    };
    return [{ box, score: 1 }];
  });
}

/** Pictures and signs of one size, and round pictures of other sizes. */
export function likeMark({ pixels, marks, shapes }: Scene, given: Box): Found[] {
  const fit = (one: number, two: number): boolean => Math.abs(one - two) <= Math.max(1.5, two * 0.07);
  const own = marks.find(({ box }) => box === given);
  const isRound = (box: Box): boolean => near(box.width, box.height, 1.5) && radiusOf(pixels, box) >= box.height * 0.36;
  const ofOtherSize =
    own?.kind === 'picture' && isRound(given)
      ? marks.filter(
          ({ kind, box }) => kind === 'picture' && box.height > given.height * 0.6 && box.height < given.height * 1.7 && isRound(box),
        )
      : [];
  const ofSize = [...marks, ...shapes].filter(({ box }) => fit(box.width, given.width) && fit(box.height, given.height));
  return [...ofSize, ...ofOtherSize]
    .map(({ box }) => box)
    .filter((box) => isApart(box, given))
    .map((box) => ({ box, score: agreement({ ...box, x: 0, y: 0 }, { ...given, x: 0, y: 0 }) }));
}
