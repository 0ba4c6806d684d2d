import type * as t from '@babel/types';
import type { Body } from './body';
import { shufflingMethods } from './lists';
import { bare, calleeName, dottedName } from './syntax';

/** How the items of a list stand: always the same, put in another order while rendering, or not known. */
export function orderOf(body: Body, list: t.Node): 'constant' | 'shuffled' | 'unknown' {
  const node = bare(list);
  switch (node.type) {
    case 'ArrayExpression':
      return node.elements.every((one) => one?.type !== 'SpreadElement' || fixedLength(one.argument)) ? 'constant' : 'unknown';
    case 'ObjectExpression':
      return 'constant';
    case 'Identifier':
      return body.module.constants.has(node.name) ? 'constant' : 'unknown';
    case 'CallExpression':
    case 'OptionalCallExpression': {
      const name =
        calleeName(node) ??
        (node.callee.type === 'MemberExpression' && node.callee.property.type === 'Identifier' ? node.callee.property.name : '');
      if (fixedLength(node)) return 'constant';
      if (/^(entries|keys|values)$/.test(name) && node.arguments[0]) return orderOf(body, node.arguments[0]);
      if (node.callee.type !== 'MemberExpression' && node.callee.type !== 'OptionalMemberExpression') return 'unknown';
      const inner = orderOf(body, node.callee.object);
      if (inner === 'constant') return name === 'fill' || name === 'map' ? 'constant' : shufflingMethods.has(name) ? 'shuffled' : 'unknown';
      return shufflingMethods.has(name) && name !== 'slice' ? 'shuffled' : inner;
    }
    default:
      return 'unknown';
  }
}

/** `Array(3)`, `new Array(n)`, `Array.from({ length })`, `'a b'.split(' ')`: a list without items of its own. */
export function fixedLength(node: t.Node): boolean {
  if (node.type === 'NewExpression') return dottedName(node.callee) === 'Array';
  if (node.type !== 'CallExpression') return false;
  const name = dottedName(node.callee);
  if (name === 'Array') return true;
  if (name === 'Array.from') return node.arguments[0]?.type === 'ObjectExpression';
  if (node.callee.type === 'MemberExpression') return node.callee.object.type === 'NewExpression' && fixedLength(node.callee.object);
  return false;
}

/** The list below the methods that keep its items: `a.b.filter(…).sort()` → `a.b`. */
export function listBelow(list: t.Node): t.Node {
  let node = bare(list);
  while (
    (node.type === 'CallExpression' || node.type === 'OptionalCallExpression') &&
    (node.callee.type === 'MemberExpression' || node.callee.type === 'OptionalMemberExpression') &&
    node.callee.property.type === 'Identifier' &&
    (shufflingMethods.has(node.callee.property.name) || node.callee.property.name === 'concat')
  ) {
    node = bare(node.callee.object);
  }
  return node;
}
