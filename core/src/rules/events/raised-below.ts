import type { EventFact, TemplateNode } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component, Model, Use } from '../../model/model';
import { usesIn } from '../../model/walk';
import { append } from '../../model/append';

export type Raiser = { readonly component: Component; readonly event: EventFact };

/**
 * The nearest component that raises an event, among the uses in some markup and
 * all that these render; undefined where none does, or none within six steps.
 */
export function raiserBelow(model: Model, nodes: readonly TemplateNode[], isMeant: (event: EventFact) => boolean): Raiser | undefined {
  const seen = new Set<ComponentId>();
  let level: readonly Use[] = usesIn(nodes).flatMap((node) => model.useOfNode.get(node) ?? []);
  for (let depth = 0; depth < 6 && level.length > 0; depth++) {
    const next: Use[] = [];
    for (const { target } of level) {
      const component = target.kind === 'component' ? model.components.get(target.id) : undefined;
      if (!component || seen.has(component.id)) continue;
      seen.add(component.id);
      const event = component.facts.events.find((one) => one.raised.length > 0 && isMeant(one));
      if (event) return { component, event };
      append(next, model.usesBy.get(component.id) ?? []);
    }
    level = next;
  }
  return undefined;
}
