import { jsxAttribute } from './jsx';
import { kebab } from './case';
import { inlineTags } from './inline-tags';
import type { Expression, Given, Markup, MarkupAttribute, Skeleton, SkeletonPart } from '../model/skeleton';
import { append } from '../model/append';

type Element = Extract<Markup, { kind: 'element' }>;
type Each = Extract<Markup, { kind: 'each' }>;
type When = Extract<Markup, { kind: 'when' }>;

/** How a framework whose templates are HTML says what HTML cannot. All code is already in its words. */
export type TemplateWords = {
  /** A text so that it is shown as it is. */
  readonly text: (text: string) => string;
  /** The value of an expression as text. */
  readonly shown: (code: string) => string;
  /** An attribute with an expression as its value. */
  readonly bound: (name: string, code: string) => string;
  /** An attribute that stands there where an expression is true; the value `Boolean(…)` where the language can be called. */
  readonly flag?: (name: string, code: string) => string;
  /** An attribute with an expression as text; the value `String(…)` where the language can be called. */
  readonly told?: (name: string, code: string) => string;
  /** An attribute whose name means something to the framework. */
  readonly odd: (name: string, code: string) => string;
  readonly isOdd: (name: string) => boolean;
  /** The value of an attribute as it is written, where it is a plain text. */
  readonly attribute: (text: string) => string;
  readonly expression: (expression: Expression) => string;
  readonly slot: (name: string) => string;
  /** The element that a part’s use is written as; its own name where it is not said. */
  readonly tag?: (part: string) => string;
  /** An attribute that a part’s use has of itself, as a mark of where it runs. Empty for none. */
  readonly use?: (part: string) => string;
  /** What a part’s use is given. Empty for what has no value. */
  readonly given: (part: string, given: Given) => string;
  /** A listener for what a user does: the platform’s event and what is raised then. */
  readonly listener: (event: string, raises: readonly string[]) => string;
  /** Markup that stands once for each item, or under a condition: lines before and after it, or attributes of its outermost element. */
  readonly each: (each: Each) => Framed;
  readonly when: (when: When) => Framed;
};

export type Framed =
  { readonly kind: 'block'; readonly before: string; readonly after: string } | { readonly kind: 'attribute'; readonly text: string };

const voids = new Set('area br col hr img input source track wbr'.split(' '));

/** Writes markup as a template: what stands in a line without space between stays so, all else gets lines of its own. */
export class TemplateWriter {
  constructor(
    private readonly words: TemplateWords,
    private readonly skeleton: Skeleton,
  ) {}

  lines(markup: readonly Markup[], depth: number, extra = ''): string[] {
    const lines: string[] = [];
    markup.forEach((one, index) => {
      const before = markup[index - 1];
      const made = this.one(one, depth, extra);
      if (!before || !(this.isInline(before) && this.isInline(one))) {
        append(lines, made);
        return;
      }
      const [first = '', ...more] = made;
      lines.push(`${lines.pop() ?? ''}${first.trimStart() === '' ? first : first.slice(depth * 2)}`);
      append(lines, more);
    });
    return lines;
  }

  /** Whether space beside it would be seen. */
  private isInline(markup: Markup): boolean {
    switch (markup.kind) {
      case 'text':
        return true;
      case 'element':
        return inlineTags.has(markup.tag);
      case 'each':
      case 'when':
        return markup.children.some((child) => this.isInline(child));
      case 'use': {
        const roots = this.skeleton.parts.find((part) => part.name === markup.part)?.markup ?? [];
        return roots.some((root) => root.kind !== 'use' && this.isInline(root));
      }
      case 'slot':
        return false;
    }
  }

  private one(markup: Markup, depth: number, extra: string): string[] {
    const pad = '  '.repeat(depth);
    switch (markup.kind) {
      case 'text':
        return [
          pad + (typeof markup.text === 'string' ? this.words.text(markup.text) : this.words.shown(this.words.expression(markup.text))),
        ];
      case 'slot':
        return [pad + this.words.slot(markup.name)];
      case 'each':
        return this.framed(this.words.each(markup), markup.children, depth, extra);
      case 'when':
        return this.framed(this.words.when(markup), markup.children, depth, extra);
      case 'use': {
        const given = markup.given.map((one) => this.words.given(markup.part, one));
        return this.tag(
          this.words.tag?.(markup.part) ?? markup.part,
          [extra, this.words.use?.(markup.part) ?? '', ...given],
          markup.content,
          depth,
        );
      }
      case 'element':
        return this.element(markup, depth, extra);
    }
  }

  private framed(frame: Framed, children: readonly Markup[], depth: number, extra: string): string[] {
    const pad = '  '.repeat(depth);
    if (frame.kind === 'attribute') {
      const text = [extra, frame.text].filter(Boolean).join(' ');
      const [only, ...more] = children;
      if (only && more.length === 0 && (only.kind === 'element' || only.kind === 'use')) return this.one(only, depth, text);
      return this.tag('template', [text], children, depth);
    }
    const inner = this.lines(children, depth + 1);
    if (!children.some((child) => this.isInline(child))) return [pad + frame.before, ...inner, pad + frame.after];
    // A line end inside would be seen as a space.
    return [`${pad}${frame.before}${inner.join('\n').trim()}${frame.after}`];
  }

  private tag(name: string, attributes: readonly string[], children: readonly Markup[], depth: number): string[] {
    const pad = '  '.repeat(depth);
    const open = `<${[name, ...attributes.filter(Boolean)].join(' ')}`;
    const closesItself = voids.has(name) || /^[A-Z]|-/.test(name);
    if (children.length === 0) return [`${pad}${open}${closesItself ? ' />' : `></${name}>`}`];
    return [`${pad}${open}>`, ...this.lines(children, depth + 1), `${pad}</${name}>`];
  }

  private element(markup: Element, depth: number, extra: string): string[] {
    const pad = '  '.repeat(depth);
    const { tag, children } = markup;
    const attributes = [
      extra,
      ...markup.attributes.map((one) => this.attribute(tag, one)),
      ...markup.shows.map((name) => this.told(`data-${kebab(name)}`, this.words.expression({ name }))),
      ...this.listeners(tag, markup.events),
    ].filter(Boolean);
    const open = `<${[tag, ...attributes].join(' ')}`;
    if (voids.has(tag)) return [`${pad}${open} />`];
    if (children.length === 0) return [`${pad}${open}></${tag}>`];
    const isKept = /^(pre|textarea)$/.test(tag);
    if (isKept) {
      const text = children.map((child) => this.one(child, 0, '').join('\n')).join('');
      return [`${pad}${open}>${text.startsWith('\n') ? '\n' : ''}${text}</${tag}>`];
    }
    const inner = this.lines(inlineTags.has(tag) ? edged(children) : children, depth + 1);
    const isFlat = inlineTags.has(tag) || children.every((child) => child.kind === 'text' || this.isInline(child));
    if (isFlat)
      return [`${pad}${open}>${inner.map((line, index) => (index === 0 ? line.slice((depth + 1) * 2) : line)).join('\n')}</${tag}>`];
    return [`${pad}${open}>`, ...inner, `${pad}</${tag}>`];
  }

  private attribute(tag: string, { name, value: given }: MarkupAttribute): string {
    const { words } = this;
    if (/^on|^data-liana-node$|^xmlns(:.*)?$/i.test(name)) return '';
    if (typeof given === 'string') {
      // An address that is a script is not taken over.
      const value = /^\s*javascript:/i.test(given) ? '#' : given;
      if (words.isOdd(name)) return words.odd(name, JSON.stringify(value));
      return value === '' ? name : `${name}="${words.attribute(value)}"`;
    }
    const code = words.expression(given);
    if (words.isOdd(name)) return words.odd(name, code);
    if (jsxAttribute(tag, name).kind !== 'flag') return words.bound(name, code);
    return words.flag?.(name, code) ?? words.bound(name, `Boolean(${code})`);
  }

  private told(name: string, code: string): string {
    return this.words.told?.(name, code) ?? this.words.bound(name, `String(${code})`);
  }

  private listeners(tag: string, events: readonly string[]): string[] {
    if (events.length === 0) return [];
    return [this.words.listener(tag === 'form' ? 'submit' : /^(input|select|textarea)$/.test(tag) ? 'change' : 'click', events)];
  }
}

/** Space at the edges of a word-like element is seen, and templates drop it: it is said as code. */
function edged(children: readonly Markup[]): Markup[] {
  const space: Markup = { kind: 'text', text: { name: "' '" } };
  return children.flatMap((child, index): Markup[] => {
    if (child.kind !== 'text' || typeof child.text !== 'string') return [child];
    const starts = index === 0 && /^\s/.test(child.text);
    const ends = index === children.length - 1 && /\S\s+$/.test(child.text);
    const text = child.text.trim();
    if (text === '') return index === 0 || index === children.length - 1 ? [space] : [child];
    const kept = starts ? child.text.trimStart() : child.text;
    return [...(starts ? [space] : []), { kind: 'text', text: ends ? kept.trimEnd() : kept }, ...(ends ? [space] : [])];
  });
}

/** A text between tags, as HTML writes it. */
export const htmlText = (text: string): string =>
  text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/\u00a0/g, '&nbsp;');

/** A text as the value of an attribute. */
export const htmlAttribute = (text: string): string => text.replace(/&/g, '&amp;').replace(/"/g, '&quot;').replace(/</g, '&lt;');

/** The imports of other parts, with the ending that the framework gives their files. */
export function partImports(part: SkeletonPart, skeleton: Skeleton, ending: string): string[] {
  const folder = (role: SkeletonPart['role']): string => (role === 'page' ? 'pages' : 'parts');
  return part.uses
    .filter((name) => name !== part.name)
    .map((name) => {
      const other = skeleton.parts.find((one) => one.name === name);
      const at = folder(other?.role ?? 'part') === folder(part.role) ? `./${name}` : `../${folder(other?.role ?? 'part')}/${name}`;
      return `import ${name} from '${at}${ending}';`;
    });
}
