import type { How, PartOfStore, Reading } from '../../model/facts';

/**
 * Which part of a value is followed: the members that lead to it, outermost first. `*` is any member
 * or item, `()` what a function gives when it is called. Empty for the whole value.
 */
export type Track = readonly string[];

/** What a value becomes on its way through a reading. */
export type Passing = 'same' | 'part' | 'item' | 'computed';

export type Passed = { readonly track: Track; readonly how: Passing };

/** Parts deeper than this are followed as the whole they belong to. */
const deepest = 6;

function fits(a: string, b: string): boolean {
  return a === b || ((a === '*' || b === '*') && a !== '()' && b !== '()');
}

/** How many members two ways have in common; -1 where they part before the shorter one ends. */
function common(a: Track, b: Track): number {
  const length = Math.min(a.length, b.length);
  for (let at = 0; at < length; at++) if (!fits(a[at] ?? '', b[at] ?? '')) return -1;
  return length;
}

/** The members that a reading takes from its value. */
function taken(path: readonly string[], how: How): Track {
  if (how === 'called') return [...path, '()'];
  return how === 'item' && path.at(-1) !== '*' ? [...path, '*'] : path;
}

function loses(how: How): boolean {
  return how === 'computed' || how === 'called';
}

function passing(how: How, narrowed: boolean): Passing {
  if (loses(how)) return 'computed';
  if (how === 'item') return 'item';
  return how === 'part' || narrowed ? 'part' : 'same';
}

/** What the part of a store is called by the store that holds it; undefined where the reading itself tells. */
function inWhole(part: PartOfStore, track: Track): Track | undefined {
  const [kind, name, ...rest] = track;
  if (part.kind === 'member') return kind === 'dispatch' ? track : undefined;
  if (kind === undefined) return [];
  if (kind === 'state') return ['state', part.key, ...track.slice(1)];
  if (name === undefined) return [kind];
  const own = name.startsWith('/') ? part.key + name : name;
  return [kind, part.namespaced ? `/${own}` : own, ...rest];
}

/** The other way round: what of a store is which part of one that it holds; undefined for none, and where the reading tells. */
function inPart(part: PartOfStore, track: Track): Track | undefined {
  const [kind, name, ...rest] = track;
  if (part.kind === 'member') return kind === 'dispatch' ? track : undefined;
  if (kind === undefined || name === undefined) return [...track];
  if (kind === 'state') return name === part.key || name === '*' ? ['state', ...rest] : undefined;
  if (part.namespaced && !name.startsWith('/')) return undefined;
  const own = part.namespaced ? name.slice(1) : name;
  return [kind, own.startsWith(`${part.key}/`) ? own.slice(part.key.length) : own, ...rest];
}

/** What is told to a table of stores, `{ boats, filter }`, is told to each of them. */
const isToldInTable = ({ held, partOfStore }: Reading, [command, told]: Track): boolean =>
  command === 'dispatch' && told !== undefined && told !== '()' && told !== '*' && !partOfStore && held?.at.length === 1;

/**
 * What of a followed value goes on through a reading; undefined where the reading takes another
 * part. After access paths of bounded length, as in demand-driven data-flow analysis.
 */
export function forward(reading: Reading, track: Track): Passed | undefined {
  if (isToldInTable(reading, track)) return { track, how: 'same' };
  const part = reading.partOfStore && inWhole(reading.partOfStore, track);
  if (part) return { track: part.slice(0, deepest), how: 'same' };
  if (reading.partOfStore?.kind === 'module') return undefined;
  const how = reading.held?.how ?? reading.how;
  const path = taken(reading.path, how === 'spread' ? 'same' : how);
  const shared = common(path, track);
  if (shared < 0) return undefined;
  const left = loses(how) && how !== 'called' ? [] : track.slice(shared);
  // What is read of the whole may be all of the part that is followed.
  const exact = path.length <= track.length && path.length > 0 && !loses(how);
  const at = reading.held?.at ?? [];
  const whole = [...at, ...left];
  return {
    track: whole.slice(0, deepest),
    how: exact || (how === 'called' && track.at(shared - 1) === '()') ? 'same' : passing(how, path.length > track.length),
  };
}

/** What of its source a followed part of a made value comes from; undefined where the reading makes another part. */
export function backward(reading: Reading, track: Track): Passed | undefined {
  if (isToldInTable(reading, track)) return { track, how: 'same' };
  const part = reading.partOfStore && inPart(reading.partOfStore, track);
  if (part) return { track: part, how: 'same' };
  if (reading.partOfStore?.kind === 'module') return undefined;
  const how = reading.held?.how ?? reading.how;
  const at = reading.held?.at ?? [];
  const shared = common(at, track);
  if (shared < 0) return undefined;
  const inner = how === 'computed' ? [] : track.slice(shared);
  const path = taken(reading.path, how === 'spread' ? 'same' : how);
  return { track: [...path, ...inner].slice(0, deepest), how: how === 'called' ? 'same' : passing(how, path.length > 0) };
}

/** `['boat', '*']` → `.boat[…]`. */
export function trackText(track: Track): string {
  return track.map((one) => (one === '*' ? '[…]' : one === '()' ? '()' : `.${one}`)).join('');
}
