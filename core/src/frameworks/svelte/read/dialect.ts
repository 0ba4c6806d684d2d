import type * as t from '@babel/types';
import { isConverted } from '../../../read/script/conversions';
import { memberKeyOf } from '../../../model/given';
import { eventKey, modelKey } from '../../../model/member';
import type { Reading } from '../../../model/facts';
import { addValue, type Body, type Dialect, moduleValue, newEffects, memberValue, type Effects } from '../../../read/script/body';
import { isOwnModule } from '../../../read/script/call-meaning';
import { channelDialect } from '../../../read/script/channels';
import { keptFunction, readArgs, readExpression, readFunctionInto, readingsOf } from '../../../read/script/expressions';
import { composableValue, computedFrom } from '../../../read/script/functions';
import { makesCollection, orderOfNext } from '../../../read/script/lists';
import { bindLocal } from '../../../read/script/names';
import { innerScope, lookUp, type Meaning, type Scope } from '../../../read/script/scope';
import { bare, calleeName, dottedName, isFunction, keyOf, patternNames, spanOf } from '../../../read/script/syntax';
import { type DeclaredMembers, propMember } from './declared';
import { append } from '../../../model/append';

type Call = t.CallExpression | t.OptionalCallExpression;

/** The name under which a function was exported by the framework, where the call is one of it. */
export function apiName(body: Body, call: t.Node): string | undefined {
  if (call.type !== 'CallExpression' && call.type !== 'OptionalCallExpression') return undefined;
  const name = dottedName(call.callee);
  const root = name?.split('.')[0];
  if (name === undefined || root === undefined) return undefined;
  if (root.startsWith('$')) return body.module.names.has(root) ? undefined : name;
  const origin = body.module.imported.get(root);
  return origin && /^svelte(\/|$)/.test(origin.from) ? origin.imported : undefined;
}

/** Functions that are named as those are which make or take something that lasts. */
export function isComposable(name: string | undefined): boolean {
  return name !== undefined && /^(use|create|get|make|provide)[A-Z]/.test(name);
}

/** The same where what the function gives is kept under a name while the component is set up: more names may mean that. */
const isKept = (name: string | undefined): boolean =>
  isComposable(name) || (name !== undefined && /^(take|set|init|setup|inject|receive)[A-Z]/.test(name));

/** What the reading of expressions must know of this framework, for one body with what it declares. */
export function svelteDialect(declared: DeclaredMembers): Dialect {
  return {
    ...channelDialect,
    call: (body, call, callee, scope, sink) =>
      readDispatch(body, call, callee, scope, sink) ||
      readStoreCall(body, call, callee, scope, sink) ||
      readApi(body, declared, call, scope, sink) ||
      (channelDialect.call?.(body, call, callee, scope, sink) ?? false),
    storeMark: '$',
    memberOfProp: propMember,
    hook: (body, call, scope) => madeValue(body, call, scope),
    write: (body, value, path, from, span, sink) => {
      if (!declared.bindable.has(value)) return false;
      const key = modelKey(body.values[value]?.name ?? '');
      const given = path.length === 0 ? from : [];
      (sink.raises ??= []).push({ member: key, value: memberValue(body, key, span), optional: true, span, args: [{ readings: given }] });
      return false;
    },
  };
}

/** `dispatch('book', boat)`: what is handed over stands in the event's `detail`. */
function readDispatch(
  body: Body,
  call: Call,
  { base, path }: { base: t.Node; path: readonly string[] },
  scope: Scope,
  sink: Effects,
): boolean {
  if (base.type !== 'Identifier' || path.length > 0 || lookUp(scope, base.name)?.kind !== 'emits') return false;
  const [first, ...rest] = call.arguments;
  const args = readArgs(body, rest.slice(0, 1), scope, sink).map((one) => ({
    ...one,
    readings: one.readings.map((read): Reading => ({
      ...read,
      held: { at: ['detail', ...(read.held?.at ?? [])], how: read.held?.how ?? read.how },
    })),
  }));
  const name = first?.type === 'StringLiteral' ? first.value : first?.type === 'Identifier' ? body.module.texts.get(first.name) : undefined;
  if (name === undefined || !first) {
    // Which one is known only while it runs: it may be any.
    body.raisesUnseen = true;
    return true;
  }
  const key = eventKey(name);
  (sink.raises ??= []).push({ member: key, value: memberValue(body, key, spanOf(first)), optional: true, span: spanOf(call), args });
  return true;
}

/** `count.set(1)`, `count.update((n) => n + 1)` on a store that the body or the module knows; two arguments are a map's. */
function readStoreCall(
  body: Body,
  call: Call,
  { base, path }: { base: t.Node; path: readonly string[] },
  scope: Scope,
  sink: Effects,
): boolean {
  const method = path.at(-1);
  const [given] = call.arguments;
  if (base.type !== 'Identifier' || path.length !== 1 || (method !== 'set' && method !== 'update') || call.arguments.length !== 1 || !given)
    return false;
  const meaning = lookUp(scope, base.name);
  const value = storeOf(body, base, meaning);
  if (value === undefined) return false;
  changeStore(body, value, given, spanOf(call), scope, sink);
  return true;
}

function storeOf(body: Body, base: t.Identifier, meaning: Meaning | undefined): number | undefined {
  if (meaning?.kind === 'value' && meaning.path.length === 0) {
    const kind = body.values[meaning.value]?.kind;
    return kind === 'state' || kind === 'store' || kind === 'prop' || kind === 'context' || kind === 'hook' ? meaning.value : undefined;
  }
  return !meaning && body.module.imported.has(base.name) ? moduleValue(body, base.name, spanOf(base)) : undefined;
}

/** Puts a value, or what a function makes of the value before, into a store. */
export function changeStore(
  body: Body,
  value: number,
  given: t.Node,
  span: { start: number; end: number },
  scope: Scope,
  sink: Effects,
): void {
  const inner = newEffects();
  const node = bare(given);
  if (isFunction(node)) {
    const own = innerScope(scope);
    const [before] = node.params;
    if (before) bindLocal(before, [{ value, path: [], how: 'same', span }], own);
    readFunctionInto(body, node, own, inner, 1);
  } else readExpression(body, node, scope, 'same', inner);
  const from = inner.returns ? [...inner.returns, ...inner.reads] : inner.reads;
  (sink.changes ??= []).push({ value, span, how: 'set', from, ...orderOfNext(value, node, from) });
  append(
    sink.reads,
    inner.reads.map((one): Reading => ({ ...one, how: one.how === 'called' ? 'called' : 'computed' })),
  );
  if (inner.invokes) append((sink.invokes ??= []), inner.invokes);
  if (inner.calls) append((sink.calls ??= []), inner.calls);
}

function readApi(body: Body, declared: DeclaredMembers, call: Call, scope: Scope, sink: Effects): boolean {
  const [first, second] = call.arguments;
  switch (apiName(body, call)) {
    case 'setContext': {
      const key = first && keyOf(first);
      const given = second && bare(second);
      if (key !== undefined && isFunction(given)) {
        // It is the function that is given, and not what it reads when somebody calls it.
        const kept = keptFunction(body, 'context', given, scope);
        declared.provides.push({ key, span: spanOf(call), readings: [kept] });
        sink.reads.push(kept);
        return true;
      }
      const made = given && instanceValue(body, declared, given, scope, sink);
      const held: Reading[] = made === undefined ? [] : [{ value: made, path: [], how: 'same', span: spanOf(second as t.Node) }];
      if (key !== undefined && second)
        declared.provides.push({ key, span: spanOf(call), readings: made === undefined ? readingsOf(body, second, scope) : held });
      // It gives back what it was given.
      if (second && made === undefined) readExpression(body, second, scope, 'same', sink);
      append(sink.reads, held);
      return true;
    }
    case 'onMount':
    case 'onDestroy':
    case 'beforeUpdate':
    case 'afterUpdate': {
      // Under a condition: on a line of their own they are read with the instance.
      const run = first && bare(first);
      const [given] = run && !isFunction(run) ? readingsOf(body, run, scope) : [];
      const value = given && body.values[given.value];
      if (!given || value?.kind !== 'prop' || given.path.length > 0) return false;
      (sink.raises ??= []).push({ member: memberKeyOf(value), value: given.value, optional: false, span: spanOf(call) });
      return true;
    }
    case 'get':
    case '$state.snapshot':
    case 'untrack':
    case 'fromStore':
      if (first) readExpression(body, first, scope, 'same', sink);
      return true;
    default:
      return false;
  }
}

/**
 * `new Board()`: an instance of a class of the project, which may hold state; one value for each, read as a call of what
 * makes one. Undefined for all else.
 */
export function instanceValue(
  body: Body,
  declared: DeclaredMembers,
  node: t.Node,
  scope: Scope,
  sink: Effects,
  name?: string,
  span = spanOf(node),
): number | undefined {
  if (node.type !== 'NewExpression' || node.callee.type !== 'Identifier') return undefined;
  const known = body.hookValues.get(node);
  if (known !== undefined) return known;
  const source = node.callee.name;
  const from = body.module.imported.get(source)?.from;
  if ((!declared.classes.has(source) && !(from !== undefined && isOwnModule(from))) || lookUp(scope, source)) return undefined;
  const args = readArgs(body, node.arguments, scope, sink);
  const given = args.length > 0 ? { args } : {};
  const value = addValue(body, { name: name ?? source, kind: 'hook', span, from: [], source, ...given });
  body.hookValues.set(node, value);
  return value;
}

/** The value that a call makes when a component is set up; one for each call. Undefined for other calls. */
export function madeValue(body: Body, call: t.CallExpression, scope: Scope, given?: string): number | undefined {
  const known = body.hookValues.get(call);
  if (known !== undefined) return known;
  const made = makeValue(body, call, scope, given);
  if (made !== undefined) body.hookValues.set(call, made);
  return made;
}

function makeValue(body: Body, call: t.CallExpression, scope: Scope, given: string | undefined): number | undefined {
  const name = given ?? calleeName(call) ?? '';
  const api = apiName(body, call);
  const span = spanOf(call);
  const [first, second] = call.arguments;
  switch (api) {
    case '$state':
    case '$state.raw':
    case 'writable':
    case 'readable': {
      const from = first && !isFunction(bare(first)) ? readingsOf(body, first, scope) : [];
      return addValue(body, {
        name,
        kind: 'state',
        span,
        from,
        ...(api === '$state.raw' ? { shallow: true as const } : {}),
        ...(api.startsWith('$') && makesCollection(first) ? { collection: true as const } : {}),
        ...(isConverted(first) ? { converted: true as const } : {}),
        ...(api.startsWith('$') ? {} : { observable: true as const }),
      });
    }
    case '$derived':
    case 'readonly':
    case 'toStore':
      return later(body, name, span, () => (first ? readingsOf(body, first, scope) : []));
    case '$derived.by':
      return later(body, name, span, () => computedFrom(body, first, scope));
    case 'derived':
      return later(body, name, span, () => (first ? fromStores(body, first, second, scope) : []));
    case 'hasContext':
    case 'getContext': {
      const source = first && keyOf(first);
      return addValue(body, { name, kind: 'context', span, from: [], ...(source === undefined ? {} : { source }) });
    }
    default:
  }
  const source = dottedName(call.callee);
  const isMade = given === undefined ? isComposable(calleeName(call)) : isKept(calleeName(call));
  if (source === undefined || api !== undefined || !isMade || lookUp(scope, source.split('.')[0] ?? '')) return undefined;
  if (!body.module.names.has(source.split('.')[0] ?? '')) return undefined;
  return composableValue(body, name, source, call, scope);
}

/** A computed value whose sources are read when all names are known. */
export function later(body: Body, name: string, span: { start: number; end: number }, read: () => Reading[]): number {
  const value = addValue(body, { name, kind: 'derived', span, from: [] });
  body.queue.push(() => {
    const facts = body.values[value];
    if (facts) facts.from = read();
  });
  return value;
}

/** `derived(count, ($count) => …)`, `derived([a, b], ([$a, $b]) => …)`. */
function fromStores(body: Body, stores: t.Node, make: t.Node | undefined, scope: Scope): Reading[] {
  const all = bare(stores);
  const run = make && bare(make);
  const sources =
    all.type === 'ArrayExpression' ? all.elements.map((one) => (one ? readingsOf(body, one, scope) : [])) : [readingsOf(body, all, scope)];
  if (!isFunction(run)) return sources.flat().map((one): Reading => ({ ...one, how: 'computed' }));
  const inner = innerScope(scope);
  const [given] = run.params;
  for (const found of given ? patternNames(given) : []) {
    const [at, ...path] = all.type === 'ArrayExpression' ? found.path : ['0', ...found.path];
    const readings = sources[Number(at ?? 0)] ?? [];
    inner.names.set(found.name, { kind: 'local', readings: readings.map((one) => ({ ...one, path: [...one.path, ...path] })) });
  }
  const sink = newEffects();
  readFunctionInto(body, run, inner, sink, 1);
  const reads = [...(sink.returns ?? []), ...sink.reads];
  return reads.length > 0 ? reads.map((one): Reading => ({ ...one, how: one.held ? one.how : 'computed' })) : sources.flat();
}
