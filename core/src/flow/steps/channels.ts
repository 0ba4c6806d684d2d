import type { Channel, HearFact, SendFact } from '../../model/facts';
import type { Model } from '../../model/model';
import type { FilePath } from '../../model/span';
import type { HostIndex } from '../../model/tree';
import { comesBy } from '../../tree';
import type { Frame, Graph } from '../graph/frames';
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

/** A frame as a body in which names are looked for: a hook is given what its caller gives. */
function namingOf(graph: Graph, { file, body, caller }: Frame): Naming {
  const from = caller && graph.frames[caller.frame];
  const args = from && caller ? from.body.values[caller.value]?.args : undefined;
  if (!from || !args) return uncalled(file, body.values);
  return {
    file,
    values: body.values,
    given: (position) => (args[position] ? [{ arg: args[position], in: namingOf(graph, from) }] : undefined),
  };
}

/** What carries what is sent: the document, a channel by its name, or something that a module declares. Undefined where the text does not tell. */
export function carrierOf(model: Model, file: FilePath, { on, name = '' }: Channel): string | undefined {
  if (on !== 'channel') return 'document';
  if (name.startsWith('"')) return `"${channelName(model, file, name.slice(1, -1))}"`;
  const [root = name, ...members] = name.replace(/\(\)$/, '').split('.');
  if (root.startsWith('$')) return isGlobal(model, root) ? globalCarrier(root) : undefined;
  const meant = model.named(file, root);
  if (meant.kind === 'outside') return `${meant.module}#${name}`;
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
      for (const hear of action.hears) put(hearers, channelKeys(graph, frame, hear.channel), { frame, action: index, hear });
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
      if (to.kind !== 'listener' || (action < 0 && !reading)) return [];
      const channel: Channel = { on: to.on === 'self' ? 'element' : to.on, event: to.name };
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
      return [{ frame, action, hear, ...(to.on === 'self' ? { host: index } : {}) }];
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
  if (heard !== 'element') return bubbles || captures;
  const sent = heldBy(graph, from.frame, from.send.channel);
  const hearing = to.host === undefined ? heldBy(graph, to.frame, to.hear.channel) : [to.host];
  const travel = { bubbles, composed: true };
  if (sent && hearing) return sent.some((one) => hearing.some((other) => comesBy(graph.tree, one, other, travel, captures)));
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

/** The elements that a channel means; undefined where that cannot be told. */
function heldBy(graph: Graph, frame: Frame, { element }: Channel): readonly HostIndex[] | undefined {
  return element === undefined ? undefined : hostsHeldBy(graph, frame, element);
}
