import { adapters } from '../frameworks/registry';
import type { FilePath } from '../model/span';
import type { InferredAlias } from './aliases';
import type { PackageInfo, PathsInfo, ProjectConfig } from './config';
import { directoryOf, isWithin, joinPath } from '../model/paths';

export type Resolved =
  | { readonly kind: 'file'; readonly file: FilePath }
  | { readonly kind: 'outside'; readonly module: string }
  | { readonly kind: 'missing'; readonly specifier: string };

const endings = ['', '.tsx', '.ts', '.jsx', '.js', '.mjs', '.cjs', '.mts', '.cts', '.d.ts', '.vue', '.svelte', '.astro'];
const notCode =
  /\.(css|s[ac]ss|less|styl|svg|png|jpe?g|gif|webp|avif|ico|json|md|mdx|woff2?|ttf|mp[34]|txt|html|wasm|graphql|gql|ya?ml)(\?.*)?$/;

/** Finds the file that a specifier means, as bundlers do: endings, `index`, `.js` written for `.ts`. */
export type ResolveModule = (from: FilePath, specifier: string) => Resolved;

/**
 * Makes the resolver of a project. Ambient modules (`declare module 'x'`) help to tell an alias
 * that only the bundler knows from a package; `inferred` aliases answer where nothing else does.
 */
export function makeResolver(
  files: ReadonlySet<FilePath>,
  config: ProjectConfig,
  ambient: ReadonlySet<string>,
  inferred: readonly InferredAlias[] = [],
): ResolveModule {
  const known = new Map<string, Resolved>();
  const conventional = adapters.flatMap(({ link }) => link.moduleFile?.(files) ?? []);
  const bySuffix = suffixIndex(files, ambient);
  const scopes = new Map<string, string>();
  /** The configuration that a folder's files are under; files under the same one resolve bare specifiers alike. */
  const scopeOf = (directory: FilePath): string => {
    const found = scopes.get(directory);
    if (found !== undefined) return found;
    const paths = config.paths.filter((info) => isWithin(info.directory, fileIn(directory))).map((info) => info.directory);
    const scope = [packageOf(config, fileIn(directory))?.directory ?? '', ...paths].join(' ');
    scopes.set(directory, scope);
    return scope;
  };
  return (from, specifier) => {
    const directory = directoryOf(from);
    const byPlace = conventional.map((fileOf) => fileOf(specifier, from)).find((one) => one !== undefined);
    const key = `${specifier.startsWith('.') ? directory : scopeOf(directory)}${deviceOf(from) ?? ''}\n${specifier}\n${byPlace ?? ''}`;
    const found = known.get(key);
    if (found) return found;
    const resolved = withInferred(files, inferred, specifier, resolve(files, config, bySuffix, from, specifier, byPlace));
    known.set(key, resolved);
    return resolved;
  };
}

/** What nothing declares is found where an inferred alias has it. */
function withInferred(files: ReadonlySet<FilePath>, inferred: readonly InferredAlias[], specifier: string, resolved: Resolved): Resolved {
  if (resolved.kind === 'file') return resolved;
  const alias = inferred.find((one) => specifier.startsWith(`${one.head}/`));
  const file = alias && fileAt(files, joinPath(alias.folder, specifier.slice(alias.head.length + 1)));
  return file ? { kind: 'file', file } : resolved;
}

/** Some file of a folder, to ask by. */
function fileIn(directory: FilePath): FilePath {
  return directory === '' ? 'x' : `${directory}/x`;
}

/** The innermost package that a file belongs to. */
export function packageOf(config: ProjectConfig, file: FilePath): PackageInfo | undefined {
  return config.packages.find((info) => isWithin(info.directory, file));
}

function fileAt(files: ReadonlySet<FilePath>, path: FilePath): FilePath | undefined {
  for (const ending of endings) {
    if (files.has(path + ending)) return path + ending;
  }
  for (const ending of endings) {
    const index = `${path === '' ? '' : `${path}/`}index${ending}`;
    if (ending && files.has(index)) return index;
  }
  const script = /^(.*)\.([cm]?)jsx?$/.exec(path);
  if (script) {
    for (const ending of ['.ts', '.tsx', '.mts', '.cts']) if (files.has(`${script[1]}${ending}`)) return `${script[1]}${ending}`;
  }
  return undefined;
}

const scriptEnding = /\.[cm]?[jt]sx?$/;
/** The forms of a file that devices have of their own: `Row.native.js`. */
const devices = ['.native', '.ios', '.android', '.web'];

/** The device that a file is for; undefined for one that is for all. */
const deviceOf = (file: FilePath): string | undefined => /\.(?:native|ios|android)(?=\.[cm]?[jt]sx?$)/.exec(file)?.[0];

/** What a bundler gives a file of a device: the form of a file for that device, or for all devices, where there is one. */
function formFor(files: ReadonlySet<FilePath>, from: FilePath, specifier: string, file: FilePath): FilePath {
  const device = deviceOf(from);
  if (device === undefined || scriptEnding.test(specifier)) return file;
  const stem = file.replace(/(?:\.(?:native|ios|android|web))?\.[cm]?[jt]sx?$/, '');
  const forms = [device, '.native'].flatMap((form) => endings.map((ending) => stem + form + ending));
  return forms.find((one) => scriptEnding.test(one) && files.has(one)) ?? file;
}

function resolve(
  files: ReadonlySet<FilePath>,
  config: ProjectConfig,
  bySuffix: ReadonlyMap<string, FilePath>,
  from: FilePath,
  given: string,
  byPlace: FilePath | undefined,
): Resolved {
  const specifier = given.replace(/\?.*$/, '');
  if (notCode.test(given)) return { kind: 'outside', module: given };
  if (specifier.startsWith('.')) {
    const path = joinPath(directoryOf(from), specifier);
    // What has forms for devices alone is meant by whoever leaves the choice to the bundler.
    const forms = [path, ...devices.flatMap((form) => [`${path}${form}`, `${path}/index${form}`])];
    const file = forms.map((one) => fileAt(files, one)).find((one) => one !== undefined);
    return file ? { kind: 'file', file: formFor(files, from, specifier, file) } : { kind: 'missing', specifier };
  }
  const file =
    byPaths(files, config.paths, from, specifier) ??
    byPackageImports(files, packageOf(config, from), specifier) ??
    byWorkspace(files, config.packages, specifier) ??
    byUsualAlias(files, config, from, specifier) ??
    bySuffix.get(specifier) ??
    byPlace;
  if (file) return { kind: 'file', file: formFor(files, from, specifier, file) };
  return /^[~#]|^@\//.test(specifier) ? { kind: 'missing', specifier } : { kind: 'outside', module: specifier };
}

/** `@/*` against `@/a/b` → `a/b`; undefined when it does not fit. */
function starOf(pattern: string, specifier: string): string | undefined {
  const at = pattern.indexOf('*');
  if (at < 0) return pattern === specifier ? '' : undefined;
  const head = pattern.slice(0, at);
  const tail = pattern.slice(at + 1);
  if (!specifier.startsWith(head) || !specifier.endsWith(tail) || specifier.length < head.length + tail.length) return undefined;
  return specifier.slice(head.length, specifier.length - tail.length);
}

function byPaths(files: ReadonlySet<FilePath>, all: readonly PathsInfo[], from: FilePath, specifier: string): FilePath | undefined {
  for (const info of all) {
    if (!isWithin(info.directory, from)) continue;
    for (const { pattern, targets } of info.paths) {
      const star = starOf(pattern, specifier);
      if (star === undefined) continue;
      for (const target of targets) {
        const file = fileAt(files, target.replace('*', star));
        if (file) return file;
      }
    }
    const file = info.baseUrl === undefined ? undefined : fileAt(files, joinPath(info.baseUrl, specifier));
    if (file) return file;
  }
  return undefined;
}

/** The folder of a build. */
const built = /(^|\/)(dist|lib|build|build-module|es|esm|cjs|out)\//;
const ending = /(\.d)?\.[cm]?[jt]sx?$/;

/** A published path may name the build: its source stands beside it. */
function sourceOf(files: ReadonlySet<FilePath>, path: FilePath): FilePath | undefined {
  const direct = fileAt(files, path);
  if (direct) return direct;
  const source = path.replace(built, '$1src/').replace(ending, '');
  return source === path ? undefined : fileAt(files, source);
}

/**
 * The files that a package names in `exports` for others to import. Undefined where that cannot be told: it names none,
 * or one of them is code that is not among the files.
 */
export function entriesOf(files: ReadonlySet<FilePath>, info: PackageInfo): ReadonlySet<FilePath> | undefined {
  const found = new Set<FilePath>();
  for (const [pattern, target] of info.exports) {
    if (target === '' || notCode.test(target)) continue;
    const path = joinPath(info.directory, target);
    const isFolder = pattern.includes('*') || target.endsWith('/');
    const given = isFolder
      ? filesOf(files, target.endsWith('/') ? `${path}/*` : path)
      : [sourceOf(files, path)].filter((one) => one !== undefined);
    for (const file of given) found.add(file);
    if (given.length === 0 && !isStyles.test(target)) return undefined;
  }
  return found.size > 0 ? found : undefined;
}

/** A folder that holds no code, by its name. */
const isStyles = /(?:^|\/)(?:build-)?(?:styles?|css|scss|fonts|assets)\//i;

/** The files that a target with `*` means, or whose build it means. */
function filesOf(files: ReadonlySet<FilePath>, pattern: string): FilePath[] {
  const patterns = [pattern, pattern.replace(built, '$1src/')];
  return [...files].filter((file) =>
    patterns.some((one) => starOf(one, file) !== undefined || starOf(one.replace(ending, ''), file.replace(ending, '')) !== undefined),
  );
}

function byPackageImports(files: ReadonlySet<FilePath>, info: PackageInfo | undefined, specifier: string): FilePath | undefined {
  if (!info || !specifier.startsWith('#')) return undefined;
  for (const [pattern, target] of info.imports) {
    const star = starOf(pattern, specifier);
    const file = star === undefined ? undefined : sourceOf(files, joinPath(info.directory, target.replace('*', star)));
    if (file) return file;
  }
  return undefined;
}

function byWorkspace(files: ReadonlySet<FilePath>, packages: readonly PackageInfo[], specifier: string): FilePath | undefined {
  for (const info of packages) {
    if (!info.name || (specifier !== info.name && !specifier.startsWith(`${info.name}/`))) continue;
    const subpath = specifier === info.name ? '.' : `.${specifier.slice(info.name.length)}`;
    for (const [pattern, target] of info.exports) {
      const star = starOf(pattern, subpath);
      const file = star === undefined ? undefined : sourceOf(files, joinPath(info.directory, target.replace('*', star)));
      if (file) return file;
    }
    const at = (path: string): FilePath | undefined => sourceOf(files, joinPath(info.directory, path));
    const file = subpath === '.' ? ((info.main && at(info.main)) ?? at('src/index') ?? at('index')) : (at(subpath) ?? at(`src/${subpath}`));
    if (file) return file;
  }
  return undefined;
}

const foldersOfFrameworks = adapters.flatMap(({ link }) => Object.entries(link.folders ?? {}));

/** What a framework has for folders, and `@/x` and `~/x` without configuration: below `src`, `app` or the package itself. */
function byUsualAlias(files: ReadonlySet<FilePath>, config: ProjectConfig, from: FilePath, specifier: string): FilePath | undefined {
  const directory = packageOf(config, from)?.directory ?? '';
  for (const [name, folder] of foldersOfFrameworks)
    if (specifier === name || specifier.startsWith(`${name}/`))
      return fileAt(files, joinPath(directory, folder + specifier.slice(name.length)));
  const rest = /^[@~]\/(.*)$/.exec(specifier)?.[1];
  if (rest === undefined) return undefined;
  for (const folder of ['src', 'app', '.']) {
    const file = fileAt(files, joinPath(directory, `${folder}/${rest}`));
    if (file) return file;
  }
  return undefined;
}

/**
 * For ambient modules such as `@theme/Card`: the one file of the project whose path ends like it.
 * Two files that would fit decide nothing.
 */
function suffixIndex(files: ReadonlySet<FilePath>, ambient: ReadonlySet<string>): ReadonlyMap<string, FilePath> {
  const scopes = new Set([...ambient].map((module) => /^@([\w-]+)\//.exec(module)?.[1]).filter((scope) => scope !== undefined));
  const found = new Map<string, FilePath | undefined>();
  for (const file of files) {
    const path = file
      .replace(/\.d\.ts$/, '')
      .replace(/\.[cm]?[jt]sx?$/, '')
      .replace(/\/index$/, '');
    for (const scope of scopes) {
      const at = path.lastIndexOf(`${scope}/`);
      if (at < 0 || (at > 0 && path[at - 1] !== '/')) continue;
      const specifier = `@${path.slice(at)}`;
      const known = found.get(specifier);
      if (!found.has(specifier) || (known !== undefined && directoryOf(known) === directoryOf(file))) found.set(specifier, known ?? file);
      else found.set(specifier, undefined);
    }
  }
  return new Map([...found].flatMap(([specifier, file]): [string, FilePath][] => (file ? [[specifier, file]] : [])));
}
