import { counted, listed } from '../../rules/shared/sentences';
import { nameOf, type PartId, type Plan, type PlannedValue } from './plan';
import { instancesOf, ownersOf, pageNodeOf, type PlanNode, type PlanTree } from './plan-tree';

/** Where a value should live, and what that costs. */
export type Home = {
  /**
   * `part`: state of that part, passed down as props. `context`: state of that part, provided to what
   * is below. `store`: outside all parts. `nowhere`: nobody shows or changes it.
   */
  readonly kind: 'part' | 'context' | 'store' | 'nowhere';
  /** The part that keeps or provides it; absent for a store and for nowhere. */
  readonly part?: PartId;
  /** Nodes of the tree that are its home, one for each page. */
  readonly nodes: readonly number[];
  /** Uses it is passed through on the longest way down, and its change on the longest way up. */
  readonly down: number;
  readonly up: number;
  /** Parts that would only carry it, if it were passed down. */
  readonly carriers: readonly PartId[];
  /** Why, in sentences; the first is the reason, others what to know. */
  readonly why: readonly string[];
};

/** Parts that may carry a value unread before a context, or handing over content, is the better way. */
export const carriersMost = 2;

/**
 * The closest owner that all of the nodes have in common, itself counted; undefined where they have none
 * (other pages). With `isOne` it must stand on its page only once: a value that is one for all
 * items cannot live in an item.
 */
export function closestOwner(tree: PlanTree, indexes: readonly number[], isOne: boolean): PlanNode | undefined {
  const [first, ...rest] = indexes;
  if (first === undefined) return undefined;
  const chains = rest.map((index) => new Set(ownersOf(tree, index).map((node) => node.index)));
  return ownersOf(tree, first).find(
    (node) => chains.every((chain) => chain.has(node.index)) && (!isOne || instancesOf(tree, node.index) === 1),
  );
}

/** Says where a value should live: at the closest common owner of those who show and change it, unless that makes too many carry it. */
export function homeOf(plan: Plan, tree: PlanTree, value: PlannedValue): Home {
  const touching = tree.nodes.filter((node) => value.readBy.includes(node.part) || value.changedBy.includes(node.part));
  const none = { nodes: [], down: 0, up: 0, carriers: [] };
  if (touching.length === 0) {
    const why =
      value.readBy.length + value.changedBy.length > 0
        ? 'The parts that show or change it stand on no page.'
        : 'No part shows or changes it.';
    return { kind: 'nowhere', ...none, why: [why] };
  }
  const pages = new Map<number, PlanNode[]>();
  for (const node of touching) {
    const page = pageNodeOf(tree, node.index)?.index ?? -1;
    pages.set(page, [...(pages.get(page) ?? []), node]);
  }
  const homes = [...pages.values()].flatMap((nodes) => {
    const indexes = nodes.map((node) => node.index);
    return closestOwner(tree, indexes, !value.perItem) ?? [];
  });
  const shared = new Set(homes.map((home) => home.part));
  const pageNames = [...pages.keys()].map((index) => nameOf(plan, tree.nodes[index]?.part as PartId));
  const [home] = homes;
  const cost = costOf(tree, value, touching, homes);
  const hints = hintsOf(plan, value, tree, touching);
  if (!home || value.otherPages || shared.size > 1) {
    const who = value.otherPages
      ? pages.size > 1
        ? `${listed(pageNames)} need it, and so do other pages.`
        : `${pageNames[0] ?? 'This page'} needs it, and so do other pages.`
      : `${listed(pageNames)} need it, and they have no owner in common that could keep it.`;
    return { kind: 'store', nodes: [], down: 0, up: 0, carriers: [], why: [who, ...hints] };
  }
  const name = nameOf(plan, home.part);
  const nodes = homes.map((node) => node.index);
  const reason = reasonOf(plan, value, touching, home, name);
  const again = pages.size > 1 && home.parent >= 0 ? [`Every page has its own ${name}: going to another page starts it anew.`] : [];
  const carried = cost.carriers.map((part) => nameOf(plan, part));
  if (cost.carriers.length > carriersMost) {
    const readers = new Set(touching.map((node) => node.part));
    if (readers.size > 1)
      return {
        kind: 'context',
        part: home.part,
        nodes,
        down: 0,
        up: 0,
        carriers: cost.carriers,
        why: [
          `${listed(carried)} would only carry it; provided by ${name}, it reaches ${listed([...readers].map((part) => nameOf(plan, part)))} without them.`,
          reason,
          ...again,
          ...hints,
        ],
      };
    const only = nameOf(plan, [...readers][0] as PartId);
    return {
      kind: 'part',
      part: home.part,
      nodes,
      ...cost,
      why: [
        reason,
        `${listed(carried)} would only carry it. If ${name} hands ${only} over as content (a slot), nothing is carried.`,
        ...again,
        ...hints,
      ],
    };
  }
  const carry = cost.carriers.length > 0 ? [`${listed(carried)} ${carried.length === 1 ? 'carries' : 'carry'} it without reading it.`] : [];
  return { kind: 'part', part: home.part, nodes, ...cost, why: [reason, ...carry, ...again, ...hints] };
}

function reasonOf(plan: Plan, value: PlannedValue, touching: readonly PlanNode[], home: PlanNode, name: string): string {
  const parts = [...new Set(touching.map((node) => node.part))];
  const names = listed(parts.map((part) => nameOf(plan, part)));
  const [only] = parts;
  if (parts.length === 1 && only === home.part)
    return value.perItem && home.times > 1 ? `Only ${name} needs it, and each has its own.` : `Only ${name} needs it.`;
  if (parts.length === 1) return `Only ${names} needs it, but it is one for all of them: ${name} is the closest owner that stands once.`;
  return parts.includes(home.part) ? `${name} needs it itself, and owns all others that do.` : `${name} is the closest owner of ${names}.`;
}

/** What to know beside the place: nobody changes it, nobody shows it. */
function hintsOf(plan: Plan, value: PlannedValue, tree: PlanTree, touching: readonly PlanNode[]): string[] {
  const isRead = touching.some((node) => value.readBy.includes(node.part));
  const hints: string[] = [];
  if (!isRead) hints.push('It is changed, and no part shows it.');
  if (value.changedBy.length === 0 && !value.fromServer) hints.push('Nothing changes it: a constant is enough.');
  const gone = [...value.readBy, ...value.changedBy].filter((part) => !tree.nodes.some((node) => node.part === part));
  if (gone.length > 0)
    hints.push(`${listed([...new Set(gone)].map((part) => nameOf(plan, part)))} ${gone.length === 1 ? 'stands' : 'stand'} on no page.`);
  return hints;
}

/** The longest ways between home and those who need it, and who stands between without needing it. */
function costOf(
  tree: PlanTree,
  value: PlannedValue,
  touching: readonly PlanNode[],
  homes: readonly PlanNode[],
): Pick<Home, 'down' | 'up' | 'carriers'> {
  const homeIndexes = new Set(homes.map((home) => home.index));
  const needs = (part: PartId): boolean => value.readBy.includes(part) || value.changedBy.includes(part);
  const carriers = new Set<PartId>();
  let down = 0;
  let up = 0;
  for (const node of touching) {
    const chain = ownersOf(tree, node.index);
    const steps = chain.findIndex((one) => homeIndexes.has(one.index));
    if (steps < 0) continue;
    if (value.readBy.includes(node.part)) down = Math.max(down, steps);
    if (value.changedBy.includes(node.part)) up = Math.max(up, steps);
    for (const between of chain.slice(1, steps)) if (!needs(between.part)) carriers.add(between.part);
  }
  const inOrder = tree.nodes.map((node) => node.part).filter((part) => carriers.has(part));
  return { down, up, carriers: [...new Set(inOrder)] };
}

/** `2 down, 1 up`; `0` where it is used where it lives. */
export function hopWords({ kind, down, up }: Home): string {
  if (kind === 'store' || kind === 'context') return '0';
  return [down > 0 && `${down} down`, up > 0 && `${up} up`].filter(Boolean).join(', ') || '0';
}

/** The home in a word or two: a part's name, `a store`, `a context of AppShell`. */
export function homeWords(plan: Plan, { kind, part }: Home): string {
  switch (kind) {
    case 'part':
      return part ? nameOf(plan, part) : '';
    case 'context':
      return `a context of ${part ? nameOf(plan, part) : 'the page'}`;
    case 'store':
      return 'a store';
    case 'nowhere':
      return 'nowhere';
  }
}

/** `LockCard and LockPanel`, with the server among them where it takes part. */
export function whoWords(plan: Plan, parts: readonly PartId[], fromServer = false): string {
  const names = [...(fromServer ? ['server'] : []), ...parts.map((part) => nameOf(plan, part))];
  return names.length === 0
    ? 'nobody'
    : names.length > 4
      ? `${listed(names.slice(0, 3))} and ${counted(names.length - 3, 'more part')}`
      : names.join(', ');
}
