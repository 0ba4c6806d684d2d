import type * as t from '@babel/types';
import type { BodyFacts, RouteFact, TemplateNode } from '../../model/facts';
import type { ModuleScope } from './body';
import { lazily } from './declarations';
import { bare, calleeName, dottedName, isFunction, keyName, spanOf } from './syntax';

/** Reads markup that a route shows, where the framework writes markup in script. */
export type ReadShown = (module: ModuleScope, markup: t.Node) => BodyFacts & { readonly template: readonly TemplateNode[] };

const nothing: ReadShown = () => ({ values: [], actions: [], template: [] });

const routerCalls = /^(createBrowserRouter|createHashRouter|createMemoryRouter|useRoutes|createRouter)$/;

/** Route objects given to a router, or standing in a constant as a list. */
export function routeTable(module: ModuleScope, list: t.Node, table: string, shown: ReadShown = nothing): RouteFact[] {
  const node = bare(list);
  if (node.type !== 'ArrayExpression') return [];
  return node.elements.flatMap((one): RouteFact[] => {
    if (one?.type === 'ObjectExpression') return routeOf(module, one, table, shown);
    const call = one?.type === 'SpreadElement' ? bare(one.argument) : one;
    return call?.type === 'CallExpression' ? routeOfFile(module, call, table, shown) : [];
  });
}

/** A table of files: `route('path', 'file', […])`, `index('file')`, `layout('file', […])`, `...prefix('path', […])`. */
function routeOfFile(module: ModuleScope, call: t.CallExpression, table: string, shown: ReadShown): RouteFact[] {
  const name = dottedName(call.callee) ?? '';
  const origin = module.imported.get(name);
  if (!origin?.from.endsWith('/routes')) return [];
  const texts = call.arguments.flatMap((one) => (one.type === 'StringLiteral' ? [one.value] : []));
  const children = call.arguments.find((one) => bare(one).type === 'ArrayExpression');
  const hasPath = origin.imported === 'route' || origin.imported === 'prefix';
  const file = hasPath ? texts[1] : texts[0];
  if (!['route', 'index', 'layout', 'prefix'].includes(origin.imported)) return [];
  return [
    {
      path: hasPath ? (texts[0] ?? '') : '',
      span: spanOf(call),
      table,
      ...(file === undefined || origin.imported === 'prefix' ? {} : { component: `import:./${file.replace(/^\.\//, '')}#default` }),
      template: [],
      values: [],
      actions: [],
      children: children ? routeTable(module, children, table, shown) : [],
    },
  ];
}

/** The list of routes that a call of the router is given in place. */
export function routesOfCall(module: ModuleScope, call: t.CallExpression, table: string, shown: ReadShown = nothing): RouteFact[] {
  const name = calleeName(call) ?? '';
  const [given] = call.arguments;
  const options = given && bare(given);
  const list = options?.type === 'ObjectExpression' ? memberNamed(options, 'routes') : given;
  return routerCalls.test(name) && list ? routeTable(module, list, table, shown) : [];
}

function memberNamed(object: t.ObjectExpression, name: string): t.Node | undefined {
  return object.properties.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === name)?.value;
}

function routeOf(module: ModuleScope, object: t.ObjectExpression, table: string, shown: ReadShown): RouteFact[] {
  const fields = new Map(
    object.properties.flatMap((property): [string, t.Node][] =>
      property.type === 'ObjectProperty' ? [[keyName(property) ?? '', property.value]] : [],
    ),
  );
  const shows = ['element', 'Component', 'component', 'lazy', 'children'].some((name) => fields.has(name));
  if (!shows || !(fields.has('path') || fields.has('index') || fields.has('children'))) return [];
  const path = fields.get('path');
  const component = fields.get('Component') ?? fields.get('component');
  const element = fields.get('element');
  const children = fields.get('children');
  const loaded = [fields.get('lazy'), component].map((one) => (isFunction(one) ? lazily(one) : undefined)).find(Boolean);
  const named = component && dottedName(component);
  if (!element && !named && !loaded && !(children && bare(children).type === 'ArrayExpression')) return [];
  return [
    {
      path: path?.type === 'StringLiteral' ? path.value : '',
      span: spanOf(object),
      table,
      ...(named ? { component: named } : loaded ? { component: `import:${loaded.from}#${loaded.exported}` } : {}),
      ...(element ? shown(module, element) : nothing(module, object)),
      children: children ? routeTable(module, children, table, shown) : [],
    },
  ];
}
