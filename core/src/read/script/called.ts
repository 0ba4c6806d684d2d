import type * as t from '@babel/types';
import type { NameFact } from '../../model/facts';
import type { Body } from './body';
import { lookUp, type Scope } from './scope';
import { bare, forEachChild, type FunctionNode, spanOf } from './syntax';

/**
 * The function that is called where one should be handed over, as far as it surely gives nothing:
 * `onClick={close()}`. Undefined for all that may give a function.
 */
export function calledForNothing(body: Body, given: t.Node, scope: Scope, depth = 3): NameFact | undefined {
  const call = bare(given);
  if (call.type !== 'CallExpression' || call.callee.type !== 'Identifier' || depth === 0) return undefined;
  const { name } = call.callee;
  const meaning = lookUp(scope, name);
  const found = { name, span: spanOf(call) };
  if (meaning?.kind === 'value') return meaning.path.length === 0 && body.values[meaning.value]?.kind === 'setter' ? found : undefined;
  const run = meaning?.kind === 'function' ? meaning.node : meaning ? undefined : body.module.functions.get(name);
  const inner = meaning?.kind === 'function' ? meaning.scope : scope;
  if (!run || run.generator) return undefined;
  if (run.body.type === 'BlockStatement') return returnsSomething(run) ? undefined : found;
  return calledForNothing(body, run.body, inner, depth - 1) ? found : undefined;
}

function returnsSomething(run: FunctionNode): boolean {
  let found = false;
  const visit = (node: t.Node): void => {
    if (node.type === 'ReturnStatement' && node.argument) found = true;
    // Functions within return for themselves.
    if (found || (node !== run && /Function|ObjectMethod|ClassMethod/.test(node.type))) return;
    forEachChild(node, visit);
  };
  visit(run.body);
  return found;
}
