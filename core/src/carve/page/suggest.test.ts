import { describe, expect, test } from 'vitest';
import { findGroups } from './groups';
import { demoPage } from '../../../../testing/src/carve';
import { markedPages } from '../../../../testing/src/pages';
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

/**
 * What the demo really is made of, by name of the component and the elements it stands at; the
 * layout around all and the bubble around its content are left out, as no element is theirs alone.
 */
const real: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  today: {
    TopBar: '.top-bar',
    ClockBadge: '.top-bar > time',
    KeeperMenu: '.top-bar > span',
    NoticeStrip: '.notice',
    LockList: '.lock-list',
    LockCard: '.lock-list > li:nth-of-type(1) > article',
    LevelGauge: '.lock-list > li:nth-of-type(1) > article > label',
    GateSwitch: '.lock-list > li:nth-of-type(1) > article > span',
    PassageQueue: '.lock-list > li:nth-of-type(1) > article > ul',
    PassageRow: '.lock-list > li:nth-of-type(1) > article > ul > li:nth-of-type(1)',
    BoatBadge: '.lock-list > li:nth-of-type(1) > article > ul > li:nth-of-type(1) > strong',
    StatusPill: '.lock-list > li:nth-of-type(1) > article > ul > li:nth-of-type(1) > span',
    LockPanel: '#root > main > aside',
    LevelChart: '#root > main > aside > svg',
    PassageForm: '#root > main > form',
    DateField: '#root > main > form > label:nth-of-type(3)',
  },
  roster: { ShiftTable: '.shift-table', ShiftCell: '.shift-table > tbody > tr:nth-of-type(1) > td' },
};

test.each([
  ['today', ['ClockBadge', 'PassageQueue', 'BoatBadge'], ['NavBar', 'Button', 'Hint', 'SelectField']],
  ['roster', ['ShiftCell'], ['TopBar', 'NavBar', 'SignOffControl', 'Button', 'ShiftRow']],
])('of the parts that the demo’s %s really has, only %j are missed', (name, missed, added) => {
  const tree = readPage(demoPage(name));
  const { parts } = suggestParts(tree);
  const places = new Map(parts.flatMap((part) => part.at.map((at) => [selectorOf(tree, at), part.name])));
  const wanted = Object.entries(real[name] ?? {});
  expect(wanted.flatMap(([part, selector]) => (places.has(selector) ? [] : [part]))).toEqual(missed);
  const meant = new Set(wanted.map(([, selector]) => places.get(selector)));
  expect(parts.map((part) => part.name).filter((part) => !meant.has(part))).toEqual(added);
});

describe('parts that pages of templates have', () => {
  const partsOf = (html: string): string[] => suggestParts(readPage(html)).parts.map(({ name, at }) => `${name} ${at.length}`);

  test('a list that stands out and holds more than items is a region', () => {
    const list = (style: string): string =>
      `<ul class="sidebar" style="${style}"><a href="/">Quay</a><hr><li>One<b>1</b></li><li>Two<b>2</b></li><form><input></form></ul><main>${'<p>a</p>'.repeat(30)}</main>`;
    expect(partsOf(list('background:#123'))).toContain('Sidebar 1');
    expect(partsOf(list(''))).not.toContain('Sidebar 1');
  });

  test('of one name in two sizes there are two parts, each with all its places', () => {
    const row = (name: string): string => `<p><span class="avatar small"><img src="${name}"></span>${name}</p>`;
    const html = `<div class="avatar wide"><figure><img src="x"></figure><b>Ann</b><i>keeper</i></div>${['a', 'b', 'c'].map(row).join('')}`;
    expect(partsOf(html).filter((part) => part.startsWith('Avatar'))).toEqual(['Avatar 1', 'Avatar2 3']);
  });

  test('classes of looks name no part', () => {
    expect(partsOf('<footer class="border-top rounded-circle"><p>a</p><p>b</p></footer>')).toEqual(['PageFooter 1']);
  });
});
