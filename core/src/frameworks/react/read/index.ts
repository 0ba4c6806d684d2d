import type * as t from '@babel/types';
import type { AliasFact, ComponentFacts, FileFacts, MakerFact, NameFact, RootFact, RouteFact, SharedFact } from '../../../model/facts';
import { contains } from '../../../model/span';
import { platformNames, trulyUndeclared } from '../../../read/markup/undeclared';
import { addedRoutesOf } from '../../../read/script/added-routes';
import { mixablesOf, unboundNames } from '../../../read/script/unbound';
import type { Writable } from '../../../model/writable';
import { eventClassesOf } from '../../../read/script/event-classes';
import { voidsOf } from '../../../read/script/called';
import { changersOf } from '../../../read/script/param-changes';
import { type ModuleScope } from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';
import { nameLists } from '../../../read/script/name-lists';
import { mayLast, readModuleBody } from '../../../read/script/module-body';
import { readModule } from '../../../read/script/modules';
import { parseScript } from '../../../read/script/parse';
import { bare, calleeName, type FunctionNode, isFunction } from '../../../read/script/syntax';
import { ambientOf, kept, moduleScope, takenApart, sharedValue } from '../../../read/script/module-scope';
import { readTypeDeclaration } from '../../../read/script/types';
import { readClassComponent } from './classes';
import { isClassComponent, isComponent, readFunctionComponent, readHook } from './components';
import { aliasOf, type Declared, declarationsOf } from '../../../read/script/declarations';
import { type Connected, connectedIn, isConnecting } from './connected';
import { readMaker } from './makers';
import { markupFinder } from './markup';
import { readPropTypes, withPropTypes } from './prop-types';
import { routesOf } from '../../../read/script/routes';
import { looseMarkup, rootOf, shownByRoute } from './roots';
import { mayHoldCalls, type Survey, survey } from '../../../read/script/survey';
import { append } from '../../../model/append';

/** Reads a JavaScript or TypeScript module, with the React components in it. Never throws. */
export function readReact(file: string, text: string): FileFacts {
  const { program, problems } = parseScript(file, text);
  const { imports, exports } = readModule(program.body);
  const declared = declarationsOf(program.body);
  let surveyed: Survey | undefined;
  const surveyOnce = (): Survey => (surveyed ??= survey(program));
  const module = moduleScope(program, text, declared, imports, markupFinder(text), (name) => surveyOnce().locals.has(name));
  const calls = mayHoldCalls(text) ? surveyOnce().calls : [];
  const routes = routesOf(module, program, shownByRoute);
  const connected = connectedIn(program, text);
  const sorted = sortDeclared(module, declared, file, routes, connected);
  const propTypes = readPropTypes(program.body, text);
  const roots = calls.flatMap((call) => rootOf(module, call) ?? []);
  const framework = sorted.components.length > 0 || module.holdsMarkup(program) ? 'react' : 'script';
  const runs = program.directives.map((one) => one.value.value).find((mark) => mark === 'use client' || mark === 'use server');
  const facts: Writable<FileFacts> = {
    file,
    framework,
    problems,
    imports,
    exports,
    types: kept(program.body, readTypeDeclaration),
    components: withUndeclared(program, module, problems.length > 0, [
      ...(propTypes.size === 0 ? sorted.components : sorted.components.map((one) => withPropTypes(one, propTypes.get(one.local)))),
    ]),
    shared: [...sorted.shared, ...program.body.flatMap((statement) => takenApart(statement, module))],
    roots: [...roots, ...sorted.loose],
    routes,
    ambient: kept(program.body, ambientOf),
    aliases: sorted.aliases,
    makers: sorted.makers,
    ...changersOf(module),
    ...voidsOf(module),
    ...mixablesOf(declared),
    ...eventClassesOf(module, declared),
    ...addedRoutesOf(calls, program),
  };
  const body = mayLast(text)
    ? readModuleBody(module, program.body, (name) => sorted.apart.has(name) || isConnecting(connected, name), channelDialect, file)
    : undefined;
  if (body) facts.module = body;
  const lists = nameLists(declared);
  if (lists.length > 0) facts.lists = lists;
  if (runs) facts.runs = runs === 'use client' ? 'client' : 'server';
  return facts;
}

/** Components with the names that their markup reads and nothing declares; those of files that cannot be read in full as they are. */
function withUndeclared(
  program: t.Program,
  module: ModuleScope,
  isBroken: boolean,
  components: readonly ComponentFacts[],
): readonly ComponentFacts[] {
  if (isBroken || components.length === 0) return components;
  const found: NameFact[] = [];
  unboundNames(program.body, (one, inMarkup) => {
    // Constants in capitals may be put in when the application is built.
    if (inMarkup && !module.names.has(one.name) && !/^[A-Z\d_]+$/.test(one.name)) found.push(one);
  });
  if (found.length === 0) return components;
  return components.map((component) => {
    const own = found.filter(({ span }) => contains(component.span, span));
    const undeclared = [...(component.undeclared ?? []), ...trulyUndeclared(own, platformNames, () => false)];
    return undeclared.length > 0 ? { ...component, undeclared } : component;
  });
}

type Sorted = {
  readonly components: ComponentFacts[];
  readonly shared: SharedFact[];
  readonly aliases: AliasFact[];
  readonly makers: MakerFact[];
  readonly loose: RootFact[];
  /** What may hold markup without being a component. */
  readonly holding: Declared[];
  /** Markup in them is theirs. */
  readonly routes: readonly RouteFact[];
  /** Names of the components, hooks and contexts, which are read on their own. */
  readonly apart: Set<string>;
};

/** Puts each declaration where it belongs. */
function sortDeclared(
  module: ModuleScope,
  declared: readonly Declared[],
  file: string,
  routes: readonly RouteFact[],
  connected: ReadonlyMap<string, Connected>,
): Sorted {
  const sorted: Sorted = { components: [], shared: [], aliases: [], makers: [], loose: [], holding: [], routes, apart: new Set() };
  for (const one of declared) {
    const { node } = one;
    const isApart = isComponent(module, one);
    const isHook = !isApart && isFunction(node) && /^use[A-Z]/.test(one.name);
    if (isApart || isHook || (node.type === 'CallExpression' && calleeName(node) === 'createContext')) sorted.apart.add(one.name);
    if (isApart) {
      const facts = readComponent(module, one, file, connected.get(one.name));
      const twins = sorted.components.filter((known) => known.name === facts.name).length;
      sorted.components.push(twins > 0 ? { ...facts, name: `${facts.name}~${twins + 1}` } : facts);
    } else if (isHook && isFunction(node)) {
      sorted.shared.push(readHook(module, one, node));
      sorted.holding.push(one);
    } else {
      sortValue(module, one, sorted);
      const maker = readMaker(module, one, (inner, made) =>
        isComponent(inner, { ...made, name: 'default' }) ? readComponent(inner, made, file) : undefined,
      );
      if (maker) sorted.makers.push(maker);
    }
  }
  const held = new Set(sorted.holding.filter((one) => module.holdsMarkup(one.whole)).map((one) => one.name));
  for (const one of sorted.holding) {
    if (module.inPlace.has(one.name)) continue;
    const loose = looseMarkup(module, one, held);
    if (loose) sorted.loose.push(loose);
  }
  return sorted;
}

function readComponent(module: ModuleScope, one: Declared, file: string, connected?: Connected): ComponentFacts {
  return isClassComponent(one.node)
    ? readClassComponent(module, one, one.node, file, connected)
    : readFunctionComponent(module, one, one.node as FunctionNode, file, connected);
}

function sortValue(module: ModuleScope, one: Declared, sorted: Sorted): void {
  const { node } = one;
  const call = node.type === 'CallExpression' ? node : undefined;
  if (call && calleeName(call) === 'createContext') {
    sorted.shared.push({ kind: 'context', name: one.name, span: one.nameSpan, fallback: fallbackOf(call) });
    return;
  }
  append(sorted.aliases, aliasOf(one));
  sorted.shared.push(sharedValue(module, one));
  const isTable = sorted.routes.some(({ span }) => contains(one.span, span));
  if (!isTable && !(call && calleeName(call) === 'render')) sorted.holding.push(one);
}

function fallbackOf(call: t.CallExpression): 'none' | 'given' {
  const [first] = call.arguments;
  const given = first && bare(first);
  if (!given || given.type === 'NullLiteral' || (given.type === 'Identifier' && given.name === 'undefined')) return 'none';
  return 'given';
}
