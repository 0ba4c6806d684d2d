import type { Binding, TemplateNode, TemplateUse } from './facts';
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

/** A template with some of its uses in another form; the same one where none is. */
export function mapUses(nodes: readonly TemplateNode[], change: (use: TemplateUse) => TemplateUse): readonly TemplateNode[] {
  const next = nodes.map((node) => nodeWith(node, change));
  return next.every((one, index) => one === nodes[index]) ? nodes : next;
}

function nodeWith(node: TemplateNode, change: (use: TemplateUse) => TemplateUse): TemplateNode {
  switch (node.kind) {
    case 'text':
      return node;
    case 'outlet': {
      const fallback = node.fallback && mapUses(node.fallback, change);
      return fallback === node.fallback ? node : { ...node, ...(fallback ? { fallback } : {}) };
    }
    case 'repeat':
    case 'branch': {
      const children = mapUses(node.children, change);
      return children === node.children ? node : { ...node, children };
    }
    case 'element':
    case 'use': {
      const children = mapUses(node.children, change);
      const bindings = node.bindings.map((one): Binding => {
        const markup = one.markup && mapUses(one.markup, change);
        return markup === one.markup || !markup ? one : { ...one, markup };
      });
      const isSame = children === node.children && bindings.every((one, index) => one === node.bindings[index]);
      const inner = isSame ? node : { ...node, children, bindings };
      return inner.kind === 'use' ? change(inner) : inner;
    }
  }
}
