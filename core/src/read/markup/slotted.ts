import type { TemplateNode } from '../../model/facts';
import type { HtmlAttribute } from './html';

/** The slot that a node is for, by its attribute. */
export type Slotted = { readonly slot: string; readonly at: HtmlAttribute };

/** What is for one slot; without an attribute for the one that has no name. */
export type SlotPart = { readonly at?: HtmlAttribute; readonly nodes: TemplateNode[] };

/**
 * What stands between the tags of a use, by the slot that it is for; the one without a name under the empty text. A
 * condition or a list, whose content the slots are given as if it stood there by itself, goes to each with its part.
 */
export function bySlot(nodes: readonly TemplateNode[], slotted: WeakMap<TemplateNode, Slotted>): Map<string, SlotPart> {
  const found = new Map<string, SlotPart>();
  const put = (slot: string, at: HtmlAttribute | undefined, node: TemplateNode): void => {
    const known = found.get(slot);
    if (known) known.nodes.push(node);
    else found.set(slot, { ...(at ? { at } : {}), nodes: [node] });
  };
  for (const node of nodes) {
    const own = slotted.get(node);
    if (own || (node.kind !== 'branch' && node.kind !== 'repeat') || node.children.length === 0) {
      put(own?.slot ?? '', own?.at, node);
      continue;
    }
    for (const [slot, part] of bySlot(node.children, slotted)) put(slot, part.at, { ...node, children: part.nodes });
  }
  return found;
}

/** Whether a node puts something on the screen that is more than a text: a condition or a list does if anything is in it. */
export const isMarkupNode = (node: TemplateNode): boolean =>
  node.kind === 'branch' || node.kind === 'repeat' ? node.children.length > 0 : node.kind !== 'text';
