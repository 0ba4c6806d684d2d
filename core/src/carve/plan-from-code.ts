import { makeFlowQueries, strandsOf } from '../flow';
import type { ComponentId } from '../model/ids';
import type { Component, Model } from '../model/model';
import type { Place, Tree } from '../model/tree';
import { unfold } from '../tree';
import { camelCase } from '../write/case';
import { bareEvent, isCallback, memberLabel } from './member-names';
import { emptyPlan, type Part, type PartId, type Plan, planId, type PlannedValue, type Region, type Sheet } from './plan/plan';

const regionsMost = 2000;

/** A plan that grows while the pages of a project are read; ids are numbered over all of it. */
type Growing = {
  number: number;
  readonly parts: Map<ComponentId, Part>;
  readonly names: Set<string>;
  readonly sheets: Sheet[];
  readonly regions: Region[];
};

/** Who reads and who changes a state, over all pages. */
type Ways = { readonly reads: Set<ComponentId>; readonly changes: Set<ComponentId> };

/**
 * Makes a plan from code: each page's tree as it is, with contracts and with the values that live in
 * its components. Its sheets were never seen; boxes only say what holds what.
 */
export function planFromCode(model: Model, name: string): Plan {
  const plan: Growing = { number: 0, parts: new Map(), names: new Set(), sheets: [], regions: [] };
  const ways = new Map<string, Ways>();
  for (const page of model.pages) {
    const tree = unfold(model, page);
    addPage(plan, model, tree);
    noteWays(ways, model, tree);
  }
  const values = valuesOf(plan, model, ways);
  return { ...emptyPlan(name), numbered: plan.number, sheets: plan.sheets, parts: [...plan.parts.values()], regions: plan.regions, values };
}

/** The part of a component; made with its contract where it is met first. */
function partFor(plan: Growing, component: Component, role: Part['role']): Part {
  const known = plan.parts.get(component.id);
  if (known) return known;
  let free = component.name;
  for (let count = 2; plan.names.has(free); count++) free = `${component.name}${count}`;
  plan.names.add(free);
  const props = [...component.contract.members.values()];
  const made: Part = {
    id: planId('part', ++plan.number),
    name: free,
    role,
    note: '',
    props: props
      .filter((prop) => prop.kind !== 'callback' && prop.kind !== 'slot' && !isCallback(prop.name))
      .map((prop) => ({ name: memberLabel(prop), type: 'unknown', optional: prop.required !== 'yes' })),
    events: props
      .filter((prop) => prop.kind === 'callback' || isCallback(prop.name))
      .map((prop) => ({ name: camelCase(bareEvent(prop.name)), payload: '' })),
    slots: component.facts.slots.map((slot) => ({ name: memberLabel(slot), parts: [] })),
    list: '',
  };
  plan.parts.set(component.id, made);
  return made;
}

function addToSlot({ parts }: Growing, holder: ComponentId, slot: string, part: PartId): void {
  const known = parts.get(holder);
  if (!known) return;
  const before = known.slots.find((one) => one.name === slot);
  if (before?.parts.includes(part)) return;
  const others = known.slots.filter((one) => one !== before);
  parts.set(holder, { ...known, slots: [...others, { name: slot, parts: [...(before?.parts ?? []), part] }] });
}

/** Adds a page as a sheet, with a region for each of its places. */
function addPage(plan: Growing, model: Model, tree: Tree): void {
  const [top] = tree.places;
  const component = top && model.components.get(top.component);
  if (!top || !component) return;
  const below = tree.places.map((): Place[] => []);
  for (const place of tree.places) below[place.parent]?.push(place);
  const page = partFor(plan, component, 'page');
  const sheet: Sheet = {
    id: planId('sheet', ++plan.number),
    page: page.id,
    title: 'as in the code',
    kind: 'picture',
    width: 1,
    height: 1,
    file: '',
  };
  plan.sheets.push(sheet);
  const put = (place: Place, within: Region['id'] | null): void => {
    const shown = model.components.get(place.component);
    if (!shown) return;
    const part = partFor(plan, shown, 'part');
    if (place.slot) addToSlot(plan, tree.places[place.slot.of]?.component as ComponentId, memberLabel(place.slot), part.id);
    // A list stands for itself and one more, so that the plan shows it as repeated; in a large tree once.
    for (let time = 0; time < (place.repeats.length > 0 && plan.regions.length < regionsMost ? 2 : 1); time++) {
      const region: Region = {
        id: planId('region', ++plan.number),
        sheet: sheet.id,
        part: part.id,
        box: { x: 0, y: 0, width: 1, height: 1 },
        selector: '',
        within,
      };
      plan.regions.push(region);
      for (const child of below[place.index] ?? []) put(child, region.id);
    }
  };
  for (const child of below[top.index] ?? []) put(child, null);
}

/** Notes who reads and who changes each state of a page. */
function noteWays(ways: Map<string, Ways>, model: Model, tree: Tree): void {
  for (const strand of strandsOf(makeFlowQueries(model, tree)).strands) {
    if (strand.kind !== 'state') continue;
    const key = `${strand.home} ${strand.name}`;
    const known = ways.get(key) ?? { reads: new Set(), changes: new Set() };
    ways.set(key, known);
    for (const knot of strand.knots) {
      const at = tree.places[knot.place]?.component;
      if (at && knot.kinds.includes('reads')) known.reads.add(at);
      if (at && knot.kinds.includes('changes')) known.changes.add(at);
    }
  }
}

/** The states that live in the parts: one that leaves its component has a strand; one that stays is its component's own. */
function valuesOf(plan: Growing, model: Model, ways: ReadonlyMap<string, Ways>): PlannedValue[] {
  return [...plan.parts].flatMap(([id, part]) => {
    const among = (components: ReadonlySet<ComponentId> | undefined): PartId[] => {
      const found = [...(components ?? [])].flatMap((one) => plan.parts.get(one)?.id ?? []);
      return found.length > 0 ? found : [part.id];
    };
    const states = model.components.get(id)?.facts.values.filter(({ kind }) => kind === 'state') ?? [];
    return states.map(({ name }): PlannedValue => {
      const way = ways.get(`${id} ${name}`);
      return {
        id: planId('value', ++plan.number),
        name,
        type: 'unknown',
        readBy: among(way?.reads),
        changedBy: among(way?.changes),
        fromServer: false,
        perItem: true,
        otherPages: false,
      };
    });
  });
}
