import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page } from '@playwright/test';
import { build } from 'vite';
import { analyse, listenersOf, loadCompilers, makeFlowQueries, unfold, type FlowQueries } from '@liana/core';
import { outcomeOf } from '../../core/src/flow/views/outcome';
import type { Mark } from './instrument';
import { astroBuilt, astroFolder } from '../astro';
import { lwcBuilt, lwcFolder } from '../lwc';
import { angularScript, besidePackages } from '../ngc';
import { instrument, instrumentedBundle, instrumentedClasses, instrumentedIslands, islandMarks } from './instrument';

/** An address that counts as safe, so that the page has all that a page over TLS has; nothing listens there. */
export const host = 'http://localhost:4399';

/** Something a user does on a page of the demo. */
export type Interaction = {
  readonly name: string;
  /** The address of the page, and its name where the demo has a tree for each. */
  readonly at: string;
  readonly page: string;
  /** The element’s component, and the events that the platform raises on it, by their own names. */
  readonly component: string;
  readonly events: readonly string[];
  readonly before?: (page: Page) => Promise<void>;
  readonly act: (page: Page) => Promise<void>;
  /** Frameworks in which it leaves no mark: a field’s own text is kept without a line of script. */
  readonly quietIn?: readonly string[];
};

export type Truth = {
  readonly framework: 'react' | 'vue' | 'svelte' | 'elements' | 'angular' | 'astro' | 'lwc';
  readonly interactions: readonly Interaction[];
  /** Finds the component that wrote a node, or whose an attribute of it is; runs in the page. */
  readonly ownerOf: (node: Node, isAttribute?: boolean) => string | undefined;
};

const aspects = ['runs', 'sets', 'raises', 'renders', 'shows'] as const;

/** What follows from an interaction: places in the code as `file:offset`, and names of components. */
type Outcome = Readonly<Record<(typeof aspects)[number], ReadonlySet<string>>>;

/** Builds a demo with its marks, in the framework’s development form; the folder it is in. */
export async function buildMarked(root: string, framework: Truth['framework']): Promise<{ folder: string; places: ReadonlySet<string> }> {
  const places = new Set<string>();
  if (framework === 'angular') return { folder: await compileMarked(root, places), places };
  if (framework === 'astro') return { folder: builtIslands(root, places), places };
  if (framework === 'lwc') return { folder: builtBundles(root, places), places };
  const outDir = mkdtempSync(path.join(tmpdir(), 'towpath-marked-'));
  const before = process.env['NODE_ENV'];
  process.env['NODE_ENV'] = 'development';
  try {
    await build({
      root,
      configFile: path.join(root, 'vite.config.ts'),
      mode: 'development',
      logLevel: 'error',
      define: { 'process.env.NODE_ENV': '"development"' },
      plugins: [instrument(root, framework, places)],
      build: { outDir, emptyOutDir: true, minify: false },
    });
  } finally {
    process.env['NODE_ENV'] = before ?? 'test';
  }
  return { folder: outDir, places };
}

/** The same by Angular's own compiler: from a copy of the sources with their marks. */
async function compileMarked(root: string, places: Set<string>): Promise<string> {
  const copy = besidePackages('marked-angular');
  rmSync(copy, { recursive: true, force: true });
  cpSync(root, copy, { recursive: true });
  for (const name of readdirSync(path.join(copy, 'src'), { recursive: true, encoding: 'utf8' })) {
    const file = path.posix.join('src', name.replaceAll('\\', '/'));
    const text = file.endsWith('.ts') ? readFileSync(path.join(root, file), 'utf8') : '';
    if (text !== '') writeFileSync(path.join(copy, file), instrumentedClasses(file, text, places));
  }
  const script = await angularScript(path.join(copy, 'tsconfig.json'), path.join(copy, 'built'));
  const folder = mkdtempSync(path.join(tmpdir(), 'towpath-marked-'));
  mkdirSync(path.join(folder, 'assets'));
  writeFileSync(path.join(folder, 'assets', 'main.js'), script);
  const page = readFileSync(path.join(root, 'src', 'index.html'), 'utf8').replace(/<link rel="stylesheet"[^>]*>/, '');
  writeFileSync(path.join(folder, 'index.html'), page.replace('</body>', '<script type="module" src="/assets/main.js"></script></body>'));
  return folder;
}

/** The same by Astro itself: from a copy of the sources of which those of the islands have their marks. */
function builtIslands(root: string, places: Set<string>): string {
  const copy = astroFolder('marked');
  cpSync(root, copy, { recursive: true });
  for (const name of readdirSync(copy, { recursive: true, encoding: 'utf8' })) {
    const file = name.replaceAll('\\', '/');
    if (!/\.(?:jsx|vue|svelte|ts|mjs)$/.test(file)) continue;
    writeFileSync(path.join(copy, file), instrumentedIslands(file, readFileSync(path.join(root, file), 'utf8'), places));
  }
  writeFileSync(path.join(copy, islandMarks.file), islandMarks.text);
  return astroBuilt(copy, ['--devOutput', '--mode', 'development']);
}

/** The same by the compiler of Lightning web components: from a copy of which the classes have their marks. */
function builtBundles(root: string, places: Set<string>): string {
  const copy = lwcFolder('marked', root);
  for (const name of readdirSync(path.join(copy, 'force-app'), { recursive: true, encoding: 'utf8' })) {
    const file = path.posix.join('force-app', name.replaceAll('\\', '/'));
    const isClass = /\/lwc\/(\w+)\/\1\.js$/.test(file);
    if (isClass) writeFileSync(path.join(copy, file), instrumentedBundle(file, readFileSync(path.join(root, file), 'utf8'), places));
  }
  return lwcBuilt(copy).folder;
}

const types: Readonly<Record<string, string>> = { '.html': 'text/html', '.js': 'text/javascript', '.css': 'text/css' };

/** Serves a built application under an address that only this page knows. */
export async function serve(page: Page, folder: string, ownerOf: Truth['ownerOf']): Promise<void> {
  await page.route(`${host}/**`, (route) => {
    const asked = new URL(route.request().url()).pathname;
    const isFile = (file: string): boolean => statSync(path.join(folder, file), { throwIfNoEntry: false })?.isFile() ?? false;
    const file = [asked, path.posix.join(asked, 'index.html')].find(isFile) ?? '/index.html';
    return route.fulfill({ body: readFileSync(path.join(folder, file)), contentType: types[path.extname(file)] ?? 'text/plain' });
  });
  await page.addInitScript(`window.__ownerOf = ${ownerOf.toString()}`);
  await page.addInitScript(() => {
    const { __ownerOf: ownerOf } = window as unknown as { __ownerOf: Truth['ownerOf'] };
    const marks: unknown[] = [];
    const painted = new Set<string>();
    const told = { marks, painted };
    // What stands in a shadow tree is not seen from outside.
    const roots: Node[] = [];
    const { attachShadow } = Element.prototype;
    Element.prototype.attachShadow = function (options) {
      const root = attachShadow.call(this, options);
      const { __watch: watch } = window as unknown as { __watch?: (root: Node) => void };
      // What an element shows first is part of what put it there.
      if (watch) setTimeout(() => watch(root));
      else roots.push(root);
      return root;
    };
    let mounts = 0;
    Object.assign(window, {
      __mark: (mark: unknown) => void (mounts === 0 && marks.push(mark)),
      __mounts: (run: () => void) => {
        mounts++;
        run();
        mounts--;
      },
      __told: told,
    });
    document.addEventListener('DOMContentLoaded', () => {
      const observer = new MutationObserver((records) => {
        const written = new Map<Node, Set<string>>();
        for (const record of records) {
          // Only what stood there before all of these counts: a framework may write and take back.
          const names = written.get(record.target) ?? new Set();
          const name = record.type === 'childList' ? '' : (record.attributeName ?? '#text');
          if (name !== '' && names.has(name)) continue;
          written.set(record.target, names.add(name));
          if (record.type === 'childList') {
            // A comment is where a framework remembers a place; it shows nothing.
            for (const node of record.addedNodes)
              if (node.nodeType !== 8) painted.add(ownerOf(node.nodeType === 1 ? node : record.target) ?? '');
            continue;
          }
          // A framework may write what stood there before; that shows nothing new.
          const now =
            record.type === 'attributes' ? (record.target as Element).getAttribute(record.attributeName ?? '') : record.target.nodeValue;
          if (now !== record.oldValue) painted.add(ownerOf(record.target, record.type === 'attributes') ?? '');
        }
      });
      const watched = {
        subtree: true,
        childList: true,
        attributes: true,
        attributeOldValue: true,
        characterData: true,
        characterDataOldValue: true,
      };
      observer.observe(document.body, watched);
      for (const root of roots) observer.observe(root, watched);
      Object.assign(window, { __watch: (root: Node) => observer.observe(root, watched) });
    });
  });
}

function filesOf(folder: string, prefix = ''): { file: string; text: string }[] {
  return readdirSync(path.join(folder, prefix), { withFileTypes: true }).flatMap((entry) => {
    const file = path.posix.join(prefix, entry.name);
    if (entry.isDirectory()) return entry.name === 'node_modules' ? [] : filesOf(folder, file);
    return /\.(tsx?|jsx?|html|json|vue|svelte|astro|cmp|xml)$/.test(file)
      ? [{ file, text: readFileSync(path.join(folder, file), 'utf8') }]
      : [];
  });
}

function waysTo(root: string, name: string): FlowQueries {
  const files = filesOf(root);
  const { model } = analyse(
    files,
    files.filter((one) => one.file.endsWith('.json')),
  );
  const page = model.pages.find((one) => one.name === name);
  if (!page) throw new Error(`No page ${name}`);
  return makeFlowQueries(model, unfold(model, page));
}

type Told = {
  readonly runs: Set<string>;
  readonly sets: Set<string>;
  readonly raises: Set<string>;
  readonly renders: Set<string>;
  readonly shows: Set<string>;
};

async function toldBy(page: Page): Promise<Told> {
  const { marks, painted } = await page.evaluate(() => {
    const told = (window as unknown as { __told: { marks: Mark[]; painted: Set<string> } }).__told;
    return { marks: told.marks, painted: [...told.painted] };
  });
  const of = (kind: Mark['kind']): Set<string> => new Set(marks.filter((mark) => mark.kind === kind).map((mark) => mark.what));
  return {
    runs: of('run'),
    sets: of('set'),
    raises: of('raise'),
    renders: of('render'),
    shows: new Set(painted.filter((name) => name !== '')),
  };
}

/** What Liana says that follows from an interaction, over all its events; of what stands in scripts only what has a mark. */
function saidOf(ways: FlowQueries, one: Interaction, marked: ReadonlySet<string> | undefined): Outcome {
  const listeners = ways.graph.frames.flatMap((frame) =>
    frame.name === one.component ? listenersOf(frame).filter(({ binding }) => one.events.includes(binding.to.name)) : [],
  );
  const { impact, ...said } = outcomeOf(ways, listeners);
  const inScripts = (aspect: keyof typeof said): Set<string> => new Set([...said[aspect]].filter((place) => marked?.has(place) ?? true));
  const names = (places: readonly number[]): Set<string> => new Set(places.map((place) => ways.graph.frames[place]?.name ?? ''));
  return {
    runs: inScripts('runs'),
    sets: inScripts('sets'),
    raises: inScripts('raises'),
    renders: names(impact.renders),
    shows: names(impact.shows),
  };
}

/** Opens the page of an interaction afresh, with all in place for it. */
export async function openFor(page: Page, { at, before }: Pick<Interaction, 'at' | 'before'>): Promise<void> {
  await page.mouse.move(0, 0);
  await page.goto('about:blank');
  await page.goto(`${host}${at}`);
  await expect(page.getByText('Towpath').or(page.getByRole('main')).first()).toBeVisible();
  // What is started in the browser is there once it has been.
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await before?.(page);
}

/** Does all interactions in the running demo, and compares what happens with what Liana says. */
export async function checkTruth(page: Page, { framework, interactions, ownerOf }: Truth): Promise<void> {
  page.setDefaultTimeout(5_000);
  const root = fileURLToPath(new URL(`../../demo/${framework}/sound`, import.meta.url));
  await loadCompilers(['a.vue', 'a.svelte', 'app.component.html']);
  const { folder, places } = await buildMarked(root, framework);
  await serve(page, folder, ownerOf);
  const sums = Object.fromEntries(aspects.map((aspect) => [aspect, { said: 0, seen: 0, both: 0 }]));
  for (const one of interactions) {
    const said = saidOf(waysTo(root, one.page), one, framework === 'react' ? undefined : places);
    await openFor(page, one);
    await page.waitForTimeout(50);
    await page.evaluate(() => {
      const told = (window as unknown as { __told: { marks: unknown[]; painted: Set<string> } }).__told;
      told.marks.length = 0;
      told.painted.clear();
    });
    await one.act(page);
    await page.waitForTimeout(80);
    const seen = await toldBy(page);
    const happened = aspects.reduce((sum, aspect) => sum + seen[aspect].size, 0);
    if (!one.quietIn?.includes(framework)) expect(happened, `${one.name}: something happened`).toBeGreaterThan(0);
    for (const aspect of aspects) {
      // These have no rendering of a component as a whole.
      if (aspect === 'renders' && (framework === 'svelte' || framework === 'angular')) continue;
      const both = [...seen[aspect]].filter((what) => said[aspect].has(what));
      const missed = [...seen[aspect]].filter((what) => !said[aspect].has(what));
      expect(missed, `${one.name}: ${aspect} that were not foretold; foretold were ${[...said[aspect]].join(', ')}`).toEqual([]);
      const sum = sums[aspect];
      if (sum) Object.assign(sum, { said: sum.said + said[aspect].size, seen: sum.seen + seen[aspect].size, both: sum.both + both.length });
    }
  }
  for (const [aspect, { said, seen, both }] of Object.entries(sums))
    console.log(
      `${framework}, ${aspect}: precision ${said === 0 ? '–' : (both / said).toFixed(2)}, recall ${seen === 0 ? '–' : (both / seen).toFixed(2)} (${both} of ${said} foretold, ${seen} seen)`,
    );
}
