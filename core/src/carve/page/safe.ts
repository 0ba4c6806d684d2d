import { isElement } from '../../overlap';
import type { PageNode, PageTree } from './read';
import { safeDeclarations, safeRules } from './style';

/** Gives the address a page's file is to be shown under; undefined for a file that did not come with the page. */
export type Resolve = (address: string) => string | undefined;

const empty = new Set('area br col hr img input source track wbr'.split(' '));
/** Attributes that act, send, fetch or take the focus. Pictures and style are looked at one by one. */
const silenced =
  /^(on.*|action|formaction|ping|target|srcdoc|srcset|imagesrcset|autofocus|autoplay|background|lowsrc|dynsrc|manifest|cite|data|codebase|nonce|http-equiv|is|popover.*|xml:base)$/i;

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
const quoted = (text: string): string => escaped(text).replace(/"/g, '&quot;');

/** Whether an attribute makes an element of a picture change the address of another one. */
export const animatesAddress = (label: string, name: string, value: string): boolean =>
  /^(?:animate\w*|set)$/i.test(label) && name.toLowerCase() === 'attributename' && /href$/i.test(value.trim());

/** A value in which what a picture is painted with, cut by or filtered by is no address but of what is in the page. */
export const withoutPaints = (value: string): string => value.replace(/url\(\s*(?!["']?#)[^)]*\)?/gi, 'none');

function attribute(node: PageNode, name: string, value: string, resolve: Resolve): string {
  if (silenced.test(name) || animatesAddress(node.label, name, value) || !/^[^\s"'<>/=]+$/.test(name)) return '';
  if (name === 'style') return ` style="${quoted(safeDeclarations(value, resolve))}"`;
  if (name === 'src' || name === 'poster') {
    const shown = value.startsWith('data:image/') ? value : resolve(value);
    return shown ? ` ${name}="${quoted(shown)}"` : '';
  }
  // A link keeps the look of one and leads nowhere; a reference within the page is kept.
  if (/^(xlink:)?href$/i.test(name)) return node.label === 'a' ? ' href="#"' : value.startsWith('#') ? ` ${name}="${quoted(value)}"` : '';
  return ` ${name}="${quoted(withoutPaints(value))}"`;
}

const openTag = (node: PageNode, resolve: Resolve): string =>
  `<${node.label} data-liana-node="${node.index}"${Object.entries(node.attributes)
    .filter(([name]) => name !== 'data-liana-node')
    .map(([name, value]) => attribute(node, name, value, resolve))
    .join('')}>`;

/** What the page may do when shown: nothing but paint what was handed over with it. */
export const pagePolicy =
  "default-src 'none'; img-src data: blob:; style-src 'unsafe-inline'; font-src data: blob:; form-action 'none'; base-uri 'none'";

/**
 * A page as HTML that can be shown: only elements, texts, styles and the pictures that came with it.
 * Each element carries its index as `data-liana-node`. `sheet` gives a style sheet's text.
 */
export function safeHtml(tree: PageTree, resolve: Resolve, sheet: Resolve): string {
  const styles = tree.styles.map((style) => safeRules(style.kind === 'rules' ? style.text : (sheet(style.address) ?? ''), resolve));
  const out: string[] = [
    '<!doctype html><html',
    ...Object.entries(tree.root)
      .filter(([name]) => /^(class|lang|dir|data-[\w-]+|style)$/.test(name))
      .map(([name, value]) => ` ${name}="${quoted(name === 'style' ? safeDeclarations(value, resolve) : value)}"`),
    `><head><meta charset="utf-8"><meta http-equiv="Content-Security-Policy" content="${quoted(pagePolicy)}">`,
    ...styles.map((rules) => `<style>${rules}</style>`),
    '</head>',
  ];
  const closing: { end: number; tag: string }[] = [];
  for (const node of tree.nodes) {
    while ((closing.at(-1)?.end ?? Infinity) <= node.index) out.push(`</${closing.pop()?.tag}>`);
    if (!isElement(node)) {
      out.push(escaped(node.text));
      continue;
    }
    out.push(openTag(node, resolve));
    if (!empty.has(node.label)) closing.push({ end: node.end, tag: node.label });
  }
  while (closing.length > 0) out.push(`</${closing.pop()?.tag}>`);
  return [...out, '</html>'].join('');
}
