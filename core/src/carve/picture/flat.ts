import { area, type Box, near, type Pixels, right } from './pixels';

/** Patches of one exact colour, and what stands out from them: the boxes of fills, frames, words and pictures. */
export type Patches = {
  /** The boxes of connected pixels of one colour: a pill's or a card's fill, what a frame encloses. */
  readonly fills: readonly Box[];
  /** The boxes of what is no large patch: words (joined from their letters), icons, photographs, frames. */
  readonly marks: readonly Box[];
  /** What lines of one colour enclose on four sides, with the lines; their corners may be round. */
  readonly frames: readonly Box[];
};

/** Letters that stand this near make one word; lines of text stay apart. */
const joinAcross = 4;
const fillLeast = 60;
/** Patches of so many pixels are ground; what is smaller is drawn on it. */
const groundLeast = 260;
const boxesMost = 20_000;
const lineThick = 3;
const lineLeast = 16;
const cornerMost = 24;
const linesMost = 6000;

/** Disjoint sets (Tarjan 1975), by their least members. */
class Sets {
  private readonly parent: number[] = [];
  add(): number {
    return this.parent.push(this.parent.length) - 1;
  }
  find(one: number): number {
    let root = one;
    while (this.parent[root] !== root) root = this.parent[root] ?? root;
    for (let at = one; at !== root;) {
      const next = this.parent[at] ?? root;
      this.parent[at] = root;
      at = next;
    }
    return root;
  }
  join(one: number, other: number): void {
    const [a, b] = [this.find(one), this.find(other)];
    this.parent[Math.max(a, b)] = Math.min(a, b);
  }
}

type Runs = {
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly row: Int32Array;
  readonly value: Int32Array;
  readonly rowStart: Int32Array;
};

/** Stretches of equal value in each row of a picture; those of value −1 are left out. */
function runsOf(width: number, height: number, valueAt: (at: number) => number): Runs {
  const from: number[] = [];
  const to: number[] = [];
  const row: number[] = [];
  const value: number[] = [];
  const rowStart = new Int32Array(height + 1);
  for (let y = 0; y < height; y++) {
    rowStart[y] = from.length;
    let start = 0;
    let last = valueAt(y * width);
    for (let x = 1; x <= width; x++) {
      const next = x < width ? valueAt(y * width + x) : -2;
      if (next === last) continue;
      if (last !== -1) {
        from.push(start);
        to.push(x);
        row.push(y);
        value.push(last);
      }
      start = x;
      last = next;
    }
  }
  rowStart[height] = from.length;
  return { from: Int32Array.from(from), to: Int32Array.from(to), row: Int32Array.from(row), value: Int32Array.from(value), rowStart };
}

type Component = { box: Box; count: number };

/** Components of runs of one value that touch from row to row (connected components by runs, He, Chao and Suzuki 2008). */
function componentsOf(
  { from, to, row, value, rowStart }: Runs,
  height: number,
  reach: number,
): { of: Int32Array; all: Map<number, Component> } {
  const sets = new Sets();
  for (let at = 0; at < from.length; at++) sets.add();
  for (let y = 1; y < height; y++) {
    let above = rowStart[y - 1] ?? 0;
    const end = rowStart[y] ?? 0;
    for (let at = end; at < (rowStart[y + 1] ?? 0); at++) {
      while (above < end && (to[above] ?? 0) + reach <= (from[at] ?? 0)) above++;
      for (let one = above; one < end && (from[one] ?? 0) < (to[at] ?? 0) + reach; one++) if (value[one] === value[at]) sets.join(one, at);
    }
  }
  const all = new Map<number, Component>();
  const of = new Int32Array(from.length);
  for (let at = 0; at < from.length; at++) {
    const root = sets.find(at);
    of[at] = root;
    const [x, y, end] = [from[at] ?? 0, row[at] ?? 0, to[at] ?? 0];
    const held = all.get(root);
    if (!held) all.set(root, { box: { x, y, width: end - x, height: 1 }, count: end - x });
    else {
      const left = Math.min(held.box.x, x);
      held.box = { x: left, y: held.box.y, width: Math.max(right(held.box), end) - left, height: y + 1 - held.box.y };
      held.count += end - x;
    }
  }
  return { of, all };
}

/** Finds the patches of a picture. Empty lists for a picture of one colour, or of no size. */
export function patchesOf({ width, height, data }: Pixels): Patches {
  if (width === 0 || height === 0) return { fills: [], marks: [], frames: [] };
  const colour = (at: number): number => ((data[at * 4] ?? 0) << 16) | ((data[at * 4 + 1] ?? 0) << 8) | (data[at * 4 + 2] ?? 0);
  const runs = runsOf(width, height, colour);
  const flat = componentsOf(runs, height, 0);
  const fills: Box[] = [];
  const colours = new Map<number, number>();
  for (let at = 0; at < runs.from.length; at++) colours.set(flat.of[at] ?? -1, runs.value[at] ?? 0);
  for (const { box, count } of flat.all.values())
    if (count >= fillLeast && box.width >= 6 && box.height >= 5 && count * 4 >= area(box) && area(box) < width * height) fills.push(box);
  const lines = [...flat.all].flatMap(([root, { box }]) =>
    Math.min(box.width, box.height) <= lineThick && Math.max(box.width, box.height) >= lineLeast
      ? [{ box, colour: colours.get(root) ?? 0 }]
      : [],
  );
  const isGround = new Uint8Array(width * height);
  for (let at = 0; at < runs.from.length; at++) {
    if ((flat.all.get(flat.of[at] ?? -1)?.count ?? 0) < groundLeast) continue;
    const start = (runs.row[at] ?? 0) * width;
    isGround.fill(1, start + (runs.from[at] ?? 0), start + (runs.to[at] ?? 0));
  }
  closeGaps(isGround, width, height);
  const drawn = componentsOf(
    runsOf(width, height, (at) => (isGround[at] === 1 ? -1 : 0)),
    height,
    2,
  );
  const marks: Box[] = [];
  for (const { box } of drawn.all.values()) if (box.width >= 4 && box.height >= 4) marks.push(box);
  const largest = (boxes: Box[]): Box[] => (boxes.length > boxesMost ? boxes.sort((a, b) => area(b) - area(a)).slice(0, boxesMost) : boxes);
  return { fills: largest(fills), marks: largest(marks), frames: framesOf(lines) };
}

/** Fills short gaps between letters of a row, so that a word is one. */
function closeGaps(isGround: Uint8Array, width: number, height: number): void {
  for (let y = 0; y < height; y++) {
    let last = -joinAcross * 2;
    for (let x = 0; x < width; x++) {
      if (isGround[y * width + x] === 1) continue;
      if (x - last > 1 && x - last <= joinAcross) isGround.fill(0, y * width + last + 1, y * width + x);
      last = x;
    }
  }
}

/** Frames: two lines of one colour over each other, of one length, with two of the same colour between their ends; round corners leave gaps. */
function framesOf(all: readonly { readonly box: Box; readonly colour: number }[]): Box[] {
  if (all.length > linesMost) return [];
  const across = all.filter(({ box }) => box.width > box.height).sort((a, b) => a.box.y - b.box.y);
  const upright = all.filter(({ box }) => box.height > box.width);
  const frames: Box[] = [];
  for (const [at, { box: top, colour }] of across.entries()) {
    const sides = upright.filter((side) => side.colour === colour && side.box.y >= top.y && side.box.y <= top.y + cornerMost);
    const left = sides.find(({ box }) => box.x <= top.x && top.x - box.x <= cornerMost);
    const end =
      left &&
      sides.find(
        ({ box }) =>
          right(box) >= right(top) && near(right(box) - right(top), top.x - left.box.x, 2) && near(box.height, left.box.height, 2),
      );
    if (!left || !end) continue;
    const foot = across
      .slice(at + 1)
      .find(
        ({ box, colour: other }) =>
          other === colour &&
          near(box.x, top.x, 2) &&
          near(box.width, top.width, 4) &&
          near(box.y - left.box.y - left.box.height, left.box.y - top.y, 4),
      );
    if (foot) frames.push({ x: left.box.x, y: top.y, width: right(end.box) - left.box.x, height: foot.box.y + foot.box.height - top.y });
  }
  return frames;
}
