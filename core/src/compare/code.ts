import { diffArrays } from 'diff';
import type { FilePath } from '../model/span';
import type { CodePart } from './side';
import { append } from '../model/append';

/** A line of a file, 1-based; `file` is said where the code goes on in another one. */
export type CodeLine = { readonly line: number; readonly text: string; readonly file?: FilePath };

/** Two lines that stand beside each other; a side is absent where the other has more. */
export type CodeRow = { readonly before?: CodeLine; readonly after?: CodeLine; readonly same: boolean };

function linesOf(parts: readonly CodePart[]): CodeLine[] {
  return parts.flatMap(({ file, line, text }, part) => {
    const lines = text === '' ? [] : text.replace(/\n$/, '').split('\n');
    return lines.map((one, at) => ({ line: line + at, text: one, ...(part > 0 && at === 0 ? { file } : {}) }));
  });
}

/** Two sources line by line, what is the same beside the same (Myers 1986, by the package `diff`). Empty for two empty ones. */
export function codeRows(before: readonly CodePart[], after: readonly CodePart[]): CodeRow[] {
  const [left, right] = [linesOf(before), linesOf(after)];
  const rows: CodeRow[] = [];
  let [l, r] = [0, 0];
  let gone: CodeLine[] = [];
  const flush = (added: readonly CodeLine[]): void => {
    for (let at = 0; at < Math.max(gone.length, added.length); at++) {
      const [one, other] = [gone[at], added[at]];
      rows.push({ ...(one ? { before: one } : {}), ...(other ? { after: other } : {}), same: false });
    }
    gone = [];
  };
  const texts = (lines: readonly CodeLine[]): string[] => lines.map(({ text }) => text);
  for (const { value, added, removed } of diffArrays(texts(left), texts(right))) {
    const [was, is] = [left.slice(l, l + value.length), right.slice(r, r + value.length)];
    if (removed) append(gone, was);
    else if (added) flush(is);
    else {
      flush([]);
      was.forEach((one, at) => {
        const other = is[at];
        if (other) rows.push({ before: one, after: other, same: true });
      });
    }
    if (!added) l += value.length;
    if (!removed) r += value.length;
  }
  flush([]);
  return rows;
}
