import type { ActionFact, Reading } from '../model/facts';
import type { ComponentId } from '../model/ids';
import type { Component, Model } from '../model/model';
import { contains, locate, type Span } from '../model/span';
import type { Found, Rule } from './rule';

/** Whether a value of a component can be another one at a later rendering. */
function changes(model: Model, component: Component, value: number, depth = 4): boolean {
  const facts = component.facts.values[value];
  switch (facts?.kind) {
    case 'state':
      return component.facts.actions.some((action) => action.changes.some((change) => change.value === value && change.how === 'set'));
    case 'prop':
      return isGivenAnew(model, component.id, facts.name);
    case 'derived':
      return depth > 0 && facts.from.some((reading) => changes(model, component, reading.value, depth - 1));
    default:
      return false;
  }
}

/** Some use gives the prop from state of its owner, or of whoever gave it to that one. */
function isGivenAnew(model: Model, id: ComponentId, prop: string, depth = 4): boolean {
  return (model.usesOf.get(id) ?? []).some((use) => {
    const owner = model.components.get(use.owner);
    const binding = use.node.bindings.find((one) => one.name === prop);
    if (!owner || !binding || depth === 0) return false;
    return binding.readings.some((reading) => {
      const value = owner.facts.values[reading.value];
      return value?.kind === 'prop' ? isGivenAnew(model, owner.id, value.name, depth - 1) : changes(model, owner, reading.value);
    });
  });
}

/** Whether a reading is among what is followed: itself, or the whole that it is part of. */
function isFollowed(reading: Reading, follows: readonly Reading[]): boolean {
  return follows.some(
    (one) => one.value === reading.value && one.path.every((name, at) => reading.path[at] === name || reading.path[at] === '*'),
  );
}

function staleIn(model: Model, component: Component, action: ActionFact): Reading[] {
  const { follows } = action;
  if (!follows || action.unfollowedOnPurpose) return [];
  const seen = new Set<number>();
  return action.reads.filter((reading) => {
    if (reading.how === 'called' || seen.has(reading.value) || isFollowed(reading, follows)) return false;
    // A setter's function is handed the latest value.
    const isLatest = (one: { readonly span: Span }): boolean => contains(one.span, reading.span);
    if (action.changes.some((change) => change.value === reading.value && isLatest(change))) return false;
    // What is made of all that is followed is the same while these are.
    const made = component.facts.values[reading.value];
    if (made?.kind === 'derived' && made.from.length > 0 && made.from.every((one) => isFollowed(one, follows))) return false;
    if (!changes(model, component, reading.value)) return false;
    seen.add(reading.value);
    return true;
  });
}

/** An effect, callback or memo reads a value that it does not follow, and the value changes. */
export const staleReading: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source' || component.framework !== 'react') return [];
      return component.facts.actions.flatMap((action) =>
        staleIn(model, component, action).map((reading): Found => {
          const value = component.facts.values[reading.value];
          const at = locate(component.file, reading.span);
          return {
            rule: 'stale-reading',
            component: component.id,
            subject: value?.name ?? '',
            at,
            words: { component: component.name, value: value?.name ?? '', action: action.name },
            evidence: [
              { at, says: `${value?.name ?? ''} is read here.` },
              { at: locate(component.file, action.span), says: `${action.name} does not follow it.` },
              ...(value ? [{ at: locate(component.file, value.span), says: `${value.name} changes.` }] : []),
            ],
            touches: component.id,
          };
        }),
      );
    }),
};
