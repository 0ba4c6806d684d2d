import { missingProps } from '../../flow';
import { locate } from '../../model/span';
import { passEdit, withEdits } from '../shared/edits';
import { speltBindings } from './prop-spelt';
import type { Found, Rule } from '../rule';

/** A use does not give a required prop that has no default. */
export const propMissing: Rule = {
  ofUse: (known) => {
    const spelt = new Set(speltBindings(known).map((one) => one.declared));
    return missingProps(known)
      .filter((prop) => !spelt.has(prop.key))
      .map((prop): Found => {
        const { use, owner, target } = known;
        const at = locate(use.file, use.node.nameSpan);
        return {
          rule: 'prop-missing',
          component: owner.id,
          subject: prop.name,
          at,
          words: { target: target.name, prop: prop.name, owner: owner.name },
          evidence: [
            { at, says: `${owner.name} uses ${target.name} without ${prop.name}.` },
            { at: prop.declared, says: `${prop.name} is declared as required.` },
          ],
          ...withEdits(passEdit(use, owner, prop.name)),
          loose: { kind: prop.kind === 'callback' ? 'event' : 'prop', name: prop.name, at: prop.declared, uses: [use.id] },
          touches: target.id,
        };
      });
  },
};
