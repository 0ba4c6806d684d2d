import { counted } from '@liana/core';
import type { Strand } from '@liana/core';
import type { Row, TreeAnswer } from '../../analysis/answers';
import { strandWords } from '../../theme/Glyph';
import type { RowLayout } from './drawing';

/** Pixels that a level is set in, and that a letter of a name takes at most. */
export const indent = 18;
const letter = 8.2;

/** How far the names move left so that the longest of the rows in view keeps clear of the strands: at most to the outermost of these rows. */
export function shiftOf({ rows }: RowLayout, top: number, bottom: number, names: number): number {
  let most = 0;
  let outermost = Infinity;
  for (let at = top; at <= bottom; at++) {
    const row = rows[at]?.row;
    if (!row) continue;
    most = Math.max(most, row.depth * indent + 60 + row.name.length * letter);
    outermost = Math.min(outermost, row.depth);
  }
  return Number.isFinite(outermost) ? Math.max(0, Math.min(most - names, outermost * indent)) : 0;
}

/** The rows above one, the page first. */
export function ancestorsOf(rows: readonly Row[], row: Row | undefined): Row[] {
  const found: Row[] = [];
  for (let at = row && rows[row.parent]; at; at = rows[at.parent]) found.unshift(at);
  return found;
}

/** Of the rows above, the innermost that fit a line of some pixels. */
export function pinnedOf(above: readonly Row[], width: number): readonly Row[] {
  let left = width - 60;
  let at = above.length;
  while (at > 0 && left > 0) {
    left -= (above[at - 1]?.name.length ?? 0) * 7.6 + 24;
    if (left > 0) at--;
  }
  return above.slice(Math.min(at, Math.max(above.length - 1, 0)));
}

/** What is in view of a large page, and what of it is folded. */
export function viewWords(
  tree: TreeAnswer,
  { rows }: RowLayout,
  { top, bottom, shown }: { top: number; bottom: number; shown: number },
): string {
  const folded = tree.rows.filter((row) => row.sameAs !== undefined).length;
  const where = `Rows ${top + 1} to ${bottom + 1} of ${rows.length.toLocaleString('en')}${folded > 0 ? `, ${folded} folded, as they stand above` : ''}.`;
  const cut = tree.truncated ? ' This page is too large to unfold whole; what is below is cut.' : '';
  return `${where} ${counted(shown, 'column')} for the ${counted(tree.strands.length, 'strand')}.${cut}`;
}

/** What a column stands for, and where it starts. */
export function labelTitle(rows: readonly Row[], strand: Strand, count: number): string {
  const [first] = strand.knots;
  const start = first && rows[first.place];
  const name = `${strandWords[strand.kind][0]} ${strand.name}`;
  if (count > 1) return `${name} of ${count} places; choose it to see each`;
  return start ? `${name}, starts in ${start.name}` : `${name}, starts above the page`;
}

/** The places at which something is loose, in the order of the rows. */
export function loosePlaces(strands: readonly Strand[]): readonly number[] {
  const found = strands.flatMap((strand) => (strand.loose === undefined ? [] : strand.knots.map((knot) => knot.place)));
  return [...new Set(found)].filter((place) => place >= 0).sort((a, b) => a - b);
}

/** The places of the component that stands at one, in the order of the rows; empty where none is chosen. */
export function placesLike(rows: readonly Row[], place: number | undefined): readonly number[] {
  const row = place === undefined ? undefined : rows[place];
  return row ? rows.filter((one) => one.name === row.name && one.file === row.file).map((one) => one.place) : [];
}

/** The next of some places after one, or the one before it, around the end; undefined where there is none. */
export function nextAmong(places: readonly number[], place: number | undefined, isBack: boolean): number | undefined {
  const at = place ?? -1;
  if (isBack) return places.findLast((one) => one < at) ?? places.at(-1);
  return places.find((one) => one > at) ?? places[0];
}
