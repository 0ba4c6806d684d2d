// Other workspaces compile this file too, and would not find the declarations by themselves.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./css-tree.d.ts" />
import type { CssNode } from 'css-tree';
import generate from 'css-tree/generator';
import parse from 'css-tree/parser';
import walk from 'css-tree/walker';
import { compile } from 'css-select';
import { isElement } from '../../overlap';
import type { PageNode, PageTree } from './read';
import { ownValue } from '../../model/own-value';

/** What the page's own rules and its `style` attribute declare for an element: property → value; empty for none. */
export type Look = ReadonlyMap<string, string>;

type Written = { readonly selector: string; readonly declarations: readonly (readonly [string, string])[] };

/** Rules of more than this many selectors are not all read: the page is then larger than a person carves. */
const selectorsMost = 12_000;

/** Selectors of states that a saved page is not in, and of what is drawn beside an element. */
const isOfState = /:(?:hover|focus|active|visited|focus-\w+|target|before|after|placeholder|selection|marker|first-l\w+)|::/;

function rulesOf(text: string): Written[] {
  const found: Written[] = [];
  let style: CssNode;
  try {
    style = parse(text, { context: 'stylesheet', parseValue: false, onParseError: () => undefined });
  } catch {
    return found;
  }
  walk(style, {
    enter(node: CssNode) {
      // What holds for paper, or for narrow windows, is not what the page looks like here.
      if (node.type === 'Atrule') {
        const name = node.name.toLowerCase();
        const isNested = name === 'layer' || name === 'supports' || name === 'scope';
        return isNested || !node.block ? undefined : (walk as unknown as { skip: symbol }).skip;
      }
      if (node.type !== 'Rule') return undefined;
      const declarations = declared(node.block);
      if (declarations.length > 0 && node.prelude.type === 'SelectorList')
        node.prelude.children.forEach((selector: CssNode) => {
          const written = generate(selector);
          if (!isOfState.test(written)) found.push({ selector: written, declarations });
        });
      return undefined;
    },
  });
  return found;
}

function declared(block: CssNode): [string, string][] {
  const found: [string, string][] = [];
  if (block.type !== 'Block' && block.type !== 'DeclarationList') return found;
  block.children.forEach((one: CssNode) => {
    if (one.type === 'Declaration') found.push([one.property.toLowerCase(), generate(one.value).trim()]);
  });
  return found;
}

/** How strongly a selector holds, roughly as the cascade weighs it: ids, then classes and attributes, then names. */
function weightOf(selector: string): number {
  const count = (what: RegExp): number => selector.match(what)?.length ?? 0;
  return count(/#[\w-]/g) * 10_000 + count(/\.[\w\\-]|\[|:(?!:|where|is|not)/g) * 100 + count(/(?:^|[\s>+~(])[a-z]/gi);
}

/** The name of an element that any match must have by the last step of a selector: a class, an id, or a tag; empty for any. */
function lastName(selector: string): string {
  const last = /[^\s>+~]*$/.exec(selector.replace(/\([^()]*\)|\[[^\]]*\]/g, ''))?.[0] ?? '';
  const name = /#[\w-]+|\.[\w-]+/.exec(last)?.[0] ?? /^[a-z][\w-]*/i.exec(last)?.[0]?.toLowerCase() ?? '';
  return last.includes('\\') ? '' : name;
}

function adapterOf(tree: PageTree): NonNullable<Parameters<typeof compile<PageNode, PageNode>>[1]>['adapter'] {
  const all = (ats: readonly number[]): PageNode[] => ats.flatMap((at) => tree.nodes[at] ?? []);
  return {
    isTag: (node): node is PageNode => isElement(node),
    getAttributeValue: (node, name) => ownValue(node.attributes, name),
    getChildren: (node) => all(node.children),
    getName: (node) => node.label,
    getParent: (node) => tree.nodes[node.parent] ?? null,
    getSiblings: (node) => all(tree.nodes[node.parent]?.children ?? [node.index]),
    getText: (node) => node.text,
    hasAttrib: (node, name) => ownValue(node.attributes, name) !== undefined,
    removeSubsets: (nodes) => nodes,
  };
}

const known = new WeakMap<PageTree, readonly Look[]>();

/**
 * The look of each node of a page, by its index: what its style elements and attributes declare, with
 * the cascade's order. Sheets at addresses are not read; a selector that cannot be read matches nothing.
 */
export function looksOf(tree: PageTree): readonly Look[] {
  const made = known.get(tree) ?? madeLooks(tree);
  known.set(tree, made);
  return made;
}

function madeLooks(tree: PageTree): readonly Look[] {
  const byName = new Map<string, PageNode[]>();
  const file = (name: string, node: PageNode): void => {
    const held = byName.get(name);
    if (held) held.push(node);
    else byName.set(name, [node]);
  };
  for (const node of tree.nodes) {
    if (!isElement(node)) continue;
    file('', node);
    file(node.label, node);
    for (const token of node.tokens) file(`.${token}`, node);
    if (node.attributes['id']) file(`#${node.attributes['id']}`, node);
  }
  const adapter = adapterOf(tree);
  const looks = tree.nodes.map(() => new Map<string, string>());
  const written = tree.styles.flatMap((style) => (style.kind === 'rules' ? rulesOf(style.text) : []));
  const ordered = written
    .slice(0, selectorsMost)
    .map((rule, order) => ({ ...rule, order, weight: weightOf(rule.selector) }))
    .sort((a, b) => a.weight - b.weight || a.order - b.order);
  for (const { selector, declarations } of ordered) {
    const among = byName.get(lastName(selector)) ?? [];
    if (among.length === 0) continue;
    let matches: (node: PageNode) => boolean;
    try {
      matches = compile<PageNode, PageNode>(selector, { ...(adapter ? { adapter } : {}), cacheResults: false });
    } catch {
      continue;
    }
    for (const node of among) if (matches(node)) for (const [property, value] of declarations) looks[node.index]?.set(property, value);
  }
  for (const node of tree.nodes) {
    const style = node.attributes['style'];
    if (!style) continue;
    try {
      const own = parse(style, { context: 'declarationList', parseValue: false, onParseError: () => undefined });
      for (const [property, value] of declared(own)) looks[node.index]?.set(property, value);
    } catch {
      // A style that cannot be parsed declares nothing.
    }
  }
  return looks;
}

/**
 * Classes that each say one thing about how an element looks (`flex`, `mt-6`, `bold`) and stand in
 * numbers on it: they tell nothing of what it is. Empty for a page that has no style of its own.
 */
export function utilitiesOf(tree: PageTree): ReadonlySet<string> {
  const said = new Map<string, number>();
  for (const style of tree.styles)
    for (const { selector, declarations } of style.kind === 'rules' ? rulesOf(style.text) : []) {
      const token = /^\.((?:[\w-]|\\.)+)$/.exec(selector)?.[1]?.replace(/\\/g, '');
      if (token) said.set(token, (said.get(token) ?? 0) + declarations.length);
    }
  const borne = new Map<string, { bearers: number; beside: number }>();
  for (const { tokens } of tree.nodes)
    for (const token of tokens) {
      const known = borne.get(token) ?? { bearers: 0, beside: 0 };
      borne.set(token, { bearers: known.bearers + 1, beside: known.beside + tokens.length });
    }
  const utilities = new Set<string>();
  for (const [token, { bearers, beside }] of borne) if ((said.get(token) ?? 9) <= 2 && beside / bearers >= 2.5) utilities.add(token);
  return utilities;
}

const isNothing = (value: string): boolean => /^(none|transparent|inherit|initial|unset|0|0px|currentcolor)?$/i.test(value);

/** Whether an element stands out from what is around it: a ground, a frame, a shadow or round corners of its own. */
export function isBoxed(look: Look): boolean {
  for (const [property, value] of look)
    if (/^(background(-color|-image)?|border|border-radius|box-shadow|outline|border-width)$/.test(property) && !isNothing(value))
      return true;
  return look.has('border-top') && look.has('border-bottom') && look.has('border-left');
}

const geometry = ['padding', 'border-radius', 'width', 'height', 'min-width', 'min-height', 'font-size', 'aspect-ratio'];

/** What does not change with a state or a tone: sizes, room and corners. Alike things of one page have the same; empty for none. */
export const geometryOf = (look: Look): string =>
  geometry.flatMap((property) => (look.has(property) ? [`${property} ${look.get(property) ?? ''}`] : [])).join(';');
