import { nearest } from '../../contract';
import { adapters } from '../../frameworks/registry';
import { isOwnModule } from '../../read/script/call-meaning';
import type { Model } from '../../model/model';
import type { Location } from '../../model/span';
import { channelEnds, type End } from './channel-ends';
import { isNativeEvent } from '../../model/native-events';
import { toldInVain } from './store-commands';

import type { Found, Rule } from '../rule';

/** Packages from which a module may come by a bus that lives in the page alone. */
const buses = /^(mitt|tiny-emitter|nanoevents|eventemitter3|(node:)?events|emittery)$/;

const isOfFramework = (module: string): boolean =>
  adapters.some(
    ({ write }) => module === write.package || module.startsWith(`${write.package}/`) || module.startsWith(`@${write.package}/`),
  );

/** A carrier that a module of the project makes, with nothing behind it that could send or hear from outside. */
function isOwnBus(model: Model, carrier: string): boolean {
  const file = model.files.get(carrier.replace(/(\(\)|#.*)$/, ''));
  return (
    file !== undefined &&
    file.imports.every(({ from, typeOnly }) => typeOnly || isOwnModule(from) || buses.test(from) || isOfFramework(from))
  );
}

/**
 * Carriers that are known by a name alone, by what they are: broadcast channels, of which an address is of something beyond
 * the page, and message channels, of which one with a prefix comes with a package of others.
 */
const namedCarriers = [/^"(?<name>[^"/]+)"$/, /^@salesforce\/messageChannel\/(?<name>(?!\w+?__\w+__c)\w+)#default$/];

/** The name by which a carrier is known, and which of the kinds it is; undefined where it is no such carrier. */
export function namedCarrier(carrier: string): { kind: number; name: string } | undefined {
  const names = namedCarriers.map((one) => one.exec(carrier)?.groups?.name);
  const kind = names.findIndex((name) => name !== undefined);
  return kind < 0 ? undefined : { kind, name: names[kind] ?? '' };
}

type Carried = { readonly sends: End[]; readonly hears: End[] };

/** Sent with nobody to hear it, or heard with nobody to send it. */
export const channelUnpaired: Rule = {
  inProject: ({ model }) => {
    const { sends, hears } = channelEnds(model);
    const carriers = new Map<string, Carried>();
    const carried = (end: End): Carried | undefined => {
      if (end.carrier === undefined) return undefined;
      const found = carriers.get(end.carrier) ?? { sends: [], hears: [] };
      carriers.set(end.carrier, found);
      return found;
    };
    for (const end of sends) carried(end)?.sends.push(end);
    for (const end of hears) carried(end)?.hears.push(end);
    // Functions of modules listen to the document as well, whoever calls them.
    const listened = [...model.files.values()].flatMap((file) => file.listens ?? []);
    const named = [...carriers].flatMap(([carrier, ends]) => {
      const known = namedCarrier(carrier);
      return known ? [{ ...known, ends }] : [];
    });
    const ofCarriers = [...carriers].flatMap(([carrier, ends]) => {
      if (carrier === 'document') return unpaired(ends, { listened, isOwn: (event) => !isNativeEvent(event), outsideSends: true });
      if (namedCarrier(carrier)) return [];
      if (!isOwnBus(model, carrier) || (!isPaired(ends) && !missesByALetter(ends))) return [];
      return unpaired(ends, { listened: [], isOwn: () => true, outsideSends: false });
    });
    const ofNamed = namedCarriers.flatMap((_, kind) => loneNamed(named.filter((one) => one.kind === kind)));
    return [...ofCarriers, ...ofNamed, ...toldInVain(model)];
  },
};

/** Something that is sent on it is also heard: it is a bus within the project. */
function isPaired({ sends, hears }: Carried): boolean {
  const heard = new Set(hears.flatMap(({ events }) => events ?? []));
  return sends.some(({ events }) => events?.some((event) => heard.has(event)));
}

/** What is waited for is nearly what is sent. */
function missesByALetter({ sends, hears }: Carried): boolean {
  const sent = sends.flatMap(({ events }) => events ?? []);
  return hears.some(({ events }) => events?.some((event) => nearest(event, sent) !== undefined));
}

type Terms = {
  readonly listened: readonly string[];
  readonly isOwn: (event: string) => boolean;
  /** A script from outside may send too, so that what nobody in the project sends is told only where a near name is sent. */
  readonly outsideSends: boolean;
};

function unpaired({ sends, hears }: Carried, { listened, isOwn, outsideSends }: Terms): Found[] {
  if ([...sends, ...hears].some(({ events }) => events === undefined)) return [];
  const sent = new Set(sends.flatMap(({ events }) => events ?? []));
  const heard = new Set([...hears.flatMap(({ events }) => events ?? []), ...listened]);
  const lone = (ends: readonly End[], other: ReadonlySet<string>): { end: End; event: string; near: string | undefined }[] =>
    ends.flatMap((end) =>
      (end.events ?? []).flatMap((event) =>
        event === '' || event === 'message' || event.includes('#') || other.has(event) || !isOwn(event) || end.channel.on === 'element'
          ? []
          : [{ end, event, near: nearest(event, [...other]) }],
      ),
    );
  const loneHears = lone(hears, sent).filter(({ near }) => near !== undefined || !outsideSends);
  // A pair that misses by a letter is told once, where it is waited for.
  const missed = new Set(loneHears.flatMap(({ near }) => near ?? []));
  // What a package's own parts send, whoever uses them may wait for.
  const loneSends = lone(sends, heard).filter(
    ({ event, end, near }) => !missed.has(event) && (near !== undefined || !end.owner?.isPublic || !outsideSends),
  );
  return [
    ...loneSends.flatMap(({ end, event, near }) => unpairedEnd(end, event, 'sends', near, placeOf(hears, near))),
    ...loneHears.flatMap(({ end, event, near }) => unpairedEnd(end, event, 'hears', near, placeOf(sends, near))),
  ];
}

/**
 * Carriers of one kind of which the project has one end alone: those whose other end has nearly the same name, told where it is
 * waited for, as are the only two that the project has; and where the project has both ends of others, each.
 */
function loneNamed(carriers: readonly { readonly name: string; readonly ends: Carried }[]): Found[] {
  const sentAlone = carriers.filter(({ ends }) => ends.hears.length === 0);
  const heardAlone = carriers.filter(({ ends }) => ends.sends.length === 0);
  const hasPair = carriers.some(({ ends }) => isPaired(ends));
  // The only two ends that the project has do not meet.
  const [onlyOther] = !hasPair && sentAlone.length === 1 && heardAlone.length === 1 ? sentAlone : [];
  const missed = new Set<string>();
  const ofHears = heardAlone.flatMap(({ name, ends: { hears } }): Found[] => {
    const [end] = hears;
    const near = nearest(
      name,
      sentAlone.map((one) => one.name),
    );
    if (!end || (near === undefined && !hasPair && !onlyOther)) return [];
    if (near !== undefined) missed.add(near);
    const meant = sentAlone.find((one) => one.name === near)?.ends.sends[0];
    const beside = near === undefined ? onlyOther?.ends.sends[0] : undefined;
    return unpairedEnd(end, name, 'hears', near, meant?.at).map((one) =>
      beside
        ? { ...one, evidence: [...one.evidence, { at: beside.at, text: `${onlyOther?.name ?? ''} is sent, and nothing waits for it.` }] }
        : one,
    );
  });
  const ofSends = sentAlone.flatMap(({ name, ends: { sends } }): Found[] => {
    const [end] = sends;
    return end && hasPair && !missed.has(name) ? unpairedEnd(end, name, 'sends') : [];
  });
  return [...ofSends, ...ofHears];
}

/** Where an event of that name is sent or waited for. */
const placeOf = (ends: readonly End[], event: string | undefined): Location | undefined =>
  event === undefined ? undefined : ends.find(({ events }) => events?.includes(event))?.at;

/** What is told of an end that meets no other; of the application's own source alone. */
export function unpairedEnd({ owner, at }: End, event: string, does: 'sends' | 'hears', near?: string, meant?: Location): Found[] {
  if (owner?.fileRole !== 'source') return [];
  return [
    {
      rule: 'channel-unpaired',
      component: owner.id,
      subject: event,
      at,
      words: { component: owner.name, event, does, near: near ?? '' },
      evidence: [
        { at, text: does === 'sends' ? `${event} is sent.` : `${event} is waited for.` },
        ...(meant ? [{ at: meant, text: `${near ?? ''} is what the other end says.` }] : []),
      ],
      touches: owner.id,
    },
  ];
}
