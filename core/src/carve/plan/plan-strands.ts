import type { ComponentId } from '../../model/ids';
import { type Knot, type KnotKind, knotKinds, type Strand } from '../../model/strand';
import { changeEvent } from '../skeleton/values';
import { homeOf } from './home';
import { nameOf, partOf, type Plan, type PlannedValue } from './plan';
import { ownersOf, type PlanTree } from './plan-tree';

type Tied = { kinds: Set<KnotKind>; from: number };

const knotsFrom = (tied: ReadonlyMap<number, Tied>, name: string): Knot[] =>
  [...tied]
    .sort(([a], [b]) => a - b)
    .map(([place, { kinds, from }]) => ({
      place,
      kinds: knotKinds.filter((kind) => kinds.has(kind)),
      name,
      names: [name],
      code: [],
      from,
      twoWay: false,
    }));

function tie(tied: Map<number, Tied>, place: number, kind: KnotKind, from: number): void {
  const known = tied.get(place);
  if (known) known.kinds.add(kind);
  else tied.set(place, { kinds: new Set([kind]), from });
}

/** The planned values and events as strands along the plan's tree; places are indexes of its nodes. They have no code yet. */
export function planStrands(plan: Plan, tree: PlanTree): Strand[] {
  const strands = plan.values.flatMap((value) => valueStrands(plan, tree, value));
  for (const node of tree.nodes) {
    const part = partOf(plan, node.part);
    if (part?.role !== 'part' || node.owner < 0) continue;
    for (const event of part.events) {
      const tied = new Map<number, Tied>();
      tie(tied, node.index, 'raises', -1);
      tie(tied, node.owner, 'catches', node.index);
      strands.push({
        id: `event ${node.index} ${event.name}`,
        kind: 'event',
        name: event.name,
        home: part.name as ComponentId,
        knots: knotsFrom(tied, event.name),
      });
    }
  }
  return strands;
}

function valueStrands(plan: Plan, tree: PlanTree, value: PlannedValue): Strand[] {
  const home = homeOf(plan, tree, value);
  if (home.kind === 'nowhere') return [];
  const carries = home.kind === 'part';
  const down = new Map<number, Tied>();
  const up = new Map<number, Tied>();
  for (const index of home.nodes) tie(down, index, 'owns', -1);
  for (const node of tree.nodes) {
    const reads = value.readBy.includes(node.part);
    const changes = value.changedBy.includes(node.part);
    if (!reads && !changes) continue;
    const chain = ownersOf(tree, node.index);
    const steps = chain.findIndex((one) => home.nodes.includes(one.index));
    if (!carries || steps <= 0) {
      if (reads) tie(down, node.index, 'reads', steps > 0 ? (chain[steps]?.index ?? -1) : -1);
      if (changes) tie(down, node.index, 'changes', steps > 0 ? (chain[steps]?.index ?? -1) : -1);
      continue;
    }
    if (reads)
      chain
        .slice(0, steps)
        .forEach((one, at) => tie(down, one.index, value.readBy.includes(one.part) ? 'reads' : 'passes', chain[at + 1]?.index ?? -1));
    if (changes) {
      chain.slice(0, steps).forEach((one, at) => {
        tie(up, one.index, at === 0 ? 'raises' : 'passes', chain[at + 1]?.index ?? -1);
      });
      tie(up, chain[steps]?.index ?? -1, 'catches', -1);
    }
  }
  const kind = home.kind === 'part' ? 'state' : home.kind;
  const from = (home.part === undefined ? value.name : nameOf(plan, home.part)) as ComponentId;
  const made: Strand[] = [{ id: value.id, kind, name: value.name, home: from, knots: knotsFrom(down, value.name) }];
  if (up.size > 0)
    made.push({ id: `${value.id} change`, kind: 'event', name: changeEvent(value), home: from, knots: knotsFrom(up, changeEvent(value)) });
  return made;
}
