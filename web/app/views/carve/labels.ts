import type { Box } from '@liana/core';

export type Label = {
  readonly id: string;
  readonly text: string;
  readonly box: Box;
  /** A chosen mark's name is shown even where it covers something. */
  readonly isChosen?: boolean;
};
/** Where a label stands, in pixels of the screen; hidden where there is no room for it, or it would cover what is marked. */
export type PlacedLabel = {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly isHidden: boolean;
};

const height = 19;
/** A mark that is no higher than this is covered by a name on it. */
const lowAtMost = 44;
const widthOf = (text: string): number => Math.ceil(text.length * 7) + 14;

/**
 * Finds a place for each label at its box: above the top left corner, along the top edge, within, and
 * then at the other corners. No two labels cover each other, and none covers a low mark; one without
 * room is not shown, as its mark and the tree say what it is; a chosen one is shown though it covers one.
 * Those that come first choose first. Boxes are in pixels of the screen, `right` is the area's width.
 */
export function placeLabels(labels: readonly Label[], right: number): PlacedLabel[] {
  const taken: Box[] = [];
  const low = labels.filter(({ box }) => box.height <= lowAtMost).map(({ box }) => box);
  const isOn = (box: Box, among: readonly Box[]): boolean =>
    among.some((one) => box.x < one.x + one.width && one.x < box.x + box.width && box.y < one.y + one.height && one.y < box.y + box.height);
  const isFree = (box: Box): boolean => box.x >= 0 && box.y >= 0 && box.x + box.width <= right && !isOn(box, taken);
  return labels.map(({ id, text, box, isChosen }) => {
    const width = Math.min(widthOf(text), 220);
    const foot = box.y + box.height;
    const rows = [box.y - height, box.y, foot - height, foot];
    const along = [0, 1, 2, 3, 4, 5].map((step) => box.x + step * 26).filter((x) => x + width <= box.x + Math.max(box.width, width));
    const spots = rows.flatMap((y) => [...along, box.x + box.width - width].map((x) => ({ x, y, width, height })));
    const spot = spots.find((one) => isFree(one) && !isOn(one, low)) ?? (isChosen ? spots.find(isFree) : undefined);
    if (spot) taken.push(spot);
    return { id, x: spot?.x ?? box.x, y: spot?.y ?? box.y, width, isHidden: !spot };
  });
}
