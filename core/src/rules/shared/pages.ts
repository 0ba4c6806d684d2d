import { unmetTakes } from '../../contract';

import { traitsOf } from '../../frameworks/registry';
import type { ComponentId, SharedId, UseId } from '../../model/ids';
import { useById } from '../../model/lookup';
import type { Component, Model, Page, Take, Use } from '../../model/model';
import type { Place, Provider, Tree } from '../../model/tree';
import { providerFor, resolve, scopesAround, unfold } from '../../tree';
import { append } from '../../model/append';

/** What rules ask of all pages unfolded; its trees are not kept. */
export type PageSurvey = {
  /** How many places of all pages a component stands at. */
  readonly places: ReadonlyMap<ComponentId, number>;
  /** The pages on which a component stands. */
  readonly pagesOf: (id: ComponentId) => readonly Page[];
  /** The name of a page on which both components stand; undefined for none. */
  readonly together: (a: ComponentId, b: ComponentId) => string | undefined;
  /** Contexts that one component takes from two providers, one within the other, with the page. */
  readonly shadowed: readonly ShadowedTake[];
  /** Uses of providers that stand on some page, below each of which all can be seen and nothing takes what they give. */
  readonly unanswering: ReadonlySet<UseId>;
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

export type ShadowedTake = {
  readonly component: ComponentId;
  readonly context: SharedId;
  /** Absent where the outer one is what everybody is given where nobody provides it. */
  readonly outer?: Use;
  readonly inner: Use;
  readonly page: string;
};

/** What one page adds to the survey, and the components it was found from. */
type PagePart = {
  readonly page: Page;
  readonly components: ReadonlyMap<ComponentId, { readonly component: Component; readonly places: number }>;
  readonly unmet: readonly { readonly component: ComponentId; readonly take: Take; readonly places: number }[];
  readonly shadowed: readonly ShadowedTake[];
  /** Providers of the page, and those of them that answer, or may answer what cannot be seen. */
  readonly provides: ReadonlySet<UseId>;
  readonly answers: ReadonlySet<UseId>;
};

/** Parts of earlier surveys by the page's id, to be used again for pages in which no component has changed. */
export type SurveyKeep = Map<string, PagePart>;

function surveyPage(model: Model, page: Page): PagePart {
  const components = new Map<ComponentId, { component: Component; places: number }>();
  const unmet = new Map<string, { component: ComponentId; take: Take; places: number }>();
  const tree = unfold(model, page);
  const answers = answersIn(model, tree, page);
  for (const place of tree.places) {
    const component = model.components.get(place.component);
    if (!component) continue;
    const known = components.get(component.id);
    if (known) known.places++;
    else components.set(component.id, { component, places: 1 });
    const isHanded = place.use !== undefined && useById(model, place.use)?.node.asValue === true;
    if (tree.providers.length > 0 && (isHanded || holdsUnseen(model, component))) answers.noteUnseen(place);
    if (component.consumes.length === 0) continue;
    for (const take of component.consumes) answers.note(place, take);
    for (const take of unmetTakes(model, tree, place)) {
      const key = `${place.component} ${take.context}`;
      const seen = unmet.get(key);
      if (seen) seen.places++;
      else unmet.set(key, { component: place.component, take, places: 1 });
    }
  }
  const provides = new Set(tree.providers.flatMap(({ use }) => use ?? []));
  const given = tree.truncated ? provides : answers.given;
  return { page, components, unmet: [...unmet.values()], shadowed: answers.shadowed(), provides, answers: given };
}

/** Something in a component's markup is chosen while running, or was not found, and may take anything. */
const holdsUnseen = (model: Model, component: Component): boolean =>
  (model.usesBy.get(component.id) ?? []).some(
    ({ target }) =>
      target.kind === 'dynamic' ||
      target.kind === 'opaque' ||
      target.kind === 'unresolved' ||
      // Keys that are texts are known outside the project too.
      (target.kind === 'outside' && traitsOf(component).contextsByText),
  );

type Answers = {
  readonly note: (place: Place, take: Take) => void;
  readonly noteUnseen: (place: Place) => void;
  /** Uses of the providers that answer, or may. */
  readonly given: ReadonlySet<UseId>;
  readonly shadowed: () => ShadowedTake[];
};

/** Collects which provider answers each take, and tells those of one component that lie within each other. */
function answersIn(model: Model, tree: Tree, page: Page): Answers {
  const found = new Map<string, { component: ComponentId; context: SharedId; providers: Set<Provider>; isGivenOne: boolean }>();
  const given = new Set<UseId>();
  return {
    given,
    noteUnseen: (place) => {
      // What it provides itself stands around its markup.
      for (const provider of tree.providers) if (provider.owner === place.index && provider.use) given.add(provider.use);
      for (const { use } of scopesAround(tree, place.provider)) if (use) given.add(use);
    },
    note: (place, take) => {
      const provider = tree.providers.length > 0 ? providerFor(tree, place, take.context, take.asks) : undefined;
      const isGivenOne = !provider && !place.sheltered && model.contexts.get(take.context)?.isOne === true;
      if (!provider?.use && !isGivenOne) return;
      if (provider?.use) given.add(provider.use);
      const key = `${place.component} ${take.context}`;
      const known = found.get(key) ?? {
        component: place.component,
        context: take.context,
        providers: new Set<Provider>(),
        isGivenOne: false,
      };
      if (provider) known.providers.add(provider);
      found.set(key, { ...known, isGivenOne: known.isGivenOne || isGivenOne });
    },
    shadowed: () =>
      [...found.values()].flatMap(({ component, context, providers, isGivenOne }): ShadowedTake[] => {
        for (const provider of providers) {
          const own = isGivenOne && !provider.isAround && provider.use ? useById(model, provider.use) : undefined;
          if (own) return [{ component, context, inner: own, page: page.name }];
          const around = outerOf(tree, provider, providers);
          const inner = provider.use && around && around.use !== provider.use ? useById(model, provider.use) : undefined;
          const outer = around?.use && useById(model, around.use);
          if (inner && outer) return [{ component, context, outer, inner, page: page.name }];
        }
        return [];
      }),
  };
}

/** The nearest provider around another of the same context, where it is among some. */
function outerOf(tree: Tree, provider: Provider, among: ReadonlySet<Provider>): Provider | undefined {
  const { answers } = resolve(tree, provider.outer, provider.context);
  return answers && among.has(answers) ? answers : undefined;
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
  const parts: PagePart[] = [];
  const shadowed: ShadowedTake[] = [];
  const unmet = new Map<string, { component: ComponentId; context: SharedId; take: Take; pages: string[]; places: number }>();
  for (const page of model.pages) {
    if (page.above !== 'known') continue;
    const kept = keep.get(page.id);
    const part = isCurrent(model, page, kept) ? kept : surveyPage(model, page);
    keep.set(page.id, part);
    parts.push(part);
    for (const [id, one] of part.components) places.set(id, (places.get(id) ?? 0) + one.places);
    append(shadowed, part.shadowed);
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
  const together = (a: ComponentId, b: ComponentId): string | undefined =>
    parts.find(({ components }) => components.has(a) && components.has(b))?.page.name;
  const pagesOf = (id: ComponentId): Page[] => parts.flatMap(({ page, components }) => (components.has(id) ? [page] : []));
  const answering = new Set(parts.flatMap((part) => [...part.answers]));
  const unanswering = new Set(parts.flatMap((part) => [...part.provides].filter((use) => !answering.has(use))));
  return { places, pagesOf, together, shadowed, unanswering, unmet: [...unmet.values()] };
}
