import type { TypeExpr } from '../../model/types';
import { parseScript } from './parse';
import { readType } from './types';

/** The end of what stands in braces from an offset on, braces within counted; -1 where they are not closed. */
function closing(text: string, open: number): number {
  let depth = 0;
  for (let at = open; at < text.length; at++) {
    if (text[at] === '{') depth++;
    else if (text[at] === '}' && --depth === 0) return at;
  }
  return -1;
}

/**
 * The type that a comment before a declaration gives to what is declared: a `type` tag of a documentation comment
 * that ends right before the declaration. `start` is the offset of the declared pattern. Undefined for none, and
 * for what cannot be parsed. Spans in it are those of the file.
 */
export function commentedType(text: string, start: number): TypeExpr | undefined {
  const before = text.slice(0, start).replace(/\s*\b(?:let|const|var)\s*$/, '');
  if (!before.endsWith('*/')) return undefined;
  const comment = before.lastIndexOf('/**');
  const tag = comment < 0 ? null : /@type\s*\{/.exec(before.slice(comment));
  if (!tag) return undefined;
  const open = comment + tag.index + tag[0].length - 1;
  const end = closing(text, open);
  if (end < 0 || end > before.length) return undefined;
  const head = 'type T = ';
  const type = text.slice(open + 1, end).replace(/\n\s*\*/g, (line) => ' '.repeat(line.length));
  const { program } = parseScript('x.ts', `${' '.repeat(Math.max(0, open + 1 - head.length))}${head}${type};`);
  const [alias] = program.body;
  return alias?.type === 'TSTypeAliasDeclaration' ? readType(alias.typeAnnotation) : undefined;
}
