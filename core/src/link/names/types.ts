import type { FileFacts } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { TypeFact } from '../../model/types';
import type { ResolveModule } from '../resolve';
import type { FileIndexes } from './file-index';

/** Where a type is declared; its names are resolved from that file. */
export type MeantType = { readonly file: FilePath; readonly types: readonly TypeFact[]; readonly imports?: FileFacts['imports'] };

/** Answers where a type is declared that a file names, `imports` first where they are given; the module that declares it where that is outside of the project. */
export type TypeOfName = (
  file: FilePath,
  name: string,
  imports?: FileFacts['imports'],
) => MeantType | { readonly outside: string } | undefined;

/** Makes the answers. */
export function makeTypeNames(files: ReadonlyMap<FilePath, FileFacts>, indexes: FileIndexes, resolveModule: ResolveModule): TypeOfName {
  const ambient = new Map(
    [...files.values()].flatMap((facts) => facts.ambient.map((one) => [one.module, { ...one, file: facts.file }] as const)),
  );

  function meantType(file: FilePath, name: string, imports?: FileFacts['imports'], depth = 0): MeantType | { outside: string } | undefined {
    const index = indexes.get(file);
    if (!index || depth > 20) return undefined;
    const [root = '', member] = name.split('.');
    const own = member === undefined ? index.types.get(name) : undefined;
    if (own && !imports) return { file, types: own };
    const imported = imports?.find((one) => one.local === root) ?? index.imports.get(root);
    if (!imported) return own ? { file, types: own } : undefined;
    return typeFromModule(file, imported.from, imported.imported === '*' ? (member ?? '') : imported.imported, depth);
  }

  function typeFromModule(file: FilePath, specifier: string, name: string, depth: number): MeantType | { outside: string } | undefined {
    const declared = ambient.get(specifier);
    const types = declared?.types.filter((type) => type.name === name);
    if (declared && types && types.length > 0) return { file: declared.file, types, imports: declared.imports };
    const resolved = resolveModule(file, specifier);
    if (resolved.kind !== 'file') return { outside: specifier };
    return exportedType(resolved.file, name, depth + 1);
  }

  function exportedType(file: FilePath, name: string, depth: number): MeantType | { outside: string } | undefined {
    const index = indexes.get(file);
    if (!index || depth > 20) return undefined;
    for (const one of index.facts.exports) {
      if (one.exported !== name) continue;
      return one.from === undefined ? meantType(file, one.local, undefined, depth + 1) : typeFromModule(file, one.from, one.local, depth);
    }
    const own = index.types.get(name);
    if (own) return { file, types: own };
    for (const one of index.facts.exports) {
      if (one.exported !== '*' || one.from === undefined) continue;
      const answer = typeFromModule(file, one.from, name, depth);
      if (answer && 'types' in answer) return answer;
    }
    return undefined;
  }

  return (file, name, imports) => meantType(file, name, imports);
}
