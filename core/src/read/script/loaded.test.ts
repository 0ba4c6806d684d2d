import { describe, expect, test } from 'vitest';
import { parseExpression } from '@babel/parser';
import { factsOf } from '../../../../testing/src/project';
import { loadedBy, namedBy } from './loaded';
import { isFunction } from './syntax';

const fn = (text: string): Parameters<typeof loadedBy>[0] => {
  const node = parseExpression(text, { plugins: ['typescript', 'jsx'] });
  if (!isFunction(node)) throw new Error('no function');
  return node;
};

describe('what a function loads and gives', () => {
  test.each([
    ['the module', "() => import('./x')", './x#default'],
    ['a specifier without a value in it', '() => import(`./x`)', './x#default'],
    ['a member', "() => import('./x').then((m) => m.Row)", './x#Row'],
    ['a member as the default', "() => import('./x').then((m) => ({ default: m.Row }))", './x#Row'],
    ['a member taken apart', "() => import('./x').then(({ Row }) => ({ default: Row }))", './x#Row'],
    ['a member, waited for', "async () => { const { Row, loader } = await import('./x'); return { Component: Row, loader }; }", './x#Row'],
    ['a member in short', "async () => { const { Component } = await import('./x'); return { Component }; }", './x#Component'],
    ['a member of what is waited for', "async () => { const m = await import('./x'); return { Component: m.Row }; }", './x#Row'],
    ['a member in place', "async () => ({ Component: (await import('./x')).Row })", './x#Row'],
    ['the module with more', "async () => { const m = await import('./x'); return { ...m, title: 1 }; }", './x#default'],
    [
      'nothing, where a name of its own is given',
      "async () => { const { loader } = await import('./x'); return { Component: Outlet, loader }; }",
      '',
    ],
    [
      'nothing, where it is loaded for something else',
      "async () => { const { sum } = await import('./x'); setTotal(sum([1])); return <p/>; }",
      '',
    ],
    ['nothing, where the path is computed', '() => import(`./${name}`)', ''],
    ['nothing at all', '() => <p/>', ''],
  ])('%s', (_, text, expected) => {
    const found = loadedBy(fn(text));
    expect(found ? `${found.from}#${found.exported}` : '').toBe(expected);
  });

  test('the name that it gives in place of what it loads', () => {
    expect(namedBy(fn("async () => { const { loader } = await import('./x'); return { Component: Outlet, loader }; }"))).toBe('Outlet');
    expect(namedBy(fn("() => import('./x')"))).toBeUndefined();
  });
});

test.each([
  ['by whatever function it is handed to', "export const Row = loadable(() => import('./x'), { fallback: null });", 'Row=./x#default'],
  ['by options', "export const Row = Loadable({ loader: () => import('./x'), loading: Wait });", 'Row=./x#default'],
  [
    'in a table',
    "const rows = { a: lazy(() => import('./a')), b: () => import('./b').then((m) => m.B) };",
    'rows.a=./a#default rows.b=./b#B',
  ],
  [
    'and not by a store that loads while it runs',
    "const useRows = create((set) => ({ load: async () => { const m = await import('./x'); set(m.rows); } }));",
    '',
  ],
])('what is loaded later is known %s', (_, text, expected) => {
  const { aliases } = factsOf(text);
  expect(aliases.map((one) => `${one.name}=${one.from ?? ''}#${one.target}`).join(' ')).toBe(expected);
});
