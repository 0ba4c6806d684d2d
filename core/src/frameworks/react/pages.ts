import type { TemplateNode, TemplateUse } from '../../model/facts';
import { directoryOf } from '../../model/paths';
import type { FilePath, Span } from '../../model/span';
import type { PlacedPage, Project } from '../conventions';
import { addedRoutes, bodyOf, defaultOf, useOfFile, useOfTag } from '../placed';

const nowhere: Span = { start: 0, end: 0 };
const script = '\\.[jt]sx?$';

const inApp = new RegExp(`^((?:.*/)?app)/(?:(.*)/)?(page|loading|error|not-found|global-error)${script}`);
const inPages = new RegExp(`^((?:.*/)?pages)/(?!api/)((?:.*/)?[^/]+)${script}`);
const inRoutes = new RegExp(`^((?:.*/)?app)/routes/(.*)${script}`);

/**
 * Pages by their file's place, where the package, or what its files import, has a router that works
 * so: `app/…/page` within the `layout` and `template` files of the folders above, `pages/…` within
 * `pages/_app`, and `app/routes/a.b` within `app/routes/a` and `app/root`.
 */
export function placedPages(project: Project): PlacedPage[] {
  const { files } = project;
  const all = [...files.keys()];
  const importsNext = all.some((file) => files.get(file)?.imports.some(({ from }) => from === 'next' || from.startsWith('next/')));
  const needs = (file: FilePath, name: RegExp, otherwise: boolean): boolean => {
    const names = project.dependenciesOf(file);
    return names === undefined || names.size === 0 ? otherwise : [...names].some((one) => name.test(one));
  };
  const added = addedRoutes(files);
  return all.flatMap((file): PlacedPage[] => {
    const facts = files.get(file);
    if (defaultOf(facts) === undefined || facts?.components.length === 0) return [];
    const app = inApp.exec(file);
    if (app && needs(file, /^next$/, importsNext || findIn(files, `${app[1] ?? ''}/layout`) !== undefined))
      return [appPage(files, file, app)];
    const page = inPages.exec(file);
    if (page && needs(file, /^(next|gatsby)$/, importsNext)) return pagesPage(files, file, page);
    const route = inRoutes.exec(file);
    const hasTable = route && findIn(files, `${route[1] ?? ''}/routes`) !== undefined;
    if (route && !hasTable && needs(file, /^@(react-router|remix-run)\//, false)) return [flatPage(files, file, route)];
    const path = added.get(file);
    if (path !== undefined && facts?.framework === 'react')
      return [{ file, path, isAdded: true, body: bodyOf([useOfFile(file, file, [])]) }];
    return [];
  });
}

/** The file of a name with any of the endings of scripts; undefined for none. */
function findIn(files: ReadonlyMap<FilePath, unknown>, stem: FilePath): FilePath | undefined {
  return ['.tsx', '.ts', '.jsx', '.js'].map((ending) => stem + ending).find((one) => files.has(one));
}

function appPage(files: Project['files'], file: FilePath, [, root = '', folders = '', kind = '']: RegExpExecArray): PlacedPage {
  const parts = folders === '' ? [] : folders.split('/');
  const around = Array.from({ length: parts.length + 1 }, (_, count) => [root, ...parts.slice(0, count)].join('/'));
  const isAlone = kind === 'global-error';
  const template = (isAlone ? [] : around).reduceRight<TemplateNode[]>(
    (inside, folder) => {
      const own = findIn(files, `${folder}/template`);
      const layout = findIn(files, `${folder}/layout`);
      const within = own === undefined ? inside : [useOfFile(file, own, inside)];
      return layout === undefined ? within : [useOfFile(file, layout, within, slotsOf(files, file, folder))];
    },
    [useOfFile(file, file, [])],
  );
  const shown = parts.filter((part) => !/^\(.*\)$|^@/.test(part)).join('/');
  return { file, path: `/${shown}${kind === 'page' ? '' : `${shown === '' ? '' : '/'}(${kind})`}`, body: bodyOf(template) };
}

/** Pages that stand beside the one of a folder, in slots of its layout: `@panel/page` as `panel`. */
function slotsOf(files: Project['files'], from: FilePath, folder: FilePath): TemplateUse['bindings'] {
  const slots = new Map<string, FilePath>();
  for (const file of files.keys()) {
    const name = file.startsWith(`${folder}/@`) ? /^@([\w-]+)\/(page|default)\.[jt]sx?$/.exec(file.slice(folder.length + 1)) : undefined;
    if (name?.[1] !== undefined && (name[2] === 'page' || !slots.has(name[1]))) slots.set(name[1], file);
  }
  return [...slots].map(([name, file]) => ({
    to: { kind: 'prop' as const, name },
    written: name,
    span: nowhere,
    nameSpan: nowhere,
    direction: 'in' as const,
    readings: [],
    markup: [useOfFile(from, file, [])],
  }));
}

function pagesPage(files: Project['files'], file: FilePath, [, root = '', path = '']: RegExpExecArray): PlacedPage[] {
  const last = path.split('/').at(-1) ?? '';
  if (/^_(app|document)$/.test(last)) return [];
  const app = findIn(files, `${root}/_app`);
  const name = defaultOf(files.get(file));
  const shown: TemplateUse['bindings'][number] = {
    to: { kind: 'prop', name: 'Component' },
    written: 'Component',
    span: nowhere,
    nameSpan: nowhere,
    direction: 'in',
    readings: [],
    ...(name === undefined ? {} : { component: name, markup: [{ ...useOfTag(name), asValue: true as const }] }),
  };
  const body = bodyOf([app === undefined || app === file ? useOfFile(file, file, []) : useOfFile(file, app, [], [shown])]);
  return [{ file, path: `/${path.replace(/(^|\/)index$/, '')}`, body }];
}

/** A file of flat routes: dots divide the parts of the path, a part before it is what it stands within, `_` hides a part. */
function flatPage(files: Project['files'], file: FilePath, [, root = '', whole = '']: RegExpExecArray): PlacedPage {
  const stem = whole.replace(/\/(route|index)$/, '');
  const parts = stem.split(/[./]/);
  const above = parts.slice(0, -1).flatMap((_, at) => {
    const name = parts.slice(0, at + 1).join('.');
    return findIn(files, `${root}/routes/${name}`) ?? findIn(files, `${root}/routes/${name}/route`) ?? [];
  });
  const shell = findIn(files, `${root}/root`);
  const [first, ...chain] = [...(shell === undefined ? [] : [shell]), ...above, file].map((one) => bodyOf([useOfFile(file, one, [])]));
  const path = parts
    .filter((part) => !part.startsWith('_'))
    .map((part) => part.replace(/_$/, '').replace(/^\$$/, '*').replace(/^\$/, ':'))
    .join('/');
  return { file, path: `/${path}`, body: first ?? bodyOf([]), chain };
}

/** What the routes of a table stand in, where its package shows them in a file beside it: `root`, `components/_app`. */
export function shellOfTable({ files }: Project, table: FilePath): FilePath | undefined {
  const stem = new RegExp(`^(.*?)routes${script}`).exec(table)?.[1];
  if (stem === undefined || directoryOf(table).endsWith('routes')) return undefined;
  return findIn(files, `${stem}root`) ?? findIn(files, `${stem}components/_app/index`) ?? findIn(files, `${stem}components/_app`);
}
