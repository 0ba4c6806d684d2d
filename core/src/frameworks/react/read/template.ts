import type * as t from '@babel/types';
import type { Binding, KeyFact, Reading, TemplateNode, TemplateUse } from '../../../model/facts';
import { memberKeyOf } from '../../../model/given';
import type { MemberKey } from '../../../model/member';
import type { Writable } from '../../../model/writable';
import {
  addAction,
  addValue,
  type Body,
  excerpt,
  fillAction,
  mergeReadings,
  newEffects,
  noteDemanded,
  noteTest,
} from '../../../read/script/body';
import {
  handedReadings,
  keptFunction,
  readExpression,
  readFunctionInto,
  readingsOf,
  readStatement,
} from '../../../read/script/expressions';
import { throws } from '../../../read/script/call-meaning';
import { bindLocal, noteTested, demand, memberChain } from '../../../read/script/names';
import { hoisted, innerScope, lookUp, type Meaning, type Scope } from '../../../read/script/scope';
import {
  bare,
  calleeName,
  dottedName,
  forEachChild,
  type FunctionNode,
  isFunction,
  keyName,
  patternNames,
  spanOf,
} from '../../../read/script/syntax';
import { keyOf, type ReadMarkup, readAttributes } from './attributes';
import { contentKind } from './content';
import { declareFunction } from '../../../read/script/functions';
import { declareHook, hookValue, readEffect } from './hooks';
import { creatingIn, isOfDocument } from './markup';
import { isComponentTag } from './names';
import { bindProps } from '../../../read/script/props';
import { fixedLength, listBelow, orderOf } from '../../../read/script/repeated';
import { append } from '../../../model/append';

const noKey: KeyFact = { kind: 'none' };
const none: readonly never[] = [];

/** The markup that an expression renders; nothing for one that renders only constants. */
export function markupOf(body: Body, expression: t.Node, scope: Scope): TemplateNode[] {
  const node = bare(expression);
  switch (node.type) {
    case 'JSXElement':
      return [elementOf(body, node, scope)];
    case 'JSXFragment':
      return [fragmentOf(body, node, scope)];
    case 'JSXExpressionContainer':
      return node.expression.type === 'JSXEmptyExpression' ? [] : markupOf(body, node.expression, scope);
    case 'JSXSpreadChild':
      return markupOf(body, node.expression, scope);
    case 'ConditionalExpression':
      noteTested(body, node.test, scope);
      return conditional(body, node, scope);
    case 'LogicalExpression':
      noteTested(body, node.left, scope);
      if (node.operator === '&&') return branchOf(body, node.left, false, scope, markupOf(body, node.right, scope), true);
      return [...markupOf(body, node.left, scope), ...branchOf(body, node.left, true, scope, markupOf(body, node.right, scope))];
    case 'CallExpression':
    case 'OptionalCallExpression':
      return markupOfCall(body, node, scope);
    case 'ArrayExpression':
      return node.elements.flatMap((one) => (one ? markupOf(body, one.type === 'SpreadElement' ? one.argument : one, scope) : []));
    case 'SequenceExpression':
      return node.expressions.slice(-1).flatMap((one) => markupOf(body, one, scope));
    case 'Identifier':
    case 'MemberExpression':
    case 'OptionalMemberExpression':
      return body.module.holdsMarkup(node) ? nestedMarkup(body, node, scope) : markupOfName(body, node, scope);
    case 'ArrowFunctionExpression':
    case 'FunctionExpression':
      return body.module.holdsMarkup(node) ? markupOfFunction(body, node, scope) : [];
    case 'StringLiteral':
    case 'NumericLiteral':
    case 'BooleanLiteral':
    case 'NullLiteral':
    case 'JSXText':
      return [];
    default:
      return nestedMarkup(body, node, scope);
  }
}

/** Any other expression: what it reads is shown, and markup anywhere within it is kept. */
function nestedMarkup(body: Body, node: t.Node, scope: Scope): TemplateNode[] {
  const nodes = shown(body, node, scope);
  const span = spanOf(node);
  if (!body.module.holdsMarkup(node)) return nodes;
  const children: TemplateNode[] = [];
  forEachChild(node, (child) => {
    if (body.module.holdsMarkup(child)) append(children, markupWithin(body, child, scope));
  });
  const key: KeyFact = { kind: 'spread', span, text: '' };
  return children.length === 0
    ? nodes
    : [...nodes, { kind: 'element', tag: '', span, nameSpan: span, bindings: [], spreads: [], children, key }];
}

function markupWithin(body: Body, node: t.Node, scope: Scope): TemplateNode[] {
  if (node.type === 'ObjectProperty') return markupWithin(body, node.value, scope);
  if (node.type === 'ObjectExpression') return node.properties.flatMap((property) => markupWithin(body, property, scope));
  if (node.type === 'ObjectMethod' || isFunction(node)) return markupOfFunction(body, node, scope);
  return markupOf(body, node, scope);
}

function shown(body: Body, node: t.Node, scope: Scope): TemplateNode[] {
  const readings = readingsOf(body, node, scope);
  return readings.length === 0 ? [] : [{ kind: 'text', readings, span: spanOf(node) }];
}

function branchOf(body: Body, test: t.Node, negated: boolean, scope: Scope, children: TemplateNode[], keep = false): TemplateNode[] {
  const readings = readingsOf(body, test, scope, 'computed');
  if (children.length === 0 && (!keep || readings.length === 0)) return [];
  return [{ kind: 'branch', when: excerpt(body.module, spanOf(test)), negated, readings, span: spanOf(test), children }];
}

/** One or the other; of two constants one shows, so that the condition decides all the same. */
function conditional(body: Body, { test, consequent, alternate }: t.ConditionalExpression, scope: Scope): TemplateNode[] {
  const one = markupOf(body, consequent, scope);
  const other = markupOf(body, alternate, scope);
  return [...branchOf(body, test, false, scope, one, other.length === 0), ...branchOf(body, test, true, scope, other)];
}

/** A name on the screen: markup kept in it, content given from outside, or a value shown. */
function markupOfName(body: Body, node: t.Node, scope: Scope): TemplateNode[] {
  const meaning = node.type === 'Identifier' ? lookUp(scope, node.name) : undefined;
  if (meaning?.kind === 'markup') return [...meaning.nodes, ...shown(body, node, scope)];
  if (meaning?.kind === 'function' && body.module.holdsMarkup(meaning.node)) return markupOfFunction(body, meaning.node, meaning.scope);
  const readings = readingsOf(body, node, scope);
  if (readings.length === 0) return [];
  const [reading] = readings;
  const value = reading && body.values[reading.value];
  if (readings.length === 1 && reading?.how === 'same' && value?.kind === 'prop') {
    return [{ kind: 'outlet', slot: memberKeyOf(value), reading, span: spanOf(node), slotProps: [] }];
  }
  return [{ kind: 'text', readings, span: spanOf(node) }];
}

type Call = t.CallExpression | t.OptionalCallExpression;

function markupOfCall(body: Body, node: Call, scope: Scope): TemplateNode[] {
  const name = calleeName(node);
  const member = node.callee.type === 'MemberExpression' || node.callee.type === 'OptionalMemberExpression' ? node.callee : undefined;
  const method = member?.property.type === 'Identifier' && !member.computed ? member.property.name : undefined;
  if (member && (method === 'map' || method === 'flatMap')) {
    const children = dottedName(member.object)?.endsWith('Children') ?? false;
    const [list, callback] = children ? [node.arguments[0], node.arguments[1]] : [member.object, node.arguments[0]];
    const asked = memberChain(member);
    if (!children && !asked.optional && asked.path.length === 1 && asked.base.type === 'Identifier')
      demand(body, asked.base.name, asked, scope, spanOf(member));
    if (list && callback) return repeatOf(body, node, list, callback, scope, children);
  }
  if (name === 'from' && node.arguments.length === 2) {
    return repeatOf(body, node, node.arguments[0] as t.Node, node.arguments[1] as t.Node, scope, false);
  }
  if (dottedName(node.callee)?.endsWith('Children.only') && node.arguments[0])
    return markupOf(body, node.arguments[0], scope).map((one) => (one.kind === 'outlet' ? { ...one, only: true } : one));
  if (name === 'createPortal' && node.arguments[0]) {
    const key = node.arguments[2] && keyOf(body, node.arguments[2], scope);
    const nodes = markupOf(body, node.arguments[0], scope);
    return key ? nodes.map((one) => (one.kind === 'element' || one.kind === 'use' ? { ...one, key } : one)) : nodes;
  }
  if ((name === 'createElement' && !isOfDocument(node)) || (name !== undefined && !member && createsElements(body, name)))
    return createdElement(body, node, scope);
  if (name === 'cloneElement' && node.arguments[0]) {
    body.clones = true;
    return [...markupOf(body, node.arguments[0], scope), ...node.arguments.slice(1).flatMap((one) => shown(body, one, scope))];
  }
  if (name === 'toArray' && node.arguments[0]) {
    return markupOf(body, node.arguments[0], scope).map((one) => (one.kind === 'repeat' ? { ...one, order: 'platform' as const } : one));
  }
  const callee = bare(node.callee);
  if (callee.type === 'Identifier') {
    const rendered = calledMarkup(body, callee, node, scope);
    if (rendered) return rendered;
  }
  return tableMarkup(body, callee, node, scope) ?? slotCall(body, node, scope) ?? nestedMarkup(body, node, scope);
}

/** `views[at]()`: the functions of a table of the module that give markup, each under the name by which it is chosen. */
function tableMarkup(body: Body, callee: t.Node, node: Call, scope: Scope): TemplateNode[] | undefined {
  if (callee.type !== 'MemberExpression' || callee.object.type !== 'Identifier' || lookUp(scope, callee.object.name)) return undefined;
  const { name } = callee.object;
  const table = body.module.tables.get(name);
  const chosen = keyName({ key: callee.property, computed: callee.computed });
  if (!table || !body.module.holdsMarkup(table)) return undefined;
  body.module.inPlace.add(name);
  const given = handedReadings(body, node.arguments, scope);
  const by = callee.computed ? readingsOf(body, callee.property, scope, 'computed') : [];
  return table.properties.flatMap((property): TemplateNode[] => {
    const key = property.type === 'SpreadElement' ? undefined : keyName(property);
    const made = property.type === 'ObjectMethod' ? property : property.type === 'ObjectProperty' ? bare(property.value) : undefined;
    if (key === undefined || !isFunction(made) || (chosen !== undefined && chosen !== key)) return [];
    const children = markupOfFunction(body, made, { names: new Map() }, given);
    const when = `${excerpt(body.module, spanOf(callee.property))} is ${key}`;
    return chosen === undefined ? [{ kind: 'branch', when, negated: false, readings: by, span: spanOf(callee), children }] : children;
  });
}

/** `renderRow(row)`: a function of the body or the module that gives markup, read in place. */
function calledMarkup(body: Body, callee: t.Identifier, node: Call, scope: Scope): TemplateNode[] | undefined {
  const meaning = lookUp(scope, callee.name);
  const local = meaning?.kind === 'function' ? meaning : undefined;
  const outer = meaning ? undefined : body.module.functions.get(callee.name);
  const rendered = local?.node ?? outer;
  if (!rendered || !body.module.holdsMarkup(rendered)) return undefined;
  if (outer) body.module.inPlace.add(callee.name);
  const given = node.arguments.map((one) => readingsOf(body, one, scope));
  return markupOfFunction(body, rendered, local?.scope ?? { names: new Map() }, given);
}

/** `children(value)`, `renderItem(value)`: a slot that hands out values. */
function slotCall(body: Body, node: Call, scope: Scope): TemplateNode[] | undefined {
  const called = slotCalled(body, node.callee, scope);
  if (!called) return undefined;
  const slotProps = handedReadings(body, node.arguments, scope);
  if (node.type === 'OptionalCallExpression') noteTest(body, called.reading.value, spanOf(node));
  else noteDemanded(body, called.reading.value, spanOf(node.callee));
  const names = node.arguments.length === 1 ? namesHanded(node.arguments[0]) : undefined;
  return [{ kind: 'outlet', ...called, span: spanOf(node), slotProps, ...(names ? { names } : {}) }];
}

/** The slot that is filled by calling this; undefined where it is no prop as it is. */
function slotCalled(body: Body, callee: t.Node, scope: Scope): { readonly slot: MemberKey; readonly reading: Reading } | undefined {
  const [reading] = readingsOf(body, callee, scope);
  const value = reading && body.values[reading.value];
  if (!reading || reading.path.length > 0 || reading.how !== 'same' || value?.kind !== 'prop') return undefined;
  return { slot: memberKeyOf(value), reading: { ...reading, how: 'called' } };
}

/** `rows.map(children)`: the list itself calls the slot, with one item at a time. */
function slotOfEach(
  body: Body,
  callback: t.Node,
  from: readonly Reading[],
  scope: Scope,
): { bound: Bound; content: TemplateNode[] } | undefined {
  const called = slotCalled(body, callback, scope);
  if (!called) return undefined;
  const span = spanOf(callback);
  noteDemanded(body, called.reading.value, span);
  const bound = { name: 'item', value: addValue(body, { name: 'item', kind: 'item', span, from: eachOf(from) }) };
  const slotProps: Reading[][] = [[{ value: bound.value, path: [], how: 'same', span }]];
  return { bound, content: [{ kind: 'outlet', ...called, span, slotProps }] };
}

/** The members of an object that is made in place; undefined where something is spread into it, or it is no object. */
function namesHanded(given: t.Node | undefined): string[] | undefined {
  const object = given && bare(given);
  if (object?.type !== 'ObjectExpression') return undefined;
  const names = object.properties.flatMap((one) => (one.type === 'SpreadElement' ? [] : (keyName(one) ?? [])));
  return names.length === object.properties.length ? names : undefined;
}

/** Whether a name is another one of the function that creates elements. */
const createsElements = (body: Body, name: string): boolean => creatingIn(body.module).has(name);

function createdElement(body: Body, node: Call, scope: Scope): TemplateNode[] {
  const [type, given, ...content] = node.arguments;
  if (!type) return [];
  const tag = type.type === 'StringLiteral' ? type.value : dottedName(type);
  if (!tag) return nestedMarkup(body, node, scope);
  const attributes = readAttributes(
    body,
    given && given.type === 'ObjectExpression' ? given.properties : given ? [given] : [],
    scope,
    tag,
    readsMarkup,
  );
  const children = content.flatMap((one) => markupOf(body, one, scope));
  return [placed(body, tag, type, node, attributes, children, contentKind(content), scope)];
}

function repeatOf(body: Body, node: t.Node, list: t.Node, callback: t.Node, scope: Scope, children: boolean): TemplateNode[] {
  const below = listBelow(list);
  const direct = readingsOf(body, below, scope, 'item');
  const readings =
    below === list
      ? direct
      : [...direct, ...readingsOf(body, list, scope, 'computed').filter((one) => !direct.some((known) => known.value === one.value))];
  const rendered = bare(callback);
  const named = rendered.type === 'Identifier' ? lookUp(scope, rendered.name) : undefined;
  const fn = isFunction(rendered)
    ? rendered
    : named?.kind === 'function'
      ? named.node
      : rendered.type === 'Identifier'
        ? body.module.functions.get(rendered.name)
        : undefined;
  if (fn && fn !== rendered && !named && rendered.type === 'Identifier') body.module.inPlace.add(rendered.name);
  const inner = innerScope(named?.kind === 'function' ? named.scope : scope);
  const each = fn ? undefined : slotOfEach(body, rendered, children ? [] : readings, scope);
  const bound = fn ? bindItem(body, fn, readings, list, inner, children) : each?.bound;
  const content = fn ? markupOfFunctionBody(body, fn, inner) : (each?.content ?? shown(body, rendered, scope));
  if (content.length === 0) return shown(body, node, scope);
  return [
    {
      kind: 'repeat',
      over: excerpt(body.module, spanOf(list), 40),
      ...(bound ? { value: bound.value } : {}),
      readings,
      span: spanOf(node),
      item: bound?.name ?? '',
      order: children ? 'platform' : orderOf(body, list),
      children: content,
    },
  ];
}

/** The value that stands for one item of a list. */
type Bound = { readonly value: number; readonly name: string };

/** Readings of a list, as those of one item of it. */
const eachOf = (readings: readonly Reading[]): Reading[] =>
  readings.map((one) => ({ ...one, how: one.how === 'computed' || one.how === 'called' ? one.how : 'item' }));

function bindItem(
  body: Body,
  fn: FunctionNode,
  readings: readonly Reading[],
  list: t.Node,
  scope: Scope,
  children: boolean,
): Bound | undefined {
  const [item, position] = fn.params;
  for (const found of position ? patternNames(position) : []) scope.names.set(found.name, { kind: 'position' });
  if (!item) return undefined;
  const name = item.type === 'Identifier' ? item.name : `one of ${excerpt(body.module, spanOf(list), 24)}`;
  const value = addValue(body, { name, kind: 'item', span: spanOf(item), from: children ? [] : eachOf(readings) });
  const throughIndex = calleeName(bare(list)) === 'from' || fixedLength(bare(list));
  for (const found of patternNames(item)) {
    scope.names.set(found.name, throughIndex && found.path.length === 0 ? { kind: 'opaque' } : { kind: 'value', value, path: found.path });
  }
  return { value, name };
}

/** The markup that a function gives when it is called with these readings as arguments. */
export function markupOfFunction(body: Body, fn: FunctionNode, scope: Scope, given: readonly (readonly Reading[])[] = []): TemplateNode[] {
  const inner = innerScope(scope);
  fn.params.forEach((parameter, at) => bindLocal(parameter, given[at] ?? [], inner));
  return markupOfFunctionBody(body, fn, inner);
}

function markupOfFunctionBody(body: Body, fn: FunctionNode, scope: Scope): TemplateNode[] {
  if (body.unfolding.has(fn) || body.unfolding.size > 12) return [];
  body.unfolding.add(fn);
  body.rendered.push(spanOf(fn));
  const nodes = fn.body.type === 'BlockStatement' ? markupOfBlock(body, fn.body.body, scope, 'inner') : markupOf(body, fn.body, scope);
  body.unfolding.delete(fn);
  return nodes;
}

type Level = 'body' | 'inner';

/**
 * The markup that a block of statements renders, with its early returns as branches. At the level
 * of a body its constants become the body's values; further in they are only locals.
 */
export function markupOfBlock(body: Body, statements: readonly t.Statement[], scope: Scope, level: Level): TemplateNode[] {
  for (const found of hoisted(statements)) {
    if (found.id) declareFunction(body, found.id.name, found, scope, 'handler', spanOf(found.id));
  }
  const nodes: TemplateNode[] = [];
  for (const [at, statement] of statements.entries()) {
    if (statement.type === 'ReturnStatement') {
      if (statement.argument) append(nodes, returned(body, statement.argument, scope, level));
      return nodes;
    }
    if (statement.type === 'IfStatement') {
      const then = markupOfBlock(body, blockOf(statement.consequent), innerScope(scope), level);
      append(nodes, branchOf(body, statement.test, false, scope, then));
      noteCondition(body, statement, scope);
      if (leaves(statement.consequent)) {
        const rest = markupOfBlock(
          body,
          [...(statement.alternate ? [statement.alternate] : []), ...statements.slice(at + 1)],
          scope,
          level,
        );
        append(nodes, branchOf(body, statement.test, true, scope, rest));
        return nodes;
      }
      if (statement.alternate) {
        append(
          nodes,
          branchOf(body, statement.test, true, scope, markupOfBlock(body, blockOf(statement.alternate), innerScope(scope), level)),
        );
      }
      continue;
    }
    append(nodes, markupOfStatement(body, statement, scope, level));
  }
  return nodes;
}

/** What a component returns may be no markup at all: it is read all the same. */
function returned(body: Body, argument: t.Node, scope: Scope, level: Level): TemplateNode[] {
  if (level === 'body' && body.returns) {
    append(body.returns, returnedFunction(body, bare(argument), scope));
    if (!body.module.holdsMarkup(argument)) return [];
  }
  return markupOf(body, argument, scope);
}

function returnedFunction(body: Body, node: t.Node, scope: Scope): Reading[] {
  return isFunction(node) ? [keptFunction(body, 'what it gives', node, scope)] : readingsOf(body, node, scope);
}

function noteCondition(body: Body, statement: t.IfStatement, scope: Scope): void {
  const values = noteTested(body, statement.test, scope);
  if (throws(statement.consequent)) for (const value of values) body.thrown.add(value);
}

function blockOf(statement: t.Statement): readonly t.Statement[] {
  return statement.type === 'BlockStatement' ? statement.body : [statement];
}

/** Tells whether what follows a statement is not reached after it. */
function leaves(statement: t.Statement): boolean {
  const last = blockOf(statement).at(-1);
  if (!last) return false;
  if (last.type === 'IfStatement') return Boolean(last.alternate) && leaves(last.consequent) && leaves(last.alternate as t.Statement);
  return last.type === 'ReturnStatement' || last.type === 'ThrowStatement';
}

function markupOfStatement(body: Body, statement: t.Statement, scope: Scope, level: Level): TemplateNode[] {
  switch (statement.type) {
    case 'VariableDeclaration':
      for (const one of statement.declarations) declare(body, one, scope, level, statement.kind === 'let');
      return [];
    case 'ExpressionStatement':
      readLooseExpression(body, statement.expression, scope);
      return [];
    case 'BlockStatement':
      return markupOfBlock(body, statement.body, innerScope(scope), level);
    case 'TryStatement':
      return [statement.block, statement.handler?.body, statement.finalizer].flatMap((block) =>
        block ? markupOfBlock(body, block.body, innerScope(scope), level) : [],
      );
    case 'SwitchStatement':
      return statement.cases.flatMap((one) => {
        const nodes = markupOfBlock(body, one.consequent, innerScope(scope), level);
        return branchOf(body, statement.discriminant, false, scope, nodes);
      });
    case 'ForStatement':
    case 'ForOfStatement':
    case 'ForInStatement':
    case 'WhileStatement':
      return loop(body, statement, scope, level);
    case 'FunctionDeclaration':
    case 'ClassDeclaration':
      return [];
    default:
      readLooseStatement(body, statement, scope);
      return [];
  }
}

function readLooseStatement(body: Body, statement: t.Statement, scope: Scope): void {
  const sink = newEffects();
  readStatement(body, statement, scope, sink);
  keepRender(body, sink, statement);
}

function keepRender(body: Body, sink: ReturnType<typeof newEffects>, node: t.Node): void {
  if (sink.reads.length === 0 && !sink.changes && !sink.raises && !sink.calls) return;
  fillAction(body, addAction(body, 'while rendering', 'render', spanOf(node)), sink);
}

/** A loop that fills a list with markup: `for (…) rows.push(<Row/>)`. */
function loop(
  body: Body,
  statement: t.ForStatement | t.ForOfStatement | t.ForInStatement | t.WhileStatement,
  scope: Scope,
  level: Level,
): TemplateNode[] {
  const inner = innerScope(scope);
  const list = statement.type === 'ForOfStatement' || statement.type === 'ForInStatement' ? statement.right : undefined;
  const readings = list ? readingsOf(body, list, scope, 'item') : [];
  if ((statement.type === 'ForOfStatement' || statement.type === 'ForInStatement') && statement.left.type === 'VariableDeclaration') {
    for (const one of statement.left.declarations) bindLocal(one.id, readings, inner);
  }
  if (statement.type === 'ForStatement' && statement.init?.type === 'VariableDeclaration') {
    for (const one of statement.init.declarations) {
      if (one.init) append(readings, readingsOf(body, one.init, scope, 'computed'));
      for (const found of patternNames(one.id)) inner.names.set(found.name, { kind: 'position' });
    }
  }
  const test = statement.type === 'ForStatement' || statement.type === 'WhileStatement' ? statement.test : undefined;
  if (test) append(readings, readingsOf(body, test, inner, 'computed'));
  if (!body.module.holdsMarkup(statement)) {
    readLooseStatement(body, statement, scope);
    return [];
  }
  const wrap = (children: TemplateNode[]): TemplateNode[] => [
    {
      kind: 'repeat',
      over: list ? excerpt(body.module, spanOf(list), 40) : 'loop',
      readings,
      span: spanOf(statement),
      item: '',
      order: 'unknown',
      children,
    },
  ];
  for (const one of blockOf(statement.body)) {
    if (one.type === 'ExpressionStatement') readLooseExpression(body, one.expression, inner, wrap);
    else if (one.type === 'VariableDeclaration') for (const each of one.declarations) declare(body, each, inner, 'inner');
  }
  const nodes = markupOfBlock(
    body,
    blockOf(statement.body).filter((one) => one.type !== 'ExpressionStatement' && one.type !== 'VariableDeclaration'),
    inner,
    level === 'body' ? 'inner' : level,
  );
  return nodes.length > 0 ? wrap(nodes) : [];
}

const whole = (nodes: TemplateNode[]): TemplateNode[] => nodes;

/** An expression on a line of its own: an effect, markup kept for later, or something done while rendering. */
function readLooseExpression(body: Body, expression: t.Node, scope: Scope, wrap = whole): void {
  const node = bare(expression);
  if (node.type === 'CallExpression') {
    if (readEffect(body, node, scope)) return;
    const callee = node.callee;
    if (callee.type === 'MemberExpression' && callee.object.type === 'Identifier' && body.module.holdsMarkup(node)) {
      keepMarkup(callee.object.name, wrap(node.arguments.flatMap((one) => markupOf(body, one, scope))), scope);
      return;
    }
    if (hookValue(body, node, scope) !== undefined) return;
  }
  if (node.type === 'AssignmentExpression' && node.left.type === 'Identifier' && body.module.holdsMarkup(node.right)) {
    keepMarkup(node.left.name, wrap(markupOf(body, node.right, scope)), scope);
    return;
  }
  const sink = newEffects();
  readExpression(body, node, scope, 'computed', sink);
  keepRender(body, sink, node);
}

/** Adds markup to a variable, from here on a variable of markup. */
function keepMarkup(name: string, nodes: TemplateNode[], scope: Scope): void {
  for (let at: Scope | undefined = scope; at; at = at.outer) {
    const known = at.names.get(name);
    if (!known) continue;
    if (known.kind === 'markup') append(known.nodes, nodes);
    else at.names.set(name, { kind: 'markup', nodes, readings: [] });
    return;
  }
}

/** Gives the names of one declarator their meaning. */
function declare(body: Body, declarator: t.VariableDeclarator, scope: Scope, level: Level, isVariable = false): void {
  const init = declarator.init ? bare(declarator.init) : undefined;
  if (isFunction(init) && declarator.id.type === 'Identifier') {
    declareFunction(body, declarator.id.name, init, scope, 'handler', spanOf(declarator.id));
    return;
  }
  if (init?.type === 'Identifier' && lookUp(scope, init.name)?.kind === 'props') {
    bindProps(body, declarator.id, scope);
    return;
  }
  if (init?.type === 'MemberExpression' && dottedName(init) === undefined && init.object.type === 'ThisExpression') {
    const member = init.property.type === 'Identifier' ? init.property.name : '';
    if (member === 'props') {
      bindProps(body, declarator.id, scope);
      return;
    }
    if (member === 'state' && body.own) {
      for (const found of patternNames(declarator.id)) {
        const meaning = found.path[0] === undefined ? undefined : body.own(`state.${found.path[0]}`);
        if (meaning?.kind === 'value') scope.names.set(found.name, { ...meaning, path: found.path.slice(1) });
      }
      return;
    }
  }
  if (init?.type === 'CallExpression' && dottedName(init.callee)?.endsWith('Children.only') && declarator.id.type === 'Identifier') {
    scope.names.set(declarator.id.name, { kind: 'markup', nodes: markupOf(body, init, scope), readings: [] });
    return;
  }
  if (init && body.module.holdsMarkup(init) && declareMarkup(body, declarator, init, scope)) return;
  if (init?.type === 'CallExpression' && level === 'body' && declareHook(body, declarator, init, scope)) return;
  declareValue(body, declarator, init, scope, level, isVariable);
}

/** `const head = <Head/>`, `const rows = useMemo(() => list.map(…))`. */
function declareMarkup(body: Body, declarator: t.VariableDeclarator, init: t.Node, scope: Scope): boolean {
  const [first] = init.type === 'CallExpression' ? init.arguments : [];
  const memoised = init.type === 'CallExpression' && /^use(Memo|Callback)$/.test(calleeName(init) ?? '') && isFunction(first);
  if (memoised && calleeName(init) === 'useCallback') return false;
  if (!memoised && init.type === 'CallExpression' && /^use[A-Z]/.test(calleeName(init) ?? '')) return false;
  if (init.type === 'ObjectExpression') return false;
  const nodes = memoised && isFunction(first) ? markupOfFunction(body, first, scope) : markupOf(body, init, scope);
  for (const found of patternNames(declarator.id)) scope.names.set(found.name, { kind: 'markup', nodes, readings: [] });
  return true;
}

/** An ordinary constant: another name for a value or its part, or computed from others. */
function declareValue(
  body: Body,
  declarator: t.VariableDeclarator,
  init: t.Node | undefined,
  scope: Scope,
  level: Level,
  isVariable: boolean,
): void {
  const sink = newEffects();
  if (init) readExpression(body, init, scope, 'same', sink);
  if (level === 'body' && (sink.changes || sink.raises)) keepRender(body, sink, declarator);
  const nodes = init?.type === 'ObjectExpression' && body.module.holdsMarkup(init) ? markupOf(body, init, scope) : undefined;
  for (const found of patternNames(declarator.id)) {
    if (nodes) scope.names.set(found.name, { kind: 'markup', nodes, readings: sink.reads });
    else if (found.rest || level === 'inner') bindLocal(found.node, partsOf(sink.reads, found.path), scope);
    else scope.names.set(found.name, valueMeaning(body, init, found, sink.reads, isVariable));
  }
}

function partsOf(readings: readonly Reading[], path: readonly string[]): Reading[] {
  return readings.map((one) =>
    (one.how === 'computed' || one.how === 'called') && !one.held
      ? one
      : {
          ...one,
          path: [...one.path, ...path],
          how: path.length > 0 && one.how === 'same' ? ('part' as const) : one.how,
        },
  );
}

function valueMeaning(
  body: Body,
  init: t.Node | undefined,
  found: ReturnType<typeof patternNames>[number],
  readings: readonly Reading[],
  isVariable: boolean,
): Meaning {
  const [only] = readings;
  const plain = init?.type === 'Identifier' || init?.type === 'MemberExpression' || init?.type === 'OptionalMemberExpression';
  const kind = only && body.values[only.value]?.kind;
  if (plain && readings.length === 1 && only && kind !== 'module' && !found.fallback) {
    return { kind: 'value', value: only.value, path: [...only.path, ...found.path] };
  }
  const value = addValue(body, {
    name: found.name,
    kind: 'derived',
    span: spanOf(found.node),
    from: mergeReadings(partsOf(readings, found.path)),
    ...(isVariable ? { plain: true as const } : {}),
  });
  return { kind: 'value', value, path: [] };
}

/** Constant texts and expressions without markup are no nodes of the template: the syntax tells whether there are any. */
function isAroundOne({ children }: t.JSXFragment): boolean {
  // A comment would have no place without the fragment.
  const said = children.filter((one) => !(one.type === 'JSXText' && one.value.trim() === ''));
  return said.length === 1 && (said[0]?.type === 'JSXElement' || said[0]?.type === 'JSXFragment');
}

function fragmentOf(body: Body, node: t.JSXFragment, scope: Scope): TemplateNode {
  const children = contentOf(body, node.children, scope);
  return {
    kind: 'element',
    tag: '',
    span: spanOf(node),
    nameSpan: spanOf(node.openingFragment),
    bindings: [],
    spreads: [],
    children,
    key: noKey,
    ...(isAroundOne(node) ? { aroundOne: true as const } : {}),
  };
}

/** The markup of some nodes in a row. Most hold text alone: one list is shared by all that are empty. */
function contentOf(body: Body, nodes: readonly t.Node[], scope: Scope): readonly TemplateNode[] {
  let found: TemplateNode[] | undefined;
  for (const node of nodes) {
    if (node.type === 'JSXText') continue;
    const markup = markupOf(body, node, scope);
    if (markup.length > 0) append((found ??= []), markup);
  }
  return found ?? none;
}

function elementOf(body: Body, node: t.JSXElement, scope: Scope): TemplateNode {
  const opening = node.openingElement;
  const tag = dottedName(opening.name) ?? '';
  const attributes = readAttributes(body, opening.attributes, scope, tag, readsMarkup);
  const content = contentKind(node.children);
  const hands = content === 'function' ? handedBy(body, node.children, scope) : undefined;
  const children = hands ? hands.nodes : contentOf(body, node.children, scope);
  return placed(body, tag, opening.name, node, attributes, children, content, scope, hands?.values);
}

/** Content given by a function: its parameters are values that the slot hands out. */
function handedBy(body: Body, content: readonly t.Node[], scope: Scope): { nodes: TemplateNode[]; values: number[] } | undefined {
  for (const child of content) {
    const inner = child.type === 'JSXExpressionContainer' ? bare(child.expression) : child;
    if (isFunction(inner)) return renderFunction(body, inner, scope);
  }
  return undefined;
}

/** A function that renders what it is given: its markup, and the values its parameters stand for. */
export function renderFunction(body: Body, fn: FunctionNode, scope: Scope): { nodes: TemplateNode[]; values: number[] } {
  const inner = innerScope(scope);
  const values = fn.params.map((parameter) => {
    const name = parameter.type === 'Identifier' ? parameter.name : 'what it hands out';
    const value = addValue(body, { name, kind: 'handed', span: spanOf(parameter), from: [] });
    for (const found of patternNames(parameter)) inner.names.set(found.name, { kind: 'value', value, path: found.path });
    return value;
  });
  const nodes = markupOfFunctionBody(body, fn, inner);
  if (nodes.length === 0) {
    const sink = newEffects();
    readFunctionInto(body, fn, inner, sink, fn.params.length);
    if (sink.reads.length > 0) nodes.push({ kind: 'text', readings: sink.reads, span: spanOf(fn) });
  }
  return { nodes, values };
}

const readsMarkup: ReadMarkup = { of: markupOf, given: renderFunction };

function placed(
  body: Body,
  tag: string,
  name: t.Node,
  node: t.Node,
  attributes: ReturnType<typeof readAttributes>,
  children: readonly TemplateNode[],
  content: ReturnType<typeof contentKind>,
  scope: Scope,
  hands?: number[],
): TemplateNode {
  const { bindings, spreads, key, ref } = attributes;
  const span = spanOf(node);
  const nameSpan = spanOf(name);
  const element = (tag: string, children: readonly TemplateNode[]): TemplateNode => ({
    kind: 'element',
    tag,
    span,
    nameSpan,
    bindings,
    spreads,
    children,
    key,
    ...(ref ? { ref } : {}),
  });
  if (tag === 'Fragment' || tag === 'React.Fragment') return element('', children);
  if (!isComponentTag(tag)) return element(tag, children);
  const meaning = lookUp(scope, tag.split('.')[0] ?? '');
  if (meaning?.kind === 'function' && !tag.includes('.')) {
    return element('', [...inlined(body, meaning, bindings), ...children]);
  }
  const use: Writable<TemplateUse> = { kind: 'use', tag: '', span, nameSpan, bindings, spreads, children, key, content };
  if (hands) use.slotProps = hands;
  if (ref) use.ref = ref;
  if (meaning && meaning.kind !== 'opaque') {
    const readings = readingsOf(body, name.type.startsWith('JSX') ? identifierOf(name) : name, scope);
    if (readings.length > 0) use.dynamic = readings;
    return use;
  }
  const root = tag.split('.')[0] ?? '';
  const hidden = meaning !== undefined || (!body.module.names.has(root) && body.module.isLocal(root));
  if (!hidden) use.tag = tag;
  return use;
}

function identifierOf(name: t.Node): t.Node {
  const root = (dottedName(name) ?? '').split('.')[0] ?? '';
  return { type: 'Identifier', name: root, start: name.start, end: name.end } as unknown as t.Node;
}

/** A component declared inside a component: its markup stands where it is used. */
function inlined(body: Body, meaning: Extract<Meaning, { kind: 'function' }>, bindings: readonly Binding[]): TemplateNode[] {
  const inner = innerScope(meaning.scope);
  const [parameter] = meaning.node.params;
  for (const found of parameter ? patternNames(parameter) : []) {
    const given = bindings.find((one) => one.written === found.path[0])?.readings ?? [];
    inner.names.set(found.name, { kind: 'local', readings: partsOf(given, found.path.slice(1)) });
  }
  return markupOfFunctionBody(body, meaning.node, inner);
}
