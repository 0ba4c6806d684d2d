import type { ChangeFact } from '../model/facts';
import type { Component } from '../model/model';
import { locate } from '../model/span';
import type { Found, Rule } from './rule';

/** Whether a change is one inside a list that was given: by a method that changes it, or at a position. */
function isInsideList(change: ChangeFact): boolean {
  if (change.how !== 'in-place') return false;
  return change.order !== undefined || (change.path?.length === 1 && /^(\d+|\*)$/.test(change.path[0] ?? ''));
}

/** Whether the owner means the component to write it: bound both ways, or a handle on something. */
function isShared(component: Component, name: string): boolean {
  const prop = component.contract.props.get(name);
  return prop?.kind === 'two-way' || prop?.kind === 'callback' || /ref$/i.test(name);
}

/** A component changes the inside of a list that it was given. */
export const propWritten: Rule = {
  inComponent: (component) => {
    return component.facts.actions.flatMap((action) =>
      action.changes.flatMap((change): Found[] => {
        const value = component.facts.values[change.value];
        if (value?.kind !== 'prop' || !isInsideList(change) || isShared(component, value.name)) return [];
        const at = locate(component.file, change.span);
        const prop = component.contract.props.get(value.name);
        return [
          {
            rule: 'prop-written',
            component: component.id,
            subject: value.name,
            at,
            words: { component: component.name, prop: value.name },
            evidence: [
              { at, says: `${value.name} is changed in place.` },
              ...(prop ? [{ at: prop.declared, says: `${component.name} is given ${value.name}: it belongs to its owner.` }] : []),
            ],
            touches: component.id,
          },
        ];
      }),
    );
  },
};
