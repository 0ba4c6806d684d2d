import type * as t from '@babel/types';
import { dottedName, pushChildren } from '../../../read/script/syntax';

/** What every element, fragment or created element has in its text; strings and comments may have it too. */
const hint = /<\/|\/>|(?:create|clone)Element/g;

function hintsIn(text: string, creating: ReadonlySet<string>): number[] {
  const found: number[] = [];
  const pattern = creating.size === 0 ? hint : new RegExp(`${hint.source}|\\b(?:${[...creating].join('|')})\\(`, 'g');
  for (const match of text.matchAll(pattern)) found.push(match.index);
  return found;
}

const creatingByModule = new WeakMap<object, ReadonlySet<string>>();

/** The names that `creatingNames` finds in a module's text. */
export function creatingIn(module: { readonly text: string }): ReadonlySet<string> {
  const known = creatingByModule.get(module) ?? creatingNames(module.text);
  creatingByModule.set(module, known);
  return known;
}

/** Other names that a text gives to the function that creates elements: `const e = React.createElement`. */
function creatingNames(text: string): ReadonlySet<string> {
  if (!text.includes('createElement')) return new Set();
  return new Set(
    [...text.matchAll(/\b(?:const|let|var)\s+(\w+)\s*=\s*(?:\w+\.)?createElement\b(?!\s*\()/g)].map((match) => match[1] ?? ''),
  );
}

/** `document.createElement('p')`: an element of the page, and no markup of a component. */
export const isOfDocument = ({ callee }: t.CallExpression | t.OptionalCallExpression): boolean =>
  (callee.type === 'MemberExpression' || callee.type === 'OptionalMemberExpression') &&
  /(?:^|\.)(?:document|ownerDocument|doc)$/i.test(dottedName(callee.object) ?? '');

function isMarkup(node: t.Node, creating: ReadonlySet<string>): boolean {
  if (node.type === 'JSXElement' || node.type === 'JSXFragment') return true;
  if (node.type !== 'CallExpression' || isOfDocument(node)) return false;
  const { callee } = node;
  const name =
    callee.type === 'Identifier'
      ? callee.name
      : callee.type === 'MemberExpression' && callee.property.type === 'Identifier'
        ? callee.property.name
        : '';
  return name === 'createElement' || name === 'cloneElement' || creating.has(name);
}

/** Looks below a node for markup; the last children first, because that is where functions return it. */
function search(root: t.Node, creating: ReadonlySet<string>): boolean {
  const stack: t.Node[] = [root];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (isMarkup(node, creating)) return true;
    pushChildren(node, stack);
  }
  return false;
}

/**
 * Answers for each node of a module whether markup begins within it. The text is asked first, so
 * that the tree is searched only where there may be some.
 */
export function markupFinder(text: string): (node: t.Node) => boolean {
  const creating = creatingNames(text);
  const hints = hintsIn(text, creating);
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
    const found = known.get(node) ?? search(node, creating);
    known.set(node, found);
    return found;
  };
}
