import { isAmong, spotKey, valueOf, type Spot } from '../graph/graph';
import type { Step } from './step';
import type { Run, FlowQueries } from './queries';
import { runsHanded } from './run-by-hook';

/** Ways to a function longer than this are not followed. */
const most = 400;

/** Finds what runs when the value of a spot is called, with the steps that lead there. */
export function findRuns(ways: FlowQueries, start: Spot): Run[] {
  const { graph } = ways;
  const found: Run[] = [];
  const seen = new Set<string>();
  const stack: { spot: Spot; trail: readonly Step[] }[] = [{ spot: start, trail: [] }];
  for (let at = stack.pop(); at && seen.size < most; at = stack.pop()) {
    const { spot, trail } = at;
    const key = spotKey(spot);
    const frame = graph.frames[spot.frame];
    const value = valueOf(graph, spot);
    if (!frame || !value || seen.has(key)) continue;
    seen.add(key);
    if (spot.track.length === 0) {
      if (value.kind === 'function' && value.action !== undefined) {
        found.push({ kind: 'action', frame, action: value.action, name: value.name, trail });
        continue;
      }
      if (value.kind === 'setter' && value.partner !== undefined) {
        found.push({ kind: 'setter', frame, state: value.partner, trail });
        continue;
      }
    }
    const paired = atomSetter(ways, spot);
    if (paired) {
      found.push({ kind: 'setter', ...paired, trail });
      continue;
    }
    const handed = graph.hookFrame(spot.frame, spot.value) ? [] : runsHanded(value, spot.track);
    for (const one of handed) stack.push({ spot: { frame: spot.frame, value: one.value, track: one.path }, trail });
    if (handed.length > 0) continue;
    for (const step of ways.back(spot)) {
      // Of a list, what was put into it may be called: those who asked to be told.
      if (step.kind === 'changes' && !isAmong(spot)) continue;
      if (step.action !== undefined) {
        const there = graph.frames[step.frame];
        if (there) found.push({ kind: 'action', frame: there, action: step.action, name: step.name, trail: [...trail, step] });
      } else if (step.to) stack.push({ spot: step.to, trail: step.silent ? trail : [...trail, ...(step.via ?? []), step] });
      // What a list began with is no function that it holds.
      else if (!isAmong(spot) || step.ending !== 'constant') found.push({ kind: 'end', trail, step });
    }
  }
  return found;
}

/** `const [level, setLevel] = useAtom(levelAtom)`: the second changes the store that the hook is handed. */
function atomSetter(ways: FlowQueries, spot: Spot): { frame: (typeof ways.graph.frames)[number]; state: number } | undefined {
  const { graph } = ways;
  const value = valueOf(graph, spot);
  const gives = value?.gives;
  if (!value || !gives) return undefined;
  const sets =
    (gives.gives === 'pair' && spot.track.length === 1 && spot.track[0] === '1') || (gives.gives === 'setter' && spot.track.length === 0);
  if (!sets || !('store' in gives)) return undefined;
  const [reading] = value.args?.[gives.store]?.readings ?? [];
  const alias = reading && graph.frames[spot.frame]?.body.values[reading.value];
  const frame = graph.frames[spot.frame];
  const store = frame && alias?.source !== undefined ? graph.moduleSpot(frame, alias.source) : undefined;
  return store && { frame: store.frame, state: store.value };
}
