import type { Overlay } from '../../overlap';
import { camelCase, freeName } from '../../write/case';
import { listName, type ProposedProp, proposeProps } from '../page/props';
import type { PageTree } from '../page/read';
import { elementAt } from '../page/selector';
import { type Variation, variationsOf } from '../page/vary';
import { partOf, type Part, type PartId, type Plan, type RegionId, type SheetId } from '../plan/plan';
import { instancesOf as instancesOn, type PlanTree } from '../plan/plan-tree';
import { emptyOf, type SampleItem, type SampleValue } from '../../model/skeleton';

/** Saved pages by sheet. Sheets that are pictures have none. */
export type Pages = ReadonlyMap<SheetId, PageTree>;

/** One place at which a part stands: its region, or a whole sheet for a page. */
export type Instance = {
  readonly sheet: SheetId;
  readonly region: RegionId | null;
  /** The page's node; -1 in a picture. */ readonly at: number;
};

/** A part that another owns, with what comes through its slots. */
export type Owned = { readonly part: PartId; readonly isList: boolean; readonly content: readonly Owned[] };

/** A prop that carries content. `valueAt` tells what an instance is given. */
export type ContentProp = {
  readonly name: string;
  readonly type: string;
  readonly optional: boolean;
  readonly valueAt: (instance: Instance) => SampleValue;
  /** The part has it as sample content of its own and is not given it. */
  readonly isLocal?: boolean;
  /** In what it is shown by this part itself; absent for what is only handed on. */
  readonly variation?: Variation;
  /** The owned part it is handed on to, and as which of its props; `presence` decides whether it is there. */
  readonly feeds?: { readonly part: PartId; readonly prop: string | 'presence' | 'list' };
};

/** What a part shows that differs from place to place, and what it is laid out of. */
export type PartContent = {
  readonly part: Part;
  readonly instances: readonly Instance[];
  readonly owned: readonly Owned[];
  /** Its elements laid over each other; undefined where it stands in pictures alone. */
  readonly overlay: Overlay | undefined;
  /** The tree that the overlay speaks of. */
  readonly page: PageTree | undefined;
  readonly props: readonly ContentProp[];
  /** Planned props that nothing on the page shows. */
  readonly bare: readonly Part['props'][number][];
};

export type Contents = {
  readonly byPart: ReadonlyMap<PartId, PartContent>;
  /** Regions of a part right inside an instance, in the order of the page. */
  readonly inside: (instance: Instance, part: PartId) => Instance[];
  /** The region that an element of a sheet stands for, if it stands for one. */
  readonly regionAt: (sheet: SheetId, at: number) => { readonly part: PartId; readonly region: RegionId } | undefined;
  /** How many nodes a sheet's page has; 0 for a picture. */
  readonly sizeOf: (sheet: SheetId) => number;
};

/**
 * Works out what varies in each part and where it comes from: children before the parts that own
 * them. A part shows content of its own; what its owned parts show and is not the same everywhere is
 * handed through it, and lists always are.
 */
export function contentsOf(plan: Plan, tree: PlanTree, pages: Pages): Contents {
  const at = new Map<RegionId, number>();
  const standing = new Map<string, { part: PartId; region: RegionId }>();
  for (const region of plan.regions) {
    const page = pages.get(region.sheet);
    const node = page && region.selector !== '' ? elementAt(page, region.selector) : -1;
    at.set(region.id, node);
    if (node >= 0) standing.set(`${region.sheet} ${node}`, { part: region.part, region: region.id });
  }
  const held = new Map<string, Instance[]>();
  const key = (sheet: SheetId, around: RegionId | null | undefined, part: PartId): string => `${sheet} ${around ?? ''} ${part}`;
  for (const region of plan.regions) {
    const where = key(region.sheet, tree.nesting.get(region.id), region.part);
    const list = held.get(where) ?? [];
    list.push({ sheet: region.sheet, region: region.id, at: at.get(region.id) ?? -1 });
    held.set(where, list);
  }
  for (const list of held.values()) list.sort((a, b) => (a.at >= 0 && b.at >= 0 ? a.at - b.at : 0));
  const inside = (instance: Instance, part: PartId): Instance[] => held.get(key(instance.sheet, instance.region, part)) ?? [];
  const regionAt = (sheet: SheetId, node: number) => standing.get(`${sheet} ${node}`);
  const sizeOf = (sheet: SheetId): number => pages.get(sheet)?.nodes.length ?? 0;
  const byPart = new Map<PartId, PartContent>();
  const under = new Set<PartId>();
  const work = (id: PartId): PartContent | undefined => {
    const known = byPart.get(id);
    const part = partOf(plan, id);
    if (known || !part || under.has(id)) return known;
    under.add(id);
    const owned = ownedBy(tree, id, under);
    for (const one of allOf(owned)) work(one.part);
    const made = contentOf(plan, pages, part, owned, { byPart, inside, regionAt, sizeOf }, at, keepsLists(tree, part));
    byPart.set(id, made);
    under.delete(id);
    return made;
  };
  for (const part of plan.parts) work(part.id);
  return { byPart, inside, regionAt, sizeOf };
}

/**
 * A part that stands once, and not right on a page, keeps its lists itself: handed down from the
 * page, they would only be carried.
 */
function keepsLists(tree: PlanTree, part: Part): boolean {
  const nodes = tree.nodes.filter((node) => node.part === part.id);
  const [only] = nodes;
  return (
    part.role === 'part' &&
    nodes.length === 1 &&
    only !== undefined &&
    instancesOn(tree, only.index) === 1 &&
    (tree.nodes[only.owner]?.parent ?? -1) >= 0
  );
}

const allOf = (owned: readonly Owned[]): Owned[] => owned.flatMap((one) => [one, ...allOf(one.content)]);

/** The parts right inside a part; those that come through a slot stand under the part whose slot it is. */
function ownedBy(tree: PlanTree, part: PartId, under: ReadonlySet<PartId>): Owned[] {
  const nodes = tree.nodes.filter((node) => node.part === part).map((node) => node.index);
  const right = (indexes: readonly number[], throughSlot: boolean): Owned[] => {
    const children = tree.nodes.filter(
      (node) => indexes.includes(node.parent) && (node.slot !== '') === throughSlot && !under.has(node.part),
    );
    return [...new Set(children.map((child) => child.part))].map((id) => {
      const same = children.filter((child) => child.part === id);
      return {
        part: id,
        isList: same.some((child) => child.times > 1),
        content: right(
          same.map((child) => child.index),
          true,
        ),
      };
    });
  };
  return right(nodes, false);
}

function instancesOf(plan: Plan, pages: Pages, part: Part, at: ReadonlyMap<RegionId, number>): Instance[] {
  if (part.role === 'page')
    return plan.sheets
      .filter((sheet) => sheet.page === part.id)
      .map((sheet) => ({ sheet: sheet.id, region: null, at: pages.has(sheet.id) ? 0 : -1 }));
  return plan.regions
    .filter((region) => region.part === part.id)
    .map((region) => ({ sheet: region.sheet, region: region.id, at: at.get(region.id) ?? -1 }));
}

/** Elements of several pages as one tree, so that they can be laid over each other. */
function joined(
  pages: Pages,
  instances: readonly Instance[],
): { tree: PageTree; roots: number[]; sheetOf: (at: number) => { sheet: SheetId; at: number } } | undefined {
  const sheets = [...new Set(instances.filter((one) => one.at >= 0).map((one) => one.sheet))];
  const first = pages.get(sheets[0] as SheetId);
  if (!first) return undefined;
  const offsets = new Map<SheetId, number>();
  const nodes: PageTree['nodes'][number][] = [];
  for (const sheet of sheets) {
    const offset = nodes.length;
    offsets.set(sheet, offset);
    for (const node of pages.get(sheet)?.nodes ?? [])
      nodes.push(
        offset === 0
          ? node
          : {
              ...node,
              index: node.index + offset,
              parent: node.parent < 0 ? -1 : node.parent + offset,
              end: node.end + offset,
              children: node.children.map((child) => child + offset),
            },
      );
  }
  return {
    tree: { ...first, nodes },
    roots: instances.flatMap((one) => (one.at >= 0 ? [one.at + (offsets.get(one.sheet) ?? 0)] : [])),
    sheetOf: (at) => {
      const sheet = sheets.findLast((one) => (offsets.get(one) ?? 0) <= at) as SheetId;
      return { sheet, at: at - (offsets.get(sheet) ?? 0) };
    },
  };
}

function contentOf(
  plan: Plan,
  pages: Pages,
  part: Part,
  owned: readonly Owned[],
  found: Contents,
  at: ReadonlyMap<RegionId, number>,
  keepsLists: boolean,
): PartContent {
  const instances = instancesOf(plan, pages, part, at);
  const shown = instances.filter((one) => one.at >= 0);
  const together = joined(pages, instances);
  const isPart = (node: number): boolean => {
    const { sheet, at: own } = together?.sheetOf(node) ?? { sheet: '' as SheetId, at: -1 };
    return found.regionAt(sheet, own) !== undefined;
  };
  const sample = together && variationsOf(together.tree, together.roots, isPart, isPart);
  const chosen = new Set(part.props.map((prop) => prop.name));
  const proposed = together && sample ? proposeProps(together.tree, part.name, sample.variations) : [];
  // A page shows itself: what differs between its states is no prop of it. A part's own props are those of the plan.
  const own = proposed.filter((prop) => part.role === 'part' && chosen.has(prop.name));
  const props: ContentProp[] = own.map((prop) => ({
    name: prop.name,
    type: part.props.find((one) => one.name === prop.name)?.type ?? prop.type,
    optional: prop.optional,
    variation: prop.variation,
    valueAt: (instance) =>
      valueIn(
        prop,
        shown.findIndex((one) => one.region === instance.region && one.sheet === instance.sheet),
      ),
  }));
  const taken = new Set([...props.map((prop) => prop.name), ...part.props.map((prop) => prop.name)]);
  addOwned(plan, part, instances, owned, found, props, taken, (instance) => [instance], keepsLists);
  return {
    part,
    instances,
    owned,
    overlay: sample?.overlay,
    page: together?.tree,
    props,
    bare: part.props.filter((prop) => !props.some((one) => one.name === prop.name)),
  };
}

const valueIn = (prop: ProposedProp, turn: number): SampleValue => (turn < 0 ? undefined : prop.values[turn]);

/** The props that a part is given. */
export const givenProps = (content: PartContent): readonly ContentProp[] => content.props.filter((prop) => !prop.isLocal);

/** Props that a part needs only to hand them on to what it owns. */
function addOwned(
  plan: Plan,
  part: Part,
  instances: readonly Instance[],
  owned: readonly Owned[],
  found: Contents,
  props: ContentProp[],
  taken: Set<string>,
  holders: (instance: Instance) => Instance[],
  keepsLists: boolean,
): void {
  for (const { part: id, isList, content } of owned) {
    const child = found.byPart.get(id);
    if (!child) continue;
    const at = (instance: Instance): Instance[] => holders(instance).flatMap((holder) => found.inside(holder, id));
    if (isList) {
      const name = freeName(child.part.list || listName(child.part.name), taken);
      taken.add(name);
      const extras = contentFields(child, content, found);
      const extraType =
        extras.length === 0 ? '' : ` & { ${extras.map((one) => `${one.name}${one.optional ? '?' : ''}: ${one.type}`).join('; ')} }`;
      props.push({
        name,
        type: extraType === '' ? `${child.part.name}Item[]` : `(${child.part.name}Item${extraType})[]`,
        optional: false,
        feeds: { part: id, prop: 'list' },
        isLocal: keepsLists,
        valueAt: (instance) => at(instance).map((one, index) => itemOf(found, child, one, index, extras)),
      });
      continue;
    }
    const counts = instances.map((instance) => at(instance).length);
    if (counts.some((count) => count === 0) && counts.some((count) => count > 0)) {
      const name = freeName(`has${child.part.name}`, taken);
      taken.add(name);
      props.push({
        name,
        type: 'boolean',
        optional: false,
        feeds: { part: id, prop: 'presence' },
        valueAt: (instance) => at(instance).length > 0,
      });
    }
    for (const prop of givenProps(child)) {
      const values = instances.flatMap((instance) =>
        at(instance)
          .slice(0, 1)
          .map((one) => prop.valueAt(one)),
      );
      const isConstant = values.every((value) => !Array.isArray(value) && value === values[0]);
      if (isConstant) continue;
      const name = taken.has(prop.name) ? freeName(camelCase(`${child.part.name} ${prop.name}`), taken) : prop.name;
      taken.add(name);
      props.push({
        name,
        type: prop.type,
        optional: prop.optional,
        feeds: { part: id, prop: prop.name },
        isLocal: keepsLists && prop.type.endsWith('[]'),
        valueAt: (instance) => {
          const [one] = at(instance);
          return one ? prop.valueAt(one) : missing(prop);
        },
      });
    }
    addOwned(plan, part, instances, content, found, props, taken, at, keepsLists);
  }
}

/** A field of a list's item, for what comes through the item's slots. `path` leads from the item to the part it is for. */
export type Field = {
  readonly name: string;
  readonly type: string;
  readonly optional: boolean;
  readonly prop: string;
  readonly path: readonly PartId[];
};

/** Fields that a list's items need beside the part's own props, since its owner fills its slots. */
export function contentFields(item: PartContent, content: readonly Owned[], found: Contents): Field[] {
  const taken = new Set(['id', ...givenProps(item).map((prop) => prop.name)]);
  const fields: Field[] = [];
  const add = (name: string, type: string, optional: boolean, prop: string, path: readonly PartId[]): void => {
    const free = freeName(name, taken);
    taken.add(free);
    fields.push({ name: free, type, optional, prop, path });
  };
  const visit = (owned: readonly Owned[], path: readonly PartId[]): void => {
    for (const one of owned) {
      const child = found.byPart.get(one.part);
      if (!child) continue;
      const here = [...path, one.part];
      if (one.isList) {
        add(child.part.list || listName(child.part.name), `${child.part.name}Item[]`, false, 'list', here);
        continue;
      }
      add(`has${child.part.name}`, 'boolean', false, 'presence', here);
      for (const prop of givenProps(child)) add(prop.name, prop.type, prop.optional, prop.name, here);
      visit(one.content, here);
    }
  };
  visit(content, []);
  return fields;
}

/** What is given for a part that is not there: a value of the type, since the type asks for one. */
const missing = (prop: Pick<ContentProp, 'type' | 'optional'>): SampleValue => (prop.optional ? undefined : emptyOf(prop.type));

function itemOf(found: Contents, child: PartContent, instance: Instance, index: number, extras: readonly Field[]): SampleItem {
  const own = givenProps(child).map((prop): [string, SampleValue] => [prop.name, prop.valueAt(instance)]);
  const more = extras.map(({ name, prop, path }): [string, SampleValue] => {
    const at = path.reduce<Instance[]>((holders, part) => holders.flatMap((holder) => found.inside(holder, part)), [instance]);
    const part = found.byPart.get(path.at(-1) as PartId);
    if (prop === 'presence') return [name, at.length > 0];
    if (prop === 'list') return [name, part ? at.map((one, turn) => itemOf(found, part, one, turn, [])) : []];
    const [first] = at;
    const meant = part?.props.find((one) => one.name === prop);
    return [name, meant && (first ? meant.valueAt(first) : missing(meant))];
  });
  return {
    id: `${camelCase(child.part.name)}-${index + 1}`,
    ...Object.fromEntries([...own, ...more].filter(([, value]) => value !== undefined)),
  };
}
