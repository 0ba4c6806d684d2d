import fs from 'node:fs';
import { readFile, stat } from 'node:fs/promises';
import path from 'node:path';
import {
  type Choice,
  chooseFiles,
  decodeFile,
  folderLeftOut,
  isConfig,
  isIgnoreFile,
  loadCompilers,
  type ConfigFile,
  type SourceFile,
  messageOf,
} from '@liana/core';
import glob from 'fast-glob';

export type Folder = {
  readonly sources: readonly SourceFile[];
  readonly configs: readonly ConfigFile[];
  readonly choice: Choice;
  /** Files and folders that could not be read, and why. */
  readonly refused: readonly { readonly file: string; readonly reason: string }[];
};

/** A folder that cannot be read at all. */
export class FolderError extends Error {}

const decoder = (bytes: Uint8Array, label: string, fatal: boolean): string => new TextDecoder(label, { fatal }).decode(bytes);

type Readdir = typeof fs.readdir;

/** Lists folders as the system does; of one that cannot be listed it tells, and gives nothing. */
function readdirOr(onError: (folder: string, error: NodeJS.ErrnoException) => void): Readdir {
  const readdir = (folder: string, done: (error: null, names: string[]) => void): void =>
    fs.readdir(folder, (error, names) => {
      if (error) onError(folder, error);
      done(null, error ? [] : names);
    });
  // With sizes asked for, the walk lists names alone and never gives options.
  return readdir as unknown as Readdir;
}

/** Reads the source of a folder into memory. Links are not followed. Throws `FolderError` for what is no readable folder. */
export async function readFolder(directory: string): Promise<Folder> {
  const found = await stat(directory).catch((error: NodeJS.ErrnoException) => {
    throw new FolderError(error.code === 'ENOENT' ? `There is no folder ${directory}.` : `${directory} cannot be read: ${error.message}.`);
  });
  if (!found.isDirectory()) throw new FolderError(`${directory} is a file, not a folder.`);
  const refused: { file: string; reason: string }[] = [];
  const refuse = (file: string, error: unknown): void => void refused.push({ file, reason: messageOf(error) });
  const entries = await glob('**/*', {
    cwd: directory,
    dot: true,
    stats: true,
    followSymbolicLinks: false,
    ignore: ['**/node_modules/**', '**/.git/**'],
    fs: { ...fs, readdir: readdirOr((folder, error) => refuse(path.relative(directory, folder) || '.', error)) },
  });
  const listed = entries.map((entry) => ({ file: entry.path, size: entry.stats?.size ?? 0 }));
  const read = async (file: string): Promise<Uint8Array> => readFile(path.join(directory, file));
  const ignoreFiles = listed.filter((entry) => isIgnoreFile(entry.file) && !folderLeftOut(path.dirname(entry.file)));
  const ignores: { file: string; text: string }[] = [];
  for (const { file } of ignoreFiles) {
    const bytes = await read(file).catch((error: Error) => error);
    if (bytes instanceof Error) refuse(file, bytes);
    else ignores.push({ file, text: new TextDecoder().decode(bytes) });
  }
  const choice = chooseFiles(listed, ignores);
  const sources: SourceFile[] = [];
  const configs: ConfigFile[] = [];
  for (const file of choice.taken) {
    const bytes = await read(file).catch((error: Error) => error);
    const decoded = bytes instanceof Error ? { refused: bytes.message } : decodeFile(bytes, decoder);
    if ('refused' in decoded) refused.push({ file, reason: decoded.refused });
    else if (isConfig(file)) configs.push({ file, text: decoded.text });
    else sources.push({ file, text: decoded.text });
  }
  await loadCompilers(sources);
  return { sources, configs, choice, refused };
}
