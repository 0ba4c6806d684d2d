import type { TemplateNode, TemplateUse, ValueKind } from '../../model/facts';
import { traitsOf } from '../../frameworks/registry';
import type { Traits } from '../../frameworks/traits';
import { append } from '../../model/append';
import { bindingKey, memberKeyOf } from '../../model/given';
import { useById } from '../../model/lookup';
import { remembered } from '../../model/remembered';
import { contains, type Location, type Span } from '../../model/span';
import type { PlaceIndex } from '../../model/tree';
import { usesIn, walkTemplate } from '../../model/walk';
import { addTo } from '../../model/add-to';
import type { Frame } from '../graph/frames';
import { type Graph, type Spot, spotKey, valueOf } from '../graph/graph';
import type { Sink } from '../graph/sinks';
import type { Step } from '../steps/step';
import { codeAt } from '../graph/targets';
import { forward } from '../graph/track';
import type { FlowQueries } from '../steps/queries';

/** What follows from a change of a value. */
export type Impact = {
  /** Places that render again, in the order of the tree. */
  readonly renders: readonly PlaceIndex[];
  /** Of these, the places that may show something new. */
  readonly shows: readonly PlaceIndex[];
  /** Of these, the places whose own code does something with the value, and not only hands it on. */
  readonly works: readonly PlaceIndex[];
  /** Places below that do not render, because a memo stands above them. */
  readonly spared: readonly PlaceIndex[];
  /** Values that are computed again. */
  readonly computes: readonly { readonly name: string; readonly place: PlaceIndex; readonly at: Location }[];
  /** Effects that run. */
  readonly effects: readonly { readonly name: string; readonly place: PlaceIndex; readonly at: Location; readonly always: boolean }[];
};

type Reached = { readonly spots: Map<string, Spot>; readonly steps: readonly { readonly step: Step; readonly from: Spot }[] };

/**
 * All that a change of some values reaches, without the states that it is put into. `anew`: what is computed counts with
 * all that it holds, as each part of it may be made anew.
 */
function reached(ways: FlowQueries, start: readonly Spot[], anew = false): Reached {
  const spots = new Map<string, Spot>();
  const steps: { step: Step; from: Spot }[] = [];
  const stack = [...start];
  for (let next = stack.pop(); next && spots.size < 20_000; next = stack.pop()) {
    const spot = anew && valueOf(ways.graph, next)?.kind === 'derived' ? { ...next, track: [] } : next;
    const key = spotKey(spot);
    if (spots.has(key)) continue;
    spots.set(key, spot);
    for (const step of ways.onward(spot)) {
      steps.push({ step, from: spot });
      const flows =
        step.kind !== 'changes' &&
        step.kind !== 'starts' &&
        step.kind !== 'raises' &&
        step.kind !== 'catches' &&
        step.kind !== 'calls' &&
        step.kind !== 'publishes' &&
        step.kind !== 'hears';
      if (step.to && flows) stack.push(step.to);
    }
  }
  return { spots, steps };
}

/** What a change reaches, with what effects set that run because of it, and so on: what these reach as well. */
function reachedByEffects(ways: FlowQueries, states: readonly Spot[]): Reached {
  const all = [...states];
  const keys = new Set(all.map(spotKey));
  for (let found = reached(ways, all); ; found = reached(ways, all)) {
    const before = all.length;
    for (const spot of found.spots.values()) {
      for (const set of setByEffects(ways, spot)) {
        if (found.spots.has(spotKey(set)) || keys.has(spotKey(set))) continue;
        keys.add(spotKey(set));
        all.push(set);
      }
    }
    if (all.length === before) return found;
  }
}

/** States of its own body that effects set which run again when a value is another. */
function setByEffects({ graph }: FlowQueries, spot: Spot): Spot[] {
  const frame = graph.frames[spot.frame];
  if (!frame || frame.kind === 'module') return [];
  return (graph.indexOf(frame).sinks.get(spot.value) ?? []).flatMap((sink): Spot[] => {
    if (!('action' in sink) || !forward(sink.reading, spot.track)) return [];
    const action = frame.body.actions[sink.action];
    const isFollowed = sink.to === 'follows' || (action?.follows === undefined && isTracked(frame));
    if (action?.kind !== 'effect' || !isFollowed) return [];
    return action.changes.flatMap(({ value, path = [] }) =>
      frame.body.values[value]?.kind === 'state' ? [{ frame: frame.index, value, track: path }] : [],
    );
  });
}

const isTracked = ({ component }: Frame): boolean => component !== undefined && traitsOf(component).effects === 'tracked';

/**
 * What renders, is computed and runs again when some states change. In React a component renders when
 * its own state changes, when a context or store it reads does, and when the component that wrote it
 * renders, unless a memo finds that all it is given is the same. An element of Lit renders when a member
 * of it is set, from within or from outside. In all others a component does where its template reads what
 * changed; what such a template puts under a condition or in a list may come anew.
 */
export function impactOf(ways: FlowQueries, states: readonly Spot[]): Impact {
  const { graph } = ways;
  const found = reachedByEffects(ways, states);
  const changed = new Map<number, Set<number>>();
  for (const spot of found.spots.values()) {
    const known = changed.get(spot.frame) ?? new Set();
    changed.set(spot.frame, known.add(spot.value));
  }
  const renders = new Set<PlaceIndex>();
  const spared = new Set<PlaceIndex>();
  const stack: PlaceIndex[] = [];
  for (const spot of [...states, ...reachedAnew(ways, found)]) {
    const frame = graph.frames[spot.frame];
    const value = valueOf(graph, spot);
    if (!frame || frame.place < 0 || !value) continue;
    const rendersOn = rendersOnOf(frame);
    if (rendersOn !== 'owner') {
      if (rendersOn === 'member' && membersOfElements.has(value.kind)) renders.add(frame.place);
      for (const place of rendersOn === 'member' ? putAnew(graph, frame, spot) : repaintedBy(ways, frame, spot)) renders.add(place);
      continue;
    }
    const isOwn =
      states.some((one) => one.frame === spot.frame && one.value === spot.value) && (value.kind === 'state' || value.kind === 'hook');
    const subscribes = value.kind === 'context' || value.kind === 'store' || (value.kind === 'hook' && isSubscription(frame, spot, ways));
    if (isOwn || subscribes) stack.push(frame.place);
  }
  const below = placesBelow(graph);
  const start = new Set(stack);
  for (let place = stack.pop(); place !== undefined; place = stack.pop()) {
    if (renders.has(place)) continue;
    renders.add(place);
    for (const child of below.get(place) ?? []) {
      const component = graph.frames[child]?.component;
      if (renders.has(child) || (component && traitsOf(component).rendersOn !== 'owner')) continue;
      const memo = component?.facts.memo ?? false;
      if (memo && !start.has(child) && staysSame(ways, child, changed)) spared.add(child);
      else stack.push(child);
    }
  }
  for (const place of renders) spared.delete(place);
  return { renders: [...renders].sort((a, b) => a - b), spared: [...spared].sort((a, b) => a - b), ...consequences(ways, found, renders) };
}

const rendersOnOf = ({ component }: Frame): Traits['rendersOn'] => (component ? traitsOf(component).rendersOn : 'owner');

/** The places that each place has written, by its number. */
const placesBelow = remembered(({ tree }: Graph): ReadonlyMap<PlaceIndex, readonly PlaceIndex[]> => {
  const below = new Map<PlaceIndex, PlaceIndex[]>();
  for (const place of tree.places) addTo(below, place.owner, place.index);
  return below;
});

/** What is reached where all that is computed counts as made anew, and all that an element makes in place while it renders. */
function reachedAnew(ways: FlowQueries, { spots }: Reached): readonly Spot[] {
  const { graph } = ways;
  const start = [...spots.values()];
  const rendered = new Set<PlaceIndex>();
  for (;;) {
    const all = [...reached(ways, start, true).spots.values()];
    const given = all.flatMap((spot): Spot[] => {
      const frame = graph.frames[spot.frame];
      const value = valueOf(graph, spot);
      if (!frame || !value || rendered.has(frame.place)) return [];
      const rendersOn = rendersOnOf(frame);
      const isWhole =
        rendersOn === 'member' ? membersOfElements.has(value.kind) : rendersOn === 'template' && isPainted(graph, frame, spot);
      if (!isWhole) return [];
      rendered.add(frame.place);
      return (placesBelow(graph).get(frame.place) ?? []).flatMap((place) => givenAnew(graph, place));
    });
    if (given.length === 0) return all;
    append(start, given);
  }
}

/** Props of a place that its owner makes in place: each time that it renders they are others. */
function givenAnew(graph: Graph, place: PlaceIndex): Spot[] {
  const there = graph.tree.places[place];
  const use = there?.use === undefined ? undefined : useById(graph.model, there.use);
  const frame = graph.frames[place];
  if (!use || !frame) return [];
  const keys = new Set(use.node.bindings.flatMap((one) => (one.made !== undefined && one.to.kind !== 'listener' ? [bindingKey(one)] : [])));
  return frame.body.values.flatMap((value, at) =>
    value.kind === 'prop' && keys.has(memberKeyOf(value)) ? [{ frame: place, value: at, track: [] }] : [],
  );
}

/** What an element renders for, whether or not its markup shows it. */
const membersOfElements: ReadonlySet<ValueKind> = new Set<ValueKind>(['state', 'prop', 'context', 'store']);

const isPainted = (graph: Graph, frame: Frame, spot: Spot): boolean =>
  (graph.indexOf(frame).sinks.get(spot.value) ?? []).some(
    (sink) => paintingSinks.has(sink.to) && forward(sink.reading, spot.track) !== undefined,
  );

/** The places that render because a template reads a value: its own, and those that it may put anew. */
function repaintedBy({ graph }: FlowQueries, frame: Frame, spot: Spot): Set<PlaceIndex> {
  const places = new Set<PlaceIndex>();
  const slotsRunLate = frame.component !== undefined && traitsOf(frame.component).slotsRunLate;
  // Where slots are functions, a component renders when it is given something else, whether or not it shows it.
  if (slotsRunLate && frame.body.values[spot.value]?.kind === 'prop') places.add(frame.place);
  for (const sink of graph.indexOf(frame).sinks.get(spot.value) ?? []) {
    if (!paintingSinks.has(sink.to) || !forward(sink.reading, spot.track)) continue;
    places.add(frame.place);
    // Content for a slot is part of this template, but run by the component that has the slot, while it renders.
    const around = slotsRunLate ? useAround(frame, sink.reading.span) : undefined;
    if (around) for (const place of placesOf(graph, frame.place, around)) places.add(place);
  }
  for (const place of putAnew(graph, frame, spot)) places.add(place);
  return places;
}

/** The places that a template puts where a value decides, in a condition or a list: any of them may come anew. */
const putAnew = (graph: Graph, frame: Frame, spot: Spot): PlaceIndex[] =>
  (graph.indexOf(frame).sinks.get(spot.value) ?? []).flatMap((sink) =>
    sink.to === 'decides' && forward(sink.reading, spot.track) ? placesWithin(graph, frame.place, sink.node) : [],
  );

/** The innermost use of a component whose content a reading stands in. */
function useAround(frame: Frame, reading: Span): TemplateUse | undefined {
  let found: TemplateUse | undefined;
  walkTemplate(frame.body.template ?? [], (node) => {
    if (node.kind !== 'use' || !contains(node.span, reading)) return;
    const isOwn = [...node.bindings, ...node.spreads].some((one) => contains(one.span, reading));
    if (!isOwn && (!found || contains(found.span, node.span))) found = node;
  });
  return found;
}

const placesOf = ({ model, tree }: Graph, owner: PlaceIndex, use: TemplateUse): PlaceIndex[] =>
  tree.places.flatMap((place) =>
    place.owner === owner && place.use !== undefined && useById(model, place.use)?.node === use ? [place.index] : [],
  );

const paintingSinks: ReadonlySet<Sink['to']> = new Set(['prop', 'spread', 'attribute', 'attributes', 'shown', 'decides', 'handed']);

/** The places whose use a component writes within a node of its template, and all below these. */
function placesWithin({ model, tree }: Graph, owner: PlaceIndex, node: TemplateNode): PlaceIndex[] {
  const inside: ReadonlySet<TemplateUse> = new Set(usesIn([node]));
  const found = new Set<PlaceIndex>();
  for (const place of tree.places) {
    const use = place.owner === owner && place.use !== undefined ? useById(model, place.use) : undefined;
    // Places stand after the one they hang below.
    if ((use && inside.has(use.node)) || found.has(place.parent)) found.add(place.index);
  }
  return [...found];
}

/** A hook that is no frame of its own, and gives what is kept outside components. */
function isSubscription(frame: Frame, spot: Spot, { graph }: FlowQueries): boolean {
  const value = frame.body.values[spot.value];
  return (
    value?.kind === 'hook' &&
    !graph.hookFrame(frame.index, spot.value) &&
    (value.gives !== undefined || (value.source !== undefined && graph.moduleSpot(frame, value.source) !== undefined))
  );
}

/** Whether all that a use gives a memoised component is what it was. */
function staysSame({ graph }: FlowQueries, place: PlaceIndex, changed: ReadonlyMap<number, ReadonlySet<number>>): boolean {
  const there = graph.tree.places[place];
  const use = there?.use ? useById(graph.model, there.use) : undefined;
  const owner = there && graph.ownerFrame(there);
  if (!use || !owner) return false;
  const { node } = use;
  if (node.content !== 'none' && node.content !== 'text') return false;
  if (node.spreads.some((one) => one.keys === undefined)) return false;
  const touched = changed.get(owner.index);
  return node.bindings.every((binding) => isStable(owner, binding, touched));
}

function isStable(owner: Frame, binding: TemplateUse['bindings'][number], touched: ReadonlySet<number> | undefined): boolean {
  if (binding.constant !== undefined) return true;
  if (binding.action !== undefined || binding.markup || binding.made !== undefined) return false;
  return binding.readings.every((reading) => {
    if (touched?.has(reading.value) || reading.held !== undefined) return false;
    return owner.body.values[reading.value]?.kind !== 'function' || isKept(owner, reading.value, touched);
  });
}

/** A function that a hook keeps from one rendering to the next, as long as what it follows is the same. */
function isKept(owner: Frame, value: number, touched: ReadonlySet<number> | undefined): boolean {
  const facts = owner.body.values[value];
  if (facts?.kept !== true) return false;
  const follows = facts.action === undefined ? undefined : owner.body.actions[facts.action]?.follows;
  return follows !== undefined && !follows.some((one) => touched?.has(one.value));
}

function consequences(
  ways: FlowQueries,
  found: Reached,
  renders: ReadonlySet<PlaceIndex>,
): Pick<Impact, 'shows' | 'works' | 'computes' | 'effects'> {
  const { graph } = ways;
  const shows = new Set<PlaceIndex>();
  const works = new Set<PlaceIndex>();
  const computes = new Map<string, Impact['computes'][number]>();
  const effects = new Map<string, Impact['effects'][number]>();
  for (const { step, from } of found.steps) {
    const frame = graph.frames[step.frame];
    const place = frame?.place ?? -1;
    if (!frame || place < 0) continue;
    if (step.frame === from.frame && step.kind !== 'passes' && step.ending !== 'leaves') works.add(place);
    if (step.kind === 'paints' || (step.ending === 'leaves' && step.kind === 'passes')) shows.add(place);
    if (step.kind === 'reads' && step.by === 'follows') {
      const source = graph.frames[from.frame];
      const sink =
        source &&
        graph
          .indexOf(source)
          .sinks.get(from.value)
          ?.find((one) => one.to === 'follows' && one.reading.span.start === step.at.start);
      const action = sink?.to === 'follows' ? frame.body.actions[sink.action] : undefined;
      if (action?.kind === 'effect')
        effects.set(`${frame.index} ${action.span.start}`, { name: action.name, place, at: codeAt(frame, action.span), always: false });
    }
    const made = step.to && valueOf(graph, step.to);
    if (step.kind === 'derives' && made?.kind === 'derived' && step.to) {
      const there = graph.frames[step.to.frame];
      if (there) computes.set(`${there.index} ${step.to.value}`, { name: made.name, place: there.place, at: codeAt(there, made.span) });
    }
  }
  for (const frame of graph.frames) {
    if (!renders.has(frame.place)) continue;
    for (const action of frame.body.actions) {
      if (action.kind === 'effect' && action.follows === undefined)
        effects.set(`${frame.index} ${action.span.start}`, {
          name: action.name,
          place: frame.place,
          at: codeAt(frame, action.span),
          always: true,
        });
    }
  }
  return {
    shows: [...shows].filter((place) => renders.has(place)).sort((a, b) => a - b),
    works: [...works].filter((place) => renders.has(place)).sort((a, b) => a - b),
    computes: [...computes.values()],
    effects: [...effects.values()],
  };
}
