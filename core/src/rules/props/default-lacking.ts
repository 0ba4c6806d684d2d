import { demandsOf } from '../../contract';
import { type KnownUse, isGiven, isPlain, speltBindings } from '../../contract';

import type { MemberKey } from '../../model/member';
import { traitsOf } from '../../frameworks/registry';
import type { Component, ContractMember } from '../../model/model';
import { locate } from '../../model/span';

import { counted, listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';

/** In these a flag that is not given is false, and what a component raises needs no listener. */
function isFilledIn(component: Component, { kinds }: ContractMember): boolean {
  return traitsOf(component).flagsFromText && (kinds?.has('flag') ?? false);
}

function leavesOut(known: KnownUse, key: MemberKey): boolean {
  return (
    isPlain(known) &&
    !isGiven(known, key) &&
    !known.inContentOfCloner &&
    !known.owner.facts.clones &&
    !speltBindings(known).some((one) => one.declared === key)
  );
}

/** An optional prop without a default is read in a way that throws when it is absent, and some use leaves it out. */
export const defaultLacking: Rule = {
  inProject: ({ model, usesOf }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source' || component.facts.wrappedBy.length > 0) return [];
      return demandsOf(component).flatMap(({ prop, span }): Found[] => {
        // What it makes itself of what it is given, it may have made before that, too.
        if (component.facts.element?.accessors?.includes(prop.name) || isFilledIn(component, prop)) return [];
        const without = usesOf(component.id).filter((known) => leavesOut(known, prop.key));
        if (without.length === 0) return [];
        const at = locate(component.file, span);
        const owners = listed([...new Set(without.map((known) => known.owner.name))]);
        return [
          {
            rule: 'default-lacking',
            component: component.id,
            subject: prop.name,
            at,
            words: { component: component.name, prop: prop.name, owners, count: counted(without.length, 'use') },
            evidence: [
              { at, text: `${prop.name} is read here as if it were always given.` },
              { at: prop.declared, text: `${prop.name} may be left out, and has no default.` },
              ...without
                .slice(0, 3)
                .map(({ use, owner }) => ({ at: locate(use.file, use.node.nameSpan), text: `${owner.name} leaves it out.` })),
            ],
            touches: component.id,
          },
        ];
      });
    }),
};
