import type { FileFacts } from '../model/facts';
import type { FilePath } from '../model/span';
import type { TypeExpr } from '../model/types';
import type { Names } from './names';
import { ownValue } from '../model/own-value';

const kindOfPrimitive: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'number',
  boolean: 'flag',
  null: 'nothing',
  undefined: 'nothing',
  void: 'nothing',
};

/** Where a type stands. */
type Place = { readonly file: FilePath; readonly imports?: FileFacts['imports'] };

/**
 * The kinds of values that a declared type takes: `text`, `number`, `flag`, `function`, `list`,
 * `object`, `nothing`, and single values as they are written in JSON (`="calm"`). Undefined where the
 * type, or a part of it, cannot be seen: then it may take anything.
 */
export function kindsOf(names: Names, type: TypeExpr, at: Place, depth = 0): ReadonlySet<string> | undefined {
  if (depth > 12) return undefined;
  switch (type.kind) {
    case 'primitive': {
      const kind = ownValue(kindOfPrimitive, type.name);
      return kind === undefined ? undefined : new Set([kind]);
    }
    case 'literal':
      return new Set([type.value === null || type.value === undefined ? 'nothing' : `=${JSON.stringify(type.value)}`]);
    case 'function':
      return new Set(['function']);
    case 'array':
      return new Set(['list']);
    case 'object':
      return new Set(['object']);
    case 'union': {
      const all = new Set<string>();
      for (const one of type.of) {
        const kinds = kindsOf(names, one, at, depth + 1);
        if (!kinds) return undefined;
        for (const kind of kinds) all.add(kind);
      }
      return all;
    }
    case 'ref': {
      const found = names.meantType(at.file, type.name, at.imports);
      if (!found || !('types' in found)) return undefined;
      const [only, ...more] = found.types;
      if (!only || more.length > 0 || only.params.length > 0) return undefined;
      return kindsOf(names, only.type, { file: found.file, ...(found.imports ? { imports: found.imports } : {}) }, depth + 1);
    }
    default:
      return undefined;
  }
}
