import { type FileFacts, lineAt, lineSpan, lineStarts, type Location, type Span } from '@liana/core';
import type { CodeLine, Excerpt, Grammar } from './answers';

const before = 2;
const after = 4;
const mostLines = 14;

const markups: readonly (readonly [ends: RegExp, grammar: Grammar])[] = [
  [/\.vue$/, 'vue'],
  [/\.svelte$/, 'svelte'],
  [/\.(?:html?|xml|cmp|app|evt)$/, 'html'],
];

/** What a file is written in at an offset: a component’s file changes its language from block to block. */
export function grammarAt(file: string, text: string, offset: number): Grammar {
  if (/\.(?:css|scss|less)$/.test(file)) return 'styles';
  const own = markups.find(([ends]) => ends.test(file))?.[1];
  if (own === undefined) return 'script';
  for (const block of text.matchAll(/<(script|style)\b[^>]*>([\s\S]*?)<\/\1>/g)) {
    const end = block.index + block[0].length;
    const start = block.index + block[0].indexOf('>') + 1;
    // A line that opens a block is its tag.
    if (offset > start - 1 && offset < end) return block[1] === 'script' ? 'script' : 'styles';
  }
  return own;
}

type Piece = { readonly text: string; readonly from: number };

/** Lines of a text without the indentation that all of them share, each with its offset in the text. */
function piecesOf(text: string, starts: readonly number[], first: number, last: number): Piece[] {
  const spans = Array.from({ length: last - first + 1 }, (_, index) => lineSpan(text, starts, first + index));
  const indents = spans.flatMap(({ start, end }) => {
    const line = text.slice(start, end);
    return line.trim() === '' ? [] : [line.length - line.trimStart().length];
  });
  const shared = Math.min(...indents, 200);
  return spans.map(({ start, end }) => {
    const from = Math.min(start + shared, end);
    return { text: text.slice(from, end), from };
  });
}

/**
 * The lines around places in one file, the first place deciding where. Marks that lie too far
 * below it are left out; indentation that all lines share is taken off. Undefined for no places.
 */
export function cutExcerpt(text: string, marks: readonly Location[]): Excerpt | undefined {
  const [lead] = marks;
  if (!lead) return undefined;
  const starts = lineStarts(text);
  const line = lineAt(starts, lead.start);
  const lowest = line + mostLines - before - 1;
  const near = marks.filter(
    (mark) => mark.file === lead.file && lineAt(starts, mark.start) >= line && lineAt(starts, mark.start) <= lowest,
  );
  const lastMarked = Math.max(...near.map((mark) => Math.min(lineAt(starts, Math.max(mark.start, mark.end - 1)), lowest)));
  const firstLine = Math.max(1, line - before);
  const pieces = piecesOf(text, starts, firstLine, Math.min(starts.length, lastMarked + after));
  const offset = (at: number): number => {
    let length = 0;
    for (const piece of pieces) {
      if (at <= piece.from + piece.text.length) return length + Math.max(0, at - piece.from);
      length += piece.text.length + 1;
    }
    return Math.max(0, length - 1);
  };
  return {
    file: lead.file,
    grammar: grammarAt(lead.file, text, pieces[0]?.from ?? 0),
    line,
    firstLine,
    text: pieces.map((piece) => piece.text).join('\n'),
    from: pieces.map((piece) => piece.from),
    marks: near.map((mark) => ({ start: offset(mark.start), end: offset(mark.end) })).filter((mark) => mark.end > mark.start),
  };
}

/** The line of code that a place starts in, without its indentation; what lies on further lines is not marked. */
export function cutLine(text: string, at: Location): CodeLine {
  const starts = lineStarts(text);
  const line = lineAt(starts, at.start);
  const { start, end } = lineSpan(text, starts, line);
  const whole = text.slice(start, end);
  const from = start + whole.length - whole.trimStart().length;
  const shown = text.slice(from, end).trimEnd();
  const mark = { start: Math.max(0, at.start - from), end: Math.min(shown.length, at.end - from) };
  return { file: at.file, line, text: shown, from, marks: mark.end > mark.start ? [mark] : [] };
}

const mostOfWhole = 400;

/** The component, hook or function around a place as a whole; the place's own lines where there is none. */
export function cutWhole(text: string, at: Location, facts: FileFacts | undefined): Excerpt | undefined {
  const around: readonly Span[] = [
    ...(facts?.components ?? []).map((one) => one.span),
    ...(facts?.shared ?? []).flatMap((one) => (one.kind === 'hook' ? [one.span] : [])),
    ...(facts?.module?.actions ?? []).map((one) => one.span),
  ].filter((span) => span.start <= at.start && at.end <= span.end);
  const [smallest] = [...around].sort((a, b) => a.end - a.start - (b.end - b.start));
  if (!smallest) return cutExcerpt(text, [at]);
  const starts = lineStarts(text);
  const first = lineAt(starts, smallest.start);
  const last = Math.min(lineAt(starts, Math.max(smallest.start, smallest.end - 1)), first + mostOfWhole);
  const from: number[] = [];
  const lines: string[] = [];
  for (let line = first; line <= last; line++) {
    const span = lineSpan(text, starts, line);
    from.push(span.start);
    lines.push(text.slice(span.start, span.end));
  }
  const shown = lines.join('\n');
  const base = from[0] ?? 0;
  const mark = { start: at.start - base, end: Math.min(at.end - base, shown.length) };
  return {
    file: at.file,
    grammar: grammarAt(at.file, text, base),
    line: lineAt(starts, at.start),
    firstLine: first,
    text: shown,
    from,
    marks: mark.end > mark.start ? [mark] : [],
  };
}

/** A file that is no part of a project, as a whole and without marks. */
export const wholeFile = (file: string, text: string): Excerpt => ({
  file,
  grammar: grammarAt(file, text, 0),
  line: 1,
  firstLine: 1,
  text,
  from: [],
  marks: [],
});
