import type * as t from '@babel/types';
import type { ModuleFacts, NameFact, Reading, ValueFact } from '../../model/facts';
import type { FilePath, Span } from '../../model/span';
import {
  addAction,
  addValue,
  type Body,
  type Dialect,
  finishBody,
  mergeReadings,
  type ModuleScope,
  newBody,
  newEffects,
  moduleValue,
} from './body';
import { bindParams, readActionInto, readExpression, readFunctionInto, readingsOf, readStatement } from './expressions';
import { plainMembersOf } from './lists';
import { requesterMade } from './origins';
import { innerScope, type Meaning, type Scope } from './scope';
import {
  actionsGivenBy,
  builtCases,
  declareActionMaker,
  declareKeySelector,
  declareSelector,
  declareThunk,
  readRunByStore,
  runByStore,
  isActionMaker,
  madeReducerOf,
  readCases,
  readReducer,
  reducerOf,
  tableCases,
} from './reducers';
import { type PlacedStore, readStoreModule, storeByFolder, storeModuleOf, storeOptionsOf } from './store-modules';
import { type StoreShape, storeShapeOf } from './store-shapes';
import {
  bare,
  calleeName,
  dottedName,
  forEachChild,
  type FunctionNode,
  isFunction,
  keyName,
  nameOfFile,
  patternNames,
  resultOf,
  spanOf,
} from './syntax';
import { literalPattern } from '../../model/literal-pattern';
import { append } from '../../model/append';

/** A name that a module declares, with what it is. */
export type ModuleDeclaration = { readonly name: string; readonly node: t.Node; readonly nameSpan: { start: number; end: number } };

const lasting =
  /\b(?:let|var)\s+\w|\bfetch\(|\bnew\s+[A-Z]\w*|\b(?:create|configure|atom|proxy|observable|selector|signal|define|make)\w*\s*(?:<[^(]*>)?\(|[lL]isteners|[sS]ubscri|[rR]educer|\b(?:writable|readable|derived)\b|\$state\b|\b(?:ref|reactive|shallowRef|shallowReactive)\s*[(<]|\baction\b|\bdispatch|\bmutations\b|\bcommit\b|\bnamespaced\b|\bprovideSt|\bStoreModule\b|\bemit|Storage\b|\.postMessage|\b(?:axios|ky|ofetch|superagent|got)\b|\bnanostores\b/;

/** Tells whether the text of a module may hold something that lasts, or ask for something from outside. */
export function mayLast(text: string): boolean {
  if (lasting.test(text)) return true;
  return [...text.matchAll(/^(?:export )?const (\w+)(?: *:[^=\n]+)? = [[{]/gm)].some(([, name]) =>
    new RegExp(`\\b${name}(?:\\.\\w+|\\[[^\\]]+\\])*(?:\\s*(?:[-+*/]|\\?\\?|\\|\\|)?=[^=>]|\\.(?:push|unshift|splice)\\()`).test(
      text.replace(new RegExp(`const ${name}\\b`), ''),
    ),
  );
}

type Reader = { readonly body: Body; readonly scope: Scope; readonly classes: ReadonlyMap<string, t.Class> };

/**
 * What a module holds and does beside its components and hooks: its variables, stores and
 * functions. Undefined where nothing of it lasts. `file` tells what a store is called that it exports without a name.
 */
export function readModuleBody(
  module: ModuleScope,
  statements: readonly t.Statement[],
  isApart: (name: string) => boolean,
  dialect: Dialect,
  file: FilePath,
): ModuleFacts | undefined {
  const body = newBody(module, dialect);
  body.isModule = true;
  const scope = innerScope();
  const declarations = statements.map(unexported).filter((one): one is t.Statement => one !== undefined);
  const classes = new Map(
    declarations.flatMap((one): [string, t.Class][] => (one.type === 'ClassDeclaration' && one.id ? [[one.id.name, one]] : [])),
  );
  const reader: Reader = { body, scope, classes };
  const placed = storeByFolder(file, module, statements);
  const isElsewhere = (name: string): boolean => isApart(name) || (placed?.names.has(name) ?? false);
  if (placed) declarePlaced(reader, placed);
  for (const one of declarations)
    if (one.type === 'FunctionDeclaration' && one.id && !isElsewhere(one.id.name)) declareModuleFunction(reader, one.id.name, one, one.id);
  for (const one of declarations) {
    if (one.type === 'VariableDeclaration') for (const each of one.declarations) declareVariable(reader, each, one.kind, isElsewhere);
    else if (one.type === 'ExpressionStatement') readLoose(reader, one);
  }
  for (const one of statements) if (one.type === 'ExportDefaultDeclaration') declareDefault(reader, one, nameOfFile(file));
  if (providesStore.test(module.text)) for (const one of statements) declareProvided(reader, one);
  const facts = finishBody(body);
  settleKinds(body);
  return lasts(facts) ? facts : undefined;
}

function unexported(statement: t.Statement): t.Statement | undefined {
  if (statement.type === 'ExportNamedDeclaration') return statement.declaration ?? undefined;
  if (statement.type !== 'ExportDefaultDeclaration') return statement;
  const { declaration } = statement;
  return declaration.type === 'FunctionDeclaration' || declaration.type === 'ClassDeclaration' ? declaration : undefined;
}

/** Objects that nothing changes are constants. */
function settleKinds(body: Body): void {
  const changed = new Set(body.actions.flatMap((action) => action.changes.map((change) => change.value)));
  for (const [index, value] of body.values.entries()) if (value.isData && isNamedElsewhere(body, index, value)) delete value.isData;
  body.values.forEach((value, index) => {
    if (value.kind === 'state' && value.reducer === undefined && value.shape === undefined && !changed.has(index)) value.kind = 'derived';
  });
}

/** The module names a variable where it neither declares nor changes it: in a class, say, whose methods are not read here. */
function isNamedElsewhere({ module, actions }: Body, index: number, { name, span }: ValueFact): boolean {
  const known = [span, ...actions.flatMap(({ changes }) => changes.flatMap((one) => (one.value === index ? [one.span] : [])))];
  return [...module.text.matchAll(new RegExp(`(?<![\\w$.])${literalPattern(name)}(?![\\w$])`, 'g'))].some(
    ({ index: at }) => !known.some(({ start, end }) => start <= at && at < end),
  );
}

/** A store, or a part of one, that stands in a folder for it: its key is the name of the file. */
function declarePlaced({ body, scope }: Reader, { key, object }: PlacedStore): void {
  const name = key ?? 'store';
  const span = spanOf(object);
  const value = addValue(body, { name, kind: 'store', span, from: [], shape: key === undefined ? 'root' : 'module', isDefault: true });
  body.queue.push(() => readStoreModule(body, value, object, scope, key !== undefined));
  if (key === undefined) return;
  const partOfStore = { kind: 'module' as const, key };
  addValue(body, { name: '', kind: 'store', span, from: [{ value, path: [], how: 'part', span, partOfStore }], shape: 'root' });
}

/** `export default createStore({ … })`: a store that has no name in its module. */
function declareDefault(reader: Reader, { declaration }: t.ExportDefaultDeclaration, name: string): void {
  const { body, scope } = reader;
  const reading = centralOf(body, declaration);
  if (!reading) return;
  const own = name.charAt(0).toLowerCase() + name.slice(1);
  const value = addValue(body, { name: own, kind: 'store', span: spanOf(declaration), from: [], shape: reading.shape, isDefault: true });
  body.queue.push(() => reading.read(body, value, scope));
}

const providesStore = /\b(?:provideSt(?:ore|ate)|StoreModule)\b/;

/** `provideStore({ boats })`, `StoreModule.forFeature('boats', boats)`: the parts of the store that an application has, wherever they are listed. */
function declareProvided({ body, scope }: Reader, statement: t.Node): void {
  const visit = (node: t.Node): void => {
    const name = node.type === 'CallExpression' ? (dottedName(node.callee)?.split('.').at(-1) ?? '') : '';
    const [first, second] = node.type === 'CallExpression' ? node.arguments.map((one) => bare(one)) : [];
    const isWhole = /^(?:provideStore|forRoot)$/.test(name) && first?.type === 'ObjectExpression';
    const isPart = /^(?:provideState|forFeature)$/.test(name) && first?.type === 'StringLiteral' && second !== undefined;
    if (isWhole || isPart) {
      const span = spanOf(node);
      const value = addValue(body, { name: 'store', kind: 'store', span, from: [], shape: 'root' });
      body.queue.push(() => {
        const key = first.type === 'StringLiteral' ? [first.value] : [];
        const read = isPart ? readingsOf(body, second, scope) : readingsOf(body, first, scope);
        const from = read.map((one): Reading => ({
          ...one,
          ...(isPart ? { held: { at: [...key, ...(one.held?.at ?? [])], how: one.held?.how ?? one.how } } : {}),
          partOfStore: { kind: 'member' },
        }));
        Object.assign(body.values[value] ?? {}, { from });
      });
      return;
    }
    forEachChild(node, visit);
  };
  visit(statement);
}

/** A function that a call makes for the store of an application: of actions, of what it holds, or one that the store runs. */
function madeForStore(body: Body, name: string, at: Span, call: t.CallExpression, scope: Scope): number | undefined {
  if (isActionMaker(call)) return declareActionMaker(body, name, at, call);
  const [first] = call.arguments;
  switch (calleeName(call)) {
    case 'createAsyncThunk':
      return declareThunk(body, name, at, call, scope);
    case 'createSelector':
    case 'createDraftSafeSelector':
      return declareSelector(body, name, at, call, scope);
    case 'createFeatureSelector':
      return first?.type === 'StringLiteral' ? declareKeySelector(body, name, at, first.value) : undefined;
    default:
      return undefined;
  }
}

type StoreReader = { readonly shape: string; readonly read: (body: Body, store: number, scope: Scope) => void };

/** A store that an application has one of, or a part of it, by how it is written; undefined for all else. */
function centralOf({ module }: Body, init: t.Node | undefined): StoreReader | undefined {
  const part = storeModuleOf(init);
  const options = part ?? storeOptionsOf(init);
  if (options) return { shape: part ? 'module' : 'root', read: (body, store, scope) => readStoreModule(body, store, options, scope) };
  const put = (body: Body, store: number, from: Reading[]): void => void Object.assign(body.values[store] ?? {}, { from });
  const reducer = madeReducerOf(init);
  if (reducer) return { shape: 'slice', read: (body, store, scope) => put(body, store, readReducer(body, store, reducer, scope)) };
  const combined = rootShapeOf(module, init);
  return combined && { shape: 'root', read: (body, store, scope) => put(body, store, fillStore(body, store, combined, scope)) };
}

/** `combineReducers({ … })`, `configureStore({ reducer })`, `createStore(reducer)` of the package for it. */
function rootShapeOf({ imported }: Pick<ModuleScope, 'imported'>, init: t.Node | undefined): StoreShape | undefined {
  const call = init && bare(init);
  const shape = call && storeShapeOf(call);
  if (shape) return shape.shape === 'root' ? shape : undefined;
  const origin = call?.type === 'CallExpression' ? imported.get(calleeName(call) ?? '') : undefined;
  const [first] = call?.type === 'CallExpression' ? call.arguments : [];
  if (!first || !/^(?:redux|@reduxjs\/toolkit)$/.test(origin?.from ?? '') || !/createStore$/.test(origin?.imported ?? '')) return undefined;
  return rootShapeOf({ imported }, first) ?? { shape: 'root', first };
}

function lasts(facts: ModuleFacts): boolean {
  return (
    facts.values.some((one) => one.kind === 'state' || one.kind === 'store' || one.kind === 'fetched' || one.shape !== undefined) ||
    facts.actions.some(
      (one) => one.changes.length > 0 || one.sends.length > 0 || one.hears.length > 0 || one.invokes.length > 0 || one.cases !== undefined,
    )
  );
}

function declareModuleFunction({ body, scope }: Reader, name: string, node: FunctionNode, at: t.Node): void {
  const root = rootShapeOf(body.module, resultOf(node) ?? undefined);
  if (root) {
    const store = addValue(body, { name, kind: 'store', span: spanOf(at), from: [], shape: 'root' });
    scope.names.set(name, { kind: 'value', value: store, path: [] });
    body.queue.push(() => Object.assign(body.values[store] ?? {}, { from: fillStore(body, store, root, scope) }));
    return;
  }
  const reducer = reducerOf(node);
  const makes = reducer ? undefined : sliceMadeBy(node);
  if (reducer || makes) {
    const shape = reducer ? 'slice' : 'part';
    const store = addValue(body, { name, kind: 'store', span: spanOf(at), from: [], shape });
    scope.names.set(name, { kind: 'value', value: store, path: [] });
    body.queue.push(() => {
      const facts = body.values[store];
      if (facts) facts.from = reducer ? readReducer(body, store, reducer, scope) : storeMadeBy(body, store, node, scope);
    });
    return;
  }
  const action = addAction(body, name, 'handler', spanOf(node));
  const value = addValue(body, { name, kind: 'function', span: spanOf(at), from: [], action });
  scope.names.set(name, { kind: 'function', node, scope, action, value });
  body.queue.push(() => {
    const run = runByStore(node);
    if (run) readRunByStore(body, node, run, action, scope);
    else readActionInto(body, action, node, scope);
    const cases = casesOf(node);
    const facts = body.actions[action];
    if (facts && cases.length > 0) facts.cases = cases;
    actionsGivenBy(body, node, action, scope);
  });
}

/** `(set, get) => ({ … })`: what makes a part of a store, for one that is put together of several. */
function sliceMadeBy(node: FunctionNode): boolean {
  const [set] = node.params;
  const result = resultOf(node);
  return (
    set?.type === 'Identifier' && set.name === 'set' && result !== undefined && result !== null && bare(result).type === 'ObjectExpression'
  );
}

function readLoose({ body, scope }: Reader, statement: t.ExpressionStatement): void {
  body.queue.push(() => {
    const sink = newEffects();
    readStatement(body, statement, scope, sink);
    // The application's store is handed to what it is built with: everyone has it.
    const reads = sink.reads.filter((read) => body.values[read.value]?.shape !== 'root');
    const handsStoreOn = reads.some((read) => body.values[read.value]?.shape !== undefined);
    if (!sink.changes && !sink.invokes && !sink.sends && !sink.hears && !handsStoreOn) return;
    const action = addAction(body, 'when the module is loaded', 'lifecycle', spanOf(statement));
    const facts = body.actions[action];
    if (!facts) return;
    facts.reads = reads;
    if (sink.changes) facts.changes = sink.changes;
    if (sink.invokes) facts.invokes = sink.invokes;
    if (sink.sends) facts.sends = sink.sends;
    if (sink.hears) facts.hears = sink.hears;
  });
}

function declareVariable(reader: Reader, declarator: t.VariableDeclarator, kind: string, isApart: (name: string) => boolean): void {
  const { body, scope } = reader;
  const init = declarator.init ? bare(declarator.init) : undefined;
  if (declarator.id.type !== 'Identifier') {
    if (init) takeApart(reader, declarator.id, init);
    return;
  }
  const { name } = declarator.id;
  if (isApart(name) || (init?.type === 'CallExpression' && init.callee.type === 'Identifier' && init.callee.name === 'require')) return;
  const span = { start: declarator.id.start ?? 0, end: (declarator.id.start ?? 0) + name.length };
  if (isFunction(init)) {
    declareModuleFunction(reader, name, init, { ...declarator.id, start: span.start, end: span.end });
    return;
  }
  const requester = requesterMade(body, init);
  if (requester) {
    const value = addValue(body, { name, kind: 'fetched', span, from: [], origin: requester });
    scope.names.set(name, { kind: 'value', value, path: [] });
    return;
  }
  const given = init?.type === 'CallExpression' ? madeForStore(body, name, span, init, scope) : undefined;
  if (given !== undefined) {
    scope.names.set(name, { kind: 'value', value: given, path: [] });
    return;
  }
  const reading = centralOf(body, init);
  if (reading) {
    const value = addValue(body, { name, kind: 'store', span, from: [], shape: reading.shape });
    scope.names.set(name, { kind: 'value', value, path: [] });
    body.queue.push(() => reading.read(body, value, scope));
    return;
  }
  const shape = init && (storeShapeOf(init) ?? body.dialect.store?.(init));
  const instance = init?.type === 'NewExpression' && init.callee.type === 'Identifier' ? reader.classes.get(init.callee.name) : undefined;
  const maker =
    init?.type === 'CallExpression' && init.callee.type === 'Identifier' ? body.module.functions.get(init.callee.name) : undefined;
  const makes = givesStore(maker) ? maker : undefined;
  const made = init?.type === 'CallExpression' && !shape && !makes ? body.dialect.hook?.(body, init, scope) : undefined;
  if (made !== undefined) {
    Object.assign(body.values[made] ?? {}, { name, span });
    scope.names.set(name, { kind: 'value', value: made, path: [] });
    return;
  }
  const holds = kind !== 'const' || init?.type === 'ObjectExpression' || init?.type === 'ArrayExpression' || init?.type === 'NewExpression';
  const value = addValue(body, { name, kind: shape || instance || makes ? 'store' : holds ? 'state' : 'derived', span, from: [] });
  scope.names.set(name, { kind: 'value', value, path: [] });
  const facts = body.values[value];
  if (facts?.kind === 'state' && isData(init)) facts.isData = true;
  if (!facts || !init) return;
  if (shape) {
    facts.shape = shape.shape;
    if (shape.writer && shape.derives !== true) facts.runs = true;
    body.queue.push(() => {
      facts.from = fillStore(body, value, shape, scope);
    });
  } else if (makes) {
    facts.shape = 'instance';
    body.queue.push(() => {
      facts.from = membersOfStore(body, makes, scope);
    });
  } else if (instance) {
    facts.shape = 'instance';
    body.queue.push(() => {
      facts.from = membersOfClass(body, value, instance, scope);
    });
  } else {
    facts.from = readingsOf(body, init, scope);
    const made = facts.from.map((one) => body.values[one.value]).find((one) => one?.origin !== undefined);
    if (init.type === 'NewExpression' && made?.origin) facts.origin = made.origin;
  }
}

/** What a variable begins with is data, and nothing that does something when it is written to. */
const isData = (init: t.Node | undefined): boolean =>
  init === undefined ||
  /^(?:ArrayExpression|(?:Null|String|Numeric|Boolean)Literal)$/.test(init.type) ||
  (init.type === 'ObjectExpression' && init.properties.every((one) => one.type === 'ObjectProperty' && !isFunction(bare(one.value)))) ||
  (init.type === 'NewExpression' && init.callee.type === 'Identifier' && /^(?:Map|Set|WeakMap|WeakSet)$/.test(init.callee.name));

/** `const { opened, closed } = slice.actions`. */
function takeApart({ body, scope }: Reader, pattern: t.Node, init: t.Node): void {
  const readings = readingsOf(body, init, scope);
  const [only] = readings;
  for (const found of patternNames(pattern)) {
    const from = readings.map((one): Reading => ({
      ...one,
      path: [...one.path, ...found.path],
      how: one.how === 'same' || one.how === 'part' ? 'part' : one.how,
    }));
    const value = addValue(body, { name: found.name, kind: 'derived', span: spanOf(found.node), from: only ? from : [] });
    scope.names.set(found.name, { kind: 'value', value, path: [] });
  }
}

/** What a store holds first, and what its makers do with it. */
function fillStore(body: Body, store: number, shape: StoreShape, scope: Scope): Reading[] {
  const from: Reading[] = [];
  if (shape.reducer)
    body.values[store] = {
      ...(body.values[store] ?? { name: '', kind: 'store', span: { start: 0, end: 0 }, from: [] }),
      reducer: shape.reducer,
    };
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
function noteFields(body: Body, store: number, given: t.Node | null | undefined): void {
  const object = given && bare(given);
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
function storeMadeBy(body: Body, store: number, node: FunctionNode, scope: Scope): Reading[] {
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
  body.dialect.setUp?.(body, node.body.body, inner);
  const result = resultOf(node);
  return result ? readingsOf(body, result, inner) : [];
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
function givesStore(node: FunctionNode | undefined): node is FunctionNode {
  const result = node && resultOf(node);
  const object = result && bare(result);
  return (
    object?.type === 'ObjectExpression' && object.properties.some((one) => one.type !== 'SpreadElement' && keyName(one) === 'subscribe')
  );
}

/** A store that a function of the module makes: to be subscribed to means to hold what its inner store holds. */
function membersOfStore(body: Body, node: FunctionNode, scope: Scope): Reading[] {
  return membersMadeBy(body, node, scope).map((one) => {
    if (one.held?.at[0] !== 'subscribe') return one;
    const { held, ...plain } = one;
    return { ...plain, how: held.how };
  });
}

/** An instance of a class of the module: its fields and methods are its members. */
function membersOfClass(body: Body, store: number, node: t.Class, scope: Scope): Reading[] {
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
  for (const member of node.body.body) {
    if ((member.type !== 'ClassMethod' && member.type !== 'ClassProperty') || member.static) continue;
    const name = keyName(member) ?? '';
    const given = member.type === 'ClassMethod' ? member : member.value ? bare(member.value) : undefined;
    const span = spanOf(member);
    if (isFunction(given) && name !== 'constructor') {
      const action = addAction(body, name, 'handler', span);
      const value = addValue(body, { name, kind: 'function', span: spanOf(member.key), from: [], action });
      functions.set(name, { kind: 'function', node: given, scope, action, value });
      body.queue.push(() => read(() => readActionInto(body, action, given, scope)));
      const getter = member.type === 'ClassMethod' && member.kind === 'get';
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

/** The kinds of action that a reducer tells apart, each with its lines: `case 'book': …`, `if (action.type === 'book') …`. */
function casesOf(node: FunctionNode): { actionType: string; span: { start: number; end: number } }[] {
  const action = node.params[1];
  const name = action?.type === 'Identifier' ? action.name : undefined;
  const taken = action?.type === 'ObjectPattern' ? patternNames(action).find((one) => one.path[0] === 'type')?.name : undefined;
  if ((!name && !taken) || node.body.type !== 'BlockStatement') return [];
  const isTold = (given: t.Node): boolean => {
    const test = bare(given);
    if (test.type === 'Identifier') return test.name === taken || test.name === name;
    return (
      test.type === 'MemberExpression' &&
      test.object.type === 'Identifier' &&
      test.object.name === name &&
      keyName({ key: test.property }) === 'type'
    );
  };
  return node.body.body.flatMap((one) => {
    if (one.type === 'SwitchStatement' && isTold(one.discriminant)) {
      return one.cases.flatMap((each) =>
        each.test?.type === 'StringLiteral' ? [{ actionType: each.test.value, span: spanOf(each) }] : [],
      );
    }
    if (
      one.type === 'IfStatement' &&
      one.test.type === 'BinaryExpression' &&
      isTold(one.test.left) &&
      one.test.right.type === 'StringLiteral'
    ) {
      return [{ actionType: one.test.right.value, span: spanOf(one) }];
    }
    return [];
  });
}
