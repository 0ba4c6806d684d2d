declare const brand: unique symbol;

/** What a user of a component can give it: a prop, a listener for an event, content for a slot, the change half of a two-way binding. */
export type MemberKind = 'prop' | 'event' | 'slot' | 'model';

/**
 * One member of a contract, by the name that its framework's script gives it: `book` for `@book`,
 * `on:book` and `emit('book')`. Where a framework has callbacks as props (`onBook`), they are props.
 */
export type Member = { readonly kind: MemberKind; readonly name: string };

/** A member as one text, to be compared and to be a key: a prop's is its name, any other's has its kind in front (`event:book`). */
export type MemberKey = string & { readonly [brand]: 'member' };

const prefixes = ['event', 'slot', 'model'] as const;

export const propKey = (name: string): MemberKey => name as MemberKey;
export const eventKey = (name: string): MemberKey => `event:${name}` as MemberKey;
export const slotKey = (name: string): MemberKey => `slot:${name}` as MemberKey;
/** The half of a two-way prop that goes up: `update:level`, `bind:level`. */
export const modelKey = (name: string): MemberKey => `model:${name}` as MemberKey;

/** What stands between the tags. */
export const defaultSlot: MemberKey = slotKey('default');
/** A slot whose name is computed. */
export const anySlot: MemberKey = slotKey('*');

export function keyOfMember({ kind, name }: Member): MemberKey {
  return kind === 'prop' ? propKey(name) : (`${kind}:${name}` as MemberKey);
}

/** The member that a key stands for. */
export function memberOf(key: MemberKey): Member {
  const kind = prefixes.find((one) => key.startsWith(`${one}:`));
  return kind ? { kind, name: key.slice(kind.length + 1) } : { kind: 'prop', name: key };
}

export const memberName = (key: MemberKey): string => memberOf(key).name;
export const isSlotKey = (key: MemberKey): boolean => key.startsWith('slot:');

/** An event by the name that people have for it, where the name of what listens is given: `pick` for `onPick` and `onpick`. */
export const bareEvent = (name: string): string => name.replace(/^on(?=[A-Za-z])/, '').replace(/^[A-Z]/, (first) => first.toLowerCase());
