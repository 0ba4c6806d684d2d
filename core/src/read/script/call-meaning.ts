import type * as t from '@babel/types';
import type { CallFact, OriginFact, Reading, ValueKind } from '../../model/facts';
import type { Span } from '../../model/span';
import { takenFrom } from '../../model/taken';
import { type Body, propOfRest, propValue } from './body';
import { inPlaceMethods, itemMethods, shufflingMethods } from './lists';
import { memberChain } from './names';
import { renewedBy } from './query-keys';
import { type Meaning, unboxed } from './scope';
import { bare, dottedName, type FunctionNode, keyName, spanOf } from './syntax';

/** A call, optional or not. */
export type Call = t.CallExpression | t.OptionalCallExpression;

/** A value of the body, and the member of it that is called. */
export type CalledValue = { readonly value: number; readonly path: readonly string[] };

/** The value that a meaning stands for, with the member that is called; undefined for what is no value. */
export function calledValue(body: Body, meaning: Meaning, path: readonly string[], span: Span): CalledValue | undefined {
  if (meaning.kind === 'value') {
    const whole = [...meaning.path, ...path];
    return propOfRest(body, meaning.value, whole, span) ?? { value: meaning.value, path: whole };
  }
  if (meaning.kind === 'props' && path.length > 0) return { value: propValue(body, path[0] as string, span), path: path.slice(1) };
  return undefined;
}

/** A member of an object whose members are values of their own, with what is asked of it. */
export function memberMeant(found: ReturnType<typeof unboxed>, span: Span): ReturnType<typeof unboxed> {
  const [name, ...rest] = found.path;
  return found.meaning.kind === 'members' && name !== undefined ? unboxed(found.meaning.of(name, span), rest) : found;
}

/** `rows.map(make).filter(isOpen)`: a call that gives items of a list which is made beside it. */
export function keepsMade({ callee }: Call): boolean {
  if (callee.type !== 'MemberExpression' || !shufflingMethods.has(keyName({ key: callee.property }) ?? '')) return false;
  const list = bare(callee.object);
  if (list.type !== 'CallExpression' || list.callee.type !== 'MemberExpression') return false;
  return keyName({ key: list.callee.property }) === 'map' || keepsMade(list);
}

/** `a.then(…)`, `(await a).json()`: what comes is still what was asked for. */
export function settles(path: readonly string[]): boolean {
  return path.every((one) => one === 'then' || one === 'json' || one === 'catch' || one === 'finally');
}

/** Tells whether a module's name may be one of the project: relative, or by an alias. */
export function isOwnModule(from: string): boolean {
  return /^[.~#/]|^@\/|^\$/.test(from);
}

/** An instance of a class, which was asked for by its name: `LevelService`, and no token, `LEVELS`. */
export const isInstance = ({ dialect, values }: Body, at: number): boolean =>
  dialect.asksInstances === true && values[at]?.kind === 'context' && /^key:[A-Z]+[a-z]/.test(values[at].source ?? '');

/** Values whose members may be functions that somebody else put there. */
export const holdsFunctions: ReadonlySet<ValueKind> = new Set<ValueKind>([
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

/** What a method does to the order of the list that it changes: nothing told for what may do either. */
export function listOrderOf(method: string): { order?: 'append' | 'reorder' } {
  if (method === 'push') return { order: 'append' };
  return ['splice', 'sort', 'reverse', 'unshift', 'shift'].includes(method) ? { order: 'reorder' } : {};
}

/** Lists that the body holds; collections only where the module does, since elsewhere `set` is many things. */
export function isHeld(body: Body, value: number, method: string): boolean {
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
export function isInStore(body: Body, node: Call, method: string): boolean {
  const { base } = memberChain(node.callee);
  return (
    inPlaceMethods.has(method) &&
    base.type === 'Identifier' &&
    body.dialect.storeMark !== undefined &&
    base.name.startsWith(body.dialect.storeMark)
  );
}

/** What the first parameter of a list callback stands for. */
export function itemReadings(node: Call, path: readonly string[], list: readonly Reading[]): Reading[] {
  const method = path.at(-1);
  if (!method) return [];
  if (method === 'then') return [...list];
  if (!itemMethods.has(method)) return [];
  const span = spanOf(node.callee);
  return list.map((one) => ({ ...one, how: one.how === 'called' ? 'called' : 'item', span }));
}

/** The list of which a local is one item at a time; undefined for all other locals. */
export function itemOf(readings: readonly Reading[]): Reading | undefined {
  const [only, ...more] = readings;
  return only?.how === 'item' && more.length === 0 ? only : undefined;
}

/** A reading of what becomes an item of a list. */
export const asItem = (read: Reading): Reading => ({
  ...read,
  held: { at: ['*', ...(read.held?.at ?? [])], how: read.held?.how ?? read.how },
});

/** Methods of a list whose argument says which of its items are given, or in which order. */
export const choosing: ReadonlySet<string> = new Set(['filter', 'find', 'findLast', 'sort', 'toSorted', 'slice', 'at']);

/** The object that a function makes in place as its one result; undefined for all other functions. */
export function objectMadeBy({ body }: FunctionNode): t.ObjectExpression | undefined {
  if (body.type !== 'BlockStatement') {
    const node = bare(body);
    return node.type === 'ObjectExpression' ? node : undefined;
  }
  const last = body.body.at(-1);
  const node = last?.type === 'ReturnStatement' && last.argument ? bare(last.argument) : undefined;
  const returns = body.body.filter((one) => !/^(?:VariableDeclaration|ExpressionStatement)$/.test(one.type));
  return node?.type === 'ObjectExpression' && returns.length === 1 ? node : undefined;
}

/** What a call is told, where the text tells: the name of an action, the key of a query. */
export function saidBy(body: Body, node: Call, method?: string): Pick<CallFact, 'actionType' | 'renews'> {
  const actionType = toldBy(node.arguments[0]);
  const renews = renewedBy(body, node, method);
  return { ...(actionType === undefined ? {} : { actionType }), ...(renews === undefined ? {} : { renews }) };
}

/** `dispatch({ type: 'book', … })`, `dispatch('book')` → `book`. */
export function toldBy(given: t.Node | undefined): string | undefined {
  const node = given && bare(given);
  if (node?.type === 'StringLiteral') return node.value;
  if (node?.type !== 'ObjectExpression') return undefined;
  for (const property of node.properties) {
    if (property.type === 'ObjectProperty' && keyName(property) === 'type' && property.value.type === 'StringLiteral')
      return property.value.value;
  }
  return undefined;
}

/** The reading of a member that is handed on by itself, without the name under which it was held. */
export function withoutHead(reading: Reading): Reading {
  const { held, ...plain } = reading;
  if (!held) return plain;
  return held.at.length > 1 ? { ...plain, held: { at: held.at.slice(1), how: held.how } } : { ...plain, how: held.how };
}

/** What is made by `new` and gives values from outside, by the names of the platform. */
export const connections: ReadonlyMap<string, OriginFact['kind']> = new Map([
  ['BroadcastChannel', 'message'],
  ['WebSocket', 'message'],
  ['EventSource', 'message'],
  ['Worker', 'message'],
  ['MessageChannel', 'message'],
  ['URLSearchParams', 'url'],
]);

/** Hooks are called under no condition, so that what they give is read each time. */
export const isHookCall = (node: t.Node): boolean =>
  node.type === 'CallExpression' && /(?:^|\.)use[A-Z]/.test(dottedName(node.callee) ?? '');

/** Tells whether a branch ends by throwing. */
export function throws(node: t.Statement): boolean {
  if (node.type === 'BlockStatement') return node.body.some(throws);
  return node.type === 'ThrowStatement';
}

/** Whether what runs keeps an event from going further: `event.stopPropagation()` among its own statements, so that it is always reached. */
export function stopsEvents(statements: readonly t.Node[]): boolean {
  return statements.some((one) => {
    const call = bare(one.type === 'ExpressionStatement' ? one.expression : one);
    const { callee } = call.type === 'CallExpression' ? call : { callee: undefined };
    return callee?.type === 'MemberExpression' && /^stop(?:Immediate)?Propagation$/.test(keyName({ key: callee.property }) ?? '');
  });
}
