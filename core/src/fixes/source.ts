import type * as t from '@babel/types';
import type { Framework } from '../model/framework';
import type { FilePath } from '../model/span';
import { parseScript } from '../read/script/parse';

/** A file that is to be rewritten: its text, and the syntax of all its script with offsets of the file. */
export type Source = {
  readonly file: FilePath;
  readonly text: string;
  readonly framework: Framework;
  readonly program: t.Program;
  readonly isTyped: boolean;
};

const script = /<script\b([^>]*)>([\s\S]*?)<\/script>/g;

const blank = (text: string): string => text.replace(/[^\n\r]/g, ' ');

/** All that is no script as white space, so that offsets stay. */
function onlyScript(text: string): string {
  let result = '';
  let from = 0;
  for (const match of text.matchAll(script)) {
    const start = match.index + match[0].length - (match[2] ?? '').length - '</script>'.length;
    const end = start + (match[2] ?? '').length;
    result += blank(text.slice(from, start)) + text.slice(start, end);
    from = end;
  }
  return result + blank(text.slice(from));
}

/** A file's script as syntax. Script that cannot be parsed gives an empty program. */
export function sourceOf(file: FilePath, text: string, framework: Framework): Source {
  const isWhole = !/\.(?:vue|svelte)$/.test(file);
  const isTyped = isWhole ? /\.[cm]?tsx?$/.test(file) : /<script\b[^>]*\blang=["']tsx?["']/.test(text);
  const { program } = isWhole ? parseScript(file, text) : parseScript(isTyped ? 'part.ts' : 'part.js', onlyScript(text));
  return { file, text, framework, program, isTyped };
}

/** Visits a node and all below it, types too, parents first. */
export function everyNode(node: t.Node, visit: (node: t.Node, parents: readonly t.Node[]) => void): void {
  const parents: t.Node[] = [];
  const go = (one: t.Node): void => {
    visit(one, parents);
    parents.push(one);
    for (const [key, value] of Object.entries(one)) {
      if (key === 'loc' || key === 'extra' || key === 'errors') continue;
      for (const child of Array.isArray(value) ? value : [value]) if (isNode(child)) go(child);
    }
    parents.pop();
  };
  go(node);
}

const isNode = (value: unknown): value is t.Node =>
  typeof value === 'object' && value !== null && 'type' in value && typeof value.type === 'string' && 'start' in value;

export const startOf = (node: t.Node): number => node.start ?? 0;
export const endOf = (node: t.Node): number => node.end ?? 0;

/** What a node says, as written. */
export const written = ({ text }: Source, node: t.Node): string => text.slice(startOf(node), endOf(node));

/** The white space with which the line of an offset begins. */
export function indentAt(text: string, at: number): string {
  const line = text.lastIndexOf('\n', at - 1) + 1;
  return /^[^\S\n]*/.exec(text.slice(line))?.[0] ?? '';
}

/** Whether nothing but white space stands before an offset on its line. */
export const startsLine = (text: string, at: number): boolean => text.slice(text.lastIndexOf('\n', at - 1) + 1, at).trim() === '';
