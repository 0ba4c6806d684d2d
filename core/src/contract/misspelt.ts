import type { Binding } from '../model/facts';
import { traitsOf } from '../frameworks/registry';
import { bindingKey } from '../model/given';
import { keyOfMember, type Member, type MemberKey, memberOf } from '../model/member';
import { isNativeEvent } from '../model/native-events';
import { remembered } from '../model/remembered';
import { givenMembers, type KnownUse, unknownBindings } from './known-uses';
import { nearest } from './near';
import { platformAttributes } from '../model/platform-names';
import { spelling } from './spelling';

/** A binding under a name that nothing declares, and the member that is clearly meant. */
export type Spelt = { readonly binding: Binding; readonly declared: MemberKey };

/** A member that a use gives, as markup of the component's framework names it. */
export function nameGiven({ target }: KnownUse, binding: Binding): string {
  const key = bindingKey(binding);
  return key === undefined || binding.asAttribute ? binding.written : spelling(target, key);
}

/** What goes on to an element of the platform, under a name that no element has. */
function fallenThrough({ use, target }: KnownUse): Binding[] {
  const { members, openness } = target.contract;
  if (openness !== 'platform' || !traitsOf(target).fallThrough) return [];
  return use.node.bindings.filter((binding) => {
    const { to, nameSpan, markup } = binding;
    const key = bindingKey(binding);
    if (key === undefined || members.has(key) || nameSpan.end === 0 || markup) return false;
    if (to.kind === 'event') return !isNativeEvent(to.name.toLowerCase()) && !/[-:]/.test(to.name);
    if (to.kind !== 'prop') return false;
    return !platformAttributes.has(to.name.toLowerCase()) && !/[-:]/.test(to.name) && !/^(on[A-Z]|key$|ref$|is$)/.test(to.name);
  });
}

/** One name is the other and two letters or more behind it. */
function isOtherForm(a: string, b: string): boolean {
  const [short, long] = a.length < b.length ? [a, b] : [b, a];
  return long.length - short.length > 1 && long.startsWith(short);
}

/** The undeclared names of a use that are clearly meant for a declared one which it does not give. */
export const speltBindings = remembered((known: KnownUse): readonly Spelt[] => {
  const unknown = [...unknownBindings(known), ...fallenThrough(known)];
  if (unknown.length === 0) return [];
  const given = givenMembers(known);
  const free = [...known.target.contract.members.keys()].filter((key) => !given.has(key)).map(memberOf);
  return unknown.flatMap((binding): Spelt[] => {
    const { kind } = binding.to;
    const names = free.flatMap((one) => (one.kind === kind ? [one.name] : []));
    const declared = nearest(binding.to.name, names);
    // `selected` is no slip of `select`, but another event.
    const isOther = kind === 'event' && declared !== undefined && isOtherForm(binding.to.name, declared);
    return declared === undefined || isOther ? [] : [{ binding, declared: keyOfMember({ kind, name: declared } as Member) }];
  });
});
