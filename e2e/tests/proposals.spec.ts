import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';
import ts from 'typescript';
import { build } from 'vite';
import { type Finding, isProposed, patchOf, propose } from '@liana/core';
import { readFolder } from '../../cli/src/folder';
import { analyseFolder } from '../../cli/src/report';
import { openHome, zip } from '../sources';
import { type Act, acts, paths } from '../truth/acts';

const repository = fileURLToPath(new URL('../..', import.meta.url));
const host = 'http://localhost:4397';

/** What only the worn demo of React has: the corner where reliefs are asked. */
const askRelief: Act = {
  name: 'a relief is asked',
  in: ['react'],
  page: 'RosterPage',
  component: 'ReliefRow',
  event: 'click',
  act: (page) => page.getByRole('button', { name: 'Ask' }).first().click(),
};

/** A copy of a worn demo that git and the bundler take for a project of its own. */
function copyOf(framework: string): string {
  const copy = mkdtempSync(path.join(tmpdir(), `towpath-${framework}-`));
  cpSync(path.join(repository, 'demo', framework, 'worn'), copy, { recursive: true });
  symlinkSync(path.join(repository, 'node_modules'), path.join(copy, 'node_modules'));
  execFileSync('git', ['init', '-q'], { cwd: copy });
  return copy;
}

const keysOf = (findings: readonly Finding[]): string[] => findings.map((finding) => finding.key).sort();

/** Takes each proposal that can be written as a patch, one after the other, reading again after each; the rules that were answered. */
async function takeProposals(copy: string, rules: readonly string[]): Promise<string[]> {
  const taken: string[] = [];
  for (;;) {
    const folder = await readFolder(copy);
    const { findings, model } = analyseFolder(folder);
    const texts = new Map(folder.sources.map(({ file, text }) => [file, text]));
    const next = findings
      .filter((finding) => rules.includes(finding.rule))
      .flatMap((finding) => {
        const proposal = propose(model, finding, (file) => texts.get(file));
        return proposal && 'edits' in proposal ? [{ finding, edits: proposal.edits }] : [];
      })[0];
    if (!next) return taken;
    execFileSync('git', ['apply', '-'], { cwd: copy, input: patchOf(next.edits, (file) => texts.get(file)) });
    const after = keysOf(analyseFolder(await readFolder(copy)).findings);
    expect(after, `${next.finding.key} is gone, and nothing is new`).toEqual(keysOf(findings.filter((one) => one !== next.finding)));
    taken.push(next.finding.rule);
  }
}

async function built(copy: string): Promise<string> {
  const outDir = path.join(copy, 'built');
  await build({ root: copy, configFile: path.join(copy, 'vite.config.ts'), logLevel: 'error', build: { outDir, minify: false } });
  return outDir;
}

/** What TypeScript says of a copy, without the lines. */
function typeErrors(copy: string): string[] {
  const { config } = ts.readConfigFile(path.join(copy, 'tsconfig.json'), (file) => ts.sys.readFile(file)) as { config: object };
  const { fileNames, options } = ts.parseJsonConfigFileContent(config, ts.sys, copy);
  return ts
    .getPreEmitDiagnostics(ts.createProgram(fileNames, options))
    .map(({ file, messageText }) => `${path.basename(file?.fileName ?? '')}: ${ts.flattenDiagnosticMessageText(messageText, ' ')}`)
    .sort();
}

const types: Readonly<Record<string, string>> = { '.html': 'text/html', '.js': 'text/javascript', '.css': 'text/css' };

/** The markup of a page when it stays the same from one look to the next. */
async function settled(page: Page): Promise<string> {
  for (let last = ''; ;) {
    await page.waitForTimeout(120);
    const now = await page.locator('body').innerHTML();
    if (now === last) return now;
    last = now;
  }
}

/** What a page of a built demo shows after each act; an act that cannot be done says so. */
async function shownAfterActs(page: Page, folder: string, framework: string): Promise<string[]> {
  await page.unrouteAll();
  await page.clock.setFixedTime(new Date('2026-05-04T10:00:00Z'));
  await page.route(`${host}/**`, (route) => {
    const asked = new URL(route.request().url()).pathname;
    const file = asked.startsWith('/assets/') ? asked : '/index.html';
    return route.fulfill({ body: readFileSync(path.join(folder, file)), contentType: types[path.extname(file)] ?? 'text/plain' });
  });
  const shown: string[] = [];
  for (const { name, page: at, in: only, before, act } of [...acts, askRelief]) {
    // A fault of the worn demos throws while that page is rendered: what is left of it to act on is nothing, or not certain.
    if ((only && !only.includes(framework)) || at === 'LockPage') continue;
    await page.mouse.move(0, 0);
    await page.goto('about:blank');
    await page.goto(`${host}${framework === 'svelte' ? '/#' : ''}${paths[at]}`);
    await expect(page.locator('body'), `${framework}, before ${name}`).toHaveText(/\S/, { useInnerText: true });
    const done = await (async () => (await before?.(page), act(page)))().then(
      () => true,
      () => false,
    );
    const html = await settled(page);
    // Comments and scripts show nothing; where an error was thrown tells the names of files.
    const told = html.replace(/<!--[\s\S]*?-->|<(script|pre)[\s\S]*?<\/\1>/g, '');
    shown.push(`${name}: ${done ? '' : 'not possible, '}${told}`);
  }
  return shown;
}

for (const [framework, expected] of [
  ['react', ['markup-repeated', 'prop-idle', 'prop-carried', 'event-relayed']],
  ['vue', ['prop-carried']],
  ['svelte', ['prop-carried']],
] as const) {
  test(`${framework}: with all proposals taken the demo builds, and does what it did`, async ({ page }) => {
    test.setTimeout(240_000);
    page.setDefaultTimeout(6_000);
    const [before, after] = [copyOf(framework), copyOf(framework)];
    const taken = await takeProposals(
      after,
      [...expected].filter((rule) => isProposed(rule)),
    );
    expect([...taken].sort()).toEqual([...expected].sort());
    if (framework === 'react') expect(typeErrors(after)).toEqual(typeErrors(before));
    const [first, second] = [
      await shownAfterActs(page, await built(before), framework),
      await shownAfterActs(page, await built(after), framework),
    ];
    expect(second).toEqual(first);
    expect(first.filter((one) => !one.includes(': not possible, ')).length).toBeGreaterThan(10);
    for (const copy of [before, after]) rmSync(copy, { recursive: true });
  });
}

for (const framework of ['vue', 'svelte'] as const)
  test(`${framework}: repeated markup is taken out in the browser too`, async ({ page }) => {
    const [open, close] = framework === 'vue' ? ['{{ ', ' }}'] : ['{', '}'];
    const facts = (side: string): string =>
      `<dl class="facts" title="${side}"><dt class="fact" id="${side}">${side}</dt><dd title="m" class="value">${open}level${close}</dd><dt class="fact" id="${side}-since">Since</dt><dd title="at" class="value">noon</dd></dl>`;
    const script =
      framework === 'vue' ? "<script setup>\ndefineProps(['level']);\n</script>" : '<script>\n  let { level } = $props();\n</script>';
    const markup = `<section><h2>Levels</h2>${facts('Upper')}<hr />${facts('Lower')}</section>`;
    const part = `${script}\n\n${framework === 'vue' ? `<template>\n  ${markup}\n</template>` : markup}\n`;
    const main = framework === 'vue' ? "createApp(App).mount('#app');" : 'mount(App, { target: document.body });';
    const taken = framework === 'vue' ? "import { createApp } from 'vue';" : "import { mount } from 'svelte';";
    await openHome(page);
    await page
      .getByLabel('Zip archive', { exact: true })
      .setInputFiles(
        zip('levels.zip', { 'src/main.ts': `${taken}\nimport App from './App.${framework}';\n${main}\n`, [`src/App.${framework}`]: part }),
      );
    await page.getByRole('link', { name: /^Findings/ }).click();
    await page
      .getByRole('listbox')
      .getByRole('option', { name: /lines of markup in common/ })
      .click();
    await expect(page.getByText('This is that component, with each place as a use of it. It saves no lines,')).toBeVisible();
    await expect(page.getByLabel('The change')).toContainText(`src/Facts.${framework}, new`);
  });

test('a proposal is shown with its finding, and its patch is one that git takes', async ({ page }) => {
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^PassageQueue/ })).toBeVisible();
  await page.goto('/projects/demo-react-worn/findings?rule=prop-carried');
  await expect(page.getByText('This is the way by a context.')).toBeVisible();
  await expect(page.getByLabel('The change')).toContainText('+      <PassagesContext.Provider value={passages}>');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download it' }).click();
  const copy = copyOf('react');
  execFileSync('git', ['apply', '-'], { cwd: copy, input: readFileSync(await (await coming).path()) });
  expect(analyseFolder(await readFolder(copy)).findings.filter((one) => one.rule === 'prop-carried')).toEqual([]);
  rmSync(copy, { recursive: true });
});
