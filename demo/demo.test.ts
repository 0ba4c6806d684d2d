import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, test } from 'vitest';
import { catalogue } from '@liana/core';
import { readFolder } from '../cli/src/folder';
import { analyseFolder, makeReport, type Report } from '../cli/src/report';

type Planted = { readonly rule: string; readonly file: string; readonly component: string; readonly subject: string };

const folder = (edition: string): string => fileURLToPath(new URL(`react/${edition}`, import.meta.url));
const require = createRequire(import.meta.url);
const out = mkdtempSync(path.join(tmpdir(), 'towpath-'));
afterAll(() => rmSync(out, { recursive: true }));

async function reportOn(edition: string): Promise<Report> {
  const read = await readFolder(folder(edition));
  return makeReport(read, analyseFolder(read));
}

describe('Towpath in React', () => {
  test('the sound edition has no finding at all, and every use is resolved', async () => {
    const report = await reportOn('sound');
    expect(report.findings).toEqual([]);
    expect(report.problems).toEqual([]);
    expect(report.uses.unresolved).toBe(0);
    expect(report.pages.map((page) => page.name)).toEqual(['TodayPage', 'LockPage', 'RosterPage']);
  });

  test('the worn edition has just the faults that were planted, each at its place', async () => {
    const planted = JSON.parse(readFileSync(path.join(folder('worn'), 'planted.json'), 'utf8')) as Planted[];
    const line = ({ rule, file, component, subject }: Planted): string => [rule, file, component, subject].join(' ');
    const report = await reportOn('worn');
    expect(report.findings.map(line).sort()).toEqual(planted.map(line).sort());
    expect(new Set(planted.map((one) => one.rule))).toEqual(new Set(Object.keys(catalogue)));
  });

  test('the sound edition has no type error', () => {
    const tsc = require.resolve('typescript/bin/tsc');
    expect(execFileSync(process.execPath, [tsc, '-p', folder('sound')], { encoding: 'utf8' })).toBe('');
  });

  test.each(['sound', 'worn'])('the %s edition builds', (edition) => {
    const vite = path.join(path.dirname(require.resolve('vite/package.json')), 'bin', 'vite.js');
    execFileSync(process.execPath, [vite, 'build', '--outDir', path.join(out, edition), '--emptyOutDir', '--logLevel', 'error'], {
      cwd: folder(edition),
    });
    expect(readFileSync(path.join(out, edition, 'index.html'), 'utf8')).toContain('/assets/index-');
  });
});
