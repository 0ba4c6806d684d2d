import type { ComponentFacts, Reading, ValueFact } from '../../model/facts';
import type { Component } from '../../model/model';
import { contains, type Span } from '../../model/span';
import type { Piece } from '../../overlap';
import type { Source } from '../source';

/** One place of a stretch that repeats. */
export type Occurrence = {
  readonly component: Component;
  readonly source: Source;
  readonly piece: Piece;
  readonly nodes: readonly Piece[];
  /** Attributes on its root that do not go into the new component: they are for its use to say. */
  readonly staying: readonly Span[];
};

/** What differs, or comes from who has the stretch: a prop of the new component. */
export type Variation = {
  readonly name: string;
  /** Constants that are the same by chance are told apart by what they are about. */
  readonly about: string;
  /** What is given at each place, as code. */
  readonly given: readonly string[];
  /** Its type as code of the framework's script; empty where it is not known. */
  readonly type: string;
  /** Where it stands at each place, and what comes there. */
  readonly spans: readonly Span[];
  readonly text: string;
  /** It is bound both ways. */
  readonly isTwoWay?: true;
};

const innerKinds = new Set(['item', 'handed', 'param']);

const isInner = ({ piece, staying }: Occurrence, { kind, span }: ValueFact): boolean =>
  innerKinds.has(kind) && contains(piece.span, span) && !staying.some((one) => contains(one, span));

/** Whom a reading is of: the stretch itself, the module, or the component that has the stretch. */
export function ownerOf(place: Occurrence, value: number): 'inner' | 'module' | 'owner' {
  const known = place.component.facts.values[value];
  if (!known || known.kind === 'module') return 'module';
  return isInner(place, known) ? 'inner' : 'owner';
}

/** How a list names its item and its position: `(a, at) in all`, `{#each all as a, at}`, `.map((a, at) =>`. */
const itemNames = /^[^>]*?\sv-for="\(?([^")]*)\)?\s+(?:in|of)\s|^\{#each\s[^}]*?\sas\s+([^}(]*)|\(\(([^()]*)\)\s*=>/;

/** The names that a stretch declares itself, in the order of the text. */
export function innerNames(place: Occurrence): string[] {
  const { component, source, piece, nodes } = place;
  const named = component.facts.values.filter((value) => isInner(place, value)).map(({ name, span }) => ({ name, at: span.start }));
  const items = nodes.slice(piece.index, piece.end).flatMap(({ node, span }) => {
    const found = node.kind === 'repeat' ? itemNames.exec(source.text.slice(span.start, span.end)) : undefined;
    const names = found?.slice(1).find((one) => one !== undefined);
    return (names ?? '').split(',').map((name, at) => ({ name: name.trim(), at: span.start + at }));
  });
  const all = [...named, ...items].filter(({ name }) => /^[A-Za-z_$][\w$]*$/.test(name)).sort((a, b) => a.at - b.at);
  return [...new Set(all.map((one) => one.name))];
}

/** A value that is read, called or changed in some code, and where. */
export type Mention = { readonly value: number; readonly span: Span; readonly isChange?: true };

export function mentionsOf(facts: ComponentFacts, readings: readonly Reading[], action?: number): Mention[] {
  const run = action === undefined ? undefined : facts.actions[action];
  const changes = (run?.changes ?? []).map(({ value, span }): Mention => ({ value, span, isChange: true }));
  const raises = (run?.raises ?? []).flatMap(({ value, span }): Mention[] => (value === undefined ? [] : [{ value, span }]));
  return [...readings, ...(run?.reads ?? []), ...(run?.invokes ?? []), ...raises, ...changes];
}

export const textAt = ({ source }: Occurrence, { start, end }: Span): string => source.text.slice(start, end);

const quoted = /(["'`])(?:\\[\s\S]|(?!\1)[^\\])*\1/;
const ofCode = (pattern: string): RegExp => new RegExp(`${quoted.source}|${pattern}`, 'g');

/** Code at a place in one line; texts in quotes stay as they are. */
export function says(place: Occurrence, span: Span): string {
  const line = textAt(place, span).replace(ofCode('\\s+'), (found, quote?: string) => (quote === undefined ? ' ' : found));
  const tidy = line.replace(ofCode('([([]) (?=\\S)|,? ([)\\]])'), (found, quote?: string, opens?: string, closes?: string) =>
    quote === undefined ? (opens ?? closes ?? found) : found,
  );
  return tidy.trim();
}
