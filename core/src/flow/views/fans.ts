import type { Rung } from './ladder';

/** One line of a shown ladder: a rung, or many of one component folded to one line. */
export type LadderLine =
  | { readonly kind: 'rung'; readonly rung: Rung; readonly lanes: LaneMarks }
  | {
      readonly kind: 'fan';
      readonly key: string;
      readonly who: string;
      readonly count: number;
      readonly isOpen: boolean;
      readonly lanes: LaneMarks;
    };

/** The lines that are drawn beside a rung. */
export type LaneMarks = {
  readonly lane: number;
  /** Lanes whose line passes by, from the top of the row to its bottom, with the rung that each leads to. */
  readonly through: readonly { readonly lane: number; readonly to: Rung | undefined }[];
  /** The lane it comes from: its own, or the one to the left where it branches off; -1 for the first. */
  readonly from: number;
  /** Its line goes on below. */
  readonly below: boolean;
  /** The rung at the end of that line; absent for a folded one. */
  readonly to?: Rung;
};

/** Branches of one kind into more places of one component than this are folded. */
const mostAlike = 3;

type Item = { readonly rung: Rung; readonly children: Item[] };
type Shown =
  | { readonly kind: 'rung'; readonly item: Item; readonly lane: number; readonly from: number; readonly last: boolean }
  | {
      readonly kind: 'fan';
      readonly key: string;
      readonly who: string;
      readonly count: number;
      readonly isOpen: boolean;
      readonly lane: number;
      readonly from: number;
      readonly last: boolean;
    };

function treeOf(rungs: readonly Rung[]): Item | undefined {
  const items = rungs.map((rung): Item => ({ rung, children: [] }));
  for (const item of items) items[item.rung.from]?.children.push(item);
  return items[0];
}

/**
 * The lines of a ladder as they are drawn. Where a rung has many branches that do the same in one
 * component, they are folded to one line each component unless `opened` holds its key.
 */
export function ladderLines(rungs: readonly Rung[], opened: ReadonlySet<string>): LadderLine[] {
  const start = treeOf(rungs);
  if (!start) return [];
  const shown: Shown[] = [];
  const stack: Shown[] = [{ kind: 'rung', item: start, lane: 0, from: -1, last: true }];
  for (let at = stack.pop(); at; at = stack.pop()) {
    shown.push(at);
    if (at.kind !== 'rung') continue;
    const below = folded(at.item, opened);
    for (let index = below.length - 1; index >= 0; index--) {
      const one = below[index];
      const last = index === below.length - 1;
      const lane = last ? at.lane : at.lane + 1;
      if (one) stack.push({ ...one, lane, from: at.lane, last });
    }
  }
  return withLanes(shown);
}

type Below =
  | { readonly kind: 'rung'; readonly item: Item }
  | { readonly kind: 'fan'; readonly key: string; readonly who: string; readonly count: number; readonly isOpen: boolean };

function folded(item: Item, opened: ReadonlySet<string>): Below[] {
  const groups = new Map<string, Item[]>();
  for (const child of item.children) {
    const key = `${item.rung.index}:${child.rung.who}:${child.rung.kind}`;
    const known = groups.get(key);
    if (known) known.push(child);
    else groups.set(key, [child]);
  }
  return [...groups].flatMap(([key, items]): Below[] => {
    const places = new Set(items.map((one) => one.rung.place)).size;
    if (places <= mostAlike) return items.map((one) => ({ kind: 'rung', item: one }));
    const isOpen = opened.has(key);
    const fan: Below = { kind: 'fan', key, who: items[0]?.rung.who ?? '', count: items.length, isOpen };
    return isOpen ? [fan, ...items.map((one): Below => ({ kind: 'rung', item: one }))] : [fan];
  });
}

/** Which lines pass by each row: a lane is busy from a rung to the last of those that branch off it. */
function withLanes(shown: readonly Shown[]): LadderLine[] {
  const open = new Map<number, Rung | undefined>();
  const lastOf = lastBranches(shown);
  return shown.map((one, index): LadderLine => {
    if (one.last && one.from === one.lane) open.delete(one.lane);
    const last = lastOf.get(index);
    const to = last?.kind === 'rung' ? last.item.rung : undefined;
    const through = [...open].filter(([lane]) => lane !== one.lane).map(([lane, target]) => ({ lane, to: target }));
    if (last) open.set(one.lane, to);
    const lanes: LaneMarks = { lane: one.lane, through, from: one.from, below: last !== undefined, ...(to ? { to } : {}) };
    return one.kind === 'rung'
      ? { kind: 'rung', rung: one.item.rung, lanes }
      : { kind: 'fan', key: one.key, who: one.who, count: one.count, isOpen: one.isOpen, lanes };
  });
}

/** For each line that others branch off, the last of these: it stands on the same lane. */
function lastBranches(shown: readonly Shown[]): Map<number, Shown> {
  const found = new Map<number, Shown>();
  const waiting: number[] = [];
  shown.forEach((one, index) => {
    if (index > 0 && one.last) {
      for (let at = waiting.length - 1; at >= 0; at--) {
        const above = waiting[at] as number;
        if (shown[above]?.lane !== one.from) continue;
        found.set(above, one);
        waiting.splice(at);
        break;
      }
    }
    waiting.push(index);
  });
  return found;
}
