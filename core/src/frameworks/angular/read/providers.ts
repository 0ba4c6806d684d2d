import type * as t from '@babel/types';
import type { ListFact, ProvisionFact, Reading } from '../../../model/facts';
import { addAction, type Body, moduleValue } from '../../../read/script/body';
import { keptFunction, readActionInto, readingsOf } from '../../../read/script/expressions';
import { computedFrom } from '../../../read/script/functions';
import { innerScope } from '../../../read/script/scope';
import { bare, dottedName, type FunctionNode, isFunction, keyName, resultOf, spanOf } from '../../../read/script/syntax';

/** What a list of providers says, one after the other; with a body, what each gives is read into it. */
export function provisionsIn(given: t.Node | undefined, body?: Body): ProvisionFact[] {
  const node = given && bare(given);
  if (!node) return [];
  const span = spanOf(node);
  switch (node.type) {
    case 'ArrayExpression':
      return node.elements.flatMap((one) => (one ? provisionsIn(one.type === 'SpreadElement' ? one.argument : one, body) : []));
    case 'ObjectExpression':
      return provisionOf(node, body);
    case 'ConditionalExpression':
      return [...provisionsIn(node.consequent, body), ...provisionsIn(node.alternate, body)];
    case 'LogicalExpression':
      return provisionsIn(node.right, body);
    case 'Identifier':
    case 'MemberExpression': {
      const name = dottedName(node);
      return [name === undefined ? { kind: 'unknown', span } : named(name, span, body)];
    }
    case 'CallExpression': {
      const name = dottedName(node.callee);
      if (name === undefined) return [{ kind: 'unknown', span }];
      const called: ProvisionFact[] = /(?:^|\.)(?:importProvidersFrom|makeEnvironmentProviders|mergeApplicationConfig)$/.test(name)
        ? node.arguments.flatMap((one) => provisionsIn(one, body))
        : [{ kind: 'list', name, span, isCall: true }];
      return called;
    }
    default:
      return [{ kind: 'unknown', span }];
  }
}

/** A name in a list: a class that provides itself, or another list. Which of them is told where it is declared. */
function named(name: string, span: ProvisionFact['span'], body: Body | undefined): ProvisionFact {
  return { kind: 'key', key: name, span, ...(body ? { readings: instanceOf(body, name, span) } : {}) };
}

const instanceOf = (body: Body, name: string, span: ProvisionFact['span']): Reading[] =>
  body.module.names.has(name.split('.')[0] ?? '')
    ? [{ value: moduleValue(body, name.split('.')[0] ?? name, span), path: name.split('.').slice(1), how: 'same', span }]
    : [];

/** `{ provide: KEY, useValue: 1 }` and its like; an object of options stands for the providers in it. */
function provisionOf(node: t.ObjectExpression, body: Body | undefined): ProvisionFact[] {
  const span = spanOf(node);
  const fields = new Map(
    node.properties.flatMap((one): [string, t.Node][] => {
      const name = one.type === 'SpreadElement' ? undefined : keyName(one);
      return name === undefined || one.type === 'SpreadElement' ? [] : [[name, one.type === 'ObjectMethod' ? one : bare(one.value)]];
    }),
  );
  const token = fields.get('provide');
  if (!token) return fields.has('providers') ? provisionsIn(fields.get('providers'), body) : [{ kind: 'unknown', span }];
  const key = dottedName(token);
  if (key === undefined) return [];
  const other = fields.get('useClass') ?? fields.get('useExisting');
  const by = other && dottedName(forwarded(other));
  const multi = fields.get('multi');
  const deps = fields.get('deps');
  const asks = deps ? depsIn(deps) : [];
  return [
    {
      kind: 'key',
      key,
      span,
      ...(by === undefined ? {} : { by }),
      ...(multi?.type === 'BooleanLiteral' && multi.value ? { isOneOf: true as const } : {}),
      ...(asks.length > 0 ? { asks } : {}),
      ...(body ? { readings: givenBy(body, fields, by, span) } : {}),
    },
  ];
}

/** `deps: [Levels, [new Optional(), Keeper]]`: what is asked for. */
function depsIn(given: t.Node): string[] {
  const node = forwarded(given);
  const name = dottedName(node);
  if (node.type !== 'ArrayExpression') return name === undefined ? [] : [name];
  return node.elements.flatMap((one) => (one && one.type !== 'SpreadElement' ? depsIn(one) : []));
}

/** `forwardRef(() => Later)` → `Later`. */
export function forwarded(given: t.Node): t.Node {
  const node = bare(given);
  if (node.type !== 'CallExpression' || dottedName(node.callee) !== 'forwardRef') return node;
  const run = node.arguments[0] && bare(node.arguments[0]);
  const result = isFunction(run) ? resultOf(run) : undefined;
  return result ? bare(result) : node;
}

function givenBy(body: Body, fields: ReadonlyMap<string, t.Node>, by: string | undefined, span: ProvisionFact['span']): readonly Reading[] {
  const value = fields.get('useValue');
  const factory = fields.get('useFactory');
  if (by !== undefined) return instanceOf(body, by, span);
  if (value) return isFunction(value) ? [keptFunction(body, 'value', value, innerScope())] : readingsOf(body, value, innerScope());
  if (isFunction(factory)) {
    const action = addAction(body, 'factory', 'computation', spanOf(factory));
    body.queue.push(() => readActionInto(body, action, factory as FunctionNode, innerScope()));
    return computedFrom(body, factory, innerScope());
  }
  return [];
}

/** The list that a constant, or a function of the module, gives; undefined for what is none. */
export function listOf(name: string, node: t.Node): ListFact | undefined {
  const given = isFunction(node) ? resultOf(node) : node;
  const inner = given && bare(given);
  const isList =
    inner?.type === 'ArrayExpression' ||
    (inner?.type === 'ObjectExpression' &&
      inner.properties.some((one) => one.type !== 'SpreadElement' && /^(?:provide|providers|ngModule)$/.test(keyName(one) ?? ''))) ||
    (inner?.type === 'CallExpression' &&
      /^(?:makeEnvironmentProviders|importProvidersFrom|mergeApplicationConfig)$/.test(dottedName(inner.callee) ?? ''));
  const handed = inner && handedToRouter(inner);
  if (handed) return { name, ...handed, provides: provisionsIn(inner) };
  if (!isList || !inner) return undefined;
  const names = inner.type === 'ArrayExpression' ? namesIn(inner) : { names: [], isOpen: false };
  return { name, items: names.names, provides: provisionsIn(inner), ...(names.isOpen ? { isOpen: true as const } : {}) };
}

/** `RouterModule.forChild(routes)`, held by a constant: what it brings, and the table that it is made with. */
function handedToRouter(node: t.Node): Pick<ListFact, 'items' | 'tables'> | undefined {
  const [group, method] = node.type === 'CallExpression' ? (dottedName(node.callee)?.split('.') ?? []) : [];
  if (node.type !== 'CallExpression' || group === undefined || !/^for[A-Z]/.test(method ?? '')) return undefined;
  const table = node.arguments[0] && dottedName(bare(node.arguments[0]));
  return { items: [group], ...(table === undefined ? {} : { tables: [table] }) };
}

/** The names in a list of classes, through lists within it; calls stand for what they are made on: `RouterModule.forRoot(…)`. */
export function namesIn(given: t.Node | undefined): { readonly names: string[]; readonly isOpen: boolean } {
  const names: string[] = [];
  let isOpen = false;
  const visit = (one: t.Node): void => {
    const node = forwarded(one);
    if (node.type === 'ArrayExpression')
      for (const item of node.elements) {
        if (item) visit(item);
      }
    else if (node.type === 'SpreadElement') visit(node.argument);
    else if (node.type === 'ObjectExpression') {
      const component = node.properties.find((each) => each.type === 'ObjectProperty' && keyName(each) === 'directive');
      if (component?.type === 'ObjectProperty') visit(component.value);
    } else if (node.type === 'CallExpression') {
      const name = dottedName(node.callee);
      if (name?.includes('.')) names.push(name.slice(0, name.lastIndexOf('.')));
      else isOpen = true;
    } else {
      const name = dottedName(node);
      if (name === undefined) isOpen = true;
      else names.push(name);
    }
  };
  if (given) visit(given);
  return { names, isOpen };
}
