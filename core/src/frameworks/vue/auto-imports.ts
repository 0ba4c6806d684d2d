import type { BodyFacts, ComponentFacts, FileFacts, ImportFact } from '../../model/facts';
import { directoryOf, isWithin, nearestFile } from '../../model/paths';
import type { FilePath } from '../../model/span';
import { pathFrom } from '../placed';
import { isConfigured } from './pages';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** Modules of a project whose names all of its files know: those in these folders, and the first of each folder in them. */
const offering = /(?:^|\/)(?:composables|utils)\/(?:[^/]+|[^/]+\/index)\.[cm]?[jt]s$/;

/** The module by which a file may ask for such names itself. */
const asked = '#imports';

/** What such modules export, by name; of several of one name the module is chosen by who asks. */
function offeredBy(files: Files): Map<string, FilePath[]> {
  const offered = new Map<string, FilePath[]>();
  for (const { file, exports } of files.values()) {
    if (!offering.test(file)) continue;
    for (const { exported } of exports) {
      const name = exported === 'default' ? nameOf(file) : exported;
      if (name !== '*') offered.set(name, [...(offered.get(name) ?? []), file]);
    }
  }
  return offered;
}

/** `use-boats.ts` → `useBoats`; of an index the folder. */
function nameOf(file: FilePath): string {
  const [last = '', folder = ''] = file.split('/').reverse();
  const stem = last.replace(/\.\w+$/, '');
  return (stem === 'index' ? folder : stem).replace(/[-_.](\w)/g, (_, letter: string) => letter.toUpperCase());
}

/** Names that the bodies of a file take from its module, and that its markup reads and nothing declares. */
function namesTaken({ components, shared, module }: FileFacts): Set<string> {
  const bodies: BodyFacts[] = [...components, ...shared.filter((one) => one.kind === 'hook'), ...(module ? [module] : [])];
  const sources = bodies.flatMap(({ values }) =>
    values.flatMap(({ source }) => (source === undefined ? [] : [source.split('.')[0] ?? ''])),
  );
  return new Set([...sources, ...components.flatMap(({ undeclared = [] }) => undeclared.map(({ name }) => name))]);
}

/** A component without names among those that its markup reads and nothing declares. */
function withDeclared(component: ComponentFacts, names: ReadonlySet<string>): ComponentFacts {
  const { undeclared, ...rest } = component;
  const left = undeclared?.filter(({ name }) => !names.has(name));
  if (left?.length === undeclared?.length) return component;
  return left && left.length > 0 ? { ...rest, undeclared: left } : rest;
}

/**
 * The facts of a project whose configuration gives the names of some folders to all of its files, with the imports that this
 * stands for. The same files where none is configured so.
 */
export function withAutoImports(files: Files): Files {
  const roots = [...files.keys()].filter(isConfigured).map(directoryOf);
  if (roots.length === 0) return files;
  const offered = offeredBy(files);
  if (offered.size === 0) return files;
  const found = new Map(files);
  let changed = false;
  for (const facts of files.values()) {
    if (!roots.some((root) => isWithin(root, facts.file))) continue;
    const { imports, components, shared } = facts;
    const own = new Set([
      ...imports.flatMap(({ local, from }) => (from === asked ? [] : [local])),
      ...[...components, ...shared].map((one) => ('local' in one ? one.local : one.name)),
      ...facts.aliases.map(({ name }) => name),
    ]);
    const made = [...namesTaken(facts)].flatMap((name): ImportFact[] => {
      const said = imports.find(({ local, from }) => local === name && from === asked);
      const wanted = said?.imported ?? name;
      const there = own.has(name)
        ? undefined
        : nearestFile(
            facts.file,
            (offered.get(wanted) ?? []).filter((one) => one !== facts.file),
          );
      const exports = there === undefined ? [] : (files.get(there)?.exports ?? []);
      if (there === undefined) return [];
      const imported = exports.some(({ exported }) => exported === wanted) ? wanted : 'default';
      return [{ local: name, imported, from: pathFrom(facts.file, there), typeOnly: false, span: { start: 0, end: 0 } }];
    });
    if (made.length === 0) continue;
    changed = true;
    const names = new Set(made.map(({ local }) => local));
    found.set(facts.file, {
      ...facts,
      imports: [...imports.filter(({ local }) => !names.has(local)), ...made],
      components: components.map((one) => withDeclared(one, names)),
    });
  }
  return changed ? found : files;
}
