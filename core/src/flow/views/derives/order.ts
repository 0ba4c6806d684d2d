import type { LinkHow, Links } from './links';

/** What leads from one row to others, by keys; how it gets there. */
export type RowLinks = ReadonlyMap<string, ReadonlyMap<string, LinkHow>>;

/** What counts more where a value gets somewhere in several steps: that it is changed or raised, then that it is another. */
const weight: Readonly<Record<LinkHow, number>> = { same: 0, spread: 0, part: 1, item: 2, called: 3, computed: 3, raises: 4, changes: 5 };

/** Leaves out what is only on the way, so that each row leads to the next ones. */
export function contracted({ onward }: Links, isRow: (key: string) => boolean): RowLinks {
  const found = new Map<string, ReadonlyMap<string, LinkHow>>();
  for (const from of onward.keys()) {
    if (!isRow(from)) continue;
    const to = new Map<string, LinkHow>();
    const seen = new Set([from]);
    const stack = [{ at: from, how: 'same' as LinkHow }];
    for (let next = stack.pop(); next; next = stack.pop()) {
      for (const [key, step] of onward.get(next.at) ?? []) {
        const how = weight[step] > weight[next.how] ? step : next.how;
        if (isRow(key)) {
          const known = to.get(key);
          if (key !== from && (known === undefined || weight[how] > weight[known])) to.set(key, how);
        } else if (!seen.has(key)) {
          seen.add(key);
          stack.push({ at: key, how });
        }
      }
    }
    if (to.size > 0) found.set(from, to);
  }
  return found;
}

/**
 * Puts keys into the order of their dependence, those that stand first in the text first (Kahn 1962, "Topological sorting
 * of large networks"). What is changed while running may lead back: such a link counts only where it closes no circle.
 */
export function inOrder(keys: readonly string[], links: RowLinks, startOf: (key: string) => number): string[] {
  const after = new Map(keys.map((key): [string, Set<string>] => [key, new Set()]));
  const leadsTo = (from: string, to: string): boolean => {
    const seen = new Set([from]);
    for (const at of seen) {
      if (at === to) return true;
      for (const next of after.get(at) ?? []) seen.add(next);
    }
    return false;
  };
  const all = [...links].flatMap(([from, to]) => [...to].map(([key, how]) => ({ from, key, how })));
  for (const isChange of [false, true])
    for (const { from, key, how } of all) {
      if ((how === 'changes') !== isChange || !after.has(key) || !after.has(from)) continue;
      if (!leadsTo(key, from)) after.get(from)?.add(key);
    }
  const waiting = new Map(keys.map((key): [string, number] => [key, 0]));
  for (const next of after.values()) for (const key of next) waiting.set(key, (waiting.get(key) ?? 0) + 1);
  const ordered: string[] = [];
  const left = new Set(keys);
  while (left.size > 0) {
    let best: string | undefined;
    for (const key of left) if (waiting.get(key) === 0 && (best === undefined || startOf(key) < startOf(best))) best = key;
    best ??= [...left][0] ?? '';
    left.delete(best);
    ordered.push(best);
    for (const key of after.get(best) ?? []) waiting.set(key, (waiting.get(key) ?? 0) - 1);
  }
  return ordered;
}

/**
 * Gives each stretch of rows the first column in which nothing else stands on these rows. The stretches come in the
 * order of their first rows; ends are inclusive.
 */
export function columnsFor(stretches: readonly { readonly from: number; readonly to: number }[]): number[] {
  const lastIn: number[] = [];
  return stretches.map(({ from, to }) => {
    const free = lastIn.findIndex((last) => last < from);
    const column = free < 0 ? lastIn.length : free;
    lastIn[column] = to;
    return column;
  });
}
