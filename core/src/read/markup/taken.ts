import type * as t from '@babel/types';
import type { ValueFact } from '../../model/facts';
import { type Body, excerpt } from '../script/body';
import { spanOf } from '../script/syntax';

/** What is taken apart at once has no name: a context goes by its key, all else by what is taken. */
export function namedBy(body: Body, value: ValueFact, pattern: t.Node): string {
  const key = value.kind === 'context' ? value.source?.replace(/^key:/, '').replace(/^'|'$/g, '') : undefined;
  return key ?? excerpt(body.module, spanOf(pattern), 30);
}
