import type * as t from '@babel/types';
import type { ActionKind, Reading } from '../../model/facts';
import type { Span } from '../../model/span';
import { addAction, addValue, type Body, fillAction, newEffects, type Effects } from './body';
import { readActionInto, readArgs, readExpression, readFunctionInto } from './expressions';
import { givesNothing } from './called';
import { lateStretches } from './late';
import { originOfHook } from './origins';
import { innerScope, type Meaning, type Scope } from './scope';
import { calleeName, type FunctionNode, isFunction, patternNames, spanOf } from './syntax';

/** Makes a function of the body a value and an action, to be read when all names are known; the value's index. */
export function declareFunction(
  body: Body,
  name: string,
  node: FunctionNode,
  scope: Scope,
  kind: ActionKind = 'handler',
  span: Span = spanOf(node),
): number {
  const action = addAction(body, name, kind, spanOf(node));
  const value = addValue(body, { name, kind: 'function', span, from: [], action });
  scope.names.set(name, { kind: 'function', node, scope, action, value });
  noteLate(body, action, node);
  const facts = body.actions[action];
  if (facts && givesNothing(node, body.module.text)) facts.givesNothing = true;
  body.queue.push(() => readActionInto(body, action, node, scope));
  return value;
}

/** A function written in place, as an action of its own; its index. */
export function declareAction(body: Body, name: string, kind: ActionKind, node: FunctionNode, scope: Scope): number {
  const action = addAction(body, name, kind, spanOf(node));
  body.queue.push(() => readActionInto(body, action, node, scope));
  return action;
}

/** What a kept result is computed from: a function that gives it, or the value itself; `handed` is what the function is given. */
export function computedFrom(body: Body, first: t.Node | undefined, scope: Scope, handed?: Meaning): Reading[] {
  const sink = newEffects();
  if (!isFunction(first)) {
    if (first) readExpression(body, first, scope, 'same', sink);
    return sink.reads;
  }
  const inner = innerScope(scope);
  const [parameter] = first.params;
  if (handed?.kind === 'value' && parameter)
    for (const found of patternNames(parameter)) inner.names.set(found.name, { ...handed, path: [...handed.path, ...found.path] });
  readFunctionInto(body, first, inner, sink, handed ? 1 : 0);
  const given = sink.returns ?? [];
  const isGiven = (one: Reading): boolean => given.some((other) => other.value === one.value && other.span.start === one.span.start);
  const rest = sink.reads
    .filter((one) => !isGiven(one))
    .map((one) => ({ ...one, how: one.how === 'called' ? one.how : ('computed' as const) }));
  return [...given.map((one) => ({ ...one, how: one.how === 'called' || one.held ? one.how : ('computed' as const) })), ...rest];
}

/** The value that a call of a composable gives, of the project or from outside: its name leads there. */
export function composableValue(body: Body, name: string, source: string, call: t.CallExpression, scope: Scope): number {
  const args = readArgs(body, call.arguments, scope, newEffects());
  const origin = originOfHook(body, call, calleeName(call) ?? '');
  const given = { ...(args.length > 0 ? { args } : {}), ...(origin ? { origin } : {}) };
  return addValue(body, { name, kind: 'hook', span: spanOf(call), from: [], source, ...given });
}

/** Notes what setting up does beside making names: one action, for all that is called, changed or sent on the way. */
export function noteSetUp(body: Body, statements: readonly t.Statement[], done: Effects): void {
  // What it reads of the module, or takes as a whole, may be a store that it hands on.
  const reads = done.reads.filter(
    ({ value, path }) => body.values[value]?.kind === 'module' || (body.values[value]?.kind === 'hook' && path.length === 0),
  );
  if (reads.length === 0 && !done.changes && !done.invokes && !done.raises && !done.sends && !done.hears && !done.calls) return;
  const span = { start: statements[0]?.start ?? 0, end: statements.at(-1)?.end ?? 0 };
  const action = addAction(body, 'while it is set up', 'lifecycle', span);
  fillAction(body, action, { ...done, reads, returns: undefined });
}

/** What a field of a class begins with; what that listens to or sends is done while the instance is made. */
export function fieldFrom(body: Body, first: t.Node, scope: Scope): Reading[] {
  const done = newEffects();
  readExpression(body, first, scope, 'same', done);
  if (done.hears || done.sends) {
    const action = addAction(body, 'while it is set up', 'lifecycle', spanOf(first));
    fillAction(body, action, { ...newEffects(), hears: done.hears, sends: done.sends });
  }
  return done.reads;
}

/** What a function must hold to do anything after it has returned. */
const mayBeLate = /\bawait\b|\b(?:then|catch|finally|setTimeout|setInterval|requestAnimationFrame|requestIdleCallback|queueMicrotask)\s*\(/;

export function noteLate(body: Body, action: number, run: FunctionNode): void {
  if (!mayBeLate.test(body.module.text.slice(run.body.start ?? 0, run.body.end ?? 0))) return;
  const late = lateStretches(run);
  const facts = body.actions[action];
  if (facts && late.length > 0) facts.late = late;
}

/** An effect that runs again when anything it reads is another. */
export function followsReads(body: Body, action: number, run?: FunctionNode): void {
  if (run) noteLate(body, action, run);
  body.queue.push(() => {
    const facts = body.actions[action];
    if (facts) facts.follows = facts.reads.filter((one) => one.how !== 'called' && body.values[one.value]?.kind !== 'param');
  });
}
