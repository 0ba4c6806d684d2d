import type { Reading, TemplateUse } from '../model/facts';
import type { Component, Model } from '../model/model';
import { type ComponentId, parseComponentId } from '../model/ids';
import { locate, type Span } from '../model/span';
import { walkTemplate } from '../model/walk';
import { listed } from './sentences';
import type { Found, Rule } from './rule';

type Step = { readonly component: ComponentId; readonly prop: string };
type Handed = { readonly value: number; readonly node: TemplateUse; readonly prop: string; readonly span: Span };
type Carrier = Step & { readonly spans: readonly Span[]; readonly to: readonly Step[] };

/** Props of the platform, handed down to style or name an element: carrying them is what they are for. */
const platform = /^(className|style|id|children|as|ref|theme|disabled|(data|aria)-.*|\w+ClassName)$/;

const keyOf = (step: Step): string => `${step.component} ${step.prop}`;

/** Readings of a component's values: those that hand a prop on as it is, and all others. */
function readingsIn(component: Component): { readonly handed: readonly Handed[]; readonly others: Set<number> } {
  const handed: Handed[] = [];
  const others = new Set<number>();
  const note = (readings: readonly Reading[]): void => {
    for (const reading of readings) others.add(reading.value);
  };
  walkTemplate(component.facts.template, (node) => {
    if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat') note(node.readings);
    else if (node.kind === 'outlet') note(node.reading ? [node.reading, ...node.hands] : node.hands);
    else {
      for (const spread of node.spreads) note(spread.readings);
      for (const binding of node.bindings) {
        const [only] = binding.readings;
        const isHanded = node.kind === 'use' && binding.readings.length === 1 && only?.how === 'same' && !binding.markup;
        if (isHanded) handed.push({ value: only.value, node, prop: binding.name, span: binding.span });
        else note(binding.readings);
      }
    }
  });
  for (const action of component.facts.actions) {
    note(action.reads);
    for (const change of action.changes) others.add(change.value);
  }
  for (const value of component.facts.values) note(value.from);
  for (const provided of component.facts.provides) note(provided.readings);
  return { handed, others };
}

/** The props that a component only hands on, under whatever name, to components of the project. */
function carriersIn(model: Model, component: Component): Carrier[] {
  const { facts, contract } = component;
  if (facts.openness === 'open' || facts.form === 'class' || facts.props.length === 0) return [];
  const { handed, others } = readingsIn(component);
  const carriers = new Map<number, { spans: Span[]; to: Step[] }>();
  for (const one of handed) {
    const value = facts.values[one.value];
    const target = model.useOfNode.get(one.node)?.target;
    if (value?.kind !== 'prop' || others.has(one.value)) continue;
    if (target?.kind !== 'component' || target.wrapped) others.add(one.value);
    else {
      const known = carriers.get(one.value) ?? { spans: [], to: [] };
      known.spans.push(one.span);
      known.to.push({ component: target.id, prop: one.prop });
      carriers.set(one.value, known);
    }
  }
  return [...carriers].flatMap(([index, carrier]): Carrier[] => {
    const prop = facts.values[index]?.name ?? '';
    if (others.has(index) || platform.test(prop) || contract.props.get(prop)?.kind === 'slot') return [];
    return [{ component: component.id, prop, ...carrier }];
  });
}

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

/** A value passes unread through two or more components in a row. One finding a chain, at its first carrier. */
export const propCarried: Rule = ({ model }) => {
  const carriers = new Map<string, Carrier>();
  for (const component of model.components.values()) {
    if (component.role !== 'component' || component.fileRole !== 'source') continue;
    for (const carrier of carriersIn(model, component)) carriers.set(keyOf(carrier), carrier);
  }
  const followed = new Set([...carriers.values()].flatMap((carrier) => carrier.to.map(keyOf)));
  return [...carriers.values()].flatMap((carrier): Found[] => {
    const component = model.components.get(carrier.component);
    if (!component || component.isPublic || followed.has(keyOf(carrier)) || !isGiven(model, component, carrier.prop)) return [];
    const way = longest(carriers, carrier, new Set([keyOf(carrier)]));
    if (way.length < 2) return [];
    const names = way.map((one) => parseComponentId(one.component).name);
    const last = way.at(-1)?.to[0];
    const lastName = last ? parseComponentId(last.component).name : '';
    return [
      {
        rule: 'prop-carried',
        component: carrier.component,
        subject: carrier.prop,
        at: component.contract.props.get(carrier.prop)?.declared ?? locate(component.file, component.facts.nameSpan),
        words: { prop: carrier.prop, carriers: listed(names), count: String(way.length), last: lastName },
        evidence: way.flatMap((one, index) => {
          const from = model.components.get(one.component);
          const next = way[index + 1] ?? one.to[0];
          const to = next ? parseComponentId(next.component).name : '';
          return from
            ? one.spans.slice(0, 1).map((span) => ({ at: locate(from.file, span), says: `${from.name} only hands it on to ${to}.` }))
            : [];
        }),
        touches: carrier.component,
      },
    ];
  });
};

/** Some use passes it: a prop that nobody gives is another matter. */
function isGiven(model: Model, component: Component, prop: string): boolean {
  return (model.usesOf.get(component.id) ?? []).some((use) => use.node.bindings.some((binding) => binding.name === prop));
}
