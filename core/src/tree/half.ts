import { traitsOf } from '../frameworks/registry';
import type { Component, Model } from '../model/model';
import { covers, type Location } from '../model/span';
import type { PlaceIndex, Tree } from '../model/tree';

/**
 * Where something runs on a page that a server makes: there alone, in the browser alone, or first there and then in the
 * browser. `by` is the mark that starts it, or `script` for what stands in a script of the markup.
 */
export type Half =
  { readonly runs: 'server' } | { readonly runs: 'unstarted' } | { readonly runs: 'browser' | 'both'; readonly by: string };

/** What scripts in the markup of a component do; the script at its top does nothing of that kind. */
export const scriptsOf = ({ facts }: Component): Component['facts']['actions'] => facts.actions.filter(({ kind }) => kind === 'lifecycle');

/** Where the component of a place runs, or what stands `at` a place of its code; undefined on pages that no server makes in that way. */
export function halfOf(model: Model, tree: Tree, index: PlaceIndex, at?: Location): Half | undefined {
  const [page] = tree.places;
  const top = page && model.components.get(page.component);
  const first = tree.places[index];
  const component = first && model.components.get(first.component);
  if (!component || !top || !traitsOf(top).madeOnce) return undefined;
  if (traitsOf(component).madeOnce) {
    return at && scriptsOf(component).some(({ span }) => covers(component.file, span, at))
      ? { runs: 'browser', by: 'script' }
      : { runs: 'server' };
  }
  // What stands in a part that is started is started with it.
  for (let place: typeof first | undefined = first; place; place = tree.places[place.parent]) {
    // The class of an element of the page runs wherever its script is loaded.
    if (model.components.get(place.component)?.facts.element) return { runs: 'browser', by: 'its own script' };
    if (place.island === '') return { runs: 'unstarted' };
    if (place.island !== undefined) return { runs: place.isOnlyStarted ? 'browser' : 'both', by: place.island };
  }
  return undefined;
}
