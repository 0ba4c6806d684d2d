import type { ComponentFacts, FileFacts, ValueFact } from '../../model/facts';
import { type FilePath, locate, type Span } from '../../model/span';
import { memberOf } from '../../model/member';
import { directoryOf, joinPath, nearestFile } from '../../model/paths';
import { bodyOf as bodyOfUse, useOfFile, useOfTag } from '../placed';
import type { PlacedPage, Project } from '../conventions';

const page = /^(?:.*\/)?src\/pages\/(.+)\.(?:astro|mdx?|html)$/;
const nowhere: Span = { start: 0, end: 0 };

/** The address of a page by where its file stands: `locks/[id]` → `/locks/:id`. */
function pathOf(below: string): string {
  const parts = below
    .split('/')
    .map((one) => one.replace(/\[(?:\.\.\.)?([^\]]*)\]/g, ':$1'))
    .filter((one, index, all) => !(one === 'index' && index === all.length - 1));
  return `/${parts.join('/')}`;
}

/** The pages of a project: files in a folder of that name, but for those whose names or folders begin with a line, and those that a script adds. */
export function placedPages({ files }: Project): PlacedPage[] {
  const added = new Map<FilePath, string>();
  for (const { file, addsRoutes = [] } of files.values())
    for (const { path, shows } of addsRoutes) {
      const shown = fileShown(files, file, shows);
      if (shown !== undefined && !added.has(shown)) added.set(shown, path.replace(/\[(?:\.\.\.)?([^\]]*)\]/g, ':$1'));
    }
  return [...files].flatMap(([file, facts]: readonly [FilePath, FileFacts]) => {
    const below = page.exec(file)?.[1];
    const path = below === undefined || /(?:^|\/)_/.test(below) ? added.get(file) : pathOf(below);
    const [component] = facts.components;
    if (path === undefined || facts.framework !== 'astro' || !component) return [];
    return [{ file, path, body: bodyOf(file, facts, component) }];
  });
}

/** The file whose path ends as a script says, without the name of a package before it; of several the nearest. */
function fileShown(files: Project['files'], from: FilePath, said: string): FilePath | undefined {
  const inside = said.replace(/^(?:\.{1,2}\/)+|^\//, '');
  const inPackage = said.startsWith('@') ? inside.split('/').slice(2).join('/') : inside.split('/').slice(1).join('/');
  for (const end of said.startsWith('.') ? [joinPath(directoryOf(from), said), inside] : [inside, inPackage]) {
    const found = end === '' ? [] : [...files.keys()].filter((one) => one === end || one.endsWith(`/${end}`));
    if (found.length > 0) return nearestFile(from, found);
  }
  return undefined;
}

/** A page is given what the function of its file says that lists its addresses; nothing where there is none. */
function bodyOf(file: FilePath, facts: FileFacts, { members }: ComponentFacts): PlacedPage['body'] {
  const lists = facts.shared.find((one) => one.name === 'getStaticPaths');
  // What a file of text gives cannot be imported by its name, but it is the file's own.
  if (!lists) return bodyOfUse([file.endsWith('.astro') ? useOfFile(file, file, []) : useOfTag('default')]);
  const values: ValueFact[] = [
    {
      name: 'props',
      kind: 'fetched',
      span: nowhere,
      from: [],
      origin: { kind: 'loader', what: `${lists.name} of ${file}`, at: locate(file, lists.span) },
    },
  ];
  const bindings = members.flatMap(({ key, name, kind }) =>
    kind === 'slot'
      ? []
      : [
          {
            to: memberOf(key),
            written: name,
            span: nowhere,
            nameSpan: nowhere,
            direction: 'in' as const,
            readings: [{ value: 0, path: [name], how: 'part' as const, span: nowhere }],
          },
        ],
  );
  return { values, actions: [], template: [useOfFile(file, file, [], bindings)] };
}
