import type * as t from '@babel/types';
import { bare, dottedName, isFunction, keyName, resultOf } from './syntax';

/** Methods that give what they are called on in another form. */
const methods = new Set(['trim', 'toString', 'toLowerCase', 'toUpperCase', 'toFixed', 'toISOString', 'normalize']);

/** Those that do so where they are handed nothing. */
const bareMethods = new Set(['slice', 'concat', 'toSorted', 'toReversed']);

/** Functions that give what they are handed in another form, and classes. */
const functions = new Set([
  'String',
  'Number',
  'parseInt',
  'parseFloat',
  'structuredClone',
  'cloneDeep',
  'JSON.stringify',
  'JSON.parse',
  'Array.from',
]);
const classes = new Set(['Date', 'Set', 'Map']);

/** `rows.map((row) => ({ ...row }))`: each by itself again. */
function copiesEach(given: t.Node | undefined): boolean {
  const result = given && isFunction(given) ? resultOf(given) : undefined;
  const [param] = given && isFunction(given) ? given.params : [];
  const made = result && bare(result);
  const [only, ...more] = made?.type === 'ObjectExpression' ? made.properties : [];
  return more.length === 0 && only?.type === 'SpreadElement' && param?.type === 'Identifier' && dottedName(only.argument) === param.name;
}

/** What a node gives in another form, and nothing else: `note.text.trim()` → `note.text`; undefined where it gives something new. */
function inner(node: t.Node): t.Node | undefined {
  if (node.type === 'NewExpression') return classes.has(dottedName(node.callee) ?? '') ? node.arguments[0] : undefined;
  if (node.type !== 'CallExpression' && node.type !== 'OptionalCallExpression') return undefined;
  const [first] = node.arguments;
  if (functions.has(dottedName(node.callee) ?? '')) return first;
  const { callee } = node;
  if (callee.type !== 'MemberExpression' && callee.type !== 'OptionalMemberExpression') return undefined;
  const method = keyName({ key: callee.property }) ?? '';
  const isCopy = methods.has(method) || (bareMethods.has(method) && first === undefined) || (method === 'map' && copiesEach(first));
  return isCopy ? callee.object : undefined;
}

/** Whether a node gives what a name holds in another form: as a text, a number, a list or an object of its own. */
export function isConverted(given: t.Node | null | undefined): boolean {
  let node = given ? bare(given) : undefined;
  let steps = 0;
  for (let next = node && inner(node); next; next = inner(node)) {
    node = bare(next);
    steps++;
  }
  return steps > 0 && /^(?:Identifier|(?:Optional)?MemberExpression)$/.test(node?.type ?? '');
}
