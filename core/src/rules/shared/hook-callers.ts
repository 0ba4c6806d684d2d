import type { Component, Model } from '../../model/model';

/** The components that call each hook of the project by themselves, by its file and name: `useLevel.ts#useLevel`. */
export function hookCallers(model: Model): ReadonlyMap<string, readonly Component[]> {
  const callers = new Map<string, Component[]>();
  for (const component of model.components.values())
    for (const { kind, source } of component.facts.values) {
      const meant = kind === 'hook' && source !== undefined ? model.named(component.file, source) : undefined;
      if (meant?.kind !== 'hook') continue;
      const key = `${meant.file}#${meant.fact.name}`;
      callers.set(key, [...(callers.get(key) ?? []), component]);
    }
  return callers;
}
