import type { Component } from '../model/model';
import { dropProp } from './contract';
import { dropUnusedImports } from './imports';
import { bindingSpan } from './lists';
import { CannotWrite, type Rewrite } from './rewrite';

/** The edits by which a prop that is read nowhere goes: from its component, and from all who give it. */
export function dropEverywhere(rewrite: Rewrite, component: Component, prop: string): void {
  if (component.isPublic) throw new CannotWrite(`${component.name} may be used outside the project.`);
  dropProp(rewrite, component, prop);
  for (const use of rewrite.model.usesOf.get(component.id) ?? []) {
    const owner = rewrite.model.components.get(use.owner);
    if (!owner) continue;
    const source = rewrite.source(owner, use.file);
    if (use.node.spreads.some((spread) => spread.span.end > use.node.nameSpan.end))
      throw new CannotWrite(`${use.file} may give it by a spread.`);
    for (const binding of use.node.bindings) if (binding.name === prop) rewrite.put(source, bindingSpan(source, binding), '');
  }
  for (const source of rewrite.opened()) dropUnusedImports(rewrite, source);
}
