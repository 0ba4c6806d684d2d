import type { BodyFacts, FileFacts, TemplateNode, TemplateUse } from '../model/facts';
import { directoryOf, joinPath, nearestFile } from '../model/paths';
import type { Project } from './conventions';
import type { FilePath, Span } from '../model/span';

const nowhere: Span = { start: 0, end: 0 };

/** Where one file stands as another one writes it: `../parts/Row.vue`. */
export function pathFrom(from: FilePath, to: FilePath): string {
  const above = directoryOf(from) === '' ? [] : directoryOf(from).split('/');
  const below = to.split('/');
  let same = 0;
  while (same < above.length && same < below.length - 1 && above[same] === below[same]) same++;
  return `${'../'.repeat(above.length - same) || './'}${below.slice(same).join('/')}`;
}

/** A use that nobody wrote, of what a file gives as its default, within markup of another. */
export function useOfFile(
  from: FilePath,
  file: FilePath,
  inside: readonly TemplateNode[],
  bindings: TemplateUse['bindings'] = [],
): TemplateUse {
  return useOfTag(`import:${pathFrom(from, file)}#default`, inside, bindings);
}

/** A use that nobody wrote, of a tag. */
export function useOfTag(tag: string, inside: readonly TemplateNode[] = [], bindings: TemplateUse['bindings'] = []): TemplateUse {
  return {
    kind: 'use',
    tag,
    span: nowhere,
    nameSpan: nowhere,
    bindings,
    spreads: [{ span: nowhere, readings: [] }],
    children: inside,
    key: { kind: 'none' },
    content: inside.length > 0 ? 'markup' : 'none',
  };
}

/** Markup as a body without values. */
export const bodyOf = (template: readonly TemplateNode[]): BodyFacts & { readonly template: readonly TemplateNode[] } => ({
  values: [],
  actions: [],
  template,
});

/** The name in its own module of what a file gives as its default; undefined for none. */
export const defaultOf = (facts: FileFacts | undefined): string | undefined =>
  facts?.exports.find((one) => one.exported === 'default' && one.from === undefined)?.local;

/** The paths of files that scripts add as pages, as a router of files says them: `/login/[to]` is `/login/:to`. */
export function addedRoutes(files: Project['files']): Map<FilePath, string> {
  const added = new Map<FilePath, string>();
  for (const { file, addsRoutes = [] } of files.values())
    for (const { path, shows } of addsRoutes) {
      const shown = fileShown(files, file, shows);
      if (shown !== undefined && !added.has(shown)) added.set(shown, path.replace(/\[(?:\.\.\.)?([^\]]*)\]/g, ':$1'));
    }
  return added;
}

/** The file whose path ends as a script says, with or without its ending and without the name of a package before it; of several the nearest. */
function fileShown(files: Project['files'], from: FilePath, said: string): FilePath | undefined {
  const inside = said.replace(/^(?:\.{1,2}\/)+|^\//, '');
  const inPackage = said.startsWith('@') ? inside.split('/').slice(2).join('/') : inside.split('/').slice(1).join('/');
  for (const end of said.startsWith('.') ? [joinPath(directoryOf(from), said), inside] : [inside, inPackage]) {
    const found =
      end === ''
        ? []
        : [...files.keys()].filter((one) => [one, one.replace(/\.\w+$/, '')].some((way) => way === end || way.endsWith(`/${end}`)));
    if (found.length > 0) return nearestFile(from, found);
  }
  return undefined;
}
