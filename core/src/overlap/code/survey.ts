import type { ComponentId } from '../../model/ids';
import type { Model } from '../../model/model';
import { piecesOf } from './pieces';
import { findRepeats, type Repeated } from './repeats';
import { findTwins, structureOf, type TwinCluster, twinDefaults, type TwinOptions } from './twins';

/** What the components of a project have in common. */
export type Overlap = { readonly twins: readonly TwinCluster[]; readonly repeats: readonly Repeated[] };

/** What an earlier survey found, with the structures that it was found from. */
export type OverlapKeep = {
  last?: { readonly likeness: number; readonly structures: ReadonlyMap<ComponentId, string>; readonly overlap: Overlap };
};

/**
 * Twins and repeated markup of a project. Where no component's structure has changed since the survey
 * that `keep` has, and none has come or gone, that answer holds still; `keep` is brought up to date.
 */
export function surveyOverlap(model: Model, keep: OverlapKeep, options: TwinOptions = twinDefaults): Overlap {
  const structures = structureOf(model);
  const { last } = keep;
  const isSame =
    last?.likeness === options.likeness &&
    last.structures.size === structures.size &&
    [...structures].every(([id, print]) => last.structures.get(id) === print);
  const overlap = isSame
    ? { twins: last.overlap.twins, repeats: moved(model, last.overlap.repeats) }
    : { twins: findTwins(model, options), repeats: findRepeats(model) };
  keep.last = { likeness: options.likeness, structures, overlap };
  return overlap;
}

/** The same stretches where they stand now. */
function moved(model: Model, repeats: readonly Repeated[]): Repeated[] {
  return repeats.map((repeated) => ({
    ...repeated,
    places: repeated.places.flatMap(({ component: id, piece }) => {
      const component = model.components.get(id);
      const now = component && piecesOf(model, component).nodes[piece.index];
      return now ? [{ component: id, piece: now }] : [];
    }),
  }));
}
