import type { ComponentFacts, FileFacts, ValueFact } from '../../model/facts';
import { type FilePath, locate, type Span } from '../../model/span';
import { memberOf } from '../../model/member';
import { addedRoutes, bodyOf as bodyOfUse, useOfFile, useOfTag } from '../placed';
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
  const added = addedRoutes(files);
  return [...files].flatMap(([file, facts]: readonly [FilePath, FileFacts]) => {
    const below = page.exec(file)?.[1];
    const isAdded = below === undefined || /(?:^|\/)_/.test(below);
    const path = isAdded ? added.get(file) : pathOf(below);
    const [component] = facts.components;
    if (path === undefined || facts.framework !== 'astro' || !component) return [];
    return [{ file, path, isAdded, body: bodyOf(file, facts, component) }];
  });
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
