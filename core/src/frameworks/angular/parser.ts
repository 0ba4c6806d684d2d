import type * as Compiler from '@angular/compiler';
import type { Problem } from '../../model/facts';
import type { Span } from '../../model/span';

let loaded: typeof Compiler | undefined;

/** Fetches the compiler, once. */
export async function loadCompiler(): Promise<void> {
  loaded ??= await import('@angular/compiler');
}

/** The compiler, for its parser and the classes of its trees. Throws where it was not loaded: the caller forgot `loadCompilers`. */
export function compiler(): typeof Compiler {
  if (!loaded) throw new Error('The parser of Angular was not loaded.');
  return loaded;
}

/** Where a template stands in the text that is read; `isEscaped` where it is written as a text of the script. */
export type TemplateRange = Span & { readonly isEscaped: boolean };

export type ParsedTemplate = { readonly nodes: readonly Compiler.TmplAstNode[]; readonly problems: readonly Problem[] };

/** The nodes of a template, with offsets of the whole text. Never throws for what stands in it: what cannot be parsed gives problems. */
export function parseTemplate(text: string, { start, end, isEscaped }: TemplateRange): ParsedTemplate {
  const { nodes, errors } = compiler().parseTemplate(text, '', {
    range: { startPos: start, startLine: 0, startCol: 0, endPos: end },
    escapedString: isEscaped,
    preserveWhitespaces: false,
    enableBlockSyntax: true,
    enableLetSyntax: true,
  });
  const problems = (errors ?? []).map(({ msg, span }): Problem => {
    const from = Math.min(span.start.offset, text.length);
    return { message: msg.split('\n')[0] ?? msg, start: from, end: Math.min(from + 1, text.length) };
  });
  return { nodes, problems };
}

/** A binding that stands as a text in a script: `host: { '(click)': 'open()' }`. */
export function parseHandler(text: string, offset: number): Compiler.ASTWithSource | undefined {
  return parsed((parser, span) => parser.parseAction(text, span, offset));
}

export function parseBinding(text: string, offset: number): Compiler.ASTWithSource | undefined {
  return parsed((parser, span) => parser.parseBinding(text, span, offset));
}

function parsed(
  run: (parser: Compiler.Parser, span: Compiler.ParseSourceSpan) => Compiler.ASTWithSource,
): Compiler.ASTWithSource | undefined {
  const { Lexer, Parser, ParseLocation, ParseSourceFile, ParseSourceSpan } = compiler();
  const at = new ParseLocation(new ParseSourceFile('', ''), 0, 0, 0);
  try {
    return run(new Parser(new Lexer()), new ParseSourceSpan(at, at));
  } catch {
    return undefined;
  }
}
