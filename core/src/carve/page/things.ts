import { elementChildren, isElement, textLabel } from '../../overlap';
import { geometryOf, isBoxed, type Look, looksOf, utilitiesOf } from './looks';
import type { PageNode, PageTree } from './read';
import { textBelow } from './read';

/** What a node of a page is, as far as one element can tell: something made of several, a small thing with a look of its own, or nothing by itself. */
export type Thing = 'structure' | 'control' | 'mark' | undefined;

/** What stands among words, as a word does. */
const inline = new Set(
  'a abbr b bdi cite code data dfn em i kbd mark q s samp small span strong sub sup time u var br wbr font del ins'.split(' '),
);
/** Lines of text, cells and what only a table or a list needs: never things of their own, whatever they hold. */
const lines = new Set(
  'p h1 h2 h3 h4 h5 h6 td th dt dd option optgroup col colgroup thead tbody tfoot br hr wbr source track legend caption summary input textarea select label main body'.split(
    ' ',
  ),
);
/** Within these, what repeats is drawing or type, no part of a page. */
export const sealed: ReadonlySet<string> = new Set(['svg', 'pre', 'code', 'math', 'select', 'style', 'canvas']);

const shortText = 32;

/** Attributes of data that do not say what a node is: what tells one from another, and what scripts do with it. */
const unsaid =
  /^data-(?:id|key|index|testid|v-|(?:bs-)?(?:toggle|target|dismiss|placement|parent|slide|ride|spy|offset|trigger|html|original-title)\b)/;

/** What each node of a page is, by its index. */
export type Things = {
  readonly kind: (at: number) => Thing;
  /** Texts, pictures and fields below a node, each once; a sentence counts as one. */
  readonly data: (at: number) => number;
  /** Names that tell what a node is: classes, the tag of a custom element, names of data attributes. */
  readonly marks: (at: number) => readonly string[];
  /** What alike small things have in common, whatever their state and words. */
  readonly key: (at: number) => string;
};

export const isControl = ({ label, attributes }: PageNode): boolean =>
  label === 'button' ||
  /^(button|switch)$/.test(attributes['role'] ?? '') ||
  (label === 'input' && /^(button|submit|reset)$/.test(attributes['type'] ?? ''));

const isChoice = ({ attributes }: PageNode): boolean => /^(tab|option|radio|menuitem\w*)$/.test(attributes['role'] ?? '');

/** Tells whether a node is a sentence: words with marked words between or after them, however it is cut up. */
function isProse(tree: PageTree, node: PageNode, looks: readonly Look[]): boolean {
  if (!node.children.some((child) => tree.nodes[child]?.label === textLabel)) return false;
  for (let at = node.index + 1; at < node.end; at++) {
    const one = tree.nodes[at];
    if (one && isElement(one) && (!inline.has(one.label) || isBoxed(looks[at] ?? new Map()))) return false;
  }
  const words = textBelow(tree, node.index);
  if (words.length > 60 || lines.has(node.label)) return true;
  const kinds = node.children.flatMap((child) => {
    const one = tree.nodes[child];
    return one && one.label !== '#space' && one.label !== 'br' ? [one.label === textLabel] : [];
  });
  // Words on both sides of a marked word make a sentence; a word beside words is a second datum.
  return kinds.some((isText, index) => !isText && kinds[index - 1] === true && kinds[index + 1] === true);
}

/** What is told of each node of a page while its things are read. */
type Told = Pick<Things, 'data' | 'marks'> & { readonly tree: PageTree; readonly boxed: (at: number) => boolean };

/** What a box, a word or a block is by itself: small with a look of its own, or made of several. */
function blockKind({ tree, boxed, data, marks }: Told, node: PageNode): Thing {
  const words = textBelow(tree, node.index);
  const parts = partsOf(tree, node.index);
  const isBox = boxed(node.index);
  const isIconed =
    isBox && inline.has(node.label) && data(node.index) === 2 && tree.nodes.slice(node.index, node.end).some((one) => one.label === 'svg');
  const isSmall = words.length <= shortText && parts <= 4 && (data(node.index) <= 1 || isIconed || ratingSigns.test(words));
  if (isSmall) {
    const isOwn =
      isBox ||
      ratingSigns.test(words) ||
      node.label.includes('-') ||
      marks(node.index).some((mark) => mark.startsWith('[')) ||
      hasMeasure(tree, node);
    const isBare = parts > 1 && !isBox && node.children.length === 1;
    // What says nothing and shows nothing is drawing: a dot, a rule, a bar's filling.
    const isPartOfWord = isBox && marks(node.index).length === 0 && isInWord(tree, node);
    return isOwn && !isBare && !isPartOfWord && (!isSilent(tree, node.index) || hasMeasure(tree, node)) ? 'mark' : undefined;
  }
  if (hasMeasure(tree, node) && parts <= 4 && words.length <= shortText) return 'mark';
  return data(node.index) > 1 || (isBox && words.length > 0) ? 'structure' : undefined;
}

/** Reads what each node of a page is by itself. */
export function thingsOf(tree: PageTree): Things {
  const looks = looksOf(tree);
  const utilities = utilitiesOf(tree);
  const boxed = (at: number): boolean => isBoxed(looks[at] ?? new Map());
  const counted = new Map<number, number>();
  const data = (at: number): number => {
    const held = counted.get(at);
    if (held !== undefined) return held;
    const node = tree.nodes[at];
    const count = node ? dataOf(node) : 0;
    counted.set(at, count);
    return count;
  };
  const dataOf = (node: PageNode): number => {
    if (node.label === textLabel) return 1;
    if (node.label === '#space') return 0;
    if (/^(img|picture|video|canvas|input|select|textarea|meter|progress)$/.test(node.label)) return 1;
    if (node.label === 'svg') return 1;
    if (isProse(tree, node, looks)) return 1;
    // A box without words says something where nothing else does: a swatch, a bar. A dot before a word belongs to the word.
    const isMute = (child: number): boolean => isSilent(tree, child);
    const told = node.children.reduce((sum, child) => sum + (isMute(child) ? 0 : data(child)), 0);
    const hasKey = !boxed(node.index) && node.children.some((child) => isMute(child) && boxed(child));
    if (told > 0) return told + (hasKey ? 1 : 0);
    const mute = node.children.reduce((sum, child) => sum + data(child), 0);
    return mute === 0 && (boxed(node.index) || isControl(node)) ? 1 : mute;
  };
  const marks = (at: number): readonly string[] => {
    const node = tree.nodes[at];
    if (!node) return [];
    const names = Object.keys(node.attributes).filter((name) => /^data-[a-z]/.test(name) && !unsaid.test(name));
    const classes = node.tokens.filter((token) => !utilities.has(token));
    // The block that a modifier belongs to: `avatar--small` is an `avatar`.
    const blocks = classes.flatMap((token) => /^(.+?)--/.exec(token)?.[1] ?? []);
    return [
      ...new Set([...classes, ...blocks]),
      ...(node.label.includes('-') ? [`<${node.label}>`] : []),
      ...names.map((name) => `[${name}]`),
    ];
  };
  const kindOf = (node: PageNode): Thing => {
    if (!isElement(node) || node.parent < 0 || isChoice(node) || /^(code|kbd|pre)$/.test(node.label)) return undefined;
    if (isControl(node)) return tree.nodes[node.parent]?.label === 'th' ? undefined : 'control';
    const words = textBelow(tree, node.index);
    // Words and numbers of a menu are its content.
    if (node.label === 'a' && (/^[\d\s‹›«»…<>←→]+$/.test(words) || (isInMenu(tree, node) && partsOf(tree, node.index) === 1)))
      return undefined;
    if (node.label === 'svg')
      return node.attributes['role'] === 'img' &&
        Number.parseFloat(node.attributes['width'] ?? '') <= 120 &&
        !node.attributes['width']?.includes('%')
        ? 'mark'
        : undefined;
    if (node.label === 'img') return isPortrait(node, looks[node.index] ?? new Map()) ? 'mark' : undefined;
    if (node.label === 'table' && marks(node.index).length === 0) return undefined;
    if (node.label === 'p') return boxed(node.index) && words.length > 0 ? 'structure' : undefined;
    if (lines.has(node.label)) return node.label === 'label' && data(node.index) > 1 ? 'structure' : undefined;
    return blockKind({ tree, boxed, data, marks }, node);
  };
  const kinds = new Map<number, Thing>();
  const kind = (at: number): Thing => {
    if (kinds.has(at)) return kinds.get(at);
    const node = tree.nodes[at];
    const found = node ? kindOf(node) : undefined;
    kinds.set(at, found);
    return found;
  };
  const key = (at: number): string => {
    const node = tree.nodes[at];
    if (!node) return '';
    const holds = /^(img|svg)$/.test(node.label) ? node.label : textBelow(tree, at) === '' ? 'empty' : 'words';
    const measure = hasMeasure(tree, node) ? 'measure' : '';
    const opens = node.attributes['aria-expanded'] === undefined ? '' : 'opens';
    return [kind(at) ?? '', holds, measure, opens, geometryOf(looks[at] ?? new Map())].join('|');
  };
  return { kind, data, marks, key };
}

function isInMenu(tree: PageTree, node: PageNode): boolean {
  for (let one = tree.nodes[node.parent]; one; one = tree.nodes[one.parent])
    if (one.label === 'nav' || one.attributes['role'] === 'navigation') return true;
  return false;
}

/** Marks out of a few: stars, dots. */
const ratingSigns = /^[★☆●○◆◇♥♡✦✧]{3,}$/u;

/** How many elements a node holds, itself counted; a drawing is one. */
function partsOf(tree: PageTree, at: number): number {
  let count = 0;
  for (let one = at; one < (tree.nodes[at]?.end ?? 0); one++) {
    const node = tree.nodes[one];
    if (!node || !isElement(node)) continue;
    count++;
    if (node.label === 'svg') one = node.end - 1;
  }
  return count;
}

/** What says nothing and shows nothing: a dot, a rule, a bar's filling. */
const isSilent = (tree: PageTree, at: number): boolean => {
  const { title, 'aria-label': label } = tree.nodes[at]?.attributes ?? {};
  return title === undefined && label === undefined && textBelow(tree, at) === '' && !holdsPicture(tree, at);
};

/** Whether a node is a piece of a few letters that belong together, such as the day in a date. */
function isInWord(tree: PageTree, node: PageNode): boolean {
  const parent = tree.nodes[node.parent];
  if (!parent || /^(td|th|li|body|main|section)$/.test(parent.label)) return false;
  return elementChildren(tree, parent.index).length > 1 && textBelow(tree, parent.index).length <= 12;
}

function holdsPicture(tree: PageTree, at: number): boolean {
  for (let one = at; one < (tree.nodes[at]?.end ?? 0); one++)
    if (/^(img|picture|svg|video|canvas|meter|progress|input|select|textarea|button)$/.test(tree.nodes[one]?.label ?? '')) return true;
  return false;
}

/** A small picture that is as wide as high, or round: a face, an icon of somebody. Others are the content of what they stand in. */
function isPortrait({ attributes }: PageNode, look: Look): boolean {
  const width = look.get('width') ?? attributes['width'] ?? '';
  const height = look.get('height') ?? attributes['height'] ?? '';
  const isRound = /50%|999|100%|9999/.test(look.get('border-radius') ?? '');
  return isRound || (width !== '' && width === height && Number.parseFloat(width) <= 72 && !width.includes('%'));
}

/** A measure, or a bar drawn as one: a box that is filled to a share of its width. */
const hasMeasure = (tree: PageTree, node: PageNode): boolean => {
  const [fill, ...more] = elementChildren(tree, node.index);
  const isAlone = node.children.every((child) => child === fill?.index || tree.nodes[child]?.label === '#space');
  if (fill && more.length === 0 && isAlone && /(^|;)\s*width:\s*[\d.]+%/.test(fill.attributes['style'] ?? '')) return true;
  for (let at = node.index + 1; at < node.end; at++) if (/^(meter|progress)$/.test(tree.nodes[at]?.label ?? '')) return true;
  return false;
};

/** Tells whether a node only holds alike things in a row: a bare list. */
export function isBareList(tree: PageTree, at: number, isItem: (at: number) => boolean): boolean {
  const node = tree.nodes[at];
  const children = node ? elementChildren(tree, at) : [];
  if (!node || children.length === 0 || node.children.some((child) => tree.nodes[child]?.label === textLabel)) return false;
  return children.every((child) => isItem(child.index) || /^(hr|br|style)$/.test(child.label));
}
