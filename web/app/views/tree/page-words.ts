import { counted } from '@liana/core';
import type { PageEntry, TreeAnswer } from '../../analysis/answers';

/** Why something is a page, as a heading over such pages. */
export const reasonWords: Readonly<Record<PageEntry['why'], string>> = {
  mounted: 'Put on the screen by the source',
  route: 'Behind a route',
  file: 'By the name of its file',
  alone: 'Standing alone: nothing comes to it',
};

const order: readonly PageEntry['why'][] = ['mounted', 'route', 'file', 'alone'];

/** Pages in the order in which they are offered: by why they are pages, the largest first. */
export function choicesOf(pages: readonly PageEntry[]): readonly PageEntry[] {
  return [...pages].sort((a, b) => order.indexOf(a.why) - order.indexOf(b.why) || b.places - a.places || a.path.localeCompare(b.path));
}

/** How large a page is. */
export function sizeWords({ rows }: TreeAnswer): string {
  return counted(rows.length, 'place');
}
