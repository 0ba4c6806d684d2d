import { area, holds } from '../picture/pixels';
import type { Plan, Region, RegionId, SheetId } from './plan';

/** Pixels by which a drawn box may reach over the one around it and still be inside. */
const slack = 3;

/** For each region the one it is in, or null for right on the page. */
export type Nesting = ReadonlyMap<RegionId, RegionId | null>;

/**
 * Nests regions by what contains what: each is in the smallest region of its sheet that holds it, unless
 * it was put elsewhere by hand. A hand-made place that would close a circle is not followed.
 */
export function nest(plan: Plan): Nesting {
  const around = new Map<RegionId, RegionId | null>();
  const bySheet = new Map<SheetId, { region: Region; order: number }[]>();
  plan.regions.forEach((region, order) => {
    const list = bySheet.get(region.sheet);
    if (list) list.push({ region, order });
    else bySheet.set(region.sheet, [{ region, order }]);
  });
  for (const regions of bySheet.values()) {
    // Smallest first, the later of equals first: the first that holds a box is the nearest.
    const bySize = regions.toSorted((a, b) => area(a.region.box) - area(b.region.box) || b.order - a.order);
    bySize.forEach(({ region }, at) => {
      const holder = bySize.slice(at + 1).find((other) => holds(other.region.box, region.box, slack));
      around.set(region.id, holder?.region.id ?? null);
    });
  }
  const closes = (id: RegionId, into: RegionId): boolean => {
    for (let up: RegionId | null = into, steps = 0; up !== null && steps <= plan.regions.length; up = around.get(up) ?? null, steps++)
      if (up === id) return true;
    return false;
  };
  for (const { id, within, sheet } of plan.regions) {
    if (within === undefined) continue;
    if (within === null) around.set(id, null);
    else if (plan.regions.some((other) => other.id === within && other.sheet === sheet) && !closes(id, within)) around.set(id, within);
  }
  return around;
}

/** The regions right inside one, or right on a sheet, in the order of reading. */
export function regionsIn(plan: Plan, nesting: Nesting, sheet: SheetId, outer: RegionId | null): Region[] {
  return plan.regions.filter((region) => region.sheet === sheet && nesting.get(region.id) === outer).sort(byReading);
}

/** Rows from the top, and in a row from the left: boxes that overlap by half their height are in one row. */
export function byReading(one: Region, other: Region): number {
  const [a, b] = [one.box, other.box];
  const overlap = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return overlap > Math.min(a.height, b.height) / 2 ? a.x - b.x || a.y - b.y : a.y - b.y || a.x - b.x;
}
