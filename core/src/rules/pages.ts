import { unmetTakes } from '../flow';
import type { ComponentId, SharedId } from '../model/ids';
import type { Component, Model, Page, Take } from '../model/model';
import { unfold } from '../tree';

/** What rules ask of all pages unfolded; its trees are not kept. */
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

/** What one page adds to the survey, and the components it was found from. */
type PagePart = {
  readonly page: Page;
  readonly components: ReadonlyMap<ComponentId, { readonly component: Component; readonly places: number }>;
  readonly unmet: readonly { readonly component: ComponentId; readonly take: Take; readonly places: number }[];
};

/** Parts of earlier surveys by the page's id, to be used again for pages in which no component has changed. */
export type SurveyKeep = Map<string, PagePart>;

function surveyPage(model: Model, page: Page): PagePart {
  const components = new Map<ComponentId, { component: Component; places: number }>();
  const unmet = new Map<string, { component: ComponentId; take: Take; places: number }>();
  const tree = unfold(model, page);
  for (const place of tree.places) {
    const component = model.components.get(place.component);
    if (!component) continue;
    const known = components.get(component.id);
    if (known) known.places++;
    else components.set(component.id, { component, places: 1 });
    if (component.takes.length === 0) continue;
    for (const take of unmetTakes(model, tree, place)) {
      const key = `${place.component} ${take.context}`;
      const seen = unmet.get(key);
      if (seen) seen.places++;
      else unmet.set(key, { component: place.component, take, places: 1 });
    }
  }
  return { page, components, unmet: [...unmet.values()] };
}

function isCurrent(model: Model, page: Page, part: PagePart | undefined): part is PagePart {
  if (part?.page !== page) return false;
  for (const { component } of part.components.values()) if (model.components.get(component.id) !== component) return false;
  return true;
}

/**
 * Unfolds every page that starts from what is mounted. Parts in `keep` are used again where the
 * page's components are the very same; `keep` is brought up to date.
 */
export function surveyPages(model: Model, keep: SurveyKeep): PageSurvey {
  const places = new Map<ComponentId, number>();
  const unmet = new Map<string, { component: ComponentId; context: SharedId; take: Take; pages: string[]; places: number }>();
  for (const page of model.pages) {
    if (page.reach !== 'whole') continue;
    const kept = keep.get(page.id);
    const part = isCurrent(model, page, kept) ? kept : surveyPage(model, page);
    keep.set(page.id, part);
    for (const [id, one] of part.components) places.set(id, (places.get(id) ?? 0) + one.places);
    for (const one of part.unmet) {
      const key = `${one.component} ${one.take.context}`;
      const known = unmet.get(key);
      if (!known)
        unmet.set(key, { component: one.component, context: one.take.context, take: one.take, pages: [page.name], places: one.places });
      else {
        if (!known.pages.includes(page.name)) known.pages.push(page.name);
        known.places += one.places;
      }
    }
  }
  return { places, unmet: [...unmet.values()] };
}
