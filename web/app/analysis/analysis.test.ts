import { zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { locate } from '@liana/core';
import { cutExcerpt, grammarAt } from './excerpt';
import { seeded } from '../../../testing/src/random';
import { takeSources } from './sources';
import { ArchiveError, unpack } from './zip';

const text = new TextEncoder();
const zipped = (files: Readonly<Record<string, string>>): Uint8Array =>
  zipSync(Object.fromEntries(Object.entries(files).map(([file, content]) => [file, text.encode(content)])));

describe('archives', () => {
  test('gives what is wanted and lists all', async () => {
    const { entries, listed } = await unpack(zipped({ 'a/x.tsx': 'x', 'a/y.md': 'y' }), (file) => file.endsWith('.tsx'));
    expect(entries.map((entry) => entry.file)).toEqual(['a/x.tsx']);
    expect(listed.map((entry) => entry.file)).toEqual(['a/x.tsx', 'a/y.md']);
  });

  test('paths with backslashes are folders', async () => {
    const { entries } = await unpack(zipped({ 'src\\parts\\A.tsx': 'x' }), () => true);
    expect(entries.map((entry) => entry.file)).toEqual(['src/parts/A.tsx']);
  });

  test('text packs well and is no lie', async () => {
    const { entries } = await unpack(zipped({ 'a.ts': 'a'.repeat(3_000_000) }), () => true);
    expect(entries[0]?.bytes.length).toBe(3_000_000);
  });

  type Lie = { readonly offset: number; readonly size: 2 | 4; readonly told: (before: number) => number; readonly local?: number };

  /**
   * An archive of which the directory tells something else of its last entry: a number of so many bytes
   * at an offset of the record, and with `local` at an offset of the entry's own head as well.
   */
  function lying(files: Readonly<Record<string, string>>, { offset, size, told, local }: Lie): Uint8Array {
    const bytes = zipped(files);
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    let at = view.getUint32(bytes.length - 6, true);
    for (let left = Object.keys(files).length - 1; left > 0; left--)
      at += 46 + view.getUint16(at + 28, true) + view.getUint16(at + 30, true);
    const head = view.getUint32(at + 42, true);
    const tell = (where: number): void => {
      if (size === 4) view.setUint32(where, told(view.getUint32(where, true)), true);
      else view.setUint16(where, told(view.getUint16(where, true)), true);
    };
    tell(at + offset);
    if (local !== undefined) tell(head + local);
    return bytes;
  }

  /** An archive whose only entry is a symbolic link. */
  const linked = (): Uint8Array => zipSync({ 'a.ts': [text.encode('../../etc'), { os: 3, attrs: (0o120777 << 16) >>> 0 }] });

  const two = { 'a.ts': 'export const a = 1;'.repeat(20), 'b.ts': 'export const b = 2;'.repeat(20) };
  const refused: readonly [name: string, bytes: () => Uint8Array, message: string][] = [
    ['a path that climbs out', () => zipped({ 'a.ts': '', '../evil.ts': '' }), '../evil.ts: its path climbs out'],
    ['a path that climbs out in the middle', () => zipped({ 'a/../../evil.ts': '' }), 'climbs out'],
    ['a path that climbs out by backslashes', () => zipped({ 'a\\..\\..\\evil.ts': '' }), 'climbs out'],
    ['an absolute path', () => zipped({ '/etc/evil.ts': '' }), 'absolute path'],
    ['a path from the root by a backslash', () => zipped({ '\\etc\\evil.ts': '' }), 'absolute path'],
    ['a drive', () => zipped({ 'C:/evil.ts': '' }), 'absolute path'],
    ['two names that become one', () => zipped({ 'a/b.ts': 'x', 'a\\b.ts': 'y' }), 'a/b.ts: it stands in the archive twice'],
    [
      'too many entries',
      () => zipped(Object.fromEntries(Array.from({ length: 50_001 }, (_, at) => [`${at}.ts`, '']))),
      'more than 50,000 entries',
    ],
    ['a link', linked, 'a.ts: it is a link'],
    ['no archive at all', () => text.encode('this is text'), 'no zip archive that can be read'],
    ['an empty file', () => new Uint8Array(), 'no zip archive that can be read'],
    ['half an archive', () => zipped(two).slice(0, 60), 'no zip archive that can be read'],
    [
      'a size that is told too small',
      () => lying(two, { offset: 24, local: 22, size: 4, told: () => 10 }),
      'b.ts: its content has not the size',
    ],
    [
      'a size that is told too large',
      () => lying(two, { offset: 24, local: 22, size: 4, told: (size) => size + 10 }),
      'b.ts: its content has not the size',
    ],
    [
      'another checksum',
      () => lying(two, { offset: 16, local: 14, size: 4, told: (sum) => sum ^ 1 }),
      'b.ts: its content has not the size or the checksum',
    ],
    [
      'an entry that is said to be encrypted',
      () => lying(two, { offset: 8, size: 2, told: (flags) => flags | 1 }),
      'b.ts: it is encrypted',
    ],
    [
      'an entry whose place is that of another',
      () => lying(two, { offset: 42, size: 4, told: () => 0 }),
      'in two places, and not the same',
    ],
    [
      'an entry of which its own head tells otherwise',
      () => lying(two, { offset: 24, size: 4, told: () => 10 }),
      'b.ts: the archive tells of it in two places',
    ],
    [
      'an entry that lies over the next',
      () => lying({ 'b.ts': two['b.ts'] }, { offset: 20, local: 18, size: 4, told: (size) => size + 30 }),
      'b.ts: ',
    ],
    [
      'an entry outside the archive',
      () => lying(two, { offset: 42, size: 4, told: () => 0x00ffffff }),
      'b.ts: it lies outside the archive',
    ],
    [
      'a way of packing that there is not',
      () => lying(two, { offset: 10, local: 8, size: 2, told: () => 77 }),
      'b.ts: it is packed in a way that cannot be read',
    ],
    ['what would become too large', () => lying(two, { offset: 24, size: 4, told: () => 0x30000000 }), 'more than 1,000 times its size'],
  ];
  test.each(refused)('refuses %s, and says why', async (_, bytes, message) => {
    const given = bytes();
    await expect(unpack(given, () => true)).rejects.toThrow(message);
    await expect(unpack(given, () => true)).rejects.toBeInstanceOf(ArchiveError);
  });

  test.each([1, 2, 3, 4])('whatever is changed in an archive, it is refused or gives what was packed (seed %i)', async (seed) => {
    const files = Object.fromEntries(
      Array.from({ length: 6 }, (_, at) => [`src/part${at}.ts`, `export const part = ${at};\n`.repeat(1 + at * 9)]),
    );
    const sound = zipped(files);
    const random = seeded(seed);
    let held = 0;
    for (let round = 0; round < 120; round++) {
      const bytes = sound.slice(0, random() < 0.1 ? Math.floor(random() * sound.length) : sound.length);
      for (let times = 1 + Math.floor(random() * 4); times > 0; times--)
        bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
      const { entries } = await unpack(bytes, () => true).catch((error: unknown) => {
        expect(error).toBeInstanceOf(ArchiveError);
        return { entries: [] };
      });
      for (const { file, bytes: given } of entries)
        if (files[file] !== undefined) expect(new TextDecoder().decode(given)).toBe(files[file]);
      if (entries.length > 0) held++;
    }
    // Neither all are refused nor none: some changes lie where nothing is told.
    expect(held).toBeGreaterThan(0);
    expect(held).toBeLessThan(120);
  });

  test('refuses what would unpack to more than 512 MiB, before it does', async () => {
    const random = Uint8Array.from({ length: 600_000 }, (_, at) => (at * 2654435761) >>> 13);
    const bytes = zipSync({ 'a.ts': [random, { level: 0 }] });
    const view = new DataView(bytes.buffer, bytes.byteOffset);
    view.setUint32(view.getUint32(bytes.length - 6, true) + 24, 0x22000000, true);
    await expect(unpack(bytes, () => true)).rejects.toThrow('more than 512 MiB');
  });
});

describe('what is handed in', () => {
  const quiet = (): void => undefined;
  const never = (): boolean => false;

  test('a folder’s own name is no part of its paths, and what is left out is counted', async () => {
    const files = ['app/src/A.tsx', 'app/README.md', 'app/node_modules/x/index.js'].map((file) => ({
      file,
      content: new File(['export const a = 1;'], file),
    }));
    const taken = await takeSources({ kind: 'files', files }, quiet, never);
    expect(taken?.files.map((file) => file.file)).toEqual(['src/A.tsx']);
    expect(taken?.leftOut).toMatchObject({ dependencies: 1, 'other kind': 1 });
  });

  test('an archive of one folder loses that folder, unless it is one that sources ordinarily have', async () => {
    const filesOf = async (file: string): Promise<string[] | undefined> => {
      const content = new File([zipped({ [file]: 'export const a = 1;' }) as Uint8Array<ArrayBuffer>], 'a.zip');
      return (await takeSources({ kind: 'zip', content }, quiet, never))?.files.map((one) => one.file);
    };
    expect(await filesOf('boats-main/src/A.tsx')).toEqual(['src/A.tsx']);
    expect(await filesOf('src/A.tsx')).toEqual(['src/A.tsx']);
  });

  test('the same text has the same hash, another has another', async () => {
    const hashOf = async (content: string): Promise<string | undefined> =>
      (await takeSources({ kind: 'texts', files: [{ file: 'a.ts', text: content }] }, quiet, never))?.files[0]?.hash;
    expect(await hashOf('a')).toBe(await hashOf('a'));
    expect(await hashOf('a')).not.toBe(await hashOf('b'));
  });

  test('what cannot be read is named', async () => {
    const files = [
      { file: 'a.ts', content: new File(['a'], 'a.ts') },
      { file: 'b.ts', content: new File([Uint8Array.from([1, 0, 0, 2])], 'b.ts') },
    ];
    expect((await takeSources({ kind: 'files', files }, quiet, never))?.refused).toEqual([
      { file: 'b.ts', reason: 'it holds bytes that are not text' },
    ]);
  });

  test('nothing to read is said, with what was there', async () => {
    await expect(takeSources({ kind: 'files', files: [] }, quiet, never)).rejects.toThrow('It is empty.');
    await expect(takeSources({ kind: 'texts', files: [{ file: 'a.md', text: '' }] }, quiet, never)).rejects.toThrow('It holds 1 files');
  });

  test('stopped, it gives nothing', async () => {
    expect(await takeSources({ kind: 'texts', files: [{ file: 'a.ts', text: '' }] }, quiet, () => true)).toBeUndefined();
  });
});

describe('excerpts', () => {
  const source = 'one\n    two\n      three\n    four\n    five\n    six\nseven\n';
  const at = (word: string): ReturnType<typeof locate> =>
    locate('a.ts', { start: source.indexOf(word), end: source.indexOf(word) + word.length });
  const marked = (words: readonly string[]): string[] => {
    const excerpt = cutExcerpt(source, words.map(at));
    return excerpt?.marks.map((mark) => excerpt.text.slice(mark.start, mark.end)) ?? [];
  };

  test('shows some lines around, without the indentation that all share', () => {
    expect(cutExcerpt(source, [at('four')])).toMatchObject({
      line: 4,
      firstLine: 2,
      text: '    two\n      three\n    four\n    five\n    six\nseven\n',
    });
    expect(cutExcerpt('    a\n      b\n\n    c', [locate('a.ts', { start: 4, end: 5 })])?.text).toBe('a\n  b\n\nc');
  });

  test('marks keep to their words', () => {
    expect(marked(['three'])).toEqual(['three']);
    expect(marked(['two', 'three', 'six'])).toEqual(['two', 'three', 'six']);
  });

  test('a mark before the first is left out, no marks give nothing', () => {
    expect(marked(['four', 'one'])).toEqual(['four']);
    expect(cutExcerpt(source, [])).toBeUndefined();
  });

  test('a place past the end, after the file has shrunk, does not throw', () => {
    expect(cutExcerpt('a', [locate('a.ts', { start: 50, end: 60 })])?.text).toBe('a');
  });

  test('line breaks of other systems', () => {
    const text = 'a\r\n  b\r\nc';
    const excerpt = cutExcerpt(text, [locate('a.ts', { start: 5, end: 6 })]);
    expect(excerpt?.text).toBe('a\n  b\nc');
    expect(excerpt?.marks).toEqual([{ start: 4, end: 5 }]);
  });
});

describe('what code is written in', () => {
  const whole = '<script lang="ts">\nconst a = 1;\n</script>\n<p>b</p>\n<style>\n.c {}\n</style>';
  const cases: readonly [file: string, at: string, expected: string][] = [
    ['a.vue', '<script', 'vue'],
    ['a.vue', 'const a', 'script'],
    ['a.vue', '<p>', 'vue'],
    ['a.vue', '.c', 'styles'],
    ['a.svelte', 'const a', 'script'],
    ['a.svelte', '<p>', 'svelte'],
    ['a.tsx', '<p>', 'script'],
    ['a.css', '.c', 'styles'],
  ];
  test.each(cases)('%s at %s', (file, at, expected) => {
    expect(grammarAt(file, whole, whole.indexOf(at))).toBe(expected);
  });
});
