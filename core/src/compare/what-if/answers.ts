import type { Model } from '../../model/model';
import type { PlaceIndex, Provider, Tree } from '../../model/tree';
import { isBounded, resolve } from '../../tree';
import { isWithin } from './stand';

/** Who answers for a context that a component asks for, now and then; null for nobody. */
export type Answered = {
  readonly component: string;
  readonly key: string;
  readonly before: string | null;
  readonly after: string | null;
};

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
