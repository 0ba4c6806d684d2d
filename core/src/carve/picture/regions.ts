import { area, bottom, type Box, type Colour, differs, groundOf, isFar, type Pixels, right } from './pixels';

/** A region of a picture that stands out from what is around it. Regions nest. */
export type PictureRegion = { readonly box: Box; readonly depth: number; readonly ground: Colour };

const inkFrom = 10;
const lineAtMost = 3;
const levelsMost = 14;
const regionsMost = 4000;

/** Per row and per column of a box, how many pixels differ from its ground. */
type Profile = { readonly rows: Int32Array; readonly columns: Int32Array };

function profileOf(pixels: Pixels, box: Box, ground: Colour): Profile {
  const rows = new Int32Array(box.height);
  const columns = new Int32Array(box.width);
  for (let y = 0; y < box.height; y++) {
    let count = 0;
    for (let x = 0; x < box.width; x++) {
      if (!isFar(pixels, box.x + x, box.y + y, ground, inkFrom)) continue;
      count++;
      columns[x] = (columns[x] ?? 0) + 1;
    }
    rows[y] = count;
  }
  return { rows, columns };
}

/** Stretches of a profile with ink; a thin line from edge to edge separates and is no content. */
function runs(profile: Int32Array, across: number): { from: number; to: number }[] {
  const isInk = Array.from(profile, (count) => count > 0);
  for (let at = 0; at < profile.length; at++) {
    let to = at;
    while (to < profile.length && (profile[to] ?? 0) >= across * 0.95) to++;
    if (to > at && to - at <= lineAtMost) isInk.fill(false, at, to);
    if (to > at) at = to - 1;
  }
  const found: { from: number; to: number }[] = [];
  let from = -1;
  for (let at = 0; at <= isInk.length; at++) {
    if (isInk[at] && from < 0) from = at;
    if (!isInk[at] && from >= 0) {
      found.push({ from, to: at });
      from = -1;
    }
  }
  return found;
}

type Cut = { readonly runs: readonly { from: number; to: number }[]; readonly gap: number };

/** Cuts at the widest gutters: those nearly as wide as the widest one belong together. */
function cutAt(all: readonly { from: number; to: number }[], least: number): Cut {
  const gaps = all.slice(1).map((run, index) => run.from - (all[index]?.to ?? 0));
  const widest = Math.max(0, ...gaps);
  if (widest < least) return { runs: [{ from: all[0]?.from ?? 0, to: all.at(-1)?.to ?? 0 }], gap: 0 };
  const joined: { from: number; to: number }[] = [];
  all.forEach((run, index) => {
    const last = joined.at(-1);
    if (last && (gaps[index - 1] ?? 0) < Math.max(least, widest * 0.7)) last.to = run.to;
    else joined.push({ ...run });
  });
  return { runs: joined, gap: widest };
}

/** Takes off a border: lines along all four sides, at most four pixels thick. */
function withoutBorder(box: Box, { rows, columns }: Profile): Box | undefined {
  const thick = (profile: Int32Array, across: number, isFromEnd: boolean): number => {
    let count = 0;
    while (count < 5 && (profile[isFromEnd ? profile.length - 1 - count : count] ?? 0) >= across * 0.85) count++;
    return count;
  };
  const [top, foot] = [thick(rows, box.width, false), thick(rows, box.width, true)];
  const [left, end] = [thick(columns, box.height, false), thick(columns, box.height, true)];
  const fits = [top, foot, left, end].every((one) => one > 0 && one < 5);
  const inner = { x: box.x + left, y: box.y + top, width: box.width - left - end, height: box.height - top - foot };
  return fits && inner.width > 8 && inner.height > 8 ? inner : undefined;
}

/**
 * Finds the regions of a picture by cutting it along its gutters, widest first, again within each
 * piece (recursive X-Y cut, Nagy and Seth 1984), with the ground's own colour found anew for each
 * piece, so that a card on a panel is a piece of its own. Outer regions come first.
 */
export function regionsOf(pixels: Pixels): PictureRegion[] {
  const scale = Math.max(1, Math.min(3, Math.round(pixels.width / 1400)));
  const least = 5 * scale;
  const found = new Map<string, PictureRegion>();
  const page = { x: 0, y: 0, width: pixels.width, height: pixels.height };
  // `around` is the colour of what a box was cut out of: a column of white cards is mostly white, and cut where that colour shows.
  const work: { box: Box; depth: number; around: Colour }[] = [{ box: page, depth: 0, around: groundOf(pixels, page) }];
  const note = (box: Box, depth: number, ground: Colour): void => {
    const key = `${box.x} ${box.y} ${box.width} ${box.height}`;
    if (box.width >= 8 && box.height >= 6 && !found.has(key)) found.set(key, { box, depth, ground });
  };
  for (let next = work.shift(); next && found.size < regionsMost; next = work.shift()) {
    const { box, depth, around } = next;
    if (depth > levelsMost || area(box) < 150 * scale * scale) continue;
    const own = groundOf(pixels, box);
    note(box, depth, own);
    // What a box is cut along: the colour around it, that of its own edge, that of most of it. Many white cards make a grey page mostly white.
    const grounds = [around, rimOf(pixels, box), own].filter(
      (one, index, all) => all.findIndex((other) => differs(one, other) <= inkFrom) === index,
    );
    for (const ground of grounds) {
      const { pieces, inner } = cutUp(pixels, box, ground, least);
      if (pieces.length > 1 || inner || ground === grounds.at(-1)) {
        for (const piece of inner ? [inner] : pieces)
          if (area(piece) < area(box) && area(piece) > 0) work.push({ box: piece, depth: depth + 1, around: ground });
        break;
      }
    }
  }
  return [...found.values()].sort((a, b) => area(b.box) - area(a.box) || a.box.y - b.box.y || a.box.x - b.box.x);
}

/** The colour that most of a box's outermost pixels have. */
function rimOf(pixels: Pixels, { x, y, width, height }: Box): Colour {
  const strips: Box[] = [
    { x, y, width, height: 1 },
    { x, y: y + height - 1, width, height: 1 },
    { x, y, width: 1, height },
    { x: x + width - 1, y, width: 1, height },
  ];
  const colours = strips.map((strip) => groundOf(pixels, strip));
  const votes = colours.map((one) =>
    strips.reduce((sum, strip, at) => sum + (differs(one, colours[at] ?? one) <= inkFrom ? area(strip) : 0), 0),
  );
  return colours[votes.indexOf(Math.max(...votes))] ?? groundOf(pixels, { x, y, width, height });
}

/** The pieces of a box between its gutters, or what is inside its border. */
function cutUp(pixels: Pixels, box: Box, ground: Colour, least: number): { pieces: Box[]; inner: Box | undefined } {
  const profile = profileOf(pixels, box, ground);
  const inner = withoutBorder(box, profile);
  if (inner) return { pieces: [], inner };
  const rows = cutAt(runs(profile.rows, box.width), least);
  const columns = cutAt(runs(profile.columns, box.height), least);
  const byRows = rows.runs.length > 1 && (columns.runs.length <= 1 || rows.gap >= columns.gap);
  const pieces = (byRows ? rows : columns).runs.flatMap(({ from, to }): Box[] => {
    const piece = byRows
      ? { x: box.x, y: box.y + from, width: box.width, height: to - from }
      : { x: box.x + from, y: box.y, width: to - from, height: box.height };
    return piece.width > 0 && piece.height > 0 ? [trim(pixels, piece, ground)] : [];
  });
  return { pieces, inner: undefined };
}

/** Takes the blank margins off a box. */
function trim(pixels: Pixels, box: Box, ground: Colour): Box {
  const { rows, columns } = profileOf(pixels, box, ground);
  const first = (profile: Int32Array): number =>
    Math.max(
      0,
      profile.findIndex((count) => count > 0),
    );
  const last = (profile: Int32Array): number => profile.findLastIndex((count) => count > 0) + 1;
  const [left, top] = [first(columns), first(rows)];
  return { x: box.x + left, y: box.y + top, width: Math.max(0, last(columns) - left), height: Math.max(0, last(rows) - top) };
}

/** Coordinates at which straight edges stand, for a drawn box to hold on to. */
export type Edges = { readonly x: readonly number[]; readonly y: readonly number[] };

/** Long straight edges: places where the colour steps between two rows, or two columns, for 48 pixels or more on end. */
export function edgesOf(pixels: Pixels): Edges {
  const long = 48;
  const { width, height, data } = pixels;
  const step = (one: number, other: number): boolean =>
    Math.abs((data[one] ?? 0) - (data[other] ?? 0)) > 8 ||
    Math.abs((data[one + 1] ?? 0) - (data[other + 1] ?? 0)) > 8 ||
    Math.abs((data[one + 2] ?? 0) - (data[other + 2] ?? 0)) > 8;
  const hasRun = (count: number, isStep: (at: number) => boolean): boolean => {
    for (let at = 0, run = 0; at < count; at++) {
      run = isStep(at) ? run + 1 : 0;
      if (run >= long) return true;
    }
    return false;
  };
  const y: number[] = [];
  for (let row = 1; row < height; row++)
    if (hasRun(width, (column) => step((row * width + column) * 4, ((row - 1) * width + column) * 4))) y.push(row);
  const x: number[] = [];
  for (let column = 1; column < width; column++)
    if (hasRun(height, (row) => step((row * width + column) * 4, (row * width + column - 1) * 4))) x.push(column);
  return { x, y };
}

/** Moves each side of a box to the nearest edge within `reach` pixels; a side without one stays. */
export function snap(box: Box, edges: Edges, reach: number): Box {
  const nearest = (at: number, among: readonly number[]): number =>
    among.reduce(
      (best, one) =>
        Math.abs(one - at) <= reach && (best === at ? Math.abs(one - at) <= reach : Math.abs(one - at) < Math.abs(best - at)) ? one : best,
      at,
    );
  const x = nearest(box.x, edges.x);
  const y = nearest(box.y, edges.y);
  const width = nearest(right(box), edges.x) - x;
  const height = nearest(bottom(box), edges.y) - y;
  return { x, y, width: width > 0 ? width : box.width, height: height > 0 ? height : box.height };
}
