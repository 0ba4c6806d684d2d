import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, test } from 'vitest';

const require = createRequire(import.meta.url);
const command = fileURLToPath(new URL('carve.ts', import.meta.url));
const pages = fileURLToPath(new URL('../../demo/pages/', import.meta.url));
const folder = mkdtempSync(path.join(tmpdir(), 'liana carve '));
afterAll(() => rmSync(folder, { recursive: true }));

function run(...args: readonly string[]): { status: number | null; stdout: string; stderr: string } {
  return spawnSync(process.execPath, ['--import', require.resolve('tsx'), command, ...args], { encoding: 'utf8' });
}

type Printed = {
  parts: { name: string; selector: string; parent: string | null }[];
  groups: { name: string; items: string[]; varies: { what: string; where: string }[] }[];
};

describe('a page', () => {
  test('prints its parts and its groups as JSON', () => {
    const printed = JSON.parse(run(`${pages}today.html`, '--json').stdout) as Printed;
    expect(printed.parts).toContainEqual({ name: 'LockCard', selector: '.lock-list > li:nth-of-type(1) > article', parent: 'LockList' });
    expect(printed.parts).toContainEqual({ name: 'TopBar', selector: '.top-bar', parent: null });
    const cards = printed.groups.find((group) => group.name === 'LockCard');
    expect(cards?.items).toHaveLength(3);
    expect(cards?.varies).toContainEqual({ what: 'presence', where: '.hint' });
    expect(cards?.varies).toContainEqual({ what: 'attribute', where: ':scope' });
  });
  test('prints lines to read', () => {
    expect(run(`${pages}roster.html`).stdout).toMatch(/^ShiftRow in ShiftTable ×3: It stands 3 times/m);
  });
});

describe('a picture', () => {
  test('prints the boxes like a given one', () => {
    expect(JSON.parse(run(`${pages}today.png`, '--like', '160,422,960,232', '--json').stdout)).toEqual({
      items: [
        [160, 163, 960, 243],
        [160, 422, 960, 232],
        [160, 670, 960, 210],
      ],
    });
  });
  test('prints the regions that a box would hold on to', () => {
    const { items } = JSON.parse(run(`${pages}today.png`, '--json').stdout) as { items: number[][] };
    expect(items).toContainEqual([160, 670, 960, 210]);
    expect(items).toContainEqual([0, 0, 1280, 49]);
  });
  test('prints the parts that it suggests, as JSON and as lines', () => {
    const { parts } = JSON.parse(run(`${pages}today.png`, '--json').stdout) as { parts: { name: string; boxes: number[][] }[] };
    expect(parts.find((part) => part.name === 'Card')?.boxes).toHaveLength(3);
    expect(run(`${pages}today.png`).stdout).toMatch(/^Card: 3 times: frames or grounds of one make \(.*160,422,960,232/m);
  });
});

describe('what cannot be read is said in a line, with status 2', () => {
  writeFileSync(path.join(folder, 'broken.png'), 'no picture');
  writeFileSync(path.join(folder, 'photo.jpg'), 'no picture');
  test.each<[string, string[], RegExp]>([
    ['no such file', ['nowhere.html'], /There is no file nowhere\.html/],
    ['a folder', [folder], /is a folder, not a page or a picture/],
    ['a broken picture', [path.join(folder, 'broken.png')], /is no PNG picture/],
    ['another kind of picture', [path.join(folder, 'photo.jpg')], /the shell reads only PNG/],
    ['a box outside', [`${pages}roster.png`, '--like', '0,0,99999,10'], /reaches out of the picture/],
    ['a box for a page', [`${pages}roster.html`, '--like', '0,0,9,9'], /--like is for pictures/],
  ])('%s', (_, args, says) => {
    const { status, stdout, stderr } = run(...args, '--json');
    expect(stderr).toMatch(says);
    expect(
      stderr
        .trim()
        .split('\n')
        .filter((line) => !line.startsWith('npm')),
    ).toHaveLength(1);
    expect([status, stdout]).toEqual([2, '']);
  });
  test('a box that is none', () => {
    expect(run(`${pages}roster.png`, '--like', '1,2,3').stderr).toMatch(/four whole numbers/);
  });
});
