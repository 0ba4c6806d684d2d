import { expect, test } from 'vitest';
import { inferAliases } from './aliases';

const files = ['src/lib/ui/button.tsx', 'src/lib/ui/card.tsx', 'src/lib/hooks/use-a.ts', 'src/app/ui/card.tsx', 'src/app/main.tsx'];

test.each([
  ['a head whose specifiers are all in one folder', ['@/lib/ui/button', '@/lib/ui/card.js', '@/lib/hooks/use-a'], '@/lib=src/lib'],
  ['a head of one part', ['~x/ui/button', '~x/ui/card', '~x/hooks/use-a'], '~x=src/lib'],
  ['too few of them', ['@/lib/ui/button', '@/lib/ui/card'], ''],
  ['most of them are nowhere', ['@/lib/ui/button', '@/lib/ui/card', '@/lib/hooks/use-a', '@/lib/b', '@/lib/c', '@/lib/d'], ''],
  ['two folders that would do', ['@/a/ui/card', '@/a/ui/card.js', '@/a/ui/card.ts'], ''],
  [
    'what a package may be is not taken for a folder',
    ['@base/react/button', '@base/react/card', '@base/react/use-a', '@base/react/main'],
    '',
  ],
  ['unless all of it is there, by more than a name', ['ee/ui/button', 'ee/ui/card', 'ee/hooks/use-a', 'ee/ui/card.js'], 'ee=src/lib'],
  ['nothing is missing', [], ''],
])('%s', (_, missing, expected) => {
  expect(
    inferAliases(files, new Set(missing))
      .map((one) => `${one.head}=${one.folder}`)
      .join(' '),
  ).toBe(expected);
});

test('of many that a package may be, nearly all of them; a script and its declarations count once', () => {
  const parts = Array.from({ length: 30 }, (_, at) => `parts/Part${at}`);
  const there = parts.flatMap((one) => [`${one}.js`, `${one}.d.ts`]);
  const asked = (count: number, more: readonly string[]): number =>
    inferAliases(there, new Set([...parts.slice(0, count), ...more].map((one) => `@theme/${one}`))).length;
  expect([asked(30, ['types']), asked(30, ['a/b']), asked(30, ['a/b', 'a/c', 'a/d']), asked(5, ['a/b'])]).toEqual([1, 1, 0, 0]);
});
