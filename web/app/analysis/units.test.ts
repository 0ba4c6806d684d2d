import { expect, test } from 'vitest';
import type { StoredFile } from '../storage/database';
import { unitsOf } from './units';

const at = 'force-app/main/default/lwc/gauge/gauge';
const stored = (file: string, hash: string): StoredFile => ({
  projectId: 'p',
  file,
  hash,
  size: 1,
  kind: file.endsWith('.json') ? 'config' : 'source',
});
const project = (template: string): StoredFile[] => [
  stored(`${at}.js`, 'a'),
  stored(`${at}.html`, template),
  stored('src/App.tsx', 'c'),
  stored('package.json', 'd'),
];

test('a class is read with its template, and all else by itself', () => {
  expect(unitsOf(project('b')).map(({ file, beside }) => [file, beside])).toEqual([
    [`${at}.js`, [`${at}.html`]],
    [`${at}.html`, []],
    ['src/App.tsx', []],
    ['package.json', []],
  ]);
});

test('an edit of a template is one of its class, and of nothing else', () => {
  const [before, after] = [unitsOf(project('b')), unitsOf(project('other'))];
  const changed = before.filter(({ hash }, index) => hash !== after[index]?.hash).map(({ file }) => file);
  expect(changed).toEqual([`${at}.js`, `${at}.html`]);
});
