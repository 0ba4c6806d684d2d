import type { RouteFact } from '../model/facts';
import { adapters } from '../frameworks/registry';
import { propKey } from '../model/member';
import { bindingFor } from '../model/given';
import type { ComponentId } from '../model/ids';
import type { Component, Model, Page, RouteStep, Use } from '../model/model';
import type { FilePath } from '../model/span';
import { packageOf } from './resolve';
import type { ProjectConfig } from './config';

type Linked = {
  readonly components: ReadonlyMap<ComponentId, Component>;
  readonly usesBy: ReadonlyMap<ComponentId, readonly Use[]>;
  readonly usesOf: ReadonlyMap<ComponentId, readonly Use[]>;
  /** Route tables of all files, with the stand-in component of each entry. */
  readonly routes: readonly {
    readonly file: FilePath;
    readonly fact: RouteFact;
    readonly body: ComponentId;
    readonly children: Linked['routes'];
  }[];
  /** Pages that stand in files by their names, each with the body that shows it. */
  readonly placed: readonly { readonly file: FilePath; readonly path: string; readonly body: ComponentId }[];
  readonly config: ProjectConfig;
  readonly files: Model['files'];
};

type RouteTree = {
  readonly step: RouteStep;
  readonly shows: boolean;
  readonly name: string;
  readonly file: FilePath;
  readonly children: readonly RouteTree[];
};

function joined(parent: string, path: string): string {
  if (path.startsWith('/')) return path;
  return path === '' ? parent : `${parent.replace(/\/$/, '')}/${path}`;
}

/** What a route written as markup is given to show, by the props that routers take it by. */
const showing = new Set(['element', 'component', 'Component']);

/** The component a piece of markup is about: the innermost of its first uses. */
function aboutOf(linked: Linked, uses: readonly Use[]): Component | undefined {
  const named = uses.filter((use) => use.target.kind === 'component');
  const last = named.at(-1);
  return last?.target.kind === 'component' ? linked.components.get(last.target.id) : undefined;
}

function objectTree(linked: Linked, route: Linked['routes'][number]): RouteTree {
  const about = aboutOf(linked, linked.usesBy.get(route.body) ?? []);
  return {
    step: { path: route.fact.path, body: route.body },
    shows: about !== undefined || route.fact.template.length > 0,
    name: about?.name ?? route.fact.path,
    file: about?.file ?? route.file,
    children: route.children.map((child) => objectTree(linked, child)),
  };
}

/** `<Route path element>` as markup, nested by nesting. */
function markupTrees(linked: Linked, owner: ComponentId): RouteTree[] {
  const uses = (linked.usesBy.get(owner) ?? []).filter(isRouteUse);
  const inner = (use: Use): Use[] => uses.filter((other) => other !== use && within(other, use));
  const direct = (all: readonly Use[]): Use[] => all.filter((use) => !all.some((other) => other !== use && within(use, other)));
  const tree = (use: Use): RouteTree => {
    const given = use.node.bindings.find((one) => showing.has(one.to.name));
    const shown = (linked.usesBy.get(owner) ?? []).filter(
      (other) => given && other.node.span.start >= given.span.start && other.node.span.end <= given.span.end,
    );
    const about = aboutOf(linked, shown);
    const path = bindingFor(use.node, propKey('path'))?.constant?.replace(/^['"`]|['"`]$/g, '') ?? '';
    const name = about?.name ?? given?.component ?? path;
    return { step: { path, use: use.id }, shows: true, name, file: about?.file ?? use.file, children: direct(inner(use)).map(tree) };
  };
  return direct(uses).map(tree);
}

export function isRouteUse(use: Use): boolean {
  return (
    use.target.kind === 'outside' &&
    /(^|\.)Route$/.test(use.node.tag) &&
    use.node.bindings.some((one) => showing.has(one.to.name) || one.to.name === 'path' || one.to.name === 'index')
  );
}

function within(inner: Use, outer: Use): boolean {
  return inner.node.span.start >= outer.node.span.start && inner.node.span.end <= outer.node.span.end;
}

function pagesOfTree(entry: ComponentId, tree: RouteTree, chain: readonly RouteStep[], path: string): Page[] {
  const steps = [...chain, tree.step];
  const here = joined(path, tree.step.path);
  if (tree.children.length > 0) return tree.children.flatMap((child) => pagesOfTree(entry, child, steps, here));
  if (!tree.shows) return [];
  return [
    {
      id: `${tree.file}#${tree.name}${here ? `@${here}` : ''}`,
      name: tree.name,
      file: tree.file,
      path: here || '/',
      entry,
      chain: steps,
      reach: 'whole',
    },
  ];
}

/** Every component that can be reached by following uses from `start`. */
function reachable(linked: Linked, start: readonly ComponentId[]): Set<ComponentId> {
  const found = new Set(start);
  const stack = [...start];
  for (let id = stack.pop(); id; id = stack.pop()) {
    for (const use of linked.usesBy.get(id) ?? []) {
      if (use.target.kind !== 'component' || found.has(use.target.id)) continue;
      found.add(use.target.id);
      stack.push(use.target.id);
    }
  }
  return found;
}

/** Uses that show the routes given to them as objects. */
function mountsTable(use: Use): boolean {
  return use.target.kind === 'outside' && /^(RouterProvider|DataBrowserRouter|RouterView)$/.test(use.node.tag);
}

function pagesOfRoot(linked: Linked, root: Component, seenRoutes: Set<unknown>): Page[] {
  const below = [...reachable(linked, [root.id])];
  const pages: Page[] = [];
  const uses = below.flatMap((id) => linked.usesBy.get(id) ?? []);
  if (uses.some(mountsTable)) {
    for (const route of linked.routes) {
      seenRoutes.add(route);
      pages.push(...pagesOfTree(root.id, objectTree(linked, route), [], ''));
    }
  }
  for (const id of below) {
    for (const tree of markupTrees(linked, id)) pages.push(...pagesOfTree(root.id, tree, [], ''));
  }
  if (pages.length > 0) return pages;
  const about = aboutOf(linked, (linked.usesBy.get(root.id) ?? []).slice(-1)) ?? root;
  const first = (linked.usesBy.get(root.id) ?? []).find((use) => use.target.kind === 'component');
  const shown = first?.target.kind === 'component' ? (linked.components.get(first.target.id) ?? about) : about;
  return [
    { id: `${root.file}#${shown.name}@root`, name: shown.name, file: shown.file, path: '', entry: root.id, chain: [], reach: 'whole' },
  ];
}

const fileRouters = adapters.flatMap((adapter) => adapter.link.fileRouters ?? []);

/** Pages by their file's place, where the package uses a router that works so. */
function filePages(linked: Linked): Page[] {
  const pages: Page[] = [];
  for (const component of linked.components.values()) {
    if (component.fileRole !== 'source' || component.role === 'root' || component.role === 'route' || !isDefaultExport(linked, component))
      continue;
    const dependencies = [...(packageOf(linked.config, component.file)?.dependencies ?? [])];
    const router = fileRouters.find((one) => dependencies.some((name) => one.needs.test(name)) && one.file.test(component.file));
    const match = router?.file.exec(component.file);
    if (!router || !match) continue;
    pages.push({
      id: component.id,
      name: component.name,
      file: component.file,
      path: router.path(match).replace(/\/$/, '') || '/',
      entry: component.id,
      chain: [],
      reach: 'alone',
    });
  }
  return pages;
}

function isDefaultExport(linked: Linked, component: Component): boolean {
  const { local } = component.facts;
  return (
    linked.files.get(component.file)?.exports.some((one) => one.exported === 'default' && one.from === undefined && one.local === local) ??
    false
  );
}

/** A root that mounts only what comes from outside shows none of the project's components by itself. */
function showsSomething(linked: Linked, root: Component): boolean {
  return (linked.usesBy.get(root.id) ?? []).some(
    (use) => use.target.kind === 'component' || mountsTable(use) || use.target.kind === 'dynamic' || use.target.kind === 'opaque',
  );
}

/**
 * The pages of a project: what is mounted, route by route; pages by file; else the components that
 * nothing in the project uses.
 */
export function findPages(linked: Linked): Page[] {
  const seenRoutes = new Set<unknown>();
  const placed = new Set(linked.placed.map((one) => one.body));
  const roots = [...linked.components.values()].filter(
    (component) => component.role === 'root' && component.fileRole === 'source' && !placed.has(component.id),
  );
  const pages = roots.filter((root) => showsSomething(linked, root)).flatMap((root) => pagesOfRoot(linked, root, seenRoutes));
  for (const { file, path, body } of linked.placed) {
    const name = linked.files.get(file)?.components[0]?.name ?? path;
    pages.push({ id: `${file}#${name}`, name, file, path, entry: body, chain: [], reach: 'whole' });
  }
  for (const route of linked.routes) {
    if (!seenRoutes.has(route) && !pages.some((page) => page.chain.some((step) => step.body === route.body))) {
      pages.push(...pagesOfTree(route.body, objectTree(linked, route), [], '').map((page) => ({ ...page, reach: 'alone' as const })));
    }
  }
  if (linked.routes.length === 0) pages.push(...filePages(linked));
  if (pages.length === 0) {
    for (const component of linked.components.values()) {
      if (component.role === 'root' || component.role === 'route' || component.fileRole !== 'source') continue;
      const used = (linked.usesOf.get(component.id) ?? []).some(
        (use) => use.owner !== component.id && linked.components.get(use.owner)?.fileRole === 'source',
      );
      if (!used)
        pages.push({
          id: component.id,
          name: component.name,
          file: component.file,
          path: '',
          entry: component.id,
          chain: [],
          reach: 'alone',
        });
    }
  }
  const byId = new Map<string, Page>();
  for (const page of pages) if (!byId.has(page.id)) byId.set(page.id, page);
  return [...byId.values()];
}
