import type { Problem } from '../../../model/facts';
import type { ScriptRange } from '../../../read/script/parse';
import { append } from '../../../model/append';

/** One attribute as it is written. `value` is what stands between the quotes or the braces; of a template literal, with its backticks. */
export type AstroAttribute = {
  readonly kind: 'text' | 'empty' | 'expression' | 'template' | 'shorthand' | 'spread';
  readonly name: string;
  readonly start: number;
  readonly end: number;
  readonly nameEnd: number;
  readonly value: ScriptRange;
  /** Markup within its expression. */
  readonly holes: readonly Hole[];
};

/** Markup that stands within an expression. */
export type Hole = ScriptRange & { readonly nodes: readonly AstroNode[] };

export type AstroElement = {
  readonly kind: 'element';
  /** Empty for a fragment. */
  readonly name: string;
  readonly start: number;
  readonly end: number;
  readonly attributes: readonly AstroAttribute[];
  readonly children: readonly AstroNode[];
  /** What stands in a script or a style. */
  readonly raw?: ScriptRange;
};

export type AstroNode =
  | AstroElement
  | { readonly kind: 'text'; readonly start: number; readonly end: number; readonly isBlank: boolean }
  /** `start` and `end` with the braces. */
  | { readonly kind: 'expression'; readonly start: number; readonly end: number; readonly holes: readonly Hole[] };

const voidTags = new Set('area base br col embed hr img input link meta param source track wbr'.split(' '));
const rawTags = new Set(['script', 'style']);
const nameLetter = /[\w.:$-]/;
/** What an expression may stand behind, so that a `<` after it begins markup. */
const expects = /(?:[([{,?:;=!&|>]|\b(?:return|default|await))$/;

/** Reads markup with expressions in braces, from an offset of a file to its end. Never throws: what is not closed ends where the file does. */
export function parseMarkup(text: string, from: number): { readonly nodes: readonly AstroNode[]; readonly problems: readonly Problem[] } {
  const parser = new MarkupParser(text, from);
  const nodes = parser.nodes([]);
  // A closing tag of nothing that is open is passed over.
  while (parser.at < text.length) {
    parser.skipClosing();
    append(nodes, parser.nodes([]));
  }
  return { nodes, problems: parser.problems };
}

class MarkupParser {
  readonly problems: Problem[] = [];
  at: number;
  private readonly text: string;
  private depth = 0;

  constructor(text: string, from: number) {
    this.text = text;
    this.at = from;
  }

  /** Siblings, up to the closing tag of one that is open, or the end. */
  nodes(open: readonly string[]): AstroNode[] {
    const found: AstroNode[] = [];
    const { text } = this;
    while (this.at < text.length) {
      if (text.startsWith('<!--', this.at)) this.skipTo('-->');
      else if (text.startsWith('<!', this.at)) this.skipTo('>');
      else if (text.startsWith('</', this.at)) return found;
      else if (text[this.at] === '{') found.push(this.expression());
      else if (text[this.at] === '<' && /[A-Za-z>]/.test(text[this.at + 1] ?? '')) {
        if (this.impliesEnd(open)) return found;
        found.push(this.element(open));
      } else found.push(this.plain());
    }
    return found;
  }

  skipClosing(): void {
    if (this.text.startsWith('</', this.at)) this.skipTo('>');
    else this.at++;
  }

  /** A paragraph, an item of a list, a row ends where the next one begins. */
  private impliesEnd(open: readonly string[]): boolean {
    const last = open.at(-1) ?? '';
    const next = /^<([a-z]+)/.exec(this.text.slice(this.at, this.at + 12))?.[1] ?? '';
    return (
      /^(?:li|option|tr|td|th|dt|dd)$/.test(last) &&
      (next === last || (/^(?:td|th)$/.test(last) && /^(?:td|th|tr)$/.test(next)) || (/^d[td]$/.test(last) && /^d[td]$/.test(next)))
    );
  }

  private skipTo(end: string): void {
    const found = this.text.indexOf(end, this.at);
    this.at = found < 0 ? this.text.length : found + end.length;
  }

  private plain(): AstroNode {
    const start = this.at;
    this.at++;
    while (this.at < this.text.length && !/[<{]/.test(this.text[this.at] ?? '')) this.at++;
    return { kind: 'text', start, end: this.at, isBlank: this.text.slice(start, this.at).trim() === '' };
  }

  private name(): string {
    const start = this.at;
    while (nameLetter.test(this.text[this.at] ?? '')) this.at++;
    return this.text.slice(start, this.at);
  }

  private skipSpace(): void {
    while (/\s/.test(this.text[this.at] ?? '')) this.at++;
  }

  element(open: readonly string[]): AstroElement {
    const { text } = this;
    const start = this.at;
    this.at++;
    const name = this.name();
    const attributes = this.attributes();
    const isClosed = text.startsWith('/>', this.at);
    this.at += isClosed ? 2 : 1;
    const ended = (children: readonly AstroNode[], raw?: ScriptRange): AstroElement => ({
      kind: 'element',
      name,
      start,
      end: Math.min(this.at, text.length),
      attributes,
      children,
      ...(raw ? { raw } : {}),
    });
    if (isClosed || voidTags.has(name)) return ended([]);
    if (rawTags.has(name) || attributes.some((one) => one.name === 'is:raw')) {
      const from = this.at;
      const end = new RegExp(`</${name.replace(/[.$]/g, '\\$&')}\\s*>`, 'i').exec(text.slice(from));
      const to = end ? from + end.index : text.length;
      this.at = end ? to + end[0].length : to;
      return ended([], { start: from, end: to });
    }
    if (++this.depth > 400) {
      this.at = text.length;
      return ended([]);
    }
    const children = this.nodes([...open, name]);
    this.depth--;
    const closing = /^<\/([\w.:$-]*)\s*>/.exec(text.slice(this.at, this.at + 200));
    if (closing && closing[1] === name) this.at += closing[0].length;
    else if (closing && !open.includes(closing[1] ?? '')) {
      this.problems.push({
        message: `</${closing[1] ?? ''}> closes nothing that is open.`,
        start: this.at,
        end: this.at + closing[0].length,
      });
      this.at += closing[0].length;
      const more = this.nodes([...open, name]);
      if (text.startsWith(`</${name}`, this.at)) this.skipTo('>');
      return ended([...children, ...more]);
    }
    return ended(children);
  }

  private attributes(): AstroAttribute[] {
    const { text } = this;
    const found: AstroAttribute[] = [];
    for (;;) {
      this.skipSpace();
      const letter = text[this.at];
      if (letter === undefined || letter === '>' || text.startsWith('/>', this.at)) return found;
      if (text.startsWith('<!--', this.at)) this.skipTo('-->');
      else if (letter === '{') found.push(this.braced());
      else {
        const before = this.at;
        found.push(this.named());
        if (this.at === before) this.at++;
      }
    }
  }

  /** `{name}`, `{...all}`; a comment in braces is an attribute without a name. */
  private braced(): AstroAttribute {
    const start = this.at;
    const { holes } = this.scan();
    const value = { start: start + 1, end: this.at - 1 };
    const written = this.text.slice(value.start, value.end);
    const dots = /^\s*(?:\/\*[\s\S]*?\*\/\s*)*\.\.\./.exec(written)?.[0].length;
    const space = written.length - written.trimStart().length;
    const base = { start, end: this.at, holes };
    if (dots !== undefined)
      return { ...base, kind: 'spread', name: '', nameEnd: start, value: { start: value.start + dots, end: value.end } };
    const name = /^[\w$]+$/.exec(written.trim())?.[0] ?? '';
    return {
      ...base,
      kind: 'shorthand',
      name,
      nameEnd: value.start + space + name.length,
      value: { start: value.start + space, end: value.start + space + name.length },
    };
  }

  private named(): AstroAttribute {
    const { text } = this;
    const start = this.at;
    while (this.at < text.length && !/[\s=>{"'`]/.test(text[this.at] ?? '') && !text.startsWith('/>', this.at)) this.at++;
    const nameEnd = this.at;
    const name = text.slice(start, nameEnd);
    const base = { name, start, nameEnd, holes: [] };
    this.skipSpace();
    if (text[this.at] !== '=') {
      this.at = nameEnd;
      return { ...base, kind: 'empty', end: nameEnd, value: { start: nameEnd, end: nameEnd } };
    }
    this.at++;
    this.skipSpace();
    const quote = text[this.at] ?? '';
    const from = this.at;
    if (quote === '{') {
      const { holes } = this.scan();
      return { ...base, kind: 'expression', end: this.at, value: { start: from + 1, end: this.at - 1 }, holes };
    }
    if (quote === '`') {
      this.quoted('`');
      return { ...base, kind: 'template', end: this.at, value: { start: from, end: this.at } };
    }
    if (quote === '"' || quote === "'") {
      this.at++;
      this.skipTo(quote);
      return { ...base, kind: 'text', end: this.at, value: { start: from + 1, end: Math.max(from + 1, this.at - 1) } };
    }
    while (this.at < text.length && !/[\s>]/.test(text[this.at] ?? '') && !text.startsWith('/>', this.at)) this.at++;
    return { ...base, kind: 'text', end: this.at, value: { start: from, end: this.at } };
  }

  private expression(): AstroNode {
    const start = this.at;
    const { holes } = this.scan();
    return { kind: 'expression', start, end: this.at, holes };
  }

  /** From a brace to the one that closes it, with the markup between. */
  private scan(): { readonly holes: readonly Hole[] } {
    const { text } = this;
    const holes: Hole[] = [];
    const open = ['}'];
    const start = this.at++;
    while (open.length > 0) {
      const letter = text[this.at];
      if (letter === undefined) {
        this.problems.push({ message: 'This brace is not closed.', start, end: start + 1 });
        return { holes };
      }
      if (letter === '"' || letter === "'" || letter === '`') this.quoted(letter);
      else if (text.startsWith('//', this.at)) this.skipLine();
      else if (text.startsWith('/*', this.at)) this.skipTo('*/');
      else if (text.startsWith('<!--', this.at)) this.skipTo('-->');
      else if (letter === '/' && this.isExpected(start)) this.pattern();
      else if (
        letter === '<' &&
        /[A-Za-z>]/.test(text[this.at + 1] ?? '') &&
        (this.isExpected(start) || this.at === holes.at(-1)?.end || this.follows(holes))
      )
        this.hole(holes);
      else {
        this.at++;
        if (letter === '{') open.push('}');
        else if (letter === '(') open.push(')');
        else if (letter === '[') open.push(']');
        else if (letter === open.at(-1)) open.pop();
        else if (letter === '}' && open.includes('}')) while (open.pop() !== '}');
      }
    }
    return { holes };
  }

  private hole(holes: Hole[]): void {
    const start = this.at;
    const last = holes.at(-1);
    const isNext = last !== undefined && this.text.slice(last.end, start).trim() === '';
    const node = this.element([]);
    if (isNext && last) holes[holes.length - 1] = { start: last.start, end: this.at, nodes: [...last.nodes, node] };
    else holes.push({ start, end: this.at, nodes: [node] });
  }

  /** Right behind other markup, so that it is one more of it. */
  private follows(holes: readonly Hole[]): boolean {
    const last = holes.at(-1);
    return last !== undefined && this.text.slice(last.end, this.at).trim() === '';
  }

  /** Whether a value is expected here: nothing has stood since the brace, or an operator has. */
  private isExpected(start: number): boolean {
    const before = this.text
      .slice(Math.max(start, this.at - 200), this.at)
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .trimEnd();
    return expects.test(before);
  }

  private skipLine(): void {
    const found = this.text.indexOf('\n', this.at);
    this.at = found < 0 ? this.text.length : found;
  }

  /** A text in quotes; what stands in `${}` of a template may hold quotes of its own. */
  private quoted(quote: string): void {
    const { text } = this;
    this.at++;
    while (this.at < text.length && text[this.at] !== quote) {
      if (text[this.at] === '\\') this.at += 2;
      else if (quote === '`' && text.startsWith('${', this.at)) {
        this.at++;
        this.scan();
      } else if (quote !== '`' && text[this.at] === '\n') return;
      else this.at++;
    }
    this.at++;
  }

  /** A regular expression. */
  private pattern(): void {
    const { text } = this;
    let isClass = false;
    this.at++;
    while (this.at < text.length && text[this.at] !== '\n') {
      const letter = text[this.at];
      if (letter === '\\') this.at++;
      else if (letter === '[') isClass = true;
      else if (letter === ']') isClass = false;
      else if (letter === '/' && !isClass) break;
      this.at++;
    }
    this.at++;
  }
}
