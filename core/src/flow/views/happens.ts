import type { Spot } from '../graph/frames';
import { codeAt } from '../graph/targets';
import type { FlowQueries } from '../steps/queries';
import { hangEffects, hangRuns } from './effects';
import { draftOf, numbered } from './ladder';
import { type Listener, listenerSubject } from './listener';
import { outcomeOf } from './outcome';
import { hangImpact, type Trace } from './trace';

/**
 * What happens when the platform raises the event of a listener: what runs, what that changes and raises, who catches
 * it, and what renders again because of it; as a ladder.
 */
export function whatHappens(ways: FlowQueries, listener: Listener): Trace {
  const { graph } = ways;
  const { frame, tag, binding } = listener;
  const { name } = binding.to;
  const at = codeAt(frame, binding.span);
  const start = draftOf(graph, { kind: 'starts', how: 'same', at, frame: frame.index, name, ending: 'platform', by: tag }, name);
  const seen = new Set<string>();
  // What is changed is told with what renders because of it; where it may go later does not happen now.
  const now: FlowQueries = { ...ways, onward: () => [] };
  if (binding.action !== undefined) hangEffects(now, start, frame, binding.action, seen);
  else
    for (const { value, path } of binding.readings) {
      const spot: Spot = { frame: frame.index, value, track: path };
      hangRuns(now, start, spot, 'catches', seen);
    }
  const { impact } = outcomeOf(ways, [listener]);
  hangImpact(ways, start, impact);
  const { rungs, truncated } = numbered(start, true);
  const components = new Set(rungs.flatMap((rung) => rung.component ?? []));
  return {
    subject: listenerSubject(listener),
    question: 'happens',
    rungs,
    truncated,
    short: { components: components.size, unread: [], renames: 0, writers: rungs.filter(({ kind }) => kind === 'changes').length },
    impact,
  };
}
