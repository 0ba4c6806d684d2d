import type * as t from '@babel/types';
import type { AgainFact, TemplateNode } from '../../../model/facts';
import { reached } from '../../../read/script/again';
import type { Body } from '../../../read/script/body';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, type FunctionNode, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { fieldOf } from './contract';

/** The options of a watcher ask for what is inside as well. */
const asksForInside = (options: t.Node | undefined): boolean => {
  const deep = options && fieldOf(options, 'deep');
  return deep?.type === 'BooleanLiteral' && deep.value;
};

/** `count.value`: the state that a boxed name holds; undefined for all else. */
function boxOpened(node: t.Node, scope: Scope): number | undefined {
  if (node.type !== 'MemberExpression' || node.computed || node.object.type !== 'Identifier') return undefined;
  const meaning = lookUp(scope, node.object.name);
  const isOpened = keyName({ key: node.property }) === 'value' && meaning?.kind === 'box' && meaning.path.length === 0;
  return isOpened ? meaning.value : undefined;
}

/** `count.value++`, `count.value += 1`: the state that is made of what it was; undefined for all else. */
function grownIn(node: t.Node, scope: Scope): number | undefined {
  if (node.type === 'UpdateExpression') return boxOpened(node.argument, scope);
  return node.type === 'AssignmentExpression' && /^[+-]=$/.test(node.operator) ? boxOpened(node.left, scope) : undefined;
}

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
  const isIt = (node: t.Node): boolean => boxOpened(node, scope) === meaning.value;
  const statements = run.body.type === 'BlockStatement' ? reached(run.body.body) : [];
  const done = statements.map((one) => (one.type === 'ExpressionStatement' ? bare(one.expression) : one));
  return [...done, ...(run.body.type === 'BlockStatement' ? [] : [bare(run.body)])].flatMap((node): AgainFact[] => {
    const grows = grownIn(node, scope) === meaning.value;
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

/** States that a function makes of what they were, each time that it runs. */
function madeOfThemselves({ values }: Body, run: FunctionNode, scope: Scope): AgainFact[] {
  if (run.body.type !== 'BlockStatement' || run.async || run.generator) return [];
  return reached(run.body.body).flatMap((statement): AgainFact[] => {
    const node = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    const value = node && grownIn(node, scope);
    return node && value !== undefined && values[value]?.kind === 'state' ? [{ value, span: spanOf(node), by: 'rendering' }] : [];
  });
}

/**
 * Functions that the markup calls wherever it shows, without a condition or a list around, and that set a state from what
 * it was: the markup follows that state and shows again.
 */
export function shownAgain(nodes: readonly TemplateNode[], body: Body, scope: Scope): AgainFact[] {
  return nodes.flatMap((node): AgainFact[] => {
    if (node.kind === 'element') return shownAgain(node.children, body, scope);
    if (node.kind !== 'text') return [];
    return node.readings.flatMap(({ value, how, path }) => {
      const called = how === 'called' && path.length === 0 ? body.values[value] : undefined;
      const meaning = called?.kind === 'function' ? scope.names.get(called.name) : undefined;
      return meaning?.kind === 'function' ? madeOfThemselves(body, meaning.node, meaning.scope) : [];
    });
  });
}
