import { indexBody } from '../flow';
import type { KnownUse } from '../flow';
import type { Binding, ComponentFacts } from '../model/facts';
import type { Component, Model } from '../model/model';
import { locate } from '../model/span';
import { isNativeEvent } from './native-events';
import { speltBindings } from './prop-spelt';
import { type Raiser, raiserBelow } from './raised-below';
import { remembered } from './remembered';
import type { Found, Rule } from './rule';

/** The event of a listener in markup: `@book`, `on:book`; undefined for all else. */
export function listenedEvent(binding: Binding): string | undefined {
  const event = /^(?:@|on:)([^:]+)$/.exec(binding.name)?.[1];
  return event?.startsWith('vnode') || event?.startsWith('vue') ? undefined : event;
}

/** Listeners for events that the component never raises, forwards or lets through. */
export const deafListeners = remembered(({ use, target }: KnownUse): readonly Binding[] => {
  const { contract, facts } = target;
  if (contract.openness === 'open' || facts.raisesUnseen) return [];
  return use.node.bindings.filter((binding) => {
    const event = listenedEvent(binding);
    if (event === undefined) return isUncalled(target, binding);
    if (isDeclaredInVain(facts, binding.name)) return true;
    if (contract.props.has(binding.name) || contract.props.has(`on${event.charAt(0).toUpperCase()}${event.slice(1)}`)) return false;
    // What is not declared goes on to the root element, which raises what the platform raises.
    return contract.openness === 'closed' || !isNativeEvent(event.toLowerCase());
  });
});

/** An event that the component declares as its own, so that nothing else raises it, and never raises. */
function isDeclaredInVain(facts: ComponentFacts, spelling: string): boolean {
  const declared = facts.events.find((one) => one.spelling === spelling);
  return declared !== undefined && declared.raised.length === 0 && facts.openness !== 'open' && facts.wrappedBy.length === 0;
}

const indexOf = remembered((facts: ComponentFacts) => indexBody(facts));

/** A declared callback that the component never takes, while nothing else of what it is given is used. */
function isUncalled(target: Component, binding: Binding): boolean {
  const prop = target.contract.props.get(binding.name);
  const { facts } = target;
  const isCallback = prop?.kind === 'callback' || (prop !== undefined && target.framework === 'react' && /^on[A-Z]/.test(binding.name));
  if (!isCallback || /^(@|on:|bind:)/.test(binding.name) || facts.openness !== 'closed' || facts.wrappedBy.length > 0) return false;
  if (facts.form === 'class' || facts.values.some((value) => value.kind === 'props' || value.kind === 'rest')) return false;
  const at = facts.values.findIndex((value) => value.kind === 'prop' && value.name === binding.name);
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
    const raiser = binding.name.startsWith('@update:') ? undefined : raiserBelow(model, below, binding.name);
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
        .filter((binding) => !others.has(binding) && !binding.name.startsWith('@update:'))
        .map((binding): Found => {
          const at = locate(use.file, binding.nameSpan);
          const declared = target.contract.props.get(binding.name)?.declared;
          return {
            rule: 'event-never-raised',
            component: owner.id,
            subject: binding.name,
            at,
            words: { target: target.name, event: binding.name, owner: owner.name },
            evidence: [
              { at, says: `${owner.name} listens for ${binding.name}.` },
              declared
                ? { at: declared, says: `${target.name} declares it and never calls it.` }
                : { at: locate(target.file, target.facts.nameSpan), says: `${target.name} does not raise it.` },
            ],
            touches: target.id,
          };
        });
    }),
};
