import { describe, expect, test } from 'vitest';
import { readFile } from '../frameworks/read-file';
import { loadedLater } from './mentions';

test.each([
  ["lazy(() => import('./Chart'))", ['./Chart']],
  ["import(/* webpackChunkName: 'a' */ './Chart')", ['./Chart']],
  ["import.meta.glob('./parts/*.vue')", ['./parts/*.vue']],
  ["require('./Chart')", ['./Chart']],
  ['import(name)', []],
  ["import a from './a'", []],
])('%s', (text, expected) => {
  expect(loadedLater(text)).toEqual(expected);
});

describe('props that the text mentions nowhere else', () => {
  test.each([
    ['never read', 'function A({ a, dense }: { a: string; dense?: boolean }) { return <p>{a}</p>; }', ['dense']],
    ['with a default', 'function A({ a, dense = false }) { return <p>{a}</p>; }', ['dense']],
    ['read in markup', 'function A({ dense }) { return <p>{dense}</p>; }', []],
    ['read in a statement', 'function A({ dense }) { let i = 1; if (dense) i = 2; return <p>{i}</p>; }', []],
    ['read between question mark and colon', 'function A({ a, dense }) { return <p>{a ? dense : 1}</p>; }', []],
    ['put into an object', 'function A({ dense }) { return <p style={{ dense }}/>; }', []],
    ['taken under another name', 'function A({ dense: tight }) { return <p>{tight}</p>; }', []],
    ['mentioned in a comment', 'function A({ dense }) { /* dense is for later */ return <p/>; }', []],
  ])('%s', (_, text, expected) => {
    expect(readFile('A.tsx', text).components[0]?.unmentioned ?? []).toEqual(expected);
  });
});
