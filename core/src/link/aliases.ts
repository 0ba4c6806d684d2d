import type { FileFacts } from '../model/facts';
import type { FilePath } from '../model/span';

/** A folder that specifiers mean by a head of their own: `@/vdb/…` → `src/lib`. */
export type InferredAlias = { readonly head: string; readonly folder: FilePath };

/** Specifiers of one head that must be found in the folder, at least, and their share of all. */
const enough = { count: 3, share: 0.8 };

/** The same for heads that a package may have too, with a folder before the name: all of few, and nearly all of many. */
const enoughOfNames = { count: 4, share: 0.95 };

/** Heads that no package has. */
const noPackage = /^(@|~|#)\/|^[~#]/;

/** More files than this of one name decide nothing. */
const mostOfAName = 60;

const withoutEnding = (path: string): string => path.replace(/(\.d)?\.[cm]?[jt]sx?$/, '').replace(/\/index$/, '');

/**
 * Aliases that no configuration at hand declares: heads of specifiers under which the files of one
 * folder are found, and of no other. `missing` are the specifiers that nothing else resolves, of the
 * whole project. A head is the first one or two parts of a specifier; one that a package may have
 * as well must be sure.
 */
export function inferAliases(files: Iterable<FilePath>, missing: ReadonlySet<string>): readonly InferredAlias[] {
  const byHead = new Map<string, string[]>();
  for (const specifier of missing) {
    const parts = specifier.split('/');
    for (const depth of [2, 1]) {
      if (parts.length <= depth) continue;
      const head = parts.slice(0, depth).join('/');
      const rest = withoutEnding(parts.slice(depth).join('/'));
      const known = byHead.get(head);
      if (known) known.push(rest);
      else byHead.set(head, [rest]);
    }
  }
  if (byHead.size === 0) return [];
  const byLast = new Map<string, string[]>();
  // A script and its declarations are one.
  for (const path of new Set(Array.from(files, withoutEnding))) {
    const last = path.slice(path.lastIndexOf('/') + 1);
    const known = byLast.get(last);
    if (known) known.push(path);
    else byLast.set(last, [path]);
  }
  const found: InferredAlias[] = [];
  for (const [head, rests] of byHead) {
    if (found.some((one) => head.startsWith(`${one.head}/`) || one.head.startsWith(`${head}/`))) continue;
    const isOwn = noPackage.test(head);
    const ofFolders = rests.filter((rest) => rest.includes('/')).length >= rests.length * enoughOfNames.share;
    const folder = isOwn || ofFolders ? folderOf(rests, byLast, isOwn ? enough : enoughOfNames) : undefined;
    if (folder !== undefined) found.push({ head, folder });
  }
  return found;
}

function folderOf(rests: readonly string[], byLast: ReadonlyMap<string, readonly string[]>, needed: typeof enough): FilePath | undefined {
  const votes = new Map<FilePath, number>();
  for (const rest of rests) {
    const alike = byLast.get(rest.slice(rest.lastIndexOf('/') + 1)) ?? [];
    if (alike.length > mostOfAName) continue;
    for (const path of alike) {
      if (path !== rest && !path.endsWith(`/${rest}`)) continue;
      const folder = path.slice(0, Math.max(0, path.length - rest.length - 1));
      votes.set(folder, (votes.get(folder) ?? 0) + 1);
    }
  }
  const [best, second] = [...votes].sort((a, b) => b[1] - a[1]);
  if (!best || best[1] < needed.count || best[1] < rests.length * needed.share || second?.[1] === best[1]) return undefined;
  return best[0];
}

/** The specifiers of imports, re-exports and later loads of all files that a resolver cannot place: of none of the packages depended on. */
export function missingSpecifiers(
  files: ReadonlyMap<FilePath, FileFacts>,
  isMissing: (from: FilePath, specifier: string) => boolean,
): ReadonlySet<string> {
  const found = new Set<string>();
  const note = (from: FilePath, specifier: string | undefined): void => {
    if (specifier !== undefined && !specifier.startsWith('.') && specifier.includes('/') && isMissing(from, specifier))
      found.add(specifier);
  };
  for (const { file, imports, exports, later } of files.values()) {
    for (const one of imports) note(file, one.from);
    for (const one of exports) note(file, one.from);
    for (const one of later ?? []) note(file, one);
  }
  return found;
}
