import type * as t from '@babel/types';
import type { ValueFact } from '../../model/facts';
import type { Span } from '../../model/span';
import { addValue, type Body } from './body';
import type { Meaning } from './scope';
import { bare, dottedName, keyName, spanOf } from './syntax';

type Commands = Extract<Meaning, { kind: 'commands' }>;

/** How a store is told to do something by a name: what runs is found by it. */
export type Command = 'commit' | 'dispatch';

/** The one store that an application has, as a value of the body; made where it is first mentioned. */
export function centralStore(body: Body, span: Span): number {
  body.central ??= addValue(body, { name: 'store', kind: 'hook', span, from: [], gives: { gives: 'root' } });
  return body.central;
}

export const isCentral = (body: Body, value: number): boolean => body.values[value]?.gives?.gives === 'root' && body.central === value;

/**
 * The names that an expression may tell a store: a text as it is, a constant as `{NAME}` (link puts the text in its place),
 * the `type` of an object. Empty where the text does not tell.
 */
export function commandNames(given: t.Node): string[] {
  const node = bare(given);
  switch (node.type) {
    case 'StringLiteral':
      return [node.value];
    case 'TemplateLiteral': {
      const parts = node.expressions.map((one) => dottedName(one));
      if (parts.some((one) => one === undefined)) return [];
      return [node.quasis.map((one, at) => `${one.value.cooked ?? ''}${parts[at] === undefined ? '' : `{${parts[at]}}`}`).join('')];
    }
    case 'ConditionalExpression':
      return [...commandNames(node.consequent), ...commandNames(node.alternate)];
    case 'ObjectExpression': {
      const type = node.properties.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === 'type');
      return type ? commandNames(type.value) : [];
    }
    default: {
      const name = dottedName(node);
      return name === undefined || name.startsWith('this.') ? [] : [`{${name}}`];
    }
  }
}

/** Whether an object or an argument says that the whole store is meant: `{ root: true }`. */
const meansRoot = (given: t.Node | undefined): boolean =>
  given?.type === 'ObjectExpression' &&
  given.properties.some(
    (one) => one.type === 'ObjectProperty' && keyName(one) === 'root' && one.value.type === 'BooleanLiteral' && one.value.value,
  );

/** What a call that tells a store something calls, and what of its arguments reaches that; no calls where the text does not tell. */
export type Told = {
  readonly calls: readonly { readonly value: number; readonly path: readonly string[] }[];
  readonly given: readonly t.Node[];
};

/** `commit('boats/add', boat)`, `dispatch({ type: 'add', boat })`: calls of what the store has under that name. */
export function toldTo(body: Body, node: t.CallExpression | t.OptionalCallExpression, told: Commands): Told {
  const [first, ...rest] = node.arguments;
  const names = first ? commandNames(first) : [];
  if (names.length === 0) return { calls: [], given: node.arguments };
  const target = meansRoot(rest[1]) ? { value: centralStore(body, spanOf(node)), prefix: '' } : told;
  const calls = names.map((name) => ({ value: target.value, path: [told.command, target.prefix + name] }));
  return { calls, given: first && bare(first).type === 'ObjectExpression' ? node.arguments : rest.slice(0, 1) };
}

/** What a member of the application's store means where it is called: `store.commit`, `store.dispatch`. */
export function commandOf(body: Body, value: number, path: readonly string[]): Commands | undefined {
  const [command, ...more] = path;
  if ((command !== 'commit' && command !== 'dispatch') || more.length > 0 || !isCentral(body, value)) return undefined;
  return { kind: 'commands', value, command, prefix: '' };
}

/** Whether a call selects from a store that was asked for by its class: `store.select`, `store.selectSignal`. */
export function isSelecting({ values, module }: Body, value: number, path: readonly string[]): boolean {
  const source = values[value]?.kind === 'context' ? values[value].source : undefined;
  const isStore = source !== undefined && module.imported.get(source.replace(/^key:/, ''))?.from === '@ngrx/store';
  return isStore && path.length === 1 && /^select(?:Signal)?$/.test(path[0] ?? '');
}

/** Names by which actions of stores go: all else that an object calls its type is no action of one. */
const madeForStores = /^[A-Z][A-Z0-9_]*$|\/|^\{(?:.*\.)?[A-Z][A-Z0-9_]*\}$/;

/** The names of an action that is written in place: `{ type: ADDED, … }`. Empty for all else. */
export function actionNames(given: t.Node | undefined): string[] {
  const node = given && bare(given);
  return node?.type === 'ObjectExpression' ? commandNames(node).filter((name) => madeForStores.test(name)) : [];
}

/** `dispatch({ type: ADDED })` of a function that is handed in, or that a hook gives: calls of what the store has under that name. */
export function dispatchedBy(body: Body, node: t.CallExpression | t.OptionalCallExpression, by: ValueFact | undefined): Told['calls'] {
  const isHanded = by?.name === 'dispatch' && (by.kind === 'param' || by.kind === 'prop');
  if (!isHanded && by?.gives?.gives !== 'dispatch') return [];
  return actionNames(node.arguments[0]).map((name) => ({ value: centralStore(body, spanOf(node)), path: ['dispatch', name] }));
}

/** `store.commit('add', boat)` of a store that is imported. */
export function commandsOfModule(
  body: Body,
  node: t.CallExpression | t.OptionalCallExpression,
  method: string | undefined,
  span: Span,
): Commands | undefined {
  const [first] = node.arguments;
  const isText = first !== undefined && bare(first).type === 'StringLiteral';
  const isTold =
    method === 'commit' ? first && commandNames(first).length > 0 : method === 'dispatch' && (isText || actionNames(first).length > 0);
  return isTold
    ? { kind: 'commands', value: centralStore(body, span), command: method === 'commit' ? 'commit' : 'dispatch', prefix: '' }
    : undefined;
}
