import { traitsOf } from '../../frameworks/registry';
import type {
  ActionFact,
  CallFact,
  ComponentFacts,
  FileFacts,
  NameFact,
  ProvisionFact,
  RaiseFact,
  RootFact,
  RouteFact,
  TemplateNode,
  TemplateUse,
  UntakenFact,
} from '../../model/facts';
import { memberKeyOf } from '../../model/given';
import type { MemberKey } from '../../model/member';
import { noFacts } from '../../model/no-facts';
import type { FilePath } from '../../model/span';
import { makeWhole } from '../elements';
import { foreignName, settled } from '../elements/inherit';
import { laterName, type Names } from '../names';
import { makeProvided, providedAround } from './provisions';
import { makeReaches, type Reach, type Reaches, type Selected } from './reach';
import { withServices } from './services';
import { type Along, bringing, withSelected } from './uses';
import { append } from '../../model/append';
import { ownValue } from '../../model/own-value';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** Directives come along with directives so far. */
const deepest = 6;

const bySelectors = (facts: FileFacts): boolean =>
  traitsOf(facts).selectors === true && (facts.components.length > 0 || facts.roots.length > 0 || facts.module !== undefined);

/**
 * The facts of a project in which markup finds components by selectors: its elements are uses of what is meant by them,
 * among all that is in reach of each template; what is provided stands around what it is provided to; what is injected
 * is the class that it is an instance of. Facts of all other files are as they were.
 */
export function joinSelectors(files: Files, names: Names): Files {
  if (![...files.values()].some(bySelectors)) return files;
  const joined = makeWhole(files, names);
  const whole = (file: FilePath, facts: ComponentFacts): ComponentFacts => (facts.bases ? settled(joined(file, facts)) : facts);
  const reaches = makeReaches(files, names, whole);
  const provided = makeProvided(files, names, reaches, askedOffPages(files));
  const asked = askedKeys(files);
  const chosen = attributesChosen(files);

  const selectedNamed = (file: FilePath, name: string): Selected | undefined => {
    const meant = names.meant(file, name);
    return meant.kind === 'component' ? reaches.all.find(({ read }) => read === meant.facts) : undefined;
  };
  const along = ({ file, facts }: Selected, depth = 0): Along[] =>
    (facts.selected?.along ?? []).flatMap(({ name, inputs, outputs }): Along[] => {
      const selected = selectedNamed(file, name);
      return selected && depth < deepest ? [{ selected, inputs, outputs }, ...along(selected, depth + 1)] : [];
    });

  function componentOf(file: FilePath, read: ComponentFacts): ComponentFacts {
    const facts = read.bases ? withRaises(whole(file, read)) : read;
    const reach = reaches.of(file, read);
    const untaken: UntakenFact[] = [];
    const template = withSelected(facts.template, {
      reach,
      all: reaches.all,
      along: (one) => along(one),
      taken: chosen,
      lose: (one) => untaken.push(one),
    });
    append(untaken, untakenDirectives(facts, reach));
    const known = { ...facts, template };
    const { names: named = {}, opened = [] } = facts.ofClass ?? {};
    const inherited = read.bases ? opened.flatMap((name) => ownValue(named, name) ?? []) : [];
    const withInstances = withServices(files, names, file, known, inherited);
    const inner = facts.viewProvisions
      ? providedAround(file, provided(file, facts.viewProvisions), withInstances.template, { toSelf: true, ofMarkup: true })
      : withInstances.template;
    const own = asked.has(facts.local) ? [{ kind: 'key' as const, key: facts.local, span: facts.nameSpan }] : [];
    const all = [...(facts.provisions ?? []), ...own];
    const outer = all.length > 0 ? providedAround(file, provided(file, all), inner, { toSelf: true }) : inner;
    const missing = reach.isOpen ? [] : (facts.pipesUsed ?? []).filter(({ name }) => !reach.pipes.has(name));
    const undeclared: readonly NameFact[] = [...(facts.undeclared ?? []), ...missing];
    return {
      ...withInstances,
      template: outer,
      ...(untaken.length > 0 ? { untaken } : {}),
      ...(undeclared.length > 0 ? { undeclared } : {}),
    };
  }

  function rootOf(file: FilePath, root: RootFact): RootFact {
    const group = root.group === undefined ? undefined : reaches.groupNamed(file, root.group);
    const shown: readonly TemplateNode[] = group
      ? group.fact.starts.map((name) => useOf(foreignName(group.file, name), root))
      : root.template;
    const around = [
      ...(root.provisions ?? []),
      ...(root.group === undefined ? [] : [{ kind: 'list' as const, name: root.group, span: root.span }]),
    ];
    return { ...root, template: around.length > 0 ? providedAround(file, provided(file, around), shown, { isAround: true }) : shown };
  }

  function routeOf(file: FilePath, route: RouteFact): RouteFact {
    const children = route.children.map((one) => routeOf(file, one));
    const loaded = (route.tables ?? []).flatMap((table) => loadedGroup(names, reaches, file, table, route));
    if (!route.provisions && loaded.length === 0) return { ...route, children };
    const { component, ...rest } = route;
    const inside = component === undefined ? route.template : [...route.template, useOf(component, route, true)];
    return {
      ...rest,
      children,
      template: providedAround(file, provided(file, [...(route.provisions ?? []), ...loaded]), inside, { isAround: true }),
    };
  }

  // A file of markup that a class names as its template is no page by itself.
  const templates = new Set(
    [...files.values()].flatMap(({ components }) => components.flatMap((one) => (one.selected ? (one.files ?? []) : []))),
  );
  return new Map(
    [...files].map(([file, facts]): [FilePath, FileFacts] => {
      if (templates.has(file)) return [file, noFacts(file)];
      if (!traitsOf(facts).selectors) return [file, facts];
      return [
        file,
        {
          ...facts,
          components: facts.components.map((one) => (one.selected ? componentOf(file, one) : one)),
          roots: facts.roots.map((one) => rootOf(file, one)),
          routes: facts.routes.map((one) => routeOf(file, one)),
          ...(facts.module ? { module: withServices(files, names, file, facts.module) } : {}),
        },
      ];
    }),
  );
}

/** Directives of the framework that a template uses and that nothing brings into its reach. */
function untakenDirectives({ directivesUsed = [] }: ComponentFacts, reach: Reach): UntakenFact[] {
  if (reach.isOpen) return [];
  return directivesUsed
    .filter(({ name }) => !reach.taken.has(name))
    .map((one) => ({
      ...one,
      by: bringing(one.name) ?? '',
      ...(one.name.includes('-') ? { tag: one.name } : { tag: '', isStructural: true }),
    }));
}

/** The group of components that a table of routes loads, as what provides for all that it shows; empty where it loads none. */
function loadedGroup(names: Names, reaches: Reaches, file: FilePath, table: string, { span }: RouteFact): ProvisionFact[] {
  const [, specifier, exported = 'default'] = laterName.exec(table) ?? [];
  const resolved = specifier === undefined ? undefined : names.resolveModule(file, specifier);
  const meant = resolved?.kind === 'file' ? names.exported(resolved.file, exported) : undefined;
  const group = meant?.kind === 'shared' ? reaches.groupNamed(meant.file, meant.fact.name) : undefined;
  return group ? [{ kind: 'list', name: foreignName(group.file, group.fact.name), span }] : [];
}

const useOf = (tag: string, { span }: { readonly span: TemplateUse['span'] }, isFree = false): TemplateUse => ({
  kind: 'use',
  tag,
  span,
  nameSpan: span,
  bindings: [],
  spreads: isFree ? [{ span, readings: [] }] : [],
  children: [],
  key: { kind: 'none' },
  content: 'none',
});

/** What is raised by an output of a class that is extended: only now it is known to be one. */
function withRaises(facts: ComponentFacts): ComponentFacts {
  const events = new Map(facts.members.flatMap(({ key, kind }): [MemberKey, MemberKey][] => (kind === 'callback' ? [[key, key]] : [])));
  const memberAt = (value: number): MemberKey | undefined => {
    const held = facts.values[value];
    return held?.kind === 'prop' ? events.get(memberKeyOf(held)) : undefined;
  };
  const isRaising = ({ value, path }: CallFact): boolean =>
    path.length === 1 && /^(?:emit|next)$/.test(path[0] ?? '') && memberAt(value) !== undefined;
  if (!facts.actions.some(({ invokes }) => invokes.some(isRaising))) return facts;
  const actions = facts.actions.map((action): ActionFact => {
    const raised = action.invokes.filter(isRaising);
    if (raised.length === 0) return action;
    const raises = raised.flatMap(({ value, span, args }): RaiseFact[] => {
      const member = memberAt(value);
      return member === undefined ? [] : [{ member, value, optional: true, span, args }];
    });
    return { ...action, invokes: action.invokes.filter((one) => !isRaising(one)), raises: [...action.raises, ...raises] };
  });
  const all = actions.flatMap(({ raises }) => raises);
  return {
    ...facts,
    actions,
    events: facts.events.map((event) => ({ ...event, raised: all.filter(({ member }) => member === event.key) })),
  };
}

/** Attributes by which selectors choose elements, for what stands for them or for the slot that shows them. */
function attributesChosen(files: Files): ReadonlySet<string> {
  const selectors = [...files.values()].flatMap(({ components }) =>
    components.flatMap(({ selected, slots }) => [selected?.selector ?? '', ...slots.map(({ key }) => key)]),
  );
  return new Set(selectors.flatMap((one) => Array.from(one.matchAll(/\[([\w-]+)/g), ([, name = '']) => name)));
}

/** Names that are asked for outside of components: by services, guards, converters and groups, and to make what is provided. */
function askedOffPages(files: Files): ReadonlySet<string> {
  const found = new Set<string>();
  const note = (provisions: readonly ProvisionFact[] | undefined): void => {
    for (const one of provisions ?? [])
      if (one.kind === 'key') for (const name of [...(one.asks ?? []), ...(one.by === undefined ? [] : [one.by])]) found.add(name);
  };
  const noteRoutes = (routes: readonly RouteFact[]): void => {
    for (const { provisions, children } of routes) {
      note(provisions);
      noteRoutes(children);
    }
  };
  for (const { components, groups = [], lists = [], roots, routes, asked = [] } of files.values()) {
    for (const one of [...groups, ...lists]) note(one.provides);
    for (const { provisions, viewProvisions } of components) note([...(provisions ?? []), ...(viewProvisions ?? [])]);
    for (const { provisions } of roots) note(provisions);
    noteRoutes(routes);
    for (const name of asked) found.add(name);
  }
  return found;
}

/** The names that anything asks for: a component or a directive gives itself to those that ask for it. */
function askedKeys(files: Files): ReadonlySet<string> {
  const found = new Set<string>();
  for (const { components, module } of files.values())
    for (const { values } of [...components, ...(module ? [module] : [])])
      for (const { kind, source } of values) if (kind === 'context' && source?.startsWith('key:')) found.add(source.slice('key:'.length));
  return found;
}
