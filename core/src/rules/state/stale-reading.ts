import type { ActionFact, Reading } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { bindingFor, memberKeyOf } from '../../model/given';
import { traitsOf } from '../../frameworks/registry';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { contains, locate, type Span } from '../../model/span';
import type { Found, Rule } from '../rule';

/** Whether a value of a component can be another one at a later rendering. */
function changes(model: Model, component: Component, value: number, depth = 4): boolean {
  const facts = component.facts.values[value];
  switch (facts?.kind) {
    case 'state':
      return component.facts.actions.some((action) =>
        action.changes.some((change) => change.value === value && (change.how === 'set' || traitsOf(component).mutation === 'seen')),
      );
    case 'prop':
      return isGivenAnew(model, component.id, memberKeyOf(facts));
    case 'derived':
      return depth > 0 && facts.from.some((reading) => changes(model, component, reading.value, depth - 1));
    default:
      return false;
  }
}

/** Some use gives the prop from state of its owner, or of whoever gave it to that one. */
function isGivenAnew(model: Model, id: ComponentId, prop: MemberKey, depth = 4): boolean {
  return (model.usesOf.get(id) ?? []).some((use) => {
    const owner = model.components.get(use.owner);
    const binding = bindingFor(use.node, prop);
    if (!owner || !binding || depth === 0) return false;
    return binding.readings.some((reading) => {
      const value = owner.facts.values[reading.value];
      return value?.kind === 'prop' ? isGivenAnew(model, owner.id, memberKeyOf(value), depth - 1) : changes(model, owner, reading.value);
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

/** What an effect reads when it is no longer followed: after its first await, in what it gives to promises and timers. */
function lateIn(model: Model, component: Component, action: ActionFact): Reading[] {
  const { late } = action;
  if (!late) return [];
  const isLate = (reading: Reading): boolean => late.some((stretch) => contains(stretch, reading.span));
  const kept = component.facts.actions.filter((one) => one !== action && late.some((stretch) => contains(stretch, one.span)));
  const all = [...action.reads, ...kept.flatMap((one) => one.reads)];
  const early = new Set(all.filter((reading) => !isLate(reading)).map((reading) => reading.value));
  // What it writes by itself is read for its latest value.
  const written = new Set([action, ...kept].flatMap((one) => one.changes.map((change) => change.value)));
  return once(
    all.filter(
      (reading) =>
        isLate(reading) &&
        reading.how !== 'called' &&
        !early.has(reading.value) &&
        !written.has(reading.value) &&
        changes(model, component, reading.value),
    ),
  );
}

/** What a statement that should run again reads in the function it calls, while it follows nothing itself. */
function hiddenIn(model: Model, component: Component, action: ActionFact): Reading[] {
  if (!component.facts.followsAssignment || action.name !== '$:' || (action.follows ?? []).length > 0) return [];
  const called = action.calls.flatMap((call) => component.facts.actions[call] ?? []);
  const written = new Set(called.flatMap((one) => one.changes.map((change) => change.value)));
  return once(
    called
      .flatMap((one) => one.reads)
      .filter((reading) => reading.how !== 'called' && !written.has(reading.value) && changes(model, component, reading.value)),
  );
}

/** The first reading of each value. */
function once(readings: readonly Reading[]): Reading[] {
  const seen = new Set<number>();
  return readings.filter((reading) => !seen.has(reading.value) && seen.add(reading.value));
}

function staleBy(
  model: Model,
  component: Component,
  action: ActionFact,
): { readonly how: 'list' | 'late' | 'hidden'; readonly readings: readonly Reading[] } {
  if (traitsOf(component).effects === 'listed') return { how: 'list', readings: staleIn(model, component, action) };
  const late = lateIn(model, component, action);
  return late.length > 0 ? { how: 'late', readings: late } : { how: 'hidden', readings: hiddenIn(model, component, action) };
}

/** An effect, callback or memo reads a value that it does not follow, and the value changes. */
export const staleReading: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source') return [];
      return component.facts.actions.flatMap((action) => {
        const { how, readings } = staleBy(model, component, action);
        return readings.map((reading): Found => {
          const value = component.facts.values[reading.value];
          const name = value?.name ?? '';
          const at = locate(component.file, reading.span);
          return {
            rule: 'stale-reading',
            component: component.id,
            subject: name,
            at,
            words: { component: component.name, value: name, action: action.name, how },
            evidence: [
              { at, text: how === 'late' ? `${name} is read here, when ${action.name} is no longer followed.` : `${name} is read here.` },
              { at: locate(component.file, action.span), text: `${action.name} does not follow it.` },
              ...(value ? [{ at: locate(component.file, value.span), text: `${name} changes.` }] : []),
            ],
            touches: component.id,
          };
        });
      });
    }),
};
