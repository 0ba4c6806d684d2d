import type { AliasFact, FileFacts } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { ResolveModule } from '../resolve';
import { makeExports } from './exports';
import { type FileIndexes, indexOf, lacksMember } from './file-index';
import { makeKeys } from './keys';
import { type MadeComponent, makeMade } from './made';
import { type KeyedContext, type Meant, tooDeep } from './meant';
import { makeTables, type TablesOf } from './tables';
import { makeTypeNames, type TypeOfName } from './types';

export type { MadeComponent } from './made';
export type { Meant } from './meant';

/** A name of what is loaded later: `import:./Chart#Chart,default`, the module and the names under which it may give a component. */
export const laterName = /^import:(.*)#(.*)$/;

/** Answers who is meant by the names of each file. */
export type Names = {
  readonly meant: (file: FilePath, dotted: string) => Meant;
  readonly exported: (file: FilePath, name: string) => Meant;
  readonly meantType: TypeOfName;
  readonly resolveModule: ResolveModule;
  readonly tablesOf: TablesOf;
  /** Components that functions of the project made around others, as far as they were asked for. */
  readonly made: () => readonly MadeComponent[];
  /** Contexts that are known by a key, as far as they were asked for. */
  readonly keys: () => readonly KeyedContext[];
  /** Puts a file's new facts in the place of the old, where imports and exports of the two are the same. */
  readonly replace: (facts: FileFacts) => void;
};

/** Makes the answers for a project from the facts of its files. */
export function makeNames(files: ReadonlyMap<FilePath, FileFacts>, resolveModule: ResolveModule): Names {
  const indexes: FileIndexes = new Map([...files].map(([file, facts]) => [file, indexOf(facts)]));
  const exports = makeExports(indexes, resolveModule, local);
  const made = makeMade(indexes, local);
  const keys = makeKeys(indexes, local);

  /** A dotted name in its own file: the longest head that is declared, then members of that. */
  function local(file: FilePath, dotted: string, depth: number): Meant {
    if (dotted.startsWith('key:')) return keys.keyed(file, dotted.slice('key:'.length), depth);
    const [, foreign, there] = /^from:(.*?)#(.*)$/.exec(dotted) ?? [];
    if (foreign !== undefined && there !== undefined) return local(foreign, there, depth + 1);
    const [, specifier, names] = laterName.exec(dotted) ?? [];
    if (specifier !== undefined && names !== undefined) return exports.loaded(file, specifier, names, depth);
    const index = indexes.get(file);
    if (!index || depth > 40) return tooDeep;
    const component = index.components.get(dotted);
    if (component) return made.through(file, component.wrappedBy, { kind: 'component', file, facts: component, wrapped: false }, depth);
    const hole = made.inHole(file, dotted);
    if (hole) return hole;
    const alias = index.aliases.get(dotted);
    if (alias) {
      const meant = aliased(file, alias, depth);
      // What is loaded later stands for a component, or is a function like any other.
      if (alias.from === undefined || meant.kind === 'component' || !index.shared.has(dotted)) return meant;
    }
    const [root = '', ...rest] = dotted.split('.');
    const shared = index.shared.get(root);
    const whole = index.aliases.get(root);
    if (rest.length > 0 && whole) {
      const member = local(file, `${whole.target}.${rest.join('.')}`, depth + 1);
      if (member.kind === 'component' || rest.length > 1 || !lacksMember(index, root)) return member;
    }
    if (rest.length === 1 && lacksMember(index, root))
      return { kind: 'unresolved', reason: `${root} has no ${rest[0] ?? ''}`, undeclared: true, memberOf: root };
    if (shared) return { kind: 'shared', file, fact: shared };
    const imported = index.imports.get(root);
    if (imported) return importedMember(file, imported.from, imported.imported, rest, depth);
    const owner = index.components.get(root);
    if (owner && rest.length > 0) return { kind: 'shared', file, fact: { kind: 'value', name: dotted, span: owner.nameSpan } };
    if (index.facts.types.some((type) => type.name === root))
      return { kind: 'shared', file, fact: { kind: 'value', name: root, span: { start: 0, end: 0 } } };
    return { kind: 'unresolved', reason: `${root} is not declared or imported in ${file}`, undeclared: true };
  }

  /** `Card.Head` of an import: a member under the name that the declaring file gives the whole. */
  function importedMember(file: FilePath, specifier: string, name: string, rest: readonly string[], depth: number): Meant {
    const whole = exports.fromModule(file, specifier, name, depth);
    const resolved = resolveModule(file, specifier);
    const own = rest.length > 0 && resolved.kind === 'file' ? exports.declaredAs(resolved.file, name, depth) : undefined;
    if (!own) return memberOf(whole, rest, depth);
    const member = local(own.file, `${own.local}.${rest.join('.')}`, depth + 1);
    const isSure = member.kind === 'component' || (member.kind === 'unresolved' && member.memberOf !== undefined);
    return isSure ? member : memberOf(whole, rest, depth);
  }

  function aliased(file: FilePath, alias: AliasFact, depth: number): Meant {
    const answer =
      alias.from === undefined ? local(file, alias.target, depth + 1) : exports.fromModule(file, alias.from, alias.target, depth);
    return answer.kind === 'component' ? made.through(file, alias.wrappedBy, answer, depth) : answer;
  }

  function memberOf(meant: Meant, rest: readonly string[], depth: number): Meant {
    const [first, ...further] = rest;
    if (first === undefined) return meant;
    switch (meant.kind) {
      case 'namespace':
        return memberOf(exports.memberOfModule(meant.file, first, depth), further, depth);
      case 'component':
        return local(meant.file, `${meant.facts.local}.${rest.join('.')}`, depth + 1);
      case 'shared':
        return meant.fact.kind === 'value' ? local(meant.file, `${meant.fact.name}.${rest.join('.')}`, depth + 1) : meant;
      case 'outside':
        return { ...meant, name: `${meant.name}.${rest.join('.')}` };
      case 'unresolved':
        return meant;
    }
  }

  return {
    meant: (file, dotted) => local(file, dotted, 0),
    tablesOf: makeTables(indexes, local),
    exported: (file, name) => exports.exported(file, name),
    meantType: makeTypeNames(files, indexes, resolveModule),
    resolveModule,
    made: made.all,
    keys: keys.all,
    replace: (facts) => {
      indexes.set(facts.file, indexOf(facts));
      exports.forget(facts.file);
    },
  };
}
