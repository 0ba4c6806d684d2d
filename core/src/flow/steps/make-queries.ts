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
import { keptAnswers, newNesting } from './kept-answers';
import { findWriters } from './writers';

type Asked = { readonly frame: Frame; readonly index: number };

/** The answers about one page, each computed when it is first asked for. */
export function makeFlowQueries(model: Model, tree: Tree): FlowQueries {
  const graph = makeGraph(model, tree);
  const nesting = newNesting();
  const askedKey = (asked: Asked): string => `${asked.frame.index} ${asked.index}`;
  const callers = keptAnswers(nesting, askedKey, (asked: Asked) => findCallers(ways, asked.frame, asked.index), []);
  const writers = keptAnswers(nesting, askedKey, (asked: Asked) => findWriters(ways, asked.frame, asked.index), []);
  const ways: FlowQueries = {
    graph,
    onward: keptAnswers(nesting, spotKey, (spot: Spot) => onwardSteps(ways, spot), []),
    back: keptAnswers(nesting, spotKey, (spot: Spot) => backSteps(ways, spot), []),
    runs: keptAnswers(nesting, spotKey, (spot: Spot) => findRuns(ways, spot), []),
    callers: (frame, action) => callers({ frame, index: action }),
    writers: (frame, state) => writers({ frame, index: state }),
    mutators: keptAnswers(nesting, spotKey, (spot: Spot) => findMutators(ways, spot), []),
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
