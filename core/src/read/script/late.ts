import type * as t from '@babel/types';
import type { Span } from '../../model/span';
import { bare, forEachChild, type FunctionNode, isFunction, keyName, spanOf } from './syntax';

/** Functions that run what they are given at another time. */
const later = /^(then|catch|finally|setTimeout|setInterval|requestAnimationFrame|requestIdleCallback|queueMicrotask)$/;

/**
 * Stretches of a function that run after it has returned for the first time: what follows its first
 * `await`, and functions that it gives to promises and timers. Empty for none.
 */
export function lateStretches(run: FunctionNode): Span[] {
  const found: Span[] = [];
  const visit = (node: t.Node): void => {
    if (isFunction(node)) return;
    if (node.type === 'AwaitExpression') {
      visit(node.argument);
      found.push({ start: node.end ?? 0, end: run.end ?? 0 });
      return;
    }
    if (node.type === 'CallExpression' || node.type === 'OptionalCallExpression') {
      const callee = bare(node.callee);
      const isMember = callee.type === 'MemberExpression' || callee.type === 'OptionalMemberExpression';
      const name = callee.type === 'Identifier' ? callee.name : isMember ? keyName({ key: callee.property }) : undefined;
      if (name !== undefined && later.test(name)) for (const one of node.arguments) if (isFunction(one)) found.push(spanOf(one));
    }
    forEachChild(node, visit);
  };
  visit(run.body);
  return found;
}
