import { loadCompilers, readFile } from '@liana/core';
import type { FileFacts } from '@liana/core';
import type { TextUnit } from './pool';

export const reader = {
  /** The facts of a batch of files, in the same order. */
  async read(units: readonly TextUnit[]): Promise<FileFacts[]> {
    await loadCompilers(units);
    return units.map(({ file, text, beside }) => readFile(file, text, beside));
  },
};

export type Reader = typeof reader;
