import { adapterOf, markupOf } from '../frameworks/registry';
import type { Framework } from '../model/framework';
import { CannotWrite } from './rewrite';

export const pascal = (text: string): string =>
  text.replace(/(?:^|[^A-Za-z0-9]+)([A-Za-z0-9])/g, (_, letter: string) => letter.toUpperCase()).replace(/[^A-Za-z0-9]/g, '');

/** An expression in markup: `{x}`, `{{ x }}`. */
export const shown = (framework: Framework, code: string): string => adapterOf(framework).write.shown(code);

/** An attribute with an expression: `tone={x}`, `:tone="x"`. */
export const bound = (framework: Framework, name: string, code: string): string =>
  markupOf(framework) === 'directives' ? `:${name.replace(/^:/, '')}="${code}"` : `${name}={${code}}`;

export const quoted = (text: string): string =>
  `'${text
    .replace(/\\/g, '\\\\')
    .replace(/'/g, "\\'")
    .replace(/\s*\n\s*/g, ' ')}'`;

/** What an attribute says, as code: `"a"` → `'a'`, `{3}` → `3`, nothing → `true`. */
export function literalOf(framework: Framework, binding: string): string {
  const value = /^[^=]+=\s*([\s\S]*)$/.exec(binding)?.[1];
  if (value === undefined) return 'true';
  if (value.startsWith('{')) return value.slice(1, -1).trim();
  const inner = /^(["'])([\s\S]*)\1$/.exec(value)?.[2] ?? value;
  return adapterOf(framework).write.givesCode(binding) ? inner : quoted(inner);
}

/** Code that can stand between double quotes. */
const inQuotes = (code: string): string => code.replace(/"/g, code.includes("'") ? '&quot;' : "'");

/** An attribute that gives a literal, in the shortest form the framework has. */
export function giving(framework: Framework, name: string, code: string): string {
  const text = /^'([^'"\\{}<>]*)'$/.exec(code)?.[1];
  if (text !== undefined) return ` ${name}="${text}"`;
  if (code === 'true') return ` ${name}`;
  return ` ${bound(framework, name, markupOf(framework) === 'directives' ? inQuotes(code) : code)}`;
}

/** Letters by their names (`&times;`) are read in markup alone: throws for code that would show them as they stand. */
export function refuseLetters(codes: readonly string[]): void {
  if (codes.some((code) => /&#?\w+;/.test(code))) throw new CannotWrite(`A text in it names a letter: ${codes.join(' or ')}.`);
}
