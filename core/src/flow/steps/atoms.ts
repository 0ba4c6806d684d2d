import type { Frame } from '../graph/frames';
import type { Graph, Spot } from '../graph/graph';

/** The second of what `useAtom` gives, and all of what `useSetAtom` gives. */
export function atomSetters(graph: Graph, frame: Frame, state: number): Spot[] {
  const found: Spot[] = [];
  for (const alias of graph.aliasesOf(frame, state)) {
    const there = graph.frames[alias.frame];
    there?.body.values.forEach((value, index) => {
      const { gives } = value;
      if (!gives || (gives.gives !== 'pair' && gives.gives !== 'setter')) return;
      if (value.args?.[gives.store]?.readings[0]?.value !== alias.value) return;
      found.push({ frame: alias.frame, value: index, track: gives.gives === 'pair' ? ['1'] : [] });
    });
  }
  return found;
}
