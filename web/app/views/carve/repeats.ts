import {
  adoptParts,
  agreement,
  type Box,
  elementAt,
  markPart,
  type PageTree,
  partOf,
  type Plan,
  type Region,
  selectorOf,
  type Sheet,
  type SheetId,
} from '@liana/core';
import { askCarver } from '../../carving/client';
import { lookText } from '../../carving/look-text';
import type { StoredLook } from '../../storage/database';
import { type ElementBoxes, measureUnseen, type ShownSheet } from './useSheet';

export type RepeatsAsked = {
  readonly plan: Plan;
  readonly region: Region;
  readonly sheet: Sheet;
  readonly shown: ShownSheet;
  readonly boxes: ElementBoxes;
  /** Saved pages of the plan that have been read already. */
  readonly pages: ReadonlyMap<SheetId, PageTree>;
  readonly looks: readonly StoredLook[];
};

export type RepeatsFound = { readonly plan: Plan; /** How many marks are new. */ readonly found: number };

/** Marks what is like a region: on its sheet and, for saved pages, on the others. */
export async function markRepeats(asked: RepeatsAsked): Promise<RepeatsFound> {
  const { plan, region, shown } = asked;
  const at = shown.kind === 'html' && region.selector !== '' ? elementAt(shown.page, region.selector) : -1;
  if (shown.kind === 'html' && at >= 0) return repeatsOfElement(asked, shown.page, at);
  return shown.kind === 'picture' ? repeatsInPicture(asked) : { plan, found: 0 };
}

async function repeatsInPicture({ plan, region, sheet, looks }: RepeatsAsked): Promise<RepeatsFound> {
  const look = looks.find((one) => one.file === sheet.file);
  if (!look) return { plan, found: 0 };
  const picture = new Blob([look.bytes], { type: look.type });
  const alike = await askCarver((remote) => remote.likes(sheet.file, region.box, picture));
  const own = plan.regions.filter((one) => one.sheet === sheet.id && one.part === region.part);
  const fresh = alike.filter((box) => !own.some((one) => agreement(one.box, box) > 0.7));
  const marks = fresh.map((box) => ({ box }));
  return { plan: markPart(plan, sheet.id, partOf(plan, region.part)?.name ?? '', marks).plan, found: fresh.length };
}

async function repeatsOfElement(
  { plan, region, sheet, boxes, pages, looks }: RepeatsAsked,
  page: PageTree,
  at: number,
): Promise<RepeatsFound> {
  const name = partOf(plan, region.part)?.name ?? '';
  const others: { sheet: Sheet; page: PageTree }[] = [];
  for (const one of plan.sheets) {
    const look = looks.find((other) => other.file === one.file);
    if (one.id === sheet.id || one.kind !== 'html' || !look) continue;
    const other = pages.get(one.id) ?? (await askCarver((remote) => remote.read(lookText(look))));
    others.push({ sheet: one, page: other });
  }
  const otherPages = others.map((one) => one.page);
  const [alike = [], ...elsewhere] = await askCarver((remote) => remote.elementsLike(page, at, otherPages));
  let next = plan;
  let found = 0;
  const take = (on: SheetId, tree: PageTree, ats: readonly number[], seen: ElementBoxes): void => {
    const own = new Set(plan.regions.filter((one) => one.sheet === on && one.part === region.part).map((one) => one.selector));
    const fresh = ats.filter((one) => seen.has(one) && !own.has(selectorOf(tree, one)));
    found += fresh.length;
    next = adoptParts(next, on, tree, [{ name, at: fresh }], (one) => seen.get(one) as Box);
  };
  take(sheet.id, page, alike, boxes);
  for (const [turn, ats] of elsewhere.entries()) {
    const other = others[turn];
    if (other && ats.length > 0) take(other.sheet.id, other.page, ats, await measureUnseen(other.page, other.sheet, looks));
  }
  return { plan: next, found };
}
