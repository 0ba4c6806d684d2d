import { readFileSync } from 'node:fs';
import { type PageTree, readPage } from '../../core/src/carve/page/read';
import { suggestParts } from '../../core/src/carve/page/suggest';
import { adoptParts, boxesByOrder } from '../../core/src/carve/plan/adopt';
import { addSheet } from '../../core/src/carve/plan/edit';
import { emptyPlan, type Plan, planId, type SheetId } from '../../core/src/carve/plan/plan';
import { skeletonOf, skeletonWriters } from '../../core/src/carve/skeleton';
import { planFrom, valueOf } from './plan';

/** A plan made of all that Liana suggests for some pages. */
export function planOf(pages: Readonly<Record<string, string>>): { plan: Plan; pages: Map<SheetId, PageTree> } {
  let plan = emptyPlan('Towpath');
  const trees = new Map<SheetId, PageTree>();
  for (const [name, html] of Object.entries(pages)) {
    const tree = readPage(html);
    const made = addSheet(plan, name, { title: '', kind: 'html', width: 1280, height: 2000, file: `${name}.html` });
    plan = adoptParts(made.plan, made.sheet, tree, suggestParts(tree).parts, boxesByOrder(tree));
    trees.set(made.sheet, tree);
  }
  return { plan, pages: trees };
}

/** The code files of a plan’s skeleton. */
export function filesOf(plan: Plan, pages: Map<SheetId, PageTree> = new Map(), framework = 'react'): { file: string; text: string }[] {
  const writer = skeletonWriters.find((one) => one.framework === framework);
  return (writer?.write(skeletonOf(plan, pages)) ?? []).filter(({ file }) => /\.(tsx?|json|vue|svelte|astro)$/.test(file));
}

/** The text of a page of the demo. */
export const demoPage = (name: string): string => readFileSync(new URL(`../../demo/pages/${name}.html`, import.meta.url), 'utf8');

export const board =
  'TodayPage\n  TopBar\n    KeeperMenu\n  LockList\n    LockCard x3\n      LevelGauge\n      GateSwitch\n  LockPanel ?\n';
const shelled =
  'TodayPage\n  AppShell\n    TopBar\n    LockList (children)\n      LockCard x3 (children)\n        LevelGauge\nLockPage\n  AppShell\n    TopBar\n    LevelChart (children)\n';
const deep = 'BookPage\n  Desk\n    Side\n      Shelf\n        Drawer\n          Stamp\n  Wall\n';
/** Plans drawn on pictures: name, outline, and values as `valueOf` takes them. */
export const drawnPlans: readonly (readonly [string, string, readonly (readonly [string, string, string, string?])[]])[] = [
  ['parts alone', board, []],
  ['a value for siblings', board, [['selectedLock', 'LockCard LockPanel', 'LockCard']]],
  ['a value in each item', board, [['level', 'LevelGauge', 'GateSwitch', 'item']]],
  ['a value in one part', board, [['menuOpen', 'KeeperMenu', 'KeeperMenu']]],
  ['a store', board, [['level', 'LevelGauge', 'GateSwitch', 'pages']]],
  ['content handed over', shelled, [['chosen', 'LockCard', 'LockCard']]],
  [
    'one layout on two pages',
    shelled,
    [
      ['keeper', 'TopBar AppShell', 'TopBar'],
      ['levels', 'LevelGauge LevelChart', '', 'server'],
    ],
  ],
  ['a context', deep, [['word', 'Stamp Wall', 'Wall']]],
  [
    'several at once',
    board,
    [
      ['selectedLock', 'LockCard LockPanel', 'LockCard'],
      ['filter', 'LockList TopBar', 'TopBar'],
      ['menuOpen', 'KeeperMenu', 'KeeperMenu'],
    ],
  ],
];

export function drawnPlan(outline: string, values: (typeof drawnPlans)[number][2]): Plan {
  const bare = planFrom(outline);
  return {
    ...bare,
    values: values.map(([name, readBy, changedBy, marks], index) => ({
      ...valueOf(bare, name, readBy, changedBy, marks),
      id: planId('value', index),
    })),
  };
}
