import type { Context, Model } from '../model/model';
import type { Place, PlaceIndex, Provider, Tree } from '../model/tree';
import { isBounded, resolve } from '../tree';
import { isWithin, providersWithin } from './stand';

/** Who answers for a context that a component asks for, now and then; null for nobody. */
export type Answered = {
  readonly component: string;
  readonly key: string;
  readonly before: string | null;
  readonly after: string | null;
};

/** Another answer that the part would get where the component that it is written into stands as well. */
export type Elsewhere = { readonly page: string; readonly component: string; readonly key: string; readonly after: string | null };

/** The trees of the pages on which a component may stand as well, by their names. */
export type OtherTrees = () => Iterable<{ readonly page: string; readonly tree: Tree }>;

/**
 * Who answers in one tree and in another, for all that a part asks for, and what stands in it. Of a question that ends at
 * the own element, or at who wrote it, nothing is told but what is answered within the part.
 */
export function answersOf(model: Model, before: Tree, after: Tree, moved: PlaceIndex): Answered[] {
  const found = new Map<string, Answered>();
  const part = before.places[moved];
  if (!part) return [];
  const named = (provider: Provider | undefined): string | null =>
    (provider && model.components.get(before.places[provider.owner]?.component ?? ('' as never))?.name) || null;
  for (const place of before.places) {
    const asking = isWithin(before, part, place) ? model.components.get(place.component) : undefined;
    const then = after.places[place.index];
    for (const take of asking?.consumes ?? []) {
      const now = resolve(before, place.provider, take.context, place, take.asks).answers;
      const by = now && before.places[now.owner];
      if (isBounded(take.asks) && !(by !== undefined && isWithin(before, part, by))) continue;
      const answer = {
        component: asking?.name ?? '',
        key: model.contexts.get(take.context)?.name ?? '',
        before: named(now),
        after: named(then && resolve(after, then.provider, take.context, then, take.asks).answers),
      };
      found.set(Object.values(answer).join(' '), answer);
    }
  }
  return [...found.values()];
}

/**
 * Whoever a part is written into has it at each of its places: the answers that it gets at another one, where they are
 * not those that it gets at `target`. What is answered within the part is the same everywhere.
 */
export function elsewhereOf(model: Model, before: Tree, moved: PlaceIndex, target: Place, trees: OtherTrees): Elsewhere[] {
  const part = before.places[moved];
  const asked = new Map<string, { readonly component: string; readonly context: Context['id'] }>();
  for (const place of part ? before.places.filter((one) => isWithin(before, part, one)) : []) {
    const component = model.components.get(place.component);
    for (const { context, asks } of component?.consumes ?? []) {
      const by = resolve(before, place.provider, context, place, asks).answers;
      const owner = by && before.places[by.owner];
      const isInside = part !== undefined && owner !== undefined && isWithin(before, part, owner);
      if (!isInside && !isBounded(asks)) asked.set(`${place.component} ${context}`, { component: component?.name ?? '', context });
    }
  }
  if (asked.size === 0) return [];
  const answererOf = (tree: Tree, scope: number, context: Context['id']): string | null => {
    const by = resolve(tree, scope, context).answers;
    return (by && model.components.get(tree.places[by.owner]?.component ?? ('' as never))?.name) || null;
  };
  const here = providersWithin(before)(target);
  const found = new Map<string, Elsewhere>();
  for (const { page, tree } of trees()) {
    const places = tree.places.filter(({ component }) => component === target.component);
    if (places.length === 0) continue;
    const within = providersWithin(tree);
    for (const scope of new Set(places.map(within)))
      for (const { component, context } of asked.values()) {
        const after = answererOf(tree, scope, context);
        const one = { page, component, key: model.contexts.get(context)?.name ?? '', after };
        if (after !== answererOf(before, here, context)) found.set(Object.values(one).join(' '), one);
      }
  }
  return [...found.values()];
}
