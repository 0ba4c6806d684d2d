import type * as t from '@babel/types';
import type { TemplateNode } from '../../../model/facts';
import { bare, isCapitalised, pushChildren, spanOf } from '../../../read/script/syntax';

/** A component given as a value: whoever takes it uses it in a way not seen here. */
export function handedOn(tag: string, node: t.Node): TemplateNode {
  const span = spanOf(node);
  return {
    kind: 'use',
    tag,
    span,
    nameSpan: span,
    bindings: [],
    spreads: [{ span, readings: [] }],
    children: [],
    key: { kind: 'none' },
    content: 'none',
    asValue: true,
  };
}

/** Names written as components are, and not as constants in capitals. */
export const isComponentName = (name: string): boolean => isCapitalised(name) && /[a-z]/.test(name);

/**
 * The components that an expression names as values, each once: as a member of an object or a list,
 * as an argument, as one of two. Tags are none of these. Empty where there are none.
 */
export function handedIn(whole: t.Node, isKnown: (name: string) => boolean): TemplateNode[] {
  const found = new Map<string, TemplateNode>();
  const note = (given: t.Node | null | undefined): void => {
    const node = given && bare(given);
    if (node?.type === 'Identifier' && isComponentName(node.name) && isKnown(node.name) && !found.has(node.name))
      found.set(node.name, handedOn(node.name, node));
  };
  const stack: t.Node[] = [whole];
  for (let node = stack.pop(); node; node = stack.pop()) {
    switch (node.type) {
      case 'ObjectProperty':
        note(node.value);
        break;
      case 'ArrayExpression':
        node.elements.forEach(note);
        break;
      case 'CallExpression':
      case 'NewExpression':
        node.arguments.forEach(note);
        break;
      case 'ConditionalExpression':
        note(node.consequent);
        note(node.alternate);
        break;
      case 'LogicalExpression':
        note(node.right);
        break;
      case 'ReturnStatement':
        note(node.argument);
        break;
      case 'ArrowFunctionExpression':
        note(node.body);
        break;
      case 'ObjectPattern':
        continue;
      default:
    }
    pushChildren(node, stack);
  }
  return [...found.values()];
}
