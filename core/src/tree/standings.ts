import type { ComponentId } from '../model/ids';
import type { Model, Page } from '../model/model';
import type { FilePath } from '../model/span';
import type { PlaceIndex } from '../model/tree';
import { unfold } from './unfold';

/** A page on which a component stands, and its first place there. */
export type Standing = { readonly page: Page; readonly place: PlaceIndex };

/** On which pages things stand, in the order of the pages. */
export type Standings = {
  /** Where a component stands, once for each page; empty for one that stands on none. */
  readonly of: (component: ComponentId) => readonly Standing[];
  /** The pages on which a file is at work: one of its components stands there, or one that calls its hooks, through others too. */
  readonly pagesOfFile: (file: FilePath) => readonly Page[];
};

/** Unfolds each page once; the trees are not kept. */
export function standingsOf(model: Model): Standings {
  const byComponent = new Map<ComponentId, Standing[]>();
  const byFile = new Map<FilePath, ComponentId[]>();
  for (const { id, file } of model.components.values()) byFile.set(file, [...(byFile.get(file) ?? []), id]);
  for (const page of model.pages) {
    const seen = new Set<ComponentId>();
    for (const { component, index } of unfold(model, page).places) {
      if (seen.has(component)) continue;
      seen.add(component);
      const known = byComponent.get(component);
      if (known) known.push({ page, place: index });
      else byComponent.set(component, [{ page, place: index }]);
    }
  }
  const callers = callersOf(model);
  const pagesOfFile = (file: FilePath): Page[] => {
    const pages = new Set<Page>();
    const reached = new Set([file]);
    for (const one of reached) {
      for (const id of byFile.get(one) ?? []) for (const { page } of byComponent.get(id) ?? []) pages.add(page);
      for (const caller of callers.get(one) ?? []) reached.add(caller);
    }
    return model.pages.filter((page) => pages.has(page));
  };
  return { of: (component) => byComponent.get(component) ?? [], pagesOfFile };
}

/** The files whose components or hooks call the hooks of a file. */
function callersOf(model: Model): Map<FilePath, Set<FilePath>> {
  const callers = new Map<FilePath, Set<FilePath>>();
  for (const { file, components, shared } of model.files.values()) {
    const hooks = shared.filter((one) => one.kind === 'hook');
    for (const { values } of [...components, ...hooks])
      for (const { kind, source } of values) {
        const called = kind === 'hook' && source !== undefined ? model.named(file, source) : undefined;
        if (called?.kind === 'hook' && called.file !== file) callers.set(called.file, (callers.get(called.file) ?? new Set()).add(file));
      }
  }
  return callers;
}
