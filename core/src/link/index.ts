import type { ComponentFacts, FileFacts, GivenByRouter, RootFact, RouteFact, TemplateUse } from '../model/facts';
import { type ComponentId, componentId, sharedId, type SharedId, useId } from '../model/ids';
import type { Component, ConfigFile, Context, Model, Named, Target, Use, UseCounts } from '../model/model';
import { type FilePath, locate } from '../model/span';
import { usesIn } from '../model/walk';
import { type PackageInfo, type ProjectConfig, readConfig } from './config';
import { makeContracts } from './contracts';
import type { PlacedPage, Project } from '../frameworks/conventions';
import { adapters } from '../frameworks/registry';
import { joinElements } from './elements';
import { joinIslands } from './islands';
import { joinSelectors } from './selectors';
import { makeTags, type Tags } from './tags';
import { laterName, type MadeComponent, makeNames, type Meant, type Names } from './names';
import { offeredBy } from './offered';
import { findPages, type PlacedBody } from './pages';
import { makeHolders } from './holders';
import { joinRoutes, type LooseRoute, type RouteBody } from './routes';
import { inferAliases, missingSpecifiers } from './aliases';
import { makeResolver, packageOf, type ResolveModule } from './resolve';
import { isWithin } from '../model/paths';
import { joinHanded } from './handed';
import { joinSubscriptions } from './subscriptions';
import { fileRole } from './roles';
import { makeTakes } from './takes';

export { isConfig } from './config';
export { fileRole } from './roles';
export { problemsOf } from './problems';

/** A model, with what is needed to link one changed file anew without looking at all others. */
export type Linked = Model & { readonly linkage: Linkage };
type Linkage = {
  readonly names: Names;
  readonly tags: Tags;
  readonly config: ProjectConfig;
  readonly useOfNode: WeakMap<TemplateUse, Use>;
  readonly routes: readonly RouteBody[];
  readonly placed: readonly PlacedBody[];
  readonly shellOfTable: (table: FilePath) => FilePath | undefined;
  /** The facts as they were read, where joining them has made others. */
  readonly read: ReadonlyMap<FilePath, FileFacts>;
};

/** Links the facts of all files to a model: finds out who is meant by each tag, name and key. */
export function link(read: ReadonlyMap<FilePath, FileFacts>, configs: readonly ConfigFile[]): Linked {
  const config = readConfig(configs);
  const ambient = new Set([...read.values()].flatMap((facts) => facts.ambient.map((one) => one.module)));
  const resolver = resolverOf(read, config, ambient);
  const meant = asMeantBy(read, config);
  const asMeant = makeNames(meant, resolver);
  const dependenciesOf: Project['dependenciesOf'] = (file) => packageOf(config, file)?.dependencies;
  const keepsTypeImports: Project['keepsTypeImports'] = (file) => config.keepsTypeImports.some((folder) => isWithin(folder, file));
  const crossed = joinIslands(meant, asMeant);
  const before = crossed === meant ? asMeant : makeNames(crossed, resolver);
  const found = joinSelectors(crossed, before);
  const elements = joinElements(found, found === crossed ? before : makeNames(found, resolver), {
    files: found,
    dependenciesOf,
    keepsTypeImports,
  });
  const joined = elements === crossed ? before : makeNames(elements, resolver);
  const handed = joinHanded(elements, joined);
  const files = joinSubscriptions(handed, joined);
  const names = files === elements ? joined : makeNames(files, resolver);
  const project: Project = { files, dependenciesOf, keepsTypeImports };
  const { components, routes, placed, holdersOf } = linkComponents(project, names, config);
  const shellOfTable = (table: FilePath): FilePath | undefined =>
    adapters.map((adapter) => adapter.link.shellOfTable?.(project, table)).find((one) => one !== undefined);
  const linkage: Linkage = { names, tags: makeTags(project, names), config, useOfNode: new WeakMap(), routes, placed, shellOfTable, read };
  const { usesBy, usesOf, counts } = linkUses(components, linkage);
  const named = namedBy(names);
  const pages = findPages({
    files,
    components,
    usesBy,
    usesOf,
    routes,
    placed,
    holdersOf,
    shellOfTable,
    named,
    componentNamed: componentNamedBy(names),
  });
  return {
    files,
    components,
    contexts: linkContexts(files, names),
    usesBy,
    usesOf,
    useOfNode: linkage.useOfNode,
    named,
    pages,
    holdersOf,
    counts,
    unreadConfigs: config.unread,
    linkage,
  };
}

/** The facts of a project as the conventions of its frameworks mean them. */
function asMeantBy(files: ReadonlyMap<FilePath, FileFacts>, config: ProjectConfig): ReadonlyMap<FilePath, FileFacts> {
  const majorOf = (file: FilePath, name: string): number | undefined => {
    const [first] = /\d+/.exec(packageOf(config, file)?.versions.get(name) ?? '') ?? [];
    return first === undefined ? undefined : Number(first);
  };
  return adapters.reduce((found, { link: conventions }) => conventions.asMeant?.(found, majorOf) ?? found, files);
}

/** The resolver of a project, with the aliases that its specifiers tell where no configuration does. */
function resolverOf(files: ReadonlyMap<FilePath, FileFacts>, config: ProjectConfig, ambient: ReadonlySet<string>): ResolveModule {
  const paths = new Set(files.keys());
  const declared = makeResolver(paths, config, ambient);
  const isMissing = (from: FilePath, specifier: string): boolean => {
    const resolved = declared(from, specifier);
    if (resolved.kind !== 'outside') return resolved.kind === 'missing';
    const name = specifier
      .split('/')
      .slice(0, specifier.startsWith('@') ? 2 : 1)
      .join('/');
    return isOwnSpecifier.test(specifier) && packageOf(config, from)?.dependencies.has(name) !== true;
  };
  const inferred = inferAliases(paths, missingSpecifiers(files, isMissing));
  return inferred.length === 0 ? declared : makeResolver(paths, config, ambient, inferred);
}

/** Neither built in, nor a file that is no code, nor made by a bundler. */
const isOwnSpecifier = /^[@~#\w][^:]*$/;

/**
 * Links again after edits. Where the edited files still import, export and declare the same, only
 * they are linked anew and the rest is taken over; otherwise all is linked. The result is the same.
 */
export function relink(before: Linked, files: ReadonlyMap<FilePath, FileFacts>, configs: readonly ConfigFile[]): Linked {
  // What is joined of several files is joined anew as a whole.
  if (before.linkage.read !== before.files) return link(files, configs);
  const edited = [...files.values()].filter((facts) => before.files.get(facts.file) !== facts);
  const known = edited.every((facts) => {
    const old = before.files.get(facts.file);
    return old !== undefined && sameSurface(old, facts);
  });
  if (!known || files.size !== before.files.size || edited.length > 20) return link(files, configs);
  const { names } = before.linkage;
  for (const facts of edited) names.replace(facts);
  const components = new Map(before.components);
  const contracts = makeContracts(files, names);
  const takes = makeTakes(names);
  const editedFiles = new Set(edited.map((facts) => facts.file));
  for (const [id, component] of before.components) {
    const own = editedFiles.has(component.file)
      ? files.get(component.file)?.components.find((one) => one.name === component.name)
      : undefined;
    const declaredThere = !own && declaresIn(component, editedFiles);
    if (!own && !declaredThere) continue;
    const facts = own ?? component.facts;
    components.set(id, {
      ...component,
      facts,
      contract: contracts.of(component.file, facts),
      consumes: takes.of(component.file, facts),
      provides: takes.provided(component.file, facts),
    });
  }
  const uses = relinkUses(before, components, editedFiles);
  const { usesBy, usesOf, counts } = uses;
  const sameHolders = [...components.values()].every((component) => {
    const old = before.components.get(component.id);
    return old === undefined || old === component || sameList(before.holdersOf(old), before.holdersOf(component));
  });
  const pages =
    uses.sameTargets && sameHolders
      ? before.pages
      : findPages({
          files,
          components,
          usesBy,
          usesOf,
          routes: before.linkage.routes,
          placed: before.linkage.placed,
          holdersOf: before.holdersOf,
          shellOfTable: before.linkage.shellOfTable,
          named: before.named,
          componentNamed: componentNamedBy(names),
        });
  return {
    files,
    components,
    contexts: linkContexts(files, names),
    usesBy,
    usesOf,
    useOfNode: before.useOfNode,
    named: before.named,
    pages,
    holdersOf: before.holdersOf,
    counts,
    unreadConfigs: before.unreadConfigs,
    linkage: { ...before.linkage, read: files },
  };
}

function sameList(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && a.every((one, index) => one === b[index]);
}

function componentNamedBy(names: Names): (file: FilePath, name: string) => ComponentId | undefined {
  return (file, name) => {
    const meant = names.meant(file, name);
    return meant.kind === 'component' ? componentId(meant.file, meant.facts.name) : undefined;
  };
}

function namedBy(names: Names): Model['named'] {
  return (file, name): Named => {
    const meant = names.meant(file, name);
    switch (meant.kind) {
      case 'component':
        return { kind: 'component', id: componentId(meant.file, meant.facts.name) };
      case 'shared':
        if (meant.fact.kind === 'context') return { kind: 'context', id: sharedId(meant.file, meant.fact.name) };
        return meant.fact.kind === 'hook' ? { kind: 'hook', file: meant.file, fact: meant.fact } : { ...meant.fact, file: meant.file };
      case 'namespace':
        return { kind: 'unknown', reason: `${name} is a whole module` };
      case 'outside':
        return { kind: 'outside', module: meant.module, name: meant.name };
      case 'unresolved':
        return { kind: 'unknown', reason: meant.reason };
    }
  };
}

function declaresIn(component: Component, files: ReadonlySet<FilePath>): boolean {
  for (const prop of component.contract.members.values()) if (files.has(prop.declared.file)) return true;
  return false;
}

/** Uses written in edited files anew, those of all other files as they are. */
function relinkUses(
  before: Linked,
  components: ReadonlyMap<ComponentId, Component>,
  edited: ReadonlySet<FilePath>,
): Pick<Model, 'usesBy' | 'usesOf' | 'counts'> & { sameTargets: boolean } {
  const written = [...components.values()].filter((component) => edited.has(component.file));
  const old = written.flatMap((component) => before.usesBy.get(component.id) ?? []);
  const fresh = linkUses(new Map(written.map((component) => [component.id, component])), before.linkage);
  const usesBy = new Map(before.usesBy);
  for (const component of written) {
    const uses = fresh.usesBy.get(component.id);
    if (uses) usesBy.set(component.id, uses);
    else usesBy.delete(component.id);
  }
  const usesOf = new Map(before.usesOf);
  const targets = new Set(
    [...old, ...[...fresh.usesBy.values()].flat()].flatMap((use) => (use.target.kind === 'component' ? [use.target.id] : [])),
  );
  for (const id of targets) {
    const kept = (before.usesOf.get(id) ?? []).filter((use) => !edited.has(use.file));
    const uses = [...kept, ...(fresh.usesOf.get(id) ?? [])];
    if (uses.length > 0) usesOf.set(id, uses);
    else usesOf.delete(id);
  }
  const counts = { ...before.counts };
  for (const use of old) count(counts, use.target, -1);
  for (const use of [...fresh.usesBy.values()].flat()) count(counts, use.target, 1);
  const shape = (uses: readonly Use[]): string =>
    JSON.stringify(uses.map((use) => [use.owner, use.target, /Route$/.test(use.node.tag) ? use.node.bindings : 0]));
  return { usesBy, usesOf, counts, sameTargets: shape(old) === shape([...fresh.usesBy.values()].flat()) };
}

/** Where things stand does not belong to what a file declares. */
function withoutPlaces(key: string, value: unknown): unknown {
  return /^(span|nameSpan|start|end|template|actions|raised|at)$/.test(key) ? undefined : value;
}

/** What other files can see of a file, as text. Files that mount something, hold routes, or make components of others are always linked as a whole. */
function surfaceOf(facts: FileFacts): string | undefined {
  if (
    facts.roots.length > 0 ||
    facts.routes.length > 0 ||
    facts.globals !== undefined ||
    facts.registersOthers ||
    facts.addsRoutes !== undefined ||
    facts.gives !== undefined ||
    facts.makers.length > 0
  )
    return undefined;
  if ([...facts.components, ...facts.aliases].some((one) => one.wrappedBy.length > 0)) return undefined;
  const components = facts.components.map((one) => ({ ...one, values: undefined }));
  return JSON.stringify([facts.imports, facts.exports, facts.types, facts.ambient, facts.aliases, facts.shared, components], withoutPlaces);
}

function sameSurface(a: FileFacts, b: FileFacts): boolean {
  const surface = surfaceOf(a);
  return surface !== undefined && surface === surfaceOf(b);
}

function linkContexts(files: ReadonlyMap<FilePath, FileFacts>, names: Names): Map<SharedId, Context> {
  const contexts = new Map<SharedId, Context>();
  for (const { file, fact, givenBy } of names.keys()) {
    const id = sharedId(file, fact.name);
    const given = { ...(givenBy ? { givenBy } : {}), ...(fact.fallback === 'given' ? { isOne: true as const } : {}) };
    contexts.set(id, { id, name: fact.name, declared: locate(file, fact.span), fallback: fact.fallback, ...given });
  }
  for (const facts of files.values()) {
    for (const shared of facts.shared) {
      if (shared.kind !== 'context') continue;
      const id = sharedId(facts.file, shared.name);
      contexts.set(id, {
        id,
        name: shared.name === 'default' ? (shared.said ?? shared.name) : shared.name,
        declared: locate(facts.file, shared.span),
        fallback: shared.fallback,
      });
    }
  }
  return contexts;
}

/** Whoever loads the file of an element has its tag, exported or not. */
const isDefined = ({ globals = [] }: FileFacts, { element, local }: ComponentFacts): boolean =>
  element !== undefined && globals.some(({ target }) => target === local);

/** Folders of packages that put something on the screen by themselves. */
function mountingPackages(files: ReadonlyMap<FilePath, FileFacts>, placed: readonly PlacedPage[], config: ProjectConfig): Set<string> {
  // A package that others import shows pages of its parts beside them; pages that only try its parts out are no application.
  const showing = placed.flatMap(({ file }) => {
    const info = packageOf(config, file);
    if (!info) return [''];
    const isDemo = /(?:^|\/)(?:demos?|docs|examples?|playground)\//.test(file.slice(info.directory.length));
    return info.exports.size === 0 && info.main === '' && !isDemo ? [info.directory] : [];
  });
  const mounting = [...files.values()].filter(
    (facts) =>
      fileRole(facts.file) === 'source' &&
      (facts.roots.some((root) => root.mounts) || facts.routes.length > 0) &&
      // What a package says that others may import is for others, though some of it puts itself on the screen.
      (packageOf(config, facts.file)?.exports.size ?? 0) === 0,
  );
  return new Set([...showing, ...mounting.map((facts) => packageOf(config, facts.file)?.directory ?? '')]);
}

type LinkedComponents = {
  readonly components: Map<ComponentId, Component>;
  readonly routes: RouteBody[];
  readonly placed: PlacedBody[];
  readonly holdersOf: Model['holdersOf'];
};

function linkComponents(project: Project, names: Names, config: ProjectConfig): LinkedComponents {
  const { files } = project;
  const contracts = makeContracts(files, names);
  const takes = makeTakes(names);
  const pages = adapters.flatMap((adapter) => adapter.link.placedPages?.(project) ?? []);
  const mounting = mountingPackages(files, pages, config);
  const paths = new Set(files.keys());
  const offering = new Map<PackageInfo, ReturnType<typeof offeredBy>>();
  const offeredOf = (info: PackageInfo): ReturnType<typeof offeredBy> => {
    if (!offering.has(info)) offering.set(info, offeredBy(info, files, paths, names));
    return offering.get(info);
  };
  const components = new Map<ComponentId, Component>();
  const routes: LooseRoute[] = [];
  const holding = new Map<FilePath, Map<string, ComponentId>>();
  const add = (file: FileFacts, facts: ComponentFacts, role: Component['role'], isPublic: boolean): ComponentId => {
    const id = componentId(file.file, facts.name);
    const contract = role === 'component' ? contracts.of(file.file, facts) : { members: new Map(), openness: 'open' as const };
    components.set(id, {
      id,
      name: facts.name,
      file: file.file,
      framework: file.framework,
      facts,
      role,
      fileRole: fileRole(file.file),
      isPublic,
      contract,
      consumes: takes.of(file.file, facts),
      provides: takes.provided(file.file, facts),
    });
    return id;
  };
  const isImported = importsOf(files);
  const shells = new Set(adapters.flatMap((adapter) => [...(adapter.link.shells?.(project) ?? [])]));
  for (const file of files.values()) {
    if (shells.has(file.file)) continue;
    const info = packageOf(config, file.file);
    const library = !mounting.has(info?.directory ?? '');
    const offered = library && info ? offeredOf(info) : undefined;
    const exported = new Set(file.exports.filter((one) => one.from === undefined).map((one) => one.local.split('.')[0]));
    // What is exported under another name, or wrapped, is offered as well.
    for (const one of file.aliases) if (exported.has(one.name)) exported.add(one.target.split('.')[0]);
    for (const facts of file.components)
      add(
        file,
        facts,
        'component',
        facts.isOffered === true ||
          (library &&
            (isDefined(file, facts) || (offered?.has(componentId(file.file, facts.name)) ?? exported.has(facts.local.split('.')[0])))),
      );
    file.roots.forEach((root, index) => {
      const id = add(file, standIn(`<root ${index + 1}>`, root), root.mounts ? 'root' : 'route', false);
      if (root.of === undefined) return;
      const known = holding.get(file.file) ?? new Map<string, ComponentId>();
      holding.set(file.file, known.set(root.of, id));
    });
    const addRoute = (fact: RouteFact, trail: string): LooseRoute => {
      const name = `<route ${trail}>`;
      const shown = routeTemplate(fact, !fact.given?.by || isImported(fact.given.by) ? fact.given : undefined);
      const body = add(file, standIn(name, { ...fact, ...shown, mounts: false }), 'route', false);
      const within = (facts: readonly RouteFact[] = [], mark = ''): LooseRoute[] =>
        facts.map((one, index) => addRoute(one, `${trail}.${mark}${index + 1}`));
      return { file: file.file, fact, body, children: within(fact.children), beside: within(fact.beside, 'beside ') };
    };
    file.routes.forEach((fact, index) => routes.push(addRoute(fact, String(index + 1))));
  }
  for (const { file, facts } of makeAll(files, names)) {
    const own = files.get(file);
    if (own) add(own, facts, 'component', false);
  }
  const placed = pages.flatMap((one): PlacedBody[] => {
    const own = files.get(one.file);
    if (!own) return [];
    const stand = (name: string, body: typeof one.body): ComponentFacts =>
      standIn(name, { ...body, span: { start: 0, end: 0 }, mounts: true });
    const chain = (one.chain ?? []).map((body, index) => add(own, stand(`<page ${one.path} ${index + 1}>`, body), 'route', false));
    const above = one.isAdded ? ('unknown' as const) : ('known' as const);
    return [{ file: one.file, path: one.path, above, body: add(own, stand(`<page ${one.path}>`, one.body), 'root', false), chain }];
  });
  return { components, routes: joinRoutes(routes, names), placed, holdersOf: makeHolders(holding, names) };
}

/** Asks for every component that was handed through functions, so that those which these make are known. */
function makeAll(files: ReadonlyMap<FilePath, FileFacts>, names: Names): readonly MadeComponent[] {
  for (const file of files.values()) {
    if (file.framework === 'script' && file.aliases.length === 0) continue;
    for (const one of file.components) if (one.wrappedBy.length > 0) names.meant(file.file, one.local);
    for (const one of file.aliases) if (one.wrappedBy.length > 0) names.meant(file.file, one.name);
  }
  return names.made();
}

/** Markup that no component owns, as a component of its own. */
function standIn(name: string, root: RootFact): ComponentFacts {
  return {
    values: root.values,
    actions: root.actions,
    name,
    local: name,
    span: root.span,
    nameSpan: root.span,
    form: 'file',
    members: [],
    events: [],
    slots: [],
    openness: 'open',
    through: [],
    template: root.template,
    clones: false,
    wrappedBy: [],
  };
}

/** Whether any module imports a name from a package; each is looked for once. */
function importsOf(files: ReadonlyMap<FilePath, FileFacts>): (asked: { readonly name: string; readonly from: string }) => boolean {
  const known = new Map<string, boolean>();
  return ({ name, from }) => {
    const key = `${from}#${name}`;
    const has =
      known.get(key) ?? [...files.values()].some(({ imports }) => imports.some((one) => one.from === from && one.imported === name));
    known.set(key, has);
    return has;
  };
}

/** A route that names its component shows it, with what the router gives to it; what else may be given is not known. */
function routeTemplate(fact: RouteFact, given: GivenByRouter | undefined): Pick<RootFact, 'template' | 'values'> {
  if (fact.component === undefined) return fact;
  const use: TemplateUse = {
    kind: 'use',
    tag: fact.component,
    span: fact.span,
    nameSpan: fact.span,
    bindings: given?.bindings ?? [],
    spreads: [...(given?.spreads ?? []), { span: fact.span, readings: [] }],
    children: [],
    key: { kind: 'none' },
    content: 'none',
  };
  return { template: [...fact.template, use], values: [...fact.values, ...(given?.values ?? [])] };
}

type LinkedUses = { readonly usesBy: Map<ComponentId, Use[]>; readonly usesOf: Map<ComponentId, Use[]>; readonly counts: UseCounts };

function linkUses(components: ReadonlyMap<ComponentId, Component>, { names, tags, useOfNode }: Linkage): LinkedUses {
  const usesBy = new Map<ComponentId, Use[]>();
  const usesOf = new Map<ComponentId, Use[]>();
  const counts = { resolved: 0, outside: 0, unresolved: 0 };
  for (const component of components.values()) {
    const uses = usesIn(component.facts.template).map((node, index): Use => ({
      id: useId(component.id, index),
      owner: component.id,
      file: component.file,
      node,
      target: targetOf(names, tags, component.file, node),
    }));
    if (uses.length === 0) continue;
    usesBy.set(component.id, uses);
    for (const use of uses) {
      useOfNode.set(use.node, use);
      count(counts, use.target, 1);
      if (use.target.kind !== 'component') continue;
      const known = usesOf.get(use.target.id);
      if (known) known.push(use);
      else usesOf.set(use.target.id, [use]);
    }
  }
  return { usesBy, usesOf, counts };
}

function count(counts: { -readonly [Key in keyof UseCounts]: number }, target: Target, by: 1 | -1): void {
  if (target.kind === 'unresolved') counts.unresolved += by;
  else if (target.kind === 'outside') counts.outside += by;
  else if (target.kind !== 'dynamic') counts.resolved += by;
}

function targetOf(names: Names, tags: Tags, file: FilePath, node: TemplateUse): Target {
  if (node.tag === '') return { kind: 'dynamic' };
  const [, specifier] = laterName.exec(node.tag) ?? [];
  if (specifier !== undefined)
    return names.resolveModule(file, specifier).kind === 'file'
      ? shownBy(names.meant(file, node.tag))
      : { kind: 'unresolved', reason: `${specifier} is not among the files` };
  const context = /^(.*)\.(Provider|Consumer)$/.exec(node.tag);
  if (context) {
    const meant = names.meant(file, context[1] ?? '');
    if (meant.kind === 'shared' && meant.fact.kind === 'context') {
      return { kind: context[2] === 'Provider' ? 'provider' : 'consumer', context: sharedId(meant.file, meant.fact.name) };
    }
  }
  const own: Meant = node.unregistered
    ? { kind: 'unresolved', reason: `${node.tag} is not registered`, undeclared: true }
    : names.meant(file, node.tag);
  const isUnknown =
    own.kind === 'unresolved' ||
    (node.tag.includes('.') &&
      ((own.kind === 'shared' && own.fact.kind === 'value') || (own.kind === 'outside' && madeByBuild.test(own.module))));
  const target = asTarget(isUnknown ? (tags(file, node.tag) ?? own) : own);
  return node.asValue && target.kind !== 'component' ? { kind: 'dynamic' } : target;
}

/** Modules that no file is and no package has: a build makes them of what the project configures. */
const madeByBuild = /^(@theme\/|virtual:|[~#])/;

/** A route's file may answer requests and show nothing. */
function shownBy(meant: Meant): Target {
  return meant.kind === 'unresolved' ? { kind: 'dynamic' } : asTarget(meant);
}

function asTarget(meant: Meant): Target {
  switch (meant.kind) {
    case 'component':
      return { kind: 'component', id: componentId(meant.file, meant.facts.name), wrapped: meant.wrapped };
    case 'shared':
      return meant.fact.kind === 'context'
        ? { kind: 'provider', context: sharedId(meant.file, meant.fact.name) }
        : { kind: 'opaque', file: meant.file, name: meant.fact.name };
    case 'namespace':
      return { kind: 'opaque', file: meant.file, name: '*' };
    case 'outside':
      return { kind: 'outside', module: meant.module, name: meant.name };
    case 'unresolved':
      return {
        kind: 'unresolved',
        reason: meant.reason,
        ...(meant.undeclared ? { undeclared: true } : {}),
        ...(meant.memberOf === undefined ? {} : { memberOf: meant.memberOf }),
      };
  }
}
