import { componentText, heardBy } from '../../model/tag-text';
import { platformTravel } from '../../contract/platform-events';
import { adapterOf } from '../../frameworks/registry';
import { type Heard, heardAt } from '../../tree';
import type { Spot } from '../graph/graph';
import { codeAt } from '../graph/targets';
import type { FlowQueries } from '../steps/queries';
import { hangEffects, hangRuns } from './effects';
import { type Draft, draftOf, numbered } from './ladder';
import { type Listener, listenerSubject } from './listener';
import { outcomeOf } from './outcome';
import { hangImpact, type Trace } from './trace';

/** The listeners that hear the event of a listener beside it: of the elements around, in the order in which they run, unless one stops it. */
function alsoHeard({ graph }: FlowQueries, { frame, binding }: Listener): Listener[] {
  const { tree, frames } = graph;
  const component = frame.component;
  const own = tree.hosts.find(({ owner, node }) => owner === frame.place && node.bindings.includes(binding));
  if (!own || !component || binding.to.kind !== 'listener' || binding.to.on !== 'self') return [];
  const stops = ({ host, binding: { action, readings } }: Heard): boolean => {
    const by = frames[host.owner];
    const [run] = readings;
    return by?.body.actions[action ?? by.body.values[run?.value ?? -1]?.action ?? -1]?.stops ?? false;
  };
  const travel = platformTravel(binding.to.name, adapterOf(component.framework).traits);
  return heardAt(tree, own.index, binding.to.name, travel, stops).flatMap(({ host, binding: other }) => {
    const by = frames[host.owner];
    const runs = other.action !== undefined || other.readings.length > 0;
    return by && other !== binding && runs
      ? [{ frame: by, tag: host.node.kind === 'use' ? (host.node.element ?? componentText(host.node.tag)) : host.node.tag, binding: other }]
      : [];
  });
}

/** Hangs what a listener runs. */
function hangListener(ways: FlowQueries, above: Draft, { frame, binding }: Listener, seen: Set<string>): void {
  if (binding.action !== undefined) hangEffects(ways, above, frame, binding.action, seen);
  else
    for (const { value, path } of binding.readings) {
      const spot: Spot = { frame: frame.index, value, track: path };
      hangRuns(ways, above, spot, 'catches', seen);
    }
}

/**
 * What happens when the platform raises the event of a listener: what runs, what that changes and raises, who catches
 * it, who else hears it on its way, and what renders again because of it; as a ladder.
 */
export function whatHappens(ways: FlowQueries, listener: Listener): Trace {
  const { graph } = ways;
  const { frame, tag, binding } = listener;
  const { name } = binding.to;
  const at = codeAt(frame, binding.span);
  const start = draftOf(
    graph,
    { kind: 'starts', how: 'same', at, frame: frame.index, name, ending: 'platform', by: heardBy(tag, binding.to) },
    name,
  );
  const seen = new Set<string>();
  // What is changed is told with what renders because of it; where it may go later does not happen now.
  const now: FlowQueries = { ...ways, onward: () => [] };
  hangListener(now, start, listener, seen);
  const others = alsoHeard(ways, listener);
  for (const other of others) {
    const heard = { kind: 'hears', how: 'same', at: codeAt(other.frame, other.binding.span), frame: other.frame.index, name } as const;
    const draft = draftOf(graph, { ...heard, by: other.tag }, name);
    start.below.push(draft);
    hangListener(now, draft, other, seen);
  }
  const { impact } = outcomeOf(ways, [listener, ...others]);
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
