import type * as t from '@babel/types';
import type { AgainFact } from '../../../model/facts';
import { reached } from '../../../read/script/again';
import type { Body } from '../../../read/script/body';
import { bare, dottedName, forEachChild, type FunctionNode, isFunction, keyName, spanOf } from '../../../read/script/syntax';

/** Whether an expression reads a member of the instance so that an effect follows it: not within `untracked`. */
function follows(node: t.Node, name: string): boolean {
  if (node.type === 'MemberExpression' && node.object.type === 'ThisExpression' && keyName({ key: node.property }) === name) return true;
  if (isFunction(node) || (node.type === 'CallExpression' && dottedName(node.callee) === 'untracked')) return false;
  let found = false;
  forEachChild(node, (child) => {
    found ||= follows(child, name);
  });
  return found;
}

/** Whether what is set is another value each time: one more than before, or a list or an object that is made anew. */
function isAnew(given: t.Node, name: string): boolean {
  const node = bare(given);
  if (node.type === 'ArrayExpression' || node.type === 'ObjectExpression') return true;
  return node.type === 'BinaryExpression' && /^[-+*]$/.test(node.operator) && follows(node, name);
}

/**
 * Signals that an effect reads and sets to another value each time that it runs, without a condition: each setting runs it
 * again. `update` reads nothing that is followed. Calls of signals stand as their members here.
 */
export function setAgain(body: Body, run: FunctionNode): AgainFact[] {
  const statements = run.body.type === 'BlockStatement' ? reached(run.body.body) : [];
  const expressions = run.body.type === 'BlockStatement' ? [] : [run.body];
  const calls = [...statements.flatMap((one) => (one.type === 'ExpressionStatement' ? [one.expression] : [])), ...expressions].map(bare);
  return calls.flatMap((call): AgainFact[] => {
    const callee = call.type === 'CallExpression' ? call.callee : undefined;
    const [given] = call.type === 'CallExpression' ? call.arguments : [];
    if (!given || callee?.type !== 'MemberExpression' || keyName({ key: callee.property }) !== 'set') return [];
    const { object } = callee;
    const name =
      object.type === 'MemberExpression' && object.object.type === 'ThisExpression' ? keyName({ key: object.property }) : undefined;
    const meaning = name === undefined ? undefined : body.own?.(name, spanOf(callee));
    if (name === undefined || meaning?.kind !== 'value' || body.values[meaning.value]?.observable !== true || !isAnew(given, name))
      return [];
    const isRead = follows(given, name) || statements.some((one) => readsApart(one, name, callee));
    return isRead ? [{ value: meaning.value, span: spanOf(call), by: 'an effect' }] : [];
  });
}

/** Whether a statement reads a signal elsewhere than where it is set. */
function readsApart(node: t.Node, name: string, setter: t.Node): boolean {
  if (node === setter || isFunction(node) || (node.type === 'CallExpression' && dottedName(node.callee) === 'untracked')) return false;
  if (
    node.type === 'CallExpression' &&
    node.callee.type === 'MemberExpression' &&
    /^(?:set|update)$/.test(keyName({ key: node.callee.property }) ?? '')
  )
    return node.arguments.some((one) => readsApart(one, name, setter));
  if (node.type === 'MemberExpression' && node.object.type === 'ThisExpression' && keyName({ key: node.property }) === name) return true;
  let found = false;
  forEachChild(node, (child) => {
    found ||= readsApart(child, name, setter);
  });
  return found;
}
