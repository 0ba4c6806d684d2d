import type { Binding, TemplateUse } from '../../model/facts';
import { adapterOf } from '../../frameworks/registry';
import { defaultSlot, type MemberKey, memberName } from '../../model/member';
import { bindingFor } from '../../model/given';
import { useById } from '../../model/lookup';
import { locate, type Location } from '../../model/span';
import type { Place } from '../../model/tree';
import type { Frame } from './frames';
import type { Graph, Spot } from './graph';
import { type Track } from './track';

/** The code of a span in a frame's file. */
export function codeAt(frame: Frame, span: { readonly start: number; readonly end: number }): Location {
  return locate(frame.file, span);
}

/** Where a prop arrives in a component: the value that takes it, or the rest of the props that holds it. */
export function arrivals(graph: Graph, place: Place, prop: MemberKey, track: Track): Spot[] {
  const frame = graph.frames[place.index];
  if (!frame) return [];
  const index = graph.indexOf(frame);
  const value = index.props.get(prop);
  if (value !== undefined) return [{ frame: frame.index, value, track }];
  return index.rest.map((one) => ({ frame: frame.index, value: one, track: [prop, ...track] }));
}

/** What gives a prop at a place: the bindings of its use by that name, and spreads that may hold it. */
export function givenTo(
  graph: Graph,
  frame: Frame,
  prop: MemberKey,
): { readonly owner: Frame; readonly use: TemplateUse; readonly binding: Binding | undefined } | undefined {
  const place = graph.tree.places[frame.place];
  const use = place?.use ? useById(graph.model, place.use) : undefined;
  const owner = place && graph.ownerFrame(place);
  if (!use || !owner) return undefined;
  return { owner, use: use.node, binding: bindingFor(use.node, prop) };
}

/** The content of a slot that a function gives: the values its parameters stand for, in the body that wrote it. */
export function handedTo(
  graph: Graph,
  frame: Frame,
  slot: MemberKey,
): { readonly owner: Frame; readonly values: readonly number[]; readonly use: TemplateUse } | undefined {
  const given = givenTo(graph, frame, slot);
  if (!given) return undefined;
  const values = slot === defaultSlot && given.use.slotProps ? given.use.slotProps : (given.binding?.slotProps ?? []);
  return values.length > 0 ? { owner: given.owner, values, use: given.use } : undefined;
}

/** The name of a member where it arrives: as the component declares it, else its own. */
export function memberLabel(graph: Graph, place: Place, key: MemberKey): string {
  return graph.model.components.get(place.component)?.contract.members.get(key)?.name ?? memberName(key);
}

/** What people call a slot of a component: its name, or the word that its framework has for the content between the tags. */
export function slotLabel({ component }: Pick<Frame, 'component'>, slot: MemberKey): string {
  if (slot === defaultSlot) return adapterOf(component?.framework ?? 'script').write.content;
  return component?.contract.members.get(slot)?.name ?? memberName(slot);
}
