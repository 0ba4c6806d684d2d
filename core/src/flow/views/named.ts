import { memberKeyOf } from '../../model/given';
import { type MemberKey, memberName, memberOf } from '../../model/member';
import type { Place } from '../../model/tree';
import { ancestors } from '../../tree';
import type { Frame } from '../graph/frames';
import { type Graph, type Spot, valueNamed, valueOf } from '../graph/graph';
import { heldIn } from '../graph/stores';
import { isCommand } from '../steps/step';
import { contextName } from './strands/contexts';
import { ownValue } from '../../model/own-value';

/** What is asked of in a text: a name that a component (of one place or of all) or a module declares. */
export type NamedValue =
  { readonly component: string; readonly name: string; readonly parent?: string } | { readonly file: string; readonly name: string };

/** Reads `Component.name`, with `@Parent` behind it for one of several places, and `file#name`. Undefined for anything else. */
export function parseNamedValue(text: string): NamedValue | undefined {
  const [, file, own] = /^([^#]+)#([^#]+)$/.exec(text) ?? [];
  if (file !== undefined && own !== undefined) return { file, name: own };
  const [, component, name, parent] = /^([^@]+)\.([^.@]+)(?:@([^@]+))?$/.exec(text) ?? [];
  if (component === undefined || name === undefined) return undefined;
  return { component, name, ...(parent === undefined ? {} : { parent }) };
}

const componentName = (graph: Graph, place: Place | undefined): string | undefined =>
  place && graph.model.components.get(place.component)?.name;

/** Whether a component is meant by a name: its own, or of one that a function makes, that of the function: `WithCount` for `withCount(Button)`. */
export const isNamed = (component: string | undefined, name: string): boolean =>
  component === name || component?.replace(/\(.*$/, '').toLowerCase() === name.toLowerCase();

/** The places of a component on a page; with `parent`, those that stand in it, else those that it wrote, else those further below it. */
export function placesNamed(graph: Graph, component: string, parent?: string): Place[] {
  const { places } = graph.tree;
  const own = places.filter((place) => isNamed(componentName(graph, place), component));
  if (parent === undefined) return own;
  const below = (at: (place: Place) => number): Place[] => own.filter((place) => componentName(graph, places[at(place)]) === parent);
  const [inIt, byIt] = [below((place) => place.parent), below((place) => place.owner)];
  if (inIt.length > 0 || byIt.length > 0) return inIt.length > 0 ? inIt : byIt;
  return own.filter((place) => ancestors(graph.tree, place).some((one) => componentName(graph, one) === parent));
}

/** A name without the mark that a listener has before it. */
const bare = (name: string): string =>
  name
    .replace(/^on(?=[A-Z:])/, '')
    .replace(/^:|-/g, '')
    .toLowerCase();

const frameSpot = (frame: Frame, value: number, track: readonly string[] = []): Spot => ({ frame: frame.index, value, track });

/** The spots in a component that a member of its contract stands for: the prop that holds it, or what raises it. */
function memberSpots(graph: Graph, frame: Frame, fits: (key: MemberKey) => boolean): Spot[] {
  const { values, actions } = frame.body;
  const held = values.findIndex((value) => value.kind === 'prop' && fits(memberKeyOf(value)));
  if (held >= 0) return [frameSpot(frame, held)];
  const key = [...(frame.component?.contract.members.keys() ?? [])].find(fits);
  const [rest] = graph.indexOf(frame).rest;
  if (key !== undefined && rest !== undefined) return [frameSpot(frame, rest, [key])];
  const raise = actions.flatMap(({ raises }) => raises).find((one) => one.value !== undefined && fits(one.member));
  return raise?.value === undefined ? [] : [frameSpot(frame, raise.value)];
}

/** A value of a frame by its name, by the name of the field that holds it, by the name that the body gives to a part of it, or by the name and a part. */
function ownSpots(frame: Frame, name: string): Spot[] {
  const at = valueNamed(frame.body, name);
  if (at >= 0) return [frameSpot(frame, at)];
  const any = frame.body.values.findIndex((value) => value.name === name || value.alias === name);
  if (any >= 0) return [frameSpot(frame, any)];
  const field = ownValue(frame.component?.facts.ofClass?.names, name);
  if (field !== undefined) return [frameSpot(frame, field)];
  return frame.body.values.flatMap((value, index) => {
    if (value.destructured?.includes(name)) return [frameSpot(frame, index, [name])];
    return Object.entries(value.parts ?? {}).flatMap(([part, given]) => (given === name ? [frameSpot(frame, index, [part])] : []));
  });
}

/** A member of a store that the module makes: one that it holds, or that its functions read or change. */
function storeSpots(frame: Frame, name: string): Spot[] {
  const { values, actions } = frame.body;
  const touches = actions.flatMap(({ reads, changes }) => [...reads, ...changes]);
  return values.flatMap((value, index) => {
    if (value.kind !== 'store') return [];
    // A store that is told by names keeps what it holds apart from what it computes and does.
    const at = [...heldIn(value), name];
    const leads = (path: readonly string[] | undefined): boolean => at.every((one, depth) => path?.[depth] === one);
    const isHeld = value.fields?.some((field) => field.name === name) || value.from.some(({ held }) => leads(held?.at));
    return isHeld || touches.some((one) => one.value === index && leads(one.path)) ? [frameSpot(frame, index, at)] : [];
  });
}

/** A part of what a hook gives, under the name that it has there: `const { data } = useBoats()`. */
function takenSpots(graph: Graph, frame: Frame, name: string): Spot[] {
  const { sinks } = graph.indexOf(frame);
  const isTaken = (value: number): boolean => (sinks.get(value) ?? []).some(({ reading }) => reading.path[0] === name);
  return frame.body.values.flatMap(({ kind }, index) => (kind === 'hook' && isTaken(index) ? [frameSpot(frame, index, [name])] : []));
}

/** The frames of a place: of its component, then of the hooks that it calls. */
export const framesAt = ({ frames }: Graph, { index }: Place): Frame[] =>
  frames.filter((frame) => frame.place === index).sort((a, b) => Number(a.kind === 'hook') - Number(b.kind === 'hook'));

/**
 * What a name means in a component at a place: a value it declares, a member of its contract, an event it raises, or a
 * value of a hook that it calls; in this order, the first that there is. Empty where the name is not there.
 */
export function spotsNamed(graph: Graph, place: Place, name: string): Spot[] {
  const frames = framesAt(graph, place);
  const [own] = frames;
  if (!own) return [];
  const tries: readonly (() => Spot[])[] = [
    () => ownSpots(own, name),
    () => memberSpots(graph, own, (key) => key === name || memberName(key) === name),
    () => memberSpots(graph, own, (key) => memberOf(key).kind !== 'slot' && bare(memberName(key)) === bare(name)),
    ...frames.slice(1).map((frame) => () => ownSpots(frame, name)),
    () => takenSpots(graph, own, name),
  ];
  for (const one of tries) {
    const found = one();
    if (found.length > 0) return found;
  }
  return [];
}

/** A value that holds a context at a place, and the names by which it may be asked for. */
type Taken = { readonly spot: Spot; readonly names: readonly string[] };

function takenAt(graph: Graph, place: Place): Taken[] {
  return framesAt(graph, place).flatMap((frame) =>
    frame.body.values.flatMap((value, index): Taken[] => {
      if (value.kind !== 'context' || value.source === undefined) return [];
      const meant = graph.named(frame, value.source);
      const context = meant.kind === 'context' ? graph.model.contexts.get(meant.id)?.name : undefined;
      const names = [context === undefined ? undefined : contextName(context), context, value.name, value.source, calledAs(graph, frame)];
      return [{ spot: frameSpot(frame, index), names: names.filter((one) => one !== undefined) }];
    }),
  );
}

/** What a component calls what a hook gives to it. */
function calledAs(graph: Graph, { caller }: Frame): string | undefined {
  const by = caller && graph.frames[caller.frame];
  return by?.component && by.body.values[caller?.value ?? -1]?.name;
}

/**
 * The values of a component at a place that hold a context of a name: the context’s own, its key, or what the component
 * calls it, or calls what the hook gives that takes it.
 */
export function takesNamed(graph: Graph, place: Place, name: string): Spot[] {
  return takenAt(graph, place).flatMap(({ spot, names }) => (names.some((one) => one.toLowerCase() === name.toLowerCase()) ? [spot] : []));
}

/** The names of the contexts that a component takes at a place. */
export const namesTaken = (graph: Graph, place: Place): string[] => takenAt(graph, place).flatMap(({ names }) => names.slice(0, 1));

/**
 * What a name means in a module, or in what the module gives to those who call it; `Board.cards` is a member of a class,
 * a store or a function of it. Empty where the name is not there.
 */
export function spotsOfFile(graph: Graph, file: string, name: string): Spot[] {
  const own = spotsOfName(graph, file, name);
  const [, holder, member] = /^([^.]+)\.([^.]+)$/.exec(name) ?? [];
  if (own.length > 0 || holder === undefined || member === undefined) return own;
  const made = graph.frames.filter((frame) => frame.file === file && frame.kind === 'hook' && frame.name === holder);
  if (made.length > 0) return made.flatMap((frame) => ownSpots(frame, member));
  return spotsOfName(graph, file, holder).length > 0 ? spotsOfName(graph, file, member) : [];
}

function spotsOfName(graph: Graph, file: string, name: string): Spot[] {
  const module = graph.moduleFrame(file);
  const own = module ? ownSpots(module, name) : [];
  const member = module ? storeSpots(module, name) : [];
  // What a store holds is meant before what it does, or what a function is given.
  const isOther = own.every((spot) => valueOf(graph, spot)?.kind === 'param' || (member.length > 0 && isOfStore(module, spot.value)));
  if (own.length > 0 && !isOther) return own;
  if (member.length > 0) return member;
  if (own.length > 0) return own;
  const inHooks = graph.frames.flatMap((frame) => (frame.file === file && frame.kind === 'hook' ? ownSpots(frame, name) : []));
  return inHooks.length > 0 ? inHooks : readersOf(graph, file, name);
}

/** Whether a function is one that a store has under a name of its own. */
const isOfStore = (module: Frame | undefined, value: number): boolean =>
  module?.body.values.some(
    (one) => one.kind === 'store' && one.from.some((from) => from.value === value && isCommand(from.held?.at ?? [])),
  ) ?? false;

/** What others know a constant of a module by: it holds nothing that lasts, so that its module has no body. */
function readersOf(graph: Graph, file: string, name: string): Spot[] {
  return graph.frames.flatMap((frame) =>
    frame.body.values.flatMap((value, index) => {
      const meant = value.kind === 'module' && value.source !== undefined ? graph.named(frame, value.source) : undefined;
      return meant?.kind === 'value' && meant.file === file && meant.name === name ? [frameSpot(frame, index)] : [];
    }),
  );
}

/** The names that could have been meant in a component at a place, or in a module: its values and the members of its contract. */
export function namesIn(frames: readonly Frame[]): string[] {
  const values = frames.flatMap((frame) => frame.body.values.flatMap(({ name, kind }) => (kind === 'module' ? [] : [name])));
  const members = frames.flatMap((frame) => [...(frame.component?.contract.members.keys() ?? [])].map(memberName));
  return [...new Set([...values, ...members])].filter((name) => name !== '');
}
