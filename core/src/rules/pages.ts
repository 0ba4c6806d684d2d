import { unmetTakes } from '../flow';
import type { ComponentId, SharedId } from '../model/ids';
import type { Model, Take } from '../model/model';
import { unfold } from '../tree';

/** What rules ask of all pages unfolded; one look at each page, which is not kept. */
export type PageSurvey = {
  /** How many places of all pages a component stands at. */
  readonly places: ReadonlyMap<ComponentId, number>;
  /** Contexts taken where nothing provides them, with the pages. */
  readonly unmet: readonly UnmetTake[];
};

export type UnmetTake = {
  readonly component: ComponentId;
  readonly context: SharedId;
  readonly take: Take;
  readonly pages: readonly string[];
  readonly places: number;
};

/** Unfolds every page that starts from what is mounted. Pages of components that nothing uses are only counted. */
export function surveyPages(model: Model): PageSurvey {
  const places = new Map<ComponentId, number>();
  const unmet = new Map<string, { component: ComponentId; context: SharedId; take: Take; pages: Set<string>; places: number }>();
  const whole = model.pages.filter((page) => page.reach === 'whole');
  for (const page of whole) {
    const tree = unfold(model, page);
    for (const place of tree.places) {
      places.set(place.component, (places.get(place.component) ?? 0) + 1);
      for (const take of unmetTakes(model, tree, place)) {
        const key = `${place.component} ${take.context}`;
        const known = unmet.get(key) ?? { component: place.component, context: take.context, take, pages: new Set<string>(), places: 0 };
        known.pages.add(page.name);
        known.places++;
        unmet.set(key, known);
      }
    }
  }
  return { places, unmet: [...unmet.values()].map((one) => ({ ...one, pages: [...one.pages] })) };
}
