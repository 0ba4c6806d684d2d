import type { TemplateNode, TemplateUse } from './facts';
import { append } from './append';

/** Children of a template node, in the order of the text: markup in its bindings, then its content. */
export function templateChildren(node: TemplateNode): readonly TemplateNode[] {
  switch (node.kind) {
    case 'element':
    case 'use': {
      let given: TemplateNode[] | undefined;
      for (const binding of node.bindings) if (binding.markup) append((given ??= []), binding.markup);
      return given ? [...given, ...node.children] : node.children;
    }
    case 'repeat':
    case 'branch':
      return node.children;
    case 'outlet':
      return node.fallback ?? [];
    case 'text':
      return [];
  }
}

/** Visits every node of a template, parents first, in the order of the text; without recursion. */
export function walkTemplate(nodes: readonly TemplateNode[], visit: (node: TemplateNode) => void): void {
  const stack = [...nodes].reverse();
  for (let node = stack.pop(); node; node = stack.pop()) {
    visit(node);
    const children = templateChildren(node);
    for (let at = children.length - 1; at >= 0; at--) stack.push(children[at] as TemplateNode);
  }
}

/** The uses of components in a template, in the order of the text. */
export function usesIn(nodes: readonly TemplateNode[]): TemplateUse[] {
  const uses: TemplateUse[] = [];
  walkTemplate(nodes, (node) => {
    if (node.kind === 'use') uses.push(node);
  });
  return uses;
}
