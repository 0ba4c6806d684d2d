import type { Channel, HearFact, SendFact } from '../../model/facts';
import type { Frame, Graph } from '../graph/frames';

export type Sender = { readonly frame: Frame; readonly action: number; readonly send: SendFact };
export type Hearer = { readonly frame: Frame; readonly action: number; readonly hear: HearFact };

/** Everything that is sent and heard beside props on a page, by the key of its channel. */
export type Channels = {
  readonly senders: ReadonlyMap<string, readonly Sender[]>;
  readonly hearers: ReadonlyMap<string, readonly Hearer[]>;
};

/** One key for all who mean the same channel and event; undefined where the text does not tell which. */
export function channelKey(graph: Graph, frame: Frame, channel: Channel): string | undefined {
  const event = eventName(graph, frame, channel.event);
  if (event === undefined) return undefined;
  if (channel.on !== 'channel') return `document ${event}`;
  const name = channel.name ?? '';
  if (name.startsWith('"')) return `"${eventName(graph, frame, name.slice(1, -1)) ?? name}" ${event}`;
  const [root = name, ...members] = name.split('.');
  const spot = graph.moduleSpot(frame, root);
  const origin = spot?.frame.body.values[spot.value]?.origin;
  if (origin?.kind === 'message') return `"${spot ? eventName(graph, spot.frame, origin.what) : origin.what}" ${event}`;
  const meant = graph.named(frame, root);
  if (meant.kind === 'value') return `${meant.file}#${[meant.name, ...members].join('.')} ${event}`;
  return meant.kind === 'outside' ? `${meant.module}#${name} ${event}` : undefined;
}

/** `{alarmName}` is a constant of another module: what it says, or who it is. */
function eventName(graph: Graph, frame: Frame, event: string | undefined): string | undefined {
  const constant = event === undefined ? undefined : /^\{(.+)\}$/.exec(event)?.[1];
  if (event === undefined || constant === undefined) return event;
  const meant = graph.named(frame, constant);
  if (meant.kind !== 'value') return undefined;
  return meant.text ?? `${meant.file}#${meant.name}`;
}

const known = new WeakMap<Graph, Channels>();

/** Collects who sends and who hears, once a graph. */
export function channelsOf(graph: Graph): Channels {
  const found = known.get(graph);
  if (found) return found;
  const senders = new Map<string, Sender[]>();
  const hearers = new Map<string, Hearer[]>();
  const put = <T>(map: Map<string, T[]>, key: string | undefined, one: T): void => {
    if (key === undefined) return;
    const others = map.get(key);
    if (others) others.push(one);
    else map.set(key, [one]);
  };
  for (const frame of graph.frames) {
    frame.body.actions.forEach((action, index) => {
      for (const send of action.sends) put(senders, channelKey(graph, frame, send.channel), { frame, action: index, send });
      for (const hear of action.hears) put(hearers, channelKey(graph, frame, hear.channel), { frame, action: index, hear });
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
