import { indexOf } from '../../flow/graph/index-of';
import type { ComponentFacts } from '../../model/facts';
import { bindingFor, memberKeyOf } from '../../model/given';
import type { ComponentId } from '../../model/ids';
import type { MemberKey } from '../../model/member';
import type { Component, Model, Use } from '../../model/model';
import { walkTemplate } from '../../model/walk';

/** Uses that give the prop something that changes while the part stays. */
export function changingUses(model: Model, id: ComponentId, prop: MemberKey, depth = 0): Use[] {
  return (model.usesOf.get(id) ?? []).filter((use) => {
    const binding = bindingFor(use.node, prop);
    const owner = model.components.get(use.owner);
    if (!binding || owner?.fileRole !== 'source' || use.node.key.kind === 'value' || comesAndGoes(owner, use)) return false;
    return binding.readings.some((reading) => isChanging(model, owner, reading.value, depth));
  });
}

const furthest = 4;

/** Whether a value of a component becomes another while the component stays: a state that is changed, or what is computed or given from one. */
function isChanging(model: Model, component: Component, at: number, depth: number): boolean {
  const { id, facts } = component;
  const value = facts.values[at];
  if (!value || depth > furthest) return false;
  if (value.kind === 'state') return isChanged(facts, at);
  if (value.kind === 'derived') return value.from.some((reading) => isChanging(model, component, reading.value, depth + 1));
  return value.kind === 'prop' && changingUses(model, id, memberKeyOf(value), depth + 1).length > 0;
}

const isChanged = (facts: ComponentFacts, state: number): boolean =>
  facts.actions.some(({ changes }) => changes.some(({ value }) => value === state)) ||
  (indexOf(facts).sinks.get(state) ?? []).some((sink) => sink.to === 'attribute' && sink.binding.direction === 'two-way');

/** It stands on a condition, or within something that is made anew: it begins again each time that it comes. */
function comesAndGoes(owner: Component, use: Use): boolean {
  let found = false;
  walkTemplate(owner.facts.template, (node) => {
    if (node.kind !== 'branch' && !(node.kind === 'element' && node.key.kind === 'value')) return;
    walkTemplate(node.children, (inner) => {
      if (inner === use.node) found = true;
    });
  });
  return found;
}
