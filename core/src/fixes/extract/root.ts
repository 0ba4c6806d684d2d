import { markupOf } from '../../frameworks/registry';
import type { Span } from '../../model/span';
import { keySpan } from '../lists';
import { type Variation, type Occurrence, textAt } from './places';

/** An attribute of an opening tag, in the form of Vue: its name, and a value in quotes. */
const attribute = /\s+([^\s=>"'/]+)(?:\s*=\s*(?:"[^"]*"|'[^']*'|[^\s"'>]+))?/y;

/** Whether, how often and as which one a stretch stands is said on its root, and is for the use to say. */
const isAbout = /^(?:v-if|v-else-if|v-else|v-for|:key|key|v-bind:key)$/;

/** The attributes on the root of a stretch, which is an element, that stay with its place; in the order of the text. */
export function stayingOn({ source, piece }: Pick<Occurrence, 'source' | 'piece'>): Span[] {
  const { node, span } = piece;
  if (markupOf(source.framework) !== 'directives') {
    const key = keySpan(source, node);
    return key ? [key] : [];
  }
  const found: Span[] = [];
  attribute.lastIndex = span.start + (/^<[\w.-]+/.exec(source.text.slice(span.start, span.end))?.[0].length ?? 0);
  for (let one = attribute.exec(source.text); one; one = attribute.exec(source.text)) {
    const start = attribute.lastIndex - one[0].trimStart().length;
    if (isAbout.test(one[1] ?? '')) found.push({ start, end: attribute.lastIndex });
  }
  return found;
}

/** What each use has to say beside its props: its key, and in Vue on what condition and for which items it stands. */
export const staysWith = (place: Occurrence): string[] => place.staying.map((span) => textAt(place, span));

/** What stays with the places; nothing comes for it in the new component. */
export function stayingHoles(places: readonly Occurrence[]): Variation[] {
  const all = places.map((place) => place.staying);
  const most = Math.max(...all.map((one) => one.length));
  return Array.from({ length: most }, (_, index): Variation => {
    const spans = all.map((own, at): Span => {
      const span = own[index];
      const { start } = (places[at] as Occurrence).piece.span;
      return span ? { start: span.start - 1, end: span.end } : { start, end: start };
    });
    return { name: '', about: '', given: [], type: '', spans, text: '' };
  });
}
