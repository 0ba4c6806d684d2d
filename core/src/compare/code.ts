import { diffArrays } from 'diff';

/** A line of two texts that stand beside each other, 1-based; a side is absent where the other has more. */
export type CodeRow = {
  readonly before?: { readonly line: number; readonly text: string };
  readonly after?: { readonly line: number; readonly text: string };
  readonly same: boolean;
};

/** Two texts line by line, what is the same beside the same (Myers 1986, by the package `diff`). Empty for two empty texts. */
export function codeRows(before: string, after: string): CodeRow[] {
  const lines = (text: string): string[] => (text === '' ? [] : text.replace(/\n$/, '').split('\n'));
  const rows: CodeRow[] = [];
  let [left, right] = [0, 0];
  const gone: string[] = [];
  const flush = (added: readonly string[]): void => {
    for (let at = 0; at < Math.max(gone.length, added.length); at++) {
      const [one, other] = [gone[at], added[at]];
      rows.push({
        ...(one === undefined ? {} : { before: { line: ++left, text: one } }),
        ...(other === undefined ? {} : { after: { line: ++right, text: other } }),
        same: false,
      });
    }
    gone.length = 0;
  };
  for (const { value, added, removed } of diffArrays(lines(before), lines(after))) {
    if (removed) gone.push(...value);
    else if (added) flush(value);
    else {
      flush([]);
      for (const text of value) rows.push({ before: { line: ++left, text }, after: { line: ++right, text }, same: true });
    }
  }
  flush([]);
  return rows;
}
