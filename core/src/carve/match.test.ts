import { beforeAll, describe, expect, test } from 'vitest';
import { analyse } from '../analyse';
import { loadCompilers } from '../frameworks/registry';
import { demoFiles } from '../../../testing/src/files';
import { analyseFiles } from '../../../testing/src/project';
import { board, demoPage, drawnPlan, drawnPlans, filesOf, planOf } from '../../../testing/src/carve';
import { planFrom, valueOf } from '../../../testing/src/plan';
import { markedPages } from '../../../testing/src/pages';
import { matchPlan, matchWords } from './match';
import { planFromCode } from './plan-from-code';
import { changePart } from './plan/edit';
import { type Plan, type SheetId } from './plan/plan';
import { planTree } from './plan/plan-tree';
import type { PageTree } from './page/read';
import { skeletonOf } from './skeleton';

/** What reading a skeleton back finds wrong. */
function readBack(plan: Plan, pages: Map<SheetId, PageTree> = new Map(), framework = 'react'): { problems: string[] } {
  const files = filesOf(plan, pages, framework);
  const { model, findings } = analyse(files, []);
  const match = matchPlan(skeletonOf(plan, pages), model);
  return {
    problems: [
      ...[...model.files.values()].flatMap((facts) => facts.problems.map((problem) => `${facts.file}: ${problem.message}`)),
      // A plan may have options that nobody uses yet: what is too much is for the code to say.
      ...findings.flatMap((finding) => (finding.severity === 'tidy' ? [] : [`${finding.rule} ${finding.component} ${finding.subject}`])),
      ...(model.counts.unresolved > 0 ? [`${model.counts.unresolved} uses unresolved`] : []),
      ...match.parts
        .filter((part) => part.differs.length > 0 || part.found !== 'by name')
        .map((part) => `${part.part} ${part.found}: ${part.differs.join(' ')}`),
      ...match.unplanned.map((one) => `not planned: ${one.name}`),
    ],
  };
}

beforeAll(async () => {
  await loadCompilers(['a.vue', 'a.svelte']);
});

describe.each(['react', 'vue', 'svelte'])('a skeleton in %s read back is the plan, without a fault', (framework) => {
  test('the demo’s pages, as Liana suggests them', () => {
    const { plan, pages } = planOf({ TodayPage: demoPage('today'), LockPage: demoPage('lock'), RosterPage: demoPage('roster') });
    expect(readBack(plan, pages, framework).problems).toEqual([]);
  });

  test.each(Object.entries(markedPages))('%s', (_, html) => {
    const { plan, pages } = planOf({ SomePage: html });
    expect(readBack(plan, pages, framework).problems).toEqual([]);
  });

  test.each(drawnPlans)('drawn on a picture: %s', (_, outline, values) => {
    const plan = drawnPlan(outline, values);
    expect(readBack(plan, new Map(), framework).problems).toEqual([]);
  });
});

describe('parts whose names say nothing are found by what they render', () => {
  /** The demo's pages as suggested, with every part named by a number alone and without its contract. */
  const blind = (): { plan: Plan; pages: Map<SheetId, PageTree>; wasNamed: ReadonlyMap<string, string> } => {
    const { plan, pages } = planOf({ TodayPage: demoPage('today'), LockPage: demoPage('lock'), RosterPage: demoPage('roster') });
    const wasNamed = new Map<string, string>();
    const parts = plan.parts.map((part, at) => {
      const name = part.role === 'page' ? part.name : `Thing${at}`;
      wasNamed.set(name, part.name);
      return { ...part, name, ...(part.role === 'page' ? {} : { props: [], events: [] }) };
    });
    return { plan: { ...plan, parts }, pages, wasNamed };
  };
  const expected = [
    'TopBar→TopBar',
    'LockList→LockList',
    'LockCard→LockCard',
    'Gauge→LevelGauge',
    'PassageRow→PassageRow',
    'Pill→StatusPill',
  ];
  const more = ['Hint→HintBubble', 'SidePanel→LockPanel', 'LevelChart→LevelChart', 'PassageQueue→PassageQueue', 'ShiftTable→ShiftTable'];
  test.each(['react', 'vue', 'svelte'] as const)('in the demo in %s, and none is taken for another', (framework) => {
    const { plan, pages, wasNamed } = blind();
    const { model } = analyseFiles(demoFiles(`${framework}/sound`));
    const { parts } = matchPlan(skeletonOf(plan, pages), model);
    const found = parts.flatMap((part) =>
      part.found === 'by what it renders' ? [`${wasNamed.get(part.part) ?? ''}→${part.componentName}`] : [],
    );
    const notice = found.filter((one) => one.startsWith('Notice'));
    expect(found.filter((one) => !notice.includes(one)).sort()).toEqual([...expected, ...more].sort());
    expect(notice.every((one) => one === 'Notice→NoticeStrip')).toBe(true);
  });
  test('a part that none is tells the one that renders most of what it does', () => {
    const { plan, pages, wasNamed } = blind();
    const { model } = analyseFiles(demoFiles('react/sound'));
    const field = matchPlan(skeletonOf(plan, pages), model).parts.find((part) => wasNamed.get(part.part) === 'Field');
    expect([field?.found, field?.near?.name]).toEqual(['missing', 'DateField']);
    expect(field?.near?.alike).toBeCloseTo(0.5, 1);
  });
  test('a bare element is no evidence', () => {
    const { plan, pages, wasNamed } = blind();
    const found = (text: string): string[] =>
      matchPlan(skeletonOf(plan, pages), analyseFiles({ 'src/Bell.tsx': text }).model).parts.flatMap((part) =>
        part.component === undefined ? [] : [wasNamed.get(part.part) ?? ''],
      );
    expect(found('export function Bell() { return <button>now</button>; }')).toEqual([]);
    // The same with a class that one part has is that part.
    expect(found('export function Bell() { return <span className="pill">now</span>; }')).toEqual(['Pill']);
  });
});

describe('a skeleton of what was planned by hand', () => {
  test('props and events that were planned by hand', () => {
    const bare = planFrom(board);
    const card = bare.parts.find((part) => part.name === 'LockCard');
    if (!card) throw new Error('no LockCard');
    const plan = changePart(bare, card.id, {
      props: [
        { name: 'name', type: 'string', optional: false },
        { name: 'rise', type: 'number', optional: true },
      ],
      events: [{ name: 'select', payload: 'string' }],
      note: 'One lock with its queue.',
    });
    expect(readBack(plan).problems).toEqual([]);
    const file = filesOf(plan).find((one) => one.file.endsWith('LockCard.tsx'))?.text ?? '';
    expect(file).toContain('onSelect: (next: string) => void;');
    expect(file).toContain('/** One lock with its queue. */');
  });
});

describe('a plan against a project', () => {
  const files = {
    'src/TodayPage.tsx': `import { useState } from 'react'; import { LockList } from './LockList'; export function TodayPage() { const [selectedLock, setSelectedLock] = useState(''); return <main><LockList locks={[]} chosen={selectedLock} onSelect={setSelectedLock} /></main>; }`,
    'src/LockList.tsx': `import { Tile } from './Tile'; type Props = { locks: string[]; chosen: string; onSelect: (id: string) => void }; export function LockList({ locks, chosen, onSelect }: Props) { return <ul>{locks.map((lock) => <Tile key={lock} name={lock} isChosen={lock === chosen} onSelect={onSelect} />)}</ul>; }`,
    'src/Tile.tsx': `type Props = { name: string; isChosen: boolean; onSelect: (id: string) => void }; export function Tile({ name, isChosen, onSelect }: Props) { return <li data-on={isChosen}><button onClick={() => onSelect(name)}>{name}</button></li>; }`,
  };
  const bare = planFrom('TodayPage\n  LockList\n    LockCard x3\n  LockPanel\n');
  const card = bare.parts.find((part) => part.name === 'LockCard');
  const plan = card
    ? changePart(bare, card.id, {
        props: [
          { name: 'name', type: 'string', optional: false },
          { name: 'isChosen', type: 'boolean', optional: false },
        ],
        events: [{ name: 'select', payload: 'string' }],
      })
    : bare;

  test('tells what is there under its name, under another, and not at all', () => {
    const match = matchPlan(
      skeletonOf({ ...plan, values: [valueOf(plan, 'selectedLock', 'LockCard LockPanel', 'LockCard')] }, new Map()),
      analyseFiles(files).model,
    );
    expect(match.parts.map((part) => [part.part, part.found, part.componentName])).toEqual([
      ['TodayPage', 'by name', 'TodayPage'],
      ['LockList', 'by name', 'LockList'],
      ['LockCard', 'by contract', 'Tile'],
      ['LockPanel', 'missing', ''],
    ]);
    expect(matchWords(match)).toMatch(/^Of 4 parts, one is missing/);
  });

  test('a value that lives elsewhere is told with where it lives', () => {
    const inList = { ...plan, values: [valueOf(plan, 'selectedLock', 'LockList', 'LockList')] };
    const match = matchPlan(skeletonOf(inList, new Map()), analyseFiles(files).model);
    expect(match.parts.find((part) => part.part === 'LockList')?.differs).toContain('selectedLock lives in TodayPage, not here.');
  });

  test('a plan made from code has its tree, contracts and values', () => {
    const made = planFromCode(analyseFiles(files).model, 'Towpath');
    const tree = planTree(made);
    expect(
      tree.nodes.map((node) => `${'  '.repeat(node.depth)}${made.parts.find((part) => part.id === node.part)?.name} ×${node.times}`),
    ).toEqual(['TodayPage ×1', '  LockList ×1', '    Tile ×2']);
    expect(made.parts.find((part) => part.name === 'Tile')?.events).toEqual([{ name: 'select', payload: '' }]);
    const names = (ids: readonly string[]) => ids.map((id) => made.parts.find((part) => part.id === id)?.name);
    expect(made.values.map((value) => [value.name, names(value.readBy), names(value.changedBy)])).toEqual([
      ['selectedLock', ['Tile'], ['Tile']],
    ]);
  });
});
