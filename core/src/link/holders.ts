import type { HookFact, ValueFact } from '../model/facts';
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
    const seen = new Set<HookFact>();
    const stack: { file: FilePath; values: readonly ValueFact[] }[] = [{ file: component.file, values: component.facts.values }];
    for (let at = stack.pop(); at; at = stack.pop()) {
      for (const { kind, source } of at.values) {
        if ((kind !== 'module' && kind !== 'hook') || source === undefined) continue;
        const meant = names.meant(at.file, source);
        if (meant.kind !== 'shared') continue;
        const id = standIns.get(meant.file)?.get(meant.fact.name);
        if (id !== undefined && id !== component.id) found.add(id);
        // A hook without markup hands on what those that it calls hold.
        if (id !== undefined || meant.fact.kind !== 'hook' || seen.has(meant.fact)) continue;
        seen.add(meant.fact);
        stack.push({ file: meant.file, values: meant.fact.values });
      }
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
