import { nearest } from '../../contract';
import type { Channel } from '../../model/facts';
import { channelEnds, type End } from './channel-ends';
import { isNativeEvent } from '../events/native-events';

import type { Found, Rule } from '../rule';

/** Only what the document or the window carries under a name of the project's own can be told apart from outside. */
function ownEvent({ on, event }: Channel): string | undefined {
  return (on === 'window' || on === 'document') && event !== undefined && event !== '' && !event.startsWith('{') && !isNativeEvent(event)
    ? event
    : undefined;
}

/** Sent with nobody to hear it, or heard with nobody to send it. */
export const channelUnpaired: Rule = {
  inProject: ({ model }) => {
    const { sends, hears } = channelEnds(model);
    const sent = new Set(sends.flatMap((end) => end.channel.event ?? []));
    // Functions of modules listen as well, whoever calls them.
    const listened = [...model.files.values()].flatMap((file) => file.listens ?? []);
    const heard = new Set([...hears.flatMap((end) => end.channel.event ?? []), ...listened]);
    const isVague = [...sends, ...hears].some((end) => end.channel.event === undefined || end.channel.event.startsWith('{'));
    if (isVague) return [];
    const lone = (end: End, other: ReadonlySet<string>, does: 'sends' | 'hears'): Found[] => {
      const event = ownEvent(end.channel);
      if (event === undefined || other.has(event) || end.owner === undefined) return [];
      const near = nearest(event, [...other]);
      // Heard without a sender: a script from outside may well send it, unless a name of the project is meant.
      if (does === 'hears' && near === undefined) return [];
      const component = end.owner;
      if (component.fileRole !== 'source') return [];
      const meant = near === undefined ? undefined : [...sends, ...hears].find((one) => one.channel.event === near);
      return [
        {
          rule: 'channel-unpaired',
          component: component.id,
          subject: event,
          at: end.at,
          words: { component: component.name, event, does, near: near ?? '' },
          evidence: [
            { at: end.at, text: does === 'sends' ? `${event} is sent.` : `${event} is waited for.` },
            ...(meant ? [{ at: meant.at, text: `${near ?? ''} is what the other end says.` }] : []),
          ],
          touches: component.id,
        },
      ];
    };
    return [...sends.flatMap((end) => lone(end, heard, 'sends')), ...hears.flatMap((end) => lone(end, sent, 'hears'))];
  },
};
