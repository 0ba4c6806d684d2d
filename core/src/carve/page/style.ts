// Other workspaces compile this file too, and would not find the declarations by themselves.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./css-tree.d.ts" />
import type { CssNode, Declaration, List, ListItem } from 'css-tree';
import generate from 'css-tree/generator';
import parse from 'css-tree/parser';
import { ident } from 'css-tree/utils';
import walk from 'css-tree/walker';
import type { Resolve } from './safe';

/** Functions of style whose texts are addresses. */
const withAddress: ReadonlySet<string> = new Set([
  'url',
  'src',
  'image',
  'image-set',
  '-webkit-image-set',
  'cross-fade',
  '-webkit-cross-fade',
]);

/** Rules at the top of a sheet that fetch something, or that change what a later address means. */
const fetching: ReadonlySet<string> = new Set(['import', 'charset', 'namespace', 'document', '-moz-document']);

/** Text that the parser did not understand may be anything; this can at least hold no address, however it is written. */
const isHarmless = (raw: string): boolean => !/[\\<]|url|src|image|import|cross-fade/i.test(raw);

const plain = (name: string): string => ident.decode(name).toLowerCase();

/** Where an address leads that is shown: within the page, to what is in it, or to a file that came with it. */
function shownAt(address: string, resolve: Resolve): string | undefined {
  const trimmed = address.trim();
  if (trimmed.startsWith('#') || /^data:(?:image|font|application\/(?:x-)?font)/i.test(trimmed)) return trimmed;
  return /^[a-z][a-z0-9+.-]*:|^\/\//i.test(trimmed) ? undefined : resolve(trimmed);
}

type Place = { readonly item: unknown; readonly list: List<CssNode> | null };

const removeAt = ({ item, list }: Place): void => void (list as unknown as { remove: (one: unknown) => void } | null)?.remove(item);

/** Takes out of parsed style whatever would fetch, and leads addresses to what came with the page. */
function madeSafe(style: CssNode, resolve: Resolve): void {
  /** Nodes that lead where they are to lead already. */
  const led = new WeakSet<CssNode>();
  walk(style, {
    enter(node: CssNode, item: ListItem<CssNode>, list: List<CssNode> | null) {
      const place: Place = { item, list };
      if (led.has(node)) return;
      if (node.type === 'Raw' && !isHarmless(node.value)) removeAt(place);
      else if ((node.type === 'Rule' || node.type === 'Atrule') && node.prelude?.type === 'Raw' && !isHarmless(node.prelude.value))
        removeAt(place);
      else if (node.type === 'Atrule' && fetching.has(plain(node.name))) removeAt(place);
      else if (node.type === 'Url') {
        const shown = shownAt(node.value, resolve);
        if (shown === undefined) Object.assign(node, { type: 'Identifier', name: 'none' });
        else node.value = shown;
      } else if (node.type === 'Function' && withAddress.has(plain(node.name))) {
        // An escaped `u\72l("…")` is an address too; in a set of images each text is one.
        node.children.forEach((child: CssNode) => {
          if (child.type !== 'String') return;
          const shown = shownAt(child.value, resolve);
          if (shown === undefined) Object.assign(child, { type: 'Identifier', name: 'none' });
          else Object.assign(child, { type: 'Url', value: shown });
          led.add(child);
        });
        if (plain(node.name) === 'url' || plain(node.name) === 'src') {
          const [first] = node.children.toArray();
          Object.assign(node, first?.type === 'Url' ? { type: 'Url', value: first.value } : { type: 'Identifier', name: 'none' });
        }
      }
    },
  });
  // A declaration of which nothing was understood is none.
  walk(style, {
    visit: 'Declaration',
    enter(node: Declaration, item, list) {
      if (node.value.type === 'Raw' ? !isHarmless(node.value.value) : node.value.children.isEmpty && !node.property.startsWith('--'))
        removeAt({ item, list: list as unknown as List<CssNode> | null });
    },
  });
}

function written(text: string, context: 'stylesheet' | 'declarationList', resolve: Resolve): string {
  let style: CssNode;
  try {
    style = parse(text, { context, parseCustomProperty: true, onParseError: () => undefined });
    madeSafe(style, resolve);
    return generate(style).replace(/<\/(style)/gi, '<\\/$1');
  } catch {
    // What cannot be parsed at all is not shown: a page without a style is safer than one with a strange one.
    return '';
  }
}

/** A style sheet of which nothing is fetched: addresses lead to what came with the page, or nowhere. What cannot be parsed goes. */
export const safeRules = (rules: string, resolve: Resolve): string => written(rules, 'stylesheet', resolve);

/** The same for what stands in a `style` attribute. */
export const safeDeclarations = (style: string, resolve: Resolve): string => written(style, 'declarationList', resolve);
