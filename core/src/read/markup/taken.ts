import type * as t from '@babel/types';
import { nameOfKey } from '../../model/context-key';
import type { ValueFact } from '../../model/facts';
import { type Body, excerpt } from '../script/body';
import { spanOf } from '../script/syntax';

/** What is taken apart at once has no name: a context goes by its key, all else by what is taken. */
export function namedBy(body: Body, value: ValueFact, pattern: t.Node): string {
  const key = value.kind === 'context' ? value.source && nameOfKey(value.source) : undefined;
  return key ?? excerpt(body.module, spanOf(pattern), 30);
}
