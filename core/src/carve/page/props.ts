import { isElement, type Overlay } from '../../overlap';
import { camelCase, freeName, pascalCase, singular } from '../../write/case';
import type { PageNode, PageTree } from './read';
import { textBelow } from './read';
import type { Variation } from './vary';
import { ownValue } from '../../model/own-value';

/** A prop that a part needs because its items differ here. */
export type ProposedProp = {
  readonly name: string;
  /** As TypeScript writes it. */
  readonly type: string;
  readonly optional: boolean;
  /** What each item would be given; undefined where it is left out. */
  readonly values: readonly (string | number | boolean | undefined)[];
  readonly variation: Variation;
};

const tagNames: Readonly<Record<string, string>> = {
  h1: 'title',
  h2: 'title',
  h3: 'title',
  h4: 'title',
  h5: 'title',
  h6: 'title',
  time: 'time',
  img: 'image',
  p: 'text',
  a: 'label',
  button: 'action',
  figcaption: 'caption',
  caption: 'caption',
  th: 'title',
  td: 'text',
  summary: 'summary',
  small: 'note',
  strong: 'name',
  b: 'name',
};

/** The words of a class, without those that only repeat the item's own name. */
function fromClass(node: PageNode, itemWords: string): string {
  for (const token of node.tokens) {
    // Generated class names (`css-1x9ab`, `Card_name__3fGh2`) give their speaking part, or none.
    const speaking = token.replace(/^(css|sc|jsx?|svelte|ng|v)-[\w-]*$/i, '').replace(/(__|--|_)[A-Za-z0-9]*\d[A-Za-z0-9]*$/, '');
    const last =
      speaking
        .split(/__|--|_/)
        .filter(Boolean)
        .at(-1) ?? '';
    const name = pascalCase(last);
    const short = itemWords !== '' && name.startsWith(itemWords) && name.length > itemWords.length ? name.slice(itemWords.length) : name;
    if (/^[A-Za-z]{3,}$/.test(short)) return camelCase(short);
  }
  return '';
}

/** What a term before a definition, a label before a field or a heading over a column says. */
function fromNeighbour(tree: PageTree, node: PageNode): string {
  const siblings = (tree.nodes[node.parent]?.children ?? []).map((child) => tree.nodes[child]).filter((one) => one && isElement(one));
  const place = siblings.indexOf(node);
  const before = siblings[place - 1];
  if (before && (before.label === 'dt' || before.label === 'label') && node.label !== before.label)
    return wordsOf(textBelow(tree, before.index));
  if (node.label === 'td') {
    let table = tree.nodes[node.parent];
    while (table && table.label !== 'table') table = tree.nodes[table.parent];
    const heads = table
      ? tree.nodes.slice(table.index, table.end).filter((one) => one.label === 'th' && tree.nodes[one.parent]?.label === 'tr')
      : [];
    const row = heads[0]?.parent;
    const cells = siblings.filter((one) => one?.label === 'td' || one?.label === 'th').indexOf(node);
    const head = (tree.nodes[row ?? -1]?.children ?? []).map((child) => tree.nodes[child]).filter((one) => one && isElement(one))[cells];
    if (head && head.label === 'th' && head.index !== node.index) return wordsOf(textBelow(tree, head.index));
  }
  return '';
}

const wordsOf = (text: string): string => (text.length <= 30 ? camelCase(text.split(/\s+/).slice(0, 3).join(' ')) : '');

function baseName(tree: PageTree, variation: Variation, itemWords: string): string {
  const owner = variation.what === 'text' ? ownerOf(tree, variation.node) : tree.nodes[variation.node.at.find((at) => at >= 0) ?? -1];
  if (!owner) return 'value';
  const named = fromClass(owner, itemWords) || fromNeighbour(tree, owner);
  const isItem = variation.where === ':scope';
  switch (variation.what) {
    case 'text':
      return (isItem ? '' : named) || ownValue(tagNames, owner.label) || (isItem ? 'text' : wordsOf(owner.label)) || 'text';
    case 'image':
      return variation.attribute === 'alt' ? `${isItem ? 'image' : named || 'image'}Alt` : (isItem ? '' : named) || 'image';
    case 'link':
      return isItem || ownValue(tagNames, owner.label) === 'label' ? 'href' : `${named || 'link'}Href`;
    case 'class':
      return isItem ? 'tone' : `${named || owner.label}Tone`;
    case 'presence':
      return `has${pascalCase(named || ownValue(tagNames, owner.label) || owner.label)}`;
    case 'attribute':
      return camelCase(variation.attribute.replace(/^(data|aria)-/, '')) || 'value';
  }
}

/** The element around a text. */
function ownerOf(tree: PageTree, text: Overlay): PageNode | undefined {
  const node = tree.nodes[text.at.find((at) => at >= 0) ?? -1];
  const owner = node && tree.nodes[node.parent];
  const around = owner && tree.nodes[owner.parent];
  // A button or a link that is all of a heading is the title.
  return around && /^h[1-6]$/.test(around.label) && owner.tokens.length === 0 ? around : owner;
}

const reservedProps = new Set([
  'key',
  'ref',
  'children',
  'class',
  'default',
  'new',
  'delete',
  'for',
  'in',
  'is',
  'function',
  'return',
  'switch',
  'case',
  'var',
  'const',
  'let',
  'this',
  'null',
  'true',
  'false',
  'if',
  'else',
  'do',
  'while',
  'with',
  'void',
  'try',
  'catch',
  'throw',
  'typeof',
  'yield',
  'await',
  'enum',
  'export',
  'import',
  'super',
  'static',
  'extends',
  'package',
  'public',
  'private',
  'arguments',
  'eval',
  'undefined',
  'instanceof',
  'interface',
  'implements',
  'protected',
  'debugger',
  'finally',
  'continue',
  'break',
  'class',
]);

function typed(variation: Variation): Pick<ProposedProp, 'type' | 'values' | 'optional'> {
  const { what, values } = variation;
  if (what === 'presence') return { type: 'boolean', optional: false, values: values.map((value) => value === 'present') };
  const given = values.filter((value) => value !== undefined);
  const optional = given.length < values.length;
  if (what === 'text' && given.every((value) => /^-?(0|[1-9]\d{0,14})(\.\d*[1-9])?$/.test(value)))
    return { type: 'number', optional, values: values.map((value) => (value === undefined ? undefined : Number(value))) };
  const distinct = [...new Set(given)].sort();
  const isChoice =
    (what === 'class' || what === 'attribute') && distinct.length <= 6 && (distinct.length < given.length || what === 'class');
  return {
    type: isChoice ? distinct.map((value) => `'${value.replace(/[\\']/g, '\\$&').replace(/\n/g, '\\n')}'`).join(' | ') : 'string',
    optional,
    values,
  };
}

/**
 * The props that a part needs for what varies among its items, each with a name of its own and a
 * type. `taken` names are not given again. What always varies alike is one prop.
 */
export function proposeProps(
  tree: PageTree,
  part: string,
  variations: readonly Variation[],
  taken: ReadonlySet<string> = new Set(),
): ProposedProp[] {
  const used = new Set([...taken, ...reservedProps]);
  const props: ProposedProp[] = [];
  for (const variation of variations) {
    const made = typed(variation);
    const name = freeName(baseName(tree, variation, part), used);
    used.add(name);
    props.push({ name, variation, ...made });
  }
  return props;
}

/** The list that a repeated part comes from: `LockCard` in `LockList` → `locks`, else `lockCards`. */
export function listName(part: string): string {
  const bare = part.replace(/(Card|Row|Item|Tile|Entry|Cell|Line|Link|Badge)$/, '');
  const name = camelCase(bare || part);
  const one = singular(name);
  return one.endsWith('s') ? `${one}es` : pluralOf(one);
}

const pluralOf = (name: string): string => (/[^aeiou]y$/.test(name) ? `${name.slice(0, -1)}ies` : `${name}s`);
