import { execFileSync, spawn } from 'node:child_process';
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { elementAt, isElement, readPage, selectorOf } from '@liana/core';
import { expect, test } from '@playwright/test';
import { type DemoPage, finishedPlan, wantedSelectors } from './demo-plan';

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
    const saved: { file: string; page: string; html: string }[] = [];
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
      saved.push({ file: `${name}.html`, page: `${name.slice(0, 1).toUpperCase()}${name.slice(1)}Page`, html });
    }
    // Boxes are taken from the saved pages themselves, as the carve view takes them.
    const seen: DemoPage[] = [];
    const found = new Map<string, string[]>();
    for (const one of saved) {
      await page.goto(pathToFileURL(path.join(target, one.file)).href);
      const tree = readPage(one.html);
      const selectors = tree.nodes.filter(isElement).map((node) => selectorOf(tree, node.index));
      const measured = await page.evaluate(
        ({ all, wanted }) => {
          const boxOf = (element: Element) => {
            const { left, top, width, height } = element.getBoundingClientRect();
            return {
              x: Math.round(left + scrollX),
              y: Math.round(top + scrollY),
              width: Math.max(1, Math.round(width)),
              height: Math.max(1, Math.round(height)),
            };
          };
          const elements = all.map((selector) => document.querySelector(selector));
          return {
            boxes: elements.map((element) => (element ? boxOf(element) : { x: 0, y: 0, width: 1, height: 1 })),
            meant: wanted.map((selector) => [...document.querySelectorAll(selector)].map((element) => elements.indexOf(element))),
            height: document.documentElement.scrollHeight,
          };
        },
        { all: selectors, wanted: [...wantedSelectors(one.page)] },
      );
      seen.push({
        ...one,
        height: measured.height,
        boxes: new Map(selectors.map((selector, index) => [selector, measured.boxes[index] ?? { x: 0, y: 0, width: 1, height: 1 }])),
      });
      wantedSelectors(one.page).forEach((selector, index) =>
        found.set(
          `${one.page} ${selector}`,
          (measured.meant[index] ?? []).flatMap((at) => selectors[at] ?? []),
        ),
      );
      expect(selectors.filter((selector) => elementAt(tree, selector) < 0)).toEqual([]);
    }
    writeFileSync(path.join(target, 'plan.json'), `${JSON.stringify(finishedPlan(seen, found), undefined, 1)}\n`);
  } finally {
    server.kill();
  }
});
