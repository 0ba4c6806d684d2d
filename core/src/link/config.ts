import { parse } from 'jsonc-parser';
import { adapters } from '../frameworks/registry';
import type { PlacedProblem } from '../model/facts';
import type { ConfigFile } from '../model/model';
import type { FilePath } from '../model/span';
import { directoryOf, joinPath } from '../model/paths';
import { ownValue } from '../model/own-value';

/** What a `package.json` says that resolution and pages depend on. */
export type PackageInfo = {
  readonly directory: FilePath;
  readonly name: string;
  readonly imports: ReadonlyMap<string, string>;
  readonly exports: ReadonlyMap<string, string>;
  readonly main: string;
  readonly dependencies: ReadonlySet<string>;
  /** The version that it declares of each, as written. */
  readonly versions: ReadonlyMap<string, string>;
};

/** `paths` of a `tsconfig.json`, with `*` for any stretch, targets relative to the project. */
export type PathsInfo = {
  readonly directory: FilePath;
  readonly baseUrl?: FilePath;
  readonly paths: readonly { readonly pattern: string; readonly targets: readonly FilePath[] }[];
};

export type ProjectConfig = {
  readonly packages: readonly PackageInfo[];
  readonly paths: readonly PathsInfo[];
  /** Folders whose modules are compiled so that they load also what they import for types alone. */
  readonly keepsTypeImports: readonly FilePath[];
  /** Files that could not be read at all, each once. */
  readonly unread: readonly PlacedProblem[];
};

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
    const found = conditionOf(ownValue(conditions, name) ?? '');
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

function readPackage(config: ConfigFile, json: Json): PackageInfo {
  const declared = ['dependencies', 'devDependencies', 'peerDependencies', 'optionalDependencies'].flatMap((key) =>
    Object.entries(objectOf(ownValue(json, key))),
  );
  return {
    directory: directoryOf(config.file),
    name: stringOf(json['name']),
    imports: mapOf(json['imports']),
    exports: mapOf(json['exports']),
    main: stringOf(json['source']) || stringOf(json['module']) || stringOf(json['main']),
    dependencies: new Set(declared.map(([name]) => name)),
    versions: new Map(declared.map(([name, version]) => [name, stringOf(version)])),
  };
}

/** What each configuration file says; empty for one that could not be read. */
type Jsons = (config: ConfigFile) => Json;

function readPaths(
  config: ConfigFile,
  all: ReadonlyMap<FilePath, ConfigFile>,
  jsonOf: Jsons,
  seen: ReadonlySet<FilePath> = new Set(),
): PathsInfo {
  const json = jsonOf(config);
  const options = objectOf(json['compilerOptions']);
  const directory = directoryOf(config.file);
  const baseUrl = stringOf(options['baseUrl']);
  const base = baseUrl ? joinPath(directory, baseUrl) : undefined;
  const own = Object.entries(objectOf(options['paths'])).map(([pattern, targets]) => ({
    pattern,
    targets: (Array.isArray(targets) ? targets : []).map((target) => joinPath(base ?? directory, stringOf(target))),
  }));
  const inherited = parentsOf(json)
    .flatMap((one) => parentConfig(config.file, one, all) ?? [])
    .filter((one) => !seen.has(one.file))
    .map((one) => readPaths(one, all, jsonOf, new Set([...seen, config.file])))
    .findLast((one) => one.paths.length > 0 || one.baseUrl !== undefined);
  const found = base ?? inherited?.baseUrl;
  return { directory, ...(found === undefined ? {} : { baseUrl: found }), paths: own.length > 0 ? own : (inherited?.paths ?? []) };
}

/** Whether imports for types alone stay when what is under this configuration is compiled; also where what it extends cannot be seen. */
function keepsImports(
  config: ConfigFile,
  all: ReadonlyMap<FilePath, ConfigFile>,
  jsonOf: Jsons,
  seen: ReadonlySet<FilePath> = new Set(),
): boolean {
  const json = jsonOf(config);
  const options = objectOf(json['compilerOptions']);
  const own = options['verbatimModuleSyntax'] ?? options['preserveValueImports'];
  if (typeof own === 'boolean') return own;
  if (stringOf(options['importsNotUsedAsValues']) === 'preserve') return true;
  return parentsOf(json).some((one) => {
    const parent = parentConfig(config.file, one, all);
    return !parent || (!seen.has(parent.file) && keepsImports(parent, all, jsonOf, new Set([...seen, config.file])));
  });
}

const parentsOf = (json: Json): string[] =>
  (Array.isArray(json['extends']) ? json['extends'] : [json['extends']]).map(stringOf).filter((one) => one !== '');

function parentConfig(file: FilePath, parent: string, all: ReadonlyMap<FilePath, ConfigFile>): ConfigFile | undefined {
  if (!parent.startsWith('.')) return undefined;
  const target = joinPath(directoryOf(file), parent);
  return all.get(target) ?? all.get(`${target}.json`);
}

/** Tells whether a file is one that `readConfig` understands. */
export function isConfig(file: FilePath): boolean {
  return /(^|\/)(package|[jt]sconfig(\.[\w-]+)*)\.json$/.test(file);
}

/** Reads what the project's configuration files say; malformed JSON counts as far as it goes, one that cannot be read as if it were empty. */
export function readConfig(configs: readonly ConfigFile[]): ProjectConfig {
  const byFile = new Map(configs.map((config) => [config.file, config]));
  const named = (pattern: RegExp): ConfigFile[] => configs.filter((config) => pattern.test(config.file));
  const deepest = (a: { directory: string }, b: { directory: string }): number => b.directory.length - a.directory.length;
  const unread = new Map<FilePath, PlacedProblem>();
  const jsonOf: Jsons = (config) => {
    try {
      return objectOf(parse(config.text, [], { allowTrailingComma: true }));
    } catch {
      // The parser calls itself for each level, so that thousands of them are too deep for it.
      const message = 'This configuration is nested too deeply to be read; it counts as if it were empty.';
      unread.set(config.file, { file: config.file, message, start: 0, end: Math.min(1, config.text.length) });
      return {};
    }
  };
  const read = {
    packages: named(/(^|\/)package\.json$/)
      .map((config) => readPackage(config, jsonOf(config)))
      .sort(deepest),
    paths: named(/(^|\/)[jt]sconfig(\.[\w-]+)*\.json$/)
      .map((config) => readPaths(config, byFile, jsonOf))
      .filter((info) => info.paths.length > 0 || info.baseUrl !== undefined)
      .sort(deepest),
    keepsTypeImports: named(/(^|\/)[jt]sconfig(\.[\w-]+)*\.json$/).flatMap((config) =>
      keepsImports(config, byFile, jsonOf) ? [directoryOf(config.file)] : [],
    ),
  };
  return { ...read, unread: [...unread.values()] };
}
