import type { PartId, Plan, SheetId } from '../plan/plan';
import { planTree } from '../plan/plan-tree';
import { type Contents, contentFields, contentsOf, type Field, givenProps, type Owned, type Pages, type PartContent } from './content';
import { localPage, localRules } from './local';
import { itemName, markupFrom, type MarkupWords, ownedMarkup, plainMarkup } from './markup';
import {
  emptyOf,
  type Expression,
  type Given,
  type Markup,
  type Skeleton,
  type SkeletonEvent,
  type SkeletonPart,
  type SkeletonProp,
} from '../../model/skeleton';
import { type PartValues, valuesOf } from './values';
import { callbackName } from '../../write/case';

const noValues: PartValues = { lives: [], takes: [], given: new Map(), raised: new Map() };

/** Where in a part a use stands: in the part itself, or in an item of one of its lists. */
type Scope = {
  readonly item?: { readonly name: string; readonly part: PartId; readonly fields: readonly Field[] };
  readonly path: readonly PartId[];
};

/**
 * Makes the skeleton of a plan: for each part its contract, what lives in it, and its markup: the
 * page's own where the part was taken from a saved page, plain boxes where it was drawn on a picture.
 * `sheetText` gives the style sheets that came beside the pages.
 */
export function skeletonOf(plan: Plan, asRead: Pages, sheetText: SheetText = () => undefined): Skeleton {
  const pages: Pages = new Map([...asRead].map(([sheet, page]) => [sheet, localPage(page)]));
  const tree = planTree(plan);
  const found = contentsOf(plan, tree, pages);
  const { byPart: values } = valuesOf(plan, tree);
  const standing = plan.parts.filter((part) => tree.nodes.some((node) => node.part === part.id));
  const parts = standing.flatMap((part): SkeletonPart[] => {
    const content = found.byPart.get(part.id);
    return content ? [partOf(plan, content, found, values)] : [];
  });
  const first = plan.sheets.map((sheet) => pages.get(sheet.id)).find((page) => page !== undefined);
  return {
    name: plan.name,
    parts,
    style: styleOf(plan, pages, sheetText),
    root: first?.root ?? {},
    body: first?.nodes[0]?.attributes ?? {},
    pictures: [
      ...new Set(
        plan.sheets.flatMap((sheet) =>
          (pages.get(sheet.id)?.nodes ?? []).flatMap((node) => (node.label === 'img' ? (node.attributes['src'] ?? []) : [])),
        ),
      ),
    ],
  };
}

/** Gives a style sheet's text by the sheet it belongs to and its address there. */
export type SheetText = (sheet: SheetId, address: string) => string | undefined;

/** Rules of the pages, each once, in their order. */
function styleOf(plan: Plan, pages: Pages, sheetText: SheetText): string {
  const rules = plan.sheets.flatMap((sheet) =>
    (pages.get(sheet.id)?.styles ?? []).map((style) =>
      (style.kind === 'rules' ? style.text : localRules(sheetText(sheet.id, style.address) ?? '')).trim(),
    ),
  );
  return [...new Set(rules.filter((text) => text !== ''))].join('\n\n');
}

function partOf(plan: Plan, content: PartContent, found: Contents, values: ReadonlyMap<PartId, PartValues>): SkeletonPart {
  const { part } = content;
  const own = values.get(part.id) ?? noValues;
  const isPage = part.role === 'page';
  const contentProps = givenProps(content).map((prop): SkeletonProp => ({
    name: prop.name,
    type: prop.type,
    optional: prop.optional,
    kind: 'content',
  }));
  const bare = content.bare.map((prop): SkeletonProp => ({ ...prop, kind: 'planned' }));
  const taken = new Set([...contentProps, ...bare].map((prop) => prop.name));
  const given = [...own.given]
    .filter(([name]) => !taken.has(name))
    .map(([name, { value }]): SkeletonProp => ({ name, type: value.type, optional: false, kind: 'value' }));
  const props = isPage ? [] : [...contentProps, ...bare, ...given];
  const events = isPage
    ? []
    : [...own.raised.values()].map(({ event, value }): SkeletonEvent => ({ ...event, changes: value?.name ?? '' }));

  const words = wordsFor(plan, content, found, values, { path: [] });
  const page = content.page;
  const partAt = partAtOf(content, found);
  const body = (page && markupFrom(content, partAt, words)) ?? plainMarkup(content, words);
  const shows = [
    ...(page ? bare.map((prop) => prop.name) : []),
    ...[...own.given].filter(([name, one]) => one.reads && !taken.has(name)).map(([name]) => name),
    ...own.lives.filter((value) => value.readBy.includes(part.id)).map((value) => value.name),
    ...own.takes.filter((one) => one.reads).map((one) => one.value.name),
  ];
  const raises = [
    ...[...own.raised.values()].filter((one) => one.raises && !isPage).map((one) => callbackName(one.event.name)),
    ...own.lives.filter((value) => value.changedBy.includes(part.id)).map((value) => `set ${value.name}`),
    ...own.takes.filter((one) => one.changes).map((one) => `set ${one.value.name}`),
  ];
  const sample = content.props
    .filter((prop) => isPage || prop.isLocal)
    .map((prop) => ({
      name: prop.name,
      type: prop.type,
      value: content.instances[0] ? prop.valueAt(content.instances[0]) : undefined,
    }));
  const markup = withActs(body, shows, raises);
  return {
    name: part.name,
    role: part.role,
    note: part.note,
    props,
    events,
    slots: part.slots.map((slot) => slot.name),
    state: own.lives.map((value) => ({ name: value.name, type: value.type, provided: homeIsContext(values, value.name) })),
    taken: own.takes.map(({ value, from, reads, changes }) => ({ name: value.name, type: value.type, from, reads, changes })),
    sample,
    markup,
    uses: usesIn(markup),
  };
}

const homeIsContext = (values: ReadonlyMap<PartId, PartValues>, name: string): boolean =>
  [...values.values()].some((one) => one.takes.some((take) => take.value.name === name && take.from === 'context'));

/** Which part an element of the part's joined pages stands for. */
function partAtOf(content: PartContent, found: Contents): (at: number) => PartId | undefined {
  const bounds = new Map<number, PartId>();
  const sheets = [...new Set(content.instances.filter((one) => one.at >= 0).map((one) => one.sheet))];
  let offset = 0;
  for (const sheet of sheets) {
    const size = found.sizeOf(sheet);
    for (let at = 0; at < size; at++) {
      const region = found.regionAt(sheet, at);
      if (region) bounds.set(at + offset, region.part);
    }
    offset += size;
  }
  const roots = new Set(content.overlay?.at.filter((at) => at >= 0));
  return (at) => (roots.has(at) ? undefined : bounds.get(at));
}

/** The words in which a part speaks of those it owns. */
function wordsFor(plan: Plan, owner: PartContent, found: Contents, values: ReadonlyMap<PartId, PartValues>, scope: Scope): MarkupWords {
  const prop = (part: PartId, name: string): Expression | undefined => {
    const { item } = scope;
    if (item && scope.path.length > 0) {
      const field = item.fields.find((one) => one.prop === name && one.path.join() === [...scope.path.slice(1), part].join());
      return field && { name: field.name, of: item.name };
    }
    const own = owner.props.find((one) => one.feeds?.part === part && one.feeds.prop === name);
    return own && { name: own.name };
  };
  return {
    list: (owned) => {
      const expression = prop(owned.part, 'list');
      return expression && { over: expression.name, ...(expression.of === undefined ? {} : { of: expression.of }) };
    },
    presence: (owned) => prop(owned.part, 'presence'),
    use: (owned) => useOf(plan, owner, owned, found, values, scope, prop),
  };
}

function useOf(
  plan: Plan,
  owner: PartContent,
  owned: Owned,
  found: Contents,
  values: ReadonlyMap<PartId, PartValues>,
  scope: Scope,
  propOf: (part: PartId, name: string) => Expression | undefined,
): Markup {
  const child = found.byPart.get(owned.part) as PartContent;
  const list = owned.isList ? propOf(owned.part, 'list') : undefined;
  const item = list && itemName(list.name);
  const instances = owner.instances.flatMap((one) => insideAll(found, one, scope.path)).flatMap((one) => found.inside(one, owned.part));
  const expressionOf = (name: string): Expression | undefined => (item === undefined ? propOf(owned.part, name) : { name, of: item });
  const content = givenProps(child).map((prop): Given => {
    const expression = expressionOf(prop.name);
    const [first] = instances;
    return { kind: 'prop', name: prop.name, value: expression ? { expression } : first && prop.valueAt(first) };
  });
  const bare = child.bare.flatMap((prop): Given[] => (prop.optional ? [] : [{ kind: 'prop', name: prop.name, value: emptyOf(prop.type) }]));
  const settled = new Set([...content, ...bare].map((one) => one.name));
  const theirs = values.get(owned.part) ?? noValues;
  const ours = values.get(owner.part.id) ?? noValues;
  const passed = [...theirs.given.keys()]
    .filter((name) => !settled.has(name))
    .map((name): Given => ({ kind: 'prop', name, value: { expression: { name } } }));
  const events = [...theirs.raised.values()].map(({ event, value }): Given => {
    const isHome = value !== undefined && ours.lives.some((one) => one.name === value.name);
    const isHandedOn = value !== undefined && ours.raised.has(event.name);
    return { kind: 'event', name: event.name, payload: event.payload, on: isHandedOn ? event.name : '', changes: isHome ? value.name : '' };
  });
  const inner: Scope =
    item === undefined
      ? { ...scope, path: [...scope.path, owned.part] }
      : { item: { name: item, part: owned.part, fields: contentFields(child, owned.content, found) }, path: [owned.part] };
  const words = wordsFor(plan, owner, found, values, inner);
  const filled = owned.content.map((one) => ownedMarkup(one, words));
  return { kind: 'use', part: child.part.name, given: [...content, ...bare, ...passed, ...events], content: filled };
}

function insideAll(
  found: Contents,
  instance: PartContent['instances'][number],
  path: readonly PartId[],
): PartContent['instances'][number][] {
  return path.reduce((holders, part) => holders.flatMap((holder) => found.inside(holder, part)), [instance]);
}

const interactive = new Set(['button', 'a', 'form', 'input', 'select', 'textarea', 'summary']);

/** Puts what a part shows and raises onto its markup: events onto what a user can act on, values onto its outermost element. */
function withActs(markup: readonly Markup[], shows: readonly string[], raises: readonly string[]): Markup[] {
  const left = [...raises];
  const act = (one: Markup): Markup => {
    switch (one.kind) {
      case 'element': {
        const events = left.length > 0 && interactive.has(one.tag) ? left.splice(0, one.tag === 'form' ? left.length : 1) : [];
        return { ...one, events, children: one.children.map(act) };
      }
      case 'each':
      case 'when':
        return { ...one, children: one.children.map(act) };
      case 'use':
        return { ...one, content: one.content.map(act) };
      case 'text':
      case 'slot':
        return one;
    }
  };
  const acted = markup.map(act);
  if (left.length === 0 && shows.length === 0) return acted;
  const at = acted.findIndex((one) => one.kind === 'element');
  const outer = acted[at];
  if (outer?.kind === 'element') return acted.with(at, { ...outer, events: [...outer.events, ...left], shows });
  return [{ kind: 'element', tag: 'div', attributes: [], events: left, shows, children: acted }];
}

function usesIn(markup: readonly Markup[]): string[] {
  const names = new Set<string>();
  const visit = (one: Markup): void => {
    if (one.kind === 'use') {
      names.add(one.part);
      one.content.forEach(visit);
    } else if (one.kind !== 'text' && one.kind !== 'slot') one.children.forEach(visit);
  };
  markup.forEach(visit);
  return [...names].sort();
}
