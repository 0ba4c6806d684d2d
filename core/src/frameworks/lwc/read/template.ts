import type * as t from '@babel/types';
import type { Binding, BindingTarget, KeyFact, Reading, SpreadFact, TemplateNode, TemplateUse } from '../../../model/facts';
import { defaultSlot, memberOf, slotKey } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { isCommonAttribute } from '../../../read/elements/platform';
import { attributeNamed, type HtmlAttribute, type HtmlElement, type HtmlNode } from '../../../read/markup/html';
import { type Branch, branch, expressionAt, inElse, type Markup, outlet, repeat, shownText } from '../../../read/markup/expressions';
import { bySlot, isMarkupNode, noteSlot, type SlottedNodes } from '../../../read/markup/slotted';
import { addValue, excerpt } from '../../../read/script/body';
import { readingsOf } from '../../../read/script/expressions';
import { innerScope, lookUp, type Scope } from '../../../read/script/scope';
import { propertyOf } from '../names';
import { append } from '../../../model/append';

/** A template that is being read, with the handles that its elements have by `lwc:ref`, and the slots that they are for. */
export type LwcMarkup = Markup & {
  readonly refOf: (name: string, span: Span) => number;
  readonly slotted: SlottedNodes<HtmlAttribute>;
};

const noKey: KeyFact = { kind: 'none' };

const textOf = ({ text }: Markup, attribute: HtmlAttribute | undefined): string | undefined =>
  attribute && (attribute.value ? text.slice(attribute.value.start, attribute.value.end) : '');

/** `{shelf.label}` → where the expression stands, without its braces; undefined for a text. */
function bracedAt({ text }: Markup, span: Span | undefined): Span | undefined {
  if (!span) return undefined;
  const written = text.slice(span.start, span.end);
  return /^\{[^{}]*\}$/.test(written.trim())
    ? { start: span.start + written.indexOf('{') + 1, end: span.start + written.lastIndexOf('}') }
    : undefined;
}

function boundTo(markup: LwcMarkup, attribute: HtmlAttribute | undefined): t.Expression | undefined {
  const range = bracedAt(markup, attribute?.value);
  return range && expressionAt(markup, range);
}

/** A condition on an element: `lwc:if={x}`, `lwc:elseif={y}`, `lwc:else`, and the older `if:true={x}`, `if:false={x}`. */
function conditionOf(
  markup: LwcMarkup,
  node: HtmlElement,
): { readonly test?: t.Expression; readonly negated: boolean; readonly next: boolean } | undefined {
  for (const [name, negated, next] of [
    ['lwc:if', false, false],
    ['lwc:elseif', false, true],
    ['if:true', false, false],
    ['if:false', true, false],
  ] as const) {
    const found = attributeNamed(node, name);
    const test = found && boundTo(markup, found);
    if (test) return { test, negated, next };
  }
  return attributeNamed(node, 'lwc:else') ? { negated: false, next: true } : undefined;
}

/** Reads what stands between two tags. */
export function readNodes(markup: LwcMarkup, nodes: readonly HtmlNode[], scope: Scope): TemplateNode[] {
  const found: TemplateNode[] = [];
  let chain: Branch[] = [];
  for (const node of nodes) {
    if (node.kind === 'text') {
      append(found, readText(markup, node.span, scope));
      continue;
    }
    const condition = conditionOf(markup, node);
    if (!condition?.next) chain = [];
    const own = readRepeated(markup, node, scope);
    const shown = condition?.test && branch(markup, condition.test, condition.negated, scope, own);
    append(found, inElse(condition?.next ? chain : [], shown ? [shown] : own));
    if (shown && !shown.negated) chain.push(shown);
  }
  return found;
}

function readText(markup: LwcMarkup, span: Span, scope: Scope): TemplateNode[] {
  return [...markup.text.slice(span.start, span.end).matchAll(/\{([^{}]+)\}/g)].flatMap((match) => {
    const start = span.start + match.index + 1;
    const node = expressionAt(markup, { start, end: start + (match[1]?.length ?? 0) });
    return node ? shownText(markup, node, scope, { start: start - 1, end: start + (match[1]?.length ?? 0) + 1 }) : [];
  });
}

const identifier = (name: string, { start, end }: Span): t.Identifier => ({ type: 'Identifier', name, start, end }) as t.Identifier;

/** An element with its `for:each` or `iterator`, where it has one. */
function readRepeated(markup: LwcMarkup, node: HtmlElement, scope: Scope): TemplateNode[] {
  const each = attributeNamed(node, 'for:each');
  const list = boundTo(markup, each);
  if (each && list) {
    const item = attributeNamed(node, 'for:item');
    const position = textOf(markup, attributeNamed(node, 'for:index'));
    const name = textOf(markup, item);
    const at = item?.value ?? each.span;
    return [
      repeat(
        markup,
        list,
        { ...(name ? { pattern: identifier(name, at) } : {}), ...(position ? { position } : {}) },
        node.span,
        scope,
        (inner) => readTag(markup, node, inner),
      ),
    ];
  }
  const iterator = node.attributes.find((one) => one.name.toLowerCase().startsWith('iterator:'));
  const walked = boundTo(markup, iterator);
  if (!iterator || !walked) return readTag(markup, node, scope);
  const name = iterator.name.slice('iterator:'.length);
  const nameSpan = { start: iterator.nameSpan.start + 'iterator:'.length, end: iterator.nameSpan.end };
  return [
    repeat(markup, walked, { pattern: identifier(name, nameSpan) }, node.span, scope, (inner) => {
      const meaning = inner.names.get(name);
      if (meaning?.kind === 'value')
        inner.names.set(name, {
          kind: 'members',
          of: (member) => (member === 'value' ? meaning : member === 'index' ? { kind: 'position' } : { kind: 'opaque' }),
        });
      return readTag(markup, node, inner);
    }),
  ];
}

/** What a tag puts there, each with the slot that it is for. */
function readTag(markup: LwcMarkup, node: HtmlElement, scope: Scope): TemplateNode[] {
  const at = attributeNamed(node, 'slot');
  return noteSlot(markup.slotted, readBareTag(markup, node, scope), textOf(markup, at), at);
}

function readBareTag(markup: LwcMarkup, node: HtmlElement, scope: Scope): TemplateNode[] {
  const tag = node.tag.toLowerCase();
  if (tag === 'slot') return [readSlot(markup, node, scope)];
  if (tag === 'template') return readNodes(markup, node.children, scope);
  if (tag === 'lwc:component') return [readUse(markup, node, '', scope, boundTo(markup, attributeNamed(node, 'lwc:is')))];
  if (tag.includes('-') && !attributeNamed(node, 'lwc:external')) return [readUse(markup, node, tag, scope)];
  return [readElement(markup, node, scope)];
}

/** `<slot name="row" lwc:slot-bind={row}>`: what it hands out is one value. */
function readSlot(markup: LwcMarkup, node: HtmlElement, scope: Scope): TemplateNode {
  const { body } = markup;
  const name = textOf(markup, attributeNamed(node, 'name')) ?? '';
  const hasText = node.children.some((one) => one.kind === 'text' && markup.text.slice(one.span.start, one.span.end).trim() !== '');
  const shown = outlet(name === '' ? defaultSlot : slotKey(name), node.span, [], [], readNodes(markup, node.children, scope), hasText);
  const bound = boundTo(markup, attributeNamed(node, 'lwc:slot-bind'));
  if (!bound || shown.kind !== 'outlet') return shown;
  const { names: _, ...rest } = shown;
  return { ...rest, slotProps: [readingsOf(body, bound, scope)] };
}

function readElement(markup: LwcMarkup, node: HtmlElement, scope: Scope): TemplateNode {
  const { bindings, spreads, key, ref } = readAttributes(markup, node, scope, false);
  return {
    kind: 'element',
    tag: node.tag,
    span: node.span,
    nameSpan: node.nameSpan,
    bindings,
    spreads,
    children: readNodes(markup, node.children, scope),
    key,
    ...(ref ? { ref } : {}),
  };
}

function readUse(markup: LwcMarkup, node: HtmlElement, tag: string, scope: Scope, chosen?: t.Expression): TemplateUse {
  const { body } = markup;
  const { bindings, spreads, key, ref } = readAttributes(markup, node, scope, true);
  const rest: HtmlNode[] = [];
  let children: TemplateNode[] = [];
  let hands: number[] | undefined;
  for (const child of node.children) {
    const slot = child.kind === 'element' ? attributeNamed(child, 'slot') : undefined;
    const data = child.kind === 'element' ? attributeNamed(child, 'lwc:slot-data') : undefined;
    const named = textOf(markup, slot) ?? '';
    const handed = textOf(markup, data);
    if (child.kind === 'element' && data && handed) {
      const inner = innerScope(scope);
      const value = addValue(body, { name: handed, kind: 'handed', span: data.value ?? data.span, from: [] });
      inner.names.set(handed, { kind: 'value', value, path: [] });
      const shown = readNodes(markup, child.children, inner);
      if (named === '') {
        children = shown;
        hands = [value];
      } else bindings.push(slotBinding(named, slot ?? data, shown, [value]));
      continue;
    }
    rest.push(child);
  }
  const parts = bySlot(readNodes(markup, rest, scope), markup.slotted);
  const loose = parts.get('')?.nodes ?? [];
  const isText = rest.some((one) => one.kind === 'text' && markup.text.slice(one.span.start, one.span.end).trim() !== '');
  for (const [name, { at, nodes }] of parts) if (at) bindings.push(slotBinding(name, at, nodes, []));
  children = [...children, ...loose];
  const use: Writable<TemplateUse> = {
    kind: 'use',
    tag,
    span: node.span,
    nameSpan: node.nameSpan,
    bindings,
    spreads,
    children,
    key,
    content: hands ? 'function' : loose.some(isMarkupNode) ? 'markup' : isText ? 'text' : 'none',
  };
  if (hands) use.slotProps = hands;
  if (chosen) use.dynamic = readingsOf(body, chosen, scope);
  if (ref) use.ref = ref;
  return use;
}

function slotBinding(name: string, at: HtmlAttribute, nodes: readonly TemplateNode[], values: readonly number[]): Binding {
  return {
    to: memberOf(slotKey(name)),
    written: `slot="${name}"`,
    span: at.span,
    nameSpan: at.value ?? at.nameSpan,
    direction: 'in',
    readings: [],
    markup: nodes,
    ...(values.length > 0 ? { slotProps: values } : {}),
  };
}

type Attributes = { readonly bindings: Binding[]; readonly spreads: SpreadFact[]; readonly key: KeyFact; readonly ref?: Reading };

const structural = /^(?:lwc:(?!spread|on$|ref)|if:|for:|iterator:|key$|slot$)/;

function readAttributes(markup: LwcMarkup, node: HtmlElement, scope: Scope, isUse: boolean): Attributes {
  const bindings: Binding[] = [];
  const spreads: SpreadFact[] = [];
  let key: KeyFact = noKey;
  let ref: Reading | undefined;
  for (const one of node.attributes) {
    const name = one.name.toLowerCase();
    if (name === 'key') key = keyOf(markup, one, scope);
    else if (name === 'lwc:ref') {
      const held = textOf(markup, one);
      if (held) ref = { value: markup.refOf(held, one.value ?? one.span), path: [], how: 'same', span: one.span };
    } else if (name === 'lwc:spread' || name === 'lwc:on') {
      const given = boundTo(markup, one);
      const readings = given ? readingsOf(markup.body, given, scope, 'spread') : [];
      spreads.push({ span: one.span, readings, ...(name === 'lwc:on' ? { ofEvents: true as const } : {}) });
    } else if (!structural.test(name)) bindings.push(readAttribute(markup, one, scope, isUse));
  }
  return { bindings, spreads, key, ...(ref ? { ref } : {}) };
}

function keyOf(markup: LwcMarkup, one: HtmlAttribute, scope: Scope): KeyFact {
  const span = one.value ?? one.span;
  const text = excerpt(markup.body.module, span).replace(/^\{|\}$/g, '');
  const bound = boundTo(markup, one);
  if (!bound) return { kind: 'constant', span, text };
  const isPosition = bound.type === 'Identifier' && lookUp(scope, bound.name)?.kind === 'position';
  readingsOf(markup.body, bound, scope);
  return { kind: isPosition ? 'position' : 'value', span, text };
}

function targetOf(name: string, isUse: boolean): BindingTarget {
  const event = /^on([a-z].*)$/.exec(name)?.[1];
  if (event !== undefined) return isUse ? { kind: 'event', name: event } : { kind: 'listener', name: event, on: 'self' };
  return isUse && !isCommonAttribute(name) ? { kind: 'prop', name: propertyOf(name) } : { kind: 'attribute', name };
}

function readAttribute(markup: LwcMarkup, one: HtmlAttribute, scope: Scope, isUse: boolean): Binding {
  const { body } = markup;
  const name = one.name.toLowerCase();
  const to = targetOf(name, isUse);
  const isHeard = to.kind === 'event' || to.kind === 'listener';
  const binding: Writable<Binding> = {
    to,
    written: one.name,
    span: one.span,
    nameSpan: one.nameSpan,
    direction: isHeard ? 'out' : 'in',
    readings: [],
  };
  const range = bracedAt(markup, one.value);
  const bound = range && expressionAt(markup, range);
  if (bound) {
    binding.readings = readingsOf(body, bound, scope);
    return binding;
  }
  binding.asAttribute = 'text';
  binding.constant = one.value === undefined ? 'true' : JSON.stringify(textOf(markup, one));
  return binding;
}
