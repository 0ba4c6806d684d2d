import { adapterOf } from '../frameworks/registry';
import { bareEvent, type MemberKey, memberName, memberOf, propKey } from '../model/member';
import type { Component, ContractMember } from '../model/model';
import type { Location } from '../model/span';

export type MemberWord = 'prop' | 'event' | 'slot' | 'model';

/** What a change of one member means to who uses the component. */
export type ContractChange = {
  readonly member: MemberWord;
  readonly name: string;
  readonly change: 'new' | 'gone' | 'renamed' | 'required' | 'optional' | 'kind' | 'default';
  /** The new name of a renamed member, or its new default; absent for the others. */
  readonly to?: string;
};

/** A member of a contract in the form in which two versions, and two frameworks, are compared. */
type Offered = {
  readonly member: MemberWord;
  readonly name: string;
  /** The same for what is one member in another form: an event and the callback that is called in its place, a slot and the snippet. */
  readonly same: string;
  readonly required: ContractMember['required'];
  readonly fallback: string | undefined;
  readonly kinds: ReadonlySet<string> | undefined;
  /** A prop in its framework: its name is to be written exactly so. */
  readonly isProp: boolean;
  /** Where it is declared; absent for what is only raised or shown. */
  readonly declared?: Location;
};

/** What a component is written in, and the text of what declares one of its members, wherever that stands. */
export type Texts = { readonly own: string; readonly declaring: (at: Location) => string };

/**
 * The props that are bound both ways, and the events that tell of their changes. Where such an event is
 * a prop too (`value` and `onChange`), they are told as the two that they are.
 */
function modelsIn({ contract, facts, framework }: Pick<Component, 'contract' | 'facts' | 'framework'>): {
  readonly twoWay: ReadonlySet<MemberKey>;
  readonly halves: ReadonlySet<MemberKey>;
} {
  const raised = new Set(facts.events.map(({ key }) => key));
  const { changesOf } = adapterOf(framework).link;
  const [twoWay, halves] = [new Set<MemberKey>(), new Set<MemberKey>()];
  for (const [key, { name }] of contract.members) {
    if (key !== propKey(name)) continue;
    for (const half of changesOf(name)) {
      if (memberOf(half).kind === 'prop' || !raised.has(half)) continue;
      twoWay.add(key);
      halves.add(half);
    }
  }
  return { twoWay, halves };
}

/** What a component offers to who uses it, in the order in which it is declared. */
function offeredBy({ contract, facts, framework }: Component): Offered[] {
  const raised = new Set(facts.events.map(({ key }) => key));
  const { twoWay, halves } = modelsIn({ contract, facts, framework });
  const found = new Map<string, Offered>();
  const add = (one: Offered): void => {
    if (!found.has(`${one.member} ${one.same}`)) found.set(`${one.member} ${one.same}`, one);
  };
  for (const [key, { name, kind, required, fallback, kinds, declared }] of contract.members) {
    if (halves.has(key)) continue;
    const isEvent = kind === 'callback' || raised.has(key) || (bareEvent(name) !== name && kinds?.has('function') === true);
    const isSlot = kind === 'slot' || key.startsWith('slot:') || name === 'children';
    const member = isEvent ? 'event' : isSlot ? 'slot' : twoWay.has(key) ? 'model' : 'prop';
    add({ member, name, same: sameName(member, name), required, fallback, kinds, isProp: !key.includes(':'), declared });
  }
  for (const { key, name } of facts.events) {
    if (halves.has(key)) continue;
    add({
      member: 'event',
      name,
      same: sameName('event', name),
      required: 'no',
      fallback: undefined,
      kinds: undefined,
      isProp: !key.includes(':'),
    });
  }
  for (const { key } of facts.slots) {
    // A prop that may be markup is told as the prop that it is.
    if (contract.members.has(key)) continue;
    const name = memberName(key);
    add({ member: 'slot', name, same: sameName('slot', name), required: 'no', fallback: undefined, kinds: undefined, isProp: false });
  }
  return [...found.values()];
}

/** A value that whoever uses it gives; it may come back changed. */
const isGiven = (member: MemberWord): boolean => member === 'prop' || member === 'model';

function sameName(member: MemberWord, name: string): string {
  if (member === 'event')
    return bareEvent(name)
      .replace(/[^a-z0-9]/gi, '')
      .toLowerCase();
  if (member === 'slot' && name === 'children') return 'default';
  return isGiven(member) ? name : name.toLowerCase();
}

/** One member of a contract before and after, in words; absent where that version has none. */
export type ContractRow = {
  readonly member: MemberWord;
  readonly name: string;
  readonly before?: string;
  readonly after?: string;
  /** The name that it has now, where that is another. */
  readonly nameAfter?: string;
  readonly changed: boolean;
};

/** Kinds of values in words; a constant stands for itself. */
const kindWords = (kinds: ReadonlySet<string>): string =>
  [...kinds]
    .map((one) => one.replace(/^=/, ''))
    .sort()
    .join(' or ');

/** What is said of a member of which nothing more is known. */
const plainWords: Readonly<Record<MemberWord, string>> = { prop: 'taken', event: 'raised', slot: 'shown', model: 'bound both ways' };

function offeredWords({ kinds, required, fallback, member }: Offered): string {
  const kind = kinds && kinds.size > 0 ? kindWords(kinds) : '';
  const need =
    fallback !== undefined
      ? `${fallback} by default`
      : required === 'yes'
        ? 'required'
        : required === 'no' && isGiven(member)
          ? 'may be left out'
          : '';
  return [kind, need].filter((one) => one !== '').join(', ') || plainWords[member];
}

/** Two contracts row by row, in the order of the earlier one; what is new stands last. Empty for two without members. */
export function contractRows(
  before: Component | undefined,
  after: Component | undefined,
  changes: readonly ContractChange[],
): ContractRow[] {
  const old = before ? offeredBy(before) : [];
  const now = after ? offeredBy(after) : [];
  const taken = new Set<Offered>();
  const rows = old.map((one): ContractRow => {
    const renamed = changes.find(({ change, member, name }) => change === 'renamed' && member === one.member && name === one.name);
    const other = now.find(
      (candidate) => candidate.member === one.member && (renamed ? candidate.name === renamed.to : candidate.same === one.same),
    );
    if (other) taken.add(other);
    const [was, is] = [offeredWords(one), other && offeredWords(other)];
    const isOther = other !== undefined && other.name !== one.name;
    return {
      member: one.member,
      name: one.name,
      before: was,
      ...(is === undefined ? {} : { after: is }),
      ...(isOther ? { nameAfter: other.name } : {}),
      changed:
        after !== undefined &&
        changes.some(
          ({ member, name, to }) => member === one.member && (name === one.name || name === other?.name || (isOther && to === other.name)),
        ),
    };
  });
  const fresh = now.filter((one) => !taken.has(one));
  return [
    ...rows,
    ...fresh.map((one): ContractRow => ({ member: one.member, name: one.name, after: offeredWords(one), changed: before !== undefined })),
  ];
}

/** Whether one member may have got the other's name. */
function mayBeRenamed(one: Offered, other: Offered): boolean {
  if (one.member !== other.member && !(isGiven(one.member) && isGiven(other.member))) return false;
  const { kinds } = other;
  // What took a flag and takes a list now is another thing, not another name.
  if (one.kinds && kinds && ![...one.kinds].some((kind) => kinds.has(kind))) return false;
  const isEither = one.required === 'unknown' || other.required === 'unknown';
  return !isGiven(one.member) || one.required === other.required || isEither;
}

/**
 * What changed of a component's contract, for who uses it. What is the same member in another form (an
 * event as a callback, a slot as a snippet) is no change. A member that is gone and a new one of its
 * sort are one that was renamed, where the source reads the new one as it read the old. Empty for nothing.
 */
export function contractChanges(
  before: Component,
  after: Component,
  texts: { readonly before: Texts; readonly after: Texts },
): ContractChange[] {
  const [old, now] = [offeredBy(before), offeredBy(after)];
  const keyOf = ({ member, same }: Offered): string => `${isGiven(member) ? 'prop' : member} ${same}`;
  const [oldKeys, nowKeys] = [new Map(old.map((one) => [keyOf(one), one])), new Map(now.map((one) => [keyOf(one), one]))];
  const changes: ContractChange[] = [];
  const gone = old.filter((one) => !nowKeys.has(keyOf(one)));
  const fresh = now.filter((one) => !oldKeys.has(keyOf(one)));
  const renamed = renamedIn(gone, fresh, texts);
  const named = new Map([...renamed].map(([one, other]) => [one.name, other.name]));
  for (const one of old) {
    const other = nowKeys.get(keyOf(one));
    if (!other) continue;
    const { member, name } = one;
    if (member !== other.member) changes.push({ member: 'model', name, change: other.member === 'model' ? 'new' : 'gone' });
    // Both are props, and names of props are exact: another case is another name.
    if (member === 'event' && one.isProp && other.isProp && one.name !== other.name)
      changes.push({ member, name, change: 'renamed', to: other.name });
    if (one.required === 'no' && other.required === 'yes' && other.fallback === undefined)
      changes.push({ member, name: other.name, change: 'required' });
    else if (one.required === 'yes' && other.required === 'no') changes.push({ member, name: other.name, change: 'optional' });
    if (isGiven(member) && spaceless(one.fallback, named) !== spaceless(other.fallback))
      changes.push({ member, name: other.name, change: 'default', ...(other.fallback === undefined ? {} : { to: other.fallback }) });
    if (one.kinds && other.kinds && isGiven(member) && ![...one.kinds].every((kind) => other.kinds?.has(kind)))
      changes.push({ member, name: other.name, change: 'kind', to: kindWords(other.kinds) });
  }
  for (const one of gone) {
    const other = renamed.get(one);
    changes.push({ member: one.member, name: one.name, ...(other ? { change: 'renamed', to: other.name } : { change: 'gone' }) });
  }
  const taken = new Set(renamed.values());
  for (const one of fresh) if (!taken.has(one)) changes.push({ member: one.member, name: one.name, change: 'new' });
  return changes;
}

/** Which of the members that are new each of those that are gone has become, where one has. */
function renamedIn(
  gone: readonly Offered[],
  fresh: readonly Offered[],
  texts: { readonly before: Texts; readonly after: Texts },
): ReadonlyMap<Offered, Offered> {
  const found = new Map<Offered, Offered>();
  const taken = new Set<Offered>();
  for (const one of gone) {
    const better = fresh
      .filter((other) => !taken.has(other) && mayBeRenamed(one, other))
      .map((other) => ({ other, share: renamedShare(one, other, texts) }))
      .sort((a, b) => b.share - a.share)[0];
    if (!better || better.share === 0) continue;
    taken.add(better.other);
    found.set(one, better.other);
  }
  return found;
}

/** A default as it is compared: a name that was changed stands for the new one. */
const spaceless = (text: string | undefined, named: ReadonlyMap<string, string> = new Map()): string | undefined =>
  text
    ?.replace(/[\w$]+/g, (word) => named.get(word) ?? word)
    .replace(/\s+/g, '')
    .replace(/["']/g, '"');

/** A name that stands among the same words and signs at more than this share of its places got another name; the others are chance. */
const samePlaces = 0.5;

/** Each word of a text with the two on each side of it, three at a time. */
function triplesAround(text: string, name: string): string[] {
  const words = text.match(/[\w$]+|[^\s\w$]/g) ?? [];
  return words.flatMap((word, at) =>
    word === name
      ? [-2, -1, 0].map((from) =>
          words
            .slice(Math.max(0, at + from), at + from + 3)
            .map((one) => (one === name ? '·' : one))
            .join(' '),
        )
      : [],
  );
}

/** The share of the old name's surroundings in which the new name stands, if that is enough; 0 where it is not, or no text speaks of them. */
function renamedShare(one: Offered, other: Offered, { before, after }: { readonly before: Texts; readonly after: Texts }): number {
  let [old, now] = [triplesAround(before.own, one.name), triplesAround(after.own, other.name)];
  // What a component names nowhere, it has of a type that stands elsewhere.
  if (old.length === 0 && now.length === 0 && one.declared && other.declared)
    [old, now] = [triplesAround(before.declaring(one.declared), one.name), triplesAround(after.declaring(other.declared), other.name)];
  const left = [...now];
  let same = 0;
  for (const triple of old) {
    const at = left.indexOf(triple);
    if (at < 0) continue;
    left.splice(at, 1);
    same++;
  }
  const share = same / Math.max(1, Math.min(old.length, now.length));
  return share > samePlaces ? share : 0;
}
