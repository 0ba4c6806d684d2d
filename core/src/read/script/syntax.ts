import type * as t from '@babel/types';
import type { Span } from '../../model/span';
import { childFields } from './child-fields';

export type FunctionNode =
  t.FunctionDeclaration | t.FunctionExpression | t.ArrowFunctionExpression | t.ObjectMethod | t.ClassMethod | t.ClassPrivateMethod;

/** The span of a parsed node. */
export function spanOf(node: t.Node): Span {
  return { start: node.start ?? 0, end: node.end ?? 0 };
}

export function isFunction(node: t.Node | null | undefined): node is FunctionNode {
  switch (node?.type) {
    case 'FunctionDeclaration':
    case 'FunctionExpression':
    case 'ArrowFunctionExpression':
    case 'ObjectMethod':
    case 'ClassMethod':
    case 'ClassPrivateMethod':
      return true;
    default:
      return false;
  }
}

/** Whether a function is written anywhere within a node. */
export function holdsFunction(node: t.Node): boolean {
  let found = isFunction(node);
  if (!found)
    forEachChild(node, (child) => {
      found ||= holdsFunction(child);
    });
  return found;
}

/** Calls `visit` on each node directly below `node`, in the order of the text; types are not visited. */
export function forEachChild(node: t.Node, visit: (child: t.Node) => void): void {
  const fields = childFields[node.type];
  if (!fields) return;
  for (const name of fields) {
    const field = (node as unknown as Record<string, unknown>)[name];
    if (field === null || field === undefined) continue;
    if (!Array.isArray(field)) visit(field as t.Node);
    else for (const item of field) if (item) visit(item as t.Node);
  }
}

/** Puts the nodes directly below `node` on a stack, for walks without recursion. */
export function pushChildren(node: t.Node, stack: t.Node[]): void {
  const fields = childFields[node.type];
  if (!fields) return;
  for (const name of fields) {
    const field = (node as unknown as Record<string, t.Node | (t.Node | null)[] | null | undefined>)[name];
    if (field === null || field === undefined) continue;
    if (!Array.isArray(field)) stack.push(field);
    else for (const item of field) if (item) stack.push(item);
  }
}

/** `a` → `a`, `A.b.c` → `A.b.c`, `<A.B>` → `A.B`; undefined for all else. */
export function dottedName(node: t.Node | null | undefined): string | undefined {
  switch (node?.type) {
    case 'Identifier':
    case 'JSXIdentifier':
      return node.name;
    case 'MemberExpression':
    case 'OptionalMemberExpression': {
      if (node.computed || node.property.type !== 'Identifier') return undefined;
      const object = dottedName(node.object);
      return object && `${object}.${node.property.name}`;
    }
    case 'JSXMemberExpression': {
      const object = dottedName(node.object);
      return object && `${object}.${node.property.name}`;
    }
    case 'JSXNamespacedName':
      return `${node.namespace.name}:${node.name.name}`;
    case 'TSQualifiedName': {
      const left = dottedName(node.left);
      return left && `${left}.${node.right.name}`;
    }
    default:
      return undefined;
  }
}

/** Tells whether a name is written as components are: with a capital. */
export function isCapitalised(name: string): boolean {
  return /^\p{Lu}/u.test(name);
}

/** The last word of a called name: `React.useState(…)` → `useState`. */
export function calleeName(call: t.Node): string | undefined {
  if (call.type !== 'CallExpression' && call.type !== 'OptionalCallExpression') return undefined;
  const name = dottedName(call.callee);
  return name?.slice(name.lastIndexOf('.') + 1);
}

/** Takes off what does not change a value: parentheses, type assertions, `!`, `await`. */
export function bare(node: t.Node): t.Node {
  let inner = node;
  for (;;) {
    switch (inner.type) {
      case 'TSAsExpression':
      case 'TSSatisfiesExpression':
      case 'TSNonNullExpression':
      case 'TSTypeAssertion':
      case 'TSInstantiationExpression':
      case 'ParenthesizedExpression':
      case 'TypeCastExpression':
        inner = inner.expression;
        break;
      case 'AwaitExpression':
        inner = inner.argument;
        break;
      default:
        return inner;
    }
  }
}

/** A property's name where it is plain: `a`, `'a'`, `1`. */
export function keyName(node: { readonly key: t.Node; readonly computed?: boolean | null }): string | undefined {
  if (node.computed && node.key.type !== 'StringLiteral') return undefined;
  switch (node.key.type) {
    case 'Identifier':
      return node.key.name;
    case 'StringLiteral':
      return node.key.value;
    case 'NumericLiteral':
      return String(node.key.value);
    case 'PrivateName':
      return `#${node.key.id.name}`;
    default:
      return undefined;
  }
}

/** The identifiers that a pattern binds, with the members that lead to each and its default. */
export function patternNames(pattern: t.Node): PatternName[] {
  const found: PatternName[] = [];
  collectNames(pattern, noPath, false, undefined, undefined, found);
  return found;
}

const noPath: readonly string[] = [];

function collectNames(
  pattern: t.Node,
  path: readonly string[],
  rest: boolean,
  key: t.Node | undefined,
  fallback: t.Expression | undefined,
  into: PatternName[],
): void {
  switch (pattern.type) {
    case 'Identifier':
      into.push({ name: pattern.name, path, rest, node: pattern, key, fallback });
      return;
    case 'AssignmentPattern':
      collectNames(pattern.left, path, rest, key, pattern.right, into);
      return;
    case 'RestElement':
      collectNames(pattern.argument, path, true, key, fallback, into);
      return;
    case 'ObjectPattern':
      for (const property of pattern.properties) {
        if (property.type === 'RestElement') collectNames(property, path, false, undefined, undefined, into);
        else collectNames(property.value, [...path, keyName(property) ?? '*'], false, property.key, undefined, into);
      }
      return;
    case 'ArrayPattern':
      pattern.elements.forEach((element, at) => {
        if (element) collectNames(element, [...path, String(at)], false, undefined, undefined, into);
      });
      return;
    case 'TSParameterProperty':
      collectNames(pattern.parameter, path, rest, key, fallback, into);
      return;
    default:
  }
}

export type PatternName = {
  readonly name: string;
  /** Members from the whole to this name; `*` for one that is computed. */
  readonly path: readonly string[];
  readonly rest: boolean;
  readonly node: t.Identifier;
  /** The property's own name, where it stands directly in an object pattern. */
  readonly key: t.Node | undefined;
  readonly fallback: t.Expression | undefined;
};

/** The declared type of a pattern or parameter, if it has one. */
export function annotationOf(node: t.Node): t.TSType | undefined {
  const holder = node.type === 'AssignmentPattern' ? node.left : node.type === 'TSParameterProperty' ? node.parameter : node;
  const annotation = (holder as { typeAnnotation?: t.Node | null }).typeAnnotation;
  return annotation?.type === 'TSTypeAnnotation' ? annotation.typeAnnotation : undefined;
}

/** The name of a component that has none of its own: its file's, or its folder's for `index` and the like. */
export function nameOfFile(file: string): string {
  const parts = file.split('/');
  const stem = (parts.at(-1) ?? '').replace(/\.\w+$/, '');
  const placed = /^\+(\w+)/.exec(stem)?.[1];
  const folder = parts.at(-2) ?? '';
  if (placed !== undefined) return nameOfFile(`${folder === 'routes' || folder === '' ? 'root' : folder}-${placed}.x`);
  const word = /^(index|page|layout|route|_\w+)$/.test(stem) ? (parts.at(-2) ?? stem) : stem;
  const pascal = word.replace(/(?:^|[^\p{L}\p{N}]+)([\p{L}\p{N}])/gu, (_, letter: string) => letter.toUpperCase());
  return pascal.replace(/[^\p{L}\p{N}_$]/gu, '') || 'Default';
}

/** The key of something given to all below: a text, or a name that the module knows. */
export function keyOf(given: t.Node): string | undefined {
  const node = bare(given);
  return node.type === 'StringLiteral' ? `key:'${node.value}'` : dottedName(node) === undefined ? undefined : `key:${dottedName(node)}`;
}

/** Notes on an effect whether it gives what ends it, and whether it could. */
export function noteEnding(effect: { cleansUp: boolean; takesEnding?: true; endsInPromise?: true }, run: FunctionNode): void {
  const gives = givesEnding(run);
  effect.cleansUp = gives && !run.async;
  if (gives && run.async) effect.endsInPromise = true;
  if (run.body.type === 'BlockStatement' && !run.async) effect.takesEnding = true;
}

/** Whether an effect gives what ends it: something is returned on some path, by a function that is written in place. */
export function givesEnding(node: FunctionNode): boolean {
  if (node.body.type !== 'BlockStatement') return isFunction(node.body) || node.body.type === 'CallExpression';
  const stack: t.Node[] = [...node.body.body];
  for (let one = stack.pop(); one; one = stack.pop()) {
    if (one.type === 'ReturnStatement' && one.argument) return true;
    if (isFunction(one) || !/Statement$|^SwitchCase$|^CatchClause$/.test(one.type)) continue;
    pushChildren(one, stack);
  }
  return false;
}

/** The names of an object that is written out; undefined where it takes over others or computes a name. */
export function objectNames(given: t.Node): string[] | undefined {
  const node = bare(given);
  if (node.type !== 'ObjectExpression') return undefined;
  const names = node.properties.map((one) => (one.type === 'SpreadElement' || one.computed ? undefined : keyName(one)));
  return names.every((name): name is string => name !== undefined) ? names : undefined;
}

/** What a function gives in the end, by its own last `return`; undefined where it gives nothing. */
export function resultOf({ body }: FunctionNode): t.Node | undefined {
  if (body.type !== 'BlockStatement') return bare(body);
  const last = body.body.findLast((one): one is t.ReturnStatement => one.type === 'ReturnStatement');
  return last?.argument ? bare(last.argument) : undefined;
}

/** Methods that make a list of another one, and only of lists. */
const listMaking = /^(?:map|flatMap|filter|toSorted|toReversed|toSpliced)$/;

/** What an expression makes in place; undefined for what it takes from elsewhere. */
export function madeIn(node: t.Node): 'list' | 'object' | 'function' | undefined {
  if (isFunction(node)) return 'function';
  if (node.type === 'CallExpression' && node.callee.type === 'MemberExpression' && !node.callee.computed)
    return node.callee.property.type === 'Identifier' && listMaking.test(node.callee.property.name) ? 'list' : undefined;
  return node.type === 'ArrayExpression' ? 'list' : node.type === 'ObjectExpression' ? 'object' : undefined;
}
