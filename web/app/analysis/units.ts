import { byFolder, type FilePath, filesBeside } from '@liana/core';
import type { StoredFile } from '../storage/database';

/** A file with those that are read with it: a class with its templates. */
export type Unit = {
  readonly file: FilePath;
  readonly beside: readonly FilePath[];
  /** Another one after each change of any of them. */
  readonly hash: string;
};

/** What is read of some files, one unit for each of them, in their order. Configuration is read by itself. */
export function unitsOf(files: readonly StoredFile[]): Unit[] {
  const hashes = new Map(files.map((one) => [one.file, one.hash]));
  const around = byFolder(hashes.keys());
  return files.map(({ file, hash, kind }) => {
    const beside = kind === 'source' ? filesBeside(file, around(file)) : [];
    return { file, beside, hash: [hash, ...beside.map((one) => `${one} ${hashes.get(one)}`)].join(' ') };
  });
}
