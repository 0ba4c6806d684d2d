import { describe, expect, test } from 'vitest';
import { makeFlowQueries, spotOf, traceOf } from '../../flow';
import { loadCompilers } from '../registry';
import { analyseFiles, type Files, rows, treeOf } from '../../../../testing/src/project';
import { traceLines } from '../../../../testing/src/trace';

await loadCompilers(['App.svelte', 'App.vue']);

const kit: Files = {
  'package.json': '{ "devDependencies": { "@sveltejs/kit": "2" } }',
  'src/routes/+layout.svelte': '<script>let { children, data } = $props();</script><h1>{data.keeper}</h1>{@render children()}',
  'src/routes/+layout.server.ts': 'export const load = () => ({ keeper: 1 });',
  'src/routes/+page.svelte': '<p>today</p>',
  'src/routes/(board)/locks/+layout.svelte': '<slot/>',
  'src/routes/(board)/locks/[lockId]/+page.svelte': '<script>export let data;</script><p>{data.lock}</p>',
  'src/routes/(board)/locks/[lockId]/+page.ts': 'export const load = () => ({ lock: 2 });',
  'src/routes/print/+page@.svelte': '<p>print</p>',
  'src/routes/(board)/locks/new/+page@locks.svelte': '<p>new</p>',
};

describe('pages that stand in files by their names', () => {
  const { model } = analyseFiles(kit);

  test('are found with their paths; groups are not part of them', () => {
    expect(model.pages.map((page) => `${page.name} ${page.path}`).sort()).toEqual([
      'LockIdPage /locks/[lockId]',
      'NewPage /locks/new',
      'PrintPage /print',
      'RootPage /',
    ]);
  });

  test.each([
    [
      'within the layouts above it',
      'LockIdPage',
      'RootLayout\n  LocksLayout in slot:default of above\n    LockIdPage in slot:default of above',
    ],
    ['at the root', 'RootPage', 'RootLayout\n  RootPage in slot:default of above'],
    ['anew at the root layout', 'PrintPage', 'RootLayout\n  PrintPage in slot:default of above'],
    ['anew at a layout of a name', 'NewPage', 'RootLayout\n  LocksLayout in slot:default of above\n    NewPage in slot:default of above'],
  ])('%s', (_, page, expected) => {
    expect(rows(model, treeOf(model, page))).toBe(expected.replaceAll(' of above', ''));
  });

  test('are handed what the loaders give', () => {
    const page = model.pages.find((one) => one.name === 'LockIdPage');
    if (!page) throw new Error('no page');
    const ways = makeFlowQueries(model, treeOf(model, 'LockIdPage'));
    const spot = spotOf(ways.graph, 'src/routes/(board)/locks/[lockId]/+page.svelte#LockIdPage~data');
    if (!spot) throw new Error('no data');
    expect(traceLines(traceOf(ways, spot, 'comes'))).toEqual([
      'LockIdPage owns data',
      '  +page.svelte passes data',
      '  +layout.server.ts owns data | asked loader load of src/routes/+layout.server.ts',
      '+page.svelte passes data',
      '+page.ts owns data | asked loader load of src/routes/(board)/locks/[lockId]/+page.ts',
    ]);
  });
});
