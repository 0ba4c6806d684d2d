import type { ValueFact } from '../model/facts';
import type { Model } from '../model/model';
import type { Place, Tree } from '../model/tree';
import { traitsOf } from '../frameworks/registry';
import { owners } from '../tree';
import { type Ground, originOf } from './known';

/** Where a value would have to live so that it reaches markup at its new place, and through whom it would be handed. */
export type Lift = {
  /** Who holds it now, by what name, and as what. */
  readonly held: string;
  readonly as: string;
  readonly kind: ValueFact['kind'];
  /** The nearest component that owns both: who holds it now, and whoever would write the part. */
  readonly lives: string;
  /** Who would hand it on, from there down to who would write the part, without these two. */
  readonly through: readonly string[];
  /** How many places more may render again at each change of it, where what renders makes all that it writes render; wrapped components are not counted. Absent for none. */
  readonly again?: number;
};

/** Where a value of the old writer would have to live; undefined where that is no question: it holds within a part of the markup, or of the module. */
export function liftOf(model: Model, tree: Tree, { from, writer, newWriter }: Ground, index: number): Lift | undefined {
  const value = from.facts.values[index];
  if (!value || value.kind === 'item' || value.kind === 'handed' || value.kind === 'module' || value.kind === 'param') return undefined;
  const { place, value: held } = originOf(model, tree, writer, index);
  const holder = model.components.get(place.component);
  const fact = holder?.facts.values[held];
  const below = owners(tree, newWriter);
  const above = new Set(owners(tree, place));
  const at = below.findIndex((one) => above.has(one));
  const lives = below[at];
  if (!holder || !fact || !lives) return undefined;
  const nameOf = (one: Place): string => model.components.get(one.component)?.name ?? '';
  const more = lives === place || fact.kind !== 'state' ? 0 : rendersWith(model, tree, lives) - rendersWith(model, tree, place);
  return {
    held: holder.name,
    as: fact.name,
    kind: fact.kind,
    lives: nameOf(lives),
    through: below.slice(1, Math.max(at, 1)).map(nameOf).reverse(),
    ...(more > 0 ? { again: more } : {}),
  };
}

/** How many places may render when one does, itself too: what it writes, what that writes, and so on, as far as it stands at the time. Wrapped components are not counted, with what they write: they may keep what they made. 0 where only readings of a value run again. */
export function rendersWith(model: Model, tree: Tree, place: Place): number {
  const component = model.components.get(place.component);
  if (!component || component.facts.element !== undefined || traitsOf(component).rerender !== 'component') return 0;
  const rendering = new Set([place.index]);
  // Owners come before what they write.
  for (const one of tree.places) {
    const isKept = (model.components.get(one.component)?.facts.wrappedBy.length ?? 0) > 0;
    if (rendering.has(one.owner) && !isKept) rendering.add(one.index);
  }
  return rendering.size;
}
