import { parse } from 'jsonc-parser';
import { adapters } from '../frameworks/registry';
import type { ConfigFile } from '../model/model';
import type { FilePath } from '../model/span';
import { directoryOf, joinPath } from '../model/paths';

/** What a `package.json` says that resolution and pages depend on. */
export type PackageInfo = {
  readonly directory: FilePath;
  readonly name: string;
  readonly imports: ReadonlyMap<string, string>;
  readonly exports: ReadonlyMap<string, string>;
  readonly main: string;
  readonly dependencies: ReadonlySet<string>;
};

/** `paths` of a `tsconfig.json`, with `*` for any stretch, targets relative to the project. */
export type PathsInfo = {
  readonly directory: FilePath;
  readonly baseUrl?: FilePath;
  readonly paths: readonly { readonly pattern: string; readonly targets: readonly FilePath[] }[];
};

export type ProjectConfig = { readonly packages: readonly PackageInfo[]; readonly paths: readonly PathsInfo[] };

type Json = { readonly [key: string]: unknown };

function objectOf(value: unknown): Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Json) : {};
}

function stringOf(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

const ofFrameworks = adapters.flatMap(({ link }) => link.exportCondition ?? []);

/** The source that a conditional export means: `{ import: './a.js' }` → `./a.js`. */
function conditionOf(value: unknown): string {
  if (typeof value === 'string') return value;
  const conditions = objectOf(value);
  for (const name of ['source', ...ofFrameworks, 'import', 'module', 'default', 'browser', 'require', 'types']) {
    const found = conditionOf(conditions[name] ?? '');
    if (found) return found;
  }
  return '';
}

function mapOf(value: unknown): Map<string, string> {
  if (typeof value === 'string') return new Map([['.', value]]);
  const entries = Object.entries(objectOf(value));
  const subpaths = entries.some(([key]) => key.startsWith('.') || key.startsWith('#'));
  if (!subpaths && entries.length > 0) return new Map([['.', conditionOf(value)]]);
  return new Map(entries.map(([key, target]) => [key, conditionOf(target)]));
}

function readPackage(config: ConfigFile): PackageInfo {
  const json = objectOf(parse(config.text, [], { allowTrailingComma: true }));
  const names = ['dependencies', 'devDependencies', 'peerDependencies', 'optionalDependencies'].flatMap((key) =>
    Object.keys(objectOf(json[key])),
  );
  return {
    directory: directoryOf(config.file),
    name: stringOf(json['name']),
    imports: mapOf(json['imports']),
    exports: mapOf(json['exports']),
    main: stringOf(json['source']) || stringOf(json['module']) || stringOf(json['main']),
    dependencies: new Set(names),
  };
}

function readPaths(config: ConfigFile, all: ReadonlyMap<FilePath, ConfigFile>, seen: ReadonlySet<FilePath> = new Set()): PathsInfo {
  const json = objectOf(parse(config.text, [], { allowTrailingComma: true }));
  const options = objectOf(json['compilerOptions']);
  const directory = directoryOf(config.file);
  const baseUrl = stringOf(options['baseUrl']);
  const base = baseUrl ? joinPath(directory, baseUrl) : undefined;
  const own = Object.entries(objectOf(options['paths'])).map(([pattern, targets]) => ({
    pattern,
    targets: (Array.isArray(targets) ? targets : []).map((target) => joinPath(base ?? directory, stringOf(target))),
  }));
  const parents = (Array.isArray(json['extends']) ? json['extends'] : [json['extends']]).map(stringOf);
  const inherited = parents
    .flatMap((one) => parentConfig(config.file, one, all) ?? [])
    .filter((one) => !seen.has(one.file))
    .map((one) => readPaths(one, all, new Set([...seen, config.file])))
    .findLast((one) => one.paths.length > 0 || one.baseUrl !== undefined);
  const found = base ?? inherited?.baseUrl;
  return { directory, ...(found === undefined ? {} : { baseUrl: found }), paths: own.length > 0 ? own : (inherited?.paths ?? []) };
}

function parentConfig(file: FilePath, parent: string, all: ReadonlyMap<FilePath, ConfigFile>): ConfigFile | undefined {
  if (!parent.startsWith('.')) return undefined;
  const target = joinPath(directoryOf(file), parent);
  return all.get(target) ?? all.get(`${target}.json`);
}

/** Tells whether a file is one that `readConfig` understands. */
export function isConfig(file: FilePath): boolean {
  return /(^|\/)(package|[jt]sconfig(\.[\w-]+)*)\.json$/.test(file);
}

/** Reads what the project's configuration files say; malformed JSON counts as far as it goes. */
export function readConfig(configs: readonly ConfigFile[]): ProjectConfig {
  const byFile = new Map(configs.map((config) => [config.file, config]));
  const named = (pattern: RegExp): ConfigFile[] => configs.filter((config) => pattern.test(config.file));
  const deepest = (a: { directory: string }, b: { directory: string }): number => b.directory.length - a.directory.length;
  return {
    packages: named(/(^|\/)package\.json$/)
      .map(readPackage)
      .sort(deepest),
    paths: named(/(^|\/)[jt]sconfig(\.[\w-]+)*\.json$/)
      .map((config) => readPaths(config, byFile))
      .filter((info) => info.paths.length > 0 || info.baseUrl !== undefined)
      .sort(deepest),
  };
}
