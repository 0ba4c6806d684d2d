import { type KnownUse, unknownBindings } from '../flow';
import type { Binding } from '../model/facts';
import { locate } from '../model/span';
import { listenedEvent } from './event-never-raised';
import { speltBindings } from './prop-spelt';
import type { Found, Rule } from './rule';

/** Listeners and slots have rules of their own, and so has what Vue binds both ways. */
function isOfOtherRule({ target }: KnownUse, binding: Binding): boolean {
  if (listenedEvent(binding) !== undefined || /^(#|bind:|@)/.test(binding.name)) return true;
  return binding.direction === 'two-way' && target.framework === 'vue';
}

/** A use gives a prop that the component neither declares nor lets through. */
export const propUnknown: Rule = {
  ofUse: (known) => {
    const spelt = new Set(speltBindings(known).map((one) => one.binding));
    return unknownBindings(known)
      .filter((binding) => !spelt.has(binding) && !isOfOtherRule(known, binding))
      .map((binding): Found => {
        const { use, owner, target } = known;
        const at = locate(use.file, binding.nameSpan);
        return {
          rule: 'prop-unknown',
          component: owner.id,
          subject: binding.name,
          at,
          words: { target: target.name, prop: binding.name },
          evidence: [
            { at, says: `${owner.name} gives ${binding.name}.` },
            { at: locate(target.file, target.facts.nameSpan), says: `${target.name} does not take it.` },
          ],
          touches: target.id,
        };
      });
  },
};
