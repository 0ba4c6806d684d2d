import { givesToRoutes, takesOfOutlet } from '../../frameworks/route-tags';
import type { Binding } from '../../model/facts';
import { useById } from '../../model/lookup';
import type { Use } from '../../model/model';
import type { Frame } from '../graph/frames';
import type { Graph } from '../graph/graph';

/** What an outlet of a router gives to the routes that it shows: who wrote it, and the binding, which may be missing. */
export type OutletGiven = { readonly owner: Frame; readonly use: Use; readonly binding: Binding | undefined };

/** What the outlet gives in which a frame's route is shown; undefined where it is shown in none, or in one that gives nothing by itself. */
export function givenByOutlet(graph: Graph, frame: Frame): OutletGiven | undefined {
  const shownBy = graph.tree.places[frame.place]?.shownBy;
  const owner = shownBy && graph.frames[shownBy.of];
  const use = shownBy && useById(graph.model, shownBy.use);
  const prop = use && givesToRoutes(use);
  if (!owner || !use || prop === undefined) return undefined;
  return { owner, use, binding: use.node.bindings.find(({ to }) => to.name === prop) };
}

/** Whether a value of a frame is what the outlet around it gives. */
export function isOfOutlet(graph: Graph, frame: Frame, value: number): boolean {
  const { kind, source } = frame.body.values[value] ?? {};
  if (kind !== 'hook' || source === undefined) return false;
  const meant = graph.named(frame, source);
  return meant.kind === 'outside' && takesOfOutlet(meant.name);
}

/** Who takes what an outlet gives, in the routes that it shows on this page. */
export function takenOfOutlet(graph: Graph, owner: Frame, use: Use): { readonly frame: Frame; readonly value: number }[] {
  return graph.frames.flatMap((frame) => {
    const shownBy = graph.tree.places[frame.place]?.shownBy;
    if (shownBy?.of !== owner.place || shownBy.use !== use.id) return [];
    return frame.body.values.flatMap((_, value) => (isOfOutlet(graph, frame, value) ? [{ frame, value }] : []));
  });
}
