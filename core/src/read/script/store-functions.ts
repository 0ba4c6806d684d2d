import type * as t from '@babel/types';
import type { ArgFact, CallFact, Reading } from '../../model/facts';
import type { Span } from '../../model/span';
import { addAction, addValue, type Body, fillAction, newEffects } from './body';
import { actionNames, centralStore } from './central';
import { bindParams, keptFunction, readFunctionInto, readingsOf } from './expressions';
import { innerScope, type Scope } from './scope';
import { bare, calleeName, type FunctionNode, isFunction, keyName, patternNames, resultOf, spanOf } from './syntax';

/** `createAction('boats/add')`: a function that makes actions of a name. */
export function isActionMaker(given: t.Node | undefined): boolean {
  const call = given && bare(given);
  if (call?.type !== 'CallExpression') return false;
  return /^(?:createAction|actionCreatorFactory)$/.test(calleeName(call) ?? '') && bare(call.arguments[0] ?? call).type === 'StringLiteral';
}

/** What such a function does: it tells the store its name, with what it is given as `payload` or as the action itself. */
export function declareActionMaker(body: Body, name: string, at: Span, call: t.CallExpression): number {
  const isWhole = call.arguments[1]?.type === 'CallExpression' && calleeName(call.arguments[1]) === 'props';
  return addActionMaker(body, { name, told: name, at, span: spanOf(call), isWhole });
}

type ActionMaker = { readonly name: string; readonly told: string; readonly at: Span; readonly span: Span; readonly isWhole: boolean };

function addActionMaker(body: Body, { name, told, at, span, isWhole }: ActionMaker): number {
  const action = addAction(body, name, 'handler', span);
  const value = addValue(body, { name, kind: 'function', span: at, from: [], action });
  const given = addValue(body, { name: 'payload', kind: 'param', span: at, from: [], of: action, position: 0 });
  const readings: Reading[] = [
    { value: given, path: [], how: 'same', span, ...(isWhole ? {} : { held: { at: ['payload'], how: 'same' as const } }) },
  ];
  const facts = body.actions[action];
  if (facts) facts.invokes = [{ span, value: centralStore(body, span), path: ['dispatch', `{${told}}`], args: [{ readings }] }];
  return value;
}

/** `createActionGroup({ source: 'Boats', events: { 'Load Done': props<…>() } })`: an object of such functions, each under the name of its event as one word. */
export function declareActionGroup(body: Body, name: string, at: Span, call: t.CallExpression): number | undefined {
  const options = call.arguments[0] && bare(call.arguments[0]);
  const given = options?.type === 'ObjectExpression' ? options.properties : [];
  const held = given.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === 'events');
  const events = held && bare(held.value);
  if (events?.type !== 'ObjectExpression') return undefined;
  const value = addValue(body, { name, kind: 'derived', span: at, from: [] });
  const from = events.properties.flatMap((event): Reading[] => {
    const written = event.type === 'SpreadElement' ? undefined : keyName(event);
    if (written === undefined) return [];
    const member = asOneWord(written);
    const span = spanOf(event);
    const made = addActionMaker(body, { name: member, told: `${name}.${member}`, at: span, span, isWhole: true });
    return [{ value: made, path: [], how: 'computed', span, held: { at: [member], how: 'same' } }];
  });
  Object.assign(body.values[value] ?? {}, { from });
  return value;
}

/** `Load Done` → `loadDone`. */
function asOneWord(written: string): string {
  const [first = '', ...more] = written.trim().split(/\s+/);
  const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
  return [first.charAt(0).toLowerCase() + first.slice(1), ...more.map(capital)].join('');
}

/** `(id) => async (dispatch, getState) => …`: the function that the store runs, given by another; undefined for all else. */
export function runByStore(node: FunctionNode): FunctionNode | undefined {
  const result = node.params[0]?.type === 'Identifier' && node.params[0].name === 'dispatch' ? undefined : resultOf(node);
  const made = result && bare(result);
  const [first] = isFunction(made) ? made.params : [];
  return isFunction(made) && first?.type === 'Identifier' && first.name === 'dispatch' ? made : undefined;
}

/** Gives the parameters of a function that the store runs their meaning: what tells it something, and what it holds. */
export function bindStoreParams(body: Body, { params }: FunctionNode, scope: Scope): void {
  const [dispatch, getState] = params;
  const span = spanOf(dispatch ?? getState ?? ({ start: 0, end: 0 } as t.Node));
  const value = centralStore(body, span);
  if (dispatch?.type === 'Identifier') scope.names.set(dispatch.name, { kind: 'commands', value, command: 'dispatch', prefix: '' });
  if (getState?.type === 'Identifier') scope.names.set(getState.name, { kind: 'calledGives', meaning: { kind: 'value', value, path: [] } });
}

/** Reads a function that gives one for the store to run as if it did what that does. */
export function readRunByStore(body: Body, node: FunctionNode, run: FunctionNode, action: number, scope: Scope): void {
  const inner = innerScope(scope);
  bindParams(body, node, inner, action);
  bindStoreParams(body, run, inner);
  const sink = newEffects();
  readFunctionInto(body, run, inner, sink, run.params.length);
  fillAction(body, action, sink);
}

/** `createAsyncThunk('locks/load', async (id, { getState }) => …)`: what it does, and what it tells the store before and after. */
export function declareThunk(body: Body, name: string, at: Span, call: t.CallExpression, scope: Scope): number {
  const action = addAction(body, name, 'handler', spanOf(call));
  const value = addValue(body, { name, kind: 'function', span: at, from: [], action });
  const run = call.arguments[1] && bare(call.arguments[1]);
  body.queue.push(() => {
    const inner = innerScope(scope);
    const sink = newEffects();
    if (isFunction(run)) {
      bindParams(body, run, inner, action);
      const store = centralStore(body, at);
      for (const found of run.params[1] ? patternNames(run.params[1]) : []) {
        if (found.path[0] === 'dispatch') inner.names.set(found.name, { kind: 'commands', value: store, command: 'dispatch', prefix: '' });
        if (found.path[0] === 'getState')
          inner.names.set(found.name, { kind: 'calledGives', meaning: { kind: 'value', value: store, path: [] } });
      }
      readFunctionInto(body, run, inner, sink, run.params.length);
    }
    fillAction(body, action, sink);
    const facts = body.actions[action];
    if (!facts) return;
    const payload = facts.returns.map((one): Reading => ({
      ...one,
      held: { at: ['payload', ...(one.held?.at ?? [])], how: one.held?.how ?? one.how },
    }));
    const tell = (when: string, readings: readonly Reading[]): CallFact => ({
      span: spanOf(call),
      value: centralStore(body, at),
      path: ['dispatch', `{${name}.${when}}`],
      args: [{ readings }],
    });
    facts.invokes = [...facts.invokes, tell('pending', []), tell('fulfilled', payload), tell('rejected', [])];
  });
  return value;
}

/** `createSelector([open, late], (open, late) => …)`: a function of what the store holds that is made of others. */
export function declareSelector(body: Body, name: string, at: Span, call: t.CallExpression, scope: Scope): number {
  const action = addAction(body, name, 'handler', spanOf(call));
  const value = addValue(body, { name, kind: 'function', span: at, from: [], action });
  const state = addValue(body, { name: 'state', kind: 'param', span: at, from: [], of: action, position: 0 });
  const [first] = call.arguments;
  const listed = first?.type === 'ArrayExpression' ? first.elements : call.arguments.slice(0, -1);
  body.queue.push(() => {
    const inputs = listed.flatMap((one): Reading[] => {
      const node = one && one.type !== 'SpreadElement' ? bare(one) : undefined;
      if (!node) return [];
      return isFunction(node) ? [keptFunction(body, 'a part of the store', node, scope)] : readingsOf(body, node, scope);
    });
    const facts = body.actions[action];
    if (!facts) return;
    const args: ArgFact[] = [{ readings: [{ value: state, path: [], how: 'same', span: at }] }];
    facts.invokes = inputs.map(({ value: input, path, span }) => ({ value: input, path, span, args }));
    facts.returns = inputs.map(({ value: input, path, span }): Reading => ({ value: input, path, how: 'called', span }));
  });
  return value;
}

/** `createFeatureSelector('boats')`: the part of the store under a key. */
export function declareKeySelector(body: Body, name: string, at: Span, key: string): number {
  const action = addAction(body, name, 'handler', at);
  const value = addValue(body, { name, kind: 'function', span: at, from: [], action });
  const state = addValue(body, { name: 'state', kind: 'param', span: at, from: [], of: action, position: 0 });
  const facts = body.actions[action];
  if (facts) facts.returns = [{ value: state, path: [key], how: 'part', span: at }];
  return value;
}

/** A function that gives an action by its name, `{ type: ADDED, … }`, makes it for the store to be told. */
export function actionsGivenBy(body: Body, node: FunctionNode, action: number, scope: Scope): void {
  const result = resultOf(node);
  const object = result && bare(result);
  if (object?.type !== 'ObjectExpression') return;
  const names = actionNames(object);
  const facts = body.actions[action];
  if (names.length === 0 || !facts) return;
  const span = spanOf(object);
  const inner = innerScope(scope);
  body.values.forEach((value, index) => {
    if (value.kind === 'param' && value.of === action)
      for (const found of patternNames(node.params[value.position ?? 0] ?? object))
        inner.names.set(found.name, { kind: 'value', value: index, path: found.path });
  });
  const args: ArgFact[] = [{ readings: readingsOf(body, object, inner) }];
  const store = centralStore(body, span);
  facts.invokes = [...facts.invokes, ...names.map((name) => ({ span, value: store, path: ['dispatch', name], args }))];
}
