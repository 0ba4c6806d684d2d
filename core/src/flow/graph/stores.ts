import type { BodyFacts, ValueFact } from '../../model/facts';
import type { Span } from '../../model/span';

/** A store that holds nothing but states of its module, and what is computed from them: each of these has a way of its own. */
export function isPutTogether({ values, actions }: BodyFacts, store: number): boolean {
  const value = values[store];
  const kinds = value?.kind === 'store' ? value.from.map((from) => (from.held ? values[from.value]?.kind : undefined)) : [];
  return (
    kinds.includes('state') &&
    kinds.every((kind) => kind === 'state' || kind === 'derived' || kind === 'function') &&
    !actions.some(({ changes }) => changes.some((change) => change.value === store))
  );
}

/** The name of a value of a module, with that of the store that it is a state of: `Levels.held`. */
export function nameInModule({ values }: BodyFacts, index: number): string {
  const name = values[index]?.name ?? '';
  const store = values.find((one) => one.kind === 'store' && one.from.some((from) => from.value === index && from.held));
  return store === undefined ? name : `${store.name}.${name}`;
}

/**
 * What is asked for by a class of the project stands twice among the values of a body: as what is taken from above, and
 * as the class itself, by which its members are read. Gives the first for the second; all else as it is.
 */
export function asTaken({ values }: BodyFacts, index: number): number {
  const value = values[index];
  const taken = value?.kind === 'module' ? twinOf(values, value, 'context') : -1;
  return taken < 0 ? index : taken;
}

/** The other way round: the class itself for what is taken from above. */
export function asHeld({ values }: BodyFacts, index: number): number {
  const value = values[index];
  const held = value?.kind === 'context' ? twinOf(values, value, 'module') : -1;
  return held < 0 ? index : held;
}

const twinOf = (values: BodyFacts['values'], { name, span }: ValueFact, kind: ValueFact['kind']): number =>
  values.findIndex((one) => one.kind === kind && one.name === name && one.span.start === span.start);

/** Where a store keeps what it holds apart from what it can be told: under `state`; nowhere else for all other values. */
export const heldIn = ({ kind, fields, shape }: ValueFact): readonly string[] =>
  kind === 'store' && fields && (shape === 'module' || shape === 'root') ? ['state'] : [];

/** The place of what is followed of a value: of a member that a store holds, where that begins; else the value's own. */
export function spanOfPart(value: ValueFact, track: readonly string[]): Span {
  const at = heldIn(value);
  const leads = at.every((one, depth) => track[depth] === one);
  return (leads ? value.fields?.find(({ name }) => name === track[at.length])?.span : undefined) ?? value.span;
}
