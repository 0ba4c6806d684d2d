import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, test } from 'vitest';
import { runCarve } from './carve-command';

const pages = fileURLToPath(new URL('../../demo/pages/', import.meta.url));
const folder = mkdtempSync(path.join(tmpdir(), 'liana carve '));
afterAll(() => rmSync(folder, { recursive: true }));

type Ended = { readonly status: number; readonly stdout: string; readonly stderr: string };
async function run(...args: readonly string[]): Promise<Ended> {
  const said = { stdout: '', stderr: '' };
  const status = await runCarve(args, { out: (text) => (said.stdout += text), err: (text) => (said.stderr += text) });
  return { status, ...said };
}

type Printed = {
  parts: { name: string; selector: string; parent: string | null }[];
  groups: { name: string; items: string[]; varies: { what: string; where: string }[] }[];
};

type PicturePrinted = { items: number[][]; parts: { name: string; boxes: number[][] }[] };

describe('a page', () => {
  test('prints its parts and its groups as JSON', async () => {
    const printed = JSON.parse((await run(`${pages}today.html`, '--json')).stdout) as Printed;
    expect(printed.parts).toContainEqual({ name: 'LockCard', selector: '.lock-list > li:nth-of-type(1) > article', parent: 'LockList' });
    expect(printed.parts).toContainEqual({ name: 'TopBar', selector: '.top-bar', parent: null });
    const cards = printed.groups.find((group) => group.name === 'LockCard');
    expect(cards?.items).toHaveLength(3);
    expect(cards?.varies).toContainEqual({ what: 'presence', where: '.hint' });
    expect(cards?.varies).toContainEqual({ what: 'attribute', where: ':scope' });
  });
  test('prints lines to read', async () => {
    expect((await run(`${pages}roster.html`)).stdout).toMatch(/^ShiftRow in ShiftTable ×3: It stands 3 times/m);
  });
});

describe('a picture', () => {
  test('prints the boxes like a given one', async () => {
    expect(JSON.parse((await run(`${pages}today.png`, '--like', '160,422,960,232', '--json')).stdout)).toEqual({
      items: [
        [160, 163, 960, 243],
        [160, 422, 960, 232],
        [160, 670, 960, 210],
      ],
    });
  });
  test('prints the regions that a box would hold on to, and the parts that it suggests, as JSON', async () => {
    const printed = JSON.parse((await run(`${pages}today.png`, '--json')).stdout) as PicturePrinted;
    expect(printed.items).toContainEqual([160, 670, 960, 210]);
    expect(printed.items).toContainEqual([0, 0, 1280, 49]);
    expect(printed.parts.find((part) => part.name === 'Card')?.boxes).toHaveLength(3);
  });
  test('prints the parts as lines', async () => {
    expect((await run(`${pages}today.png`)).stdout).toMatch(/^Card: 3 times: frames or grounds of one make \(.*160,422,960,232/m);
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
  ])('%s', async (_, args, says) => {
    const { status, stdout, stderr } = await run(...args, '--json');
    expect(stderr).toMatch(says);
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect([status, stdout]).toEqual([2, '']);
  });
  test('a box that is none', async () => {
    expect((await run(`${pages}roster.png`, '--like', '1,2,3')).stderr).toMatch(/four whole numbers/);
  });
});
