import { markupOf } from '../../frameworks/registry';
import { contains, type Span } from '../../model/span';
import { memberName } from '../../model/member';
import { CannotWrite } from '../rewrite';
import type { Variation, Occurrence } from './places';

/** A place for content of the new component: what it hands on of what its owner is given, by the name that the owner has for it at each place. */
export type Passage = { readonly name: string; readonly own: readonly string[]; readonly hands: boolean };

const opening = /^<slot((?:\s+[^\s=>"'/]+(?:=(?:"[^"]*"|'[^']*'))?)*)\s*\/?>/;

/** The outlets of a stretch of Vue, in the order of the text. */
function outletsOf({ piece, nodes }: Occurrence): { readonly name: string; readonly span: Span; readonly hands: boolean }[] {
  return nodes
    .slice(piece.index, piece.end)
    .flatMap(({ node, span }) => (node.kind === 'outlet' ? [{ name: memberName(node.slot), span, hands: node.slotProps.length > 0 }] : []));
}

/** The places for content that a stretch of Vue has, each once. Throws where one goes by two names. */
export function passagesOf(places: readonly Occurrence[]): Passage[] {
  const [first] = places;
  if (!first || markupOf(first.source.framework) !== 'directives') return [];
  const all = places.map(outletsOf);
  const found = new Map<string, Passage>();
  outletsOf(first).forEach(({ name, hands }, at) => {
    const own = all.map((outlets) => outlets[at]?.name ?? name);
    const known = found.get(name);
    const unclear = [name, ...own].find((one) => !/^[\w$-]+$/.test(one));
    if (unclear !== undefined) throw new CannotWrite('It has a place for content whose name is computed.');
    if (known?.own.some((one, index) => one !== own[index])) throw new CannotWrite(`What is given for ${name} stands at two places of it.`);
    found.set(name, { name, own, hands: hands || (known?.hands ?? false) });
  });
  return [...found.values()];
}

/** The names of places for content, where they differ: each has its owner's, and the new component the first's. */
export function nameHoles(places: readonly Occurrence[]): Variation[] {
  const all = markupOf(places[0]?.source.framework) === 'directives' ? places.map(outletsOf) : [];
  return (all[0] ?? []).flatMap((outlet, index): Variation[] => {
    const same = all.map((outlets) => outlets[index] ?? outlet);
    if (same.every((one) => one.name === outlet.name)) return [];
    const spans = same.map(({ span }, at) => nameSpan((places[at] as Occurrence).source.text, span));
    const { text } = (places[0] as Occurrence).source;
    return [{ name: '', about: '', given: [], type: '', spans, text: text.slice(spans[0]?.start, spans[0]?.end) }];
  });
}

/** Where the name of an outlet is written; throws where it has none. */
function nameSpan(text: string, span: Span): Span {
  const attributes = opening.exec(text.slice(span.start, span.end))?.[1] ?? '';
  const found = /\sname=(["'])[^"']*\1/.exec(attributes);
  if (!found) throw new CannotWrite('A place for content has a name in one of the places alone.');
  const start = span.start + '<slot'.length + found.index;
  return { start, end: start + found[0].length };
}

/** How a component of Vue calls what it is given for its places of content: `const slots = useSlots()`. */
const slotsName = /\b(?:const|let)\s+(\w+)\s*=\s*(?:useSlots|defineSlots)\b/;

/**
 * Questions whether something is given for a place of content: the new component asks for its own, as
 * just what is given is handed on. Those within `others` go with them. Throws where one asks for what is not handed on.
 */
export function slotHoles(places: readonly Occurrence[], passages: readonly Passage[], others: readonly Variation[]): Variation[] {
  const all = places.map((place, at) => {
    const { source, piece } = place;
    if (markupOf(source.framework) !== 'directives') return [];
    const name = slotsName.exec(source.text)?.[1];
    const asked = new RegExp(
      `(?<![\\w$.-])(?:\\$slots${name === undefined ? '' : `|${name}`})(?:\\.(\\w+)|\\[(['"])([\\w-]+)\\2\\])?(?![\\w$-])`,
      'g',
    );
    return [...source.text.slice(piece.span.start, piece.span.end).matchAll(asked)].flatMap((found) => {
      const span = { start: piece.span.start + found.index, end: piece.span.start + found.index + found[0].length };
      const isWithin = others.some(({ spans }) => spans[at] !== undefined && contains(spans[at], span));
      const slot = found[1] ?? found[3];
      const passage = passages.find((one) => one.own[at] === slot);
      if (isWithin) return [];
      if (!passage) throw new CannotWrite(`${found[0]} asks for content that has no place in it.`);
      return [{ span, name: passage.name }];
    });
  });
  return (all[0] ?? []).map(({ name }, index): Variation => {
    const same = all.map((own) => own[index]);
    if (same.some((one) => one?.name !== name)) throw new CannotWrite('The places ask for different content.');
    const text = /^\w+$/.test(name) ? `$slots.${name}` : `$slots['${name}']`;
    return { name: '', about: '', given: [], type: '', spans: same.flatMap((one) => one?.span ?? []), text };
  });
}
