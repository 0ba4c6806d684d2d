import {
  addSheet,
  adoptParts,
  type Box,
  elementAt,
  emptyPlan,
  type PartId,
  type Plan,
  planDocument,
  type PlanDocument,
  putValue,
  readPage,
  selectorOf,
} from '@liana/core';

export type DemoPage = {
  readonly file: string;
  readonly page: string;
  readonly html: string;
  readonly height: number;
  readonly boxes: ReadonlyMap<string, Box>;
};

/** Parts of the finished plan and where they stand, by page. Names are those of the demo's components. */
const parts: Readonly<Record<string, readonly (readonly [name: string, selectors: string])[]>> = {
  TodayPage: [
    ['TopBar', '.top-bar'],
    ['ClockBadge', '.top-bar > time'],
    ['KeeperMenu', '.top-bar > span'],
    ['NoticeStrip', '.notice'],
    ['LockList', '.lock-list'],
    ['LockCard', '.lock-card'],
    ['LevelGauge', '.lock-card > label'],
    ['GateSwitch', '.lock-card > span'],
    ['PassageQueue', '.passage-queue'],
    ['PassageRow', '.passage-row'],
    ['BoatBadge', '.passage-row > strong'],
    ['StatusPill', '.pill'],
    ['LockPanel', 'aside'],
    ['LevelChart', 'aside > svg'],
    ['PassageForm', 'form'],
    ['DateField', 'form > label:nth-of-type(3)'],
  ],
  LockPage: [
    ['TopBar', '.top-bar'],
    ['ClockBadge', '.top-bar > time'],
    ['KeeperMenu', '.top-bar > span'],
    ['LevelChart', 'svg'],
    ['PassageQueue', '.passage-queue'],
    ['PassageRow', '.passage-row'],
    ['BoatBadge', '.passage-row > strong'],
    ['StatusPill', '.pill'],
  ],
  RosterPage: [
    ['TopBar', '.top-bar'],
    ['ClockBadge', '.top-bar > time'],
    ['KeeperMenu', '.top-bar > span'],
    ['ShiftTable', '.shift-table'],
    ['ShiftRow', '.shift-table tr'],
  ],
};

const values: readonly (readonly [name: string, type: string, readBy: string, changedBy: string, marks: string])[] = [
  ['selectedLock', 'string | null', 'LockCard LockPanel', 'LockCard', ''],
  ['bookings', 'string[]', 'LockPanel', 'PassageForm', ''],
  ['keeper', 'string', 'KeeperMenu', 'KeeperMenu', ''],
  ['levels', 'number', 'LevelGauge LevelChart', 'GateSwitch', 'server'],
  ['arrival', 'string', 'DateField PassageForm', 'DateField', ''],
];

/** Every selector that a page's parts were found by in the browser, with the elements it meant. */
export const wantedSelectors = (page: string): readonly string[] => (parts[page] ?? []).map(([, selector]) => selector);

/** The finished plan of the demo: its pages carved into the components that it really has, with its values. */
export function finishedPlan(pages: readonly DemoPage[], found: ReadonlyMap<string, readonly string[]>): PlanDocument {
  let plan: Plan = emptyPlan('Towpath');
  for (const { file, page, html, height, boxes } of pages) {
    const tree = readPage(html);
    const made = addSheet(plan, page, { title: file, kind: 'html', width: 1280, height, file });
    const adopted = (parts[page] ?? []).map(([name, selector]) => ({
      name,
      at: (found.get(`${page} ${selector}`) ?? []).map((one) => elementAt(tree, one)),
    }));
    plan = adoptParts(made.plan, made.sheet, tree, adopted, (at) => boxes.get(selectorOf(tree, at)) ?? { x: 0, y: 0, width: 1, height: 1 });
  }
  const ids = (names: string): PartId[] => names.split(' ').flatMap((name) => plan.parts.find((part) => part.name === name)?.id ?? []);
  for (const [name, type, readBy, changedBy, marks] of values)
    plan = putValue(plan, {
      name,
      type,
      readBy: ids(readBy),
      changedBy: ids(changedBy),
      fromServer: marks.includes('server'),
      perItem: false,
      otherPages: false,
    }).plan;
  return planDocument(plan);
}
