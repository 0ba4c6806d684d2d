import type * as t from '@babel/types';
import type { KeyPart } from '../../model/facts';
import { type Body, excerpt, type ModuleScope } from './body';
import { bare, calleeName, dottedName, type FunctionNode, isFunction, keyName, spanOf } from './syntax';

/** Longer lists, and texts that are longer, are no keys. */
const most = { parts: 8, text: 80 };

/** Calls that give the options of a query as they are handed in. */
const givesOptions = /^(?:infiniteQ|q)ueryOptions$/;

/** The parts of a key as it is written: `['boats', id]`, `boatKeys.one(id)`, `boatsQuery.queryKey`; empty where nothing is written. */
export function keyParts(module: ModuleScope, given: t.Node | undefined): KeyPart[] {
  const node = given && bare(given);
  if (!node) return [];
  if (node.type !== 'ArrayExpression') {
    const whole = partOf(module, node);
    // How many parts it has is not told: it is no other key than one of the same name.
    return [whole.kind === 'open' ? { kind: 'name', name: whole.text } : whole];
  }
  return node.elements.flatMap((one): KeyPart[] =>
    one === null ? [] : one.type === 'SpreadElement' ? keyParts(module, one.argument) : [partOf(module, one)],
  );
}

function partOf(module: ModuleScope, given: t.Node): KeyPart {
  const node = bare(given);
  if (node.type === 'StringLiteral' || node.type === 'NumericLiteral') return { kind: 'text', text: String(node.value) };
  const name = nameOf(node);
  const text = name === undefined ? undefined : module.texts.get(name);
  if (text !== undefined) return { kind: 'text', text };
  if (name !== undefined && module.names.has(name.split('.')[0] ?? '')) return { kind: 'name', name };
  return { kind: 'open', text: excerpt(module, spanOf(node)) };
}

/** `boatKeys.all`, `boatKeys.one(id)`, `boatsQuery().queryKey`: the name of what gives the key, without its calls. */
function nameOf(node: t.Node): string | undefined {
  if (node.type === 'CallExpression') return nameOf(bare(node.callee));
  if (node.type !== 'MemberExpression' || node.computed) return dottedName(node);
  const of = nameOf(bare(node.object));
  const member = keyName({ key: node.property });
  return of === undefined || member === undefined ? undefined : `${of}.${member}`;
}

/**
 * The keys that something of a module stands for, by the members that lead to them: of `{ all: ['boats'], one: (id) =>
 * ['boats', id] }` those of `all` and `one`, of a list the one without a name, of options that of `queryKey`. Undefined
 * where there are none.
 */
export function keysHeld(module: ModuleScope, given: t.Node): Readonly<Record<string, readonly KeyPart[]>> | undefined {
  const found: Record<string, readonly KeyPart[]> = {};
  collect(module, given, [], found);
  return Object.keys(found).length > 0 ? found : undefined;
}

function collect(module: ModuleScope, given: t.Node, path: readonly string[], found: Record<string, readonly KeyPart[]>): void {
  const node = bare(given);
  if (isFunction(node)) {
    const made = resultOf(node);
    if (made && !isFunction(made)) collect(module, made, path, found);
  } else if (node.type === 'CallExpression') {
    const [options] = node.arguments;
    if (options && givesOptions.test(calleeName(node) ?? '')) collect(module, options, path, found);
  } else if (node.type === 'ArrayExpression') {
    if (isKey(module, node)) found[path.join('.')] = keyParts(module, node);
  } else if (node.type === 'ObjectExpression' && path.length < 3) {
    for (const one of node.properties) {
      const name = one.type === 'SpreadElement' ? undefined : keyName(one);
      if (name === undefined) continue;
      if (one.type === 'ObjectProperty') collectMember(module, one.value, name, [...path, name], found);
      else if (one.type === 'ObjectMethod') collect(module, one, [...path, name], found);
    }
  }
}

/** Of the options of a query, the key stands under its own name however it is written. */
function collectMember(
  module: ModuleScope,
  value: t.Node,
  name: string,
  path: readonly string[],
  found: Record<string, readonly KeyPart[]>,
): void {
  if (name === 'queryKey') found[path.join('.')] = keyParts(module, value);
  else collect(module, value, path, found);
}

/** The one thing that a function gives. */
function resultOf({ body }: FunctionNode): t.Node | undefined {
  if (body.type !== 'BlockStatement') return bare(body);
  const [only, ...more] = body.body;
  return only?.type === 'ReturnStatement' && more.length === 0 && only.argument ? bare(only.argument) : undefined;
}

/** A short list that begins with a text or with another key. */
function isKey(module: ModuleScope, node: t.ArrayExpression): boolean {
  const [first] = node.elements;
  if (!first || node.elements.length > most.parts) return false;
  if (first.type === 'SpreadElement') return nameOf(bare(first.argument)) !== undefined;
  const part = partOf(module, first);
  return part.kind === 'text' ? part.text.length <= most.text : part.kind === 'name';
}

const renewing = /^(?:setQuer(?:y|ies)Data|(?:invalidate|refetch|reset)Queries|fetchQuery|prefetchQuery)$/;
const renewingAll = /^(?:invalidate|refetch|reset)Queries$/;

/** The key of the query that a call sets or has asked again, empty for all of them; undefined for all other calls. */
export function renewedBy(
  { module }: Body,
  call: t.CallExpression | t.OptionalCallExpression,
  method: string | undefined,
): readonly KeyPart[] | undefined {
  if (method === undefined || !renewing.test(method)) return undefined;
  const [first] = call.arguments;
  const key = first && keyIn(bare(first));
  if (key) return keyParts(module, key);
  return !first && renewingAll.test(method) ? [] : undefined;
}

/** The key among the options of a query: written there, or those of the options that they begin with; what is no object stands for itself. */
export function keyIn(given: t.Node): t.Node | undefined {
  if (given.type !== 'ObjectExpression') return given;
  const written = given.properties.find(
    (one): one is t.ObjectProperty =>
      one.type === 'ObjectProperty' && one.key.type === 'Identifier' && /^(queryKey|key|url)$/.test(one.key.name),
  );
  return written?.value ?? given.properties.find((one): one is t.SpreadElement => one.type === 'SpreadElement')?.argument;
}
