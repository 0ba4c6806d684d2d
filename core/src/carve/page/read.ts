import { type DefaultTreeAdapterTypes as Parse5, parse } from 'parse5';
import type { Writable } from '../../model/writable';
import { type MarkupNode, spaceLabel, textLabel } from '../../overlap';

/** An element or a text of a page. */
export type PageNode = MarkupNode & {
  readonly attributes: Readonly<Record<string, string>>;
  /** A text's characters, a style element's rules; empty for other elements. */
  readonly text: string;
  /** The page's 1-based line it starts on; 0 for what the parser put in. */
  readonly line: number;
};

/** A saved page, read. The first node is the `body`. */
export type PageTree = {
  readonly nodes: readonly PageNode[];
  readonly title: string;
  /** Attributes of the `html` element. */
  readonly root: Readonly<Record<string, string>>;
  /** Rules of style elements, and addresses of style sheets, in their order. */
  readonly styles: readonly PageStyle[];
  /** What was left out because the page is too large, in words. */
  readonly cuts: readonly string[];
};

export type PageStyle = { readonly kind: 'rules'; readonly text: string } | { readonly kind: 'sheet'; readonly address: string };

export type PageLimits = { readonly characters: number; readonly nodes: number; readonly depth: number };

/** What is read of a page: beyond that a page is no longer something to carve by hand. */
export const pageLimits: PageLimits = { characters: 8_000_000, nodes: 60_000, depth: 120 };

/** Elements that act, fetch or hold no markup of the page. */
const dropped = new Set(
  'script noscript template iframe frame frameset object embed applet param base meta link title portal fencedframe'.split(' '),
);

function attributesOf(element: Parse5.Element): Record<string, string> {
  return Object.fromEntries(element.attrs.map(({ prefix, name, value }) => [prefix ? `${prefix}:${name}` : name, value]));
}

const isElementNode = (node: Parse5.Node): node is Parse5.Element => 'tagName' in node;
const isText = (node: Parse5.Node): node is Parse5.TextNode => node.nodeName === '#text';

/** Space that ends a line is only space to a browser, unless the page says otherwise. */
const isSpace = (text: string): boolean => /^[\t\n\f\r ]*$/.test(text);

type Growing = Writable<PageNode> & { children: number[] };

/** Walks the parsed document without recursion: a page may nest without end. */
function collect(body: Parse5.Element, limits: PageLimits): { nodes: PageNode[]; styles: PageStyle[]; cuts: string[] } {
  const nodes: Growing[] = [];
  const styles: PageStyle[] = [];
  const cuts: string[] = [];
  const work: ({ node: Parse5.ChildNode; parent: number; depth: number } | { close: number })[] = [{ node: body, parent: -1, depth: 0 }];
  let deepest = 0;
  let leftOut = 0;
  while (work.length > 0) {
    const next = work.pop();
    if (!next) break;
    if ('close' in next) {
      const closed = nodes[next.close];
      if (closed) closed.end = nodes.length;
      continue;
    }
    const { node, parent, depth } = next;
    if (!isElementNode(node) && !isText(node)) continue;
    if (isElementNode(node)) {
      const style = styleOf(node);
      if (style) styles.push(style);
      if (style || dropped.has(node.tagName)) continue;
    }
    const line = node.sourceCodeLocation?.startLine ?? 0;
    if (nodes.length >= limits.nodes) {
      if (leftOut++ === 0)
        cuts.push(`The page has more than ${limits.nodes.toLocaleString('en')} elements and texts; it is shown up to line ${line}.`);
      continue;
    }
    if (depth > limits.depth) {
      if (deepest++ === 0) cuts.push(`Elements nest more than ${limits.depth} deep at line ${line}; what is deeper is left out.`);
      continue;
    }
    const index = nodes.length;
    nodes[parent]?.children.push(index);
    const attributes = isElementNode(node) ? attributesOf(node) : {};
    nodes.push({
      index,
      parent,
      depth,
      label: isElementNode(node) ? node.tagName : isSpace(node.value) ? spaceLabel : textLabel,
      tokens: (attributes['class'] ?? '').split(/\s+/).filter(Boolean),
      children: [],
      end: index + 1,
      attributes,
      text: isText(node) ? node.value : '',
      line,
    });
    if (isElementNode(node)) {
      work.push({ close: index });
      for (const child of [...node.childNodes].reverse()) work.push({ node: child, parent: index, depth: depth + 1 });
    }
  }
  return { nodes, styles, cuts };
}

function styleOf(node: Parse5.Element): PageStyle | undefined {
  const attributes = attributesOf(node);
  if (node.tagName === 'style') return { kind: 'rules', text: node.childNodes.map((child) => (isText(child) ? child.value : '')).join('') };
  const isSheet = node.tagName === 'link' && /(^|\s)stylesheet(\s|$)/i.test(attributes['rel'] ?? '');
  return isSheet && attributes['href'] ? { kind: 'sheet', address: attributes['href'] } : undefined;
}

/**
 * Reads a saved HTML page as the HTML standard says (parse5). Scripts, frames and whatever else acts
 * or fetches are left out; so is what exceeds the limits, and `cuts` says so. Never throws: any text is a page.
 */
export function readPage(text: string, limits: PageLimits = pageLimits): PageTree {
  const cuts: string[] = [];
  if (text.length > limits.characters)
    cuts.push(
      `The page has ${(text.length / 1e6).toFixed(1)} million characters; only the first ${(limits.characters / 1e6).toFixed(0)} million are read.`,
    );
  const document = parse(text.slice(0, limits.characters), { scriptingEnabled: true, sourceCodeLocationInfo: true });
  const html = document.childNodes.find((node): node is Parse5.Element => node.nodeName === 'html');
  const child = (name: string): Parse5.Element | undefined =>
    html?.childNodes.find((node): node is Parse5.Element => node.nodeName === name);
  const head = child('head');
  const body = child('body');
  const headStyles = (head?.childNodes ?? []).flatMap((node) => {
    const style = isElementNode(node) ? styleOf(node) : undefined;
    return style ? [style] : [];
  });
  const title = (head?.childNodes ?? []).find((node): node is Parse5.Element => node.nodeName === 'title');
  const collected = body ? collect(body, limits) : { nodes: [], styles: [], cuts: [] };
  return {
    nodes: collected.nodes,
    title: (title?.childNodes ?? [])
      .map((node) => (isText(node) ? node.value : ''))
      .join('')
      .trim(),
    root: html ? attributesOf(html) : {},
    styles: [...headStyles, ...collected.styles],
    cuts: [...cuts, ...collected.cuts],
  };
}

/** The text below a node as a reader sees it, with single spaces. */
export function textBelow(tree: PageTree, at: number): string {
  const node = tree.nodes[at];
  if (!node) return '';
  let text = '';
  for (let index = at; index < node.end; index++) text += tree.nodes[index]?.text ?? '';
  return text.replace(/\s+/g, ' ').trim();
}
