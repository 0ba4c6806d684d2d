import type { Model } from '../../model/model';
import { contains, locate } from '../../model/span';
import type { Tree } from '../../model/tree';
import { backSteps } from './backward';
import { findCallers } from './callers';
import { channelsOf, reaches } from './channels';
import type { Frame } from '../graph/frames';
import { makeGraph, type Spot, spotKey } from '../graph/graph';
import { onwardSteps } from './forward';
import { findRuns } from './runs';
import type { FlowQueries } from './queries';
import { findMutators } from './mutators';
import { findWriters } from './writers';

/** How deep questions stand within each other, and how often one was cut because it led back to itself. */
type Depth = { open: number; cuts: number };

/**
 * Keeps answers, and gives nothing where a question leads back to itself. An answer given while
 * another was cut may lack something, so it is kept only when no question is open around it.
 */
function kept<K, A extends readonly unknown[]>(
  depth: Depth,
  keyOf: (asked: K) => string,
  answer: (asked: K) => A,
  nothing: A,
): (asked: K) => A {
  const known = new Map<string, A>();
  const asking = new Set<string>();
  return (asked) => {
    const key = keyOf(asked);
    const found = known.get(key);
    if (found) return found;
    if (asking.has(key)) {
      depth.cuts++;
      return nothing;
    }
    asking.add(key);
    depth.open++;
    const before = depth.cuts;
    const given = answer(asked);
    depth.open--;
    asking.delete(key);
    if (depth.cuts === before || depth.open === 0) known.set(key, given);
    return given;
  };
}

type Asked = { readonly frame: Frame; readonly index: number };

/** The answers about one page, each computed when it is first asked for. */
export function makeFlowQueries(model: Model, tree: Tree): FlowQueries {
  const graph = makeGraph(model, tree);
  const depth: Depth = { open: 0, cuts: 0 };
  const askedKey = (asked: Asked): string => `${asked.frame.index} ${asked.index}`;
  const callers = kept(depth, askedKey, (asked: Asked) => findCallers(ways, asked.frame, asked.index), []);
  const writers = kept(depth, askedKey, (asked: Asked) => findWriters(ways, asked.frame, asked.index), []);
  const ways: FlowQueries = {
    graph,
    onward: kept(depth, spotKey, (spot: Spot) => onwardSteps(ways, spot), []),
    back: kept(depth, spotKey, (spot: Spot) => backSteps(ways, spot), []),
    runs: kept(depth, spotKey, (spot: Spot) => findRuns(ways, spot), []),
    callers: (frame, action) => callers({ frame, index: action }),
    writers: (frame, state) => writers({ frame, index: state }),
    mutators: kept(depth, spotKey, (spot: Spot) => findMutators(ways, spot), []),
    senders: (key, hearer, listener) =>
      (channelsOf(graph).senders.get(key) ?? []).filter((sender) =>
        (channelsOf(graph).hearers.get(key) ?? []).some(
          (one) =>
            one.frame === hearer && (!listener || contains(listener, locate(hearer.file, one.hear.span))) && reaches(graph, sender, one),
        ),
      ),
  };
  return ways;
}
