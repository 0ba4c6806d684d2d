import { Buffer } from 'buffer';
import type * as Git from 'isomorphic-git';
import type { PromiseFsClient } from 'isomorphic-git';
import { folderLeftOut, isIgnoreFile, isWanted, messageOf } from '@liana/core';
import type { ReportProgress } from '../progress';
import type { GitFiles } from './git-files';

/** A commit, a branch or a tag that can be read. */
export type Commit = {
  readonly kind: 'branch' | 'tag' | 'commit';
  /** The name of a branch or a tag; the first letters of a commit. */
  readonly name: string;
  /** The hash of the commit, in full. */
  readonly hash: string;
  /** The first line of its message; an empty text where it cannot be read. */
  readonly title: string;
  /** When it was made, in milliseconds since 1970. */
  readonly at: number;
};

/** What can be read of a repository, and what cannot. */
export type Commits = { readonly all: readonly Commit[]; readonly problems: readonly string[] };

/** A repository, or something of it, that cannot be read; the message says what. */
export class GitError extends Error {}

/** So many commits of the current branch are listed; others are read by their names. */
const most = 300;

const dir = '/';
const gitdir = '/.git';

/** No file or folder of that path, in the words that the library waits for. */
const missing = (path: string): Error => Object.assign(new Error(`There is no ${path}.`), { code: 'ENOENT' });

const within = (path: string): string => path.replace(/^\/+/, '').replace(/\/+$/, '');

/** The files as the library asks for them. Nothing is ever written. */
function fileSystem(files: GitFiles): PromiseFsClient {
  const refuse = async (path: string): Promise<never> => {
    throw Object.assign(new Error(`${path} is not written to.`), { code: 'EROFS' });
  };
  const stat = async (path: string): Promise<unknown> => {
    const asked = within(path);
    const isFolder = (await files.list(asked)) !== undefined;
    const cut = asked.lastIndexOf('/');
    const beside = isFolder ? [] : await files.list(cut < 0 ? '' : asked.slice(0, cut));
    if (!isFolder && !beside?.includes(asked.slice(cut + 1))) throw missing(path);
    return {
      type: isFolder ? 'dir' : 'file',
      size: 0,
      mode: isFolder ? 0o40000 : 0o100644,
      mtimeMs: 0,
      ctimeMs: 0,
      ino: 0,
      uid: 0,
      gid: 0,
      dev: 0,
      isFile: () => !isFolder,
      isDirectory: () => isFolder,
      isSymbolicLink: () => false,
    };
  };
  return {
    promises: {
      async readFile(path: string, options?: unknown) {
        const bytes = await files.read(within(path));
        if (!bytes) throw missing(path);
        const encoding = typeof options === 'string' ? options : (options as { encoding?: string } | undefined)?.encoding;
        return encoding === undefined ? Buffer.from(bytes) : new TextDecoder().decode(bytes);
      },
      async readdir(path: string) {
        const names = await files.list(within(path));
        if (!names) throw missing(path);
        return names;
      },
      stat,
      lstat: stat,
      readlink: async (path: string) => {
        throw missing(path);
      },
      writeFile: refuse,
      mkdir: refuse,
      rmdir: refuse,
      unlink: refuse,
      symlink: refuse,
    },
  };
}

/** The library, loaded where it is asked for. It knows bytes by the name that they have elsewhere. */
async function loadGit(): Promise<typeof Git> {
  const held = globalThis as { Buffer?: unknown };
  held.Buffer ??= Buffer;
  return import('isomorphic-git');
}

type Repository = { readonly git: typeof Git; readonly at: { fs: PromiseFsClient; dir: string; gitdir: string; cache: object } };

async function repositoryOf(files: GitFiles): Promise<Repository> {
  const head = await files.read('.git/HEAD');
  if (!head) {
    const link = (await files.read('.git')) ? ' It leads to a folder elsewhere, which cannot be reached from here.' : '';
    throw new GitError(`The folder has no .git that can be read.${link}`);
  }
  return { git: await loadGit(), at: { fs: fileSystem(files), dir, gitdir, cache: {} } };
}

const listed = (kind: Commit['kind'], name: string, hash: string, { message, committer }: Git.CommitObject): Commit => ({
  kind,
  name,
  hash,
  title: message.split('\n')[0] ?? '',
  at: committer.timestamp * 1000,
});

/** The branches, the tags and the latest commits of the current branch of a repository. Throws `GitError` where it is none. */
export async function commitsIn(files: GitFiles): Promise<Commits> {
  const { git, at } = await repositoryOf(files);
  const problems: string[] = [];
  const commitAt = async (kind: Commit['kind'], name: string, ref: string): Promise<Commit[]> => {
    try {
      const oid = await git.resolveRef({ ...at, ref });
      const { oid: hash, commit } = await git.readCommit({ ...at, oid });
      return [listed(kind, name, hash, commit)];
    } catch (error) {
      problems.push(`${name}: ${messageOf(error)}`);
      return [];
    }
  };
  const branches = await git.listBranches(at);
  const remotes = await git.listRemotes(at);
  const tracked = await Promise.all(
    remotes.map(async ({ remote }) =>
      (await git.listBranches({ ...at, remote })).flatMap((name) => (name === 'HEAD' ? [] : [`${remote}/${name}`])),
    ),
  );
  const all: Commit[] = [];
  for (const name of branches) all.push(...(await commitAt('branch', name, `refs/heads/${name}`)));
  for (const name of tracked.flat()) all.push(...(await commitAt('branch', name, `refs/remotes/${name}`)));
  for (const name of await git.listTags(at)) all.push(...(await commitAt('tag', name, `refs/tags/${name}`)));
  try {
    for (const { oid, commit } of await git.log({ ...at, depth: most })) all.push(listed('commit', oid.slice(0, 8), oid, commit));
  } catch (error) {
    problems.push(`HEAD: ${messageOf(error)}`);
  }
  return { all, problems };
}

/** The commit that a text names: a branch, a tag, a hash or the beginning of one. Undefined where it names none. */
export async function commitNamed(files: GitFiles, text: string): Promise<Commit | undefined> {
  const { git, at } = await repositoryOf(files);
  try {
    const ref = text.trim();
    const oid = await git.resolveRef({ ...at, ref }).catch(() => git.expandOid({ ...at, oid: ref }));
    const { oid: hash, commit } = await git.readCommit({ ...at, oid });
    return listed('commit', hash.slice(0, 8), hash, commit);
  } catch {
    return undefined;
  }
}

/** A file of a commit, whose bytes are read when they are asked for. */
export type CommitFile = { readonly file: string; readonly size: number; readonly bytes: () => Promise<Uint8Array> };

/**
 * The files of a commit that Liana reads, by their paths in it, and the modules of other repositories that are left out.
 * Folders that are never looked into are not walked. Throws `GitError` where the commit or one of its trees cannot be read.
 */
export async function filesOfCommit(
  files: GitFiles,
  hash: string,
  report: ReportProgress,
  isCancelled: () => boolean,
): Promise<{ files: CommitFile[]; modules: readonly string[] }> {
  const { git, at } = await repositoryOf(files);
  const found: CommitFile[] = [];
  const modules: string[] = [];
  const folders: { oid: string; path: string }[] = [{ oid: hash, path: '' }];
  for (let folder = folders.pop(); folder && !isCancelled(); folder = folders.pop()) {
    const { path, oid: of } = folder;
    const { tree } = await git.readTree({ ...at, oid: of }).catch((error: unknown): never => {
      throw new GitError(`${path === '' ? `The commit ${hash.slice(0, 8)}` : `The folder ${path}`} cannot be read: ${messageOf(error)}.`);
    });
    for (const { path: name, oid, type } of tree) {
      const file = path + name;
      if (type === 'commit') modules.push(file);
      else if (type === 'tree' && !folderLeftOut(file)) folders.push({ oid, path: `${file}/` });
      else if (type === 'blob' && (isWanted(file) || isIgnoreFile(file)))
        found.push({
          file,
          size: 0,
          bytes: async () => {
            try {
              return (await git.readBlob({ ...at, oid })).blob;
            } catch (error) {
              throw new GitError(`its text cannot be read: ${messageOf(error)}`);
            }
          },
        });
    }
    report({ stage: 'Looking through the commit', done: found.length, total: 0 });
  }
  return { files: found, modules };
}
