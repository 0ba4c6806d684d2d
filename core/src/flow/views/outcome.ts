import type { ChangeFact } from '../../model/facts';
import { remembered } from '../../model/remembered';
import { contains, type FilePath, locate, type Location, type Span } from '../../model/span';
import { codeAt } from '../graph/targets';
import { channelKeys, channelsOf, type Hearer, reaches } from '../steps/channels';
import { runsOnHearing } from '../steps/forward';
import { type Frame, isReadFrom } from '../graph/frames';
import { addTo } from '../../model/add-to';
import { type Graph, type Spot, valueOf } from '../graph/graph';
import type { FlowQueries } from '../steps/queries';
import { type Impact, impactOf } from './impact';
import type { Rung } from './ladder';
import { handlersOf, type Listener } from './listener';
import { traceOf } from './trace';
import { append } from '../../model/append';

/** What is said to follow when the platform raises an event on an element of a component. */
export type Outcome = {
  /** Starts of functions that run, of calls that set something by themselves or in what they call, and of calls that raise something: `file:offset`. */
  readonly runs: ReadonlySet<string>;
  readonly sets: ReadonlySet<string>;
  readonly raises: ReadonlySet<string>;
  /** What renders again, and what may show something new. */
  readonly impact: Impact;
};

function key(at: Location): string {
  return `${at.file}:${at.start}`;
}

const placeOf = (frame: Frame, span: Span): string => key(locate(frame.file, span));

/** The rungs of a trace that do not follow on a change: where a state may go later does not happen now. */
function beforeChanges(rungs: readonly Rung[]): Rung[] {
  const isAfter = new Set<number>();
  return rungs.filter(({ index, from }) => {
    const above = rungs[from];
    if (!above || (above.kind !== 'changes' && !isAfter.has(from))) return true;
    isAfter.add(index);
    return false;
  });
}

/** What a function does, told as the rungs of its trace; a function written in place is traced by what it calls. */
function rungsOf(ways: FlowQueries, frame: Frame, action: number): { rungs: Rung[]; states: Spot[] } {
  const value = ways.graph.indexOf(frame).functionOf.get(action);
  const facts = frame.body.actions[action];
  const rungs: Rung[] = [];
  const states: Spot[] = [];
  const take = (spot: Spot): void => {
    const trace = traceOf(ways, spot, 'goes');
    const now = beforeChanges(trace.rungs);
    append(rungs, now);
    for (const rung of now) if (rung.kind === 'changes' && rung.spot) states.push(rung.spot);
  };
  if (value !== undefined) take({ frame: frame.index, value, track: [] });
  if (value !== undefined || !facts) return { rungs, states };
  for (const change of facts.changes) states.push({ frame: frame.index, value: change.value, track: change.path ?? [] });
  for (const raise of facts.raises) if (raise.value !== undefined) take({ frame: frame.index, value: raise.value, track: [] });
  for (const call of facts.invokes) {
    for (const run of ways.runs({ frame: frame.index, value: call.value, track: call.path })) {
      const there = run.kind === 'action' ? ways.graph.indexOf(run.frame).functionOf.get(run.action) : undefined;
      if (run.kind === 'action' && there !== undefined) take({ frame: run.frame.index, value: there, track: [] });
      if (run.kind === 'action')
        rungs.push({
          ...(rungs[0] as Rung),
          kind: 'catches',
          code: [codeAt(run.frame, run.frame.body.actions[run.action]?.span ?? { start: 0, end: 0 })],
        });
      if (run.kind === 'setter') states.push({ frame: run.frame.index, value: run.state, track: [] });
    }
  }
  return { rungs, states };
}

/** Follows what some listeners hear to all that runs, is set, renders again and may show something new. */
export function outcomeOf(ways: FlowQueries, listeners: readonly Listener[]): Outcome {
  const runs = new Set<string>();
  const sets = new Set<string>();
  const raises = new Set<string>();
  const states: Spot[] = [];
  const handlers = listeners.flatMap((listener) => handlersOf(ways, listener));
  const met = new Set<string>();
  for (const handler of handlers) {
    if (handler.kind === 'setter') {
      states.push({ frame: handler.frame.index, value: handler.state, track: [] });
      continue;
    }
    const { frame, action } = handler;
    const facts = frame.body.actions[action];
    if (!facts || met.has(`${frame.index} ${action}`)) continue;
    met.add(`${frame.index} ${action}`);
    runs.add(placeOf(frame, facts.span));
    for (const change of facts.changes) sets.add(placeOf(frame, change.span));
    for (const call of facts.invokes) sets.add(placeOf(frame, call.span));
    for (const raise of facts.raises) raises.add(placeOf(frame, raise.span));
    const found = rungsOf(ways, frame, action);
    append(states, found.states);
    for (const rung of found.rungs) {
      for (const at of rung.code) {
        if (rung.kind === 'catches') for (const run of functionsAt(ways, at)) runs.add(run);
        if (rung.kind === 'changes' || rung.kind === 'calls') sets.add(key(at));
        if (rung.kind === 'raises') raises.add(key(at));
      }
    }
    for (const { at, hearers } of sentBy(ways, frame, action)) {
      raises.add(key(at));
      for (const hearer of hearers)
        append(
          handlers,
          runsOnHearing(ways, hearer).filter((run) => run.kind !== 'end'),
        );
    }
  }
  let impact = impactOf(
    ways,
    states.map((spot) => sourceOf(ways, spot)),
  );
  // Effects that run because of it may set something in turn.
  const followed = new Set<string>();
  for (let effects = impact.effects; effects.some((one) => !one.always && !followed.has(key(one.at))); effects = impact.effects) {
    for (const effect of effects) {
      if (effect.always || followed.has(key(effect.at))) continue;
      followed.add(key(effect.at));
      for (const { frame, changes } of changesAt(ways, effect.at)) {
        for (const change of changes) {
          sets.add(placeOf(frame, change.span));
          states.push({ frame: frame.index, value: change.value, track: change.path ?? [] });
        }
      }
    }
    impact = impactOf(
      ways,
      states.map((spot) => sourceOf(ways, spot)),
    );
  }
  return { runs, sets, raises, impact };
}

/** What an action sends, and what it calls does, with who hears it. */
function sentBy(ways: FlowQueries, from: Frame, start: number): { readonly at: Location; readonly hearers: readonly Hearer[] }[] {
  const { graph } = ways;
  const seen = new Set<string>();
  const found: { at: Location; hearers: readonly Hearer[] }[] = [];
  const visit = (frame: Frame, action: number): void => {
    const facts = frame.body.actions[action];
    if (!facts || seen.has(`${frame.index} ${action}`)) return;
    seen.add(`${frame.index} ${action}`);
    for (const send of facts.sends) {
      const hearers = channelKeys(graph, frame, send.channel).flatMap((one) => channelsOf(graph).hearers.get(one) ?? []);
      found.push({ at: locate(frame.file, send.span), hearers: hearers.filter((one) => reaches(graph, { frame, action, send }, one)) });
    }
    for (const call of facts.calls) visit(frame, call);
    for (const call of facts.invokes)
      for (const run of ways.runs({ frame: frame.index, value: call.value, track: call.path }))
        if (run.kind === 'action') visit(run.frame, run.action);
  };
  visit(from, start);
  return found;
}

/** A value of another module stands for that module's own. */
function sourceOf({ graph }: FlowQueries, spot: Spot): Spot {
  const frame = graph.frames[spot.frame];
  const value = valueOf(graph, spot);
  const there = frame && value?.kind === 'module' ? graph.moduleSpot(frame, value.source ?? '') : undefined;
  return there ? { frame: there.frame.index, value: there.value, track: spot.track } : spot;
}

/** One frame for each body that is read from a file; all places of a component have the same. */
const framesOfBodies = remembered((graph: Graph): ReadonlyMap<FilePath, readonly Frame[]> => {
  const found = new Map<FilePath, Frame[]>();
  const seen = new Set<Frame['body']>();
  for (const frame of graph.frames) {
    if (seen.has(frame.body)) continue;
    seen.add(frame.body);
    for (const file of new Set([frame.file, ...(frame.component?.facts.files ?? [])])) addTo(found, file, frame);
  }
  return found;
});

/** The function that stands at a place, by itself or in an attribute. */
function functionsAt({ graph }: FlowQueries, at: Location): string[] {
  const starts = (framesOfBodies(graph).get(at.file) ?? []).flatMap((frame) =>
    frame.body.actions.flatMap((action) => (contains(at, locate(frame.file, action.span)) ? [action.span.start] : [])),
  );
  const [first, ...others] = starts;
  return first === undefined ? [] : [`${at.file}:${others.reduce((least, one) => Math.min(least, one), first)}`];
}

/** What the actions at a place change, in each frame that has them. */
function changesAt({ graph }: FlowQueries, at: Location): { frame: Frame; changes: readonly ChangeFact[] }[] {
  return graph.frames.flatMap((frame) =>
    isReadFrom(frame, at.file)
      ? frame.body.actions.flatMap((action) => {
          const { file, start } = locate(frame.file, action.span);
          return file === at.file && start === at.start ? [{ frame, changes: action.changes }] : [];
        })
      : [],
  );
}
