import { expect, test } from 'vitest';
import { diffLines } from './Diff';

const patch = [
  '===================================================================',
  '--- a/src/Lane.tsx',
  '+++ b/src/Lane.tsx',
  '@@ -1,2 +1,2 @@',
  '-one',
  '+two',
  ' same',
  '@@ -9,1 +9,0 @@',
  '-nine',
  '\\ No newline at end of file',
  '--- /dev/null',
  '+++ b/src/New.tsx',
  '@@ -0,0 +1,1 @@',
  '+new',
  '--- a/src/Old.tsx',
  '+++ /dev/null',
  '@@ -1,1 +0,0 @@',
  '-old',
  '',
].join('\n');

test('a patch is told by its files, what goes and what comes, and where lines are left out', () => {
  expect(diffLines(patch).map(({ kind, text }) => `${kind}: ${text}`)).toEqual([
    'file: src/Lane.tsx',
    'gone: -one',
    'added: +two',
    'same:  same',
    'where: ⋯',
    'gone: -nine',
    'file: src/New.tsx, new',
    'added: +new',
    'file: src/Old.tsx, goes',
    'gone: -old',
  ]);
});
