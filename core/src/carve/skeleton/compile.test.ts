import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import * as vue from '@vue/compiler-sfc';
import * as svelte from 'svelte/compiler';
import { afterAll, describe, expect, test } from 'vitest';
import { demoPage, drawnPlan, drawnPlans, filesOf, planOf } from '../../../../testing/src/carve';
import { markedPages } from '../../../../testing/src/pages';

// Within the repository, so that the types of React are found as in any project.
const root = fileURLToPath(new URL('../../../../node_modules', import.meta.url));
const out = mkdtempSync(path.join(root, '.skeletons-'));
afterAll(() => rmSync(out, { recursive: true }));

const odd = `<main style="--wide: 3; background: url('a;b.png'); margin-top: 2px" onclick="alert(1)"><p>Braces { } and &lt;tags&gt; &amp; "quotes" 'single' \\ back</p>
  <label for="a" class="x">A</label><input id="a" value="v" checked readonly maxlength="3" tabindex="-1" autocomplete="off"><textarea rows="2">a { b }</textarea>
  <select><option selected>1</option><option>2</option></select><table bgcolor="red"><tr><td colspan="2" align="left" nowrap>x</td></tr></table>
  <svg viewBox="0 0 1 1" stroke-width="2" xmlns="http://www.w3.org/2000/svg"><path d="M0 0" fill-rule="evenodd"/><linearGradient id="g" gradientUnits="userSpaceOnUse"><stop offset="0" stop-color="red"/></linearGradient></svg>
  <tide-table at="noon"><b>x</b></tide-table><pre>
  two  spaces
</pre><img src="a.png" alt="" width="10"><br>&nbsp;<details open><summary>s</summary></details><a href="javascript:alert(1)">j</a></main>`;

const plans = [
  planOf({ TodayPage: demoPage('today'), LockPage: demoPage('lock'), RosterPage: demoPage('roster') }),
  ...Object.values(markedPages).map((html) => planOf({ SomePage: html })),
  planOf({ OddPage: odd }),
  ...drawnPlans.map(([, outline, values]) => ({ plan: drawnPlan(outline, values), pages: new Map<never, never>() })),
];

/** What Vue’s compiler says against a component. */
function vueErrors(file: string, text: string): string[] {
  const { descriptor, errors } = vue.parse(text, { filename: file });
  if (errors.length > 0) return errors.map(String);
  const script = descriptor.scriptSetup ? vue.compileScript(descriptor, { id: file, inlineTemplate: false }) : undefined;
  const template = vue.compileTemplate({
    source: descriptor.template?.content ?? '',
    filename: file,
    id: file,
    compilerOptions: {
      isCustomElement: (tag) => tag.includes('-'),
      ...(script?.bindings ? { bindingMetadata: script.bindings } : {}),
      expressionPlugins: ['typescript'],
    },
  });
  return [...template.errors.map(String), ...template.tips];
}

/** What Svelte’s compiler says against a component; who can be reached by keyboard is not the skeleton’s to know. */
const svelteErrors = (file: string, text: string): string[] =>
  svelte
    .compile(text, { filename: file, runes: true })
    .warnings.filter((one) => !/^(a11y_|element_implicitly_closed)/.test(one.code))
    .map((one) => one.message);

describe.each([
  ['vue', vueErrors],
  ['svelte', svelteErrors],
] as const)('the skeletons of very different plans in %s', (framework, errorsOf) => {
  test.each(plans.map((one, index) => [index, one] as const))('plan %i compiles without a word', (_, { plan, pages }) => {
    const files = filesOf(plan, pages, framework).filter(({ file }) => file.endsWith(`.${framework}`));
    expect(files.length).toBeGreaterThan(0);
    expect(files.flatMap(({ file, text }) => errorsOf(file, text).map((error) => `${file}: ${error}\n${text}`))).toEqual([]);
  });
});

test('the skeletons of very different plans have no type error', () => {
  plans.forEach(({ plan, pages }, index) => {
    for (const { file, text } of filesOf(plan, pages)) {
      const target = path.join(out, `plan-${index}`, file);
      mkdirSync(path.dirname(target), { recursive: true });
      writeFileSync(target, text);
    }
  });
  const options = {
    target: 'ES2022',
    lib: ['ES2023', 'DOM', 'DOM.Iterable'],
    module: 'ESNext',
    moduleResolution: 'bundler',
    jsx: 'react-jsx',
    strict: true,
    noEmit: true,
    skipLibCheck: true,
    types: ['vite/client'],
  };
  writeFileSync(path.join(out, 'tsconfig.json'), JSON.stringify({ compilerOptions: options, include: ['plan-*/src'] }));
  const tsc = createRequire(import.meta.url).resolve('typescript/bin/tsc');
  const run = (): string => {
    try {
      return execFileSync(process.execPath, [tsc, '-p', out], { encoding: 'utf8' });
    } catch (error) {
      return String((error as { stdout?: unknown }).stdout);
    }
  };
  expect(run()).toBe('');
}, 60_000);
