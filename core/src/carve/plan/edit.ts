import { freeName, pascalCase } from '../../write/case';
import { bottom, type Box, right } from '../picture/pixels';
import { nest } from './nest';
import {
  type Part,
  type PartId,
  type Plan,
  planId,
  type PlannedValue,
  type PlannedValueId,
  type Region,
  type RegionId,
  type Sheet,
  type SheetId,
} from './plan';

const newPart = (id: PartId, name: string, role: Part['role']): Part => ({
  id,
  name,
  role,
  note: '',
  props: [],
  events: [],
  slots: [],
  list: '',
});

/** Adds a look of a page; a page of that name that is there already gets one more look. */
export function addSheet(plan: Plan, page: string, sheet: Omit<Sheet, 'id' | 'page'>): { plan: Plan; sheet: SheetId } {
  const known = plan.parts.find((part) => part.role === 'page' && part.name === page);
  const id = planId('sheet', plan.numbered + 1);
  const part = known ?? newPart(planId('part', plan.numbered + 2), freeName(page, new Set(plan.parts.map((one) => one.name))), 'page');
  return {
    sheet: id,
    plan: {
      ...plan,
      numbered: plan.numbered + 2,
      sheets: [...plan.sheets, { ...sheet, id, page: part.id }],
      parts: known ? plan.parts : [...plan.parts, part],
    },
  };
}

/** Takes a look of a page away, with what is marked on it, and with its page where it was the last look. */
export function removeSheet(plan: Plan, id: SheetId): Plan {
  const gone = plan.sheets.find((sheet) => sheet.id === id);
  const sheets = plan.sheets.filter((sheet) => sheet.id !== id);
  const isLast = gone !== undefined && !sheets.some((sheet) => sheet.page === gone.page);
  return {
    ...plan,
    sheets,
    parts: isLast ? plan.parts.filter((part) => part.id !== gone.page) : plan.parts,
    regions: plan.regions.filter((region) => region.sheet !== id),
  };
}

/** Shows a sheet from another file: marks stay, and move with the size where it differs. */
export function replaceSheet(plan: Plan, id: SheetId, look: Pick<Sheet, 'file' | 'width' | 'height' | 'kind'>): Plan {
  const before = plan.sheets.find((sheet) => sheet.id === id);
  if (!before) return plan;
  const share = look.width / before.width;
  const moved = ({ x, y, width, height }: Box): Box => ({
    x: Math.round(x * share),
    y: Math.round(y * share),
    width: Math.round(width * share),
    height: Math.round(height * share),
  });
  return {
    ...plan,
    sheets: plan.sheets.map((sheet) => (sheet.id === id ? { ...sheet, ...look } : sheet)),
    regions: plan.regions.map((region) => (region.sheet === id && share !== 1 ? { ...region, box: moved(region.box) } : region)),
  };
}

export type Mark = { readonly box: Box; readonly selector?: string };

/** Marks a part at one or more places of a sheet. A part of that name is used again; else it is made, and named `Part1` where no name is given. */
export function markPart(
  plan: Plan,
  sheet: SheetId,
  name: string,
  marks: readonly Mark[],
): { plan: Plan; part: PartId; regions: readonly RegionId[] } {
  const known = plan.parts.find((part) => part.name === name && part.role === 'part');
  let number = plan.numbered;
  const names = new Set(plan.parts.map((part) => part.name));
  const free = name === '' ? unnamed(names) : freeName(name, names);
  const part = known ?? newPart(planId('part', ++number), free, 'part');
  const regions = marks.map(({ box, selector }): Region => ({
    id: planId('region', ++number),
    sheet,
    part: part.id,
    box,
    selector: selector ?? '',
  }));
  return {
    part: part.id,
    regions: regions.map((region) => region.id),
    plan: { ...plan, numbered: number, parts: known ? plan.parts : [...plan.parts, part], regions: [...plan.regions, ...regions] },
  };
}

function unnamed(names: ReadonlySet<string>): string {
  for (let count = 1; ; count++) if (!names.has(`Part${count}`)) return `Part${count}`;
}

/** Changes a part. A name that is another part’s makes both one part. */
export function changePart(plan: Plan, id: PartId, change: Partial<Omit<Part, 'id' | 'role'>>): Plan {
  return { ...plan, parts: plan.parts.map((part) => (part.id === id ? { ...part, ...change } : part)) };
}

/** Makes two parts one: the second's places, values and slots go to the first, which keeps its own words. */
export function joinParts(plan: Plan, into: PartId, from: PartId): Plan {
  if (into === from) return plan;
  const swap = (ids: readonly PartId[]): PartId[] => [...new Set(ids.map((id) => (id === from ? into : id)))];
  const other = plan.parts.find((part) => part.id === from);
  return {
    ...plan,
    parts: plan.parts
      .filter((part) => part.id !== from)
      .map((part) => {
        const slots = part.slots.map((slot) => ({ ...slot, parts: swap(slot.parts) }));
        if (part.id !== into || !other) return { ...part, slots };
        const props = [...part.props, ...other.props.filter((prop) => !part.props.some((one) => one.name === prop.name))];
        const events = [...part.events, ...other.events.filter((event) => !part.events.some((one) => one.name === event.name))];
        return { ...part, slots, props, events };
      }),
    regions: plan.regions.map((region) => (region.part === from ? { ...region, part: into } : region)),
    values: plan.values.map((value) => ({ ...value, readBy: swap(value.readBy), changedBy: swap(value.changedBy) })),
  };
}

/** Takes marks away; a part that stands nowhere then goes too. */
export function removeRegions(plan: Plan, ids: readonly RegionId[]): Plan {
  const nesting = nest(plan);
  const gone = new Set(ids);
  const regions = plan.regions
    .filter((region) => !gone.has(region.id))
    .map((region) => {
      if (region.within === undefined || region.within === null || !gone.has(region.within)) return region;
      const { within: _within, ...rest } = region;
      const outer = nesting.get(region.within);
      return outer === undefined ? rest : { ...rest, within: outer };
    });
  const left = new Set(regions.map((region) => region.part));
  const lost = new Set(plan.regions.filter((region) => gone.has(region.id) && !left.has(region.part)).map((region) => region.part));
  const keep = (parts: readonly PartId[]): PartId[] => parts.filter((part) => !lost.has(part));
  return {
    ...plan,
    regions,
    parts: plan.parts
      .filter((part) => !lost.has(part.id))
      .map((part) => ({ ...part, slots: part.slots.map((slot) => ({ ...slot, parts: keep(slot.parts) })) })),
    values: plan.values.map((value) => ({ ...value, readBy: keep(value.readBy), changedBy: keep(value.changedBy) })),
  };
}

/** Gives regions new boxes. Where a region is drawn elsewhere it no longer stands for an element of the page. */
export function moveRegions(plan: Plan, boxes: ReadonlyMap<RegionId, Box>): Plan {
  return {
    ...plan,
    regions: plan.regions.map((region) => {
      const box = boxes.get(region.id);
      if (!box) return region;
      const { within: _within, ...rest } = region;
      return { ...rest, box: tidy(box), selector: '' };
    }),
  };
}

/** Whole pixels, and at least one of them. */
export const tidy = ({ x, y, width, height }: Box): Box => ({
  x: Math.round(x),
  y: Math.round(y),
  width: Math.max(1, Math.round(width)),
  height: Math.max(1, Math.round(height)),
});

/** Puts a region one level further out than it is, beside the one it was in. */
export function liftRegion(plan: Plan, id: RegionId): Plan {
  const nesting = nest(plan);
  const around = nesting.get(id);
  if (around === null || around === undefined) return plan;
  return setWithin(plan, id, nesting.get(around) ?? null);
}

/** Puts a region into the one beside it that shares most of its area; without one the plan stays as it is. */
export function lowerRegion(plan: Plan, id: RegionId): Plan {
  const nesting = nest(plan);
  const region = plan.regions.find((one) => one.id === id);
  if (!region) return plan;
  const overlap = (other: Region): number => {
    const width = Math.min(right(region.box), right(other.box)) - Math.max(region.box.x, other.box.x);
    const height = Math.min(bottom(region.box), bottom(other.box)) - Math.max(region.box.y, other.box.y);
    return Math.max(0, width) * Math.max(0, height);
  };
  const beside = plan.regions.filter(
    (other) => other.id !== id && other.sheet === region.sheet && nesting.get(other.id) === nesting.get(id) && other.part !== region.part,
  );
  const best = beside.toSorted((a, b) => overlap(b) - overlap(a))[0];
  return best && overlap(best) > 0 ? setWithin(plan, id, best.id) : plan;
}

function setWithin(plan: Plan, id: RegionId, within: RegionId | null): Plan {
  return { ...plan, regions: plan.regions.map((region) => (region.id === id ? { ...region, within } : region)) };
}

/** Draws one region around several of one sheet, with room of a few pixels, as a part of its own. */
export function wrapRegions(
  plan: Plan,
  ids: readonly RegionId[],
  name: string,
): { plan: Plan; part: PartId; regions: readonly RegionId[] } | undefined {
  const regions = plan.regions.filter((region) => ids.includes(region.id));
  const [first] = regions;
  if (!first || regions.some((region) => region.sheet !== first.sheet)) return undefined;
  const sheet = plan.sheets.find((one) => one.id === first.sheet);
  const x = Math.max(0, Math.min(...regions.map((region) => region.box.x)) - 4);
  const y = Math.max(0, Math.min(...regions.map((region) => region.box.y)) - 4);
  const end = Math.min(sheet?.width ?? Infinity, Math.max(...regions.map((region) => right(region.box))) + 4);
  const foot = Math.min(sheet?.height ?? Infinity, Math.max(...regions.map((region) => bottom(region.box))) + 4);
  return markPart(plan, first.sheet, name, [{ box: { x, y, width: end - x, height: foot - y } }]);
}

/** Cuts a region into rows or columns, all one part that repeats. `cuts` are the boxes. */
export function splitRegion(
  plan: Plan,
  id: RegionId,
  cuts: readonly Mark[],
  name: string,
): { plan: Plan; part: PartId; regions: readonly RegionId[] } | undefined {
  const region = plan.regions.find((one) => one.id === id);
  return region && cuts.length > 1 ? markPart(plan, region.sheet, name, cuts) : undefined;
}

/** Changes a planned value, or adds it where there is none of that id. */
export function putValue(plan: Plan, value: Omit<PlannedValue, 'id'> & { id?: PlannedValueId }): { plan: Plan; value: PlannedValueId } {
  const { id } = value;
  if (id !== undefined && plan.values.some((one) => one.id === id))
    return { value: id, plan: { ...plan, values: plan.values.map((one) => (one.id === id ? { ...one, ...value, id } : one)) } };
  const made = planId('value', plan.numbered + 1);
  return { value: made, plan: { ...plan, numbered: plan.numbered + 1, values: [...plan.values, { ...value, id: made }] } };
}

export function removeValue(plan: Plan, id: PlannedValueId): Plan {
  return { ...plan, values: plan.values.filter((value) => value.id !== id) };
}

/** A page's name from a file's or a title's words: `today-board.png` → `TodayBoardPage`. */
export function pageName(words: string): string {
  const name = pascalCase(words.replace(/\.\w+$/, ''));
  return name === '' ? 'Page' : name.endsWith('Page') ? name : `${name}Page`;
}
