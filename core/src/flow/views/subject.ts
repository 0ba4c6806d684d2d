import type { ValueFact, ValueKind } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { memberKeyOf } from '../../model/given';
import { covers, type FilePath, type Location } from '../../model/span';
import type { PlaceIndex } from '../../model/tree';
import { type Frame, isReadFrom } from '../graph/frames';
import { type Graph, type Spot, valueOf } from '../graph/graph';
import { nameOf } from '../steps/step';
import { asHeld, asTaken, spanOfPart } from '../graph/stores';
import { codeAt, givenTo } from '../graph/targets';

/**
 * Names what is traced so that a link to it still fits after an edit: the body by file and name, the
 * hooks between by name, the value by name, and the part of it that is followed.
 * `src/pages/TodayPage.tsx#TodayPage~usePassages~passages.boat`.
 */
export type SubjectId = string;

/** The file that an id is of; empty for what is no id. */
export const fileOfSubject = (id: SubjectId): FilePath => /^(.*)#/.exec(id.split('~')[0] ?? '')?.[1] ?? '';

/** What is traced, in words. */
export type Subject = {
  readonly id: SubjectId;
  readonly name: string;
  readonly kind: SubjectKind;
  /** The component, hook or module that declares it. */
  readonly home: string;
  readonly place: PlaceIndex;
  readonly at: Location;
};

export type SubjectKind = 'state' | 'prop' | 'event' | 'store' | 'context' | 'function' | 'constant' | 'value' | 'listener';

const kinds: Readonly<Record<ValueKind, SubjectKind>> = {
  props: 'prop',
  prop: 'prop',
  rest: 'prop',
  state: 'state',
  setter: 'function',
  ref: 'state',
  derived: 'value',
  context: 'context',
  store: 'store',
  fetched: 'value',
  hook: 'value',
  item: 'value',
  handed: 'value',
  function: 'function',
  param: 'value',
  module: 'constant',
};

/** Whether a value is run rather than shown: a function, or a prop that the component calls. */
export function isEvent(graph: Graph, spot: Spot): boolean {
  const value = valueOf(graph, spot);
  const frame = graph.frames[spot.frame];
  if (!value || !frame) return false;
  if (value.kind === 'function') return spot.track.length === 0;
  if (value.kind === 'setter') return true;
  const prop =
    value.kind === 'prop'
      ? memberKeyOf(value)
      : value.kind === 'rest' || value.kind === 'props'
        ? (spot.track[0] as MemberKey | undefined)
        : undefined;
  if (prop !== undefined) return frame.component?.contract.members.get(prop)?.kind === 'callback';
  return false;
}

/** Describes a spot as the subject of a trace. */
export function subjectOf(graph: Graph, spot: Spot): Subject {
  const frame = graph.frames[spot.frame];
  const value = valueOf(graph, spot);
  const taken = frame?.body.values[asTaken(frame.body, spot.value)];
  const kind = !value
    ? 'value'
    : isEvent(graph, spot) && value.kind !== 'function'
      ? 'event'
      : frame?.kind === 'module' && (value.kind === 'state' || value.kind === 'store')
        ? 'store'
        : kinds[taken?.kind ?? value.kind];
  return {
    id: subjectId(graph, spot),
    name: nameOf(graph, spot),
    kind,
    home: frame?.kind === 'module' ? frame.file : (frame?.name ?? ''),
    place: frame?.place ?? -1,
    at: frame && value ? codeAt(frame, spanOfPart(value, spot.track)) : { file: '', start: 0, end: 0 },
  };
}

function ordinal(frame: Frame, value: number): string {
  const name = frame.body.values[value]?.name;
  const before = frame.body.values.slice(0, value).filter((one) => one.name === name).length;
  return before > 0 ? `:${before}` : '';
}

export function subjectId(graph: Graph, spot: Spot): SubjectId {
  const frame = graph.frames[spot.frame];
  if (!frame) return '';
  const hooks: string[] = [];
  let at = frame;
  while (at.caller) {
    hooks.unshift(`${at.name}${callOrdinal(graph, at)}`);
    const caller = graph.frames[at.caller.frame];
    if (!caller) break;
    at = caller;
  }
  const part = spot.track.map((one) => `.${one}`).join('');
  const value = asHeld(frame.body, spot.value);
  const own = `${frame.body.values[value]?.name ?? ''}${ordinal(frame, value)}${part}`;
  return [`${at.file}#${at.kind === 'module' ? '' : at.name}`, ...hooks, own].join('~');
}

/** Which call of the same hook in one body. */
function callOrdinal(graph: Graph, frame: Frame): string {
  const caller = frame.caller && graph.frames[frame.caller.frame];
  if (!caller || !frame.caller) return '';
  const { value } = frame.caller;
  const before = caller.body.values
    .slice(0, value)
    .filter((one) => one.kind === 'hook' && one.source === caller.body.values[value]?.source).length;
  return before > 0 ? `:${before}` : '';
}

/**
 * Finds what an id names, at a place where one is given and fits, else at the first place of the
 * component. Undefined where the project no longer has it.
 */
export function spotOf(graph: Graph, id: SubjectId, place: PlaceIndex = -1): Spot | undefined {
  const [home = '', ...rest] = id.split('~');
  const own = rest.pop();
  const frame = own === undefined ? undefined : frameNamed(graph, home, rest, place);
  const found = frame && own !== undefined ? valueWith(frame, own) : undefined;
  return frame && found && { frame: frame.index, ...found };
}

/** Whether an id names a body as a whole, and no value of it. */
export const isBodyId = (id: SubjectId): boolean => !id.includes('~');

/** The body that an id names, or that the value is of that it names; found as `spotOf` does. */
export function bodyOf(graph: Graph, id: SubjectId, place: PlaceIndex = -1): Frame | undefined {
  const spot = spotOf(graph, id, place);
  if (spot) return graph.frames[spot.frame];
  const [home = '', ...hooks] = id.split('~');
  return frameNamed(graph, home, hooks[0]?.startsWith('!') ? [] : hooks, place);
}

function frameNamed(graph: Graph, home: string, hooks: readonly string[], place: PlaceIndex): Frame | undefined {
  const mark = home.lastIndexOf('#');
  const [file, component] = [home.slice(0, mark), home.slice(mark + 1)];
  if (mark < 0) return undefined;
  let frame = component === '' ? graph.moduleFrame(file) : homeFrame(graph, file, component, place);
  for (const hook of hooks) {
    if (!frame) return undefined;
    const [name = '', count = '0'] = hook.split(':');
    const from = frame;
    const calls = from.body.values.flatMap((value, index) =>
      value.kind === 'hook' && graph.hookFrame(from.index, index)?.name === name ? [index] : [],
    );
    const call: number | undefined = calls[Number(count)];
    frame = call === undefined ? undefined : graph.hookFrame(from.index, call);
  }
  return frame;
}

function homeFrame(graph: Graph, file: FilePath, component: string, place: PlaceIndex): Frame | undefined {
  const fits = (frame: Frame | undefined): boolean =>
    frame?.kind === 'component' && frame.file === file && frame.name === component && frame.body.values.length > 0;
  const there = place >= 0 ? graph.frames[place] : undefined;
  return fits(there) ? there : graph.frames.find(fits);
}

/** `passages:1.boat` → the second value of that name, and its part. The longest name that fits is meant. */
function valueWith(frame: Frame, own: string): { value: number; track: string[] } | undefined {
  const names = frame.body.values.map((value, index) => `${value.name}${ordinal(frame, index)}`);
  let best: { value: number; length: number } | undefined;
  names.forEach((name, value) => {
    const fits = own === name || own.startsWith(`${name}.`);
    if (fits && (!best || name.length > best.length)) best = { value, length: name.length };
  });
  if (!best) {
    const rest = frame.body.values.findIndex((value) => value.kind === 'rest' || value.kind === 'props');
    return rest >= 0 && frame.kind === 'component' ? { value: rest, track: own.split('.') } : undefined;
  }
  const part = own.slice(best.length);
  return { value: best.value, track: part === '' ? [] : part.slice(1).split('.') };
}

/** What the functions of a frame call or set, each with where its name begins: a state is set by its setter where it has one. */
function calledIn({ body }: Frame): { readonly value: number; readonly start: number }[] {
  return body.actions.flatMap(({ changes, raises, invokes }) => [
    ...changes.map(({ value, span }) => {
      const setter = body.values.findIndex((one) => one.kind === 'setter' && one.partner === value);
      return { value: setter < 0 ? value : setter, start: span.start };
    }),
    ...[...raises, ...invokes].flatMap(({ value, span }) => (value === undefined ? [] : [{ value, start: span.start }])),
  ]);
}

type Hit = { readonly spot: Spot; readonly length: number; readonly rank: number };

/**
 * What stands at an offset of a file: the value that is declared or read there, in the frame at the
 * given place where the file's component has one there, else in its first. Undefined where no value
 * is named. The narrowest reading is meant: on `boat` of `item.boat` it is the boat.
 */
export function spotAt(graph: Graph, file: FilePath, offset: number, place: PlaceIndex = -1): Spot | undefined {
  const point: Location = { file, start: offset, end: offset };
  let best: Hit | undefined;
  const offer = (hit: Hit): void => {
    if (!best || hit.length < best.length || (hit.length === best.length && hit.rank > best.rank)) best = hit;
  };
  for (const frame of graph.frames) {
    if (!isReadFrom(frame, file)) continue;
    const rank = frame.place === place ? 1 : 0;
    frame.body.values.forEach((value, index) => {
      if (covers(frame.file, value.span, point))
        offer({ spot: { frame: frame.index, value: index, track: [] }, length: value.span.end - value.span.start, rank });
    });
    for (const { value, start } of calledIn(frame)) {
      const length = frame.body.values[value]?.name.length ?? 0;
      if (frame.file === file && covers(file, { start, end: start + length }, point))
        offer({ spot: { frame: frame.index, value, track: [] }, length, rank });
    }
    for (const sinks of graph.indexOf(frame).sinks.values()) {
      for (const { reading } of sinks) {
        if (!covers(frame.file, reading.span, point)) continue;
        const value: ValueFact | undefined = frame.body.values[reading.value];
        if (!value) continue;
        offer({
          spot: { frame: frame.index, value: reading.value, track: reading.path },
          length: reading.span.end - reading.span.start,
          rank,
        });
      }
    }
    for (const [value, calls] of graph.indexOf(frame).calls) {
      for (const site of calls) {
        const span = site.by === 'raise' ? site.raise.span : site.call.span;
        if (!covers(frame.file, span, point)) continue;
        offer({
          spot: { frame: frame.index, value, track: site.by === 'call' ? site.call.path : [] },
          length: span.end - span.start,
          rank,
        });
      }
    }
  }
  return best?.spot ?? propAt(graph, file, offset);
}

/** The name of an attribute: the prop of the component that is used there. */
function propAt(graph: Graph, file: FilePath, offset: number): Spot | undefined {
  for (const place of graph.tree.places) {
    const frame = graph.frames[place.index];
    if (!frame) continue;
    for (const [name, value] of graph.indexOf(frame).props) {
      const given = givenTo(graph, frame, name);
      if (!given?.binding) continue;
      if (covers(given.owner.file, given.binding.nameSpan, { file, start: offset, end: offset }))
        return { frame: frame.index, value, track: [] };
    }
  }
  return undefined;
}
