import {
  chooseFiles,
  decodeFile,
  folderLeftOut,
  isConfig,
  isIgnoreFile,
  isWanted,
  type LeftOutReason,
  sizeLimit,
  messageOf,
} from '@liana/core';
import type { NewFiles } from '../storage/projects';
import { digestOf } from './digest';
import { filesOfCommit } from './git/commits';
import { gitFilesOf } from './git/git-files';
import type { ReportProgress } from './progress';
import { unpack } from './zip';

/** What a user hands in: files with their paths, a folder's handle, an archive, or texts that ship with Liana. */
export type Given =
  | { readonly kind: 'files'; readonly files: readonly { readonly file: string; readonly content: File }[] }
  | { readonly kind: 'handle'; readonly handle: FileSystemDirectoryHandle }
  | { readonly kind: 'zip'; readonly content: File }
  /** A commit of what was handed in, by its hash. */
  | { readonly kind: 'commit'; readonly of: Given; readonly hash: string }
  | { readonly kind: 'texts'; readonly files: readonly { readonly file: string; readonly text: string }[] };

/** Given files hold no source that Liana reads. */
export class NothingFound extends Error {}

type Listed = {
  readonly file: string;
  readonly size: number;
  readonly bytes: () => Promise<Uint8Array>;
  /** Of a file in a folder that is kept: another one after each change. */
  readonly stamp?: string;
};

const decode = (bytes: Uint8Array, label: string, fatal: boolean): string => new TextDecoder(label, { fatal }).decode(bytes);

/** Walks a folder's handle. Folders that are left out are not looked into, and count as one each. */
export async function listHandle(
  root: FileSystemDirectoryHandle,
  report: ReportProgress,
  isCancelled: () => boolean,
): Promise<{ files: Listed[]; skipped: Partial<Record<LeftOutReason, number>> }> {
  const files: Listed[] = [];
  const skipped: Partial<Record<LeftOutReason, number>> = {};
  const folders: { handle: FileSystemDirectoryHandle; path: string }[] = [{ handle: root, path: '' }];
  for (let folder = folders.pop(); folder && !isCancelled(); folder = folders.pop()) {
    for await (const [name, handle] of folder.handle.entries()) {
      const path = folder.path + name;
      if (handle.kind === 'directory') {
        const reason = folderLeftOut(path);
        if (reason) skipped[reason] = (skipped[reason] ?? 0) + 1;
        else folders.push({ handle: handle as FileSystemDirectoryHandle, path: `${path}/` });
        continue;
      }
      const file = handle as FileSystemFileHandle;
      const known = isWanted(path) || isIgnoreFile(path) ? await file.getFile() : undefined;
      files.push({
        file: path,
        size: known?.size ?? 0,
        bytes: async () => new Uint8Array(await (await file.getFile()).arrayBuffer()),
        ...(known ? { stamp: `${known.size} ${known.lastModified}` } : {}),
      });
    }
    report({ stage: 'Looking for files', done: files.length, total: 0 });
  }
  return { files, skipped };
}

const ordinary = /^(src|app|lib|source|packages|components|pages|web)$/;

/**
 * A folder's files all lie in one folder of its name: it is no part of their paths. In an archive a
 * folder with a name that sources ordinarily have is no such folder.
 */
function withoutTop(files: readonly Listed[], isArchive = false): Listed[] {
  const top = files[0]?.file.split('/')[0] ?? '';
  if (isArchive && ordinary.test(top)) return [...files];
  const shared = top !== '' && files.every(({ file }) => file.startsWith(`${top}/`));
  return shared ? files.map((one) => ({ ...one, file: one.file.slice(top.length + 1) })) : [...files];
}

async function list(
  given: Given,
  report: ReportProgress,
  isCancelled: () => boolean,
): Promise<{ files: Listed[]; skipped: Partial<Record<LeftOutReason, number>> }> {
  switch (given.kind) {
    case 'handle':
      return listHandle(given.handle, report, isCancelled);
    case 'files':
      return {
        files: withoutTop(
          given.files.map(({ file, content }) => ({
            file,
            size: content.size,
            bytes: async () => new Uint8Array(await content.arrayBuffer()),
          })),
        ),
        skipped: {},
      };
    case 'texts':
      return {
        files: given.files.map(({ file, text }) => ({ file, size: text.length, bytes: async () => new TextEncoder().encode(text) })),
        skipped: {},
      };
    case 'commit': {
      const git = await gitFilesOf(given.of);
      if (!git) throw new NothingFound('Nothing was taken: there is no .git in what was handed in.');
      const { files } = await filesOfCommit(git, given.hash, report, isCancelled);
      return { files, skipped: {} };
    }
    case 'zip': {
      report({ stage: 'Unpacking', done: 0, total: 0 });
      const { entries, listed } = await unpack(
        new Uint8Array(await given.content.arrayBuffer()),
        (file) => isIgnoreFile(file) || (isWanted(file) && !folderLeftOut(file)),
      );
      const bytes = new Map(entries.map((entry) => [entry.file, entry.bytes]));
      return {
        files: withoutTop(
          listed.map(({ file, size }) => ({ file, size, bytes: async () => bytes.get(file) ?? new Uint8Array() })),
          true,
        ),
        skipped: {},
      };
    }
  }
}

/** One file's text with its hash, or why it cannot be read. */
export async function takeFile(
  file: string,
  bytes: () => Promise<Uint8Array>,
): Promise<NewFiles['files'][number] | { readonly refused: string }> {
  try {
    const decoded = decodeFile(await bytes(), decode);
    if ('refused' in decoded) return decoded;
    const { text } = decoded;
    return { file, hash: await digestOf(text), size: text.length, kind: isConfig(file) ? 'config' : 'source', text };
  } catch (error) {
    return { refused: messageOf(error) };
  }
}

/**
 * Reads what was handed in to texts. Throws `NothingFound` where it holds no source, and gives
 * undefined when it was cancelled.
 */
export async function takeSources(given: Given, report: ReportProgress, isCancelled: () => boolean): Promise<NewFiles | undefined> {
  const { files, skipped } = await list(given, report, isCancelled);
  const ignores: { file: string; text: string }[] = [];
  for (const one of files)
    if (isIgnoreFile(one.file) && !folderLeftOut(one.file))
      ignores.push({ file: one.file, text: new TextDecoder().decode(await one.bytes()) });
  const choice = chooseFiles(files, ignores);
  const byName = new Map(files.map((one) => [one.file, one]));
  const taken: NewFiles['files'][number][] = [];
  const refused: { file: string; reason: string }[] = [];
  for (const one of files) {
    if (one.size > sizeLimit && isWanted(one.file))
      refused.push({ file: one.file, reason: `it is larger than ${sizeLimit / 1024 / 1024} MiB` });
  }
  for (const [index, file] of choice.taken.entries()) {
    if (isCancelled()) return undefined;
    if (index % 20 === 0) report({ stage: 'Reading files', done: index, total: choice.taken.length });
    const one = await takeFile(file, async () => (await byName.get(file)?.bytes()) ?? new Uint8Array());
    if ('refused' in one) refused.push({ file, reason: one.refused });
    else taken.push(one);
  }
  if (!taken.some((file) => file.kind === 'source')) {
    const seen =
      files.length === 0
        ? 'It is empty.'
        : `It holds ${files.length} files, and none of them is source that Liana reads (.js, .jsx, .ts, .tsx, .vue, .svelte).`;
    throw new NothingFound(`Nothing was imported. ${seen}`);
  }
  const leftOut = { ...choice.leftOut };
  for (const [reason, count] of Object.entries(skipped)) leftOut[reason as LeftOutReason] += count;
  return { files: taken, leftOut, refused };
}
