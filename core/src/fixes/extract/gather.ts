import { markupOf } from '../../frameworks/registry';
import type { Span } from '../../model/span';
import { type Piece, withBraces } from '../../overlap';
import { CannotWrite } from '../rewrite';
import type { Framework } from '../../model/framework';
import { Holes } from './holes';
import type { Variation, Occurrence } from './places';

/** The expression alone of what is shown: `{a}`, `{{ a }}` → `a`. */
function expressionSpan(framework: Framework, text: string, span: Span): Span {
  if (markupOf(framework) === 'expression') return span;
  const outer = withBraces(text, span);
  const inner = /^(\{\{?\s*)[\s\S]*?(\s*\}?\})$/.exec(text.slice(outer.start, outer.end));
  if (!inner) throw new CannotWrite('Something in it is shown in a form that is not followed.');
  return { start: outer.start + (inner[1] ?? '').length, end: outer.end - (inner[2] ?? '').length };
}

/** What a list repeats over, as it stands in the text. */
function overSpan(framework: Framework, text: string, { span }: Piece, over: string): Span {
  const head =
    markupOf(framework) === 'expression' ? 0 : (/(?:\s(?:in|of)\s+|\{#each\s+)/.exec(text.slice(span.start, span.end))?.index ?? 0);
  const start = text.indexOf(over, span.start + head);
  if (start < 0 || start > span.end) throw new CannotWrite('It repeats in a form that is not followed.');
  return { start, end: start + over.length };
}

/** What differs between the places of a stretch, and what comes from who has it, in the order of the text. Throws where no prop can say it. With `byName`, what comes from there keeps its names. */
export function gather(places: readonly Occurrence[], framework: Framework, byName: boolean): Variation[] {
  const holes = new Holes(places, framework, byName);
  const [first] = places;
  if (!first) return [];
  for (let step = 0; step < first.piece.end - first.piece.index; step++) {
    const pieces = places.map(({ nodes, piece }) => nodes[piece.index + step] as Piece);
    const [piece] = pieces;
    if (!piece) continue;
    const { node } = piece;
    if (node.kind === 'element' || node.kind === 'use') {
      if (node.kind === 'use' && node.ref) throw new CannotWrite(`${node.tag} is held while it runs.`);
      holes.chosen(pieces);
      holes.spread(pieces);
      if (node.bindings.some((one) => one.to.name === 'ref')) throw new CannotWrite('An element of it is held by a reference.');
      holes.text(pieces);
      for (const { name } of piece.traits) {
        const all = pieces.map((one) => one.traits.find((trait) => trait.name === name)?.binding);
        holes.binding(
          pieces,
          all.flatMap((one) => one ?? []),
        );
      }
    } else if (node.kind === 'text' || (node.kind === 'outlet' && markupOf(framework) === 'expression')) {
      const spans = pieces.map((one, at) => expressionSpan(framework, (places[at] as Occurrence).source.text, one.span));
      const values = pieces.map(({ node: one }) =>
        one.kind === 'text' ? one.readings : one.kind === 'outlet' && one.reading ? [one.reading] : [],
      );
      if (pieces.some(({ node: one }) => one.kind === 'outlet' && one.slotProps.length > 0))
        throw new CannotWrite('It has a place for content that is handed something.');
      holes.expression(pieces, spans, values, 'shown');
    } else if (node.kind === 'branch')
      holes.expression(
        pieces,
        pieces.map((one) => one.span),
        pieces.map(({ node: one }) => (one.kind === 'branch' ? one.readings : [])),
        'condition',
      );
    else if (node.kind === 'repeat') {
      const spans = pieces.map((one, at) =>
        overSpan(framework, (places[at] as Occurrence).source.text, one, one.node.kind === 'repeat' ? one.node.over : ''),
      );
      holes.expression(
        pieces,
        spans,
        pieces.map(({ node: one }) => (one.kind === 'repeat' ? one.readings : [])),
        'list',
      );
    } else if (node.kind === 'outlet') holes.outlet(pieces);
  }
  return holes.found;
}
