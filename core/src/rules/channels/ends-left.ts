import type { Component, Model } from '../../model/model';
import { isNativeEvent } from '../../model/native-events';
import type { Found } from '../rule';
import { channelEnds, type End } from './channel-ends';
import { namedCarrier, unpairedEnd } from './channel-unpaired';

const directions = ['hears', 'sends'] as const;
type Direction = (typeof directions)[number];

/** A name on a carrier that both ends agree on. */
type Meeting = { readonly end: End; readonly event: string; readonly key: string };

/** What is sent and heard in one version, by names that are known; what a name is not known of is left out, with all of its carrier. */
function meetingsIn(model: Model): Readonly<Record<Direction, readonly Meeting[]>> & { readonly listened: ReadonlySet<string> } {
  const ends = channelEnds(model);
  const unknown = new Set(directions.flatMap((one) => ends[one].flatMap(({ carrier, events }) => (events ? [] : [carrier]))));
  const meetings = (direction: Direction): Meeting[] =>
    ends[direction].flatMap((end) =>
      end.carrier === undefined || end.channel.on === 'element' || unknown.has(end.carrier)
        ? []
        : (end.events ?? []).flatMap((event) =>
            isNativeEvent(event) && end.carrier === 'document' ? [] : [{ end, event, key: `${end.carrier} ${event}` }],
          ),
    );
  const listened = new Set([...model.files.values()].flatMap((file) => (file.listens ?? []).map((event) => `document ${event}`)));
  return { hears: meetings('hears'), sends: meetings('sends'), listened };
}

/**
 * Ends of channels that met another end of the project in an earlier version and meet none in the later: since the other
 * one went, or since this one has another name or carrier. Each in a component of which `earlier` knows the earlier form;
 * of a pair that was parted, the end that went elsewhere. Empty where all meet.
 */
export function endsLeft(before: Model, after: Model, earlier: (component: Component) => Component | undefined): Found[] {
  const [was, is] = [meetingsIn(before), meetingsIn(after)];
  const other = { hears: 'sends', sends: 'hears' } as const;
  const keysOf = (all: typeof was, direction: Direction): Set<string> =>
    new Set([...all[direction].map(({ key }) => key), ...(direction === 'hears' ? all.listened : [])]);
  const answered = { hears: keysOf(was, other.hears), sends: keysOf(was, other.sends) };
  /** Names that a component meets somebody under, in the earlier version. */
  const metBy = ({ id }: Component, direction: Direction): string[] =>
    was[direction].flatMap(({ end, key }) => (end.owner?.id === id && answered[direction].has(key) ? [key] : []));
  const alone = directions.flatMap((direction) => {
    const others = keysOf(is, other[direction]);
    return is[direction].flatMap((one) => {
      const { owner } = one.end;
      const old = owner?.fileRole === 'source' ? earlier(owner) : undefined;
      if (!owner || !old || others.has(one.key)) return [];
      const met = metBy(old, direction);
      const kept = new Set(is[direction].flatMap(({ end, key }) => (end.owner === owner ? [key] : [])));
      const parted = met.includes(one.key) ? [one.key] : met.filter((key) => !kept.has(key));
      return parted.length > 0 ? [{ ...one, owner, direction, parted, isMoved: !met.includes(one.key) }] : [];
    });
  });
  const moved = new Set(alone.flatMap(({ isMoved, parted }) => (isMoved ? parted : [])));
  return alone
    .filter(({ key, isMoved }) => isMoved || !moved.has(key))
    .flatMap(({ end, event, direction }) => unpairedEnd(end, namedCarrier(end.carrier ?? '')?.name ?? event, direction))
    .map((found) => ({ ...found, words: { ...found.words, since: 'yes' } }));
}
