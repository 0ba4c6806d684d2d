import type * as t from '@babel/types';
import type { ValueFact } from '../../../model/facts';
import { bare, dottedName, keyName } from '../../../read/script/syntax';

/** What is asked for, as the module names it, and how far the question goes. */
export type Injected = { readonly key: string; readonly facts: Pick<ValueFact, 'source' | 'needed' | 'guarded' | 'asks'> };

/** `inject(Token, { optional: true, host: true })`; undefined where what is asked for has no name. */
export function injected(call: t.CallExpression): Injected | undefined {
  const [token, options] = call.arguments;
  const given = token && bare(token);
  const key = given && dottedName(given);
  if (key === undefined) return undefined;
  return injectedBy(key, options ? flagsOf(bare(options)) : new Set());
}

/** The question for a token, with the marks that bound it: `optional`, `self`, `host`, `skipSelf`. */
export function injectedBy(key: string, flags: ReadonlySet<string>): Injected {
  const isOptional = flags.has('optional');
  const asks = flags.has('self') ? 'self' : flags.has('skipSelf') ? 'beyond' : flags.has('host') ? 'host' : undefined;
  return {
    key,
    facts: { source: `key:${key}`, ...(isOptional ? { guarded: true } : { needed: true }), ...(asks ? { asks } : {}) },
  };
}

function flagsOf(node: t.Node): Set<string> {
  const flags = new Set<string>();
  for (const one of node.type === 'ObjectExpression' ? node.properties : []) {
    const value = one.type === 'ObjectProperty' ? bare(one.value) : undefined;
    if (one.type === 'ObjectProperty' && value?.type === 'BooleanLiteral' && value.value) flags.add(keyName(one) ?? '');
  }
  return flags;
}
