import { nearestFile } from '../../model/paths';
import type { FilePath } from '../../model/span';
import type { PlacedPage, Project, TagTarget } from '../conventions';
import { bodyOf, useOfFile } from '../placed';
import { bundleOf, tagParts } from './names';

type Bundles = ReadonlyMap<string, readonly FilePath[]>;

/** The bundles of a project by `namespace/name`. A folder with several projects may have some of one name. */
function bundlesIn(files: Iterable<FilePath>): Bundles {
  const found = new Map<string, FilePath[]>();
  for (const file of files) {
    const bundle = bundleOf(file);
    const key = bundle && `${bundle.namespace}/${bundle.name}`;
    if (key === undefined) continue;
    const known = found.get(key);
    if (known) known.push(file);
    else found.set(key, [file]);
  }
  return found;
}

/** The bundle that a file means by `namespace/name`: of several the one that lies nearest to it. */
const bundleMeant = (bundles: Bundles, from: FilePath, key: string): FilePath | undefined => nearestFile(from, bundles.get(key) ?? []);

/** `c/raise`, `ui/pantry`: the module of a bundle. */
export function moduleFile(files: ReadonlySet<FilePath>): (specifier: string, from: FilePath) => FilePath | undefined {
  let bundles: Bundles | undefined;
  return (specifier, from) => {
    if (!/^[a-z]\w*\/[A-Za-z_]\w*$/.test(specifier)) return undefined;
    bundles ??= bundlesIn(files);
    return bundleMeant(bundles, from, specifier);
  };
}

/** Namespaces that the platform brings. */
const brought = /^(?:lightning|lightningsnapin|experience|omnistudio|runtime|force|aura|ui|forcecommunity)$/;

/** Tags stand for bundles by their namespace and name. */
export function registeredTags({ files }: Project): (file: FilePath, tag: string) => TagTarget | undefined {
  const bundles = bundlesIn([...files.values()].flatMap(({ file, components }) => (components.length > 0 ? [file] : [])));
  const namespaces = new Set([...bundles.keys()].map((key) => key.split('/')[0]));
  const older = new Map<string, FilePath[]>();
  for (const file of files.keys()) {
    const name = /([^/]+)\.cmp$/.exec(file)?.[1]?.toLowerCase();
    if (name !== undefined) older.set(name, [...(older.get(name) ?? []), file]);
  }
  return (from, tag) => {
    if (tag.includes(':')) {
      const [namespace = '', name = ''] = tag.split(':');
      if (namespace !== 'c') return { kind: 'outside', module: namespace, name };
      const there = nearestFile(from, older.get(name.toLowerCase()) ?? []) ?? bundleMeant(bundles, from, `c/${name}`);
      return there === undefined ? undefined : { kind: 'export', file: there, name: 'default' };
    }
    const parts = tagParts(tag);
    if (!parts) return undefined;
    const there = bundleMeant(bundles, from, `${parts.namespace}/${parts.name}`);
    if (there !== undefined) return { kind: 'export', file: there, name: 'default' };
    const known = parts.namespace === 'c' || (namespaces.has(parts.namespace) && !brought.test(parts.namespace));
    return known ? undefined : { kind: 'outside', module: parts.namespace, name: tag };
  };
}

/** Bundles that a builder puts on pages, each a page by itself. */
export function placedPages({ files }: Project): PlacedPage[] {
  return [...files.values()].flatMap(({ file, framework, components }): PlacedPage[] =>
    framework === 'lwc' && components.some((one) => one.isOffered) ? [{ file, path: '', body: bodyOf([useOfFile(file, file, [])]) }] : [],
  );
}
