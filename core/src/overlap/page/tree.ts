/**
 * A tree of markup as overlap sees it: a page's elements, or a component's template. Nodes stand in
 * the order of the text, so that a node's descendants follow it without a gap.
 */
export type MarkupTree = { readonly nodes: readonly MarkupNode[] };

export type MarkupNode = {
  readonly index: number;
  /** Index of the node around it; -1 for the first. */
  readonly parent: number;
  readonly depth: number;
  /** The element's name, `textLabel` for text, `spaceLabel` for space between elements. */
  readonly label: string;
  /** Its classes, or whatever else tells nodes of one label apart. */
  readonly tokens: readonly string[];
  readonly children: readonly number[];
  /** Index after its last descendant. */
  readonly end: number;
};

export const textLabel = '#text';
export const spaceLabel = '#space';

export const isElement = (node: MarkupNode): boolean => !node.label.startsWith('#');

/** How many elements a node holds, itself counted. */
export function elementCount(tree: MarkupTree, at: number): number {
  const node = tree.nodes[at];
  if (!node) return 0;
  let count = 0;
  for (let index = at; index < node.end; index++) if (tree.nodes[index] && isElement(tree.nodes[index] as MarkupNode)) count++;
  return count;
}

/** The elements right below a node. */
export function elementChildren<Node extends MarkupNode>(tree: { readonly nodes: readonly Node[] }, at: number): Node[] {
  return (tree.nodes[at]?.children ?? []).flatMap((child) => {
    const node = tree.nodes[child];
    return node && isElement(node) ? [node] : [];
  });
}

/** Tells whether `inner` lies within `outer`; a node lies within itself. */
export function isWithin(tree: MarkupTree, outer: number, inner: number): boolean {
  return outer <= inner && inner < (tree.nodes[outer]?.end ?? -1);
}
