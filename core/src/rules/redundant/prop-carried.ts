import { spelling } from '../../contract';
import type { Binding, Reading, TemplateUse } from '../../model/facts';
import { defaultSlot, type MemberKey } from '../../model/member';
import { bindingFor, bindingKey, memberKeyOf } from '../../model/given';

import { traitsOf } from '../../frameworks/registry';
import type { Component, Model } from '../../model/model';
import { type ComponentId, parseComponentId } from '../../model/ids';
import { locate, type Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import type { Link, MemberStep } from '../shared/links';
import { listed } from '../shared/sentences';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';
import { append } from '../../model/append';

type Handed = { readonly value: number; readonly node: TemplateUse; readonly binding: Binding; readonly to: MemberStep };
type Carrier = MemberStep & { readonly spans: readonly Span[]; readonly to: readonly MemberStep[]; readonly hands: Link['hands'] };

/** Props of the platform, handed down to style or name an element: carrying them is what they are for. */
const platform = /^(className|style|id|as|ref|disabled|(data|aria)-.*|\w+ClassName)$/;

const keyOf = (step: MemberStep): string => `${step.component} ${step.prop}`;

/** Bindings that hand a prop on as it is, to a component whose contract is known. */
function handedIn(model: Model, component: Component): Handed[] {
  const { values } = component.facts;
  const found: Handed[] = [];
  for (const use of model.usesBy.get(component.id) ?? []) {
    if (use.target.kind !== 'component' || use.target.wrapped) continue;
    for (const binding of use.node.bindings) {
      const [only] = binding.readings;
      if (only?.how !== 'same' || binding.readings.length > 1 || binding.markup || values[only.value]?.kind !== 'prop') continue;
      const key = bindingKey(binding);
      if (key !== undefined) found.push({ value: only.value, node: use.node, binding, to: { component: use.target.id, prop: key } });
    }
  }
  return found;
}

/** Takes the props that are read in any other way off the candidates. */
function withoutRead(component: Component, candidates: ReadonlySet<number>, handed: ReadonlySet<Binding>): Set<number> {
  const left = new Set(candidates);
  const note = (readings: readonly Reading[]): void => {
    for (const reading of readings) left.delete(reading.value);
  };
  for (const action of component.facts.actions) {
    note(action.reads);
    note(action.follows ?? []);
    for (const change of action.changes) left.delete(change.value);
  }
  for (const value of component.facts.values) note(value.from);
  if (left.size === 0) return left;
  walkTemplate(component.facts.template, (node) => {
    if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat') note(node.readings);
    else if (node.kind === 'outlet') note(node.reading ? [node.reading, ...node.slotProps.flat()] : node.slotProps.flat());
    else {
      for (const spread of node.spreads) note(spread.readings);
      for (const binding of node.bindings) if (!handed.has(binding)) note(binding.readings);
    }
  });
  return left;
}

/** The props that a component only hands on, under whatever name, to components of the project. */
const carriersIn = remembered((component: Component, model: Model): readonly Carrier[] => {
  const { facts, contract } = component;
  if (facts.openness === 'open' || facts.form === 'class' || facts.members.length === 0) return [];
  const handed = handedIn(model, component);
  if (handed.length === 0) return [];
  const carried = withoutRead(component, new Set(handed.map((one) => one.value)), new Set(handed.map((one) => one.binding)));
  return [...carried].flatMap((value): Carrier[] => {
    const held = facts.values[value];
    if (!held) return [];
    const prop = memberKeyOf(held);
    if (prop === defaultSlot || platform.test(held.name) || contract.members.get(prop)?.kind === 'slot') return [];
    const own = handed.filter((one) => one.value === value);
    const hands = own.map(({ node, binding, to }) => ({ node, binding, to }));
    return [{ component: component.id, prop, spans: own.map((one) => one.binding.span), to: own.map((one) => one.to), hands }];
  });
});

/** The longest way on through carriers, this one first; ends where it would come back. */
function longest(carriers: ReadonlyMap<string, Carrier>, from: Carrier, seen: ReadonlySet<string>): Carrier[] {
  let best: Carrier[] = [];
  for (const step of from.to) {
    const next = carriers.get(keyOf(step));
    if (!next || seen.has(keyOf(step)) || seen.size > 30) continue;
    const way = longest(carriers, next, new Set([...seen, keyOf(step)]));
    if (way.length > best.length) best = way;
  }
  return [from, ...best];
}

/** How many props of a project's components are only handed on. */
export function carriedProps(model: Model): number {
  return [...model.components.values()].reduce(
    (sum, component) => sum + (component.role === 'component' && component.fileRole === 'source' ? carriersIn(component, model).length : 0),
    0,
  );
}

function allCarriers(model: Model): Map<string, Carrier> {
  const carriers = new Map<string, Carrier>();
  for (const component of model.components.values()) {
    if (component.role !== 'component' || component.fileRole !== 'source') continue;
    for (const carrier of carriersIn(component, model)) carriers.set(keyOf(carrier), carrier);
  }
  return carriers;
}

/** A prop of a component and all below to which it is only handed on, from the top down; empty where it is read there. */
export function carriedBelow(model: Model, from: MemberStep): Link[] {
  const carriers = allCarriers(model);
  const links: Link[] = [];
  const waiting = [from];
  const seen = new Set<string>();
  for (let step = waiting.shift(); step; step = waiting.shift()) {
    const carrier = carriers.get(keyOf(step));
    if (!carrier || seen.has(keyOf(step))) continue;
    seen.add(keyOf(step));
    links.push({ component: carrier.component, prop: carrier.prop, hands: carrier.hands });
    append(waiting, carrier.to);
  }
  return links;
}

/** A value passes unread through two or more components in a row. One finding a chain, at its first carrier. */
export const propCarried: Rule = {
  inProject: ({ model }) => {
    const carriers = allCarriers(model);
    const followed = new Set([...carriers.values()].flatMap((carrier) => carrier.to.map(keyOf)));
    return [...carriers.values()].flatMap((carrier): Found[] => {
      const component = model.components.get(carrier.component);
      if (!component || component.isPublic || followed.has(keyOf(carrier)) || !isGiven(model, component, carrier.prop)) return [];
      const way = longest(carriers, carrier, new Set([keyOf(carrier)]));
      if (way.length < 2) return [];
      const prop = spelling(component, carrier.prop);
      const names = way.map((one) => parseComponentId(one.component).name);
      const last = way.at(-1)?.to[0];
      const lastName = last ? parseComponentId(last.component).name : '';
      return [
        {
          rule: 'prop-carried',
          component: carrier.component,
          subject: prop,
          member: carrier.prop,
          at: component.contract.members.get(carrier.prop)?.declared ?? locate(component.file, component.facts.nameSpan),
          words: { prop, carriers: listed(names), count: String(way.length), last: lastName },
          evidence: way.flatMap((one, index) => {
            const from = model.components.get(one.component);
            const next = way[index + 1] ?? one.to[0];
            const to = next ? parseComponentId(next.component).name : '';
            return from
              ? one.spans.slice(0, 1).map((span) => ({ at: locate(from.file, span), text: `${from.name} only hands it on to ${to}.` }))
              : [];
          }),
          goes: [{ count: way.length, what: 'prop' }],
          touches: carrier.component,
        },
      ];
    });
  },
};

/** Some use passes it: a prop that nobody gives is another matter, and so is one that a page is given by the list of its addresses. */
function isGiven(model: Model, component: Component, prop: MemberKey): boolean {
  const isListed = (owner: ComponentId): boolean =>
    traitsOf(component).madeOnce === true && model.components.get(owner)?.role !== 'component';
  return (model.usesOf.get(component.id) ?? []).some((use) => bindingFor(use.node, prop) !== undefined && !isListed(use.owner));
}
