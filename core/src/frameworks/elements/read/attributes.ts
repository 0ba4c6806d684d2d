import type * as t from '@babel/types';
import { type Body, type Effects, noteTest, propValue } from '../../../read/script/body';
import type { Scope } from '../../../read/script/scope';
import { keyName, spanOf } from '../../../read/script/syntax';

type Call = t.CallExpression | t.OptionalCallExpression;

const camel = (name: string): string => name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());

/** `this.getAttribute('route')`, `this.hasAttribute('busy')`: what is given as an attribute is read. */
export function readAttributeReads(body: Body, call: Call, _: Scope, sink: Effects): boolean {
  const { callee } = call;
  if (callee.type !== 'MemberExpression' || callee.object.type !== 'ThisExpression') return false;
  const method = keyName({ key: callee.property }) ?? '';
  const [first] = call.arguments;
  if (!/^(?:get|has)Attribute$/.test(method) || first?.type !== 'StringLiteral') return false;
  const name = first.value.toLowerCase();
  (body.attributeReads ??= new Set()).add(name);
  const span = spanOf(first);
  const known = body.own?.(camel(name)) ?? body.own?.(name);
  const value =
    known?.kind === 'value' && known.path.length === 0 && body.values[known.value]?.kind === 'prop'
      ? known.value
      : propValue(body, name, span);
  if (method === 'hasAttribute') noteTest(body, value, span);
  sink.reads.push({ value, path: [], how: 'same', span });
  return true;
}
