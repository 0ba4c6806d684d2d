import type { BodyIndex, Sink } from '../../flow';
import type { ComponentFacts, TemplateNode, TemplateUse } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { ownComponents } from '../shared/all-uses';
import { indexOf } from '../../flow/graph/index-of';
import { remembered } from '../../model/remembered';
import { componentText } from '../../model/tag-text';
import { listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';
import { append } from '../../model/append';

type Alone = { readonly state: number; readonly use: TemplateUse };

/** Uses that stand in a component's markup for good: below elements alone. */
function fixedUses(template: readonly TemplateNode[]): ReadonlySet<TemplateUse> {
  const found = new Set<TemplateUse>();
  const stack = [...template];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.kind === 'element') append(stack, node.children);
    else if (node.kind === 'use' && node.key.kind === 'none' && !node.ref && node.spreads.every(({ fallsThrough }) => fallsThrough))
      found.add(node);
  }
  return found;
}

/** Where a value of the body goes, all in one use; undefined where anything else reads it. */
function onlyUse(sinks: readonly Sink[]): TemplateUse | undefined {
  const [first] = sinks;
  const use = first?.to === 'prop' ? first.use : undefined;
  return use &&
    sinks.every((sink) => sink.to === 'prop' && sink.use === use && sink.reading.how !== 'computed' && sink.reading.how !== 'called')
    ? use
    : undefined;
}

/**
 * The use that alone has to do with a state: its value and what changes it go there and nowhere
 * else. Functions count as long as they do nothing but change this state.
 */
function homeOf(facts: ComponentFacts, index: BodyIndex, state: number): TemplateUse | undefined {
  const setters = facts.values.flatMap((value, at) => (value.kind === 'setter' && value.partner === state ? [at] : []));
  const use = onlyUse(index.sinks.get(state)?.filter((sink) => !isWithin(facts, sink, state, setters)) ?? []);
  if (!use) return undefined;
  for (const [at, action] of facts.actions.entries()) {
    const touches =
      action.changes.some((change) => change.value === state) ||
      action.reads.some((reading) => reading.value === state || setters.includes(reading.value)) ||
      action.invokes.some((call) => setters.includes(call.value));
    if (!touches) continue;
    if (!changesAlone(facts, at, state, setters) || !goesTo(index, at, use)) return undefined;
  }
  const given = setters.every((setter) =>
    (index.sinks.get(setter) ?? []).every((sink) => isTo(sink, use) || isWithin(facts, sink, state, setters)),
  );
  const isChanged =
    facts.actions.some((action) => action.changes.some((change) => change.value === state)) || setters.some((one) => index.sinks.has(one));
  return given && isChanged ? use : undefined;
}

const isTo = (sink: Sink, use: TemplateUse): boolean => sink.to === 'prop' && sink.use === use;

/** A reading inside a function that does nothing but change the state. */
function isWithin(facts: ComponentFacts, sink: Sink, state: number, setters: readonly number[]): boolean {
  return 'action' in sink && changesAlone(facts, sink.action, state, setters);
}

/** A function that changes this state, and reads nothing of the body but it and its own parameters. */
function changesAlone({ actions, values }: ComponentFacts, at: number, state: number, setters: readonly number[]): boolean {
  const action = actions[at];
  if (!action || action.kind === 'effect' || action.kind === 'lifecycle' || action.kind === 'computation' || action.kind === 'render')
    return false;
  if (action.raises.length + action.sends.length + action.hears.length + action.calls.length > 0) return false;
  const isOwn = (value: number): boolean =>
    value === state || setters.includes(value) || values[value]?.kind === 'param' || values[value]?.kind === 'module';
  return (
    action.changes.every((change) => change.value === state) &&
    action.reads.every((reading) => isOwn(reading.value)) &&
    action.invokes.every((call) => isOwn(call.value))
  );
}

/** The function is given to that use alone. */
function goesTo(index: BodyIndex, action: number, use: TemplateUse): boolean {
  const attached = index.attached.get(action);
  if (attached) return attached.node === use;
  const value = index.functionOf.get(action);
  return value !== undefined && !index.calls.has(value) && onlyUse(index.sinks.get(value) ?? []) === use;
}

/** States of a component that one use of its markup alone has to do with. */
const aloneIn = remembered((component: Component): readonly Alone[] => {
  const { facts } = component;
  if (facts.form === 'class' || facts.openness === 'open') return [];
  const fixed = fixedUses(facts.template);
  if (fixed.size === 0) return [];
  const index = indexOf(facts);
  return facts.values.flatMap((value, state): Alone[] => {
    if (value.kind !== 'state' || value.shape !== undefined || value.origin || index.refs.has(state)) return [];
    // What it starts with must be there where it would move.
    if (value.from.some((reading) => facts.values[reading.value]?.kind !== 'module')) return [];
    if (facts.values.some((other, at) => at !== state && other.kind !== 'setter' && other.from.some((reading) => reading.value === state)))
      return [];
    const use = homeOf(facts, index, state);
    return use && fixed.has(use) ? [{ state, use }] : [];
  });
});

function othersBeside(model: Model, owner: Component, use: TemplateUse): string[] {
  const names = (model.usesBy.get(owner.id) ?? []).flatMap((other) =>
    other.node !== use && other.target.kind === 'component' ? [componentText(other.node.tag)] : [],
  );
  return [...new Set(names)];
}

/** Every reader and writer of a state sits below one child of its owner, which is there once and always. */
export const stateTooHigh: Rule = {
  inProject: ({ model }) =>
    ownComponents(model).flatMap((owner) =>
      aloneIn(owner).flatMap(({ state, use: node }): Found[] => {
        const target = model.useOfNode.get(node)?.target;
        const child = target?.kind === 'component' && !target.wrapped ? model.components.get(target.id) : undefined;
        const value = owner.facts.values[state];
        // Where the child stands elsewhere too, it is given its state there.
        if (!child || !value || child.isPublic || child.fileRole !== 'source' || (model.usesOf.get(child.id) ?? []).length !== 1) return [];
        const at = locate(owner.file, value.span);
        const others = othersBeside(model, owner, node);
        return [
          {
            rule: 'state-too-high',
            component: owner.id,
            subject: value.name,
            at,
            words: { state: value.name, owner: owner.name, child: child.name, others: others.length > 0 ? ` with ${listed(others)}` : '' },
            evidence: [
              { at, text: `${owner.name} keeps ${value.name}.` },
              { at: locate(owner.file, node.nameSpan), text: `It goes to ${child.name}, with what changes it, and nowhere else.` },
            ],
            goes: [
              { count: node.bindings.filter((one) => one.readings.some((reading) => reading.value === state)).length + 1, what: 'prop' },
            ],
            touches: owner.id,
          },
        ];
      }),
    ),
};
