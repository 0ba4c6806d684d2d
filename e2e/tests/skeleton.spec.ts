import { execFileSync, spawn } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { analyse, matchPlan, matchWords, type PageTree, parsePlan, readPage, skeletonOf, skeletonWriters, type SheetId } from '@liana/core';
import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';

const demo = fileURLToPath(new URL('../../demo/pages/', import.meta.url));
// Within the repository, so that React is found as in any project.
const out = fileURLToPath(new URL('../.results/skeleton', import.meta.url));
const vite = path.join(
  path.dirname(createRequire(new URL('../../package.json', import.meta.url)).resolve('vite/package.json')),
  'bin/vite.js',
);
const port = 4314;

/** The share of pixels that differ visibly; 1 where the sizes do. */
function difference(one: Buffer, other: Buffer): number {
  const [a, b] = [PNG.sync.read(one), PNG.sync.read(other)];
  if (a.width !== b.width || a.height !== b.height) return 1;
  let count = 0;
  for (let at = 0; at < a.data.length; at += 4)
    if ([0, 1, 2].some((channel) => Math.abs((a.data[at + channel] ?? 0) - (b.data[at + channel] ?? 0)) > 24)) count++;
  return count / (a.width * a.height);
}

test('the skeleton of the demo’s finished plan shows the pages it came from, and read back it is the plan', async ({ page }) => {
  const parsed = parsePlan(JSON.parse(readFileSync(`${demo}plan.json`, 'utf8')));
  if ('wrong' in parsed) throw new Error(parsed.wrong);
  const { plan } = parsed;
  const trees = new Map(plan.sheets.map((sheet): [SheetId, PageTree] => [sheet.id, readPage(readFileSync(demo + sheet.file, 'utf8'))]));
  const skeleton = skeletonOf(plan, trees, (_, address) => readFileSync(demo + address, 'utf8'));
  const files = skeletonWriters.find((writer) => writer.framework === 'react')?.write(skeleton) ?? [];
  for (const { file, text } of files) {
    mkdirSync(path.dirname(path.join(out, file)), { recursive: true });
    writeFileSync(path.join(out, file), text);
  }
  const { model, findings } = analyse(files.filter(({ file }) => /\.tsx?$/.test(file)));
  expect(findings).toEqual([]);
  expect(matchWords(matchPlan(skeleton, model))).toBe(`All ${skeleton.parts.length} parts are in the code as planned.`);

  execFileSync(process.execPath, [vite, 'build', '--logLevel', 'error'], { cwd: out });
  const server = spawn(process.execPath, [vite, 'preview', '--port', String(port), '--strictPort'], { cwd: out, stdio: 'ignore' });
  try {
    await expect
      .poll(() =>
        fetch(`http://localhost:${port}/`).then(
          (answer) => answer.ok,
          () => false,
        ),
      )
      .toBe(true);
    for (const sheet of plan.sheets) {
      await page.goto(pathToFileURL(demo + sheet.file).href);
      const source = await page.screenshot({ fullPage: true });
      const name = plan.parts.find((part) => part.id === sheet.page)?.name ?? '';
      await page.goto(`http://localhost:${port}/?page=${name}`, { waitUntil: 'networkidle' });
      const made = await page.screenshot({ fullPage: true });
      const share = difference(source, made);
      console.log(`${name}: ${(share * 100).toFixed(3)} % of the pixels differ`);
      expect(share).toBeLessThan(0.001);
    }
  } finally {
    server.kill();
  }
});
