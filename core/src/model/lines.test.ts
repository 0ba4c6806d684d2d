import { describe, expect, test } from 'vitest';
import { lineAt, lineSpan, lineStarts } from './lines';

describe('lines', () => {
  const text = 'a\r\nbb\n\nc\rd';
  const starts = lineStarts(text);

  test('all three line breaks end a line', () => {
    expect(starts).toEqual([0, 3, 6, 7, 9]);
    expect(lineStarts('')).toEqual([0]);
  });

  const cases: readonly [offset: number, line: number][] = [
    [0, 1],
    [1, 1],
    [3, 2],
    [5, 2],
    [6, 3],
    [7, 4],
    [9, 5],
    [99, 5],
  ];
  test.each(cases)('offset %i is on line %i', (offset, line) => {
    expect(lineAt(starts, offset)).toBe(line);
  });

  test('a line’s span is without its break', () => {
    expect([1, 2, 3, 4, 5, 9].map((line) => text.slice(lineSpan(text, starts, line).start, lineSpan(text, starts, line).end))).toEqual([
      'a',
      'bb',
      '',
      'c',
      'd',
      'd',
    ]);
  });
});
