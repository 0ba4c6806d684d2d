import type * as t from '@babel/types';
import type { ChangeFact, Reading } from '../../model/facts';
import type { Span } from '../../model/span';
import { addAction, addValue, type Body, type Effects, fillAction, newEffects } from './body';
import { commandNames } from './central';
import { readFunctionInto, readingsOf, readStatement } from './expressions';
import { innerScope, type Meaning, type Scope } from './scope';
import { bare, calleeName, dottedName, forEachChild, type FunctionNode, isFunction, keyName, patternNames, spanOf } from './syntax';

/** What a store does when it is told something: the names by which it is told, and the code that then runs. */
type Case = { readonly names: readonly string[]; readonly span: Span; readonly runs: readonly t.Statement[] | FunctionNode };

/** A part of a store that is told by actions: what it holds first, and its cases. */
export type Reducer = {
  readonly first?: t.Node;
  readonly cases: readonly Case[];
  readonly state: readonly string[];
  readonly action?: t.Node;
};

/**
 * A function that is given a state and an action, and begins the state itself: `(state = initial, action) => …` with a
 * `switch` or tests of the action's type. Undefined for all else.
 */
export function reducerOf(node: FunctionNode): Reducer | undefined {
  const [state, action] = node.params;
  if (state?.type !== 'AssignmentPattern' || state.left.type !== 'Identifier' || !action || node.body.type !== 'BlockStatement')
    return undefined;
  const cases = casesIn(node.body, action);
  if (cases.length === 0) return undefined;
  return { first: state.right, cases, state: [state.left.name, ...draftsIn(node.body)], action };
}

/** `createReducer(first, (builder) => builder.addCase(…))`, `createReducer(first, on(added, …))`, `handleActions({ … }, first)`. */
export function madeReducerOf(given: t.Node | undefined): Reducer | undefined {
  const call = given && bare(given);
  if (call?.type !== 'CallExpression') return undefined;
  const name = calleeName(call);
  const [one, ...others] = call.arguments;
  const [run] = call.arguments;
  if (
    name === 'produce' &&
    isFunction(run) &&
    run.params[1] &&
    run.params[0]?.type === 'Identifier' &&
    run.body.type === 'BlockStatement'
  ) {
    const cases = casesIn(run.body, run.params[1]);
    return cases.length === 0 ? undefined : { ...firstOf(call.arguments[1]), cases, state: [run.params[0].name], action: run.params[1] };
  }
  if (name === 'handleActions') return { ...firstOf(others[0]), cases: tableCases(one), state: [] };
  if (name !== 'createReducer' || !one) return undefined;
  const [second] = others;
  const cases = isFunction(second)
    ? builtCases(second)
    : second?.type === 'ObjectExpression'
      ? tableCases(second)
      : others.flatMap((other) => listenedCase(other));
  return { ...firstOf(one), cases, state: [] };
}

const firstOf = (node: t.Node | undefined): { first?: t.Node } => (node ? { first: node } : {});

/** `{ [added]: (state, action) => … }`: a function for each name. */
export function tableCases(given: t.Node | undefined): Case[] {
  if (given?.type !== 'ObjectExpression') return [];
  return given.properties.flatMap((one): Case[] => {
    if (one.type === 'SpreadElement') return [];
    const names = one.computed ? commandNames(one.key) : [keyName(one)].filter((name) => name !== undefined);
    const runs = one.type === 'ObjectMethod' ? one : bare(one.value);
    return isFunction(runs) ? [{ names: names.map(withoutType), span: spanOf(one), runs }] : [];
  });
}

/** `(builder) => builder.addCase(added, (state, action) => …)`. */
export function builtCases(builder: FunctionNode): Case[] {
  const found: Case[] = [];
  const visit = (node: t.Node): void => {
    const [first, second] = node.type === 'CallExpression' ? node.arguments : [];
    const isCase =
      node.type === 'CallExpression' && node.callee.type === 'MemberExpression' && keyName({ key: node.callee.property }) === 'addCase';
    if (isCase && first && isFunction(second))
      found.push({ names: commandNames(first).map(withoutType), span: spanOf(second), runs: second });
    forEachChild(node, visit);
  };
  visit(builder.body);
  return found.reverse();
}

/** `on(added, removed, (state, { name }) => …)`. */
function listenedCase(given: t.Node): Case[] {
  const call = bare(given);
  if (call.type !== 'CallExpression' || calleeName(call) !== 'on') return [];
  const runs = call.arguments.at(-1);
  const names = call.arguments.slice(0, -1).flatMap((one) => commandNames(one));
  return isFunction(runs) ? [{ names, span: spanOf(call), runs }] : [];
}

/** A maker of actions stands for the name of those that it makes: `{added.type}` is `{added}`. */
const withoutType = (name: string): string => name.replace(/\.type\}$/, '}');

/** Whether an expression is the type of the action: `action.type`, or what takes it out. */
function tells(action: t.Node): (given: t.Node) => boolean {
  const whole = action.type === 'Identifier' ? action.name : undefined;
  const taken = action.type === 'ObjectPattern' ? patternNames(action).find(({ path }) => path[0] === 'type')?.name : undefined;
  return (given) => {
    const name = dottedName(bare(given));
    return name !== undefined && (name === taken || (whole !== undefined && name === `${whole}.type`));
  };
}

/** All cases within the body of a reducer, wherever the type is asked for. */
function casesIn(within: t.Node, action: t.Node): Case[] {
  const isType = tells(action);
  const found: Case[] = [];
  const visit = (node: t.Node): void => {
    if (node.type === 'SwitchStatement' && isType(node.discriminant)) {
      let names: string[] = [];
      for (const one of node.cases) {
        if (one.test) names = [...names, ...commandNames(one.test)];
        if (one.consequent.length === 0) continue;
        if (names.length > 0) found.push({ names: names.map(withoutType), span: spanOf(one), runs: one.consequent });
        names = [];
      }
      return;
    }
    if (node.type === 'IfStatement') {
      const names = typesTested(node.test, isType);
      if (names.length > 0) found.push({ names, span: spanOf(node), runs: [node.consequent] });
    }
    forEachChild(node, visit);
  };
  visit(within);
  return found;
}

/** `action.type === ADDED || action.type === MOVED` → the names. */
function typesTested(test: t.Node, isType: (given: t.Node) => boolean): string[] {
  const node = bare(test);
  if (node.type === 'LogicalExpression') return [...typesTested(node.left, isType), ...typesTested(node.right, isType)];
  if (node.type !== 'BinaryExpression' || !/^===?$/.test(node.operator)) return [];
  const [left, right] = [node.left, node.right];
  return (isType(left) ? commandNames(right) : isType(right) ? commandNames(left) : []).map(withoutType);
}

/** Names by which functions that make a new state of an old one have the old one: `produce(state, (draft) => …)`. */
function draftsIn(within: t.Node): string[] {
  const found: string[] = [];
  const visit = (node: t.Node): void => {
    if (node.type === 'CallExpression' && calleeName(node) === 'produce')
      for (const one of node.arguments) if (isFunction(one) && one.params[0]?.type === 'Identifier') found.push(one.params[0].name);
    forEachChild(node, visit);
  };
  visit(within);
  return found;
}

/** What a store holds that is told by actions: what it begins with, and what each name runs, under `dispatch`. */
export function readReducer(body: Body, store: number, reducer: Reducer, scope: Scope): Reading[] {
  const name = body.values[store]?.name ?? '';
  const first = reducer.first ? readingsOf(body, reducer.first, scope) : [];
  return [...first, ...reducer.cases.flatMap((one) => readCase(body, store, name, reducer, one, scope))];
}

/** Further cases of a store that is read already. */
export function readCases(body: Body, store: number, cases: readonly Case[], scope: Scope): Reading[] {
  const name = body.values[store]?.name ?? '';
  return cases.flatMap((one) => readCase(body, store, name, { cases: [], state: [] }, one, scope));
}

function readCase(body: Body, store: number, name: string, reducer: Reducer, one: Case, scope: Scope): Reading[] {
  const action = addAction(body, name, 'handler', one.span);
  const value = addValue(body, {
    name: `case ${one.names[0]?.replace(/^\{(?:.*\.)?|\}$/g, '') ?? ''}`,
    kind: 'function',
    span: one.span,
    from: [],
    action,
  });
  body.queue.push(() => {
    const inner = innerScope(scope);
    const state: Meaning = { kind: 'value', value: store, path: [] };
    for (const each of reducer.state) inner.names.set(each, state);
    const sink = newEffects();
    const held = isStatements(one.runs) ? reducer.state : namesHeld(one.runs);
    if (isStatements(one.runs)) {
      // They are the function's own.
      sink.depth = 1;
      bindAction(body, action, reducer.action, inner);
      for (const statement of one.runs) readStatement(body, statement, inner, sink);
    } else {
      const [first, told] = one.runs.params;
      for (const each of first ? patternNames(first) : []) inner.names.set(each.name, { kind: 'value', value: store, path: each.path });
      bindAction(body, action, told, inner);
      readFunctionInto(body, one.runs, inner, sink, 2);
    }
    fillAction(body, action, { ...sink, changes: changesOf(store, one, held, sink) });
  });
  return one.names.map((told) => ({ value, path: [], how: 'computed', span: one.span, held: { at: ['dispatch', told], how: 'same' } }));
}

const namesHeld = ({ params: [first] }: FunctionNode): readonly string[] => (first?.type === 'Identifier' ? [first.name] : []);

const isStatements = (runs: Case['runs']): runs is readonly t.Statement[] => Array.isArray(runs);

/** What is dispatched is the first thing that whoever runs is given. */
function bindAction(body: Body, action: number, pattern: t.Node | undefined, scope: Scope): void {
  const names = pattern ? patternNames(pattern) : [];
  const [only] = names;
  if (!only) return;
  const whole = names.find(({ path }) => path.length === 0);
  const span = spanOf(whole?.node ?? only.node);
  const value = addValue(body, { name: whole?.name ?? 'action', kind: 'param', span, from: [], of: action, position: 0 });
  for (const found of names) scope.names.set(found.name, { kind: 'value', value, path: found.path });
}

/**
 * What it gives back is what the store holds next; the old state as it is is no change. Where all that it gives back are
 * the old state with some members anew, `{ ...state, list }`, only these change.
 */
function changesOf(
  store: number,
  run: Case,
  names: readonly string[],
  { changes, returns }: Pick<Effects, 'changes' | 'returns'>,
): ChangeFact[] {
  if (changes?.some((one) => one.value === store)) return [...changes];
  const given = givenBack(run.runs).filter((one) => !(one.type === 'Identifier' && names.includes(one.name)));
  if (given.length === 0) return [...(changes ?? [])];
  const from = (returns ?? []).filter((one) => !(one.value === store && one.path.length === 0 && one.how !== 'computed'));
  const [first] = given;
  const members = given.map((one) => membersAnew(one, names));
  const span = first ? spanOf(first) : run.span;
  if (!members.every((one) => one !== undefined)) return [...(changes ?? []), { value: store, span, how: 'set', from }];
  const changed = members.flat().map(({ name, span: at }): ChangeFact => ({
    value: store,
    span: at,
    how: 'set',
    path: [name],
    from: from.flatMap((one) => (isWithin(one, name, at) ? [within(one)] : [])),
  }));
  return [...(changes ?? []), ...changed];
}

/** Whether a reading is of what a member is given: it stands there, as a member of an object where it is one. */
const isWithin = ({ held, span }: Reading, name: string, at: Span): boolean =>
  (held === undefined || held.at[0] === name) && at.start <= span.start && span.end <= at.end;

/** A reading as it stands within the member that it is given to. */
function within({ held, ...one }: Reading): Reading {
  if (!held) return one;
  return held.at.length > 1 ? { ...one, held: { at: held.at.slice(1), how: held.how } } : { ...one, how: held.how };
}

/** What the statements of a case give back, and not what functions within them do. */
function givenBack(runs: Case['runs']): t.Node[] {
  const found: t.Node[] = [];
  const visit = (node: t.Node): void => {
    if (node.type === 'ReturnStatement' && node.argument) found.push(bare(node.argument));
    if (!isFunction(node)) forEachChild(node, visit);
  };
  if (isStatements(runs)) runs.forEach(visit);
  else if (runs.body.type === 'BlockStatement') runs.body.body.forEach(visit);
  else found.push(bare(runs.body));
  return found;
}

/** The members that an object has anew, where all else in it is the old state: `{ ...state, list: [] }`. */
function membersAnew(node: t.Node, names: readonly string[]): { name: string; span: Span }[] | undefined {
  if (node.type === 'CallExpression') return membersSet(node, names);
  if (node.type !== 'ObjectExpression') return undefined;
  const isOld = (one: t.Node): boolean =>
    one.type === 'SpreadElement' && one.argument.type === 'Identifier' && names.includes(one.argument.name);
  if (!node.properties.some(isOld)) return undefined;
  const others = node.properties.filter((one) => !isOld(one));
  const members = others.map((one) => {
    const name = one.type === 'SpreadElement' ? undefined : keyName(one);
    return name === undefined ? undefined : { name, span: spanOf(one) };
  });
  return members.every((one) => one !== undefined) ? members : undefined;
}

/** The members that methods set of a state that gives a new one each time: `state.set('list', next).delete('note')`. */
function membersSet(call: t.CallExpression, names: readonly string[]): { name: string; span: Span }[] | undefined {
  const { callee } = call;
  if (
    callee.type !== 'MemberExpression' ||
    !/^(?:set|update|delete|remove|setIn|updateIn|deleteIn)$/.test(keyName({ key: callee.property }) ?? '')
  )
    return undefined;
  const [first] = call.arguments;
  const key = first?.type === 'ArrayExpression' ? first.elements[0] : first;
  if (key?.type !== 'StringLiteral') return undefined;
  const object = bare(callee.object);
  const before =
    object.type === 'Identifier' && names.includes(object.name)
      ? []
      : object.type === 'CallExpression'
        ? membersSet(object, names)
        : undefined;
  return before && [...before, { name: key.value, span: { start: callee.property.start ?? 0, end: call.end ?? 0 } }];
}
