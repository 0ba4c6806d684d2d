import type * as t from '@babel/types';
import type { Reading } from '../../../model/facts';
import { addValue, type Body, newEffects, propValue } from '../../../read/script/body';
import { centralStore } from '../../../read/script/central';
import { keptFunction, readingsOf } from '../../../read/script/expressions';
import { computedFrom, declareAction, declareFunction } from '../../../read/script/functions';
import { innerScope, type Meaning, type Scope } from '../../../read/script/scope';
import { bindLocal } from '../../../read/script/names';
import {
  bare,
  calleeName,
  dottedName,
  forEachChild,
  type FunctionNode,
  isFunction,
  keyName,
  keyOf,
  patternNames,
  resultOf,
  spanOf,
} from '../../../read/script/syntax';
import { takeProps } from '../../../read/script/props';
import { declareEvents, declareProps, fieldOf } from './contract';
import { madeMeaning, madeValue } from './dialect';
import { takenFromStores } from './store-helpers';
import { attrsOf, handleNamed, handLatest, mixedIn, provide, readSetup, type Setup } from './setup';
import { append } from '../../../model/append';

const nowhere = { start: 0, end: 0 };

const lifecycles =
  /^(beforeCreate|created|beforeMount|mounted|beforeUpdate|updated|activated|deactivated|beforeUnmount|unmounted|beforeDestroy|destroyed|errorCaptured|serverPrefetch)$/;

/** The options of the component that a module exports by default, taken out of `defineComponent` and the like. */
export function optionsOf(statements: readonly t.Statement[]): t.ObjectExpression | undefined {
  const exported = statements.find((one): one is t.ExportDefaultDeclaration => one.type === 'ExportDefaultDeclaration');
  const given = exported && bare(exported.declaration);
  if (given?.type !== 'Identifier') return optionsIn(given);
  for (const one of statements) {
    const declared = one.type === 'ExportNamedDeclaration' ? one.declaration : one;
    if (declared?.type !== 'VariableDeclaration') continue;
    for (const each of declared.declarations)
      if (each.id.type === 'Identifier' && each.id.name === given.name && each.init) return optionsIn(each.init);
  }
  return undefined;
}

/** Whether a component is made of another one, `Dialog.extend({ … })`, or of several: what those have is not seen. */
export function extendsOther(statements: readonly t.Statement[]): boolean {
  const exported = statements.find((one): one is t.ExportDefaultDeclaration => one.type === 'ExportDefaultDeclaration');
  const given = exported && bare(exported.declaration);
  const callee = given?.type === 'CallExpression' ? given.callee : undefined;
  return callee?.type === 'MemberExpression' && memberName(callee) === 'extend' && dottedName(bare(callee.object)) !== 'Vue';
}

/** `defineComponent({ … })`, `{ … }` → the object. */
export function optionsIn(given: t.Node | undefined): t.ObjectExpression | undefined {
  const node = given && bare(given);
  if (node?.type === 'ObjectExpression') return node;
  if (
    node?.type !== 'CallExpression' ||
    !/^(defineComponent|extend|defineNuxtComponent)$/.test(calleeName(node) ?? memberName(node.callee))
  )
    return undefined;
  const [first] = node.arguments;
  return first && optionsIn(first);
}

function memberName(node: t.Node): string {
  return node.type === 'MemberExpression' && node.property.type === 'Identifier' ? node.property.name : '';
}

/** Tells whether an object is written as a component is. */
export function isComponentObject(options: t.ObjectExpression): boolean {
  return options.properties.some(
    (one) => one.type !== 'SpreadElement' && /^(template|render|setup|data|computed|components|emits|methods)$/.test(keyName(one) ?? ''),
  );
}

/** Tells whether a plain object of options is made to be mixed into components: it shows nothing by itself, and uses what it is mixed into. */
export function isMixin(options: t.ObjectExpression): boolean {
  const has = (name: string): boolean => options.properties.some((one) => one.type !== 'SpreadElement' && keyName(one) === name);
  const does = ['data', 'computed', 'methods', 'watch', 'created', 'mounted'].some(has);
  return does && !['template', 'render', 'setup', 'extends', 'components', 'name', 'props'].some(has);
}

/** What an object of options gives to each component that it is mixed into: its members by their names. */
export function membersGiven(setup: Setup, options: t.ObjectExpression): Reading[] {
  const scope = innerScope();
  readOptions(setup, options, scope);
  return membersOf(setup.body, scope.names);
}

/**
 * Reads a component written as an object of options: what it declares, holds and does. Gives the
 * components it registers, by tag name.
 */
export function readOptions(setup: Setup, options: t.ObjectExpression, scope: Scope): Map<string, string> {
  const { body, declared } = setup;
  const own = new Map<string, Meaning>();
  const members = (name: string): Meaning | undefined =>
    own.get(name) ??
    platformMember(setup, name) ??
    (name.startsWith('$') ? undefined : (mixedIn(setup, name, nowhere) ?? ofHost(setup, name)));
  body.own = (name) => (name.startsWith('state.') ? stateMember(own, name) : members(name));
  const option = (name: string): t.Node | undefined => fieldOf(options, name);
  const props = option('props');
  if (props) declareProps(body, declared, props);
  const emits = option('emits');
  if (emits) declareEvents(declared, emits);
  const mixins = option('mixins');
  const takesOver = Boolean(option('extends')) || options.properties.some((one) => one.type === 'SpreadElement');
  if (mixins && !takesOver) append(declared.mixins, namedIn(mixins));
  if (takesOver || (mixins && declared.mixins.length === 0)) declared.open = true;
  for (const name of declared.mixins)
    setup.mixed.push(addValue(body, { name, kind: 'hook', span: spanOf(mixins ?? options), from: [], source: name }));
  const inherit = option('inheritAttrs');
  if (inherit?.type === 'BooleanLiteral') declared.inheritAttrs = inherit.value;
  const said = option('name');
  if (said?.type === 'StringLiteral') declared.saidName = said.value;
  readModelOption(setup, option('model'));
  for (const name of declared.props.keys()) own.set(name, { kind: 'value', value: propValue(body, name, { start: 0, end: 0 }), path: [] });
  readInject(body, option('inject'), own);
  const data = option('data');
  const made = isFunction(data) ? resultOf(data) : data;
  const known = objectMeant(body, made);
  // Members of what the text does not tell may be any.
  const isTold = known?.type === 'ObjectExpression' && known.properties.every((one) => one.type !== 'SpreadElement');
  if (data && !isTold) declared.open = true;
  if (known?.type === 'ObjectExpression') declareData(body, known, own, scope, isFunction(data) ? data : undefined);
  declareFunctions(setup, option('methods'), own, scope);
  declareComputed(setup, option('computed'), own, scope);
  if (!mixins && !takesOver) for (const one of setup.host === undefined ? [options] : begun(options)) declareFields(body, one, own);
  for (const property of options.properties) {
    if (property.type === 'SpreadElement') continue;
    const name = keyName(property) ?? '';
    const value = property.type === 'ObjectProperty' ? bare(property.value) : property;
    if (!lifecycles.test(name) || !isFunction(value)) continue;
    const action = declareAction(body, name, name === 'mounted' ? 'effect' : 'lifecycle', value, scope);
    const facts = body.actions[action];
    if (facts && name === 'mounted') Object.assign(facts, { follows: [], runsOnce: true });
  }
  readWatchers(setup, option('watch'), own, scope);
  readProvide(setup, option('provide'), scope);
  const run = option('setup');
  if (isFunction(run)) readSetupOption(setup, run, own, scope);
  const render = option('render');
  if (isFunction(render)) setup.render = { run: render, scope };
  for (const [name, meaning] of own) if (!scope.names.has(name)) scope.names.set(name, meaning);
  exposeMethods(setup, own, option('expose'));
  handToMixins(setup, own);
  return registered(option('components'));
}

/** What a name of a mixin stands for that it does not declare itself: a member of the component that it is mixed into. */
const ofHost = ({ host }: Setup, name: string): Meaning | undefined =>
  host === undefined ? undefined : { kind: 'value', value: host, path: [name] };

/** Objects that are mixed in work with the members of their component, as if they were handed all of them in one object. */
function handToMixins({ body, mixed }: Setup, own: ReadonlyMap<string, Meaning>): void {
  const readings = membersOf(body, own);
  for (const value of mixed) {
    const fact = body.values[value];
    if (fact) body.values[value] = { ...fact, args: [{ readings }] };
  }
}

/** Values by the names under which an object would hold them. */
function membersOf(body: Body, names: ReadonlyMap<string, Meaning>): Reading[] {
  return [...names].flatMap(([name, meaning]): Reading[] => {
    const value = meaning.kind === 'value' || meaning.kind === 'function' ? meaning.value : undefined;
    const path = meaning.kind === 'value' ? meaning.path : [];
    if (value === undefined) return [];
    return [{ value, path, how: 'same', span: body.values[value]?.span ?? nowhere, held: { at: [name], how: 'same' } }];
  });
}

/** Who has a handle on a component written by options may call its methods, unless the options name those that it may. */
function exposeMethods({ body }: Setup, own: ReadonlyMap<string, Meaning>, named: t.Node | undefined): void {
  const names =
    named?.type === 'ArrayExpression' ? named.elements.map((one) => (one?.type === 'StringLiteral' ? one.value : '')) : undefined;
  for (const [name, meaning] of own) {
    if (meaning.kind !== 'function' || meaning.value === undefined || (names && !names.includes(name))) continue;
    body.exposes.push({ value: meaning.value, path: [], how: 'same', span: nowhere, held: { at: [name], how: 'same' } });
  }
}

/** The names in a list, where it holds nothing else. */
function namedIn(list: t.Node): string[] {
  const items = list.type === 'ArrayExpression' ? list.elements : [];
  const names = items.flatMap((one) => (one?.type === 'Identifier' ? [one.name] : []));
  return names.length === items.length ? names : [];
}

function stateMember(own: ReadonlyMap<string, Meaning>, name: string): Meaning | undefined {
  const state = own.get('state');
  const [, member] = name.split('.');
  return state?.kind === 'value' && member !== undefined ? { ...state, path: [...state.path, member] } : undefined;
}

function platformMember(setup: Setup, name: string): Meaning | undefined {
  if (name === '$emit') return { kind: 'emits' };
  if (name === '$refs') return { kind: 'members', of: (ref, span) => ({ kind: 'value', value: handleNamed(setup, ref, span), path: [] }) };
  if (name === '$store') return { kind: 'value', value: centralStore(setup.body, nowhere), path: [] };
  if (name === '$props') return { kind: 'props' };
  if (name === '$attrs') return { kind: 'value', value: attrsOf(setup.body, nowhere), path: [] };
  const { declared, body } = setup;
  return declared.props.has(name) ? { kind: 'value', value: propValue(body, name, { start: 0, end: 0 }), path: [] } : undefined;
}

/** An object that is written in place, or that the module declares under a name. */
function objectMeant({ module }: Body, given: t.Node | null | undefined): t.Node | undefined {
  const node = given && bare(given);
  return node?.type === 'Identifier' ? (module.tables.get(node.name) ?? undefined) : (node ?? undefined);
}

/** `data() { return { open: false } }`: each member is a state. `maker` is the function, whose variables its members may read. */
function declareData(body: Body, object: t.ObjectExpression, own: Map<string, Meaning>, scope: Scope, maker?: FunctionNode): void {
  const inner = innerScope(scope);
  const declared = maker?.body.type === 'BlockStatement' ? maker.body.body : [];
  body.queue.push(() => {
    for (const statement of declared)
      if (statement.type === 'VariableDeclaration')
        for (const { id, init } of statement.declarations) if (init) bindLocal(id, readingsOf(body, init, inner), inner);
  });
  for (const property of object.properties) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    if (name === undefined || property.type === 'SpreadElement') continue;
    const value = addValue(body, { name, kind: 'state', span: spanOf(property.key), from: [] });
    own.set(name, { kind: 'value', value, path: [] });
    const first = property.type === 'ObjectProperty' ? property.value : undefined;
    body.queue.push(() => {
      const facts = body.values[value];
      if (facts && first && !isFunction(first)) facts.from = readingsOf(body, first, inner);
    });
  }
}

/** `this.timer = …` of what is declared nowhere: a field that the markup may show, and that nothing follows. */
function declareFields(body: Body, within: t.Node, own: Map<string, Meaning>): void {
  const visit = (node: t.Node): void => {
    const target = node.type === 'AssignmentExpression' ? node.left : node.type === 'UpdateExpression' ? node.argument : undefined;
    const isField = target?.type === 'MemberExpression' && target.object.type === 'ThisExpression' && !target.computed;
    const name = isField && target.property.type === 'Identifier' ? target.property.name : undefined;
    if (name !== undefined && !name.startsWith('$') && !own.has(name)) {
      const value = addValue(body, { name, kind: 'derived', span: spanOf(node), from: [], plain: true });
      own.set(name, { kind: 'value', value, path: [] });
    }
    forEachChild(node, visit);
  };
  visit(within);
}

/** Where an object that is mixed in may begin fields of its own; what it sets elsewhere belongs to its component. */
const begun = (options: t.ObjectExpression): t.Node[] =>
  options.properties.filter((one) => one.type !== 'SpreadElement' && lifecycles.test(keyName(one) ?? ''));

/** `computed: mapState(useLevels, ['now'])`: all members are taken from a store. */
function putTaken(body: Body, given: t.CallExpression, own: Map<string, Meaning>, scope: Scope): void {
  for (const [name, meaning] of takenFromStores(body, given, scope) ?? []) own.set(name, meaning);
}

function declareFunctions({ body }: Setup, given: t.Node | undefined, own: Map<string, Meaning>, scope: Scope): void {
  if (given?.type === 'CallExpression') putTaken(body, given, own, scope);
  if (given?.type !== 'ObjectExpression') return;
  for (const property of given.properties) {
    if (property.type === 'SpreadElement') {
      for (const [name, meaning] of takenFromStores(body, property.argument, scope) ?? []) own.set(name, meaning);
      continue;
    }
    const name = keyName(property);
    const fn = property.type === 'ObjectMethod' ? property : wrapped(property.value);
    if (name === undefined || !fn) continue;
    declareFunction(body, name, fn, scope, 'handler', spanOf(property.key));
    const meaning = scope.names.get(name);
    scope.names.delete(name);
    if (meaning) own.set(name, meaning);
  }
}

/** `debounce(function () { … })` → the function. */
function wrapped(given: t.Node): FunctionNode | undefined {
  const node = bare(given);
  if (isFunction(node)) return node;
  return node.type === 'CallExpression'
    ? node.arguments.map((one) => bare(one)).find((one): one is FunctionNode => isFunction(one))
    : undefined;
}

function declareComputed({ body, setters }: Setup, given: t.Node | undefined, own: Map<string, Meaning>, scope: Scope): void {
  if (given?.type === 'CallExpression') putTaken(body, given, own, scope);
  if (given?.type !== 'ObjectExpression') return;
  for (const property of given.properties) {
    if (property.type === 'SpreadElement') {
      for (const [name, meaning] of takenFromStores(body, property.argument, scope) ?? []) own.set(name, meaning);
      continue;
    }
    const name = keyName(property);
    if (name === undefined) continue;
    const node = property.type === 'ObjectMethod' ? property : bare(property.value);
    const get = fieldOf(node, 'get') ?? node;
    const set = fieldOf(node, 'set');
    const value = addValue(body, { name, kind: 'derived', span: spanOf(property.key), from: [] });
    own.set(name, { kind: 'value', value, path: [] });
    body.queue.push(() => {
      const facts = body.values[value];
      if (facts) facts.from = computedFrom(body, get, scope);
    });
    if (isFunction(set)) setters.set(value, keptFunction(body, `set ${name}`, set, scope).value);
  }
}

/** `watch: { boat(now) {…}, 'form.eta': { handler, immediate } }`. */
function readWatchers({ body }: Setup, given: t.Node | undefined, own: ReadonlyMap<string, Meaning>, scope: Scope): void {
  if (given?.type !== 'ObjectExpression') return;
  for (const property of given.properties) {
    if (property.type === 'SpreadElement') continue;
    const [name = '', ...path] = (keyName(property) ?? '').split('.');
    const node = property.type === 'ObjectMethod' ? property : bare(property.value);
    const run = isFunction(node) ? node : fieldOf(node, 'handler');
    if (!isFunction(run)) continue;
    const action = declareAction(body, `watch ${name}`, 'effect', run, scope);
    const meaning = own.get(name);
    const facts = body.actions[action];
    if (facts && meaning?.kind === 'value')
      facts.follows = [{ value: meaning.value, path, how: path.length > 0 ? 'part' : 'same', span: spanOf(property.key) }];
    body.queue.push(() => handLatest(body, action, property.key, body.actions[action]?.follows ?? []));
  }
}

/** `inject: ['keeper']`, `inject: { keeper: { from: key, default: null } }`. */
function readInject(body: Body, given: t.Node | undefined, own: Map<string, Meaning>): void {
  const take = (name: string, source: string | undefined, span: { start: number; end: number }, guarded: boolean): void => {
    const value = addValue(body, {
      name,
      kind: 'context',
      span,
      from: [],
      ...(source === undefined ? {} : { source }),
      ...(guarded ? { guarded } : { needed: true }),
    });
    own.set(name, { kind: 'value', value, path: [] });
  };
  if (given?.type === 'ArrayExpression') {
    for (const one of given.elements) if (one?.type === 'StringLiteral') take(one.value, `key:'${one.value}'`, spanOf(one), false);
  }
  if (given?.type !== 'ObjectExpression') return;
  for (const property of given.properties) {
    if (property.type !== 'ObjectProperty') continue;
    const name = keyName(property);
    if (name === undefined) continue;
    const node = bare(property.value);
    const from = node.type === 'ObjectExpression' ? fieldOf(node, 'from') : node;
    take(name, from ? keyOf(from) : `key:'${name}'`, spanOf(property.key), fieldOf(node, 'default') !== undefined);
  }
}

/** `provide: { keeper: 'Ada' }`, `provide() { return { keeper: this.keeper } }`. */
function readProvide({ body, declared }: Setup, given: t.Node | undefined, scope: Scope): void {
  const made = isFunction(given) ? resultOf(given) : given;
  const node = made && bare(made);
  if (node?.type !== 'ObjectExpression') return;
  for (const property of node.properties) {
    if (property.type !== 'ObjectProperty') continue;
    const name = property.computed ? undefined : keyName(property);
    const key = property.computed ? property.key : ({ type: 'StringLiteral', value: name ?? '' } as t.StringLiteral);
    const readings = readingsOf(body, property.value, scope);
    // Who is given the component itself may raise its events.
    if (bare(property.value).type === 'ThisExpression') body.raisesUnseen = true;
    provide(declared, key, readings, property);
  }
}

/** The two-way prop of a component of the framework's second version. */
function readModelOption({ declared }: Setup, given: t.Node | undefined): void {
  const event = fieldOf(given, 'event');
  const prop = fieldOf(given, 'prop');
  if (event?.type === 'StringLiteral') declared.events.set(event.value, spanOf(event));
  const text = (node: t.Node | undefined, customary: string): string => (node?.type === 'StringLiteral' ? node.value : customary);
  if (event || prop) declared.boundBy = { prop: text(prop, 'value'), event: text(event, 'input') };
}

/** The names that a setup function has: its props, and what its context is taken apart into. */
export function boundSetup({ body }: Setup, run: FunctionNode, scope: Scope): Scope {
  const inner = innerScope(scope);
  const [props, context] = run.params;
  if (props) takeProps(body, props, inner);
  if (context?.type === 'Identifier')
    inner.names.set(context.name, { kind: 'members', of: (name) => (name === 'emit' ? { kind: 'emits' } : { kind: 'opaque' }) });
  else if (context) {
    for (const found of patternNames(context))
      inner.names.set(found.name, found.path[0] === 'emit' ? { kind: 'emits' } : { kind: 'opaque' });
  }
  return inner;
}

/** `setup(props, { emit })`: what it returns the template knows by name. */
function readSetupOption(setup: Setup, run: FunctionNode, own: Map<string, Meaning>, scope: Scope): void {
  const { body, declared } = setup;
  const inner = boundSetup(setup, run, scope);
  if (run.body.type === 'BlockStatement') readSetup(setup, run.body.body, inner);
  const result = resultOf(run);
  const given = result && bare(result);
  if (isFunction(given)) setup.render = { run: given, scope: inner };
  else if (given && given.type !== 'ObjectExpression') declared.open = true;
  if (given?.type !== 'ObjectExpression') return;
  for (const property of given.properties) {
    if (property.type === 'SpreadElement') {
      declared.open = true;
      continue;
    }
    const name = keyName(property);
    if (name === undefined) continue;
    const node = property.type === 'ObjectProperty' ? bare(property.value) : property;
    const known = node.type === 'Identifier' ? inner.names.get(node.name) : undefined;
    const made = node.type === 'CallExpression' ? madeValue(body, node, inner, setup.setters, name) : undefined;
    if (known) own.set(name, known);
    else if (made) own.set(name, madeMeaning(made, []));
    else if (isFunction(node)) {
      declareFunction(body, name, node, inner, 'handler', spanOf(property.key));
      const meaning = inner.names.get(name);
      if (meaning) own.set(name, meaning);
    } else {
      const sink = newEffects();
      append(sink.reads, readingsOf(body, node, inner));
      const value = addValue(body, { name, kind: 'derived', span: spanOf(property.key), from: sink.reads });
      own.set(name, { kind: 'box', value, path: [] });
    }
  }
}

/** `components: { PassageRow, 'lock-card': LockCard }`: module names by the names they are registered under. */
function registered(given: t.Node | undefined): Map<string, string> {
  const found = new Map<string, string>();
  if (given?.type !== 'ObjectExpression') return found;
  for (const property of given.properties) {
    const name = property.type === 'ObjectProperty' ? keyName(property) : undefined;
    const target = property.type === 'ObjectProperty' ? dottedName(bare(property.value)) : undefined;
    if (name !== undefined && target !== undefined) found.set(name, target);
  }
  return found;
}
