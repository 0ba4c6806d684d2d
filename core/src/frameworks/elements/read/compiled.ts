import type * as t from '@babel/types';
import { bare, dottedName } from '../../../read/script/syntax';
import type { ClassNode } from '../../../read/elements/class';

/** `__decorate([property()], Gauge.prototype, 'level', void 0)`, as compilers write decorators; undefined for all else. */
function decorated(
  node: t.Node,
): { readonly of: string; readonly member?: t.StringLiteral; readonly by: readonly t.Expression[] } | undefined {
  const call = bare(node);
  if (call.type !== 'CallExpression' || !/^(?:\w+\.)?_*decorate$/.test(dottedName(call.callee) ?? '')) return undefined;
  const [list, target, member] = call.arguments;
  const name = target && dottedName(bare(target));
  if (list?.type !== 'ArrayExpression' || name === undefined) return undefined;
  const by = list.elements.filter((one): one is t.Expression => one !== null && one.type !== 'SpreadElement');
  if (member?.type === 'StringLiteral' && name.endsWith('.prototype')) return { of: name.slice(0, -'.prototype'.length), member, by };
  return member ? undefined : { of: name, by };
}

const decoratorOf = (expression: t.Expression): t.Decorator => ({
  type: 'Decorator',
  expression,
  start: expression.start ?? null,
  end: expression.end ?? null,
});

/**
 * Puts decorators that a compiler has written as calls back to where they stood: on the classes of a module, and on their
 * members, which it adds where the compiler left a member to the constructor. Changes the nodes of the classes.
 */
export function restoreDecorators(statements: readonly t.Statement[], classes: ReadonlyMap<string, ClassNode>): void {
  for (const statement of statements) {
    const given = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    const found = given && decorated(given.type === 'AssignmentExpression' ? given.right : given);
    const node = found && classes.get(found.of);
    if (!found || !node) continue;
    const decorators = found.by.map(decoratorOf);
    if (!found.member) {
      node.decorators = [...(node.decorators ?? []), ...decorators];
      continue;
    }
    const { value: name, start, end } = found.member;
    const known = node.body.body.find(
      (one): one is t.ClassMethod | t.ClassProperty =>
        (one.type === 'ClassMethod' || one.type === 'ClassProperty') && one.key.type === 'Identifier' && one.key.name === name,
    );
    if (known) known.decorators = [...(known.decorators ?? []), ...decorators];
    else {
      const key: t.Identifier = { type: 'Identifier', name, start: (start ?? 0) + 1, end: (end ?? 1) - 1 } as t.Identifier;
      node.body.body.push({ type: 'ClassProperty', key, static: false, computed: false, decorators, start, end } as t.ClassProperty);
    }
  }
}
