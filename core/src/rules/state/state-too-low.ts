import type { KnownUse } from '../../contract';
import type { ActionFact, Reading } from '../../model/facts';
import { type MemberKey, memberName } from '../../model/member';
import { bindingKey, memberKeyOf } from '../../model/given';
import type { Component, Model } from '../../model/model';
import { locate, type Span } from '../../model/span';
import { addTo } from '../../model/add-to';
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

/** What a handler of one part puts into a property of another: who raises, who is given, and where. */
type Put = { readonly from: Component; readonly to: KnownUse; readonly key: MemberKey; readonly at: Span };

/** The parts of a component by its functions that hear them. */
function heardFromIn({ facts: { values } }: Component, uses: readonly KnownUse[]): ReadonlyMap<number, KnownUse> {
  const heardFrom = new Map<number, KnownUse>();
  for (const known of uses)
    for (const binding of known.use.node.bindings) {
      const [reading] = binding.readings;
      const action = binding.action ?? (reading && reading.path.length === 0 ? values[reading.value]?.action : undefined);
      const key = bindingKey(binding);
      const isHeard = binding.to.kind === 'event' || known.target.facts.events.some((one) => one.key === key);
      if (isHeard && action !== undefined) heardFrom.set(action, known);
    }
  return heardFrom;
}

/** A state of a part that its owner sets by what another part raises, through a function that the part lets it call. */
type Told = { readonly from: KnownUse; readonly to: KnownUse; readonly state: number; readonly at: Span };

/** The states that a part sets to what it is handed by one of its functions that others may call. */
function setByCall({ facts: { exposes = [], values, actions } }: Component, method: string): number[] {
  const offered = exposes.find(({ held }) => held?.at.length === 1 && held.at[0] === method);
  const action = offered && values[offered.value]?.action;
  const isHanded = (value: number): boolean =>
    values[value]?.kind === 'param' && values[value].of === action && values[value].position === 0;
  return action === undefined
    ? []
    : (actions[action]?.changes ?? []).flatMap(({ value, from }) =>
        values[value]?.kind === 'state' && from.length === 1 && from.every((one) => isHanded(one.value)) ? [value] : [],
      );
}

/** What a component tells its parts, by functions that they let it call, when it hears of others among them. */
function toldByCalls(owner: Component, uses: readonly KnownUse[]): Told[] {
  const { values, actions } = owner.facts;
  const handles = new Map(uses.flatMap((known): [number, KnownUse][] => (known.use.node.ref ? [[known.use.node.ref.value, known]] : [])));
  if (handles.size < 2) return [];
  return [...heardFromIn(owner, uses)].flatMap(([action, from]) =>
    (actions[action]?.invokes ?? []).flatMap(({ value, path, args, span }): Told[] => {
      const to = handles.get(value);
      const [reading] = args[0]?.readings ?? [];
      const isPayload = reading !== undefined && values[reading.value]?.kind === 'param' && values[reading.value]?.of === action;
      // What holds a part may be a box.
      const [method, ...more] = path.filter((one, at) => at > 0 || !/^(?:current|value)$/.test(one));
      if (!to || to === from || method === undefined || more.length > 0 || !isPayload) return [];
      return setByCall(to.target, method).map((state) => ({ from, to, state, at: span }));
    }),
  );
}

/** Parts that their owner tells of each other by calling functions of theirs, and the reverse: each keeps the same. */
function toldInStep(model: Model, uses: readonly KnownUse[]): Found[] {
  return [...byOwnerOf(uses)].flatMap(([owner, all]): Found[] => {
    if (!model.components.has(owner.id)) return [];
    const told = toldByCalls(owner, all);
    const pair = told.flatMap((one): [Told, Told][] => {
      const back = told.find(({ from, to }) => from === one.to && to === one.from);
      return back && one.at.start < back.at.start ? [[one, back]] : [];
    })[0];
    if (!pair) return [];
    const [first, second] = pair;
    const kept = second.from.target;
    const state = kept.facts.values[first.state];
    if (!state) return [];
    const at = locate(kept.file, state.span);
    return [
      {
        rule: 'state-too-low',
        component: kept.id,
        subject: state.name,
        at,
        words: { first: first.from.target.name, second: kept.name, state: state.name, owner: owner.name, how: 'told' },
        evidence: [
          { at, text: `${kept.name} keeps ${state.name}.` },
          { at: locate(first.to.use.file, first.at), text: `${owner.name} tells it what ${first.from.target.name} raises.` },
          { at: locate(second.to.use.file, second.at), text: 'And the reverse.' },
        ],
        goes: [{ count: 2, what: 'state' }],
        touches: kept.id,
      },
    ];
  });
}

/** The uses of components by the component that has written them. */
function byOwnerOf(uses: readonly KnownUse[]): ReadonlyMap<Component, readonly KnownUse[]> {
  const byOwner = new Map<Component, KnownUse[]>();
  for (const known of uses) addTo(byOwner, known.owner, known);
  return byOwner;
}

/** What a component puts into its parts when it hears of others among them. */
function putByHandlers(owner: Component, uses: readonly KnownUse[]): Put[] {
  const { values } = owner.facts;
  const heardFrom = heardFromIn(owner, uses);
  return uses.flatMap((known) =>
    known.use.node.bindings.flatMap((binding): Put[] => {
      const [only, ...more] = binding.readings;
      const value = only && values[only.value];
      const key = bindingKey(binding);
      const from = value?.kind === 'param' && value.of !== undefined ? heardFrom.get(value.of)?.target : undefined;
      return from && more.length === 0 && key !== undefined && from !== known.target ? [{ from, to: known, key, at: binding.span }] : [];
    }),
  );
}

/** Parts whose owner puts what the one raises into the other, and the reverse: each keeps the same. */
function keptInStep(model: Model, uses: readonly KnownUse[]): Found[] {
  return [...byOwnerOf(uses.filter(({ target }) => target.facts.element))].flatMap(([owner, all]): Found[] => {
    const puts = putByHandlers(owner, all);
    const [first, second] =
      puts.flatMap((one): [Put, Put][] => {
        const back = puts.find((other) => other.from === one.to.target && other.to.target === one.from);
        return back && one.at.start < back.at.start ? [[back, one]] : [];
      })[0] ?? [];
    if (!first || !second || !model.components.has(owner.id)) return [];
    const kept = second.to.target;
    const name = memberName(second.key);
    const at = kept.contract.members.get(second.key)?.declared ?? locate(kept.file, kept.facts.nameSpan);
    return [
      {
        rule: 'state-too-low',
        component: kept.id,
        subject: name,
        at,
        words: { first: first.to.target.name, second: kept.name, state: name, owner: owner.name, how: 'told' },
        evidence: [
          { at, text: `${kept.name} keeps ${name}.` },
          { at: locate(owner.file, second.at), text: `${owner.name} puts into it what ${second.from.name} raises.` },
          { at: locate(owner.file, first.at), text: `And the reverse.` },
        ],
        goes: [{ count: 2, what: 'state' }],
        touches: kept.id,
      },
    ];
  });
}

/** Components beside each other keep copies of one value of their owner in step by hand. */
export const stateTooLow: Rule = {
  inProject: ({ model, uses }) => [...keptInStep(model, uses), ...toldInStep(model, uses), ...copiesInStep(model, uses)],
};

function copiesInStep(model: Model, uses: readonly KnownUse[]): Found[] {
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
}
