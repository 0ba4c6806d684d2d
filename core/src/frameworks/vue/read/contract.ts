import type * as t from '@babel/types';
import { type MemberKey, memberName, memberOf } from '../../../model/member';
import type { ComponentFacts, MemberFact, ProvideFact, SlotFact } from '../../../model/facts';
import type { Span } from '../../../model/span';
import type { TypeExpr } from '../../../model/types';
import type { Writable } from '../../../model/writable';
import { type Body, excerpt, propValue } from '../../../read/script/body';
import { bare, dottedName, keyName, spanOf } from '../../../read/script/syntax';
import { readType } from '../../../read/script/types';
import { eventMember, propMember } from './names';
import { ownValue } from '../../../model/own-value';

/** What a component declares to its users, while it is being read. */
export type DeclaredMembers = {
  readonly props: Map<string, MemberFact>;
  readonly events: Map<string, Span>;
  /** Props whose writing raises `update:…`. */
  readonly models: Set<number>;
  propsType?: TypeExpr;
  /** Types of events that are declared elsewhere. */
  readonly eventTypes: TypeExpr[];
  /** Where the props are declared. */
  propsSpan: Span;
  /** Names of props or events are not all known, whatever is mixed in. */
  open: boolean;
  /** Attributes that are not declared go to the root of the template by themselves. */
  inheritAttrs: boolean;
  /** The name that its options say; absent where they say none. */
  saidName?: string;
  /** What a two-way binding without a name means; absent where its options do not say. */
  boundBy?: NonNullable<ComponentFacts['boundBy']>;
  /** What is given to all below, outermost first. */
  readonly provides: ProvideFact[];
  /** Module names of the objects that are mixed in, where all of them are named. */
  readonly mixins: string[];
};

/** Whether a component may have members that its file does not name: its own text leaves them open, or something is mixed in. */
export const isOpen = ({ open, mixins }: DeclaredMembers): boolean => open || mixins.length > 0;

export function newDeclared(): DeclaredMembers {
  return {
    props: new Map(),
    events: new Map(),
    eventTypes: [],
    propsSpan: { start: 0, end: 0 },
    models: new Set(),
    open: false,
    inheritAttrs: true,
    provides: [],
    mixins: [],
  };
}

/** Declares the props of an array or an object: `['boat']`, `{ boat: String, eta: { type: Date, required: true } }`. */
export function declareProps(body: Body, declared: DeclaredMembers, given: t.Node): void {
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
    const option = (key: string): t.Node | undefined => fieldOf(options, key);
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
  return node.type === 'Identifier' ? ownValue(constructors, node.name) : undefined;
}

function spreads(options: t.ObjectExpression | undefined): boolean {
  return options?.properties.some((one) => one.type === 'SpreadElement') ?? false;
}

/** The value of a member of an object that is written in place. */
export function fieldOf(object: t.Node | undefined, name: string): t.Node | undefined {
  if (object?.type !== 'ObjectExpression') return undefined;
  for (const property of object.properties) {
    if (property.type === 'SpreadElement' || keyName(property) !== name) continue;
    return property.type === 'ObjectProperty' ? property.value : property;
  }
  return undefined;
}

export function addProp(
  body: Body,
  declared: DeclaredMembers,
  name: string,
  span: Span,
  required: MemberFact['required'],
  fallback?: string,
  kind: MemberFact['kind'] = 'value',
  type?: TypeExpr,
): number {
  const prop: Writable<MemberFact> = { key: propMember(name), name, span, kind, required };
  if (fallback !== undefined) prop.fallback = fallback;
  if (type) prop.type = type;
  declared.props.set(name, prop);
  return propValue(body, name, span);
}

/** Declares events by name: `['book']`, `{ book: (id) => true }`. */
export function declareEvents(declared: DeclaredMembers, given: t.Node): void {
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
export function declareEventTypes(declared: DeclaredMembers, type: t.TSType, statements: readonly t.Statement[], depth = 0): void {
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
      declared.eventTypes.push(readType(type));
      return;
    }
    default:
      declared.open = true;
  }
}

function declareEventMembers(declared: DeclaredMembers, members: readonly t.TSTypeElement[]): void {
  for (const member of members) {
    if (member.type === 'TSCallSignatureDeclaration') declareCallSignature(declared, member.parameters);
    else if (member.type === 'TSPropertySignature' || member.type === 'TSMethodSignature') {
      const name = keyName(member);
      if (name !== undefined) declared.events.set(name, spanOf(member.key));
    } else declared.open = true;
  }
}

function declareCallSignature(declared: DeclaredMembers, parameters: readonly t.Node[]): void {
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

export function declarePropsType(declared: DeclaredMembers, type: t.TSType): void {
  declared.propsType = readType(type);
}

/** All that users may give: declared props, props that are only read, events, and slots. */
export function membersOf(body: Body, declared: DeclaredMembers, slots: readonly SlotFact[]): MemberFact[] {
  const members = new Map<MemberKey, MemberFact>();
  const add = (key: MemberKey, name: string, span: Span, kind: MemberFact['kind'], required: MemberFact['required']): void => {
    members.set(key, { key, name, span, kind, required });
  };
  for (const prop of declared.props.values()) members.set(prop.key, prop);
  for (const [event, span] of declared.events) {
    const key = eventMember(event);
    add(key, memberName(key), span, 'callback', 'no');
  }
  for (const { key, span } of slots) add(key, memberName(key), span, 'slot', 'no');
  for (const [key, value] of body.propValues) {
    const { kind, name } = memberOf(key);
    const span = body.values[value]?.span ?? { start: 0, end: 0 };
    if (!members.has(key)) add(key, name, span, kind === 'event' || kind === 'model' ? 'callback' : 'value', 'unknown');
  }
  for (const [key, { fallback }] of body.taken) {
    const known = members.get(key);
    if (known && fallback !== undefined && known.fallback === undefined) members.set(key, { ...known, fallback });
  }
  return [...members.values()];
}
