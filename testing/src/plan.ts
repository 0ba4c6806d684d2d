import {
  type Part,
  type PartId,
  type Plan,
  planId,
  type PlannedValue,
  type Region,
  type RegionId,
  type Sheet,
} from '../../core/src/carve/plan/plan';

/**
 * A plan from an outline: one part a line, two spaces a level; lines on the first level are pages.
 * `LockCard x3` stands three times, each with all below it; `LockPanel ?` is missing in a second state of
 * the page; `LockList (children)` comes through that slot of the part around it.
 */
export function planFrom(outline: string): Plan {
  const parts = new Map<string, Part>();
  const sheets: Sheet[] = [];
  const regions: Region[] = [];
  const partNamed = (name: string, role: Part['role']): PartId => {
    const known = parts.get(name);
    const made: Part = known ?? { id: planId('part', parts.size), name, role, note: '', props: [], events: [], slots: [], list: '' };
    parts.set(name, made);
    return made.id;
  };
  type Line = { name: string; times: number; slot: string; optional: boolean; below: Line[] };
  const top: Line = { name: '', times: 1, slot: '', optional: false, below: [] };
  const trail = [top];
  for (const text of outline.split('\n').filter((line) => line.trim() !== '')) {
    const depth = (text.length - text.trimStart().length) / 2;
    const [, name = '', times, slot, mark] = /^\s*(\w+)(?: x(\d+))?(?: \((\w+)\))?( \?)?$/.exec(text) ?? [];
    if (name === '') throw new Error(`Not a line of an outline: ${text}`);
    const line: Line = { name, times: Number(times ?? 1), slot: slot ?? '', optional: mark !== undefined, below: [] };
    trail.length = depth + 1;
    trail[depth]?.below.push(line);
    trail.push(line);
  }
  const put = (line: Line, sheet: Sheet, within: RegionId | null, holder: string): void => {
    const part = partNamed(line.name, 'part');
    const around = parts.get(holder);
    if (line.slot !== '' && around) {
      const others = around.slots.filter((one) => one.name !== line.slot);
      const slot = around.slots.find((one) => one.name === line.slot);
      parts.set(holder, { ...around, slots: [...others, { name: line.slot, parts: [...new Set([...(slot?.parts ?? []), part])] }] });
    }
    for (let time = 0; time < line.times; time++) {
      const id = planId('region', regions.length);
      regions.push({ id, sheet: sheet.id, part, box: { x: 0, y: 0, width: 10, height: 10 }, selector: '', within });
      for (const child of line.below) put(child, sheet, id, line.name);
    }
  };
  const hasOptional = (line: Line): boolean => line.optional || line.below.some(hasOptional);
  for (const page of top.below) {
    const id = partNamed(page.name, 'page');
    for (const isBare of hasOptional(page) ? [false, true] : [false]) {
      const sheet: Sheet = { id: planId('sheet', sheets.length), page: id, title: '', kind: 'picture', width: 100, height: 100, file: '' };
      sheets.push(sheet);
      for (const child of page.below) if (!(isBare && child.optional)) put(child, sheet, null, page.name);
    }
  }
  return { name: 'A plan', numbered: 1000, sheets, parts: [...parts.values()], regions, values: [] };
}

/** A value by names: `valueOf(plan, 'locks', 'LockCard LockPanel', 'LockCard', 'item server')`. */
export function valueOf(plan: Plan, name: string, readBy: string, changedBy: string, marks = ''): PlannedValue {
  const ids = (names: string): PartId[] =>
    names
      .split(' ')
      .filter(Boolean)
      .map((one) => {
        const part = plan.parts.find((other) => other.name === one);
        if (!part) throw new Error(`No part ${one} in the plan`);
        return part.id;
      });
  return {
    id: planId('value', 1),
    name,
    type: 'string',
    readBy: ids(readBy),
    changedBy: ids(changedBy),
    fromServer: marks.includes('server'),
    perItem: marks.includes('item'),
    otherPages: marks.includes('pages'),
  };
}
