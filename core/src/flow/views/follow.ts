import { type Spot, spotKey, valueOf } from '../graph/graph';
import { type Draft, draftOf, rungLimit } from './ladder';
import { nameOf, type Step } from '../steps/step';
import { spanOfPart } from '../graph/stores';
import { codeAt } from '../graph/targets';
import type { FlowQueries } from '../steps/queries';

/** The first line of a trace: the value itself. */
export function startOf({ graph }: FlowQueries, spot: Spot): Draft {
  const frame = graph.frames[spot.frame];
  const value = valueOf(graph, spot);
  const at = frame && value ? codeAt(frame, spanOfPart(value, spot.track)) : { file: '', start: 0, end: 0 };
  return draftOf(graph, { kind: 'owns', how: 'same', at, frame: spot.frame, name: nameOf(graph, spot), to: spot }, nameOf(graph, spot));
}

type Task = { readonly spot: Spot; readonly draft: Draft; readonly was: string };

/**
 * Hangs below a line all that is reached by one kind of step, each spot once: where the way has
 * been before, it ends with `again`.
 */
export function followAll(
  ways: FlowQueries,
  start: Draft,
  spot: Spot,
  next: (spot: Spot) => readonly Step[],
  seen = new Set<string>(),
): void {
  const { graph } = ways;
  const queue: Task[] = [{ spot, draft: start, was: nameOf(graph, spot) }];
  seen.add(spotKey(spot));
  let count = 0;
  for (let at = 0; at < queue.length && count < rungLimit; at++) {
    const task = queue[at] as Task;
    const through: { spot: Spot; was: string }[] = [{ spot: task.spot, was: task.was }];
    const silent = new Set<string>();
    const taken = new Set<string>();
    for (let one = through.pop(); one; one = through.pop()) {
      for (const step of next(one.spot)) {
        if (step.silent && step.to) {
          const key = spotKey(step.to);
          if (silent.has(key)) continue;
          silent.add(key);
          through.push({ spot: step.to, was: one.was });
          continue;
        }
        // Two places that hand it to one function are two lines.
        const [by] = step.via ?? [];
        const same = step.to
          ? `${step.kind} ${step.frame} ${spotKey(step.to)} ${by ? `${by.kind} ${by.frame}` : ''}`
          : `${step.kind} ${step.frame} ${step.at.file} ${step.at.start} ${step.ending} ${step.by}`;
        if (taken.has(same)) continue;
        taken.add(same);
        let above = task.draft;
        for (const via of step.via ?? []) {
          const known = above.below.find(
            (other) =>
              other.kind === via.kind &&
              other.code[0]?.start === via.at.start &&
              other.code[0]?.file === via.at.file &&
              other.place === (graph.frames[via.frame]?.place ?? -1),
          );
          const draft = known ?? draftOf(graph, via, one.was);
          if (!known) above.below.push(draft);
          above = draft;
          count++;
        }
        const key = step.to && spotKey(step.to);
        const before = key !== undefined && seen.has(key);
        const draft = draftOf(graph, before ? { ...step, ending: 'again' } : step, one.was);
        above.below.push(draft);
        count++;
        if (!step.to || before || key === undefined) continue;
        seen.add(key);
        queue.push({ spot: step.to, draft, was: step.name });
      }
    }
  }
}
