import type { FileFacts, TemplateNode, TemplateUse, ValueFact } from '../../model/facts';
import { type FilePath, locate, type Span } from '../../model/span';
import { directoryOf } from '../../model/paths';
import type { PlacedPage, Project } from '../conventions';
import { useOfFile } from '../placed';

const page = /^(?:(.*)\/)?\+page(?:@[^.]*)?\.svelte$/;
const layout = /(^|\/)\+layout(@[^.]*)?\.svelte$/;
const nowhere: Span = { start: 0, end: 0 };

/**
 * The pages of projects whose pages stand in files named `+page`, each within the `+layout` files of
 * the folders above it, the outermost first. `+page@name` begins anew at the layout of that name.
 */
export function placedPages({ files, dependenciesOf }: Project): PlacedPage[] {
  const layouts = new Map([...files.keys()].flatMap((file) => (layout.test(file) ? [[directoryOf(file), file] as const] : [])));
  return [...files.keys()].flatMap((file): PlacedPage[] => {
    const folder = page.exec(file)?.[1];
    if (folder === undefined || !dependenciesOf(file)?.has('@sveltejs/kit')) return [];
    const path = /(?:^|\/)routes(\/.*)?$/.exec(folder)?.[1] ?? '';
    const shown = [...layoutsAbove(layouts, file), file];
    const values: ValueFact[] = [];
    const uses = shown.map((one) => {
      const loader = loaderOf(files, one);
      if (loader !== undefined) {
        const load = files.get(loader)?.shared.find((shared) => shared.name === 'load');
        const at = load ? { at: locate(loader, load.span) } : {};
        values.push({
          name: 'data',
          kind: 'fetched',
          span: nowhere,
          from: [],
          origin: { kind: 'loader', what: `load of ${loader}`, ...at },
        });
      }
      return { file: one, known: values.length };
    });
    const template = uses.reduceRight<TemplateNode[]>((inside, one) => [useOf(file, one.file, one.known, inside)], []);
    return [{ file, path: path.replace(/\/\([^)]*\)/g, '') || '/', body: { values, actions: [], template } }];
  });
}

/** The layouts around a page, the outermost first: of its folder and those above, from where a name after `@` begins anew. */
function layoutsAbove(layouts: ReadonlyMap<FilePath, FilePath>, file: FilePath): FilePath[] {
  const found: FilePath[] = [];
  let anew = anewFrom(file);
  for (let folder = directoryOf(file); ; folder = directoryOf(folder)) {
    const isRoot = folder === '' || /(^|\/)routes$/.test(folder);
    if (anew === undefined || (anew === '' ? isRoot : folder.endsWith(`/${anew}`))) {
      const own = layouts.get(folder);
      if (own !== undefined) found.unshift(own);
      anew = own === undefined ? undefined : anewFrom(own);
    }
    if (isRoot) return found;
  }
}

/** `+page@locks.svelte` → `locks`; `+page@.svelte` → the empty name of the root; undefined where nothing is said. */
function anewFrom(file: FilePath): string | undefined {
  return /\+\w+@([^./]*)\.svelte$/.exec(file)?.[1];
}

/** The script beside a page or layout that hands it `data`. */
function loaderOf(files: ReadonlyMap<FilePath, FileFacts>, file: FilePath): FilePath | undefined {
  const stem = file.replace(/(@[^.]*)?\.svelte$/, '');
  return ['.server.ts', '.server.js', '.ts', '.js'].map((ending) => stem + ending).find((one) => files.has(one));
}

/** A use of a file's component, given what all loaders so far hand over. */
function useOf(from: FilePath, file: FilePath, known: number, inside: readonly TemplateNode[]): TemplateUse {
  const readings = Array.from({ length: known }, (_, value) => ({ value, path: [], how: 'same' as const, span: nowhere }));
  return useOfFile(from, file, inside, [
    { to: { kind: 'prop', name: 'data' }, written: 'data', span: nowhere, nameSpan: nowhere, direction: 'in', readings },
  ]);
}
