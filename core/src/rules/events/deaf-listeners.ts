import type { KnownUse } from '../../contract';

import { adapterOf, traitsOf } from '../../frameworks/registry';
import type { Binding, TemplateUse } from '../../model/facts';
import { bindingKey, memberKeyOf } from '../../model/given';
import { type MemberKey, memberOf } from '../../model/member';
import type { Component } from '../../model/model';
import { remembered } from '../../model/remembered';
import { indexOf } from '../../flow/graph/index-of';
import { isNativeEvent } from '../../model/native-events';

/** The event that a binding of a use listens for; undefined for all else, and for what the framework itself raises. */
export function listenedEvent({ to }: Binding): string | undefined {
  return to.kind === 'event' && !/^(?:vnode|vue:)/.test(to.name) ? to.name : undefined;
}

/** Listeners for events that the component never raises, forwards or lets through. */
export const deafListeners = remembered(({ use, target }: KnownUse): readonly Binding[] => {
  const { contract, facts } = target;
  if (contract.openness === 'open' || facts.raisesUnseen) return [];
  return [...use.node.bindings, ...listenersSpread(use.node)].filter((binding) => {
    const event = listenedEvent(binding);
    const key = bindingKey(binding);
    if (key === undefined) return false;
    if (event === undefined) return isUncalled(target, key);
    if (isDeclaredInVain(target, key)) return true;
    if (contract.members.has(key)) return false;
    // An element raises what the platform raises, too.
    if (facts.element) return !isNativeEvent(event);
    // What is not declared goes on to the root element, which raises what the platform raises.
    return contract.openness === 'closed' || !isNativeEvent(event.toLowerCase());
  });
});

/** What an object of listeners listens for, where its names are told: each as a listener that stands where the object does. */
function listenersSpread({ spreads }: TemplateUse): Binding[] {
  return spreads.flatMap(({ ofEvents, keys = [], span, readings }) =>
    ofEvents
      ? keys.map((key): Binding => ({
          to: memberOf(key),
          written: memberOf(key).name,
          span,
          nameSpan: span,
          direction: 'out',
          readings: [...readings],
        }))
      : [],
  );
}

/** An event that the component declares as its own, so that nothing else raises it, and never raises. */
function isDeclaredInVain({ contract, facts }: Component, key: MemberKey): boolean {
  const own = facts.events.find((one) => one.key === key);
  // What is let through to others is known of them alone, and not as required or not.
  const member = contract.members.get(key);
  const isTyped = memberOf(key).kind === 'event' && member?.taken === false && member.required === 'no';
  const isIdle = own ? own.raised.length === 0 : isTyped;
  return isIdle && facts.openness !== 'open' && facts.wrappedBy.length === 0;
}

/** Whether the rest of the props is handed on, or read, as a whole: what is read of it by name is a prop of its own. */
const goesOn = (facts: Component['facts'], rest: number): boolean =>
  (indexOf(facts).sinks.get(rest)?.length ?? 0) > 0 || facts.through.length > 0 || facts.openness !== 'closed';

/** A declared callback that the component never takes, while nothing else of what it is given is used. */
function isUncalled(target: Component, key: MemberKey): boolean {
  const prop = target.contract.members.get(key);
  const { facts } = target;
  const isCallback =
    prop?.kind === 'callback' ||
    (prop !== undefined && adapterOf(target.framework).link.eventOf(key) !== undefined && traitsOf(target).onlyProps);
  if (!isCallback || memberOf(key).kind !== 'prop' || facts.openness !== 'closed' || facts.wrappedBy.length > 0) return false;
  if (facts.form === 'class' || facts.values.some((value, at) => value.kind === 'props' || (value.kind === 'rest' && goesOn(facts, at))))
    return false;
  const at = facts.values.findIndex((value) => value.kind === 'prop' && memberKeyOf(value) === key);
  if (at < 0) return !prop.taken;
  const isRead = facts.actions.some(
    (action) =>
      action.reads.some((reading) => reading.value === at) ||
      action.raises.some((raise) => raise.value === at) ||
      // Handed to another function, it is for that to call.
      action.invokes.some(({ args }) => args.some(({ readings }) => readings.some((reading) => reading.value === at))),
  );
  if (isRead) return false;
  const index = indexOf(facts);
  // To ask whether it is there is not to call it.
  return (index.sinks.get(at) ?? []).every(({ to }) => to === 'decides') && !index.calls.has(at);
}
