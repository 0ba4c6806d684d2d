import { adapterOf, markupOf } from '../../frameworks/registry';
import type { Framework } from '../../model/framework';

/** Elements that have no closing tag. */
const isVoid = /^(?:area|base|br|col|embed|hr|img|input|link|meta|source|track|wbr)$/;
const isWord = (letter: string): boolean => /[\w$§]/.test(letter);

/** What was written last, as far as white space beside it depends on it. */
type Edge = 'start' | 'open' | 'close' | 'block' | 'other';

/** Writes markup anew without the white space that nobody sees. */
class Spacing {
  private at = 0;
  private made = '';

  constructor(
    private readonly framework: Framework,
    private readonly text: string,
  ) {}

  whole(): string {
    if (markupOf(this.framework) !== 'expression' || this.isTag()) this.content();
    this.script('');
    return this.made;
  }

  private get letter(): string {
    return this.text[this.at] ?? '';
  }

  private isTag(): boolean {
    return this.letter === '<' && /[\w/>§:]/.test(this.text[this.at + 1] ?? '');
  }

  private take(count = 1): void {
    this.made += this.text.slice(this.at, this.at + count);
    this.at += count;
  }

  private space(): string {
    const found = /\s*/y;
    found.lastIndex = this.at;
    const run = found.exec(this.text)?.[0] ?? '';
    this.at += run.length;
    return run;
  }

  /** Texts, elements and expressions, up to the end or the closing tag of what they stand in. */
  private content(): void {
    let edge: Edge = 'start';
    for (let depth = 0; this.at < this.text.length;) {
      const run = this.space();
      if (run !== '' && this.shows(run, edge)) this.made += ' ';
      if (this.text.startsWith('<!--', this.at)) {
        const end = this.text.indexOf('-->', this.at);
        this.at = end < 0 ? this.text.length : end + 3;
      } else if (this.isTag()) {
        const kind = this.tag();
        edge = kind === 'open' ? 'open' : 'close';
        depth += kind === 'open' ? 1 : kind === 'close' ? -1 : 0;
        // An element within an expression ends with its closing tag.
        if (markupOf(this.framework) === 'expression' && depth <= 0) return;
      } else if (this.letter === '{') {
        edge = /^\{[#:/@]/.test(this.text.slice(this.at, this.at + 2)) ? 'block' : 'other';
        this.take();
        this.script('}');
        // A comment is all that stood in it.
        if (markupOf(this.framework) === 'expression' && this.made.endsWith('{}')) this.made = this.made.slice(0, -2);
      } else if (this.letter !== '') {
        edge = 'other';
        this.take();
      }
    }
  }

  /** Whether white space in content is seen, from what stands before and behind it. */
  private shows(run: string, edge: Edge): boolean {
    const closes = this.at >= this.text.length || this.text.startsWith('</', this.at);
    const isBroken = run.includes('\n');
    if (markupOf(this.framework) === 'expression') return !isBroken;
    if (edge === 'start' || edge === 'open' || closes) return false;
    if (markupOf(this.framework) === 'directives') return !(isBroken && edge === 'close' && this.letter === '<');
    return !(edge === 'block' || /^\{[/:]/.test(this.text.slice(this.at, this.at + 2)));
  }

  /** A tag with its attributes, one blank before each; whether it opens, closes or does both. */
  private tag(): 'open' | 'close' | 'both' {
    const closes = this.text[this.at + 1] === '/';
    const name = /^<\/?([\w.:§-]*)/.exec(this.text.slice(this.at))?.[1] ?? '';
    this.take(name.length + (closes ? 2 : 1));
    const attributes: string[] = [];
    for (;;) {
      this.space();
      const isEmpty = /^(?:>\s*<\/([\w.:§-]*)\s*>)/.exec(this.text.slice(this.at, this.at + name.length + 20));
      const end = this.text.startsWith('/>', this.at) ? '/>' : this.letter === '>' ? '>' : '';
      if (end !== '' || this.at >= this.text.length) {
        this.made += this.inOrder(attributes).join('');
        // An element with nothing in it may be closed either way.
        const whole = !closes && isEmpty?.[1] === name ? isEmpty[0] : end;
        this.at += whole.length;
        this.made += whole === end ? end : '/>';
        return closes ? 'close' : end === '/>' || whole !== end || isVoid.test(name) ? 'both' : 'open';
      }
      const before = this.made;
      this.attribute();
      attributes.push(` ${this.made.slice(before.length)}`);
      this.made = before;
    }
  }

  /** Attributes say the same in any order, unless one is of several names: then the later wins. */
  private inOrder(attributes: readonly string[]): readonly string[] {
    const { givesSeveral } = adapterOf(this.framework).write;
    return attributes.some((one) => givesSeveral.test(one.trimStart())) ? attributes : [...attributes].sort();
  }

  private attribute(): void {
    const isCode = markupOf(this.framework) === 'directives' && /^(?:[:@#]|v-)/.test(this.text.slice(this.at, this.at + 2));
    const start = this.at;
    while (this.at < this.text.length && !/[\s>]/.test(this.letter)) {
      const quote = this.letter;
      if (quote === '§' || this.text.startsWith('/>', this.at)) {
        if (this.at === start) this.take();
        return;
      }
      this.take();
      if (quote === '{') this.script('}');
      else if (quote === '"' || quote === "'") {
        if (isCode) this.script(quote);
        else this.quoted(quote, true);
      }
    }
  }

  /** Up to the closing quote; `folds`: white space in it is one blank. */
  private quoted(quote: string, folds: boolean): void {
    while (this.at < this.text.length) {
      if (folds && /\s/.test(this.letter)) {
        this.space();
        this.made += ' ';
        continue;
      }
      if (this.letter === '\\' && !folds) this.take();
      const isEnd = this.letter === quote;
      this.take();
      if (isEnd) return;
    }
  }

  /** An expression, up to what closes it and with that. */
  private script(closing: string): void {
    for (let depth = 0; this.at < this.text.length;) {
      const run = this.space();
      const comment = /^(?:\/\*[\s\S]*?\*\/|\/\/.*)/.exec(this.text.slice(this.at));
      if (comment) {
        this.at += comment[0].length;
        continue;
      }
      const [before, after] = [this.made.at(-1) ?? '', this.letter];
      if (run !== '' && ((isWord(before) && isWord(after)) || (before === after && /[+-]/.test(before)))) this.made += ' ';
      if (depth === 0 && after === closing) {
        this.take();
        return;
      }
      if (markupOf(this.framework) === 'expression' && this.isTag() && /(?:^|[(&|?:>,=[{]|\breturn ?)$/.test(this.made)) {
        this.content();
        continue;
      }
      if (/[([{]/.test(after)) depth++;
      if (/[)\]}]/.test(after)) depth--;
      this.take();
      if (/["'`]/.test(after)) this.quoted(after, false);
    }
  }
}

/**
 * A stretch of markup without the white space that its framework does not show, and without comments:
 * two stretches that are the same then show the same. Code keeps what parts its words; texts in quotes stay.
 */
export const unspaced = (framework: Framework, text: string): string => new Spacing(framework, text).whole();
