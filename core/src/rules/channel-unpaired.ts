import type { Channel } from '../model/facts';
import type { ComponentId } from '../model/ids';
import type { Component, Model } from '../model/model';
import { type FilePath, locate, type Location } from '../model/span';
import { isNativeEvent } from './native-events';
import { nearest } from './near';
import type { Found, Rule } from './rule';

type End = { readonly channel: Channel; readonly at: Location; readonly owner: ComponentId | undefined };
type Ends = { readonly sends: readonly End[]; readonly hears: readonly End[] };

/** All that sends and hears something, in components, hooks and modules. */
function endsOf(model: Model): Ends {
  const sends: End[] = [];
  const hears: End[] = [];
  const inFile = new Map<FilePath, Component[]>();
  for (const component of model.components.values()) {
    const known = inFile.get(component.file);
    if (known) known.push(component);
    else inFile.set(component.file, [component]);
  }
  for (const facts of model.files.values()) {
    const owned = inFile.get(facts.file) ?? [];
    const first = owned[0]?.id;
    const bodies = [
      ...owned.map((component) => ({ actions: component.facts.actions, owner: component.id as ComponentId | undefined })),
      ...facts.shared.flatMap((one) => (one.kind === 'hook' ? [{ actions: one.actions, owner: first }] : [])),
      { actions: facts.module?.actions ?? [], owner: first },
    ];
    for (const { actions, owner } of bodies)
      for (const action of actions) {
        for (const send of action.sends) sends.push({ channel: send.channel, at: locate(facts.file, send.span), owner });
        for (const hear of action.hears) hears.push({ channel: hear.channel, at: locate(facts.file, hear.span), owner });
      }
  }
  return { sends, hears };
}

/** Only what the document or the window carries under a name of the project's own can be told apart from outside. */
function ownEvent({ on, event }: Channel): string | undefined {
  return (on === 'window' || on === 'document') && event !== undefined && event !== '' && !event.startsWith('{') && !isNativeEvent(event)
    ? event
    : undefined;
}

/** Sent with nobody to hear it, or heard with nobody to send it. */
export const channelUnpaired: Rule = {
  inProject: ({ model }) => {
    const { sends, hears } = endsOf(model);
    const sent = new Set(sends.flatMap((end) => end.channel.event ?? []));
    const heard = new Set(hears.flatMap((end) => end.channel.event ?? []));
    const isVague = [...sends, ...hears].some((end) => end.channel.event === undefined || end.channel.event.startsWith('{'));
    if (isVague) return [];
    const lone = (end: End, other: ReadonlySet<string>, does: 'sends' | 'hears'): Found[] => {
      const event = ownEvent(end.channel);
      if (event === undefined || other.has(event) || end.owner === undefined) return [];
      const near = nearest(event, [...other]);
      // Heard without a sender: a script from outside may well send it, unless a name of the project is meant.
      if (does === 'hears' && near === undefined) return [];
      const component = model.components.get(end.owner);
      if (component?.fileRole !== 'source') return [];
      const meant = near === undefined ? undefined : [...sends, ...hears].find((one) => one.channel.event === near);
      return [
        {
          rule: 'channel-unpaired',
          component: component.id,
          subject: event,
          at: end.at,
          words: { component: component.name, event, does, near: near ?? '' },
          evidence: [
            { at: end.at, says: does === 'sends' ? `${event} is sent.` : `${event} is waited for.` },
            ...(meant ? [{ at: meant.at, says: `${near ?? ''} is what the other end says.` }] : []),
          ],
          touches: component.id,
        },
      ];
    };
    return [...sends.flatMap((end) => lone(end, heard, 'sends')), ...hears.flatMap((end) => lone(end, sent, 'hears'))];
  },
};
