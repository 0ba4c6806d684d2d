import type * as t from '@babel/types';
import type { ActionFact, ValueKind } from '../../../model/facts';
import type { Writable } from '../../../model/writable';
import { isConverted } from '../../../read/script/conversions';
import { addAction, addValue, type Body, moduleValue, newEffects, noteDemanded } from '../../../read/script/body';
import { keptFunction, readArgs, readingsOf } from '../../../read/script/expressions';
import { computedFrom, declareAction, declareFunction } from '../../../read/script/functions';
import { originOfHook } from '../../../read/script/origins';
import { makesCollection } from '../../../read/script/lists';
import { storeReadingOf, typedReadingOf } from '../../../read/script/store-shapes';
import { noteTested } from '../../../read/script/names';
import { changedBack } from '../../../read/script/param-changes';
import { innerScope, lookUp, type Scope } from '../../../read/script/scope';
import { bare, calleeName, dottedName, noteEnding, isFunction, patternNames, spanOf } from '../../../read/script/syntax';
import { append } from '../../../model/append';

/** Hooks whose result is a pair: a value, and what changes it. */
const pairs = new Set(['useState', 'useReducer', 'useOptimistic', 'useActionState', 'useFormState']);
const effects = new Set(['useEffect', 'useLayoutEffect', 'useInsertionEffect']);
const computed = new Set(['useMemo', 'useDeferredValue']);
const functions = new Set(['useCallback', 'useEffectEvent', 'useEvent']);
const taking = new Set(['useContext', 'use']);

/** The framework's hook that a call is; undefined for hooks of the project and all other calls. */
export function hookName(body: Body, call: t.Node): string | undefined {
  const name = calleeName(call);
  if (!name || !/^use([A-Z]|$)/.test(name)) return undefined;
  const root = dottedName((call as t.CallExpression).callee)?.split('.')[0] ?? '';
  const origin = body.module.imported.get(root);
  if (!origin) return body.module.functions.has(name) ? undefined : name;
  return /^[./@~#]/.test(origin.from) && !origin.from.startsWith('@') ? undefined : name;
}

/** Notes the list of what an effect, a callback or a memo follows, where it declares one. */
function followed(
  body: Body,
  noted: Writable<Pick<ActionFact, 'follows' | 'unfollowedOnPurpose'>> | undefined,
  call: t.CallExpression,
  scope: Scope,
): void {
  const list = call.arguments[1];
  if (!noted || list?.type !== 'ArrayExpression') return;
  noted.follows = readingsOf(body, list, scope);
  const { start, end } = spanOf(call);
  const around = body.module.text.slice(body.module.text.lastIndexOf('\n', body.module.text.lastIndexOf('\n', start) - 1) + 1, end);
  if (/eslint-disable[^\n]*exhaustive-deps/.test(around)) noted.unfollowedOnPurpose = true;
}

/** `useEffect(…)` and its kind, met as a statement or anywhere else; false for other calls. */
export function readEffect(body: Body, call: t.CallExpression, scope: Scope): boolean {
  const hook = hookName(body, call);
  const run = call.arguments[hook === 'useImperativeHandle' ? 1 : 0];
  if (!hook || !isFunction(run)) return false;
  if (!effects.has(hook) && hook !== 'useImperativeHandle') return false;
  if (hook === 'useImperativeHandle') {
    readHandle(body, call, scope);
    return true;
  }
  declareAction(body, hook, 'effect', run, scope);
  const action = body.actions.at(-1);
  if (action) noteEnding(action, run);
  followed(body, action, call, scope);
  return true;
}

/** `useImperativeHandle(ref, () => ({ focus, clear() {…} }))`: what a handle on the component gives. */
function readHandle(body: Body, call: t.CallExpression, scope: Scope): void {
  const make = call.arguments[1];
  if (!isFunction(make)) return;
  const result = make.body.type === 'BlockStatement' ? make.body.body.find((one) => one.type === 'ReturnStatement')?.argument : make.body;
  if (result) append(body.exposes, readingsOf(body, result, innerScope(scope)));
}

/**
 * Gives the names of `const … = useSomething(…)` their meaning. False for calls that are not hooks;
 * these are ordinary expressions.
 */
export function declareHook(body: Body, declarator: t.VariableDeclarator, call: t.CallExpression, scope: Scope): boolean {
  const hook = hookName(body, call);
  const [first] = call.arguments;
  if (hook && pairs.has(hook)) declarePair(body, declarator, call, scope);
  else if (hook && functions.has(hook) && isFunction(first) && declarator.id.type === 'Identifier') {
    const value = body.values[declareFunction(body, declarator.id.name, first, scope, 'handler', spanOf(declarator.id))];
    if (value) value.kept = true;
    if (hook === 'useCallback') followed(body, body.actions.at(-1), call, scope);
  } else if (
    hook &&
    functions.has(hook) &&
    first?.type === 'Identifier' &&
    declarator.id.type === 'Identifier' &&
    lookUp(scope, first.name)
  ) {
    // The same function, kept: what it is called on is what it was.
    const kept = lookUp(scope, first.name);
    if (kept) scope.names.set(declarator.id.name, kept);
  } else if (hook === 'useTransition') declareTransition(body, declarator, call, scope);
  else if (hook === 'useRef') declareNamed(body, declarator, 'ref', call, scope);
  else if (hook && computed.has(hook)) declareComputed(body, declarator, call, scope);
  else if (hook && taking.has(hook) && first && dottedName(first))
    declareNamed(body, declarator, 'context', call, scope, dottedName(first));
  else if (hook === 'useSyncExternalStore') declareNamed(body, declarator, 'store', call, scope, dottedName(first));
  else if (/^use[A-Z]/.test(calleeName(call) ?? '')) declareNamed(body, declarator, 'hook', call, scope, dottedName(call.callee));
  else return false;
  return true;
}

/** `const [value, setValue] = useState(first)`. */
function declarePair(body: Body, declarator: t.VariableDeclarator, call: t.CallExpression, scope: Scope): void {
  const names = patternNames(declarator.id);
  const hook = calleeName(call) ?? '';
  const initial = call.arguments[hook === 'useReducer' || hook === 'useActionState' ? 1 : 0];
  const [run] = call.arguments;
  if ((hook === 'useActionState' || hook === 'useFormState') && isFunction(run)) declareAction(body, hook, 'handler', run, scope);
  // `useState(() => first)` is `useState(first)`, made once.
  const isMadeOnce = hook === 'useState' && initial && isFunction(initial) && initial.params.length === 0;
  const first = isMadeOnce && initial.body.type !== 'BlockStatement' ? initial.body : initial;
  const from = !first ? [] : isFunction(first) ? computedFrom(body, first, scope) : readingsOf(body, first, scope);
  const holder = names.find((found) => found.path[0] === '0') ?? names.find((found) => found.path.length === 0);
  const setter = names.find((found) => found.path[0] === '1');
  const name = holder?.name ?? setter?.name.replace(/^set(?=[A-Z])/, '').replace(/^./, (letter) => letter.toLowerCase()) ?? hook;
  const span = spanOf(holder?.node ?? declarator.id);
  const reducer = hook === 'useReducer' && call.arguments[0] ? dottedName(bare(call.arguments[0])) : undefined;
  const form = {
    ...(makesCollection(initial) ? { collection: true as const } : {}),
    ...(isConverted(first) ? { converted: true as const } : {}),
  };
  const value = addValue(body, { name, kind: 'state', span, from, ...form, ...(reducer ? { reducer } : {}) });
  const changed = hook === 'useReducer' && isFunction(run) ? changedBack(run, false) : undefined;
  if (changed) {
    const facts = body.actions[addAction(body, name, 'handler', spanOf(run as t.Node))];
    if (facts) facts.changes = [{ value, span: changed, how: 'in-place', from: [] }];
  }
  if (reducer && !scope.names.has(reducer) && body.module.names.has(reducer))
    moduleValue(body, reducer, spanOf(call.arguments[0] as t.Node));
  for (const found of names) {
    if (found.path[0] !== '1') scope.names.set(found.name, { kind: 'value', value, path: found.path.slice(1) });
  }
  if (!setter) return;
  const changes = addValue(body, { name: setter.name, kind: 'setter', span: spanOf(setter.node), from: [], partner: value });
  scope.names.set(setter.name, { kind: 'value', value: changes, path: [] });
}

/** `const [pending, start] = useTransition()`: what `start` is given runs as if it stood there. */
function declareTransition(body: Body, declarator: t.VariableDeclarator, call: t.CallExpression, scope: Scope): void {
  for (const found of patternNames(declarator.id)) {
    if (found.path[0] === '1') {
      scope.names.set(found.name, { kind: 'opaque' });
      continue;
    }
    const value = addValue(body, {
      name: found.name,
      kind: 'hook',
      span: spanOf(found.node),
      from: [],
      source: dottedName(call.callee) ?? '',
    });
    scope.names.set(found.name, { kind: 'value', value, path: [] });
  }
}

function declareComputed(body: Body, declarator: t.VariableDeclarator, call: t.CallExpression, scope: Scope): void {
  const from = computedFrom(body, call.arguments[0], scope);
  for (const found of patternNames(declarator.id)) {
    const value = addValue(body, { name: found.name, kind: 'derived', span: spanOf(found.node), from });
    if (calleeName(call) === 'useMemo') followed(body, body.values[value], call, scope);
    scope.names.set(found.name, { kind: 'value', value, path: [] });
  }
}

function declareNamed(
  body: Body,
  declarator: t.VariableDeclarator,
  kind: ValueKind,
  call: t.CallExpression,
  scope: Scope,
  source?: string,
): void {
  const names = patternNames(declarator.id);
  const sink = newEffects();
  const args = kind === 'context' || kind === 'ref' ? [] : readArgs(body, call.arguments, scope, sink);
  const from = kind === 'context' ? [] : kind === 'ref' ? call.arguments.flatMap((one) => readingsOf(body, one, scope)) : sink.reads;
  const whole = names.find((found) => found.path.length === 0 && !found.rest);
  const name = whole?.name ?? calleeName(call) ?? '';
  const origin = kind === 'hook' ? originOfHook(body, call, calleeName(call) ?? '') : undefined;
  const gives = hookName(body, call) ? storeReadingOf(calleeName(call) ?? '') : typedReadingOf(calleeName(call) ?? '');
  const value = addValue(body, {
    name,
    kind,
    span: spanOf(whole?.node ?? declarator.id),
    from,
    ...(source ? { source } : {}),
    ...(args.length > 0 ? { args } : {}),
    ...(origin ? { origin } : {}),
    ...(gives ? { gives } : {}),
  });
  for (const found of names) scope.names.set(found.name, { kind: 'value', value, path: found.path });
  const parts = names.filter((found) => found.path.length === 1 && found.path[0] !== found.name && !found.rest);
  const held = body.values[value];
  body.hookValues.set(call, value);
  if (held && parts.length > 0) held.parts = Object.fromEntries(parts.map((found) => [found.path[0] ?? '', found.name]));
  if (declarator.id.type === 'ObjectPattern') noteDemanded(body, value, spanOf(declarator.id));
}

/** The value that a call of a hook stands for, wherever it is written; undefined for other calls. */
export function hookValue(body: Body, call: t.CallExpression, scope: Scope): number | undefined {
  if (!/^use([A-Z]|$)/.test(calleeName(call) ?? '')) return undefined;
  const known = body.hookValues.get(call);
  if (known !== undefined) return known;
  const value = makeHookValue(body, call, scope);
  if (value !== undefined) body.hookValues.set(call, value);
  return value;
}

function makeHookValue(body: Body, call: t.CallExpression, scope: Scope): number | undefined {
  const name = calleeName(call) ?? '';
  const hook = hookName(body, call);
  const [first] = call.arguments;
  const span = spanOf(call);
  if (hook && pairs.has(hook)) return loosePair(body, call, scope);
  if (hook && functions.has(hook) && isFunction(first)) return keptFunction(body, name, first, scope).value;
  if (hook && computed.has(hook))
    return addValue(body, { name, kind: 'derived', span, from: computedFrom(body, call.arguments[0], scope) });
  if (hook === 'useRef')
    return addValue(body, { name, kind: 'ref', span, from: call.arguments.flatMap((one) => readingsOf(body, one, scope)) });
  if (hook && (effects.has(hook) || hook === 'useImperativeHandle')) return undefined;
  const kind = hook && taking.has(hook) ? 'context' : hook === 'useSyncExternalStore' ? 'store' : 'hook';
  const source = dottedName(kind === 'context' && first ? first : call.callee);
  if (!source) return undefined;
  noteTested(body, call, scope);
  const sink = newEffects();
  const args = kind === 'context' ? [] : readArgs(body, call.arguments, scope, sink);
  const origin = kind === 'hook' ? originOfHook(body, call, name) : undefined;
  const gives = hook ? storeReadingOf(name) : typedReadingOf(name);
  return addValue(body, {
    name,
    kind,
    span,
    from: sink.reads,
    source,
    ...(args.length > 0 ? { args } : {}),
    ...(origin ? { origin } : {}),
    ...(gives ? { gives } : {}),
  });
}

/** `return useState(1)`: the pair as one value. */
function loosePair(body: Body, call: t.CallExpression, scope: Scope): number {
  const span = spanOf(call);
  const names = ['value', 'setValue'].map((name) => ({ type: 'Identifier', name, start: span.start, end: span.end }));
  const pattern = { type: 'ArrayPattern', elements: names, start: span.start, end: span.end };
  const first = body.values.length;
  declarePair(body, { type: 'VariableDeclarator', id: pattern, init: call } as unknown as t.VariableDeclarator, call, innerScope(scope));
  const from = [first, first + 1].map((value, at) => ({
    value,
    path: [],
    how: 'computed' as const,
    span,
    held: { at: [String(at)], how: 'same' as const },
  }));
  return addValue(body, { name: calleeName(call) ?? '', kind: 'derived', span, from });
}
