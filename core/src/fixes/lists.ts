import type * as t from '@babel/types';
import type { Binding, TemplateNode } from '../model/facts';
import type { Span } from '../model/span';
import { CannotWrite } from './rewrite';
import { endOf, type Source, startOf } from './source';

/** The stretch that goes with one member of a list: its separator too, so that the others stand as they did. */
export function memberSpan({ text }: Source, members: readonly (t.Node | null)[], at: number): Span {
  const member = members[at];
  if (!member) return { start: 0, end: 0 };
  const next = members[at + 1];
  if (next) return { start: startOf(member), end: startOf(next) };
  const before = members[at - 1];
  if (!before) return { start: startOf(member), end: endOf(member) + (/^\s*[,;]/.exec(text.slice(endOf(member)))?.[0].length ?? 0) };
  // Members of a type hold their own semicolons: the one before keeps its own where this one had one.
  const closes = (node: t.Node): boolean => /[;,]/.test(text[endOf(node) - 1] ?? '');
  return { start: endOf(before) - (closes(before) && !closes(member) ? 1 : 0), end: endOf(member) };
}

/** A whole statement with the lines that it takes. */
export function statementSpan({ text }: Source, node: t.Node): Span {
  const line = text.lastIndexOf('\n', startOf(node) - 1) + 1;
  const start = text.slice(line, startOf(node)).trim() === '' ? line : startOf(node);
  const rest = /^[^\S\n]*;?[^\S\n]*\r?\n?/.exec(text.slice(endOf(node)))?.[0] ?? '';
  return { start, end: endOf(node) + rest.length };
}

/** The attribute of a use, with the white space before it. */
export function bindingSpan({ text }: Source, { span }: Binding): Span {
  let start = span.start;
  while (/\s/.test(text[start - 1] ?? '')) start--;
  return { start, end: span.end };
}

/** The attribute that tells one item of a list from the others, with nothing around it; undefined for none. Throws where it cannot be seen. */
export function keySpan({ text }: Source, node: TemplateNode): Span | undefined {
  if ((node.kind !== 'element' && node.kind !== 'use') || node.key.kind === 'none') return undefined;
  if (node.key.kind === 'spread') throw new CannotWrite('Its key cannot be seen.');
  const found = /(?<=\s):?key\s*=\s*(?:\{[^{}]*\}|"[^"]*")/.exec(text.slice(node.span.start, node.span.end));
  if (!found) throw new CannotWrite('Its key stands in a form that is not followed.');
  const start = node.span.start + found.index;
  return { start, end: start + found[0].length };
}
