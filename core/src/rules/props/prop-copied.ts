import type { MemberKey } from '../../model/member';
import { memberKeyOf } from '../../model/given';
import type { ChangeFact, ComponentFacts, Reading, ValueFact } from '../../model/facts';
import type { Component } from '../../model/model';
import { traitsOf } from '../../frameworks/registry';
import { locate, type Span } from '../../model/span';
import { remembered } from '../../model/remembered';
import { takenFrom } from '../../model/taken';
import { changingUses } from '../shared/changing';
import type { Found, Rule } from '../rule';

/** How a value is taken over as it is: itself, a part of it, or all of its members. */
const asItIs: ReadonlySet<Reading['how']> = new Set(['same', 'part', 'spread']);

/** Where a state is given its first value by what a component does at the start of its life; undefined for elsewhere. */
function begunBy({ facts, ...component }: Component, state: number): ChangeFact | undefined {
  const starts = traitsOf(component).startOfLife;
  const [only, ...more] = facts.actions.flatMap((action) =>
    starts?.test(action.name) ? action.changes.filter((one) => one.value === state && !one.isLater) : [],
  );
  return more.length === 0 ? only : undefined;
}

/** The prop that a state takes over at the start, as it is or in another form, whole or in parts; -1 for none. */
function copiedProp({ facts }: Component, state: number, begun: ChangeFact | undefined): number {
  const value = facts.values[state];
  const from = begun?.from ?? value?.from ?? [];
  const [first] = from;
  const isConverted = (begun ?? value)?.converted === true;
  if (value?.kind !== 'state' || value.shape !== undefined || !first) return -1;
  if (!from.every((one) => one.value === first.value && (asItIs.has(one.held?.how ?? one.how) || isConverted))) return -1;
  if (facts.values[first.value]?.kind === 'prop') return first.value;
  // A local that was taken out of the props once is another name for one.
  return takenFrom(facts, first.value)?.prop ?? -1;
}

/** Something puts the prop into the state again later: an effect, an event that resets it, a comparison while rendering. */
function isSynced(facts: ComponentFacts, state: number, prop: number, begun: ChangeFact | undefined): boolean {
  return facts.actions.some(
    (action) =>
      action.changes.some(
        (change) => change !== begun && change.value === state && change.from.some((reading) => reading.value === prop),
      ) ||
      ((action.follows ?? []).some((reading) => reading.value === prop) &&
        [action, ...action.calls.flatMap((call) => facts.actions[call] ?? [])].some(({ changes }) =>
          changes.some((change) => change !== begun && change.value === state),
        )),
  );
}

/** A value is one or the other: the prop wherever it is given, else the state. */
const takesOver = ({ values }: ComponentFacts, state: number, prop: number): boolean =>
  values.some(({ from }) =>
    [state, prop].every((one) => from.some(({ value, how }) => value === one && (how === 'same' || how === 'part'))),
  );

type Copy = { readonly span: Span; readonly state: ValueFact; readonly prop: string; readonly key: MemberKey };

/** States of a body that take a prop over once, and that nothing makes follow it. */
const copiesIn = remembered((component: Component): readonly Copy[] => {
  const { facts } = component;
  return facts.values.flatMap((value, state): Copy[] => {
    const begun = begunBy(component, state);
    const prop = copiedProp(component, state, begun);
    const held = facts.values[prop];
    const name = held?.name ?? '';
    if (!held || /^(initial|default|start)/i.test(name) || isSynced(facts, state, prop, begun)) return [];
    if (takesOver(facts, state, prop)) return [];
    return [{ state: value, prop: name, key: memberKeyOf(held), span: begun?.span ?? value.span }];
  });
});

/** State starts from a prop and never follows it. */
export const propCopied: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source') return [];
      return copiesIn(component).flatMap(({ state, prop: name, key, span }): Found[] => {
        const [use] = changingUses(model, component.id, key);
        if (!use) return [];
        const at = locate(component.file, span);
        return [
          {
            rule: 'prop-copied',
            component: component.id,
            subject: name,
            at,
            words: { component: component.name, prop: name, state: state.name },
            evidence: [
              { at, text: `${state.name} starts from ${name} and does not follow it.` },
              {
                at: locate(use.file, use.node.nameSpan),
                text: `${model.components.get(use.owner)?.name ?? ''} gives ${name} from a value that changes.`,
              },
            ],
            touches: component.id,
          },
        ];
      });
    }),
};
