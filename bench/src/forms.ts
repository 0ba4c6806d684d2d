import { loadCompilers } from '@liana/core';
import { angularForms } from '../../testing/src/forms/angular';
import { astroForms } from '../../testing/src/forms/astro';
import { elementsForms } from '../../testing/src/forms/elements';
import { answerTo, evaluate, faultyFiles, mendedFiles } from '../../testing/src/forms/evaluate';
import { flowForms } from '../../testing/src/forms/flows';
import type { Form } from '../../testing/src/forms/form';
import { lwcForms } from '../../testing/src/forms/lwc';
import { newerFlowForms } from '../../testing/src/forms/newer-flows';
import { reactForms } from '../../testing/src/forms/react';
import { svelteForms } from '../../testing/src/forms/svelte';
import { vueForms } from '../../testing/src/forms/vue';
import { makeRunner, type Runner } from './forms-run';

const runnable: Readonly<Record<string, readonly Form[]>> = { react: reactForms, vue: vueForms, svelte: svelteForms };
const all: typeof runnable = { ...runnable, elements: elementsForms, lwc: lwcForms, angular: angularForms, astro: astroForms };

// Which faults are found as people write them: `npm run forms [-- FRAMEWORK WORD …] [--run]`. With `--run` each is run with
// and without the fault, and the framework says whether it is one; those of the newer frameworks are not run.
const [only, ...words] = process.argv.slice(2).filter((one) => !one.startsWith('--'));
const isRun = process.argv.includes('--run');
await loadCompilers(['a.vue', 'a.svelte', 'a.component.html']);

for (const [framework, forms] of Object.entries(all)) {
  if (only !== undefined && only !== framework) continue;
  const runner: Runner | undefined = isRun && framework in runnable ? await makeRunner(framework) : undefined;
  const sum = { found: 0, wrong: 0, judged: 0, confirmed: 0 };
  const chosen = forms.filter(({ rule, form }) => words.every((word) => rule.includes(word) || form.includes(word)));
  for (const [index, form] of chosen.entries()) {
    const { found, said, wrong } = evaluate(framework, form);
    if (found) sum.found++;
    if (wrong.length > 0) sum.wrong++;
    const judged = runner && !form.unseen ? await judge(runner, String(index), form) : undefined;
    if (judged) sum.judged++;
    if (judged?.isSeen) sum.confirmed++;
    const notes = [
      ...(found ? [] : [`not found (said: ${said.join(', ') || 'nothing'})`]),
      ...(wrong.length > 0 ? [`wrong: ${wrong.join(', ')}`] : []),
      ...(judged && !judged.isSeen ? ['a run shows no difference'] : []),
      ...(judged && judged.ofMended.length > 0 ? [`a run says of what is mended: ${judged.ofMended.join(' | ')}`] : []),
    ];
    if (notes.length > 0) console.log(`${framework} ${form.rule}, ${form.form}: ${notes.join('; ')}`);
  }
  await runner?.close();
  console.log(
    `${framework}: ${sum.found} of ${chosen.length} forms found, ${sum.wrong} with a wrong claim${runner ? `; a run shows ${sum.confirmed} of the ${sum.judged} that can be seen` : ''}`,
  );
}

/** Whether a run with the fault differs from one without it: in what it shows, or in what the framework says. */
async function judge(runner: Runner, name: string, form: Form): Promise<{ isSeen: boolean; ofMended: readonly string[] }> {
  const bad = await runner.run(`${name}-faulty`, faultyFiles(form), form.acts ?? []);
  const good = await runner.run(`${name}-mended`, mendedFiles(form), form.acts ?? []);
  const isSeen = bad.page !== good.page || bad.said.some((one) => !good.said.includes(one));
  return { isSeen, ofMended: good.said };
}

const questions = [...flowForms, ...newerFlowForms].filter(
  ({ framework, form }) => (only === undefined || only === framework || only === 'flows') && words.every((word) => form.includes(word)),
);
const answers = questions.map((question) => ({ ...question, ...answerTo(question) }));
const failed = answers.filter(({ lacks, tooMany }) => lacks.length + tooMany > 0);
for (const { framework, ask, form, lacks, tooMany, rungs } of failed)
  console.log(`${framework} ${ask}, ${form}: lacks ${lacks.join(' ') || 'nothing'}, has ${tooMany} too many\n    ${rungs.join('\n    ')}`);
console.log(`flows: ${questions.length - failed.length} of ${questions.length} questions answered`);
