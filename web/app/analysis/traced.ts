import {
  asTaken,
  type FilePath,
  fileRole,
  type Graph,
  heldIn,
  isPutTogether,
  listenersOf,
  listenerSubject,
  type Location,
  type Model,
  nameInModule,
  nameOfKey,
  type PlaceIndex,
  type Question,
  type Rung,
  rungText,
  type Spot,
  type Strand,
  type Subject,
  subjectId,
  subjectOf,
  type Trace,
  traceOf,
  traceText,
  type ValueFact,
  type FlowQueries,
  whoAnswers,
} from '@liana/core';
import type { CodeLine, SubjectEntry, TraceAnswer } from './answers';
import { cutLine } from './excerpt';

/** A page’s answers, and the steps to each of its places. */
type Answering = { readonly ways: FlowQueries; readonly paths: readonly string[] };

/** A subject as an entry of a list, with the steps to its place. */
export function entryOf({ id, name, kind, home, place }: Subject, page: string, paths: readonly string[]): SubjectEntry {
  const path = paths[place];
  return { id, name, kind, home, page, ...(path === undefined ? {} : { place: path }) };
}

type ReadText = (file: FilePath) => Promise<string>;

/** The answer to a question about a value, with who changes what it comes from. */
export async function answerTrace(
  model: Model,
  page: Answering,
  spot: Spot,
  question: Question,
  textOf: ReadText,
): Promise<Omit<TraceAnswer, 'page'>> {
  const { ways } = page;
  const trace = traceOf(ways, spot, question);
  const answers = answerFor(model, ways.graph, spot);
  const changes = question === 'changes' ? trace : traceOf(ways, spot, 'changes');
  const cut = async (at: Location): Promise<CodeLine> => cutLine(await textOf(at.file), at);
  const paths = Object.fromEntries((answers?.chain ?? []).map(({ place }) => [place, page.paths[place] ?? '']));
  const shown = await shownTrace(page, trace, textOf);
  return { ...shown, paths: { ...shown.paths, ...paths }, ...(answers ? { answers } : {}), writers: await writersOf(changes, cut) };
}

/** A trace with all that a view of it shows: code, names, the text for a review. */
export async function shownTrace({ ways, paths }: Answering, trace: Trace, textOf: ReadText): Promise<Omit<TraceAnswer, 'page'>> {
  const { graph } = ways;
  const cut = async (at: Location): Promise<CodeLine> => cutLine(await textOf(at.file), at);
  const code = await Promise.all(trace.rungs.map((rung) => Promise.all(rung.code.slice(0, 12).map(cut))));
  const onward = trace.rungs.map((rung) => (rung.spot && rung.from >= 0 ? subjectId(graph, rung.spot) : undefined));
  const places = new Set<PlaceIndex>([
    ...(trace.impact?.renders ?? []),
    ...(trace.impact?.spared ?? []),
    ...(trace.impact?.computes ?? []).map((one) => one.place),
    ...(trace.impact?.effects ?? []).map((one) => one.place),
  ]);
  const names = Object.fromEntries([...places].map((place): [number, string] => [place, graph.frames[place]?.component?.name ?? '']));
  const shown = Object.fromEntries(trace.rungs.flatMap(({ place }) => (place < 0 ? [] : [[place, paths[place] ?? '']])));
  return {
    trace,
    code,
    onward,
    paths: shown,
    names,
    writers: [],
    text: traceText(trace, (rung) => code[rung.index]?.[0] ?? { line: 1, text: '' }),
  };
}

function answerFor(model: Model, graph: Graph, spot: Spot): TraceAnswer['answers'] {
  const frame = graph.frames[spot.frame];
  const value = frame?.body.values[asTaken(frame.body, spot.value)];
  if (value?.kind !== 'context' || value.source === undefined || !frame) return undefined;
  const meant = graph.named(frame, value.source);
  return meant.kind === 'context' ? whoAnswers(model, graph.tree, frame.place, meant.id, value.asks) : undefined;
}

const shownInShort = new Set<Rung['kind']>(['changes', 'raises', 'starts', 'publishes']);

/** The lines of “what changes it” that say the most: changes, the events that lead there, and their starts. */
async function writersOf(changes: Trace, cut: (at: Location) => Promise<CodeLine>): Promise<TraceAnswer['writers']> {
  const rungs = changes.rungs.filter((rung) => rung.from >= 0 && shownInShort.has(rung.kind)).slice(0, 7);
  return Promise.all(
    rungs.flatMap((rung) => {
      const [at] = rung.code;
      return at ? [cut(at).then((code) => ({ who: rung.who, says: rungText(rung), kind: rung.kind, code }))] : [];
    }),
  );
}

const listed = new Set(['state', 'store', 'context', 'fetched', 'hook', 'prop']);
const outer = new Set(['fetch', 'query', 'loader', 'storage', 'url', 'message']);
const mostListed = 400;

/** Whether a value is worth a line in the list of what a trace may start from. */
function isListed(graph: Graph, frame: Graph['frames'][number], at: number): boolean {
  const value = frame.body.values[at];
  if (!value || !listed.has(value.kind)) return false;
  switch (value.kind) {
    case 'prop':
      return graph.indexOf(frame).calls.has(at);
    case 'hook':
    case 'fetched':
      return value.origin !== undefined && outer.has(value.origin.kind);
    case 'store':
      return frame.kind === 'module' && !isPutTogether(frame.body, at);
    case 'state':
      return frame.kind !== 'module' || graph.aliasesOf(frame, at).length > 0 || value.shape === undefined;
    default:
      return true;
  }
}

/** The members of a store that an application has one of, by the way to each: what is worth following in it. Empty for all other values. */
function membersListed(frame: Graph['frames'][number], value: ValueFact): readonly (readonly string[])[] {
  const isCentral = frame.kind === 'module' && /^(?:module|root|slice|part)$/.test(value.shape ?? '');
  return isCentral ? (value.fields ?? []).map(({ name }) => [...heldIn(value), name]) : [];
}

/** Parts of a name by which a value is a part of a machine, and rarely what somebody wants to follow. */
const machinery = /cache|memo|timer|timeout|debounce|mounted|ref$|queryclient/i;

/** At how many places of a page each value matters, by its home and name. */
function placesByValue(strands: readonly Strand[]): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  for (const { home, name, knots } of strands) found.set(`${home} ${name}`, (found.get(`${home} ${name}`) ?? 0) + knots.length);
  return found;
}

/**
 * What a page holds: states, stores, contexts and requests, and the events of its components; each
 * once, first what matters at the most places, last what is part of a machine.
 */
export function subjectsOf(graph: Graph, page: string, paths: readonly string[], strands: readonly Strand[]): SubjectEntry[] {
  const places = placesByValue(strands);
  const found: SubjectEntry[] = [];
  const seen = new Set<string>();
  for (const frame of graph.frames) {
    if (fileRole(frame.file) !== 'source') continue;
    for (const subject of frame.place < 0 ? [] : listenersOf(frame).map(listenerSubject)) {
      if (seen.has(subject.id)) continue;
      seen.add(subject.id);
      found.push(entryOf(subject, page, paths));
    }
    frame.body.values.forEach((value, at) => {
      if (!isListed(graph, frame, at)) return;
      for (const member of membersListed(frame, value)) {
        const subject = subjectOf(graph, { frame: frame.index, value: at, track: member });
        if (!seen.has(subject.id)) found.push(entryOf(subject, page, paths));
        seen.add(subject.id);
      }
      const spot: Spot = { frame: frame.index, value: at, track: [] };
      const id = subjectId(graph, spot);
      if (seen.has(id)) return;
      seen.add(id);
      const subject = subjectOf(graph, spot);
      const name = frame.kind === 'module' ? nameInModule(frame.body, at) : value.name;
      const home = frame.kind === 'hook' ? `${frame.component?.name ?? ''}, ${frame.name}` : subject.home;
      found.push({
        ...entryOf(subject, page, paths),
        home,
        ...(frame.kind === 'module' ? { name } : {}),
        ...(value.kind === 'context' && value.source !== undefined ? { name: nameOfKey(value.source) } : {}),
        places: places.get(`${frame.component?.id ?? `${frame.file}#${name}`} ${name}`) ?? 1,
      });
    });
  }
  const rank = (one: SubjectEntry): number => (machinery.test(one.name) ? 0 : (one.places ?? 1));
  return found.sort((a, b) => rank(b) - rank(a)).slice(0, mostListed);
}
