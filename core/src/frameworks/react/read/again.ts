import type * as t from '@babel/types';
import type { AgainFact } from '../../../model/facts';
import { propMember } from './names';
import { isAnother, reached } from '../../../read/script/again';
import type { Body } from '../../../read/script/body';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, isFunction, keyName, spanOf } from '../../../read/script/syntax';

/** The state that a statement sets by its setter, and what it is set to; undefined for other statements. */
function setBy(
  body: Body,
  statement: t.Statement,
  scope: Scope,
): { readonly state: number; readonly to: t.Node | undefined; readonly call: t.Node } | undefined {
  const call = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
  if (call?.type !== 'CallExpression' || call.callee.type !== 'Identifier') return undefined;
  const meaning = lookUp(scope, call.callee.name);
  const value = meaning?.kind === 'value' && meaning.path.length === 0 ? body.values[meaning.value] : undefined;
  return value?.kind === 'setter' && value.partner !== undefined ? { state: value.partner, to: call.arguments[0], call } : undefined;
}

/** Names of the body that stand for another list, object or function at each rendering. */
/** Names that parameters take out, and that stand for another list, object or function at each rendering where nothing is given: each with its prop. */
function anewWithout(props: t.Node | undefined): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const one of props?.type === 'ObjectPattern' ? props.properties : []) {
    const value = one.type === 'ObjectProperty' ? one.value : undefined;
    const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    if (value?.type !== 'AssignmentPattern' || value.left.type !== 'Identifier' || name === undefined) continue;
    if (isFunction(value.right) || /^(?:Object|Array|New)Expression$/.test(bare(value.right).type)) found.set(value.left.name, name);
  }
  return found;
}

function madeAnew(statements: readonly t.Statement[]): ReadonlySet<string> {
  const found = new Set<string>();
  for (const statement of statements) {
    if (statement.type === 'FunctionDeclaration' && statement.id) found.add(statement.id.name);
    for (const { id, init } of statement.type === 'VariableDeclaration' ? statement.declarations : []) {
      const made = init && bare(init);
      if (id.type === 'Identifier' && made && (isFunction(made) || /^(?:Object|Array|New)Expression$/.test(made.type))) found.add(id.name);
    }
  }
  return found;
}

/**
 * States that a function component sets each time it renders, or in an effect that runs each time to
 * another value each time. Only what no condition may keep from happening.
 */
export function setAgain(body: Body, statements: readonly t.Statement[], scope: Scope, props?: t.Node): AgainFact[] {
  const anew = madeAnew(statements);
  const without = anewWithout(props);
  return reached(statements).flatMap((statement): AgainFact[] => {
    const set = setBy(body, statement, scope);
    if (set) return [{ value: set.state, span: spanOf(set.call), by: 'rendering' }];
    const call = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    if (call?.type !== 'CallExpression' || call.callee.type !== 'Identifier' || !/^use(Layout)?Effect$/.test(call.callee.name)) return [];
    const [run, list] = call.arguments;
    if (!isFunction(run) || run.body.type !== 'BlockStatement') return [];
    const followed = list && bare(list);
    const follows = (state: number): boolean => {
      if (followed?.type !== 'ArrayExpression') return followed === undefined;
      return followed.elements.some((one) => {
        if (one?.type === 'Identifier' && anew.has(one.name)) return true;
        const meaning = one?.type === 'Identifier' ? lookUp(scope, one.name) : undefined;
        return meaning?.kind === 'value' && meaning.value === state && meaning.path.length === 0;
      });
    };
    const defaults = followed?.type === 'ArrayExpression' ? followed.elements : [];
    const [unless] = defaults.flatMap((one) => (one?.type === 'Identifier' ? (without.get(one.name) ?? []) : []));
    return reached(run.body.body).flatMap((inner): AgainFact[] => {
      const within = setBy(body, inner, scope);
      if (!within || !isAnother(within.state, within.to, scope, body.module.functions)) return [];
      const fact = { value: within.state, span: spanOf(within.call), by: 'an effect' as const };
      if (follows(within.state)) return [fact];
      return unless === undefined ? [] : [{ ...fact, unlessGiven: propMember(unless) }];
    });
  });
}
