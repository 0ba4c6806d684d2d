import type { ArgFact, Reading, ValueFact } from '../../model/facts';

const mutation = /^(?:use|create|inject)\w*Mutation$/;

/** Members of what a hook from outside gives that run the functions which the hook was handed; the empty one is what it gives itself. */
export function runBy(source: string | undefined): readonly (readonly string[])[] {
  const name = source?.split('.').at(-1) ?? '';
  if (mutation.test(name)) return [['mutate'], ['mutateAsync'], ['trigger']];
  return /^use(?:Debounced?|Throttled?|Event|Stable|Latest)\w*(?:Callback|Fn|Handler)?$/.test(name) ? [[]] : [];
}

const nothing: ArgFact = { readings: [] };

/** What a mutation hands to the functions among its options, told by the position of what it was called with: behind what was answered, or an error. */
const behind: Readonly<Record<string, number>> = { onSuccess: 1, onError: 1, onSettled: 2 };

/** What a function is called with that a hook from outside was handed: of a mutation, what that was called with stands where the function is given it. */
export function handedBy(source: string | undefined, handed: Reading, args: readonly ArgFact[]): readonly ArgFact[] {
  if (!mutation.test(source?.split('.').at(-1) ?? '')) return args;
  const before = behind[handed.held?.at.at(-1) ?? ''] ?? 0;
  return [...Array<ArgFact>(before).fill(nothing), ...args];
}

/** The functions that a hook from outside was handed and that run when a member of what it gives is called; empty for all other members. */
export function runsHanded(value: ValueFact, track: readonly string[]): readonly Reading[] {
  const isRun = runBy(value.source).some((path) => path.length === track.length && path.every((one, at) => one === track[at]));
  return isRun ? (value.args ?? []).flatMap(({ readings }) => readings.filter(mayRun)) : [];
}

/** Among options, the functions stand under names of their own; all else of these is data. */
const mayRun = ({ held }: Reading): boolean => held === undefined || /^(?:mutationFn|on[A-Z]\w*)$/.test(held.at[0] ?? '');
