import type * as t from '@babel/types';
import { propMember } from './names';
import type { ActionKind, Reading, ValueFact, NameFact } from '../../../model/facts';
import { contains, type Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import {
  addAction,
  addCall,
  addValue,
  type Body,
  excerpt,
  fillAction,
  newEffects,
  noteDemanded,
  propValue,
  type Effects,
} from '../../../read/script/body';
import { centralStore } from '../../../read/script/central';
import { keptFunction, readExpression, readingsOf, readStatement } from '../../../read/script/expressions';
import { loadedByCall } from '../../../read/script/loaded';
import { declareAction, declareFunction, followsReads, noteSetUp } from '../../../read/script/functions';
import { howOf, memberChain } from '../../../read/script/names';
import { namedBy } from '../../../read/markup/taken';
import { bindProps, takeProps } from '../../../read/script/props';
import { hoisted, innerScope, lookUp, type Meaning, type Scope } from '../../../read/script/scope';
import {
  bare,
  calleeName,
  holdsFunction,
  isFunction,
  keyName,
  keyOf,
  type PatternName,
  patternNames,
  spanOf,
} from '../../../read/script/syntax';
import { watchedAgain } from './again';
import {
  addProp,
  type DeclaredMembers,
  declareEvents,
  declareEventTypes,
  declareProps,
  declarePropsType,
  fieldOf,
  isOpen,
} from './contract';
import { apiName, madeMeaning, madeValue } from './dialect';
import type { Rendering } from './render';
import { append } from '../../../model/append';
import { literalPattern } from '../../../model/literal-pattern';

/** What a variable is computed from is taken out of its refs, or out of the props, while setting up. */
function isTakenOnce({ values, module }: Body, init: t.Node | undefined, from: readonly Reading[]): boolean {
  const isTaken = ({ value, span }: Reading): boolean =>
    values[value]?.kind === 'prop' || /\.value\b/.test(module.text.slice(span.start, span.end));
  return init !== undefined && from.length > 0 && from.every(isTaken) && !holdsFunction(init);
}

/** Functions that are called with one to run later: by what they are started. */
const lifecycles =
  /^on(Before)?(Mount|Mounted|Update|Updated|Unmount|Unmounted|Activated|Deactivated|ErrorCaptured|ServerPrefetch|ScopeDispose|RenderTracked|RenderTriggered)$/;
const effects = new Set(['watchEffect', 'watchPostEffect', 'watchSyncEffect']);

/** What runs while a component is set up, with what it declares. */
export type Setup = {
  readonly body: Body;
  readonly declared: DeclaredMembers;
  /** All statements of the script, in which types are looked for. */
  readonly statements: readonly t.Statement[];
  /** Writers of what is computed, by value. */
  readonly setters: Map<number, number>;
  /** Tags of components that are loaded when they are shown, by the name they are kept under. */
  readonly lazy: Map<string, string>;
  /** The options, where there is no other script: markup then sees their members and no name of the module. */
  options?: t.ObjectExpression;
  /** The function that renders, where there is no template, and the names that it sees. */
  render?: Rendering;
  /** Names of markup that are taken for props, since not all props are known. */
  readonly guessed: NameFact[];
  /** Values that stand for the objects that are mixed in. */
  readonly mixed: number[];
  /** Of an object that is mixed in: the value that stands for the component it is mixed into. */
  readonly host?: number;
  /** Handles that options take by `$refs`, by the name of each. */
  readonly refs: Map<string, number>;
};

/** A setup of which nothing has been read yet; its `statements` are those given, or none. */
export function newSetup(given: Pick<Setup, 'body' | 'declared' | 'setters'> & Partial<Setup>): Setup {
  return { statements: [], lazy: new Map(), guessed: [], mixed: [], refs: new Map(), ...given };
}

/** Reads the statements of a setup: names get their meaning in `scope`, everything done on the way is one action. */
export function readSetup(setup: Setup, statements: readonly t.Statement[], scope: Scope): void {
  const { body } = setup;
  for (const found of hoisted(statements)) if (found.id) declareFunction(body, found.id.name, found, scope, 'handler', spanOf(found.id));
  const done = newEffects();
  for (const statement of statements) readSetupStatement(setup, statement, scope, done);
  noteSetUp(body, statements, done);
}

function readSetupStatement(setup: Setup, statement: t.Statement, scope: Scope, done: Effects): void {
  const { body } = setup;
  switch (statement.type) {
    case 'ImportDeclaration':
    case 'FunctionDeclaration':
    case 'ClassDeclaration':
    case 'ReturnStatement':
      return;
    case 'ExportNamedDeclaration':
      if (statement.declaration) readSetupStatement(setup, statement.declaration, scope, done);
      return;
    case 'VariableDeclaration':
      for (const one of statement.declarations) declare(setup, one, statement.kind, scope, done);
      return;
    case 'ExpressionStatement':
      if (!readLoose(setup, bare(statement.expression), scope)) readStatement(body, statement, scope, done);
      return;
    default:
      if (!statement.type.startsWith('TS')) readStatement(body, statement, scope, done);
  }
}

/** Calls that stand on a line of their own: effects, lifecycles, what is declared or given to those below. */
function readLoose(setup: Setup, node: t.Node, scope: Scope): boolean {
  if (node.type !== 'CallExpression') return false;
  const { body, declared } = setup;
  const api = apiName(body, node, scope);
  const [first, second] = node.arguments;
  if (api === undefined) return false;
  if (lifecycles.test(api) && first) {
    const at = body.actions.length;
    runs(setup, api, api === 'onMounted' ? 'effect' : 'lifecycle', first, scope);
    const facts = body.actions[at];
    if (facts && api === 'onMounted') Object.assign(facts, { follows: [], runsOnce: true });
    return true;
  }
  if (effects.has(api) && first) {
    const at = body.actions.length;
    runs(setup, api, 'effect', first, scope);
    const run = bare(first);
    followsReads(body, at, isFunction(run) ? run : undefined);
    return true;
  }
  if (api === 'watch') return readWatch(setup, node.arguments, scope);
  if (api === 'provide' && first && second) {
    const given = bare(second);
    provide(
      declared,
      first,
      isFunction(given) ? [keptFunction(body, 'provide', given, scope)] : providedReadings(body, given, scope),
      node,
    );
    return true;
  }
  if (api === 'defineExpose') {
    if (first) append(body.exposes, readingsOf(body, first, scope));
    return true;
  }
  if (api === 'defineOptions' && first) {
    const inherit = fieldOf(bare(first), 'inheritAttrs');
    if (inherit?.type === 'BooleanLiteral') declared.inheritAttrs = inherit.value;
    const said = fieldOf(bare(first), 'name');
    if (said?.type === 'StringLiteral') declared.saidName = said.value;
    return true;
  }
  return readMacro(setup, node, undefined, scope) || api === 'defineSlots';
}

/** What is provided; a value that is taken out for it is what it was at that moment. */
function providedReadings(body: Body, given: t.Node, scope: Scope): readonly Reading[] {
  const from = readingsOf(body, given, scope);
  if (given.type !== 'MemberExpression' || !isTakenOnce(body, given, from)) return from;
  const span = spanOf(given);
  const value = addValue(body, { name: body.values[from[0]?.value ?? -1]?.name ?? '', kind: 'derived', span, from, once: true });
  return [{ value, path: [], how: 'same', span }];
}

export function provide(declared: DeclaredMembers, key: t.Node, readings: readonly Reading[], whole: t.Node): void {
  const source = keyOf(key);
  if (source !== undefined) declared.provides.push({ key: source, span: spanOf(whole), readings });
}

/** A function that runs later: written in place, or by name. */
function runs({ body }: Setup, name: string, kind: ActionKind, given: t.Node, scope: Scope): boolean {
  const node = bare(given);
  if (isFunction(node)) {
    const action = declareAction(body, name, kind, node, scope);
    const facts = body.actions[action];
    if (facts && node.body.type === 'BlockStatement')
      facts.cleansUp = /\bonCleanup\b|\bonWatcherCleanup\b/.test(excerpt(body.module, spanOf(node), 4000));
    return true;
  }
  const action = addAction(body, name, kind, spanOf(given));
  body.queue.push(() => {
    const sink = newEffects();
    readExpression(body, node, scope, 'called', sink);
    for (const read of sink.reads) {
      const run = body.values[read.value]?.action;
      if (run !== undefined) addCall(sink, run);
      (sink.invokes ??= []).push({ span: spanOf(given), value: read.value, path: read.path, args: [] });
    }
    fillAction(body, action, sink);
  });
  return true;
}

/** `watch(source, (now, before) => …)`: runs when what the source reads is another. */
function readWatch(setup: Setup, [source, run, options]: readonly t.Node[], scope: Scope): boolean {
  if (!source || !run) return false;
  const { body } = setup;
  const at = body.actions.length;
  runs(setup, 'watch', 'effect', run, scope);
  body.queue.push(() => {
    const facts = body.actions[at];
    if (!facts) return;
    facts.follows = watched(body, bare(source), scope);
    if (isByValue(bare(source), scope)) facts.followsByValue = true;
    append(body.again, watchedAgain(bare(source), bare(run), scope, options && bare(options)));
    handLatest(body, at, bare(source), facts.follows);
  });
  return true;
}

/** `watch(props.level, …)`, `watch(form.name, …)`: a member is read once, where its place in an object is meant. */
function isByValue(source: t.Node, scope: Scope): boolean {
  if (source.type !== 'MemberExpression') return false;
  const { base, path } = memberChain(source);
  const meaning = base.type === 'Identifier' ? lookUp(scope, base.name) : undefined;
  if (meaning?.kind === 'box') return meaning.path.length === 0 && path.length === 2 && path[0] === 'value';
  return path.length === 1 && (meaning?.kind === 'props' || (meaning?.kind === 'value' && meaning.path.length === 0));
}

/** The first parameter of what a watcher runs is the latest of what it watches: one value, or a list of them. */
export function handLatest(body: Body, action: number, source: t.Node, follows: readonly Reading[]): void {
  const latest = body.values.find((one) => one.kind === 'param' && one.of === action && one.position === 0);
  if (!latest) return;
  const items = source.type === 'ArrayExpression' ? source.elements : [];
  const positionOf = ({ span }: Reading): number => items.findIndex((one) => one && contains(spanOf(one), span));
  latest.from = follows.map((one) => (items.length === 0 ? one : { ...one, held: { at: [String(positionOf(one))], how: one.how } }));
}

function watched(body: Body, source: t.Node, scope: Scope): Reading[] {
  if (source.type === 'ArrayExpression') return source.elements.flatMap((one) => (one ? watched(body, bare(one), scope) : []));
  if (!isFunction(source)) return readingsOf(body, source, scope);
  const sink = newEffects();
  if (source.body.type === 'BlockStatement') for (const one of source.body.body) readStatement(body, one, innerScope(scope), sink);
  else readExpression(body, source.body, scope, 'same', sink);
  return sink.reads;
}

/** Gives the names of one declarator their meaning. */
function declare(setup: Setup, declarator: t.VariableDeclarator, kind: string, scope: Scope, done: Effects): void {
  const { body } = setup;
  const init = declarator.init ? bare(declarator.init) : undefined;
  if (init?.type === 'CallExpression' && readMacro(setup, init, declarator.id, scope)) return;
  if (isFunction(init) && declarator.id.type === 'Identifier') {
    declareFunction(body, declarator.id.name, init, scope, 'handler', spanOf(declarator.id));
    return;
  }
  const names = patternNames(declarator.id);
  const known = init?.type === 'Identifier' ? lookUp(scope, init.name) : undefined;
  if (known?.kind === 'props') {
    takeProps(body, declarator.id, scope);
    return;
  }
  if (init?.type === 'CallExpression') {
    const api = apiName(body, init, scope);
    if (api === 'defineAsyncComponent' && declarator.id.type === 'Identifier' && declareLazy(setup, declarator.id, init, scope)) return;
    if (api === 'toRefs' && declareRefs(setup, names, init, scope)) return;
    if (api === 'toRef' && declareRef(setup, names, init, scope)) return;
    if (lifecycles.test(api ?? '') || effects.has(api ?? '') || api === 'watch') {
      readLoose(setup, init, scope);
      for (const found of names) scope.names.set(found.name, { kind: 'opaque' });
      return;
    }
    if (declareMade(setup, declarator, names, init, scope)) return;
  }
  declareValue(setup, names, init, scope, done, kind);
}

/** `const Chart = defineAsyncComponent(() => import('./Chart.vue'))`: a component like an imported one. */
function declareLazy(setup: Setup, id: t.Identifier, call: t.CallExpression, scope: Scope): boolean {
  const loaded = loadedByCall(call);
  if (!loaded) return false;
  const source = `import:${loaded.from}#${loaded.exported}`;
  setup.lazy.set(id.name, source);
  const value = addValue(setup.body, { name: id.name, kind: 'module', span: spanOf(id), from: [], source });
  scope.names.set(id.name, { kind: 'value', value, path: [] });
  return true;
}

/** `const open = ref(false)`, `const { count, add } = useCounter()`, `const keeper = inject(key)`. */
function declareMade(
  setup: Setup,
  declarator: t.VariableDeclarator,
  names: readonly PatternName[],
  call: t.CallExpression,
  scope: Scope,
): boolean {
  const { body } = setup;
  const around = calleeName(call) === 'storeToRefs' && call.arguments[0] ? bare(call.arguments[0]) : undefined;
  const whole = names.find((found) => found.path.length === 0 && !found.rest);
  if (around?.type === 'Identifier') {
    const store = lookUp(scope, around.name);
    if (store?.kind !== 'box' && store?.kind !== 'value') return false;
    for (const found of names) scope.names.set(found.name, { kind: 'box', value: store.value, path: [...store.path, ...found.path] });
    return true;
  }
  const inner = around?.type === 'CallExpression' ? around : call;
  const made = madeValue(body, inner, scope, setup.setters, whole?.name);
  if (!made) return false;
  const value = body.values[made.value];
  if (value) {
    value.name = whole?.name ?? value.name;
    if (whole) Object.assign(value, { span: spanOf(whole.node) });
    else
      Object.assign(value, {
        span: spanOf(declarator.id),
        ...(value.kind === 'hook' ? {} : { name: namedBy(body, value, declarator.id) }),
      });
    const parts = names.filter((found) => found.path.length === 1 && found.path[0] !== found.name && !found.rest);
    if (!around && !made.boxed && value.kind === 'state') for (const found of names) noteApart(value, found.path);
    if (!around && value.kind === 'hook') for (const found of names) if (found.path.length === 1) noteApart(value, found.path);
    if (parts.length > 0) value.parts = Object.fromEntries(parts.map((found) => [found.path[0] ?? '', found.name]));
  }
  if (declarator.id.type === 'ObjectPattern') noteDemanded(body, made.value, spanOf(declarator.id));
  for (const found of names) {
    const taken = around || made.boxed ? undefined : takenOut(body, made.value, found);
    scope.names.set(found.name, taken === undefined ? madeMeaning(made, found.path) : { kind: 'value', value: taken, path: [] });
  }
  return true;
}

/** Whether a variable is written to after its declaration: it is one of its own then, whatever it was taken out of. */
function isWrittenLater(text: string, { name, node }: PatternName): boolean {
  const write = new RegExp(`(?<![.\\w$])${literalPattern(name)}\\s*(?:=(?![=>])|\\+\\+|--|[-+*/%]=)`, 'g');
  return [...text.matchAll(write)].some(({ index }) => index > (node.end ?? 0));
}

/** Notes that a member is taken out of what is followed as a whole only. */
function noteApart(value: Writable<ValueFact>, path: readonly string[]): void {
  const [member] = path;
  if (member !== undefined && path.length === 1) value.destructured = [...(value.destructured ?? []), member];
}

/** `const { boat } = toRefs(props)`: each part in a box of its own. */
function declareRefs({ body }: Setup, names: readonly PatternName[], call: t.CallExpression, scope: Scope): boolean {
  const given = call.arguments[0] ? bare(call.arguments[0]) : undefined;
  const meaning = given?.type === 'Identifier' ? lookUp(scope, given.name) : undefined;
  if (!meaning) return false;
  for (const found of names) {
    const part = partOf(body, meaning, found);
    scope.names.set(found.name, part ?? { kind: 'opaque' });
  }
  return true;
}

function partOf(body: Body, meaning: Meaning, found: PatternName): Meaning | undefined {
  if (meaning.kind === 'value' || meaning.kind === 'box')
    return { kind: 'box', value: meaning.value, path: [...meaning.path, ...found.path] };
  const [prop, ...rest] = found.path;
  if (meaning.kind !== 'props' || prop === undefined) return meaning.kind === 'props' ? meaning : undefined;
  return { kind: 'box', value: propValue(body, prop, spanOf(found.node)), path: rest };
}

/** `const boat = toRef(props, 'boat')`. */
function declareRef({ body }: Setup, names: readonly PatternName[], call: t.CallExpression, scope: Scope): boolean {
  const [given, key] = call.arguments;
  const meaning = given?.type === 'Identifier' ? lookUp(scope, given.name) : undefined;
  const [whole] = names;
  if (!meaning || !whole || key?.type !== 'StringLiteral') return false;
  const node = { type: 'Identifier', name: key.value, start: key.start, end: key.end } as unknown as t.Identifier;
  const part = partOf(body, meaning, { ...whole, node, path: [key.value] });
  scope.names.set(whole.name, part ?? { kind: 'opaque' });
  return true;
}

const isMadeInPlace = (init: t.Node | undefined): boolean => init?.type === 'ArrayExpression' || init?.type === 'ObjectExpression';

/**
 * The value that a member becomes which is taken out of an object that is followed: a text, a number or a flag is what it
 * was from then on. Undefined where it may be followed by itself.
 */
function takenOut(body: Body, index: number, found: PatternName): number | undefined {
  const value = body.values[index];
  const [member, ...more] = found.path;
  if (!value?.ofObject || member === undefined || more.length > 0 || found.rest || !value.plainMembers?.includes(member)) return undefined;
  const span = spanOf(found.node);
  return addValue(body, {
    name: found.name,
    kind: 'derived',
    span,
    from: [{ value: index, path: [member], how: 'part', span }],
    once: true,
  });
}

/** `props.level` by itself: what a name is given is what the prop was then. */
function isMemberOfProps(init: t.Node | undefined, scope: Scope): boolean {
  const node = init && bare(init);
  return node?.type === 'MemberExpression' && node.object.type === 'Identifier' && lookUp(scope, node.object.name)?.kind === 'props';
}

/** A prop, or a part of it, as it is when it is taken out of the props. */
function takenOfProps(body: Body, prop: number, found: PatternName): number {
  const span = spanOf(found.node);
  const how = found.path.length === 0 ? 'same' : 'part';
  return addValue(body, { name: found.name, kind: 'derived', span, from: [{ value: prop, path: found.path, how, span }], once: true });
}

/** Any other constant: another name for a value or its part, or made from others. */
function declareValue(
  { body }: Setup,
  names: readonly PatternName[],
  init: t.Node | undefined,
  scope: Scope,
  done: Effects,
  kind: string,
): void {
  const sink = newEffects();
  if (init) readExpression(body, init, scope, 'same', sink);
  for (const found of names) {
    const [only, ...others] = sink.reads;
    const value = only && body.values[only.value];
    const alias =
      !(kind !== 'const' && found.path.length > 0 && isWrittenLater(body.module.text, found)) &&
      only &&
      others.length === 0 &&
      only.how === 'same' &&
      only.path.length === 0 &&
      !only.held &&
      value &&
      value.kind !== 'module';
    if (alias) {
      const whole = init?.type === 'Identifier' ? lookUp(scope, init.name) : undefined;
      const comesApart = (whole?.kind === 'value' && value.kind === 'state') || (whole !== undefined && value.kind === 'hook');
      if (comesApart && found.path.length === 1) noteApart(value, found.path);
      const ofProps = isMemberOfProps(init, scope) ? takenOfProps(body, only.value, found) : undefined;
      const taken = ofProps ?? (whole?.kind === 'value' ? takenOut(body, only.value, found) : undefined);
      if (taken !== undefined) {
        scope.names.set(found.name, { kind: 'value', value: taken, path: [] });
        continue;
      }
      scope.names.set(found.name, { kind: 'box', value: only.value, path: found.path });
      continue;
    }
    const from = sink.reads.map((one): Reading => {
      const path = one.held ? one.path : [...one.path, ...found.path];
      return { ...one, path, how: one.how === 'same' || one.how === 'part' ? howOf(path, one.how) : one.how };
    });
    const plain = kind === 'const' ? {} : { plain: true as const };
    const made = addValue(body, {
      name: found.name,
      kind: 'derived',
      span: spanOf(found.node),
      from,
      ...plain,
      ...(isTakenOnce(body, init, from) ? { once: true as const } : {}),
      ...(found.path.length === 0 && isMadeInPlace(init) ? { unfollowed: true as const } : {}),
    });
    scope.names.set(found.name, { kind: 'value', value: made, path: [] });
  }
  sink.reads.length = 0;
  if (sink.changes) append((done.changes ??= []), sink.changes);
  if (sink.invokes) append((done.invokes ??= []), sink.invokes);
  if (sink.raises) append((done.raises ??= []), sink.raises);
  if (sink.sends) append((done.sends ??= []), sink.sends);
  if (sink.hears) append((done.hears ??= []), sink.hears);
  if (sink.calls) append((done.calls ??= []), sink.calls);
}

/** The declarations of `<script setup>`: props, events, two-way props. False for other calls. */
function readMacro(setup: Setup, call: t.CallExpression, pattern: t.Node | undefined, scope: Scope): boolean {
  const { body, declared } = setup;
  const name = apiName(body, call, scope);
  const [first, second] = call.arguments;
  const inner = first ? bare(first) : undefined;
  switch (name) {
    case 'withDefaults':
      if (inner?.type !== 'CallExpression' || !readMacro(setup, inner, pattern, scope)) return false;
      readDefaults(setup, second);
      return true;
    case 'defineProps': {
      const type = typeGiven(call);
      declared.propsSpan = spanOf(call);
      if (type) readPropsType(setup, type);
      else if (inner) declareProps(body, declared, inner);
      if (pattern) bindProps(body, pattern, scope);
      return true;
    }
    case 'defineEmits': {
      const type = typeGiven(call);
      if (type) declareEventTypes(declared, type, setup.statements);
      else if (inner) declareEvents(declared, inner);
      if (pattern?.type === 'Identifier') scope.names.set(pattern.name, { kind: 'emits' });
      return true;
    }
    case 'defineModel':
      readModel(setup, call, pattern, scope);
      return true;
    case 'useAttrs':
      if (pattern?.type === 'Identifier') scope.names.set(pattern.name, { kind: 'value', value: attrsOf(body, spanOf(pattern)), path: [] });
      return true;
    case 'useSlots':
    case 'defineSlots':
      for (const found of pattern ? patternNames(pattern) : []) scope.names.set(found.name, { kind: 'opaque' });
      return true;
    default:
      return false;
  }
}

function typeGiven(call: t.CallExpression): t.TSType | undefined {
  const given = call.typeParameters;
  return given?.type === 'TSTypeParameterInstantiation' ? given.params[0] : undefined;
}

/** The value that stands for a handle of the options. */
export function handleNamed({ body, refs }: Setup, name: string, span: Span): number {
  const known = refs.get(name) ?? addValue(body, { name, kind: 'ref', span, from: [] });
  refs.set(name, known);
  return known;
}

/** The value that stands for all attributes that are not declared. */
export function attrsOf(body: Body, span: { start: number; end: number }): number {
  const known = body.values.findIndex((value) => value.kind === 'rest' && value.name === '$attrs');
  return known >= 0 ? known : addValue(body, { name: '$attrs', kind: 'rest', span, from: [] });
}

function readPropsType({ body, declared }: Setup, type: t.TSType): void {
  declarePropsType(declared, type);
  if (type.type !== 'TSTypeLiteral') return;
  for (const member of type.members) {
    if (member.type !== 'TSPropertySignature' && member.type !== 'TSMethodSignature') continue;
    const name = keyName(member);
    if (name === undefined) continue;
    const callback = /^on[A-Z]/.test(name) ? 'callback' : 'value';
    addProp(body, declared, name, spanOf(member.key), member.optional ? 'no' : 'yes', undefined, callback);
  }
}

function readDefaults({ body, declared }: Setup, given: t.Node | undefined): void {
  const node = given && bare(given);
  if (node?.type !== 'ObjectExpression') return;
  for (const property of node.properties) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    if (name === undefined || property.type === 'SpreadElement') continue;
    const value = property.type === 'ObjectProperty' ? property.value : property;
    const fallback = excerpt(body.module, spanOf(value));
    const prop = declared.props.get(name);
    if (prop) declared.props.set(name, { ...prop, required: 'no', fallback });
    body.taken.set(propMember(name), { span: spanOf(property.key), fallback });
  }
}

/** `const title = defineModel<string>('title', { required: true })`: a prop, and the event that asks for another. */
function readModel({ body, declared }: Setup, call: t.CallExpression, pattern: t.Node | undefined, scope: Scope): void {
  const [first, second] = call.arguments;
  const named = first?.type === 'StringLiteral';
  const name = named ? first.value : 'modelValue';
  const options = named ? second : first;
  const required = fieldOf(options, 'required');
  const fallback = fieldOf(options, 'default');
  const [whole] = pattern ? patternNames(pattern) : [];
  const span = named ? spanOf(first) : spanOf(call.callee);
  const must = required?.type === 'BooleanLiteral' && required.value && !fallback ? 'yes' : 'no';
  const value = addProp(body, declared, name, span, must, fallback && excerpt(body.module, spanOf(fallback)), 'two-way');
  declared.events.set(`update:${name}`, span);
  declared.models.add(value);
  if (whole) scope.names.set(whole.name, { kind: 'box', value, path: [] });
  const facts = body.values[value];
  if (whole && facts && whole.name !== facts.name) facts.alias = whole.name;
}

/** What a template knows without anyone declaring it; `undefined` for names of the platform. */
export function templateNames(setup: Setup): (name: string, span: Span) => Meaning | undefined {
  const { body, declared } = setup;
  return (name, span) => {
    const handle = setup.options && /^\$refs\.(.+)$/.exec(name)?.[1];
    if (handle) return { kind: 'value', value: handleNamed(setup, handle, span), path: [] };
    switch (name) {
      case '$emit':
        return { kind: 'emits' };
      case '$props':
        return { kind: 'props' };
      case '$attrs':
        return { kind: 'value', value: attrsOf(body, { start: 0, end: 0 }), path: [] };
      case '$store':
        return { kind: 'value', value: centralStore(body, span), path: [] };
      case '$slots':
      case '$refs':
      case '$el':
      case '$nextTick':
        return { kind: 'opaque' };
      default:
    }
    if (body.module.names.has(name) && !setup.options) return undefined;
    const prop = declared.props.get(name) ? body.propValues.get(propMember(name)) : undefined;
    if (prop !== undefined) return { kind: 'value', value: prop, path: [] };
    const unknown = isOpen(declared) || (declared.propsType && declared.propsType.kind !== 'object');
    if (!unknown || name.startsWith('$') || platform.has(name)) return undefined;
    if (span.end > 0) setup.guessed.push({ name, span });
    return mixedIn(setup, name, span) ?? { kind: 'value', value: propValue(body, name, declared.propsSpan), path: [] };
  };
}

/** What a name stands for that a component does not declare itself: a member of what is mixed in; undefined where nothing is. */
export function mixedIn({ mixed }: Setup, name: string, span: Span): Meaning | undefined {
  const [only, ...more] = mixed;
  if (only === undefined) return undefined;
  if (more.length === 0) return { kind: 'value', value: only, path: [name] };
  return { kind: 'local', readings: mixed.map((value) => ({ value, path: [name], how: 'part', span })) };
}

/** Names that templates take from the platform. */
const platform = new Set(
  'Infinity undefined NaN isFinite isNaN parseFloat parseInt decodeURI decodeURIComponent encodeURI encodeURIComponent Math Number Date Array Object Boolean String RegExp Map Set JSON Intl BigInt console Error Symbol window document globalThis'.split(
    ' ',
  ),
);
