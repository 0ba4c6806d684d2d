import type { FileFacts } from '../model/facts';
import type { FilePath, Span } from '../model/span';
import type { TypeExpr } from '../model/types';
import type { Names } from './names';

/** What a props type allows: its members, and whether others may be passed. */
export type Shape = {
  readonly members: ReadonlyMap<string, ShapeMember>;
  readonly openness: 'closed' | 'platform' | 'open';
  /** The alternatives of a union that one member tells apart by a constant each; absent where none does. */
  readonly variants?: readonly ShapeVariant[];
};

/** What holds where the member `by` is a constant, as JSON writes it. */
export type ShapeVariant = { readonly by: string; readonly value: string; readonly shape: Shape };

export type ShapeMember = {
  readonly name: string;
  readonly optional: boolean;
  readonly type: TypeExpr;
  readonly file: FilePath;
  readonly span: Span;
  /** Several declarations of one name came together: the type is that of one of them. */
  readonly mixed?: true;
  /** Only some alternatives of a union have it. */
  readonly some?: true;
  /** No member, but a text that a call may begin with. */
  readonly called?: true;
  /** Declared where type parameters have a meaning, or in a module that another one describes: its names cannot be looked up alone. */
  readonly bound?: true;
};

/** Where a type expression stands, and what the type parameters around it are given as. */
type Place = {
  readonly file: FilePath;
  readonly imports?: FileFacts['imports'];
  readonly given: ReadonlyMap<string, { readonly type: TypeExpr; readonly at: Place }>;
};

const open: Shape = { members: new Map(), openness: 'open' };
const native: Shape = { members: new Map(), openness: 'platform' };
const nothing: Shape = { members: new Map(), openness: 'closed' };

/** Types of the platform's own attributes, by the names that type packages give them. */
const nativeTypes = /^(\w*(HTML|SVG|Aria|DOM)\w*(Attributes|Props)|SVGProps|DetailedHTMLProps|ClassAttributes|IntrinsicElements)$/;
const withoutProps = /^(RefAttributes|Attributes|JSX\.IntrinsicAttributes)$/;

/** The shape of another component's props, for `ComponentProps<typeof X>`. */
export type ShapeOfComponent = (file: FilePath, name: string) => Shape | undefined;

/** Resolves the declared type of a component's props. What cannot be seen makes the shape open. */
export function shapeOf(names: Names, ofComponent: ShapeOfComponent, file: FilePath, type: TypeExpr): Shape {
  return resolve({ names, ofComponent }, type, { file, given: new Map() }, 0);
}

type Resolver = { readonly names: Names; readonly ofComponent: ShapeOfComponent };

function resolve(resolver: Resolver, type: TypeExpr, at: Place, depth: number): Shape {
  if (depth > 24) return open;
  switch (type.kind) {
    case 'object': {
      const bound = at.given.size > 0 || at.imports !== undefined;
      const members = type.members.map((one): [string, ShapeMember] => [one.name, { ...one, file: at.file, ...(bound ? { bound } : {}) }]);
      return { members: new Map(members), openness: type.indexed ? 'open' : 'closed' };
    }
    case 'ref':
      return reference(resolver, type, at, depth);
    case 'intersection':
      return type.of.map((one) => resolve(resolver, one, at, depth + 1)).reduce(both, nothing);
    case 'union': {
      const shapes = type.of.filter((one) => one.kind !== 'literal').map((one) => resolve(resolver, one, at, depth + 1));
      if (shapes.length === 0) return open;
      const variants = variantsOf(shapes);
      return { ...shapes.reduce(either), ...(variants ? { variants } : {}) };
    }
    case 'indexed':
      return indexed(type);
    default:
      return open;
  }
}

/** Tells the alternatives of a union apart by the first member that each of them requires as another constant; undefined where none is. */
function variantsOf(shapes: readonly Shape[]): readonly ShapeVariant[] | undefined {
  const [first] = shapes;
  if (!first || shapes.length < 2 || shapes.some((one) => one.openness === 'open')) return undefined;
  const valueIn = (shape: Shape, name: string): string | undefined => {
    const member = shape.members.get(name);
    return member && !member.optional && member.type.kind === 'literal' ? JSON.stringify(member.type.value) : undefined;
  };
  for (const by of first.members.keys()) {
    const values = shapes.map((shape) => valueIn(shape, by));
    if (values.includes(undefined) || new Set(values).size < values.length) continue;
    return shapes.map((shape, index) => ({ by, value: values[index] ?? '', shape }));
  }
  return undefined;
}

function indexed(type: Extract<TypeExpr, { kind: 'indexed' }>): Shape {
  return type.of.kind === 'ref' && /IntrinsicElements$/.test(type.of.name) ? native : open;
}

function loosest(a: Shape['openness'], b: Shape['openness']): Shape['openness'] {
  if (a === 'open' || b === 'open') return 'open';
  return a === 'platform' || b === 'platform' ? 'platform' : 'closed';
}

function both(a: Shape, b: Shape): Shape {
  const members = new Map(a.members);
  for (const [name, member] of b.members) {
    const known = members.get(name);
    members.set(name, known ? { ...member, optional: known.optional && member.optional, mixed: true } : member);
  }
  const variants = a.variants ?? b.variants;
  const rest = a.variants ? b : a;
  return {
    members,
    openness: loosest(a.openness, b.openness),
    ...(variants ? { variants: variants.map((one) => ({ ...one, shape: both(rest, one.shape) })) } : {}),
  };
}

/** In a union a member is required only where every alternative requires it. */
function either(a: Shape, b: Shape): Shape {
  const members = new Map<string, ShapeMember>();
  for (const [name, member] of [...a.members, ...b.members]) {
    const inBoth = a.members.get(name)?.optional === false && b.members.get(name)?.optional === false;
    members.set(name, { ...member, optional: !inBoth, ...(a.members.has(name) && b.members.has(name) ? { mixed: true } : { some: true }) });
  }
  return { members, openness: loosest(a.openness, b.openness) };
}

function mapMembers(shape: Shape, change: (member: ShapeMember) => ShapeMember | undefined): Shape {
  const members = [...shape.members.values()].flatMap((member) => change(member) ?? []);
  return {
    members: new Map(members.map((member) => [member.name, member])),
    openness: shape.openness,
    ...(shape.variants ? { variants: shape.variants.map((one) => ({ ...one, shape: mapMembers(one.shape, change) })) } : {}),
  };
}

/** The names that a key type lists: `'a' | 'b'`, `keyof T`; undefined where it does not tell. */
function keysOf(resolver: Resolver, type: TypeExpr | undefined, at: Place, depth: number): Set<string> | undefined {
  if (!type) return undefined;
  switch (type.kind) {
    case 'literal':
      return typeof type.value === 'string' ? new Set([type.value]) : undefined;
    case 'union': {
      const parts = type.of.map((one) => keysOf(resolver, one, at, depth + 1));
      return parts.every((part) => part !== undefined) ? new Set(parts.flatMap((part) => [...(part ?? [])])) : undefined;
    }
    case 'keyof': {
      const shape = resolve(resolver, type.of, at, depth + 1);
      return shape.openness === 'closed' ? new Set(shape.members.keys()) : undefined;
    }
    case 'ref': {
      const given = at.given.get(type.name);
      if (given) return keysOf(resolver, given.type, given.at, depth + 1);
      const found = resolver.names.meantType(at.file, type.name, at.imports);
      const declared = found && 'types' in found ? found : undefined;
      const [only] = declared?.types ?? [];
      return declared && only && depth < 24
        ? keysOf(
            resolver,
            only.type,
            { file: declared.file, given: new Map(), ...(declared.imports ? { imports: declared.imports } : {}) },
            depth + 1,
          )
        : undefined;
    }
    default:
      return undefined;
  }
}

function reference(resolver: Resolver, type: Extract<TypeExpr, { kind: 'ref' }>, at: Place, depth: number): Shape {
  const given = at.given.get(type.name);
  if (given) return resolve(resolver, given.type, given.at, depth + 1);
  const found = resolver.names.meantType(at.file, type.name, at.imports);
  if (found && 'types' in found) {
    return found.types
      .map((fact) => {
        const args = new Map(
          fact.params.map((param, index) => {
            const argument = type.args[index];
            if (argument) return [param.name, { type: argument, at }] as const;
            return [
              param.name,
              {
                type: param.fallback ?? { kind: 'unknown' as const },
                at: { file: found.file, given: new Map(), ...(found.imports ? { imports: found.imports } : {}) },
              },
            ] as const;
          }),
        );
        return resolve(
          resolver,
          fact.type,
          { file: found.file, given: args, ...(found.imports ? { imports: found.imports } : {}) },
          depth + 1,
        );
      })
      .reduce(both, nothing);
  }
  return wellKnown(resolver, type, at, depth);
}

/** Types of the language and of the framework. */
function wellKnown(resolver: Resolver, type: Extract<TypeExpr, { kind: 'ref' }>, at: Place, depth: number): Shape {
  const name = type.name.split('.').at(-1) ?? '';
  const [first, second] = type.args;
  const inner = (): Shape => (first ? resolve(resolver, first, at, depth + 1) : open);
  switch (name) {
    case 'Partial':
      return mapMembers(inner(), (member) => ({ ...member, optional: true }));
    case 'Required':
      return mapMembers(inner(), (member) => ({ ...member, optional: false }));
    case 'Readonly':
    case 'NonNullable':
    case 'Simplify':
    case 'Prettify':
    case 'PropsWithoutRef':
    case 'PropsWithRef':
      return inner();
    case 'PropsWithChildren': {
      const children: ShapeMember = {
        name: 'children',
        optional: true,
        type: { kind: 'unknown' },
        file: at.file,
        span: { start: 0, end: 0 },
      };
      return first
        ? both(inner(), { members: new Map([['children', children]]), openness: 'closed' })
        : { members: new Map([['children', children]]), openness: 'closed' };
    }
    case 'Pick':
    case 'Omit': {
      const keys = keysOf(resolver, second, at, depth + 1);
      if (!keys) return open;
      if (name === 'Omit') return mapMembers(inner(), (member) => (keys.has(member.name) ? undefined : member));
      const { members } = inner();
      const chosen = (key: string): ShapeMember =>
        members.get(key) ?? { name: key, optional: true, type: { kind: 'unknown' }, file: at.file, span: { start: 0, end: 0 } };
      return { members: new Map([...keys].map((key) => [key, chosen(key)])), openness: 'closed' };
    }
    case 'Record': {
      const keys = keysOf(resolver, first, at, depth + 1);
      if (!keys || !second) return open;
      if (second.kind === 'primitive' && second.name === 'never') return nothing;
      return {
        members: new Map(
          [...keys].map((key) => [key, { name: key, optional: false, type: second, file: at.file, span: { start: 0, end: 0 } }]),
        ),
        openness: 'closed',
      };
    }
    case 'ComponentProps':
    case 'ComponentPropsWithRef':
    case 'ComponentPropsWithoutRef':
      if (first?.kind === 'typeof') return resolver.ofComponent(at.file, first.name) ?? open;
      return first?.kind === 'literal' ? native : open;
    default:
      if (withoutProps.test(type.name)) return nothing;
      return nativeTypes.test(name) ? native : open;
  }
}
