import type { FileFacts } from '../../model/facts';
import { directoryOf, joinPath } from '../../model/paths';
import type { FilePath } from '../../model/span';
import type { PlacedPage, Project, TagTarget } from '../conventions';
import { usesIn } from '../../model/walk';
import { bodyOf, useOfTag } from '../placed';

type Defined = { readonly file: FilePath; readonly target: string };

const endings = ['', '.js', '.ts', '.mjs', '.mts', '/index.js', '/index.ts'];

/** The file of the project that a relative specifier of another one means. */
function fileMeant(files: ReadonlyMap<FilePath, FileFacts>, from: FilePath, specifier: string): FilePath | undefined {
  if (!specifier.startsWith('.')) return undefined;
  const path = joinPath(directoryOf(from), specifier);
  const found = endings.map((ending) => path + ending).find((one) => files.has(one));
  return found ?? (/\.m?js$/.test(path) ? [path.replace(/js$/, 'ts')].find((one) => files.has(one)) : undefined);
}

/** Packages that define no elements by themselves. */
const plain = /^(?:lit|lit-html|lit-element|@lit\/|@lit-labs\/|tslib$|@preact\/signals|vite$|node:)/;

/** What is loaded and is no script. */
const isAsset = (specifier: string): boolean => /\.(?:css|svg|png|json)(?:\?.*)?$/.test(specifier);

/** The files that a page loads, itself and by what it imports, and whether something else is loaded that is not among the files. */
type Loaded = { readonly files: ReadonlySet<FilePath>; readonly isAll: boolean };

function loadedFrom({ files, keepsTypeImports }: Project, page: FilePath): Loaded {
  const found = new Set([page]);
  let isAll = true;
  for (const file of found) {
    const facts = files.get(file);
    if (!facts) continue;
    if (facts.definesOthers || facts.problems.length > 0) isAll = false;
    for (const specifier of [
      ...facts.imports.filter((one) => !one.typeOnly && (!one.inTypesAlone || keepsTypeImports(file))).map((one) => one.from),
      ...facts.exports.flatMap((one) => one.from ?? []),
      ...(facts.effects ?? []),
      ...(facts.later ?? []),
    ]) {
      const there = fileMeant(files, file, specifier);
      if (there !== undefined) found.add(there);
      else if (!plain.test(specifier) && !isAsset(specifier)) isAll = false;
    }
  }
  return { files: found, isAll };
}

/** Something that the project loads from elsewhere may define any tag. */
function loadsOthers(files: ReadonlyMap<FilePath, FileFacts>): boolean {
  return [...files.values()].some(
    ({ imports, effects = [], framework, components }) =>
      (framework === 'elements' || components.length === 0) &&
      [...imports.flatMap(({ from, typeOnly }) => (typeOnly ? [] : from)), ...effects].some(
        (from) => !/^[./]|\.css$/.test(from) && !plain.test(from),
      ),
  );
}

/**
 * Tags stand for the classes that scripts define under them; where several do, for the one that the same page loads. For none where
 * all is known that the pages load which show the tag, and none of it defines it.
 */
export function registeredTags(project: Project): (file: FilePath, tag: string) => TagTarget | undefined {
  const { files } = project;
  const defined = new Map<string, Defined[]>();
  for (const { file, globals, framework } of files.values())
    for (const { name, target } of framework === 'vue' ? [] : (globals ?? [])) {
      const known = defined.get(name) ?? [];
      known.push({ file, target });
      defined.set(name, known);
    }
  const pages = [...files.keys()].filter((file) => /\.html?$/.test(file));
  const loads = new Map<FilePath, Loaded>();
  const loadedBy = (page: FilePath): Loaded => {
    const known = loads.get(page) ?? loadedFrom(project, page);
    loads.set(page, known);
    return known;
  };
  const isOpen = loadsOthers(files);
  /** Each page that loads a file shows what it shows without what defines a tag. */
  const isNowhereDefined = (file: FilePath, all: readonly Defined[]): boolean => {
    const showing = pages.map(loadedBy).filter((one) => one.files.has(file));
    return showing.length > 0 && showing.every((one) => one.isAll && one.files.size > 1 && !all.some((each) => one.files.has(each.file)));
  };
  return (file, tag) => {
    const all = defined.get(tag);
    if (!all) return isOpen ? { kind: 'outside', module: 'another script', name: tag } : undefined;
    if (isNowhereDefined(file, all)) return undefined;
    const [first, ...more] = all;
    const near =
      more.length === 0
        ? first
        : (all.find((one) => pages.some((page) => loadedBy(page).files.has(file) && loadedBy(page).files.has(one.file))) ?? first);
    return near && { kind: 'name', file: near.file, name: near.target };
  };
}

/** The tags by which other frameworks put their own components into a page of static HTML. */
function tagsOfOthers(files: Project['files']): ReadonlySet<string> {
  const all = [...files.values()].flatMap(({ components }) => components.flatMap((one) => one.selected?.selector?.split(',') ?? []));
  return new Set(all.map((one) => one.trim()).filter((one) => /^[\w-]+$/.test(one)));
}

const staticPages = ({ files }: Project): FileFacts[] =>
  [...files.values()].filter(
    ({ file, framework, components }) => framework === 'elements' && /\.html?$/.test(file) && components.length > 0,
  );

/** Static HTML that holds no elements but those by which other frameworks are put there, which show their own pages in it. */
export function shells(project: Project): ReadonlySet<FilePath> {
  const others = tagsOfOthers(project.files);
  const isShell = ({ components }: FileFacts): boolean => {
    const tags = components.flatMap(({ template }) => usesIn(template).map(({ tag }) => tag));
    return tags.length > 0 && tags.every((tag) => others.has(tag));
  };
  return new Set(staticPages(project).flatMap((one) => (isShell(one) ? [one.file] : [])));
}

/** Each file of static HTML that holds elements is a page. */
export function placedPages(project: Project): PlacedPage[] {
  const without = shells(project);
  return staticPages(project)
    .filter(({ file }) => !without.has(file))
    .map(({ file }) => ({ file, path: '', body: bodyOf([useOfTag('default')]) }));
}
