import type { ActionFact, ChangeFact } from '../model/facts';
import type { Component } from '../model/model';
import { locate } from '../model/span';
import type { Found, Rule } from './rule';

/** Changes inside a list or an object that React holds as state, without setting it anew in the same function. */
function unseenIn(component: Component, action: ActionFact): ChangeFact[] {
  return action.changes.filter((change) => {
    const value = component.facts.values[change.value];
    if (change.how !== 'in-place' || value?.kind !== 'state' || value.shape !== undefined) return false;
    return (
      !action.changes.some((other) => other.value === change.value && other.how === 'set') &&
      !setsOtherwise(component, action, change.value)
    );
  });
}

/** The setter is called, or handed on, by this function or by one it calls. */
function setsOtherwise(component: Component, action: ActionFact, state: number): boolean {
  const { values, actions } = component.facts;
  const isSetter = (value: number): boolean => values[value]?.kind === 'setter' && values[value].partner === state;
  const does = (one: ActionFact | undefined): boolean =>
    one !== undefined &&
    (one.reads.some((reading) => isSetter(reading.value)) ||
      one.invokes.some((call) => isSetter(call.value)) ||
      one.changes.some((change) => change.value === state && change.how === 'set'));
  return does(action) || action.calls.some((call) => does(actions[call]));
}

/** State is changed in a way that the framework does not notice. */
export const changeUnseen: Rule = {
  inComponent: (component) => {
    if (component.framework !== 'react') return [];
    return component.facts.actions.flatMap((action) =>
      unseenIn(component, action).map((change): Found => {
        const value = component.facts.values[change.value];
        const at = locate(component.file, change.span);
        return {
          rule: 'change-unseen',
          component: component.id,
          subject: value?.name ?? '',
          at,
          words: { component: component.name, state: value?.name ?? '' },
          evidence: [
            { at, says: `${value?.name ?? ''} is changed in place.` },
            ...(value ? [{ at: locate(component.file, value.span), says: `${value.name} is state: only a new value is noticed.` }] : []),
          ],
          touches: component.id,
        };
      }),
    );
  },
};
