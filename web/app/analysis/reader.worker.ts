import { readFile } from '@liana/core';
import type { FileFacts, SourceFile } from '@liana/core';
import { expose } from 'comlink';

const reader = {
  /** The facts of a batch of files, in the same order. */
  read(files: readonly SourceFile[]): FileFacts[] {
    return files.map(({ file, text }) => readFile(file, text));
  },
};

export type Reader = typeof reader;

expose(reader);
