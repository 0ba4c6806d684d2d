import type { Model } from '../model/model';
import type { Knot, Strand } from '../model/strand';
import type { Place, PlaceIndex, Tree } from '../model/tree';
import { owners } from '../tree';
import { rendersWith } from './lift';

/** What would come of it if a state lived with another component. Nothing is written. */
export type LivesElsewhere = {
  /** Who reads or changes it and would be given it, with those that would hand it on, from the new holder down. */
  readonly reached: readonly { readonly component: string; readonly through: readonly string[] }[];
  /** Who reads or changes it and could not be given it from there: the new holder writes neither it nor what writes it. */
  readonly out: readonly string[];
  /** The nearest component from which all could be given it; null where there is none. */
  readonly nearest: string | null;
  /** How many places hand it on and do not read it, now and then; those that it does not reach count for nothing. */
  readonly carriers: { readonly now: number; readonly then: number };
  /** How many places may render at each change, where what renders makes all that it writes render; wrapped components are not counted. Absent where it does not. */
  readonly renders?: { readonly now: number; readonly then: number };
};

const isUse = ({ kinds }: Knot): boolean => kinds.some((kind) => kind === 'reads' || kind === 'changes' || kind === 'raises');

/** The place that holds the state of a strand, or provides its context; undefined for other strands, and where none of the page does. */
export const holderOf = ({ kind, knots }: Strand): PlaceIndex | undefined =>
  kind === 'state' || kind === 'context' ? knots.find(({ kinds, place }) => kinds.includes('owns') && place >= 0)?.place : undefined;

/** What would come of it if the state of a strand lived at another place; undefined where it is no state, or lives there. */
export function livesAt(model: Model, tree: Tree, strand: Strand, target: PlaceIndex): LivesElsewhere | undefined {
  const [holder, goal] = [tree.places[holderOf(strand) ?? -1], tree.places[target]];
  if (strand.kind !== 'state' || !holder || !goal || holder === goal) return undefined;
  const users = strand.knots.filter(isUse).flatMap(({ place }) => tree.places[place] ?? []);
  const nameOf = (place: Place | undefined): string => (place && model.components.get(place.component)?.name) ?? '';
  const between = (user: Place, from: Place): Place[] | undefined => {
    const chain = owners(tree, user);
    const at = chain.indexOf(from);
    return at < 0 ? undefined : chain.slice(1, Math.max(at, 1)).reverse();
  };
  const carriers = (from: Place): number =>
    new Set(users.flatMap((user) => between(user, from) ?? []).filter((one) => !users.includes(one))).size;
  const reached = new Map<string, LivesElsewhere['reached'][number]>();
  const out = new Set<string>();
  for (const user of users) {
    const through = between(user, goal)?.map(nameOf);
    const one = { component: nameOf(user), through: through ?? [] };
    if (through) reached.set(JSON.stringify(one), one);
    else out.add(one.component);
  }
  const [first, ...others] = users.map((user) => owners(tree, user));
  const common = first?.find((place) => others.every((chain) => chain.includes(place)));
  const renders = { now: rendersWith(model, tree, holder), then: rendersWith(model, tree, goal) };
  return {
    reached: [...reached.values()],
    out: [...out],
    nearest: nameOf(common) || null,
    carriers: { now: carriers(holder), then: carriers(goal) },
    ...(renders.now > 0 && renders.then > 0 ? { renders } : {}),
  };
}
