import type * as t from '@babel/types';
import type { TemplateUse } from '../../../model/facts';
import { bare, isFunction } from '../../../read/script/syntax';

/** What stands between the tags of a use, white space and comments apart. */
export function contentKind(content: readonly t.Node[]): TemplateUse['content'] {
  let only: t.Node | undefined;
  for (const child of content) {
    if (child.type === 'JSXText' && child.value.trim() === '') continue;
    if (child.type === 'JSXExpressionContainer' && child.expression.type === 'JSXEmptyExpression') continue;
    if (only) return 'markup';
    only = child;
  }
  if (!only) return 'none';
  if (only.type === 'JSXText') return 'text';
  const inner = only.type === 'JSXExpressionContainer' ? bare(only.expression) : only;
  if (isFunction(inner)) return 'function';
  return inner.type === 'JSXElement' || inner.type === 'JSXFragment' ? 'markup' : 'value';
}
