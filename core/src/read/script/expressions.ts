import type * as t from '@babel/types';
import { append } from '../../model/append';
import type { ArgFact, ChangeFact, How, Reading } from '../../model/facts';
import { memberKeyOf } from '../../model/given';
import { contains, type Span } from '../../model/span';
import { isConverted } from './conversions';
import type { Writable } from '../../model/writable';
import {
  addAction,
  addCall,
  addValue,
  type Body,
  type Effects,
  excerpt,
  fillAction,
  mergeReadings,
  moduleValue,
  newEffects,
  noteDemanded,
  noteTest,
} from './body';
import {
  asItem,
  type Call,
  calledValue,
  type CalledValue,
  choosing,
  connections,
  holdsFunctions,
  isHeld,
  isHookCall,
  isInstance,
  isInStore,
  isOwnModule,
  itemOf,
  itemReadings,
  keepsMade,
  listOrderOf,
  memberMeant,
  objectMadeBy,
  saidBy,
  settles,
  stopsEvents,
  throws,
  toldBy,
  withoutHead,
} from './call-meaning';
import { commandOf, commandsOfModule, dispatchedBy, isSelecting, toldTo } from './central';
import { chosenTexts, constantText, flagsOf } from './constants';
import { addingMethods, arrayMethods, collectionMethods, inPlaceMethods, itemMethods, listOrder, selfGivingMethods } from './lists';
import {
  bindLocal,
  type Chain,
  demand,
  howOf,
  marksOf,
  memberChain,
  mergeInto,
  noteTested,
  ownMeaning,
  readMeaning,
  readName,
  unaliased,
  weaken,
} from './names';
import { originOfCall, originOfRequest } from './origins';
import { changedBack } from './param-changes';
import { type Aliased, hoisted, innerScope, lookUp, type Meaning, noteUndeclared, type Scope, seesModule, unboxed } from './scope';
import { bare, forEachChild, type FunctionNode, isFunction, keyName, patternNames, spanOf } from './syntax';
import { noteChainWrite, noteWrite } from './writes';

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
  const inAnotherForm = !adds && isConverted(node.right);
  const isField = node.left.type === 'MemberExpression' && node.left.object.type === 'ThisExpression';
  for (const change of (sink.changes?.slice(before) ?? []) as Writable<ChangeFact>[]) {
    if (order && (isField || change.from.some(({ value }) => value === change.value))) change.order = order;
    if (inAnotherForm) change.converted = true;
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
  const found = base.type === 'Identifier' ? lookUp(scope, base.name, spanOf(base)) : (own?.meaning ?? storeAsked(base, scope));
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

/** `get().add` within what makes a store: the store itself; undefined for all else. */
function storeAsked(base: t.Node, scope: Scope): Meaning | undefined {
  const callee = base.type === 'CallExpression' && base.arguments.length === 0 ? base.callee : undefined;
  const meaning = callee?.type === 'Identifier' ? lookUp(scope, callee.name) : undefined;
  return meaning?.kind === 'calledGives' ? meaning.meaning : undefined;
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
  (sink.changes ??= []).push({
    value: held.value,
    span: spanOf(node),
    how: 'in-place',
    from,
    ...whole,
    ...listOrderOf(method),
    byMethod: true,
  });
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

/** A call of a value itself: of a setter, a prop, an action that the body has, or whatever else it holds. */
function readOwnCall(body: Body, node: Call, called: number, optional: boolean, scope: Scope, sink: Effects): void {
  const span = spanOf(node);
  const value = body.values[called];
  if (value?.kind === 'setter' && value.partner !== undefined) {
    readSetterCall(body, node, value.partner, scope, sink);
    return;
  }
  const args = readArgs(body, node.arguments, scope, sink);
  for (const one of dispatchedBy(body, node, value)) (sink.invokes ??= []).push({ ...one, span, args });
  if (value?.kind === 'prop') {
    if (optional) noteTest(body, called, spanOf(node));
    else noteDemanded(body, called, spanOf(node.callee));
    (sink.raises ??= []).push({ member: memberKeyOf(value), value: called, optional, span, args });
  } else {
    (sink.invokes ??= []).push({ span, value: called, path: noPath, args, ...saidBy(body, node) });
    if (optional) noteTest(body, called, spanOf(node));
    else if (value?.kind === 'context' || value?.kind === 'hook') noteDemanded(body, called, spanOf(node.callee));
  }
  if (value?.action !== undefined) addCall(sink, value.action);
  sink.reads.push({ value: called, path: [], how: 'called', span: spanOf(node.callee) });
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
    readOwnCall(body, node, called.value, optional, scope, sink);
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
  const isCollected =
    (holder === 'hook' || holder === 'context' || holder === 'module') && method !== undefined && collectionMethods.has(method);
  // What a store does under a name is no method of a list or set, whatever that name is: `get().add(id)`.
  const isOfStore = called?.path.length === 1 && body.values[called.value]?.shape === 'factory';
  const ownMethod = isCollected || isOfStore || (called?.path.length === 1 && isInstance(body, called.value));
  const known = method !== undefined && arrayMethods.has(method) && !ownMethod;
  if (!optional && called && called.path.length > 0) noteDemanded(body, called.value, spanOf(node.callee));
  const after = method === 'then' || method === 'json';
  // `setRows(rows.sort())`: a state that is changed where it stands is given back as it is.
  const isItself =
    holder === 'state' && called && method !== undefined && selfGivingMethods.has(method) && isHeld(body, called.value, method);
  readMeaning(
    body,
    meaning,
    known || after ? path.slice(0, -1) : path,
    after || (known && isItself) ? how : known ? 'computed' : 'called',
    spanOf(node.callee),
    inner,
  );
  mergeInto(sink, inner, 'same');
  if (method !== undefined && called && !isOfStore && readListChange(body, node, called, method, scope, sink)) return;
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
    byMethod: true,
  };
  (sink.changes ??= []).push(change);
  if (body.values[called.value]?.kind === 'prop') body.givenChanged.push(change);
  return true;
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
