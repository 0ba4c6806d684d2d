import type * as t from '@babel/types';
import type { NameFact, Reading } from '../../model/facts';
import { append } from '../../model/append';
import { addAction, addValue, type Body, mergeReadings, moduleValue, newEffects } from './body';
import { keptFunction, bindParams, readActionInto, readExpression, readFunctionInto, readingsOf } from './expressions';
import { plainMembersOf } from './lists';
import { builtCases, readCases, tableCases } from './reducers';
import { innerScope, type Meaning, type Scope } from './scope';
import type { StoreShape } from './store-shapes';
import { bare, type FunctionNode, isFunction, keyName, patternNames, resultOf, spanOf } from './syntax';

/** What a store holds first, and what its makers do with it. */
export function fillStore(body: Body, store: number, shape: StoreShape, scope: Scope): Reading[] {
  const from: Reading[] = [];
  if (shape.reducer)
    body.values[store] = {
      ...(body.values[store] ?? { name: '', kind: 'store', span: { start: 0, end: 0 }, from: [] }),
      reducer: shape.reducer,
    };
  if (shape.shape === 'slice') noteFields(body, store, shape.first);
  if (shape.setup) return membersMadeBy(body, shape.setup, scope);
  if (shape.options) return membersOfOptions(body, store, shape.options, scope);
  if (shape.first) {
    if (shape.derives && isFunction(shape.first)) return derivedFrom(body, shape.first, scope);
    if (isFunction(shape.first)) append(from, storeMadeBy(body, store, shape.first, scope));
    else append(from, readingsOf(body, shape.first, scope));
  }
  if (shape.writer) {
    const inner = innerScope(scope);
    bindAtomParams(shape.writer, inner);
    const action = addAction(body, 'write', 'handler', spanOf(shape.writer));
    const facts = body.values[store];
    if (facts) facts.writer = action;
    const { writer } = shape;
    body.queue.push(() => {
      const sink = newEffects();
      readFunctionInto(body, writer, inner, sink, writer.params.length);
      const facts = body.actions[action];
      if (facts) Object.assign(facts, { reads: sink.reads, changes: sink.changes ?? [], invokes: sink.invokes ?? [] });
    });
  }
  for (const property of shape.handlers ?? []) {
    const handler = handlerOf(body, store, property, scope);
    const told = handler.held?.at[1];
    from.push(handler);
    if (shape.prefix !== undefined && told !== undefined)
      from.push({ ...handler, held: { at: ['dispatch', `${shape.prefix}/${told}`], how: 'same' } });
  }
  const { extra } = shape;
  if (extra) append(from, readCases(body, store, isFunction(extra) ? builtCases(extra) : tableCases(extra), scope));
  return shape.shape === 'root' ? from.map((one) => ({ ...one, partOfStore: { kind: 'member' as const } })) : mergeReadings(from);
}

/** `atom((get) => get(levels) * 2)`: made from what it gets. */
function derivedFrom(body: Body, node: FunctionNode, scope: Scope): Reading[] {
  const inner = innerScope(scope);
  bindAtomParams(node, inner);
  const sink = newEffects();
  readFunctionInto(body, node, inner, sink, node.params.length);
  return mergeReadings(sink.reads.map((one) => ({ ...one, how: 'computed' as const })));
}

/** `get` gives what it is asked for, `set` changes it; the third is what the caller gives. */
function bindAtomParams(node: FunctionNode, scope: Scope): void {
  const [get, set] = node.params;
  const name = (parameter: t.Node | undefined, meaning: Meaning, key: string): void => {
    if (parameter?.type === 'Identifier') scope.names.set(parameter.name, meaning);
    else if (parameter?.type === 'ObjectPattern')
      for (const found of patternNames(parameter)) if (found.path[0] === key) scope.names.set(found.name, meaning);
  };
  name(get, { kind: 'gives' }, 'get');
  name(set, { kind: 'writes' }, 'set');
}

/** The members of an object that are no functions, as the fields of the store that it becomes. Nothing where not all of them are told. */
export function noteFields(body: Body, store: number, given: t.Node | null | undefined): void {
  const node = given && bare(given);
  const object = node?.type === 'Identifier' ? body.module.tables.get(node.name) : node;
  const facts = body.values[store];
  if (!facts || object?.type !== 'ObjectExpression') return;
  const fields = object.properties.flatMap((one): NameFact[] | [undefined] => {
    if (one.type === 'ObjectMethod') return [];
    const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    if (one.type !== 'ObjectProperty' || name === undefined) return [undefined];
    return isFunction(bare(one.value)) ? [] : [{ name, span: spanOf(one.key) }];
  });
  if (fields.every((one) => one !== undefined)) Object.assign(facts, { fields }, plainMembersOf(object));
}

/** `(set, get) => ({ … })`: the object is the store's first content, `set` changes it, `get` gives it. */
export function storeMadeBy(body: Body, store: number, node: FunctionNode, scope: Scope): Reading[] {
  const inner = innerScope(scope);
  const [set, get] = node.params;
  if (set?.type === 'Identifier') {
    const value = addValue(body, { name: set.name, kind: 'setter', span: spanOf(set), from: [], partner: store });
    inner.names.set(set.name, { kind: 'value', value, path: [] });
  }
  if (get?.type === 'Identifier') inner.names.set(get.name, { kind: 'calledGives', meaning: { kind: 'value', value: store, path: [] } });
  const sink = newEffects();
  const result = resultOf(node);
  noteFields(body, store, result);
  const object = result ? bare(result) : undefined;
  const slices = object?.type === 'ObjectExpression' ? object.properties.flatMap((one) => sliceSpread(body, one, scope)) : [];
  if (!object) return [];
  const others =
    object.type === 'ObjectExpression' && slices.length > 0
      ? { ...object, properties: object.properties.filter((one) => sliceSpread(body, one, scope).length === 0) }
      : object;
  readExpression(body, others, inner, 'same', sink);
  return [...slices, ...sink.reads];
}

/** `...createBoats(...all)` within a store that is put together of several: what that makes is the store's own. */
function sliceSpread(body: Body, one: t.Node, scope: Scope): Reading[] {
  const call = one.type === 'SpreadElement' ? bare(one.argument) : undefined;
  if (call?.type !== 'CallExpression' || call.callee.type !== 'Identifier') return [];
  const { name } = call.callee;
  const own = scope.names.get(name);
  const isOwn = own?.kind === 'value' && body.values[own.value]?.kind === 'store';
  if (isOwn) return [{ value: own.value, path: [], how: 'same', span: spanOf(call) }];
  if (!body.module.imported.has(name)) return [];
  return [{ value: moduleValue(body, name, spanOf(call.callee)), path: [], how: 'same', span: spanOf(call) }];
}

/** A reducer of a slice: what it changes is the slice's own state. */
function handlerOf(body: Body, store: number, property: t.ObjectMethod | t.ObjectProperty, scope: Scope): Reading {
  const name = keyName(property) ?? '';
  const span = spanOf(property);
  const action = addAction(body, name, 'handler', span);
  const value = addValue(body, { name, kind: 'function', span: spanOf(property.key), from: [], action });
  const given = property.type === 'ObjectMethod' ? property : sliceFunction(property.value);
  if (given) {
    body.queue.push(() => {
      const inner = innerScope(scope);
      bindParams(body, given, inner, action);
      const [state] = given.params;
      if (state?.type === 'Identifier') inner.names.set(state.name, { kind: 'value', value: store, path: [] });
      const sink = newEffects();
      readFunctionInto(body, given, inner, sink, given.params.length);
      const facts = body.actions[action];
      if (!facts) return;
      facts.reads = sink.reads;
      facts.cases = [{ actionType: name, span }];
      facts.changes =
        sink.changes ?? (sink.returns && sink.returns.length > 0 ? [{ value: store, span, how: 'set', from: sink.returns }] : []);
      if (facts.changes.length === 0) facts.changes = [{ value: store, span, how: 'set', from: [] }];
      facts.invokes = sink.invokes ?? [];
    });
  }
  return { value, path: [], how: 'computed', span, held: { at: ['actions', name], how: 'same' } };
}

function sliceFunction(node: t.Node): FunctionNode | undefined {
  const given = bare(node);
  if (isFunction(given)) return given;
  if (given.type !== 'ObjectExpression') return undefined;
  for (const property of given.properties) {
    if (property.type === 'ObjectMethod' && keyName(property) === 'reducer') return property;
    if (property.type === 'ObjectProperty' && keyName(property) === 'reducer' && isFunction(property.value)) return property.value;
  }
  return undefined;
}

/** What a function that is run once gives: its states and functions are the module's. */
function membersMadeBy(body: Body, node: FunctionNode, scope: Scope): Reading[] {
  const inner = innerScope(scope);
  if (node.body.type !== 'BlockStatement') return readingsOf(body, node.body, inner);
  if (body.dialect.setUp) body.dialect.setUp(body, node.body.body, inner);
  else keepLocals(body, node.body.body, inner);
  const result = resultOf(node);
  return result ? readingsOf(body, result, inner) : [];
}

/** Variables and functions of a function that is run once live as long as what it gives. */
function keepLocals(body: Body, statements: readonly t.Statement[], scope: Scope): void {
  for (const statement of statements) {
    if (statement.type === 'FunctionDeclaration' && statement.id) {
      const reading = keptFunction(body, statement.id.name, statement, scope);
      scope.names.set(statement.id.name, { kind: 'value', value: reading.value, path: [] });
    }
    for (const { id, init } of statement.type === 'VariableDeclaration' ? statement.declarations : []) {
      if (id.type !== 'Identifier') continue;
      const given = init ? bare(init) : undefined;
      const value = isFunction(given)
        ? keptFunction(body, id.name, given, scope).value
        : addValue(body, { name: id.name, kind: 'state', span: spanOf(id), from: given ? readingsOf(body, given, scope) : [] });
      scope.names.set(id.name, { kind: 'value', value, path: [] });
    }
  }
}

/** `{ state: () => ({ … }), getters: { … }, actions: { … } }`: members by what they are, each known to the others as `this`. */
function membersOfOptions(body: Body, store: number, options: t.ObjectExpression, scope: Scope): Reading[] {
  const part = (name: string): t.Node | undefined => {
    const found = options.properties.find((one) => one.type !== 'SpreadElement' && keyName(one) === name);
    return found?.type === 'ObjectProperty' ? bare(found.value) : found?.type === 'ObjectMethod' ? found : undefined;
  };
  const own = (name: string): Meaning => ({ kind: 'value', value: store, path: [name] });
  const read = <T>(work: () => T): T => {
    const before = body.own;
    body.own = own;
    const result = work();
    if (before) body.own = before;
    else delete body.own;
    return result;
  };
  const state = part('state');
  if (isFunction(state)) noteFields(body, store, resultOf(state));
  const from: Reading[] = isFunction(state) ? membersMadeBy(body, state, scope) : [];
  for (const [kind, holder] of [
    ['getters', part('getters')],
    ['actions', part('actions')],
  ] as const) {
    if (holder?.type !== 'ObjectExpression') continue;
    for (const property of holder.properties) {
      const name = property.type === 'SpreadElement' ? undefined : keyName(property);
      const given = property.type === 'ObjectMethod' ? property : property.type === 'ObjectProperty' ? bare(property.value) : undefined;
      if (name === undefined || property.type === 'SpreadElement' || !isFunction(given)) continue;
      const span = spanOf(property);
      const action = addAction(body, name, 'handler', span);
      const value = addValue(body, { name, kind: 'function', span: spanOf(property.key), from: [], action });
      body.queue.push(() =>
        read(() => (kind === 'getters' ? readGetter(body, store, action, given, scope) : readActionInto(body, action, given, scope))),
      );
      from.push({ value, path: kind === 'getters' ? ['()'] : [], how: 'computed', span, held: { at: [name], how: 'same' } });
    }
  }
  return from;
}

/** A getter of a store is given the store. */
function readGetter(body: Body, store: number, action: number, node: FunctionNode, scope: Scope): void {
  const inner = innerScope(scope);
  const [state] = node.params;
  if (state?.type === 'Identifier') inner.names.set(state.name, { kind: 'value', value: store, path: [] });
  for (const found of state?.type === 'ObjectPattern' ? patternNames(state) : [])
    inner.names.set(found.name, { kind: 'value', value: store, path: found.path });
  const sink = newEffects();
  readFunctionInto(body, node, inner, sink, node.params.length);
  const facts = body.actions[action];
  if (facts) Object.assign(facts, { reads: sink.reads, returns: sink.returns ?? [] });
}

/** Tells whether a function gives a store of its own making: an object that can be subscribed to. */
export function givesStore(node: FunctionNode | undefined): node is FunctionNode {
  const result = node && resultOf(node);
  const object = result && bare(result);
  return (
    object?.type === 'ObjectExpression' && object.properties.some((one) => one.type !== 'SpreadElement' && keyName(one) === 'subscribe')
  );
}

/** A store that a function of the module makes: to be subscribed to means to hold what its inner store holds. */
export function membersOfStore(body: Body, node: FunctionNode, scope: Scope): Reading[] {
  return membersMadeBy(body, node, scope).map((one) => {
    if (one.held?.at[0] !== 'subscribe' || body.values[one.value]?.kind === 'function') return one;
    const { held, ...plain } = one;
    return { ...plain, how: held.how };
  });
}

/** An object whose functions know it as `this`: what it holds, they change. */
export function isOwnStore(body: Body, init: t.Node | undefined): init is t.ObjectExpression {
  if (init?.type !== 'ObjectExpression') return false;
  const hasMethod = init.properties.some(
    (one) => one.type === 'ObjectMethod' || (one.type === 'ObjectProperty' && bare(one.value).type === 'FunctionExpression'),
  );
  return hasMethod && /\bthis\s*\??\./.test(body.module.text.slice(init.start ?? 0, init.end ?? 0));
}

type Member = t.ClassMethod | t.ClassProperty | t.ObjectMethod | t.ObjectProperty;

/** A field or a method that each instance has. */
const isMember = (node: t.Node): node is Member =>
  node.type === 'ObjectMethod' ||
  node.type === 'ObjectProperty' ||
  ((node.type === 'ClassMethod' || node.type === 'ClassProperty') && node.static !== true);

/** An instance of a class of the module, or an object that its functions know as `this`: its fields and methods are its members. */
export function membersOfInstance(body: Body, store: number, node: t.Class | t.ObjectExpression, scope: Scope): Reading[] {
  const from: Reading[] = [];
  const before = body.own;
  const functions = new Map<string, Meaning>();
  const own = (name: string): Meaning | undefined => functions.get(name) ?? { kind: 'value', value: store, path: [name] };
  const read = (work: () => void): void => {
    body.own = own;
    work();
    if (before) body.own = before;
    else delete body.own;
  };
  for (const member of node.type === 'ObjectExpression' ? node.properties : node.body.body) {
    if (!isMember(member)) continue;
    const name = keyName(member) ?? '';
    const isMethod = member.type === 'ClassMethod' || member.type === 'ObjectMethod';
    const given = isMethod ? member : member.value ? bare(member.value) : undefined;
    const span = spanOf(member);
    if (isFunction(given) && name !== 'constructor') {
      const action = addAction(body, name, 'handler', span);
      const value = addValue(body, { name, kind: 'function', span: spanOf(member.key), from: [], action });
      functions.set(name, { kind: 'function', node: given, scope, action, value });
      body.queue.push(() => read(() => readActionInto(body, action, given, scope)));
      const getter = isMethod && member.kind === 'get';
      from.push({ value, path: getter ? ['()'] : [], how: 'computed', span, held: { at: [name], how: 'same' } });
    } else if (given && !isFunction(given)) {
      read(() => {
        for (const one of readingsOf(body, given, scope))
          from.push({ ...one, how: 'computed', held: { at: [name, ...(one.held?.at ?? [])], how: one.held?.how ?? one.how } });
      });
    }
  }
  return from;
}
