import { createTwoFilesPatch } from 'diff';
import type { TextEdit } from '../model/finding';
import type { FilePath } from '../model/span';

/**
 * A text with some edits made; what is put in at one place comes in the order of the edits. Edits that do not meet the text they expect, or that overlap one
 * made before them, are left out: the source has changed since.
 */
export function applyEdits(text: string, edits: readonly TextEdit[]): string {
  let made = text;
  let from = text.length + 1;
  for (const edit of [...edits].reverse().sort((a, b) => b.start - a.start || b.end - a.end)) {
    if (edit.end > from || text.slice(edit.start, edit.end) !== edit.was) continue;
    made = made.slice(0, edit.start) + edit.text + made.slice(edit.end);
    from = edit.start;
  }
  return made;
}

/**
 * A patch that `git apply` takes, of all edits in the order of their files. `textOf` gives the text
 * that the edits were made for; files without a change are left out, and of those without a text all that are not new. Empty for none.
 */
export function patchOf(edits: readonly TextEdit[], textOf: (file: FilePath) => string | undefined): string {
  const files = [...new Set(edits.map((edit) => edit.file))].sort();
  return files
    .map((file) => {
      const own = edits.filter((edit) => edit.file === file);
      const before = textOf(file);
      const isNew = before === undefined;
      if (isNew && own.some((edit) => edit.end > 0)) return '';
      const after = applyEdits(before ?? '', own);
      if (after === (before ?? '')) return '';
      const [, ...lines] = createTwoFilesPatch(`a/${file}`, `b/${file}`, before ?? '', after, '', '', { context: 3 }).split('\n');
      // Headers carry nothing after the name: git takes a tab there for the start of a date. A file that has nothing left goes, one that is not there comes.
      const header = (line: string): string => {
        if (isNew && line.startsWith('--- ')) return '--- /dev/null';
        return after === '' && line.startsWith('+++ ') ? '+++ /dev/null' : line.trimEnd();
      };
      return lines.map((line) => (/^(---|\+\+\+) [ab]\//.test(line) ? header(line) : line)).join('\n');
    })
    .join('');
}
