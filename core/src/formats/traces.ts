import { nearest } from '../contract';
import {
  channelKeys,
  channelsOf,
  contextName,
  type FlowQueries,
  type Frame,
  framesAt,
  isNamed,
  type Graph,
  type Hearer,
  makeFlowQueries,
  namesIn,
  type NamedValue,
  parseNamedValue,
  placesNamed,
  questions,
  reaches,
  type Rung,
  rungText,
  runsOnHearing,
  type Spot,
  spotsNamed,
  spotsOfFile,
  namesTaken,
  takesNamed,
  type Trace,
  traceOf,
  traceText,
  valueOf,
  whoAnswers,
} from '../flow';
import type { Component, Model, Page } from '../model/model';
import { type FilePath, locate, type Location, type Span } from '../model/span';
import { unfold } from '../tree';
import type { LineOf } from './lines';
import { append } from '../model/append';

/** What the shell can ask: the questions of a value, who hears an event, and who answers for a context. */
export const asks = [...questions, 'hears', 'answers'] as const;
export type Ask = (typeof asks)[number];

/** One rung of a trace as it leaves Liana; `depth` is its distance from the first. The line is 1-based. */
export type RungEntry = {
  readonly depth: number;
  /** The component in whose code the line stands, or that calls the hook it stands in; absent in a module. */
  readonly component?: string;
  /** The component that is given the value there, where that is another one. */
  readonly to?: string;
  readonly name: string;
  readonly file: FilePath;
  readonly line: number;
  /** The kind of the step: `passes`, `renames`, `changes`, … */
  readonly how: string;
  readonly text: string;
};

export type TraceEntry = {
  /** The question as it was asked. */
  readonly of: string;
  readonly ask: Ask;
  readonly rungs: readonly RungEntry[];
  /** Of `impact`: what renders again and shows nothing new; absent where nothing does. */
  readonly again?: readonly RungEntry[];
  /** Where and why its ways end. */
  readonly ends: readonly { readonly why: string; readonly file: FilePath; readonly line: number }[];
  readonly truncated?: true;
};

/** A question that cannot be asked, in words. */
export type Unasked = { readonly wrong: string };

type Parsed = { readonly ask: Ask; readonly named: NamedValue };

/** Reads `ASK:Component.name` and `ASK:file#name`. */
export function parseQuestion(text: string): Parsed | Unasked {
  const [, word = '', rest = ''] = /^(\w*):(.*)$/.exec(text) ?? [];
  const ask = asks.find((one) => one === word);
  if (!ask)
    return { wrong: `"${text}" does not begin with a question; the questions are ${asks.join(', ')}, each with a colon behind it.` };
  const named = parseNamedValue(rest);
  return named ? { ask, named } : { wrong: `"${rest}" names nothing: write Component.name, Component.name@Parent or file#name.` };
}

/** The most places of which a question is asked that names no place. */
const mostPlaces = 100;

/** Answers questions about a project in the form in which they leave Liana; what it made of a page is kept for the next question. */
export type TraceWriter = { readonly ask: (text: string) => Answered | Unasked };

/** An answer as data, and to be read. */
export type Answered = { readonly entry: TraceEntry; readonly text: string };

/** What is asked at one place, with the page’s answers. */
type Asked = { readonly flow: FlowQueries; readonly spot: Spot };

/** Makes the writer of a project. `textOf` gives a file’s text, for lines and for the code beside them. */
export function makeTraceWriter(model: Model, textOf: (file: FilePath) => string | undefined, lineOf: LineOf): TraceWriter {
  const kept = new Map<string, FlowQueries>();
  const flowOf = (page: Page): FlowQueries => {
    const known = kept.get(page.id) ?? makeFlowQueries(model, unfold(model, page));
    kept.set(page.id, known);
    return known;
  };
  const ask = (text: string): Answered | Unasked => {
    const parsed = parseQuestion(text);
    if ('wrong' in parsed) return parsed;
    // Where components are elements, an event is heard along its way through the page.
    const sent =
      parsed.ask === 'hears' && 'component' in parsed.named && isElement(model, parsed.named.component)
        ? heardElsewhere({ of: text, asked: parsed.ask }, model, parsed.named, flowOf, lineOf)
        : undefined;
    if (sent) return sent;
    const told = parsed.ask === 'hears' && 'file' in parsed.named ? heardOfFile(text, model, parsed.named, flowOf, lineOf) : undefined;
    if (told) return told;
    const asked = 'file' in parsed.named ? inFile(model, parsed.named, flowOf) : inComponent(model, parsed.ask, parsed.named, flowOf);
    if ('wrong' in asked) {
      // Where an event goes that no value stands for is who hears it.
      const heard =
        (parsed.ask === 'hears' || parsed.ask === 'goes') && 'component' in parsed.named
          ? heardElsewhere({ of: text, asked: parsed.ask }, model, parsed.named, flowOf, lineOf)
          : undefined;
      return heard ?? asked;
    }
    return parsed.ask === 'answers' ? answersOf(text, model, asked, lineOf) : tracesOf(text, parsed.ask, asked, textOf, lineOf);
  };
  return { ask };
}

const isElement = (model: Model, name: string): boolean =>
  [...model.components.values()].some((one) => isNamed(one.name, name) && one.facts.element !== undefined);

const quoted = (names: readonly string[]): string => names.join(', ');

/** Names near to one that is not there, for a message: the one clearly meant, else those that hold it or are held by it. */
function nearNames(name: string, names: readonly string[]): string {
  const others = names.filter((one) => one !== name);
  const meant = nearest(name, others);
  const lower = name.toLowerCase();
  const alike = others.filter((one) => one.length > 1 && (one.toLowerCase().includes(lower) || lower.includes(one.toLowerCase())));
  const near = meant === undefined ? alike.slice(0, 5) : [meant];
  return near.length > 0 ? ` Near to it: ${quoted(near)}.` : '';
}

/** The pages on which a component stands, as a page of its own where there is none. */
function pagesWith(model: Model, component: string): Page[] {
  const ids = new Set(
    [...model.components.values()].filter((one) => isNamed(one.name, component) && one.role !== 'root').map((one) => one.id),
  );
  const pages = model.pages.filter((page) => unfold(model, page).places.some((place) => ids.has(place.component)));
  if (pages.length > 0) return pages;
  return [...ids].flatMap((id): Page[] => {
    const own = model.components.get(id);
    return own ? [{ id, name: own.name, file: own.file, path: '', entry: id, chain: [], above: 'unknown', why: 'alone' }] : [];
  });
}

function inComponent(
  model: Model,
  ask: Ask,
  { component, name, parent }: Extract<NamedValue, { component: string }>,
  flowOf: (page: Page) => FlowQueries,
): readonly Asked[] | Unasked {
  const pages = pagesWith(model, component);
  if (pages.length === 0) {
    const names = [...new Set([...model.components.values()].flatMap((one) => (one.role === 'component' ? [one.name] : [])))];
    return { wrong: `There is no component ${component}.${nearNames(component, names)}` };
  }
  const stands = pages.flatMap((page) => {
    const flow = flowOf(page);
    return placesNamed(flow.graph, component, parent).map((place) => ({ flow, place }));
  });
  if (stands.length === 0) return { wrong: `${component} stands nowhere below ${parent ?? ''}.` };
  const found = stands.slice(0, mostPlaces).flatMap(({ flow, place }) => {
    const spots = ask === 'answers' ? takesNamed(flow.graph, place, name) : spotsNamed(flow.graph, place, name);
    return spots.map((spot): Asked => ({ flow, spot }));
  });
  if (found.length > 0) return found;
  const [first] = stands;
  if (ask === 'answers') {
    const taken = first ? [...new Set(namesTaken(first.flow.graph, first.place))] : [];
    return { wrong: `${component} takes no context ${name}.${taken.length > 0 ? ` It takes ${quoted(taken)}.` : ''}` };
  }
  const names = first ? namesIn(framesAt(first.flow.graph, first.place)) : [];
  return { wrong: `${component} has no ${name}.${nearNames(name, names)}` };
}

function inFile(
  model: Model,
  { file, name }: Extract<NamedValue, { file: string }>,
  flowOf: (page: Page) => FlowQueries,
): readonly Asked[] | Unasked {
  const path = [...model.files.keys()].find((one) => one === file || one === file.replace(/^\.\//, ''));
  if (path === undefined) {
    const end = file.split('/').at(-1) ?? file;
    const alike = [...model.files.keys()].filter((one) => one.endsWith(`/${end}`) || one.startsWith(file)).slice(0, 5);
    return { wrong: `There is no file ${file} among those that were read.${alike.length > 0 ? ` Near to it: ${quoted(alike)}.` : ''}` };
  }
  const own = [...model.components.values()].find((one) => one.file === path && one.name === name);
  const flows = model.pages.map(flowOf);
  const found = flows.slice(0, mostPlaces).flatMap((flow) => spotsOfFile(flow.graph, path, name).map((spot): Asked => ({ flow, spot })));
  if (found.length > 0) return found;
  const inComponents = [...model.components.values()]
    .filter((one) => one.file === path)
    .flatMap((one): readonly Asked[] => {
      const asked = inComponent(model, 'goes', { component: one.name, name }, flowOf);
      return 'wrong' in asked ? [] : asked;
    });
  if (inComponents.length > 0) return inComponents;
  const [flow] = flows;
  if (!flow) return { wrong: 'There is no page in the project, so there is nothing to trace.' };
  const names = namesIn(flow.graph.frames.filter((frame) => frame.file === path));
  return {
    wrong: own ? `${name} is a component; ask of a name in it: ${name}.name.` : `${path} declares no ${name}.${nearNames(name, names)}`,
  };
}

/** A trace with only what hears an event: who catches it, hands it on or hears it on a channel; where nobody does, the raise. */
const isHearing = ({ kind, ending, from }: Rung): boolean =>
  from < 0 || ['catches', 'relays', 'hears'].includes(kind) || ending === 'unheard';

/** The rungs of hearing that lead on from each other: what becomes of a state that was changed on the way is another question. */
function hearingRungs({ rungs }: Trace): Rung[] {
  const beyond = new Set<number>();
  for (const { index, from, kind } of rungs) if (beyond.has(from) || (from >= 0 && kind === 'changes')) beyond.add(index);
  return rungs.filter((rung) => isHearing(rung) && !beyond.has(rung.index));
}

function tracesOf(
  of: string,
  ask: Exclude<Ask, 'answers'>,
  asked: readonly Asked[],
  textOf: (file: FilePath) => string | undefined,
  lineOf: LineOf,
): Answered {
  const rungs: RungEntry[] = [];
  const again: RungEntry[] = [];
  const ends: { why: string; file: FilePath; line: number }[] = [];
  const texts: string[] = [];
  const seen = new Set<string>();
  let truncated = false;
  for (const { flow, spot } of asked) {
    const trace = traceOf(flow, spot, ask === 'hears' ? 'goes' : ask);
    const shown = ask === 'hears' ? { ...trace, rungs: hearingRungs(trace) } : trace;
    const text = traceText(shown, (rung) => lineShown(rung.code[0], textOf, lineOf));
    truncated ||= trace.truncated;
    if (seen.has(text)) continue;
    seen.add(text);
    texts.push(text);
    const isInVain = (rung: Rung): boolean => rung.by === 'impact' && rung.ending !== 'painted' && rung.from >= 0;
    const entries = rungEntries(flow.graph, trace, shown.rungs, lineOf, isInVain);
    append(rungs, entries.of);
    append(again, entries.again);
    append(ends, endsOf(shown.rungs, lineOf));
  }
  const entry = { of, ask, rungs, ...(again.length > 0 ? { again } : {}), ends, ...(truncated ? { truncated: true as const } : {}) };
  return { entry, text: texts.join('\n') };
}

/** The rungs of a trace as they leave Liana; apart from them those that run again in vain. */
function rungEntries(
  graph: Graph,
  trace: Trace,
  shown: readonly Rung[],
  lineOf: LineOf,
  isInVain: (rung: Rung) => boolean,
): { of: RungEntry[]; again: RungEntry[] } {
  const depths: number[] = [];
  for (const { index, from } of trace.rungs) depths[index] = from < 0 ? 0 : (depths[from] ?? 0) + 1;
  const { components } = graph.model;
  const written = shown.map((rung) => rung.code.map((at) => writerOf(graph, at)));
  const writers = new Set(written.flat().map((one) => one?.id));
  const entriesOf = (rung: Rung, index: number): RungEntry[] => {
    const there = rung.component === undefined ? undefined : components.get(rung.component);
    const depth = depths[rung.index] ?? 0;
    const entries = rung.code.map((at, number): RungEntry => {
      const own = there?.facts.files?.includes(at.file) ? there : (written[index]?.[number] ?? there);
      const to = own && there && there !== own ? there.name : undefined;
      return {
        depth,
        ...(own ? { component: own.name } : {}),
        ...(to === undefined ? {} : { to }),
        name: rung.name,
        file: at.file,
        line: lineOf(at.file, at.start),
        how: rung.kind,
        text: rungText(rung, trace.question),
      };
    });
    // A component that does nothing with what it is given has no other line.
    const isSilent = there?.role === 'component' && !writers.has(there.id) && entries.some((one) => one.to === there.name);
    if (!there || !isSilent) return entries;
    writers.add(there.id);
    const { file, facts } = there;
    return [
      ...entries,
      {
        depth: depth + 1,
        component: there.name,
        name: rung.name,
        file,
        line: lineOf(file, facts.nameSpan.start),
        how: 'arrives',
        text: 'arrives',
      },
    ];
  };
  const all = shown.map((rung, index) => ({ rung, entries: entriesOf(rung, index) }));
  return {
    of: all.flatMap(({ rung, entries }) => (isInVain(rung) ? [] : entries)),
    again: all.flatMap(({ rung, entries }) => (isInVain(rung) ? entries : [])),
  };
}

/** The component in whose code a place stands; undefined for code of a module. */
function writerOf({ model }: Graph, at: Location): Component | undefined {
  let found: Component | undefined;
  for (const component of model.components.values()) {
    const { span, files } = component.facts;
    if (component.role !== 'component') continue;
    if (component.file !== at.file) {
      if (files?.includes(at.file) && !found) found = component;
      continue;
    }
    if (span.start > at.start || span.end < at.end) continue;
    if (!found || found.file !== at.file || found.facts.span.end - found.facts.span.start > span.end - span.start) found = component;
  }
  return found;
}

const endsOf = (rungs: readonly Rung[], lineOf: LineOf): { why: string; file: FilePath; line: number }[] =>
  rungs.flatMap(({ ending, code }) => {
    const [at] = code;
    return ending === undefined || ending === 'again' || !at ? [] : [{ why: ending, file: at.file, line: lineOf(at.file, at.start) }];
  });

function lineShown(
  at: Location | undefined,
  textOf: (file: FilePath) => string | undefined,
  lineOf: LineOf,
): { line: number; text: string } {
  if (!at) return { line: 1, text: '' };
  const line = lineOf(at.file, at.start);
  return { line, text: (textOf(at.file) ?? '').split(/\r\n|\r|\n/)[line - 1] ?? '' };
}

/** Where a subscription is made: of a hook that is told the name of the event, where it is called. */
function listensAt(graph: Graph, { frame, hear }: Hearer): { readonly frame: Frame; readonly at: Span } {
  const from = frame.caller && hear.channel.held ? graph.frames[frame.caller.frame] : undefined;
  const call = from?.body.values[frame.caller?.value ?? -1];
  return from && call ? { frame: from, at: call.span } : { frame, at: hear.span };
}

/** Collects who hears what actions send under a name. */
type Hearing = {
  /** What an action sends under the name, who hears it, and what of these sends it on. */
  readonly follow: (flow: FlowQueries, frame: Frame, action: number, depth: number) => void;
  /** The answer; undefined where nothing is sent under the name. */
  readonly answer: (of: string, ask: Ask) => Answered | undefined;
};

function makeHearing(name: string, lineOf: LineOf): Hearing {
  const rungs = new Map<string, RungEntry>();
  const seen = new Set<string>();
  const add = (depth: number, frame: Frame, span: Span, how: string, text: string): void => {
    const own = frame.component?.name;
    const { file, start } = locate(frame.file, span);
    rungs.set(`${how} ${file} ${start}`, {
      depth,
      ...(own === undefined ? {} : { component: own }),
      name,
      file,
      line: lineOf(file, start),
      how,
      text,
    });
  };
  const follow: Hearing['follow'] = (flow, frame, action, depth) => {
    const { graph } = flow;
    const key = `${graph.tree.page} ${frame.index} ${action}`;
    if (seen.has(key)) return;
    seen.add(key);
    for (const send of frame.body.actions[action]?.sends ?? []) {
      const keys = channelKeys(graph, frame, send.channel).filter((one) => one.endsWith(` ${name}`));
      if (keys.length === 0) continue;
      add(depth, frame, send.span, 'publishes', `sends ${name}`);
      for (const hearer of keys.flatMap((one) => channelsOf(graph).hearers.get(one) ?? [])) {
        if (!reaches(graph, { frame, action, send }, hearer)) continue;
        const there = listensAt(graph, hearer);
        add(depth + 1, there.frame, there.at, 'hears', `hears ${name}`);
        for (const run of runsOnHearing(flow, hearer)) {
          const facts = run.kind === 'action' ? run.frame.body.actions[run.action] : undefined;
          if (run.kind !== 'action' || !facts) continue;
          add(depth + 2, run.frame, facts.span, 'catches', `caught by ${run.name}`);
          for (const change of facts.changes)
            add(depth + 3, run.frame, change.span, 'changes', `changes ${run.frame.body.values[change.value]?.name ?? ''}`);
          // What it brought goes on under another name.
          const params = run.frame.body.values.flatMap((one, at) => (one.kind === 'param' && one.of === run.action ? [at] : []));
          for (const other of facts.sends)
            if (other.channel.event !== name && other.args.some(({ readings }) => readings.some(({ value }) => params.includes(value))))
              add(depth + 3, run.frame, other.span, 'relays', `sends ${other.channel.event ?? ''}`);
          follow(flow, run.frame, run.action, depth + 3);
        }
      }
    }
  };
  const answer: Hearing['answer'] = (of, ask) => {
    if (rungs.size === 0) return undefined;
    const all = [...rungs.values()];
    const isHeard = all.some(({ how }) => how === 'hears');
    const ends = isHeard ? [] : all.map(({ file, line }) => ({ why: 'unheard', file, line }));
    const lines = all.map((rung) => `${'  '.repeat(rung.depth)}${rung.component ?? rung.file} (${rung.file}:${rung.line}): ${rung.text}`);
    return { entry: { of, ask, rungs: all, ends }, text: `${[...lines, ...(isHeard ? [] : ['Nobody hears it.'])].join('\n')}\n` };
  };
  return { follow, answer };
}

/** Who hears what a component sends beside its props, on the document, along the page or on a channel; undefined where it sends nothing of that name. */
function heardElsewhere(
  { of, asked }: { readonly of: string; readonly asked: Ask },
  model: Model,
  { component, name, parent }: Extract<NamedValue, { component: string }>,
  flowOf: (page: Page) => FlowQueries,
  lineOf: LineOf,
): Answered | undefined {
  const hearing = makeHearing(name, lineOf);
  for (const flow of pagesWith(model, component).map(flowOf))
    for (const place of placesNamed(flow.graph, component, parent))
      for (const frame of framesAt(flow.graph, place)) frame.body.actions.forEach((_, action) => hearing.follow(flow, frame, action, 0));
  return hearing.answer(of, asked);
}

/** Who hears what a module sends; undefined where it sends nothing of that name. */
function heardOfFile(
  of: string,
  model: Model,
  { file, name }: Extract<NamedValue, { file: string }>,
  flowOf: (page: Page) => FlowQueries,
  lineOf: LineOf,
): Answered | undefined {
  const hearing = makeHearing(name, lineOf);
  for (const flow of model.pages.slice(0, mostPlaces).map(flowOf))
    for (const frame of flow.graph.frames)
      if (frame.file === file) frame.body.actions.forEach((_, action) => hearing.follow(flow, frame, action, 0));
  return hearing.answer(of, 'hears');
}

/** Who answers for a context at each place that was asked of. */
function answersOf(of: string, model: Model, asked: readonly Asked[], lineOf: LineOf): Answered {
  const rungs: RungEntry[] = [];
  const ends: { why: string; file: FilePath; line: number }[] = [];
  const texts = asked.map(({ flow: { graph }, spot }) => {
    const frame = graph.frames[spot.frame];
    const value = valueOf(graph, spot);
    const meant = frame && value?.source !== undefined ? graph.named(frame, value.source) : undefined;
    const answer = frame && meant?.kind === 'context' ? whoAnswers(model, graph.tree, frame.place, meant.id, value?.asks) : undefined;
    if (!frame || !value || !answer) return '';
    const name = contextName(answer.context);
    const taken = locate(frame.file, value.span);
    const taker: RungEntry = {
      depth: 0,
      ...(frame.component ? { component: frame.component.name } : {}),
      name: value.name,
      file: taken.file,
      line: lineOf(taken.file, taken.start),
      how: 'takes',
      text: `takes ${name}`,
    };
    rungs.push(taker);
    const answering = answer.chain.find((one) => one.provides === 'answers');
    if (answering?.at) {
      const { at } = answering;
      const component = graph.frames[answering.place]?.component?.name;
      const line = lineOf(at.file, at.start);
      rungs.push({
        depth: 1,
        ...(component === undefined ? {} : { component }),
        name,
        file: at.file,
        line,
        how: 'provides',
        text: `${answering.name} answers`,
      });
      return `${taker.component ?? ''} takes ${name} (${taker.file}:${taker.line}): ${answering.name} answers (${at.file}:${line}).\n`;
    }
    if (answer.fallback === 'given') {
      const { file, start } = answer.declared;
      rungs.push({ depth: 1, name, file, line: lineOf(file, start), how: 'provides', text: `${name} answers by itself` });
    }
    const why = answer.fallback === 'given' ? 'default' : answer.sheltered ? 'unknown' : 'ungiven';
    ends.push({ why, file: taker.file, line: taker.line });
    const words = {
      default: 'nobody provides it, so it gets the default',
      unknown: 'who answers cannot be seen',
      ungiven: 'nobody provides it',
    };
    return `${taker.component ?? ''} takes ${name} (${taker.file}:${taker.line}): ${words[why]}.\n`;
  });
  return { entry: { of, ask: 'answers', rungs, ends }, text: [...new Set(texts)].join('') };
}
