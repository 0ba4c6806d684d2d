import { execFileSync, spawn } from 'node:child_process';
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';

/** The pages of Towpath as somebody would save them: made from the React demo, for Carve. */
const source = fileURLToPath(new URL('../../demo/react/sound', import.meta.url));
const target = fileURLToPath(new URL('../../demo/pages', import.meta.url));
const built = fileURLToPath(new URL('../.results/towpath', import.meta.url));
const vite = path.join(
  path.dirname(createRequire(new URL('../../package.json', import.meta.url)).resolve('vite/package.json')),
  'bin/vite.js',
);
const port = 4313;

const pages = [
  { name: 'today', address: '/', choose: 'Aldermoor Lock' },
  { name: 'lock', address: '/locks/aldermoor' },
  { name: 'roster', address: '/roster' },
];

test('save the pages of the demo', async ({ page }) => {
  execFileSync(process.execPath, [vite, 'build', '--outDir', built, '--emptyOutDir', '--logLevel', 'error'], { cwd: source });
  const server = spawn(process.execPath, [vite, 'preview', '--outDir', built, '--port', String(port), '--strictPort'], {
    cwd: source,
    stdio: 'ignore',
  });
  try {
    mkdirSync(target, { recursive: true });
    copyFileSync(path.join(source, 'src/towpath.css'), path.join(target, 'towpath.css'));
    await page.clock.setFixedTime(new Date('2026-11-23T14:05:00'));
    await expect
      .poll(() =>
        fetch(`http://localhost:${port}/`).then(
          (answer) => answer.ok,
          () => false,
        ),
      )
      .toBe(true);
    for (const { name, address, choose } of pages) {
      await page.goto(`http://localhost:${port}${address}`, { waitUntil: 'networkidle' });
      if (choose) await page.getByRole('button', { name: choose }).click();
      const html = await page.evaluate(() => {
        const copy = document.documentElement.cloneNode(true) as HTMLElement;
        for (const one of copy.querySelectorAll('script, link, style')) one.remove();
        const sheet = document.createElement('link');
        sheet.rel = 'stylesheet';
        sheet.href = 'towpath.css';
        copy.querySelector('head')?.append(sheet, '\n  ');
        return `<!doctype html>\n${copy.outerHTML}\n`;
      });
      writeFileSync(path.join(target, `${name}.html`), html);
      await page.screenshot({ path: path.join(target, `${name}.png`), fullPage: true });
    }
  } finally {
    server.kill();
  }
});
