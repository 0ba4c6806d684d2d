import type { Project } from '../../frameworks/conventions';
import { adapterOf, adapters, traitsOf } from '../../frameworks/registry';
import type { ComponentFacts, FileFacts } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { Names } from '../names';
import { withSends } from './helpers';
import { inherited, settled } from './inherit';
import { withPageScripts } from './page-scripts';
import { askedNames, withRequests } from './requests';
import { type Defined, fileWithUses, type FindDefined, type SetFromOutside, withOutside } from './uses';

type Files = ReadonlyMap<FilePath, FileFacts>;

const plainBases = adapters.flatMap(({ link }) => link.plainBases ?? []);

/** The class that a name of a module stands for; `platform` for one that brings nothing, undefined for one that cannot be found. */
function baseNamed(files: Files, names: Names, file: FilePath, written: string): Defined | 'platform' | undefined {
  const name = written.replace(/\(\)$/, '');
  const meant = names.meant(file, name);
  if (meant.kind === 'component') return { file: meant.file, facts: meant.facts };
  if (meant.kind === 'shared') {
    const facts = files.get(meant.file)?.bases?.find((one) => one.local === meant.fact.name);
    return facts && { file: meant.file, facts };
  }
  if (meant.kind === 'outside') return plainBases.some(({ modules }) => modules.test(meant.module)) ? 'platform' : undefined;
  return plainBases.some(({ names: known }) => known.test(name)) ? 'platform' : undefined;
}

/** The facts of a class of which not everything that it extends is known: it may take and declare whatever it likes. */
function opened({ undeclared: _, ...facts }: ComponentFacts): ComponentFacts {
  return { ...facts, openness: 'open' };
}

/** How deep classes extend each other. */
const deepest = 12;

/** Answers the facts of a component with those of all classes that it extends. */
export function makeWhole(files: Files, names: Names): (file: FilePath, facts: ComponentFacts) => ComponentFacts {
  const known = new Map<ComponentFacts, ComponentFacts>();
  const whole = (file: FilePath, facts: ComponentFacts, depth: number): ComponentFacts => {
    const found = known.get(facts);
    if (found) return found;
    let made = facts;
    for (const name of facts.bases ?? []) {
      const base = depth < deepest ? baseNamed(files, names, file, name) : undefined;
      if (base === 'platform') continue;
      if (base) made = inherited(made, whole(base.file, base.facts, depth + 1), base.file);
      else made = opened(made);
    }
    if (facts.element) made = withSends(files, names, file, made);
    known.set(facts, made);
    return made;
  };
  return (file, facts) => whole(file, facts, 0);
}

const mapFacts = (files: Files, make: (facts: FileFacts) => FileFacts): Files =>
  new Map([...files].map(([file, facts]): [FilePath, FileFacts] => [file, make(facts)]));

const mapElements = (facts: FileFacts, make: (one: ComponentFacts) => ComponentFacts): FileFacts =>
  facts.components.some((one) => one.element)
    ? { ...facts, components: facts.components.map((one) => (one.element ? make(one) : one)) }
    : facts;

/** Finds what the tags of each file stand for. */
function makeFind(project: Project, names: Names, whole: (file: FilePath, facts: ComponentFacts) => ComponentFacts): FindDefined {
  const tables = adapters.filter(({ traits }) => traits.areElements).flatMap(({ link }) => link.registeredTags?.(project) ?? []);
  const known = new Map<string, Defined | undefined>();
  return (file, tag) => {
    const key = `${file}\n${tag}`;
    if (known.has(key)) return known.get(key);
    let found: Defined | undefined;
    for (const table of tables) {
      const target = table(file, tag);
      const meant =
        target?.kind === 'name'
          ? names.meant(target.file, target.name)
          : target?.kind === 'export'
            ? names.exported(target.file, target.name)
            : undefined;
      if (meant?.kind === 'component' && meant.facts.element) found ??= { file: meant.file, facts: whole(meant.file, meant.facts) };
    }
    known.set(key, found);
    return found;
  };
}

/** The tags of each component, by what defines them wherever that stands. */
function tagsOf(files: Files, names: Names): Map<ComponentFacts, string[]> {
  const found = new Map<ComponentFacts, string[]>();
  for (const { file, globals, framework } of files.values())
    for (const { name, target } of traitsOf({ framework }).areElements || framework === 'script' ? (globals ?? []) : []) {
      const meant = names.meant(file, target);
      if (meant.kind === 'component') found.set(meant.facts, [...(found.get(meant.facts) ?? []), name]);
    }
  return found;
}

/**
 * What the components of a project are that are elements of the page: with the classes that they extend, what they
 * raise by constants, classes of events and functions of other modules, what they ask for and answer by events, and
 * their tags in the markup of any framework as uses of them. The facts of all files; those that say no more as they are.
 */
export function joinElements(files: Files, names: Names, project: Project): Files {
  if (![...files.values()].some(({ components, globals }) => globals !== undefined || components.some((one) => one.element))) return files;
  if (![...files.values()].some(({ components }) => components.some((one) => one.element))) return files;
  const whole = makeWhole(files, names);
  const tags = tagsOf(files, names);
  const find = makeFind(project, names, whole);
  const outside: SetFromOutside = new Map();
  const joined = mapFacts(files, (asRead) => {
    const facts = withPageScripts(files, names, asRead);
    const own = mapElements(facts, (one) => {
      const made = settled(whole(facts.file, one));
      const all = tags.get(one);
      return all && made.element ? { ...made, element: { ...made.element, tags: all } } : made;
    });
    const isFramework = facts.components.length + facts.roots.length > 0 && !adapterOf(facts.framework).traits.areElements;
    return fileWithUses(own, find, isFramework, outside);
  });
  const asked = askedNames(joined);
  const set = new Map([...outside].map(([facts, all]) => [`${facts.local} ${facts.span.start} ${facts.nameSpan.start}`, all]));
  return mapFacts(joined, (facts) =>
    mapElements(facts, (one) => {
      const all = set.get(`${one.local} ${one.span.start} ${one.nameSpan.start}`);
      const made = all ? withOutside(one, all) : one;
      return withRequests(joined, names, facts.file, made, asked);
    }),
  );
}
