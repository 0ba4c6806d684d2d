import type { ComponentId } from '../model/ids';
import type { Component, Model } from '../model/model';
import { unfold } from './unfold';

/** How far the pages of a project reach: its own components that something in the source names, and those of them that stand on a page. */
export type Reach = {
  readonly components: number;
  readonly onPages: number;
  /** Components that something names, and no page that is mounted, a route or a file comes to. */
  readonly alone: readonly ComponentId[];
};

/**
 * Counts over all pages that are mounted, routes or files. A component that nothing in the source
 * names (no other component uses it, no module imports it by name) is left out, unless a page shows it.
 */
export function reachOf(model: Model): Reach {
  const shown = new Set<ComponentId>();
  for (const page of model.pages) {
    if (page.why === 'alone') continue;
    for (const place of unfold(model, page).places) shown.add(place.component);
  }
  const named = namedComponents(model);
  const counted = [...model.components.values()].filter((one) => isOwn(one) && (shown.has(one.id) || named.has(one.id)));
  return {
    components: counted.length,
    onPages: counted.filter(({ id }) => shown.has(id)).length,
    alone: counted.filter(({ id }) => !shown.has(id)).map(({ id }) => id),
  };
}

const isOwn = (component: Component): boolean => component.role === 'component' && component.fileRole === 'source';

function namedComponents(model: Model): Set<ComponentId> {
  const found = new Set<ComponentId>();
  for (const component of model.components.values()) {
    if (component.fileRole !== 'source') continue;
    for (const { target } of model.usesBy.get(component.id) ?? []) {
      if (target.kind === 'component' && target.id !== component.id) found.add(target.id);
    }
  }
  for (const { file, imports } of model.files.values()) {
    for (const { local, typeOnly } of imports) {
      const meant = typeOnly ? undefined : model.named(file, local);
      if (meant?.kind === 'component') found.add(meant.id);
    }
  }
  return found;
}
