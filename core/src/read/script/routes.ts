import type * as t from '@babel/types';
import type { BodyFacts, ProvisionFact, RouteFact, TemplateNode } from '../../model/facts';
import type { ModuleScope } from './body';
import { type Loaded, loadedBy, loadedByCall, namedBy } from './loaded';
import { bare, calleeName, dottedName, isCapitalised, isFunction, keyName, pushChildren, spanOf } from './syntax';
import { givenAsInputs, givenByRouter } from './route-props';
import { append } from '../../model/append';

/** Reads markup that a route shows, where the framework writes markup in script. */
export type ReadShown = (module: ModuleScope, markup: t.Node) => BodyFacts & { readonly template: readonly TemplateNode[] };

const nothing: ReadShown = () => ({ values: [], actions: [], template: [] });

/** Whether a text may hold routes: a field that places one, and a field that shows something. */
export function mayHoldRoutes(text: string): boolean {
  return (
    /\b(?:path|index|children)\b['"]?\s*[:,(]|\bcreate\w*Route\b|\/routes['"]/.test(text) &&
    /\b(?:element|[cC]omponents?|load(?:Component|Children)|lazy|children|areas|route|layout|index)\b['"]?\s*[:,(}]/.test(text)
  );
}

/** Reads what a route provides to all that it shows, where the framework has such. */
export type ReadProvided = (given: t.Node) => readonly ProvisionFact[];

type Reader = { readonly module: ModuleScope; readonly shown: ReadShown; readonly table: string; readonly provided?: ReadProvided };

/**
 * All routes of a module, the outermost of each nest: values of the shape of a route, wherever they
 * stand, with those that they hold. A value is one where it says a place (`path`, `index`) and what
 * is shown there (a component, an element, something loaded), or holds such values as `children`.
 * Empty for a module without.
 */
export function routesOf(module: ModuleScope, program: t.Program, shown: ReadShown = nothing, provided?: ReadProvided): RouteFact[] {
  if (!mayHoldRoutes(module.text)) return [];
  const found: RouteFact[] = [];
  const stack: { node: t.Node; table: string }[] = [];
  const below = (node: t.Node, table: string): void => {
    const children: t.Node[] = [];
    pushChildren(node, children);
    for (const child of children.reverse()) stack.push({ node: child, table });
  };
  below(program, '');
  for (let at = stack.pop(); at; at = stack.pop()) {
    const { node, table } = at;
    const reader = { module, shown, table, ...(provided ? { provided } : {}) };
    const routes =
      node.type === 'ObjectExpression' ? routeOf(reader, node, false) : node.type === 'CallExpression' ? routeOfCall(reader, node) : [];
    if (routes.length > 0) append(found, routes);
    else below(node, within(table, nameIn(node)));
  }
  return found;
}

const within = (table: string, name: string | undefined): string => (name === undefined ? table : table === '' ? name : `${table}/${name}`);

/** The name that a node gives to what stands in it. */
function nameIn(node: t.Node): string | undefined {
  switch (node.type) {
    case 'VariableDeclarator':
      return node.id.type === 'Identifier' ? node.id.name : undefined;
    case 'FunctionDeclaration':
    case 'ClassDeclaration':
      return node.id?.name;
    case 'ClassMethod':
    case 'ClassProperty':
    case 'ObjectMethod':
    case 'ObjectProperty':
      return keyName(node);
    case 'ExportDefaultDeclaration':
      return 'default';
    case 'AssignmentExpression':
      return dottedName(node.left)?.split('.').at(-1);
    default:
      return undefined;
  }
}

/** Fields by which a route says what it shows. */
const showing = ['element', 'Component', 'component', 'lazy', 'components', 'loadComponent'] as const;

/** Fields that show something beside the page: while it is loaded, where it fails, in a trail of links. */
const beside = /^(?:error|fallback|pending|loading|notFound|hydrate|handle|meta|children|icon|crumb|breadcrumb)/i;

function routeOf(reader: Reader, object: t.ObjectExpression, isNested: boolean): RouteFact[] {
  const fields = fieldsOf(object);
  const path = fields.get('path');
  const index = fields.get('index');
  const hasPlace = path !== undefined || index?.type === 'BooleanLiteral';
  const given = fields.get('children') ?? fields.get('routes');
  const below = given && hasList(given) ? childrenIn(reader, given) : loadedBelow(fields.get('loadChildren'));
  const provides = fields.get('providers');
  const outlet = fields.get('outlet');
  const isShowing = showing.some((name) => fields.has(name));
  if (!hasPlace && !(isShowing && (isNested || (below?.routes.length ?? 0) > 0))) return [];
  const shown = shownIn(reader, object, fields, hasPlace);
  if (!shown && !below?.routes.length && !below?.tables.length) return [];
  return [
    {
      path: path ? pathOf(reader.module, path) : '',
      span: spanOf(object),
      table: reader.table,
      ...(shown ?? nothing(reader.module, object)),
      ...(shown?.component === undefined ? {} : { given: givenByRouter(fields.get('props')) ?? givenAsInputs(object, fields.get('data')) }),
      children: below?.routes ?? [],
      ...(below?.tables.length ? { tables: below.tables } : {}),
      ...(outlet?.type === 'StringLiteral' && outlet.value !== 'primary' ? { outlet: outlet.value } : {}),
      ...besideIn(reader, fields.get('components')),
      ...(provides && reader.provided ? { provisions: reader.provided(provides) } : {}),
    },
  ];
}

/** `loadChildren: () => import('./trade/routes')`: the table that a module gives; in the older way `'./trade/trade.module#TradeModule'`. */
function loadedBelow(given: t.Node | undefined): Below | undefined {
  const [, from, exported] = given?.type === 'StringLiteral' ? (/^(.+)#(\w+)$/.exec(given.value) ?? []) : [];
  if (from !== undefined && exported !== undefined) return { routes: [], tables: [`import:${from}#${exported}`] };
  const loaded = given && (isFunction(given) ? loadedBy(given) : loadedByCall(given));
  return loaded && { routes: [], tables: [`import:${loaded.from}#${loaded.exported}`] };
}

function fieldsOf(object: t.ObjectExpression): Map<string, t.Node> {
  const fields = new Map<string, t.Node>();
  for (const property of object.properties) {
    if (property.type === 'SpreadElement') continue;
    const name = keyName(property);
    if (name !== undefined) fields.set(name, property.type === 'ObjectMethod' ? property : bare(property.value));
  }
  return fields;
}

/** `components: { default: Lock, side: Crew }`: what stands in outlets with names. */
function besideIn(reader: Reader, given: t.Node | undefined): Pick<RouteFact, 'beside'> {
  if (given?.type !== 'ObjectExpression') return {};
  const beside = [...fieldsOf(given)].flatMap(([outlet, field]): RouteFact[] => {
    const shown = outlet === 'default' ? undefined : shownBy(reader, field, 'default');
    return shown ? [{ path: '', span: spanOf(field), table: '', outlet, ...shown, children: [] }] : [];
  });
  return beside.length > 0 ? { beside } : {};
}

type Shown = Pick<RouteFact, 'component' | 'template' | 'values' | 'actions'>;

/** What a route shows; undefined where nothing is said that could be shown. */
function shownIn(reader: Reader, object: t.ObjectExpression, fields: ReadonlyMap<string, t.Node>, hasPlace: boolean): Shown | undefined {
  for (const name of showing) {
    const field = fields.get(name);
    const found = field && shownBy(reader, field, name === 'lazy' ? 'Component,default' : 'default');
    if (found) return found;
  }
  if (!hasPlace || showing.some((name) => fields.has(name))) return undefined;
  // Tables of a router of one's own name what they show as they like.
  const others = object.properties.filter(
    (one) => one.type !== 'SpreadElement' && !beside.test(keyName(one) ?? '') && reader.module.holdsMarkup(one),
  );
  const bodies = others.map((one) => reader.shown(reader.module, one.type === 'ObjectProperty' ? one.value : one));
  const [only] = bodies;
  return only && bodies.length === 1 && only.template.length > 0 ? only : undefined;
}

function shownBy(reader: Reader, given: t.Node, wanted: string): Shown | undefined {
  const { module } = reader;
  const named = dottedName(given);
  if (named !== undefined) return isComponentName(module, named) ? { component: named, ...nothing(module, given) } : undefined;
  if (given.type === 'ObjectExpression') {
    // Named outlets: the one without a name is the page.
    for (const field of [fieldsOf(given).get('default'), ...fieldsOf(given).values()]) {
      const found = field && shownBy(reader, field, wanted);
      if (found) return found;
    }
    return undefined;
  }
  const loaded = isFunction(given) ? loadedBy(given) : (loadedByCall(given) ?? imported(given));
  if (loaded) return { component: tagOf(loaded, wanted), ...nothing(module, given) };
  const inner = isFunction(given) ? namedBy(given) : undefined;
  if (inner !== undefined && isComponentName(module, inner)) return { component: inner, ...nothing(module, given) };
  const markup = reader.shown(module, given);
  if (markup.template.some(({ kind }) => kind !== 'text')) return markup;
  const handed = given.type === 'CallExpression' ? given.arguments.map((one) => dottedName(bare(one))) : [];
  const around = handed.find((name) => name !== undefined && isCapitalised(name));
  return around === undefined ? undefined : { component: around, ...nothing(module, given) };
}

const isComponentName = (module: ModuleScope, name: string): boolean => isCapitalised(name) || module.names.has(name.split('.')[0] ?? '');

const tagOf = ({ from, exported }: Loaded, wanted: string): string => `import:${from}#${exported === 'default' ? wanted : exported}`;

/** `import('./X')` itself. */
function imported(node: t.Node): Loaded | undefined {
  const [from] = node.type === 'CallExpression' && node.callee.type === 'Import' ? node.arguments : [];
  return from?.type === 'StringLiteral' ? { from: from.value, exported: 'default' } : undefined;
}

type Below = { readonly routes: RouteFact[]; readonly tables: string[] };

/** Whether a field holds a list of routes, and not markup. */
const hasList = (node: t.Node): boolean =>
  /^(ArrayExpression|Identifier|CallExpression|MemberExpression|ConditionalExpression)$/.test(node.type);

/** The routes in a list, and the names of the tables it takes others from: through spreads, conditions, calls and what is joined to it. */
function childrenIn(reader: Reader, list: t.Node): Below {
  const below: Below = { routes: [], tables: [] };
  const stack: t.Node[] = [list];
  for (let given = stack.pop(); given; given = stack.pop()) {
    const node = bare(given);
    switch (node.type) {
      case 'ArrayExpression':
        append(stack, node.elements.filter((one) => one !== null).reverse());
        break;
      case 'SpreadElement':
        stack.push(node.argument);
        break;
      case 'ConditionalExpression':
        stack.push(node.alternate, node.consequent);
        break;
      case 'LogicalExpression':
        stack.push(node.right, node.left);
        break;
      case 'ObjectExpression':
        append(below.routes, routeOf(reader, node, true));
        break;
      case 'Identifier':
        below.tables.push(node.name);
        break;
      case 'MemberExpression':
        noteTable(node, below);
        break;
      case 'CallExpression': {
        const made = routeOfCall(reader, node);
        append(below.routes, made);
        if (made.length > 0) break;
        const { callee } = node;
        if (
          callee.type === 'MemberExpression' &&
          /^(map|filter|concat|flat|flatMap|slice|sort|reverse)$/.test(dottedName(callee.property) ?? '')
        ) {
          stack.push(callee.object);
          if (dottedName(callee.property) === 'concat') append(stack, node.arguments);
        } else {
          noteTable(callee, below);
          append(
            stack,
            node.arguments.filter((one) => /^(Array|Object)Expression$/.test(one.type)),
          );
        }
        break;
      }
      default:
    }
  }
  return below;
}

function noteTable(node: t.Node, below: Below): void {
  const name = node.type === 'MemberExpression' && node.object.type === 'ThisExpression' ? dottedName(node.property) : dottedName(node);
  if (name !== undefined) below.tables.push(name);
}

/** A path as far as it is known: what is computed in it stands as `:name`. */
function pathOf(module: ModuleScope, given: t.Node): string {
  const node = bare(given);
  if (node.type === 'StringLiteral') return node.value;
  if (node.type === 'LogicalExpression') return pathOf(module, node.right);
  if (node.type === 'BinaryExpression' && node.operator === '+') return pathOf(module, node.left) + pathOf(module, node.right);
  if (node.type === 'TemplateLiteral')
    return node.quasis
      .map((quasi, at) => (quasi.value.cooked ?? '') + (node.expressions[at] ? pathOf(module, node.expressions[at]) : ''))
      .join('');
  const name = dottedName(node);
  if (name === undefined) return ':path';
  return module.texts.get(name) ?? `:${name.split('.').at(-1)}`;
}

/**
 * Routes that calls make: tables of files (`route('path', 'file', […])`, `index('file')`,
 * `layout('file', […])`, `...prefix('path', […])`), and files that are routes themselves
 * (`createFileRoute('/path')({ component })`, `createRootRoute({ component })`).
 */
function routeOfCall(reader: Reader, call: t.CallExpression): RouteFact[] {
  const inner = call.callee.type === 'CallExpression' ? call.callee : undefined;
  const name = calleeName(inner ?? call) ?? '';
  const made = /^create(?:Lazy)?(File|Root)?Route(?:WithContext)?$/.exec(name);
  if (!made) return inner ? [] : routeOfFile(reader, call);
  const options = call.arguments.map(bare).find((one) => one.type === 'ObjectExpression');
  const [first] = inner?.arguments ?? [];
  if (!options) return [];
  const fields = fieldsOf(options);
  const path = first ?? fields.get('path');
  const shown = shownIn(reader, options, fields, false);
  if (!shown) return [];
  return [
    {
      path: made[1] === 'Root' ? '' : path ? pathOf(reader.module, path) : '/',
      span: spanOf(call),
      table: reader.table,
      ...shown,
      children: [],
      byPath: true,
    },
  ];
}

function routeOfFile(reader: Reader, call: t.CallExpression): RouteFact[] {
  const name = dottedName(call.callee) ?? '';
  const origin = reader.module.imported.get(name);
  if (!origin?.from.endsWith('/routes')) return [];
  const texts = call.arguments.flatMap((one) => (one.type === 'StringLiteral' ? [one.value] : []));
  const children = call.arguments.find((one) => bare(one).type === 'ArrayExpression');
  const hasPath = origin.imported === 'route' || origin.imported === 'prefix';
  const file = hasPath ? texts[1] : texts[0];
  if (!['route', 'index', 'layout', 'prefix'].includes(origin.imported)) return [];
  const below = children ? childrenIn(reader, children) : undefined;
  return [
    {
      path: hasPath ? (texts[0] ?? '') : '',
      span: spanOf(call),
      table: reader.table,
      ...(file === undefined || origin.imported === 'prefix' ? {} : { component: `import:./${file.replace(/^\.\//, '')}#default` }),
      ...nothing(reader.module, call),
      children: below?.routes ?? [],
      ...(below?.tables.length ? { tables: below.tables } : {}),
    },
  ];
}
