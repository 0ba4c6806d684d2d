import { counted, listed } from '../../rules/shared/sentences';
import { agreement } from '../picture/pixels';
import { homeOf } from './home';
import { nameOf, type Part, type PartId, type Plan } from './plan';
import { type PlanNode, type PlanTree } from './plan-tree';

/** A part that might better be another, with why. */
export type Candidate = {
  readonly kind: 'twins' | 'wraps' | 'large' | 'small';
  readonly parts: readonly PartId[];
  readonly says: string;
};

/** Tells how alike two parts look on their pages, 0 to 1; undefined where that is not known. */
export type LooksLike = (one: PartId, other: PartId) => number | undefined;

const twinFrom = 0.82;
const valuesMany = 5;

const knowsNothing = (part: Part): boolean => part.props.length === 0 && part.events.length === 0 && part.slots.length === 0;

/** Parts that may be one part under two names, only wrap another, know too much, or are too little. */
export function candidatesOf(plan: Plan, tree: PlanTree, looksLike: LooksLike = () => undefined): Candidate[] {
  return [...twins(plan, tree, looksLike), ...wrappers(plan, tree), ...large(plan, tree), ...small(plan, tree)];
}

function nodesOf(tree: PlanTree, part: PartId): PlanNode[] {
  return tree.nodes.filter((node) => node.part === part);
}

function childrenOf(tree: PlanTree, part: PartId): PartId[] {
  const own = new Set(nodesOf(tree, part).map((node) => node.index));
  return [...new Set(tree.nodes.filter((node) => own.has(node.parent)).map((node) => node.part))];
}

function twins(plan: Plan, tree: PlanTree, looksLike: LooksLike): Candidate[] {
  const found: Candidate[] = [];
  const parts = plan.parts.filter((part) => part.role === 'part' && nodesOf(tree, part.id).length > 0);
  parts.forEach((one, at) => {
    for (const other of parts.slice(at + 1)) {
      const looks = looksLike(one.id, other.id);
      const children = childrenOf(tree, one.id);
      const sameChildren = children.length > 1 && [...children].sort().join() === [...childrenOf(tree, other.id)].sort().join();
      if ((looks ?? 0) >= twinFrom || (looks === undefined && sameChildren))
        found.push({
          kind: 'twins',
          parts: [one.id, other.id],
          says:
            sameChildren && looks === undefined
              ? `${one.name} and ${other.name} hold the same parts. If they are one part, give them one name.`
              : `${one.name} and ${other.name} are built alike. If they are one part, give them one name.`,
        });
    }
  });
  return found;
}

function wrappers(plan: Plan, tree: PlanTree): Candidate[] {
  return plan.parts.flatMap((part): Candidate[] => {
    const [child, ...more] = childrenOf(tree, part.id);
    if (part.role === 'page' || !child || more.length > 0 || !knowsNothing(part)) return [];
    if (plan.values.some((value) => value.readBy.includes(part.id) || value.changedBy.includes(part.id))) return [];
    const own = new Set(nodesOf(tree, part.id).map((node) => node.index));
    const inner = tree.nodes.filter((node) => own.has(node.parent));
    const boxOf = (id: string) => plan.regions.find((region) => region.id === id)?.box;
    const isTight = inner.every(
      (node) =>
        node.times === 1 &&
        node.regions.every((id) => {
          const [box, around] = [boxOf(id), boxOf(tree.nesting.get(id) ?? '')];
          return box && around && agreement(box, around) > 0.85;
        }),
    );
    return isTight
      ? [{ kind: 'wraps', parts: [part.id], says: `${part.name} only wraps ${nameOf(plan, child)}: it knows nothing and adds no room.` }]
      : [];
  });
}

/** A part with many values in groups that have nothing to do with each other is several parts. */
function large(plan: Plan, tree: PlanTree): Candidate[] {
  const byHome = new Map<PartId, { name: string; who: Set<PartId> }[]>();
  for (const value of plan.values) {
    const home = homeOf(plan, tree, value);
    if (home.part === undefined || home.kind !== 'part') continue;
    const who = new Set([...value.readBy, ...value.changedBy].filter((part) => part !== home.part));
    byHome.set(home.part, [...(byHome.get(home.part) ?? []), { name: value.name, who }]);
  }
  return [...byHome].flatMap(([part, values]): Candidate[] => {
    if (values.length < valuesMany) return [];
    const groups: { names: string[]; who: Set<PartId> }[] = [];
    for (const { name, who } of values) {
      const touched = groups.filter((group) => [...who].some((one) => group.who.has(one)));
      const rest = groups.filter((group) => !touched.includes(group));
      const joined = {
        names: [...touched.flatMap((group) => group.names), name],
        who: new Set([...touched.flatMap((group) => [...group.who]), ...who]),
      };
      groups.splice(0, groups.length, ...rest, joined);
    }
    if (groups.length < 2) return [];
    const words = listed(groups.map((group) => group.names.join(' with ')));
    return [
      {
        kind: 'large',
        parts: [part],
        says: `${nameOf(plan, part)} keeps ${counted(values.length, 'value')} in groups that nothing joins: ${words}. Each group could have a part of its own.`,
      },
    ];
  });
}

function small(plan: Plan, tree: PlanTree): Candidate[] {
  return plan.parts.flatMap((part): Candidate[] => {
    const [node, ...more] = nodesOf(tree, part.id);
    if (part.role === 'page' || !node || more.length > 0 || node.regions.length > 1 || part.slots.length > 0 || part.events.length > 0)
      return [];
    if (childrenOf(tree, part.id).length > 0 || part.props.length > 1) return [];
    if (plan.values.some((value) => value.changedBy.includes(part.id) || value.readBy.includes(part.id))) return [];
    const box = plan.regions.find((region) => region.id === node.regions[0])?.box;
    const isLittle = box !== undefined && box.height <= 48 && box.width <= 320;
    return isLittle
      ? [
          {
            kind: 'small',
            parts: [part.id],
            says: `${part.name} stands once and knows nothing; a line in ${nameOf(plan, tree.nodes[node.parent]?.part as PartId)} may do.`,
          },
        ]
      : [];
  });
}
