import { describe, expect, test } from 'vitest';
import { findGroups } from '../../overlap';
import { markedPages } from '../../testing/pages';
import { readPage } from './read';
import { selectorOf } from './selector';
import { suggestParts } from './suggest';

/** The groups of a page as lists of selectors: those marked by hand, and those found. */
function groupsOf(html: string): { marked: string[]; found: string[] } {
  const tree = readPage(html);
  const marks = new Map<string, number[]>();
  for (const node of tree.nodes) {
    const mark = node.attributes['data-group'];
    if (mark) marks.set(mark, [...(marks.get(mark) ?? []), node.index]);
  }
  const written = (items: readonly number[]): string => items.map((item) => selectorOf(tree, item)).join(', ');
  return {
    marked: [...marks.values()].map(written).sort(),
    found: suggestParts(tree)
      .groups.map(({ items }) => written(items))
      .sort(),
  };
}

describe('groups found are the groups a reader marked', () => {
  test.each(Object.entries(markedPages))('%s', (_, html) => {
    const { marked, found } = groupsOf(html);
    expect(found).toEqual(marked);
  });

  test('an empty page has none', () => {
    expect(findGroups(readPage(''))).toEqual([]);
  });
});
