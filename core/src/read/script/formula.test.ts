import { expect, test } from 'vitest';
import { formulaAfter } from './formula';

test.each([
  ['const a = rows.length;', 'rows.length'],
  ['const a = rows\n  .filter((one) => one.late)\n  .length;\nconst b', 'rows .filter((one) => one.late) .length'],
  ['const a: number = sum(rows)\nconst b = 1', 'sum(rows)'],
  ["const a = rows.join('; ');", "rows.join('; ')"],
  ['const a = `${rows[0]};` + 1;', '`${rows[0]};` + 1'],
  ['const a = 1, b = 2;', '1'],
  ['let a;', ''],
  ['(a) => rows.length', ''],
  ['const a = ' + 'x'.repeat(500), ''],
])('%s', (text, expected) => {
  expect(formulaAfter(text, text.indexOf('a', text.startsWith('(') ? 0 : 4) + 1)).toBe(expected);
});
