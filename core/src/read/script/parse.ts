import { parse, parseExpression, type ParserOptions, type ParserPlugin } from '@babel/parser';
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

/** A stretch of a file that is script: offsets of the file. */
export type ScriptRange = { readonly start: number; readonly end: number };

/** Offsets that the parser gives are of the file, not of the stretch. */
function optionsAt(range: ScriptRange, lang: ScriptLang): ParserOptions {
  return { ...parserOptions(`x.${lang}`, ''), sourceType: 'module', startIndex: range.start, startLine: 1, startColumn: range.start };
}

export type ScriptLang = 'js' | 'ts' | 'jsx' | 'tsx';

/** Parses the script that stands in a part of a file. Never throws. */
export function parseScriptAt(text: string, range: ScriptRange, lang: ScriptLang): ParsedScript {
  return parseSafely(() => parse(text.slice(range.start, range.end), optionsAt(range, lang)), text.length);
}

/** An expression that stands in a part of a file; a problem where it cannot be parsed. */
export function parseExpressionAt(text: string, range: ScriptRange, lang: ScriptLang): t.Expression | Problem {
  try {
    return parseExpression(text.slice(range.start, range.end), { ...optionsAt(range, lang), errorRecovery: false });
  } catch (error) {
    return toProblem(error as ParserError, text.length);
  }
}

/** A pattern that stands in a part of a file, as a parameter would; undefined where it cannot be parsed. */
export function parsePatternAt(text: string, range: ScriptRange, lang: ScriptLang): t.Node | undefined {
  const { start, end } = range;
  try {
    const found = parseExpression(`(${text.slice(start, end)})=>0`, {
      ...optionsAt({ start: Math.max(0, start - 1), end }, lang),
      errorRecovery: false,
    });
    return found.type === 'ArrowFunctionExpression' ? found.params[0] : undefined;
  } catch {
    return undefined;
  }
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
  return parseSafely(() => parse(text, parserOptions(file, text)), text.length);
}

function parseSafely(run: () => ReturnType<typeof parse>, length: number): ParsedScript {
  try {
    const parsed = run();
    return { program: parsed.program, problems: (parsed.errors ?? []).map((error) => toProblem(error as unknown as ParserError, length)) };
  } catch (error) {
    const empty = { type: 'Program', body: [], directives: [], sourceType: 'module', start: 0, end: 0 };
    return { program: empty as unknown as t.Program, problems: [toProblem(error as ParserError, length)] };
  }
}
