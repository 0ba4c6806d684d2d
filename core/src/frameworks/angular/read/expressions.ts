import type * as ng from '@angular/compiler';
import type * as t from '@babel/types';
import type { Span } from '../../../model/span';
import { compiler } from '../parser';

/** What the reader of a template asks of each expression that it turns into one of the script. */
export type Turning = {
  /** Tells whether calling a name without arguments opens what it holds: a signal. */
  readonly opens: (name: string, ofSelf: boolean) => boolean;
  /** Notes a converter that is used. */
  readonly pipe: (name: string, span: Span) => void;
};

type Node = t.Expression;

const spanOf = ({ start, end }: ng.AbsoluteSourceSpan): Span => ({ start, end });
const made = (node: object, span: Span): Node => ({ ...node, start: span.start, end: span.end }) as unknown as Node;
const named = (name: string, span: Span): Node => made({ type: 'Identifier', name }, span);
const nothing = (span: Span): Node => named('undefined', span);

/** Converters that hand on what they are given, when it comes. */
const handsOn = new Set(['async']);

/**
 * An expression of a template as one of the script, so that it is read as all others are. What has no
 * counterpart there stands as the nearest one: a converter as a call of its name.
 */
export function turned(ast: ng.AST, turning: Turning): Node {
  const c = compiler();
  const turn = (one: ng.AST): Node => turned(one, turning);
  const span = spanOf(ast.sourceSpan);
  if (ast instanceof c.ASTWithSource) return turn(ast.ast);
  if (ast instanceof c.ImplicitReceiver) return made({ type: 'ThisExpression' }, span);
  if (ast instanceof c.PropertyRead) {
    const name = nameSpan(ast);
    if (isImplicit(ast.receiver)) return named(ast.name, name);
    return memberOf(turn(ast.receiver), ast.name, span, name);
  }
  if (ast instanceof c.SafePropertyRead)
    return made(
      {
        type: 'OptionalMemberExpression',
        object: turn(ast.receiver),
        property: named(ast.name, nameSpan(ast)),
        computed: false,
        optional: true,
      },
      span,
    );
  if (ast instanceof c.KeyedRead)
    return made({ type: 'MemberExpression', object: turn(ast.receiver), property: turn(ast.key), computed: true }, span);
  if (ast instanceof c.SafeKeyedRead)
    return made(
      { type: 'OptionalMemberExpression', object: turn(ast.receiver), property: turn(ast.key), computed: true, optional: true },
      span,
    );
  if (ast instanceof c.Call || ast instanceof c.SafeCall) {
    const opened = ast.args.length === 0 ? openedBy(ast.receiver, turning) : undefined;
    if (opened) return { ...opened, end: span.end } as Node;
    // `$any(x)` says nothing but that its type is to be let pass.
    if (ast.receiver instanceof c.PropertyRead && ast.receiver.name === '$any' && isImplicit(ast.receiver.receiver) && ast.args[0])
      return turn(ast.args[0]);
    return made({ type: 'CallExpression', callee: turn(ast.receiver), arguments: ast.args.map(turn) }, span);
  }
  if (ast instanceof c.BindingPipe) {
    turning.pipe(ast.name, spanOf(ast.nameSpan));
    if (handsOn.has(ast.name)) return turn(ast.exp);
    return converted([ast.exp, ...ast.args].map(turn), span);
  }
  if (ast instanceof c.Interpolation) {
    const [only, ...more] = ast.expressions;
    if (only && more.length === 0 && ast.strings.every((one) => one.trim() === '')) return turn(only);
    return converted(ast.expressions.map(turn), span);
  }
  if (ast instanceof c.LiteralPrimitive) return literal(ast.value, span);
  if (ast instanceof c.LiteralArray) return made({ type: 'ArrayExpression', elements: ast.expressions.map(turn) }, span);
  if (ast instanceof c.LiteralMap)
    return made(
      {
        type: 'ObjectExpression',
        properties: ast.keys.map((key, at) => {
          const value = ast.values[at];
          const given = value ? turn(value) : nothing(span);
          return made(
            {
              type: 'ObjectProperty',
              key: named(key.key, { start: given.start ?? 0, end: given.end ?? 0 }),
              value: given,
              computed: false,
              shorthand: false,
            },
            span,
          );
        }),
      },
      span,
    );
  if (ast instanceof c.Conditional)
    return made(
      { type: 'ConditionalExpression', test: turn(ast.condition), consequent: turn(ast.trueExp), alternate: turn(ast.falseExp) },
      span,
    );
  if (ast instanceof c.Unary)
    return made({ type: 'UnaryExpression', operator: ast.operator, argument: turn(ast.expr), prefix: true }, span);
  if (ast instanceof c.Binary) return binary(ast, turn, span);
  if (ast instanceof c.PrefixNot)
    return made({ type: 'UnaryExpression', operator: '!', argument: turn(ast.expression), prefix: true }, span);
  if (ast instanceof c.TypeofExpression || ast instanceof c.VoidExpression)
    return made({ type: 'UnaryExpression', operator: 'typeof', argument: turn(ast.expression), prefix: true }, span);
  if (ast instanceof c.NonNullAssert) return made({ type: 'TSNonNullExpression', expression: turn(ast.expression) }, span);
  if (ast instanceof c.ParenthesizedExpression) return turn(ast.expression);
  if (ast instanceof c.Chain) return made({ type: 'SequenceExpression', expressions: ast.expressions.map(turn) }, span);
  if (ast instanceof c.TemplateLiteral) return converted(ast.expressions.map(turn), span);
  return nothing(span);
}

function isImplicit(ast: ng.AST): boolean {
  const { ImplicitReceiver, ThisReceiver } = compiler();
  return ast instanceof ImplicitReceiver && !(ast instanceof ThisReceiver);
}

/** Where the name of a member stands; older trees say nothing of it. */
const nameSpan = (ast: { readonly nameSpan?: ng.AbsoluteSourceSpan; readonly sourceSpan: ng.AbsoluteSourceSpan }): Span =>
  spanOf(ast.nameSpan ?? ast.sourceSpan);

const memberOf = (object: Node, name: string, span: Span, at: Span): Node =>
  made({ type: 'MemberExpression', object, property: named(name, at), computed: false }, span);

/** The name that a call without arguments opens; undefined where it calls a function, or that cannot be told. */
function openedBy(callee: ng.AST, turning: Turning): Node | undefined {
  const { PropertyRead, ThisReceiver } = compiler();
  if (!(callee instanceof PropertyRead)) return undefined;
  const ofSelf = callee.receiver instanceof ThisReceiver;
  if (!ofSelf && !isImplicit(callee.receiver)) return undefined;
  return turning.opens(callee.name, ofSelf) ? turned(callee, turning) : undefined;
}

/** A value that is made of others. */
const converted = (expressions: readonly Node[], span: Span): Node => made({ type: 'TemplateLiteral', quasis: [], expressions }, span);

function binary(ast: ng.Binary, turn: (one: ng.AST) => Node, span: Span): Node {
  const operator = ast.operation;
  const [left, right] = [turn(ast.left), turn(ast.right)];
  if (/^(?:\*\*|[-+*/%]|&&|\|\||\?\?)?=$/.test(operator)) return made({ type: 'AssignmentExpression', operator, left, right }, span);
  const type = /^(?:&&|\|\||\?\?)$/.test(operator) ? 'LogicalExpression' : 'BinaryExpression';
  return made({ type, operator, left, right }, span);
}

function literal(value: unknown, span: Span): Node {
  switch (typeof value) {
    case 'string':
      return made({ type: 'StringLiteral', value }, span);
    case 'number':
      return made({ type: 'NumericLiteral', value }, span);
    case 'boolean':
      return made({ type: 'BooleanLiteral', value }, span);
    default:
      return value === null ? made({ type: 'NullLiteral' }, span) : nothing(span);
  }
}
