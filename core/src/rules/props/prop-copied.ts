import { indexBody } from '../../flow';
import type { MemberKey } from '../../model/member';
import { bindingFor, memberKeyOf } from '../../model/given';
import type { ComponentFacts, ValueFact } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Model, Use } from '../../model/model';
import { locate } from '../../model/span';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

/** The prop that a state takes over as it is at the start; -1 for none. */
function copiedProp(facts: ComponentFacts, state: number): number {
  const value = facts.values[state];
  const [first, ...more] = value?.from ?? [];
  if (value?.kind !== 'state' || value.shape !== undefined || !first || more.length > 0) return -1;
  if (first.how !== 'same' || first.path.length > 0 || first.held) return -1;
  return facts.values[first.value]?.kind === 'prop' ? first.value : -1;
}

/** Something puts the prop into the state again later: an effect, an event that resets it, a comparison while rendering. */
function isSynced(facts: ComponentFacts, state: number, prop: number): boolean {
  return facts.actions.some(
    (action) =>
      action.changes.some((change) => change.value === state && change.from.some((reading) => reading.value === prop)) ||
      (action.changes.some((change) => change.value === state) && (action.follows ?? []).some((reading) => reading.value === prop)),
  );
}

/** Uses that give the prop something that changes while the part stays. */
function changingUses(model: Model, id: ComponentId, prop: MemberKey): Use[] {
  return (model.usesOf.get(id) ?? []).filter((use) => {
    const binding = bindingFor(use.node, prop);
    if (!binding || use.node.key.kind === 'value') return false;
    const owner = model.components.get(use.owner);
    return binding.readings.some((reading) => {
      const value = owner?.facts.values[reading.value];
      return (
        value?.kind === 'state' &&
        (owner?.facts.actions.some((action) => action.changes.some((change) => change.value === reading.value)) ?? false)
      );
    });
  });
}

type Copy = { readonly state: ValueFact; readonly prop: string; readonly key: MemberKey };

/** States of a body that take a prop over once, while nothing else of the component reads or follows it. */
const copiesIn = remembered((facts: ComponentFacts): readonly Copy[] =>
  facts.values.flatMap((value, state): Copy[] => {
    const prop = copiedProp(facts, state);
    const held = facts.values[prop];
    const name = held?.name ?? '';
    if (!held || /^(initial|default|start)/i.test(name) || isSynced(facts, state, prop)) return [];
    // Who reads the prop as well tells the two apart.
    if ((indexBody(facts).sinks.get(prop) ?? []).some((sink) => sink.to !== 'first' || sink.value !== state)) return [];
    return [{ state: value, prop: name, key: memberKeyOf(held) }];
  }),
);

/** State starts from a prop and never follows it. */
export const propCopied: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source') return [];
      return copiesIn(component.facts).flatMap(({ state, prop: name, key }): Found[] => {
        const [use] = changingUses(model, component.id, key);
        if (!use) return [];
        const at = locate(component.file, state.span);
        return [
          {
            rule: 'prop-copied',
            component: component.id,
            subject: name,
            at,
            words: { component: component.name, prop: name, state: state.name },
            evidence: [
              { at, text: `${state.name} starts with ${name} and does not follow it.` },
              {
                at: locate(use.file, use.node.nameSpan),
                text: `${model.components.get(use.owner)?.name ?? ''} gives ${name} from state that changes.`,
              },
            ],
            touches: component.id,
          },
        ];
      });
    }),
};
