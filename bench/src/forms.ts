import { check, type Finding, lineAt, lineStarts, link, loadCompilers, makeTraceWriter, readFile } from '@liana/core';
import { flowForms } from './forms/flows';
import type { Files, Form } from './forms/form';
import { reactForms } from './forms/react';
import { makeRunner, type Runner, startedFiles } from './forms/run';
import { svelteForms } from './forms/svelte';
import { vueForms } from './forms/vue';

const all: Readonly<Record<string, readonly Form[]>> = { react: reactForms, vue: vueForms, svelte: svelteForms };

/** How far from its mark a finding may stand, in lines. */
const near = 3;

type Marked = { readonly files: Files; readonly marks: readonly { readonly file: string; readonly line: number }[] };

/** The files without their marks, and where these stood. */
function unmarked(files: Files): Marked {
  const marks = Object.entries(files).flatMap(([file, text]) =>
    [...text.matchAll(/¶/g)].map(({ index }) => ({ file: `src/${file}`, line: text.slice(0, index).split('\n').length })),
  );
  return { files: Object.fromEntries(Object.entries(files).map(([file, text]) => [file, text.replaceAll('¶', '')])), marks };
}

function findingsOf(framework: string, files: Files): { readonly finding: Finding; readonly places: { file: string; line: number }[] }[] {
  const texts = new Map(Object.entries(startedFiles(framework, files)).map(([file, text]) => [`src/${file}`, text]));
  const facts = new Map([...texts].map(([file, text]) => [file, readFile(file, text)]));
  return check(link(facts, [])).map((finding) => ({
    finding,
    places: [finding.at, ...finding.evidence.map(({ at }) => at)].map(({ file, start }) => ({
      file,
      line: lineAt(lineStarts(texts.get(file) ?? ''), start),
    })),
  }));
}

const [only, ...words] = process.argv.slice(2).filter((one) => !one.startsWith('--'));
const isRun = process.argv.includes('--run');
await loadCompilers(['a.vue', 'a.svelte']);
for (const [framework, forms] of Object.entries(all)) {
  if (only !== undefined && only !== framework) continue;
  const runner: Runner | undefined = isRun ? await makeRunner(framework) : undefined;
  const sum = { found: 0, wrong: 0, judged: 0, confirmed: 0 };
  const chosen = forms.filter(({ rule, form }) => words.every((word) => rule.includes(word) || form.includes(word)));
  for (const [index, { rule, form, files, sound, or = [], acts = [], unseen }] of chosen.entries()) {
    const { files: faulty, marks } = unmarked(files);
    const mended = { ...faulty, ...sound };
    const isMeant = ({ finding, places }: ReturnType<typeof findingsOf>[number]): boolean =>
      (finding.rule === rule || or.includes(finding.rule)) &&
      places.some((place) => marks.some((mark) => mark.file === place.file && Math.abs(mark.line - place.line) <= near));
    const said = findingsOf(framework, faulty);
    const meant = said.find(isMeant);
    // Of what is mended nothing may be said, and of what is not nothing else that calls it a fault.
    const wrong = [
      ...findingsOf(framework, mended).filter(({ finding }) => finding.rule === rule || finding.severity !== 'tidy'),
      ...said.filter((one) => one !== meant && one.finding.severity === 'fault' && !isMeant(one)),
    ];
    if (meant) sum.found++;
    if (wrong.length > 0) sum.wrong++;
    let judged = '';
    if (runner && !unseen) {
      sum.judged++;
      const bad = await runner.run(`${index}-faulty`, faulty, acts);
      const good = await runner.run(`${index}-mended`, mended, acts);
      const more = bad.said.filter((one) => !good.said.includes(one));
      const isSeen = more.length > 0 || bad.page !== good.page;
      if (isSeen) sum.confirmed++;
      if (!isSeen || good.said.length > 0)
        judged = `; a run shows ${isSeen ? 'it' : 'no difference'}${good.said.length > 0 ? `, and says of what is mended: ${good.said.join(' | ')}` : ''}`;
    }
    if (!meant || wrong.length > 0 || judged !== '')
      console.log(
        `${framework} ${rule}, ${form}: ${meant ? 'found' : `NOT FOUND (said: ${said.map(({ finding }) => `${finding.rule} ${finding.subject}`).join(', ') || 'nothing'})`}${wrong.length > 0 ? `; WRONG: ${wrong.map(({ finding }) => `${finding.rule} ${finding.subject}`).join(', ')}` : ''}${judged}`,
      );
  }
  await runner?.close();
  console.log(
    `${framework}: ${sum.found} of ${chosen.length} forms found, ${sum.wrong} with a wrong claim${isRun ? `; a run shows ${sum.confirmed} of the ${sum.judged} that can be seen` : ''}`,
  );
}

/** How far from its mark a rung may stand, in lines, as the labelled cases have it. */
const nearRung = 2;

const marked = /[⓪①②③④⑤]/g;

/** Questions of flow: all that must be in the answer, and nothing of what must not. */
let answered = 0;
const questions = flowForms.filter(
  ({ framework, form }) => (only === undefined || only === framework || only === 'flows') && words.every((word) => form.includes(word)),
);
for (const { framework, form, files, ask } of questions) {
  const marks = Object.entries(files).flatMap(([file, text]) =>
    [...text.matchAll(marked)].map(({ 0: mark, index }) => ({ mark, file: `src/${file}`, line: text.slice(0, index).split('\n').length })),
  );
  const texts = new Map(
    Object.entries(startedFiles(framework, files)).map(([file, text]) => [`src/${file}`, text.replaceAll(marked, '')] as const),
  );
  const model = link(new Map([...texts].map(([file, text]) => [file, readFile(file, text)])), []);
  const lineOf = (file: string, offset: number): number => lineAt(lineStarts(texts.get(file) ?? ''), offset);
  const answer = makeTraceWriter(model, (file) => texts.get(file), lineOf).ask(ask.replace(/:(?=[\w.]+#)/, ':src/'));
  const rungs = 'entry' in answer ? answer.entry.rungs : [];
  const isIn = ({ file, line }: { readonly file: string; readonly line: number }): boolean =>
    rungs.some((rung) => rung.file === file && Math.abs(rung.line - line) <= nearRung);
  const lacks = marks.filter((one) => one.mark !== '⓪' && !isIn(one));
  const sloppy = marks.filter((one) => one.mark === '⓪' && isIn(one));
  if (lacks.length + sloppy.length === 0) answered++;
  else
    console.log(
      `${framework} ${ask}, ${form}: lacks ${lacks.map(({ mark }) => mark).join(' ') || 'nothing'}, has ${sloppy.length} too many${'entry' in answer ? '' : `; ${answer.wrong}`}\n    ${rungs.map((rung) => `${rung.how} ${rung.component ?? ''} ${rung.file}:${rung.line}`).join('\n    ')}`,
    );
}
console.log(`flows: ${answered} of ${questions.length} questions answered`);
