import type { ComponentId } from '../model/ids';
import type { Component } from '../model/model';
import type { FilePath } from '../model/span';
import type { Names } from './names';

const none: readonly never[] = [];

/**
 * Makes the answer to which markup a component shows that stands in constants, functions and hooks:
 * the stand-ins of those that its body names, each once. `standIns` has them by file and name.
 */
export function makeHolders(
  standIns: ReadonlyMap<FilePath, ReadonlyMap<string, ComponentId>>,
  names: Names,
): (component: Component) => readonly ComponentId[] {
  const known = new WeakMap<Component, readonly ComponentId[]>();
  const find = (component: Component): readonly ComponentId[] => {
    const found = new Set<ComponentId>();
    for (const { kind, source } of component.facts.values) {
      if ((kind !== 'module' && kind !== 'hook') || source === undefined) continue;
      const meant = names.meant(component.file, source);
      const id = meant.kind === 'shared' ? standIns.get(meant.file)?.get(meant.fact.name) : undefined;
      if (id !== undefined && id !== component.id) found.add(id);
    }
    return found.size > 0 ? [...found] : none;
  };
  return (component) => {
    if (standIns.size === 0) return none;
    const kept = known.get(component) ?? find(component);
    known.set(component, kept);
    return kept;
  };
}
