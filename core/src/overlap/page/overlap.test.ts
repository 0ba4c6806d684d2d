import { describe, expect, test } from 'vitest';
import { readPage } from '../../carve/page/read';
import { type Overlay, overlay } from './align';
import { findGroups, findLikes } from '../../carve/page/groups';
import { likeness, shapeOf } from './likeness';
import { elementChildren, elementCount, isWithin } from './tree';

/** The likeness of two pieces of markup. */
function alike(one: string, other: string): number {
  const tree = readPage(`<main>${one}${other}</main>`);
  const [a, b] = elementChildren(
    tree,
    tree.nodes.findIndex((node) => node.label === 'main'),
  );
  return likeness(shapeOf(tree, a?.index ?? -1), shapeOf(tree, b?.index ?? -1));
}

describe('likeness', () => {
  test.each([
    ['the same', '<p><b>a</b></p>', '<p><b>b</b></p>'],
    ['another number of alike children', '<ul><li>a</li></ul>', '<ul><li>a</li><li>b</li><li>c</li></ul>'],
    ['another order', '<p><b>a</b><i>b</i></p>', '<p><i>b</i><b>a</b></p>'],
  ])('%s: wholly alike', (_, one, other) => {
    expect(alike(one, other)).toBe(1);
  });
  test.each([
    ['a part more', '<p><b>a</b></p>', '<p><b>a</b><i>b</i></p>', 0.5, 0.99],
    ['other classes', '<p class="a"><b>a</b></p>', '<p class="b"><b>a</b></p>', 0.2, 0.6],
    ['another element', '<p>a</p>', '<section>a</section>', 0, 0.01],
  ])('%s: less alike', (_, one, other, least, most) => {
    expect(alike(one, other)).toBeGreaterThanOrEqual(least);
    expect(alike(one, other)).toBeLessThanOrEqual(most);
    expect(alike(one, other)).toBe(alike(other, one));
  });
  test('of nothing there is no likeness', () => {
    expect(likeness(new Map(), new Map())).toBe(0);
    expect(shapeOf({ nodes: [] }, 0).size).toBe(0);
  });
});

/** An overlay in a line: `ul(11)[li(11) li(10)]`, a digit for each subtree that has the node. */
function drawn(node: Overlay): string {
  const has = node.at.map((at) => (at >= 0 ? '1' : '0')).join('');
  const children = node.children.filter((child) => !child.label.startsWith('#')).map(drawn);
  return `${node.label}(${has})${children.length > 0 ? `[${children.join(' ')}]` : ''}`;
}

describe('laying over each other', () => {
  const laid = (...items: string[]): string => {
    const tree = readPage(`<main>${items.map((item) => `<div>${item}</div>`).join('')}</main>`);
    return drawn(
      overlay(
        tree,
        elementChildren(tree, 1).map((node) => node.index),
      ),
    );
  };
  test.each<[string, string[], string]>([
    ['the same', ['<b>a</b>', '<b>b</b>'], 'div(11)[b(11)]'],
    ['one more at the end', ['<b>a</b>', '<b>b</b><i>c</i>'], 'div(11)[b(11) i(01)]'],
    ['one more in front', ['<i>c</i><b>a</b>', '<b>b</b>'], 'div(11)[i(10) b(11)]'],
    ['one more between', ['<b>a</b><u>c</u>', '<b>a</b><i>b</i><u>c</u>'], 'div(11)[b(11) i(01) u(11)]'],
    ['nothing in common', ['<b>a</b>', '<i>b</i>'], 'div(11)[i(01) b(10)]'],
    ['three', ['<b>a</b>', '<b>a</b><i>b</i>', '<i>b</i>'], 'div(111)[b(110) i(011)]'],
    ['lists of other lengths', ['<ul><li>a</li></ul>', '<ul><li>a</li><li>b</li></ul>'], 'div(11)[ul(11)[li(11) li(01)]]'],
    ['an empty one', ['', '<b>a</b>'], 'div(11)[b(01)]'],
    ['one alone', ['<b>a</b>'], 'div(1)[b(1)]'],
  ])('%s', (_, items, expected) => {
    expect(laid(...items)).toBe(expected);
  });
  test('what is opaque is not looked into', () => {
    const tree = readPage('<div><ul><li>a</li></ul></div>');
    expect(drawn(overlay(tree, [1], (at) => tree.nodes[at]?.label === 'ul'))).toBe('div(1)[ul(1)]');
  });
});

describe('likes of one element', () => {
  const html =
    '<main><ul class="queue"><li class="row"><b>a</b></li><li class="row"><b>b</b></li></ul><p>x</p><div class="row-like"><b>c</b></div></main>';
  test('the group it stands in', () => {
    const tree = readPage(html);
    const rows = tree.nodes.filter((node) => node.tokens.includes('row')).map((node) => node.index);
    expect(findLikes(tree, rows[0] ?? -1)).toEqual(rows.slice(1));
  });
  test('the same block on another page', () => {
    const tree = readPage('<header class="bar"><b>T</b><nav><a>x</a></nav></header><p>a</p>');
    const other = readPage('<p>b</p><header class="bar"><b>T</b><nav><a>y</a></nav></header><header class="foot"><i>z</i></header>');
    const bar = tree.nodes.findIndex((node) => node.label === 'header');
    expect(findLikes(tree, bar, other)).toEqual([other.nodes.findIndex((node) => node.tokens.includes('bar'))]);
  });
  test('nothing for what stands alone, and for what is not there', () => {
    const tree = readPage(html);
    expect(
      findLikes(
        tree,
        tree.nodes.findIndex((node) => node.label === 'p'),
      ),
    ).toEqual([]);
    expect(findLikes(tree, 999)).toEqual([]);
  });
});

test('ten thousand rows are one group, in a time that nobody waits for', () => {
  const tree = readPage(`<table><tbody>${'<tr><td><a>x</a></td><td>1</td></tr>'.repeat(5000)}</tbody></table>`);
  const started = Date.now();
  expect(findGroups(tree).map((group) => group.items.length)).toEqual([5000]);
  expect(Date.now() - started).toBeLessThan(20_000);
});

test('counting and holding', () => {
  const tree = readPage('<main><p>a <b>b</b></p><i></i></main>');
  expect([elementCount(tree, 0), elementCount(tree, 1), elementCount(tree, 99)]).toEqual([5, 4, 0]);
  expect([isWithin(tree, 1, 2), isWithin(tree, 2, 1), isWithin(tree, 1, 1), isWithin(tree, 99, 1)]).toEqual([true, false, true, false]);
});
