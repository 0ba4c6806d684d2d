import type { ChangeFact } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { memberKeyOf } from '../../model/given';
import { traitsOf } from '../../frameworks/registry';
import type { Component } from '../../model/model';
import { locate } from '../../model/span';
import type { Found, Rule } from '../rule';

/**
 * What of a prop is written: the prop itself, its inside as a list, or a member of it. A member counts
 * where the framework hands down what it follows; elsewhere the prop may be made to be written to.
 */
function writtenBy(component: Component, change: ChangeFact): 'whole' | 'list' | 'member' | undefined {
  if (change.toProps) return 'whole';
  if (change.how !== 'in-place') return undefined;
  if (change.order !== undefined || (change.path?.length === 1 && /^(\d+|\*)$/.test(change.path[0] ?? ''))) return 'list';
  const handsDown = traitsOf(component).followedProps && !component.facts.followsAssignment;
  return handsDown && (change.path?.length ?? 0) > 0 && change.path?.[0] !== 'current' ? 'member' : undefined;
}

/** Whether the owner means the component to write it: bound both ways, or a handle on something. */
function isShared(component: Component, name: string, key: MemberKey): boolean {
  const prop = component.contract.members.get(key);
  return prop?.kind === 'two-way' || prop?.kind === 'callback' || /ref$/i.test(name);
}

/** A component writes its own prop, or changes the inside of what it was given. */
export const propWritten: Rule = {
  inComponent: (component) =>
    component.facts.actions.flatMap((action) =>
      action.changes.flatMap((change): Found[] => {
        const value = component.facts.values[change.value];
        const what = value?.kind === 'prop' ? writtenBy(component, change) : undefined;
        if (!value || !what || isShared(component, value.name, memberKeyOf(value))) return [];
        const at = locate(component.file, change.span);
        const prop = component.contract.members.get(memberKeyOf(value));
        return [
          {
            rule: 'prop-written',
            ...(what === 'whole' ? { severity: 'fault' as const } : {}),
            component: component.id,
            subject: value.name,
            at,
            words: { component: component.name, prop: value.name, what },
            evidence: [
              { at, text: what === 'whole' ? `${value.name} is written here.` : `${value.name} is changed in place.` },
              ...(prop ? [{ at: prop.declared, text: `${component.name} is given ${value.name}: it belongs to its owner.` }] : []),
            ],
            touches: component.id,
          },
        ];
      }),
    ),
};
