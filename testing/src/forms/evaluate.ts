import { type Finding, lineAt, lineStarts, makeTraceWriter } from '../../../core/src';
import { analyseFiles } from '../project';
import type { Files, Form } from './form';
import type { FlowForm } from './flows';

/** How far from its mark a finding may stand, in lines. */
const near = 3;

/** How far from its mark a line of a trace may stand, in lines, as the labelled cases have it. */
const nearRung = 2;

const marks = /[¶⓪①②③④⑤]/g;

const starts: Readonly<Record<string, (app: string) => string>> = {
  react: (app) =>
    `import { createElement } from 'react'; import { createRoot } from 'react-dom/client'; import App from './${app}'; createRoot(document.getElementById('app')).render(createElement(App));`,
  vue: (app) =>
    `import { createApp } from 'vue'; import { createPinia } from 'pinia'; import App from './${app}'; createApp(App).use(createPinia()).mount('#app');`,
  svelte: (app) => `import { mount } from 'svelte'; import App from './${app}'; mount(App, { target: document.getElementById('app') });`,
};

/** The files of a form with the one that starts it, as a project has them; as they are where a form brings its own. */
export function startedFiles(framework: string, files: Files): Files {
  const start = starts[framework];
  if (!start) return files;
  const app = Object.keys(files).find((file) => /^App\./.test(file)) ?? '';
  return { ...files, [framework === 'react' ? 'main.jsx' : 'main.js']: start(app) };
}

/** Where a file of a form is analysed: below `src` where the start is made for it. */
const placed = (framework: string, file: string): string => (starts[framework] ? `src/${file}` : file);

/** The files as they are analysed, without marks. */
function textsOf(framework: string, files: Files): ReadonlyMap<string, string> {
  return new Map(
    Object.entries(startedFiles(framework, files)).map(([file, text]) => [placed(framework, file), text.replaceAll(marks, '')]),
  );
}

type Mark = { readonly mark: string; readonly file: string; readonly line: number };

function marksIn(framework: string, files: Files): Mark[] {
  return Object.entries(files).flatMap(([file, text]) =>
    [...text.matchAll(marks)].map(({ 0: mark, index }) => ({
      mark,
      file: placed(framework, file),
      line: text.slice(0, index).split('\n').length,
    })),
  );
}

type Said = { readonly finding: Finding; readonly places: readonly { readonly file: string; readonly line: number }[] };

function saidOf(framework: string, files: Files): Said[] {
  const texts = textsOf(framework, files);
  return analyseFiles(Object.fromEntries(texts)).findings.map((finding) => ({
    finding,
    places: [finding.at, ...finding.evidence.map(({ at }) => at)].map(({ file, start }) => ({
      file,
      line: lineAt(lineStarts(texts.get(file) ?? ''), start),
    })),
  }));
}

/** A fault without its marks, and mended. */
export const faultyFiles = ({ files }: Form): Files =>
  Object.fromEntries(Object.entries(files).map(([file, text]) => [file, text.replaceAll(marks, '')]));
export const mendedFiles = (form: Form): Files => ({ ...faultyFiles(form), ...form.sound });

/** Whether a fault is found where it stands, what else is said of it, and what is said wrongly: of the mended too, or another fault. */
export function evaluate(
  framework: string,
  form: Form,
): { readonly found: boolean; readonly said: readonly string[]; readonly wrong: readonly string[] } {
  const { rule, or = [] } = form;
  const at = marksIn(framework, form.files);
  const said = saidOf(framework, form.files);
  const isMeant = ({ finding, places }: Said): boolean =>
    (finding.rule === rule || or.includes(finding.rule)) &&
    places.some((place) => at.some((mark) => mark.file === place.file && Math.abs(mark.line - place.line) <= near));
  const wrong = [
    ...(Object.keys(form.sound).length ? saidOf(framework, mendedFiles(form)) : []).filter(
      ({ finding }) => finding.rule === rule || finding.severity !== 'tidy',
    ),
    ...said.filter((one) => one.finding.severity === 'fault' && !isMeant(one)),
  ];
  const inWords = ({ finding }: Said): string => `${finding.rule} ${finding.subject}`;
  return { found: said.some(isMeant), said: said.map(inWords), wrong: wrong.map(inWords) };
}

/** What an answer lacks of what it must hold, and how much it holds of what it must not; `rungs` are its lines. */
export function answerTo({ framework, files, ask }: FlowForm): {
  readonly lacks: readonly string[];
  readonly tooMany: number;
  readonly rungs: readonly string[];
} {
  const texts = textsOf(framework, files);
  const { model } = analyseFiles(Object.fromEntries(texts));
  const lineOf = (file: string, offset: number): number => lineAt(lineStarts(texts.get(file) ?? ''), offset);
  const answer = makeTraceWriter(model, (file) => texts.get(file), lineOf).ask(
    starts[framework] ? ask.replace(/:(?=[\w.]+#)/, ':src/') : ask,
  );
  const rungs = 'entry' in answer ? answer.entry.rungs : [];
  const isIn = ({ file, line }: Mark): boolean => rungs.some((rung) => rung.file === file && Math.abs(rung.line - line) <= nearRung);
  const at = marksIn(framework, files);
  return {
    lacks: at.filter((one) => one.mark !== '⓪' && !isIn(one)).map(({ mark }) => mark),
    tooMany: at.filter((one) => one.mark === '⓪' && isIn(one)).length,
    rungs: 'entry' in answer ? rungs.map((rung) => `${rung.how} ${rung.component ?? ''} ${rung.file}:${rung.line}`) : [answer.wrong],
  };
}
