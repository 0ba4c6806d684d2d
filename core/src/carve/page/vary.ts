import { type Overlay, overlay, spaceLabel, textLabel } from '../../overlap';
import type { PageTree } from './read';
import { selectorWithin } from './selector';
import { ownValue } from '../../model/own-value';

export const variationKinds = ['text', 'image', 'link', 'class', 'presence', 'attribute'] as const;
export type VariationKind = (typeof variationKinds)[number];

/** One thing in which alike items differ. */
export type Variation = {
  readonly what: VariationKind;
  /** Selector of the element within the item; `:scope` is the item itself. */
  readonly where: string;
  /** The attribute's name; empty for a text and for presence. */
  readonly attribute: string;
  /** The overlay's node that differs. */
  readonly node: Overlay;
  /** What each item has here, in the order of the items: `present` or empty for presence; undefined where the element is missing. */
  readonly values: readonly (string | undefined)[];
};

const imageAttributes = new Set(['src', 'srcset', 'alt', 'poster']);
/** Attributes that only tie elements together: each item has its own by need. */
const wiring = /^(id|for|name|aria-(labelledby|describedby|controls|owns|activedescendant)|data-reactid|key|tabindex)$/;

function kindOf(attribute: string, label: string): VariationKind {
  if (attribute === 'class') return 'class';
  if (imageAttributes.has(attribute) || (attribute === 'xlink:href' && label === 'use')) return 'image';
  return attribute === 'href' ? 'link' : 'attribute';
}

const sameWords = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** Items laid over each other: their nodes, and in what they differ. */
export type Sample = { readonly overlay: Overlay; readonly variations: readonly Variation[] };

/**
 * Lays alike items over each other and tells what varies: texts, pictures, links, classes, presence
 * and other attributes. What is the same in all is not named. `opaque` nodes are parts of their own;
 * of those that `repeat` it does not count how many there are.
 */
export function variationsOf(
  tree: PageTree,
  items: readonly number[],
  opaque: (at: number) => boolean = () => false,
  repeats: (at: number) => boolean = () => false,
): Sample {
  const laid = overlay(tree, items, opaque);
  const variations: Variation[] = [];
  const nodeAt = (at: number) => tree.nodes[at];
  const where = (node: Overlay): string => {
    const turn = node.at.findIndex((at) => at >= 0);
    return selectorWithin(tree, items[turn] ?? -1, node.at[turn] ?? -1);
  };
  const varies = (values: readonly (string | undefined)[]): boolean => new Set(values.filter((value) => value !== undefined)).size > 1;

  const visit = (node: Overlay, parent: Overlay): void => {
    if (node.label === spaceLabel) return;
    if (node.label === textLabel) {
      // Where the element is there and its text is not, the text is empty.
      const values = node.at.map((at, turn) =>
        at >= 0 ? sameWords(nodeAt(at)?.text ?? '') : (parent.at[turn] ?? -1) >= 0 ? '' : undefined,
      );
      if (varies(values)) variations.push({ what: 'text', where: where(parent), attribute: '', node, values });
      return;
    }
    const sample = node.at.find((at) => at >= 0) ?? -1;
    if (node !== laid && repeats(sample)) return;
    const missing = node.at.some((at, turn) => at < 0 && (parent.at[turn] ?? -1) >= 0);
    if (node !== parent && missing) {
      const values = node.at.map((at, turn) => (at >= 0 ? 'present' : (parent.at[turn] ?? -1) >= 0 ? '' : undefined));
      variations.push({ what: 'presence', where: where(node), attribute: '', node, values });
    }
    if (node !== laid && opaque(sample)) return;
    const names = new Set(node.at.flatMap((at) => Object.keys(nodeAt(at)?.attributes ?? {})));
    for (const name of names) {
      if (wiring.test(name)) continue;
      const values = node.at.map((at) => (at >= 0 ? (ownValue(nodeAt(at)?.attributes, name) ?? '') : undefined));
      if (varies(values)) variations.push({ what: kindOf(name, node.label), where: where(node), attribute: name, node, values });
    }
    for (const child of node.children) visit(child, node);
  };
  visit(laid, laid);
  return { overlay: laid, variations };
}
