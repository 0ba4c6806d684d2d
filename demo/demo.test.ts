import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, test } from 'vitest';
import { catalogue, compareProjects, type Side } from '@liana/core';
import { readFolder } from '../cli/src/folder';
import { analyseFolder, makeReport, type Report } from '../cli/src/report';

type Planted = { readonly rule: string; readonly file: string; readonly component: string; readonly subject: string };

const folder = (edition: string): string => fileURLToPath(new URL(edition, import.meta.url));
const require = createRequire(import.meta.url);
const out = mkdtempSync(path.join(tmpdir(), 'towpath-'));
afterAll(() => rmSync(out, { recursive: true }));

async function reportOn(edition: string): Promise<Report> {
  const read = await readFolder(folder(edition));
  return makeReport(read, analyseFolder(read));
}

/** What the framework's own tools say while they build an edition; empty where they have nothing to say. */
function built(edition: string): string {
  return edition.startsWith('angular/') ? compiled(edition) : bundled(edition);
}

/** Angular's compiler checks the templates along with the classes; what it refuses, it ends with. */
function compiled(edition: string): string {
  const { bin } = JSON.parse(readFileSync(require.resolve('@angular/compiler-cli/package.json'), 'utf8')) as { bin: { ngc: string } };
  const ngc = path.join(path.dirname(require.resolve('@angular/compiler-cli/package.json')), bin.ngc);
  const target = path.join(out, edition);
  const done = spawnSync(process.execPath, [ngc, '-p', folder(`${edition}/tsconfig.json`), '--outDir', target], { encoding: 'utf8' });
  expect(done.stdout + done.stderr + String(done.status)).toBe('0');
  expect(readFileSync(path.join(target, 'app.js'), 'utf8')).toContain('towpath-app');
  return '';
}

function bundled(edition: string): string {
  const vite = path.join(path.dirname(require.resolve('vite/package.json')), 'bin', 'vite.js');
  const target = path.join(out, edition);
  const done = spawnSync(process.execPath, [vite, 'build', '--outDir', target, '--emptyOutDir', '--logLevel', 'warn'], {
    cwd: folder(edition),
    encoding: 'utf8',
  });
  expect(readFileSync(path.join(target, 'index.html'), 'utf8')).toContain('/assets/');
  return done.stdout + done.stderr;
}

const pages = {
  react: ['TodayPage', 'LockPage', 'RosterPage'],
  vue: ['TodayPage', 'LockPage', 'RosterPage'],
  svelte: ['App'],
  elements: ['index.html', 'roster.html'],
  angular: ['TodayPage', 'LockPage', 'RosterPage'],
  astro: ['index', '[id]', 'roster'],
  lwc: ['TowpathHome', 'lockPage', 'rosterPage', 'todayPage'],
};
const line = ({ rule, file, component, subject }: Planted): string => [rule, file, component, subject].join(' ');

function plantedIn(framework: string): Planted[] {
  return JSON.parse(readFileSync(path.join(folder(`${framework}/worn`), 'planted.json'), 'utf8')) as Planted[];
}

/** Those that are built here; what the others need for that is not installed with the rest. */
const isBuilt = (framework: keyof typeof pages): boolean => framework !== 'astro' && framework !== 'lwc';

describe.each(['react', 'vue', 'svelte', 'elements', 'angular', 'astro', 'lwc'] as const)('Towpath in %s', (framework) => {
  test('the sound edition has no finding at all, and every use is resolved', async () => {
    const report = await reportOn(`${framework}/sound`);
    expect(report.findings).toEqual([]);
    expect(report.problems).toEqual([]);
    expect(report.uses.unresolved).toBe(0);
    expect(report.pages.map((page) => page.name)).toEqual(pages[framework]);
  });

  test('the worn edition has just the faults that were planted, each at its place', async () => {
    const report = await reportOn(`${framework}/worn`);
    expect(report.findings.map(line).sort()).toEqual(plantedIn(framework).map(line).sort());
  });

  test.runIf(isBuilt(framework))('the sound edition builds without a warning about its own source', () => {
    const warnings = built(`${framework}/sound`).split('\n');
    expect(warnings.filter((one) => /\bsrc\//.test(one))).toEqual([]);
  });

  test.runIf(isBuilt(framework))('the worn edition builds', () => {
    built(`${framework}/worn`);
  });
});

/** One step of the refactor, and what it does to those who are concerned. */
type RefactorStep = {
  readonly step: string;
  readonly sound: boolean;
  readonly components: readonly {
    name: string;
    before?: string;
    status: string;
    holds?: boolean;
    rewritten?: boolean;
    contract: string[];
  }[];
  readonly breaks?: readonly Planted[];
  readonly answers?: readonly { component: string; place: string; key: string; before: string; after: string }[];
  readonly ways?: readonly { of: string; lost: string[]; gained: string[] }[];
};

async function sideOf(edition: string): Promise<Side> {
  const read = await readFolder(folder(edition));
  const { model, findings } = analyseFolder(read);
  return { model, findings, textOf: (file) => read.sources.find((one) => one.file === file)?.text };
}

test('what a refactor of the demo in React changed is told step by step, and nothing else is', async () => {
  const steps = JSON.parse(readFileSync(path.join(folder('react/refactored'), 'steps.json'), 'utf8')) as RefactorStep[];
  expect([steps.length, steps.filter(({ sound }) => sound).length]).toEqual([11, 7]);
  const before = await sideOf('react/sound');
  const { components, breaks, answers, ways } = compareProjects(before, await sideOf('react/refactored'));
  const told = components.filter(({ status, holds }) => status !== 'same' || holds === false);
  const words = told.map(({ before: was, after: is, status, holds, rewritten, contract }) => ({
    name: is?.name,
    ...(was && was.name !== is?.name ? { before: was.name } : {}),
    status,
    ...(holds === undefined ? {} : { holds }),
    ...(rewritten ? { rewritten } : {}),
    contract: contract.map(({ member, name, change, to }) => [member, name, change, ...(to ? [to] : [])].join(' ')),
  }));
  const sorted = (all: readonly unknown[]): string[] => all.map((one) => JSON.stringify(one)).sort();
  expect(sorted(words)).toEqual(sorted(steps.flatMap((one) => one.components)));
  const places = breaks.map(({ rule, at, component, subject }) => [rule, at.file, component.replace(/^.*#/, ''), subject].join(' '));
  expect(places.sort()).toEqual(steps.flatMap((one) => (one.breaks ?? []).map(line)).sort());
  expect(sorted(answers.filter((one) => one.before !== one.after))).toEqual(sorted(steps.flatMap((one) => one.answers ?? [])));
  const moved = ways.flatMap(({ of, lost, gained }) =>
    lost.length + gained.length > 0
      ? [
          {
            of,
            lost: lost.map(({ component, place }) => `${component}@${place}`),
            gained: gained.map(({ component, place }) => `${component}@${place}`),
          },
        ]
      : [],
  );
  expect(sorted(moved)).toEqual(sorted(steps.flatMap((one) => one.ways ?? [])));
  // What does not hold comes from steps that are not sound, and from no other.
  for (const { step, sound, components: concerned, breaks: broken } of steps)
    expect([step, sound]).toEqual([step, concerned.every(({ holds }) => holds !== false) && !broken]);
});

test('each rule has a fault planted in one of the demos', () => {
  const planted = new Set(Object.keys(pages).flatMap((framework) => plantedIn(framework).map((one) => one.rule)));
  // A page that renders without an end cannot be opened.
  const without = Object.keys(catalogue).filter((rule) => !planted.has(rule));
  expect(without.sort()).toEqual(['endless-render']);
});

test('the sound edition in React has no type error', () => {
  const tsc = require.resolve('typescript/bin/tsc');
  expect(execFileSync(process.execPath, [tsc, '-p', folder('react/sound')], { encoding: 'utf8' })).toBe('');
});
