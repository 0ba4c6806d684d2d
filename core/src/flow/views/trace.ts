import { traitsOf } from '../../frameworks/registry';
import type { ValueFact } from '../../model/facts';
import type { Component } from '../../model/model';
import { heardBy } from '../../model/tag-text';
import { memberName } from '../../model/member';
import { locate } from '../../model/span';
import type { PlaceIndex } from '../../model/tree';
import { hangCauses, hangWriters, originsOf } from './causes';
import { hangEffects, hangRuns } from './effects';
import { followAll, startOf } from './follow';
import type { Frame } from '../graph/frames';
import { type Spot, spotKey, valueOf } from '../graph/graph';
import { type Impact, impactOf } from './impact';
import { type Draft, draftOf, numbered, type Rung } from './ladder';
import { commonOwner } from './owner';
import { isEvent, type Subject, subjectOf } from './subject';
import { originText } from '../steps/backward';
import type { Step } from '../steps/step';
import { asTaken } from '../graph/stores';
import { codeAt } from '../graph/targets';
import type { FlowQueries } from '../steps/queries';
import { append } from '../../model/append';

/** What can be asked of a value or an event; of a listener, what happens on its event. */
export const questions = ['goes', 'comes', 'changes', 'impact'] as const;
export type Question = (typeof questions)[number] | 'happens';

/** The answer to one question, as a ladder, with the facts in short. */
export type Trace = {
  readonly subject: Subject;
  readonly question: Question;
  readonly rungs: readonly Rung[];
  readonly truncated: boolean;
  readonly short: Short;
  /** For `impact` and `happens`. */
  readonly impact?: Impact;
};

/** The facts of a trace in short. */
export type Short = {
  readonly components: number;
  /** Components that only hand the value on, by name. */
  readonly unread: readonly string[];
  readonly renames: number;
  /** Places in the code that change what the value comes from. */
  readonly writers: number;
  /** Where the state would best sit: absent for values that are no state of a page. */
  readonly owner?: { readonly place: PlaceIndex; readonly name: string; readonly home: PlaceIndex; readonly homeName: string };
};

/** Answers one question of a value or an event at a place. */
export function traceOf(ways: FlowQueries, spot: Spot, question: Question): Trace {
  const { graph } = ways;
  const start = startOf(ways, spot);
  const event = isEvent(graph, spot);
  const impact = question === 'impact' ? impactOf(ways, changedBy(ways, spot)) : undefined;
  if (question === 'goes') {
    if (event) eventGoes(ways, start, spot);
    else followAll(ways, start, spot, ways.onward);
  } else if (question === 'comes') {
    if (event) eventComes(ways, start, spot);
    else hangSources(ways, start, spot);
  } else if (question === 'changes') {
    if (event) eventComes(ways, start, spot);
    else hangAllWriters(ways, start, spot);
  } else if (impact) hangImpact(ways, start, impact);
  const { rungs, truncated } = numbered(start, question === 'goes');
  return { subject: subjectOf(graph, spot), question, rungs, truncated, short: shortOf(ways, spot, rungs), ...(impact ? { impact } : {}) };
}

/** An event: where it is raised here, who catches it, what that changes, and where the change goes. */
function eventGoes(ways: FlowQueries, start: Draft, spot: Spot): void {
  const { graph } = ways;
  const frame = graph.frames[spot.frame];
  const value = valueOf(graph, spot);
  const seen = new Set<string>();
  if (!frame || !value) return;
  if (value.action !== undefined && value.kind === 'function') {
    hangEffects(ways, start, frame, value.action, seen);
    return;
  }
  let above = start;
  for (const site of graph.indexOf(frame).calls.get(spot.value) ?? []) {
    if (site.by !== 'raise') continue;
    const draft = draftOf(
      graph,
      { kind: 'raises', how: 'same', at: codeAt(frame, site.raise.span), frame: frame.index, name: memberName(site.raise.member) },
      value.name,
    );
    start.below.push(draft);
    if (above === start) above = draft;
  }
  hangRuns(ways, above, spot, 'catches', seen);
}

/** An event: who raises it, and what leads there. */
function eventComes(ways: FlowQueries, start: Draft, spot: Spot): void {
  const { graph } = ways;
  const frame = graph.frames[spot.frame];
  const value = valueOf(graph, spot);
  const seen = new Set<string>();
  if (!frame || !value) return;
  if (value.action !== undefined && value.kind === 'function') {
    hangCauses(ways, start, frame, value.action, seen);
    return;
  }
  if (value.kind === 'setter' && value.partner !== undefined) {
    hangWriters(ways, start, { frame: spot.frame, value: value.partner, track: [] }, seen);
    return;
  }
  for (const site of graph.indexOf(frame).calls.get(spot.value) ?? []) {
    const at = codeAt(frame, site.by === 'raise' ? site.raise.span : site.call.span);
    const draft = draftOf(graph, { kind: 'raises', how: 'same', at, frame: frame.index, name: value.name }, value.name);
    start.below.push(draft);
    hangCauses(ways, draft, frame, site.action, seen);
  }
  for (const sink of graph.indexOf(frame).sinks.get(spot.value) ?? []) {
    if (sink.to !== 'attribute' || sink.binding.direction !== 'out') continue;
    start.below.push(
      draftOf(
        graph,
        {
          kind: 'starts',
          how: 'same',
          at: codeAt(frame, sink.binding.span),
          frame: frame.index,
          name: sink.binding.to.name,
          ending: 'platform',
          by: heardBy(sink.element.tag, sink.binding.to),
        },
        value.name,
      ),
    );
  }
}

/** Who changes what a value comes from. */
function hangAllWriters(ways: FlowQueries, start: Draft, spot: Spot): void {
  const { graph } = ways;
  const seen = new Set<string>();
  const origins = originsOf(ways, spot);
  // Nothing on its way is kept here: where that ends is all that can be told.
  if (origins.length === 0) hangSources(ways, start, spot);
  for (const origin of origins) {
    let above = start;
    if (spotKey(origin.spot) !== spotKey(spot)) {
      for (const step of origin.trail) {
        const draft = draftOf(graph, step, step.name);
        above.below.push(draft);
        above = draft;
      }
    }
    if (hangWriters(ways, above, origin.spot, seen) === 0) {
      const frame = graph.frames[origin.spot.frame];
      const value = valueOf(graph, origin.spot);
      if (frame && value) above.below.push(draftOf(graph, unwritten(frame, value), value.name));
    }
  }
}

/** A value that nothing on the page is seen to change: what is asked of outside may be another one whenever it is asked. */
function unwritten(frame: Frame, { origin, span, name }: ValueFact): Step {
  const here = { kind: 'owns', how: 'same', at: origin?.at ?? codeAt(frame, span), frame: frame.index, name } as const;
  return origin ? { ...here, ending: 'asked', by: originText(origin) } : { ...here, ending: 'constant' };
}

/** Where a value comes from: of what is taken from above, who gives it; where nobody is seen to, what that is. */
function hangSources(ways: FlowQueries, start: Draft, spot: Spot): void {
  const body = ways.graph.frames[spot.frame]?.body;
  const taken = body ? asTaken(body, spot.value) : spot.value;
  const back = (at: Spot): Step[] => ways.back(at).map(endedWhereItDecides);
  const seen = new Set<string>();
  if (taken !== spot.value) {
    followAll(ways, start, { ...spot, value: taken, track: [] }, back, seen);
    if (start.below.some((one) => one.kind === 'provides' || one.below.some(({ kind }) => kind === 'provides'))) return;
  }
  followAll(ways, start, spot, back, seen);
}

/** A condition, or what a list is filtered by, is told and not followed: the value does not come from there. */
function endedWhereItDecides(step: Step): Step {
  if (!step.decides) return step;
  const { to: _, ...rest } = step;
  return { ...rest, ending: 'decides' };
}

/** The states that change when a value changes: itself, what it comes from, or what an event sets. */
function changedBy(ways: FlowQueries, spot: Spot): Spot[] {
  const { graph } = ways;
  const value = valueOf(graph, spot);
  if (!value) return [];
  if (!isEvent(graph, spot)) {
    const component = graph.frames[spot.frame]?.component;
    // What is computed again shows by itself where what reads it runs again, and not all that it is computed from.
    if (value.kind === 'derived' && component && traitsOf(component).rerender === 'reading') return [spot];
    const origins = originsOf(ways, spot, false).map((one) => one.spot);
    return origins.length > 0 ? origins : [spot];
  }
  return setBy(ways, spot);
}

/** The states that a function changes when it runs, with all that it sets off. */
function setBy(ways: FlowQueries, spot: Spot): Spot[] {
  const found: Spot[] = [];
  const start = startOf(ways, spot);
  eventGoes(ways, start, spot);
  const stack = [start];
  for (let draft = stack.pop(); draft; draft = stack.pop()) {
    if (draft.kind === 'changes' && draft.spot) found.push(draft.spot);
    else append(stack, draft.below);
  }
  return found;
}

/** What renders again, with what it shows that is new, as lines. */
export function hangImpact(ways: FlowQueries, start: Draft, impact: Impact): void {
  const { graph } = ways;
  const shows = new Set(impact.shows);
  const works = new Set(impact.works);
  const hung = new Map<PlaceIndex, Draft>();
  for (const place of impact.renders) {
    const frame = graph.frames[place];
    const component = frame?.component;
    const there = graph.tree.places[place];
    if (!frame || !component || !there) continue;
    const draft = draftOf(
      graph,
      {
        kind: shows.has(place) ? 'paints' : 'reads',
        how: 'same',
        at: locate(component.file, component.facts.nameSpan),
        frame: place,
        name: component.name,
        ending: shows.has(place) ? 'painted' : 'read',
        by: works.has(place) ? 'impact works' : 'impact',
      },
      component.name,
    );
    const above = hung.get(there.owner) ?? start;
    above.below.push(draft);
    hung.set(place, draft);
  }
}

function shortOf(ways: FlowQueries, spot: Spot, rungs: readonly Rung[]): Short {
  const { graph } = ways;
  const components = new Set(rungs.flatMap((rung) => (rung.component === undefined ? [] : [rung.component])));
  const unread = new Set(rungs.filter((rung) => rung.unread).map((rung) => rung.who));
  const origins = originsOf(ways, spot);
  const writers = new Set<string>();
  const [only] = origins;
  const places: PlaceIndex[] = [];
  for (const origin of origins) {
    const frame = graph.frames[origin.spot.frame];
    if (!frame) continue;
    for (const writer of ways.writers(frame, origin.spot.value)) {
      writers.add(`${writer.at.file} ${writer.at.start}`);
      if (origin === only) places.push(writer.frame.place);
    }
  }
  const renames = rungs.filter((rung) => rung.kind === 'renames').length;
  const base: Short = { components: components.size, unread: [...unread], renames, writers: writers.size };
  const home = only && graph.frames[only.spot.frame];
  if (origins.length !== 1 || !only || !home || home.place < 0) return base;
  for (const place of readersOf(ways, only.spot)) places.push(place);
  const place = commonOwner(graph.tree, places.length > 0 ? places : [home.place]);
  const nameAt = (at: PlaceIndex): string => componentAt(ways, at)?.name ?? '';
  return place < 0 ? base : { ...base, owner: { place, name: nameAt(place), home: home.place, homeName: nameAt(home.place) } };
}

function componentAt({ graph }: FlowQueries, place: PlaceIndex): Component | undefined {
  return graph.frames[place]?.component;
}

/** Places in which something reads or shows a value. */
function readersOf(ways: FlowQueries, start: Spot): PlaceIndex[] {
  const found = new Set<PlaceIndex>();
  const seen = new Set<string>();
  const stack = [start];
  for (let spot = stack.pop(); spot && seen.size < 5000; spot = stack.pop()) {
    const key = spotKey(spot);
    if (seen.has(key)) continue;
    seen.add(key);
    for (const step of ways.onward(spot)) {
      const place = ways.graph.frames[step.frame]?.place ?? -1;
      if (!step.to) {
        if (step.kind === 'paints' || step.kind === 'reads' || step.kind === 'calls' || step.ending === 'leaves') found.add(place);
      } else if (!['changes', 'starts', 'raises', 'catches', 'publishes', 'hears'].includes(step.kind)) stack.push(step.to);
    }
  }
  return [...found].filter((place) => place >= 0);
}
