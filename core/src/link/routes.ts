import type { RouteFact } from '../model/facts';
import type { ComponentId } from '../model/ids';
import type { FilePath } from '../model/span';
import { laterName, type Names } from './names';

/** An entry of a route table with its stand-in component, and the entries below it. */
export type RouteBody = {
  readonly file: FilePath;
  readonly path: string;
  readonly body: ComponentId;
  readonly children: readonly RouteBody[];
  /** The outlet that shows it; absent for the page's own. */
  readonly outlet?: string;
  /** What is shown with it in outlets of other names. */
  readonly beside: readonly RouteBody[];
};

/** A route as it stands in its file, before tables are joined. */
export type LooseRoute = {
  readonly file: FilePath;
  readonly fact: RouteFact;
  readonly body: ComponentId;
  readonly children: readonly LooseRoute[];
  readonly beside: readonly LooseRoute[];
};

/** Tables within tables are followed to this depth. */
const deepest = 20;

/**
 * Joins the routes of all files: tables that others name stand below these, and routes that say
 * their place by their path alone stand below the longest path that begins theirs.
 */
export function joinRoutes(loose: readonly LooseRoute[], names: Names): RouteBody[] {
  const byFile = new Map<FilePath, LooseRoute[]>();
  for (const route of loose) byFile.set(route.file, [...(byFile.get(route.file) ?? []), route]);
  const taken = new Set<LooseRoute>();
  const joined = (route: LooseRoute, depth: number): RouteBody => {
    const named = depth > deepest ? [] : (route.fact.tables ?? []).flatMap((name) => tableNamed(byFile, names, route, name));
    for (const one of named) taken.add(one);
    return {
      file: route.file,
      path: route.fact.path,
      body: route.body,
      children: [...route.children, ...named].map((child) => joined(child, depth + 1)),
      ...(route.fact.outlet === undefined ? {} : { outlet: route.fact.outlet }),
      beside: route.beside.map((one) => joined(one, depth + 1)),
    };
  };
  const tables = loose.filter(({ fact }) => !fact.byPath);
  const all = tables.map((route) => ({ route, body: joined(route, 0) }));
  return [
    ...all.filter(({ route }) => !taken.has(route)).map(({ body }) => body),
    ...nestedByPath(loose.filter(({ fact }) => fact.byPath)),
  ];
}

/** The routes of a table that a route names: one of its own file, or whatever the name stands for elsewhere. */
function tableNamed(byFile: ReadonlyMap<FilePath, readonly LooseRoute[]>, names: Names, from: LooseRoute, name: string): LooseRoute[] {
  const [, specifier, exported = 'default'] = laterName.exec(name) ?? [];
  if (specifier !== undefined) return tableLoaded(byFile, names, from, specifier, exported);
  const [root = '', ...rest] = name.split('.');
  const meant = names.meant(from.file, root);
  const isElsewhere = meant.kind === 'shared' && meant.file !== from.file;
  const file = meant.kind === 'namespace' || isElsewhere ? meant.file : from.file;
  const wanted = [...(isElsewhere ? [meant.fact.name] : meant.kind === 'namespace' ? [] : [root]), ...rest].join('/');
  return (byFile.get(file) ?? []).filter(({ fact, body }) => {
    if (body === from.body || (file === from.file && fact.table === from.fact.table)) return false;
    return fact.table === wanted || fact.table.startsWith(`${wanted}/`) || (file === from.file && fact.table.endsWith(`/${wanted}`));
  });
}

/** The routes of the table that another module gives, or of the group of components that it gives. */
function tableLoaded(
  byFile: ReadonlyMap<FilePath, readonly LooseRoute[]>,
  names: Names,
  from: LooseRoute,
  specifier: string,
  exported: string,
): LooseRoute[] {
  const resolved = names.resolveModule(from.file, specifier);
  if (resolved.kind !== 'file') return [];
  const meant = names.exported(resolved.file, exported);
  const file = meant.kind === 'shared' ? meant.file : resolved.file;
  const name = meant.kind === 'shared' ? meant.fact.name : exported;
  const own = (byFile.get(file) ?? []).filter(({ fact }) => fact.table === name || fact.table.startsWith(`${name}/`));
  return own.length > 0
    ? own
    : names
        .tablesOf(file, name)
        .flatMap((at) => (byFile.get(at.file) ?? []).filter(({ fact }) => at.table === undefined || fact.table === at.table));
}

/** What an address shows of a path: groups and folders without a part of it are left out. */
const shownPath = (path: string): string =>
  path
    .split('/')
    .filter((part) => !/^_|^\(.*\)$/.test(part))
    .map((part) => part.replace(/_$/, '').replace(/^\$/, ':'))
    .join('/');

function nestedByPath(routes: readonly LooseRoute[]): RouteBody[] {
  const layouts = new Map(routes.filter(({ fact }) => !fact.path.endsWith('/')).map((route) => [route.fact.path, route]));
  const below = new Map<LooseRoute | undefined, LooseRoute[]>();
  for (const route of routes) {
    const outer = outerOf(layouts, route);
    below.set(outer, [...(below.get(outer) ?? []), route]);
  }
  const nested = (route: LooseRoute): RouteBody => ({
    file: route.file,
    path: shownPath(route.fact.path),
    body: route.body,
    children: (below.get(route) ?? []).map(nested),
    beside: [],
  });
  return (below.get(undefined) ?? []).map(nested);
}

function outerOf(layouts: ReadonlyMap<string, LooseRoute>, route: LooseRoute): LooseRoute | undefined {
  for (let path = route.fact.path; path !== '';) {
    path = path.slice(0, Math.max(0, path.lastIndexOf('/')));
    const found = layouts.get(path);
    if (found && found !== route) return found;
  }
  return undefined;
}
