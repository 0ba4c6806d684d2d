import type { Model } from '../model/model';
import type { Strand } from '../model/strand';
import type { PlaceIndex, Provider, Tree } from '../model/tree';
import { providerFor } from '../tree';
import { holderOf } from './live';
import { isWithin } from './stand';

/** What would come of it if a context were provided at another place. Nothing is written. */
export type ProvidedElsewhere = {
  /** Who gets it now and would get another answer, or none: null. */
  readonly lost: readonly { readonly component: string; readonly after: string | null }[];
  /** Who would get it and gets another answer now, or none: null. */
  readonly gained: readonly { readonly component: string; readonly before: string | null }[];
  /** Who would get it as now, by name. */
  readonly kept: readonly string[];
};

/** The provider of the context that a strand is of: of those at its start, the one that answers whom the strand reaches. */
function providerOf(model: Model, tree: Tree, strand: Strand): number | undefined {
  const owner = holderOf(strand);
  const { kind, knots } = strand;
  if (kind !== 'context' || owner === undefined) return undefined;
  const answering = knots.flatMap(({ place: index }) => {
    const place = tree.places[index];
    const takes = place ? (model.components.get(place.component)?.consumes ?? []) : [];
    return place ? takes.flatMap(({ context, asks }) => providerFor(tree, place, context, asks) ?? []) : [];
  });
  const found = tree.providers.findIndex((one) => one.owner === owner && answering.includes(one));
  return found < 0 ? undefined : found;
}

/** What would come of it if the context of a strand were provided at another place, for all below that; undefined where it is provided there, or by nobody of the page. */
export function providedAt(model: Model, tree: Tree, strand: Strand, target: PlaceIndex): ProvidedElsewhere | undefined {
  const at = providerOf(model, tree, strand);
  const provider = tree.providers[at ?? -1];
  if (at === undefined || !provider || provider.owner === target || !tree.places[target]) return undefined;
  const then = withProviderAt(tree, at, target);
  const nameOf = (one: Provider | undefined): string | null =>
    (one && model.components.get(tree.places[one.owner]?.component ?? ('' as never))?.name) || null;
  const lost = new Map<string, ProvidedElsewhere['lost'][number]>();
  const gained = new Map<string, ProvidedElsewhere['gained'][number]>();
  const kept = new Set<string>();
  for (const place of tree.places) {
    const asking = model.components.get(place.component);
    for (const { context, asks } of asking?.consumes ?? []) {
      const there = then.places[place.index];
      if (context !== provider.context || !asking || !there) continue;
      const before = providerFor(tree, place, context, asks);
      const after = providerFor(then, there, context, asks);
      const [had, has] = [before === provider, after === then.providers.at(-1)];
      const { name: component } = asking;
      if (had && has) kept.add(component);
      else if (had) lost.set(`${component} ${nameOf(after) ?? ''}`, { component, after: nameOf(after) });
      else if (has) gained.set(`${component} ${nameOf(before) ?? ''}`, { component, before: nameOf(before) });
    }
  }
  return { lost: [...lost.values()], gained: [...gained.values()], kept: [...kept] };
}

/** A tree in which one provider stands at another place, around all that is below that. It is the last of the providers. */
function withProviderAt(tree: Tree, at: number, target: PlaceIndex): Tree {
  const moved = tree.providers[at];
  const goal = tree.places[target];
  if (!moved || !goal) return tree;
  const past = (index: number): number => (index === at ? moved.outer : index);
  const base = past(goal.provider);
  const next = tree.providers.length;
  const isBelow = (index: PlaceIndex): boolean => {
    const place = tree.places[index];
    return place !== undefined && isWithin(tree, goal, place);
  };
  return {
    ...tree,
    places: tree.places.map((place) => {
      const provider = past(place.provider);
      return { ...place, provider: provider === base && place !== goal && isBelow(place.index) ? next : provider };
    }),
    providers: [
      ...tree.providers.map((one) => {
        const outer = past(one.outer);
        return { ...one, outer: outer === base && isBelow(one.owner) ? next : outer };
      }),
      { ...moved, owner: target, outer: base },
    ],
  };
}
