import { proposeProps } from '../page/props';
import type { PageTree } from '../page/read';
import { elementAt, selectorOf } from '../page/selector';
import { variationsOf } from '../page/vary';
import type { Box } from '../picture/pixels';
import type { PicturePart } from '../picture/suggest';
import { freeName } from '../../write/case';
import { changePart, markPart } from './edit';
import type { PartId, Plan, PlannedProp, SheetId } from './plan';

/** A part to take over from a page: its name and the elements it stands at. */
export type Adopted = { readonly name: string; readonly at: readonly number[] };

/**
 * Takes parts over from a page: marks each at its elements, and gives it the props that what varies
 * among its elements calls for. Inner parts are left out of what varies. `boxOf` gives an element's box.
 */
export function adoptParts(plan: Plan, sheet: SheetId, page: PageTree, parts: readonly Adopted[], boxOf: (at: number) => Box): Plan {
  const marked = parts.reduce(
    (before, { name, at }) =>
      markPart(
        before,
        sheet,
        name,
        at.map((one) => ({ box: boxOf(one), selector: selectorOf(page, one) })),
      ).plan,
    plan,
  );
  const handedOn = plan.parts.reduce((before, part) => withoutInnerProps(plan, before, part.id, sheet, page), marked);
  return parts.reduce((before, { name }) => {
    const part = before.parts.find((one) => one.name === name);
    return part ? withProposedProps(before, part.id, sheet, page) : before;
  }, handedOn);
}

/** Takes parts over from a picture, with their props. A name that a part of the plan has already gets a number: pictures do not say what is the same. */
export function adoptPictureParts(plan: Plan, sheet: SheetId, parts: readonly PicturePart[]): Plan {
  return parts.reduce((before, { name, boxes, props }) => {
    const free = freeName(name, new Set(before.parts.map((one) => one.name)));
    const marked = markPart(
      before,
      sheet,
      free,
      boxes.map((box) => ({ box })),
    );
    return changePart(marked.plan, marked.part, { props });
  }, plan);
}

/** Takes away the props that were proposed for what is now a part of its own inside. What was written by hand stays. */
function withoutInnerProps(before: Plan, after: Plan, part: PartId, sheet: SheetId, page: PageTree): Plan {
  const known = after.parts.find((one) => one.id === part);
  if (!known || known.props.length === 0) return after;
  const words = (prop: PlannedProp): string => `${prop.name} ${prop.type} ${prop.optional}`;
  const now = new Set(proposedFor(after, part, sheet, page).map((prop) => prop.name));
  const gone = new Set(
    proposedFor(before, part, sheet, page)
      .filter((prop) => !now.has(prop.name))
      .map(words),
  );
  const props = known.props.filter((prop) => !gone.has(words(prop)));
  return props.length === known.props.length ? after : changePart(after, part, { props });
}

/** The props that what varies among a part's elements on a sheet calls for. Empty where it stands there fewer than twice. */
export function proposedFor(plan: Plan, part: PartId, sheet: SheetId, page: PageTree): PlannedProp[] {
  const own = plan.regions.filter((region) => region.sheet === sheet && region.selector !== '');
  const items = own
    .filter((region) => region.part === part)
    .map((region) => elementAt(page, region.selector))
    .filter((at) => at >= 0);
  if (items.length < 2) return [];
  const others = new Set(own.filter((region) => region.part !== part).map((region) => elementAt(page, region.selector)));
  const isPart = (at: number): boolean => others.has(at);
  const name = plan.parts.find((one) => one.id === part)?.name ?? '';
  return proposeProps(page, name, variationsOf(page, items, isPart, isPart).variations).map((prop) => ({
    name: prop.name,
    type: prop.type,
    optional: prop.optional,
  }));
}

/** Adds the proposed props that the part does not have yet. */
export function withProposedProps(plan: Plan, part: PartId, sheet: SheetId, page: PageTree): Plan {
  const known = plan.parts.find((one) => one.id === part);
  if (!known) return plan;
  const more = proposedFor(plan, part, sheet, page).filter((prop) => !known.props.some((one) => one.name === prop.name));
  return more.length === 0 ? plan : changePart(plan, part, { props: [...known.props, ...more] });
}

/** Boxes that contain each other as the elements do, for a page that was not laid out. */
export function boxesByOrder(page: PageTree): (at: number) => Box {
  return (at) => {
    const node = page.nodes[at];
    const depth = node?.depth ?? 0;
    return { x: depth * 10, y: at * 10, width: Math.max(10, 4000 - depth * 20), height: ((node?.end ?? at + 1) - at) * 10 };
  };
}
