import { remembered } from '../../model/remembered';
import type { PageNode, PageTree } from '../page/read';
import { animatesAddress, withoutPaints } from '../page/safe';
import { safeDeclarations, safeRules } from '../page/style';

/** Attributes whose value is an address, or a list of addresses with their sizes. */
const addressed =
  /^(?:xlink:)?(?:href|src|srcset|imagesrcset|poster|action|formaction|background|cite|data|longdesc|manifest|lowsrc|dynsrc)$/i;

/** Attributes that run something or send word of what a user does. */
const acting = /^(?:on.*|ping|srcdoc)$/i;

/**
 * An address that leads nowhere outside of the application: of one elsewhere its path is left, and one that runs
 * something, or brings a whole page, is `#`. Addresses of pictures in the text, of mail and of telephones stay.
 */
export function localAddress(address: string): string {
  // Browsers leave out such characters, and take a backslash for a slash.
  const plain = Array.from(address)
    .filter((one) => one > ' ')
    .join('')
    .replace(/\\/g, '/');
  // A path that begins with two slashes would name another host.
  if (/^(?:https?:)?\/\//i.test(plain)) return plain.replace(/^(?:https?:)?\/+[^/?#]*/i, '').replace(/^\/+/, '/') || '/';
  if (!/^[a-z][\w+.-]*:/i.test(plain)) return address;
  return /^(?:mailto|tel|sms):|^data:image\//i.test(plain) ? address : '#';
}

/** A list of addresses: each goes up to a space, what follows up to a comma is its size. */
const localList = (list: string): string =>
  list.replace(
    /([\s,]*)(\S*[^\s,])((?:\s+[^,]*)?,?)/g,
    (_, before: string, address: string, size: string) => before + localAddress(address) + size,
  );

/** Rules that may lead elsewhere; all others stay letter for letter. */
const mayLead = /\/\/|\\|@import|javascript:|data:(?!image\/)/i;
const asWritten = (address: string): string => address;

/** Rules of a page that fetch nothing from elsewhere. */
export const localRules = (rules: string): string => (mayLead.test(rules) ? safeRules(rules, asWritten) : rules);

function localNode(node: PageNode): PageNode {
  const attributes = Object.entries(node.attributes).flatMap(([name, value]): [string, string][] => {
    if (acting.test(name) || animatesAddress(node.label, name, value)) return [];
    if (name === 'style') return [[name, mayLead.test(value) ? safeDeclarations(value, asWritten) : value]];
    if (/srcset$/i.test(name)) return [[name, localList(value)]];
    return [[name, addressed.test(name) ? localAddress(value) : withoutPaints(value)]];
  });
  return { ...node, attributes: Object.fromEntries(attributes) };
}

/** A page of which code may be written: nothing in it runs, and no address leads elsewhere. */
export const localPage = remembered((page: PageTree): PageTree => ({
  ...page,
  nodes: page.nodes.map(localNode),
  root: Object.fromEntries(Object.entries(page.root).filter(([name]) => !acting.test(name))),
  styles: page.styles.map((style) => (style.kind === 'rules' ? { ...style, text: localRules(style.text) } : style)),
}));
