import { camelCase, pascalCase } from '../../write/case';
import { homeOf, type Home } from '../plan/home';
import type { PartId, Plan, PlannedEvent, PlannedValue } from '../plan/plan';
import { ownersOf, type PlanTree } from '../plan/plan-tree';

/** What the planned values and events add to a part's contract, and what it hands on. */
export type PartValues = {
  readonly lives: readonly PlannedValue[];
  /** Values that a context or a store gives it, and what it does with them. */
  readonly takes: readonly {
    readonly value: PlannedValue;
    readonly from: 'context' | 'store';
    readonly reads: boolean;
    readonly changes: boolean;
  }[];
  /** Values that its owner passes; with `reads`, it shows them itself. */
  readonly given: ReadonlyMap<string, { readonly value: PlannedValue; readonly reads: boolean }>;
  /** Events that its owner hears, by name; with `raises`, a user sets them off in this very part. */
  readonly raised: ReadonlyMap<string, RaisedEvent>;
};

export type RaisedEvent = { readonly event: PlannedEvent; readonly value: PlannedValue | undefined; readonly raises: boolean };

export const changeEvent = (value: PlannedValue): string => `change${pascalCase(value.name)}`;

type Growing = {
  lives: PlannedValue[];
  takes: PartValues['takes'][number][];
  given: Map<string, { value: PlannedValue; reads: boolean }>;
  raised: Map<string, RaisedEvent>;
};

/** Lays the planned values along the tree: where each lives, who is given it, whose events ask to change it. */
export function valuesOf(
  plan: Plan,
  tree: PlanTree,
): { readonly byPart: ReadonlyMap<PartId, PartValues>; readonly homes: ReadonlyMap<PlannedValue, Home> } {
  const byPart = new Map<PartId, Growing>();
  const of = (part: PartId): Growing => {
    const known = byPart.get(part) ?? { lives: [], takes: [], given: new Map(), raised: new Map() };
    byPart.set(part, known);
    return known;
  };
  const homes = new Map<PlannedValue, Home>();
  for (const value of plan.values) {
    const home = homeOf(plan, tree, value);
    homes.set(value, home);
    if (home.kind === 'nowhere') continue;
    if (home.part !== undefined) of(home.part).lives.push(value);
    if (home.kind !== 'part') {
      for (const part of new Set([...value.readBy, ...value.changedBy])) {
        if (part === home.part) continue;
        of(part).takes.push({ value, from: home.kind, reads: value.readBy.includes(part), changes: value.changedBy.includes(part) });
      }
      continue;
    }
    for (const node of tree.nodes) {
      const chain = ownersOf(tree, node.index);
      const steps = chain.findIndex((one) => home.nodes.includes(one.index));
      if (steps <= 0) continue;
      for (const one of chain.slice(0, steps)) {
        if (one.part === home.part) continue;
        if (value.readBy.includes(node.part)) {
          const before = of(one.part).given.get(value.name);
          of(one.part).given.set(value.name, { value, reads: (before?.reads ?? false) || value.readBy.includes(one.part) });
        }
        if (value.changedBy.includes(node.part)) {
          const name = changeEvent(value);
          const before = of(one.part).raised.get(name);
          of(one.part).raised.set(name, {
            event: { name, payload: value.type },
            value,
            raises: (before?.raises ?? false) || value.changedBy.includes(one.part),
          });
        }
      }
    }
  }
  for (const part of plan.parts)
    for (const event of part.events) {
      const name = camelCase(event.name);
      if (part.role === 'part') of(part.id).raised.set(name, { event: { ...event, name }, value: undefined, raises: true });
    }
  return { byPart, homes };
}
