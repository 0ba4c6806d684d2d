import { expect, test } from 'vitest';
import { AnswerTable, type Text } from './answer-table';

const text = (of: string): Promise<Text> => Promise.resolve({ text: of, starts: [0] });

test('an answer is made once', async () => {
  const table = new AnswerTable();
  await table.get('text', 'a.ts', () => text('first'));
  expect((await table.get('text', 'a.ts', () => text('second'))).text).toBe('first');
  expect((await table.get('text', 'b.ts', () => text('other'))).text).toBe('other');
});

test('kinds are told apart', () => {
  const table = new AnswerTable();
  table.get('alike', '', () => ({ groups: [], others: 3 }));
  expect(table.has('alike')).toBe(true);
  expect(table.has('figures')).toBe(false);
});

test('what was not asked for longest is forgotten', async () => {
  const table = new AnswerTable();
  for (let at = 0; at < 1000; at++) {
    await table.get('text', `${at}.ts`, () => text(''));
    table.get('alike', '0.8', () => ({ groups: [], others: 0 }));
  }
  expect(table.has('text', '0.ts')).toBe(false);
  expect(table.has('text', '999.ts')).toBe(true);
  expect(table.has('alike', '0.8')).toBe(true);
});

test('an answer that failed is asked for again', async () => {
  const table = new AnswerTable();
  await expect(table.get('text', 'a.ts', () => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
  expect((await table.get('text', 'a.ts', () => text('there'))).text).toBe('there');
});
