import { type KnownUse, spelling } from '../../contract';

import { keyOfMember, type Member } from '../../model/member';
import { locate } from '../../model/span';
import { causeAt } from '../precedence';
import type { Found, Rule } from '../rule';
import type { Binding } from '../../model/facts';
import { walkTemplate } from '../../model/walk';
import { deafListeners } from './deaf-listeners';
import { domEvents, placeKey } from './dom-events';

/** What is told of a listener for an event that the child never raises. */
function toldOf(known: KnownUse, binding: Binding): Found {
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
}

/** What stands around a slot hears what its users put there, who may raise anything. */
function holdsSlot({ use }: KnownUse): boolean {
  let found = false;
  walkTemplate([use.node], (node) => {
    found ||= node.kind === 'outlet';
  });
  return found;
}

const isOwnEvent = (binding: Binding): boolean => binding.to.kind !== 'model';

/** A use listens for an event that the child never raises. */
export const eventNeverRaised: Rule = {
  ofUse: (known) =>
    known.target.facts.element
      ? []
      : deafListeners(known)
          .filter(isOwnEvent)
          .map((binding) => toldOf(known, binding)),
  // An event of the document may come from further down, or from what stands in a slot.
  inProject: ({ model, uses }) => {
    const { heardBy, keptFrom, standing, told } = domEvents(model);
    return uses.flatMap((known) =>
      known.target.facts.element && standing.has(known.use.id)
        ? deafListeners(known)
            .filter(
              (binding) =>
                isOwnEvent(binding) &&
                !holdsSlot(known) &&
                !heardBy.has(binding) &&
                !keptFrom.has(binding) &&
                !told.has(placeKey(known.use.file, binding.span)),
            )
            .map((binding) => toldOf(known, binding))
        : [],
    );
  },
};
