import { unpack } from '../zip';
import type { Given } from '../sources';

/** What can be read of a folder that has a `.git`. Paths begin at that folder, with `/` between their parts. */
export type GitFiles = {
  /** The bytes of a file; undefined where there is none. */
  readonly read: (path: string) => Promise<Uint8Array | undefined>;
  /** The names in a folder; undefined where there is none. */
  readonly list: (path: string) => Promise<readonly string[] | undefined>;
};

/** The folder that holds `.git`, of some paths: the empty text for the topmost; undefined where none has one. */
function rootOf(paths: Iterable<string>): string | undefined {
  let found: string | undefined;
  for (const path of paths) {
    const [, root] = /^((?:.*\/)?)\.git\/HEAD$/.exec(path) ?? [];
    if (root !== undefined && (found === undefined || root.length < found.length)) found = root;
  }
  return found;
}

/** Files by their paths as what can be read of a folder; undefined where none of them is a `.git/HEAD`. */
export function filesByPath(files: ReadonlyMap<string, () => Promise<Uint8Array>>): GitFiles | undefined {
  const root = rootOf(files.keys());
  if (root === undefined) return undefined;
  const folders = new Map<string, Set<string>>();
  for (const path of files.keys()) {
    if (!path.startsWith(`${root}.git/`)) continue;
    const parts = path.slice(root.length).split('/');
    for (let depth = 0; depth < parts.length; depth++) {
      const folder = parts.slice(0, depth).join('/');
      const names = folders.get(folder) ?? new Set<string>();
      folders.set(folder, names.add(parts[depth] ?? ''));
    }
  }
  return {
    read: async (path) => files.get(root + path)?.(),
    list: async (path) => {
      const names = folders.get(path);
      return names && [...names];
    },
  };
}

/** The handle of a folder as what can be read of it; undefined where it has no `.git` of its own. */
async function filesOfHandle(root: FileSystemDirectoryHandle): Promise<GitFiles | undefined> {
  const known = new Map<string, Promise<FileSystemDirectoryHandle | undefined>>([['', Promise.resolve(root)]]);
  const folderAt = (path: string): Promise<FileSystemDirectoryHandle | undefined> => {
    const found =
      known.get(path) ??
      (async () => {
        const cut = path.lastIndexOf('/');
        const above = await folderAt(cut < 0 ? '' : path.slice(0, cut));
        return above?.getDirectoryHandle(path.slice(cut + 1)).catch(() => undefined);
      })();
    known.set(path, found);
    return found;
  };
  if (!(await folderAt('.git'))) return undefined;
  return {
    async read(path) {
      const cut = path.lastIndexOf('/');
      const folder = await folderAt(cut < 0 ? '' : path.slice(0, cut));
      const file = await folder?.getFileHandle(path.slice(cut + 1)).catch(() => undefined);
      return file && new Uint8Array(await (await file.getFile()).arrayBuffer());
    },
    async list(path) {
      const folder = await folderAt(path);
      if (!folder) return undefined;
      const names: string[] = [];
      for await (const [name] of folder.entries()) names.push(name);
      return names;
    },
  };
}

/** What was handed in, as what git can be read from; undefined where it has no `.git`. Throws `ArchiveError` for an archive that is refused. */
export async function gitFilesOf(given: Given): Promise<GitFiles | undefined> {
  if (given.kind === 'handle') return filesOfHandle(given.handle);
  if (given.kind === 'files')
    return filesByPath(new Map(given.files.map(({ file, content }) => [file, async () => new Uint8Array(await content.arrayBuffer())])));
  if (given.kind === 'zip') {
    const { entries } = await unpack(new Uint8Array(await given.content.arrayBuffer()), (file) => /(?:^|\/)\.git\//.test(file));
    return filesByPath(new Map(entries.map(({ file, bytes }) => [file, async () => bytes])));
  }
  return undefined;
}
