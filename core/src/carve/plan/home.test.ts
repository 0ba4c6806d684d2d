import { describe, expect, test } from 'vitest';
import { planFrom, valueOf } from '../../../../testing/src/plan';
import { seeded } from '../../../../testing/src/random';
import { closestOwner, homeOf, homeWords, hopWords } from './home';
import { nameOf } from './plan';
import { instancesOf, type PlanTree, planTree } from './plan-tree';

const board = `
TodayPage
  TopBar
    ClockBadge
    KeeperMenu
  NoticeStrip
  LockList
    LockCard x3
      LevelGauge
      GateSwitch
      PassageQueue
        PassageRow x2
          StatusPill
  LockPanel ?
    LevelChart
  PassageForm
    DateField
`;
const shelled = `
TodayPage
  AppShell
    TopBar
      KeeperMenu
    LockList (children)
      LockCard x3 (children)
        PassageQueue (children)
          PassageRow x2
    PassageForm (children)
LockPage
  AppShell
    TopBar
      KeeperMenu
    LevelChart (children)
`;
const deep = `
BookPage
  Desk
    Side
      Shelf
        Drawer
          Sheet
          Label
            Stamp
  Wall
`;
const lists = `
HallPage
  Region x2
    Table
      Line x4
        Cell x3
          Mark
        Total
    Legend
  Footer
`;

type Row = readonly [value: string, readBy: string, changedBy: string, marks: string, home: string, hops: string, carriers: string];

const tables: Readonly<Record<string, { outline: string; rows: readonly Row[] }>> = {
  'the board': {
    outline: board,
    rows: [
      ['locks', 'LockCard LockPanel', '', 'server', 'TodayPage', '2 down', 'LockList'],
      ['selectedLock', 'LockCard LockPanel', 'LockCard', '', 'TodayPage', '2 down, 2 up', 'LockList'],
      ['menuOpen', 'KeeperMenu', 'KeeperMenu', '', 'KeeperMenu', '0', ''],
      ['time', 'ClockBadge', '', 'server', 'ClockBadge', '0', ''],
      ['keeper', 'ClockBadge KeeperMenu', 'KeeperMenu', '', 'TopBar', '1 down, 1 up', ''],
      ['notices', 'NoticeStrip', 'NoticeStrip', '', 'NoticeStrip', '0', ''],
      ['hovered', 'LockCard', 'LockCard', '', 'LockList', '1 down, 1 up', ''],
      ['isOpen', 'LockCard', 'LockCard', 'item', 'LockCard', '0', ''],
      ['level', 'LevelGauge', 'GateSwitch', 'item', 'LockCard', '1 down, 1 up', ''],
      ['level', 'LevelGauge', 'GateSwitch', '', 'LockList', '2 down, 2 up', 'LockCard'],
      ['level', 'LevelGauge LevelChart', 'GateSwitch', '', 'a context of TodayPage', '0', 'LockList LockCard LockPanel'],
      ['level', 'LevelGauge', 'GateSwitch', 'item pages', 'a store', '0', ''],
      ['passages', 'PassageRow', 'StatusPill', 'item', 'PassageRow', '1 up', ''],
      ['passages', 'PassageRow', 'StatusPill', '', 'LockList', '3 down, 4 up', 'LockCard PassageQueue'],
      ['passages', 'PassageQueue PassageRow', 'StatusPill', 'item', 'PassageQueue', '1 down, 2 up', ''],
      ['passages', 'PassageQueue', 'PassageForm', '', 'TodayPage', '3 down, 1 up', 'LockList LockCard'],
      ['date', 'DateField', 'DateField', '', 'DateField', '0', ''],
      ['date', 'PassageForm', 'DateField', '', 'PassageForm', '1 up', ''],
      ['date', 'DateField', 'PassageForm', '', 'PassageForm', '1 down', ''],
      ['booking', 'PassageForm NoticeStrip', 'PassageForm', '', 'TodayPage', '1 down, 1 up', ''],
      ['filter', 'LockList LockCard', 'LockList', '', 'LockList', '1 down', ''],
      ['lost', '', '', '', 'nowhere', '0', ''],
      ['seen', '', 'NoticeStrip', '', 'NoticeStrip', '0', ''],
      ['page', 'TodayPage', 'TopBar', '', 'TodayPage', '1 up', ''],
      ['alarm', 'ClockBadge StatusPill', '', 'server', 'a context of TodayPage', '0', 'TopBar LockList LockCard PassageQueue PassageRow'],
      ['tone', 'StatusPill', '', 'server', 'LockList', '4 down', 'LockCard PassageQueue PassageRow'],
      ['tone', 'StatusPill', '', 'server item', 'StatusPill', '0', ''],
      ['chart', 'LevelChart', 'LockPanel', '', 'LockPanel', '1 down', ''],
    ],
  },
  'a layout with content handed over': {
    outline: shelled,
    rows: [
      ['passages', 'PassageRow PassageForm', 'PassageForm', '', 'TodayPage', '2 down, 1 up', 'PassageQueue'],
      ['passages', 'PassageQueue', '', 'server', 'TodayPage', '1 down', ''],
      ['chosen', 'LockCard', 'LockCard', '', 'TodayPage', '1 down, 1 up', ''],
      ['chosen', 'LockCard', 'LockCard', 'item', 'LockCard', '0', ''],
      ['order', 'LockList', 'LockList', '', 'LockList', '0', ''],
      ['keeper', 'KeeperMenu', 'KeeperMenu', '', 'KeeperMenu', '0', ''],
      ['keeper', 'KeeperMenu TopBar', 'KeeperMenu', '', 'TopBar', '1 down, 1 up', ''],
      ['keeper', 'TopBar AppShell', '', 'server', 'AppShell', '1 down', ''],
      ['keeper', 'KeeperMenu PassageForm', 'KeeperMenu', '', 'a store', '0', ''],
      ['levels', 'LockCard LevelChart', '', 'server', 'a store', '0', ''],
      ['levels', 'LevelChart', '', 'server', 'LevelChart', '0', ''],
      ['levels', 'LevelChart', '', 'server pages', 'a store', '0', ''],
      ['row', 'PassageRow', 'PassageRow', '', 'TodayPage', '2 down, 2 up', 'PassageQueue'],
      ['row', 'PassageRow', 'PassageRow', 'item', 'PassageRow', '0', ''],
      ['shell', 'LockList PassageForm', 'LockList', '', 'TodayPage', '1 down, 1 up', ''],
      ['both', 'TopBar LockList', '', 'server', 'a store', '0', ''],
      ['gone', 'LockPage LevelChart', 'LevelChart', '', 'LockPage', '1 down, 1 up', ''],
    ],
  },
  'a deep page': {
    outline: deep,
    rows: [
      ['word', 'Sheet', 'Sheet', '', 'Sheet', '0', ''],
      ['word', 'Sheet Stamp', 'Sheet', '', 'Drawer', '2 down, 1 up', 'Label'],
      ['word', 'Stamp', 'Wall', '', 'a context of BookPage', '0', 'Desk Side Shelf Drawer Label'],
      ['word', 'Stamp Sheet', 'Wall', '', 'a context of BookPage', '0', 'Desk Side Shelf Drawer Label'],
      ['word', 'Stamp', 'Shelf', '', 'Shelf', '3 down', 'Drawer Label'],
      ['word', 'Stamp', 'Side', '', 'a context of Side', '0', 'Shelf Drawer Label'],
      ['word', 'Stamp Label', 'Side', '', 'Side', '4 down', 'Shelf Drawer'],
      ['word', 'Stamp Label Drawer', 'Side', '', 'Side', '4 down', 'Shelf'],
      ['word', 'Desk Side Shelf Drawer Label Stamp', 'Stamp', '', 'Desk', '5 down, 5 up', ''],
      ['word', 'Wall', 'Desk', '', 'BookPage', '1 down, 1 up', ''],
      ['word', 'BookPage', 'Stamp', '', 'a context of BookPage', '0', 'Desk Side Shelf Drawer Label'],
      ['word', 'BookPage Wall', '', '', 'BookPage', '1 down', ''],
    ],
  },
  'lists in lists': {
    outline: lists,
    rows: [
      ['mark', 'Mark', 'Mark', 'item', 'Mark', '0', ''],
      ['mark', 'Mark', 'Mark', '', 'HallPage', '5 down, 5 up', 'Region Table Line Cell'],
      ['mark', 'Mark Total', 'Mark', 'item', 'Line', '2 down, 2 up', 'Cell'],
      ['sum', 'Total', 'Cell', 'item', 'Line', '1 down, 1 up', ''],
      ['sum', 'Total Legend', 'Cell', 'item', 'Region', '3 down, 3 up', 'Table Line'],
      ['sum', 'Total Legend', 'Cell', '', 'a context of HallPage', '0', 'Region Table Line'],
      ['kind', 'Legend', '', 'server', 'HallPage', '2 down', 'Region'],
      ['kind', 'Legend', '', 'server item', 'Legend', '0', ''],
      ['kind', 'Footer', 'Footer', '', 'Footer', '0', ''],
      ['kind', 'Footer Region', 'Region', '', 'HallPage', '1 down, 1 up', ''],
      ['kind', 'Footer Region', 'Region', 'item', 'HallPage', '1 down, 1 up', ''],
    ],
  },
};

for (const [title, { outline, rows }] of Object.entries(tables)) {
  describe(`where a value should live: ${title}`, () => {
    const plan = planFrom(outline);
    const tree = planTree(plan);
    test.each(rows)('%s, read by %s, changed by %s, %s → %s', (name, readBy, changedBy, marks, place, hops, carriers) => {
      const home = homeOf(plan, tree, valueOf(plan, name, readBy, changedBy, marks));
      expect([homeWords(plan, home), hopWords(home), home.carriers.map((part) => nameOf(plan, part)).join(' ')]).toEqual([
        place,
        hops,
        carriers,
      ]);
      expect(home.why.length).toBeGreaterThan(0);
    });
  });
}

test('the reasons name who needs it, who carries it, and what to know', () => {
  const plan = planFrom(board);
  const why = (...args: [string, string, string, string?]): string => homeOf(plan, planTree(plan), valueOf(plan, ...args)).why.join(' ');
  expect(why('locks', 'LockCard LockPanel', '', 'server')).toBe(
    'TodayPage is the closest owner of LockCard and LockPanel. LockList carries it without reading it.',
  );
  expect(why('hovered', 'LockCard', 'LockCard')).toBe(
    'Only LockCard needs it, but it is one for all of them: LockList is the closest owner that stands once.',
  );
  expect(why('seen', '', 'NoticeStrip')).toBe('Only NoticeStrip needs it. It is changed, and no part shows it.');
  expect(why('title', 'TopBar', '')).toBe('Only TopBar needs it. Nothing changes it: a constant is enough.');
});

function randomOutline(next: () => number): string {
  const lines = ['Page'];
  const count = 3 + Math.floor(next() * 14);
  for (let index = 0, depth = 1; index < count; index++) {
    const times = next() < 0.3 ? ` x${2 + Math.floor(next() * 2)}` : '';
    const slot = depth > 1 && next() < 0.25 ? ' (children)' : '';
    lines.push(`${'  '.repeat(depth)}P${index}${times}${slot}`);
    depth = Math.max(1, Math.min(depth + 1, depth + 1 - Math.floor(next() * 3)));
  }
  return lines.join('\n');
}

/**
 * The plain way: every instance of every node is written out, and of all instances the deepest is
 * sought that is an owner of each instance in question.
 */
function bruteForce(tree: PlanTree, indexes: readonly number[], isOne: boolean): number | undefined {
  type Instance = { node: number; owner: Instance | undefined };
  const instances: Instance[] = [];
  const write = (index: number, parent: Instance | undefined): void => {
    const node = tree.nodes[index];
    for (let time = 0; time < (isOne ? (node?.times ?? 1) : 1); time++) {
      const made: Instance = { node: index, owner: node?.slot ? (parent?.owner ?? parent) : parent };
      instances.push(made);
      for (const child of tree.nodes) if (child.parent === index) write(child.index, made);
    }
  };
  write(0, undefined);
  const chain = (from: Instance): Instance[] => (from.owner ? [from, ...chain(from.owner)] : [from]);
  const chains = instances.filter((one) => indexes.includes(one.node)).map(chain);
  const common = instances.filter((one) => chains.every((owners) => owners.includes(one)));
  return common.sort((a, b) => chain(b).length - chain(a).length)[0]?.node;
}

test('the closest owner is that of the plain way, in 400 random trees', () => {
  for (let seed = 1; seed <= 400; seed++) {
    const next = seeded(seed);
    const outline = randomOutline(next);
    const tree = planTree(planFrom(outline));
    const indexes = [...new Set(Array.from({ length: 1 + Math.floor(next() * 4) }, () => Math.floor(next() * tree.nodes.length)))];
    for (const isOne of [true, false])
      expect(closestOwner(tree, indexes, isOne)?.index, `seed ${seed}, ${indexes}, ${isOne}\n${outline}`).toBe(
        bruteForce(tree, indexes, isOne),
      );
  }
});

test('what is closest stands once, and one deeper owner fewer would not do, in 200 random trees', () => {
  for (let seed = 1000; seed < 1200; seed++) {
    const next = seeded(seed);
    const tree = planTree(planFrom(randomOutline(next)));
    const at = Math.floor(next() * tree.nodes.length);
    const found = closestOwner(tree, [at], true);
    expect(found && instancesOf(tree, found.index)).toBe(1);
    if (found && found.index !== at) expect(instancesOf(tree, at)).toBeGreaterThan(1);
  }
});
