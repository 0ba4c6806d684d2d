import type { TemplateNode } from '../../model/facts';

/** The slot that a node says it is for, and where it says so. */
export type Slotted<At> = { readonly slot: string; readonly at: At };

/** The slots that nodes say they are for; those that say none are not in it. */
export type SlottedNodes<At> = WeakMap<TemplateNode, Slotted<At>>;

/** What is for one slot; without a place for the one that has no name. */
export type SlotPart<At> = { readonly at?: At; readonly nodes: TemplateNode[] };

/** Remembers which slot some nodes are for, where they say one; gives them as they are. */
export function noteSlot<At>(
  slotted: SlottedNodes<At>,
  nodes: TemplateNode[],
  slot: string | undefined,
  at: At | undefined,
): TemplateNode[] {
  if (at !== undefined && slot) for (const one of nodes) slotted.set(one, { slot, at });
  return nodes;
}

/**
 * What stands between the tags of a use, by the slot that it is for; the one without a name under the empty text. A
 * condition or a list, whose content the slots are given as if it stood there by itself, goes to each with its part.
 */
export function bySlot<At>(nodes: readonly TemplateNode[], slotted: SlottedNodes<At>): Map<string, SlotPart<At>> {
  const found = new Map<string, SlotPart<At>>();
  const put = (slot: string, at: At | undefined, node: TemplateNode): void => {
    const known = found.get(slot);
    if (known) known.nodes.push(node);
    else found.set(slot, { ...(at === undefined ? {} : { at }), nodes: [node] });
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
