import type { Box } from '@liana/core';

export type Label = { readonly id: string; readonly text: string; readonly box: Box };
/** Where a label stands, in pixels of the screen; hidden where there is no room for it. */
export type PlacedLabel = {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly isHidden: boolean;
};

const height = 19;
const widthOf = (text: string): number => Math.ceil(text.length * 7) + 14;

/**
 * Finds a place for each label at its box: above the top left corner, along the top edge, within, and
 * then at the other corners. No two labels cover each other; one without room is not shown. Those
 * that come first choose first. Boxes are in pixels of the screen, `right` is the area's width.
 */
export function placeLabels(labels: readonly Label[], right: number): PlacedLabel[] {
  const taken: Box[] = [];
  const isFree = (box: Box): boolean =>
    box.x >= 0 &&
    box.y >= 0 &&
    box.x + box.width <= right &&
    !taken.some(
      (one) => box.x < one.x + one.width && one.x < box.x + box.width && box.y < one.y + one.height && one.y < box.y + box.height,
    );
  return labels.map(({ id, text, box }) => {
    const width = Math.min(widthOf(text), 220);
    const foot = box.y + box.height;
    const rows = [box.y - height, box.y, foot - height, foot];
    const along = [0, 1, 2, 3, 4, 5].map((step) => box.x + step * 26).filter((x) => x + width <= box.x + Math.max(box.width, width));
    const spots = rows.flatMap((y) => [...along, box.x + box.width - width].map((x) => ({ x, y, width, height })));
    const spot = spots.find(isFree);
    if (spot) taken.push(spot);
    return { id, x: spot?.x ?? box.x, y: spot?.y ?? box.y, width, isHidden: !spot };
  });
}
