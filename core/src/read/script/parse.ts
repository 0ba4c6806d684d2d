import { parse, type ParserOptions, type ParserPlugin } from '@babel/parser';
import type * as t from '@babel/types';
import type { Problem } from '../../model/facts';
import type { FilePath } from '../../model/span';

export type ParsedScript = { readonly program: t.Program; readonly problems: readonly Problem[] };

const typescript = /\.[cm]?tsx?$/;
const withoutJsx = /\.[cm]?ts$/;
const flowMark = /@flow\b|@noflow\b/;

function pluginsFor(file: FilePath, text: string): ParserPlugin[] {
  if (typescript.test(file)) {
    const declaration: ParserPlugin = ['typescript', { dts: /\.d\.[cm]?ts$/.test(file) }];
    return withoutJsx.test(file) ? [declaration, 'decorators'] : [declaration, 'jsx', 'decorators'];
  }
  const flow: ParserPlugin[] = flowMark.test(text.slice(0, 1000)) ? [['flow', { all: true }]] : [];
  return [...flow, 'jsx', 'decorators'];
}

/** How the bare parser is called on a file; the benchmarks time exactly this as their floor. */
export function parserOptions(file: FilePath, text: string): ParserOptions {
  return {
    sourceType: 'unambiguous',
    errorRecovery: true,
    allowReturnOutsideFunction: true,
    allowAwaitOutsideFunction: true,
    allowUndeclaredExports: true,
    attachComment: false,
    createImportExpressions: false,
    plugins: pluginsFor(file, text),
  };
}

type ParserError = { message: string; pos?: number; loc?: { index?: number } };

function toProblem(error: ParserError, length: number): Problem {
  const at = Math.min(error.pos ?? error.loc?.index ?? 0, length);
  return { message: error.message.replace(/ \(\d+:\d+\)$/, ''), start: at, end: Math.min(at + 1, length) };
}

/**
 * Parses a JavaScript or TypeScript module. Never throws: what cannot be parsed gives an empty
 * program and a problem; what the parser could recover from gives its problems beside the program.
 */
export function parseScript(file: FilePath, text: string): ParsedScript {
  try {
    const parsed = parse(text, parserOptions(file, text));
    const problems = (parsed.errors ?? []).map((error) => toProblem(error as unknown as ParserError, text.length));
    return { program: parsed.program, problems };
  } catch (error) {
    const empty = { type: 'Program', body: [], directives: [], sourceType: 'module', start: 0, end: 0 };
    return { program: empty as unknown as t.Program, problems: [toProblem(error as ParserError, text.length)] };
  }
}
