import type { Channel, HearFact, SendFact } from '../../model/facts';
import type { Model } from '../../model/model';
import type { FilePath } from '../../model/span';
import type { Frame, Graph } from '../graph/frames';
import { eventNames, type Naming, uncalled } from './event-names';

export type Sender = { readonly frame: Frame; readonly action: number; readonly send: SendFact };
export type Hearer = { readonly frame: Frame; readonly action: number; readonly hear: HearFact };

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
  const channels = { senders, hearers };
  known.set(graph, channels);
  return channels;
}

/** Tells whether what is sent reaches a listener: by a channel always, in the document only upward. */
export function reaches(graph: Graph, from: Sender, to: Hearer): boolean {
  const { on } = from.send.channel;
  const heard = to.hear.channel.on;
  if (on === 'channel' || heard === 'channel') return on === heard;
  if (on === 'window') return heard === 'window';
  if (on === 'document') return heard === 'document' || (heard === 'window' && from.send.bubbles);
  if (from.frame.place === to.frame.place) return true;
  if (!from.send.bubbles) return false;
  if (heard !== 'element') return true;
  for (let at = graph.tree.places[from.frame.place]?.parent ?? -1; at >= 0; at = graph.tree.places[at]?.parent ?? -1) {
    if (at === to.frame.place) return true;
  }
  return false;
}
