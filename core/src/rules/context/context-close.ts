import type { ComponentId, UseId } from '../../model/ids';
import { useById } from '../../model/lookup';
import type { Component, Context, Model, Page, Use } from '../../model/model';
import { locate, type Location } from '../../model/span';
import type { Place, Tree } from '../../model/tree';
import { providerFor, unfold } from '../../tree';
import type { Found, Rule } from '../rule';

/** What takes from one provider: the component, and whether its props could come from the provider's owner. */
type Taker = { readonly component: ComponentId; readonly use: UseId | undefined; readonly at: Location; readonly near: boolean };

/** How many owners lie between a place and another: 1 for its own use, 2 for one through a part between. */
function ownerSteps(tree: Tree, place: Place, owner: number): number {
  let steps = 0;
  for (let at: Place | undefined = place; at && steps < 4; at = tree.places[at.owner]) {
    if (at.index === owner) return steps;
    steps++;
  }
  return -1;
}

/** All takers of each provider on some pages. */
function takersIn(model: Model, pages: Iterable<Page>): Map<UseId, Taker[]> {
  const found = new Map<UseId, Taker[]>();
  for (const page of pages) {
    const tree = unfold(model, page);
    if (tree.providers.length === 0) continue;
    const owners = new Map(tree.providers.map((provider) => [provider, provider.owner]));
    for (const place of tree.places) {
      for (const take of model.components.get(place.component)?.consumes ?? []) {
        const provider = providerFor(tree, place, take.context, take.asks);
        if (!provider) continue;
        const steps = ownerSteps(tree, place, owners.get(provider) ?? -1);
        const isFixed = place.repeats.length === 0;
        const taker: Taker = { component: place.component, use: place.use, at: take.at, near: (steps === 1 || steps === 2) && isFixed };
        if (!provider.use) continue;
        const known = found.get(provider.use);
        if (known) known.push(taker);
        else found.set(provider.use, [taker]);
      }
    }
  }
  return found;
}

function onlyProviders(model: Model): Map<string, Use> {
  const counts = new Map<string, Use[]>();
  for (const uses of model.usesBy.values())
    for (const use of uses)
      if (use.target.kind === 'provider') counts.set(use.target.context, [...(counts.get(use.target.context) ?? []), use]);
  return new Map([...counts].flatMap(([context, uses]): [string, Use][] => (uses.length === 1 && uses[0] ? [[context, uses[0]]] : [])));
}

/** A context with the one use that provides it, the component whose use it is, and the one that takes it. */
type Pair = { readonly context: Context; readonly use: Use; readonly owner: Component; readonly consumer: Component };

/** Contexts that one use provides and one component takes, which one other uses: what is left to ask is where they stand. */
function pairsIn(model: Model): Pair[] {
  const consumed = new Set<string>();
  for (const uses of model.usesBy.values()) for (const { target } of uses) if (target.kind === 'consumer') consumed.add(target.context);
  const takers = new Map<string, Component[]>();
  for (const component of model.components.values())
    for (const id of new Set(component.consumes.map((take) => take.context))) takers.set(id, [...(takers.get(id) ?? []), component]);
  return [...onlyProviders(model)].flatMap(([id, use]): Pair[] => {
    const context = [...model.contexts.values()].find((one) => one.id === id);
    const owner = model.components.get(use.owner);
    const [consumer, ...others] = takers.get(id) ?? [];
    if (!context || !owner || owner.isPublic || owner.fileRole !== 'source' || owner.role !== 'component' || consumed.has(id)) return [];
    const [wrote, ...more] = consumer ? (model.usesOf.get(consumer.id) ?? []) : [];
    if (!consumer || !wrote || others.length + more.length > 0) return [];
    const isNear = wrote.owner === owner.id || (model.usesOf.get(wrote.owner) ?? []).some((one) => one.owner === owner.id);
    if (!isNear) return [];
    return [{ context, use, owner, consumer }];
  });
}

/** A context with one provider and one taker, in one place, one or two levels below. */
export const contextClose: Rule = {
  inProject: ({ model, pages }) => {
    const pairs = pairsIn(model);
    if (pairs.length === 0) return [];
    const takers = takersIn(model, new Set(pairs.flatMap(({ owner }) => pages.pagesOf(owner.id))));
    return pairs.flatMap(({ context, use, owner, consumer }): Found[] => {
      const all = takers.get(use.id) ?? [];
      const [first] = all;
      if (!first || all.some((one) => one.use !== first.use || !one.near)) return [];
      const wrote = first.use && useById(model, first.use);
      if (!wrote) return [];
      const at = locate(use.file, use.node.nameSpan);
      return [
        {
          rule: 'context-close',
          component: owner.id,
          subject: context.name,
          at,
          words: { owner: owner.name, context: context.name, consumer: consumer.name },
          evidence: [
            { at, text: `${owner.name} provides ${context.name}.` },
            { at: first.at, text: `${consumer.name} takes it, and nothing else does.` },
            { at: locate(wrote.file, wrote.node.nameSpan), text: `Here ${consumer.name} could be given it.` },
          ],
          goes: [{ count: 1, what: 'context' }],
          touches: owner.id,
        },
      ];
    });
  },
};
