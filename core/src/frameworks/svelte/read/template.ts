import type { AST } from 'svelte/compiler';
import { memberKeyOf } from '../../../model/given';
import { eventKey, type MemberKey, memberOf } from '../../../model/member';
import type * as t from '@babel/types';
import type { Binding, BindingTarget, KeyFact, Reading, SpreadFact, TemplateNode, TemplateUse } from '../../../model/facts';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import {
  branch,
  expressionAt,
  handlerAt,
  type Item,
  type Markup,
  nativeModel,
  outlet,
  repeat,
  shownText,
  writing,
} from '../../../read/markup/expressions';
import { addValue, attachCallbacks, type Body, excerpt, memberValue } from '../../../read/script/body';
import { calledForNothing, callGiven } from '../../../read/script/called';
import { spreadOn } from '../../../read/markup/spread';
import { handedReadings, readingsOf } from '../../../read/script/expressions';
import { parsePatternAt } from '../../../read/script/parse';
import { innerScope, lookUp, type Meaning, type Scope } from '../../../read/script/scope';
import { bare, objectNames, patternNames, spanOf } from '../../../read/script/syntax';
import { propMember, slotMember } from './declared';
import { append } from '../../../model/append';

/** A piece of markup with the names that it sees. */
type SnippetOf = { readonly node: AST.SnippetBlock; readonly scope: Scope };

/** A template that is being read, with the pieces of markup that are named in it. */
export type SvelteMarkup = Markup & {
  readonly snippets: WeakMap<Meaning, SnippetOf>;
  /** Pieces of markup whose content is being read, so that recursion ends. */
  readonly showing: Set<AST.SnippetBlock>;
};

type Node = AST.Fragment['nodes'][number];
type Tag = Extract<Node, { attributes: unknown }>;
type Attribute = Tag['attributes'][number];
type Ranged = { readonly start: number; readonly end: number };

const noKey: KeyFact = { kind: 'none' };

function rangeOf(node: unknown): Ranged {
  const { start, end } = node as Ranged;
  return { start, end };
}

function expression(markup: SvelteMarkup, node: unknown): t.Expression | undefined {
  return node ? expressionAt(markup, rangeOf(node)) : undefined;
}

/** What stands in a key block is made anew whenever its key is another: the same as a key on each part. */
function keyedBy(node: TemplateNode, markup: SvelteMarkup, span: Span): TemplateNode {
  const isKeyable = (node.kind === 'use' || node.kind === 'element') && node.key.kind === 'none';
  return isKeyable ? { ...node, key: { kind: 'value', span, text: markup.text.slice(span.start, span.end) } } : node;
}

/** Reads what stands in a block or between two tags. */
export function readFragment(markup: SvelteMarkup, nodes: readonly Node[], outer: Scope): TemplateNode[] {
  const scope = nodes.some((one) => one.type === 'SnippetBlock' || one.type === 'ConstTag') ? innerScope(outer) : outer;
  for (const one of nodes) if (one.type === 'SnippetBlock') nameSnippet(markup, one, scope);
  return nodes.flatMap((node) => readNode(markup, node, scope));
}

/** A piece of markup with a name: shown where it is rendered, or handed on as a value. */
export function nameSnippet(markup: SvelteMarkup, node: AST.SnippetBlock, scope: Scope): void {
  const meaning: Meaning = { kind: 'opaque' };
  scope.names.set(node.expression.name, meaning);
  markup.snippets.set(meaning, { node, scope });
}

function readNode(markup: SvelteMarkup, node: Node, scope: Scope): TemplateNode[] {
  switch (node.type) {
    case 'ExpressionTag':
    case 'HtmlTag': {
      const found = expression(markup, node.expression);
      return found ? shownText(markup, found, scope, rangeOf(node)) : [];
    }
    case 'IfBlock':
      return readIf(markup, node, scope);
    case 'EachBlock':
      return readEach(markup, node, scope);
    case 'AwaitBlock':
      return readAwait(markup, node, scope);
    case 'KeyBlock': {
      const found = expression(markup, node.expression);
      return [
        ...(found ? shownText(markup, found, scope, rangeOf(node.expression)) : []),
        ...readFragment(markup, node.fragment.nodes, scope).map((one) => keyedBy(one, markup, rangeOf(node.expression))),
      ];
    }
    case 'RenderTag':
      return readRender(markup, node, scope);
    case 'ConstTag':
      readConst(markup, node, scope);
      return [];
    case 'SlotElement':
      return [readSlot(markup, node, scope)];
    case 'Component':
    case 'SvelteComponent':
    case 'SvelteSelf':
      return [readUse(markup, node, scope)];
    case 'SvelteFragment':
    case 'SvelteHead':
    case 'TitleElement':
      return [fragment(node, readFragment(markup, node.fragment.nodes, scope))];
    case 'SvelteBoundary':
      return [fragment(node, readBoundary(markup, node, scope))];
    case 'RegularElement':
    case 'SvelteElement':
    case 'SvelteWindow':
    case 'SvelteDocument':
    case 'SvelteBody':
      return [readElement(markup, node, scope)];
    default:
      return [];
  }
}

function fragment(node: Tag, children: readonly TemplateNode[]): TemplateNode {
  return { kind: 'element', tag: '', span: rangeOf(node), nameSpan: nameSpanOf(node), bindings: [], spreads: [], children, key: noKey };
}

function nameSpanOf(node: Tag): Span {
  return { start: node.start + 1, end: node.start + 1 + node.name.length };
}

function readIf(markup: SvelteMarkup, node: AST.IfBlock, scope: Scope): TemplateNode[] {
  const test = expression(markup, node.test);
  const shown = readFragment(markup, node.consequent.nodes, scope);
  const other = node.alternate ? readFragment(markup, node.alternate.nodes, scope) : [];
  if (!test) return [...shown, ...other];
  return [branch(markup, test, false, scope, shown), ...(other.length > 0 ? [branch(markup, test, true, scope, other)] : [])];
}

function readEach(markup: SvelteMarkup, node: AST.EachBlock, scope: Scope): TemplateNode[] {
  const list = expression(markup, node.expression);
  const content = node.body.nodes;
  if (!list) return readFragment(markup, content, scope);
  const pattern = node.context ? parsePatternAt(markup.text, rangeOf(node.context), markup.lang) : undefined;
  const item: Item = { ...(pattern ? { pattern } : {}), ...(node.index === undefined ? {} : { position: node.index }) };
  const read = (inner: Scope): TemplateNode[] => {
    const key = node.key ? keyOf(markup, node.key, inner) : noKey;
    return readFragment(markup, content, inner).map((one) => (one.kind === 'element' || one.kind === 'use' ? { ...one, key } : one));
  };
  const shown = repeat(markup, list, item, rangeOf(node), scope, read);
  const other = node.fallback ? readFragment(markup, node.fallback.nodes, scope) : [];
  return other.length > 0 ? [shown, branch(markup, list, true, scope, other)] : [shown];
}

function keyOf(markup: SvelteMarkup, node: unknown, scope: Scope): KeyFact {
  const span = rangeOf(node);
  const text = excerpt(markup.body.module, span);
  const found = expression(markup, node);
  const inner = found && bare(found);
  if (inner?.type === 'Identifier' && lookUp(scope, inner.name)?.kind === 'position') return { kind: 'position', span, text };
  return { kind: inner?.type === 'StringLiteral' || inner?.type === 'NumericLiteral' ? 'constant' : 'value', span, text };
}

/** `{#await loading then boats}`: what comes is what was asked for. */
function readAwait(markup: SvelteMarkup, node: AST.AwaitBlock, scope: Scope): TemplateNode[] {
  const { body } = markup;
  const asked = expression(markup, node.expression);
  const pending = node.pending ? readFragment(markup, node.pending.nodes, scope) : [];
  const inner = innerScope(scope);
  const pattern = node.value ? parsePatternAt(markup.text, rangeOf(node.value), markup.lang) : undefined;
  if (pattern && asked) {
    const names = patternNames(pattern);
    const name = names.find((found) => found.path.length === 0)?.name ?? excerpt(body.module, spanOf(pattern), 30);
    const from = moduleAwaited(body, asked) ?? readingsOf(body, asked, scope);
    const value = addValue(body, { name, kind: 'derived', span: spanOf(pattern), from });
    for (const found of names) inner.names.set(found.name, { kind: 'value', value, path: found.path });
  }
  const shown = node.then ? readFragment(markup, node.then.nodes, inner) : [];
  const failed = innerScope(scope);
  const error = node.error ? parsePatternAt(markup.text, rangeOf(node.error), markup.lang) : undefined;
  for (const found of error ? patternNames(error) : []) failed.names.set(found.name, { kind: 'opaque' });
  const other = node.catch ? readFragment(markup, node.catch.nodes, failed) : [];
  // Where what comes has a name, that reads the promise.
  const readings = asked && !pattern ? readingsOf(body, asked, scope, 'computed') : [];
  const part = (when: string, children: TemplateNode[]): TemplateNode[] => onlyWhen(when, readings, rangeOf(node.expression), children);
  return [...part('it is awaited', pending), ...part('it is there', shown), ...part('it failed', other)];
}

/** What `import('./Chart.svelte')` gives when it is awaited: an object that holds the component. */
function moduleAwaited(body: Body, asked: t.Node): Reading[] | undefined {
  const call = bare(asked);
  const given = call.type === 'CallExpression' && call.callee.type === 'Import' ? call.arguments[0] : undefined;
  if (given?.type !== 'StringLiteral') return undefined;
  const span = spanOf(call);
  const value = addValue(body, { name: given.value, kind: 'module', span, from: [], source: `import:${given.value}#default` });
  return [{ value, path: [], how: 'same', span, held: { at: ['default'], how: 'same' } }];
}

/** Markup that shows in a case that is no expression. */
const onlyWhen = (when: string, readings: readonly Reading[], span: Span, children: TemplateNode[]): TemplateNode[] =>
  children.length > 0 ? [{ kind: 'branch', when, negated: false, readings, span, children }] : [];

/** `<svelte:boundary>`: what stands in it, and what shows in its stead while it waits or when it failed. */
function readBoundary(markup: SvelteMarkup, node: AST.SvelteBoundary, outer: Scope): TemplateNode[] {
  const scope = innerScope(outer);
  for (const child of node.fragment.nodes) if (child.type === 'SnippetBlock') nameSnippet(markup, child, scope);
  return [
    ...readFragment(markup, node.fragment.nodes, scope),
    ...instead.flatMap(([name, when]) => {
      const snippet = snippetNamed(markup, node, name, scope);
      return snippet ? onlyWhen(when, [], rangeOf(snippet.node), snippetShown(markup, snippet.node, snippet.scope, [])) : [];
    }),
  ];
}

/** Pieces of markup that a boundary shows in place of its content, and when. */
const instead = [
  ['pending', 'it is awaited'],
  ['failed', 'it failed'],
] as const;

/** The piece of markup that a boundary is given under a name: written in it, or as an attribute. */
function snippetNamed(markup: SvelteMarkup, node: AST.SvelteBoundary, name: string, scope: Scope): SnippetOf | undefined {
  const inside = node.fragment.nodes.some((child) => child.type === 'SnippetBlock' && child.expression.name === name);
  const given = node.attributes.find((one) => one.type === 'Attribute' && one.name === name);
  const value = given?.type === 'Attribute' && given.value !== true ? [given.value].flat()[0] : undefined;
  const found = value?.type === 'ExpressionTag' ? expression(markup, value.expression) : undefined;
  const written = inside ? name : found?.type === 'Identifier' ? found.name : undefined;
  const meaning = written === undefined ? undefined : lookUp(scope, written);
  return meaning && markup.snippets.get(meaning);
}

/** `{@const total = a + b}`. */
function readConst(markup: SvelteMarkup, node: AST.ConstTag, scope: Scope): void {
  const [one] = node.declaration.declarations;
  const pattern = parsePatternAt(markup.text, rangeOf(one.id), markup.lang);
  const init = expression(markup, one.init);
  if (!pattern || !init) return;
  const readings = readingsOf(markup.body, init, scope);
  for (const found of patternNames(pattern)) {
    const from = readings.map((each): Reading => ({ ...each, path: each.held ? each.path : [...each.path, ...found.path] }));
    const value = addValue(markup.body, { name: found.name, kind: 'derived', span: spanOf(found.node), from });
    scope.names.set(found.name, { kind: 'value', value, path: [] });
  }
}

/** `{@render row(boat)}`: a piece of this file in place, or content from outside with what it is handed. */
function readRender(markup: SvelteMarkup, node: AST.RenderTag, scope: Scope): TemplateNode[] {
  const { body } = markup;
  const found = expression(markup, node.expression);
  const call = found && bare(found);
  if (call?.type !== 'CallExpression' && call?.type !== 'OptionalCallExpression') return [];
  const callee = bare(call.callee);
  const meaning = callee.type === 'Identifier' ? lookUp(scope, callee.name) : undefined;
  const snippet = meaning && markup.snippets.get(meaning);
  const hands = handedReadings(body, call.arguments, scope);
  if (snippet) return snippetShown(markup, snippet.node, snippet.scope, hands);
  const [reading] = readingsOf(body, callee, scope);
  const value = reading && body.values[reading.value];
  if (!reading || !value) return [];
  if (value.kind === 'prop') {
    const [only, ...more] = call.arguments;
    const names = only && more.length === 0 ? objectNames(only) : undefined;
    const handed = { slotProps: hands, ...(names ? { names } : {}) };
    return [{ kind: 'outlet', slot: memberKeyOf(value), reading: { ...reading, how: 'called' }, span: rangeOf(node), ...handed }];
  }
  return [{ kind: 'text', readings: [reading], span: rangeOf(node) }];
}

function snippetShown(markup: SvelteMarkup, node: AST.SnippetBlock, scope: Scope, hands: readonly (readonly Reading[])[]): TemplateNode[] {
  if (markup.showing.has(node)) return [];
  markup.showing.add(node);
  const inner = innerScope(scope);
  node.parameters.forEach((parameter, at) => {
    const pattern = parsePatternAt(markup.text, rangeOf(parameter), markup.lang);
    for (const found of pattern ? patternNames(pattern) : []) {
      const readings = (hands[at] ?? []).map((one): Reading => ({ ...one, path: [...one.path, ...found.path] }));
      inner.names.set(found.name, { kind: 'local', readings });
    }
  });
  const shown = readFragment(markup, node.body.nodes, inner);
  markup.showing.delete(node);
  return shown;
}

type Given = { readonly nodes: TemplateNode[]; readonly values: number[] };

/** A piece of markup that is handed on: its parameters are values that the slot hands out. */
function snippetGiven(markup: SvelteMarkup, node: AST.SnippetBlock, scope: Scope): Given {
  const { body } = markup;
  const inner = innerScope(scope);
  const values = node.parameters.map((parameter) => {
    const pattern = parsePatternAt(markup.text, rangeOf(parameter), markup.lang);
    const names = pattern ? patternNames(pattern) : [];
    const name = names.find((found) => found.path.length === 0)?.name ?? excerpt(body.module, rangeOf(parameter), 30);
    const value = addValue(body, { name, kind: 'handed', span: pattern ? spanOf(pattern) : rangeOf(parameter), from: [] });
    for (const found of names) inner.names.set(found.name, { kind: 'value', value, path: found.path });
    return value;
  });
  if (markup.showing.has(node)) return { nodes: [], values };
  markup.showing.add(node);
  const nodes = readFragment(markup, node.body.nodes, inner);
  markup.showing.delete(node);
  return { nodes, values };
}

/** `<slot name="row" boat={boat}>`: what it hands out is one object. */
function readSlot(markup: SvelteMarkup, node: AST.SlotElement, scope: Scope): TemplateNode {
  const rest = node.attributes.filter((one) => !(one.type === 'Attribute' && (one.name === 'name' || one.name === 'slot')));
  const { bindings, spreads } = readAttributes(markup, { ...node, attributes: rest }, scope, false);
  const hasText = node.fragment.nodes.some((one) => one.type === 'Text' && one.data.trim() !== '');
  return outlet(
    slotMember(textOf(node, 'name')),
    rangeOf(node),
    bindings,
    spreads,
    readFragment(markup, node.fragment.nodes, scope),
    hasText,
  );
}

/** The text of an attribute that is written out. */
function textOf(node: Tag, name: string): string | undefined {
  const found = node.attributes.find((one): one is AST.Attribute => one.type === 'Attribute' && one.name === name);
  const [only] = found && Array.isArray(found.value) ? found.value : [];
  return only?.type === 'Text' ? only.data : undefined;
}

function readElement(markup: SvelteMarkup, node: Tag, scope: Scope): TemplateNode {
  const attributes = readAttributes(markup, node, scope, true);
  const children = readFragment(markup, node.fragment.nodes, scope);
  const isChosen = node.type === 'SvelteElement';
  const chosen = isChosen ? expression(markup, node.tag) : undefined;
  const span = rangeOf(node);
  const by: Binding[] = chosen
    ? [
        {
          to: { kind: 'attribute', name: 'this' },
          written: 'this',
          span: spanOf(chosen),
          nameSpan: spanOf(chosen),
          direction: 'in',
          readings: readingsOf(markup.body, chosen, scope),
        },
      ]
    : [];
  const bindings = [...by, ...attributes.bindings];
  const tag = isChosen ? 'svelte:element' : node.name;
  return { kind: 'element', tag, span, nameSpan: nameSpanOf(node), ...attributes, bindings, children, key: noKey };
}

function readUse(markup: SvelteMarkup, node: AST.Component | AST.SvelteComponent | AST.SvelteSelf, scope: Scope): TemplateUse {
  const { body } = markup;
  const attributes = readAttributes(markup, node, scope, false);
  const content = readContent(markup, node, scope);
  const root = node.name.split('.')[0] ?? '';
  const held =
    node.type === 'SvelteComponent' ? expression(markup, node.expression) : lookUp(scope, root) ? nameAt(root, node.start + 1) : undefined;
  const named = held?.type === 'Identifier' && !lookUp(scope, held.name) ? held.name : undefined;
  const readings = held && named === undefined ? readingsOf(body, held, scope) : [];
  const use: Writable<TemplateUse> = {
    kind: 'use',
    tag: node.type === 'SvelteSelf' ? 'default' : held ? (named ?? '') : node.name,
    span: rangeOf(node),
    nameSpan: nameSpanOf(node),
    bindings: [...attributes.bindings, ...content.slots],
    spreads: attributes.spreads,
    children: content.children,
    key: noKey,
    // Names that are taken from a slot give it no content.
    content:
      content.hands && (content.children.length > 0 || content.text)
        ? 'function'
        : content.children.length > 0
          ? 'markup'
          : content.text
            ? 'text'
            : 'none',
  };
  if (content.hands) use.slotProps = content.hands;
  if (readings.length > 0) use.dynamic = readings;
  if (attributes.ref) use.ref = attributes.ref;
  return use;
}

function nameAt(name: string, start: number): t.Expression {
  return { type: 'Identifier', name, start, end: start + name.length } as unknown as t.Expression;
}

type Content = {
  readonly children: readonly TemplateNode[];
  readonly hands?: number[];
  readonly slots: readonly Binding[];
  readonly text: boolean;
};

/** What stands between the tags of a use: the default slot, content for the others, and pieces of markup by name. */
function readContent(markup: SvelteMarkup, node: Tag, outer: Scope): Content {
  const slots: Binding[] = [];
  const rest: Node[] = [];
  const scope = innerScope(outer);
  let children: TemplateNode[] = [];
  let hands = lets(markup, node, scope);
  for (const child of node.fragment.nodes) if (child.type === 'SnippetBlock') nameSnippet(markup, child, scope);
  for (const child of node.fragment.nodes) {
    if (child.type === 'SnippetBlock') {
      const given = snippetGiven(markup, child, scope);
      if (child.expression.name === 'children') {
        children = given.nodes;
        hands = given.values;
      } else
        slots.push({
          ...markupBinding(propMember(child.expression.name), child.expression.name, rangeOf(child), rangeOf(child.expression), given),
          between: true,
        });
      continue;
    }
    const slot = 'attributes' in child ? textOf(child, 'slot') : undefined;
    if (slot === undefined || !('attributes' in child)) {
      rest.push(child);
      continue;
    }
    const inner = innerScope(scope);
    const values = lets(markup, child, inner);
    const nodes = child.type === 'SvelteFragment' ? readFragment(markup, child.fragment.nodes, inner) : readNode(markup, child, inner);
    if (slot === 'default') append(children, nodes);
    else slots.push(markupBinding(slotMember(slot), slot, rangeOf(child), nameSpanOf(child), { nodes, values }));
  }
  append(children, readFragment(markup, rest, scope));
  const text = rest.some((one) => one.type === 'Text' && one.data.trim() !== '');
  return { children, ...(hands.length > 0 ? { hands } : {}), slots, text };
}

function markupBinding(key: MemberKey, written: string, span: Span, nameSpan: Span, given: Given): Binding {
  return {
    to: memberOf(key),
    written,
    span,
    nameSpan,
    direction: 'in',
    readings: [],
    markup: given.nodes,
    ...(given.values.length > 0 ? { slotProps: given.values } : {}),
  };
}

/** `let:boat`, `let:boat={other}`: members of the one object that the slot hands out. */
function lets(markup: SvelteMarkup, node: Tag, scope: Scope): number[] {
  const found = node.attributes.filter((one): one is AST.LetDirective => one.type === 'LetDirective');
  const [first] = found;
  if (!first) return [];
  const value = addValue(markup.body, { name: found.map((one) => one.name).join(', '), kind: 'handed', span: rangeOf(first), from: [] });
  for (const one of found) {
    const pattern = one.expression ? parsePatternAt(markup.text, rangeOf(one.expression), markup.lang) : undefined;
    if (!pattern) scope.names.set(one.name, { kind: 'value', value, path: [one.name] });
    else for (const each of patternNames(pattern)) scope.names.set(each.name, { kind: 'value', value, path: [one.name, ...each.path] });
  }
  return [value];
}

type Attributes = { readonly bindings: Binding[]; readonly spreads: SpreadFact[]; readonly ref?: Reading };

/** The attributes of a tag. `native` for elements: their bindings go by the platform's own events. */
function readAttributes(markup: SvelteMarkup, node: Tag, scope: Scope, native: boolean): Attributes {
  const bindings: Binding[] = [];
  const spreads: SpreadFact[] = [];
  let ref: Reading | undefined;
  for (const one of node.attributes) {
    switch (one.type) {
      case 'Attribute':
        if (one.name !== 'slot' || native) bindings.push(heardThere(node, readAttribute(markup, one, scope, native)));
        break;
      case 'SpreadAttribute':
        spreads.push(readSpread(markup, one, node, scope, native));
        break;
      case 'OnDirective':
        bindings.push(readOn(markup, one, node, scope, native));
        break;
      case 'BindDirective':
        if (one.name === 'this') ref = handleOf(markup, one, scope);
        else append(bindings, readBind(markup, one, node, scope, native));
        break;
      case 'LetDirective':
        break;
      default:
        append(bindings, readDirective(markup, one, scope));
    }
  }
  return { bindings, spreads, ...(ref ? { ref } : {}) };
}

/** Where the listeners of a tag hear: some tags stand for the window or the document. */
const listensOn = ({ name }: Tag): 'window' | 'document' | 'self' =>
  name === 'svelte:window' ? 'window' : name === 'svelte:document' ? 'document' : 'self';

const heardThere = (tag: Tag, binding: Binding): Binding =>
  binding.to.kind === 'listener' ? { ...binding, to: { ...binding.to, on: listensOn(tag) } } : binding;

/** What an attribute is to: of an element a listener or what it says, of a component a prop. */
function attributeTarget(native: boolean, name: string): BindingTarget {
  if (name.startsWith('--')) return { kind: 'variable', name };
  if (!native) return memberOf(propMember(name));
  const heard = listenerOf(name);
  return heard ? { kind: 'listener', name: heard.event, on: 'self' } : { kind: 'attribute', name };
}

/** `onclickcapture` → a click on its way down; an event may be called so itself. */
function listenerOf(name: string): { readonly event: string; readonly captures: boolean } | undefined {
  const [, event = '', capture] = /^on([a-z].*?)(capture)?$/.exec(name) ?? [];
  if (event === '') return undefined;
  const isName = event === 'gotpointer' || event === 'lostpointer';
  return { event: isName ? `${event}${capture ?? ''}` : event, captures: capture !== undefined && !isName };
}

const modifierNames: Readonly<Record<string, string>> = { stopPropagation: 'stop', preventDefault: 'prevent' };

function readAttribute(markup: SvelteMarkup, one: AST.Attribute, scope: Scope, native: boolean): Binding {
  const { body } = markup;
  const span = rangeOf(one);
  const short = markup.text[one.start] === '{';
  const nameSpan = short ? { start: one.start + 1, end: one.end - 1 } : { start: one.start, end: one.start + one.name.length };
  const handler = /^on[a-z]/.test(one.name) || (!native && /^on[A-Z]/.test(one.name));
  const binding: Writable<Binding> = {
    to: attributeTarget(native, one.name),
    written: one.name,
    span,
    nameSpan,
    direction: 'in',
    readings: [],
    ...(native && listenerOf(one.name)?.captures ? { modifiers: ['capture'] } : {}),
  };
  if (one.value === true) return { ...binding, constant: 'true' };
  const parts = Array.isArray(one.value) ? one.value : [one.value];
  const [only] = parts;
  if (parts.length !== 1 || only?.type !== 'ExpressionTag') {
    const readings = parts.flatMap((part) => {
      const found = part.type === 'ExpressionTag' ? expression(markup, part.expression) : undefined;
      return found ? readingsOf(body, found, scope, 'computed') : [];
    });
    const last = parts.at(-1);
    const quoted = only && /["']/.test(markup.text[only.start - 1] ?? '') ? 1 : 0;
    const text = only && last ? markup.text.slice(only.start - quoted, last.end + quoted) : '';
    return { ...binding, readings, ...(readings.length === 0 ? { constant: text } : {}) };
  }
  const range = rangeOf(only.expression);
  const found = expressionAt(markup, range);
  const inner = found && bare(found);
  if (!inner) return binding;
  if (handler || inner.type === 'ArrowFunctionExpression' || inner.type === 'FunctionExpression') {
    const called = calledForNothing(body, inner, scope);
    const given = handlerAt(markup, one.name, range, scope);
    if (native) attachCallbacks(body, given.readings);
    const call = callGiven(body, inner, scope);
    return { ...binding, direction: handler ? 'out' : 'in', ...given, ...(called ? { called } : {}), ...(call ? { call } : {}) };
  }
  const meaning = inner.type === 'Identifier' ? lookUp(scope, inner.name) : undefined;
  const snippet = meaning && markup.snippets.get(meaning);
  if (snippet) {
    const given = snippetGiven(markup, snippet.node, snippet.scope);
    return { ...binding, markup: given.nodes, ...(given.values.length > 0 ? { slotProps: given.values } : {}) };
  }
  const readings = readingsOf(body, inner, scope);
  if (inner.type === 'Identifier' && !meaning && /^[A-Z]/.test(inner.name) && body.module.imported.has(inner.name))
    binding.component = inner.name;
  return { ...binding, readings, ...(readings.length === 0 ? { constant: excerpt(body.module, range) } : {}) };
}

function readSpread(markup: SvelteMarkup, one: AST.SpreadAttribute, node: Tag, scope: Scope, native: boolean): SpreadFact {
  const span = rangeOf(one);
  const found = expression(markup, one.expression);
  const inner = found && bare(found);
  const target = {
    kind: native
      ? ('element' as const)
      : node.name.includes(':') || lookUp(scope, node.name.split('.')[0] ?? '')
        ? ('unknown' as const)
        : ('use' as const),
    tag: node.name,
  };
  return spreadOn(markup.body, inner, span, scope, target, propMember);
}

/** `on:click={go}`; without a handler the event goes on to the owner under the same name. */
function readOn(markup: SvelteMarkup, one: AST.OnDirective, tag: Tag, scope: Scope, native: boolean): Binding {
  const { body } = markup;
  const member = eventKey(one.name);
  const written = `on:${one.name}`;
  const span = rangeOf(one);
  const on = listensOn(tag);
  const head = {
    to: native ? ({ kind: 'listener', name: one.name, on } as const) : memberOf(member),
    written,
    ...(one.modifiers.length > 0 ? { modifiers: one.modifiers.map((name) => modifierNames[name] ?? name) } : {}),
    span,
    nameSpan: { start: one.start, end: one.start + written.length },
    direction: 'out' as const,
  };
  if (one.expression) {
    const range = rangeOf(one.expression);
    const given = expressionAt(markup, range);
    const called = given && calledForNothing(body, given, scope);
    const call = given && callGiven(body, given, scope);
    return { ...head, ...handlerAt(markup, one.name, range, scope), ...(called ? { called } : {}), ...(call ? { call } : {}) };
  }
  const value = memberValue(body, member, span);
  body.attached.push({ member, value, optional: true, span });
  return { ...head, readings: [{ value, path: [], how: 'same', span }] };
}

/** `bind:value={name}`: a value down and a change up, by the names that both sides know them by. */
function readBind(markup: SvelteMarkup, one: AST.BindDirective, node: Tag, scope: Scope, native: boolean): Binding[] {
  const span = rangeOf(one);
  const range = rangeOf(one.expression);
  const target = range.start < one.start ? nameAt(one.name, one.start + 'bind:'.length) : expressionAt(markup, range);
  if (!target || target.type === 'SequenceExpression') return [];
  const { name } = one;
  const written = `bind:${name}`;
  const nameSpan = { start: one.start, end: one.start + written.length };
  const readings = readingsOf(markup.body, bare(target), scope);
  const event = nativeModel(node.name, textOf(node, 'type')).event;
  const down: BindingTarget = native ? { kind: 'attribute', name } : { kind: 'prop', name };
  const up: BindingTarget = native ? { kind: 'listener', name: event, on: 'self' } : { kind: 'model', name };
  const action = writing(markup, up.name, target, native ? ['target', name] : [], { start: one.start, end: one.end }, scope);
  return [
    { to: down, written, span, nameSpan, direction: 'two-way', readings },
    { to: up, written, span, nameSpan, direction: 'out', readings: [], action },
  ];
}

function handleOf(markup: SvelteMarkup, one: AST.BindDirective, scope: Scope): Reading | undefined {
  const target = expression(markup, one.expression);
  const [reading] = target ? readingsOf(markup.body, bare(target), scope) : [];
  const facts = reading && markup.body.values[reading.value];
  if (facts?.kind === 'state') facts.kind = 'ref';
  return reading && reading.path.length === 0 ? reading : undefined;
}

function directiveTarget(one: Attribute, name: string): BindingTarget {
  if (one.type === 'ClassDirective') return { kind: 'class', name };
  if (one.type === 'StyleDirective') return { kind: 'style', name };
  if (one.type === 'TransitionDirective') return { kind: 'directive', name, argument: 'transition' };
  return one.type === 'AnimateDirective' ? { kind: 'directive', name, argument: 'animate' } : { kind: 'directive', name };
}

/** `class:open={isOpen}`, `style:color`, `use:tip={text}`, `transition:fade`: what they are given shows on the element. */
function readDirective(markup: SvelteMarkup, one: Attribute, scope: Scope): Binding[] {
  const { body } = markup;
  const span = rangeOf(one);
  const name = 'name' in one ? one.name : 'attach';
  const given: t.Node[] = [];
  if (one.type === 'StyleDirective') {
    const parts = one.value === true ? [nameAt(one.name, one.start)] : [];
    append(given, parts);
    for (const part of one.value === true ? [] : Array.isArray(one.value) ? one.value : [one.value]) {
      const found = part.type === 'ExpressionTag' ? expression(markup, part.expression) : undefined;
      if (found) given.push(found);
    }
  } else {
    const found = 'expression' in one && one.expression ? expression(markup, one.expression) : undefined;
    if (found) given.push(found);
  }
  const used =
    one.type === 'UseDirective' || one.type === 'TransitionDirective' || one.type === 'AnimateDirective'
      ? readingsOf(body, nameAt(name.split('.')[0] ?? '', one.start), scope)
      : [];
  const readings = [
    ...given.flatMap((node) => readingsOf(body, node, scope)),
    ...used.map((read): Reading => ({ ...read, how: 'called' })),
  ];
  return [
    {
      to: directiveTarget(one, name),
      written: markup.text.slice(one.start, one.end).split('=')[0] ?? name,
      span,
      nameSpan: span,
      direction: 'in',
      readings,
    },
  ];
}
