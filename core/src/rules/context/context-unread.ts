import { locate } from '../../model/span';
import type { Found, Rule } from '../rule';

/** A context is provided and nothing below takes it. */
export const contextUnread: Rule = {
  inProject: ({ model, pages }) => {
    if (pages.unanswering.size === 0) return [];
    const taken = new Set([...model.components.values()].flatMap((component) => component.consumes.map((take) => take.context)));
    // Who asks for all contexts takes each of them.
    const takesAll = [...model.files.values()].some((file) => file.imports.some((one) => one.imported === 'getAllContexts'));
    if (takesAll) return [];
    const consumed = new Set<string>();
    const found: Found[] = [];
    for (const uses of model.usesBy.values()) for (const { target } of uses) if (target.kind === 'consumer') consumed.add(target.context);
    for (const uses of model.usesBy.values())
      for (const use of uses) {
        const owner = model.components.get(use.owner);
        const { target } = use;
        if (target.kind !== 'provider' || use.node.isUsed || owner?.fileRole !== 'source' || owner.isPublic) continue;
        const context = model.contexts.get(target.context);
        if (!context || consumed.has(target.context) || !pages.unanswering.has(use.id)) continue;
        const at = locate(use.file, use.node.nameSpan);
        // What is no component has no name that people know: the file has.
        const givenBy = owner.role === 'component' ? owner.name : at.file.slice(at.file.lastIndexOf('/') + 1);
        found.push({
          rule: 'context-unread',
          component: owner.id,
          subject: context.name,
          at,
          words: { owner: givenBy, context: context.name },
          evidence: [
            { at, text: `${givenBy} provides ${context.name}.` },
            { at: context.declared, text: taken.has(target.context) ? 'Only components elsewhere take it.' : 'No component takes it.' },
          ],
          touches: owner.id,
        });
      }
    return found;
  },
};
