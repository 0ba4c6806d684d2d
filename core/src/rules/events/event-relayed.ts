import { spelling } from '../../contract';
import type { ActionFact, Binding, EventFact, TemplateUse } from '../../model/facts';

import type { MemberKey } from '../../model/member';
import { bindingKey, isListener, memberKeyOf } from '../../model/given';
import { type ComponentId, parseComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { locate, type Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { ownComponents } from '../shared/all-uses';
import { indexOf } from '../../flow/graph/index-of';
import type { Link } from '../shared/links';
import { remembered } from '../../model/remembered';
import { listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';

/** An event of a component that comes unchanged from an event of one of its children. */
type Relay = { readonly event: EventFact; readonly from: TemplateUse; readonly binding: Binding; readonly span: Span };

const isSameSpan = (a: Span, b: Span | undefined): boolean => a.start === b?.start && a.file === b.file;

/** It does nothing but raise one event with its own parameters, in their order; or with the detail of what it heard. */
function isMereRelay(component: Component, action: ActionFact): boolean {
  const { values } = component.facts;
  const [raise, ...more] = action.raises;
  // An event of the document is sent by the same call that raises it.
  const sends = action.sends.filter(({ span }) => !isSameSpan(span, raise?.span));
  if (!raise || more.length > 0 || action.changes.length + sends.length + action.hears.length + action.calls.length > 0) return false;
  if (action.invokes.some((call) => call.value !== raise.value) || action.returns.some((one) => one.value !== raise.value)) return false;
  return (raise.args ?? []).every((arg, position) => {
    const [only, ...others] = arg.readings;
    const value = only && values[only.value];
    if (!only || others.length > 0 || value?.kind !== 'param' || value.position !== position || arg.constant !== undefined) return false;
    return only.how === 'same' ? only.path.length === 0 : position === 0 && only.how === 'part' && only.path.join('.') === 'detail';
  });
}

/** The function that a listener does nothing but call, with what it is handed; the listener itself where it does more, or calls none. */
function runBy({ values, actions }: Component['facts'], at: number): number {
  const action = actions[at];
  const [call, ...more] = action?.invokes ?? [];
  const inner = call && call.path.length === 0 ? values[call.value]?.action : undefined;
  if (!action || !call || inner === undefined || more.length > 0) return at;
  if (action.raises.length + action.changes.length + action.sends.length + action.hears.length > 0) return at;
  const isHandedOn = call.args.every(({ readings: [only, ...others], constant }, position) => {
    const value = only && values[only.value];
    return (
      others.length === 0 &&
      constant === undefined &&
      value?.kind === 'param' &&
      value.of === at &&
      value.position === position &&
      only?.how === 'same'
    );
  });
  return isHandedOn && call.args.length > 0 ? inner : at;
}

/** Bindings of uses that hear an event by one of the body's functions, and those that forward it as it comes. */
const relaysIn = remembered((component: Component): readonly Relay[] => {
  const { facts } = component;
  if (facts.form === 'class' || facts.raisesUnseen || facts.events.length === 0) return [];
  const index = indexOf(facts);
  const listeners: { node: TemplateUse; binding: Binding; action?: number; forwards?: number }[] = [];
  walkTemplate(facts.template, (node) => {
    if (node.kind !== 'use') return;
    for (const binding of node.bindings) {
      if (binding.direction !== 'out' && !isListener(binding)) continue;
      const [only, ...more] = binding.readings;
      const value = only && more.length === 0 && only.path.length === 0 ? facts.values[only.value] : undefined;
      const given = binding.action ?? (value?.kind === 'function' ? value.action : undefined);
      const action = given === undefined ? undefined : runBy(facts, given);
      // Nothing but the event's name is written: it is passed up as it is.
      const forwards =
        value?.kind === 'prop' && binding.to.kind === 'event' && memberKeyOf(value) === bindingKey(binding) ? only?.value : undefined;
      if (action !== undefined || forwards !== undefined)
        listeners.push({ node, binding, ...(action === undefined ? {} : { action }), ...(forwards === undefined ? {} : { forwards }) });
    }
  });
  return facts.events.flatMap((event): Relay[] => {
    const prop = index.props.get(event.key);
    const raisers = facts.actions.flatMap((action, at) => (action.raises.some((raise) => raise.member === event.key) ? [at] : []));
    const forwarding = listeners.filter((one) => one.forwards !== undefined && one.forwards === prop);
    if (forwarding.length === 1 && raisers.length === 0 && forwarding[0])
      return [{ event, from: forwarding[0].node, binding: forwarding[0].binding, span: forwarding[0].binding.span }];
    const [at, ...others] = raisers;
    const action = at === undefined ? undefined : facts.actions[at];
    if (at === undefined || !action || others.length > 0 || forwarding.length > 0 || !isMereRelay(component, action)) return [];
    // It may also be handed on as it is, or be called by something else.
    if (prop !== undefined && (index.sinks.get(prop) ?? []).some((sink) => sink.to !== 'read' && sink.to !== 'follows')) return [];
    const hearing = listeners.filter((one) => one.action === at);
    const [heard] = hearing;
    const value = index.functionOf.get(at);
    const calls = value === undefined ? [] : (index.calls.get(value) ?? []);
    const isOwnCall =
      calls.length === 1 && heard?.binding.action !== undefined && heard.binding.action !== at && calls[0]?.action === heard.binding.action;
    if (!heard || hearing.length > 1 || (calls.length > 0 && !isOwnCall)) return [];
    return [{ event, from: heard.node, binding: heard.binding, span: action.raises[0]?.span ?? heard.binding.span }];
  });
});

type RelayStep = { readonly component: Component; readonly relay: Relay; readonly below: string };

const keyOf = (id: ComponentId, key: MemberKey): string => `${id} ${key}`;

function stepsOf(model: Model): Map<string, RelayStep> {
  const steps = new Map<string, RelayStep>();
  for (const component of ownComponents(model))
    for (const relay of relaysIn(component)) {
      const target = model.useOfNode.get(relay.from)?.target;
      if (target?.kind !== 'component' || target.wrapped || target.id === component.id) continue;
      const below = bindingKey(relay.binding);
      if (below !== undefined) steps.set(keyOf(component.id, relay.event.key), { component, relay, below: keyOf(target.id, below) });
    }
  return steps;
}

/** The steps that hear what another one raises. */
function stepsAbove(steps: ReadonlyMap<string, RelayStep>): Map<string, RelayStep[]> {
  const above = new Map<string, RelayStep[]>();
  for (const step of steps.values()) above.set(step.below, [...(above.get(step.below) ?? []), step]);
  return above;
}

/** The steps from a relay up to the one that nothing raises again. */
function wayUp(steps: ReadonlyMap<string, RelayStep>, above: ReadonlyMap<string, readonly RelayStep[]>, key: string): RelayStep[] {
  const lowest = steps.get(key);
  const way = lowest ? [lowest] : [];
  const seen = new Set([key]);
  for (let at = key, next = above.get(at)?.[0]; next; next = above.get(at)?.[0]) {
    at = keyOf(next.component.id, next.relay.event.key);
    if (seen.has(at)) break;
    seen.add(at);
    way.push(next);
  }
  return way;
}

/** The relays of an event from the lowest up, each with the place where it hears it. */
export function relayedAbove(model: Model, lowest: ComponentId, event: MemberKey): Link[] {
  const steps = stepsOf(model);
  return wayUp(steps, stepsAbove(steps), keyOf(lowest, event)).map(({ component, relay, below }) => ({
    component: component.id,
    prop: relay.event.key,
    hands: [
      {
        node: relay.from,
        binding: relay.binding,
        to: {
          component: below.slice(0, below.lastIndexOf(' ')) as ComponentId,
          prop: below.slice(below.lastIndexOf(' ') + 1) as MemberKey,
        },
      },
    ],
  }));
}

/** An event is caught and raised again unchanged by two or more components in a row. */
export const eventRelayed: Rule = {
  inProject: ({ model }) => {
    const steps = stepsOf(model);
    const above = stepsAbove(steps);
    return [...steps].flatMap(([key, lowest]): Found[] => {
      if (steps.has(lowest.below)) return [];
      const way = wayUp(steps, above, key);
      if (way.length < 2) return [];
      const { component, relay } = lowest;
      const event = spelling(component, relay.event.key);
      const source = parseComponentId(lowest.below.slice(0, lowest.below.lastIndexOf(' ')) as ComponentId).name;
      return [
        {
          rule: 'event-relayed',
          component: component.id,
          subject: event,
          member: relay.event.key,
          at: locate(component.file, relay.span),
          words: {
            event,
            relays: listed(way.map((one) => one.component.name)),
            count: String(way.length),
            source,
          },
          evidence: way.map((one) => ({
            at: locate(one.component.file, one.relay.span),
            text: `${one.component.name} raises it again as it came.`,
          })),
          goes: [{ count: way.length, what: 'event' }],
          touches: component.id,
        },
      ];
    });
  },
};
