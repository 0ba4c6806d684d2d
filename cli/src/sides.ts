import { execFile } from 'node:child_process';
import { readFile, stat } from 'node:fs/promises';
import path from 'node:path';
import { promisify } from 'node:util';
import { chooseFiles, type ConfigFile, decodeFile, isConfig, isIgnoreFile, loadCompilers, type SourceFile } from '@liana/core';
import { strFromU8, unzip } from 'fflate';
import { type Folder, FolderError, readFolder } from './folder';

const run = promisify(execFile);
const mostBytes = 1 << 30;

const decoder = (bytes: Uint8Array, label: string, fatal: boolean): string => new TextDecoder(label, { fatal }).decode(bytes);

/** What a side is called where it is shown: a folder's name, an archive's, a commit as it was asked for. */
export type NamedFolder = { readonly name: string; readonly folder: Folder };

/**
 * Reads a side of a comparison: a folder, a zip archive, or `git:REF` (`git:REF:FOLDER` for a repository that
 * `beside` is not in). Throws `FolderError` with a sentence for what cannot be read.
 */
export async function readSide(given: string, beside: string): Promise<NamedFolder> {
  if (given.startsWith('git:')) {
    const [ref = '', folder = beside] = given.slice(4).split(/:(.*)/s);
    return { name: ref, folder: await readCommit(ref, folder) };
  }
  const name = path.basename(path.resolve(given));
  if (/\.zip$/i.test(given) && !(await stat(given).catch(() => undefined))?.isDirectory())
    return { name, folder: await readArchive(given) };
  return { name, folder: await readFolder(given) };
}

/** Puts files that are read already into the form of a folder. */
async function folderOf(files: readonly { readonly file: string; readonly bytes: Uint8Array }[]): Promise<Folder> {
  const ignores = files
    .filter(({ file }) => isIgnoreFile(file))
    .map(({ file, bytes }) => ({ file, text: new TextDecoder().decode(bytes) }));
  const choice = chooseFiles(
    files.map(({ file, bytes }) => ({ file, size: bytes.length })),
    ignores,
  );
  const bytesOf = new Map(files.map(({ file, bytes }) => [file, bytes]));
  const sources: SourceFile[] = [];
  const configs: ConfigFile[] = [];
  const refused: { file: string; reason: string }[] = [];
  for (const file of choice.taken) {
    const decoded = decodeFile(bytesOf.get(file) ?? new Uint8Array(), decoder);
    if ('refused' in decoded) refused.push({ file, reason: decoded.refused });
    else if (isConfig(file)) configs.push({ file, text: decoded.text });
    else sources.push({ file, text: decoded.text });
  }
  await loadCompilers(sources);
  return { sources, configs, choice, refused };
}

async function readArchive(file: string): Promise<Folder> {
  const bytes = await readFile(file).catch((error: NodeJS.ErrnoException) => {
    throw new FolderError(error.code === 'ENOENT' ? `There is no archive ${file}.` : `${file} cannot be read: ${error.message}.`);
  });
  const entries = await new Promise<Record<string, Uint8Array>>((done, fail) =>
    unzip(bytes, (error, found) =>
      error ? fail(new FolderError(`${file} is no zip archive that can be read: ${error.message}.`)) : done(found),
    ),
  );
  const files = Object.entries(entries).flatMap(([name, content]) => (name.endsWith('/') ? [] : [{ file: name, bytes: content }]));
  // Archives of repositories have all in one folder; that is not part of the project.
  const [first = ''] = files[0]?.file.split('/') ?? [];
  const isWrapped = files.length > 0 && first !== '' && files.every(({ file: one }) => one.startsWith(`${first}/`));
  return folderOf(isWrapped ? files.map((one) => ({ ...one, file: one.file.slice(first.length + 1) })) : files);
}

type Blob = { readonly file: string; readonly id: string; readonly size: number };

/** The files of a commit, as far as they are source: listed first, and only what is wanted is taken from the repository. */
async function readCommit(ref: string, folder: string): Promise<Folder> {
  const git = async (...args: string[]): Promise<Buffer> => {
    const { stdout } = await run('git', ['-C', folder, ...args], { encoding: 'buffer', maxBuffer: mostBytes }).catch(
      (error: NodeJS.ErrnoException & { stderr?: Buffer }) => {
        if (error.code === 'ENOENT') throw new FolderError('git is not installed here, so that no commit can be read.');
        const said =
          strFromU8(error.stderr ?? new Uint8Array())
            .split('\n')[0]
            ?.replace(/^fatal: /, '') ?? error.message;
        throw new FolderError(`${ref} of ${folder} cannot be read: ${said}.`);
      },
    );
    return stdout;
  };
  if (ref === '' || ref.startsWith('-')) throw new FolderError('git: must be followed by a commit, a branch or a tag, such as git:main.');
  const prefix = strFromU8(await git('rev-parse', '--show-prefix')).trim();
  const listed = strFromU8(await git('ls-tree', '-r', '-l', '-z', '--full-tree', `${ref}:${prefix}`));
  const blobs = listed.split('\0').flatMap((line): Blob[] => {
    // A submodule is a commit, and a link leads elsewhere: neither has text of this project.
    const [, mode = '', type = '', id = '', size = '', file = ''] = /^(\d+) (\w+) (\w+)\s+(\S+)\t(.*)$/s.exec(line) ?? [];
    return type === 'blob' && mode !== '120000' ? [{ file, id, size: Number(size) || 0 }] : [];
  });
  const ignoreFiles = blobs.filter(({ file }) => isIgnoreFile(file));
  const choice = chooseFiles(blobs, []);
  const taken = new Set(choice.taken);
  const wanted = [...blobs.filter(({ file }) => taken.has(file)), ...ignoreFiles.filter(({ file }) => !taken.has(file))];
  return folderOf(await contentsOf(folder, wanted));
}

/** The contents of objects, all by one process. */
async function contentsOf(folder: string, blobs: readonly Blob[]): Promise<{ file: string; bytes: Uint8Array }[]> {
  if (blobs.length === 0) return [];
  const out = await new Promise<Buffer>((done, fail) => {
    const child = execFile('git', ['-C', folder, 'cat-file', '--batch'], { encoding: 'buffer', maxBuffer: mostBytes }, (error, stdout) =>
      error ? fail(new FolderError(`The files of the commit cannot be read: ${error.message}.`)) : done(stdout),
    );
    child.stdin?.end(blobs.map(({ id }) => `${id}\n`).join(''));
  });
  const files: { file: string; bytes: Uint8Array }[] = [];
  let at = 0;
  for (const { file, id } of blobs) {
    const end = out.indexOf(0x0a, at);
    const [, type = '', size = ''] = out.subarray(at, end).toString('utf8').split(' ');
    if (type !== 'blob') throw new FolderError(`${file} (${id}) is broken or missing in the repository.`);
    files.push({ file, bytes: new Uint8Array(out.subarray(end + 1, end + 1 + Number(size))) });
    at = end + 1 + Number(size) + 1;
  }
  return files;
}
