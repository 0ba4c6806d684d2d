import type { Part, Plan, PlannedValue, Region, Sheet } from './plan';

type Entry = Sheet | Part | Region | PlannedValue;

/** Keys whose texts are ids, in every entry of a plan. */
const idKeys: ReadonlySet<string> = new Set(['id', 'sheet', 'part', 'page', 'within', 'parts', 'readBy', 'changedBy']);

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const numberIn = (id: string): number => Number(id.split('-')[1] ?? 0);

/** The plan with ids that were given since `after` counted on from `from`, so that they meet no others. */
function renumbered(plan: Plan, after: number, from: number): Plan {
  const shifted = (id: string): string => {
    const number = numberIn(id);
    return number > after ? `${id.split('-')[0]}-${number - after + from}` : id;
  };
  const through = (value: unknown, isId: boolean): unknown => {
    if (typeof value === 'string') return isId ? shifted(value) : value;
    if (Array.isArray(value)) return value.map((one) => through(one, isId));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, through(one, idKeys.has(key))]));
  };
  return { ...(through(plan, false) as Plan), numbered: plan.numbered - after + from };
}

/** One list of three plans; undefined where both changed one entry, each in its own way, or one changed what the other took away. */
function mergedList<T extends Entry>(base: readonly T[], mine: readonly T[], theirs: readonly T[]): T[] | undefined {
  const [before, own, other] = [base, mine, theirs].map((list) => new Map<string, T>(list.map((one) => [one.id, one]))) as [
    Map<string, T>,
    Map<string, T>,
    Map<string, T>,
  ];
  const merged: T[] = [];
  for (const id of new Set([...other.keys(), ...own.keys(), ...before.keys()])) {
    const [was, here, there] = [before.get(id), own.get(id), other.get(id)];
    const found = same(here, was) || same(here, there) ? there : same(there, was) ? here : null;
    if (found === null) return undefined;
    if (found) merged.push(found);
  }
  return merged;
}

/** Whether everything that a plan speaks of is in it. */
function isWhole({ sheets, parts, regions, values }: Plan): boolean {
  const [sheetIds, partIds, regionIds] = [sheets, parts, regions].map((list) => new Set<string>(list.map((one) => one.id))) as [
    Set<string>,
    Set<string>,
    Set<string>,
  ];
  return (
    sheets.every((one) => partIds.has(one.page)) &&
    regions.every((one) => partIds.has(one.part) && sheetIds.has(one.sheet) && (!one.within || regionIds.has(one.within))) &&
    parts.every((one) => one.slots.every((slot) => slot.parts.every((id) => partIds.has(id)))) &&
    values.every((one) => [...one.readBy, ...one.changedBy].every((id) => partIds.has(id)))
  );
}

/**
 * Two plans that were made of one, as one: what only one of them changed is as that one has it, what
 * both added stands in both numbers. Undefined where that is not certain: both changed the same part,
 * mark, page or value, or one took away what the other speaks of.
 */
export function mergePlans(base: Plan, mine: Plan, theirs: Plan): Plan | undefined {
  const own = renumbered(mine, base.numbered, theirs.numbered);
  const name = same(own.name, base.name) || same(own.name, theirs.name) ? theirs.name : same(theirs.name, base.name) ? own.name : undefined;
  const sheets = mergedList(base.sheets, own.sheets, theirs.sheets);
  const parts = mergedList(base.parts, own.parts, theirs.parts);
  const regions = mergedList(base.regions, own.regions, theirs.regions);
  const values = mergedList(base.values, own.values, theirs.values);
  if (name === undefined || !sheets || !parts || !regions || !values) return undefined;
  const merged: Plan = { name, numbered: own.numbered, sheets, parts, regions, values };
  return isWhole(merged) ? merged : undefined;
}
