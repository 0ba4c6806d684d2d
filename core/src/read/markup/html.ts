import { Parser } from 'htmlparser2';
import type { Span } from '../../model/span';

/** An attribute as the text has it: its name is not put in lower case. */
export type HtmlAttribute = {
  readonly name: string;
  readonly span: Span;
  readonly nameSpan: Span;
  /** What stands behind the sign, without quotes; absent for an attribute without a value. */
  readonly value?: Span;
};

export type HtmlElement = {
  readonly kind: 'element';
  /** As the text has it. */
  readonly tag: string;
  readonly span: Span;
  /** The name in the opening tag. */
  readonly nameSpan: Span;
  readonly attributes: readonly HtmlAttribute[];
  readonly children: readonly HtmlNode[];
};

export type HtmlText = { readonly kind: 'text'; readonly span: Span };

export type HtmlNode = HtmlElement | HtmlText;

type Open = { -readonly [Key in keyof HtmlElement]: HtmlElement[Key] } & { children: HtmlNode[]; attributes: HtmlAttribute[] };

/**
 * Reads markup as a tree with a place for each tag, attribute and text; `xml` for markup whose tags all close and
 * whose names keep their case. Offsets are those of the text, shifted by `offset`. Never throws: what is not closed is
 * closed at the end.
 */
export function parseHtml(text: string, { offset = 0, xml = false } = {}): readonly HtmlNode[] {
  const root: HtmlNode[] = [];
  const open: Open[] = [];
  let attributes: HtmlAttribute[] = [];
  const spanAt = (start: number, end: number): Span => ({ start: start + offset, end: end + offset });
  const add = (node: HtmlNode): void => {
    (open.at(-1)?.children ?? root).push(node);
  };
  const parser = new Parser(
    {
      onattribute(name, _, quote) {
        const start = parser.startIndex;
        const end = parser.endIndex;
        const nameEnd = start + name.length;
        const sign = quote === undefined || quote === null ? text.indexOf('=', nameEnd) : -1;
        const from =
          quote === '"' || quote === "'"
            ? text.indexOf(quote, nameEnd) + 1
            : sign >= 0 && sign < end
              ? sign + 1 + (/^\s*/.exec(text.slice(sign + 1, end))?.[0].length ?? 0)
              : undefined;
        attributes.push({
          name,
          span: spanAt(start, Math.max(end, nameEnd)),
          nameSpan: spanAt(start, nameEnd),
          ...(from === undefined ? {} : { value: spanAt(from, Math.max(from, quote ? end - 1 : end)) }),
        });
      },
      onopentag(tag, _, isImplied) {
        const start = parser.startIndex;
        const node: Open = {
          kind: 'element',
          tag,
          span: spanAt(start, parser.endIndex + 1),
          nameSpan: isImplied ? spanAt(start, start) : spanAt(start + 1, start + 1 + tag.length),
          attributes,
          children: [],
        };
        attributes = [];
        add(node);
        open.push(node);
      },
      onclosetag(_, isImplied) {
        const node = open.pop();
        const end = isImplied ? parser.startIndex : Math.min(parser.endIndex + 1, text.length);
        if (node) node.span = { start: node.span.start, end: Math.max(node.span.end, end + offset) };
      },
      ontext() {
        const span = spanAt(parser.startIndex, parser.endIndex + 1);
        const siblings = open.at(-1)?.children ?? root;
        const last = siblings.at(-1);
        if (last?.kind === 'text' && last.span.end === span.start)
          siblings[siblings.length - 1] = { kind: 'text', span: { start: last.span.start, end: span.end } };
        else siblings.push({ kind: 'text', span });
      },
    },
    { lowerCaseTags: false, lowerCaseAttributeNames: false, recognizeSelfClosing: xml, decodeEntities: true, xmlMode: xml },
  );
  parser.end(text);
  return root;
}

/** An attribute of an element by its name, whatever its case; undefined for none. */
export const attributeNamed = ({ attributes }: HtmlElement, name: string): HtmlAttribute | undefined =>
  attributes.find((one) => one.name.toLowerCase() === name);

/** Calls `visit` on each element of a tree, the outer before the inner. */
export function walkHtml(nodes: readonly HtmlNode[], visit: (element: HtmlElement) => void): void {
  const stack = [...nodes].reverse();
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.kind !== 'element') continue;
    visit(node);
    for (let index = node.children.length - 1; index >= 0; index--) stack.push(node.children[index] as HtmlNode);
  }
}
