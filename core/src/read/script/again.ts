import type * as t from '@babel/types';
import { lookUp, type Scope } from './scope';
import { bare, isFunction } from './syntax';

/** Statements that are reached each time: those before anything that may decide or leave. */
export function reached(statements: readonly t.Statement[]): readonly t.Statement[] {
  const end = statements.findIndex((one) => !/^(VariableDeclaration|ExpressionStatement|FunctionDeclaration)$/.test(one.type));
  return end < 0 ? statements : statements.slice(0, end);
}

/** Another value each time: a new list or object, or one made from what it was. */
export function isAnother(state: number, given: t.Node | undefined, scope: Scope): boolean {
  const node = given && bare(given);
  if (!node) return false;
  if (node.type === 'ArrayExpression' || node.type === 'ObjectExpression') return true;
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
