import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { createServer, type ViteDevServer } from 'vite';
import { analyseFolder } from '../../cli/src/report';
import { readFolder } from '../../cli/src/folder';
import { lwcBuilt, lwcFolder } from '../lwc';

/** What a framework says while it runs, and the finding of Liana that says the same. */
type Told = { readonly says: RegExp; readonly rule: string; readonly subject: string };

const told: Readonly<Record<'vue' | 'svelte', readonly Told[]>> = {
  vue: [
    { says: /Missing required prop: "eta"/, rule: 'prop-missing', subject: 'eta' },
    { says: /Extraneous non-props attributes \(tone\)/, rule: 'prop-unknown', subject: 'tone' },
    { says: /Property "isShut" was accessed during render/, rule: 'name-unknown', subject: 'isShut' },
    { says: /Failed to resolve component: LevelChrat/, rule: 'component-unknown', subject: 'LevelChrat' },
    { says: /injection "Symbol\(keeper\)" not found/, rule: 'context-missing', subject: 'keeperKey' },
  ],
  svelte: [{ says: /Cannot destructure property 'keeper' of/, rule: 'context-missing', subject: 'keeperKey' }],
};

/** What follows from a fault that is told already: the page breaks off. */
const consequences = /No keeper is signed in here|Unhandled error during execution of (?:setup function|component update)/;

const pages = { vue: ['/', '/locks/aldermoor', '/roster'], svelte: ['/#/', '/#/locks/aldermoor', '/#/roster'] };

test.describe.configure({ mode: 'serial' });

for (const framework of ['vue', 'svelte'] as const) {
  for (const edition of ['sound', 'worn']) {
    test(`what ${framework} itself says of the ${edition} demo is found by Liana`, async ({ page }) => {
      const root = fileURLToPath(new URL(`../../demo/${framework}/${edition}`, import.meta.url));
      const server: ViteDevServer = await createServer({
        root,
        configFile: path.join(root, 'vite.config.ts'),
        logLevel: 'silent',
        server: { port: 0, host: 'localhost' },
        cacheDir: path.join(root, '../../../node_modules/.vite-demo', framework, edition),
      });
      await server.listen();
      const said: string[] = [];
      page.on('console', (message) => {
        if (message.type() === 'warning' || message.type() === 'error') said.push(message.text());
      });
      page.on('pageerror', (error) => said.push(error.message));
      try {
        const base = server.resolvedUrls?.local[0]?.replace(/\/$/, '') ?? '';
        for (const one of pages[framework]) {
          await page.goto(`${base}${one}`);
          await page.reload();
          await page.waitForLoadState('networkidle');
        }
      } finally {
        await server.close();
      }
      const { findings } = analyseFolder(await readFolder(root));
      const found = new Set(findings.map((finding) => `${finding.rule} ${finding.subject}`));
      const known = told[framework];
      const unknown = said.filter(
        (one) => !known.some(({ says }) => says.test(one)) && !consequences.test(one) && !/favicon|404/.test(one),
      );
      expect(unknown).toEqual([]);
      for (const { says, rule, subject } of known) {
        expect(
          said.some((one) => says.test(one)),
          String(says),
        ).toBe(edition === 'worn');
        expect(found.has(`${rule} ${subject}`), `${rule} ${subject}`).toBe(edition === 'worn');
      }
      console.log(
        `${framework}, ${edition}: ${new Set(said).size} different things said, ${findings.length} findings`,
        process.env['SAID'] ? [...new Set(said)] : '',
      );
    });
  }
}

/** What the engine of Lightning web components says of the worn demo while it runs: in warning, or by breaking off. */
const toldByLwc: readonly Told[] = [
  { says: /Unknown public property "stauts" of element <c-passage-row>/, rule: 'prop-spelt', subject: 'stauts' },
  { says: /Unknown public property "tone" of element <c-hint-bubble>/, rule: 'prop-unknown', subject: 'tone' },
  { says: /Cannot read properties of undefined \(reading 'name'\)/, rule: 'context-missing', subject: 'keeperrequest' },
  { says: /Cannot read properties of undefined \(reading 'day'\)/, rule: 'prop-missing', subject: 'shift' },
];

for (const edition of ['sound', 'worn']) {
  test(`what the engine of Lightning web components says of the ${edition} demo is found by Liana`, async ({ page }) => {
    test.setTimeout(180_000);
    const root = fileURLToPath(new URL(`../../demo/lwc/${edition}`, import.meta.url));
    const { folder, warnings } = lwcBuilt(lwcFolder(edition, root));
    expect(warnings.trim()).toBe('');
    const said: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'warning' || message.type() === 'error') said.push(message.text());
    });
    page.on('pageerror', (error) => said.push(error.message));
    await page.route('http://localhost:4398/**', (route) => {
      const isScript = new URL(route.request().url()).pathname === '/main.js';
      return route.fulfill({
        body: readFileSync(path.join(folder, isScript ? 'main.js' : 'index.html')),
        contentType: isScript ? 'text/javascript' : 'text/html',
      });
    });
    for (const [address, tag] of [
      ['/', 'c-today-page'],
      ['/locks/quarry', 'c-lock-page'],
      ['/roster', 'c-roster-page'],
    ] as const) {
      await page.goto(`http://localhost:4398${address}`);
      if (edition === 'sound') await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      else await page.locator(tag).waitFor({ state: 'attached' });
      // What a page asks for is there, and painted.
      await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 50))));
    }
    const { findings } = analyseFolder(await readFolder(root));
    const found = new Set(findings.map((finding) => `${finding.rule} ${finding.subject}`));
    expect(said.filter((one) => !toldByLwc.some(({ says }) => says.test(one)))).toEqual([]);
    for (const { says, rule, subject } of toldByLwc) {
      expect(
        said.some((one) => says.test(one)),
        String(says),
      ).toBe(edition === 'worn');
      expect(found.has(`${rule} ${subject}`), `${rule} ${subject}`).toBe(edition === 'worn');
    }
  });
}
