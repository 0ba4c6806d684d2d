import { bindingFor } from '../model/given';
import type { ComponentId } from '../model/ids';
import { propKey } from '../model/member';
import type { Component, Model, NamedOutlet, Page, RouteStep, Use } from '../model/model';
import { mountsTable, showsNextRoute } from '../frameworks/route-tags';
import type { AliasFact, TemplateNode } from '../model/facts';
import { isRouteUse, showing } from '../model/routes';
import type { FilePath } from '../model/span';
import { walkTemplate } from '../model/walk';
import { fileRole } from './roles';
import { choicesNamed } from '../model/choices';
import type { RouteBody } from './routes';
import { append } from '../model/append';

type Linked = {
  readonly components: ReadonlyMap<ComponentId, Component>;
  readonly usesBy: ReadonlyMap<ComponentId, readonly Use[]>;
  readonly usesOf: ReadonlyMap<ComponentId, readonly Use[]>;
  /** Route tables of all files, nested, with the stand-in component of each entry. */
  readonly routes: readonly RouteBody[];
  /** Pages that stand in files by their names, each with the bodies that show it. */
  readonly placed: readonly PlacedBody[];
  readonly files: Model['files'];
  readonly holdersOf: Model['holdersOf'];
  readonly named: Model['named'];
  /** The component that a name of a file stands for. */
  readonly componentNamed: (file: FilePath, name: string) => ComponentId | undefined;
  /** The file whose component a table's routes stand in by convention; undefined for none. */
  readonly shellOfTable: (table: FilePath) => FilePath | undefined;
};

/** A page that stands in a file by its name: where it starts, and what its outlets show from the outside in. */
export type PlacedBody = {
  readonly file: FilePath;
  readonly path: string;
  readonly above: Page['above'];
  readonly body: ComponentId;
  readonly chain: readonly ComponentId[];
};

type RouteTree = {
  readonly step: RouteStep;
  readonly shows: boolean;
  readonly name: string;
  readonly file: FilePath;
  readonly children: readonly RouteTree[];
};

/** How a component is come to from what is mounted: the routes around it. */
type Way = { readonly steps: readonly RouteStep[]; readonly path: string };

const noWay: Way = { steps: [], path: '' };

function joined(parent: string, path: string): string {
  if (path.startsWith('/')) return path;
  const open = parent.replace(/\/?\*$/, '');
  return path === '' ? parent : `${open.replace(/\/$/, '')}/${path}`;
}

/** The component a piece of markup is about: the innermost of its first uses. */
function aboutOf(linked: Linked, uses: readonly Use[]): Component | undefined {
  const named = uses.filter((use) => use.target.kind === 'component');
  const last = named.at(-1);
  return last?.target.kind === 'component' ? linked.components.get(last.target.id) : undefined;
}

/** What outlets with names show of a list of routes. */
const namedAmong = (routes: readonly RouteBody[]): NamedOutlet[] =>
  routes.flatMap(({ outlet, path, body }) => (outlet === undefined ? [] : [{ outlet, body, ...(path === '' ? {} : { path }) }]));

/** A route with those below it; `others` are those of its table, where it stands in no other route. */
function objectTree(linked: Linked, route: RouteBody, others: readonly RouteBody[] = []): RouteTree {
  const uses = linked.usesBy.get(route.body) ?? [];
  const about = aboutOf(linked, uses);
  const beside = [...namedAmong(route.beside), ...namedAmong(others)];
  const within = namedAmong(route.children);
  return {
    step: {
      path: route.path,
      body: route.body,
      ...(beside.length > 0 ? { beside } : {}),
      ...(within.length > 0 ? { within } : {}),
    },
    shows: about !== undefined || showsMarkup(linked.components.get(route.body)?.facts.template ?? [], uses),
    name: about?.name ?? route.path,
    file: about?.file ?? route.file,
    // What has an outlet of its own stands beside a page, and is none.
    children: route.children.flatMap((child) => (child.outlet === undefined ? [objectTree(linked, child)] : [])),
  };
}

/** Where all that a page shows is come to from. */
const startsOf = (page: Page): ComponentId[] => [
  page.entry,
  ...page.chain.flatMap(({ body, beside = [], within = [] }) => [
    ...(body ? [body] : []),
    ...[...beside, ...within].map((one) => one.body),
  ]),
];

/** Whether markup shows anything but the place for the routes below, and what is provided around that. */
function showsMarkup(template: readonly TemplateNode[], uses: readonly Use[]): boolean {
  const empty = new Set(uses.filter(({ target, node }) => target.kind === 'provider' || showsNextRoute(node.tag)).map(({ node }) => node));
  let found = false;
  walkTemplate(template, (node) => {
    found ||= node.kind !== 'use' || !empty.has(node);
  });
  return found;
}

/** `<Route path element>` as markup, nested by nesting. */
function markupTrees(linked: Linked, owner: ComponentId): RouteTree[] {
  const all = linked.usesBy.get(owner) ?? [];
  const uses = all.filter(isRouteUse);
  if (uses.length === 0) return [];
  const inner = (use: Use): Use[] => uses.filter((other) => other !== use && within(other, use));
  const direct = (some: readonly Use[]): Use[] => some.filter((use) => !some.some((other) => other !== use && within(use, other)));
  const tree = (use: Use): RouteTree => {
    const given = use.node.bindings.find((one) => showing.has(one.to.name));
    const around = given?.span ?? use.node.span;
    const shown = all.filter((other) => other !== use && other.node.span.start >= around.start && other.node.span.end <= around.end);
    const about = aboutOf(linked, shown);
    const path = pathOf(use);
    const name = about?.name ?? given?.component ?? path;
    return { step: { path, use: use.id }, shows: true, name, file: about?.file ?? use.file, children: direct(inner(use)).map(tree) };
  };
  return direct(uses).map(tree);
}

const pathOf = (use: Use): string => bindingFor(use.node, propKey('path'))?.constant?.replace(/^['"`]|['"`]$/g, '') ?? '';

function within(inner: Use, outer: Use): boolean {
  return inner.node.span.start >= outer.node.span.start && inner.node.span.end <= outer.node.span.end;
}

/** The pages of a nest of routes: its ends, and those between that answer at an address of their own. */
function pagesOfTree(entry: ComponentId, tree: RouteTree, way: Way, above: Page['above']): Page[] {
  const steps = [...way.steps, tree.step];
  const here = joined(way.path, tree.step.path);
  const below = tree.children.flatMap((child) => pagesOfTree(entry, child, { steps, path: here }, above));
  const answers = tree.shows && (tree.children.length === 0 || (here !== '' && !tree.children.some((child) => answersFor(child))));
  if (!answers) return below;
  const page: Page = {
    id: `${tree.file}#${tree.name}${here ? `@${here}` : ''}`,
    name: tree.name,
    file: tree.file,
    path: here || '/',
    entry,
    chain: steps,
    above,
    why: 'route',
  };
  return [page, ...below];
}

/** Whether a route is shown at the address of the one around it. */
const answersFor = (tree: RouteTree): boolean =>
  /^\/?$/.test(tree.step.path) && (tree.children.length === 0 || tree.children.some(answersFor));

/** Where one starts, and the tables whose routes stand at the first place that shows some; `isMounted` where that is the start itself. */
type Start = { readonly at: ComponentId; readonly tables: readonly RouteTree[]; readonly isMounted?: true };

/** All components that are come to from a root, each with the routes around it on the shortest way. */
function waysFrom(linked: Linked, { at: root, tables, isMounted }: Start): { ways: Map<ComponentId, Way>; mounts?: Way } {
  const ways = new Map<ComponentId, Way>([[root, noWay]]);
  const queue: ComponentId[] = [root];
  let mounts: Way | undefined;
  const add = (id: ComponentId, way: Way): void => {
    if (ways.has(id)) return;
    ways.set(id, way);
    queue.push(id);
  };
  const addTable = (tree: RouteTree, way: Way): void => {
    const below: Way = { steps: [...way.steps, tree.step], path: joined(way.path, tree.step.path) };
    if (tree.step.body) add(tree.step.body, below);
    for (const { body } of [...(tree.step.beside ?? []), ...(tree.step.within ?? [])]) add(body, below);
    for (const child of tree.children) addTable(child, below);
  };
  if (isMounted) {
    mounts = noWay;
    for (const tree of tables) addTable(tree, noWay);
  }
  for (let at = 0; at < queue.length; at++) {
    const id = queue[at] as ComponentId;
    const way = ways.get(id) ?? noWay;
    const uses = linked.usesBy.get(id) ?? [];
    const routes = uses.filter(isRouteUse);
    for (const use of uses) {
      if (!mounts && mountsTable(use)) {
        mounts = way;
        for (const tree of tables) addTable(tree, way);
      }
      if (use.target.kind !== 'component') continue;
      const around = routes.filter((route) => within(use, route)).sort((a, b) => a.node.span.start - b.node.span.start);
      const below = around.reduce<Way>(
        (outer, route) => ({ steps: [...outer.steps, { path: pathOf(route), use: route.id }], path: joined(outer.path, pathOf(route)) }),
        way,
      );
      add(use.target.id, below);
    }
    const component = linked.components.get(id);
    if (component) for (const holder of linked.holdersOf(component)) add(holder, way);
  }
  return { ways, ...(mounts ? { mounts } : {}) };
}

const keyOf = (steps: readonly RouteStep[]): string => steps.map((step) => step.use ?? step.body ?? '').join(' ');

/** Leaves out what only leads to other pages: its outlet is never empty. */
function withoutShells(pages: readonly Page[], shells: ReadonlySet<string>): Page[] {
  return pages.filter((page) => !shells.has(keyOf(page.chain)));
}

/** The pages that are come to from where something is shown: routes of tables, routes as markup at any depth. */
function pagesFrom(linked: Linked, entry: ComponentId, start: Start, above: Page['above'], seenTables: Set<RouteTree>): Page[] {
  const { ways, mounts } = waysFrom(linked, start);
  const pages: Page[] = [];
  if (mounts) {
    for (const tree of start.tables) {
      seenTables.add(tree);
      append(pages, pagesOfTree(entry, tree, mounts, above));
    }
  }
  const shells = new Set<string>();
  for (const [id, way] of ways) {
    const trees = markupTrees(linked, id);
    if (trees.length > 0 && way.steps.length > 0) shells.add(keyOf(way.steps));
    for (const tree of trees) append(pages, pagesOfTree(entry, tree, way, above));
  }
  return withoutShells(pages, shells);
}

function pagesOfRoot(linked: Linked, root: Component, tables: readonly RouteTree[], seenTables: Set<RouteTree>): Page[] {
  const pages = pagesFrom(linked, root.id, { at: root.id, tables }, 'known', seenTables);
  if (pages.length > 0) return pages;
  const about = aboutOf(linked, (linked.usesBy.get(root.id) ?? []).slice(-1)) ?? root;
  const first = (linked.usesBy.get(root.id) ?? []).find((use) => use.target.kind === 'component');
  const shown = first?.target.kind === 'component' ? (linked.components.get(first.target.id) ?? about) : about;
  return [
    {
      id: `${root.file}#${shown.name}@root`,
      name: shown.name,
      file: shown.file,
      path: '',
      entry: root.id,
      chain: [],
      above: 'known',
      why: 'mounted',
    },
  ];
}

/** A root that mounts only what comes from outside shows none of the project's components by itself. */
function showsSomething(linked: Linked, root: Component): boolean {
  return (linked.usesBy.get(root.id) ?? []).some(
    (use) => use.target.kind === 'component' || mountsTable(use) || use.target.kind === 'dynamic' || use.target.kind === 'opaque',
  );
}

/** Every component that can be come to by following uses from some. */
function reachable(linked: Linked, start: readonly ComponentId[]): Set<ComponentId> {
  const found = new Set(start);
  const stack = [...start];
  const add = (id: ComponentId): void => {
    if (found.has(id)) return;
    found.add(id);
    stack.push(id);
  };
  for (let id = stack.pop(); id; id = stack.pop()) {
    const component = linked.components.get(id);
    for (const { target, node } of linked.usesBy.get(id) ?? []) {
      if (target.kind === 'component') add(target.id);
      // A tag that is a value may be any of those that its expression names.
      if (target.kind === 'dynamic' && component)
        for (const reading of node.dynamic ?? []) for (const choice of choicesNamed(linked, component, reading)) add(choice.component.id);
    }
    if (component) for (const holder of linked.holdersOf(component)) add(holder);
  }
  return found;
}

/** What no page comes to, from what nothing else uses; what has most below it first. */
function alone(linked: Linked, pages: readonly Page[]): Page[] {
  const starts = pages.flatMap(startsOf);
  const found = reachable(linked, starts);
  const isOwn = (component: Component | undefined): component is Component =>
    component?.role === 'component' && component.fileRole === 'source';
  const left = [...linked.components.values()].filter((component) => isOwn(component) && !found.has(component.id));
  const isUsed = ({ id }: Component): boolean =>
    (linked.usesOf.get(id) ?? []).some((use) => use.owner !== id && isOwn(linked.components.get(use.owner)) && !found.has(use.owner));
  const tops = left.filter((component) => !isUsed(component)).map((component) => ({ component, below: reachable(linked, [component.id]) }));
  // Those that use each other in a circle are begun anywhere.
  const seen = new Set(tops.flatMap(({ below }) => [...below]));
  for (const component of left) {
    if (seen.has(component.id)) continue;
    const below = reachable(linked, [component.id]);
    for (const id of below) seen.add(id);
    tops.push({ component, below });
  }
  return tops
    .sort((a, b) => b.below.size - a.below.size)
    .map(({ component: { id, name, file } }) => ({ id, name, file, path: '', entry: id, chain: [], above: 'unknown', why: 'alone' }));
}

/** The component that a table's routes stand in by convention. */
function shellOf(linked: Linked, file: FilePath): Component | undefined {
  const beside = linked.shellOfTable(file);
  const facts = beside === undefined ? undefined : linked.files.get(beside);
  const local = facts?.exports.find((one) => one.exported === 'default' && one.from === undefined)?.local;
  const shown = facts?.components.find((one) => one.local === local);
  return shown && [...linked.components.values()].find((one) => one.facts === shown);
}

/**
 * The pages of a project: what is mounted, route by route; pages by file; routes of tables that
 * nothing mounts; and the components that none of these comes to, each from where nothing uses it.
 */
export function findPages(linked: Linked): Page[] {
  const seenTables = new Set<RouteTree>();
  const routes = linked.routes.filter(({ outlet }) => outlet === undefined);
  const inFile = (file: FilePath): RouteBody[] => linked.routes.filter((one) => one.file === file);
  const tables = routes.map((route) => objectTree(linked, route, inFile(route.file)));
  const placed = new Set(linked.placed.flatMap((one) => [one.body, ...one.chain]));
  const roots = [...linked.components.values()].filter(
    (component) => component.role === 'root' && component.fileRole === 'source' && !placed.has(component.id),
  );
  const pages = roots.filter((root) => showsSomething(linked, root)).flatMap((root) => pagesOfRoot(linked, root, tables, seenTables));
  for (const { file, path, above, body, chain } of linked.placed) {
    const name = nameOfPlaced(linked, file) ?? path;
    const steps = chain.map((step) => ({ path: '', body: step }));
    pages.push({ id: `${file}#${name}`, name, file, path, entry: body, chain: steps, above, why: 'file' });
  }
  tables.forEach((tree, index) => {
    const route = routes[index];
    if (!route || seenTables.has(tree) || pages.some((page) => page.chain.some((step) => step.body === route.body))) return;
    if (fileRole(route.file) !== 'source') return;
    const shell = shellOf(linked, route.file);
    const start: Start = { at: shell?.id ?? route.body, tables: [tree], isMounted: true };
    append(pages, pagesFrom(linked, start.at, start, shell ? 'known' : 'unknown', seenTables));
  });
  append(pages, looseMarkupRoutes(linked, pages));
  append(pages, loadedByOthers(linked, pages));
  const shown = pages.filter((page) => reachable(linked, startsOf(page)).size > 1 || isOwn(linked, page));
  const byId = new Map<string, Page>();
  for (const page of [...shown, ...alone(linked, shown)]) if (!byId.has(page.id)) byId.set(page.id, page);
  return [...byId.values()];
}

const isOwn = (linked: Linked, page: Page): boolean => linked.components.get(page.entry)?.role === 'component';

function nameOfPlaced(linked: Linked, file: FilePath): string | undefined {
  const facts = linked.files.get(file);
  const local = facts?.exports.find((one) => one.exported === 'default' && one.from === undefined)?.local;
  return (facts?.components.find((one) => one.local === local) ?? facts?.components[0])?.name;
}

/** What a name stands for that is no tag, since it is written small, and that some function made of a component: who asks for it mounts it. */
const isMadeForOthers = ({ name, wrappedBy }: AliasFact): boolean => wrappedBy.length > 0 && /^[a-z]/.test(name);

/** What modules offer to be loaded later, or made of a component, and nothing in the project comes to: whoever takes it mounts it. */
function loadedByOthers(linked: Linked, pages: readonly Page[]): Page[] {
  const seen = reachable(linked, pages.flatMap(startsOf));
  return [...linked.files.values()].flatMap(({ file, aliases, exports }): Page[] => {
    const offered = new Set(exports.filter((one) => one.from === undefined).map((one) => one.local));
    if (fileRole(file) !== 'source') return [];
    return aliases
      .filter((one) => (one.from !== undefined || isMadeForOthers(one)) && offered.has(one.name))
      .flatMap((one): Page[] => {
        const id = linked.componentNamed(file, one.name);
        const component = id === undefined || seen.has(id) ? undefined : linked.components.get(id);
        if (!component) return [];
        return pagesFrom(linked, component.id, { at: component.id, tables: [] }, 'unknown', new Set()).concat({
          id: `${component.id}@${one.name}`,
          name: component.name,
          file: component.file,
          path: '',
          entry: component.id,
          chain: [],
          above: 'unknown',
          why: 'mounted',
        });
      });
  });
}

/** Routes written as markup in components that nothing mounts. */
function looseMarkupRoutes(linked: Linked, pages: readonly Page[]): Page[] {
  const seen = reachable(linked, pages.flatMap(startsOf));
  const owners = [...linked.components.values()].filter(
    (one) => !seen.has(one.id) && one.fileRole === 'source' && (linked.usesBy.get(one.id) ?? []).some(isRouteUse),
  );
  const below = new Set(owners.flatMap((one) => [...reachable(linked, [one.id])].filter((id) => id !== one.id)));
  return owners
    .filter((one) => !below.has(one.id))
    .flatMap((one) => pagesFrom(linked, one.id, { at: one.id, tables: [] }, 'unknown', new Set()));
}
