import { execFileSync, spawn } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import {
  analyse,
  loadCompilers,
  matchPlan,
  matchWords,
  type PageTree,
  parsePlan,
  readPage,
  skeletonOf,
  skeletonWriters,
  type SheetId,
} from '@liana/core';
import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';

const demo = fileURLToPath(new URL('../../demo/pages/', import.meta.url));
// Within the repository, so that React is found as in any project.
const results = fileURLToPath(new URL('../.results/skeleton', import.meta.url));
const vite = path.join(
  path.dirname(createRequire(new URL('../../package.json', import.meta.url)).resolve('vite/package.json')),
  'bin/vite.js',
);
const ports = { react: 4314, vue: 4315, svelte: 4316 };

/** The share of pixels that differ visibly; 1 where the sizes do. */
function difference(one: Buffer, other: Buffer): number {
  const [a, b] = [PNG.sync.read(one), PNG.sync.read(other)];
  if (a.width !== b.width || a.height !== b.height) return 1;
  let count = 0;
  for (let at = 0; at < a.data.length; at += 4)
    if ([0, 1, 2].some((channel) => Math.abs((a.data[at + channel] ?? 0) - (b.data[at + channel] ?? 0)) > 24)) count++;
  return count / (a.width * a.height);
}

for (const [framework, port] of Object.entries(ports))
  test(`the ${framework} skeleton of the demo’s finished plan shows the pages it came from, and read back it is the plan`, async ({
    page,
  }) => {
    const out = path.join(results, framework);
    await loadCompilers(['a.vue', 'a.svelte']);
    const parsed = parsePlan(JSON.parse(readFileSync(`${demo}plan.json`, 'utf8')));
    if ('wrong' in parsed) throw new Error(parsed.wrong);
    const { plan } = parsed;
    const trees = new Map(plan.sheets.map((sheet): [SheetId, PageTree] => [sheet.id, readPage(readFileSync(demo + sheet.file, 'utf8'))]));
    const skeleton = skeletonOf(plan, trees, (_, address) => readFileSync(demo + address, 'utf8'));
    const files = skeletonWriters.find((writer) => writer.framework === framework)?.write(skeleton) ?? [];
    for (const { file, text } of files) {
      mkdirSync(path.dirname(path.join(out, file)), { recursive: true });
      writeFileSync(path.join(out, file), text);
    }
    const { model, findings } = analyse(files.filter(({ file }) => /\.(tsx?|vue|svelte)$/.test(file)));
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
        console.log(`${framework}, ${name}: ${(share * 100).toFixed(3)} % of the pixels differ`);
        expect(share).toBeLessThan(0.001);
      }
    } finally {
      server.kill();
    }
  });
