import { isElement, isWithin } from '../../overlap';
import type { PageNode, PageTree } from './read';

/** Names that stand in a selector as they are. Others are told apart by position. */
const isPlainName = (name: string): boolean => /^-?[A-Za-z_][\w-]*$/.test(name);

/** How often each id, and each tag with a class, stands in a page. */
type Index = {
  readonly ids: ReadonlyMap<string, number>;
  readonly classes: ReadonlyMap<string, number>;
  /** Steps and answers found so far: the same are asked for again and again. */
  readonly steps: Map<PageNode, string>;
  readonly found: Map<string, number>;
};

const indexes = new WeakMap<PageTree, Index>();

function indexOf(tree: PageTree): Index {
  const known = indexes.get(tree);
  if (known) return known;
  const ids = new Map<string, number>();
  const classes = new Map<string, number>();
  for (const node of tree.nodes) {
    const id = node.attributes['id'];
    if (id) ids.set(id, (ids.get(id) ?? 0) + 1);
    for (const token of new Set(node.tokens)) classes.set(token, (classes.get(token) ?? 0) + 1);
  }
  const index: Index = { ids, classes, steps: new Map(), found: new Map() };
  indexes.set(tree, index);
  return index;
}

function step(tree: PageTree, node: PageNode): string {
  const { steps } = indexOf(tree);
  if (!steps.has(node)) noteSteps(tree, tree.nodes[node.parent]?.children ?? [node.index], steps);
  return steps.get(node) ?? node.label;
}

/** Notes the step to each element among the children of one node. */
function noteSteps(tree: PageTree, children: readonly number[], steps: Map<PageNode, string>): void {
  const siblings = children.flatMap((child) => {
    const sibling = tree.nodes[child];
    return sibling && isElement(sibling) ? [sibling] : [];
  });
  const counts = new Map<string, number>();
  for (const { label } of siblings) counts.set(label, (counts.get(label) ?? 0) + 1);
  const seen = new Map<string, number>();
  siblings.forEach((node, at) => {
    const turn = (seen.get(node.label) ?? 0) + 1;
    seen.set(node.label, turn);
    // `:nth-of-type` needs the tag's name; names with a colon or a dot cannot be written plainly.
    const isPlain = /^[A-Za-z][\w-]*$/.test(node.label);
    const alone = counts.get(node.label) === 1 ? node.label : `${node.label}:nth-of-type(${turn})`;
    steps.set(node, isPlain ? alone : `:nth-child(${at + 1})`);
  });
}

/**
 * A CSS selector that matches this element and no other of the page: its id or a class that nothing
 * else has, else the way down from the nearest element that has one.
 */
export function selectorOf(tree: PageTree, at: number): string {
  const { ids, classes } = indexOf(tree);
  const steps: string[] = [];
  for (let node = tree.nodes[at]; node; node = tree.nodes[node.parent]) {
    const id = node.attributes['id'];
    if (id && isPlainName(id) && ids.get(id) === 1) return [`#${id}`, ...steps].join(' > ');
    const token = node.tokens.find((one) => isPlainName(one) && classes.get(one) === 1);
    if (token) return [`.${token}`, ...steps].join(' > ');
    if (node.parent < 0) return ['body', ...steps].join(' > ');
    steps.unshift(step(tree, node));
  }
  return ['body', ...steps].join(' > ');
}

/**
 * A selector of an element within an item: a class or a tag that stands there once, else the way
 * down. `:scope` is the item itself.
 */
export function selectorWithin(tree: PageTree, item: number, at: number): string {
  if (item === at) return ':scope';
  const node = tree.nodes[at];
  const top = tree.nodes[item];
  if (!node || !top || !isWithin(tree, item, at)) return ':scope';
  const others = tree.nodes.slice(item + 1, top.end).filter((one) => isElement(one) && one !== node);
  const token = node.tokens.find((one) => isPlainName(one) && !others.some((other) => other.tokens.includes(one)));
  if (token) return `.${token}`;
  if (/^[A-Za-z][\w-]*$/.test(node.label) && !others.some((other) => other.label === node.label)) return node.label;
  const steps: string[] = [];
  for (let one: PageNode | undefined = node; one && one.index !== item; one = tree.nodes[one.parent]) steps.unshift(step(tree, one));
  return [':scope', ...steps].join(' > ');
}

/** The element that a selector of `selectorOf` means; -1 where the page has none such any more. */
export function elementAt(tree: PageTree, selector: string): number {
  const { found } = indexOf(tree);
  const known = found.get(selector) ?? elementAnew(tree, selector);
  found.set(selector, known);
  return known;
}

function elementAnew(tree: PageTree, selector: string): number {
  const [first = '', ...steps] = selector.split(' > ');
  let at = tree.nodes.findIndex((node) =>
    first.startsWith('#')
      ? node.attributes['id'] === first.slice(1)
      : first.startsWith('.')
        ? node.tokens.includes(first.slice(1))
        : node.parent < 0 && first === 'body',
  );
  for (const one of steps) {
    const next: number | undefined = tree.nodes[at]?.children.find((child) => {
      const node = tree.nodes[child];
      return node !== undefined && isElement(node) && step(tree, node) === one;
    });
    if (next === undefined) return -1;
    at = next;
  }
  return at;
}
