import type * as t from '@babel/types';
import type { AgainFact } from '../../../model/facts';
import { reached } from '../../../read/script/again';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, isFunction, spanOf } from '../../../read/script/syntax';

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
