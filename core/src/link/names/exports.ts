import type { FilePath } from '../../model/span';
import type { ResolveModule } from '../resolve';
import type { FileIndexes } from './file-index';
import { type Local, type Meant, tooDeep } from './meant';

/** Answers what modules give. */
export type Exports = {
  /** What the module that a file names by a specifier gives under a name; `*` for the whole module. */
  readonly fromModule: (file: FilePath, specifier: string, name: string, depth: number) => Meant;
  /** What a module that is loaded later gives under the first of some names (`Chart,default`) that it exports a component by. */
  readonly loaded: (file: FilePath, specifier: string, names: string, depth: number) => Meant;
  /** What a file exports under a name. */
  readonly exported: (file: FilePath, name: string, depth?: number) => Meant;
  /** The file that declares what a file exports under a name, and its name there, through all that hand it on; undefined where none of them declares it. */
  readonly declaredAs: (file: FilePath, name: string, depth: number) => { readonly file: FilePath; readonly local: string } | undefined;
  /** What a whole module gives under a name; `undeclared` where it surely gives nothing of that name. */
  readonly memberOfModule: (file: FilePath, name: string, depth: number) => Meant;
  /** Forgets what was answered by a file. */
  readonly forget: (file: FilePath) => void;
};

/** Makes the answers; what a name means within its own file is asked of `local`. */
export function makeExports(indexes: FileIndexes, resolveModule: ResolveModule, local: Local): Exports {
  const known = new Map<string, Meant>();

  function fromModule(file: FilePath, specifier: string, name: string, depth: number): Meant {
    const resolved = resolveModule(file, specifier);
    if (resolved.kind === 'outside') return { kind: 'outside', module: resolved.module, name };
    if (resolved.kind === 'missing') return { kind: 'unresolved', reason: `${specifier} is not among the files` };
    return name === '*' ? { kind: 'namespace', file: resolved.file } : exported(resolved.file, name, depth + 1);
  }

  function loaded(file: FilePath, specifier: string, names: string, depth: number): Meant {
    const meant = names.split(',').map((name) => fromModule(file, specifier, name, depth));
    return meant.find((one) => one.kind === 'component') ?? meant.at(-1) ?? tooDeep;
  }

  function exported(file: FilePath, name: string, depth = 0): Meant {
    if (depth > 40) return tooDeep;
    const key = `${file}\n${name}`;
    const found = known.get(key);
    if (found) return found;
    const answer = findExport(file, name, depth);
    if (answer !== tooDeep) known.set(key, answer);
    return answer;
  }

  function findExport(file: FilePath, name: string, depth: number): Meant {
    const index = indexes.get(file);
    if (!index) return { kind: 'unresolved', reason: `${file} was not read` };
    for (const one of index.facts.exports) {
      if (one.exported !== name) continue;
      return one.from === undefined ? local(file, one.local, depth + 1) : fromModule(file, one.from, one.local, depth);
    }
    let outside: Meant | undefined;
    for (const one of index.facts.exports) {
      if (one.exported !== '*' || one.from === undefined || name === 'default') continue;
      const answer = fromModule(file, one.from, name, depth);
      if (answer.kind === 'outside') outside ??= answer;
      else if (answer.kind !== 'unresolved') return answer;
    }
    return outside ?? { kind: 'unresolved', reason: `${file} does not export ${name}` };
  }

  function declaredAs(file: FilePath, name: string, depth: number): { file: FilePath; local: string } | undefined {
    const exports = indexes.get(file)?.facts.exports ?? [];
    if (depth > 40) return undefined;
    const further = (from: string, local: string): { file: FilePath; local: string } | undefined => {
      const resolved = resolveModule(file, from);
      return resolved.kind === 'file' && local !== '*' ? declaredAs(resolved.file, local, depth + 1) : undefined;
    };
    const own = exports.find((one) => one.exported === name);
    if (own?.from !== undefined) return further(own.from, own.local);
    if (own) {
      const imported = indexes.get(file)?.imports.get(own.local);
      return imported ? further(imported.from, imported.imported) : { file, local: own.local };
    }
    if (name === 'default') return undefined;
    for (const one of exports) {
      const found = one.exported === '*' && one.from !== undefined ? further(one.from, name) : undefined;
      if (found) return found;
    }
    return undefined;
  }

  function memberOfModule(file: FilePath, name: string, depth: number): Meant {
    const found = exported(file, name, depth + 1);
    const exports = indexes.get(file)?.facts.exports ?? [];
    const isSeen = exports.length > 0 && exports.every((one) => one.exported !== '*' || one.from === undefined);
    return found.kind === 'unresolved' && isSeen && !exports.some((one) => one.exported === name)
      ? { ...found, undeclared: true, memberOf: file }
      : found;
  }

  function forget(file: FilePath): void {
    for (const [key, meant] of known) if ('file' in meant && meant.file === file) known.delete(key);
  }

  return { fromModule, loaded, exported, declaredAs, memberOfModule, forget };
}
