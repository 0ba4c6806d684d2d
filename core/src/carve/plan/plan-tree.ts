import { byReading, nest, type Nesting } from './nest';
import type { PartId, Plan, Region, RegionId, SheetId } from './plan';

/** A part at one position of the planned tree. `parent` holds it; `owner` writes it and passes its props. */
export type PlanNode = {
  readonly index: number;
  readonly part: PartId;
  /** Index of the node around it; -1 for a page. */
  readonly parent: number;
  /** Index of the node that owns it: its parent's owner where it comes through a slot. */
  readonly owner: number;
  readonly depth: number;
  /** How many stand in one parent, at most. */
  readonly times: number;
  /** Some of its parents, or some states of the page, go without it. */
  readonly optional: boolean;
  /** The parent's slot it comes through; empty for none. */
  readonly slot: string;
  readonly regions: readonly RegionId[];
};

/** All pages of a plan, one after the other; parents before children. */
export type PlanTree = { readonly nodes: readonly PlanNode[]; readonly nesting: Nesting };

type Holder = { readonly sheet: SheetId; readonly region: RegionId | null };

/**
 * The tree that the regions of a plan make: regions of one part in one parent are one node that
 * stands several times, and the same part under two parents is two nodes. Pages without sheets are
 * there too. Parts without a region are not.
 */
export function planTree(plan: Plan): PlanTree {
  const nesting = nest(plan);
  const inside = new Map<string, Region[]>();
  const key = ({ sheet, region }: Holder): string => `${sheet} ${region ?? ''}`;
  for (const region of plan.regions) {
    const at = key({ sheet: region.sheet, region: nesting.get(region.id) ?? null });
    inside.set(at, [...(inside.get(at) ?? []), region]);
  }
  for (const regions of inside.values()) regions.sort(byReading);

  const nodes: PlanNode[] = [];
  const grow = (index: number, holders: readonly Holder[]): void => {
    const node = nodes[index] as PlanNode;
    const slots = plan.parts.find((part) => part.id === node.part)?.slots ?? [];
    const perPart = new Map<PartId, Region[][]>();
    holders.forEach((holder, turn) => {
      for (const region of inside.get(key(holder)) ?? []) {
        const lists = perPart.get(region.part) ?? holders.map(() => []);
        lists[turn]?.push(region);
        perPart.set(region.part, lists);
      }
    });
    for (const [part, lists] of perPart) {
      const slot = slots.find((one) => one.parts.includes(part))?.name ?? '';
      const child: PlanNode = {
        index: nodes.length,
        part,
        parent: index,
        owner: slot === '' ? index : node.owner < 0 ? index : node.owner,
        depth: node.depth + 1,
        times: Math.max(...lists.map((list) => list.length)),
        optional: lists.some((list) => list.length === 0),
        slot,
        regions: lists.flat().map((region) => region.id),
      };
      nodes.push(child);
      grow(
        child.index,
        lists.flat().map((region) => ({ sheet: region.sheet, region: region.id })),
      );
    }
  };
  for (const page of plan.parts.filter((part) => part.role === 'page')) {
    const sheets = plan.sheets.filter((sheet) => sheet.page === page.id);
    const index = nodes.length;
    nodes.push({ index, part: page.id, parent: -1, owner: -1, depth: 0, times: 1, optional: false, slot: '', regions: [] });
    grow(
      index,
      sheets.map((sheet) => ({ sheet: sheet.id, region: null })),
    );
  }
  return { nodes, nesting };
}

/** The nodes from one up to its page along owners, itself first. */
export function ownersOf(tree: PlanTree, index: number): PlanNode[] {
  const found: PlanNode[] = [];
  for (let node = tree.nodes[index]; node; node = tree.nodes[node.owner]) found.push(node);
  return found;
}

/** The node's page. */
export function pageNodeOf(tree: PlanTree, index: number): PlanNode | undefined {
  let node = tree.nodes[index];
  while (node && node.parent >= 0) node = tree.nodes[node.parent];
  return node;
}

/** How often a node stands on its page: once, or once for each item of the lists around it. */
export function instancesOf(tree: PlanTree, index: number): number {
  let count = 1;
  for (let node = tree.nodes[index]; node; node = tree.nodes[node.parent]) count *= node.times;
  return count;
}
