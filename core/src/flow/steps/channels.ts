import type { Channel, HearFact, Reading, SendFact, Travel } from '../../model/facts';
import type { Model } from '../../model/model';
import type { FilePath } from '../../model/span';
import type { HostIndex } from '../../model/tree';
import { comesBy, comesByRoot, eventPath, heardName } from '../../tree';
import type { Frame } from '../graph/frames';
import type { Graph } from '../graph/graph';
import { hostsHeldBy } from '../graph/hosts';
import { eventNames, type Naming, uncalled } from './event-names';

export type Sender = { readonly frame: Frame; readonly action: number; readonly send: SendFact };
/** `action`: what subscribes; of a listener in markup, what runs, or -1. `host`: the element that bears such a listener. */
export type Hearer = { readonly frame: Frame; readonly action: number; readonly hear: HearFact; readonly host?: HostIndex };

/** Everything that is sent and heard beside props on a page, by the key of its channel. */
export type Channels = {
  readonly senders: ReadonlyMap<string, readonly Sender[]>;
  readonly hearers: ReadonlyMap<string, readonly Hearer[]>;
};

/** The keys by which all who mean the same channel and event find each other; empty where the text does not tell which. */
export function channelKeys(graph: Graph, frame: Frame, channel: Channel): readonly string[] {
  const carrier = carrierOf(graph.model, frame.file, channel);
  const events = carrier === undefined ? undefined : eventNames(graph.model, channel, namingOf(graph, frame));
  return events?.map((event) => `${carrier ?? ''} ${event}`) ?? [];
}

/** The first of the keys; undefined for none. */
export const channelKey = (graph: Graph, frame: Frame, channel: Channel): string | undefined => channelKeys(graph, frame, channel)[0];

/** What people call what is sent: the event, or the channel where that has no events of its own. */
export function channelText(event: string | undefined, carrier = ''): string {
  if (event) return event;
  return (
    carrier
      .replace(/^from:[^#]*#/, '')
      .replace(/#default$|\(\)$/, '')
      .split('/')
      .at(-1)
      ?.replace(/__c$/, '') ?? ''
  );
}

/** A frame as a body in which names are looked for: a hook is given what its caller gives. */
function namingOf(graph: Graph, { file, body, caller }: Frame): Naming {
  const from = caller && graph.frames[caller.frame];
  const args = from && caller ? from.body.values[caller.value]?.args : undefined;
  if (!from || !args) return uncalled(file, body.values, body.actions);
  return {
    file,
    values: body.values,
    actions: body.actions,
    given: (position) => (args[position] ? [{ arg: args[position], in: namingOf(graph, from) }] : undefined),
  };
}

/** What carries what is sent: the document, a channel by its name, or something that a module declares. Undefined where the text does not tell. */
export function carrierOf(model: Model, file: FilePath, { on, name = '' }: Channel): string | undefined {
  if (on !== 'channel') return 'document';
  if (name.startsWith('"')) return `"${channelName(model, file, name.slice(1, -1))}"`;
  const [, from] = /^(from:[^#]*#)/.exec(name) ?? [];
  const [first = name, ...members] = name
    .slice(from?.length ?? 0)
    .replace(/\(\)$/, '')
    .split('.');
  const root = (from ?? '') + first;
  if (root.startsWith('$')) return isGlobal(model, root) ? globalCarrier(root) : undefined;
  const meant = model.named(file, root);
  if (meant.kind === 'outside') return `${meant.module}#${[meant.name, ...members].join('.')}`;
  if (meant.kind === 'hook' && name.endsWith('()')) return `${meant.file}()`;
  if (meant.kind !== 'value') return undefined;
  // Functions that a module gives for both ends belong together.
  if (name.endsWith('()')) return `${meant.file}()`;
  const origin = model.files.get(meant.file)?.module?.values.find((one) => one.name === meant.name && one.kind !== 'module')?.origin;
  if (origin?.kind === 'message') return `"${channelName(model, meant.file, origin.what)}"`;
  return `${meant.file}#${[meant.name, ...members].join('.')}`;
}

/** What an application gives to all its components under a name, by whatever name its modules know it. */
const globalCarrier = (name: string): string => `global ${name}`;

const isGlobal = (model: Model, name: string): boolean => [...model.files.values()].some(({ globalNames }) => globalNames?.includes(name));

/** The name of a broadcast channel, where a constant holds it what that says. */
const channelName = (model: Model, file: FilePath, name: string): string =>
  eventNames(model, { on: 'channel', event: name }, uncalled(file, []))?.[0] ?? name;

const known = new WeakMap<Graph, Channels>();

/** Collects who sends and who hears, once a graph. */
export function channelsOf(graph: Graph): Channels {
  const found = known.get(graph);
  if (found) return found;
  const senders = new Map<string, Sender[]>();
  const hearers = new Map<string, Hearer[]>();
  const put = <T>(map: Map<string, T[]>, keys: readonly string[], one: T): void => {
    for (const key of keys) {
      const others = map.get(key);
      if (others) others.push(one);
      else map.set(key, [one]);
    }
  };
  for (const frame of graph.frames) {
    frame.body.actions.forEach((action, index) => {
      for (const send of action.sends) put(senders, channelKeys(graph, frame, send.channel), { frame, action: index, send });
      for (const hear of action.hears)
        if (!hear.called) put(hearers, channelKeys(graph, frame, hear.channel), { frame, action: index, hear });
    });
  }
  for (const hearer of hearersInMarkup(graph)) put(hearers, [`document ${hearer.hear.channel.event ?? ''}`], hearer);
  const channels = { senders, hearers };
  known.set(graph, channels);
  return channels;
}

/** The listeners that elements bear in markup. */
function hearersInMarkup({ tree, frames }: Graph): Hearer[] {
  return tree.hosts.flatMap(({ index, node, owner }) => {
    const frame = frames[owner];
    if (!frame) return [];
    return node.bindings.flatMap((binding): Hearer[] => {
      const { to, action = -1, readings, modifiers, nameSpan } = binding;
      const [reading] = readings;
      const name = to.kind === 'listener' ? to.name : heardName(binding);
      if (name === undefined || (action < 0 && !reading)) return [];
      const on = to.kind === 'listener' ? to.on : 'self';
      const channel: Channel = { on: on === 'self' ? 'element' : on, event: name };
      const captures = modifiers?.includes('capture') ? { captures: true as const } : {};
      const ends = modifiers?.includes('once') ?? false;
      const hear: HearFact = {
        channel,
        span: nameSpan,
        ends,
        ...captures,
        ...(action < 0 ? {} : { action }),
        ...(reading ? { reading } : {}),
      };
      return [{ frame, action, hear, ...(on === 'self' ? { host: index } : {}) }];
    });
  });
}

/** Tells whether what is sent reaches a listener: by a channel always, in the document by the elements that stand between. */
export function reaches(graph: Graph, from: Sender, to: Hearer): boolean {
  const { on } = from.send.channel;
  const heard = to.hear.channel.on;
  if (on === 'channel' || heard === 'channel') return on === heard;
  if (on === 'window') return heard === 'window';
  if (on === 'document') return heard === 'document' || (heard === 'window' && from.send.bubbles);
  const { bubbles } = from.send;
  const captures = to.hear.captures ?? false;
  const sent = elementsOf(graph, from.frame, from.send.channel) ?? sentWithin(graph, from);
  if (heard !== 'element') return (bubbles || captures) && leavesRoots(graph, from, sent);
  const hearing = to.host === undefined ? elementsOf(graph, to.frame, to.hear.channel) : [to.host];
  const travel = { bubbles, composed: from.send.composed ?? true };
  if (sent && hearing && to.hear.channel.own === 'root')
    return sent.some((one) => hearing.some((bearer) => comesByRoot(graph.tree, one, bearer, travel)));
  if (sent && hearing)
    return sent.some((one) =>
      hearing.some((other) => comesBy(graph.tree, one, other, travel, captures) && !isStopped(graph, one, other, to, travel)),
    );
  if (from.frame.place === to.frame.place) return true;
  if (!bubbles && !captures) return false;
  // Where it is not told which element it is, it is one of those that the component stands in.
  if (hearing && to.host !== undefined) {
    const around = graph.tree.places[from.frame.place]?.host ?? -1;
    return hearing.some((other) => comesBy(graph.tree, around, other, travel, captures));
  }
  for (let at = graph.tree.places[from.frame.place]?.parent ?? -1; at >= 0; at = graph.tree.places[at]?.parent ?? -1) {
    if (at === to.frame.place) return true;
  }
  return false;
}

/** Whether some listener on the way keeps an event from a host that it would come by. */
function isStopped(graph: Graph, from: HostIndex, to: HostIndex, { frame: listens, hear }: Hearer, travel: Travel): boolean {
  const { tree, frames } = graph;
  const key = channelKey(graph, listens, hear.channel) ?? '';
  if (hear.captures || hear.channel.event === undefined) return false;
  const stops = (frame: Frame | undefined, action: number | undefined, reading: Reading | undefined): boolean => {
    const at = action ?? (reading && reading.path.length === 0 ? frame?.body.values[reading.value]?.action : undefined);
    return at !== undefined && frame?.body.actions[at]?.stops === true;
  };
  for (const { host } of eventPath(tree, from, travel)) {
    if (host.index === to) return false;
    const by = frames[host.owner];
    const inMarkup = host.node.bindings.some(
      (one) => heardName(one) === hear.channel.event && (one.modifiers?.includes('stop') || stops(by, one.action, one.readings[0])),
    );
    const own = host.place === undefined ? undefined : frames[host.place];
    const byItself = own?.body.actions.some((action) =>
      action.hears.some(
        (one) => one.channel.own === 'element' && one.channel.event === hear.channel.event && stops(own, one.action, one.reading),
      ),
    );
    const byScript = (channelsOf(graph).hearers.get(key) ?? []).some(
      (one) =>
        one.host === undefined &&
        one.hear.channel.element !== undefined &&
        stops(one.frame, one.hear.action, one.hear.reading) &&
        elementsOf(graph, one.frame, one.hear.channel)?.includes(host.index) === true,
    );
    if (inMarkup || byItself || byScript) return true;
  }
  return false;
}

/** Whether what is sent comes to the document: out of all shadow trees that it is sent in. */
function leavesRoots({ tree }: Graph, { frame, send }: Sender, sent: readonly HostIndex[] | undefined): boolean {
  if (send.composed !== false) return true;
  if (sent) return sent.some((one) => tree.hosts[one]?.root === -1);
  return frame.component?.facts.element === undefined || frame.component.facts.element.root === 'light';
}

/** An event that some element of a component's own markup sends: what leaves the markup passes the component itself. */
function sentWithin({ tree }: Graph, { frame, send }: Sender): readonly HostIndex[] | undefined {
  const place = tree.places[frame.place];
  if (place?.element === undefined || !send.bubbles) return undefined;
  const isLight = frame.component?.facts.element?.root === 'light';
  return send.composed || isLight ? [place.element] : undefined;
}

/** The elements that a channel means; undefined where that cannot be told. */
export function elementsOf(graph: Graph, frame: Frame, { element, own }: Channel): readonly HostIndex[] | undefined {
  const place = own === undefined ? undefined : graph.tree.places[frame.place];
  if (place?.element !== undefined) return [place.element];
  return element === undefined ? undefined : hostsHeldBy(graph, frame, element);
}
