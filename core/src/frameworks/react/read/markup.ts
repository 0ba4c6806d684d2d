import type * as t from '@babel/types';
import { pushChildren } from '../../../read/script/syntax';

/** What every element, fragment or created element has in its text; strings and comments may have it too. */
const hint = /<\/|\/>|(?:create|clone)Element/g;

function hintsIn(text: string): number[] {
  const found: number[] = [];
  for (const match of text.matchAll(hint)) found.push(match.index);
  return found;
}

function isMarkup(node: t.Node): boolean {
  if (node.type === 'JSXElement' || node.type === 'JSXFragment') return true;
  if (node.type !== 'CallExpression') return false;
  const { callee } = node;
  const name =
    callee.type === 'Identifier'
      ? callee.name
      : callee.type === 'MemberExpression' && callee.property.type === 'Identifier'
        ? callee.property.name
        : '';
  return name === 'createElement' || name === 'cloneElement';
}

/** Looks below a node for markup; the last children first, because that is where functions return it. */
function search(root: t.Node): boolean {
  const stack: t.Node[] = [root];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (isMarkup(node)) return true;
    pushChildren(node, stack);
  }
  return false;
}

/**
 * Answers for each node of a module whether markup begins within it. The text is asked first, so
 * that the tree is searched only where there may be some.
 */
export function markupFinder(text: string): (node: t.Node) => boolean {
  const hints = hintsIn(text);
  const known = new Map<t.Node, boolean>();
  return (node) => {
    let low = 0;
    let high = hints.length;
    const start = node.start ?? 0;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((hints[middle] ?? 0) < start) low = middle + 1;
      else high = middle;
    }
    const first = hints[low];
    if (first === undefined || first >= (node.end ?? 0)) return false;
    const found = known.get(node) ?? search(node);
    known.set(node, found);
    return found;
  };
}
