import { locate } from '../model/span';
import type { Found, Rule } from './rule';

/** A context is provided and nothing in the project takes it. */
export const contextUnread: Rule = {
  inProject: ({ model }) => {
    if (!model.pages.some((page) => page.reach === 'whole')) return [];
    const taken = new Set([...model.components.values()].flatMap((component) => component.takes.map((take) => take.context)));
    const consumed = new Set<string>();
    const found: Found[] = [];
    for (const uses of model.usesBy.values()) for (const { target } of uses) if (target.kind === 'consumer') consumed.add(target.context);
    for (const uses of model.usesBy.values())
      for (const use of uses) {
        const owner = model.components.get(use.owner);
        const { target } = use;
        if (target.kind !== 'provider' || owner?.fileRole !== 'source' || owner.isPublic) continue;
        const context = model.contexts.get(target.context);
        if (!context || taken.has(target.context) || consumed.has(target.context)) continue;
        const at = locate(use.file, use.node.nameSpan);
        found.push({
          rule: 'context-unread',
          component: owner.id,
          subject: context.name,
          at,
          words: { owner: owner.name, context: context.name },
          evidence: [
            { at, says: `${owner.name} provides ${context.name}.` },
            { at: context.declared, says: 'No component takes it.' },
          ],
          touches: owner.id,
        });
      }
    return found;
  },
};
