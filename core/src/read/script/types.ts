import type * as t from '@babel/types';
import type { Span } from '../../model/span';
import type { TypeExpr, TypeFact, TypeMember } from '../../model/types';
import { annotationOf, dottedName, keyName, spanOf } from './syntax';

const unknown: TypeExpr = { kind: 'unknown' };

const primitives: Readonly<Record<string, string>> = {
  TSStringKeyword: 'string',
  TSNumberKeyword: 'number',
  TSBooleanKeyword: 'boolean',
  TSBigIntKeyword: 'bigint',
  TSSymbolKeyword: 'symbol',
  TSObjectKeyword: 'object',
  TSVoidKeyword: 'void',
  TSNeverKeyword: 'never',
};

/** The type that a syntax node declares; `unknown` for forms that no contract depends on. */
export function readType(node: t.TSType): TypeExpr {
  const primitive = primitives[node.type];
  if (primitive) return { kind: 'primitive', name: primitive };
  switch (node.type) {
    case 'TSNullKeyword':
      return { kind: 'literal', value: null };
    case 'TSUndefinedKeyword':
      return { kind: 'literal', value: undefined };
    case 'TSLiteralType': {
      const { literal } = node;
      if (literal.type === 'StringLiteral' || literal.type === 'NumericLiteral' || literal.type === 'BooleanLiteral') {
        return { kind: 'literal', value: literal.value };
      }
      return { kind: 'primitive', name: 'string' };
    }
    case 'TSTypeLiteral':
      return readMembers(node.members);
    case 'TSFunctionType':
    case 'TSConstructorType':
      return { kind: 'function', params: node.parameters.map((parameter) => typeOfAnnotation(parameter)) };
    case 'TSTypeReference':
      return { kind: 'ref', name: dottedName(node.typeName) ?? '', args: typeArguments(node) };
    case 'TSIntersectionType':
      return { kind: 'intersection', of: node.types.map(readType) };
    case 'TSUnionType':
      return { kind: 'union', of: node.types.map(readType) };
    case 'TSArrayType':
      return { kind: 'array', of: readType(node.elementType) };
    case 'TSTupleType':
      return { kind: 'array', of: unknown };
    case 'TSTypeQuery':
      return { kind: 'typeof', name: dottedName(node.exprName) ?? '' };
    case 'TSIndexedAccessType':
      return { kind: 'indexed', of: readType(node.objectType), key: readType(node.indexType) };
    case 'TSTypeOperator':
      return node.operator === 'keyof'
        ? { kind: 'keyof', of: readType(node.typeAnnotation as t.TSType) }
        : readType(node.typeAnnotation as t.TSType);
    case 'TSParenthesizedType':
      return readType(node.typeAnnotation);
    default:
      return unknown;
  }
}

/** Type arguments of a reference, a call or a tag: `Pick<A, 'b'>`. */
export function typeArguments(node: t.Node): TypeExpr[] {
  const holder = node as { typeParameters?: t.Node | null; typeArguments?: t.Node | null };
  const args = holder.typeArguments ?? holder.typeParameters;
  return args?.type === 'TSTypeParameterInstantiation' ? args.params.map(readType) : [];
}

/** The type a parameter or variable is annotated with; `unknown` without one. */
export function typeOfAnnotation(node: t.Node): TypeExpr {
  const annotation = annotationOf(node);
  return annotation ? readType(annotation) : unknown;
}

function readMembers(members: readonly t.TSTypeElement[]): TypeExpr {
  const found: TypeMember[] = [];
  let indexed = false;
  for (const member of members) {
    switch (member.type) {
      case 'TSPropertySignature': {
        const name = keyName(member);
        if (name === undefined) indexed = true;
        else found.push({ name, optional: Boolean(member.optional), type: typeOfAnnotation(member), span: spanOf(member) });
        break;
      }
      case 'TSMethodSignature': {
        const name = keyName(member);
        const type: TypeExpr = { kind: 'function', params: [] };
        if (name !== undefined) found.push({ name, optional: Boolean(member.optional), type, span: spanOf(member) });
        break;
      }
      case 'TSIndexSignature':
        indexed = true;
        break;
      case 'TSCallSignatureDeclaration':
        for (const { value, span } of textsOf(member.parameters[0]))
          found.push({ name: value, optional: true, type: { kind: 'function', params: [] }, span, called: true });
        break;
      default:
    }
  }
  return { kind: 'object', members: found, indexed };
}

/** The texts that a parameter may be: `'book'`, `'book' | 'clear'`. */
function textsOf(parameter: t.Node | undefined): { readonly value: string; readonly span: Span }[] {
  const type = parameter && annotationOf(parameter);
  const all = type?.type === 'TSUnionType' ? type.types : type ? [type] : [];
  return all.flatMap((one) =>
    one.type === 'TSLiteralType' && one.literal.type === 'StringLiteral' ? [{ value: one.literal.value, span: spanOf(one) }] : [],
  );
}

function typeParameters(node: t.Node | null | undefined): TypeFact['params'] {
  if (node?.type !== 'TSTypeParameterDeclaration') return [];
  return node.params.map((param) => {
    const name = typeof param.name === 'string' ? param.name : (param.name as t.Identifier).name;
    return { name, ...(param.default ? { fallback: readType(param.default) } : {}) };
  });
}

function readInterface(node: t.TSInterfaceDeclaration): TypeFact {
  const own = readMembers(node.body.body);
  const parents = (node.extends ?? []).map((parent): TypeExpr => ({
    kind: 'ref',
    name: dottedName(parent.expression) ?? '',
    args: typeArguments(parent),
  }));
  const type: TypeExpr = parents.length === 0 ? own : { kind: 'intersection', of: [...parents, own] };
  return { name: node.id.name, params: typeParameters(node.typeParameters), type, span: spanOf(node) };
}

/** A type that a statement declares, exported or not; undefined for other statements. */
export function readTypeDeclaration(statement: t.Node): TypeFact | undefined {
  switch (statement.type) {
    case 'TSInterfaceDeclaration':
      return readInterface(statement);
    case 'TSTypeAliasDeclaration':
      return {
        name: statement.id.name,
        params: typeParameters(statement.typeParameters),
        type: readType(statement.typeAnnotation),
        span: spanOf(statement),
      };
    case 'TSEnumDeclaration':
      return { name: statement.id.name, params: [], type: { kind: 'primitive', name: 'enum' }, span: spanOf(statement) };
    case 'ExportNamedDeclaration':
    case 'ExportDefaultDeclaration':
      return statement.declaration ? readTypeDeclaration(statement.declaration) : undefined;
    default:
      return undefined;
  }
}
