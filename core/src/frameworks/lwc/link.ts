import type { FilePath } from '../../model/span';
import type { PlacedPage, Project, TagTarget } from '../conventions';
import { bodyOf, useOfFile } from '../placed';
import { bundleOf, tagParts } from './names';

type Bundles = ReadonlyMap<string, FilePath>;

/** The bundles of a project by `namespace/name`. */
function bundlesIn(files: Iterable<FilePath>): Bundles {
  const found = new Map<string, FilePath>();
  for (const file of files) {
    const bundle = bundleOf(file);
    const key = bundle && `${bundle.namespace}/${bundle.name}`;
    if (key !== undefined && !found.has(key)) found.set(key, file);
  }
  return found;
}

/** `c/raise`, `ui/pantry`: the module of a bundle. */
export function moduleFile(files: ReadonlySet<FilePath>): (specifier: string) => FilePath | undefined {
  let bundles: Bundles | undefined;
  return (specifier) => {
    if (!/^[a-z]\w*\/[A-Za-z_]\w*$/.test(specifier)) return undefined;
    bundles ??= bundlesIn(files);
    return bundles.get(specifier);
  };
}

/** Namespaces that the platform brings. */
const brought = /^(?:lightning|lightningsnapin|experience|omnistudio|runtime|force|aura|ui|forcecommunity)$/;

/** Tags stand for bundles by their namespace and name. */
export function registeredTags({ files }: Project): (file: FilePath, tag: string) => TagTarget | undefined {
  const bundles = bundlesIn([...files.values()].flatMap(({ file, components }) => (components.length > 0 ? [file] : [])));
  const namespaces = new Set([...bundles.keys()].map((key) => key.split('/')[0]));
  const older = new Map(
    [...files.keys()].flatMap((file): [string, FilePath][] => {
      const name = /([^/]+)\.cmp$/.exec(file)?.[1];
      return name === undefined ? [] : [[name.toLowerCase(), file]];
    }),
  );
  return (_, tag) => {
    if (tag.includes(':')) {
      const [namespace = '', name = ''] = tag.split(':');
      if (namespace !== 'c') return { kind: 'outside', module: namespace, name };
      const there = older.get(name.toLowerCase()) ?? bundles.get(`c/${name}`);
      return there === undefined ? undefined : { kind: 'export', file: there, name: 'default' };
    }
    const parts = tagParts(tag);
    if (!parts) return undefined;
    const there = bundles.get(`${parts.namespace}/${parts.name}`);
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
