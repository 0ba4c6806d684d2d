import type * as t from '@babel/types';
import { memberKeyOf } from '../../model/given';
import { takenFrom } from '../../model/taken';
import type { ArgFact, CallFact, ChangeFact, How, OriginFact, Reading, ValueFact, ValueKind } from '../../model/facts';
import { contains, type Span } from '../../model/span';
import type { Writable } from '../../model/writable';
import {
  addAction,
  addCall,
  addValue,
  type Body,
  excerpt,
  fillAction,
  mergeReadings,
  moduleValue,
  newEffects,
  noteDemanded,
  propValue,
  type Effects,
  noteTest,
} from './body';
import { addingMethods, arrayMethods, collectionMethods, inPlaceMethods, itemMethods, listOrder, shufflingMethods } from './lists';
import {
  bindLocal,
  type Chain,
  demand,
  howOf,
  marksOf,
  memberChain,
  unaliased,
  mergeInto,
  noteTested,
  ownMeaning,
  readMeaning,
  readName,
  weaken,
} from './names';
import { commandOf, commandsOfModule, dispatchedBy, isSelecting, toldTo } from './central';
import { changedBack } from './param-changes';
import { originOfCall, originOfRequest, renewedBy } from './origins';
import { type Aliased, hoisted, innerScope, lookUp, type Meaning, type Scope, seesModule, unboxed, noteUndeclared } from './scope';
import { bare, dottedName, forEachChild, type FunctionNode, isFunction, keyName, patternNames, spanOf } from './syntax';
import { append } from '../../model/append';

const noPath: readonly string[] = [];

/** The readings of an expression on its own. */
export function readingsOf(body: Body, node: t.Node, scope: Scope, how: How = 'same'): Reading[] {
  const sink = newEffects();
  readExpression(body, node, scope, how, sink);
  return sink.reads;
}

/**
 * Adds to `sink` all that an expression reads, changes, raises and calls. `how` says what the
 * surrounding does with the expression's value; a value that is only part of the result is `computed`.
 */
export function readExpression(body: Body, expression: t.Node, scope: Scope, how: How, sink: Effects): void {
  const node = bare(expression);
  switch (node.type) {
    case 'Identifier':
      readName(body, node.name, noPath, how, node, scope, sink);
      return;
    // `import.meta` is no name.
    case 'MetaProperty':
      return;
    case 'MemberExpression':
    case 'OptionalMemberExpression':
      readChain(body, node, how, scope, sink);
      return;
    case 'CallExpression':
    case 'OptionalCallExpression':
      readCall(body, node, scope, how, sink);
      return;
    case 'ConditionalExpression':
      noteTested(body, node.test, scope);
      readDeciding(body, node.test, scope, sink);
      readExpression(body, node.consequent, scope, how, sink);
      readExpression(body, node.alternate, scope, how, sink);
      return;
    case 'LogicalExpression':
      noteTested(body, node.left, scope);
      if (node.operator === '&&') readDeciding(body, node.left, scope, sink);
      else readExpression(body, node.left, scope, how, sink);
      readExpression(body, node.right, scope, how, sink);
      return;
    case 'AssignmentExpression':
      readAssignment(body, node, scope, sink);
      return;
    case 'UpdateExpression':
      readExpression(body, node.argument, scope, 'computed', sink);
      noteWrite(body, node.argument, scope, spanOf(node), [], sink);
      return;
    case 'UnaryExpression':
      readExpression(body, node.argument, scope, 'computed', sink);
      if (node.operator === 'delete') noteWrite(body, node.argument, scope, spanOf(node), [], sink);
      return;
    case 'ObjectExpression':
      for (const property of node.properties) readProperty(body, property, scope, how, sink);
      return;
    case 'ArrayExpression':
      readItems(body, node, scope, how, sink);
      return;
    case 'FunctionExpression':
    case 'ArrowFunctionExpression':
      readFunctionInto(body, node, innerScope(scope), sink);
      return;
    case 'SequenceExpression':
      for (const one of node.expressions) readExpression(body, one, scope, how, sink);
      return;
    case 'NewExpression':
      readMaking(body, node, scope, sink);
      return;
    case 'ClassExpression':
    case 'StringLiteral':
    case 'NumericLiteral':
    case 'JSXText':
      return;
    case 'JSXAttribute':
      if (node.value) readExpression(body, node.value, scope, 'computed', sink);
      return;
    case 'JSXExpressionContainer':
      readExpression(body, node.expression, scope, how, sink);
      return;
    default:
      if (node.type.startsWith('TS')) return;
      forEachChild(node, (child) => readExpression(body, child, scope, child.type === 'SpreadElement' ? 'spread' : 'computed', sink));
  }
}

/** Reads what only decides what an expression gives. */
function readDeciding(body: Body, node: t.Node, scope: Scope, sink: Effects): void {
  const inner = newEffects();
  readExpression(body, node, scope, 'computed', inner);
  addDeciding(sink, inner);
}

function addDeciding(sink: Effects, inner: Effects): void {
  for (const read of inner.reads) sink.reads.push({ ...read, decides: true });
  inner.reads.length = 0;
  mergeInto(sink, inner, 'same');
}

function readProperty(
  body: Body,
  property: t.ObjectProperty | t.ObjectMethod | t.SpreadElement,
  scope: Scope,
  how: How,
  sink: Effects,
): void {
  const keeps = how === 'same' || how === 'spread';
  if (property.type === 'SpreadElement') {
    if (keeps) readHeld(body, property.argument, scope, [], 'spread', sink);
    else readExpression(body, property.argument, scope, 'computed', sink);
    return;
  }
  if (property.computed) readExpression(body, property.key, scope, 'computed', sink);
  const key = keyName(property) ?? '*';
  if (property.type === 'ObjectMethod') {
    if (keeps) readHeld(body, property, scope, [key], 'same', sink);
    else readFunctionInto(body, property, innerScope(scope), sink);
  } else if (keeps) readHeld(body, property.value, scope, [key], 'same', sink);
  else readExpression(body, property.value, scope, 'computed', sink);
}

function readItems(body: Body, node: t.ArrayExpression, scope: Scope, how: How, sink: Effects): void {
  let counted = true;
  for (const [at, one] of node.elements.entries()) {
    if (!one) continue;
    if (one.type === 'SpreadElement') {
      counted = false;
      if (how === 'same') readHeld(body, one.argument, scope, [], 'spread', sink);
      else readExpression(body, one, scope, 'spread', sink);
    } else if (how === 'same') readHeld(body, one, scope, [counted ? String(at) : '*'], 'same', sink);
    else readExpression(body, one, scope, 'computed', sink);
  }
}

/** Reads what becomes a member of the object or list that is being made. */
function readHeld(body: Body, node: t.Node, scope: Scope, at: readonly string[], how: 'same' | 'spread', sink: Effects): void {
  const given = bare(node);
  const inner = newEffects();
  if (isFunction(given)) {
    const kept = keptFunction(body, at.at(-1) ?? 'function', given, scope);
    inner.reads.push(given.type === 'ObjectMethod' && given.kind === 'get' ? { ...kept, path: ['()'] } : kept);
  } else readExpression(body, given, scope, how, inner);
  for (const read of inner.reads) {
    const held = {
      at: read.held ? [...at, ...read.held.at] : at,
      how: read.held?.how ?? (how === 'spread' && read.how === 'same' ? 'spread' : read.how),
    };
    sink.reads.push({
      value: read.value,
      path: read.path,
      how: how === 'spread' && node.type !== 'ObjectMethod' ? spreadHow(read.how) : weaken(read.how, 'computed'),
      span: read.span,
      ...marksOf(read),
      held,
    });
  }
  inner.reads.length = 0;
  mergeInto(sink, inner, 'same');
}

function spreadHow(how: How): How {
  return how === 'called' ? 'called' : how === 'spread' ? 'spread' : 'computed';
}

/** A function written in place that something keeps: a value of the body, read on its own. */
export function keptFunction(body: Body, name: string, node: FunctionNode, scope: Scope): Reading {
  const span = spanOf(node);
  const action = addAction(body, name, 'handler', span);
  const value = addValue(body, { name, kind: 'function', span, from: [], action });
  body.queue.push(() => readActionInto(body, action, node, scope));
  return { value, path: noPath, how: 'same', span };
}

/** Reads a function into its action; its parameters are values of the body. */
export function readActionInto(body: Body, action: number, node: FunctionNode, scope: Scope): void {
  const sink = newEffects();
  const inner = innerScope(scope);
  bindParams(body, node, inner, action);
  readFunctionInto(body, node, inner, sink, node.params.length);
  fillAction(body, action, sink);
  const facts = body.actions[action];
  if (!facts) return;
  if (node.body.type === 'BlockStatement' && node.body.directives.some((one) => one.value.value === 'use server')) facts.onServer = true;
  if (stopsEvents(node.body.type === 'BlockStatement' ? node.body.body : [node.body])) facts.stops = true;
}

/** Whether what runs keeps an event from going further: `event.stopPropagation()` among its own statements, so that it is always reached. */
export function stopsEvents(statements: readonly t.Node[]): boolean {
  return statements.some((one) => {
    const call = bare(one.type === 'ExpressionStatement' ? one.expression : one);
    const { callee } = call.type === 'CallExpression' ? call : { callee: undefined };
    return callee?.type === 'MemberExpression' && /^stop(?:Immediate)?Propagation$/.test(keyName({ key: callee.property }) ?? '');
  });
}

/** Makes each parameter of a function a value of the body; without an action they are the body's own. */
export function bindParams(body: Body, node: FunctionNode, scope: Scope, action?: number): void {
  for (const [position, parameter] of node.params.entries()) {
    const names = patternNames(parameter);
    if (names.length === 0) continue;
    const whole = names.find((found) => found.path.length === 0);
    const value = addValue(body, {
      name: whole?.name ?? excerpt(body.module, spanOf(parameter), 30),
      kind: 'param',
      span: spanOf(whole?.node ?? parameter),
      from: noReadings,
      position,
      ...(action === undefined ? {} : { of: action }),
    });
    for (const found of names) scope.names.set(found.name, { kind: 'value', value, path: found.path });
  }
}

const noReadings: readonly Reading[] = [];

/** What is handed to content by a call, one list for each argument; a function written in place is kept, for whoever is handed it. */
export function handedReadings(body: Body, given: readonly t.Node[], scope: Scope): Reading[][] {
  return given.map((one) => {
    const node = bare(one);
    return isFunction(node) ? [keptFunction(body, 'callback', node, scope)] : readingsOf(body, one, scope);
  });
}

/** What the arguments of a call read, each on its own. */
export function readArgs(body: Body, given: readonly t.Node[], scope: Scope, sink: Effects): ArgFact[] {
  return given.map((one): ArgFact => {
    const node = bare(one.type === 'SpreadElement' ? one.argument : one);
    if (isFunction(node)) {
      const reading = keptFunction(body, 'callback', node, scope);
      const action = body.values[reading.value]?.action;
      if (action !== undefined) addCall(sink, action);
      sink.reads.push({ ...reading, how: 'called' });
      return { readings: [reading], ...(action === undefined ? {} : { action }) };
    }
    if (node.type === 'ThisExpression') return { readings: [], isOwn: true };
    if (node.type === 'Identifier' && lookUp(scope, node.name)?.kind === 'emits') {
      body.raisesUnseen = true;
      return { readings: [], raises: true };
    }
    const inner = newEffects();
    readExpression(body, node, scope, one.type === 'SpreadElement' ? 'spread' : 'same', inner);
    mergeInto(sink, inner, 'computed');
    const constant = constantText(body, node);
    const flags = node.type === 'ObjectExpression' ? flagsOf(node) : undefined;
    const texts = node.type === 'ConditionalExpression' ? chosenTexts(node) : undefined;
    return {
      readings: inner.reads,
      ...(constant === undefined ? {} : { constant }),
      ...(texts ? { texts } : {}),
      ...(flags ? { flags } : {}),
    };
  });
}

/** The texts between which an expression chooses; undefined where it may be something else. */
function chosenTexts(given: t.Node): string[] | undefined {
  const node = bare(given);
  if (node.type === 'StringLiteral') return [node.value];
  if (node.type !== 'ConditionalExpression') return undefined;
  const [one, other] = [chosenTexts(node.consequent), chosenTexts(node.alternate)];
  return one && other && [...one, ...other];
}

/** The members of an object that are flags; undefined for none. */
function flagsOf(node: t.ObjectExpression): Record<string, boolean> | undefined {
  const flags: Record<string, boolean> = {};
  for (const one of node.properties) {
    const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    const value = one.type === 'ObjectProperty' ? bare(one.value) : undefined;
    if (name !== undefined && value?.type === 'BooleanLiteral') flags[name] = value.value;
  }
  return Object.keys(flags).length > 0 ? flags : undefined;
}

/** A constant as written: a text, a number, `true`, `null`, and lists and objects of such. */
export function constantText(body: Body, node: t.Node): string | undefined {
  switch (node.type) {
    case 'StringLiteral':
    case 'NumericLiteral':
    case 'BooleanLiteral':
    case 'NullLiteral':
      return excerpt(body.module, spanOf(node));
    case 'TemplateLiteral':
      return node.expressions.length === 0 ? excerpt(body.module, spanOf(node)) : undefined;
    case 'ArrayExpression':
    case 'ObjectExpression':
      return isWholeConstant(body, node) ? excerpt(body.module, spanOf(node)) : undefined;
    default:
      return undefined;
  }
}

function isWholeConstant(body: Body, node: t.ArrayExpression | t.ObjectExpression): boolean {
  if (node.type === 'ArrayExpression') return node.elements.every((one) => one !== null && constantText(body, bare(one)) !== undefined);
  return node.properties.every(
    (one) => one.type === 'ObjectProperty' && !one.computed && constantText(body, bare(one.value)) !== undefined,
  );
}

function readAssignment(body: Body, node: t.AssignmentExpression, scope: Scope, sink: Effects): void {
  if (body.dialect.assign?.(body, node, scope, sink)) return;
  const inner = newEffects();
  const adds = !/^(?:\?\?|\|\||&&)?=$/.test(node.operator);
  readExpression(body, node.right, scope, adds ? 'computed' : 'same', inner);
  mergeInto(sink, inner, 'computed');
  const before = sink.changes?.length ?? 0;
  for (const target of targetsOf(node.left)) noteWrite(body, target, scope, spanOf(node), inner.reads, sink);
  // A field of the instance that is given another list, or whatever is given a list made of the one it had: how that grows.
  const order = adds ? undefined : listOrder(node.right);
  const isField = node.left.type === 'MemberExpression' && node.left.object.type === 'ThisExpression';
  for (const change of (sink.changes?.slice(before) ?? []) as Writable<ChangeFact>[]) {
    if (order && (isField || change.from.some(({ value }) => value === change.value))) change.order = order;
    if (adds || sink.depth > 1) change.isLater = true;
  }
}

/** What an assignment writes to: one name or member, or each that stands in a pattern. */
function targetsOf(left: t.Node): t.Node[] {
  switch (left.type) {
    case 'ArrayPattern':
      return left.elements.flatMap((one) => (one ? targetsOf(one) : []));
    case 'ObjectPattern':
      return left.properties.flatMap((one) => targetsOf(one.type === 'RestElement' ? one.argument : one.value));
    case 'AssignmentPattern':
      return targetsOf(left.left);
    case 'RestElement':
      return targetsOf(left.argument);
    default: {
      const target = bare(left);
      return target.type === 'MemberExpression' || target.type === 'Identifier' ? [target] : [];
    }
  }
}

/** `state.x = …`, `local = …`: a change of a value of the body, where it is one. */
export function noteWrite(body: Body, target: t.Node, scope: Scope, span: Span, from: readonly Reading[], sink: Effects): void {
  noteChainWrite(body, memberChain(target), scope, span, from, sink);
}

function noteChainWrite(body: Body, written: Chain, given: Scope, span: Span, from: readonly Reading[], sink: Effects): void {
  const { chain, scope } = unaliased(written, given);
  const { base } = chain;
  const own = base.type === 'ThisExpression' ? ownMeaning(body, chain.path, scope, span) : undefined;
  if (base.type !== 'Identifier' && !own) return;
  const name = base.type === 'Identifier' ? base.name : '';
  const found = own ? own.meaning : lookUp(scope, name);
  const { meaning, path } = found ? unboxed(found, own ? own.path : chain.path) : { meaning: found, path: chain.path };
  if (!meaning && body.module.names.has(name)) {
    const value = moduleValue(body, name, spanOf(base));
    (sink.changes ??= []).push({ value, span, how: path.length > 0 ? 'in-place' : 'assign', from, ...(path.length > 0 ? { path } : {}) });
    return;
  }
  const isParam = meaning?.kind === 'value' && body.values[meaning.value]?.kind === 'param';
  if (meaning && path.length === 0 && name !== '' && (meaning.kind === 'local' || isParam)) {
    rebind(scope, name, meaning, from);
    return;
  }
  const [prop, ...members] = path;
  if (meaning?.kind === 'props' && prop !== undefined && prop !== '*') {
    const how = members.length > 0 ? 'in-place' : 'assign';
    const to = members.length > 0 ? { path: members } : { toProps: true as const };
    (sink.changes ??= []).push({ value: propValue(body, prop, span), span, how, from, ...to });
  }
  if (meaning?.kind !== 'value') return;
  const value = body.values[meaning.value];
  if (!value || body.dialect.write?.(body, meaning.value, [...meaning.path, ...path], from, span, sink)) return;
  if (value.kind === 'derived' && path.length === 0) {
    value.from = [...value.from, ...from];
    if (value.plain) (sink.changes ??= []).push({ value: meaning.value, span, how: 'assign', from });
  } else if (value.unfollowed) {
    (sink.changes ??= []).push({ value: meaning.value, span, how: 'in-place', from, path: [...meaning.path, ...path] });
    return;
  } else if (value.kind === 'derived')
    value.from = [
      ...value.from,
      ...from.map((one): Reading => ({ ...one, how: 'computed', held: { at: path, how: one.held?.how ?? one.how } })),
    ].slice(0, 40);
  const whole = [...meaning.path, ...path];
  // The box that is followed, and not what it holds.
  const isBoxItself = found?.kind === 'box' && found.path.length === 0 && !own && chain.path.length === 0;
  // A member of the object of all state is set by what sets state, and not by hand.
  const isByHand = own?.ofState === true && !body.rendersOnDemand;
  if (value.kind === 'prop' && !body.dialect.propsWritable && (own || body.dialect.propsReadOnly) && whole.length === 0) {
    (sink.changes ??= []).push({ value: meaning.value, span, how: 'assign', from, toProps: true });
    return;
  }
  if (!takesWrites.has(value.kind) && (whole.length === 0 || !sharesItsInside(value))) return;
  (sink.changes ??= []).push({
    value: meaning.value,
    span,
    how: whole.length > 0 || isByHand ? 'in-place' : 'assign',
    from,
    ...(whole.length > 0 ? { path: whole } : {}),
    ...(chain === written ? {} : { byAlias: true as const }),
    ...(whole.length === 0 && (value.ofObject || isBoxItself) ? { replaces: true as const } : {}),
  });
}

/** A local, or a parameter, is given another value: from here on it may be either, and is another name for nothing. */
function rebind(scope: Scope, name: string, meaning: Meaning, from: readonly Reading[]): void {
  const span: Span = { start: 0, end: 0 };
  const before: readonly Reading[] =
    meaning.kind === 'local'
      ? meaning.readings
      : meaning.kind === 'value'
        ? [{ value: meaning.value, path: meaning.path, how: howOf(meaning.path, 'same'), span: from[0]?.span ?? span }]
        : [];
  const readings = [...before, ...from.filter((one) => !before.includes(one))].slice(0, 20);
  for (let at: Scope | undefined = scope; at; at = at.outer) {
    if (!at.names.has(name)) continue;
    at.names.set(name, { kind: 'local', readings });
    return;
  }
}

const takesWrites: ReadonlySet<ValueKind> = new Set<ValueKind>(['state', 'ref', 'prop', 'store', 'module', 'item']);

/** A value that is a part of another, or is handed in: who writes to its inside writes to that. */
function sharesItsInside({ kind, from, once }: ValueFact): boolean {
  if (kind === 'handed' || kind === 'context' || kind === 'hook' || kind === 'param') return true;
  return kind === 'derived' && from.some(({ how, held }) => !held && (how === 'item' || how === 'part' || (once && how === 'same')));
}

/** `new X(…)`: a connection is where values come from; anything else is made from what it is given. */
function readMaking(body: Body, node: t.NewExpression, scope: Scope, sink: Effects): void {
  const name = node.callee.type === 'Identifier' ? node.callee.name : '';
  const kind = connections.get(name);
  if (kind && !body.module.names.has(name)) {
    const [first] = node.arguments;
    const what =
      first?.type === 'StringLiteral'
        ? first.value
        : first?.type === 'Identifier'
          ? (body.module.texts.get(first.name) ?? `{${first.name}}`)
          : name;
    const value = addValue(body, {
      name: what.replace(/^\{|\}$/g, ''),
      kind: 'fetched',
      span: spanOf(node),
      from: noReadings,
      origin: { kind, what },
    });
    sink.reads.push({ value, path: noPath, how: 'same', span: spanOf(node) });
  }
  forEachChild(node, (child) => readExpression(body, child, scope, child.type === 'SpreadElement' ? 'spread' : 'computed', sink));
}

const connections: ReadonlyMap<string, OriginFact['kind']> = new Map([
  ['BroadcastChannel', 'message'],
  ['WebSocket', 'message'],
  ['EventSource', 'message'],
  ['Worker', 'message'],
  ['MessageChannel', 'message'],
  ['URLSearchParams', 'url'],
]);

type Call = t.CallExpression | t.OptionalCallExpression;

/** A member of an object whose members are values of their own, with what is asked of it. */
function memberMeant(found: ReturnType<typeof unboxed>, span: Span): ReturnType<typeof unboxed> {
  const [name, ...rest] = found.path;
  return found.meaning.kind === 'members' && name !== undefined ? unboxed(found.meaning.of(name, span), rest) : found;
}

function readCall(body: Body, node: Call, scope: Scope, how: How, sink: Effects): void {
  const chain = memberChain(node.callee);
  const { base, path, optional, computed } = chain;
  if (chain.asserted && base.type === 'Identifier') demand(body, base.name, chain, scope, spanOf(node.callee));
  const hooked = node.type === 'CallExpression' ? body.dialect.hook?.(body, node, scope) : undefined;
  if (hooked !== undefined) {
    sink.reads.push({ value: hooked, path: noPath, how: how === 'item' ? 'item' : 'same', span: spanOf(node) });
    return;
  }
  for (const key of computed) readExpression(body, key, scope, 'computed', sink);
  if (base.type === 'ThisExpression' && body.dialect.onThis?.(body, node, path, scope, sink)) return;
  noteListChange(body, node, chain, scope, sink);
  noteAssigned(body, node, chain, scope, sink);
  const optionalCall = optional || (node.type === 'OptionalCallExpression' && node.optional);
  const own = base.type === 'ThisExpression' ? ownMeaning(body, path, scope, spanOf(node.callee)) : undefined;
  const found = base.type === 'Identifier' ? lookUp(scope, base.name, spanOf(base)) : own?.meaning;
  const { meaning, path: members } = found
    ? memberMeant(unboxed(found, own ? own.path : path), spanOf(node.callee))
    : { meaning: found, path };
  if (body.dialect.call?.(body, node, { base, path }, scope, sink)) return;
  if (meaning) readCalled(body, node, meaning, members, optionalCall, how, scope, sink);
  else if (base.type === 'Identifier') {
    if (body.module.names.has(base.name) && seesModule(scope)) readModuleCall(body, node, base, path, how, scope, sink);
    else {
      noteUndeclared(scope, { name: base.name, span: spanOf(base), ...(path.length > 0 ? { ofMember: true } : { ofCall: true }) });
      const origin = originOfCall(body, node, base.name, path);
      if (origin) {
        const value = addValue(body, { name: origin.what, kind: 'fetched', span: spanOf(node), from: noReadings, origin });
        sink.reads.push({ value, path: noPath, how: 'same', span: spanOf(node) });
      }
      readArguments(body, node, scope, sink, []);
    }
  } else {
    const inner = newEffects();
    const isKept = path.length === 0 || settles(path) || (how === 'same' && keepsMade(node));
    readExpression(body, base, scope, how === 'item' ? 'item' : isKept ? 'same' : 'computed', inner);
    // What a call gives that is a prop itself: an attribute by its name.
    const [only, ...more] = inner.reads;
    const isAsked = base.type === 'CallExpression' && more.length === 0 && only?.how === 'same' && only.path.length === 0;
    if (isAsked && path.length > 0 && !optional && body.values[only.value]?.kind === 'prop')
      noteDemanded(body, only.value, spanOf(node.callee));
    // `inject(Route).snapshot.get(name)`: a method of a part of what the call gives.
    const isOfPart = isAsked && path.length > 1 && !settles(path) && body.values[only.value]?.kind === 'context';
    if (isOfPart) inner.reads.splice(0, 1, { ...only, path: path.slice(0, -1), how: 'computed' });
    mergeInto(sink, inner, 'same');
    readArguments(body, node, scope, sink, itemReadings(node, path, inner.reads), how);
  }
}

/** `rows.map(make).filter(isOpen)`: a call that gives items of a list which is made beside it. */
function keepsMade({ callee }: Call): boolean {
  if (callee.type !== 'MemberExpression' || !shufflingMethods.has(keyName({ key: callee.property }) ?? '')) return false;
  const list = bare(callee.object);
  if (list.type !== 'CallExpression' || list.callee.type !== 'MemberExpression') return false;
  return keyName({ key: list.callee.property }) === 'map' || keepsMade(list);
}

/** `lines.get()`: the store, or what may be one, that a call gives the content of. */
function storeGivenBy(body: Body, given: t.Node, scope: Scope): number | undefined {
  const { base, path } =
    given.type === 'CallExpression' && given.arguments.length === 0 ? memberChain(given.callee) : { base: given, path: [] };
  if (base.type !== 'Identifier' || path.length !== 1 || path[0] !== 'get') return undefined;
  const meaning = lookUp(scope, base.name);
  if (meaning) return meaning.kind === 'value' && body.values[meaning.value]?.kind === 'store' ? meaning.value : undefined;
  return body.module.imported.has(base.name) ? moduleValue(body, base.name, spanOf(base)) : undefined;
}

/** `row.tags.push(tag)` where `row` is another name for a part of what the body holds: a change of that. */
function noteListChange(body: Body, node: Call, called: Chain, scope: Scope, sink: Effects): void {
  const method = called.path.at(-1) ?? '';
  if (!inPlaceMethods.has(method)) return;
  const { chain, scope: declared } = unaliased(called, scope);
  const list = chain.path.slice(0, -1);
  const isOther = chain.base !== called.base;
  const own = isOther && chain.base.type === 'ThisExpression' ? ownMeaning(body, list, declared) : undefined;
  const found = isOther && chain.base.type === 'Identifier' ? lookUp(declared, chain.base.name) : own?.meaning;
  const taken = isOther && list.length === 0 ? storeGivenBy(body, chain.base, declared) : undefined;
  if (taken !== undefined) (sink.changes ??= []).push({ value: taken, span: spanOf(node), how: 'in-place', from: [], path: ['()'] });
  if (!found) return;
  const { meaning, path } = unboxed(found, own ? own.path : list);
  const held = calledValue(body, meaning, path, spanOf(chain.base));
  if (!held || !isHeld(body, held.value, method)) return;
  const from = node.arguments.flatMap((one) => (isFunction(one) ? [] : readingsOf(body, one, scope)));
  const whole = held.path.length > 0 ? { path: held.path } : {};
  (sink.changes ??= []).push({ value: held.value, span: spanOf(node), how: 'in-place', from, ...whole, ...listOrderOf(method) });
}

/** `Object.assign(user, given)` writes to whatever `user` is. */
function noteAssigned(body: Body, node: Call, { base, path }: Chain, scope: Scope, sink: Effects): void {
  const [target, ...given] = node.arguments;
  const isAssign = base.type === 'Identifier' && base.name === 'Object' && path.length === 1 && path[0] === 'assign';
  if (!isAssign || !target || lookUp(scope, 'Object') || body.module.names.has('Object')) return;
  const from = given.flatMap((one) => (isFunction(one) ? [] : readingsOf(body, one, scope)));
  const written = memberChain(target);
  noteChainWrite(body, { ...written, path: [...written.path, '*'] }, scope, spanOf(node), from, sink);
}

/** `a.then(…)`, `(await a).json()`: what comes is still what was asked for. */
function settles(path: readonly string[]): boolean {
  return path.every((one) => one === 'then' || one === 'json' || one === 'catch' || one === 'finally');
}

/** A call of, or on, something the module declares or imports. */
function readModuleCall(body: Body, node: Call, base: t.Identifier, path: readonly string[], how: How, scope: Scope, sink: Effects): void {
  const span = spanOf(node.callee);
  const imported = body.module.imported.get(base.name);
  const asked = originOfRequest(body, node, base.name, path);
  if (asked) {
    const value = addValue(body, { name: asked.what, kind: 'fetched', span: spanOf(node), from: noReadings, origin: asked });
    sink.reads.push({ value, path: noPath, how: 'same', span: spanOf(node) });
    readArguments(body, node, scope, sink, []);
    return;
  }
  if (path.length > 0 && !imported) readName(body, base.name, path.slice(0, -1), 'computed', node.callee, scope, sink);
  const followed = imported
    ? isOwnModule(imported.from) || (body.dialect.ownModules?.test(imported.from) ?? false)
    : body.module.functions.has(base.name) || path.length > 0;
  const method = path.at(-1);
  if (!followed || (method !== undefined && arrayMethods.has(method) && !collectionMethods.has(method))) {
    const list: Reading[] = followed
      ? [{ value: moduleValue(body, base.name, spanOf(base)), path: path.slice(0, -1), how: 'computed', span }]
      : [];
    if (imported) append(sink.reads, list);
    readArguments(body, node, scope, sink, itemReadings(node, path, list), how);
    return;
  }
  const command = commandsOfModule(body, node, method, spanOf(base));
  if (command) {
    readCommand(body, node, command, scope, sink);
    return;
  }
  const value = moduleValue(body, base.name, spanOf(base));
  const args = readArgs(body, node.arguments, scope, sink);
  sink.reads.push({ value, path, how: 'called', span });
  (sink.invokes ??= []).push({ span: spanOf(node), value, path, args, ...saidBy(body, node, method) });
}

/** Tells whether a module's name may be one of the project: relative, or by an alias. */
export function isOwnModule(from: string): boolean {
  return /^[.~#/]|^@\/|^\$/.test(from);
}

/** A call of, or on, something the body knows. */
function readCalled(
  body: Body,
  node: Call,
  meaning: Meaning,
  path: readonly string[],
  optional: boolean,
  how: How,
  scope: Scope,
  sink: Effects,
): void {
  const span = spanOf(node);
  if (meaning.kind === 'gives' || meaning.kind === 'writes' || meaning.kind === 'calledGives') {
    readStoreCall(body, node, meaning, path, how, scope, sink);
    return;
  }
  const called = calledValue(body, meaning, path, spanOf(node.callee));
  if (readCentral(body, node, meaning, called, scope, sink)) return;
  if (called && called.path.length === 0) {
    const value = body.values[called.value];
    if (value?.kind === 'setter' && value.partner !== undefined) {
      readSetterCall(body, node, value.partner, scope, sink);
      return;
    }
    const args = readArgs(body, node.arguments, scope, sink);
    for (const one of dispatchedBy(body, node, value)) (sink.invokes ??= []).push({ ...one, span, args });
    if (value?.kind === 'prop') {
      if (optional) noteTest(body, called.value, spanOf(node));
      else noteDemanded(body, called.value, spanOf(node.callee));
      (sink.raises ??= []).push({ member: memberKeyOf(value), value: called.value, optional, span, args });
    } else {
      (sink.invokes ??= []).push({ span, value: called.value, path: noPath, args, ...saidBy(body, node) });
      if (optional) noteTest(body, called.value, spanOf(node));
      else if (value?.kind === 'context' || value?.kind === 'hook') noteDemanded(body, called.value, spanOf(node.callee));
    }
    if (value?.action !== undefined) addCall(sink, value.action);
    sink.reads.push({ value: called.value, path: [], how: 'called', span: spanOf(node.callee) });
    return;
  }
  if (meaning.kind === 'function') {
    addCall(sink, meaning.action);
    if (meaning.value === undefined) {
      readArguments(body, node, scope, sink, []);
      return;
    }
    const args = readArgs(body, node.arguments, scope, sink);
    sink.reads.push({ value: meaning.value, path: [], how: 'called', span: spanOf(node.callee) });
    (sink.invokes ??= []).push({ span, value: meaning.value, path: noPath, args });
    return;
  }
  const listed = path.length === 0 && meaning.kind === 'local' ? itemOf(meaning.readings) : undefined;
  if (listed) {
    const args = readArgs(body, node.arguments, scope, sink);
    const each = { value: listed.value, path: [...listed.path, '*'] };
    (sink.invokes ??= []).push({ span, ...each, args });
    sink.reads.push({ ...each, how: 'called', span: spanOf(node.callee) });
    return;
  }
  const method = path.at(-1);
  const inner = newEffects();
  const holder = called && body.values[called.value]?.kind;
  const isCollected = (holder === 'hook' || holder === 'context' || holder === 'module') && method !== undefined && collectionMethods.has(method);
  const ownMethod = isCollected || (called?.path.length === 1 && isInstance(body, called.value));
  const known = method !== undefined && arrayMethods.has(method) && !ownMethod;
  if (!optional && called && called.path.length > 0) noteDemanded(body, called.value, spanOf(node.callee));
  const after = method === 'then' || method === 'json';
  readMeaning(
    body,
    meaning,
    known || after ? path.slice(0, -1) : path,
    after ? how : known ? 'computed' : 'called',
    spanOf(node.callee),
    inner,
  );
  mergeInto(sink, inner, 'same');
  if (method !== undefined && called && readListChange(body, node, called, method, scope, sink)) return;
  const kind = called && body.values[called.value]?.kind;
  if (called && !known && !after && kind !== undefined && holdsFunctions.has(kind)) {
    const args = readArgs(body, node.arguments, scope, sink);
    (sink.invokes ??= []).push({ span, value: called.value, path: called.path, args, ...saidBy(body, node, method) });
    return;
  }
  readArguments(body, node, scope, sink, itemReadings(node, path, inner.reads), how);
}

/** Reads a call that changes the list or collection it is called on. False for all other calls, which are left untouched. */
function readListChange(body: Body, node: Call, called: CalledValue, method: string, scope: Scope, sink: Effects): boolean {
  if (!inPlaceMethods.has(method) && !collectionMethods.has(method)) return false;
  if (!isHeld(body, called.value, method) && !isInStore(body, node, method)) return false;
  const given = newEffects();
  const read = readArgs(body, node.arguments, scope, given).flatMap((one) => one.readings);
  mergeInto(sink, given, 'same');
  const whole = called.path.slice(0, -1);
  const change: ChangeFact = {
    value: called.value,
    span: spanOf(node),
    how: 'in-place',
    // What is taken out is not put in.
    from: method === 'delete' ? [] : addingMethods.has(method) ? read.map(asItem) : read,
    ...(whole.length > 0 ? { path: whole } : {}),
    ...listOrderOf(method),
  };
  (sink.changes ??= []).push(change);
  if (body.values[called.value]?.kind === 'prop') body.givenChanged.push(change);
  return true;
}

/** A reading of what becomes an item of a list. */
const asItem = (read: Reading): Reading => ({ ...read, held: { at: ['*', ...(read.held?.at ?? [])], how: read.held?.how ?? read.how } });

/** The list of which a local is one item at a time; undefined for all other locals. */
function itemOf(readings: readonly Reading[]): Reading | undefined {
  const [only, ...more] = readings;
  return only?.how === 'item' && more.length === 0 ? only : undefined;
}

/** Reads a call of the one store that the application has: one that tells it something, or selects from it. False for all other calls. */
function readCentral(
  body: Body,
  node: Call,
  meaning: Meaning,
  called: { readonly value: number; readonly path: readonly string[] } | undefined,
  scope: Scope,
  sink: Effects,
): boolean {
  const command = meaning.kind === 'commands' ? meaning : called && commandOf(body, called.value, called.path);
  const selects = !command && called !== undefined && isSelecting(body, called.value, called.path);
  if (command) readCommand(body, node, command, scope, sink);
  if (selects) readSelected(body, node, scope, sink);
  return command !== undefined || selects;
}

/** `store.select(selectOpen)`: what a selector makes of the one store that the application has; one value for each call. */
function readSelected(body: Body, node: Call, scope: Scope, sink: Effects): void {
  const span = spanOf(node);
  let value = body.hookValues.get(node);
  if (value === undefined) {
    const args = readArgs(body, node.arguments, scope, newEffects());
    value = addValue(body, { name: 'store', kind: 'hook', span, from: [], gives: { gives: 'root', selector: 0 }, args });
    body.hookValues.set(node, value);
  }
  sink.reads.push({ value, path: noPath, how: 'same', span });
}

/** A call that tells a store something runs what the store has under the name that it is told. */
function readCommand(body: Body, node: Call, command: Extract<Meaning, { kind: 'commands' }>, scope: Scope, sink: Effects): void {
  const { calls, given } = toldTo(body, node, command);
  const args = readArgs(body, given, scope, sink);
  for (const one of calls) {
    sink.reads.push({ ...one, how: 'called', span: spanOf(node.callee) });
    (sink.invokes ??= []).push({ ...one, span: spanOf(node), args });
  }
}

/** An instance of a class, which was asked for by its name: `LevelService`, and no token, `LEVELS`. */
const isInstance = ({ dialect, values }: Body, at: number): boolean =>
  dialect.asksInstances === true && values[at]?.kind === 'context' && /^key:[A-Z]+[a-z]/.test(values[at].source ?? '');

/** Values whose members may be functions that somebody else put there. */
const holdsFunctions: ReadonlySet<ValueKind> = new Set<ValueKind>([
  'hook',
  'context',
  'ref',
  'param',
  'store',
  'prop',
  'derived',
  'handed',
  'item',
  'module',
]);

/** `get(levels)`, `set(levels, next)`, `get().levels`: calls of what the maker of a store hands in. */
function readStoreCall(body: Body, node: Call, meaning: Meaning, path: readonly string[], how: How, scope: Scope, sink: Effects): void {
  const [target, ...given] = node.arguments;
  if (meaning.kind === 'calledGives') readMeaning(body, meaning.meaning, path, how, spanOf(node), sink);
  else if (meaning.kind === 'gives' && target) readExpression(body, target, scope, how, sink);
  else if (meaning.kind === 'writes' && target) {
    const inner = newEffects();
    readExpression(body, target, scope, 'same', inner);
    const from = given.flatMap((one) => (isFunction(one) ? [keptFunction(body, 'update', one, scope)] : readingsOf(body, one, scope)));
    for (const read of inner.reads) (sink.changes ??= []).push({ value: read.value, span: spanOf(node), how: 'set', from });
  }
}

function listOrderOf(method: string): { order?: 'append' | 'reorder' } {
  if (method === 'push') return { order: 'append' };
  return ['splice', 'sort', 'reverse', 'unshift', 'shift'].includes(method) ? { order: 'reorder' } : {};
}

/** Lists that the body holds; collections only where the module does, since elsewhere `set` is many things. */
function isHeld(body: Body, value: number, method: string): boolean {
  const kind = body.values[value]?.kind;
  if (!inPlaceMethods.has(method))
    return (body.isModule === true && (kind === 'state' || kind === 'store')) || body.values[value]?.collection === true;
  return (
    kind === 'state' ||
    kind === 'prop' ||
    kind === 'store' ||
    body.values[value]?.unfollowed === true ||
    takenFrom(body, value) !== undefined
  );
}

/** `$rows.push(row)`: what a store holds is changed, and the store is not told. */
function isInStore(body: Body, node: Call, method: string): boolean {
  const { base } = memberChain(node.callee);
  return (
    inPlaceMethods.has(method) &&
    base.type === 'Identifier' &&
    body.dialect.storeMark !== undefined &&
    base.name.startsWith(body.dialect.storeMark)
  );
}

/** A value of the body, and the member of it that is called. */
type CalledValue = { readonly value: number; readonly path: readonly string[] };

function calledValue(body: Body, meaning: Meaning, path: readonly string[], span: Span): CalledValue | undefined {
  if (meaning.kind === 'value') return { value: meaning.value, path: [...meaning.path, ...path] };
  if (meaning.kind === 'props' && path.length > 0) return { value: propValue(body, path[0] as string, span), path: path.slice(1) };
  return undefined;
}

/** What the first parameter of a list callback stands for. */
function itemReadings(node: Call, path: readonly string[], list: readonly Reading[]): Reading[] {
  const method = path.at(-1);
  if (!method) return [];
  if (method === 'then') return [...list];
  if (!itemMethods.has(method)) return [];
  const span = spanOf(node.callee);
  return list.map((one) => ({ ...one, how: one.how === 'called' ? 'called' : 'item', span }));
}

/** Methods of a list whose argument says which of its items are given, or in which order. */
const choosing: ReadonlySet<string> = new Set(['filter', 'find', 'findLast', 'sort', 'toSorted', 'slice', 'at']);

function readArguments(body: Body, node: Call, scope: Scope, sink: Effects, items: readonly Reading[], how: How = 'computed'): void {
  const { callee } = node;
  const method = 'object' in callee && 'property' in callee ? (memberChain(callee).path.at(-1) ?? '') : '';
  const same = 'object' in callee && itemMethods.has(method) ? { node: callee.object, path: ['*'], scope } : undefined;
  // What a list is filtered, sorted or searched by decides which of its items are given.
  const given = choosing.has(method) ? newEffects() : sink;
  given.depth = sink.depth;
  for (const argument of node.arguments) {
    const made = method === 'map' && how === 'same' && isFunction(argument) ? objectMadeBy(argument) : undefined;
    if (isFunction(argument) && made) readMade(body, argument, made, scope, given, items, same);
    else if (isFunction(argument)) readCallback(body, argument, scope, given, items, same);
    else if (items.length > 0 && argument.type === 'Identifier' && readNamedCallback(body, argument, scope, given, items)) continue;
    else readExpression(body, argument, scope, argument.type === 'SpreadElement' ? 'spread' : 'computed', given);
  }
  if (given !== sink) addDeciding(sink, given);
}

/** `.then(setRows)`, `rows.forEach(add)`: a function by name that is called with these. */
function readNamedCallback(body: Body, node: t.Identifier, scope: Scope, sink: Effects, items: readonly Reading[]): boolean {
  const meaning = lookUp(scope, node.name);
  const span = spanOf(node);
  const given = mergeReadings(items);
  const args: ArgFact[] = [{ readings: given }];
  if (meaning?.kind === 'function' && meaning.value !== undefined) {
    addCall(sink, meaning.action);
    (sink.invokes ??= []).push({ span, value: meaning.value, path: noPath, args });
    return false;
  }
  const value = meaning?.kind === 'value' && meaning.path.length === 0 ? body.values[meaning.value] : undefined;
  if (meaning?.kind !== 'value' || !value) return false;
  if (value.kind === 'setter' && value.partner !== undefined) {
    (sink.changes ??= []).push({ value: value.partner, span, how: 'set', from: given });
    return true;
  }
  if (value.kind === 'prop') (sink.raises ??= []).push({ member: memberKeyOf(value), value: meaning.value, optional: false, span, args });
  return false;
}

function readCallback(body: Body, node: FunctionNode, scope: Scope, sink: Effects, first: readonly Reading[], same?: Aliased): void {
  const inner = innerScope(scope);
  const [parameter] = node.params;
  if (parameter && first.length > 0) bindLocal(parameter, first, inner, same);
  readFunctionInto(body, node, inner, sink, first.length > 0 ? 1 : 0);
}

/** The object that a function makes in place as its one result; undefined for all other functions. */
function objectMadeBy({ body }: FunctionNode): t.ObjectExpression | undefined {
  if (body.type !== 'BlockStatement') {
    const node = bare(body);
    return node.type === 'ObjectExpression' ? node : undefined;
  }
  const last = body.body.at(-1);
  const node = last?.type === 'ReturnStatement' && last.argument ? bare(last.argument) : undefined;
  const returns = body.body.filter((one) => !/^(?:VariableDeclaration|ExpressionStatement)$/.test(one.type));
  return node?.type === 'ObjectExpression' && returns.length === 1 ? node : undefined;
}

/** What `map` makes of each item, where that is an object: what is read for a member stands in that member of each. */
function readMade(
  body: Body,
  node: FunctionNode,
  made: t.ObjectExpression,
  scope: Scope,
  sink: Effects,
  items: readonly Reading[],
  same?: Aliased,
): void {
  const inner = innerScope(scope);
  const [parameter] = node.params;
  if (parameter && items.length > 0) bindLocal(parameter, items, inner, same);
  bindOpaque(node, inner, items.length > 0 ? 1 : 0);
  sink.depth++;
  const held = newEffects();
  held.depth = sink.depth;
  if (node.body.type === 'BlockStatement') readBlock(body, node.body.body.slice(0, -1), inner, sink);
  readExpression(body, made, inner, 'same', held);
  sink.depth--;
  append(sink.reads, held.reads.map(asItem));
  held.reads.length = 0;
  mergeInto(sink, held, 'same');
}

function readChain(body: Body, node: t.Node, how: How, scope: Scope, sink: Effects): void {
  const chain = memberChain(node);
  for (const key of chain.computed) readDeciding(body, key, scope, sink);
  if (chain.base.type === 'Identifier') {
    if (!chain.optional && chain.path.length > 0) demand(body, chain.base.name, chain, scope, spanOf(node));
    if (chain.optional) noteTested(body, chain.base, scope);
    readName(body, chain.base.name, chain.path, how, node, scope, sink);
  } else if (chain.base.type === 'ThisExpression') {
    const own = ownMeaning(body, chain.path, scope, spanOf(node));
    // A member that holds what is asked: `this.keeper.value.name`.
    const [first, ...rest] = own?.meaning.kind === 'members' ? own.path : [];
    const inner = own?.meaning.kind === 'members' && first !== undefined ? own.meaning.of(first, spanOf(node)) : own?.meaning;
    const left = own?.meaning.kind === 'members' ? rest : (own?.path ?? []);
    const mayBeAbsent = (value: number): boolean =>
      /^(?:context|prop)$/.test(body.values[value]?.kind ?? '') || body.unset?.has(value) === true;
    if (inner?.kind === 'value' && left.length > 0 && mayBeAbsent(inner.value)) {
      if (!chain.optional) noteDemanded(body, inner.value, spanOf(node));
      else noteTest(body, inner.value, spanOf(node));
    }
    if (own) readMeaning(body, own.meaning, own.path, how, spanOf(node), sink);
  } else {
    const inner = newEffects();
    readExpression(body, chain.base, scope, chain.path.length > 0 && !isCall(chain.base) ? 'computed' : how, inner);
    for (const read of inner.reads) {
      const hooked = chain.path.length > 0 && read.path.length === 0 && read.how === 'same';
      // `useContext(Crew).names`: what is taken is read from at once.
      if (hooked && !chain.optional && isHookCall(chain.base)) noteDemanded(body, read.value, spanOf(node));
      sink.reads.push(
        hooked
          ? { ...read, path: chain.path, how: howOf(chain.path, how) }
          : chain.path.length > 0
            ? { ...read, how: weaken(read.how, 'computed') }
            : read,
      );
    }
    inner.reads.length = 0;
    mergeInto(sink, inner, 'same');
  }
}

/** Hooks are called under no condition, so that what they give is read each time. */
const isHookCall = (node: t.Node): boolean => node.type === 'CallExpression' && /(?:^|\.)use[A-Z]/.test(dottedName(node.callee) ?? '');

function isCall(node: t.Node): boolean {
  return node.type === 'CallExpression' || node.type === 'OptionalCallExpression';
}

/** `setX(value)`, `setX((before) => …)`. */
function readSetterCall(body: Body, node: Call, partner: number, scope: Scope, sink: Effects): void {
  const inner = newEffects();
  const before: Reading = { value: partner, path: [], how: 'same', span: spanOf(node.callee), latest: true };
  for (const argument of node.arguments) {
    if (isFunction(argument)) readCallback(body, argument, scope, inner, [before]);
    else readExpression(body, argument, scope, 'same', inner);
  }
  const order = listOrder(node.arguments[0]);
  mergeInto(sink, inner, 'computed');
  if (body.values[partner]?.kind === 'store' && changeMembers(node, partner, inner, sink)) return;
  const [given] = node.arguments;
  const changed =
    isFunction(given) && body.values[partner]?.kind === 'state' ? changedBack(given, body.values[partner].collection ?? false) : undefined;
  if (changed) {
    (sink.changes ??= []).push({ value: partner, span: changed, how: 'in-place', from: inner.reads });
    return;
  }
  const actionType = toldBy(given);
  const from = inner.returns ? mergeReadings([...inner.returns, ...inner.reads]) : inner.reads;
  (sink.changes ??= []).push({
    value: partner,
    span: spanOf(node),
    how: 'set',
    from,
    ...(order ? { order } : {}),
    ...(actionType === undefined ? {} : { actionType: actionType }),
  });
}

/** `set({ a, b })`, `set((s) => ({ a: s.a + 1 }))`: a change of each member that is named. */
function changeMembers(node: Call, store: number, inner: Effects, sink: Effects): boolean {
  const given = node.arguments[0] && bare(node.arguments[0]);
  const result = isFunction(given) ? (given.body.type === 'BlockStatement' ? undefined : bare(given.body)) : given;
  if (result?.type !== 'ObjectExpression') return false;
  const reads = [...(inner.returns ?? []), ...inner.reads];
  for (const property of result.properties) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    if (name === undefined) continue;
    const from = mergeReadings(reads.filter((one) => one.held?.at[0] === name)).map((one) => withoutHead(one));
    (sink.changes ??= []).push({ value: store, span: spanOf(node), how: 'set', from, path: [name] });
  }
  return true;
}

function withoutHead(reading: Reading): Reading {
  const { held, ...plain } = reading;
  if (!held) return plain;
  return held.at.length > 1 ? { ...plain, held: { at: held.at.slice(1), how: held.how } } : { ...plain, how: held.how };
}

/** What a call is told, where the text tells: the name of an action, the key of a query. */
function saidBy(body: Body, node: Call, method?: string): Pick<CallFact, 'actionType' | 'renews'> {
  const actionType = toldBy(node.arguments[0]);
  const renews = renewedBy(body, node, method);
  return { ...(actionType === undefined ? {} : { actionType }), ...(renews === undefined ? {} : { renews }) };
}

/** `dispatch({ type: 'book', … })`, `dispatch('book')` → `book`. */
function toldBy(given: t.Node | undefined): string | undefined {
  const node = given && bare(given);
  if (node?.type === 'StringLiteral') return node.value;
  if (node?.type !== 'ObjectExpression') return undefined;
  for (const property of node.properties) {
    if (property.type === 'ObjectProperty' && keyName(property) === 'type' && property.value.type === 'StringLiteral')
      return property.value.value;
  }
  return undefined;
}

/** Gives the parameters of a function no meaning beyond their names. */
export function bindOpaque(node: FunctionNode, scope: Scope, from = 0): void {
  for (const parameter of node.params.slice(from)) {
    for (const found of patternNames(parameter)) scope.names.set(found.name, { kind: 'opaque' });
  }
}

/**
 * Adds to `sink` what a function does when it runs. `scope` is the function's own; the first
 * `bound` parameters have their meaning in it already.
 */
export function readFunctionInto(body: Body, node: FunctionNode, scope: Scope, sink: Effects, bound = 0): void {
  bindOpaque(node, scope, bound);
  sink.depth++;
  for (const parameter of node.params) {
    if (parameter.type === 'AssignmentPattern') readExpression(body, parameter.right, scope, 'computed', sink);
  }
  if (node.body.type === 'BlockStatement') readBlock(body, node.body.body, scope, sink);
  else {
    const inner = newEffects();
    inner.depth = sink.depth;
    readExpression(body, node.body, scope, 'same', inner);
    if (sink.depth === 1) append((sink.returns ??= []), resultOf(inner));
    mergeInto(sink, inner, 'computed');
  }
  sink.depth--;
}

function readBlock(body: Body, statements: readonly t.Statement[], scope: Scope, sink: Effects): void {
  for (const found of hoisted(statements)) if (found.id) nameFunction(body, found.id.name, found, scope);
  for (const statement of statements) readStatement(body, statement, scope, sink);
}

/** Adds to `sink` what a statement does. */
export function readStatement(body: Body, node: t.Statement, scope: Scope, sink: Effects): void {
  switch (node.type) {
    case 'ExpressionStatement':
      readExpression(body, node.expression, scope, 'computed', sink);
      return;
    case 'VariableDeclaration':
      for (const one of node.declarations) readLocal(body, one, scope, sink);
      return;
    case 'FunctionDeclaration':
    case 'ClassDeclaration':
      return;
    case 'ReturnStatement':
      if (node.argument) readReturn(body, node.argument, scope, sink);
      return;
    case 'BlockStatement':
      readBlock(body, node.body, innerScope(scope), sink);
      return;
    case 'IfStatement': {
      const values = noteTested(body, node.test, scope);
      if (throws(node.consequent)) for (const value of values) body.thrown.add(value);
      readDeciding(body, node.test, scope, sink);
      readStatement(body, node.consequent, innerScope(scope), sink);
      if (node.alternate) readStatement(body, node.alternate, innerScope(scope), sink);
      return;
    }
    case 'ForOfStatement':
    case 'ForInStatement':
      readLoop(body, node, innerScope(scope), sink);
      return;
    default:
      if (node.type.startsWith('TS')) return;
      readParts(body, node, innerScope(scope), sink);
  }
}

/** Tells whether a branch ends by throwing. */
export function throws(node: t.Statement): boolean {
  if (node.type === 'BlockStatement') return node.body.some(throws);
  return node.type === 'ThrowStatement';
}

function readReturn(body: Body, argument: t.Node, scope: Scope, sink: Effects): void {
  const inner = newEffects();
  inner.depth = sink.depth;
  readExpression(body, argument, scope, 'same', inner);
  if (sink.depth === 1) append((sink.returns ??= []), resultOf(inner));
  mergeInto(sink, inner, 'computed');
}

/** What an expression gives: not what it put into a state or an event on the way. */
function resultOf(inner: Effects): Reading[] {
  if (!inner.changes && !inner.raises) return inner.reads;
  const apart = [...(inner.changes ?? []), ...(inner.raises ?? [])];
  return inner.reads.filter((read) => !apart.some((one) => contains(one.span, read.span)));
}

/** A function that another declares for itself: it is read on its own, and runs where it is called. */
function nameFunction(body: Body, name: string, node: FunctionNode, scope: Scope): void {
  const { value } = keptFunction(body, name, node, scope);
  const action = body.values[value]?.action;
  if (action !== undefined) scope.names.set(name, { kind: 'function', node, scope, action, value });
}

function readLocal(body: Body, node: t.VariableDeclarator, scope: Scope, sink: Effects): void {
  if (isFunction(node.init) && node.id.type === 'Identifier') {
    nameFunction(body, node.id.name, node.init, scope);
    return;
  }
  if (node.init?.type === 'ThisExpression' && node.id.type === 'ObjectPattern') {
    bindOwnMembers(body, node, node.init, scope);
    return;
  }
  const inner = newEffects();
  if (node.init) readExpression(body, node.init, scope, 'same', inner);
  const isOwn = node.init !== null && node.init !== undefined && memberChain(node.init).base.type === 'ThisExpression';
  bindLocal(
    node.id,
    isOwn ? takenAt(inner.reads, spanOf(node)) : inner.reads,
    scope,
    node.init ? { node: node.init, path: noPath, scope } : undefined,
  );
  // All that the application's store holds is read where a member of it is.
  const isStore = inner.reads.every(({ value, path }) => value === body.central && path.length === 0);
  if (isStore) inner.reads.length = 0;
  mergeInto(sink, inner, 'computed');
}

const takenAt = (readings: readonly Reading[], span: Span): Reading[] => readings.map((one): Reading => ({ ...one, takenAt: span }));

/** `const { limit, rows: [first] } = this`: members of the instance, as they are at that moment. */
function bindOwnMembers(body: Body, node: t.VariableDeclarator, self: t.ThisExpression, scope: Scope): void {
  for (const found of patternNames(node.id)) {
    const own = ownMeaning(body, found.path, scope, spanOf(found.node));
    if (!own) continue;
    const inner = newEffects();
    readMeaning(body, own.meaning, own.path, 'same', spanOf(found.node), inner);
    const same = { node: self, path: found.path, scope };
    scope.names.set(
      found.name,
      own.meaning.kind === 'function' ? own.meaning : { kind: 'local', readings: takenAt(inner.reads, spanOf(node)), same },
    );
  }
}

function readLoop(body: Body, node: t.ForOfStatement | t.ForInStatement, scope: Scope, sink: Effects): void {
  const inner = newEffects();
  readExpression(body, node.right, scope, 'item', inner);
  if (node.left.type === 'VariableDeclaration') {
    const same = node.type === 'ForOfStatement' && scope.outer ? { node: node.right, path: ['*'], scope: scope.outer } : undefined;
    for (const one of node.left.declarations) bindLocal(one.id, inner.reads, scope, same);
  }
  mergeInto(sink, inner, 'computed');
  readStatement(body, node.body, scope, sink);
}

function readParts(body: Body, node: t.Node, scope: Scope, sink: Effects): void {
  forEachChild(node, (child) => {
    if (child.type.endsWith('Statement') || child.type === 'VariableDeclaration') readStatement(body, child as t.Statement, scope, sink);
    else if (child.type === 'CatchClause') {
      const inner = innerScope(scope);
      for (const found of child.param ? patternNames(child.param) : []) inner.names.set(found.name, { kind: 'opaque' });
      readStatement(body, child.body, inner, sink);
    } else if (child.type === 'SwitchCase') readParts(body, child, scope, sink);
    else readExpression(body, child, scope, 'computed', sink);
  });
}
