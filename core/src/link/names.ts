import type { AliasFact, ComponentFacts, FileFacts, MakerFact, SharedFact } from '../model/facts';
import { type FilePath, locate, type Location } from '../model/span';
import type { TypeFact } from '../model/types';
import type { ResolveModule } from './resolve';

/** Who is meant by a name. */
export type Meant =
  | { readonly kind: 'component'; readonly file: FilePath; readonly facts: ComponentFacts; readonly wrapped: boolean }
  | { readonly kind: 'shared'; readonly file: FilePath; readonly fact: SharedFact }
  | { readonly kind: 'namespace'; readonly file: FilePath }
  | { readonly kind: 'outside'; readonly module: string; readonly name: string }
  | { readonly kind: 'unresolved'; readonly reason: string; readonly undeclared?: true; readonly memberOf?: string };

/** A name of what is loaded later: `import:./Chart#Chart,default`, the module and the names under which it may give a component. */
export const laterName = /^import:(.*)#(.*)$/;

/** A component that a function of the project made of another, and where that function stands. */
export type MadeComponent = { readonly file: FilePath; readonly facts: ComponentFacts };

/** Where a type is declared; its names are resolved from that file. */
export type MeantType = { readonly file: FilePath; readonly types: readonly TypeFact[]; readonly imports?: FileFacts['imports'] };

/** Answers who is meant by the names of each file. */
export type Names = {
  readonly meant: (file: FilePath, dotted: string) => Meant;
  readonly exported: (file: FilePath, name: string) => Meant;
  readonly meantType: (
    file: FilePath,
    name: string,
    imports?: FileFacts['imports'],
  ) => MeantType | { readonly outside: string } | undefined;
  readonly resolveModule: ResolveModule;
  /** The tables of routes that a group of components hands to the router, itself and by those that it brings in; `table` is absent for all of the file. */
  readonly tablesOf: (file: FilePath, name: string) => readonly { readonly file: FilePath; readonly table?: string }[];
  /** Components that functions of the project made around others, as far as they were asked for. */
  readonly made: () => readonly MadeComponent[];
  /** Contexts that are known by a key, as far as they were asked for. */
  readonly keys: () => readonly KeyedContext[];
  /** Puts a file's new facts in the place of the old, where imports and exports of the two are the same. */
  readonly replace: (facts: FileFacts) => void;
};

type FileIndex = {
  readonly facts: FileFacts;
  readonly components: ReadonlyMap<string, ComponentFacts>;
  readonly shared: ReadonlyMap<string, SharedFact>;
  readonly aliases: ReadonlyMap<string, AliasFact>;
  readonly makers: ReadonlyMap<string, MakerFact>;
  readonly imports: ReadonlyMap<string, FileFacts['imports'][number]>;
  readonly types: ReadonlyMap<string, readonly TypeFact[]>;
};

function indexOf(facts: FileFacts): FileIndex {
  const types = new Map<string, TypeFact[]>();
  for (const type of facts.types) {
    const others = types.get(type.name);
    if (others) others.push(type);
    else types.set(type.name, [type]);
  }
  return {
    facts,
    components: new Map(facts.components.map((one) => [one.local, one])),
    shared: new Map(facts.shared.map((one) => [one.name, one])),
    aliases: new Map(facts.aliases.map((one) => [one.name, one])),
    makers: new Map(facts.makers.map((one) => [one.name, one])),
    imports: new Map(facts.imports.map((one) => [one.local, one])),
    types,
  };
}

type KeyedContext = {
  readonly kind: 'shared';
  readonly file: FilePath;
  readonly fact: Extract<SharedFact, { kind: 'context' }>;
  /** Calls in functions of modules that give it to a whole application. */
  readonly givenBy?: readonly Location[];
};

type MeantComponent = Extract<Meant, { kind: 'component' }>;

/** A copy of its own of what a maker makes: each has its own template, in which the hole has a name of its own. */
function withHole(facts: ComponentFacts, hole: string, name: string): ComponentFacts {
  const template = JSON.parse(JSON.stringify(facts.template), (key, value: unknown) =>
    key === 'tag' && value === hole ? name : value,
  ) as ComponentFacts['template'];
  return { ...facts, template, through: facts.through.map((one) => (one === hole ? name : one)) };
}

/** Members are attached to a component or a table of components, and all of them can be seen: the one asked for is not among them. */
function lacksMember({ components, aliases, facts }: FileIndex, root: string): boolean {
  if (facts.opened?.includes(root) || (!components.has(root) && !aliases.has(root))) return false;
  const isMember = (name: string): boolean => name.startsWith(`${root}.`);
  return [...components.keys(), ...aliases.keys()].some(isMember);
}

const tooDeep: Meant = { kind: 'unresolved', reason: 'its exports refer to each other' };

/** Makes the answers for a project from the facts of its files. */
export function makeNames(files: ReadonlyMap<FilePath, FileFacts>, resolveModule: ResolveModule): Names {
  const indexes = new Map<FilePath, FileIndex>([...files].map(([file, facts]) => [file, indexOf(facts)]));
  const ambient = new Map(
    [...files.values()].flatMap((facts) => facts.ambient.map((one) => [one.module, { ...one, file: facts.file }] as const)),
  );
  const known = new Map<string, Meant>();
  const made = new Map<string, MadeComponent>();
  const keys = new Map<string, KeyedContext>();
  let givenByFunctions: ReadonlyMap<string, readonly Location[]> | undefined;
  /** What the holes of made components stand for, by file and tag. */
  const filled = new Map<string, Meant>();

  function fromModule(file: FilePath, specifier: string, name: string, depth: number): Meant {
    const resolved = resolveModule(file, specifier);
    if (resolved.kind === 'outside') return { kind: 'outside', module: resolved.module, name };
    if (resolved.kind === 'missing') return { kind: 'unresolved', reason: `${specifier} is not among the files` };
    return name === '*' ? { kind: 'namespace', file: resolved.file } : exported(resolved.file, name, depth + 1);
  }

  /** What a module that is loaded later gives under the first of some names that it exports a component by. */
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

  /** A dotted name in its own file: the longest head that is declared, then members of that. */
  function local(file: FilePath, dotted: string, depth: number): Meant {
    if (dotted.startsWith('key:')) return keyed(file, dotted.slice('key:'.length), depth);
    const [, foreign, there] = /^from:(.*?)#(.*)$/.exec(dotted) ?? [];
    if (foreign !== undefined && there !== undefined) return local(foreign, there, depth + 1);
    const [, specifier, names] = laterName.exec(dotted) ?? [];
    if (specifier !== undefined && names !== undefined) return loaded(file, specifier, names, depth);
    const index = indexes.get(file);
    if (!index || depth > 40) return tooDeep;
    const component = index.components.get(dotted);
    if (component) return through(file, component.wrappedBy, { kind: 'component', file, facts: component, wrapped: false }, depth);
    const hole = filled.get(`${file}\n${dotted}`);
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

  /** Keys under which functions give something: who calls them is not followed, so nothing is known to be missing. */
  function keysGiven(): ReadonlyMap<string, readonly Location[]> {
    givenByFunctions = new Map();
    const found = new Map<string, Location[]>();
    for (const { facts } of indexes.values()) {
      for (const { key, span } of facts.gives ?? []) {
        const meant = keyed(facts.file, key, 1);
        if (meant.kind !== 'shared') continue;
        const id = `${meant.file}\n${meant.fact.name}`;
        found.set(id, [...(found.get(id) ?? []), locate(facts.file, span)]);
      }
    }
    keys.clear();
    return found;
  }

  /** What is given to all below under a key: a text, or whatever a name of some module stands for. */
  function keyed(file: FilePath, key: string, depth: number): Meant {
    const text = /^'(.*)'$/.exec(key)?.[1];
    const meant = text === undefined ? local(file, key, depth + 1) : undefined;
    if (meant?.kind === 'shared' && meant.fact.kind === 'value' && meant.fact.text !== undefined)
      return keyed(file, `'${meant.fact.text}'`, depth);
    if (meant?.kind === 'outside') return meant;
    if (meant?.kind === 'component') return keyOf(meant.file, meant.facts.local, meant.facts.nameSpan, undefined, 'none');
    if (meant && meant.kind !== 'shared') return { kind: 'unresolved', reason: `${key} is not known` };
    const name = meant ? meant.fact.name : (text ?? '');
    const at = meant ? meant.file : '';
    givenByFunctions ??= keysGiven();
    const givenBy = givenByFunctions.get(`${at}\n${name}`);
    const givesItself = meant?.fact.kind === 'value' && meant.fact.givesItself === true;
    return keyOf(at, name, meant ? meant.fact.span : { start: 0, end: 0 }, givenBy, givenBy ? 'unknown' : givesItself ? 'given' : 'none');
  }

  function keyOf(
    file: FilePath,
    name: string,
    span: { start: number; end: number },
    givenBy: readonly Location[] | undefined,
    fallback: 'none' | 'given' | 'unknown',
  ): KeyedContext {
    const known = keys.get(`${file}\n${name}`) ?? {
      kind: 'shared' as const,
      file,
      ...(givenBy ? { givenBy } : {}),
      fact: { kind: 'context' as const, name, span, fallback },
    };
    keys.set(`${file}\n${name}`, known);
    return known;
  }

  /** `Card.Head` of an import: a member under the name that the declaring file gives the whole. */
  function importedMember(file: FilePath, specifier: string, name: string, rest: readonly string[], depth: number): Meant {
    const whole = fromModule(file, specifier, name, depth);
    const resolved = resolveModule(file, specifier);
    const own = rest.length > 0 && resolved.kind === 'file' ? declaredAs(resolved.file, name, depth) : undefined;
    if (!own) return memberOf(whole, rest, depth);
    const member = local(own.file, `${own.local}.${rest.join('.')}`, depth + 1);
    const isSure = member.kind === 'component' || (member.kind === 'unresolved' && member.memberOf !== undefined);
    return isSure ? member : memberOf(whole, rest, depth);
  }

  /** The file that declares what a module exports under a name, and its name there, through all that hand it on. */
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

  function aliased(file: FilePath, alias: AliasFact, depth: number): Meant {
    const answer = alias.from === undefined ? local(file, alias.target, depth + 1) : fromModule(file, alias.from, alias.target, depth);
    return answer.kind === 'component' ? through(file, alias.wrappedBy, answer, depth) : answer;
  }

  /** A component handed through functions, innermost last: around it stands what those of the project make of it. */
  function through(file: FilePath, wrappedBy: readonly string[], inner: MeantComponent, depth: number): MeantComponent {
    return wrappedBy.reduceRight((around, wrapper): MeantComponent => {
      const meant = local(file, wrapper, depth + 1);
      const maker = meant.kind === 'shared' ? indexes.get(meant.file)?.makers.get(meant.fact.name) : undefined;
      if (!maker || meant.kind !== 'shared') return { ...around, wrapped: true };
      return { kind: 'component', ...make(meant.file, maker, around), wrapped: around.wrapped };
    }, inner);
  }

  function make(file: FilePath, maker: MakerFact, inner: MeantComponent): MadeComponent {
    const shown = inner.facts.name;
    const key = `${file}\n${maker.name}\n${inner.file}\n${inner.facts.name}`;
    const found = made.get(key);
    if (found) return found;
    const twins = [...made.values()].filter((one) => one.file === file && one.facts.name.startsWith(`${maker.name}(${shown})`)).length;
    const name = `${maker.name}(${shown})${twins > 0 ? `~${twins + 1}` : ''}`;
    const hole = `${name}.${maker.hole}`;
    filled.set(`${file}\n${hole}`, inner);
    const facts = withHole({ ...maker.component, name, local: name }, maker.hole, hole);
    const one: MadeComponent = { file, facts };
    made.set(key, one);
    return one;
  }

  function memberOf(meant: Meant, rest: readonly string[], depth: number): Meant {
    const [first, ...further] = rest;
    if (first === undefined) return meant;
    switch (meant.kind) {
      case 'namespace':
        return memberOf(memberOfModule(meant.file, first, depth), further, depth);
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

  /** What a whole module gives under a name; `undeclared` where it surely gives nothing of that name. */
  function memberOfModule(file: FilePath, name: string, depth: number): Meant {
    const found = exported(file, name, depth + 1);
    const exports = indexes.get(file)?.facts.exports ?? [];
    const isSeen = exports.length > 0 && exports.every((one) => one.exported !== '*' || one.from === undefined);
    return found.kind === 'unresolved' && isSeen && !exports.some((one) => one.exported === name)
      ? { ...found, undeclared: true, memberOf: file }
      : found;
  }

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

  function tableAt(file: FilePath, name: string): { file: FilePath; table?: string }[] {
    const meant = local(file, name, 0);
    return meant.kind === 'shared' ? [{ file: meant.file, table: meant.fact.name }] : [];
  }

  function tablesOf(file: FilePath, name: string, depth = 0): { file: FilePath; table?: string }[] {
    const group = depth > 8 ? undefined : indexes.get(file)?.facts.groups?.find((one) => one.name === name);
    if (!group) return [];
    const named = group.tables.flatMap((one) => tableAt(file, one));
    const brought = group.brings.flatMap((one) => {
      const meant = local(file, one, 0);
      if (meant.kind !== 'shared') return [];
      const tables = indexes.get(meant.file)?.facts.lists?.find((list) => list.name === meant.fact.name)?.tables ?? [];
      return [...tables.flatMap((name) => tableAt(meant.file, name)), ...tablesOf(meant.file, meant.fact.name, depth + 1)];
    });
    const own = indexes.get(file)?.facts.routes.some(({ table }) => table === name || table.startsWith(`${name}/`));
    return [...named, ...brought, ...(own ? [{ file, table: name }] : [])];
  }

  return {
    meant: (file, dotted) => local(file, dotted, 0),
    tablesOf: (file, name) => tablesOf(file, name),
    exported: (file, name) => exported(file, name),
    meantType: (file, name, imports) => meantType(file, name, imports),
    resolveModule,
    made: () => [...made.values()],
    keys: () => [...keys.values()],
    replace: (facts) => {
      indexes.set(facts.file, indexOf(facts));
      for (const [key, meant] of known) if ('file' in meant && meant.file === facts.file) known.delete(key);
    },
  };
}
