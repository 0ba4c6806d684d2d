import { bodyFlow, followValue } from '../flow';
import type { Component, Model } from '../model/model';
import { type ComponentId, parseComponentId } from '../model/ids';
import { locate, type Span } from '../model/span';
import { listed } from './sentences';
import type { Found, Rule } from './rule';

type Step = { readonly component: ComponentId; readonly prop: string };
type Carrier = Step & { readonly spans: readonly Span[]; readonly to: readonly Step[] };

/** Props of the platform, handed down to style or name an element: carrying them is what they are for. */
const platform = /^(className|style|id|children|as|ref|theme|disabled|(data|aria)-.*|\w+ClassName)$/;

const keyOf = (step: Step): string => `${step.component} ${step.prop}`;

/** The props that a component only hands on, under whatever name, to components of the project. */
function carriersIn(model: Model, component: Component): Carrier[] {
  if (component.facts.openness === 'open' || component.facts.form === 'class') return [];
  const body = bodyFlow(component);
  return [...body.props].flatMap(([prop, value]): Carrier[] => {
    const raised = component.facts.events.some((event) => event.spelling === prop && event.raised.length > 0);
    if (raised || platform.test(prop) || component.contract.props.get(prop)?.kind === 'slot') return [];
    const flow = followValue(body, value);
    if (flow.carried.length === 0 || flow.reads.length + flow.changes.length > 0) return [];
    const to: Step[] = [];
    for (const carried of flow.carried) {
      const target = model.useOfNode.get(carried.node)?.target;
      if (carried.how !== 'same' || carried.prop === '*' || target?.kind !== 'component' || target.wrapped) return [];
      to.push({ component: target.id, prop: carried.prop });
    }
    return [{ component: component.id, prop, spans: flow.carried.map((one) => one.span), to }];
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
