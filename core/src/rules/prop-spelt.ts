import { givenNames, type KnownUse, unknownBindings } from '../flow';
import type { Binding } from '../model/facts';
import type { TextEdit } from '../model/finding';
import { locate } from '../model/span';
import { nearest } from './near';
import { remembered } from './remembered';
import type { Found, Rule } from './rule';

export type Spelt = { readonly binding: Binding; readonly declared: string };

/** The undeclared names of a use that are clearly meant for a declared one which it does not give. */
export const speltBindings = remembered((known: KnownUse): readonly Spelt[] => {
  const unknown = unknownBindings(known);
  if (unknown.length === 0) return [];
  const given = givenNames(known.use.node);
  const free = [...known.target.contract.props.keys()].filter((name) => !given.has(name));
  return unknown.flatMap((binding): Spelt[] => {
    const declared = nearest(binding.name, free);
    return declared === undefined ? [] : [{ binding, declared }];
  });
});

/** The name as its framework writes it: in Vue with hyphens where the misspelt one has some, and without the mark of a listener. */
function spellingEdit({ use, target }: KnownUse, binding: Binding, declared: string): TextEdit[] {
  const bare = (name: string): string => name.replace(/^(@|on:|bind:|#)/, '');
  const { start, end } = binding.nameSpan;
  // The name stands at the end of what was read as the name; marks and modifiers may stand before it.
  const spelt =
    target.framework === 'vue' && end - start > bare(binding.name).length && /[A-Z]/.test(binding.name)
      ? hyphened(bare(binding.name))
      : bare(binding.name);
  const next = spelt === bare(binding.name) ? bare(declared) : hyphened(bare(declared));
  return [{ file: use.file, start: end - spelt.length, end, was: spelt, text: next }];
}

const hyphened = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** A use gives a declared prop under a misspelt name. */
export const propSpelt: Rule = {
  ofUse: (known) =>
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
        edits: spellingEdit(known, binding, declared),
        touches: target.id,
      };
    }),
};
