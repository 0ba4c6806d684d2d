import { parse, parseExpression, type ParserOptions, type ParserPlugin } from '@babel/parser';
import type * as t from '@babel/types';
import type { Problem } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { Writable } from '../../model/writable';

export type ParsedScript = { readonly program: t.Program; readonly problems: readonly Problem[] };

const typescript = /\.[cm]?tsx?$/;
const withoutJsx = /\.[cm]?ts$/;
const flowMark = /@flow\b|@noflow\b/;

function pluginsFor(file: FilePath, text: string): ParserPlugin[] {
  if (typescript.test(file)) {
    const declaration: ParserPlugin = ['typescript', { dts: /\.d\.[cm]?ts$/.test(file) }];
    return withoutJsx.test(file)
      ? [declaration, 'decorators', 'decoratorAutoAccessors']
      : [declaration, 'jsx', 'decorators', 'decoratorAutoAccessors'];
  }
  const flow: ParserPlugin[] = flowMark.test(text.slice(0, 1000)) ? [['flow', { all: true }]] : [];
  return [...flow, 'jsx', 'decorators', 'decoratorAutoAccessors'];
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

const optionsOf = new Map<string, Writable<ParserOptions>>();

/** Offsets that the parser gives are of the file, not of the stretch. The parser copies what it is given, so one object serves all calls. */
function optionsAt(range: ScriptRange, lang: ScriptLang, errorRecovery: boolean): ParserOptions {
  const key = `${lang} ${errorRecovery}`;
  let options = optionsOf.get(key);
  if (!options) optionsOf.set(key, (options = { ...parserOptions(`x.${lang}`, ''), sourceType: 'module', startLine: 1, errorRecovery }));
  options.startIndex = range.start;
  options.startColumn = range.start;
  return options;
}

const path = /^\s*([A-Za-z_$][\w$]*(?:\.[A-Za-z_$][\w$]*)*)\s*$/;
const words = new Set('true false null this super import new typeof void delete await yield function class async let'.split(' '));

/** `boat`, `item.boat.name`: most of what stands in markup, told without the parser. */
function pathAt(text: string, range: ScriptRange): t.Expression | undefined {
  const written = text.slice(range.start, range.end);
  const found = written.length < 80 ? path.exec(written)?.[1] : undefined;
  if (found === undefined) return undefined;
  let start = range.start + written.indexOf(found);
  const first = start;
  let node: unknown;
  for (const name of found.split('.')) {
    if (node === undefined && words.has(name)) return undefined;
    const identifier = { type: 'Identifier', name, start, end: start + name.length };
    node =
      node === undefined
        ? identifier
        : { type: 'MemberExpression', object: node, property: identifier, computed: false, start: first, end: identifier.end };
    start += name.length + 1;
  }
  return node as t.Expression;
}

export type ScriptLang = 'js' | 'ts' | 'jsx' | 'tsx';

/** Parses the script that stands in a part of a file. Never throws. */
export function parseScriptAt(text: string, range: ScriptRange, lang: ScriptLang): ParsedScript {
  return parseSafely(() => parse(text.slice(range.start, range.end), optionsAt(range, lang, true)), text.length);
}

/** An expression that stands in a part of a file; a problem where it cannot be parsed. */
export function parseExpressionAt(text: string, range: ScriptRange, lang: ScriptLang): t.Expression | Problem {
  const known = pathAt(text, range);
  if (known) return known;
  try {
    return parseExpression(text.slice(range.start, range.end), optionsAt(range, lang, false));
  } catch (error) {
    return toProblem(error as ParserError, text.length);
  }
}

/** A pattern that stands in a part of a file, as a parameter would; undefined where it cannot be parsed. */
export function parsePatternAt(text: string, range: ScriptRange, lang: ScriptLang): t.Node | undefined {
  const { start, end } = range;
  try {
    const found = parseExpression(`(${text.slice(start, end)})=>0`, optionsAt({ start: Math.max(0, start - 1), end }, lang, false));
    return found.type === 'ArrowFunctionExpression' ? found.params[0] : undefined;
  } catch {
    return undefined;
  }
}

/** What is said of a source whose levels are more than the stack holds. */
export const tooDeep = 'It is nested too deeply to be read.';

type ParserError = { message: string; pos?: number; loc?: { index?: number } };

function toProblem(error: ParserError, length: number): Problem {
  if (error instanceof RangeError) return { message: tooDeep, start: 0, end: Math.min(1, length) };
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
    // Decorators of parameters are no part of the language, and of what compilers of typed classes take.
    const errors = (parsed.errors ?? []).filter((error) => error.reasonCode !== 'UnsupportedParameterDecorator');
    if (errors.length > 0) fillGaps(parsed.program);
    return { program: parsed.program, problems: errors.map((error) => toProblem(error as unknown as ParserError, length)) };
  } catch (error) {
    const empty = { type: 'Program', body: [], directives: [], sourceType: 'module', start: 0, end: 0 };
    return { program: empty as unknown as t.Program, problems: [toProblem(error as ParserError, length)] };
  }
}

/** Lists in which nothing may stand between two commas. */
const withHoles = new Set(['ArrayExpression', 'ArrayPattern']);

/** Declarations that always have a name. */
const named = new Set(['TSInterfaceDeclaration', 'TSTypeAliasDeclaration', 'TSEnumDeclaration']);

/**
 * Puts `undefined` where a parser that went on after a mistake left nothing in a list, as in `f(, 1)`, and an empty
 * name where it left out one, as in `interface { }`: readers may then rely on what the types of the tree say.
 */
function fillGaps(program: t.Program): void {
  const stack: t.Node[] = [program];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (named.has(node.type) && 'id' in node) node.id ??= gapAt(node.start ?? 0, '');
    for (const value of Object.values(node) as unknown[]) {
      if (Array.isArray(value)) {
        value.forEach((one: unknown, index) => {
          if (isNode(one)) stack.push(one);
          else if (one === null && !withHoles.has((node as t.Node).type)) value[index] = gapAt((node as t.Node).start ?? 0);
        });
      } else if (isNode(value)) stack.push(value);
    }
  }
}

const isNode = (value: unknown): value is t.Node =>
  typeof value === 'object' && value !== null && typeof (value as t.Node).type === 'string';

const gapAt = (start: number, name = 'undefined'): t.Identifier => ({ type: 'Identifier', name, start, end: start }) as t.Identifier;

/** Parses a script and throws the result away. Throws where it cannot be parsed. */
export function parseScriptBare(file: string, text: string): void {
  parse(text, parserOptions(file, text));
}
