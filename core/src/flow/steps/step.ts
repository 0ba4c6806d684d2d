import type { Location } from '../../model/span';
import type { Graph, Spot } from '../graph/graph';
import type { Passing } from '../graph/track';
import { valueOf } from '../graph/graph';
import { heldIn } from '../graph/stores';
import { ownValue } from '../../model/own-value';

/** What happens to a value or an event between two places of its way. */
export const stepKinds = [
  'owns',
  'passes',
  'renames',
  'narrows',
  'derives',
  'gives',
  'reads',
  'paints',
  'starts',
  'changes',
  'raises',
  'relays',
  'catches',
  'calls',
  'provides',
  'takes',
  'publishes',
  'hears',
] as const;
export type StepKind = (typeof stepKinds)[number];

/** Why a way ends. */
export const endings = [
  'painted',
  'read',
  'leaves',
  'unheard',
  'uncalled',
  'untaken',
  'ungiven',
  'constant',
  'function',
  'asked',
  'platform',
  'default',
  'page',
  'unknown',
  'again',
  'decides',
] as const;
export type Ending = (typeof endings)[number];

/** One step of a way: where in the code it is taken, and where it leads. */
export type Step = {
  readonly kind: StepKind;
  readonly how: Passing;
  readonly at: Location;
  /** The frame in which it happens. */
  readonly frame: number;
  /** The value's name where it arrives, or where it ends. */
  readonly name: string;
  readonly to?: Spot;
  readonly ending?: Ending;
  /** Who does it, or to whom it goes: a function, a module, an element, an event. */
  readonly by?: string;
  /** A function written in place that the way leads to. */
  readonly action?: number;
  /** Steps on the way to this one. */
  readonly via?: readonly Step[];
  /** What it comes from only decides which value it is. */
  readonly decides?: true;
  /** It is not worth a line of its own: another name for the same. */
  readonly silent?: true;
};

/** The kind of a step between two names of one body. */
export function localKind(how: Passing): StepKind {
  return how === 'computed' ? 'derives' : how === 'part' || how === 'item' ? 'narrows' : 'renames';
}

/** What a store has under the name of a command: a function. */
export const isCommand = ([kind, name]: readonly string[]): boolean => (kind === 'commit' || kind === 'dispatch') && name !== undefined;

/** What is called, as people say it: a value with its member, what a list holds by the list, or what a store is told. */
export function calledName(value: string, path: readonly string[]): string {
  const [command, told] = path;
  if ((command === 'commit' || command === 'dispatch') && told !== undefined) return `${command} ${told.replace(/^\/|^.*#/, '')}`;
  return [value, ...path.filter((one) => one !== '*')].join('.');
}

/** The name of a spot's value, with the part that is followed. */
export function nameOf(graph: Graph, spot: Spot): string {
  const value = valueOf(graph, spot);
  const members = spot.track.filter((one) => one !== '()' && one !== '*');
  // What a store holds that is told by names stands under `state`, which is no name of it.
  const part = value && heldIn(value).length > 0 && members[0] === 'state' ? members.slice(1) : members;
  if (isCommand(part)) return calledName('', part);
  const own = ownValue(value?.parts, part[0] ?? '');
  if (own) return [own, ...part.slice(1)].join('.');
  const unnamed = (value?.kind === 'hook' || value?.kind === 'context') && /^use([A-Z]|$)/.test(value.name);
  if (unnamed && part.length > 0) return part.join('.');
  return [value?.name ?? '', ...part].join('.');
}
