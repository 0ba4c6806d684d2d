import type * as t from '@babel/types';
import type { FileFacts, GivenCall, NameFact } from '../../model/facts';
import { type Body, type ModuleScope, moduleValue } from './body';
import { lookUp, type Scope } from './scope';
import { bare, dottedName, forEachChild, type FunctionNode, spanOf } from './syntax';

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
  return isNoFunction(run.body) || calledForNothing(body, run.body, inner, depth - 1) ? found : undefined;
}

/** An expression that surely gives a text, a number or a flag: `n++`, `open = !open`. */
function isNoFunction(given: t.Node): boolean {
  const node = bare(given);
  switch (node.type) {
    case 'UpdateExpression':
    case 'UnaryExpression':
    case 'BinaryExpression':
    case 'TemplateLiteral':
    case 'StringLiteral':
    case 'NumericLiteral':
    case 'BooleanLiteral':
    case 'NullLiteral':
      return true;
    case 'AssignmentExpression':
      return /^[-+*/%|&^]=$/.test(node.operator) || (node.operator === '=' && isNoFunction(node.right));
    case 'ConditionalExpression':
      return isNoFunction(node.consequent) && isNoFunction(node.alternate);
    default:
      return false;
  }
}

/** What a call in place of a value calls, where other files tell what it gives: a function of a module, or one that a hook gave. */
export function callGiven(body: Body, given: t.Node, scope: Scope): GivenCall | undefined {
  const call = bare(given);
  const name = call.type === 'CallExpression' ? dottedName(call.callee) : undefined;
  if (name === undefined) return undefined;
  const [root = '', ...path] = name.split('.');
  const meaning = lookUp(scope, root);
  const found = { name, span: spanOf(call) };
  if (meaning?.kind === 'value' || meaning?.kind === 'box')
    return body.values[meaning.value]?.kind === 'hook' ? { ...found, value: meaning.value, path: [...meaning.path, ...path] } : undefined;
  if (meaning?.kind === 'function' && meaning.value !== undefined && path.length === 0 && body.own)
    return { ...found, value: meaning.value, path };
  if (meaning || !body.module.imported.has(root)) return undefined;
  return { ...found, value: moduleValue(body, root, spanOf(call)), path };
}

/** Whether a function surely gives nothing that could be run later: it returns nothing, a promise, or a text, a number or a flag. */
export function givesNothing(run: FunctionNode, text: string): boolean {
  if (run.generator || run.async) return !run.generator;
  if (run.body.type !== 'BlockStatement') return isNoFunction(run.body);
  return !/\breturn\b/.test(text.slice(run.body.start ?? 0, run.body.end ?? 0)) || !returnsSomething(run);
}

/** The functions of a module that surely give nothing back, as facts of its file. */
export function voidsOf({ functions, text }: Pick<ModuleScope, 'functions' | 'text'>): Pick<FileFacts, 'voids'> {
  const voids = [...functions].flatMap(([name, run]) => (givesNothing(run, text) ? [name] : []));
  return voids.length > 0 ? { voids } : {};
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
