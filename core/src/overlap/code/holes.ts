import type { TemplateNode } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import type { Span } from '../../model/span';
import { templateChildren } from '../../model/walk';
import { type Alignment, alignPieces, type Difference } from './align';
import { type Piece, type Pieces, piecesOf } from './pieces';
import { closingAt, contentSpan, folded, isTag, renamed, tagEnd } from './text';
import { append } from '../../model/append';

export type HoleKind = 'text' | 'value' | 'class' | 'element' | 'handler' | 'presence' | 'condition' | 'order' | 'layer';

/** A place where two components differ. A side without a span has nothing there. */
export type Hole = {
  readonly kind: HoleKind;
  readonly a?: Span;
  readonly b?: Span;
  /** What differs, where both say it as a constant text. */
  readonly texts?: readonly [a: string, b: string];
  /** What it is about: an attribute, a tag. */
  readonly about: string;
  readonly difference?: Difference;
  /** The pieces between which it lies, or that lie around it; -1 for the component itself. */
  readonly around: readonly [a: number, b: number];
};

/** Two components laid beside each other. */
export type Laid = {
  readonly a: Pieces;
  readonly b: Pieces;
  readonly texts: readonly [a: string, b: string];
  readonly alignment: Alignment;
  /** Names of the second by those that stand for them in the first. */
  readonly names: ReadonlyMap<string, string>;
  readonly holes: readonly Hole[];
};

/** Values that stand for each other, by how they are read at the same places: the second's name to the first's. */
function correspondence(a: Pieces, b: Pieces, { pairs }: Alignment): Map<string, string> {
  const votes = new Map<string, Map<string, number>>();
  // What a module declares or imports is no name of the component's own: it is not called otherwise there.
  const fixed = new Set(
    [...a.component.facts.values, ...b.component.facts.values].flatMap((value) => (value.kind === 'module' ? [value.name] : [])),
  );
  const vote = (theirs: string | undefined, mine: string | undefined): void => {
    if (!theirs || !mine || (theirs !== mine && (fixed.has(theirs) || fixed.has(mine)))) return;
    const known = votes.get(theirs) ?? new Map<string, number>();
    known.set(mine, (known.get(mine) ?? 0) + 1);
    votes.set(theirs, known);
  };
  const [facts, others] = [a.component.facts, b.component.facts];
  const readingsOf = ({ node }: Piece): (number | undefined)[] => {
    if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat')
      return [...node.readings.map((one) => one.value), ...(node.kind === 'repeat' ? [node.value] : [])];
    return node.kind === 'outlet' ? [node.reading?.value] : [];
  };
  for (const [at, bt] of pairs) {
    const [one, other] = [a.nodes[at] as Piece, b.nodes[bt] as Piece];
    const mine = readingsOf(one);
    readingsOf(other).forEach((value, index) => vote(others.values[value ?? -1]?.name, facts.values[mine[index] ?? -1]?.name));
    for (const trait of one.traits) {
      const same = other.traits.find((candidate) => candidate.name === trait.name);
      same?.binding.readings.forEach((reading, index) =>
        vote(others.values[reading.value]?.name, facts.values[trait.binding.readings[index]?.value ?? -1]?.name),
      );
    }
  }
  // What both call alike is the same, unless the markup says otherwise.
  for (const value of others.values)
    if (facts.values.some((one) => one.name === value.name && one.kind === value.kind)) vote(value.name, value.name);
  const names = new Map<string, string>();
  const taken = new Set<string>();
  for (const [theirs, all] of votes) {
    const [best] = [...all].sort((x, y) => y[1] - x[1] || Number(y[0] === theirs) - Number(x[0] === theirs));
    if (best && !taken.has(best[0])) {
      names.set(theirs, best[0]);
      taken.add(best[0]);
    }
  }
  // The setter of a state goes with it.
  for (const value of others.values) {
    const state = value.partner === undefined ? undefined : others.values[value.partner]?.name;
    const mine = state === undefined ? undefined : names.get(state);
    const setter = facts.values.find((one) => one.partner !== undefined && facts.values[one.partner]?.name === mine);
    if (setter && !names.has(value.name)) names.set(value.name, setter.name);
  }
  return names;
}

/** Stands for what is no text, so that the texts before and after it are two. */
const gone = '\0';

const blanked = (text: string, { start, end }: Span): string =>
  text.slice(0, start) + gone.repeat(Math.max(0, end - start)) + text.slice(end);

/** The elements that stand in some markup, below fragments, conditions, lists and places for content, but not within each other. */
function elementsIn(nodes: readonly TemplateNode[]): Span[] {
  return nodes.flatMap((node): readonly Span[] => {
    if ((node.kind === 'element' && node.tag !== '') || node.kind === 'use') return node.span.end > node.span.start ? [node.span] : [];
    return elementsIn(templateChildren(node));
  });
}

/** The constant texts between the children of an element: what is left when elements, other tags and expressions are taken out. */
export function staticTexts(text: string, piece: Piece): Span[] {
  const content = contentSpan(text, piece.span);
  if (!content) return [];
  let left = text.slice(content.start, content.end);
  const inner = piece.node.kind === 'element' || piece.node.kind === 'use' ? templateChildren(piece.node) : [];
  for (const span of elementsIn(inner))
    if (span.start >= content.start && span.end <= content.end)
      left = blanked(left, { start: span.start - content.start, end: span.end - content.start });
  left = left.replace(/<!--[\s\S]*?-->/g, (comment) => gone.repeat(comment.length));
  for (let at = left.search(/[{<]/); at >= 0; at = nextOf(left, at + 1)) {
    if (left[at] === '<' && !isTag(left, at)) continue;
    const end = left[at] === '<' ? tagEnd(left, at) : closingAt(left, at);
    left = blanked(left, { start: at, end: end < 0 ? left.length : Math.min(left.length, end + 1) });
  }
  return [...left.matchAll(/[^\s\0]+(?:\s(?!\s)[^\s\0]+|\s*\n\s*(?=[^\s\0])[^\s\0]+)*/g)].map((match) => ({
    start: content.start + match.index,
    end: content.start + match.index + match[0].length,
  }));
}

function nextOf(text: string, from: number): number {
  const found = text.slice(from).search(/[{<]/);
  return found < 0 ? -1 : from + found;
}

/** Where two components differ, place by place, in the order of the first's text. */
export function layBeside(model: Model, one: Component, other: Component, texts: readonly [string, string]): Laid {
  const [a, b] = [piecesOf(model, one), piecesOf(model, other)];
  const alignment = alignPieces(a, b);
  const names = correspondence(a, b, alignment);
  const says = (side: 0 | 1, span: Span): string =>
    folded(side === 0 ? texts[0].slice(span.start, span.end) : renamed(texts[1].slice(span.start, span.end), names));
  const isAcross = one.framework !== other.framework;
  const holes: Hole[] = [];
  for (const difference of alignment.differences) {
    const [mine, theirs] = [a.nodes[difference.a], b.nodes[difference.b]];
    const around = [mine?.parent ?? -1, theirs?.parent ?? -1] as const;
    switch (difference.kind) {
      case 'trait': {
        const [left, right] = [difference.one?.binding, difference.other?.binding];
        if (left && right && says(0, left.span) === says(1, right.span)) break;
        if (left && right && isAcross && codeOf(says(0, left.span)) === codeOf(says(1, right.span))) break;
        const isConstant = (binding: typeof left): boolean =>
          binding === undefined || (binding.readings.length === 0 && binding.constant !== undefined && !binding.markup);
        holes.push({
          kind:
            difference.of === 'class'
              ? 'class'
              : difference.of === 'handler'
                ? 'handler'
                : difference.of === 'content'
                  ? 'element'
                  : 'value',
          ...(left ? { a: left.span } : {}),
          ...(right ? { b: right.span } : {}),
          ...(isConstant(left) && isConstant(right) ? { texts: [left?.constant ?? '', right?.constant ?? ''] as const } : {}),
          about: (left ?? right)?.written ?? '',
          difference,
          around: [difference.a, difference.b],
        });
        break;
      }
      case 'tag':
        holes.push({
          kind: 'element',
          ...spans(mine, theirs),
          about: `${mine?.label ?? ''} or ${theirs?.label ?? ''}`,
          difference,
          around,
        });
        break;
      case 'presence':
        holes.push({ kind: 'presence', ...spans(mine, theirs), about: nameOf(mine ?? theirs), difference, around });
        break;
      case 'layer':
        holes.push({ kind: 'layer', ...spans(mine, theirs), about: nameOf(mine ?? theirs), difference, around });
        break;
      case 'moved':
        holes.push({ kind: 'order', ...spans(mine, theirs), about: nameOf(mine), difference, around });
    }
  }
  for (const [at, bt] of alignment.pairs)
    append(holes, [...textHoles(a, b, texts, at, bt), ...readingHoles(a.nodes[at] as Piece, b.nodes[bt] as Piece, says)]);
  return { a, b, texts, alignment, names, holes: holes.sort((x, y) => startOf(x) - startOf(y)) };
}

/** What an attribute says, in whichever way a framework writes it: `onClick={() => go()}`, `@click="go()"`. */
function codeOf(attribute: string): string {
  const value = attribute.startsWith('{') ? attribute : attribute.slice(attribute.indexOf('=') + 1);
  return value
    .replace(/^\s*["'{]|["'}]\s*$/g, '')
    .replace(/^\s*\(\)\s*=>\s*/, '')
    .trim();
}

const startOf = ({ a, b }: Hole): number => (a ?? b)?.start ?? 0;

const spans = (a: Piece | undefined, b: Piece | undefined): { readonly a?: Span; readonly b?: Span } => ({
  ...(a ? { a: a.span } : {}),
  ...(b ? { b: b.span } : {}),
});

export function nameOf(piece: Piece | undefined): string {
  if (!piece) return '';
  if (piece.node.kind === 'use') return piece.node.tag.split('.').at(-1) ?? '';
  return piece.kind === 'element'
    ? piece.label
    : piece.kind === 'repeat'
      ? 'a list'
      : piece.kind === 'branch'
        ? 'a condition'
        : piece.kind === 'outlet'
          ? 'content'
          : 'a value';
}

function textHoles(a: Pieces, b: Pieces, texts: readonly [string, string], at: number, bt: number): Hole[] {
  const [one, other] = [a.nodes[at] as Piece, b.nodes[bt] as Piece];
  if ((one.kind !== 'element' && one.kind !== 'use') || one.kind !== other.kind) return [];
  const [left, right] = [staticTexts(texts[0], one), staticTexts(texts[1], other)];
  const count = Math.max(left.length, right.length);
  return Array.from({ length: count }, (_, index): Hole[] => {
    const [mine, theirs] = [left[index], right[index]];
    const [says, also] = [
      mine ? folded(texts[0].slice(mine.start, mine.end)) : '',
      theirs ? folded(texts[1].slice(theirs.start, theirs.end)) : '',
    ];
    if (says === also) return [];
    return [
      {
        kind: 'text',
        ...(mine ? { a: mine } : {}),
        ...(theirs ? { b: theirs } : {}),
        texts: [says, also],
        about: one.label,
        around: [at, bt],
      },
    ];
  }).flat();
}

/** What is shown, decided or repeated by another expression. */
function readingHoles(one: Piece, other: Piece, says: (side: 0 | 1, span: Span) => string): Hole[] {
  const [mine, theirs] = [one.node, other.node];
  const around = [one.parent, other.parent] as const;
  if (mine.kind === 'text' && theirs.kind === 'text') {
    return says(0, mine.span) === says(1, theirs.span)
      ? []
      : [{ kind: 'value', a: mine.span, b: theirs.span, about: 'what is shown', around }];
  }
  if (mine.kind === 'outlet' && theirs.kind === 'outlet') {
    const isSame = mine.slot === theirs.slot || says(0, mine.span) === says(1, theirs.span);
    return isSame ? [] : [{ kind: 'element', a: mine.span, b: theirs.span, about: 'content', around }];
  }
  const bare = (text: string): string => text.replace(/^\{+\s*|\s*\}+$/g, '');
  if (one.role === 'text' && other.role === 'text')
    return bare(says(0, mine.span)) === bare(says(1, theirs.span))
      ? []
      : [{ kind: 'element', a: mine.span, b: theirs.span, about: 'content', around }];
  if (mine.kind === 'branch' && theirs.kind === 'branch') {
    const [left, right] = [readingText(says, 0, mine), readingText(says, 1, theirs)];
    return left === right && mine.negated === theirs.negated
      ? []
      : [{ kind: 'condition', a: mine.span, b: theirs.span, about: mine.when, around }];
  }
  if (mine.kind === 'repeat' && theirs.kind === 'repeat') {
    const [left, right] = [readingText(says, 0, mine), readingText(says, 1, theirs)];
    return left === right ? [] : [{ kind: 'value', a: mine.span, b: theirs.span, about: mine.over, around }];
  }
  return [];
}

const readingText = (
  says: (side: 0 | 1, span: Span) => string,
  side: 0 | 1,
  { readings }: Extract<Piece['node'], { kind: 'branch' | 'repeat' }>,
): string => readings.map((reading) => `${says(side, reading.span)} ${reading.how}`).join(' ');
