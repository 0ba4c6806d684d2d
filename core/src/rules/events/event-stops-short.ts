import { spelling } from '../../contract';
import type { Binding, TemplateNode } from '../../model/facts';
import { deafListeners } from './deaf-listeners';
import { bindingKey } from '../../model/given';
import { causeAt } from '../precedence';

import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { channelEnds } from '../channels/channel-ends';
import { isNativeEvent } from './native-events';
import { type Raiser, raiserBelow } from './raised-below';
import { remembered } from '../../model/remembered';
import type { Check, Found, Rule } from '../rule';

type Element = Extract<TemplateNode, { kind: 'element' }>;

/** The event that an element listens for; undefined for those of the platform and for all that is no listener. */
function ownEvent({ to, direction, readings, action }: Binding): string | undefined {
  const isHeard = to.kind === 'listener' && direction !== 'two-way' && (readings.length > 0 || action !== undefined);
  return isHeard && !isNativeEvent(to.name.toLowerCase()) && !to.name.includes(':') ? to.name : undefined;
}

type Listener = { readonly element: Element; readonly binding: Binding; readonly event: string };

/** Elements of a component that listen for an event which no platform raises. */
const elementListeners = remembered((component: Component): readonly Listener[] => {
  const found: Listener[] = [];
  walkTemplate(component.facts.template, (node) => {
    // Custom elements raise events of their own.
    if (node.kind !== 'element' || node.tag.includes('-')) return;
    for (const binding of node.bindings) {
      const event = ownEvent(binding);
      if (event !== undefined) found.push({ element: node, binding, event });
    }
  });
  return found;
});

/** Something in an element may raise events that do bubble: a custom element, or what cannot be seen. */
function holdsUnseen(model: Model, element: Element): boolean {
  let found = false;
  walkTemplate(element.children, (node) => {
    if (node.kind === 'element' ? node.tag.includes('-') : node.kind === 'use' && model.useOfNode.get(node)?.target.kind !== 'component')
      found = true;
  });
  return found;
}

function onElements({ model }: Check): Found[] {
  const sent = new Set(channelEnds(model).sends.map((end) => end.channel.event));
  return [...model.components.values()].flatMap((component) => {
    if (component.fileRole !== 'source') return [];
    return elementListeners(component).flatMap(({ element, binding, event }): Found[] => {
      const raiser =
        sent.has(event) || holdsUnseen(model, element)
          ? undefined
          : raiserBelow(model, element.children, ({ name }) => name.toLowerCase() === event.toLowerCase());
      return raiser ? [foundAt(component, binding.written, binding, `<${element.tag}>`, raiser)] : [];
    });
  });
}

function foundAt(owner: Component, heard: string, binding: Binding, listener: string, { component, event }: Raiser): Found {
  const at = locate(owner.file, binding.nameSpan);
  const [raise] = event.raised;
  return {
    rule: 'event-stops-short',
    component: owner.id,
    subject: heard,
    at,
    words: { listener, event: heard, raiser: component.name, owner: owner.name },
    evidence: [
      { at, text: `${owner.name} waits for ${heard} on ${listener}.` },
      { at: locate(component.file, raise?.span ?? event.span), text: `${component.name} raises it, for who uses ${component.name} alone.` },
    ],
    touches: owner.id,
  };
}

/** What is sent from an element without bubbling, and waited for at the document or the window. */
function onChannels({ model }: Check): Found[] {
  const { sends, hears } = channelEnds(model);
  return hears.flatMap(({ channel, at, owner, captures }): Found[] => {
    if (owner?.fileRole !== 'source' || captures || (channel.on !== 'window' && channel.on !== 'document')) return [];
    if (channel.event === undefined || channel.event === '' || isNativeEvent(channel.event)) return [];
    const sent = sends.filter((end) => end.channel.event === channel.event || end.channel.event === undefined);
    const [first] = sent;
    if (!first?.owner || !sent.every((end) => end.channel.on === 'element' && end.channel.event !== undefined && !end.bubbles)) return [];
    return [
      {
        rule: 'event-stops-short',
        component: owner.id,
        subject: channel.event,
        at,
        words: { listener: `the ${channel.on}`, event: channel.event, raiser: first.owner.name, owner: owner.name, bubbles: 'no' },
        evidence: [
          { at, text: `${owner.name} waits for ${channel.event} at the ${channel.on}.` },
          { at: first.at, text: `${first.owner.name} sends it to one element, and it does not bubble.` },
        ],
        touches: owner.id,
      },
    ];
  });
}

/** Listeners of uses that wait for what a component further down raises. */
function onUses({ model, uses }: Check): Found[] {
  return uses.flatMap((known) =>
    deafListeners(known).flatMap((binding): Found[] => {
      const key = bindingKey(binding);
      if (key === undefined || binding.to.kind === 'model') return [];
      const below = [...known.use.node.children, ...known.target.facts.template];
      const raiser = raiserBelow(model, below, (event) => event.key === key);
      if (!raiser) return [];
      return [
        { ...foundAt(known.owner, spelling(known.target, key), binding, known.target.name, raiser), causes: [causeAt(known.use, key)] },
      ];
    }),
  );
}

/** A listener waits further up than the event travels. */
export const eventStopsShort: Rule = {
  inProject: (check) => [...onUses(check), ...onElements(check), ...onChannels(check)],
};
