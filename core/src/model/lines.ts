import type { Span } from './span';

/** Offsets at which the lines of a text begin; line breaks are LF, CRLF and CR. */
export type LineStarts = readonly number[];

/** Where each line of `text` starts. An empty text has one line. */
export function lineStarts(text: string): LineStarts {
  const starts = [0];
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code === 13 && text.charCodeAt(at + 1) === 10) continue;
    if (code === 10 || code === 13) starts.push(at + 1);
  }
  return starts;
}

/** The 1-based line that holds `offset`. An offset past the end belongs to the last line. */
export function lineAt(starts: LineStarts, offset: number): number {
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((starts[middle] ?? 0) <= offset) low = middle;
    else high = middle - 1;
  }
  return low + 1;
}

/** The span of a 1-based line, without its line break; the nearest line when there is none of that number. */
export function lineSpan(text: string, starts: LineStarts, line: number): Span {
  const index = Math.min(Math.max(line, 1), starts.length) - 1;
  const start = starts[index] ?? 0;
  let end = starts[index + 1] ?? text.length;
  while (end > start && /[\r\n]/.test(text[end - 1] ?? '')) end--;
  return { start, end };
}
