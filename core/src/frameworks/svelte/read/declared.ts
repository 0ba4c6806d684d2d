import type { MemberFact, ProvideFact, Reading, SlotFact } from '../../../model/facts';
import { defaultSlot, type MemberKey, memberName, memberOf, propKey, slotKey } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { TypeExpr } from '../../../model/types';
import type { Body } from '../../../read/script/body';
import { isFunctionType } from '../../conventions';

/** What a component declares to its users, while it is being read. */
export type DeclaredMembers = {
  readonly members: Map<MemberKey, MemberFact>;
  /** Props that the owner may bind, by value: writing to one tells the owner. */
  readonly bindable: Set<number>;
  readonly provides: ProvideFact[];
  /** What a handle on the component gives. */
  readonly exposes: Reading[];
  /** Classes of the same module whose instances keep state. */
  readonly classes: ReadonlySet<string>;
  propsType?: TypeExpr;
  open: boolean;
};

export function newDeclared(classes: ReadonlySet<string> = new Set()): DeclaredMembers {
  return { members: new Map(), bindable: new Set(), provides: [], exposes: [], classes, open: false };
}

export function slotMember(name: string | undefined): MemberKey {
  return name === undefined || name === '' ? defaultSlot : slotKey(name);
}

/** What a name of the props object stands for: the content is the one called `children`. */
export function propMember(name: string): MemberKey {
  return name === 'children' ? defaultSlot : propKey(name);
}

/** Tells whether a prop is a function by its name. */
export function isCallback(name: string): boolean {
  return /^on[A-Za-z]/.test(name);
}

/** What a member of a declared type of props is: a snippet, a function that is named as a listener, or a value. */
export function kindOfProp(name: string, type: TypeExpr): MemberFact['kind'] {
  if (name === 'children' || (type.kind === 'ref' && type.name === 'Snippet')) return 'slot';
  return isCallback(name) && isFunctionType(type) ? 'callback' : 'value';
}

/** `onpick`, `onPick` → `pick`: the event that a callback prop is for. */
export function eventName({ key, name }: MemberFact): string {
  const bare = memberOf(key).kind === 'prop' ? /^on([A-Za-z].*)$/.exec(name)?.[1] : undefined;
  return bare === undefined ? name : bare.charAt(0).toLowerCase() + bare.slice(1);
}

/** All that users may give: declared props, the other halves of those that can be bound, events, and slots. */
export function membersOf(body: Body, declared: DeclaredMembers, slots: readonly SlotFact[]): MemberFact[] {
  const members = new Map<MemberKey, MemberFact>(declared.members);
  const raised = new Set(body.actions.flatMap((action) => action.raises.map((raise) => raise.member)));
  for (const [key, value] of body.propValues) {
    const taken = body.taken.get(key);
    const name = body.values[value]?.name ?? memberName(key);
    const span: Span = taken?.span ?? body.values[value]?.span ?? { start: 0, end: 0 };
    const known = members.get(key);
    const member = memberOf(key).kind;
    const outward = member === 'event' || member === 'model';
    const isCalled = outward || isCallback(name) || raised.has(key);
    const kind = isCalled ? 'callback' : declared.bindable.has(value) ? 'two-way' : 'value';
    const required = outward || taken?.fallback !== undefined ? 'no' : 'unknown';
    const base: MemberFact = known ?? { key, name, span, kind, required };
    members.set(key, {
      ...base,
      kind: known?.kind === 'slot' ? 'slot' : kind,
      ...(taken?.fallback === undefined ? {} : { fallback: taken.fallback }),
    });
  }
  for (const { key, span } of slots) {
    const known = members.get(key);
    members.set(key, known ? { ...known, kind: 'slot' } : { key, name: memberName(key), span, kind: 'slot', required: 'no' });
  }
  return [...members.values()];
}
