import { givenNames, type KnownUse, unknownBindings } from '../flow';
import type { Binding } from '../model/facts';
import { locate } from '../model/span';
import { nearest } from './near';
import type { Found, Rule } from './rule';

export type Spelt = { readonly binding: Binding; readonly declared: string };

/** The undeclared names of a use that are clearly meant for a declared one which it does not give. */
export function speltBindings(known: KnownUse): Spelt[] {
  const unknown = unknownBindings(known);
  if (unknown.length === 0) return [];
  const given = givenNames(known.use.node);
  const free = [...known.target.contract.props.keys()].filter((name) => !given.has(name));
  return unknown.flatMap((binding): Spelt[] => {
    const declared = nearest(binding.name, free);
    return declared === undefined ? [] : [{ binding, declared }];
  });
}

/** A use gives a declared prop under a misspelt name. */
export const propSpelt: Rule = ({ uses }) =>
  uses.flatMap((known) =>
    speltBindings(known).map(({ binding, declared }): Found => {
      const { use, owner, target } = known;
      const at = locate(use.file, binding.nameSpan);
      const prop = target.contract.props.get(declared);
      return {
        rule: 'prop-spelt',
        component: owner.id,
        subject: binding.name,
        at,
        words: { target: target.name, given: binding.name, prop: declared },
        evidence: [
          { at, says: `${owner.name} gives ${binding.name}.` },
          ...(prop ? [{ at: prop.declared, says: `${target.name} declares ${declared}, which this use does not give.` }] : []),
        ],
        touches: target.id,
      };
    }),
  );
