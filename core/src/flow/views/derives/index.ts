import type { FilePath } from '../../../model/span';
import type { Frame } from '../../graph/frames';
import type { Graph } from '../../graph/graph';
import { type Derivation, type RowGroup, rowGroups } from './derivation';
import { groupOf, isTied, rowTest } from './kinds';
import { type Knot, linksOf } from './links';
import type { Making } from './making';
import { nameOfKnot, startOf } from './names';
import { columnsFor, contracted, inOrder } from './order';
import { rowOf } from './rows';

export { type Derivation, type DerivesRow, type DerivesStrand, type RowGroup, rowGroups } from './derivation';

/**
 * What derives from what in a frame: its declarations in the order of their dependence, and places of its markup, with
 * strands from each to those that are made of it. `texts` are the files that its body is read from; what a file says
 * that is not among them stays unsaid.
 */
export function derivationOf(graph: Graph, frame: Frame, texts: ReadonlyMap<FilePath, string>): Derivation {
  const links = linksOf(frame.body);
  const isRow = rowTest(graph, frame, texts, links);
  const own = contracted(links, isRow);
  const keys = [...links.knots.keys()].filter((key) => isRow(key) && isTied(links.knots.get(key), key, own));
  const sources = new Map<string, string[]>();
  for (const [from, to] of own) for (const key of to.keys()) sources.set(key, [...(sources.get(key) ?? []), from]);
  const making: Making = { graph, frame, texts, sourcesOf: (key) => sources.get(key) ?? [], leadsTo: (key) => own.get(key) ?? new Map() };
  const nameOf = (key: string): string => nameOfKnot(making, links.knots.get(key) as Knot);

  const ordered = inOrder(keys, own, (key) => startOf(making, links.knots.get(key) as Knot));
  const groups = new Map<string, RowGroup>();
  for (const key of ordered) groups.set(key, groupOf(making, key, links.knots.get(key) as Knot, groups));
  const placed = rowGroups.flatMap((group) => ordered.filter((key) => groups.get(key) === group));
  const lineOf = new Map(placed.map((key, row): [string, number] => [key, row]));
  const rows = placed.map((key) => rowOf(making, key, links.knots.get(key) as Knot, groups.get(key) ?? 'derived', nameOf));
  const drawn = placed.flatMap((key, row) => {
    const to = [...(own.get(key) ?? [])].flatMap(([next, how]) => {
      const line = lineOf.get(next);
      return line === undefined ? [] : [{ row: line, how }];
    });
    if (to.length === 0) return [];
    const all = [row, ...to.map((one) => one.row)];
    return [{ row, to: to.sort((a, b) => a.row - b.row), from: Math.min(...all), end: Math.max(...all) }];
  });
  const stretches = [...drawn].sort((a, b) => a.from - b.from);
  const columns = columnsFor(stretches.map(({ from, end }) => ({ from, to: end })));
  const strands = stretches.map(({ row, to }, index) => ({ row, column: columns[index] ?? 0, to }));
  return {
    name: frame.kind === 'module' ? frame.file : frame.name,
    file: frame.file,
    kind: frame.kind,
    rows,
    strands,
    columns: Math.max(0, ...columns.map((one) => one + 1)),
  };
}
