import type * as t from '@babel/types';
import { bare, dottedName, type FunctionNode, isFunction, keyName, pushChildren } from './syntax';

/** A module that a function loads, and what is taken of it: `default` where it is handed on whole. */
export type Loaded = { readonly from: string; readonly exported: string };

/** Names under which a loaded module, or what a function makes of one, gives the component to those who wait for it. */
const given = new Set(['default', 'Component', 'component']);

/** More nodes than this are no loader. */
const mostNodes = 400;

/**
 * What a function loads and gives: `() => import('./X')` the default of `./X`;
 * `.then((m) => m.Y)`, `({ default: m.Y })`, `const { Y } = await import('./X'); return { Component: Y }` its `Y`.
 * Undefined where what it gives is not loaded.
 */
export function loadedBy(fn: FunctionNode | t.ObjectMethod): Loaded | undefined {
  const seen = lookThrough(fn.body);
  const [from] = seen?.imports ?? [];
  if (!seen || from === undefined) return undefined;
  const results = fn.body.type === 'BlockStatement' ? seen.returned : [...seen.returned, fn.body];
  const isGiven = results.some((one) => lookThrough(one)?.imports.length || namesIn(one).some((name) => seen.members.has(name)));
  if (!isGiven) return undefined;
  for (const result of results) {
    const exported = memberOf(result, seen.members);
    if (exported !== undefined) return { from, exported };
    if (namedIn(result) !== undefined) return undefined;
  }
  return { from, exported: 'default' };
}

/** The component that a function gives by name, whatever else it loads: `() => ({ Component: Outlet, loader })`. */
export function namedBy(fn: FunctionNode | t.ObjectMethod): string | undefined {
  const seen = lookThrough(fn.body);
  const results = seen ? (fn.body.type === 'BlockStatement' ? seen.returned : [...seen.returned, fn.body]) : [];
  return results.map(namedIn).find((one) => one !== undefined);
}

function namedIn(result: t.Node): string | undefined {
  const node = bare(result);
  if (node.type !== 'ObjectExpression') return undefined;
  const property = node.properties.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && given.has(keyName(one) ?? ''));
  return property && dottedName(bare(property.value));
}

/** What a call loads that is handed a function, or options that hold one: `lazy(() => import('./X'))`, `load({ loader: () => import('./X') })`. */
export function loadedByCall(node: t.Node): Loaded | undefined {
  const call = bare(node);
  if (call.type !== 'CallExpression' || call.callee.type === 'Import') return undefined;
  for (const argument of call.arguments) {
    const one = bare(argument);
    const found = isFunction(one) ? loadedBy(one) : one.type === 'ObjectExpression' ? loadedByOption(one) : loadedByCall(one);
    if (found) return found;
  }
  return undefined;
}

function loadedByOption(options: t.ObjectExpression): Loaded | undefined {
  for (const property of options.properties) {
    const fn = property.type === 'ObjectMethod' ? property : property.type === 'ObjectProperty' ? bare(property.value) : undefined;
    const found = fn && (fn.type === 'ObjectMethod' || isFunction(fn)) ? loadedBy(fn) : undefined;
    if (found) return found;
  }
  return undefined;
}

type Seen = {
  readonly imports: string[];
  readonly returned: t.Node[];
  /** What each name stands for that a loaded module was taken apart into; an empty text for the module itself. */
  readonly members: Map<string, string>;
};

function lookThrough(body: t.Node): Seen | undefined {
  const seen: Seen = { imports: [], returned: [], members: new Map() };
  const stack: t.Node[] = [body];
  const followed = new Set<t.Node>();
  let count = 0;
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (++count > mostNodes) return undefined;
    // What another function does is done later, unless it is handed what was loaded.
    if (node !== body && isFunction(node) && !followed.has(node)) continue;
    if (node.type === 'CallExpression' && (node.callee.type === 'Import' || dottedName(node.callee) === 'System.import')) {
      const from = specifierOf(node.arguments[0]);
      if (from !== undefined) seen.imports.push(from);
    } else if (node.type === 'ReturnStatement' && node.argument) seen.returned.push(node.argument);
    else if (node.type === 'VariableDeclarator' && node.init && awaitsImport(node.init)) noteMembers(node.id, seen.members);
    else if (node.type === 'CallExpression' && node.callee.type === 'MemberExpression' && dottedName(node.callee.property) === 'then') {
      const [then] = node.arguments;
      const [first] = isFunction(then) ? then.params : [];
      if (then) followed.add(then);
      if (first) noteMembers(first, seen.members);
      if (isFunction(then) && then.body.type !== 'BlockStatement') seen.returned.push(then.body);
    }
    pushChildren(node, stack);
  }
  return seen;
}

function specifierOf(node: t.Node | undefined): string | undefined {
  if (node?.type === 'StringLiteral') return node.value;
  if (node?.type === 'TemplateLiteral' && node.expressions.length === 0) return node.quasis[0]?.value.cooked ?? undefined;
  return undefined;
}

function awaitsImport(init: t.Node): boolean {
  return init.type === 'AwaitExpression' && (lookThrough(init.argument)?.imports.length ?? 0) > 0;
}

function noteMembers(pattern: t.Node, members: Map<string, string>): void {
  if (pattern.type === 'Identifier') members.set(pattern.name, '');
  if (pattern.type === 'ArrayPattern') for (const one of pattern.elements) if (one) noteMembers(one, members);
  if (pattern.type !== 'ObjectPattern') return;
  for (const property of pattern.properties) {
    if (property.type !== 'ObjectProperty' || property.value.type !== 'Identifier') continue;
    const key = keyName(property);
    if (key !== undefined) members.set(property.value.name, key);
  }
}

/** The member of the loaded module that a result gives. */
function memberOf(result: t.Node, members: ReadonlyMap<string, string>): string | undefined {
  const node = bare(result);
  if (node.type === 'ObjectExpression') {
    for (const property of node.properties) {
      if (property.type !== 'ObjectProperty' || !given.has(keyName(property) ?? '')) continue;
      const found = memberOf(property.value, members);
      if (found !== undefined) return found;
    }
    return undefined;
  }
  if (node.type === 'Identifier') return members.get(node.name) || undefined;
  if (node.type !== 'MemberExpression' && node.type !== 'OptionalMemberExpression') return undefined;
  const key = !node.computed && node.property.type === 'Identifier' ? node.property.name : specifierOf(node.property as t.Node);
  const of = bare(node.object);
  const isModule = of.type === 'Identifier' ? members.get(of.name) === '' : awaitsImport(node.object);
  return isModule ? key : undefined;
}

function namesIn(node: t.Node): string[] {
  const found: string[] = [];
  const stack: t.Node[] = [node];
  for (let one = stack.pop(); one; one = stack.pop()) {
    if (one.type === 'Identifier') found.push(one.name);
    pushChildren(one, stack);
  }
  return found;
}
