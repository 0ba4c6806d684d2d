import { indexBody } from '../../flow';
import { keyOfMember, type Member, type MemberKey, memberOf } from '../../model/member';
import { bindingKey, memberKeyOf } from '../../model/given';
import { adapterOf, traitsOf } from '../../frameworks/registry';
import { spelling } from '../../contract/spelling';
import type { KnownUse } from '../../flow';
import type { Binding, ComponentFacts } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { isNativeEvent } from './native-events';
import { speltBindings } from '../props/prop-spelt';
import { type Raiser, raiserBelow } from './raised-below';
import { remembered } from '../shared/remembered';
import type { Found, Rule } from '../rule';

/** The event that a binding of a use listens for; undefined for all else, and for what the framework itself raises. */
export function listenedEvent({ to }: Binding): string | undefined {
  return to.kind === 'event' && !/^(?:vnode|vue:)/.test(to.name) ? to.name : undefined;
}

/** Listeners for events that the component never raises, forwards or lets through. */
export const deafListeners = remembered(({ use, target }: KnownUse): readonly Binding[] => {
  const { contract, facts } = target;
  if (contract.openness === 'open' || facts.raisesUnseen) return [];
  return use.node.bindings.filter((binding) => {
    const event = listenedEvent(binding);
    const key = bindingKey(binding);
    if (key === undefined) return false;
    if (event === undefined) return isUncalled(target, key);
    if (isDeclaredInVain(facts, key)) return true;
    if (contract.members.has(key)) return false;
    // What is not declared goes on to the root element, which raises what the platform raises.
    return contract.openness === 'closed' || !isNativeEvent(event.toLowerCase());
  });
});

/** An event that the component declares as its own, so that nothing else raises it, and never raises. */
function isDeclaredInVain(facts: ComponentFacts, key: MemberKey): boolean {
  const declared = facts.events.find((one) => one.key === key);
  return declared !== undefined && declared.raised.length === 0 && facts.openness !== 'open' && facts.wrappedBy.length === 0;
}

const indexOf = remembered((facts: ComponentFacts) => indexBody(facts));

/** A declared callback that the component never takes, while nothing else of what it is given is used. */
function isUncalled(target: Component, key: MemberKey): boolean {
  const prop = target.contract.members.get(key);
  const { facts } = target;
  const isCallback =
    prop?.kind === 'callback' ||
    (prop !== undefined && adapterOf(target.framework).link.eventOf(key) !== undefined && traitsOf(target).onlyProps);
  if (!isCallback || memberOf(key).kind !== 'prop' || facts.openness !== 'closed' || facts.wrappedBy.length > 0) return false;
  if (facts.form === 'class' || facts.values.some((value) => value.kind === 'props' || value.kind === 'rest')) return false;
  const at = facts.values.findIndex((value) => value.kind === 'prop' && memberKeyOf(value) === key);
  if (at < 0) return !prop.taken;
  const isRead = facts.actions.some(
    (action) => action.reads.some((reading) => reading.value === at) || action.raises.some((raise) => raise.value === at),
  );
  if (isRead) return false;
  const index = indexOf(facts);
  return !index.sinks.has(at) && !index.calls.has(at);
}

/** Listeners of a use that wait for what a component further down raises. */
export function shortListeners(model: Model, known: KnownUse): { readonly binding: Binding; readonly raiser: Raiser }[] {
  const deaf = deafListeners(known);
  if (deaf.length === 0) return [];
  const spelt = new Set(speltBindings(known).map((one) => one.binding));
  return deaf.flatMap((binding) => {
    if (spelt.has(binding)) return [];
    const below = [...known.use.node.children, ...known.target.facts.template];
    const key = binding.to.kind === 'model' ? undefined : bindingKey(binding);
    const raiser = key === undefined ? undefined : raiserBelow(model, below, (event) => event.key === key);
    return raiser ? [{ binding, raiser }] : [];
  });
}

/** A use listens for an event that the child never raises. */
export const eventNeverRaised: Rule = {
  inProject: ({ model, uses }) =>
    uses.flatMap((known) => {
      const deaf = deafListeners(known);
      if (deaf.length === 0) return [];
      const others = new Set([...speltBindings(known), ...shortListeners(model, known)].map((one) => one.binding));
      const { use, owner, target } = known;
      return deaf
        .filter((binding) => !others.has(binding) && binding.to.kind !== 'model')
        .map((binding): Found => {
          const at = locate(use.file, binding.nameSpan);
          const key = keyOfMember(binding.to as Member);
          const event = spelling(target, key);
          const declared = target.contract.members.get(key)?.declared;
          return {
            rule: 'event-never-raised',
            component: owner.id,
            subject: event,
            at,
            words: { target: target.name, event, owner: owner.name },
            evidence: [
              { at, says: `${owner.name} listens for ${event}.` },
              declared
                ? { at: declared, says: `${target.name} declares it and never calls it.` }
                : { at: locate(target.file, target.facts.nameSpan), says: `${target.name} does not raise it.` },
            ],
            touches: target.id,
          };
        });
    }),
};
