import { missingProps } from '../../contract';

import { causeAt } from '../precedence';
import { locate } from '../../model/span';
import { passEdit, withEdits } from '../shared/edits';
import type { Found, Rule } from '../rule';

/** A use does not give a required prop that has no default. */
export const propMissing: Rule = {
  ofUse: (known) => {
    return missingProps(known).map((prop): Found => {
      const { use, owner, target } = known;
      const at = locate(use.file, use.node.nameSpan);
      return {
        rule: 'prop-missing',
        component: owner.id,
        subject: prop.name,
        causes: [causeAt(known.use, prop.key)],
        at,
        words: { target: target.name, prop: prop.name, owner: owner.name, read: prop.required === 'yes' ? '' : 'yes' },
        evidence: [
          { at, text: `${owner.name} uses ${target.name} without ${prop.name}.` },
          {
            at: prop.declared,
            text:
              prop.required === 'yes'
                ? `${prop.name} is declared as required.`
                : `${target.name} takes ${prop.name} and reads from it each time.`,
          },
        ],
        ...withEdits(passEdit(use, owner, prop.name)),
        loose: { kind: prop.kind === 'callback' ? 'event' : 'prop', name: prop.name, at: prop.declared, uses: [use.id] },
        touches: target.id,
      };
    });
  },
};
