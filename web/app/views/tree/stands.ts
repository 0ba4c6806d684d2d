import type { Knot, Strand, WhatIf } from '@liana/core';
import type { Row, WhatIfAnswer } from '../../analysis/answers';
import { pathOf, placeAtPath, standIn, type StandState, type TreeState } from './state';

/** A place that would stand elsewhere, and what would come of it. */
export type ShownStand = {
  readonly state: StandState;
  readonly moved: number;
  readonly target: number;
  readonly slots: readonly string[];
  /** Undefined where it cannot stand there. */
  readonly whatIf: WhatIf | undefined;
  /** It is only asked about: the chosen row is where it would stand. */
  readonly isAsked: boolean;
};

/** The places that would stand elsewhere: those that the URL holds, of places that are still there, and the one that is asked about. */
export function standsAsked(rows: readonly Row[], state: TreeState, place: number | undefined): Omit<ShownStand, 'slots' | 'whatIf'>[] {
  const asked = placeAtPath(rows, state.move);
  const held = state.stands.flatMap((one) => {
    const [moved, target] = [placeAtPath(rows, one.from), placeAtPath(rows, one.to)];
    return moved === undefined || target === undefined || moved === asked ? [] : [{ state: one, moved, target, isAsked: false }];
  });
  if (asked === undefined || place === undefined || asked === place) return held;
  const now = standIn(pathOf(rows, asked), pathOf(rows, place), state.slot);
  return [...held, { state: now, moved: asked, target: place, isAsked: true }];
}

/** The places with the answers to them. */
export const withAnswers = (asked: readonly Omit<ShownStand, 'slots' | 'whatIf'>[], answered: WhatIfAnswer | undefined): ShownStand[] =>
  asked.map((one, at) => ({ ...one, slots: answered?.moves[at]?.slots ?? [], whatIf: answered?.moves[at]?.whatIf }));

/** A row of a place where it would stand: it has a number of its own, behind those of the page. */
export type ThereRow = Row & { readonly of: number };

/** The place that a row is of: that of a place where it would stand is the place itself. */
export const standingAs = (row: Row | ThereRow): number => ('of' in row ? row.of : row.place);

/** What is drawn otherwise because of places that would stand elsewhere. */
export type StandsDrawn = {
  /** Rows to be drawn first below a place. */
  readonly there: ReadonlyMap<number, readonly ThereRow[]>;
  /** Places that would not be where they are. */
  readonly gone: ReadonlySet<number>;
  /** How many rows come. */
  readonly count: number;
};

export const nothingMoved: StandsDrawn = { there: new Map(), gone: new Set(), count: 0 };

/** A place with all below it, in their order. */
function subtree(rows: readonly Row[], place: number): Row[] {
  const start = rows[place];
  if (!start) return [];
  const found = [start];
  for (let at = place + 1; (rows[at]?.depth ?? -1) > start.depth; at++) found.push(rows[at] as Row);
  return found;
}

/** The rows that come and go. */
export function drawnStands(rows: readonly Row[], stands: readonly ShownStand[]): StandsDrawn {
  const there = new Map<number, ThereRow[]>();
  const gone = new Set<number>();
  let count = 0;
  for (const { moved, target, state, whatIf } of stands) {
    const [start, into] = [rows[moved], rows[target]];
    if (!whatIf || !start || !into) continue;
    const whole = subtree(rows, moved);
    // What of it stands elsewhere by a move of its own is no part of it then.
    const apart = stands.filter((one) => one.whatIf && one.moved !== moved && whole.some((row) => row.place === one.moved));
    const left = new Set(apart.flatMap((one) => subtree(rows, one.moved)));
    const own = whole.filter((row) => !left.has(row));
    const numbers = new Map(own.map((row, at) => [row.place, rows.length + count + at]));
    const coming = own.map((row): ThereRow => ({
      ...row,
      of: row.place,
      place: numbers.get(row.place) ?? row.place,
      parent: numbers.get(row.parent) ?? target,
      depth: row.depth - start.depth + into.depth + 1,
      guard: row !== start ? row.guard : state.slot === undefined ? '' : `in ${into.name}’s ${state.slot}`,
    }));
    count += own.length;
    there.set(target, [...(there.get(target) ?? []), ...coming]);
    for (const row of own) gone.add(row.place);
  }
  return { there, gone, count };
}

/** The nearest place of a name, from a place upward; undefined for none. */
function nearestAbove(rows: readonly Row[], place: number, name: string | null): number | undefined {
  for (let row = rows[place]; row; row = rows[row.parent]) if (row.name === name) return row.place;
  return undefined;
}

/** The strands with what would become of them where places stand elsewhere: who answers, what comes from whom, and what would be loose. */
export function strandsThen(
  rows: readonly Row[],
  strands: readonly Strand[],
  stands: readonly ShownStand[],
  { there }: StandsDrawn,
): readonly Strand[] {
  const numbers = new Map([...there.values()].flat().map((row) => [row.of, row.place]));
  if (numbers.size === 0) return strands;
  return strands.map((strand) => {
    const added = stands.flatMap((stand) => (stand.whatIf ? knotsThen(rows, strand, stand, stand.whatIf, numbers) : []));
    return added.length > 0 ? { ...strand, knots: [...strand.knots, ...added] } : strand;
  });
}

function knotsThen(
  rows: readonly Row[],
  strand: Strand,
  { moved, target, state }: ShownStand,
  { answers, lost, unheard }: WhatIf,
  numbers: ReadonlyMap<number, number>,
): Knot[] {
  const own = new Set(subtree(rows, moved).map((row) => row.place));
  return strand.knots.flatMap((knot): Knot[] => {
    const place = numbers.get(knot.place);
    const component = rows[knot.place]?.name;
    if (place === undefined || !own.has(knot.place)) return [];
    const isOf = (name: string): boolean => knot.name === name || knot.names.includes(name) || strand.name === name;
    const asked = strand.kind === 'context' ? answers.filter((one) => one.component === component) : [];
    const answer = asked.find(({ key }) => isOf(key)) ?? (asked.length === 1 ? asked[0] : undefined);
    const isLoose =
      (answer !== undefined && answer.after === null) ||
      (knot.place === moved && (lost.some(({ name, of }) => isOf(name) || isOf(of)) || unheard.some(({ event }) => isOf(event))));
    if (isLoose) return [{ ...knot, place, from: -1, kinds: ['loose'] }];
    if (own.has(knot.from)) return [{ ...knot, place, from: numbers.get(knot.from) ?? -1 }];
    const isHanded = state.slot === undefined && strand.kind !== 'context' && strand.kind !== 'store';
    const isOther = answer !== undefined && answer.after !== answer.before;
    const from = isOther ? nearestAbove(rows, target, answer.after) : isHanded ? target : knot.from;
    return [{ ...knot, place, from: from ?? -1 }];
  });
}
