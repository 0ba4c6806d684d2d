import { zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { locate } from '@liana/core';
import { cutExcerpt, grammarAt } from './excerpt';
import { takeSources } from './sources';
import { ArchiveError, unpack } from './zip';

const text = new TextEncoder();
const zipped = (files: Readonly<Record<string, string>>): Uint8Array =>
  zipSync(Object.fromEntries(Object.entries(files).map(([file, content]) => [file, text.encode(content)])));

describe('archives', () => {
  test('gives what is wanted and lists all', () => {
    const { entries, listed } = unpack(zipped({ 'a/x.tsx': 'x', 'a/y.md': 'y' }), (file) => file.endsWith('.tsx'));
    expect(entries.map((entry) => entry.file)).toEqual(['a/x.tsx']);
    expect(listed.map((entry) => entry.file)).toEqual(['a/x.tsx', 'a/y.md']);
  });

  const refused: readonly [name: string, bytes: () => Uint8Array, message: string][] = [
    ['a path that climbs out', () => zipped({ 'a.ts': '', '../evil.ts': '' }), '../evil.ts: its path climbs out'],
    ['a path that climbs out in the middle', () => zipped({ 'a/../../evil.ts': '' }), 'climbs out'],
    ['an absolute path', () => zipped({ '/etc/evil.ts': '' }), 'absolute path'],
    ['a drive', () => zipped({ 'C:/evil.ts': '' }), 'absolute path'],
    [
      'too many entries',
      () => zipped(Object.fromEntries(Array.from({ length: 50_001 }, (_, at) => [`${at}.ts`, '']))),
      'more than 50,000 entries',
    ],
    ['a link', () => linked(), 'a.ts is a link'],
    ['no archive at all', () => text.encode('this is text'), 'no zip archive that can be read'],
    ['an empty file', () => new Uint8Array(), 'no zip archive that can be read'],
  ];
  test.each(refused)('refuses %s, and says why', (_, bytes, message) => {
    expect(() => unpack(bytes(), () => true)).toThrow(ArchiveError);
    expect(() => unpack(bytes(), () => true)).toThrow(message);
  });

  test('refuses what would unpack to more than 512 MiB, before it does', () => {
    const bytes = zipped({ 'a.ts': 'x' });
    const view = new DataView(bytes.buffer, bytes.byteOffset);
    const directory = view.getUint32(bytes.length - 6, true);
    view.setUint32(directory + 24, 0x3fffffff, true);
    expect(() => unpack(bytes, () => true)).toThrow('more than 512 MiB');
  });

  /** An archive whose only entry is a symbolic link. */
  function linked(): Uint8Array {
    return zipSync({ 'a.ts': [text.encode('../../etc'), { os: 3, attrs: (0o120777 << 16) >>> 0 }] });
  }
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
