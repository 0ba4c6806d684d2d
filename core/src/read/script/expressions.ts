import type * as t from '@babel/types';
import type { How, Reading } from '../../model/facts';
import type { Span } from '../../model/span';
import { addCall, type Body, newSink, propValue, type Sink } from './body';
import { arrayMethods, inPlaceMethods, itemMethods, listOrder } from './lists';
import { bindLocal, demand, memberChain, mergeInto, noteTested, readMeaning, readName } from './names';
import { hoisted, innerScope, lookUp, type Meaning, type Scope } from './scope';
import { bare, forEachChild, type FunctionNode, isFunction, patternNames, spanOf } from './syntax';

const noPath: readonly string[] = [];

/** The readings of an expression on its own. */
export function readingsOf(body: Body, node: t.Node, scope: Scope, how: How = 'same'): Reading[] {
  const sink = newSink();
  readExpression(body, node, scope, how, sink);
  return sink.reads;
}

/**
 * Adds to `sink` all that an expression reads, changes, raises and calls. `how` says what the
 * surrounding does with the expression's value; a value that is only part of the result is `computed`.
 */
export function readExpression(body: Body, expression: t.Node, scope: Scope, how: How, sink: Sink): void {
  const node = bare(expression);
  switch (node.type) {
    case 'Identifier':
      readName(body, node.name, noPath, how, node, scope, sink);
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
      readExpression(body, node.test, scope, 'computed', sink);
      readExpression(body, node.consequent, scope, how, sink);
      readExpression(body, node.alternate, scope, how, sink);
      return;
    case 'LogicalExpression':
      noteTested(body, node.left, scope);
      readExpression(body, node.left, scope, node.operator === '&&' ? 'computed' : how, sink);
      readExpression(body, node.right, scope, how, sink);
      return;
    case 'AssignmentExpression':
      readAssignment(body, node, scope, sink);
      return;
    case 'UpdateExpression':
      readExpression(body, node.argument, scope, 'computed', sink);
      noteWrite(body, node.argument, scope, spanOf(node), [], sink);
      return;
    case 'ObjectExpression':
      for (const property of node.properties) readProperty(body, property, scope, sink);
      return;
    case 'FunctionExpression':
    case 'ArrowFunctionExpression':
      readFunctionInto(body, node, innerScope(scope), sink);
      return;
    case 'SequenceExpression':
      for (const one of node.expressions) readExpression(body, one, scope, how, sink);
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

function readProperty(body: Body, property: t.ObjectProperty | t.ObjectMethod | t.SpreadElement, scope: Scope, sink: Sink): void {
  if (property.type === 'SpreadElement') readExpression(body, property.argument, scope, 'computed', sink);
  else if (property.type === 'ObjectMethod') readFunctionInto(body, property, innerScope(scope), sink);
  else {
    if (property.computed) readExpression(body, property.key, scope, 'computed', sink);
    readExpression(body, property.value, scope, 'computed', sink);
  }
}

function readAssignment(body: Body, node: t.AssignmentExpression, scope: Scope, sink: Sink): void {
  const inner = newSink();
  readExpression(body, node.right, scope, 'same', inner);
  mergeInto(sink, inner, 'computed');
  if (node.left.type === 'MemberExpression' || node.left.type === 'Identifier') {
    noteWrite(body, node.left, scope, spanOf(node), inner.reads, sink);
  }
}

/** `state.x = …`, `local = …`: a change of a value of the body, where it is one. */
function noteWrite(body: Body, target: t.Node, scope: Scope, span: Span, from: readonly Reading[], sink: Sink): void {
  const { base, path } = memberChain(target);
  if (base.type !== 'Identifier') return;
  const meaning = lookUp(scope, base.name);
  if (meaning?.kind === 'local' && path.length === 0) {
    const merged: Meaning = {
      kind: 'local',
      readings: [...meaning.readings, ...from.filter((one) => !meaning.readings.includes(one))].slice(0, 20),
    };
    for (let at: Scope | undefined = scope; at; at = at.outer) {
      if (!at.names.has(base.name)) continue;
      at.names.set(base.name, merged);
      break;
    }
    return;
  }
  if (meaning?.kind !== 'value') return;
  const value = body.values[meaning.value];
  if (!value) return;
  if (value.kind === 'derived' && path.length === 0) value.from = [...value.from, ...from];
  else if (value.kind === 'state' || value.kind === 'ref' || value.kind === 'prop') {
    (sink.changes ??= []).push({ value: meaning.value, span, how: path.length > 0 ? 'in-place' : 'assign', from });
  }
}

type Call = t.CallExpression | t.OptionalCallExpression;

function readCall(body: Body, node: Call, scope: Scope, how: How, sink: Sink): void {
  const { base, path, optional, computed } = memberChain(node.callee);
  for (const key of computed) readExpression(body, key, scope, 'computed', sink);
  const optionalCall = optional || (node.type === 'OptionalCallExpression' && node.optional);
  const meaning =
    base.type === 'Identifier'
      ? lookUp(scope, base.name)
      : base.type === 'ThisExpression'
        ? lookUp(scope, path[0] === 'props' ? 'this.props' : 'this')
        : undefined;
  const members = base.type === 'ThisExpression' ? path.slice(1) : path;
  if (meaning) readCalled(body, node, meaning, members, optionalCall, scope, sink);
  else if (base.type === 'Identifier') {
    if (path.length > 0 && body.module.names.has(base.name) && !body.module.imported.has(base.name)) {
      readName(body, base.name, path.slice(0, -1), 'computed', node.callee, scope, sink);
    }
    readArguments(body, node, scope, sink, []);
  } else {
    const inner = newSink();
    readExpression(body, base, scope, how === 'item' ? 'item' : 'computed', inner);
    mergeInto(sink, inner, 'same');
    readArguments(body, node, scope, sink, itemReadings(node, path, inner.reads));
  }
}

/** A call of, or on, something the body knows. */
function readCalled(body: Body, node: Call, meaning: Meaning, path: readonly string[], optional: boolean, scope: Scope, sink: Sink): void {
  const span = spanOf(node);
  const called = calledValue(body, meaning, path, spanOf(node.callee));
  if (called && called.path.length === 0) {
    const value = body.values[called.value];
    if (value?.kind === 'setter' && value.partner !== undefined) {
      readSetterCall(body, node, value.partner, scope, sink);
      return;
    }
    if (value?.kind === 'prop') {
      if (optional) body.tested.add(called.value);
      (sink.raises ??= []).push({ event: value.name, value: called.value, optional, span });
    }
    if (value?.action !== undefined) addCall(sink, value.action);
    sink.reads.push({ value: called.value, path: [], how: 'called', span: spanOf(node.callee) });
    readArguments(body, node, scope, sink, []);
    return;
  }
  if (meaning.kind === 'function') {
    addCall(sink, meaning.action);
    if (meaning.value !== undefined) sink.reads.push({ value: meaning.value, path: [], how: 'called', span: spanOf(node.callee) });
    readArguments(body, node, scope, sink, []);
    return;
  }
  const method = path.at(-1);
  const inner = newSink();
  const known = method !== undefined && arrayMethods.has(method);
  if (!optional && path.length > 0 && called) body.demanded.add(called.value);
  readMeaning(body, meaning, known ? path.slice(0, -1) : path, known ? 'computed' : 'called', spanOf(node.callee), inner);
  mergeInto(sink, inner, 'same');
  if (method && inPlaceMethods.has(method) && called && isHeld(body, called.value)) {
    (sink.changes ??= []).push({ value: called.value, span, how: 'in-place', from: [], ...listOrderOf(method) });
  }
  readArguments(body, node, scope, sink, itemReadings(node, path, inner.reads));
}

function listOrderOf(method: string): { order?: 'append' | 'reorder' } {
  if (method === 'push') return { order: 'append' };
  return ['splice', 'sort', 'reverse', 'unshift', 'shift'].includes(method) ? { order: 'reorder' } : {};
}

function isHeld(body: Body, value: number): boolean {
  const kind = body.values[value]?.kind;
  return kind === 'state' || kind === 'prop';
}

function calledValue(
  body: Body,
  meaning: Meaning,
  path: readonly string[],
  span: Span,
): { value: number; path: readonly string[] } | undefined {
  if (meaning.kind === 'value') return { value: meaning.value, path: [...meaning.path, ...path] };
  if (meaning.kind === 'props' && path.length > 0) return { value: propValue(body, path[0] as string, span), path: path.slice(1) };
  return undefined;
}

/** What the first parameter of a list callback stands for. */
function itemReadings(node: Call, path: readonly string[], list: readonly Reading[]): Reading[] {
  const method = path.at(-1);
  if (!method || !itemMethods.has(method)) return [];
  const span = spanOf(node.callee);
  return list.map((one) => ({ ...one, how: one.how === 'called' ? 'called' : 'item', span }));
}

function readArguments(body: Body, node: Call, scope: Scope, sink: Sink, items: readonly Reading[]): void {
  for (const argument of node.arguments) {
    if (isFunction(argument)) readCallback(body, argument, scope, sink, items);
    else readExpression(body, argument, scope, argument.type === 'SpreadElement' ? 'spread' : 'computed', sink);
  }
}

function readCallback(body: Body, node: FunctionNode, scope: Scope, sink: Sink, first: readonly Reading[]): void {
  const inner = innerScope(scope);
  const [parameter] = node.params;
  if (parameter && first.length > 0) bindLocal(parameter, first, inner);
  readFunctionInto(body, node, inner, sink, first.length > 0 ? 1 : 0);
}

function readChain(body: Body, node: t.Node, how: How, scope: Scope, sink: Sink): void {
  const chain = memberChain(node);
  for (const key of chain.computed) readExpression(body, key, scope, 'computed', sink);
  if (chain.base.type === 'Identifier') {
    if (!chain.optional && chain.path.length > 0) demand(body, chain.base.name, scope);
    if (chain.optional) noteTested(body, chain.base, scope);
    readName(body, chain.base.name, chain.path, how, node, scope, sink);
  } else if (chain.base.type === 'ThisExpression') {
    const meaning = lookUp(scope, chain.path[0] === 'props' ? 'this.props' : 'this');
    if (meaning) readMeaning(body, meaning, chain.path.slice(1), how, spanOf(node), sink);
  } else readExpression(body, chain.base, scope, chain.path.length > 0 ? 'computed' : how, sink);
}

/** `setX(value)`, `setX((before) => …)`. */
function readSetterCall(body: Body, node: Call, partner: number, scope: Scope, sink: Sink): void {
  const inner = newSink();
  const before: Reading = { value: partner, path: [], how: 'same', span: spanOf(node.callee) };
  for (const argument of node.arguments) {
    if (isFunction(argument)) readCallback(body, argument, scope, inner, [before]);
    else readExpression(body, argument, scope, 'same', inner);
  }
  const order = listOrder(node.arguments[0]);
  mergeInto(sink, inner, 'computed');
  (sink.changes ??= []).push({ value: partner, span: spanOf(node), how: 'set', from: inner.reads, ...(order ? { order } : {}) });
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
export function readFunctionInto(body: Body, node: FunctionNode, scope: Scope, sink: Sink, bound = 0): void {
  bindOpaque(node, scope, bound);
  sink.depth++;
  for (const parameter of node.params) {
    if (parameter.type === 'AssignmentPattern') readExpression(body, parameter.right, scope, 'computed', sink);
  }
  if (node.body.type === 'BlockStatement') readBlock(body, node.body.body, scope, sink);
  else {
    const inner = newSink();
    inner.depth = sink.depth;
    readExpression(body, node.body, scope, 'same', inner);
    if (sink.depth === 1) (sink.returns ??= []).push(...inner.reads);
    mergeInto(sink, inner, 'computed');
  }
  sink.depth--;
}

function readBlock(body: Body, statements: readonly t.Statement[], scope: Scope, sink: Sink): void {
  for (const found of hoisted(statements)) scope.names.set(found.id?.name ?? '', { kind: 'opaque' });
  for (const statement of statements) readStatement(body, statement, scope, sink);
}

/** Adds to `sink` what a statement does. */
export function readStatement(body: Body, node: t.Statement, scope: Scope, sink: Sink): void {
  switch (node.type) {
    case 'ExpressionStatement':
      readExpression(body, node.expression, scope, 'computed', sink);
      return;
    case 'VariableDeclaration':
      for (const one of node.declarations) readLocal(body, one, scope, sink);
      return;
    case 'FunctionDeclaration':
      readFunctionInto(body, node, innerScope(scope), sink);
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
      readExpression(body, node.test, scope, 'computed', sink);
      readStatement(body, node.consequent, innerScope(scope), sink);
      if (node.alternate) readStatement(body, node.alternate, innerScope(scope), sink);
      return;
    }
    case 'ForOfStatement':
    case 'ForInStatement':
      readLoop(body, node, innerScope(scope), sink);
      return;
    case 'ClassDeclaration':
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

function readReturn(body: Body, argument: t.Node, scope: Scope, sink: Sink): void {
  const inner = newSink();
  inner.depth = sink.depth;
  readExpression(body, argument, scope, 'same', inner);
  if (sink.depth === 1) (sink.returns ??= []).push(...inner.reads);
  mergeInto(sink, inner, 'computed');
}

function readLocal(body: Body, node: t.VariableDeclarator, scope: Scope, sink: Sink): void {
  if (isFunction(node.init)) {
    for (const found of patternNames(node.id)) scope.names.set(found.name, { kind: 'opaque' });
    readFunctionInto(body, node.init, innerScope(scope), sink);
    return;
  }
  const inner = newSink();
  if (node.init) readExpression(body, node.init, scope, 'same', inner);
  bindLocal(node.id, inner.reads, scope);
  mergeInto(sink, inner, 'computed');
}

function readLoop(body: Body, node: t.ForOfStatement | t.ForInStatement, scope: Scope, sink: Sink): void {
  const inner = newSink();
  readExpression(body, node.right, scope, 'item', inner);
  if (node.left.type === 'VariableDeclaration') {
    for (const one of node.left.declarations) bindLocal(one.id, inner.reads, scope);
  }
  mergeInto(sink, inner, 'computed');
  readStatement(body, node.body, scope, sink);
}

function readParts(body: Body, node: t.Node, scope: Scope, sink: Sink): void {
  forEachChild(node, (child) => {
    if (child.type.endsWith('Statement') || child.type === 'VariableDeclaration') readStatement(body, child as t.Statement, scope, sink);
    else if (child.type === 'SwitchCase' || child.type === 'CatchClause') readParts(body, child, scope, sink);
    else readExpression(body, child, scope, 'computed', sink);
  });
}
