import { locate } from '../model/span';
import { listed } from './sentences';
import type { Found, Rule } from './rule';

/** Two or more components are alike in structure and contract. One finding for all that are. */
export const twins: Rule = {
  inProject: ({ model, overlap }) =>
    overlap.twins.flatMap(({ members, likeness }): Found[] => {
      const all = members.flatMap((id) => model.components.get(id) ?? []);
      const [first, second, ...more] = all;
      if (!first || !second) return [];
      const at = locate(first.file, first.facts.nameSpan);
      const others = listed([second, ...more].map((one) => one.name));
      return [
        {
          rule: 'twins',
          component: first.id,
          subject: all
            .map((one) => one.name)
            .slice(0, 4)
            .join(' · '),
          at,
          words: {
            first: first.name,
            second: others,
            alike: `${Math.round(100 * likeness)} %`,
            across: all.some((one) => one.framework !== first.framework) ? 'yes' : '',
            holes: 'texts, values or single parts',
          },
          evidence: all.slice(0, 6).map((one) => ({
            at: locate(one.file, one.facts.nameSpan),
            says: `${one.name} has this markup, and ${one.contract.props.size === 1 ? 'one prop' : `${one.contract.props.size} props`}.`,
          })),
          goes: [{ count: all.length - 1, what: 'component' }],
          touches: first.id,
        },
      ];
    }),
};
