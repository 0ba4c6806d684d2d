import type * as t from '@babel/types';
import { propMember } from './names';
import type { ComponentFacts, MemberFact } from '../../../model/facts';
import type { TypeExpr } from '../../../model/types';
import type { Span } from '../../../model/span';
import { bare, dottedName, keyName, spanOf } from '../../../read/script/syntax';
import { ownValue } from '../../../model/own-value';

/** What runtime declarations beside a component say of its props: `X.propTypes = { … }`, `static defaultProps = { … }`. */
export type DeclaredProps = {
  readonly types: Map<
    string,
    { readonly span: Span; readonly required: boolean; readonly kind: MemberFact['kind']; readonly type?: TypeExpr }
  >;
  readonly defaults: Map<string, string>;
};

/** Collects these declarations for all components of a module, by the component's name. */
export function readPropTypes(statements: readonly t.Statement[], text: string): Map<string, DeclaredProps> {
  const found = new Map<string, DeclaredProps>();
  if (!/propTypes|defaultProps/.test(text)) return found;
  const note = (component: string, member: string, given: t.Node | null | undefined): void => {
    const object = given && bare(given);
    if (object?.type !== 'ObjectExpression') return;
    const known = found.get(component) ?? { types: new Map(), defaults: new Map() };
    found.set(component, known);
    for (const property of object.properties) {
      const name = property.type === 'SpreadElement' ? undefined : keyName(property);
      if (name === undefined || property.type === 'SpreadElement') continue;
      const value = property.type === 'ObjectMethod' ? property : property.value;
      if (member === 'defaultProps') known.defaults.set(name, text.slice(value.start ?? 0, value.end ?? 0).slice(0, 60));
      else if (property.type !== 'ObjectProperty') continue;
      else known.types.set(name, { span: spanOf(property), ...typeOf(name, property.value) });
    }
  };
  for (const statement of statements) {
    const declared =
      statement.type === 'ExportNamedDeclaration' || statement.type === 'ExportDefaultDeclaration' ? statement.declaration : statement;
    if (declared?.type === 'ClassDeclaration' && declared.id) {
      for (const member of declared.body.body) {
        if (member.type !== 'ClassProperty' || !member.static) continue;
        const name = keyName(member) ?? '';
        if (name === 'propTypes' || name === 'defaultProps') note(declared.id.name, name, member.value);
      }
    }
    const set =
      declared?.type === 'ExpressionStatement' && declared.expression.type === 'AssignmentExpression' ? declared.expression : undefined;
    const target = set && /^(.+)\.(propTypes|defaultProps)$/.exec(dottedName(set.left) ?? '');
    if (set && target) note(target[1] ?? '', target[2] ?? '', set.right);
  }
  return found;
}

/** `PropTypes.func.isRequired` → required, a callback; `PropTypes.oneOfType([…])` → optional, a value. */
function typeOf(name: string, given: t.Node): { required: boolean; kind: MemberFact['kind']; type?: TypeExpr } {
  let node = bare(given);
  let required = false;
  if (node.type === 'MemberExpression' && node.property.type === 'Identifier' && node.property.name === 'isRequired') {
    required = true;
    node = bare(node.object);
  }
  const type = (dottedName(node) ?? '').split('.').at(-1);
  const declared = typeExprOf(node);
  const kind = type === 'func' && /^on[A-Z]/.test(name) ? 'callback' : type === 'node' || type === 'element' ? 'slot' : 'value';
  return { required, kind, ...(declared ? { type: declared } : {}) };
}

const simple: Readonly<Record<string, TypeExpr>> = {
  string: { kind: 'primitive', name: 'string' },
  number: { kind: 'primitive', name: 'number' },
  bool: { kind: 'primitive', name: 'boolean' },
  func: { kind: 'function', params: [] },
  array: { kind: 'array', of: { kind: 'unknown' } },
  arrayOf: { kind: 'array', of: { kind: 'unknown' } },
  object: { kind: 'object', members: [], indexed: true },
  shape: { kind: 'object', members: [], indexed: true },
  exact: { kind: 'object', members: [], indexed: true },
  objectOf: { kind: 'object', members: [], indexed: true },
};

/** The type that a declaration at run time stands for; undefined where it is none that is known. */
function typeExprOf(given: t.Node): TypeExpr | undefined {
  const node = bare(given);
  const call = node.type === 'CallExpression' ? node : undefined;
  const name = (dottedName(call?.callee ?? node) ?? '').split('.').at(-1) ?? '';
  const [list] = call?.arguments ?? [];
  if (name !== 'oneOf' && name !== 'oneOfType') return ownValue(simple, name);
  if (list?.type !== 'ArrayExpression') return undefined;
  const of = list.elements.map((one) => (one ? (name === 'oneOf' ? literalOf(one) : typeExprOf(one)) : undefined));
  return of.every((one) => one !== undefined) ? { kind: 'union', of } : undefined;
}

function literalOf(node: t.Node): TypeExpr | undefined {
  return node.type === 'StringLiteral' || node.type === 'NumericLiteral' || node.type === 'BooleanLiteral'
    ? { kind: 'literal', value: node.value }
    : undefined;
}

/** A component's facts with what is declared beside it: props it does not name, which are required, and defaults. */
export function withPropTypes(facts: ComponentFacts, declared: DeclaredProps | undefined): ComponentFacts {
  if (!declared) return facts;
  const known = new Set(facts.members.map((prop) => prop.name));
  const more = [...declared.types]
    .filter(([name]) => !known.has(name))
    .map(([name, type]): MemberFact => ({
      key: propMember(name),
      name,
      span: type.span,
      kind: type.kind,
      required: 'unknown',
      ...(type.type ? { type: type.type } : {}),
    }));
  const props = [...facts.members, ...more].map((prop): MemberFact => {
    const type = declared.types.get(prop.name);
    const fallback = prop.fallback ?? declared.defaults.get(prop.name);
    const required = fallback !== undefined ? 'no' : type ? (type.required ? 'yes' : 'no') : prop.required;
    const known = prop.type ?? type?.type;
    return { ...prop, required, ...(fallback === undefined ? {} : { fallback }), ...(known ? { type: known } : {}) };
  });
  return { ...facts, members: props };
}
