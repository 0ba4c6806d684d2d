import { isGiven, spelling } from '../../contract';

import { traitsOf } from '../../frameworks/registry';

import type { Component } from '../../model/model';
import { locate } from '../../model/span';
import { allUses, ownComponents } from '../shared/all-uses';
import type { Check, Found, Rule } from '../rule';

function idleIn(check: Check, component: Component): Found[] {
  const { facts } = component;
  if (traitsOf(component).onlyProps || facts.openness === 'open' || facts.raisesUnseen || facts.wrappedBy.length > 0) return [];
  const idle = facts.events.filter((event) => event.raised.length === 0);
  if (idle.length === 0) return [];
  const uses = allUses(check, component);
  if (!uses) return [];
  return idle.flatMap((event): Found[] => {
    if (uses.some((known) => isGiven(known, event.key))) return [];
    const name = spelling(component, event.key);
    const at = locate(component.file, event.span);
    return [
      {
        rule: 'event-idle',
        component: component.id,
        subject: name,
        at,
        words: { component: component.name, event: name },
        evidence: [{ at, text: `${component.name} declares ${name}, and no line of it raises it.` }],
        goes: [{ count: 1, what: 'event' }],
        touches: component.id,
      },
    ];
  });
}

/** A declared event is never raised and nobody listens. */
export const eventIdle: Rule = {
  inProject: (check) => ownComponents(check.model).flatMap((component) => idleIn(check, component)),
};
