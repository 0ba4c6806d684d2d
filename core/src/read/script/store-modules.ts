import type * as t from '@babel/types';
import type { NameFact, Reading } from '../../model/facts';
import { append } from '../../model/append';
import type { FilePath } from '../../model/span';
import { addAction, addValue, type Body, fillAction, type ModuleScope, moduleValue, newEffects } from './body';
import { centralStore } from './central';
import { bindParams, readFunctionInto, readingsOf } from './expressions';
import { declaredNames } from './modules';
import { innerScope, type Meaning, type Scope } from './scope';
import { bare, type FunctionNode, isFunction, keyName, patternNames, resultOf, spanOf } from './syntax';

/** The parts of a store that is written as an object: what it holds, computes, and does when it is told to by a name. */
const parts = ['state', 'getters', 'mutations', 'actions', 'modules'] as const;

type Part = (typeof parts)[number];

const partOf = (object: t.ObjectExpression, name: string): t.ObjectProperty | t.ObjectMethod | undefined =>
  object.properties.find((one): one is t.ObjectProperty | t.ObjectMethod => one.type !== 'SpreadElement' && keyName(one) === name);

/** An object that is written as a store or a part of one: `{ state, mutations, … }`; undefined for all else. */
export function storeModuleOf(given: t.Node | undefined): t.ObjectExpression | undefined {
  const node = given && bare(given);
  if (node?.type !== 'ObjectExpression') return undefined;
  const has = (name: Part | 'namespaced'): boolean => partOf(node, name) !== undefined;
  return has('mutations') || (has('namespaced') && parts.some(has)) ? node : undefined;
}

/** `createStore({ … })`, `new Vuex.Store({ … })`: what the application's store is made of; undefined for all else. */
export function storeOptionsOf(given: t.Node | undefined): t.ObjectExpression | undefined {
  const node = given && bare(given);
  if (node?.type !== 'CallExpression' && node?.type !== 'NewExpression') return undefined;
  const callee = node.callee.type === 'MemberExpression' ? node.callee.property : node.callee;
  const name = callee.type === 'Identifier' ? callee.name : undefined;
  if (node.type === 'NewExpression' ? name !== 'Store' : name !== 'createStore') return undefined;
  const first = node.arguments[0] && bare(node.arguments[0]);
  return first?.type === 'ObjectExpression' && parts.some((one) => partOf(first, one)) ? first : undefined;
}

/** A store of a folder: the key by which it stands in the whole, absent for the whole itself; the names of the module that it is made of. */
export type PlacedStore = { readonly key?: string; readonly object: t.ObjectExpression; readonly names: ReadonlySet<string> };

/**
 * A store whose parts are exported one by one from a file of a folder `store`: `export const state = () => ({ … })`.
 * Undefined for all other modules.
 */
export function storeByFolder(file: FilePath, module: ModuleScope, statements: readonly t.Statement[]): PlacedStore | undefined {
  const [, path] = /(?:^|\/)store\/(.+)\.[cm]?[jt]s$/.exec(file) ?? [];
  if (path === undefined) return undefined;
  const exported = statements.flatMap((one) => (one.type === 'ExportNamedDeclaration' && one.declaration ? declaredNames(one) : []));
  const names = new Set(exported.filter((name) => parts.some((part) => part === name)));
  if (!names.has('state') || (!names.has('mutations') && !names.has('getters'))) return undefined;
  const properties = [...names].flatMap((name): t.ObjectProperty[] => {
    const value = module.tables.get(name) ?? module.functions.get(name);
    if (!value) return [];
    const { start, end } = value;
    return [
      {
        type: 'ObjectProperty',
        key: { type: 'Identifier', name },
        value,
        computed: false,
        shorthand: false,
        start,
        end,
      } as t.ObjectProperty,
    ];
  });
  const [first] = properties;
  const object = { type: 'ObjectExpression', properties, start: first?.start, end: first?.end } as t.ObjectExpression;
  const key = path.replace(/(?:^|\/)index$/, '');
  return { ...(key === '' ? {} : { key }), object, names };
}

type Module = { readonly body: Body; readonly scope: Scope; readonly store: number; readonly isNamespaced: boolean };

/**
 * Reads a store that is written as an object into the value that stands for it: what it is made of, as readings that
 * stand under `state`, `getters`, `commit` and `dispatch`. Names of a part that is told by its own key begin with `/`; those
 * of a part that its folder puts in its place do.
 */
export function readStoreModule(body: Body, store: number, object: t.ObjectExpression, scope: Scope, byFolder = false): void {
  const flag = partOf(object, 'namespaced');
  const isNamespaced = byFolder || (flag?.type === 'ObjectProperty' && flag.value.type === 'BooleanLiteral' && flag.value.value);
  const module: Module = { body, scope, store, isNamespaced };
  const part = (name: Part): t.Node | undefined => meantBy(body, partOf(object, name));
  const from: Reading[] = [...readState(module, part('state'))];
  for (const [kind, command] of [
    ['getters', undefined],
    ['mutations', 'commit'],
    ['actions', 'dispatch'],
  ] as const)
    for (const [name, node, property] of functionsOf(body, part(kind))) from.push(readMember(module, name, node, property, command));
  append(from, readModules(module, part('modules')));
  const isOpen = [object, part('mutations'), part('actions'), part('modules')].some((one) => one !== undefined && !isWritten(one));
  const facts = body.values[store];
  if (facts) facts.from = [...facts.from, ...from];
  if (facts && isOpen) facts.isOpen = true;
}

/** Whether an object tells all its members by their names. */
const isWritten = (node: t.Node): boolean =>
  node.type === 'ObjectExpression' && node.properties.every((one) => one.type !== 'SpreadElement' && memberName(one) !== undefined);

/** What a part of a store is written as: in place, or by the name of something that the module declares. */
function meantBy({ module }: Body, property: t.ObjectProperty | t.ObjectMethod | undefined): t.Node | undefined {
  if (property?.type !== 'ObjectProperty') return property;
  const node = bare(property.value);
  return node.type === 'Identifier' ? (module.tables.get(node.name) ?? module.functions.get(node.name) ?? node) : node;
}

/** Functions of a part by their names; `{ root, handler }` is the handler. */
function functionsOf(body: Body, given: t.Node | undefined): [string, FunctionNode, t.ObjectProperty | t.ObjectMethod][] {
  if (given?.type !== 'ObjectExpression') return [];
  return given.properties.flatMap((one): [string, FunctionNode, t.ObjectProperty | t.ObjectMethod][] => {
    if (one.type === 'SpreadElement') return [];
    const name = memberName(one);
    const written = one.type === 'ObjectMethod' ? one : bare(one.value);
    const named = written.type === 'Identifier' ? body.module.functions.get(written.name) : undefined;
    const node = named ?? (written.type === 'ObjectExpression' ? meantBy(body, partOf(written, 'handler')) : written);
    return name === undefined || !isFunction(node) ? [] : [[name, node, one]];
  });
}

/** A key as it is written; a constant as `{NAME}`, which link puts the text in the place of. */
function memberName(one: t.ObjectProperty | t.ObjectMethod): string | undefined {
  if (!one.computed) return keyName(one);
  const dotted = one.key.type === 'StringLiteral' ? undefined : namesOf(one.key);
  return one.key.type === 'StringLiteral' ? one.key.value : dotted && `{${dotted}}`;
}

function namesOf(node: t.Node): string | undefined {
  if (node.type === 'Identifier') return node.name;
  if (node.type !== 'MemberExpression' || node.computed || node.property.type !== 'Identifier') return undefined;
  const object = namesOf(node.object);
  return object && `${object}.${node.property.name}`;
}

/** What it holds first, and the names of that. */
function readState({ body, scope, store }: Module, given: t.Node | undefined): Reading[] {
  const object = isFunction(given) ? resultOf(given) : given;
  const made = object && bare(object);
  if (!made) return [];
  const facts = body.values[store];
  if (made.type === 'ObjectExpression' && facts) {
    facts.fields = made.properties.flatMap((one): NameFact[] => {
      const name = one.type === 'SpreadElement' ? undefined : keyName(one);
      return name === undefined || one.type === 'SpreadElement' ? [] : [{ name, span: spanOf(one.key) }];
    });
  }
  const inner = innerScope(scope);
  return readingsOf(body, made, inner).map((one) => ({
    ...one,
    held: { at: ['state', ...(one.held?.at ?? [])], how: one.held?.how ?? one.how },
  }));
}

/** One of its functions: what it computes, or what it does when it is told to. */
function readMember(
  module: Module,
  name: string,
  node: FunctionNode,
  property: t.Node,
  command: 'commit' | 'dispatch' | undefined,
): Reading {
  const { body, scope, isNamespaced } = module;
  const span = spanOf(property);
  const shown = name.replace(/^\{(?:.*\.)?|\}$/g, '');
  const action = addAction(body, shown, 'handler', span);
  const value = addValue(body, { name: shown, kind: 'function', span, from: [], action });
  body.queue.push(() => {
    const inner = innerScope(scope);
    bindParams(body, node, inner, action);
    if (command === undefined)
      bindEach(node, inner, [stateOf(module), gettersOf(module), rootState(module, span), rootGetters(module, span)]);
    else if (command === 'commit') bindEach(node, inner, [stateOf(module)]);
    else bindEach(node, inner, [contextOf(module, span)]);
    moveParams(body, action, command === undefined ? 4 : 1);
    const sink = newEffects();
    readFunctionInto(body, node, inner, sink, node.params.length);
    fillAction(body, action, sink);
  });
  const at = [command ?? 'getters', isNamespaced ? `/${name}` : name];
  return { value, path: command ? [] : ['()'], how: 'computed', span, held: { at, how: 'same' } };
}

/** The parameters that the store gives are no positions of what is handed in with a command. */
function moveParams({ values }: Body, action: number, by: number): void {
  for (const value of values) {
    if (value.kind !== 'param' || value.of !== action) continue;
    value.position = (value.position ?? 0) - by;
  }
}

/** Gives parameters of a function their meaning; those that take an object apart, that of its members. */
function bindEach(node: FunctionNode, scope: Scope, meanings: readonly Meaning[]): void {
  for (const [position, meaning] of meanings.entries()) {
    const parameter = node.params[position];
    if (!parameter) return;
    for (const found of patternNames(parameter)) scope.names.set(found.name, memberMeant(meaning, found.path));
  }
}

function memberMeant(meaning: Meaning, path: readonly string[]): Meaning {
  const [first, ...rest] = path;
  if (first === undefined) return meaning;
  if (meaning.kind === 'members') return memberMeant(meaning.of(first, { start: 0, end: 0 }), rest);
  return meaning.kind === 'value' ? { ...meaning, path: [...meaning.path, ...path] } : { kind: 'opaque' };
}

const stateOf = ({ store }: Module): Meaning => ({ kind: 'value', value: store, path: ['state'] });

const gettersOf = ({ store, isNamespaced }: Module): Meaning => ({
  kind: 'members',
  of: (name) => ({ kind: 'value', value: store, path: ['getters', isNamespaced ? `/${name}` : name] }),
});

const rootState = ({ body }: Module, span: { start: number; end: number }): Meaning => ({
  kind: 'value',
  value: centralStore(body, span),
  path: ['state'],
});

const rootGetters = ({ body }: Module, span: { start: number; end: number }): Meaning => ({
  kind: 'value',
  value: centralStore(body, span),
  path: ['getters'],
});

/** What an action is given first: the store as the part sees it. */
function contextOf(module: Module, span: { start: number; end: number }): Meaning {
  const { body, store, isNamespaced } = module;
  const commands = (command: 'commit' | 'dispatch'): Meaning =>
    isNamespaced
      ? { kind: 'commands', value: store, command, prefix: '/' }
      : { kind: 'commands', value: centralStore(body, span), command, prefix: '' };
  const members: Readonly<Record<string, () => Meaning>> = {
    commit: () => commands('commit'),
    dispatch: () => commands('dispatch'),
    state: () => stateOf(module),
    getters: () => gettersOf(module),
    rootState: () => rootState(module, span),
    rootGetters: () => rootGetters(module, span),
  };
  return { kind: 'members', of: (name) => (Object.hasOwn(members, name) ? members[name]?.() : undefined) ?? { kind: 'opaque' } };
}

/** The parts that it is put together of, each under a key. */
function readModules({ body, scope, isNamespaced }: Module, given: t.Node | undefined): Reading[] {
  if (given?.type !== 'ObjectExpression') return [];
  return given.properties.flatMap((one): Reading[] => {
    const key = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    if (one.type !== 'ObjectProperty' || key === undefined) return [];
    const node = bare(one.value);
    const span = spanOf(one);
    const partOfStore = { kind: 'module' as const, key, ...(isNamespaced ? { namespaced: true as const } : {}) };
    if (node.type === 'ObjectExpression') {
      const value = addValue(body, { name: key, kind: 'store', span: spanOf(one.key), from: [], shape: 'module' });
      readStoreModule(body, value, node, scope);
      return [{ value, path: [], how: 'part', span, partOfStore }];
    }
    if (node.type !== 'Identifier' || !body.module.names.has(node.name)) return [];
    const own = scope.names.get(node.name);
    const value = own?.kind === 'value' ? own.value : moduleValue(body, node.name, spanOf(node));
    return [{ value, path: [], how: 'part', span, partOfStore }];
  });
}
