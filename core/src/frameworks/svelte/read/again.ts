import type * as t from '@babel/types';
import type { AgainFact } from '../../../model/facts';
import { isAnother, reached } from '../../../read/script/again';
import type { Body } from '../../../read/script/body';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, forEachChild, isFunction, spanOf } from '../../../read/script/syntax';

/** The list held as state that a call lengthens or shortens: to do that it reads how long the list is. */
function grownBy(body: Body, { callee }: t.CallExpression, scope: Scope): number | undefined {
  if (callee.type !== 'MemberExpression' || callee.object.type !== 'Identifier' || callee.computed) return undefined;
  const method = callee.property.type === 'Identifier' ? callee.property.name : '';
  const meaning = lookUp(scope, callee.object.name);
  const value = meaning?.kind === 'value' && meaning.path.length === 0 ? body.values[meaning.value] : undefined;
  const isFollowed = value?.kind === 'state' && !value.shallow && !value.observable && !value.plain;
  return isFollowed && meaning?.kind === 'value' && /^(?:push|pop|shift|unshift|splice)$/.test(method) ? meaning.value : undefined;
}

/** Whether an expression reads a state where it stands: what is in a function may be read without being followed, or never. */
function readsNow(root: t.Node, state: number, scope: Scope): boolean {
  let found = false;
  const stack: t.Node[] = [root];
  for (let node = stack.pop(); node && !found; node = stack.pop()) {
    if (isFunction(node)) continue;
    const meaning = node.type === 'Identifier' ? lookUp(scope, node.name) : undefined;
    found = meaning?.kind === 'value' && meaning.value === state;
    forEachChild(node, (child) => stack.push(child));
  }
  return found;
}

/** States that an effect, which follows what it reads, writes from themselves: `count += 1`, `rows = [...rows, row]`. */
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
        (/^[+-]=$/.test(node.operator) || (isAnother(meaning.value, node.right, scope) && readsNow(node.right, meaning.value, scope))));
    return itself ? [{ value: meaning.value, span: spanOf(node), by: 'an effect' }] : [];
  });
}
