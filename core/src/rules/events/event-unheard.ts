import { type KnownUse, demandsOf, isGiven, isPlain, spelling, speltBindings } from '../../contract';

import { adapterOf } from '../../frameworks/registry';
import { type MemberKey, memberOf, propKey } from '../../model/member';

import type { EventFact, RaiseFact } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';

import { remembered } from '../../model/remembered';
import { isDeadWithout } from './dead-controls';
import { domEvents, heardKey, isStanding } from './dom-events';
import { counted, listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';

type Offer = { readonly event: EventFact; readonly raise: RaiseFact };

/** Callbacks that a component calls where they are given; one that it calls anyhow throws, of which another rule speaks. */
const offersOf = remembered((component: Component): readonly Offer[] => {
  if (component.isPublic || component.facts.wrappedBy.length > 0) return [];
  const demanded = new Set(demandsOf(component).map((one) => one.prop.key));
  return component.facts.events.flatMap((event): Offer[] => {
    // What is not bound both ways has nobody who should hear of its change.
    if (memberOf(event.key).kind === 'model') return [];
    const prop = component.contract.members.get(event.key);
    const [raise] = event.raised;
    // Only some uses have it: another one raises nothing.
    if (!prop || prop.mixed || prop.required === 'yes' || prop.fallback !== undefined) return [];
    return raise && !demanded.has(event.key) ? [{ event, raise }] : [];
  });
});

/**
 * A component calls an optional callback. Risk where some use does not listen and a control does nothing
 * else, so that it is dead there; tidy where nobody listens anywhere.
 */
export const eventUnheard: Rule = {
  inProject: ({ model, usesOf }) =>
    [...model.components.values()].flatMap((component) => {
      const offered = offersOf(component);
      const known = usesOf(component.id);
      if (offered.length === 0 || known.length === 0) return [];
      const { id } = component;
      const all = (model.usesOf.get(id) ?? []).filter((use) => model.components.get(use.owner)?.fileRole === 'source');
      if (all.length !== known.length || known.some((one) => !isPlain(one))) return [];
      // Another framework listens by names of its own.
      if (known.some(({ owner }) => owner.framework !== component.framework)) return [];
      const table = component.facts.element ? domEvents(model) : undefined;
      // Where a use stands on no page, nobody knows what is around it.
      if (table && !isStanding(table, known)) return [];
      // What is asked for is no event that is told: whether anybody answers is another question.
      const asked = new Set(component.facts.values.flatMap(({ kind, source }) => (kind === 'context' && source ? [source] : [])));
      return offered.flatMap(({ event, raise }): Found[] => {
        if (asked.has(`key:'${event.name}'`)) return [];
        const isHeardAround = ({ use }: KnownUse): boolean => table?.heardAt.has(heardKey(use.id, event.name)) ?? false;
        const unheard = known.filter((one) => isUnheard(one, event.key) && !isHeardAround(one));
        const heard = known.filter((one) => isGiven(one, event.key) || isHeardAround(one));
        // Of one that somebody waits for and that does not come as far, another rule speaks.
        // A script of a page may listen on what it finds there.
        if (table && listenedByScripts(model).has(event.name)) return [];
        const isKept = [...(table?.keptFrom.values() ?? [])].some(
          (one) => one.component === component && one.send.channel.event === event.name,
        );
        if (isKept || (table && unheard.length > 0 && isForPlatform(component, event))) return [];
        if (unheard.length === 0) return [];
        // Where others listen, a use without a listener is an oversight only if the control is dead there.
        if (heard.length > 0 && !isDeadWithout(component.facts, event.key)) return [];
        const at = locate(component.file, raise.span);
        // What travels through the document has one name at both of its ends.
        const name = component.facts.element ? event.name : spelling(component, event.key);
        const owners = [...new Set(unheard.map((one) => one.owner.name))];
        return [
          {
            rule: 'event-unheard',
            severity: heard.length > 0 ? 'risk' : 'tidy',
            component: id,
            subject: name,
            at,
            words: {
              component: component.name,
              event: name,
              unheard: `${counted(unheard.length, 'use')} of ${known.length}, in ${listed(owners)}`,
              owners: listed(owners),
              some: heard.length > 0 ? 'yes' : '',
            },
            evidence: [
              { at, text: `${component.name} raises ${name}.` },
              ...unheard
                .slice(0, 4)
                .map((one) => ({ at: locate(one.use.file, one.use.node.nameSpan), text: `${one.owner.name} does not listen here.` })),
              ...heard
                .slice(0, 1)
                .map((one) => ({ at: locate(one.use.file, one.use.node.nameSpan), text: `${one.owner.name} listens here.` })),
            ],
            loose: {
              kind: 'event',
              name: component.contract.members.get(event.key)?.name ?? event.name,
              at,
              uses: unheard.map((one) => one.use.id),
              raised: true,
            },
            touches: id,
          },
        ];
      });
    }),
};

/** Names of events that scripts listen for which are no components: they ask the page for elements. */
const listenedByScripts = remembered(
  ({ files }: Model): ReadonlySet<string> =>
    new Set([...files.values()].flatMap(({ components, listens = [] }) => (components.length === 0 ? listens : []))),
);

/** Events that the platform, or whoever sets a page up, listens for. */
const isForPlatform = ({ framework }: Component, { name }: EventFact): boolean =>
  (adapterOf(framework).link.heardOutside?.test(name) ?? false) ||
  /^(?:change|input|select|toggle|close|open|cancel|scroll|refresh|submit|reset|invalid|load|error)$/.test(name);

/** A part that is switched off raises nothing; of an event under a misspelt name another rule speaks. */
function isUnheard(known: KnownUse, event: MemberKey): boolean {
  if (speltBindings(known).some((one) => one.declared === event)) return false;
  return !isGiven(known, event) && !isGiven(known, propKey('disabled')) && !isGiven(known, propKey('readOnly'));
}
