import { fileURLToPath } from 'node:url';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { createServer, type ViteDevServer } from 'vite';
import { analyseFolder } from '../../cli/src/report';
import { readFolder } from '../../cli/src/folder';

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
