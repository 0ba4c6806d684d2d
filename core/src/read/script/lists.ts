import type * as t from '@babel/types';
import type { ChangeFact, Reading, ValueFact } from '../../model/facts';
import { bare, isFunction, keyName, resultOf } from './syntax';

const words = (text: string): ReadonlySet<string> => new Set(text.split(' '));

/** Methods of lists and texts whose result is computed from the receiver. */
export const arrayMethods = words(
  'map flatMap filter find findIndex findLast some every forEach reduce reduceRight sort toSorted reverse toReversed slice splice toSpliced concat join includes indexOf at push pop shift unshift keys values entries flat fill trim split replace replaceAll toLowerCase toUpperCase startsWith endsWith padStart padEnd toString toFixed toLocaleString get has add delete set with',
);

/** Methods that call their argument with one item of the receiver. */
export const itemMethods = words('map flatMap filter find findIndex findLast some every forEach sort toSorted');

/** Methods that change their receiver. */
export const inPlaceMethods = words('push pop shift unshift splice sort reverse fill');

/** Methods that put what they are handed into their receiver, each as one item. */
export const addingMethods = words('push unshift add');

/** Methods that change a map, a set, a date or search parameters, or a store that is held like one. */
export const collectionMethods = words(
  'set add delete clear setKey append setDate setMonth setFullYear setHours setMinutes setSeconds setMilliseconds setTime setUTCDate setUTCMonth setUTCFullYear setUTCHours setUTCMinutes setUTCSeconds',
);

/** Methods that change their receiver and give it back. */
export const selfGivingMethods = words('sort reverse fill add set');

/** Methods that keep the items of a list and may change how many or in which order. */
export const shufflingMethods = words('filter sort toSorted reverse toReversed splice toSpliced slice');

const reordering = words('filter sort toSorted reverse toReversed splice toSpliced');

/** `new Map()`, `() => new Set(…)`, `new Date()`: whether a state is made to hold one that changes by its own methods. */
export function makesCollection(given: t.Node | null | undefined): boolean {
  const node = given && bare(given);
  if (isFunction(node)) return makesCollection(resultOf(node));
  return node?.type === 'NewExpression' && node.callee.type === 'Identifier' && /^(?:Map|Set|Date|URLSearchParams)$/.test(node.callee.name);
}

/** How the list that is set compares with the one before: `[...a, b]` grows at its end, `a.filter(…)` does not. */
export function listOrder(given: t.Node | undefined): 'append' | 'reorder' | undefined {
  if (!given) return undefined;
  const node = bare(given);
  if (isFunction(node)) return listOrder(resultOf(node));
  if (node.type === 'ArrayExpression') {
    const spread = node.elements.findIndex((one) => one?.type === 'SpreadElement');
    if (spread < 0) return undefined;
    return spread === 0 ? 'append' : 'reorder';
  }
  if (node.type === 'ConditionalExpression') return listOrder(node.consequent) ?? listOrder(node.alternate);
  if (node.type === 'CallExpression' && node.callee.type === 'MemberExpression' && node.callee.property.type === 'Identifier') {
    const method = node.callee.property.name;
    if (reordering.has(method)) return 'reorder';
    return method === 'concat' ? 'append' : listOrder(node.callee.object);
  }
  return undefined;
}

/** The same of what `value` is given, where that is a list made of the one that it held. */
export function orderOfNext(value: number, given: t.Node | undefined, from: readonly Reading[]): Pick<ChangeFact, 'order'> {
  const order = from.some((one) => one.value === value) ? listOrder(given) : undefined;
  return order === undefined ? {} : { order };
}

/** The members of an object that begin as a text, a number or a flag. */
export function plainMembersOf(given: t.Node | undefined): Pick<ValueFact, 'plainMembers'> {
  const object = given && bare(given);
  if (object?.type !== 'ObjectExpression') return {};
  const plainMembers = object.properties.flatMap((one) => {
    const isPlain = one.type === 'ObjectProperty' && /^(?:String|Numeric|Boolean|Template)Literal$/.test(bare(one.value).type);
    return (isPlain && keyName(one)) || [];
  });
  return plainMembers.length > 0 ? { plainMembers } : {};
}
