import type * as t from '@babel/types';
import type { AgainFact } from '../../model/facts';
import type { Body } from './body';
import { lookUp, type Scope } from './scope';
import { bare, isFunction, spanOf } from './syntax';

/** The state that a statement sets by its setter, and what it is set to; undefined for other statements. */
function setBy(
  body: Body,
  statement: t.Statement,
  scope: Scope,
): { readonly state: number; readonly to: t.Node | undefined; readonly call: t.Node } | undefined {
  const call = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
  if (call?.type !== 'CallExpression' || call.callee.type !== 'Identifier') return undefined;
  const meaning = lookUp(scope, call.callee.name);
  const value = meaning?.kind === 'value' && meaning.path.length === 0 ? body.values[meaning.value] : undefined;
  return value?.kind === 'setter' && value.partner !== undefined ? { state: value.partner, to: call.arguments[0], call } : undefined;
}

/** Statements that are reached each time: those before anything that may decide or leave. */
function reached(statements: readonly t.Statement[]): readonly t.Statement[] {
  const end = statements.findIndex((one) => !/^(VariableDeclaration|ExpressionStatement|FunctionDeclaration)$/.test(one.type));
  return end < 0 ? statements : statements.slice(0, end);
}

/** Another value each time: a new list or object, or one made from what it was. */
function isAnother(state: number, given: t.Node | undefined, scope: Scope): boolean {
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

/**
 * States that a function component sets each time it renders, or in an effect that runs each time to
 * another value each time. Only what no condition may keep from happening.
 */
export function setAgain(body: Body, statements: readonly t.Statement[], scope: Scope): AgainFact[] {
  return reached(statements).flatMap((statement): AgainFact[] => {
    const set = setBy(body, statement, scope);
    if (set) return [{ value: set.state, span: spanOf(set.call), by: 'rendering' }];
    const call = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    if (call?.type !== 'CallExpression' || call.callee.type !== 'Identifier' || !/^use(Layout)?Effect$/.test(call.callee.name)) return [];
    const [run, list] = call.arguments;
    if (!isFunction(run) || run.body.type !== 'BlockStatement') return [];
    const followed = list && bare(list);
    const follows = (state: number): boolean => {
      if (followed?.type !== 'ArrayExpression') return followed === undefined;
      return followed.elements.some((one) => {
        const meaning = one?.type === 'Identifier' ? lookUp(scope, one.name) : undefined;
        return meaning?.kind === 'value' && meaning.value === state && meaning.path.length === 0;
      });
    };
    return reached(run.body.body).flatMap((inner): AgainFact[] => {
      const within = setBy(body, inner, scope);
      return within && follows(within.state) && isAnother(within.state, within.to, scope)
        ? [{ value: within.state, span: spanOf(within.call), by: 'an effect' }]
        : [];
    });
  });
}

/** The list held as state that a call lengthens or shortens: to do that it reads how long the list is. */
function grownBy(body: Body, { callee }: t.CallExpression, scope: Scope): number | undefined {
  if (callee.type !== 'MemberExpression' || callee.object.type !== 'Identifier' || callee.computed) return undefined;
  const method = callee.property.type === 'Identifier' ? callee.property.name : '';
  const meaning = lookUp(scope, callee.object.name);
  const value = meaning?.kind === 'value' && meaning.path.length === 0 ? body.values[meaning.value] : undefined;
  const isFollowed = value?.kind === 'state' && !value.shallow && !value.observable && !value.plain;
  return isFollowed && meaning?.kind === 'value' && /^(?:push|pop|shift|unshift|splice)$/.test(method) ? meaning.value : undefined;
}

/** A watcher that changes what it watches, from what it was: `watch(count, () => count.value++)`. */
export function watchedAgain(source: t.Node, run: t.Node, scope: Scope): AgainFact[] {
  const meaning = source.type === 'Identifier' ? lookUp(scope, source.name) : undefined;
  if (source.type !== 'Identifier' || meaning?.kind !== 'box' || meaning.path.length > 0 || !isFunction(run)) return [];
  const isIt = (node: t.Node): boolean =>
    node.type === 'MemberExpression' &&
    node.object.type === 'Identifier' &&
    node.object.name === source.name &&
    node.property.type === 'Identifier' &&
    node.property.name === 'value';
  const statements = run.body.type === 'BlockStatement' ? reached(run.body.body) : [];
  const done = statements.map((one) => (one.type === 'ExpressionStatement' ? bare(one.expression) : one));
  return [...done, ...(run.body.type === 'BlockStatement' ? [] : [bare(run.body)])].flatMap((node): AgainFact[] => {
    const grows =
      (node.type === 'UpdateExpression' && isIt(node.argument)) ||
      (node.type === 'AssignmentExpression' && isIt(node.left) && /^[+-]=$/.test(node.operator));
    return grows ? [{ value: meaning.value, span: spanOf(node), by: 'an effect' }] : [];
  });
}

/** States that an effect, which follows what it reads, writes from themselves: `count += 1`, `count = count + 1`. */
export function writtenAgain(body: Body, run: t.Node, scope: Scope): AgainFact[] {
  if (!isFunction(run) || run.body.type !== 'BlockStatement') return [];
  return reached(run.body.body).flatMap((statement): AgainFact[] => {
    const node = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    const target = node?.type === 'UpdateExpression' ? node.argument : node?.type === 'AssignmentExpression' ? node.left : undefined;
    const grown = node?.type === 'CallExpression' ? grownBy(body, node, scope) : undefined;
    if (grown !== undefined && node) return [{ value: grown, span: spanOf(node), by: 'an effect' }];
    const meaning = target?.type === 'Identifier' ? lookUp(scope, target.name) : undefined;
    if (!node || meaning?.kind !== 'value' || meaning.path.length > 0 || body.values[meaning.value]?.kind !== 'state') return [];
    const itself =
      node.type === 'UpdateExpression' ||
      (node.type === 'AssignmentExpression' &&
        (/^[+-]=$/.test(node.operator) || (isAnother(meaning.value, node.right, scope) && bare(node.right).type === 'BinaryExpression')));
    return itself ? [{ value: meaning.value, span: spanOf(node), by: 'an effect' }] : [];
  });
}
