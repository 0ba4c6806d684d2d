import { nameGiven, speltBindings } from '../../contract';
import { type KnownUse, spelling } from '../../contract';

import { causeAt, causeOfName } from '../precedence';
import { type MemberKey, memberName, memberOf } from '../../model/member';
import { bindingKey } from '../../model/given';

import { hyphened } from '../../write/case';
import type { Binding } from '../../model/facts';
import type { TextEdit } from '../../model/finding';
import type { Component } from '../../model/model';
import { adapterOf, traitsOf } from '../../frameworks/registry';
import { locate } from '../../model/span';
import type { Found, Rule } from '../rule';

/** The name as it stands: with hyphens where the misspelt one has some, and without the marks and modifiers before it. */
function spellingEdit({ use, target }: KnownUse, { to, written, nameSpan, asAttribute }: Binding, declared: MemberKey): TextEdit[] {
  const isHyphened = written.includes(hyphened(to.name)) && hyphened(to.name) !== to.name;
  const as = (name: string): string => (isHyphened ? hyphened(name) : name);
  const was = as(to.name);
  const text = asAttribute && !isHyphened ? attributeFor(target, declared) : as(memberName(declared));
  const isSame = asAttribute && traitsOf(target).attributesConvert && text?.toLowerCase() === was.toLowerCase();
  if (text === undefined || isSame) return [];
  if (memberOf(declared).kind === 'event' && adapterOf(target.framework).write.cannotListen?.test(memberName(declared))) return [];
  const { file, end } = locate(use.file, nameSpan);
  return [{ file, start: end - was.length, end, was, text }];
}

/** The attribute that sets a member of an element; undefined where none does. */
function attributeFor({ facts, framework }: Component, declared: MemberKey): string | undefined {
  if (!traitsOf({ framework }).attributesConvert) return adapterOf(framework).write.member(declared);
  return Object.entries(facts.element?.attributes ?? {}).find(([, property]) => property === memberName(declared))?.[0];
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
        causes: [...[bindingKey(binding), declared].flatMap((key) => (key === undefined ? [] : [causeAt(use, key)])), causeOfName(at)],
        at,
        words: { target: target.name, given, prop: meant, attribute: binding.asAttribute ? 'yes' : '' },
        evidence: [
          { at, text: `${owner.name} gives ${given}.` },
          ...(prop ? [{ at: prop.declared, text: `${target.name} declares ${meant}, which this use does not give.` }] : []),
        ],
        edits: spellingEdit(known, binding, declared),
        loose: { kind: 'prop', name: memberName(declared), at: prop?.declared ?? at, uses: [use.id] },
        touches: target.id,
      };
    }),
};
