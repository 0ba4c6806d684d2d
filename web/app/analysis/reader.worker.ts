import { loadCompilers, readFile } from '@liana/core';
import type { FileFacts, SourceFile } from '@liana/core';
import { expose } from 'comlink';
import { sayAlive } from './alive';

const reader = {
  /** The facts of a batch of files, in the same order. */
  async read(files: readonly SourceFile[]): Promise<FileFacts[]> {
    await loadCompilers(files.map(({ file }) => file));
    return files.map(({ file, text }) => readFile(file, text));
  },
};

export type Reader = typeof reader;

sayAlive();
expose(reader);
