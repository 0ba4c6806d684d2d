import { describe, expect, test } from 'vitest';
import { chooseFiles, decodeFile, folderLeftOut, leftOutCount, sizeLimit } from '.';

const decode = (bytes: Uint8Array, label: string, fatal: boolean): string => new TextDecoder(label, { fatal }).decode(bytes);

describe('which files of a folder are read', () => {
  const cases: readonly [file: string, reason: string][] = [
    ['src/App.tsx', 'taken'],
    ['src/a b/Überblick.jsx', 'taken'],
    ['package.json', 'taken'],
    ['tsconfig.app.json', 'taken'],
    ['node_modules/x/index.js', 'dependencies'],
    ['packages/a/node_modules/x/index.js', 'dependencies'],
    ['dist/App.js', 'build output'],
    ['packages/a/build/App.js', 'build output'],
    ['src/build/App.tsx', 'taken'],
    ['.git/config', 'version control'],
    ['secret/App.tsx', 'ignored'],
    ['src/generated/App.tsx', 'ignored'],
    ['src/generated/keep.tsx', 'taken'],
    ['README.md', 'other kind'],
    ['src/app.min.js', 'other kind'],
    ['package-lock.json', 'other kind'],
  ];
  const ignores = [
    { file: '.gitignore', text: '/secret\n' },
    { file: 'src/.gitignore', text: 'generated/*\n!generated/keep.tsx\n' },
  ];
  test.each(cases)('%s: %s', (file, reason) => {
    const { taken, leftOut } = chooseFiles([{ file, size: 10 }], ignores);
    expect(reason === 'taken' ? taken : Object.entries(leftOut).find(([, count]) => count > 0)?.[0]).toEqual(
      reason === 'taken' ? [file] : reason,
    );
  });

  test('a file that nobody wrote by hand is too large', () => {
    expect(chooseFiles([{ file: 'a.js', size: sizeLimit + 1 }], []).leftOut['too large']).toBe(1);
  });

  test('a package’s compiled files beside its source are build output; other folders of that name are not', () => {
    const files = ['src/a.tsx', 'src/b.tsx', 'lib/a.js', 'lib/b.js', 'lib/b.d.ts', 'other/src/x.ts', 'other/lib/y.ts'].map((file) => ({
      file,
      size: 1,
    }));
    const choice = chooseFiles(files, []);
    expect(choice.taken).toEqual(['other/lib/y.ts', 'other/src/x.ts', 'src/a.tsx', 'src/b.tsx']);
    expect(leftOutCount(choice)).toBe(3);
  });

  test('an empty folder gives nothing', () => {
    expect(chooseFiles([], []).taken).toEqual([]);
    expect(folderLeftOut('')).toBeUndefined();
  });
});

describe('bytes to text', () => {
  const utf16 = (text: string, little: boolean): Uint8Array =>
    Uint8Array.from(
      [...text].flatMap((letter) =>
        little ? [letter.charCodeAt(0) & 255, letter.charCodeAt(0) >> 8] : [letter.charCodeAt(0) >> 8, letter.charCodeAt(0) & 255],
      ),
    );
  const cases: readonly [name: string, bytes: Uint8Array, text: string, encoding: string][] = [
    ['UTF-8', new TextEncoder().encode('const ä = 1;'), 'const ä = 1;', 'utf-8'],
    ['UTF-8 with a mark', new TextEncoder().encode('\uFEFFconst a'), 'const a', 'utf-8'],
    ['UTF-16, little end first, marked', Uint8Array.from([0xff, 0xfe, ...utf16('const a', true)]), 'const a', 'utf-16le'],
    ['UTF-16, big end first, marked', Uint8Array.from([0xfe, 0xff, ...utf16('const a', false)]), 'const a', 'utf-16be'],
    ['UTF-16 without a mark', utf16('const a = 1;', true), 'const a = 1;', 'utf-16le'],
    ['Windows-1252', Uint8Array.from([0x63, 0xe4, 0xfc]), 'cäü', 'windows-1252'],
    ['nothing', new Uint8Array(), '', 'utf-8'],
  ];
  test.each(cases)('%s', (_, bytes, text, encoding) => {
    expect(decodeFile(bytes, decode)).toEqual({ text, encoding });
  });

  test('bytes that are no text are refused', () => {
    expect(decodeFile(Uint8Array.from([1, 0, 0, 2, 7, 0, 0, 0]), decode)).toHaveProperty('refused');
  });
});
