import type * as t from '@babel/types';
import type { Body } from './body';
import { readingsOf } from './expressions';
import { declareAction } from './functions';
import { bindLocal } from './names';
import { innerScope, lookUp, type Scope } from './scope';
import { bare, isFunction, resultOf } from './syntax';

/**
 * The function that a call in place of one gives, where a function of the body makes it: `onPick={change('name')}`. It is
 * an action of its own, in which the parameters of the outer function are what this call gives them; its index.
 * Undefined for all other calls.
 */
export function madeByCall(body: Body, given: t.Node, scope: Scope): number | undefined {
  const call = bare(given);
  if (call.type !== 'CallExpression' || call.callee.type !== 'Identifier') return undefined;
  const meaning = lookUp(scope, call.callee.name);
  const result = meaning?.kind === 'function' ? resultOf(meaning.node) : undefined;
  const made = result ? bare(result) : undefined;
  if (meaning?.kind !== 'function' || !isFunction(made)) return undefined;
  const inner = innerScope(meaning.scope);
  for (const [at, parameter] of meaning.node.params.entries()) {
    const argument = call.arguments[at];
    bindLocal(parameter, argument ? readingsOf(body, argument, scope) : [], inner);
  }
  for (const statement of meaning.node.body.type === 'BlockStatement' ? meaning.node.body.body : [])
    for (const { id, init } of statement.type === 'VariableDeclaration' ? statement.declarations : [])
      if (init) bindLocal(id, readingsOf(body, init, inner), inner);
  const maker = body.actions[meaning.action];
  if (maker) maker.makesFunction = true;
  return declareAction(body, call.callee.name, 'handler', made, inner);
}
