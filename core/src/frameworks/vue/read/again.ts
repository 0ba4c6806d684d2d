import type * as t from '@babel/types';
import type { AgainFact } from '../../../model/facts';
import { reached } from '../../../read/script/again';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { fieldOf } from './contract';

/** The options of a watcher ask for what is inside as well. */
const asksForInside = (options: t.Node | undefined): boolean => {
  const deep = options && fieldOf(options, 'deep');
  return deep?.type === 'BooleanLiteral' && deep.value;
};

/**
 * A watcher that changes what it watches, from what it was: `watch(count, () => count.value++)`; one that looks inside
 * also where it lengthens the list.
 */
export function watchedAgain(source: t.Node, run: t.Node, scope: Scope, options?: t.Node): AgainFact[] {
  const meaning = source.type === 'Identifier' ? lookUp(scope, source.name) : undefined;
  if (source.type !== 'Identifier' || meaning?.kind !== 'box' || meaning.path.length > 0 || !isFunction(run)) return [];
  const isInside = asksForInside(options);
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
    const lengthens =
      isInside &&
      node.type === 'CallExpression' &&
      node.callee.type === 'MemberExpression' &&
      isIt(node.callee.object) &&
      /^(?:push|unshift)$/.test(keyName({ key: node.callee.property }) ?? '');
    return grows || lengthens ? [{ value: meaning.value, span: spanOf(node), by: 'an effect' }] : [];
  });
}
