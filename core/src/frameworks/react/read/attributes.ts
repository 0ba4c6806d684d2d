import type * as t from '@babel/types';
import { memberOf } from '../../../model/member';
import type { Binding, BindingTarget, KeyFact, Reading, SpreadFact, TemplateNode } from '../../../model/facts';
import type { Writable } from '../../../model/writable';
import { attachCallbacks, type Body, excerpt, newEffects, wholeProps } from '../../../read/script/body';
import { calledForNothing, callGiven } from '../../../read/script/called';
import { madeByCall } from '../../../read/script/made-functions';
import { readExpression, readingsOf } from '../../../read/script/expressions';
import { memberChain } from '../../../read/script/names';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, dottedName, type FunctionNode, isFunction, keyName, madeIn, spanOf } from '../../../read/script/syntax';
import { declareAction } from '../../../read/script/functions';
import { handedIn, handedOn, isComponentName } from './handed';
import { isComponentTag, platformAttribute, platformEvent, propMember } from './names';

export type Attributes = {
  readonly bindings: readonly Binding[];
  readonly spreads: readonly SpreadFact[];
  readonly key: KeyFact;
  readonly ref?: Reading;
};

/** Reads markup, and functions that give some; handed in, because markup holds attributes that hold markup. */
export type ReadMarkup = {
  readonly of: (body: Body, node: t.Node, scope: Scope) => TemplateNode[];
  readonly given: (body: Body, fn: FunctionNode, scope: Scope) => { nodes: TemplateNode[]; values: number[] };
};

type Given = t.JSXAttribute | t.JSXSpreadAttribute | t.Node;

const notProps = new Set(['key', 'ref']);
const none: readonly never[] = [];
const noAttributes: Attributes = { bindings: none, spreads: none, key: { kind: 'none' } };

/** The attributes of a tag, or the properties of a props object. `key` and `ref` are no props. */
export function readAttributes(body: Body, given: readonly Given[], scope: Scope, tag: string, markup: ReadMarkup): Attributes {
  if (given.length === 0) return noAttributes;
  const bindings: Binding[] = [];
  const spreads: SpreadFact[] = [];
  let key: KeyFact = noAttributes.key;
  let ref: Reading | undefined;
  for (const one of given) {
    if (one.type === 'JSXAttribute' || one.type === 'ObjectProperty') {
      const name = one.type === 'JSXAttribute' ? dottedName(one.name) : keyName(one);
      const value = one.type === 'JSXAttribute' ? attributeValue(one) : one.value;
      const nameNode: t.Node = one.type === 'JSXAttribute' ? one.name : one.key;
      if (name === undefined) spreads.push({ span: spanOf(one), readings: [] });
      else if (name === 'key' && value) key = keyOf(body, value, scope);
      else if (!notProps.has(name)) bindings.push(bindingOf(body, name, nameNode, one, value, scope, tag, markup));
      else if (value) ref = readingsOf(body, value, scope).map((read): Reading => ({ ...read, path: [...read.path, 'current'] }))[0];
    } else if (one.type === 'ObjectMethod') {
      const name = keyName(one) ?? '';
      const action = declareAction(body, name, 'handler', one, scope);
      bindings.push({
        ...targetOf(tag, name),
        written: name,
        span: spanOf(one),
        nameSpan: spanOf(one.key),
        direction: directionOf(name),
        readings: [],
        action,
      });
    } else if (one.type !== 'NullLiteral') {
      const argument = one.type === 'JSXSpreadAttribute' || one.type === 'SpreadElement' ? one.argument : one;
      spreads.push(spreadOf(body, argument, one, scope, tag));
      if (key.kind === 'none') key = { kind: 'spread', span: spanOf(one), text: excerpt(body.module, spanOf(one)) };
    }
  }
  return { bindings, spreads: spreads.length > 0 ? spreads : none, key, ...(ref ? { ref } : {}) };
}

function attributeValue(attribute: t.JSXAttribute): t.Node | undefined {
  const value = attribute.value;
  if (!value) return undefined;
  return value.type === 'JSXExpressionContainer' ? value.expression : value;
}

function directionOf(name: string): 'in' | 'out' {
  return /^on[A-Z]/.test(name) ? 'out' : 'in';
}

/** What an attribute is to: of a component a prop (or its content, as `children`), of an element a listener or an attribute. */
function targetOf(tag: string, name: string): { to: BindingTarget; modifiers?: readonly string[] } {
  if (isComponentTag(tag)) return { to: memberOf(propMember(name)) };
  const event = platformEvent(name);
  if (!event) return { to: { kind: 'attribute', name: platformAttribute(name) } };
  return { to: { kind: 'listener', name: event.name, on: 'self' }, ...(event.modifiers ? { modifiers: event.modifiers } : {}) };
}

function constantOf(body: Body, node: t.Node): string | undefined {
  switch (node.type) {
    case 'StringLiteral':
    case 'NumericLiteral':
    case 'BooleanLiteral':
    case 'NullLiteral':
      return excerpt(body.module, spanOf(node));
    case 'Identifier':
      return node.name === 'undefined' ? 'undefined' : undefined;
    case 'TemplateLiteral':
      return node.expressions.length === 0 ? excerpt(body.module, spanOf(node)) : undefined;
    case 'UnaryExpression':
      return node.argument.type === 'NumericLiteral' ? excerpt(body.module, spanOf(node)) : undefined;
    default:
      return undefined;
  }
}

/** Runtimes of markup that turn these into a class before the component is given its props. */
const styledByRuntime =
  /@jsx(?:ImportSource)?\s+(?:jsx\b|@emotion\/react|@?theme-ui)|from\s*['"](?:@emotion\/react|theme-ui|@theme-ui\/[\w-]+)['"]/;

/** The prop that a component is given for what stands in markup under a name. */
const givenAs = (body: Body, name: string, tag: string): string =>
  (name === 'sx' || name === 'css') && isComponentTag(tag) && styledByRuntime.test(body.module.text) ? 'className' : name;

function bindingOf(
  body: Body,
  name: string,
  nameNode: t.Node,
  whole: t.Node,
  value: t.Node | undefined,
  scope: Scope,
  tag: string,
  markup: ReadMarkup,
): Binding {
  const binding: Writable<Binding> = {
    ...targetOf(tag, givenAs(body, name, tag)),
    written: name,
    span: spanOf(whole),
    nameSpan: spanOf(nameNode),
    direction: directionOf(name),
    readings: none,
  };
  const node = value && bare(value);
  // Of what becomes a class nothing is left but that it is one.
  if (node && givenAs(body, name, tag) !== name) {
    binding.readings = readingsOf(body, node, scope);
    return binding;
  }
  const constant = node ? constantOf(body, node) : 'true';
  if (!node || constant !== undefined) {
    binding.constant = constant ?? 'true';
    return binding;
  }
  // A form runs the function that it is given as its action.
  if (!isComponentTag(tag) && /^(action|formAction)$/.test(name)) binding.direction = 'out';
  const formed = madeIn(node);
  if (formed) binding.made = formed;
  const holdsMarkup = body.module.holdsMarkup(node);
  if (isFunction(node)) {
    binding.action = declareAction(body, name, 'handler', node, scope);
    if (holdsMarkup) {
      const rendered = markup.given(body, node, scope);
      binding.markup = rendered.nodes;
      binding.slotProps = rendered.values;
    }
    return binding;
  }
  const made = binding.direction === 'out' ? madeByCall(body, node, scope) : undefined;
  if (made !== undefined) {
    binding.action = made;
    return binding;
  }
  const called = binding.direction === 'out' ? calledForNothing(body, node, scope) : undefined;
  if (called) binding.called = called;
  const call = callGiven(body, node, scope);
  if (call) binding.call = call;
  const sink = newEffects();
  readExpression(body, node, scope, 'same', sink);
  if (sink.reads.length > 0) binding.readings = sink.reads;
  if (binding.direction === 'out' && !isComponentTag(tag)) attachCallbacks(body, sink.reads);
  const kept = node.type === 'Identifier' ? lookUp(scope, node.name) : undefined;
  if (holdsMarkup || kept?.kind === 'markup' || givesMarkup(body, node, scope)) binding.markup = markup.of(body, node, scope);
  else if (node.type === 'Identifier' && !kept && isComponentName(node.name)) {
    binding.component = node.name;
    binding.markup = [handedOn(node.name, node)];
  }
  if (/^(Object|Array|Conditional|Logical|Call)Expression$/.test(node.type)) {
    const handed = handedIn(node, (one) => body.module.names.has(one) && !lookUp(scope, one));
    if (handed.length > 0) binding.markup = [...(binding.markup ?? []), ...handed];
  }
  return binding;
}

/** `right={face(task)}`: a call of a function of the component or the module that gives markup. */
function givesMarkup(body: Body, node: t.Node, scope: Scope): boolean {
  if (node.type !== 'CallExpression' || node.callee.type !== 'Identifier') return false;
  const meaning = lookUp(scope, node.callee.name);
  const called = meaning?.kind === 'function' ? meaning.node : meaning ? undefined : body.module.functions.get(node.callee.name);
  return called !== undefined && body.module.holdsMarkup(called);
}

/** `key={…}`: by position, by something of the item, or the same for all. */
export function keyOf(body: Body, value: t.Node, scope: Scope): KeyFact {
  const sink = newEffects();
  readExpression(body, value, scope, 'same', sink);
  const shared = { span: spanOf(value), text: excerpt(body.module, spanOf(value)) };
  const varying = sink.reads.some((one) => body.values[one.value]?.kind !== 'module');
  if (sink.position) return { kind: sink.reads.some((one) => variesByItem(body, one.value)) ? 'value' : 'position', ...shared };
  if (varying || !constantOf(body, bare(value))) return { kind: 'value', ...shared };
  return { kind: 'constant', ...shared };
}

function variesByItem(body: Body, value: number): boolean {
  const kind = body.values[value]?.kind;
  return kind === 'item' || kind === 'handed';
}

/** `{...rest}`: the rest of the props goes on to this tag; any other object is open, unless it is written here. */
function spreadOf(body: Body, argument: t.Node, whole: t.Node, scope: Scope, tag: string): SpreadFact {
  const span = spanOf(whole);
  const node = bare(argument);
  if (node.type === 'Identifier') {
    const meaning = lookUp(scope, node.name);
    const rest = meaning?.kind === 'value' && body.values[meaning.value]?.kind === 'rest' && meaning.path.length === 0;
    if (rest || meaning?.kind === 'props') {
      const known = !lookUp(scope, tag.split('.')[0] ?? '');
      body.restTargets.push({ kind: isComponentTag(tag) ? (known ? 'use' : 'unknown') : 'element', tag });
      const value = rest ? meaning.value : wholeProps(body, span);
      return { span, readings: [{ value, path: [], how: 'spread', span: spanOf(node) }] };
    }
  }
  if (node.type === 'MemberExpression' && memberChain(node).base.type === 'ThisExpression') body.propsEscape = true;
  const sink = newEffects();
  readExpression(body, argument, scope, 'spread', sink);
  if (node.type === 'ObjectExpression') {
    const names = node.properties.map((property) => (property.type === 'SpreadElement' ? undefined : keyName(property)));
    if (names.every((name): name is string => name !== undefined)) return { span, readings: sink.reads, keys: names.map(propMember) };
  }
  return { span, readings: sink.reads };
}
