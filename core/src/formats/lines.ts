import { lineAt, lineStarts, type LineStarts } from '../model/lines';
import type { FilePath } from '../model/span';

/** The 1-based line of an offset in a file; 1 for a file without text. */
export type LineOf = (file: FilePath, offset: number) => number;

/** Tells lines by the text of the files, each counted once. */
export function makeLineOf(textOf: (file: FilePath) => string | undefined): LineOf {
  const starts = new Map<FilePath, LineStarts>();
  return (file, offset) => {
    const known = starts.get(file) ?? lineStarts(textOf(file) ?? '');
    starts.set(file, known);
    return lineAt(known, offset);
  };
}
