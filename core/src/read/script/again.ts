import type * as t from '@babel/types';
import { lookUp, type Scope } from './scope';
import { bare, dottedName, type FunctionNode, isFunction, keyName } from './syntax';

/** Statements that are reached each time: those before anything that may decide or leave. */
export function reached(statements: readonly t.Statement[]): readonly t.Statement[] {
  const end = statements.findIndex((one) => !/^(VariableDeclaration|ExpressionStatement|FunctionDeclaration)$/.test(one.type));
  return end < 0 ? statements : statements.slice(0, end);
}

/** Methods and functions that give a new list or object each time. */
const making = /^(?:map|filter|flatMap|toSorted|toReversed|Object\.(?:keys|values|entries|assign|fromEntries)|Array\.(?:from|of))$/;

/** A new list or object each time: written in place, or what a function of the module gives that always gives one. */
function isMadeAnew(given: t.Node, functions: ReadonlyMap<string, FunctionNode> | undefined, depth = 0): boolean {
  const node = bare(given);
  if (node.type === 'ArrayExpression' || node.type === 'ObjectExpression') return true;
  if (node.type === 'ConditionalExpression')
    return isMadeAnew(node.consequent, functions, depth) && isMadeAnew(node.alternate, functions, depth);
  if (node.type !== 'CallExpression' || depth > 3) return false;
  const { callee } = node;
  if (callee.type === 'MemberExpression')
    return making.test(keyName({ key: callee.property, computed: callee.computed }) ?? '') || making.test(dottedName(callee) ?? '');
  const called = callee.type === 'Identifier' ? functions?.get(callee.name) : undefined;
  if (!called || called.async || called.generator) return false;
  if (called.body.type !== 'BlockStatement') return isMadeAnew(called.body, functions, depth + 1);
  const results = called.body.body.flatMap((one) => (one.type === 'ReturnStatement' ? [one.argument] : []));
  const [result] = results;
  const isPlain = called.body.body.every((one) => /^(?:VariableDeclaration|ExpressionStatement|ReturnStatement)$/.test(one.type));
  return isPlain && results.length === 1 && result !== undefined && result !== null && isMadeAnew(result, functions, depth + 1);
}

/** Another value each time: a new list or object, or one made from what it was. */
export function isAnother(state: number, given: t.Node | undefined, scope: Scope, functions?: ReadonlyMap<string, FunctionNode>): boolean {
  const node = given && bare(given);
  if (!node) return false;
  if (isMadeAnew(node, functions)) return true;
  const own = (one: t.Node): boolean => {
    const meaning = one.type === 'Identifier' ? lookUp(scope, one.name) : undefined;
    return meaning?.kind === 'value' && meaning.value === state && meaning.path.length === 0;
  };
  if (node.type === 'BinaryExpression') return /^[+-]$/.test(node.operator) && (own(node.left) || own(node.right));
  const result = isFunction(node) && node.body.type !== 'BlockStatement' ? bare(node.body) : undefined;
  const [before] = isFunction(node) ? node.params : [];
  return (
    result?.type === 'BinaryExpression' &&
    /^[+-]$/.test(result.operator) &&
    before?.type === 'Identifier' &&
    [result.left, result.right].some((one) => one.type === 'Identifier' && one.name === before.name)
  );
}
