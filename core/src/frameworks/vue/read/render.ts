import type * as t from '@babel/types';
import type { Binding, KeyFact, Reading, SpreadFact, TemplateNode, TemplateUse } from '../../../model/facts';
import { anySlot, defaultSlot, type MemberKey, memberOf } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { branch, outlet, repeat, shownText } from '../../../read/markup/expressions';
import { bySlot, noteSlot, type SlottedNodes } from '../../../read/markup/slotted';
import { addValue, attachCallbacks, excerpt } from '../../../read/script/body';
import { readingsOf } from '../../../read/script/expressions';
import { declareAction, declareFunction } from '../../../read/script/functions';
import { bindLocal } from '../../../read/script/names';
import { innerScope, lookUp, type Scope } from '../../../read/script/scope';
import { bare, calleeName, dottedName, type FunctionNode, isFunction, keyName, patternNames, spanOf } from '../../../read/script/syntax';
import { eventMember, pascal, propMember, slotMember } from './names';
import type { VueMarkup } from './template';
import { append } from '../../../model/append';

const noKey: KeyFact = { kind: 'none' };

/** Functions that make what is shown: the framework's own, by their usual names. */
const making = /^(h|_h|createVNode|createElementVNode|createElementBlock|createBlock|createElement|_createVNode|jsx|jsxs)$/;
const slotObjects = /(^|\.)(slots|\$slots|\$scopedSlots)$/;

/** What is read of a function that renders, and whether all of it was understood. */
export type Rendered = { readonly nodes: TemplateNode[]; readonly isWhole: boolean };

type Reader = {
  readonly markup: VueMarkup;
  /** The slots that nodes say they are for. */
  readonly slotted: SlottedNodes<Span>;
  isWhole: boolean;
  depth: number;
};

/** The markup that a function gives: calls that make elements and components, lists, conditions, slots. Never throws. */
export function readRender(markup: VueMarkup, { run, scope, isBound }: Rendering): Rendered {
  const reader: Reader = { markup, slotted: new WeakMap(), isWhole: true, depth: 0 };
  const nodes = isBound ? bodyOf(reader, run, innerScope(scope)) : functionOf(reader, run, scope);
  return { nodes, isWhole: reader.isWhole };
}

/** A function that renders, with the names that it sees; `isBound` where its parameters are among them. */
export type Rendering = { readonly run: FunctionNode; readonly scope: Scope; readonly isBound?: true };

/** Whether a function gives something to show, or a function that does. */
export function rendersSomething(run: FunctionNode): boolean {
  const results =
    run.body.type === 'BlockStatement'
      ? run.body.body.flatMap((one) => (one.type === 'ReturnStatement' && one.argument ? [one.argument] : []))
      : [run.body];
  return results.some((one) => {
    const node = bare(one);
    return isMade(node) || (isFunction(node) && rendersSomething(node));
  });
}

const bodyOf = (reader: Reader, run: FunctionNode, scope: Scope): TemplateNode[] =>
  run.body.type === 'BlockStatement' ? blockOf(reader, run.body.body, scope) : nodesOf(reader, run.body, scope);

/** Functions that call each other are read in place to this depth. */
const deepest = 8;

function functionOf(reader: Reader, run: FunctionNode, scope: Scope, given: readonly t.Node[] = []): TemplateNode[] {
  if (reader.depth >= deepest) {
    reader.isWhole = false;
    return [];
  }
  reader.depth++;
  const inner = innerScope(scope);
  run.params.forEach((param, at) => {
    const argument = given[at];
    bindLocal(param, argument ? readingsOf(reader.markup.body, argument, scope) : [], inner);
  });
  const nodes = bodyOf(reader, run, inner);
  reader.depth--;
  return nodes;
}

function blockOf(reader: Reader, statements: readonly t.Statement[], scope: Scope): TemplateNode[] {
  const { markup } = reader;
  const nodes: TemplateNode[] = [];
  for (const [at, statement] of statements.entries()) {
    switch (statement.type) {
      case 'ReturnStatement':
        if (statement.argument) append(nodes, nodesOf(reader, statement.argument, scope));
        return nodes;
      case 'VariableDeclaration':
        for (const { id, init } of statement.declarations) if (init) bindMade(reader, id, init, scope);
        break;
      case 'FunctionDeclaration':
        if (statement.id) declareFunction(markup.body, statement.id.name, statement, scope, 'handler', spanOf(statement.id));
        break;
      case 'IfStatement': {
        const then = blockOf(reader, statementsOf(statement.consequent), innerScope(scope));
        nodes.push(branch(markup, statement.test, false, scope, then));
        const leaves = statementsOf(statement.consequent).some((one) => one.type === 'ReturnStatement');
        const rest = leaves ? statements.slice(at + 1) : [];
        const other = blockOf(reader, [...(statement.alternate ? statementsOf(statement.alternate) : []), ...rest], innerScope(scope));
        if (other.length > 0) nodes.push(branch(markup, statement.test, true, scope, other));
        if (leaves) return nodes;
        break;
      }
      default:
        reader.isWhole = false;
    }
  }
  return nodes;
}

const statementsOf = (node: t.Statement): readonly t.Statement[] => (node.type === 'BlockStatement' ? node.body : [node]);

/** A variable of a function that renders: a function, markup, or a value. */
function bindMade(reader: Reader, id: t.Node, init: t.Node, scope: Scope): void {
  const node = bare(init);
  if (id.type === 'Identifier' && isFunction(node)) declareFunction(reader.markup.body, id.name, node, scope, 'handler', spanOf(id));
  else if (id.type === 'Identifier' && isMade(node))
    scope.names.set(id.name, { kind: 'markup', nodes: nodesOf(reader, node, scope), readings: [] });
  else bindLocal(id, readingsOf(reader.markup.body, node, scope), scope);
}

/** Whether an expression makes something to show by itself. */
function isMade(node: t.Node): boolean {
  if (node.type === 'ConditionalExpression') return isMade(bare(node.consequent)) || isMade(bare(node.alternate));
  if (node.type === 'ArrayExpression') return node.elements.some((one) => one !== null && isMade(bare(one)));
  if (node.type === 'JSXElement' || node.type === 'JSXFragment') return true;
  return node.type === 'CallExpression' && making.test(calleeName(node) ?? '');
}

/** What an expression shows. */
function nodesOf(reader: Reader, given: t.Node, scope: Scope): TemplateNode[] {
  const { markup } = reader;
  const node = bare(given);
  switch (node.type) {
    case 'ArrayExpression':
      return node.elements.flatMap((one) =>
        one === null ? [] : nodesOf(reader, one.type === 'SpreadElement' ? one.argument : one, scope),
      );
    case 'ConditionalExpression':
      return conditional(reader, node, scope);
    case 'LogicalExpression': {
      const right = nodesOf(reader, node.right, scope);
      if (node.operator === '&&') return [branch(markup, node.left, false, scope, right)];
      return [...nodesOf(reader, node.left, scope), branch(markup, node.left, true, scope, right)];
    }
    case 'CallExpression':
    case 'OptionalCallExpression':
      return calledNodes(reader, node, scope);
    case 'Identifier': {
      const meaning = lookUp(scope, node.name);
      if (meaning?.kind === 'markup') return [...meaning.nodes];
      if (meaning?.kind === 'function') return functionOf(reader, meaning.node, meaning.scope);
      return shownText(markup, node, scope, spanOf(node));
    }
    case 'ArrowFunctionExpression':
    case 'FunctionExpression':
      return functionOf(reader, node, scope);
    case 'JSXElement':
    case 'JSXFragment':
      reader.isWhole = false;
      return [];
    default:
      return shownText(markup, node, scope, spanOf(node));
  }
}

function conditional(reader: Reader, node: t.ConditionalExpression, scope: Scope): TemplateNode[] {
  const one = nodesOf(reader, node.consequent, scope);
  const other = nodesOf(reader, node.alternate, scope);
  return [
    branch(reader.markup, node.test, false, scope, one),
    ...(other.length > 0 ? [branch(reader.markup, node.test, true, scope, other)] : []),
  ];
}

type Call = t.CallExpression | t.OptionalCallExpression;

function calledNodes(reader: Reader, node: Call, scope: Scope): TemplateNode[] {
  const { markup } = reader;
  const name = calleeName(node) ?? '';
  const member = node.callee.type === 'MemberExpression' || node.callee.type === 'OptionalMemberExpression' ? node.callee : undefined;
  if (!member && making.test(name) && lookUp(scope, name)?.kind !== 'function') return [madeNode(reader, node, scope)];
  const slot = slotCalled(reader, node, member, scope);
  if (slot) return [slot];
  const method = member?.property.type === 'Identifier' && !member.computed ? member.property.name : undefined;
  const [first] = node.arguments;
  const callback = first && bare(first);
  if (member && (method === 'map' || method === 'flatMap') && isFunction(callback))
    return [repeated(reader, node, member.object, callback, scope)];
  const called = node.callee.type === 'Identifier' ? lookUp(scope, node.callee.name) : undefined;
  if (called?.kind === 'function') return functionOf(reader, called.node, called.scope, node.arguments);
  if (name === 'withDirectives' && first) return nodesOf(reader, first, scope);
  const outer = node.callee.type === 'Identifier' && !called ? markup.body.module.functions.get(node.callee.name) : undefined;
  if (outer) return functionOf(reader, outer, { names: new Map() }, node.arguments);
  if (name !== 'toDisplayString' && name !== 'String' && name !== 't') reader.isWhole = false;
  return shownText(markup, node, scope, spanOf(node));
}

function repeated(reader: Reader, node: t.Node, list: t.Node, callback: FunctionNode, scope: Scope): TemplateNode {
  const [item, position] = callback.params;
  const at = position?.type === 'Identifier' ? { position: position.name } : {};
  return repeat(reader.markup, list, { ...(item ? { pattern: item } : {}), ...at }, spanOf(node), scope, (inner) =>
    callback.body.type === 'BlockStatement' ? blockOf(reader, callback.body.body, inner) : nodesOf(reader, callback.body, inner),
  );
}

/** `slots.trigger({ expanded })`, `this.$slots.default?.()`, `renderSlot(slots, 'trigger', { expanded })`. */
function slotCalled(
  reader: Reader,
  node: Call,
  member: t.MemberExpression | t.OptionalMemberExpression | undefined,
  scope: Scope,
): TemplateNode | undefined {
  const isSlots = (one: t.Node): boolean =>
    slotObjects.test(
      (one.type === 'MemberExpression' && one.object.type === 'ThisExpression' ? dottedName(one.property) : dottedName(one)) ?? '',
    );
  const text = (one: t.Node | undefined): string | undefined => (one?.type === 'StringLiteral' ? one.value : undefined);
  const rendered = calleeName(node) === 'renderSlot';
  if (!rendered && !(member && isSlots(member.object))) return undefined;
  const name = rendered
    ? text(node.arguments[1])
    : member?.computed
      ? text(member.property)
      : member?.property.type === 'Identifier'
        ? member.property.name
        : undefined;
  const handed = node.arguments[rendered ? 2 : 0];
  const { bindings, spreads } = handed ? propsOf(reader, handed, scope, false) : { bindings: [], spreads: [] };
  const key = name === undefined ? anySlot : slotMember(name === 'default' ? '' : name);
  return outlet(key, spanOf(node), bindings, spreads, [], false);
}

/** `h('div', { … }, [ … ])`, `h(Chip, { onPress })`, `h(Dropdown, {}, { trigger: ({ open }) => … })`. */
function madeNode(reader: Reader, node: Call, scope: Scope): TemplateNode {
  const [type, second, third] = node.arguments;
  const span = spanOf(node);
  const of = type && bare(type);
  const { tag, isElement, dynamic } = tagOf(reader, of, scope);
  const nameSpan = of ? spanOf(of) : span;
  const isContent = second !== undefined && third === undefined && !isProps(bare(second), scope, isElement);
  const given = isContent ? undefined : second;
  const content = isContent ? second : third;
  const { bindings, spreads, key, slot }: Props = given
    ? propsOf(reader, given, scope, isElement)
    : { bindings: [], spreads: [], key: noKey };
  const noted = (made: TemplateNode): TemplateNode => {
    noteSlot(reader.slotted, [made], slot === 'default' ? undefined : slot, made.span);
    return made;
  };
  if (isElement) {
    const children = content ? nodesOf(reader, content, scope) : [];
    return noted({ kind: 'element', tag, span, nameSpan, bindings, spreads, children, key });
  }
  const below = content ? sharedOut(reader, contentOf(reader, bare(content), scope)) : { children: [], slots: [] };
  // What is all for slots that have names leaves nothing.
  const isText = content !== undefined && isShown(bare(content)) && below.slots.length === 0;
  const use: Writable<TemplateUse> = {
    kind: 'use',
    tag,
    span,
    nameSpan,
    bindings: [...bindings, ...below.slots],
    spreads,
    children: below.children,
    key,
    content: below.hands ? 'function' : below.children.length > 0 ? 'markup' : isText ? 'text' : 'none',
  };
  if (below.hands) use.slotProps = below.hands;
  if (dynamic && dynamic.length > 0) use.dynamic = dynamic;
  return noted(use);
}

/** Content of which each part that says which slot it is for goes there. */
function sharedOut({ slotted }: Reader, content: Content): Content {
  const parts = bySlot(content.children, slotted);
  const slots = [...parts].flatMap(([name, { at, nodes }]) =>
    at === undefined ? [] : [slotBinding(name, slotMember(name), at, { nodes, values: [] })],
  );
  return slots.length === 0 ? content : { ...content, children: parts.get('')?.nodes ?? [], slots: [...content.slots, ...slots] };
}

/** Content by itself, and not several for slots, an empty text or an empty list. */
const isShown = (content: t.Node): boolean =>
  content.type !== 'ObjectExpression' &&
  !(content.type === 'StringLiteral' && content.value === '') &&
  !(content.type === 'ArrayExpression' && content.elements.length === 0);

/** A second argument is what a tag is given, unless it can only be content. */
function isProps(node: t.Node, scope: Scope, isElement: boolean): boolean {
  if (node.type === 'ObjectExpression') {
    const holdsSlots = node.properties.some(
      (one) => one.type !== 'SpreadElement' && (one.type === 'ObjectMethod' || isFunction(one.value)),
    );
    const isHeard = node.properties.some(
      (one) => one.type !== 'SpreadElement' && /^(on[A-Z:]|key$|class$|style$|ref$)/.test(keyName(one) ?? ''),
    );
    return isElement || !holdsSlots || isHeard || node.properties.length === 0;
  }
  if (node.type === 'Identifier') return lookUp(scope, node.name)?.kind !== 'markup';
  return (
    node.type === 'NullLiteral' || (node.type === 'CallExpression' && calleeName(node) === 'mergeProps') || node.type === 'MemberExpression'
  );
}

function tagOf(
  { markup }: Reader,
  type: t.Node | undefined,
  scope: Scope,
): { tag: string; isElement: boolean; dynamic?: readonly Reading[] } {
  const resolved = type?.type === 'CallExpression' && calleeName(type) === 'resolveComponent' ? type.arguments[0] : type;
  if (resolved?.type === 'StringLiteral') {
    const known = markup.component(resolved.value);
    if (known !== undefined) return { tag: known, isElement: false };
    return resolved === type ? { tag: resolved.value, isElement: true } : { tag: pascal(resolved.value), isElement: false };
  }
  const name = dottedName(resolved);
  const root = name?.split('.')[0] ?? '';
  if (name === 'Fragment') return { tag: '', isElement: true };
  if (name !== undefined && !lookUp(scope, root) && markup.body.module.names.has(root)) return { tag: name, isElement: false };
  return { tag: '', isElement: false, dynamic: resolved ? readingsOf(markup.body, resolved, scope) : [] };
}

type Content = { readonly children: readonly TemplateNode[]; readonly hands?: readonly number[]; readonly slots: readonly Binding[] };

/** What a component is given as content: nodes, a function that makes them, or one for each slot. */
function contentOf(reader: Reader, content: t.Node, scope: Scope): Content {
  if (isFunction(content)) {
    const { nodes, values } = slotOf(reader, content, scope);
    return { children: nodes, ...(values.length > 0 ? { hands: values } : {}), slots: [] };
  }
  if (content.type !== 'ObjectExpression') return { children: nodesOf(reader, content, scope), slots: [] };
  let children: readonly TemplateNode[] = [];
  let hands: readonly number[] | undefined;
  const slots: Binding[] = [];
  for (const property of content.properties) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    const made = property.type === 'ObjectMethod' ? property : property.type === 'ObjectProperty' ? bare(property.value) : undefined;
    if (name === undefined || !made) {
      reader.isWhole = false;
      continue;
    }
    const given = isFunction(made) ? slotOf(reader, made, scope) : { nodes: nodesOf(reader, made, scope), values: [] };
    const key = slotMember(name === 'default' ? '' : name);
    if (key === defaultSlot) {
      children = given.nodes;
      if (given.values.length > 0) hands = given.values;
    } else slots.push(slotBinding(name, key, spanOf(property), given));
  }
  return { children, ...(hands ? { hands } : {}), slots };
}

type Given = { readonly nodes: readonly TemplateNode[]; readonly values: readonly number[] };

function slotBinding(name: string, key: MemberKey, span: Span, given: Given): Binding {
  return {
    to: memberOf(key),
    written: name,
    span,
    nameSpan: { start: span.start, end: span.start + name.length },
    direction: 'in',
    readings: [],
    markup: given.nodes,
    ...(given.values.length > 0 ? { slotProps: given.values } : {}),
  };
}

/** A function that makes the content of a slot: its parameter is what the slot hands out. */
function slotOf(reader: Reader, run: FunctionNode, scope: Scope): Given {
  const { body } = reader.markup;
  const inner = innerScope(scope);
  const [param] = run.params;
  const values: number[] = [];
  if (param) {
    const names = patternNames(param);
    const whole = names.find((found) => found.path.length === 0 && !found.rest);
    const value = addValue(body, {
      name: whole?.name ?? excerpt(body.module, spanOf(param), 30),
      kind: 'handed',
      span: spanOf(param),
      from: [],
    });
    values.push(value);
    for (const found of names) inner.names.set(found.name, { kind: 'value', value, path: found.path });
  }
  return { nodes: bodyOf(reader, run, inner), values };
}

type Props = {
  readonly bindings: Binding[];
  readonly spreads: SpreadFact[];
  readonly key: KeyFact;
  /** The slot of the component around it that it says it is for. */
  readonly slot?: string;
};

/** What a tag is given by an object: props, listeners, a key; anything else is open. */
function propsOf(reader: Reader, given: t.Node, scope: Scope, isElement: boolean): Props {
  const { body } = reader.markup;
  const props: Writable<Props> = { bindings: [], spreads: [], key: noKey };
  const add = (node: t.Node): void => {
    const inner = bare(node);
    if (inner.type === 'NullLiteral') return;
    if (inner.type === 'CallExpression' && calleeName(inner) === 'mergeProps') {
      for (const one of inner.arguments) add(one);
      return;
    }
    if (inner.type !== 'ObjectExpression') {
      props.spreads.push({ span: spanOf(inner), readings: readingsOf(body, inner, scope, 'spread') });
      return;
    }
    const isOlder = isOlderData(inner);
    for (const property of inner.properties) {
      if (property.type === 'SpreadElement') add(property.argument);
      else if (!isOlder || !addOlder(reader, property, scope, isElement, props, add)) addProp(reader, property, scope, isElement, props);
    }
  };
  add(given);
  return props;
}

/** What the object of version 2 holds by kinds: `{ props: { … }, on: { … }, slot: 'title' }`. */
const olderKinds = /^(?:attrs|props|domProps|on|nativeOn|scopedSlots|slot)$/;
const olderKeys = /^(?:class|style|staticClass|directives|key|ref|refInFor|transition|show|model)$/;

/** Whether an object is one of version 2: it holds what a tag is given by kinds, each an object of its own, and nothing else. */
function isOlderData({ properties }: t.ObjectExpression): boolean {
  const named = properties.flatMap((one) => (one.type === 'ObjectProperty' ? [{ name: keyName(one) ?? '', value: bare(one.value) }] : []));
  const isKind = ({ name, value }: (typeof named)[number]): boolean =>
    olderKinds.test(name) && (name === 'slot' ? value.type === 'StringLiteral' : !/Literal$/.test(value.type));
  return named.length === properties.length && named.some(isKind) && named.every((one) => isKind(one) || olderKeys.test(one.name));
}

/** Adds what one kind of such an object holds; false for what stands there as it does in version 3. */
function addOlder(
  reader: Reader,
  property: t.ObjectProperty | t.ObjectMethod,
  scope: Scope,
  isElement: boolean,
  props: Writable<Props>,
  add: (node: t.Node) => void,
): boolean {
  const name = keyName(property) ?? '';
  const value = property.type === 'ObjectProperty' ? bare(property.value) : undefined;
  if (!value || !olderKinds.test(name)) return false;
  if (name === 'slot' && value.type === 'StringLiteral') props.slot = value.value;
  // Content for slots, by functions, is not followed: it may fill any.
  else if (name === 'scopedSlots') props.spreads.push({ span: spanOf(value), readings: [] });
  else if (value.type !== 'ObjectExpression' || !/^(?:on|nativeOn)$/.test(name)) add(value);
  else
    for (const one of value.properties) {
      const event = one.type === 'SpreadElement' ? undefined : keyName(one);
      if (one.type === 'SpreadElement' || event === undefined) props.spreads.push({ span: spanOf(one), readings: [], ofEvents: true });
      else addHeard(reader, one, event, scope, isElement || name === 'nativeOn', props);
    }
  return true;
}

/** Adds a listener of such an object, under the event’s own name. */
function addHeard(
  reader: Reader,
  property: t.ObjectProperty | t.ObjectMethod,
  event: string,
  scope: Scope,
  isNative: boolean,
  props: Writable<Props>,
): void {
  const { body } = reader.markup;
  const value = property.type === 'ObjectMethod' ? property : bare(property.value);
  const binding: Writable<Binding> = {
    to: isNative ? { kind: 'listener', name: event.replace(/^[~!&]+/, ''), on: 'self' } : memberOf(eventMember(event)),
    written: event,
    span: spanOf(property),
    nameSpan: spanOf(property.key),
    direction: 'out',
    readings: [],
  };
  if (isFunction(value)) binding.action = declareAction(body, event, 'handler', value, scope);
  else binding.readings = readingsOf(body, value, scope);
  attachCallbacks(body, binding.readings);
  props.bindings.push(binding);
}

function addProp(
  reader: Reader,
  property: t.ObjectProperty | t.ObjectMethod,
  scope: Scope,
  isElement: boolean,
  props: Writable<Props>,
): void {
  const { body } = reader.markup;
  const name = keyName(property);
  const span = spanOf(property);
  const value = property.type === 'ObjectMethod' ? property : bare(property.value);
  if (name === undefined) {
    props.spreads.push({ span, readings: [] });
    return;
  }
  if (name === 'key') {
    props.key = {
      kind: /Literal$/.test(value.type) ? 'constant' : 'value',
      span: spanOf(value),
      text: excerpt(body.module, spanOf(value)),
    };
    return;
  }
  if (name === 'ref' || (name === 'slots' && !isElement && value.type !== 'StringLiteral')) return;
  const heard = /^on(?:([A-Z].*)|(Update:.*))$/.exec(name)?.[1];
  const event = heard === undefined ? undefined : heard.charAt(0).toLowerCase() + heard.slice(1);
  const to =
    event === undefined
      ? isElement
        ? { kind: 'attribute' as const, name }
        : memberOf(propMember(name))
      : isElement
        ? { kind: 'listener' as const, name: event.toLowerCase().replace(/(once|capture|passive)$/, ''), on: 'self' as const }
        : memberOf(eventMember(event));
  const binding: Writable<Binding> = {
    to,
    written: name,
    span,
    nameSpan: spanOf(property.key),
    direction: event === undefined ? 'in' : 'out',
    readings: [],
  };
  if (isFunction(value)) binding.action = declareAction(body, name, 'handler', value, scope);
  else if (/^(String|Numeric|Boolean|Null)Literal$/.test(value.type)) binding.constant = excerpt(body.module, spanOf(value));
  else binding.readings = readingsOf(body, value, scope);
  if (event !== undefined) attachCallbacks(body, binding.readings);
  props.bindings.push(binding);
}
