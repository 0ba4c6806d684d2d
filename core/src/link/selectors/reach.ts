import { adapters } from '../../frameworks/registry';
import type { ComponentFacts, FileFacts, GroupFact, PipeFact } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { Meant, Names } from '../names';
import { type Alternative, parseSelector } from './selector';

/** A component or directive that markup finds by its selector. */
export type Selected = {
  readonly file: FilePath;
  /** With those of the classes that it extends; and as they were read. */
  readonly facts: ComponentFacts;
  readonly read: ComponentFacts;
  readonly alternatives: readonly Alternative[];
};

/** What the template of a component may use. */
export type Reach = {
  readonly selected: readonly Selected[];
  /** Converters by their names. */
  readonly pipes: ReadonlySet<string>;
  /** What directives of the framework take. */
  readonly taken: ReadonlySet<string>;
  /** Something that cannot be seen may be in reach, too. */
  readonly isOpen: boolean;
};

type Files = ReadonlyMap<FilePath, FileFacts>;
type Group = { readonly file: FilePath; readonly fact: GroupFact };

/** Answers what is in reach of each component, and which components and directives there are at all. */
export type Reaches = {
  readonly of: (file: FilePath, facts: ComponentFacts) => Reach;
  readonly all: readonly Selected[];
  /** The group of a name, where it is one. */
  readonly groupNamed: (file: FilePath, name: string) => Group | undefined;
};

/** Lists within lists are followed so far. */
const deepest = 12;

type Gathered = {
  readonly selected: Map<ComponentFacts, Selected>;
  readonly pipes: Set<string>;
  readonly taken: Set<string>;
  isOpen: boolean;
};

const nothing = (isOpen: boolean): Gathered => ({ selected: new Map(), pipes: new Set(), taken: new Set(), isOpen });

const reachOf = ({ selected, ...rest }: Gathered): Reach => ({ ...rest, selected: [...selected.values()] });

/** What modules of the frameworks bring into reach. */
const brought = adapters.flatMap(({ link }) => link.selectors ?? []);

/** Adds what a module outside of the project brings; one that is of no framework may bring anything. */
function bringOutside(into: Gathered, { module, name }: Extract<Meant, { readonly kind: 'outside' }>): void {
  const own = brought.filter(({ ownModules }) => ownModules.test(module));
  if (own.length === 0) into.isOpen = true;
  for (const { pipes, directives } of own) {
    for (const pipe of pipes.get(name) ?? []) into.pipes.add(pipe);
    for (const one of directives.get(name) ?? []) into.taken.add(one);
  }
}

/** Makes the answers for a project. */
export function makeReaches(files: Files, names: Names, whole: (file: FilePath, facts: ComponentFacts) => ComponentFacts): Reaches {
  const made = new Map<ComponentFacts, Selected>();
  const selectedOf = (file: FilePath, facts: ComponentFacts): Selected => {
    const found = made.get(facts) ?? {
      file,
      facts: whole(file, facts),
      read: facts,
      alternatives: parseSelector(facts.selected?.selector ?? ''),
    };
    made.set(facts, found);
    return found;
  };
  const all = [...files.values()].flatMap(({ file, components }) =>
    components.filter((one) => one.selected).map((one) => selectedOf(file, one)),
  );
  const groups = new Map<string, Group>(
    [...files.values()].flatMap(({ file, groups: own = [] }) =>
      own.map((fact): [string, Group] => [`${file}\n${fact.name}`, { file, fact }]),
    ),
  );
  const declaring = new Map<ComponentFacts | PipeFact, Group>();

  const groupNamed = (file: FilePath, name: string): Group | undefined => {
    const meant = names.meant(file, name);
    return meant.kind === 'shared' ? groups.get(`${meant.file}\n${meant.fact.name}`) : undefined;
  };
  const pipeNamed = (file: FilePath, name: string): PipeFact | undefined => files.get(file)?.pipes?.find(({ local }) => local === name);

  /** Adds what one name brings into reach. */
  function bring(into: Gathered, file: FilePath, name: string, depth: number): void {
    const meant = names.meant(file, name);
    if (meant.kind === 'component') {
      into.selected.set(meant.facts, selectedOf(meant.file, meant.facts));
      return;
    }
    if (meant.kind === 'outside') {
      bringOutside(into, meant);
      return;
    }
    if (meant.kind !== 'shared' || depth > deepest) {
      if (meant.kind !== 'shared') into.isOpen = true;
      return;
    }
    const pipe = pipeNamed(meant.file, meant.fact.name);
    if (pipe) {
      into.pipes.add(pipe.name);
      return;
    }
    const group = groups.get(`${meant.file}\n${meant.fact.name}`);
    if (group) {
      if (group.fact.isOpen) into.isOpen = true;
      for (const one of group.fact.offers) bring(into, group.file, one, depth + 1);
      return;
    }
    const dotted = name.includes('.') ? `${meant.fact.name}.${name.split('.').slice(1).join('.')}` : meant.fact.name;
    const list = files.get(meant.file)?.lists?.find((one) => one.name === dotted || one.name === meant.fact.name);
    if (!list || list.isOpen) into.isOpen = true;
    for (const one of list?.items ?? []) bring(into, meant.file, one, depth + 1);
  }

  for (const group of groups.values())
    for (const name of group.fact.declares) {
      const into = nothing(false);
      bring(into, group.file, name, 0);
      for (const facts of into.selected.keys()) if (!declaring.has(facts)) declaring.set(facts, group);
    }

  // Where a group declares what does not say that it is no part of one, such is the rule of the project's version.
  const isByGroups = [...declaring.keys()].some(
    (one) => 'selected' in one && one.selected !== undefined && one.selected.isAlone === undefined,
  );

  const ofGroup = new Map<Group, Reach>();
  const reachOfGroup = (group: Group): Reach => {
    const found = ofGroup.get(group);
    if (found) return found;
    const into = nothing(group.fact.isOpen === true);
    for (const name of [...group.fact.declares, ...group.fact.brings]) bring(into, group.file, name, 0);
    const reach = reachOf(into);
    ofGroup.set(group, reach);
    return reach;
  };

  const of: Reaches['of'] = (file, facts) => {
    const { selected } = facts;
    const group = declaring.get(facts);
    if (group && selected?.isAlone !== true) return reachOfGroup(group);
    const into = nothing(selected?.isOpen === true);
    into.selected.set(facts, selectedOf(file, facts));
    for (const name of selected?.uses ?? []) bring(into, file, name, 0);
    // What is of a group that cannot be found may see whatever that brings.
    if (!group && (selected?.isAlone ?? !isByGroups) === false) into.isOpen = true;
    return reachOf(into);
  };

  return { of, all, groupNamed };
}
