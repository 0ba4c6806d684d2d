import type * as t from '@babel/types';
import type { SpreadFact } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import type { Span } from '../../model/span';
import { type Body, wholeProps } from '../script/body';
import { readingsOf } from '../script/expressions';
import { lookUp, type Scope } from '../script/scope';

/**
 * What is spread on a tag, `{...rest}`, and to what: who is given the rest of the props is noted in the body, and of an
 * object that is written in place the names of its members.
 */
export function spreadOn(
  body: Body,
  inner: t.Node | undefined,
  span: Span,
  scope: Scope,
  target: Body['restTargets'][number],
  memberOf: (name: string) => MemberKey,
): SpreadFact {
  const meaning = inner?.type === 'Identifier' ? lookUp(scope, inner.name) : undefined;
  if (meaning?.kind === 'props') {
    body.restTargets.push(target);
    return { span, readings: [{ value: wholeProps(body, span), path: [], how: 'spread', span }] };
  }
  const readings = inner ? readingsOf(body, inner, scope, 'spread') : [];
  for (const read of readings) {
    if (body.values[read.value]?.kind !== 'rest') continue;
    body.restTargets.pop();
    body.restTargets.push(target);
  }
  const names =
    inner?.type === 'ObjectExpression'
      ? inner.properties.map((each) => (each.type !== 'SpreadElement' && each.key.type === 'Identifier' ? each.key.name : undefined))
      : [];
  const all = names.filter((name): name is string => name !== undefined);
  return { span, readings, ...(inner?.type === 'ObjectExpression' && all.length === names.length ? { keys: all.map(memberOf) } : {}) };
}
