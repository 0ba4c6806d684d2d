import type { Question, Rung, Spot, Trace, FlowQueries } from '../../core/src/flow';
import { makeFlowQueries, traceOf, valueNamed } from '../../core/src/flow';
import { unfold } from '../../core/src/tree';
import { analyseFiles, type Files, pageNamed } from './project';

/** A small project of one file, mounted. */
export function mounted(app: string, more: Files = {}): Files {
  return { 'src/App.tsx': app, 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);", ...more };
}

/** The answers about the page `App` of some files. */
export function waysOf(files: Files, page = 'App'): FlowQueries {
  const { model } = analyseFiles(files);
  return makeFlowQueries(model, unfold(model, pageNamed(model, page)));
}

/** `App.passages`, `useQueue.items`, `levels.ts:levels.boat`, `Row.onPick`, `Row[1].boat` for the second place. */
export function spotNamed(ways: FlowQueries, name: string): Spot {
  const [, home = '', nth, separator = '', value = '', part = ''] =
    /^([^.:[]+(?:(?:\.\w+)+(?=:))?)(?:\[(\d+)\])?([.:])([^.]+)(.*)$/.exec(name) ?? [];
  const frames = ways.graph.frames.filter((frame) =>
    separator === ':'
      ? frame.kind === 'module' && frame.file.endsWith(home)
      : frame.name === home && frame.kind !== 'module' && frame.body.values.length > 0,
  );
  const frame = frames[Number(nth ?? 0)];
  const index = frame ? valueNamed(frame.body, value) : -1;
  const fallback = frame ? frame.body.values.findIndex((one) => one.name === value) : -1;
  const found = index >= 0 ? index : fallback;
  if (!frame || found < 0)
    throw new Error(
      `Nothing is named ${name}: ${ways.graph.frames.map((one) => `${one.name}(${one.body.values.map((each) => each.name).join(' ')})`).join(', ')}`,
    );
  return { frame: frame.index, value: found, track: part === '' ? [] : part.slice(1).split('.') };
}

/** A trace as indented lines: who, what happens, the name, and why it ends. */
export function traceLines(trace: Trace): string[] {
  return trace.rungs.map((rung) => `${'  '.repeat(rung.lane)}${lineOf(rung)}`);
}

function lineOf(rung: Rung): string {
  const who = rung.within === undefined ? rung.who : `${rung.within}/${rung.who}`;
  const times = rung.code.length > 1 ? ` ×${rung.code.length}` : '';
  return `${who} ${rung.kind}${rung.unread ? ' unread' : ''} ${rung.name}${rung.ending === undefined ? '' : ` | ${rung.ending}${endText(rung)}`}${times}`;
}

function endText(rung: Rung): string {
  return rung.by === undefined || rung.by === '' || rung.ending === 'painted' || rung.ending === 'read' ? '' : ` ${rung.by}`;
}

/** The lines of one trace of a small project. */
export function tracedIn(files: Files, name: string, question: Question): string[] {
  const ways = waysOf(files);
  return traceLines(traceOf(ways, spotNamed(ways, name), question));
}

/** A small project, what is asked of it, and the rungs that answer. */
export type TraceCase = {
  readonly name: string;
  readonly files: Files;
  /** As `spotNamed` understands it. */
  readonly of: string;
  readonly ask: Question;
  readonly rungs: readonly string[];
};
