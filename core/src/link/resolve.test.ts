import { describe, expect, test } from 'vitest';
import { isConfig, readConfig } from './config';
import { directoryOf, isWithin, joinPath } from '../model/paths';
import { makeResolver } from './resolve';
import { fileRole } from './roles';

const resolver = (
  files: readonly string[],
  configs: Readonly<Record<string, string>> = {},
  ambient: readonly string[] = [],
): ReturnType<typeof makeResolver> =>
  makeResolver(new Set(files), readConfig(Object.entries(configs).map(([file, text]) => ({ file, text }))), new Set(ambient));

describe('which file a specifier means', () => {
  const files = [
    'src/a.ts',
    'src/b/index.tsx',
    'src/c.js',
    'src/c.d.ts',
    'src/d.tsx',
    'src/d/index.ts',
    'src/e.module.ts',
    'lib/x.ts',
    'packages/ui/src/index.ts',
    'packages/ui/src/Card.tsx',
  ];
  const configs = {
    'package.json': '{ "imports": { "#lib/*": "./lib/*.ts", "#only": { "import": "./src/a.ts" } } }',
    'packages/ui/package.json':
      '{ "name": "@it/ui", "exports": { ".": { "import": "./dist/index.js", "types": "./dist/index.d.ts" }, "./card": "./dist/Card.js" } }',
    'tsconfig.json': '{ "compilerOptions": { "paths": { "~x": ["./lib/x"], "deep/*": ["./missing/*", "./src/*"], }, }, }',
  };
  const cases: readonly [specifier: string, expected: string][] = [
    ['./a', 'src/a.ts'],
    ['./a.ts', 'src/a.ts'],
    ['./a.js', 'src/a.ts'],
    ['./b', 'src/b/index.tsx'],
    ['./b/', 'src/b/index.tsx'],
    ['./c', 'src/c.js'],
    ['./d', 'src/d.tsx'],
    ['./e.module', 'src/e.module.ts'],
    ['../lib/x', 'lib/x.ts'],
    ['../../../../lib/x', 'lib/x.ts'],
    ['./nowhere', 'missing'],
    ['./style.css', 'outside'],
    ['./icon.svg?react', 'outside'],
    ['react', 'outside'],
    ['@it/other', 'outside'],
    ['@it/ui', 'packages/ui/src/index.ts'],
    ['@it/ui/card', 'packages/ui/src/Card.tsx'],
    ['#lib/x', 'lib/x.ts'],
    ['#only', 'src/a.ts'],
    ['#nothing', 'missing'],
    ['~x', 'lib/x.ts'],
    ['deep/a', 'src/a.ts'],
    ['@/a', 'src/a.ts'],
    ['@/nowhere', 'missing'],
  ];
  const resolve = resolver(files, configs);
  test.each(cases)('%s', (specifier, expected) => {
    const found = resolve('src/main.ts', specifier);
    expect(found.kind === 'file' ? found.file : found.kind).toBe(expected);
  });

  test('the nearest configuration counts', () => {
    const near = resolver(['a/src/x.ts', 'b/src/x.ts'], {
      'a/tsconfig.json': '{"compilerOptions":{"paths":{"in/*":["./src/*"]}}}',
      'b/tsconfig.json': '{"compilerOptions":{"paths":{"in/*":["./src/*"]}}}',
    });
    expect(near('a/main.ts', 'in/x')).toEqual({ kind: 'file', file: 'a/src/x.ts' });
    expect(near('b/main.ts', 'in/x')).toEqual({ kind: 'file', file: 'b/src/x.ts' });
    expect(near('c/main.ts', 'in/x')).toEqual({ kind: 'outside', module: 'in/x' });
  });

  test('two files that an ambient module could mean decide nothing', () => {
    const one = resolver(['src/theme/Card/index.tsx'], {}, ['@theme/Card']);
    const two = resolver(['a/theme/Card.tsx', 'b/theme/Card.tsx'], {}, ['@theme/Card']);
    expect(one('src/x.ts', '@theme/Card')).toMatchObject({ kind: 'file' });
    expect(two('src/x.ts', '@theme/Card')).toMatchObject({ kind: 'outside' });
  });
});

describe('configuration', () => {
  test('malformed JSON counts as far as it goes, and never throws', () => {
    for (const text of [
      '',
      '{',
      '[]',
      'null',
      '{"compilerOptions":[1]}',
      '{"compilerOptions":{"paths":{"a/*":"b"}}}',
      '{"imports":7,"exports":null}',
    ]) {
      expect(() => resolver(['src/a.ts'], { 'package.json': text, 'tsconfig.json': text })('src/b.ts', './a')).not.toThrow();
    }
  });

  test('configurations that extend each other end', () => {
    const files = { 'tsconfig.json': '{"extends":"./tsconfig.base.json"}', 'tsconfig.base.json': '{"extends":"./tsconfig.json"}' };
    expect(resolver(['src/a.ts'], files)('src/b.ts', './a')).toMatchObject({ kind: 'file' });
  });

  const names: readonly [file: string, is: boolean][] = [
    ['package.json', true],
    ['a/b/tsconfig.json', true],
    ['tsconfig.app.json', true],
    ['jsconfig.json', true],
    ['data.json', false],
    ['my-package.json', false],
  ];
  test.each(names)('%s', (file, is) => {
    expect(isConfig(file)).toBe(is);
  });
});

describe('paths and roles', () => {
  const joins: readonly [directory: string, relative: string, expected: string][] = [
    ['a/b', './c', 'a/b/c'],
    ['a/b', '../c', 'a/c'],
    ['', './c', 'c'],
    ['a', '../../c', 'c'],
    ['a', '.', 'a'],
  ];
  test.each(joins)('%s and %s', (directory, relative, expected) => {
    expect(joinPath(directory, relative)).toBe(expected);
  });

  test('folders', () => {
    expect([directoryOf('a/b.ts'), directoryOf('b.ts')]).toEqual(['a', '']);
    expect([isWithin('a', 'a/b.ts'), isWithin('a', 'ab/c.ts'), isWithin('', 'x.ts')]).toEqual([true, false, true]);
  });

  const roles: readonly [file: string, role: string][] = [
    ['src/App.tsx', 'source'],
    ['src/App.test.tsx', 'test'],
    ['src/__tests__/App.tsx', 'test'],
    ['src/test/setup.ts', 'test'],
    ['cypress/e2e/a.cy.ts', 'test'],
    ['src/App.stories.tsx', 'story'],
    ['.storybook/preview.tsx', 'story'],
    ['src/latest/App.tsx', 'source'],
    ['src/contest.tsx', 'source'],
    ['src/docs/example.jsx', 'story'],
    ['src/examples/App.tsx', 'source'],
  ];
  test.each(roles)('%s is %s', (file, role) => {
    expect(fileRole(file)).toBe(role);
  });
});

test('the library folder of a project that writes its alias itself', () => {
  const resolve = resolver(['app/src/lib/Nav.svelte', 'app/src/routes/+page.svelte'], { 'app/package.json': '{}' });
  expect(resolve('app/src/routes/+page.svelte', '$lib/Nav.svelte')).toEqual({ kind: 'file', file: 'app/src/lib/Nav.svelte' });
  expect(resolve('app/src/routes/+page.svelte', '$app/stores')).toEqual({ kind: 'outside', module: '$app/stores' });
});

describe('files of which devices have forms of their own', () => {
  const files = [
    'src/Row.js',
    'src/Row.native.js',
    'src/Cell/index.tsx',
    'src/Cell/index.ios.tsx',
    'src/Field.ios.js',
    'src/Field.android.js',
    'src/Note.js',
  ];
  test.each([
    ['src/Page.js', './Row', 'src/Row.js'],
    ['src/Page.native.js', './Row', 'src/Row.native.js'],
    ['src/Page.ios.js', './Row', 'src/Row.native.js'],
    ['src/Page.native.js', './Row.js', 'src/Row.js'],
    ['src/Page.native.js', './Cell', 'src/Cell/index.tsx'],
    ['src/Page.ios.js', './Cell', 'src/Cell/index.ios.tsx'],
    ['src/Page.js', './Field', 'src/Field.ios.js'],
    ['src/Page.android.js', './Field', 'src/Field.android.js'],
    ['src/Page.native.js', './Note', 'src/Note.js'],
  ])('%s: %s', (from, specifier, file) => {
    expect(resolver(files)(from, specifier)).toEqual({ kind: 'file', file });
  });
  test('also by the name of a package, and by an alias', () => {
    const all = ['ui/package.json', 'ui/src/index.ts', 'ui/src/index.native.js', 'ui/src/Row.js', 'ui/src/Row.native.js'];
    const resolve = resolver(all, {
      'ui/package.json': '{ "name": "@it/ui", "main": "dist/index.js" }',
      'ui/tsconfig.json': '{ "compilerOptions": { "paths": { "~/*": ["./src/*"] } } }',
    });
    expect(['ui/src/A.js', 'ui/src/A.native.js'].flatMap((from) => [resolve(from, '@it/ui'), resolve(from, '~/Row')])).toEqual(
      ['index.ts', 'Row.js', 'index.native.js', 'Row.native.js'].map((name) => ({ kind: 'file', file: `ui/src/${name}` })),
    );
  });
});
