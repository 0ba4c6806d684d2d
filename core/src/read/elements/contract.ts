import type { MemberFact, RaiseFact, SlotFact } from '../../model/facts';
import { memberName, memberOf, type MemberKey } from '../../model/member';
import { literalPattern } from '../../model/literal-pattern';

/** Properties whose names stand nowhere but where they are declared and given a first value. `texts` is all that is read with the class. */
export function unmentionedOf(members: readonly MemberFact[], texts: readonly string[]): MemberKey[] {
  const text = texts.join('\n');
  return members.flatMap(({ key, name }) => {
    if (memberOf(key).kind !== 'prop' || !/^[\w$]+$/.test(name)) return [];
    const all = [...text.matchAll(new RegExp(`(?<![\\w$-])${literalPattern(name)}(?![\\w$-])`, 'g'))];
    const first = all.filter(({ index }) => /this\.$/.test(text.slice(0, index)) && /^\s*=(?!=)/.test(text.slice(index + name.length)));
    return all.length - Math.min(first.length, 1) <= 1 ? [key] : [];
  });
}

/** Slots as members of a contract. */
export const slotMembers = (slots: readonly SlotFact[]): MemberFact[] =>
  slots.map(({ key, span }): MemberFact => ({ key, name: key.slice('slot:'.length), span, kind: 'slot', required: 'no' }));

/** The events that a component raises, as members of its contract beside those that it declares. */
export function contractEvents(raises: readonly RaiseFact[], declared: ReadonlyMap<string, MemberFact>): MemberFact[] {
  const keys = new Set([...declared.values()].map(({ key }) => key));
  const found = new Map<MemberKey, MemberFact>();
  for (const { member, span } of raises)
    if (!found.has(member) && !keys.has(member))
      found.set(member, { key: member, name: memberName(member), span, kind: 'callback', required: 'no' });
  return [...found.values()];
}
