import type { PageEntry } from './answers';

const reasons: readonly PageEntry['why'][] = ['mounted', 'route', 'file', 'alone'];

/** Pages in the order in which they are offered: by why they are pages, the largest first. */
export function inOrder(pages: readonly PageEntry[]): PageEntry[] {
  return [...pages].sort((a, b) => reasons.indexOf(a.why) - reasons.indexOf(b.why) || b.places - a.places || a.path.localeCompare(b.path));
}

/**
 * The page that is shown where none is asked for: the first in the source that is not small beside the largest, since a
 * small one does not show what the application is. One that stands alone only where all do. Undefined where there is none.
 */
export function pageToBegin(pages: readonly PageEntry[]): PageEntry | undefined {
  const reached = pages.filter(({ why }) => why !== 'alone');
  const offered = reached.length > 0 ? reached : pages;
  const largest = Math.max(0, ...offered.map(({ places }) => places));
  return offered.find(({ places }) => places * 2 >= largest);
}
