import type { Channel } from '../model/facts';
import type { Model } from '../model/model';
import type { Place, PlaceIndex, Tree } from '../model/tree';
import { ancestors, eventPath, heardName } from '../tree';
import type { Given } from './given';
import { isWithin } from './stand';

/** The event that a component's own element hears; undefined for all other channels. */
const heardOn = ({ on, own, event }: Channel): string | undefined => (on === 'element' && own !== undefined ? event : undefined);

/** Listeners around a part in another tree that were not around it before, for what bubbles up to them through the page. */
export function hearersOf(model: Model, tree: Tree, then: Tree, index: PlaceIndex): Given['heardBy'] {
  const found: Given['heardBy'][number][] = [];
  const [moved, there] = [tree.places[index], then.places[index]];
  if (!moved || !there) return found;
  const nameOf = (place: Place | undefined): string => (place && model.components.get(place.component)?.name) ?? '';
  const seen = new Set<string>();
  const bubbling = { bubbles: true, composed: true };
  const raised = new Map<string, string>();
  for (const place of tree.places)
    if (isWithin(tree, moved, place)) {
      const component = model.components.get(place.component);
      for (const event of component?.facts.events ?? []) if (event.travels !== 'owner') raised.set(event.name, component?.name ?? '');
      for (const { sends } of component?.facts.actions ?? [])
        for (const { channel, bubbles } of sends) {
          const event = bubbles ? heardOn(channel) : undefined;
          if (event !== undefined) raised.set(event, component?.name ?? '');
        }
    }
  // Elements that hear by themselves whatever comes up to them.
  for (const at of ancestors(then, there))
    for (const { channel } of model.components.get(at.component)?.facts.actions.flatMap(({ hears }) => hears) ?? []) {
      const event = heardOn(channel);
      const component = event === undefined ? undefined : raised.get(event);
      if (event === undefined || component === undefined || seen.has(`${component} ${event}`)) continue;
      seen.add(`${component} ${event}`);
      found.push({ component, event, by: nameOf(at) });
    }
  const old = new Set(eventPath(tree, moved.element ?? moved.host, bubbling).map(({ host }) => host.index));
  for (const { host } of eventPath(then, there.element === undefined ? there.host : (then.hosts[there.element]?.parent ?? -1), bubbling))
    for (const binding of host.node.bindings) {
      const name = heardName(binding);
      const isNative = binding.to.kind === 'listener';
      const component =
        name === undefined ? undefined : (raised.get(name) ?? (isNative && !old.has(host.index) ? nameOf(moved) : undefined));
      if (name === undefined || component === undefined || seen.has(`${component} ${name}`)) continue;
      seen.add(`${component} ${name}`);
      found.push({ component, event: name, by: nameOf(tree.places[host.owner]) });
    }
  return found;
}
