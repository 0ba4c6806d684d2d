import { elementChildren, elementCount, isElement, isWithin, likeness, shapeOf } from '../../overlap';
import { freeName, pascalCase, plural, singular } from '../../write/case';
import { findGroups } from './groups';
import { isControl } from './things';
import { isBoxed, type Look, looksOf } from './looks';
import type { PageNode, PageTree } from './read';
import { textBelow } from './read';
import { selectorOf } from './selector';
import { type Sample, variationsOf } from './vary';
import { append } from '../../model/append';
import { ownValue } from '../../model/own-value';

/** A part that Liana would make of a page, with why. */
export type SuggestedPart = {
  readonly name: string;
  /** Nodes of the page that it stands at; several for a part that repeats. */
  readonly at: readonly number[];
  /** The name of the part around it; null for one right on the page. */
  readonly parent: string | null;
  readonly why: SuggestedWhy;
  readonly reason: string;
};

export type SuggestedWhy = 'landmark' | 'repeat' | 'list' | 'form' | 'field' | 'card' | 'control';

/** Things that repeat on a page, and what varies among them. */
export type SuggestedGroup = { readonly name: string; readonly items: readonly number[]; readonly sample: Sample };

export type Suggestion = { readonly parts: readonly SuggestedPart[]; readonly groups: readonly SuggestedGroup[] };

const landmarks: Readonly<Record<string, string>> = {
  header: 'the head of the page or of a section',
  nav: 'navigation',
  aside: 'beside the main matter',
  footer: 'the foot of the page or of a section',
  section: 'a section with a heading',
  article: 'a piece that stands for itself',
  dialog: 'a dialogue',
  table: 'a table',
  figure: 'a figure',
  fieldset: 'a group of fields',
  details: 'a part that unfolds',
};
const roles: Readonly<Record<string, string>> = {
  banner: 'header',
  navigation: 'nav',
  complementary: 'aside',
  contentinfo: 'footer',
  region: 'section',
  dialog: 'dialog',
  search: 'form',
  form: 'form',
  tablist: 'nav',
  toolbar: 'nav',
  table: 'table',
  grid: 'table',
};
const kindNames: Readonly<Record<string, string>> = {
  header: 'PageHeader',
  nav: 'NavBar',
  aside: 'SidePanel',
  footer: 'PageFooter',
  main: 'MainContent',
  section: 'Section',
  article: 'Article',
  form: 'Form',
  table: 'Table',
  dialog: 'Dialog',
  figure: 'Figure',
  fieldset: 'FieldGroup',
  details: 'Details',
  ul: 'List',
  ol: 'List',
  li: 'Item',
  tr: 'Row',
  label: 'Field',
};

/** Classes that say how a thing looks or where it stands, not what it is. */
const looks =
  /^(row|col|grid|flex|container|wrapper|wrap|inner|outer|active|selected|open|is-.*|has-.*|js-.*|mt|mb|p[xytblr]?|m[xytblr]?|w|h|text|bg|border|rounded|shadow|items|justify|gap|font|sm|md|lg|xl|clearfix|left|right|first|last|odd|even|hidden|visible|block|inline|main|content|item|list|box|d|css|sc|(?:col|rounded|border|container|bg|float|shadow|position|align|justify|overflow)-.*|[a-z]{1,2}-.*|.*\d.*)$/i;

/** What a class says the thing is; empty for classes of looks and for generated ones. */
function classWord(tokens: readonly string[]): string {
  for (const token of tokens) {
    const [block = ''] = token.split(/--/);
    const name = block.split('__').at(-1) === block ? block : block.replace('__', '-');
    if (looks.test(name) || /[:[\]/()%]/.test(name)) continue;
    const pascal = pascalCase(name);
    if (pascal.length >= 3) return pascal;
  }
  return '';
}

function headingOf(tree: PageTree, node: PageNode): string {
  for (let at = node.index + 1; at < node.end; at++) {
    const one = tree.nodes[at];
    if (one && /^(h[1-6]|legend|caption|summary)$/.test(one.label)) {
      const text = textBelow(tree, one.index);
      // A heading whose words stand elsewhere too is content (the name of what was chosen), not the section's name.
      const isContent = tree.nodes.some((other) => other.text.trim() === text && !isWithin(tree, one.index, other.index));
      return text.length > 0 && text.length <= 28 && !isContent ? pascalCase(text.split(/\s+/).slice(0, 3).join(' ')) : '';
    }
  }
  return '';
}

const kindOf = (node: PageNode): string => ownValue(roles, node.attributes['role'] ?? '') ?? node.label;

function nameFor(tree: PageTree, node: PageNode, repeats: boolean): string {
  const own = classWord(node.tokens);
  if (own) return own;
  const id = node.attributes['id'] ?? '';
  if (!repeats && id && !looks.test(id) && pascalCase(id).length >= 3) return pascalCase(id);
  const kind = ownValue(kindNames, kindOf(node)) ?? 'Panel';
  const label = repeats ? '' : pascalCase((node.attributes['aria-label'] ?? '').split(/\s+/).slice(0, 3).join(' '));
  if (label) return label.endsWith(kind) ? label : `${label}${kind}`;
  const heading = repeats ? '' : headingOf(tree, node);
  return heading ? `${heading}${kind === 'Section' ? '' : kind}` : kind;
}

/** Controls of one look are named after what they are: switches, buttons with words, buttons with a sign only. */
function controlName(tree: PageTree, nodes: readonly PageNode[]): string {
  if (nodes.every((node) => node.attributes['role'] === 'switch')) return 'Switch';
  return nodes.every((node) => textBelow(tree, node.index).length <= 1) ? 'IconButton' : 'Button';
}

/** A repeated thing without a name of its own is named after what holds it: the `li` of `passage-queue` is a `PassageQueueItem`. */
function nameForItem(tree: PageTree, items: readonly number[]): string {
  const nodes = items.flatMap((item) => tree.nodes[item] ?? []);
  const [first] = nodes;
  if (!first) return 'Item';
  const shared = first.tokens.filter((token) => nodes.every((node) => node.tokens.includes(token)));
  const own = classWord(shared);
  if (own) return singular(own);
  if (isControl(first)) return controlName(tree, nodes);
  const kind = ownValue(kindNames, kindOf(first)) ?? (first.label === 'img' ? 'Picture' : 'Item');
  for (let around = tree.nodes[first.parent]; around && around.parent >= 0; around = tree.nodes[around.parent]) {
    const name =
      classWord(around.tokens) ||
      (around.label === 'nav' ? 'Nav' : '') ||
      (around.attributes['aria-label'] ? pascalCase(around.attributes['aria-label']) : '');
    if (name) return `${singular(name.replace(/(List|Grid|Table|Group|Items)$/, '') || name)}${kind}`;
    if (/^(main|section|article|aside|header|footer)$/.test(around.label)) break;
  }
  return kind;
}

/** Where only one element would be drawn round another of the same size, the inner one is meant. */
const isOnlyWrapper = (tree: PageTree, node: PageNode): boolean =>
  node.children.filter((child) => tree.nodes[child]?.label !== '#space').length === 1 && elementChildren(tree, node.index).length === 1;

type Candidate = { at: readonly number[]; name: string; why: SuggestedWhy; reason: string };

/** A form without a name of its own is called after what its button does. */
function formName(tree: PageTree, node: PageNode): string {
  const name = nameFor(tree, node, false);
  const button = tree.nodes.slice(node.index, node.end).find((one) => one.label === 'button' || one.attributes['type'] === 'submit');
  const does = button ? textBelow(tree, button.index) || (button.attributes['value'] ?? '') : '';
  return name === 'Form' && does && does.length <= 24 ? `${pascalCase(does)}Form` : name;
}

function landmarkOf(tree: PageTree, node: PageNode): Candidate | undefined {
  const kind = kindOf(node);
  if (kind === 'form' || node.label === 'form')
    return { at: [node.index], name: formName(tree, node), why: 'form', reason: 'A form: its fields are filled in together.' };
  const says = ownValue(landmarks, kind);
  if (!says || (elementCount(tree, node.index) < 3 && kind !== 'nav' && kind !== 'header' && kind !== 'footer')) return undefined;
  if (kind === 'section' && headingOf(tree, node) === '' && classWord(node.tokens) === '' && !node.attributes['aria-label'])
    return undefined;
  if (kind === 'table' && /presentation|none/.test(node.attributes['role'] ?? '')) return undefined;
  return { at: [node.index], name: nameFor(tree, node, false), why: 'landmark', reason: `A ${node.label} element: ${says}.` };
}

/** A box with a name of its own, a heading or a picture, and something beside it. */
function cardOf(tree: PageTree, node: PageNode): Candidate | undefined {
  if (!/^(div|li|a|span|section|article|p|output)$/.test(node.label)) return undefined;
  const word = classWord(node.tokens);
  if (!word) return undefined;
  const elements = elementCount(tree, node.index);
  const holdsText = node.children.some((child) => tree.nodes[child]?.label === '#text');
  const isMarked =
    /(card|panel|banner|notice|alert|badge|pill|chip|menu|gauge|chart|toolbar|tabs?|breadcrumb|avatar|strip|bar|meter|tile|hero|profile|toast|hint|tag|switch|toggle|picker|field|search|pagination|stepper|modal|dropdown|tooltip|button|list|queue|table|grid|form|row)$/i.test(
      word,
    );
  if (!isMarked || (elements < 2 && !holdsText)) return undefined;
  return {
    at: [node.index],
    name: word,
    why: elements < 3 ? 'control' : 'card',
    reason: `Its class calls it a thing of its own: ${node.tokens.join(' ')}.`,
  };
}

/** Blocks that may be a region although nothing names them. */
const blocks = /^(div|section|main|aside|article|td|form)$|-/;

/** A block with a heading of its own and more than that; the nearest one around its heading. */
function sectionOf(tree: PageTree, node: PageNode): Candidate | undefined {
  if (!blocks.test(node.label)) return undefined;
  const children = elementChildren(tree, node.index);
  const heading = headingAt(tree, children[0]);
  if (!heading || children.length < 2 || elementCount(tree, node.index) < 3) return undefined;
  // Where the rest is headed too, the heading is the page's, and each of the rest a section.
  const isPage =
    children.slice(1).some((child) => headingAt(tree, elementChildren(tree, child.index)[0]) !== undefined) || heading.label === 'h1';
  return isPage
    ? undefined
    : { at: [node.index], name: nameFor(tree, node, false), why: 'card', reason: 'A block with a heading of its own.' };
}

/** A block that stands out by a ground or a frame, an element that the page defines, and a row of things to do. */
function frameOf(tree: PageTree, node: PageNode, look: Look): Candidate | undefined {
  // A list is a region where it stands out and holds more than items.
  const isMixed = /^[ou]l$/.test(node.label) && isBoxed(look) && elementChildren(tree, node.index).some(({ label }) => label !== 'li');
  if ((!blocks.test(node.label) && !isMixed) || node.label === 'td') return undefined;
  const inner = tree.nodes.slice(node.index + 1, node.end);
  const acts = (one: PageNode): boolean => /^(a|button|input|select|textarea)$/.test(one.label);
  const texts = inner.filter((one) => one.label === '#text').length;
  const data = texts + inner.filter((one) => /^(img|svg|input|select|textarea|meter|progress)$/.test(one.label)).length;
  const at = [node.index];
  if (node.label.includes('-') && data >= 2)
    return { at, name: pascalCase(node.label), why: 'card', reason: `An element of its own: ${node.label}.` };
  if (data < 2 || node.end - node.index > tree.nodes.length * 0.6) return undefined;
  if (isBoxed(look))
    return { at, name: nameFor(tree, node, false), why: 'card', reason: 'It stands out by a ground or a frame of its own.' };
  const doing = elementChildren(tree, node.index).filter(acts).length;
  const isBar = doing >= 2 && data >= 3 && node.end - node.index < 60;
  if (isBar) return { at, name: nameFor(tree, node, false), why: 'control', reason: 'Things to do that stand in one row.' };
  const [first] = elementChildren(tree, node.index);
  const isPerson = first?.label === 'img' && texts >= 1 && texts <= 3 && inner.length <= 10;
  return isPerson ? { at, name: nameFor(tree, node, false), why: 'card', reason: 'A picture with its words.' } : undefined;
}

/** A drawing that says what it shows. */
function drawingOf(node: PageNode): Candidate | undefined {
  const label = node.attributes['aria-label'] ?? '';
  if (node.label !== 'svg' || node.attributes['role'] !== 'img' || label === '') return undefined;
  const [word = ''] = label.split(/\s+/);
  const name = classWord(node.tokens) || (/^[A-Za-z]{3,}$/.test(word) ? `${pascalCase(word)}Chart` : 'Drawing');
  return { at: [node.index], name, why: 'control', reason: 'A drawing that says what it shows.' };
}

/** Buttons that belong together; one button with its words. */
function controlOf(tree: PageTree, node: PageNode): Candidate | undefined {
  if (!/^(div|span)$/.test(node.label)) return undefined;
  const children = elementChildren(tree, node.index);
  const buttons = children.filter((child) => child.label === 'button');
  const [first] = buttons;
  const holdsText = node.children.some((child) => tree.nodes[child]?.label === '#text');
  if (!first || children.length !== buttons.length) return undefined;
  const words = pascalCase(textBelow(tree, first.index));
  const own = classWord(node.tokens);
  if (buttons.length > 1 && !holdsText)
    return { at: [node.index], name: own || `${words}Buttons`, why: 'control', reason: 'Buttons that belong together.' };
  if (buttons.length === 1 && holdsText && words !== '')
    return { at: [node.index], name: own || `${words}Control`, why: 'control', reason: 'Words with what can be done about them.' };
  return undefined;
}

/** A measure with its label. */
function measureOf(tree: PageTree, node: PageNode): Candidate | undefined {
  if (!/^(label|div|span|p)$/.test(node.label)) return undefined;
  const [measure, ...more] = tree.nodes.slice(node.index + 1, node.end).filter((one) => /^(meter|progress|output)$/.test(one.label));
  if (!measure || more.length > 0 || elementCount(tree, node.index) > 4) return undefined;
  const name = classWord(node.tokens) || classWord(measure.tokens) || (measure.label === 'output' ? 'Result' : pascalCase(measure.label));
  return { at: [node.index], name, why: 'control', reason: `A ${measure.label} element with its words.` };
}

function fieldOf(tree: PageTree, node: PageNode): Candidate | undefined {
  if (node.label !== 'label' && node.label !== 'div') return undefined;
  const inner = tree.nodes.slice(node.index + 1, node.end);
  const fields = inner.filter(
    (one) => /^(input|select|textarea)$/.test(one.label) && !/^(hidden|submit|button)$/.test(one.attributes['type'] ?? ''),
  );
  const labels = inner.filter((one) => one.label === 'label');
  const isField =
    fields.length === 1 && (node.label === 'label' ? labels.length === 0 : labels.length === 1 && elementCount(tree, node.index) <= 6);
  const [field] = fields;
  if (!isField || !field) return undefined;
  const type = field.label === 'input' ? (field.attributes['type'] ?? 'text') : field.label;
  const name = classWord(node.tokens) || `${pascalCase(/^(time|date|datetime-local|month|week)$/.test(type) ? 'date' : type)}Field`;
  return { at: [node.index], name, why: 'field', reason: 'A label with its field.' };
}

/**
 * Proposes a whole decomposition of a page: landmarks, what repeats and the lists it stands in,
 * forms and fields, and boxes whose class names them. Each can be taken or left.
 */
export function suggestParts(tree: PageTree): Suggestion {
  const found = findGroups(tree).map(({ items }) => ({ items: innerItems(tree, items) }));
  const candidates: Candidate[] = [];
  const itemNames = new Map<number, string>();
  for (const { items } of found) {
    const name = nameForItem(tree, items);
    for (const item of items) itemNames.set(item, name);
  }
  for (const { items } of found) {
    const name = itemNames.get(items[0] ?? -1) ?? 'Item';
    candidates.push({ at: items, name, why: 'repeat', reason: `It stands ${items.length} times with other content.` });
    const list = listOf(tree, items, itemNames);
    if (list.length > 0) {
      const own = classWord(list[0]?.tokens ?? []);
      candidates.push({
        at: list.map((one) => one.index),
        name: own || `${name.replace(/(Card|Row|Item|Tile|Entry)$/, '') || name}List`,
        why: 'list',
        reason: `It holds the ${plural(name)}.`,
      });
    }
  }
  const taken = new Set(candidates.flatMap((candidate) => candidate.at));
  const isInItem = (node: PageNode): boolean => {
    for (let one = tree.nodes[node.parent]; one; one = tree.nodes[one.parent]) if (itemNames.has(one.index)) return true;
    return false;
  };
  const singles = new Map<string, Candidate[]>();
  const looks = looksOf(tree);
  for (const node of tree.nodes) {
    if (!isElement(node) || node.parent < 0 || taken.has(node.index)) continue;
    if (isInside(tree, node, 'svg')) continue;
    const candidate =
      landmarkOf(tree, node) ??
      fieldOf(tree, node) ??
      measureOf(tree, node) ??
      cardOf(tree, node) ??
      drawingOf(node) ??
      controlOf(tree, node) ??
      // Within an item these are slices of it.
      (isInItem(node) && !node.label.includes('-')
        ? undefined
        : (sectionOf(tree, node) ?? frameOf(tree, node, looks[node.index] ?? new Map())));
    if (
      !candidate ||
      (candidate.why !== 'field' && isOnlyWrapper(tree, node) && landmarkOf(tree, node) === undefined && candidate.why !== 'control')
    )
      continue;
    // The same class at several places is one part that stands several times.
    // Further classes only say in which of its looks it stands: a late pill is a pill.
    const word = classWord(node.tokens);
    const key = word === '' ? `${candidate.why} ${node.label} ${candidate.name}` : `${node.label} ${word} ${candidate.name}`;
    const known = singles.get(key) ?? [];
    const isNamed = node.tokens.length > 0 || candidate.why === 'field' || candidate.why === 'control';
    const mayRepeat = isNamed && (candidate.why !== 'landmark' || /^(article|section|figure)$/.test(node.label));
    const shape = shapeOf(tree, node.index);
    const at = mayRepeat ? known.findIndex((one) => likeness(shapeOf(tree, one.at[0] ?? 0), shape) >= 0.5) : -1;
    singles.set(
      key,
      at < 0 ? [...known, candidate] : known.map((one, index) => (index === at ? { ...one, at: [...one.at, node.index] } : one)),
    );
  }
  append(candidates, [...singles.values()].flat());
  const groups = found.map(({ items }) => items);
  return {
    parts: named(tree, candidates),
    groups: found.map(({ items }) => {
      const isList = listedIn(tree, items, groups);
      return { name: itemNames.get(items[0] ?? -1) ?? 'Item', items, sample: variationsOf(tree, items, isList, isList) };
    }),
  };
}

/**
 * Items of other groups that stand in these as a list: several beside each other in one of them. What differs in a list is
 * told once, of its own items; of what stands once in each, it is told of both.
 */
function listedIn(tree: PageTree, items: readonly number[], groups: readonly (readonly number[])[]): (at: number) => boolean {
  const listed = new Set<number>();
  /** What holds an item, past what holds nothing else. */
  const holder = (at: number): number => {
    let around = tree.nodes[at]?.parent ?? -1;
    while (around >= 0 && elementChildren(tree, around).length === 1) around = tree.nodes[around]?.parent ?? -1;
    return around;
  };
  for (const group of groups) {
    if (group === items) continue;
    for (const item of items) {
      const inner = group.filter((one) => one !== item && isWithin(tree, item, one));
      const holders = inner.map(holder);
      inner.forEach((one, at) => {
        if (holders.some((other, index) => index !== at && other === holders[at])) listed.add(one);
      });
    }
    // A list may have one item here and several there: it is known by what holds it.
    const kindOfHolder = (at: number): string => {
      const node = tree.nodes[holder(at)];
      return node && (node.tokens.length > 0 || /^(ul|ol|tbody)$/.test(node.label)) ? `${node.label} ${node.tokens.join(' ')}` : '';
    };
    const lists = new Set(group.flatMap((one) => (listed.has(one) ? [kindOfHolder(one)] : [])));
    for (const one of group) if (kindOfHolder(one) !== '' && lists.has(kindOfHolder(one))) listed.add(one);
  }
  return (at) => listed.has(at);
}

/**
 * The list that is a region by itself: it holds the items and next to nothing else, stands in no item
 * of another group, and is not what a section with a heading consists of. Empty where there is none.
 */
function listOf(tree: PageTree, items: readonly number[], itemNames: ReadonlyMap<number, string>): PageNode[] {
  // What holds one item and nothing else is the item once more.
  const around = (at: number): number => {
    let node = tree.nodes[tree.nodes[at]?.parent ?? -1];
    while (node && node.parent >= 0 && elementChildren(tree, node.index).length === 1) node = tree.nodes[node.parent];
    return node?.index ?? -1;
  };
  const holders = [...new Set(items.map(around))].flatMap((at) => tree.nodes[at] ?? []);
  const [holder] = holders;
  const isHolding = (node: PageNode): boolean => {
    const children = elementChildren(tree, node.index);
    const held = children.filter((child) => items.some((item) => isWithin(tree, child.index, item)));
    return held.length > 1 && (node.label === 'main' ? held.length === children.length : held.length * 2 > children.length);
  };
  const stands = (node: PageNode): boolean => {
    for (let one: PageNode | undefined = node; one; one = tree.nodes[one.parent])
      if (itemNames.has(one.index) && (one === node || holders.length > 1)) return false;
    const parent = tree.nodes[node.parent];
    const beside = parent ? elementChildren(tree, parent.index) : [];
    const isAllOfIt =
      /^(section|div|article|aside|nav)$/.test(parent?.label ?? '') &&
      beside.length === 2 &&
      beside[1] === node &&
      headingAt(tree, beside[0]) !== undefined &&
      (parent?.parent ?? -1) >= 0;
    return !isAllOfIt;
  };
  if (!holder || holder.parent < 0 || holders.length === items.length || !holders.every((one) => one.label === holder.label)) return [];
  if (/^(body|tbody|thead|form|label|fieldset|tr|td)$/.test(holder.label) || landmarkOf(tree, holder) !== undefined) return [];
  return holders.length <= 2 && holders.every((one) => isHolding(one) && stands(one)) ? holders : [];
}

/** The heading that a node is, or that is the first thing in it. */
function headingAt(tree: PageTree, node: PageNode | undefined): PageNode | undefined {
  if (!node) return undefined;
  for (let at = node.index; at < node.end; at++) {
    const one = tree.nodes[at];
    if (!one || one.label === '#space') continue;
    if (/^(h[1-6]|legend|caption)$/.test(one.label)) return one;
    if (one.label === '#text') return undefined;
  }
  return undefined;
}

/**
 * Where each item is a plain wrapper around one element that has a name (`li` around `.lock-card`),
 * that element is the thing that repeats.
 */
function innerItems(tree: PageTree, items: readonly number[]): readonly number[] {
  const inner = items.flatMap((item) => {
    const node = tree.nodes[item];
    const children = node ? elementChildren(tree, item) : [];
    const [only] = children;
    const isWrapper = node && only && isOnlyWrapper(tree, node) && classWord(node.tokens) === '' && classWord(only.tokens) !== '';
    return isWrapper && elementCount(tree, only.index) > 1 ? [only.index] : [];
  });
  return inner.length === items.length ? inner : items;
}

function isInside(tree: PageTree, node: PageNode, label: string): boolean {
  for (let around = tree.nodes[node.parent]; around; around = tree.nodes[around.parent]) if (around.label === label) return true;
  return false;
}

/** Gives each a name of its own and finds the part around it. */
function named(tree: PageTree, candidates: readonly Candidate[]): SuggestedPart[] {
  const ordered = [...candidates].sort((a, b) => (a.at[0] ?? 0) - (b.at[0] ?? 0) || b.at.length - a.at.length);
  const names = new Set<string>();
  const withNames = ordered.map((candidate) => {
    const name = freeName(candidate.name, names);
    names.add(name);
    return { ...candidate, name };
  });
  const around = (at: number, self: Candidate): string | null => {
    let best: { name: string; start: number } | undefined;
    for (const other of withNames) {
      if (other === self) continue;
      for (const one of other.at)
        if (one !== at && isWithin(tree, one, at) && one > (best?.start ?? -1)) best = { name: other.name, start: one };
    }
    return best?.name ?? null;
  };
  return withNames.map((candidate) => ({ ...candidate, parent: around(candidate.at[0] ?? -1, candidate) }));
}

/** The suggestion as the shell prints it: each part once, with the first place it stands at. */
export function suggestionReport(tree: PageTree, { parts, groups }: Suggestion): SuggestionReport {
  return {
    parts: parts.map(({ name, at, parent }) => ({ name, selector: selectorOf(tree, at[0] ?? 0), parent })),
    groups: groups.map(({ name, items, sample }) => ({
      name,
      items: items.map((item) => selectorOf(tree, item)),
      varies: sample.variations.map(({ what, where }) => ({ what, where })),
    })),
  };
}

export type SuggestionReport = {
  readonly parts: readonly { readonly name: string; readonly selector: string; readonly parent: string | null }[];
  readonly groups: readonly {
    readonly name: string;
    readonly items: readonly string[];
    readonly varies: readonly { readonly what: string; readonly where: string }[];
  }[];
};
