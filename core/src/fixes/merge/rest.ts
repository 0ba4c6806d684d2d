import { markupOf } from '../../frameworks/registry';
import type { TemplateNode } from '../../model/facts';
import type { Framework } from '../../model/framework';
import { contains, type Span } from '../../model/span';
import { folded, type Piece, type Pieces, renamed, unspaced } from '../../overlap';
import { CannotWrite } from '../rewrite';
import type { Work } from './fill';

/** A stretch of a text and what is to be read in its place. */
type Instead = Span & { readonly text: string };

/** Some stretch of a text with others in place of parts of it; of two that lie within each other, the outer one counts. */
function filled(text: string, span: Span, all: readonly Instead[]): string {
  const isWithin = (one: Instead, other: Instead): boolean => contains(other, one) && !contains(one, other);
  let made = text.slice(span.start, span.end);
  for (const one of [...all].sort((x, y) => y.start - x.start || y.end - x.end)) {
    if (!contains(span, one) || all.some((other) => isWithin(one, other))) continue;
    made = made.slice(0, one.start - span.start) + one.text + made.slice(one.end - span.start);
  }
  return made;
}

/** The outermost elements of some markup, whatever decides over them. */
const outermost = (nodes: readonly TemplateNode[]): Span[] =>
  nodes.flatMap((node) => {
    if (node.kind === 'element' || node.kind === 'use') return node.span.end > node.span.start ? [node.span] : [];
    return node.kind === 'branch' || node.kind === 'repeat' ? outermost(node.children) : [];
  });

/** Where the markup of a component stands in its file. */
function spansOfMarkup(framework: Framework, { component }: Pieces, text: string): Span[] {
  if (markupOf(framework) === 'expression') return outermost(component.facts.template);
  const whole = markupOf(framework) === 'directives' ? /<template\b[\s\S]*<\/template>/.exec(text) : undefined;
  return [whole ? { start: whole.index, end: whole.index + whole[0].length } : { start: 0, end: text.length }];
}

/** `a ? <b /> : null` and `a && (<b />)` are one. */
function plainConditions({ nodes }: Pieces, text: string): Instead[] {
  return nodes.flatMap((piece: Piece): Instead[] => {
    const [first, last] = [nodes[piece.children[0] ?? -1], nodes[piece.children.at(-1) ?? -1]];
    if (piece.kind !== 'branch' || !first || !last || first.span.start < piece.span.end) return [];
    const before = /^\s*(&&|\?)\s*(\(?)\s*$/.exec(text.slice(piece.span.end, first.span.start));
    if (!before) return [];
    const behind = new RegExp(`^\\s*${before[2] === '(' ? '\\)' : ''}${before[1] === '?' ? '\\s*:\\s*(?:null|undefined|false)\\b' : ''}`);
    const after = behind.exec(text.slice(last.span.end));
    if (!after) return [];
    return [
      { start: piece.span.end, end: first.span.start, text: ' && ' },
      { start: last.span.end, end: last.span.end + after[0].length, text: '' },
    ];
  });
}

const stylesOf = (text: string): string => [...text.matchAll(/<style\b[\s\S]*?<\/style>/g)].map((found) => folded(found[0])).join('');

/**
 * Throws where the two differ in something that no put of the merge stands for: facts do not tell all
 * that markup says.
 */
export function refuseHidden(work: Work): void {
  const { laid, framework, puts } = work;
  const [text, other] = laid.texts;
  const mine = puts.map((put): Instead => ({ start: put.start, end: put.end, text: put.other && put.end > put.start ? '§' : '' }));
  const theirs = puts.flatMap((put): Instead[] => (put.other ? [{ ...put.other, text: put.end > put.start ? '§' : '' }] : []));
  const [own, others] = [plainConditions(laid.a, text), plainConditions(laid.b, other)];
  const isReact = markupOf(framework) === 'expression';
  const without = (all: string): string => all.replace(/<(script|style)\b[\s\S]*?<\/\1>/g, '');
  const first = spansOfMarkup(framework, laid.a, text).map((span) => without(filled(text, span, [...mine, ...(isReact ? own : [])])));
  const second = spansOfMarkup(framework, laid.b, other).map((span) =>
    renamed(without(filled(other, span, [...theirs, ...(isReact ? others : [])])), laid.names),
  );
  const [left, right] = [first, second].map((all) => all.map((one) => unspaced(framework, one)).join('\n'));
  if (left !== right) throw new CannotWrite('They differ in something that no prop can say.');
  if (!isReact && stylesOf(text) !== stylesOf(other)) throw new CannotWrite('Their styles differ.');
}
