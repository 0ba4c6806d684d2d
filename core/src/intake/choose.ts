import ignore, { type Ignore } from 'ignore';
import { isConfig } from '../link';
import type { FilePath } from '../model/span';
import { isReadable } from '../frameworks/registry';

/** Why a file of a folder is not read. */
export type LeftOutReason = 'dependencies' | 'build output' | 'version control' | 'ignored' | 'other kind' | 'too large';

export type Choice = {
  /** Source and configuration files to be read, sorted. */
  readonly taken: readonly FilePath[];
  readonly leftOut: Readonly<Record<LeftOutReason, number>>;
};

/** A file larger than this is left out: no one writes such a file by hand. */
export const sizeLimit = 8 * 1024 * 1024;

const dependencies = new Set(['node_modules', 'bower_components', 'jspm_packages']);
const versionControl = new Set(['.git', '.hg', '.svn']);
const builds = new Set([
  'dist',
  'build',
  'out',
  'build-module',
  'build-types',
  'build-style',
  'coverage',
  '.next',
  '.nuxt',
  '.output',
  '.svelte-kit',
  '.astro',
  '.cache',
  '.turbo',
  '.vercel',
  '.parcel-cache',
  '.react-router',
  '.angular',
  'storybook-static',
]);

/**
 * Why nothing below a folder is read; undefined for one to look into. Build folders count only
 * outside of `src`, where a folder of that name is source.
 */
export function folderLeftOut(folder: FilePath): LeftOutReason | undefined {
  const parts = folder.split('/');
  for (const [index, part] of parts.entries()) {
    if (dependencies.has(part)) return 'dependencies';
    if (versionControl.has(part)) return 'version control';
    if (builds.has(part) && !parts.slice(0, index).includes('src')) return 'build output';
  }
  return undefined;
}

/** Tells whether a file's name is one that Liana takes from a folder. */
export function isWanted(file: FilePath): boolean {
  return (isReadable(file) || isConfig(file)) && !/\.min\.[cm]?js$|(^|\/)package-lock\.json$/.test(file);
}

export function isIgnoreFile(file: FilePath): boolean {
  return /(^|\/)\.gitignore$/.test(file);
}

/** Decides which files of a folder are read. `ignores` are the texts of its `.gitignore` files. */
export function chooseFiles(
  files: readonly { readonly file: FilePath; readonly size: number }[],
  ignores: readonly { readonly file: FilePath; readonly text: string }[],
): Choice {
  const rules = ignores.map(({ file, text }) => ({ folder: file.slice(0, -'.gitignore'.length), rules: ignore().add(text) }));
  const compiled = compiledFolders(files.map((one) => one.file));
  const leftOut: Record<LeftOutReason, number> = {
    dependencies: 0,
    'build output': 0,
    'version control': 0,
    ignored: 0,
    'other kind': 0,
    'too large': 0,
  };
  const taken: FilePath[] = [];
  for (const { file, size } of files) {
    const reason = compiled.some((folder) => file.startsWith(folder)) ? 'build output' : reasonFor(file, size, rules);
    if (reason) leftOut[reason]++;
    else if (!isIgnoreFile(file)) taken.push(file);
  }
  return { taken: taken.sort(), leftOut };
}

function reasonFor(file: FilePath, size: number, rules: readonly { folder: FilePath; rules: Ignore }[]): LeftOutReason | undefined {
  const folder = folderLeftOut(file.split('/').slice(0, -1).join('/'));
  if (folder) return folder;
  if (isIgnoreFile(file)) return undefined;
  if (
    rules.some((one) => file.startsWith(one.folder) && file.length > one.folder.length && one.rules.ignores(file.slice(one.folder.length)))
  )
    return 'ignored';
  if (!isWanted(file)) return 'other kind';
  return size > sizeLimit ? 'too large' : undefined;
}

const compiledNames = /^(lib|es|esm|cjs|umd|types)$/;
const stem = (file: FilePath): FilePath => file.replace(/(\.d)?\.[cm]?[jt]sx?$/, '');

/**
 * Folders beside a package's `src` that hold the same files compiled: nine in ten of their scripts
 * have a source of the same name. Each ends with `/`.
 */
function compiledFolders(files: readonly FilePath[]): FilePath[] {
  const sources = new Set<FilePath>();
  const scripts = new Map<FilePath, FilePath[]>();
  for (const file of files) {
    if (folderLeftOut(file) || !isWanted(file)) continue;
    const parts = file.split('/');
    const at = parts.findIndex((part) => part === 'src' || compiledNames.test(part));
    if (at < 0 || at === parts.length - 1) continue;
    const folder = `${parts.slice(0, at + 1).join('/')}/`;
    if (parts[at] === 'src') sources.add(stem(file));
    else scripts.set(folder, [...(scripts.get(folder) ?? []), file]);
  }
  return [...scripts].flatMap(([folder, found]) => {
    const source = `${folder
      .split('/')
      .slice(0, -2)
      .map((part) => `${part}/`)
      .join('')}src/`;
    const same = found.filter((file) => sources.has(source + stem(file.slice(folder.length))));
    return same.length >= found.length * 0.9 ? [folder] : [];
  });
}

/** All that was left out, as one number. */
export function leftOutCount(choice: Choice): number {
  return Object.values(choice.leftOut).reduce((sum, count) => sum + count, 0);
}
