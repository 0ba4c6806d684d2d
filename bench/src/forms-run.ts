import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { stripVTControlCharacters } from 'node:util';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import vue from '@vitejs/plugin-vue';
import { chromium, type Page } from '@playwright/test';
import { createLogger, createServer, type ViteDevServer } from 'vite';
import { browser as browserOptions } from '../../e2e/browser';
import { startedFiles } from '../../testing/src/forms/evaluate';
import type { Files } from '../../testing/src/forms/form';

/** What a run shows: the text and the fields of the page after all acts, and what the framework says meanwhile. */
export type Shown = { readonly page: string; readonly said: readonly string[] };

/** Runs small applications in development, one at a time. */
export type Runner = {
  readonly run: (name: string, files: Files, acts: readonly string[]) => Promise<Shown>;
  readonly close: () => Promise<void>;
};

const root = fileURLToPath(new URL('../.forms', import.meta.url));

/** Starts a server and a browser for the forms of one framework. */
export async function makeRunner(framework: string): Promise<Runner> {
  rmSync(root, { recursive: true, force: true });
  mkdirSync(root, { recursive: true });
  const said: string[] = [];
  const logger = createLogger('silent');
  const note = (message: string): void => void said.push(stripVTControlCharacters(message).split('\n')[0] ?? '');
  const server: ViteDevServer = await createServer({
    root,
    configFile: false,
    plugins: framework === 'vue' ? [vue()] : framework === 'svelte' ? [svelte({ configFile: false })] : [],
    esbuild: { jsx: 'automatic' },
    customLogger: { ...logger, warn: note, error: note },
    server: { port: 0, host: 'localhost', hmr: false, watch: null },
  });
  await server.listen();
  const base = server.resolvedUrls?.local[0]?.replace(/\/$/, '') ?? '';
  const browser = await chromium.launch(browserOptions.launchOptions);
  const page = await browser.newPage();
  page.on('console', (message) => {
    if (message.type() === 'warning' || message.type() === 'error') said.push(message.text().split('\n')[0] ?? '');
  });
  page.on('pageerror', (error) => said.push(error.message));

  return {
    run: async (name, files, acts) => {
      const folder = path.join(root, name);
      for (const [file, text] of Object.entries(startedFiles(framework, files))) {
        mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
        writeFileSync(path.join(folder, file), text);
      }
      const main = Object.keys(startedFiles(framework, files)).find((file) => file.startsWith('main.')) ?? '';
      writeFileSync(path.join(folder, 'index.html'), `<div id="app"></div><script type="module" src="./${main}"></script>`);
      said.length = 0;
      await page.goto(`${base}/${name}/index.html`, { waitUntil: 'networkidle' });
      for (const act of acts) await doAct(page, act);
      await page.waitForTimeout(60);
      const text = await page.locator('#app').innerText();
      const fields = await page.locator('input').all();
      const shown = [text, ...(await Promise.all(fields.map((one) => one.inputValue())))];
      return { page: shown.join('\n'), said: [...new Set(said)].filter((one) => !/favicon|status of 404/.test(one)) };
    },
    close: async () => {
      await browser.close();
      await server.close();
      rmSync(root, { recursive: true, force: true });
    },
  };
}

async function doAct(page: Page, act: string): Promise<void> {
  const [field = '', text] = act.split('=');
  const wait = { timeout: 1500 };
  // What cannot be clicked shows that something is wrong too: what follows on the page tells.
  if (text !== undefined)
    await page
      .getByLabel(field)
      .first()
      .fill(text, wait)
      .catch(() => undefined);
  else
    await page
      .getByRole('button', { name: act })
      .first()
      .click(wait)
      .catch(() => undefined);
}
