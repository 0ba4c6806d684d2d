import { type KnownUse, unknownBindings } from '../../contract';
import { keyOfMember, type Member } from '../../model/member';
import { causeAt } from '../precedence';

import { traitsOf } from '../../frameworks/registry';
import type { Binding } from '../../model/facts';
import { locate } from '../../model/span';

import type { Found, Rule } from '../rule';

/** Listeners and content have rules of their own, and so has what is bound both ways by an event. */
function isOfOtherRule({ target }: KnownUse, { to, direction, between }: Binding): boolean {
  return to.kind !== 'prop' || between === true || (direction === 'two-way' && traitsOf(target).twoWay === 'event');
}

/** A function that makes a component around any other gives each the same, whether it takes that or not. */
const isOfMaker = ({ owner, use }: KnownUse): boolean => owner.facts.hole !== undefined && use.node.tag === owner.facts.hole;

/** A use gives a prop that the component neither declares nor lets through, or markup a property that its element does not have. */
export const propUnknown: Rule = {
  inComponent: (component) =>
    (component.facts.untaken ?? [])
      .filter((one) => !one.by)
      .map(({ name, span, tag }): Found => {
        const at = locate(component.file, span);
        return {
          rule: 'prop-unknown',
          component: component.id,
          subject: name,
          at,
          words: { target: `<${tag}>`, prop: name, text: '', element: 'yes' },
          evidence: [{ at, text: `${component.name} gives ${name}, and nothing that it may use takes it.` }],
          touches: component.id,
        };
      }),
  ofUse: (known) =>
    (isOfMaker(known) ? [] : unknownBindings(known))
      .filter((binding) => !isOfOtherRule(known, binding))
      .map((binding): Found => {
        const { use, owner, target } = known;
        const at = locate(use.file, binding.nameSpan);
        return {
          rule: 'prop-unknown',
          component: owner.id,
          subject: binding.to.name,
          causes: [causeAt(use, keyOfMember(binding.to as Member))],
          at,
          // Written as a text, it stays on the element and does no harm.
          ...(binding.asAttribute && target.facts.selected ? { severity: 'risk' as const } : {}),
          words: { target: target.name, prop: binding.to.name, text: binding.asAttribute && target.facts.selected ? 'yes' : '' },
          evidence: [
            { at, text: `${owner.name} gives ${binding.to.name}.` },
            { at: locate(target.file, target.facts.nameSpan), text: `${target.name} does not take it.` },
          ],
          touches: target.id,
        };
      }),
};
