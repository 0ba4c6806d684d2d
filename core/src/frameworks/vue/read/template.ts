import type { AttributeNode, DirectiveNode, ElementNode, ExpressionNode, TemplateChildNode } from '@vue/compiler-dom';
import { callGiven } from '../../../read/script/called';
import { anySlot, defaultSlot, type MemberKey, memberOf, eventKey } from '../../../model/member';
import type * as t from '@babel/types';
import type { Binding, BindingTarget, KeyFact, Reading, SpreadFact, TemplateNode, TemplateUse } from '../../../model/facts';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { addValue, attachCallbacks, excerpt } from '../../../read/script/body';
import {
  type Branch,
  branch,
  inElse,
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
import { keptFunction, readingsOf } from '../../../read/script/expressions';
import { parseExpressionAt, parsePatternAt, type ScriptRange } from '../../../read/script/parse';
import { innerScope, declaredIn, lookUp, type Scope } from '../../../read/script/scope';
import { bare, isFunction, madeIn, patternNames, objectNames } from '../../../read/script/syntax';
import { withSlotDirectives } from './older-slots';
import { camel, eventMember, pascal, propMember, propName, slotMember } from './names';
import { append } from '../../../model/append';

/** What the compiler calls its nodes by number. */
const element = 1;
const interpolation = 5;
const attribute = 6;

/** A template that is being read, with what its tags may mean. */
export type VueMarkup = Markup & {
  /** The module name that a tag stands for; undefined for one that the file does not know. */
  readonly component: (tag: string) => string | undefined;
  /** Its script is written as only the newer version knows it. */
  readonly isNewer?: boolean;
  /** Only what is registered is a tag. */
  readonly registers?: boolean;
};

/** Parts of the framework that show their content and nothing else. */
const showing = new Set(['KeepAlive', 'Transition', 'BaseTransition']);
/** Tells whether a tag is a part of the framework that only shows what stands in it, which attributes go on to. */
export const isSeeThrough = (tag: string): boolean => showing.has(pascal(tag));
/** Parts of the framework that show their content elsewhere or later: attributes do not go on to it. */
const apart = new Set(['Teleport', 'Suspense', 'TransitionGroup', 'teleport', 'suspense', 'transition-group']);
const noKey: KeyFact = { kind: 'none' };

function spanOf(node: { readonly loc: { readonly start: { offset: number }; readonly end: { offset: number } } }): Span {
  return { start: node.loc.start.offset, end: node.loc.end.offset };
}

function directive(node: ElementNode, ...names: readonly string[]): DirectiveNode | undefined {
  return node.props.find((one): one is DirectiveNode => one.type !== attribute && names.includes(one.name));
}

function constantAttribute(node: ElementNode, name: string): AttributeNode | undefined {
  return node.props.find((one): one is AttributeNode => one.type === attribute && one.name === name);
}

function rangeOf(exp: ExpressionNode | undefined): ScriptRange | undefined {
  return exp && exp.loc.end.offset > exp.loc.start.offset ? spanOf(exp) : undefined;
}

/** Reads what stands between two tags. */
export function readChildren(markup: VueMarkup, children: readonly TemplateChildNode[], scope: Scope): TemplateNode[] {
  const nodes: TemplateNode[] = [];
  /** Conditions of the chain that an `else` belongs to. */
  let chain: Branch[] = [];
  for (const child of children) {
    if ((child.type as number) === interpolation) {
      const range = 'content' in child && typeof child.content === 'object' ? rangeOf(child.content as ExpressionNode) : undefined;
      const node = range && expressionAt(markup, range);
      if (node) append(nodes, shownText(markup, node, scope, spanOf(child)));
    }
    if ((child.type as number) !== element) continue;
    const tag = child as ElementNode;
    const first = directive(tag, 'if');
    const next = directive(tag, 'else-if', 'else');
    const test = conditionOf(markup, first ?? next);
    if (first) chain = [];
    const own = readRepeated(markup, tag, scope);
    if (!first && !next) {
      append(nodes, own);
      chain = [];
      continue;
    }
    const shown = test && branch(markup, test, false, scope, own);
    append(nodes, inElse(chain, shown ? [shown] : own));
    if (shown) chain.push(shown);
  }
  return nodes;
}

function conditionOf(markup: VueMarkup, found: DirectiveNode | undefined): t.Node | undefined {
  const range = rangeOf(found?.exp);
  return range && expressionAt(markup, range);
}

/** An element with its `v-for`, where it has one. */
function readRepeated(markup: VueMarkup, node: ElementNode, scope: Scope): TemplateNode[] {
  const each = directive(node, 'for')?.forParseResult;
  if (!each) return readTag(markup, node, scope);
  const source = rangeOf(each.source);
  const list = source && expressionAt(markup, source);
  if (!list) return readTag(markup, node, scope);
  const position = rangeOf(each.index ?? each.key);
  const pattern = each.value && patternAt(markup, each.value);
  const item: Item = {
    ...(pattern ? { pattern } : {}),
    ...(position ? { position: markup.text.slice(position.start, position.end) } : {}),
    ...(each.index && each.key ? { key: each.key.loc.source } : {}),
  };
  const given = node.tag === 'template' ? keyGiven(node) : undefined;
  return [
    repeat(markup, list, item, spanOf(node), scope, (inner) => {
      const key = given ? keyOf(markup, given, inner) : undefined;
      return readTag(markup, node, inner).map((one) => (key ? keyed(one, key) : one));
    }),
  ];
}

/** The key of a repeated `template` is that of whatever it repeats. */
function keyed(node: TemplateNode, key: KeyFact): TemplateNode {
  if (node.kind === 'branch') return { ...node, children: node.children.map((one) => keyed(one, key)) };
  return (node.kind === 'element' || node.kind === 'use') && node.key.kind === 'none' ? { ...node, key } : node;
}

function keyGiven(node: ElementNode): DirectiveNode | undefined {
  return node.props.find((one): one is DirectiveNode => one.type !== attribute && one.name === 'bind' && argOf(one) === 'key');
}

function patternAt(markup: Markup, exp: ExpressionNode): t.Node | undefined {
  const range = rangeOf(exp);
  return range && parsePatternAt(markup.text, range, markup.lang);
}

function readTag(markup: VueMarkup, node: ElementNode, scope: Scope): TemplateNode[] {
  const { tag } = node;
  if (outlets.has(tag)) return [readOutlet(markup, node, scope)];
  if (tag === 'template' && !constantAttribute(node, 'lang')) return readChildren(markup, node.children, scope);
  if (isSeeThrough(tag)) return [readSeeThrough(markup, node, scope)];
  if (apart.has(tag)) return [readElement(markup, { ...node, tag: pascal(tag) }, scope)];
  if (tag === 'component' || tag === 'Component') return readDynamic(markup, node, scope);
  // A tag of the platform is that, whatever the script imports under a like name.
  if (node.tagType === 0) return [readElement(markup, node, scope)];
  const known = markup.component(tag);
  const held = known === undefined ? heldBy(markup, node, scope) : undefined;
  if (held !== undefined) return [readUse(markup, node, '', scope, [{ value: held, path: [], how: 'same', span: nameSpanOf(node) }])];
  const use = readUse(markup, node, known ?? pascal(tag), scope);
  return [known === undefined && markup.registers ? { ...use, unregistered: true } : use];
}

/** The value of the setup that holds the component of a tag: made there, or chosen. */
function heldBy({ body }: VueMarkup, node: ElementNode, scope: Scope): number | undefined {
  const [root = ''] = node.tag.split('.');
  for (const name of [root, camel(root), pascal(root)]) {
    const meaning = /^[A-Z]|-|\./.test(node.tag) ? declaredIn(scope, name) : undefined;
    if (meaning?.kind === 'value' || meaning?.kind === 'box') return meaning.value;
    if (meaning?.kind === 'local')
      return meaning.readings[0]?.value ?? addValue(body, { name, kind: 'derived', span: nameSpanOf(node), from: [] });
  }
  return undefined;
}

function nameSpanOf(node: ElementNode): Span {
  const start = node.loc.start.offset + 1;
  return { start, end: start + node.tag.length };
}

function readElement(markup: VueMarkup, node: ElementNode, scope: Scope): TemplateNode {
  const attributes = readAttributes(markup, node, scope, true);
  const children = readChildren(markup, node.children, scope);
  return { kind: 'element', tag: node.tag, span: spanOf(node), nameSpan: nameSpanOf(node), ...attributes, children };
}

/** What stands in it is shown as it is; what it is given, and what it tells, is its own. */
function readSeeThrough(markup: VueMarkup, node: ElementNode, scope: Scope): TemplateNode {
  const attributes = readAttributes(markup, node, scope, true);
  const { children } = readContent(markup, node, scope);
  return { kind: 'element', tag: pascal(node.tag), span: spanOf(node), nameSpan: nameSpanOf(node), ...attributes, children };
}

function readUse(markup: VueMarkup, node: ElementNode, tag: string, scope: Scope, dynamic: readonly Reading[] = []): TemplateUse {
  const attributes = readAttributes(markup, node, scope, false, tag);
  const { children, hands, slots } = readContent(markup, node, scope);
  const use: Writable<TemplateUse> = {
    kind: 'use',
    tag,
    span: spanOf(node),
    nameSpan: nameSpanOf(node),
    bindings: [...attributes.bindings, ...slots],
    spreads: attributes.spreads,
    children,
    key: attributes.key,
    content: hands ? 'function' : children.length > 0 ? 'markup' : hasText(node) ? 'text' : 'none',
  };
  if (hands) use.slotProps = hands;
  if (dynamic.length > 0) use.dynamic = dynamic;
  if (attributes.ref) use.ref = attributes.ref;
  return use;
}

function hasText(node: ElementNode): boolean {
  return node.children.some((one) => one.type === 2 && one.content.trim() !== '');
}

/** `<component :is="…">`: a name that the file knows, an element, or a value. */
function readDynamic(markup: VueMarkup, node: ElementNode, scope: Scope): TemplateNode[] {
  const written = constantAttribute(node, 'is')?.value?.content;
  const bound = node.props.find((one): one is DirectiveNode => one.type !== attribute && one.name === 'bind' && argOf(one) === 'is');
  const range = rangeOf(bound?.exp);
  const given = range && parseExpressionAt(markup.text, range, markup.lang);
  const inner = given && 'type' in given ? bare(given) : undefined;
  const text = inner?.type === 'StringLiteral' ? inner.value : written;
  if (text !== undefined) {
    const known = markup.component(text) ?? (/[A-Z-]/.test(text) ? pascal(text) : undefined);
    return [known === undefined ? readElement(markup, { ...node, tag: text }, scope) : readUse(markup, node, known, scope)];
  }
  const named = inner?.type === 'Identifier' && !lookUp(scope, inner.name) ? markup.component(inner.name) : undefined;
  if (named !== undefined) return [readUse(markup, node, named, scope)];
  const readings = inner ? readingsOf(markup.body, inner, scope) : [];
  return [readUse(markup, node, '', scope, readings)];
}

/** `<slot name="row" :boat="boat">`: what it hands out is one object. */
function readOutlet(markup: VueMarkup, node: ElementNode, scope: Scope): TemplateNode {
  const bound = node.props.some((one) => one.type !== attribute && one.name === 'bind' && argOf(one) === 'name');
  const slot = bound ? anySlot : slotMember(constantAttribute(node, 'name')?.value?.content ?? '');
  const { bindings, spreads } = readAttributes(
    markup,
    { ...node, props: node.props.filter((one) => nameOf(one) !== 'name') },
    scope,
    false,
  );
  return outlet(slot, spanOf(node), bindings.map(asHanded), spreads, readChildren(markup, node.children, scope), hasText(node));
}

/** What a slot hands out are members of an object, whatever they are named: `:on-click` is `onClick`. */
const asHanded = (binding: Binding): Binding =>
  binding.to.kind === 'event' && binding.direction === 'in'
    ? { ...binding, to: { kind: 'prop', name: camel(`on-${binding.to.name}`) } }
    : binding;

function nameOf(prop: AttributeNode | DirectiveNode): string | undefined {
  return prop.type === attribute ? prop.name : prop.name === 'bind' ? argOf(prop as DirectiveNode) : undefined;
}

function argOf(found: DirectiveNode): string | undefined {
  return found.arg && 'isStatic' in found.arg && found.arg.isStatic ? found.arg.content : undefined;
}

type Content = { readonly children: readonly TemplateNode[]; readonly hands?: number[]; readonly slots: readonly Binding[] };

/** What stands between the tags of a use: the default slot, and templates for the others. */
function readContent(markup: VueMarkup, node: ElementNode, scope: Scope): Content {
  const own = directive(node, 'slot');
  if (own) {
    const given = readSlot(markup, own, node.children, scope);
    const key = slotMember(argOf(own) ?? 'default');
    if (key === defaultSlot) return { children: given.nodes, ...(given.values.length > 0 ? { hands: given.values } : {}), slots: [] };
    return { children: [], slots: [slotBinding(own, key, given)] };
  }
  const slots: Binding[] = [];
  const rest: TemplateChildNode[] = [];
  let children: TemplateNode[] = [];
  let hands: number[] | undefined;
  for (const child of withSlotDirectives(node.children, markup.isNewer === true)) {
    const tag = (child.type as number) === element ? (child as ElementNode) : undefined;
    const slot = tag?.tag === 'template' ? directive(tag, 'slot') : undefined;
    if (!tag || !slot) {
      rest.push(child);
      continue;
    }
    const key = slot.arg && argOf(slot) === undefined ? anySlot : slotMember(argOf(slot) ?? 'default');
    const each = directive(tag, 'for')?.forParseResult;
    const source = rangeOf(each?.source);
    const list = source && expressionAt(markup, source);
    const pattern = each?.value && patternAt(markup, each.value);
    let given: Given = { nodes: [], values: [] };
    const read = (inner: Scope): readonly TemplateNode[] => {
      given = readSlot(markup, slot, tag.children, inner);
      return given.nodes;
    };
    const nodes = list ? [repeat(markup, list, pattern ? { pattern } : {}, spanOf(tag), scope, read)] : read(scope);
    const condition = conditionOf(markup, directive(tag, 'if', 'else-if'));
    const shown = condition ? [branch(markup, condition, false, scope, nodes)] : [...nodes];
    if (key === defaultSlot) {
      children = shown;
      if (given.values.length > 0) hands = given.values;
    } else slots.push(slotBinding(slot, key, { ...given, nodes: shown }));
  }
  const loose = readChildren(markup, rest, scope);
  return { children: [...children, ...loose], ...(hands ? { hands } : {}), slots };
}

type Given = { readonly nodes: TemplateNode[]; readonly values: number[] };

function slotBinding(found: DirectiveNode, key: MemberKey, given: Given): Binding {
  const nameSpan = found.arg ? spanOf(found.arg) : spanOf(found);
  return {
    to: memberOf(key),
    written: found.rawName ?? `#${memberOf(key).name}`,
    span: spanOf(found),
    nameSpan,
    direction: 'in',
    readings: [],
    markup: given.nodes,
    ...(given.values.length > 0 ? { slotProps: given.values } : {}),
  };
}

function readSlot(markup: VueMarkup, slot: DirectiveNode, children: readonly TemplateChildNode[], scope: Scope): Given {
  const pattern = slot.exp && patternAt(markup, slot.exp);
  const inner = innerScope(scope);
  const values: number[] = [];
  if (pattern && slot.exp) {
    const names = patternNames(pattern);
    const whole = names.find((found) => found.path.length === 0 && !found.rest);
    const value = addValue(markup.body, {
      name: whole?.name ?? excerpt(markup.body.module, spanOf(slot.exp), 30),
      kind: 'handed',
      span: spanOf(slot.exp),
      from: [],
    });
    values.push(value);
    for (const found of names) inner.names.set(found.name, { kind: 'value', value, path: found.path });
  }
  return { nodes: readChildren(markup, children, inner), values };
}

type Attributes = { readonly bindings: Binding[]; readonly spreads: SpreadFact[]; readonly key: KeyFact; readonly ref?: Reading };

/** Tags that show what a component is given for a slot: the framework's own, and those by which packages for content take it out of its paragraphs. */
const outlets = new Set(['slot', 'ContentSlot', 'MDCSlot']);

const structural = new Set(['if', 'else-if', 'else', 'for', 'slot', 'pre', 'cloak', 'once']);

/** The attributes of a tag. `native` for elements: their names stay as written, and `v-model` goes by the platform's own. */
function readAttributes(markup: VueMarkup, node: ElementNode, scope: Scope, native: boolean, tag = node.tag): Attributes {
  const bindings: Binding[] = [];
  const spreads: SpreadFact[] = [];
  let key: KeyFact = noKey;
  let ref: Reading | undefined;
  for (const one of node.props) {
    if (one.type === attribute) {
      if (one.name === 'key') key = { kind: 'constant', span: spanOf(one), text: one.value?.content ?? '' };
      else if (one.name === 'ref') ref = handleOf(markup, one, scope);
      else if (one.name !== 'is' || node.tag !== 'component') bindings.push(constant(markup, one, native));
      continue;
    }
    const found = one as DirectiveNode;
    if (structural.has(found.name)) continue;
    if (found.name === 'on') readEvent(markup, found, scope, native, bindings, spreads);
    else if (found.name === 'model') readModel(markup, node, found, scope, native, bindings);
    else if (found.name === 'bind' && argOf(found) === 'key') key = keyOf(markup, found, scope);
    else if (found.name === 'bind' && argOf(found) === 'is' && /^component$/i.test(node.tag)) continue;
    else if (found.name === 'bind') readBound(markup, found, scope, native, tag, bindings, spreads);
    else append(bindings, readOther(markup, found, scope));
  }
  return { bindings, spreads, key, ...(ref ? { ref } : {}) };
}

/** `ref="form"`: the value of the setup that holds the handle. */
function handleOf({ body }: Markup, given: AttributeNode, scope: Scope): Reading | undefined {
  const name = given.value?.content;
  const meaning = name === undefined ? undefined : (lookUp(scope, `$refs.${name}`, spanOf(given)) ?? lookUp(scope, name));
  if (meaning?.kind !== 'value' && meaning?.kind !== 'box') return undefined;
  const facts = body.values[meaning.value];
  if (facts?.kind === 'state') facts.kind = 'ref';
  return { value: meaning.value, path: [], how: 'same', span: spanOf(given) };
}

/** What an attribute is to: of an element what it says, of a component a prop. */
function attributeTarget(native: boolean, name: string): BindingTarget {
  return native ? { kind: 'attribute', name } : memberOf(propMember(propName(name)));
}

const modifiersOf = (found: DirectiveNode): { modifiers?: readonly string[] } =>
  found.modifiers.length > 0 ? { modifiers: found.modifiers.map((one) => one.content).filter((one) => one !== 'prop') } : {};

function constant(markup: VueMarkup, given: AttributeNode, native: boolean): Binding {
  const text = given.value ? markup.text.slice(given.value.loc.start.offset, given.value.loc.end.offset) : 'true';
  return {
    to: attributeTarget(native, given.name),
    written: given.name,
    span: spanOf(given),
    nameSpan: spanOf({ loc: given.nameLoc }),
    direction: 'in',
    readings: [],
    constant: text,
  };
}

/** `:boat="boat"`, `:boat`, `v-bind="all"`, `:[name]="value"`. */
function readBound(
  markup: VueMarkup,
  found: DirectiveNode,
  scope: Scope,
  native: boolean,
  tag: string,
  bindings: Binding[],
  spreads: SpreadFact[],
): void {
  const range = rangeOf(found.exp);
  const arg = argOf(found);
  const span = spanOf(found);
  const { body } = markup;
  if (arg === undefined) {
    const node = range && expressionAt(markup, range);
    const readings = node ? readingsOf(body, node, scope, 'spread') : [];
    for (const read of readings) {
      if (body.values[read.value]?.kind !== 'rest') continue;
      body.restTargets.pop();
      body.restTargets.push({ kind: native ? 'element' : tag === '' ? 'unknown' : 'use', tag });
    }
    const names = node?.type === 'ObjectExpression' && !found.arg ? namesOf(node) : undefined;
    spreads.push({ span, readings, ...(names ? { keys: names.map(propMember) } : {}) });
    return;
  }
  const nameSpan = found.arg ? spanOf(found.arg) : span;
  const isProperty = native && (/^\./.test(found.rawName ?? '') || found.modifiers.some((one) => one.content === 'prop'));
  const binding: Writable<Binding> = {
    to: isProperty ? { kind: 'property', name: camel(arg) } : attributeTarget(native, arg),
    written: found.rawName ?? `:${arg}`,
    ...modifiersOf(found),
    span,
    nameSpan,
    direction: 'in',
    readings: [],
  };
  const node = range ? expressionAt(markup, range) : sameName(arg, nameSpan);
  const inner = node && bare(node);
  const made = inner && madeIn(inner);
  if (made) binding.made = made;
  if (inner && /^(String|Numeric|Boolean|Null)Literal$/.test(inner.type))
    binding.constant = range ? markup.text.slice(range.start, range.end) : '';
  else if (isFunction(inner)) binding.readings = [keptFunction(body, arg, inner, scope)];
  else if (inner) binding.readings = readingsOf(body, inner, scope);
  const call = inner && callGiven(body, inner, scope);
  if (call) binding.call = call;
  if (range && inner && binding.readings.length === 0 && binding.constant === undefined) binding.constant = excerpt(body.module, range);
  if (inner?.type === 'Identifier' && !lookUp(scope, inner.name)) {
    const component = /^[A-Z]/.test(inner.name) ? markup.component(inner.name) : undefined;
    if (component !== undefined) binding.component = component;
  }
  bindings.push(binding);
  // The older way to bind both ways by a name: what it tells by `update:` is written back.
  if (native || !node || !range || !found.modifiers.some((one) => one.content === 'sync')) return;
  const name = camel(arg);
  const action = writing(markup, name, node, [], range, scope);
  binding.direction = 'two-way';
  const { written, modifiers } = binding;
  bindings.push({
    to: { kind: 'model', name },
    written,
    ...(modifiers ? { modifiers } : {}),
    span,
    nameSpan,
    direction: 'out',
    readings: [],
    action,
  });
}

/** `:boat` is `:boat="boat"`. */
function sameName(arg: string, span: Span): t.Expression {
  return { type: 'Identifier', name: camel(arg), start: span.start, end: span.end } as unknown as t.Expression;
}

function namesOf(node: t.ObjectExpression): string[] | undefined {
  const names = node.properties.map((one) =>
    one.type !== 'SpreadElement' && !one.computed && one.key.type === 'Identifier' ? one.key.name : undefined,
  );
  return names.every((name): name is string => name !== undefined) ? names : undefined;
}

/** `@book="add"`, `@click="open = !open"`, `v-on="handlers"`. */
function readEvent(
  markup: VueMarkup,
  found: DirectiveNode,
  scope: Scope,
  native: boolean,
  bindings: Binding[],
  spreads: SpreadFact[],
): void {
  const range = rangeOf(found.exp);
  const arg = argOf(found);
  const span = spanOf(found);
  if (arg === undefined) {
    const node = range && expressionAt(markup, range);
    const names = node && 'type' in node ? objectNames(bare(node)) : undefined;
    const keys = names ? { keys: names.map((name) => eventKey(name)) } : {};
    spreads.push({ span, readings: node ? readingsOf(markup.body, node, scope, 'spread') : [], ofEvents: true, ...keys });
    return;
  }
  const member = memberOf(eventMember(arg));
  const handler = range ? handlerAt(markup, member.name, range, scope) : { readings: [] };
  bindings.push({
    to: native ? { kind: 'listener', name: arg, on: 'self' } : member,
    written: found.rawName ?? `@${arg}`,
    ...modifiersOf(found),
    span,
    nameSpan: found.arg ? spanOf(found.arg) : span,
    direction: 'out',
    ...handler,
  });
  attachCallbacks(markup.body, handler.readings);
}

/** `v-model`: a value down and a change up, by the names that both sides know them by. */
function readModel(markup: VueMarkup, node: ElementNode, found: DirectiveNode, scope: Scope, native: boolean, bindings: Binding[]): void {
  const range = rangeOf(found.exp);
  const target = range && expressionAt(markup, range);
  if (!target || !range) return;
  const span = spanOf(found);
  const nameSpan = found.arg ? spanOf(found.arg) : span;
  const readings = readingsOf(markup.body, bare(target), scope);
  const typed = constantAttribute(node, 'type')?.value?.content;
  const own = nativeModel(node.tag, typed);
  const name = native ? own.attribute : camel(argOf(found) ?? 'modelValue');
  const written = found.rawName ?? 'v-model';
  const [down, up]: BindingTarget[] = native
    ? [
        { kind: 'attribute', name },
        { kind: 'listener', name: own.event, on: 'self' },
      ]
    : [
        { kind: 'prop', name },
        { kind: 'model', name },
      ];
  if (!down || !up) return;
  const action = writing(markup, up.name, target, native ? ['target', name] : [], range, scope);
  bindings.push({ to: down, written, ...modifiersOf(found), span, nameSpan, direction: 'two-way', readings });
  bindings.push({ to: up, written, ...modifiersOf(found), span, nameSpan, direction: 'out', readings: [], action });
}

/** `v-show`, `v-html`, `v-text` and directives of the project's own: what they are given shows on the element. */
function readOther(markup: VueMarkup, found: DirectiveNode, scope: Scope): Binding[] {
  const range = rangeOf(found.exp);
  const node = range && expressionAt(markup, range);
  const readings = node ? readingsOf(markup.body, node, scope) : [];
  const span = spanOf(found);
  const argument = argOf(found);
  return [
    {
      to: { kind: 'directive', name: found.name, ...(argument === undefined ? {} : { argument }) },
      written: found.rawName ?? `v-${found.name}`,
      ...modifiersOf(found),
      span,
      nameSpan: span,
      direction: 'in',
      readings,
    },
  ];
}

function keyOf(markup: VueMarkup, found: DirectiveNode, scope: Scope): KeyFact {
  const range = rangeOf(found.exp);
  const node = range && expressionAt(markup, range);
  const span = range ?? spanOf(found);
  const text = excerpt(markup.body.module, span);
  if (!node) return { kind: 'value', span, text };
  const inner = bare(node);
  if (inner.type === 'Identifier' && lookUp(scope, inner.name)?.kind === 'position') return { kind: 'position', span, text };
  if (inner.type === 'StringLiteral' || inner.type === 'NumericLiteral') return { kind: 'constant', span, text };
  return { kind: 'value', span, text };
}
