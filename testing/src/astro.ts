import { makeFlowQueries, type Model, unfold } from '@liana/core';
import { pageNamed } from './project';

/** Who answers for the one context of a component, at each of its places on a page. */
export function contextsAt(model: Model, page: string, component: string): string[] {
  const tree = unfold(model, pageNamed(model, page));
  const { graph } = makeFlowQueries(model, tree);
  const nameOf = (place: number | undefined): string => graph.frames[place ?? -1]?.name ?? '';
  return graph.frames.flatMap((frame) => {
    if (frame.kind !== 'component' || frame.name !== component || frame.place < 0) return [];
    const value = frame.body.values.find((one) => one.kind === 'context');
    const meant = value?.source === undefined ? undefined : graph.named(frame, value.source);
    const provider = meant?.kind === 'context' ? graph.providerOf(frame, meant.id) : undefined;
    const place = tree.places[frame.place];
    return [`${component} in ${nameOf(place?.parent)}, of ${nameOf(place?.owner)}: ${provider ? nameOf(provider.owner) : 'nobody'}`];
  });
}
