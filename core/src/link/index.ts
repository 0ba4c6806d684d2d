import type { ComponentFacts, FileFacts, RootFact, RouteFact, TemplateNode, TemplateUse } from '../model/facts';
import { type ComponentId, componentId, sharedId, type SharedId, useId } from '../model/ids';
import type { Component, ConfigFile, Context, Model, Target, Use, UseCounts } from '../model/model';
import { type FilePath, locate } from '../model/span';
import { usesIn } from '../model/walk';
import { type ProjectConfig, readConfig } from './config';
import { makeContracts } from './contracts';
import { makeNames, type Meant, type Names } from './names';
import { findPages } from './pages';
import { makeResolver, packageOf } from './resolve';
import { fileRole } from './roles';
import { makeTakes } from './takes';

export { isConfig } from './config';
export { fileRole } from './roles';

/** Links the facts of all files to a model: finds out who is meant by each tag, name and key. */
export function link(files: ReadonlyMap<FilePath, FileFacts>, configs: readonly ConfigFile[]): Model {
  const config = readConfig(configs);
  const ambient = new Set([...files.values()].flatMap((facts) => facts.ambient.map((one) => one.module)));
  const names = makeNames(files, makeResolver(new Set(files.keys()), config, ambient));
  const { components, routes } = linkComponents(files, names, config);
  const { usesBy, usesOf, useOfNode, counts } = linkUses(components, names);
  const pages = findPages({ components, usesBy, usesOf, routes, config });
  return { files, components, contexts: linkContexts(files), usesBy, usesOf, useOfNode, pages, counts };
}

function linkContexts(files: ReadonlyMap<FilePath, FileFacts>): Map<SharedId, Context> {
  const contexts = new Map<SharedId, Context>();
  for (const facts of files.values()) {
    for (const shared of facts.shared) {
      if (shared.kind !== 'context') continue;
      const id = sharedId(facts.file, shared.name);
      contexts.set(id, { id, name: shared.name, declared: locate(facts.file, shared.span), fallback: shared.fallback });
    }
  }
  return contexts;
}

type RouteBody = { readonly file: FilePath; readonly fact: RouteFact; readonly body: ComponentId; readonly children: readonly RouteBody[] };

/** Folders of packages that put something on the screen by themselves. */
function mountingPackages(files: ReadonlyMap<FilePath, FileFacts>, config: ProjectConfig): Set<string> {
  const mounting = [...files.values()].filter(
    (facts) => fileRole(facts.file) === 'source' && (facts.roots.some((root) => root.mounts) || facts.routes.length > 0),
  );
  return new Set(mounting.map((facts) => packageOf(config, facts.file)?.directory ?? ''));
}

function linkComponents(
  files: ReadonlyMap<FilePath, FileFacts>,
  names: Names,
  config: ProjectConfig,
): { components: Map<ComponentId, Component>; routes: RouteBody[] } {
  const contracts = makeContracts(names);
  const takes = makeTakes(names);
  const mounting = mountingPackages(files, config);
  const components = new Map<ComponentId, Component>();
  const routes: RouteBody[] = [];
  const add = (file: FileFacts, facts: ComponentFacts, role: Component['role'], isPublic: boolean): ComponentId => {
    const id = componentId(file.file, facts.name);
    const contract = role === 'component' ? contracts.of(file.file, facts) : { props: new Map(), openness: 'open' as const };
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
      takes: takes.of(file.file, facts),
    });
    return id;
  };
  for (const file of files.values()) {
    const library = !mounting.has(packageOf(config, file.file)?.directory ?? '');
    const exported = new Set(file.exports.filter((one) => one.from === undefined).map((one) => one.local.split('.')[0]));
    for (const facts of file.components) add(file, facts, 'component', library && exported.has(facts.local.split('.')[0]));
    file.roots.forEach((root, index) => add(file, standIn(`<root ${index + 1}>`, root), root.mounts ? 'root' : 'route', false));
    const addRoute = (fact: RouteFact, trail: string): RouteBody => {
      const name = `<route ${trail}>`;
      const body = add(file, standIn(name, { ...fact, mounts: false, template: routeTemplate(fact) }), 'route', false);
      return { file: file.file, fact, body, children: fact.children.map((child, index) => addRoute(child, `${trail}.${index + 1}`)) };
    };
    file.routes.forEach((fact, index) => routes.push(addRoute(fact, String(index + 1))));
  }
  return { components, routes };
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
    props: [],
    events: [],
    slots: [],
    openness: 'open',
    through: [],
    template: root.template,
    clones: false,
    provides: [],
    wrappedBy: [],
  };
}

/** A route that names its component shows it, without props. */
function routeTemplate(fact: RouteFact): readonly TemplateNode[] {
  if (fact.component === undefined) return fact.template;
  const use: TemplateUse = {
    kind: 'use',
    tag: fact.component,
    span: fact.span,
    nameSpan: fact.span,
    bindings: [],
    spreads: [{ span: fact.span, readings: [] }],
    children: [],
    key: { kind: 'none' },
    content: 'none',
  };
  return [...fact.template, use];
}

type LinkedUses = Pick<Model, 'usesBy' | 'usesOf' | 'useOfNode' | 'counts'>;

function linkUses(components: ReadonlyMap<ComponentId, Component>, names: Names): LinkedUses {
  const usesBy = new Map<ComponentId, Use[]>();
  const usesOf = new Map<ComponentId, Use[]>();
  const useOfNode = new Map<TemplateUse, Use>();
  const counts = { resolved: 0, outside: 0, unresolved: 0 };
  for (const component of components.values()) {
    const uses = usesIn(component.facts.template).map((node, index): Use => ({
      id: useId(component.id, index),
      owner: component.id,
      file: component.file,
      node,
      target: targetOf(names, component.file, node),
    }));
    if (uses.length === 0) continue;
    usesBy.set(component.id, uses);
    for (const use of uses) {
      useOfNode.set(use.node, use);
      count(counts, use.target);
      if (use.target.kind !== 'component') continue;
      const known = usesOf.get(use.target.id);
      if (known) known.push(use);
      else usesOf.set(use.target.id, [use]);
    }
  }
  return { usesBy, usesOf, useOfNode, counts };
}

function count(counts: { -readonly [Key in keyof UseCounts]: number }, target: Target): void {
  if (target.kind === 'unresolved') counts.unresolved++;
  else if (target.kind === 'outside') counts.outside++;
  else if (target.kind !== 'dynamic') counts.resolved++;
}

function targetOf(names: Names, file: FilePath, node: TemplateUse): Target {
  if (node.tag === '') return { kind: 'dynamic' };
  const lazy = /^import:(.*)#(.*)$/.exec(node.tag);
  if (lazy) {
    const resolved = names.resolveModule(file, lazy[1] ?? '');
    return resolved.kind === 'file'
      ? asTarget(names.exported(resolved.file, lazy[2] ?? 'default'))
      : { kind: 'unresolved', reason: `${lazy[1]} is not among the files` };
  }
  const context = /^(.*)\.(Provider|Consumer)$/.exec(node.tag);
  if (context) {
    const meant = names.meant(file, context[1] ?? '');
    if (meant.kind === 'shared' && meant.fact.kind === 'context') {
      return { kind: context[2] === 'Provider' ? 'provider' : 'consumer', context: sharedId(meant.file, meant.fact.name) };
    }
  }
  const target = asTarget(names.meant(file, node.tag));
  if (node.asValue && target.kind !== 'component') return { kind: 'dynamic' };
  if (target.kind === 'unresolved' && node.tag.startsWith('React.'))
    return { kind: 'outside', module: 'react', name: node.tag.slice('React.'.length) };
  return target;
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
      return { kind: 'unresolved', reason: meant.reason };
  }
}
