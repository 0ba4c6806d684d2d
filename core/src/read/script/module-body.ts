import type * as t from '@babel/types';
import type { ModuleFacts, Reading, ValueFact } from '../../model/facts';
import type { FilePath } from '../../model/span';
import { addAction, addValue, type Body, type Dialect, finishBody, type ModuleScope, newBody, newEffects } from './body';
import { centralOf, declarePlaced, declareProvided, madeForStore, providesStore, rootShapeOf, sliceMadeBy } from './central-stores';
import { fillStore, givesStore, isOwnStore, membersOfInstance, membersOfStore, noteFields, storeMadeBy } from './store-content';
import { readActionInto, readingsOf, readStatement } from './expressions';
import { requesterMade } from './origins';
import { innerScope, type Scope } from './scope';
import { readReducer, reducerOf } from './reducers';
import { actionsGivenBy, readRunByStore, runByStore } from './store-functions';
import { storeByFolder } from './store-modules';
import { storeShapeOf } from './store-shapes';
import { bare, type FunctionNode, isFunction, keyName, nameOfFile, patternNames, resultOf, spanOf } from './syntax';
import { literalPattern } from '../../model/literal-pattern';

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

/** `export default createStore({ … })`: a store that has no name in its module. */
function declareDefault(reader: Reader, { declaration }: t.ExportDefaultDeclaration, name: string): void {
  const { body, scope } = reader;
  const reading = centralOf(body, declaration);
  if (!reading) return;
  const own = name.charAt(0).toLowerCase() + name.slice(1);
  const value = addValue(body, { name: own, kind: 'store', span: spanOf(declaration), from: [], shape: reading.shape, isDefault: true });
  body.queue.push(() => reading.read(body, value, scope));
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
      if (reducer) noteFields(body, store, reducer.first);
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
  const ofClass = init?.type === 'NewExpression' && init.callee.type === 'Identifier' ? reader.classes.get(init.callee.name) : undefined;
  const instance = ofClass ?? (!shape && isOwnStore(body, init) ? init : undefined);
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
      facts.from = membersOfInstance(body, value, instance, scope);
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
