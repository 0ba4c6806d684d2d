import type * as t from '@babel/types';
import type { PropFact, SlotFact } from '../../model/facts';
import type { Span } from '../../model/span';
import type { TypeExpr } from '../../model/types';
import type { Writable } from '../../model/writable';
import type { Provided } from '../markup/contract';
import { type Body, excerpt, propValue } from '../script/body';
import { bare, dottedName, keyName, spanOf } from '../script/syntax';
import { readType } from '../script/types';
import { eventKey } from './names';

/** What a component declares to its users, while it is being read. */
export type Declared = {
  readonly props: Map<string, PropFact>;
  readonly events: Map<string, Span>;
  /** Props whose writing raises `update:…`. */
  readonly models: Set<number>;
  propsType?: TypeExpr;
  /** Where the props are declared. */
  propsSpan: Span;
  /** Names of props or events are not all known. */
  open: boolean;
  /** Attributes that are not declared go to the root of the template by themselves. */
  inheritAttrs: boolean;
  /** What is given to all below, outermost first. */
  readonly provides: Provided[];
};

export function newDeclared(): Declared {
  return {
    props: new Map(),
    events: new Map(),
    propsSpan: { start: 0, end: 0 },
    models: new Set(),
    open: false,
    inheritAttrs: true,
    provides: [],
  };
}

/** Declares the props of an array or an object: `['boat']`, `{ boat: String, eta: { type: Date, required: true } }`. */
export function declareProps(body: Body, declared: Declared, given: t.Node): void {
  const node = bare(given);
  if (node.type === 'ArrayExpression') {
    for (const one of node.elements) {
      if (one?.type === 'StringLiteral') addProp(body, declared, one.value, spanOf(one), 'no');
      else declared.open = true;
    }
    return;
  }
  if (node.type !== 'ObjectExpression') {
    declared.open = true;
    return;
  }
  for (const property of node.properties) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    if (name === undefined || property.type === 'SpreadElement') {
      declared.open = true;
      continue;
    }
    const value = property.type === 'ObjectProperty' ? bare(property.value) : undefined;
    const options = value?.type === 'ObjectExpression' ? value : undefined;
    const option = (key: string): t.Node | undefined => memberOf(options, key);
    const required = option('required');
    const fallback = option('default');
    const type = option('type') ?? value;
    addProp(
      body,
      declared,
      name,
      spanOf(property.key),
      required?.type === 'BooleanLiteral' ? (required.value && !fallback ? 'yes' : 'no') : required || spreads(options) ? 'unknown' : 'no',
      fallback ? excerpt(body.module, spanOf(fallback)) : undefined,
      /^on[A-Z]/.test(name) || (type && dottedName(bare(type)) === 'Function') ? 'callback' : 'value',
      type && runtimeType(type),
    );
  }
}

const constructors: Readonly<Record<string, TypeExpr>> = {
  String: { kind: 'primitive', name: 'string' },
  Number: { kind: 'primitive', name: 'number' },
  Boolean: { kind: 'primitive', name: 'boolean' },
  Function: { kind: 'function', params: [] },
  Array: { kind: 'array', of: { kind: 'unknown' } },
};

/** The type that a runtime declaration stands for: `Number`, `[String, Number]`; unknown for all that may be narrowed or checked otherwise. */
function runtimeType(node: t.Node): TypeExpr | undefined {
  const given = bare(node);
  if (given.type === 'ArrayExpression') {
    const parts = given.elements.map((one) => one && runtimeType(one));
    return parts.every((part) => part !== undefined && part !== null) ? { kind: 'union', of: parts as TypeExpr[] } : undefined;
  }
  return node.type === 'Identifier' ? constructors[node.name] : undefined;
}

function spreads(options: t.ObjectExpression | undefined): boolean {
  return options?.properties.some((one) => one.type === 'SpreadElement') ?? false;
}

/** The value of a member of an object that is written in place. */
export function memberOf(object: t.Node | undefined, name: string): t.Node | undefined {
  if (object?.type !== 'ObjectExpression') return undefined;
  for (const property of object.properties) {
    if (property.type === 'SpreadElement' || keyName(property) !== name) continue;
    return property.type === 'ObjectProperty' ? property.value : property;
  }
  return undefined;
}

export function addProp(
  body: Body,
  declared: Declared,
  name: string,
  span: Span,
  required: PropFact['required'],
  fallback?: string,
  kind: PropFact['kind'] = 'value',
  type?: TypeExpr,
): number {
  const prop: Writable<PropFact> = { name, span, kind, required };
  if (fallback !== undefined) prop.fallback = fallback;
  if (type) prop.type = type;
  declared.props.set(name, prop);
  return propValue(body, name, span);
}

/** Declares events by name: `['book']`, `{ book: (id) => true }`. */
export function declareEvents(declared: Declared, given: t.Node): void {
  const node = bare(given);
  if (node.type === 'ArrayExpression') {
    for (const one of node.elements) {
      if (one?.type === 'StringLiteral') declared.events.set(one.value, spanOf(one));
      else declared.open = true;
    }
  } else if (node.type === 'ObjectExpression') {
    for (const property of node.properties) {
      const name = property.type === 'SpreadElement' ? undefined : keyName(property);
      if (name === undefined || property.type === 'SpreadElement') declared.open = true;
      else declared.events.set(name, spanOf(property.key));
    }
  } else declared.open = true;
}

/** Declares events by type, in both forms: `{ book: [id: string] }`, `{ (e: 'book', id: string): void }`. */
export function declareEventTypes(declared: Declared, type: t.TSType, statements: readonly t.Statement[], depth = 0): void {
  switch (type.type) {
    case 'TSTypeLiteral':
      declareEventMembers(declared, type.members);
      return;
    case 'TSFunctionType':
      declareCallSignature(declared, type.parameters);
      return;
    case 'TSIntersectionType':
      for (const one of type.types) declareEventTypes(declared, one, statements, depth + 1);
      return;
    case 'TSTypeReference': {
      const name = dottedName(type.typeName);
      const own = statements.map((one) => (one.type === 'ExportNamedDeclaration' ? one.declaration : one));
      for (const one of own) {
        if (one?.type === 'TSInterfaceDeclaration' && one.id.name === name && !one.extends?.length) {
          declareEventMembers(declared, one.body.body);
          return;
        }
        if (one?.type === 'TSTypeAliasDeclaration' && one.id.name === name && depth < 5) {
          declareEventTypes(declared, one.typeAnnotation, statements, depth + 1);
          return;
        }
      }
      declared.open = true;
      return;
    }
    default:
      declared.open = true;
  }
}

function declareEventMembers(declared: Declared, members: readonly t.TSTypeElement[]): void {
  for (const member of members) {
    if (member.type === 'TSCallSignatureDeclaration') declareCallSignature(declared, member.parameters);
    else if (member.type === 'TSPropertySignature' || member.type === 'TSMethodSignature') {
      const name = keyName(member);
      if (name !== undefined) declared.events.set(name, spanOf(member.key));
    } else declared.open = true;
  }
}

function declareCallSignature(declared: Declared, parameters: readonly t.Node[]): void {
  const [first] = parameters;
  const annotation = first && 'typeAnnotation' in first ? (first as t.Identifier).typeAnnotation : undefined;
  const type = annotation?.type === 'TSTypeAnnotation' ? annotation.typeAnnotation : undefined;
  const all = type?.type === 'TSUnionType' ? type.types : type ? [type] : [];
  if (all.length === 0) declared.open = true;
  for (const one of all) {
    if (one.type === 'TSLiteralType' && one.literal.type === 'StringLiteral') declared.events.set(one.literal.value, spanOf(one));
    else declared.open = true;
  }
}

export function declarePropsType(declared: Declared, type: t.TSType): void {
  declared.propsType = readType(type);
}

/** All that users may give: declared props, props that are only read, events, and slots. */
export function propsOf(body: Body, declared: Declared, slots: readonly SlotFact[]): PropFact[] {
  const props = new Map(declared.props);
  for (const [name, span] of declared.events) {
    const key = eventKey(name);
    props.set(key, { name: key, span, kind: 'callback', required: 'no' });
  }
  for (const slot of slots) props.set(slot.name, { name: slot.name, span: slot.span, kind: 'slot', required: 'no' });
  for (const [name, value] of body.propValues) {
    const span = body.values[value]?.span ?? { start: 0, end: 0 };
    if (!props.has(name)) props.set(name, { name, span, kind: name.startsWith('@') ? 'callback' : 'value', required: 'unknown' });
  }
  for (const [name, taken] of body.taken) {
    const known = props.get(name);
    if (known && taken.fallback !== undefined && known.fallback === undefined) props.set(name, { ...known, fallback: taken.fallback });
  }
  return [...props.values()];
}
