import { locate } from '../../model/span';
import type { Found, Rule } from '../rule';

/** A context is provided again further down, and one component stands both outside and inside of the inner provider. */
export const contextShadowed: Rule = {
  inProject: ({ model, pages }) => {
    const told = new Set<string>();
    return pages.shadowed.flatMap(({ component, context, outer, inner, page }): Found[] => {
      const owner = model.components.get(inner.owner);
      const consumer = model.components.get(component);
      const above = outer && model.components.get(outer.owner);
      const { name, declared } = model.contexts.get(context) ?? {};
      // Who takes the outer one and provides it again does so on purpose; where it is asked itself first, it must say so.
      const isOnPurpose = owner?.consumes.some((take) => take.context === context && (!inner.node.toSelf || take.asks === 'beyond'));
      if (!owner || !consumer || (outer && !above) || name === undefined || !declared || isOnPurpose) return [];
      if (told.has(inner.id)) return [];
      told.add(inner.id);
      const at = locate(inner.file, inner.node.nameSpan);
      const take = consumer.consumes.find((one) => one.context === context);
      return [
        {
          rule: 'context-shadowed',
          component: owner.id,
          subject: name,
          at,
          words: { owner: owner.name, context: name, consumer: consumer.name, page },
          evidence: [
            { at, text: `${owner.name} provides ${name} to all below.` },
            outer && above
              ? { at: locate(outer.file, outer.node.nameSpan), text: `${above.name} provides it around that.` }
              : { at: declared, text: `All others are given the one ${name}.` },
            ...(take ? [{ at: take.at, text: `${consumer.name} takes it, here and there.` }] : []),
          ],
          touches: consumer.id,
          pages: [page],
        },
      ];
    });
  },
};
