import type { KnownUse } from '../flow';
import type { Span } from '../model/span';
import { speltBindings } from './prop-spelt';
import { locate } from '../model/span';
import type { Found, Rule } from './rule';

type Lost = { readonly slot: string; readonly span: Span };

/** Contents of a use that the component renders nowhere. */
function lostContents(known: KnownUse): Lost[] {
  const { use, target } = known;
  const { facts, contract } = target;
  if (contract.openness === 'open' || facts.openness === 'open' || facts.wrappedBy.length > 0) return [];
  const { node } = use;
  const lost: Lost[] = [];
  const isFile = facts.form === 'file';
  // A slot whose name is known only while running may be any of them.
  if (isFile && facts.slots.some((slot) => /[[\]{}$*]/.test(slot.name))) return [];
  const takesContent = contract.props.has('children') || (isFile && facts.slots.some((slot) => slot.name === 'children'));
  if (node.content !== 'none' && !takesContent && (isFile || contract.openness === 'closed'))
    lost.push({ slot: 'children', span: node.children[0]?.span ?? node.nameSpan });
  // Of a misspelt name another rule speaks.
  const spelt = new Set(speltBindings(known).map((one) => one.binding));
  if (target.framework === 'vue' || target.framework === 'svelte')
    for (const binding of node.bindings)
      if (binding.markup && binding.name.startsWith('#') && !contract.props.has(binding.name) && !spelt.has(binding))
        lost.push({ slot: binding.name, span: binding.nameSpan });
  return lost;
}

/** Content is given that the component does not render. */
export const slotNowhere: Rule = {
  ofUse: (known) =>
    lostContents(known).map(({ slot, span }): Found => {
      const { use, owner, target } = known;
      const at = locate(use.file, span);
      const words = slot === 'children' ? 'content between its tags' : `content for ${slot}`;
      return {
        rule: 'slot-nowhere',
        component: owner.id,
        subject: slot,
        at,
        words: { target: target.name, content: words, slot },
        evidence: [
          { at, says: `${owner.name} gives ${target.name} ${words}.` },
          { at: locate(target.file, target.facts.nameSpan), says: `${target.name} has no place for it.` },
        ],
        touches: target.id,
      };
    }),
};
