import { addSheet, emptyPlan, markPart } from '@liana/core';
import { describe, expect, test } from 'vitest';
import { markedSvg } from './download';
import { placeLabels } from './labels';
import { readProps } from './PartPanel';
import { hold, markAt, nextMark, piecesOf } from './pointing';
import { parseCarveState, withCarveState } from './state';
import { type History, stepped } from './usePlan';
import { resolveAddress, type ShownSheet } from './useSheet';

describe('labels', () => {
  test('no two cover each other, none leaves the page, in 200 random drawings', () => {
    let seed = 7;
    const next = (most: number): number => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return seed % most;
    };
    for (let turn = 0; turn < 200; turn++) {
      const labels = Array.from({ length: 25 }, (_, index) => ({
        id: `${index}`,
        text: 'LockCard'.repeat(1 + next(3)),
        box: { x: next(500), y: next(400), width: 10 + next(300), height: 10 + next(200) },
      }));
      const shown = placeLabels(labels, 640).filter((label) => !label.isHidden);
      shown.forEach((one, at) => {
        expect(one.x >= 0 && one.y >= 0 && one.x + one.width <= 640).toBe(true);
        for (const other of shown.slice(at + 1))
          expect(one.x + one.width <= other.x || other.x + other.width <= one.x || one.y + 19 <= other.y || other.y + 19 <= one.y).toBe(
            true,
          );
      });
    }
  });
  test('a name covers no low mark, not even its own; the chosen one is shown all the same', () => {
    const [above, row, under] = ['above', 'row', 'under'].map((id, at) => ({
      id,
      text: 'Row',
      box: { x: 10, y: 40 + at * 30, width: 300, height: 30 },
    }));
    if (!above || !row || !under) throw new Error('no rows');
    // The panel stands at the top of the page: its first place is where the pill is.
    const pill = { id: 'pill', text: 'Pill', box: { x: 12, y: 2, width: 40, height: 16 } };
    const panel = { id: 'panel', text: 'Panel', box: { x: 10, y: 0, width: 300, height: 200 } };
    const hidden = (...labels: Parameters<typeof placeLabels>[0]): string[] =>
      placeLabels(labels, 640).flatMap((label) => (label.isHidden ? [label.id] : []));
    expect(hidden(row)).toEqual([]);
    expect(hidden(above, row, under)).toEqual(['row']);
    expect(hidden({ ...row, isChosen: true }, above, under)).toEqual([]);
    const placed = placeLabels([panel, pill], 640).find((label) => label.id === 'panel');
    expect(placed && !placed.isHidden && (placed.x >= 52 || placed.y >= 18)).toBe(true);
  });
  test('one alone stands above its box, at the top of the page within it', () => {
    const at = (y: number): number[] =>
      placeLabels([{ id: 'a', text: 'A', box: { x: 10, y, width: 90, height: 90 } }], 640).map((label) => label.y);
    expect([at(50), at(0)]).toEqual([[31], [0]]);
  });
});

describe('the history of a plan', () => {
  const [a, b, c] = ['a', 'b', 'c'].map(emptyPlan);
  if (!a || !b || !c) throw new Error('no plans');
  const start: History = { past: [], plan: a, future: [] };
  const edit = (history: History, plan: typeof a, joins = false): History => stepped(history, { kind: 'edit', plan, joins });
  const undo = (history: History): History => stepped(history, { kind: 'undo' });
  const redo = (history: History): History => stepped(history, { kind: 'redo' });
  test('undo and redo go over every step', () => {
    const made = edit(edit(start, b), c);
    expect(undo(undo(made)).plan).toBe(a);
    expect(redo(redo(undo(undo(made)))).plan).toBe(c);
  });
  test('at the ends nothing happens', () => {
    expect([undo(start), redo(start)]).toEqual([start, start]);
  });
  test('an edit after undo drops what was taken back; the same plan is no step', () => {
    expect(edit(undo(edit(start, b)), c).future).toEqual([]);
    expect(edit(start, a)).toBe(start);
  });
  test('edits that belong together are one step', () => {
    expect(undo(edit(edit(start, b), c, true)).plan).toBe(a);
  });
  test('more than fifty steps are kept', () => {
    let history = start;
    for (let step = 0; step < 80; step++) history = edit(history, emptyPlan(`${step}`));
    for (let step = 0; step < 80; step++) history = undo(history);
    expect(history.plan).toBe(a);
  });
});

test.each([
  ['pages/today.html', 'towpath.css', 'pages/towpath.css'],
  ['pages/today.html', '../pictures/a.png', 'pictures/a.png'],
  ['today.html', './a%20b.png?x#y', 'a b.png'],
  ['pages/today.html', '/a.png', 'a.png'],
  ['today.html', '../../a.png', 'a.png'],
  ['today.html', '%E0%A4%A', '%E0%A4%A'],
])('beside %s, %s is %s', (page, address, file) => {
  expect(resolveAddress(page, address)).toBe(file);
});

describe('props as they are written', () => {
  test.each([
    ['', []],
    ['name: string', [['name', 'string', false]]],
    [
      'name?: string;\n\n  tone : "a" | "b",',
      [
        ['name', 'string', true],
        ['tone', '"a" | "b"', false],
      ],
    ],
    ['name', [['name', 'string', false]]],
    ['on: (id: string) => void', [['on', '(id: string) => void', false]]],
  ])('%j', (text, expected) => {
    const read = readProps(text);
    expect('props' in read && read.props.map((prop) => [prop.name, prop.type, prop.optional])).toEqual(expected);
  });
  test.each([
    ['2 boats: string', /“2 boats: string” is no prop/],
    ['a-b: string', /is no prop/],
    ['name: string\nname: number', /name stands twice/],
  ])('%j is refused', (text, says) => {
    const read = readProps(text);
    expect('wrong' in read && read.wrong).toMatch(says);
  });
});

describe('pointing', () => {
  const regions = [
    { x: 0, y: 0, width: 400, height: 300 },
    { x: 20, y: 20, width: 360, height: 80 },
    { x: 20, y: 120, width: 360, height: 80 },
    { x: 30, y: 30, width: 60, height: 40 },
  ].map((box) => ({ box, depth: 0, ground: [255, 255, 255] as const }));
  const shown: ShownSheet = {
    kind: 'picture',
    url: '',
    study: { width: 400, height: 300, edges: { x: [20, 380], y: [20, 100, 120, 200] }, regions },
  };
  const none = new Map<number, never>();
  test('a drawn box is held on to the region it nearly is, else to edges, else left', () => {
    expect(hold({ x: 17, y: 23, width: 366, height: 75 }, shown, none).box).toEqual(regions[1]?.box);
    expect(hold({ x: 23, y: 24, width: 100, height: 30 }, shown, none).box).toEqual({ x: 20, y: 20, width: 103, height: 34 });
    expect(hold({ x: 150.4, y: 50.2, width: 20, height: 10 }, shown, none)).toEqual({ box: { x: 150, y: 50, width: 20, height: 10 } });
    expect(hold({ x: 1, y: 1, width: 5, height: 5 }, { kind: 'loading' }, none).box).toEqual({ x: 1, y: 1, width: 5, height: 5 });
  });
  test('a point means the smallest thing that is not marked', () => {
    expect(markAt(40, 40, shown, none, [])?.box).toEqual(regions[3]?.box);
    expect(markAt(40, 40, shown, none, [{ x: 30, y: 30, width: 60, height: 40 }])?.box).toEqual(regions[1]?.box);
    expect(markAt(40, 40, { kind: 'none' }, none, [])).toBeUndefined();
  });
  test('the next thing is the biggest that is not marked, within the chosen one', () => {
    const page = { x: 0, y: 0, width: 400, height: 300 };
    expect(nextMark(page, shown, none, [])?.box).toEqual(regions[1]?.box);
    expect(nextMark(page, shown, none, [regions[1]?.box ?? page])?.box).toEqual(regions[2]?.box);
    expect(nextMark(regions[1]?.box ?? page, shown, none, [regions[1]?.box ?? page])?.box).toEqual(regions[3]?.box);
  });
  test('pieces are cut at gutters across one axis', () => {
    expect(piecesOf(regions[0]?.box ?? { x: 0, y: 0, width: 1, height: 1 }, 'rows', shown, none, () => -1).map((one) => one.box.y)).toEqual(
      [20, 120],
    );
    expect(piecesOf(regions[0]?.box ?? { x: 0, y: 0, width: 1, height: 1 }, 'columns', shown, none, () => -1)).toHaveLength(1);
  });
});

test('the state goes into the URL and comes back; what is not understood counts as not said', () => {
  const params = withCarveState(new URLSearchParams('other=1'), { sheet: 'sheet-1', show: 'skeleton', file: undefined });
  expect(params.toString()).toBe('other=1&sheet=sheet-1&show=skeleton');
  expect(parseCarveState(params)).toMatchObject({ sheet: 'sheet-1', show: 'skeleton', part: undefined });
  expect(parseCarveState(new URLSearchParams('show=nonsense')).show).toBe('values');
  expect(parseCarveState(new URLSearchParams('part=part-1')).show).toBe('part');
});

test('the marked page as SVG has each mark and names each part once, and its texts are escaped', () => {
  const made = addSheet(emptyPlan('Plan'), 'TodayPage', { title: '', kind: 'picture', width: 100, height: 80, file: 'a.png' });
  const plan = markPart(
    made.plan,
    made.sheet,
    'A',
    [1, 30].map((x) => ({ box: { x, y: 1, width: 20, height: 20 } })),
  ).plan;
  const named = { ...plan, parts: plan.parts.map((part) => (part.name === 'A' ? { ...part, name: '<A>' } : part)) };
  const svg = markedSvg(named, named.sheets[0] ?? made.plan.sheets[0] ?? ({} as never), 'data:image/png;base64,AA');
  expect(svg.match(/<rect/g)).toHaveLength(4);
  expect(svg.match(/&lt;A> ×2/g)).toHaveLength(1);
  expect(svg).toContain('<image href="data:image/png;base64,AA"');
});
