import type * as t from '@babel/types';
import { type Channel, type Reading, timerEvent } from '../../../model/facts';
import { orderOfNext } from '../../../read/script/lists';
import { nameOfKey } from '../../../model/context-key';
import { memberKeyOf } from '../../../model/given';
import { memberOf } from '../../../model/member';
import type { Span } from '../../../model/span';
import { addValue, type Body, type Dialect, type Effects, newEffects } from '../../../read/script/body';
import { channelDialect, heard } from '../../../read/script/channels';
import { keptFunction, readArgs, readExpression, readFunctionInto, readingsOf } from '../../../read/script/expressions';
import { noteWrite } from '../../../read/script/writes';
import { declareAction, followsReads } from '../../../read/script/functions';
import { bindLocal, mergeInto, ownMeaning } from '../../../read/script/names';
import { askedFor } from '../../../read/script/origins';
import { changedBack } from '../../../read/script/param-changes';
import { innerScope, lookUp, type Meaning, type Scope } from '../../../read/script/scope';
import { bare, dottedName, isFunction, keyName, patternNames, spanOf } from '../../../read/script/syntax';
import { setAgain } from './again';
import { setsControl } from './forms';
import { apiName, streamName } from './api';
import { injected } from './inject';
import { append } from '../../../model/append';

type Call = t.CallExpression | t.OptionalCallExpression;
type Callee = { readonly base: t.Node; readonly path: readonly string[] };

/** Methods by which a signal or a subject is given another value. */
const setting = /^(?:set|next)$/;
/** Methods that give the same thing in another guise. */
const same = /^(?:asReadonly|asObservable|getValue)$/;
/** Operators that end a stream by themselves, or with who follows it. */
const ending = /^(?:takeUntilDestroyed|takeUntil|takeWhile|take|first|single|last|toArray|find|every|reduce)$/;
/** Makers of streams that go on until somebody ends them. */
const goingOn = /^(?:interval|timer|fromEvent|fromEventPattern)$/;
/** Makers of a stream of several others. */
const joining = /^(?:combineLatest|merge|concat|forkJoin|zip|race|of|from|defer|iif)$/;

/** The value that the receiver of a method stands for: `this.term` of `this.term.set(…)`. */
function receiver(
  body: Body,
  { base, path }: Callee,
  scope: Scope,
  span: Span,
): { readonly value: number; readonly path: readonly string[] } | undefined {
  const on = path.slice(0, -1);
  const own = base.type === 'ThisExpression' ? ownMeaning(body, on, scope, span) : undefined;
  const meaning: Meaning | undefined = own ? own.meaning : base.type === 'Identifier' ? lookUp(scope, base.name, span) : undefined;
  if (meaning?.kind !== 'value') return undefined;
  return { value: meaning.value, path: [...meaning.path, ...(own ? own.path : on)] };
}

/** Notes another value of a signal or a subject. `from` is what it is made of. */
function noteSet(
  body: Body,
  { value, path }: { value: number; path: readonly string[] },
  given: t.Node | undefined,
  from: readonly Reading[],
  span: Span,
  sink: Effects,
): void {
  (sink.changes ??= []).push({ value, span, how: 'set', from, ...(path.length > 0 ? { path } : {}), ...orderOfNext(value, given, from) });
  const event = body.asksChange?.get(value);
  if (event !== undefined)
    (sink.raises ??= []).push({
      member: memberKeyOf(body.values[event] ?? { name: '' }),
      value: event,
      optional: true,
      span,
      args: [{ readings: [...from] }],
    });
}

/** `x.update((before) => …)`: what the function makes of the value before. */
function readUpdate(
  body: Body,
  held: { value: number; path: readonly string[] },
  given: t.Node,
  span: Span,
  scope: Scope,
  sink: Effects,
): void {
  const inner = newEffects();
  const node = bare(given);
  if (isFunction(node)) {
    const own = innerScope(scope);
    const [before] = node.params;
    if (before) bindLocal(before, [{ ...held, how: 'same', span, latest: true }], own);
    readFunctionInto(body, node, own, inner, 1);
  } else readExpression(body, node, scope, 'called', inner);
  const state = held.path.length === 0 ? body.values[held.value] : undefined;
  const changed = isFunction(node) && state?.kind === 'state' ? changedBack(node, state.collection ?? false) : undefined;
  // What was handed in is changed and given back: the same list or object as before.
  if (changed) (sink.changes ??= []).push({ value: held.value, span: changed, how: 'in-place', from: inner.reads });
  else noteSet(body, held, given, [...(inner.returns ?? []), ...inner.reads], span, sink);
  append(
    sink.reads,
    inner.reads.map((one): Reading => ({ ...one, how: one.how === 'called' ? 'called' : 'computed' })),
  );
  if (inner.invokes) append((sink.invokes ??= []), inner.invokes);
  if (inner.calls) append((sink.calls ??= []), inner.calls);
  if (inner.raises) append((sink.raises ??= []), inner.raises);
}

/** A method of a signal, a subject or an output that the body holds; false for all others. */
function readHeld(body: Body, call: Call, callee: Callee, scope: Scope, sink: Effects): boolean {
  const method = callee.path.at(-1) ?? '';
  const [given] = call.arguments;
  const span = spanOf(call);
  const isControls = setsControl.test(method);
  if (!isControls && !/^(?:set|next|update|emit|asReadonly|asObservable|getValue|mutate)$/.test(method)) return false;
  const held = receiver(body, callee, scope, spanOf(call.callee));
  const value = held && body.values[held.value];
  if (!held || !value) return false;
  if (isControls) {
    if (!value.isControl) return false;
    const inner = newEffects();
    if (given) readExpression(body, given, scope, 'same', inner);
    const from = [...inner.reads];
    mergeInto(sink, inner, 'computed');
    // Which of its fields that sets is not told apart.
    noteSet(body, { value: held.value, path: [] }, given, from, span, sink);
    return true;
  }
  const isEvent = value.kind === 'prop' && memberOf(memberKeyOf(value)).kind === 'event' && held.path.length === 0;
  if (isEvent && /^(?:emit|next)$/.test(method)) {
    (sink.raises ??= []).push({
      member: memberKeyOf(value),
      value: held.value,
      optional: true,
      span,
      args: readArgs(body, call.arguments, scope, sink),
    });
    return true;
  }
  // A member of what is injected may be a signal or a subject, or anything else with such a method.
  // So may one of a class that is extended.
  const isInherited = value.kind === 'prop' && held.path.length === 0 && body.inherits?.has(held.value) === true;
  const isOpened =
    value.observable === true || isInherited || (held.path.length > 0 && (value.kind === 'context' || value.kind === 'module'));
  if (!isOpened) return false;
  if (same.test(method)) {
    sink.reads.push({ ...held, how: held.path.length > 0 ? 'part' : 'same', span: spanOf(call.callee) });
    return true;
  }
  if (value.observable !== true && call.arguments.length !== 1) return false;
  if (method === 'update' && given) readUpdate(body, held, given, span, scope, sink);
  else if (setting.test(method)) {
    const inner = newEffects();
    if (given) readExpression(body, given, scope, 'same', inner);
    append(
      sink.reads,
      inner.reads.map((one): Reading => ({ ...one, how: one.how === 'called' ? 'called' : 'computed' })),
    );
    if (inner.invokes) append((sink.invokes ??= []), inner.invokes);
    if (inner.calls) append((sink.calls ??= []), inner.calls);
    noteSet(body, held, given, inner.reads, span, sink);
  } else return false;
  return true;
}

/** The function that a call is handed first, or under one of some names. */
function handed(given: t.Node | undefined, names: RegExp): t.Node | undefined {
  const node = given && bare(given);
  if (node?.type !== 'ObjectExpression') return node;
  for (const one of node.properties) {
    if (one.type === 'SpreadElement' || !names.test(keyName(one) ?? '')) continue;
    return one.type === 'ObjectMethod' ? one : bare(one.value);
  }
  return undefined;
}

/** `stream.pipe(…)`: what comes is made of the stream and of what the operators read. */
function readPipe(body: Body, call: Call, scope: Scope, sink: Effects): boolean {
  const { callee } = call;
  if (callee.type !== 'MemberExpression' && callee.type !== 'OptionalMemberExpression') return false;
  let coming: readonly Reading[] = readingsOf(body, callee.object, scope);
  for (const one of call.arguments) coming = throughOperator(body, one, coming, scope, sink);
  append(sink.reads, coming);
  return true;
}

/** What an operator makes of what comes: passes it on, narrows it, makes another value of it, or joins another stream to it. */
function throughOperator(body: Body, given: t.Node, coming: readonly Reading[], scope: Scope, sink: Effects): readonly Reading[] {
  const node = bare(given);
  const name = node.type === 'CallExpression' ? (streamName(body.module, node.callee) ?? dottedName(node.callee) ?? '') : '';
  if (node.type !== 'CallExpression') {
    readExpression(body, node, scope, 'called', sink);
    return coming;
  }
  const [first, ...more] = node.arguments;
  const run = first && bare(first);
  if (/^(?:map|switchMap|mergeMap|concatMap|exhaustMap|scan|reduce|pluck|flatMap|expand)$/.test(name) && isFunction(run)) {
    const inner = newEffects();
    const own = innerScope(scope);
    const at = /^(?:scan|reduce)$/.test(name) ? run.params[1] : run.params[0];
    if (at) bindLocal(at, coming, own);
    readFunctionInto(body, run, own, inner, run.params.length);
    keep(inner, sink);
    const results = inner.returns ?? [];
    const made =
      results.length > 0 ? [...results, ...inner.reads.filter((one) => !results.some((other) => other.value === one.value))] : inner.reads;
    return made.length > 0
      ? made.map((one): Reading => ({ ...one, how: one.held || one.how === 'called' ? one.how : 'computed' }))
      : computed(coming);
  }
  if (/^(?:withLatestFrom|combineLatestWith|mergeWith|concatWith|startWith|zipWith|raceWith)$/.test(name)) {
    const others = node.arguments.flatMap((one) => (isFunction(one) ? [] : readingsOf(body, one, scope)));
    const paired = /^(?:withLatestFrom|combineLatestWith|zipWith)$/.test(name);
    return paired
      ? [
          ...coming.map((one) => heldAt(one, '0')),
          ...node.arguments.flatMap((one, at) => readingsOf(body, one, scope).map((read) => heldAt(read, String(at + 1)))),
        ]
      : [...coming, ...others];
  }
  if (
    /^(?:tap|filter|catchError|finalize|takeWhile|find|distinctUntilChanged|sample|debounce|throttle|audit|retry|skipWhile)$/.test(name)
  ) {
    const fn = handed(first, /^next$/);
    if (isFunction(fn)) {
      const inner = newEffects();
      const own = innerScope(scope);
      const [param] = fn.params;
      if (param) bindLocal(param, coming, own);
      readFunctionInto(body, fn, own, inner, param ? 1 : 0);
      keep(inner, sink);
      // What it asks decides which of them come.
      const deciding =
        name === 'filter' || name === 'takeWhile' ? inner.reads.map((one): Reading => ({ ...one, how: 'computed', decides: true })) : [];
      return [...coming, ...deciding.filter((one) => !coming.some((other) => other.value === one.value))];
    }
  }
  for (const one of [first, ...more]) if (one && !isFunction(one)) readExpression(body, one, scope, 'computed', newEffects());
  return coming;
}

const computed = (readings: readonly Reading[]): Reading[] =>
  readings.map((one) => ({ ...one, how: one.how === 'called' ? one.how : ('computed' as const) }));

/** What is done on the way, without what is read. */
function keep(inner: Effects, sink: Effects): void {
  if (inner.changes) append((sink.changes ??= []), inner.changes);
  if (inner.raises) append((sink.raises ??= []), inner.raises);
  if (inner.calls) append((sink.calls ??= []), inner.calls);
  if (inner.invokes) append((sink.invokes ??= []), inner.invokes);
}

function heldAt(reading: Reading, member: string): Reading {
  return { ...reading, how: 'computed', held: { at: [member, ...(reading.held?.at ?? [])], how: reading.held?.how ?? reading.how } };
}

/** `stream.subscribe((value) => …)`: the function runs with what comes. */
function readSubscribe(body: Body, call: Call, callee: Callee, scope: Scope, sink: Effects): boolean {
  const { callee: written } = call;
  if (written.type !== 'MemberExpression' && written.type !== 'OptionalMemberExpression') return false;
  const [first] = call.arguments;
  const held = receiver(body, callee, scope, spanOf(written));
  const isOutput =
    held && body.values[held.value]?.kind === 'prop' && memberOf(memberKeyOf(body.values[held.value] ?? { name: '' })).kind === 'event';
  if (isOutput) return false;
  const coming = readingsOf(body, written.object, scope);
  const run = handed(first, /^next$/);
  const span = spanOf(call);
  if (isFunction(run)) {
    const kept = keptFunction(body, 'subscribe', run, scope);
    const action = body.values[kept.value]?.action;
    if (action !== undefined) {
      (sink.calls ??= []).push(action);
      body.queue.push(() => {
        const param = body.values.find((one) => one.kind === 'param' && one.of === action && one.position === 0);
        if (param && coming.length > 0) param.from = coming;
      });
    }
  } else if (run) readExpression(body, run, scope, 'called', sink);
  append(sink.reads, computed(coming));
  const source = lasting(body, written.object);
  if (source) {
    (sink.hears ??= []).push({
      channel: source,
      span,
      ends: endsItself(written.object) || isKept(body, call),
    });
  }
  return true;
}

/** What a stream comes from that goes on when nobody follows it any more: something injected holds it, or time or the page drives it. */
function lasting(body: Body, given: t.Node): Channel | undefined {
  let node = bare(given);
  while (node.type === 'CallExpression' && node.callee.type === 'MemberExpression' && dottedName(node.callee.property) === 'pipe')
    node = bare(node.callee.object);
  if (node.type === 'CallExpression') {
    const maker = streamName(body.module, node.callee) ?? '';
    if (!goingOn.test(maker)) return undefined;
    return /^fromEvent/.test(maker) ? { on: 'channel', name: maker, event: '' } : { on: 'window', event: timerEvent };
  }
  if (node.type !== 'MemberExpression' || node.object.type !== 'MemberExpression' || node.object.object.type !== 'ThisExpression')
    return undefined;
  const holder = body.own?.(keyName({ key: node.object.property }) ?? '', spanOf(node));
  const value = holder?.kind === 'value' ? body.values[holder.value] : undefined;
  const name = value?.source === undefined ? undefined : nameOfKey(value.source);
  const from = name === undefined ? undefined : body.module.imported.get(name)?.from;
  const isOwn = value?.kind === 'context' && from !== undefined && /^[.@~#]\/?/.test(from) && !from.startsWith('@angular/');
  return isOwn ? { on: 'channel', name: `${name ?? ''}.${keyName({ key: node.property }) ?? ''}`, event: '' } : undefined;
}

/** Some operator on the way ends the stream. */
function endsItself(given: t.Node): boolean {
  let node = bare(given);
  while (node.type === 'CallExpression' && node.callee.type === 'MemberExpression') {
    for (const one of node.arguments) {
      const call = bare(one);
      if (call.type !== 'CallExpression' || ending.test(dottedName(call.callee)?.split('.').at(-1) ?? '')) return true;
    }
    node = bare(node.callee.object);
  }
  return false;
}

/** What following gives is kept by somebody, who may end it. */
function isKept({ module }: Body, call: Call): boolean {
  const before = module.text.slice(Math.max(0, (call.start ?? 0) - 200), call.start ?? 0);
  return /(?:[=(:,]|\breturn)\s*$/.test(before) && !/=>\s*$/.test(before);
}

/** `combineLatest({ all: a$, late: b$ })`, `combineLatest([a$, b$])`, `merge(a$, b$)`. */
function readJoined(body: Body, call: Call, name: string, scope: Scope, sink: Effects): boolean {
  if (!joining.test(name)) return false;
  const isTable = /^(?:combineLatest|forkJoin|zip)$/.test(name);
  if (isTable && call.arguments.length > 1)
    call.arguments.forEach((one, at) =>
      append(
        sink.reads,
        readingsOf(body, one, scope).map((read) => heldAt(read, String(at))),
      ),
    );
  else
    for (const one of call.arguments) {
      const run = bare(one);
      if (isFunction(run)) readFunctionInto(body, run, innerScope(scope), sink);
      else readExpression(body, one, scope, name === 'from' || name === 'of' || isTable ? 'same' : 'computed', sink);
    }
  return true;
}

/** `effect(() => …)`: runs again when a signal that it reads is another. */
function readEffect(body: Body, call: Call, name: string, scope: Scope): boolean {
  const [first] = call.arguments;
  const run = first && bare(first);
  if (!isFunction(run)) return false;
  const at = declareAction(body, name, 'effect', run, scope);
  followsReads(body, at, run);
  append(body.again, setAgain(body, run));
  const cleanUp = run.params.length > 0 ? patternNames(run.params[0] as t.Node)[0]?.name : undefined;
  const facts = body.actions[at];
  if (facts && cleanUp !== undefined && new RegExp(`\\b${cleanUp}\\s*\\(`).test(body.module.text.slice(run.start ?? 0, run.end ?? 0)))
    facts.cleansUp = true;
  return true;
}

function readFrameworkCall(body: Body, call: Call, callee: Callee, scope: Scope, sink: Effects): boolean {
  const isFree = callee.base.type === 'Identifier' && !lookUp(scope, callee.base.name);
  const api = isFree ? apiName(body.module, call.callee) : undefined;
  const [first] = call.arguments;
  switch (api) {
    case 'effect':
    case 'afterRenderEffect':
      return readEffect(body, call, api, scope);
    case 'untracked': {
      const inner = newEffects();
      const run = first && bare(first);
      if (isFunction(run)) readFunctionInto(body, run, innerScope(scope), inner);
      else if (first) readExpression(body, first, scope, 'same', inner);
      append(
        sink.reads,
        inner.reads.map((one): Reading => ({ ...one, latest: true })),
      );
      keep(inner, sink);
      return true;
    }
    case 'toSignal':
    case 'toObservable':
    case 'outputToObservable':
      if (first) readExpression(body, first, scope, 'same', sink);
      return true;
    default:
  }
  const joined = isFree ? streamName(body.module, call.callee) : undefined;
  if (joined !== undefined && readJoined(body, call, joined, scope, sink)) return true;
  const method = callee.path.at(-1);
  if (method === 'pipe') return readPipe(body, call, scope, sink);
  if (method === 'subscribe') return readSubscribe(body, call, callee, scope, sink);
  if (readHeld(body, call, callee, scope, sink) || readRequest(body, call, callee, scope, sink)) return true;
  return (
    readListening(body, call, callee, scope, sink) ||
    readEmbedded(body, call, callee, scope, sink) ||
    (channelDialect.call?.(body, call, callee, scope, sink) ?? false)
  );
}

/** Whether a method is called on what is asked for by a name of the framework. */
function isOn(body: Body, call: Call, callee: Callee, scope: Scope, asked: string): boolean {
  const held = receiver(body, callee, scope, spanOf(call.callee));
  return held?.path.length === 0 && body.values[held.value]?.source === `key:${asked}`;
}

/** `this.http.get('/api/crew')`: asked of the server, under its address. */
function readRequest(body: Body, call: Call, callee: Callee, scope: Scope, sink: Effects): boolean {
  const [address, ...more] = call.arguments;
  if (!/^(?:get|head|options|jsonp)$/.test(callee.path.at(-1) ?? '') || !isOn(body, call, callee, scope, 'HttpClient')) return false;
  const what = askedFor(body, address);
  if (!address || what === undefined) return false;
  const inner = newEffects();
  for (const one of [address, ...more]) readExpression(body, one, scope, 'computed', inner);
  const value = addValue(body, { name: what, kind: 'fetched', span: spanOf(call), from: inner.reads, origin: { kind: 'fetch', what } });
  sink.reads.push({ value, path: [], how: 'same', span: spanOf(call) });
  return true;
}

/** `this.renderer.listen('window', 'resize', run)`: gives what ends it. */
function readListening(body: Body, call: Call, callee: Callee, scope: Scope, sink: Effects): boolean {
  const [target, event, run] = call.arguments;
  if (callee.path.at(-1) !== 'listen' || !run || !isOn(body, call, callee, scope, 'Renderer2')) return false;
  const on = target?.type === 'StringLiteral' ? target.value : '';
  if (event?.type !== 'StringLiteral' || (on !== 'window' && on !== 'document')) return false;
  const hear = heard(body, run, scope, { on, event: event.value }, call);
  (sink.hears ??= []).push(isKept(body, call) ? { ...hear, ends: true } : hear);
  return true;
}

/** `this.views.createEmbeddedView(this.template, { $implicit: row })`: what a directive hands to the markup that it stamps. */
function readEmbedded(body: Body, call: Call, { path }: Callee, scope: Scope, sink: Effects): boolean {
  const [template, context] = call.arguments;
  if (path.at(-1) !== 'createEmbeddedView' || !template || !body.stamped) return false;
  const object = context && bare(context);
  const names =
    object?.type === 'ObjectExpression' && object.properties.every((one) => one.type !== 'SpreadElement' && keyName(one) !== undefined)
      ? object.properties.map((one) => (one.type === 'SpreadElement' ? '' : (keyName(one) ?? '')))
      : undefined;
  const hands = context ? readingsOf(body, context, scope) : [];
  body.stamped.push({ hands, span: spanOf(call), ...(names ? { names } : {}) });
  for (const one of call.arguments) readExpression(body, one, scope, 'computed', sink);
  return true;
}

/** The value that an injection stands for, wherever it is asked for; undefined for other calls. */
function injectedValue(body: Body, call: t.CallExpression, scope: Scope): number | undefined {
  const known = body.hookValues.get(call);
  if (known !== undefined) return known;
  if (apiName(body.module, call.callee) !== 'inject' || lookUp(scope, 'inject')) return undefined;
  const token = injected(call);
  if (!token) return undefined;
  const value = addValue(body, {
    name: token.key.split('.').at(-1) ?? token.key,
    kind: 'context',
    span: spanOf(call),
    from: [],
    ...token.facts,
  });
  body.hookValues.set(call, value);
  return value;
}

/** What the reading of expressions must know of this framework. */
export const angularDialect: Dialect = {
  ...channelDialect,
  call: readFrameworkCall,
  hook: injectedValue,
  propsWritable: true,
  asksInstances: true,
};

/** What is put into the target of a two-way binding: into a signal by its method, into all else by writing to it. */
export function writeTarget(body: Body, target: t.Node, scope: Scope, span: Span, from: readonly Reading[], sink: Effects): void {
  const node = bare(target);
  const meaning = node.type === 'Identifier' ? lookUp(scope, node.name, span) : undefined;
  const value = meaning?.kind === 'value' && meaning.path.length === 0 ? body.values[meaning.value] : undefined;
  if (value?.observable && meaning?.kind === 'value') noteSet(body, { value: meaning.value, path: [] }, undefined, from, span, sink);
  else noteWrite(body, node, scope, span, from, sink);
}
