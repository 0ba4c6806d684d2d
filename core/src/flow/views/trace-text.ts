import type { Question, Trace } from './trace';
import type { Rung } from './ladder';
import { rungText } from './rung-text';

export const questionWords: Readonly<Record<Question, string>> = {
  goes: 'where it goes',
  comes: 'where it comes from',
  changes: 'what changes it',
  impact: 'what follows if it changes',
  happens: 'what happens',
};

/** The kind of a subject and its home, in words: `state of TodayPage`. */
export function subjectWords(subject: Trace['subject']): string {
  return subject.kind === 'listener' ? `in ${subject.home}` : `${subject.kind} of ${subject.home}`;
}

/**
 * A trace as plain text, to be put into a review: one line for each rung with its place, and the line
 * of code below it. `lineOf` gives the 1-based line of a rung and its text.
 */
export function traceText(trace: Trace, lineOf: (rung: Rung) => { readonly line: number; readonly text: string }): string {
  const lines = [`${trace.subject.name}, ${subjectWords(trace.subject)}: ${questionWords[trace.question]}`, ''];
  for (const rung of trace.rungs) {
    const pad = '  '.repeat(rung.lane);
    const { line, text } = lineOf(rung);
    lines.push(`${pad}${rung.who} (${rung.code[0]?.file ?? ''}:${line}): ${rungText(rung, trace.question)}`, `${pad}    ${text.trim()}`);
  }
  if (trace.truncated) lines.push('', 'There is more; the trace was cut here.');
  return `${lines.join('\n')}\n`;
}
