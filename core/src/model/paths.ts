import type { FilePath } from './span';

/** The folder of a file; empty for one at the top. */
export function directoryOf(file: FilePath): FilePath {
  const at = file.lastIndexOf('/');
  return at < 0 ? '' : file.slice(0, at);
}

/** Joins and tidies a relative path; `..` past the top stays at the top. */
export function joinPath(directory: FilePath, relative: string): FilePath {
  const parts: string[] = [];
  for (const part of `${directory}/${relative}`.split('/')) {
    if (part === '' || part === '.') continue;
    if (part === '..') parts.pop();
    else parts.push(part);
  }
  return parts.join('/');
}

/** Of some files the one that shares most folders with another; of several the first, and undefined where there are none. */
export function nearestFile(file: FilePath, files: readonly FilePath[]): FilePath | undefined {
  const folders = directoryOf(file).split('/');
  let found: FilePath | undefined;
  let most = -1;
  for (const one of files) {
    const others = directoryOf(one).split('/');
    let shared = 0;
    while (shared < folders.length && folders[shared] === others[shared]) shared++;
    if (shared > most) [found, most] = [one, shared];
  }
  return found;
}

/** Tells whether a file lies in a folder or further down. */
export function isWithin(directory: FilePath, file: FilePath): boolean {
  return directory === '' || file.startsWith(`${directory}/`);
}
