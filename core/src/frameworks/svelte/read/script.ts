import type * as t from '@babel/types';
import { eventKey } from '../../../model/member';
import {
  addAction,
  addValue,
  type Body,
  excerpt,
  fillAction,
  moduleValue,
  newEffects,
  noteDemanded,
  propValue,
  type Effects,
} from '../../../read/script/body';
import { readExpression, readingsOf, readStatement } from '../../../read/script/expressions';
import { declareAction, declareFunction, followsReads, noteSetUp } from '../../../read/script/functions';
import { mergeInto, partsOf } from '../../../read/script/names';
import { namedBy } from '../../../read/markup/taken';
import { commentedType } from '../../../read/script/comment-types';
import { bindProps } from '../../../read/script/props';
import { hoisted, lookUp, type Meaning, type Scope } from '../../../read/script/scope';
import {
  annotationOf,
  bare,
  dottedName,
  noteEnding,
  holdsFunction,
  isFunction,
  type PatternName,
  patternNames,
  spanOf,
} from '../../../read/script/syntax';
import { readType } from '../../../read/script/types';
import { writtenAgain } from './again';
import { type DeclaredMembers, isCallback, propMember } from './declared';
import { apiName, instanceValue, later, madeValue } from './dialect';
import { append } from '../../../model/append';

const lifecycles = new Set(['onMount', 'onDestroy', 'beforeUpdate', 'afterUpdate']);
/** Those of the runes, and what the framework's own tool writes in place of a statement that follows. */
const effects = new Set(['$effect', '$effect.pre', '$effect.root', '$inspect', 'run']);

/** The script of a component, or the body of a function that holds state, while it is being read. */
export type Instance = {
  readonly body: Body;
  readonly declared: DeclaredMembers;
  readonly runes: boolean;
  /** A function of a module: nothing of it is a prop, and its variables are its own. */
  readonly isFunction?: true;
};

/** Tells whether a script is written with runes: then a plain variable is not reactive. */
export function usesRunes(script: string): boolean {
  return /\$(?:state|derived|effect|props|bindable|inspect|host)\b\s*(?:\.\w+\s*)?[(<]/.test(script);
}

/** Reads the statements of an instance: names get their meaning in `scope`, everything done on the way is one action. */
export function readInstance(instance: Instance, statements: readonly t.Statement[], scope: Scope): void {
  const { body } = instance;
  for (const found of hoisted(statements.map((one) => unexported(one))))
    if (found.id) declareFunction(body, found.id.name, found, scope, 'handler', spanOf(found.id));
  const done = newEffects();
  for (const statement of statements) readOne(instance, statement, scope, done);
  for (const statement of statements) if (statement.type === 'ExportNamedDeclaration') readExported(instance, statement, scope);
  noteSetUp(body, statements, done);
}

function unexported(statement: t.Statement): t.Statement {
  return statement.type === 'ExportNamedDeclaration' && statement.declaration ? statement.declaration : statement;
}

function readOne(instance: Instance, statement: t.Statement, scope: Scope, done: Effects): void {
  const { body, runes } = instance;
  switch (statement.type) {
    case 'ImportDeclaration':
    case 'FunctionDeclaration':
    case 'ClassDeclaration':
    case 'ReturnStatement':
      return;
    case 'ExportNamedDeclaration':
      if (statement.declaration?.type === 'VariableDeclaration' && statement.declaration.kind !== 'const' && !runes)
        for (const one of statement.declaration.declarations) declareExported(instance, one, scope);
      else if (statement.declaration) readOne(instance, statement.declaration, scope, done);
      return;
    case 'VariableDeclaration':
      for (const one of statement.declarations) declare(instance, one, statement.kind, scope, done);
      return;
    case 'LabeledStatement':
      if (statement.label.name === '$' && !runes) readReactive(instance, statement.body, scope);
      else readStatement(body, statement, scope, done);
      return;
    case 'ExpressionStatement':
      if (!readLoose(instance, bare(statement.expression), scope)) readStatement(body, statement, scope, done);
      return;
    default:
      if (!statement.type.startsWith('TS')) readStatement(body, statement, scope, done);
  }
}

/** `export function focus() {}`, `export const id`: what a handle gives; `export { inner as class }`: a prop by another name. */
function readExported({ body, declared, runes }: Instance, statement: t.ExportNamedDeclaration, scope: Scope): void {
  const { declaration } = statement;
  const names =
    declaration?.type === 'FunctionDeclaration' && declaration.id
      ? [declaration.id]
      : declaration?.type === 'VariableDeclaration' && (declaration.kind === 'const' || runes)
        ? declaration.declarations.flatMap((one) => patternNames(one.id).map((found) => found.node))
        : [];
  for (const id of names) expose(body, declared, id.name, id, scope);
  for (const one of statement.specifiers) {
    if (one.type !== 'ExportSpecifier' || one.exported.type !== 'Identifier') continue;
    const meaning = lookUp(scope, one.local.name);
    const value = meaning?.kind === 'value' ? body.values[meaning.value] : undefined;
    if (meaning?.kind !== 'value' || value?.kind !== 'state' || runes) {
      expose(body, declared, one.exported.name, one.local, scope);
      continue;
    }
    value.kind = 'prop';
    value.name = one.exported.name;
    body.propValues.set(propMember(value.name), meaning.value);
    body.taken.set(propMember(value.name), { span: spanOf(one.exported), fallback: value.from.length > 0 ? '…' : 'undefined' });
    declared.bindable.add(meaning.value);
  }
}

function expose(body: Body, declared: DeclaredMembers, name: string, node: t.Node, scope: Scope): void {
  for (const one of readingsOf(body, node, scope)) declared.exposes.push({ ...one, how: 'computed', held: { at: [name], how: one.how } });
}

/** `export let boat`, `export let eta = 1`: a prop of the older kind, which owners may bind. */
function declareExported({ body, declared }: Instance, one: t.VariableDeclarator, scope: Scope): void {
  if (one.id.type !== 'Identifier') return;
  const { name } = one.id;
  const span = { start: one.id.start ?? 0, end: (one.id.start ?? 0) + name.length };
  const value = propValue(body, name, span);
  scope.names.set(name, { kind: 'value', value, path: [] });
  declared.bindable.add(value);
  body.taken.set(propMember(name), { span, ...(one.init ? { fallback: excerpt(body.module, spanOf(one.init)) } : {}) });
  const type = annotationOf(one.id);
  const optional = one.init !== null && one.init !== undefined;
  const kind = isCallback(name) || (type && readType(type).kind === 'function') ? 'callback' : 'two-way';
  const told = type ? { type: readType(type) } : {};
  declared.members.set(propMember(name), { key: propMember(name), name, span, kind, required: optional ? 'no' : 'yes', ...told });
}

/** `$: twice = n * 2`, `$: if (open) load()`. */
function readReactive({ body }: Instance, statement: t.Statement, scope: Scope): void {
  const node = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
  if (node?.type === 'AssignmentExpression' && node.operator === '=') {
    const names = patternNames(node.left as t.Node).filter((found) => !scope.names.has(found.name) && !body.module.names.has(found.name));
    if (names.length > 0) {
      for (const found of names) {
        const value = later(body, found.name, spanOf(found.node), () => partsOf(readingsOf(body, node.right, scope), found.path));
        scope.names.set(found.name, { kind: 'value', value, path: [] });
      }
      return;
    }
  }
  const action = addAction(body, '$:', 'effect', spanOf(statement));
  body.queue.push(() => {
    const sink = newEffects();
    readStatement(body, statement, scope, sink);
    fillAction(body, action, sink);
    const facts = body.actions[action];
    if (facts) facts.follows = sink.reads.filter((one) => one.how !== 'called');
  });
}

/** Effects and lifecycles, on a line of their own. */
function readLoose({ body }: Instance, node: t.Node, scope: Scope): boolean {
  if (node.type !== 'CallExpression') return false;
  const api = apiName(body, node);
  const [first] = node.arguments;
  if (api === undefined || !first || (!lifecycles.has(api) && !effects.has(api))) return false;
  const run = bare(first);
  if (isFunction(run)) {
    const action = declareAction(body, api, effects.has(api) || api === 'onMount' ? 'effect' : 'lifecycle', run, scope);
    const facts = body.actions[action];
    if (facts && api === 'onMount') Object.assign(facts, { follows: [], runsOnce: true });
    if (effects.has(api)) {
      followsReads(body, action, run);
      body.queue.push(() => append(body.again, writtenAgain(body, run, scope)));
    }
    if (facts) noteEnding(facts, run);
    return true;
  }
  const action = addAction(body, api, 'effect', spanOf(node));
  body.queue.push(() => {
    const sink = newEffects();
    readExpression(body, run, scope, 'computed', sink);
    for (const read of sink.reads)
      if (body.values[read.value]?.kind === 'function')
        (sink.invokes ??= []).push({ span: spanOf(first), value: read.value, path: read.path, args: [] });
    fillAction(body, action, sink);
  });
  return true;
}

/** Events that the type of a dispatcher names: `createEventDispatcher<{ pick: string }>()`. */
function declareEvents({ declared }: Instance, { typeParameters }: t.CallExpression): void {
  const [type] = typeParameters?.type === 'TSTypeParameterInstantiation' ? typeParameters.params : [];
  if (type?.type !== 'TSTypeLiteral') return;
  for (const member of type.members) {
    if (member.type !== 'TSPropertySignature' || member.computed) continue;
    const name = member.key.type === 'Identifier' ? member.key.name : member.key.type === 'StringLiteral' ? member.key.value : undefined;
    if (name === undefined) continue;
    declared.members.set(eventKey(name), { key: eventKey(name), name, span: spanOf(member.key), kind: 'callback', required: 'no' });
  }
}

/** Gives the names of one declarator their meaning. */
function declare(instance: Instance, declarator: t.VariableDeclarator, kind: string, scope: Scope, done: Effects): void {
  const { body, runes } = instance;
  const init = declarator.init ? bare(declarator.init) : undefined;
  const names = patternNames(declarator.id);
  const whole = names.find((found) => found.path.length === 0 && !found.rest);
  if (init && isFunction(init) && declarator.id.type === 'Identifier') {
    declareFunction(body, declarator.id.name, init, scope, 'handler', spanOf(declarator.id));
    return;
  }
  if (init?.type === 'CallExpression') {
    const api = apiName(body, init);
    if (api === '$props') {
      declareProps(instance, declarator.id, scope);
      return;
    }
    if ((api === 'createEventDispatcher' || api === 'createBubbler') && whole) {
      scope.names.set(whole.name, { kind: 'emits' });
      declareEvents(instance, init);
      return;
    }
    const whence = api === '$derived' && init.arguments[0] ? bare(init.arguments[0]) : undefined;
    if (whence?.type === 'Identifier' && lookUp(scope, whence.name)?.kind === 'props') {
      bindProps(body, declarator.id, scope);
      return;
    }
    const made = madeValue(body, init, scope, whole?.name);
    if (made !== undefined) {
      nameMade(body, made, names, declarator.id, api === 'writable');
      for (const found of names) scope.names.set(found.name, partOfMade(body, made, found, api, scope));
      return;
    }
  }
  const instantiated = init && whole && instanceValue(body, instance.declared, init, scope, done, whole.name, spanOf(whole.node));
  if (whole && instantiated !== undefined) {
    scope.names.set(whole.name, { kind: 'value', value: instantiated, path: [] });
    return;
  }
  if (declarator.id.type === 'Identifier' && kind !== 'const' && (!runes || instance.isFunction === true)) {
    const span = { start: declarator.id.start ?? 0, end: (declarator.id.start ?? 0) + declarator.id.name.length };
    const value = addValue(body, { name: declarator.id.name, kind: instance.isFunction ? 'derived' : 'state', span, from: [] });
    scope.names.set(declarator.id.name, { kind: 'value', value, path: [] });
    const facts = body.values[value];
    if (facts && init) facts.from = readingsOf(body, init, scope);
    return;
  }
  declareValue(instance, init, names, kind === 'const', scope, done);
}

/** Any other variable: another name for a value or its part, or computed once from others. */
function declareValue(
  instance: Instance,
  init: t.Node | undefined,
  names: readonly PatternName[],
  isConst: boolean,
  scope: Scope,
  done: Effects,
): void {
  const { body, runes } = instance;
  const sink = newEffects();
  if (init) readExpression(body, init, scope, 'same', sink);
  for (const found of names) {
    const [only, ...others] = sink.reads;
    const source = only && body.values[only.value];
    if (only && others.length === 0 && only.how === 'same' && only.path.length === 0 && !only.held && source && source.kind !== 'module') {
      const [member] = found.path;
      if (runes && source.kind === 'prop' && member !== undefined && !instance.isFunction && init?.type === 'Identifier') {
        const span = spanOf(found.node);
        const taken = { value: only.value, path: found.path, how: 'part' as const, span };
        const value = addValue(body, { name: found.name, kind: 'derived', span, from: [taken], once: true });
        scope.names.set(found.name, { kind: 'value', value, path: [] });
        continue;
      }
      // What is made on the way into a context has no other name.
      if (source.kind === 'hook' && found.path.length === 0 && source.name === source.source) Object.assign(source, { name: found.name });
      scope.names.set(found.name, { kind: 'value', value: only.value, path: found.path });
      const isTaken = runes && member !== undefined && found.path.length === 1 && source.kind === 'state' && !source.observable;
      if (isTaken) source.destructured = [...(source.destructured ?? []), member];
      continue;
    }
    const plain = runes && !isConst && !instance.isFunction ? { plain: true as const } : {};
    const from = partsOf(sink.reads, found.path);
    const once = from.length > 0 && !instance.isFunction && init && !holdsFunction(init) ? { once: true as const } : {};
    const isMade = runes && !instance.isFunction && found.path.length === 0 && /^(?:Array|Object)Expression$/.test(init?.type ?? '');
    const made = isMade ? { unfollowed: true as const } : {};
    const value = addValue(body, { name: found.name, kind: 'derived', span: spanOf(found.node), from, ...plain, ...once, ...made });
    scope.names.set(found.name, { kind: 'value', value, path: [] });
  }
  mergeInto(done, { ...sink, reads: [] }, 'same');
}

/** What a call makes bears the name it is bound to. */
function nameMade(body: Body, made: number, names: readonly PatternName[], pattern: t.Node, store: boolean): void {
  const value = body.values[made];
  const whole = names.find((found) => found.path.length === 0 && !found.rest);
  if (!value) return;
  if (whole)
    Object.assign(value, { name: whole.name, span: { start: whole.node.start ?? 0, end: (whole.node.start ?? 0) + whole.name.length } });
  else if (!store)
    Object.assign(value, { span: spanOf(pattern), ...(value.kind === 'hook' ? {} : { name: namedBy(body, value, pattern) }) });
  const taken = names.flatMap((found) => (found.path.length === 1 && !found.rest ? (found.path[0] ?? []) : []));
  if (value.kind === 'hook' && taken.length > 0) value.destructured = taken;
  const parts = names.filter((found) => found.path.length === 1 && found.path[0] !== found.name && !found.rest);
  if (parts.length > 0 && !store) value.parts = Object.fromEntries(parts.map((found) => [found.path[0] ?? '', found.name]));
  if (pattern.type === 'ObjectPattern' && value.kind === 'context') noteDemanded(body, made, spanOf(pattern));
}

/** `const { subscribe, set, update } = writable(0)`: functions that change the store, and the store itself. */
function partOfMade(body: Body, made: number, found: PatternName, api: string | undefined, scope: Scope): Meaning {
  const member = found.path[0];
  if (api === 'writable' && (member === 'set' || member === 'update')) {
    const value = addValue(body, { name: found.name, kind: 'setter', span: spanOf(found.node), from: [], partner: made });
    return { kind: 'value', value, path: [] };
  }
  if (api === 'writable' && member === 'subscribe') return { kind: 'value', value: made, path: [] };
  if (api === '$state' && found.path.length > 0) {
    const value = addValue(body, {
      name: found.name,
      kind: 'state',
      span: spanOf(found.node),
      from: [{ value: made, path: found.path, how: 'part', span: spanOf(found.node) }],
    });
    scope.names.set(found.name, { kind: 'value', value, path: [] });
    return { kind: 'value', value, path: [] };
  }
  return { kind: 'value', value: made, path: found.path };
}

/** `let { boat, eta = 1, value = $bindable(), ...rest }: Props = $props()`. */
function declareProps({ body, declared }: Instance, pattern: t.Node, scope: Scope): void {
  const type = annotationOf(pattern);
  const told = type ? readType(type) : commentedType(body.module.text, pattern.start ?? 0);
  if (told) declared.propsType = told;
  if (pattern.type === 'Identifier') {
    scope.names.set(pattern.name, { kind: 'props' });
    return;
  }
  bindProps(body, pattern, scope);
  for (const found of patternNames(pattern)) {
    const [prop] = found.path;
    const call = found.fallback && bare(found.fallback);
    if (prop === undefined || found.path.length > 1 || call?.type !== 'CallExpression' || dottedName(call.callee) !== '$bindable') continue;
    const value = body.propValues.get(propMember(prop));
    const [first] = call.arguments;
    const span = found.key ? spanOf(found.key) : spanOf(found.node);
    if (value !== undefined) declared.bindable.add(value);
    body.taken.set(propMember(prop), { span, ...(first ? { fallback: excerpt(body.module, spanOf(first)) } : {}) });
  }
}

/** Names that no statement declares: what a store holds, and the whole of what is given. */
export function otherNames({ body }: Instance, names: Scope['names']): NonNullable<Scope['other']> {
  return (name, span) => {
    if (name === '$$props') return { kind: 'props' };
    if (name === '$$restProps') return { kind: 'value', value: restOf(body, span), path: [] };
    if (!name.startsWith('$') || name.startsWith('$$') || name.length < 2) return undefined;
    const store = name.slice(1);
    const own = names.get(store);
    if (own) return own;
    if (!body.module.names.has(store)) return undefined;
    const value = moduleValue(body, store, span);
    const facts = body.values[value];
    if (facts?.span.end === 0) facts.span = span;
    return { kind: 'value', value, path: [] };
  };
}

function restOf(body: Body, span: { start: number; end: number }): number {
  const known = body.values.findIndex((value) => value.kind === 'rest');
  return known >= 0 ? known : addValue(body, { name: '$$restProps', kind: 'rest', span, from: [] });
}
