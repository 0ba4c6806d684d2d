import type { Component, Model, Use } from '../../model/model';
import { contextName } from '../../flow';
import { locate } from '../../model/span';
import { isIdle } from '../redundant/component-idle';
import { listed } from '../shared/sentences';
import type { Check, Found, Rule } from '../rule';

/** At some place in the tree, taking a context finds no provider and has no default. */
export const contextMissing: Rule = {
  inProject: (check) =>
    check.pages.unmet.flatMap((unmet): Found[] => {
      const { model } = check;
      const component = model.components.get(unmet.component);
      const context = model.contexts.get(unmet.context);
      if (!component || !context || isGivenOffPages(check, unmet.context)) return [];
      const through = unmet.take.via.length > 0 ? ` through ${unmet.take.via.join(' and ')}` : '';
      return [
        {
          rule: 'context-missing',
          component: component.id,
          subject: context.name,
          at: unmet.take.at,
          words: { component: component.name, context: context.name, pages: listed(unmet.pages) },
          evidence: [
            { at: unmet.take.at, text: `${component.name} takes ${context.name}${through}.` },
            { at: context.declared, text: withoutDefault(component, context.name) },
            ...providersOf(model, unmet.context),
          ],
          loose: { kind: 'context', name: contextName(context.name), at: unmet.take.at, uses: [], context: unmet.context },
          touches: component.id,
          pages: unmet.pages,
        },
      ];
    }),
};

const withoutDefault = ({ facts }: Component, context: string): string =>
  facts.selected
    ? `${context} is declared here, and nobody is given one without a provider.`
    : `${context} is made without a usable default.`;

/** A component that stands on no page provides it: something that is not seen may put that one around the pages, unless nothing renders it. */
function isGivenOffPages({ model, pages }: Check, context: string): boolean {
  const gives = ({ target }: Use): boolean => target.kind === 'provider' && target.context === context;
  return [...model.usesBy].some(([owner, uses]) => uses.some(gives) && pages.pagesOf(owner).length === 0 && !isIdle(model, owner));
}

function providersOf(model: Model, context: string): Found['evidence'] {
  const found: { at: Found['at']; text: string }[] = [];
  for (const uses of model.usesBy.values()) {
    for (const use of uses) {
      if (use.target.kind !== 'provider' || use.target.context !== context) continue;
      const owner = model.components.get(use.owner);
      found.push({ at: locate(use.file, use.node.nameSpan), text: `${owner?.name ?? use.file} provides it, and is not above here.` });
    }
  }
  return found.slice(0, 3);
}
