import type * as t from '@babel/types';
import type { RootFact, RouteFact } from '../../model/facts';
import { finishBody, type ModuleScope, newBody } from '../script/body';
import { innerScope } from '../script/scope';
import { bare, calleeName, dottedName, isFunction, keyName, spanOf } from '../script/syntax';
import { type Declared, lazily } from './declarations';
import { markupOf } from './template';

const routerCalls = /^(createBrowserRouter|createHashRouter|createMemoryRouter|useRoutes)$/;

/** `createRoot(…).render(<App/>)`, `render(<App/>, element)`, `hydrateRoot(element, <App/>)`. */
export function rootOf(module: ModuleScope, call: t.CallExpression): RootFact | undefined {
  const name =
    calleeName(call) ??
    (call.callee.type === 'MemberExpression' && call.callee.property.type === 'Identifier' ? call.callee.property.name : '');
  if (!/^(render|hydrate|hydrateRoot)$/.test(name)) return undefined;
  const given = call.arguments[name === 'hydrateRoot' ? 1 : 0];
  if (!given || given.type === 'SpreadElement') return undefined;
  const body = newBody(module);
  const template = markupOf(body, given, innerScope());
  return template.length === 0 ? undefined : { span: spanOf(call), mounts: true, template, ...finishBody(body) };
}

/** Markup in a module's constants: used, though by no component of this module. */
export function looseMarkup(module: ModuleScope, declared: Declared): RootFact | undefined {
  const body = newBody(module);
  const template = markupOf(body, declared.whole, innerScope());
  return template.length === 0 ? undefined : { span: declared.span, mounts: false, template, ...finishBody(body) };
}

/** Route objects given to a router, or standing in a constant as a list. */
export function routeTable(module: ModuleScope, list: t.Node, table: string): RouteFact[] {
  const node = bare(list);
  if (node.type !== 'ArrayExpression') return [];
  return node.elements.flatMap((one): RouteFact[] => {
    if (one?.type === 'ObjectExpression') return routeOf(module, one, table);
    const call = one?.type === 'SpreadElement' ? bare(one.argument) : one;
    return call?.type === 'CallExpression' ? routeOfFile(module, call, table) : [];
  });
}

/** A table of files: `route('path', 'file', […])`, `index('file')`, `layout('file', […])`, `...prefix('path', […])`. */
function routeOfFile(module: ModuleScope, call: t.CallExpression, table: string): RouteFact[] {
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
      children: children ? routeTable(module, children, table) : [],
    },
  ];
}

/** The list of routes that a call of the router is given in place. */
export function routesOfCall(module: ModuleScope, call: t.CallExpression, table: string): RouteFact[] {
  const name = calleeName(call) ?? '';
  const [list] = call.arguments;
  return routerCalls.test(name) && list ? routeTable(module, list, table) : [];
}

function routeOf(module: ModuleScope, object: t.ObjectExpression, table: string): RouteFact[] {
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
  const body = newBody(module);
  const template = element ? markupOf(body, element, innerScope()) : [];
  return [
    {
      path: path?.type === 'StringLiteral' ? path.value : '',
      span: spanOf(object),
      table,
      ...(named ? { component: named } : loaded ? { component: `import:${loaded.from}#${loaded.exported}` } : {}),
      template,
      ...finishBody(body),
      children: children ? routeTable(module, children, table) : [],
    },
  ];
}
