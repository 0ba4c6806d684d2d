import { givenMembers, type KnownUse, unknownBindings } from '../../flow';
import { keyOfMember, type Member, type MemberKey, memberName, memberOf } from '../../model/member';
import { bindingKey } from '../../model/given';
import { spelling } from '../../contract/spelling';
import { hyphened } from '../../write/case';
import type { Binding } from '../../model/facts';
import type { TextEdit } from '../../model/finding';
import { locate } from '../../model/span';
import { nearest } from '../shared/near';
import { remembered } from '../shared/remembered';
import type { Found, Rule } from '../rule';

export type Spelt = { readonly binding: Binding; readonly declared: MemberKey };

/** A member that a use gives, as markup of the component's framework names it. */
export function nameGiven({ target }: KnownUse, binding: Binding): string {
  const key = bindingKey(binding);
  return key === undefined ? binding.written : spelling(target, key);
}

/** The undeclared names of a use that are clearly meant for a declared one which it does not give. */
export const speltBindings = remembered((known: KnownUse): readonly Spelt[] => {
  const unknown = unknownBindings(known);
  if (unknown.length === 0) return [];
  const given = givenMembers(known.use.node);
  const free = [...known.target.contract.members.keys()].filter((key) => !given.has(key)).map(memberOf);
  return unknown.flatMap((binding): Spelt[] => {
    const { kind } = binding.to;
    const names = free.flatMap((one) => (one.kind === kind ? [one.name] : []));
    const declared = nearest(binding.to.name, names);
    return declared === undefined ? [] : [{ binding, declared: keyOfMember({ kind, name: declared } as Member) }];
  });
});

/** The name as it stands: with hyphens where the misspelt one has some, and without the marks and modifiers before it. */
function spellingEdit({ use }: KnownUse, { to, written, nameSpan: { end } }: Binding, declared: MemberKey): TextEdit[] {
  const isHyphened = written.includes(hyphened(to.name)) && hyphened(to.name) !== to.name;
  const as = (name: string): string => (isHyphened ? hyphened(name) : name);
  const was = as(to.name);
  return [{ file: use.file, start: end - was.length, end, was, text: as(memberName(declared)) }];
}

/** A use gives a declared prop under a misspelt name. */
export const propSpelt: Rule = {
  ofUse: (known) =>
    speltBindings(known).map(({ binding, declared }): Found => {
      const { use, owner, target } = known;
      const at = locate(use.file, binding.nameSpan);
      const prop = target.contract.members.get(declared);
      const [given, meant] = [nameGiven(known, binding), spelling(target, declared)];
      return {
        rule: 'prop-spelt',
        component: owner.id,
        subject: given,
        at,
        words: { target: target.name, given, prop: meant },
        evidence: [
          { at, says: `${owner.name} gives ${given}.` },
          ...(prop ? [{ at: prop.declared, says: `${target.name} declares ${meant}, which this use does not give.` }] : []),
        ],
        edits: spellingEdit(known, binding, declared),
        loose: { kind: 'prop', name: memberName(declared), at: prop?.declared ?? at, uses: [use.id] },
        touches: target.id,
      };
    }),
};
