import type { ActionFact, Reading } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { bindingKey, memberKeyOf } from '../../model/given';
import type { Component } from '../../model/model';
import { locate, type Span } from '../../model/span';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

type Copy = { readonly prop: MemberKey; readonly state: string; readonly declared: Span; readonly synced: Span };

/** What is read: where that is what an effect is handed, the one value that it follows. */
function watched(facts: Component['facts'], { follows }: ActionFact, reading: Reading): Reading {
  const value = facts.values[reading.value];
  const [followed, ...more] = follows ?? [];
  return value?.kind === 'param' && value.position === 0 && reading.how === 'same' && followed && more.length === 0 ? followed : reading;
}

/** States that an effect takes over from a prop, and that the component changes by itself as well. */
const syncedCopies = remembered(({ facts }: Component): readonly Copy[] =>
  facts.values.flatMap((value, state): Copy[] => {
    if (value.kind !== 'state' || value.shape !== undefined) return [];
    const from = (action: (typeof facts.actions)[number]): { prop: MemberKey; span: Span } | undefined => {
      if (action.kind !== 'effect') return undefined;
      for (const change of action.changes) {
        const [written, ...more] = change.from;
        const only = written && watched(facts, action, written);
        const prop = only && facts.values[only.value];
        if (change.value === state && only?.how === 'same' && only.path.length === 0 && more.length === 0 && prop?.kind === 'prop')
          return { prop: memberKeyOf(prop), span: change.span };
      }
      return undefined;
    };
    const sync = facts.actions.map(from).find((one) => one !== undefined);
    const changes = facts.actions.some((action) => action.kind !== 'effect' && action.changes.some((change) => change.value === state));
    return sync && changes ? [{ prop: sync.prop, state: value.name, declared: value.span, synced: sync.span }] : [];
  }),
);

/** Components beside each other keep copies of one value of their owner in step by hand. */
export const stateTooLow: Rule = {
  inProject: ({ model, uses }) => {
    const held = new Map<string, { owner: Component; state: string; all: { component: Component; copy: Copy }[] }>();
    for (const { use, owner, target } of uses) {
      const copies = syncedCopies(target);
      if (copies.length === 0 || target.isPublic) continue;
      for (const binding of use.node.bindings) {
        const [only, ...more] = binding.readings;
        const copy = copies.find((one) => one.prop === bindingKey(binding));
        const value = only && owner.facts.values[only.value];
        if (!copy || !value || only.how !== 'same' || only.path.length > 0 || more.length > 0 || value.kind !== 'state') continue;
        const key = `${owner.id} ${only.value}`;
        const known = held.get(key) ?? { owner, state: value.name, all: [] };
        if (!known.all.some((one) => one.component === target)) known.all.push({ component: target, copy });
        held.set(key, known);
      }
    }
    return [...held.values()].flatMap(({ owner, state, all }): Found[] => {
      const [first, second] = all;
      if (!first || !second || !model.components.has(owner.id)) return [];
      const at = locate(second.component.file, second.copy.declared);
      return [
        {
          rule: 'state-too-low',
          component: second.component.id,
          subject: second.copy.state,
          at,
          words: { first: first.component.name, second: second.component.name, state, owner: owner.name },
          evidence: [
            { at, text: `${second.component.name} keeps ${second.copy.state}.` },
            { at: locate(second.component.file, second.copy.synced), text: `Here it takes ${state} over again.` },
            { at: locate(first.component.file, first.copy.declared), text: `${first.component.name} does the same.` },
          ],
          goes: [{ count: all.length, what: 'state' }],
          touches: second.component.id,
        },
      ];
    });
  },
};
