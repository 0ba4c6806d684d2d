import { type Overlay, spaceLabel, textLabel } from '../../overlap';
import { camelCase, kebab, singular } from '../../write/case';
import { inlineTags } from '../../write/inline-tags';
import type { PageTree } from '../page/read';
import type { Variation } from '../page/vary';
import type { PartId } from '../plan/plan';
import { type ContentProp, type Owned, type PartContent } from './content';
import type { Markup, MarkupAttribute } from '../../model/skeleton';
import { ownValue } from '../../model/own-value';

/** How the markup of a part says what it is made of: `use` gives an owned part's use, `list` what a list of it runs over. */
export type MarkupWords = {
  readonly use: (owned: Owned) => Markup;
  readonly list: (owned: Owned) => { over: string; of?: string } | undefined;
  readonly presence: (owned: Owned) => { name: string; of?: string } | undefined;
};

type Work = {
  readonly content: PartContent;
  readonly page: PageTree;
  readonly partAt: (at: number) => PartId | undefined;
  readonly owned: ReadonlyMap<PartId, Owned>;
  readonly slotOf: (part: PartId) => string | undefined;
  readonly byNode: ReadonlyMap<Overlay, readonly ContentProp[]>;
  readonly varying: (node: Overlay, what: Variation['what'], attribute: string) => ContentProp | undefined;
  readonly words: MarkupWords;
  readonly seen: Set<string>;
  readonly runs: Map<PartId, number>;
};

const sampleOf = (node: Overlay): number => node.at.find((at) => at >= 0) ?? -1;
const spaceless = new Set('table tbody thead tfoot tr ul ol dl select optgroup svg g colgroup'.split(' '));

/** The page's own markup of a part, cut at the parts inside. Undefined where it stands in pictures alone. */
export function markupFrom(content: PartContent, partAt: (at: number) => PartId | undefined, words: MarkupWords): Markup[] | undefined {
  const { overlay, page, part } = content;
  if (!overlay || !page) return undefined;
  const byNode = new Map<Overlay, ContentProp[]>();
  for (const prop of content.props) if (prop.variation) byNode.set(prop.variation.node, [...(byNode.get(prop.variation.node) ?? []), prop]);
  const work: Work = {
    content,
    page,
    partAt,
    owned: new Map(content.owned.map((one) => [one.part, one])),
    slotOf: (id) => part.slots.find((slot) => slot.parts.includes(id))?.name,
    byNode,
    varying: (node, what, attribute) =>
      byNode.get(node)?.find(({ variation }) => variation?.what === what && variation.attribute === attribute),
    words,
    seen: new Set(),
    runs: new Map(),
  };
  if (part.role === 'page') return childrenOf(work, overlay);
  return [element(work, overlay)];
}

function element(work: Work, node: Overlay): Markup {
  const names = new Set(node.at.flatMap((at) => Object.keys(work.page.nodes[at]?.attributes ?? {})));
  const first = work.page.nodes[sampleOf(node)];
  const attributes = [...names].flatMap((name): MarkupAttribute[] => {
    const prop =
      work.varying(node, name === 'class' ? 'class' : kindOf(node, name), name) ??
      work.byNode.get(node)?.find((one) => one.variation?.attribute === name);
    if (prop) return [{ name, value: { name: prop.name } }];
    const value = ownValue(first?.attributes, name);
    return value === undefined ? [] : [{ name, value }];
  });
  return { kind: 'element', tag: node.label, attributes, events: [], shows: [], children: childrenOf(work, node) };
}

const kindOf = (node: Overlay, name: string): Variation['what'] =>
  name === 'href' && node.label !== 'use' ? 'link' : /^(src|srcset|alt|poster)$/.test(name) ? 'image' : 'attribute';

/** The part that a node is, or wraps and holds nothing else of. */
function soleList(work: Work, node: Overlay): { part: PartId; wrapper: Overlay | undefined } | undefined {
  const part = work.partAt(sampleOf(node));
  if (part !== undefined) return { part, wrapper: undefined };
  if (node.label.startsWith('#') || work.byNode.has(node)) return undefined;
  const filled = node.children.filter((child) => child.label !== spaceLabel);
  const inner = filled.map((child) => soleList(work, child));
  const [first] = inner;
  return first && inner.every((one) => one?.part === first.part) && filled.length === 1 ? { part: first.part, wrapper: node } : undefined;
}

function childrenOf(work: Work, node: Overlay): Markup[] {
  const found: Markup[] = [];
  const listed = new Set<PartId>();
  const slots = new Set<string>();
  const children = node.children;
  children.forEach((child, index) => {
    if (child.label === spaceLabel) {
      if (needsSpace(node.label, children[index - 1], children[index + 1])) found.push({ kind: 'text', text: ' ' });
      return;
    }
    if (child.label === textLabel) {
      const prop = work.varying(child, 'text', '');
      const text = work.page.nodes[sampleOf(child)]?.text ?? '';
      if (!prop) return void found.push({ kind: 'text', text });
      // Space around a text that varies is the element's, not the value's.
      if (/^\s/.test(text)) found.push({ kind: 'text', text: ' ' });
      found.push({ kind: 'text', text: { name: prop.name } });
      if (/\s$/.test(text)) found.push({ kind: 'text', text: ' ' });
      return;
    }
    const sole = soleList(work, child);
    const slot = sole && work.slotOf(sole.part);
    if (sole && slot !== undefined) {
      if (!slots.has(slot)) found.push({ kind: 'slot', name: slot });
      slots.add(slot);
      return;
    }
    const owned = sole && work.owned.get(sole.part);
    const run = owned?.isList ? work.words.list(owned) : undefined;
    if (owned && run) {
      if (listed.has(owned.part)) return;
      listed.add(owned.part);
      found.push(each(work, node, owned, sole.wrapper, run));
      return;
    }
    if (owned && sole.wrapper === undefined) {
      const test = work.words.presence(owned);
      const use = work.words.use(owned);
      found.push(test ? { kind: 'when', test, children: [use] } : use);
      return;
    }
    const made = element(work, child);
    const presence = work.varying(child, 'presence', '');
    const isMissing = child.at.some((at, turn) => at < 0 && (node.at[turn] ?? -1) >= 0);
    // What only some have and no prop decides on is left out: the part is what all have in common.
    if (isMissing && !presence && !holdsPart(work, child)) return;
    found.push(presence ? { kind: 'when', test: { name: presence.name }, children: [made] } : made);
  });
  return found;
}

function holdsPart(work: Work, node: Overlay): boolean {
  return work.partAt(sampleOf(node)) !== undefined || node.children.some((child) => holdsPart(work, child));
}

/** A list where its items stand; of one list that stands in several elements each shows its own stretch. */
function each(work: Work, node: Overlay, owned: Owned, wrapper: Overlay | undefined, run: { over: string; of?: string }): Markup {
  const here = node.children.filter((child) => soleList(work, child)?.part === owned.part).length;
  const from = work.runs.get(owned.part) ?? 0;
  const all = countOf(work, work.content.overlay as Overlay, owned.part);
  work.runs.set(owned.part, from + here);
  const over = { name: run.over, ...(run.of === undefined ? {} : { of: run.of }), ...(here < all ? { from, to: from + here } : {}) };
  const use = work.words.use(owned);
  const wrap = (around: Overlay | undefined): Markup => {
    if (!around) return use;
    const inner = around.children.find((child) => child.label !== spaceLabel);
    const bare = element({ ...work, owned: new Map(), runs: new Map() }, { ...around, children: [] });
    return bare.kind === 'element'
      ? { ...bare, children: [wrap(inner && work.partAt(sampleOf(inner)) === undefined ? inner : undefined)] }
      : bare;
  };
  return { kind: 'each', over, item: itemName(run.over), children: [wrap(wrapper)] };
}

function countOf(work: Work, node: Overlay, part: PartId): number {
  if (work.partAt(sampleOf(node)) === part && node !== work.content.overlay) return 1;
  return node.children.reduce((sum, child) => sum + countOf(work, child, part), 0);
}

export const itemName = (list: string): string => {
  const one = singular(list);
  return one === list ? `${list}Item` : camelCase(one);
};

/** Space between elements is seen only between words and what stands among words. */
function needsSpace(around: string, before: Overlay | undefined, after: Overlay | undefined): boolean {
  if (spaceless.has(around) || !before || !after) return false;
  const isInline = (node: Overlay): boolean => node.label === textLabel || inlineTags.has(node.label);
  return isInline(before) && isInline(after);
}

/** An owned part where nothing says where it stands: alone, as a list, or under a condition. */
export function ownedMarkup(owned: Owned, words: MarkupWords): Markup {
  const use = words.use(owned);
  const run = owned.isList ? words.list(owned) : undefined;
  if (run)
    return {
      kind: 'each',
      over: { name: run.over, ...(run.of === undefined ? {} : { of: run.of }) },
      item: itemName(run.over),
      children: [use],
    };
  const test = words.presence(owned);
  return test ? { kind: 'when', test, children: [use] } : use;
}

/** The plain markup of a part that was seen in pictures alone. */
export function plainMarkup(content: PartContent, words: MarkupWords): Markup[] {
  const { part, owned } = content;
  const uses = owned.map((one) => ownedMarkup(one, words));
  const shown = part.props.map((prop): Markup => ({
    kind: 'element',
    tag: 'span',
    attributes: [{ name: 'class', value: kebab(prop.name) }],
    events: [],
    shows: [],
    children: [{ kind: 'text', text: { name: prop.name } }],
  }));
  const slots = part.slots.map((slot): Markup => ({ kind: 'slot', name: slot.name }));
  return [
    {
      kind: 'element',
      tag: part.role === 'page' ? 'main' : 'div',
      attributes: [{ name: 'class', value: kebab(part.name) }],
      events: [],
      shows: [],
      children: [...shown, ...uses, ...slots],
    },
  ];
}
