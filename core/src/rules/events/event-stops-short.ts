import { spelling } from '../../contract';
import type { Binding, TemplateNode } from '../../model/facts';
import { deafListeners } from './deaf-listeners';
import { domEvents, type Kept } from './dom-events';
import { eventNames, uncalled } from '../../flow';
import { bindingKey } from '../../model/given';
import { causeAt } from '../precedence';

import type { Component, Model } from '../../model/model';
import type { ComponentId } from '../../model/ids';
import { locate, type Location } from '../../model/span';
import { usesIn, walkTemplate } from '../../model/walk';
import { channelEnds, type Sent } from '../channels/channel-ends';
import { isNativeEvent } from '../../model/native-events';
import { type Raiser, raiserBelow } from './raised-below';
import { remembered } from '../../model/remembered';
import { tagText } from '../../model/tag-text';
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
    if (component.fileRole !== 'source' || component.facts.element) return [];
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
    known.target.facts.element
      ? []
      : deafListeners(known).flatMap((binding): Found[] => {
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

/** A listener of an element, in markup or put there by a function: what it waits for, and the markup in which that may be raised. */
type Waiting = {
  readonly owner: Component;
  readonly event: string;
  readonly at: Location;
  readonly listener: string;
  readonly within: readonly TemplateNode[];
};

/** What is sent to an element without bubbling, and waited for at an element of a component further up. */
function onOuterElements({ model }: Check): Found[] {
  const { sends, hears } = channelEnds(model);
  const sent = sends.filter((end) => end.channel.on === 'element');
  if (sent.length === 0) return [];
  const inMarkup = [...model.components.values()].flatMap((owner): Waiting[] =>
    owner.fileRole !== 'source' || owner.facts.element
      ? []
      : elementListeners(owner).map(({ element, binding, event }) => ({
          owner,
          event,
          at: locate(owner.file, binding.nameSpan),
          listener: `<${element.tag}>`,
          within: element.children,
        })),
  );
  const byFunctions = hears.flatMap(({ channel, events, at, owner, captures }): Waiting[] => {
    const [event, ...others] = events ?? [];
    if (owner?.facts.element) return [];
    const isFit = channel.on === 'element' && !captures && event !== undefined && others.length === 0 && !isNativeEvent(event);
    if (!isFit || owner?.fileRole !== 'source') return [];
    return [{ owner, event, at, listener: 'an element', within: owner.facts.template }];
  });
  return [...inMarkup, ...byFunctions].flatMap(({ owner, event, at, listener, within }): Found[] => {
    const ends = sent.filter((end) => end.events === undefined || end.events.includes(event));
    if (ends.length === 0 || ends.some((end) => end.bubbles || end.events === undefined)) return [];
    const raisers = ends.map((end) => sendersOf(model, end));
    const below = raisers.flatMap((all) => all ?? []);
    const [first] = below;
    // Where the element that it is sent to may be the one that listens, it is heard.
    const isApart = (one: Component): boolean => one !== owner && !holdsRefTo(owner, one, model) && standsBelow(model, within, one);
    if (!first || raisers.includes(undefined) || !below.every(isApart)) return [];
    const [end] = ends;
    return [
      {
        rule: 'event-stops-short',
        component: owner.id,
        subject: event,
        at,
        words: { listener: `${listener} of ${owner.name}`, event, raiser: first.name, owner: owner.name, bubbles: 'no' },
        evidence: [
          { at, text: `${owner.name} waits for ${event} on ${listener}.` },
          ...(end ? [{ at: end.at, text: 'It is sent to one element, and it does not bubble.' }] : []),
        ],
        touches: owner.id,
      },
    ];
  });
}

/** The components to whose elements something is sent: the one that does, or those that put the sending function on their elements; undefined where that cannot be told. */
function sendersOf(model: Model, { owner, at }: Sent): readonly Component[] | undefined {
  const isOwn = owner && owner.facts.span.start <= at.start && owner.facts.span.end >= at.end;
  if (isOwn) return [owner];
  const sender = functionAround(model, at);
  if (sender === undefined) return undefined;
  const names = (file: string, name: string): boolean => {
    const meant = model.named(file, name);
    if (meant.kind === 'hook') return meant.file === at.file && meant.fact.name === sender;
    return meant.kind === 'value' && meant.name === sender && meant.file === at.file;
  };
  const isPut = (one: Component): boolean => directivesOf(one).some((name) => names(one.file, name));
  const users = [...model.components.values()].filter(
    (one) => isPut(one) || one.facts.values.some(({ source }) => source !== undefined && names(one.file, source)),
  );
  return users.length > 0 && users.every(isPut) ? users : undefined;
}

/** The name of the function of a module in which something is done: the last that is declared before it. */
function functionAround(model: Model, at: Location): string | undefined {
  const declared = (model.files.get(at.file)?.shared ?? []).filter((one) => one.span.start <= at.start);
  return declared.sort((a, b) => b.span.start - a.span.start)[0]?.name;
}

const directivesOf = remembered((component: Component): readonly string[] => {
  const found: string[] = [];
  walkTemplate(component.facts.template, (node) => {
    if (node.kind === 'element') for (const { to } of node.bindings) if (to.kind === 'directive') found.push(to.name);
  });
  return found;
});

/** Whether a component holds the handle of a use of another: what listens may be that one's own element. */
function holdsRefTo(owner: Component, other: Component, model: Model): boolean {
  return (model.usesBy.get(owner.id) ?? []).some(
    ({ node, target }) => target.kind === 'component' && target.id === other.id && (node.ref !== undefined || node.spreads.length > 0),
  );
}

/** Whether a component is rendered in some markup, at any depth. */
function standsBelow(model: Model, nodes: readonly TemplateNode[], wanted: Component): boolean {
  const seen = new Set<ComponentId>();
  const stack = usesIn(nodes).flatMap((node) => model.useOfNode.get(node) ?? []);
  for (let use = stack.pop(); use; use = stack.pop()) {
    if (use.target.kind !== 'component' || seen.has(use.target.id)) continue;
    if (use.target.id === wanted.id) return true;
    seen.add(use.target.id);
    for (const next of model.usesBy.get(use.target.id) ?? []) stack.push(next);
  }
  return false;
}

const keptWords: Readonly<Record<Kept['by'], string>> = {
  bubbles: 'It is sent without bubbling, so that only the element itself hears it.',
  root: 'It is not composed, so that it ends at the shadow root in which it is sent.',
  stopped: 'A listener on the way keeps it from going further.',
};

/** Listeners of elements that an event of the document comes near and does not reach. */
function onHosts({ model }: Check): Found[] {
  const { heardBy, subscribed, keptFrom } = domEvents(model);
  if (keptFrom.size === 0) return [];
  const found: Found[] = [];
  const tell = (owner: Component, event: string, at: Location, listener: string, kept: Kept): void => {
    found.push({
      rule: 'event-stops-short',
      component: owner.id,
      subject: event,
      at,
      words: { listener, event, raiser: kept.component.name, owner: owner.name, bubbles: kept.by === 'bubbles' ? 'no' : '', kept: kept.by },
      evidence: [
        { at, text: `${owner.name} waits for ${event} on ${listener}.` },
        { at: locate(kept.component.file, kept.send.span), text: `${kept.component.name} sends it here. ${keptWords[kept.by]}` },
      ],
      touches: owner.id,
    });
  };
  for (const owner of model.components.values()) {
    if (owner.fileRole !== 'source') continue;
    if (owner.facts.element)
      walkTemplate(owner.facts.template, (node) => {
        for (const binding of node.kind === 'element' || node.kind === 'use' ? node.bindings : []) {
          const kept = keptFrom.get(binding);
          if (kept && !heardBy.has(binding) && !isNativeEvent(binding.to.name))
            tell(
              owner,
              binding.to.name,
              locate(owner.file, binding.nameSpan),
              node.kind === 'element' || node.kind === 'use' ? tagText(node) : '',
              kept,
            );
        }
      });
    for (const { hears } of owner.facts.actions)
      for (const hear of hears) {
        const kept = keptFrom.get(hear);
        // What does not bubble to where another framework listens is told by itself.
        if (!owner.facts.element && kept?.by !== 'stopped') continue;
        const [event = ''] = eventNames(model, hear.channel, uncalled(owner.file, owner.facts.values)) ?? [];
        if (kept && !subscribed.has(hear) && !isNativeEvent(event))
          tell(owner, event, locate(owner.file, hear.span), hear.channel.own ? owner.name : 'an element', kept);
      }
  }
  return found;
}

/** A listener waits further up than the event travels. */
export const eventStopsShort: Rule = {
  inProject: (check) => [...onUses(check), ...onElements(check), ...onChannels(check), ...onOuterElements(check), ...onHosts(check)],
};
