import type { AliasFact, ComponentFacts, FileFacts, MakerFact, SharedFact } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { TypeFact } from '../../model/types';

/** What a file declares, imports and exports, by name. */
export type FileIndex = {
  readonly facts: FileFacts;
  readonly components: ReadonlyMap<string, ComponentFacts>;
  readonly shared: ReadonlyMap<string, SharedFact>;
  readonly aliases: ReadonlyMap<string, AliasFact>;
  readonly makers: ReadonlyMap<string, MakerFact>;
  readonly imports: ReadonlyMap<string, FileFacts['imports'][number]>;
  readonly types: ReadonlyMap<string, readonly TypeFact[]>;
};

/** The files of a project by path; one is put in the place of another where a file is read again. */
export type FileIndexes = Map<FilePath, FileIndex>;

/** The tables of a file by name. */
export function indexOf(facts: FileFacts): FileIndex {
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

/** Members are attached to a component or a table of components, and all of them can be seen: the one asked for is not among them. */
export function lacksMember({ components, aliases, facts }: FileIndex, root: string): boolean {
  if (facts.opened?.includes(root) || (!components.has(root) && !aliases.has(root))) return false;
  const isMember = (name: string): boolean => name.startsWith(`${root}.`);
  return [...components.keys(), ...aliases.keys()].some(isMember);
}
