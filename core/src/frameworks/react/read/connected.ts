import type * as t from '@babel/types';
import type { Reading } from '../../../model/facts';
import { addValue, type Body, type ModuleScope } from '../../../read/script/body';
import { centralStore } from '../../../read/script/central';
import { keptFunction, readingsOf } from '../../../read/script/expressions';
import { innerScope, type Scope } from '../../../read/script/scope';
import { bare, calleeName, forEachChild, isFunction, keyName, patternNames, resultOf, spanOf } from '../../../read/script/syntax';

/** What a function around a component gives it of the application's store: what is read of it, and what tells it something. */
export type Connected = {
  readonly state?: t.Node;
  readonly commands?: t.Node;
  readonly span: { readonly start: number; readonly end: number };
};

/** The components of a module that are connected to a store, by their names: `connect(state, commands)(List)`, also among other functions. */
export function connectedIn(program: t.Program, text: string): ReadonlyMap<string, Connected> {
  const found = new Map<string, Connected>();
  if (!/\bconnect\s*(?:<[^(]*>)?\(/.test(text)) return found;
  const named = new Map<string, t.CallExpression>();
  const visit = (node: t.Node): void => {
    const kept = node.type === 'VariableDeclarator' && node.init ? connectCall(node.init) : undefined;
    if (kept && node.type === 'VariableDeclarator' && node.id.type === 'Identifier') named.set(node.id.name, kept);
    if (node.type === 'CallExpression') {
      const call = connectIn(node.callee, named);
      const inner = call && componentIn(node.arguments[0]);
      if (call && inner !== undefined) found.set(inner, givenBy(call));
    }
    forEachChild(node, visit);
  };
  visit(program);
  return found;
}

/** Whether a function of the module is one by which a component is connected: it is read with that. */
export function isConnecting(connected: ReadonlyMap<string, Connected>, name: string): boolean {
  const isNamed = (node: t.Node | undefined): boolean => node?.type === 'Identifier' && node.name === name;
  return [...connected.values()].some(({ state, commands }) => isNamed(state) || isNamed(commands));
}

const connectCall = (node: t.Node): t.CallExpression | undefined =>
  node.type === 'CallExpression' && calleeName(node) === 'connect' ? node : undefined;

/** `connect(…)` itself, by the name that it is kept under, or among what is composed: `compose(withRouter, connect(…))`. */
function connectIn(callee: t.Node, named: ReadonlyMap<string, t.CallExpression>): t.CallExpression | undefined {
  if (callee.type === 'Identifier') return named.get(callee.name);
  if (callee.type !== 'CallExpression') return undefined;
  const own = connectCall(callee);
  if (own) return own;
  if (!/^(?:compose|flow|flowRight)$/.test(calleeName(callee) ?? '')) return undefined;
  for (const one of callee.arguments) {
    const found = connectCall(one) ?? (one.type === 'Identifier' ? named.get(one.name) : undefined);
    if (found) return found;
  }
  return undefined;
}

/** The component in the middle of what functions are put around: `withRouter(translate()(List))` → `List`. */
function componentIn(given: t.Node | undefined): string | undefined {
  const node = given && bare(given);
  if (node?.type === 'Identifier') return node.name;
  return node?.type === 'CallExpression' ? componentIn(node.arguments[0]) : undefined;
}

function givenBy(call: t.CallExpression): Connected {
  const [state, commands] = call.arguments;
  return { ...(state ? { state } : {}), ...(commands ? { commands } : {}), span: spanOf(call) };
}

/** Notes what a connected component is given under the names of its props. */
export function readConnected(body: Body, { state, commands, span }: Connected): void {
  const given = new Map<string, Reading>();
  const select = functionMeant(body.module, state);
  if (select) {
    const selector = keptFunction(body, 'what the store gives', select, innerScope());
    const value = addValue(body, {
      name: 'store',
      kind: 'hook',
      span,
      from: [],
      gives: { gives: 'root', selector: 0 },
      args: [{ readings: [selector] }],
    });
    for (const { name, at } of namesMadeBy(select)) given.set(name, { value, path: [name], how: 'part', span: at });
  }
  for (const [name, reading] of commandsGiven(body, commands)) given.set(name, reading);
  if (given.size === 0) return;
  body.queue.push(() => {
    for (const value of body.values) {
      const reading = value.kind === 'prop' ? given.get(value.name) : undefined;
      if (reading) value.from = [reading];
    }
  });
}

function functionMeant(module: ModuleScope, given: t.Node | undefined): ReturnType<ModuleScope['functions']['get']> {
  const node = given && bare(given);
  if (node?.type === 'Identifier') return module.functions.get(node.name);
  return isFunction(node) ? node : undefined;
}

/** The names of the object that a function gives. */
function namesMadeBy(node: t.Node): { name: string; at: { start: number; end: number } }[] {
  const result = isFunction(node) ? resultOf(node) : undefined;
  const object = result && bare(result);
  if (object?.type !== 'ObjectExpression') return [];
  return object.properties.flatMap((one) => {
    const name = one.type === 'SpreadElement' ? undefined : keyName(one);
    return name === undefined ? [] : [{ name, at: spanOf(one) }];
  });
}

/** What tells the store something, by the props that hold it: a table of functions, or what a function makes of `dispatch`. */
function commandsGiven(body: Body, given: t.Node | undefined): [string, Reading][] {
  const node = given && bare(given);
  const table = node?.type === 'Identifier' ? body.module.tables.get(node.name) : node;
  if (table?.type === 'ObjectExpression') return membersOf(body, table, innerScope());
  const make = functionMeant(body.module, given);
  const result = make && resultOf(make);
  const made = result && bare(result);
  const scope = innerScope();
  const [dispatch] = make?.params ?? [];
  for (const found of dispatch ? patternNames(dispatch) : [])
    scope.names.set(found.name, { kind: 'commands', value: centralStore(body, spanOf(found.node)), command: 'dispatch', prefix: '' });
  const bound = made?.type === 'CallExpression' && calleeName(made) === 'bindActionCreators' ? made.arguments[0] : made;
  return bound?.type === 'ObjectExpression' ? membersOf(body, bound, scope) : [];
}

function membersOf(body: Body, table: t.ObjectExpression, scope: Scope): [string, Reading][] {
  return table.properties.flatMap((one): [string, Reading][] => {
    const name = one.type === 'SpreadElement' ? undefined : keyName(one);
    if (name === undefined || one.type === 'SpreadElement') return [];
    const node = one.type === 'ObjectMethod' ? one : bare(one.value);
    const [reading] = isFunction(node) ? [keptFunction(body, name, node, scope)] : readingsOf(body, node, scope);
    return reading ? [[name, reading]] : [];
  });
}
