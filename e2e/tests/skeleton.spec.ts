import { execFileSync, spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
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
  type Plan,
  readPage,
  type Skeleton,
  skeletonOf,
  skeletonWriters,
  type SheetId,
} from '@liana/core';
import { expect, type Page, test } from '@playwright/test';
import { PNG } from 'pngjs';
import { kebab } from '../../core/src/write/case';
import { drawnPlan, drawnPlans, planOf } from '../../testing/src/carve';
import { markedPages } from '../../testing/src/pages';
import { astroBuilt, astroFolder, astroModule } from '../astro';
import { angularScript, besidePackages, ngcErrors } from '../ngc';

const demo = fileURLToPath(new URL('../../demo/pages/', import.meta.url));
// Within the repository, so that React is found as in any project.
const results = fileURLToPath(new URL('../.results/skeleton', import.meta.url));
const vite = path.join(
  path.dirname(createRequire(new URL('../../package.json', import.meta.url)).resolve('vite/package.json')),
  'bin/vite.js',
);
type Compiler = {
  readonly transform: (
    text: string,
    options: { filename: string },
  ) => Promise<{ readonly diagnostics: readonly { readonly text: string }[] }>;
};
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

type Written = { readonly plan: Plan; readonly skeleton: Skeleton; readonly out: string };

/** Writes the skeleton of the demo's finished plan into a folder, and reads it back: it is the plan, and nothing is wrong with it. */
async function writeSkeleton(framework: string, out: string, sources: RegExp): Promise<Written> {
  await loadCompilers(['a.vue', 'a.svelte', 'a.component.html']);
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
  const { model, findings } = analyse(files.filter(({ file }) => sources.test(file)));
  expect(findings).toEqual([]);
  expect(matchWords(matchPlan(skeleton, model))).toMatch(new RegExp(`^All ${skeleton.parts.length} parts are in the code as planned\\.`));
  return { plan, skeleton, out };
}

/** Each page of the skeleton shows what the page shows that it was made from. */
async function comparePages(page: Page, framework: string, plan: Plan, addressOf: (name: string, index: number) => string): Promise<void> {
  for (const [index, sheet] of plan.sheets.entries()) {
    await page.goto(pathToFileURL(demo + sheet.file).href);
    const source = await page.screenshot({ fullPage: true });
    const name = plan.parts.find((part) => part.id === sheet.page)?.name ?? '';
    await page.goto(addressOf(name, index), { waitUntil: 'networkidle' });
    const made = await page.screenshot({ fullPage: true });
    const share = difference(source, made);
    console.log(`${framework}, ${name}: ${(share * 100).toFixed(3)} % of the pixels differ`);
    expect(share).toBeLessThan(0.001);
  }
}

for (const [framework, port] of Object.entries(ports))
  test(`the ${framework} skeleton of the demo’s finished plan shows the pages it came from, and read back it is the plan`, async ({
    page,
  }) => {
    const { plan, out } = await writeSkeleton(framework, path.join(results, framework), /\.(tsx?|vue|svelte)$/);
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
      await comparePages(page, framework, plan, (name) => `http://localhost:${port}/?page=${name}`);
    } finally {
      server.kill();
    }
  });

test('the Astro skeleton of the demo’s finished plan, built by Astro, shows the pages it came from, and read back it is the plan', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const { plan, out } = await writeSkeleton('astro', astroFolder('skeleton'), /\.(ts|svelte|astro)$/);
  const built = astroBuilt(out);
  await page.route('http://localhost:4317/**', (route) => {
    const { pathname } = new URL(route.request().url());
    return route.fulfill({ path: path.join(built, pathname, path.extname(pathname) === '' ? 'index.html' : '') });
  });
  await comparePages(page, 'astro', plan, (name, index) => `http://localhost:4317/${index === 0 ? '' : kebab(name)}`);
});

test('the Angular skeleton of the demo’s finished plan, built by its own compiler, shows the pages it came from, and read back it is the plan', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const folder = besidePackages('skeleton-angular');
  rmSync(folder, { recursive: true, force: true });
  const { plan, out } = await writeSkeleton('angular', folder, /src\/.*\.(ts|html)$/);
  const script = await angularScript(path.join(out, 'tsconfig.json'), path.join(out, 'build'));
  const document = readFileSync(path.join(out, 'src/index.html'), 'utf8')
    .replace('</head>', '<link rel="stylesheet" href="/page.css" /></head>')
    .replace('</body>', '<script type="module" src="/main.js"></script></body>');
  await page.route('http://localhost:4318/**', (route) => {
    const { pathname } = new URL(route.request().url());
    if (pathname === '/main.js') return route.fulfill({ body: script, contentType: 'text/javascript' });
    if (pathname === '/page.css') return route.fulfill({ path: path.join(out, 'src/page.css') });
    return route.fulfill({ body: document, contentType: 'text/html' });
  });
  await comparePages(page, 'angular', plan, (name) => `http://localhost:4318/?page=${name}`);
});

test('Angular’s compiler has nothing against the skeletons of very different pages', async () => {
  test.setTimeout(240_000);
  const folder = besidePackages('skeletons-angular');
  rmSync(folder, { recursive: true, force: true });
  const writer = skeletonWriters.find((one) => one.framework === 'angular');
  const plans = [
    ...Object.values(markedPages).map((html) => planOf({ SomePage: html })),
    ...drawnPlans.map(([, outline, values]) => ({ plan: drawnPlan(outline, values), pages: new Map<SheetId, PageTree>() })),
  ];
  const names = plans.map(({ plan, pages }, index) => {
    for (const { file, text } of writer?.write(skeletonOf(plan, pages)) ?? []) {
      const target = path.join(folder, `plan-${index}`, file);
      mkdirSync(path.dirname(target), { recursive: true });
      writeFileSync(target, text);
    }
    return `plan-${index}`;
  });
  const settings = JSON.parse(readFileSync(path.join(folder, 'plan-0', 'tsconfig.json'), 'utf8')) as { compilerOptions: object };
  writeFileSync(
    path.join(folder, 'tsconfig.json'),
    JSON.stringify({ ...settings, compilerOptions: { ...settings.compilerOptions, rootDir: '.' }, include: ['plan-*/src/**/*.ts'] }),
  );
  writeFileSync(path.join(folder, 'main.ts'), '');
  expect(names.length).toBeGreaterThan(5);
  expect(ngcErrors(path.join(folder, 'tsconfig.json'), path.join(folder, 'built'))).toBe('');
});

test('Astro’s compiler has nothing against the skeletons of very different pages', async () => {
  test.setTimeout(240_000);
  const { transform } = (await import(astroModule('@astrojs/compiler'))) as Compiler;
  for (const [name, html] of Object.entries(markedPages)) {
    const { plan, pages } = planOf({ SomePage: html });
    const files = skeletonWriters.find((writer) => writer.framework === 'astro')?.write(skeletonOf(plan, pages)) ?? [];
    for (const { file, text } of files.filter((one) => one.file.endsWith('.astro'))) {
      const { diagnostics } = await transform(text, { filename: file });
      expect(
        diagnostics.map((one) => `${name}, ${file}: ${one.text}`),
        text,
      ).toEqual([]);
    }
  }
});
