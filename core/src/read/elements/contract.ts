import type { MemberFact, RaiseFact } from '../../model/facts';
import { memberName, type MemberKey } from '../../model/member';

/** The events that a component raises on itself, as members of its contract. */
export function contractEvents(raises: readonly RaiseFact[]): MemberFact[] {
  const found = new Map<MemberKey, MemberFact>();
  for (const { member, span } of raises)
    if (!found.has(member)) found.set(member, { key: member, name: memberName(member), span, kind: 'callback', required: 'no' });
  return [...found.values()];
}
