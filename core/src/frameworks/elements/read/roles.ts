import type * as t from '@babel/types';
import type { MemberFact } from '../../../model/facts';
import type { Span } from '../../../model/span';
import type { TypeExpr } from '../../../model/types';
import { type ClassMember, type ClassNode, decoratorsOf, membersOf, type Role } from '../../../read/elements/class';
import { annotatedType } from '../../../read/elements/types';
import { bare, dottedName, isFunction, keyName, resultOf, spanOf } from '../../../read/script/syntax';
import { ownValue } from '../../../model/own-value';

/** What a class declares of a property: how it is set, and by which attribute. */
export type Property = {
  readonly span: Span;
  readonly isState: boolean;
  /** The attribute that sets it; absent for none. */
  readonly attribute?: string;
  readonly type?: TypeExpr;
  /** What makes the value of the attribute’s text: the class’s own converter. */
  readonly converts: boolean;
};

export type Declared = {
  readonly properties: ReadonlyMap<string, Property>;
  /** Attributes that the platform tells the class of. */
  readonly observed: readonly string[];
  /** The class is one of the framework that renders by a method and follows its properties. */
  readonly isReactive: boolean;
  readonly root: 'light' | 'open' | 'closed';
};

const constructors: Readonly<Record<string, TypeExpr>> = {
  String: { kind: 'primitive', name: 'string' },
  Number: { kind: 'primitive', name: 'number' },
  Boolean: { kind: 'primitive', name: 'boolean' },
  Array: { kind: 'array', of: { kind: 'unknown' } },
  Object: { kind: 'primitive', name: 'object' },
};

/** The options of a property: `{ type: Number, attribute: 'max-count', state: true }`. */
function propertyOf(name: string, given: t.Node | undefined, isState: boolean, at: t.Node): Property {
  const options = given && bare(given);
  const option = (key: string): t.Node | undefined =>
    options?.type === 'ObjectExpression'
      ? options.properties.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === key)?.value
      : undefined;
  const state = option('state');
  const attribute = option('attribute');
  const type = ownValue(constructors, dottedName(option('type') ?? null) ?? '');
  const hidden = isState || (state?.type === 'BooleanLiteral' && state.value);
  const named =
    attribute?.type === 'StringLiteral'
      ? attribute.value.toLowerCase()
      : attribute?.type === 'BooleanLiteral' && !attribute.value
        ? undefined
        : name.toLowerCase();
  return {
    span: spanOf(at),
    isState: hidden,
    converts: option('converter') !== undefined,
    ...(hidden || named === undefined ? {} : { attribute: named }),
    ...(type ? { type } : {}),
  };
}

const objectGiven = (node: t.Node | null | undefined): t.ObjectExpression | undefined => {
  const given = node && bare(node);
  if (isFunction(given)) return objectGiven(resultOf(given));
  return given?.type === 'ObjectExpression' ? given : undefined;
};

function textsIn(node: t.Node | null | undefined): string[] {
  const given = node && bare(node);
  if (isFunction(given)) return textsIn(resultOf(given));
  return given?.type === 'ArrayExpression' ? given.elements.flatMap((one) => (one?.type === 'StringLiteral' ? [one.value] : [])) : [];
}

/** What a class declares, by its static members and by decorators. */
export function declaredBy(node: ClassNode, text: string): Declared {
  const properties = new Map<string, Property>();
  let observed: string[] = [];
  for (const member of membersOf(node)) {
    const name = keyName(member);
    if (name === undefined) continue;
    if (member.static) {
      const value = member.type === 'ClassMethod' ? member : 'value' in member ? member.value : undefined;
      if (name === 'properties')
        for (const one of objectGiven(value)?.properties ?? []) {
          const key = one.type === 'ObjectProperty' ? keyName(one) : undefined;
          if (key !== undefined && one.type === 'ObjectProperty') properties.set(key, propertyOf(key, one.value, false, one.key));
        }
      if (name === 'observedAttributes') observed = textsIn(value);
      continue;
    }
    const decorators = decoratorsOf(member);
    const [options] = decorators.get('property') ?? [];
    if (decorators.has('property')) properties.set(name, withType(propertyOf(name, options, false, member.key), member));
    if (decorators.has('state') || decorators.has('internalProperty')) properties.set(name, propertyOf(name, undefined, true, member.key));
  }
  const base =
    dottedName(node.superClass ?? null)
      ?.split('.')
      .at(-1) ?? '';
  const isReactive =
    /^(?:Lit|Reactive|Updating)?\w*Element$/.test(base) && !/^HTML/.test(base)
      ? true
      : properties.size > 0 || hasMember(node, 'render', /(?:html|svg)`/, text);
  const mode = /attachShadow\(\s*\{[^}]*\bmode\s*:\s*['"](open|closed)/.exec(text)?.[1];
  const isLight = membersOf(node).some(
    (one) =>
      keyName(one) === 'createRenderRoot' &&
      /return\s+this\s*;?\s*\}/.test(text.slice((one.start ?? 0) - (node.start ?? 0), (one.end ?? 0) - (node.start ?? 0))),
  );
  const root =
    mode === 'closed'
      ? 'closed'
      : mode === 'open'
        ? 'open'
        : /attachShadow\(/.test(text)
          ? 'open'
          : isLight
            ? 'light'
            : /^(?:Lit|Reactive)Element$/.test(base)
              ? 'open'
              : 'light';
  return { properties, observed, isReactive, root };
}

const hasMember = (node: ClassNode, name: string, pattern: RegExp, text: string): boolean =>
  membersOf(node).some(
    (one) => keyName(one) === name && pattern.test(text.slice((one.start ?? 0) - (node.start ?? 0), (one.end ?? 0) - (node.start ?? 0))),
  );

/** The type that a field is annotated with says more than the constructor of its attribute. */
function withType(property: Property, member: ClassMember): Property {
  const type = annotatedType(member);
  return type ? { ...property, type } : property;
}

/** Members that are told by decorators of their own. */
const apart = /^(?:consume|provide|query|queryAsync|queryAll|queryAssignedElements|queryAssignedNodes)$/;

/** What a member of a class is to users and to the framework; `isMade` of a class that a function makes of another one, `isTyped` of a script with types. */
export function roleOf(
  { properties, isReactive }: Declared,
  isMade: boolean,
  isTyped: boolean,
): (name: string, members: readonly ClassMember[]) => Role | undefined {
  return (name, members) => {
    const decorators = members.flatMap((one) => [...decoratorsOf(one).keys()]);
    if (decorators.some((one) => one === 'consume' || /^query/.test(one))) return { kind: 'own' };
    const property = properties.get(name);
    if (property) {
      if (property.isState) return { kind: 'state' };
      // A field of a class defines its own property, which hides the one that is followed; types may be compiled to assignments.
      const hides = !isTyped && members.some((one) => one.type === 'ClassProperty' && (one.decorators ?? []).length === 0);
      return { kind: 'prop', member: memberOf(property), ...(hides ? { isHidden: true as const } : {}) };
    }
    if (decorators.some((one) => apart.test(one))) return { kind: 'state' };
    if (name.startsWith('#') || name.startsWith('_')) return isReactive || isMade ? { kind: 'plain' } : undefined;
    const isPair = members.some((one) => one.type === 'ClassMethod' && one.kind === 'set');
    if (isPair) return { kind: 'prop' };
    return isReactive ? { kind: 'plain' } : undefined;
  };
}

const memberOf = ({ type }: Property): Partial<Pick<MemberFact, 'type'>> => (type ? { type } : {});
