import { type KnownUse, spelling, unknownBindings } from '../../contract';

import { causeAt } from '../precedence';
import { anySlot, defaultSlot, type MemberKey } from '../../model/member';
import { bindingKey } from '../../model/given';

import type { Span } from '../../model/span';
import { locate } from '../../model/span';
import { traitsOf } from '../../frameworks/registry';
import type { Found, Rule } from '../rule';
import { isDynamic } from './dynamic';

type Lost = { readonly slot: MemberKey; readonly span: Span };

/** Content between the tags that would reach the component as a prop, which it does not take. */
const lostBetween = (known: KnownUse): Lost[] =>
  unknownBindings(known).flatMap((binding) => {
    const slot = binding.between && bindingKey(binding);
    return slot === undefined ? [] : [{ slot, span: binding.nameSpan }];
  });

/** Contents of a use that the component renders nowhere. */
function lostContents(known: KnownUse): Lost[] {
  const { use, target } = known;
  const { facts, contract } = target;
  if (contract.openness === 'open' || facts.openness === 'open' || facts.wrappedBy.length > 0) return [];
  const { node } = use;
  const lost: Lost[] = [];
  const isFile = facts.form === 'file' || facts.form === 'element';
  if (isFile && facts.slots.some((slot) => isDynamic(target, slot.key))) return [];
  // What stands between the tags of an element without a shadow tree is there as it is.
  if (facts.element?.keepsContent && facts.element.root === 'light') return [];
  const takesContent = contract.members.has(defaultSlot) || (isFile && facts.slots.some((slot) => slot.key === defaultSlot));
  const declared = contract.members.get(defaultSlot);
  // Its type declares content, and the component takes all of its props apart without it.
  const isLeft =
    declared?.taken === false && !isFile && contract.openness === 'closed' && facts.openness === 'closed' && facts.form === 'function';
  // What is only handed on, where a page gives nothing, is nothing.
  const isHandedOn =
    traitsOf(target).madeOnce &&
    node.content !== 'text' &&
    node.children.every((one) => one.kind === 'outlet' && !one.fallback && !one.fallbackText);
  if (node.content !== 'none' && !isHandedOn && (isLeft || !takesContent) && (isFile || contract.openness === 'closed'))
    lost.push({ slot: defaultSlot, span: node.children[0]?.span ?? node.nameSpan });
  for (const binding of node.bindings) {
    const key = binding.to.kind === 'slot' && binding.markup ? bindingKey(binding) : undefined;
    if (key !== undefined && key !== anySlot && !contract.members.has(key)) lost.push({ slot: key, span: binding.nameSpan });
  }
  return lost;
}

/** Content is given that the component does not render. */
export const slotNowhere: Rule = {
  ofUse: (known) =>
    [...lostContents(known), ...lostBetween(known)].map(({ slot: key, span }): Found => {
      const { use, owner, target } = known;
      const at = locate(use.file, span);
      const slot = spelling(target, key);
      const words = key === defaultSlot ? 'content between its tags' : `content for ${slot}`;
      return {
        rule: 'slot-nowhere',
        component: owner.id,
        subject: slot,
        causes: [causeAt(use, key)],
        at,
        words: { target: target.name, content: words, slot },
        evidence: [
          { at, text: `${owner.name} gives ${target.name} ${words}.` },
          { at: locate(target.file, target.facts.nameSpan), text: `${target.name} has no place for it.` },
        ],
        touches: target.id,
      };
    }),
};
