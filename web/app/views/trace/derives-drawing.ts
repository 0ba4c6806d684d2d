import type { Derivation, KnotKind, LinkHow, RowGroup } from '@liana/core';

export const rowHeight = 50;
export const headingHeight = 30;
/** No wider than this is the space for strands, whatever their number. */
const mostWidth = 460;

/** A row or a heading at its height, in pixels from the top; `y` is the middle of a row’s first line. */
export type PlacedRow = { readonly row: number; readonly top: number; readonly y: number };
export type PlacedHeading = { readonly group: RowGroup; readonly top: number };

export type DerivesLayout = {
  readonly rows: readonly PlacedRow[];
  readonly headings: readonly PlacedHeading[];
  readonly height: number;
  /** The space for strands, and the middle of each column in it. */
  readonly width: number;
  readonly xOf: (column: number) => number;
};

/** Puts rows below each other, each group under its heading, and columns beside each other, closer where there are many. */
export function layoutDerives({ rows, columns }: Derivation): DerivesLayout {
  const placed: PlacedRow[] = [];
  const headings: PlacedHeading[] = [];
  let top = 0;
  rows.forEach(({ group }, row) => {
    if (group !== rows[row - 1]?.group) {
      headings.push({ group, top });
      top += headingHeight;
    }
    placed.push({ row, top, y: top + 17 });
    top += rowHeight;
  });
  const step = Math.max(11, Math.min(27, Math.floor(mostWidth / Math.max(columns, 1))));
  return { rows: placed, headings, height: top + 8, width: 30 + columns * step, xOf: (column) => 20 + column * step };
}

/** The knot that stands where a strand ends. */
export function knotOf(how: LinkHow, group: RowGroup | undefined): KnotKind {
  if (how === 'changes') return 'changes';
  if (how === 'raises') return 'raises';
  if (how === 'part' || how === 'item') return 'narrows';
  return how === 'same' && group !== 'shown' ? 'passes' : 'reads';
}
