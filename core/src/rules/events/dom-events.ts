import { channelKeys, channelsOf, elementsOf, type Graph, type Hearer, makeFlowQueries, reaches, type Sender } from '../../flow';
import type { Binding, HearFact, SendFact } from '../../model/facts';
import type { UseId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { isNativeEvent } from '../../model/native-events';
import type { FilePath, Span } from '../../model/span';
import { remembered } from '../../model/remembered';
import type { Host, Tree } from '../../model/tree';
import { heardName, unfold } from '../../tree';

/** Where an event of the document is sent, and the component that sends it. */
export type SentBy = { readonly component: Component; readonly send: SendFact };

/** A listener that an event comes near and does not reach: where it is sent, and what keeps it. */
export type Kept = SentBy & { readonly by: 'bubbles' | 'root' | 'stopped' };

/** What becomes of the events of the document that components send, on all pages together. */
export type DomEvents = {
  /** Listeners in markup that some event reaches, or may. */
  readonly heardBy: ReadonlySet<Binding>;
  /** Subscriptions in script that some event reaches, or may. */
  readonly subscribed: ReadonlySet<HearFact>;
  /** Places of subscriptions in script of which the table says something. */
  readonly told: ReadonlySet<string>;
  /** Events of what a use makes that somebody hears somewhere, as `use event`. */
  readonly heardAt: ReadonlySet<string>;
  /** Uses that stand on some page. */
  readonly standing: ReadonlySet<UseId>;
  /** What is sent below a listener under its name and does not come as far. */
  readonly keptFrom: ReadonlyMap<Binding | HearFact, Kept>;
};

const newTables = () => ({
  heardBy: new Set<Binding>(),
  subscribed: new Set<HearFact>(),
  heardAt: new Set<string>(),
  standing: new Set<UseId>(),
  keptFrom: new Map<Binding | HearFact, Kept>(),
  told: new Set<string>(),
});

type Tables = ReturnType<typeof newTables>;

export const placeKey = (file: FilePath, { start, file: own }: Span): string => `${own ?? file} ${start}`;

export const heardKey = (use: UseId, event: string): string => `${use} ${event}`;

/** The table for a project; empty where no component is an element, and none sends an event to one that another listens for by script. */
export const domEvents = remembered((model: Model): DomEvents => {
  const tables = newTables();
  const bySending = sendsToElements(model);
  if (!bySending && ![...model.components.values()].some((one) => one.facts.element)) return tables;
  for (const page of model.pages) {
    const tree = unfold(model, page);
    if (bySending || tree.places.some((place) => place.element !== undefined)) notePage(model, tree, tables);
  }
  return tables;
});

/** Whether components that are no elements send an event of their own to an element, and others listen for it by script. */
function sendsToElements(model: Model): boolean {
  const sent = new Set<string>();
  const heard = new Set<string>();
  for (const { facts, fileRole } of model.components.values()) {
    if (facts.element || fileRole !== 'source') continue;
    for (const { sends, hears } of facts.actions) {
      for (const { channel } of sends) if (channel.on === 'element' && channel.event !== undefined) sent.add(channel.event);
      for (const { channel } of hears) if (channel.on === 'element' && channel.event !== undefined) heard.add(channel.event);
    }
  }
  return [...sent].some((event) => heard.has(event) && !isNativeEvent(event));
}

function notePage(model: Model, tree: Tree, tables: Tables): void {
  const { graph } = makeFlowQueries(model, tree);
  for (const place of tree.places) if (place.use) tables.standing.add(place.use);
  const { hearers } = channelsOf(graph);
  for (const frame of graph.frames)
    frame.body.actions.forEach((facts, action) => {
      for (const send of facts.sends) {
        if (send.channel.on !== 'element') continue;
        const sender: Sender = { frame, action, send };
        const keys = channelKeys(graph, frame, send.channel);
        const isKnown = send.made === undefined && keys.length > 0 && keys.every((key) => !/\{/.test(key));
        const heard = isKnown ? keys.flatMap((key) => hearers.get(key) ?? []) : [...hearers.values()].flat();
        for (const hearer of heard) noteHearer(graph, sender, hearer, isKnown, tables);
      }
    });
}

function noteHearer(graph: Graph, sender: Sender, hearer: Hearer, isKnown: boolean, tables: Tables): void {
  const listener = listenerOf(graph, hearer);
  const place = graph.tree.places[sender.frame.place];
  if (!isKnown || reaches(graph, sender, hearer)) {
    if (listener) {
      if ('direction' in listener) tables.heardBy.add(listener);
      else {
        tables.subscribed.add(listener);
        tables.told.add(placeKey(hearer.frame.file, listener.span));
      }
    }
    const event = sender.send.channel.event;
    // Its own listener does not make it heard by others.
    if (place?.use && event !== undefined && isKnown && !(hearer.frame === sender.frame)) tables.heardAt.add(heardKey(place.use, event));
    return;
  }
  const component = sender.frame.component;
  if (!listener || !component || tables.keptFrom.has(listener) || !standsBelow(graph, sender, hearer)) return;
  const { bubbles, composed = true } = sender.send;
  const by = !bubbles ? 'bubbles' : !composed ? 'root' : 'stopped';
  tables.keptFrom.set(listener, { component, send: sender.send, by });
  tables.told.add(placeKey(hearer.frame.file, 'direction' in listener ? listener.nameSpan : listener.span));
}

/** The listener that a hearer stands for: a binding of markup, or a subscription. */
function listenerOf({ tree }: Graph, { host, hear }: Hearer): Binding | HearFact | undefined {
  if (host === undefined) return hear.channel.on === 'element' ? hear : undefined;
  const there: Host | undefined = tree.hosts[host];
  return there?.node.bindings.find((one) => heardName(one) === hear.channel.event && one.nameSpan === hear.span);
}

/** Whether what is sent begins somewhere below the element that listens, whoever wrote what is between. */
function standsBelow(graph: Graph, { frame: from, send }: Sender, { host, frame, hear }: Hearer): boolean {
  const { tree } = graph;
  const at = tree.places[from.place];
  const element = tree.places[frame.place]?.element;
  const own = element === undefined ? [] : [element];
  // Which element a function holds may not be told: what it listens to may be the sender itself, made and put there by script.
  const unknown = hear.channel.element === undefined ? own : [];
  const wanted = host === undefined ? (elementsOf(graph, frame, hear.channel) ?? unknown) : [host];
  const begins = elementsOf(graph, from, send.channel) ?? (at ? [at.element ?? at.host] : []);
  return begins.some((start) => {
    for (let one = tree.hosts[start]; one; one = tree.hosts[one.parent]) if (wanted.includes(one.index)) return true;
    return false;
  });
}

/** The places of a component by its uses are all known to the table. */
export const isStanding = (table: DomEvents, uses: readonly { readonly use: { readonly id: UseId } }[]): boolean =>
  uses.every(({ use }) => table.standing.has(use.id));
