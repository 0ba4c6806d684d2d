import type * as t from '@babel/types';
import type { AliasFact } from '../../model/facts';
import type { Span } from '../../model/span';
import { loadedBy, loadedByCall } from './loaded';
import { bare, calleeName, dottedName, type FunctionNode, isCapitalised, isFunction, keyName, spanOf } from './syntax';
import { storeShapeOf } from './store-shapes';
import { append } from '../../model/append';

/** Something the module declares under a name: taken out of its wrappers. */
export type Declared = {
  readonly name: string;
  readonly nameSpan: Span;
  readonly span: Span;
  readonly node: t.Node;
  /** The node as written, wrappers and all. */
  readonly whole: t.Node;
  /** Functions around it, outermost first. */
  readonly wrappers: readonly Wrapper[];
  /** The type it is annotated with: `const X: FC<Props> = …`. */
  readonly annotation?: t.TSType;
};

export type Wrapper = { readonly name: string; readonly call: t.CallExpression };

/** Wrappers of the framework, which hand all props on as they are. */
const transparent = new Set(['memo', 'forwardRef', 'observer', 'lazy']);

export function addsProps(wrapper: Wrapper): boolean {
  return !transparent.has(wrapper.name);
}

/** A name that a component has: with a capital, or, of one that is only handed on, `rowComponent`. */
const namesComponent = (name: string): boolean => isCapitalised(name) || /[a-z\d]Component$/.test(name);

/** `memo(forwardRef(function X() {}))` → the function, and `memo`, `forwardRef`. */
function unwrap(node: t.Node): { node: t.Node; wrappers: readonly Wrapper[] } {
  let inner = bare(node);
  if (inner.type !== 'CallExpression') return { node: inner, wrappers: none };
  if (storeShapeOf(inner)) return { node: inner, wrappers: none };
  const wrappers: Wrapper[] = [];
  for (;;) {
    if (inner.type !== 'CallExpression') return { node: inner, wrappers };
    const name = calleeName(inner) ?? (inner.callee.type === 'CallExpression' ? calleeName(inner.callee) : undefined);
    const first = inner.arguments.find((argument) => {
      const given = bare(argument);
      return (
        isFunction(given) ||
        given.type === 'CallExpression' ||
        given.type === 'ClassExpression' ||
        (given.type === 'Identifier' && namesComponent(given.name))
      );
    });
    if (!name || !first || /^(create[A-Z]|use[A-Z]|require$|render$|assign$)/.test(name)) return { node: inner, wrappers };
    wrappers.push({ name, call: inner });
    inner = bare(first);
  }
}

const none: readonly never[] = [];

function declaredBy(id: t.Node, init: t.Node, whole: Span): Declared[] {
  if (id.type !== 'Identifier') return [];
  const { node, wrappers } = unwrap(init);
  const annotated = id.typeAnnotation?.type === 'TSTypeAnnotation' ? { annotation: id.typeAnnotation.typeAnnotation } : {};
  return [
    {
      name: id.name,
      nameSpan: { start: id.start ?? 0, end: (id.start ?? 0) + id.name.length },
      span: whole,
      node,
      whole: init,
      wrappers,
      ...annotated,
    },
  ];
}

/** All that the statements of a module declare under a name; a default export without one is `default`. */
export function declarationsOf(statements: readonly t.Statement[]): Declared[] {
  const found: Declared[] = [];
  for (const statement of statements) collectDeclared(statement, found);
  return found;
}

function collectDeclared(statement: t.Statement, into: Declared[]): void {
  switch (statement.type) {
    case 'ExportNamedDeclaration':
      if (statement.declaration) collectDeclared(statement.declaration, into);
      return;
    case 'ExportDefaultDeclaration':
      collectDefault(statement, into);
      return;
    case 'FunctionDeclaration':
    case 'ClassDeclaration':
      if (statement.id) {
        into.push({
          name: statement.id.name,
          nameSpan: spanOf(statement.id),
          span: spanOf(statement),
          node: statement,
          whole: statement,
          wrappers: none,
        });
      }
      return;
    case 'VariableDeclaration':
      for (const one of statement.declarations) if (one.init) append(into, declaredBy(one.id, one.init, spanOf(one)));
      return;
    case 'ExpressionStatement':
      append(into, memberDeclarations(statement.expression));
      return;
    default:
  }
}

function collectDefault(statement: t.ExportDefaultDeclaration, into: Declared[]): void {
  const declared = statement.declaration;
  if ((declared.type === 'FunctionDeclaration' || declared.type === 'ClassDeclaration') && declared.id) collectDeclared(declared, into);
  else if (declared.type !== 'Identifier' && !/^TS\w*Declaration$/.test(declared.type)) {
    const { node, wrappers } = unwrap(declared);
    const start = statement.start ?? 0;
    const named = isFunction(node) && 'id' in node && node.id ? node.id : undefined;
    const nameSpan = named ? spanOf(named) : { start, end: start + 'export default'.length };
    into.push({ name: 'default', nameSpan, span: spanOf(statement), node, whole: declared, wrappers });
  }
}

/** `Card.Header = function () { … }`. */
function memberDeclarations(expression: t.Node): Declared[] {
  if (expression.type !== 'AssignmentExpression') return [];
  const name = dottedName(expression.left);
  if (!name || !/^\p{Lu}[\w\p{L}]*\.\p{Lu}[\w\p{L}]*$/u.test(name)) return [];
  const { node, wrappers } = unwrap(expression.right);
  return [{ name, nameSpan: spanOf(expression.left), span: spanOf(expression), node, whole: expression.right, wrappers }];
}

/** Names that only stand for another: `memo(Slow)`, `lazy(() => import('./X'))`, `{ Header: CardHeader }`. */
export function aliasOf(declared: Declared): AliasFact[] {
  const { name, node } = declared;
  const wrappedBy = declared.wrappers.filter(addsProps).map((wrapper) => wrapper.name);
  const named = dottedName(node);
  if (named) return named === name ? [] : [{ name, target: named, wrappedBy }];
  const assigned = objectAssigned(node);
  if (assigned) return [{ name, target: assigned.target, wrappedBy }, ...membersOf(name, assigned.members)];
  if (node.type === 'ObjectExpression') return membersOf(name, node);
  const table = isFunction(node) ? tableGivenBy(node) : undefined;
  if (table !== undefined) return [{ name: `${name}()`, target: table, wrappedBy: [] }];
  const loaded = loadedByCall(declared.whole);
  return loaded ? [{ name, target: loaded.exported, from: loaded.from, wrappedBy: [] }] : [];
}

function objectAssigned(node: t.Node): { target: string; members: t.ObjectExpression } | undefined {
  if (node.type !== 'CallExpression' || dottedName(node.callee) !== 'Object.assign') return undefined;
  const [target, members] = node.arguments;
  const name = target && dottedName(bare(target));
  return name && members?.type === 'ObjectExpression' ? { target: name, members } : undefined;
}

/** `(kind) => registry[kind] ?? Note`: the table of which a function gives a member; undefined for all others. */
function tableGivenBy(node: FunctionNode): string | undefined {
  const given =
    node.body.type === 'BlockStatement' ? node.body.body.findLast((one) => one.type === 'ReturnStatement')?.argument : node.body;
  const result = given && bare(given);
  const left = result?.type === 'LogicalExpression' ? bare(result.left) : result;
  return left?.type === 'MemberExpression' && left.computed && left.object.type === 'Identifier' ? left.object.name : undefined;
}

function membersOf(name: string, object: t.ObjectExpression): AliasFact[] {
  return object.properties.flatMap((property): AliasFact[] => {
    if (property.type !== 'ObjectProperty') return [];
    const key = keyName(property);
    const target = dottedName(bare(property.value));
    if (key && target && isCapitalised(target)) return [{ name: `${name}.${key}`, target, wrappedBy: [] }];
    const given = bare(property.value);
    const loaded = isFunction(given) ? loadedBy(given) : loadedByCall(given);
    return key && loaded ? [{ name: `${name}.${key}`, target: loaded.exported, from: loaded.from, wrappedBy: [] }] : [];
  });
}
