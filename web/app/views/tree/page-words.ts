import { counted } from '@liana/core';
import type { PageEntry, TreeAnswer } from '../../analysis/answers';

/** Why something is a page, as a heading over such pages. */
export const reasonWords: Readonly<Record<PageEntry['why'], string>> = {
  mounted: 'Put on the screen by the source',
  route: 'Behind a route',
  file: 'By the name of its file',
  alone: 'Standing alone: nothing comes to it',
};

/** How large a page is. */
export function sizeWords({ rows }: TreeAnswer): string {
  return counted(rows.length, 'place');
}
