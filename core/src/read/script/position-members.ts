import type * as t from '@babel/types';
import { parseExpressionAt } from './parse';
import { bare, forEachChild, isFunction, keyName, patternNames, resultOf } from './syntax';

/** A callback of `map` that takes the position too: what is looked for before anything is parsed. */
const takesPosition = /\.map\(\s*(?:function\s*\w*\s*)?\(\s*(?:\w+|\{[^{}]*\}|\[[^[\]]*\])\s*(?::[^,()]+)?,/;

/**
 * Members that the items of a list get from their position alone, `rows.map((row, at) => ({ ...row, id: at }))` → `id`:
 * such a member stays with the place and not with the item. Empty where the text makes no such list, or cannot be parsed.
 */
export function positionMembers(formula: string): readonly string[] {
  if (!takesPosition.test(formula)) return [];
  const root = parseExpressionAt(formula, { start: 0, end: formula.length }, 'tsx');
  const found = new Set<string>();
  const stack = root ? [root as t.Node] : [];
  for (let node = stack.pop(); node; node = stack.pop()) {
    for (const name of membersByPosition(node)) found.add(name);
    forEachChild(node, (child) => stack.push(child));
  }
  return [...found];
}

function membersByPosition(node: t.Node): string[] {
  if (node.type !== 'CallExpression' || node.callee.type !== 'MemberExpression') return [];
  const { property } = node.callee;
  const [run] = node.arguments;
  if (property.type !== 'Identifier' || property.name !== 'map' || !isFunction(run)) return [];
  const [item, position] = run.params;
  const result = resultOf(run);
  const made = result && bare(result);
  if (!item || position?.type !== 'Identifier' || made?.type !== 'ObjectExpression') return [];
  const ofItem = new Set(patternNames(item).map(({ name }) => name));
  return made.properties.flatMap((one) => {
    const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    if (one.type !== 'ObjectProperty' || name === undefined) return [];
    const read = namesIn(one.value);
    return read.has(position.name) && ![...ofItem].some((each) => read.has(each)) ? [name] : [];
  });
}

function namesIn(root: t.Node): ReadonlySet<string> {
  const names = new Set<string>();
  const stack = [root];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.type === 'Identifier') names.add(node.name);
    forEachChild(node, (child) => stack.push(child));
  }
  return names;
}
