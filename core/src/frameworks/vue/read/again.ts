import type * as t from '@babel/types';
import type { AgainFact } from '../../../model/facts';
import { reached } from '../../../read/script/again';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, type FunctionNode, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { fieldOf } from './contract';

/** The options of a watcher ask for what is inside as well. */
const asksForInside = (options: t.Node | undefined): boolean => {
  const deep = options && fieldOf(options, 'deep');
  return deep?.type === 'BooleanLiteral' && deep.value;
};

/** What is watched and one more, or less: `count.value + 1`, or by the name under which the watcher is handed it. */
function isOneMore(given: t.Node, isIt: (node: t.Node) => boolean, run: FunctionNode): boolean {
  const node = bare(given);
  const [now] = run.params;
  return (
    node.type === 'BinaryExpression' &&
    /^[+-]$/.test(node.operator) &&
    (node.right.type === 'NumericLiteral' || node.right.type === 'StringLiteral') &&
    // Nothing more makes no other value.
    Boolean(node.right.value) &&
    (isIt(node.left) || (node.left.type === 'Identifier' && now?.type === 'Identifier' && node.left.name === now.name))
  );
}

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
    const counts = node.type === 'AssignmentExpression' && node.operator === '=' && isIt(node.left) && isOneMore(node.right, isIt, run);
    const lengthens =
      isInside &&
      node.type === 'CallExpression' &&
      node.callee.type === 'MemberExpression' &&
      isIt(node.callee.object) &&
      /^(?:push|unshift)$/.test(keyName({ key: node.callee.property }) ?? '');
    return grows || counts || lengthens ? [{ value: meaning.value, span: spanOf(node), by: 'an effect' }] : [];
  });
}
