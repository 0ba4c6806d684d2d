import { changerNamed } from '../../model/lookup';
import { adapterOf } from '../../frameworks/registry';
import type { ChangeSite } from '../graph/sinks';
import { codeAt } from '../graph/targets';
import type { Frame } from '../graph/frames';
import { type Spot, spotKey, valueOf } from '../graph/graph';
import { forward } from '../graph/track';
import type { FlowQueries, Writer } from './queries';
import type { Step, StepKind } from './step';
import { append } from '../../model/append';

/** Steps by which one and the same object goes on, as a whole, as a part of it or as one item. */
const handsOn: ReadonlySet<StepKind> = new Set<StepKind>([
  'passes',
  'renames',
  'narrows',
  'gives',
  'takes',
  'provides',
  'calls',
  'raises',
  'catches',
]);

/** Ways longer than this are not followed. */
const most = 400;

type Task = { readonly spot: Spot; readonly trail: readonly Step[] };

/**
 * Who changes the inside of what a state holds without having the state: a part that is given one
 * item of it and writes to that, a function that is handed it and is known to change what it is
 * handed. Empty where the framework does not follow objects into who is given them, or not this one;
 * an item of a loop is the state's own in each of them.
 */
export function findMutators(ways: FlowQueries, state: Spot): Writer[] {
  const { graph } = ways;
  const value = valueOf(graph, state);
  const home = graph.frames[state.frame];
  if (!value || !home || value.shallow) return [];
  const found: Writer[] = [];
  const seen = new Set<string>();
  const stack: Task[] = [{ spot: state, trail: [] }];
  for (let task = stack.pop(); task && seen.size < most; task = stack.pop()) {
    const key = spotKey(task.spot);
    const frame = graph.frames[task.spot.frame];
    if (seen.has(key) || !frame) continue;
    seen.add(key);
    if (task.trail.length > 0) append(found, writtenAt(ways, frame, task, state));
    append(found, changedByCalls(ways, frame, task, state));
    for (const step of ways.onward(task.spot)) {
      const { to } = step;
      if (!to || step.how === 'computed' || !handsOn.has(step.kind) || !staysFollowed(ways, home, frame, to)) continue;
      stack.push({ spot: to, trail: [...task.trail, ...(step.via ?? []), step] });
    }
  }
  return found;
}

/**
 * Within one body an item stays the state's own; in another only where the framework follows what is
 * given, and not by assignments to the name that has the state.
 */
function staysFollowed({ graph }: FlowQueries, home: Frame, frame: Frame, to: Spot): boolean {
  const there = graph.frames[to.frame];
  if (!there || there === frame) return there !== undefined;
  const framework = there.component?.framework ?? frame.component?.framework;
  const byAssignment = home.kind === 'component' && home.component?.facts.followsAssignment === true;
  return framework !== undefined && adapterOf(framework).traits.followedProps && !byAssignment;
}

/** Writes to the inside of what arrived, or to an item of a loop as a whole. */
function writtenAt({ graph }: FlowQueries, frame: Frame, { spot, trail }: Task, state: Spot): Writer[] {
  const isItem = valueOf(graph, spot)?.kind === 'item';
  const writes = ({ change }: ChangeSite): boolean => {
    const path = change.path ?? [];
    return (
      (path.length > 0 || change.how === 'in-place' || isItem) &&
      forward({ value: 0, path, how: 'part', span: change.span }, spot.track) !== undefined
    );
  };
  return (graph.indexOf(frame).changes.get(spot.value) ?? []).filter(writes).map(({ action, change }) => ({
    frame,
    action,
    at: codeAt(frame, change.span),
    name: valueOf(graph, state)?.name ?? '',
    args: [{ readings: change.from }],
    path: state.track,
    trail: shown(trail),
  }));
}

/** Calls that hand what arrived to a function of a module which changes the inside of that parameter. */
function changedByCalls({ graph }: FlowQueries, frame: Frame, { spot, trail }: Task, state: Spot): Writer[] {
  return (graph.indexOf(frame).sinks.get(spot.value) ?? []).flatMap((sink): Writer[] => {
    if (sink.to !== 'passed' || sink.call.path.length > 0 || sink.reading.how === 'computed') return [];
    if (!forward(sink.reading, spot.track)) return [];
    const called = frame.body.values[sink.call.value];
    const meant = called?.kind === 'module' ? graph.named(frame, called.source ?? called.name) : undefined;
    if (meant?.kind !== 'value' || !changerNamed(graph.model, meant.file, meant.name, sink.position)) return [];
    return [
      {
        frame,
        action: sink.action,
        at: codeAt(frame, sink.call.span),
        name: valueOf(graph, state)?.name ?? '',
        args: [],
        path: state.track,
        trail: shown(trail),
      },
    ];
  });
}

function shown(trail: readonly Step[]): Step[] {
  return trail.filter((step) => !step.silent);
}
