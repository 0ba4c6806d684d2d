import { spelling } from '../../contract';

import { keyOfMember, type Member } from '../../model/member';
import { locate } from '../../model/span';
import { causeAt } from '../precedence';
import type { Found, Rule } from '../rule';
import { deafListeners } from './deaf-listeners';

/** A use listens for an event that the child never raises. */
export const eventNeverRaised: Rule = {
  ofUse: (known) =>
    deafListeners(known)
      .filter((binding) => binding.to.kind !== 'model')
      .map((binding): Found => {
        const { use, owner, target } = known;
        const at = locate(use.file, binding.nameSpan);
        const key = keyOfMember(binding.to as Member);
        const event = spelling(target, key);
        const declared = target.contract.members.get(key)?.declared;
        return {
          rule: 'event-never-raised',
          component: owner.id,
          subject: event,
          causes: [causeAt(use, key)],
          at,
          words: { target: target.name, event, owner: owner.name },
          evidence: [
            { at, text: `${owner.name} listens for ${event}.` },
            declared
              ? { at: declared, text: `${target.name} declares it and never calls it.` }
              : { at: locate(target.file, target.facts.nameSpan), text: `${target.name} does not raise it.` },
          ],
          touches: target.id,
        };
      }),
};
