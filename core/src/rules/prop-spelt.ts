import { distance } from 'fastest-levenshtein';
import { givenNames, type KnownUse, unknownBindings } from '../flow';
import type { Binding } from '../model/facts';
import { locate } from '../model/span';
import type { Found, Rule } from './rule';

export type Spelt = { readonly binding: Binding; readonly declared: string };

/** `lable` and `label`: two neighbours changed places, which is one slip and not two. */
function isSwapped(a: string, b: string): boolean {
  const at = [...a].findIndex((letter, index) => letter !== b[index]);
  return at >= 0 && a.length === b.length && a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2);
}

/** How far apart two names are: letter case and hyphens count half. */
function apart(given: string, declared: string): number {
  const plain = (name: string): string => name.toLowerCase().replace(/-/g, '');
  const letters = isSwapped(plain(given), plain(declared)) ? 1 : distance(plain(given), plain(declared));
  return letters === 0 && given !== declared ? 0.5 : letters;
}

/** Short names are near to everything: one letter in four, two in eight. */
function allowed(name: string): number {
  return name.length < 4 ? 0.5 : name.length < 8 ? 1 : 2;
}

/** The undeclared names of a use that are clearly meant for a declared one which it does not give. */
export function speltBindings(known: KnownUse): Spelt[] {
  const unknown = unknownBindings(known);
  if (unknown.length === 0) return [];
  const given = givenNames(known.use.node);
  const free = [...known.target.contract.props.keys()].filter((name) => !given.has(name));
  return unknown.flatMap((binding): Spelt[] => {
    const near = free.map((name) => ({ name, apart: apart(binding.name, name) })).sort((a, b) => a.apart - b.apart);
    const [first, second] = near;
    if (!first || first.apart > allowed(binding.name) || (second && second.apart === first.apart)) return [];
    return [{ binding, declared: first.name }];
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
