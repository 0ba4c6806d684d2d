import type { ComponentFacts, Reading } from '../../model/facts';
import type { Component } from '../../model/model';
import type { Span } from '../../model/span';
import type { Piece } from '../../overlap';
import type { Source } from '../source';

/** One place of a stretch that repeats. */
export type Place = { readonly component: Component; readonly source: Source; readonly piece: Piece; readonly nodes: readonly Piece[] };

/** What differs, or comes from who has the stretch: a prop of the new component. */
export type Hole = {
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

/** Whom a reading is of: the stretch itself, the module, or the component that has the stretch. */
export function ownerOf({ component, piece }: Place, value: number): 'inner' | 'module' | 'owner' {
  const known = component.facts.values[value];
  if (!known || known.kind === 'module') return 'module';
  const isWithin = known.span.start >= piece.span.start && known.span.end <= piece.span.end;
  return innerKinds.has(known.kind) && isWithin ? 'inner' : 'owner';
}

/** A value that is read, called or changed in some code, and where. */
export type Mention = { readonly value: number; readonly span: Span; readonly isChange?: true };

export function mentionsOf(facts: ComponentFacts, readings: readonly Reading[], action?: number): Mention[] {
  const run = action === undefined ? undefined : facts.actions[action];
  const changes = (run?.changes ?? []).map(({ value, span }): Mention => ({ value, span, isChange: true }));
  const raises = (run?.raises ?? []).flatMap(({ value, span }): Mention[] => (value === undefined ? [] : [{ value, span }]));
  return [...readings, ...(run?.reads ?? []), ...(run?.invokes ?? []), ...raises, ...changes];
}

const folded = (text: string): string => text.replace(/\s+/g, ' ').trim();
export const says = ({ source }: Place, { start, end }: Span): string => folded(source.text.slice(start, end));
