import { describe, expect, test } from 'vitest';
import { planFrom, valueOf } from '../../../../testing/src/plan';
import { candidatesOf } from './candidates';
import {
  addSheet,
  changePart,
  joinParts,
  liftRegion,
  lowerRegion,
  markPart,
  moveRegions,
  pageName,
  putValue,
  removeRegions,
  removeSheet,
  removeValue,
  replaceSheet,
  splitRegion,
  tidy,
  wrapRegions,
} from './edit';
import { nest } from './nest';
import { emptyPlan, nameOf, partNamed, type Plan, type PlannedValueId, type RegionId, type SheetId } from './plan';
import { planStrands } from './plan-strands';
import { planTree } from './plan-tree';

type Boxes = Readonly<Record<string, readonly (readonly [number, number, number, number])[]>>;

/** A plan of one page with parts at boxes, in the order given. */
function drawn(parts: Boxes): { plan: Plan; sheet: SheetId } {
  const made = addSheet(emptyPlan('Plan'), 'TodayPage', { title: '', kind: 'picture', width: 400, height: 400, file: 'a.png' });
  const plan = Object.entries(parts).reduce(
    (before, [name, boxes]) =>
      markPart(
        before,
        made.sheet,
        name,
        boxes.map(([x, y, width, height]) => ({ box: { x, y, width, height } })),
      ).plan,
    made.plan,
  );
  return { plan, sheet: made.sheet };
}

const outline = (plan: Plan): string =>
  planTree(plan)
    .nodes.map(
      (node) =>
        `${'  '.repeat(node.depth)}${nameOf(plan, node.part)}${node.times > 1 ? ` ×${node.times}` : ''}${node.optional ? ' ?' : ''}${node.slot ? ` (${node.slot})` : ''}`,
    )
    .join('\n');
const regionOf = (plan: Plan, name: string, turn = 0): RegionId =>
  plan.regions.filter((region) => region.part === partNamed(plan, name)?.id)[turn]?.id as RegionId;

const board: Boxes = {
  List: [[10, 50, 300, 300]],
  Card: [
    [20, 60, 280, 80],
    [20, 150, 280, 80],
    [20, 240, 280, 80],
  ],
  Gauge: [
    [30, 70, 50, 50],
    [30, 160, 50, 50],
  ],
  Panel: [[320, 50, 70, 300]],
};

describe('nesting', () => {
  test('by what contains what; a part that some lack is not always there', () => {
    expect(outline(drawn(board).plan)).toBe('TodayPage\n  List\n    Card ×3\n      Gauge ?\n  Panel');
  });
  test('of two equal boxes the later one is the inner one', () => {
    expect(outline(drawn({ A: [[0, 0, 50, 50]], B: [[0, 0, 50, 50]] }).plan)).toBe('TodayPage\n  A\n    B');
  });
  test('a box that reaches out by a hair is still inside', () => {
    expect(outline(drawn({ A: [[10, 10, 50, 50]], B: [[8, 20, 20, 20]] }).plan)).toBe('TodayPage\n  A\n    B');
    expect(outline(drawn({ A: [[10, 10, 50, 50]], B: [[2, 20, 20, 20]] }).plan)).toBe('TodayPage\n  B\n  A');
  });
  test('a hand-made place in a circle is not followed', () => {
    const { plan } = drawn({ A: [[0, 0, 50, 50]], B: [[60, 0, 50, 50]] });
    const [a, b] = [regionOf(plan, 'A'), regionOf(plan, 'B')];
    const circular = { ...plan, regions: plan.regions.map((region) => ({ ...region, within: region.id === a ? b : a })) };
    expect([...nest(circular).values()].filter((around) => around === null)).toHaveLength(1);
  });
  test('a part under two others is two nodes; several states of a page are one', () => {
    expect(outline(planFrom('TodayPage\n  A\n    Pill\n  B\n    Pill\n  C ?\n'))).toBe('TodayPage\n  A\n    Pill\n  B\n    Pill\n  C ?');
  });
});

describe('edits', () => {
  test('marking under a known name is the same part again, under none a new one', () => {
    const { plan, sheet } = drawn({ A: [[0, 0, 9, 9]] });
    expect(markPart(plan, sheet, 'A', [{ box: { x: 50, y: 0, width: 9, height: 9 } }]).plan.parts).toHaveLength(2);
    expect(outline(markPart(plan, sheet, '', [{ box: { x: 50, y: 0, width: 9, height: 9 } }]).plan)).toContain('Part1');
    expect(outline(markPart(plan, sheet, 'TodayPage', [{ box: { x: 50, y: 0, width: 9, height: 9 } }]).plan)).toContain('TodayPage2');
  });
  test('lift, and lower again', () => {
    const { plan } = drawn(board);
    const lifted = liftRegion(plan, regionOf(plan, 'Gauge'));
    expect(outline(lifted)).toBe('TodayPage\n  List\n    Card ×3\n      Gauge ?\n    Gauge\n  Panel');
    expect(outline(lowerRegion(lifted, regionOf(plan, 'Gauge')))).toBe(outline(plan));
    expect(liftRegion(plan, regionOf(plan, 'Panel'))).toBe(plan);
    expect(lowerRegion(plan, regionOf(plan, 'Panel'))).toBe(plan);
  });
  test('wrap several, with room around', () => {
    const { plan } = drawn({ A: [[10, 10, 50, 50]], B: [[100, 10, 50, 50]] });
    const made = wrapRegions(plan, [regionOf(plan, 'A'), regionOf(plan, 'B')], 'Row');
    expect(made && outline(made.plan)).toBe('TodayPage\n  Row\n    A\n    B');
    expect(made?.plan.regions.at(-1)?.box).toEqual({ x: 6, y: 6, width: 148, height: 58 });
    expect(wrapRegions(plan, [], 'Row')).toBeUndefined();
  });
  test('split into rows', () => {
    const { plan } = drawn({ List: [[0, 0, 100, 100]] });
    const rows = [0, 50].map((y) => ({ box: { x: 0, y, width: 100, height: 40 } }));
    expect(outline(splitRegion(plan, regionOf(plan, 'List'), rows, 'Row')?.plan ?? plan)).toBe('TodayPage\n  List\n    Row ×2');
    expect(splitRegion(plan, regionOf(plan, 'List'), rows.slice(1), 'Row')).toBeUndefined();
  });
  test('removing the last mark of a part removes it from values too; inner parts move out', () => {
    const { plan } = drawn(board);
    const valued = putValue(plan, { ...valueOf(plan, 'v', 'Panel Card', 'Panel') }).plan;
    const left = removeRegions(valued, [regionOf(plan, 'Panel'), regionOf(plan, 'List')]);
    expect(outline(left)).toBe('TodayPage\n  Card ×3\n    Gauge ?');
    expect(left.values.map((value) => [value.readBy.map((id) => nameOf(left, id)), value.changedBy])).toEqual([[['Card'], []]]);
  });
  test('joining two parts keeps all places and what either takes', () => {
    const { plan } = drawn(board);
    const [card, panel] = [partNamed(plan, 'Card')?.id, partNamed(plan, 'Panel')?.id];
    if (!card || !panel) throw new Error('parts are missing');
    const named = changePart(changePart(plan, card, { props: [{ name: 'a', type: 'string', optional: false }] }), panel, {
      props: [
        { name: 'a', type: 'number', optional: false },
        { name: 'b', type: 'string', optional: false },
      ],
    });
    const joined = joinParts(named, card, panel);
    expect(outline(joined)).toBe('TodayPage\n  List\n    Card ×3\n      Gauge ?\n  Card');
    expect(partNamed(joined, 'Card')?.props.map((prop) => `${prop.name}: ${prop.type}`)).toEqual(['a: string', 'b: string']);
    expect(joinParts(plan, card, card)).toBe(plan);
  });
  test('moving makes whole pixels and no longer stands for an element', () => {
    const { plan } = drawn({ A: [[10, 10, 50, 50]] });
    const id = regionOf(plan, 'A');
    const moved = moveRegions(
      { ...plan, regions: plan.regions.map((region) => ({ ...region, selector: 'p' })) },
      new Map([[id, { x: 1.4, y: 2.6, width: 0.2, height: 9.5 }]]),
    );
    expect(moved.regions).toEqual([{ ...plan.regions[0], box: { x: 1, y: 3, width: 1, height: 10 }, selector: '' }]);
    expect(tidy({ x: -0.4, y: 0, width: 0, height: 0 }).width).toBe(1);
  });
  test('a page shown from another file keeps its marks, at the new size', () => {
    const { plan, sheet } = drawn({ A: [[10, 10, 50, 50]] });
    const other = replaceSheet(plan, sheet, { file: 'b.png', width: 800, height: 800, kind: 'picture' });
    expect(other.regions[0]?.box).toEqual({ x: 20, y: 20, width: 100, height: 100 });
    expect(replaceSheet(plan, 'sheet-99' as SheetId, { file: 'b.png', width: 1, height: 1, kind: 'picture' })).toBe(plan);
  });
  test('taking the last look of a page out takes the page out', () => {
    const { plan, sheet } = drawn({ A: [[10, 10, 50, 50]] });
    expect(removeSheet(plan, sheet).regions).toEqual([]);
    expect(removeSheet(plan, sheet).parts.map((part) => part.name)).toEqual(['A']);
  });
  test('values are added, changed and removed', () => {
    const { plan } = drawn({ A: [[10, 10, 50, 50]] });
    const { id: _id, ...fresh } = valueOf(plan, 'v', 'A', '');
    const added = putValue(plan, fresh);
    const changed = putValue(added.plan, { ...fresh, id: added.value, name: 'w' });
    expect(changed.plan.values.map((value) => value.name)).toEqual(['w']);
    expect(removeValue(changed.plan, added.value).values).toEqual([]);
    expect(removeValue(changed.plan, 'value-99' as PlannedValueId).values).toHaveLength(1);
  });
  test.each([
    ['today-board.png', 'TodayBoardPage'],
    ['LockPage.html', 'LockPage'],
    ['…', 'Page'],
  ])('the page of %s is %s', (file, name) => {
    expect(pageName(file)).toBe(name);
  });
});

describe('parts to think about', () => {
  const kinds = (plan: Plan, looks?: number): string[] =>
    candidatesOf(plan, planTree(plan), () => looks).map((one) => `${one.kind} ${one.parts.map((id) => nameOf(plan, id)).join(' ')}`);
  test('the same parts inside, or built alike: perhaps one part', () => {
    expect(kinds(planFrom('Page1\n  A\n    X\n    Y\n  B\n    X\n    Y\n'))).toContain('twins A B');
    expect(kinds(planFrom('Page1\n  A\n    X\n    Y\n  B\n    X\n    Z\n'))).not.toContain('twins A B');
    expect(kinds(planFrom('Page1\n  A\n  B\n'), 0.9)).toContain('twins A B');
    expect(kinds(planFrom('Page1\n  A\n  B\n'), 0.5)).not.toContain('twins A B');
  });
  test('a wrapper of the same size around one part', () => {
    expect(kinds(drawn({ Wrap: [[0, 0, 200, 100]], Inner: [[4, 4, 192, 92]] }).plan)).toContain('wraps Wrap');
    expect(kinds(drawn({ Wrap: [[0, 0, 200, 100]], Inner: [[4, 4, 90, 92]] }).plan)).not.toContain('wraps Wrap');
  });
  test('one little thing that stands once and knows nothing', () => {
    expect(kinds(drawn({ Word: [[0, 0, 60, 20]] }).plan)).toContain('small Word');
    expect(
      kinds(
        drawn({
          Word: [
            [0, 0, 60, 20],
            [0, 40, 60, 20],
          ],
        }).plan,
      ),
    ).not.toContain('small Word');
    expect(kinds(drawn({ Word: [[0, 0, 600, 200]] }).plan)).not.toContain('small Word');
  });
  test('many values in groups that nothing joins', () => {
    const plan = planFrom('Page1\n  A\n  B\n  C\n  D\n');
    const values = (pairs: readonly string[]): Plan => ({
      ...plan,
      values: pairs.map((pair, index) => ({ ...valueOf(plan, `v${index}`, pair, pair), id: `value-${index}` as PlannedValueId })),
    });
    expect(kinds(values(['A B', 'A B', 'A B', 'C D', 'C D']))).toContain('large Page1');
    expect(kinds(values(['A B', 'B C', 'C D', 'C D', 'A D']))).not.toContain('large Page1');
    expect(kinds(values(['A B', 'C D']))).not.toContain('large Page1');
  });
});

describe('planned strands', () => {
  const plan = planFrom('Page1\n  List\n    Card x3\n  Panel\n');
  const lines = (...values: Plan['values']): string[] => {
    const valued = { ...plan, values };
    const tree = planTree(valued);
    return planStrands(valued, tree).map(
      (strand) =>
        `${strand.kind} ${strand.name}: ${strand.knots.map((knot) => `${nameOf(plan, tree.nodes[knot.place]?.part ?? plan.parts[0]?.id ?? ('' as never))} ${knot.kinds.join('+')}`).join(' > ')}`,
    );
  };
  test('a value goes down and its change comes up', () => {
    expect(lines(valueOf(plan, 'chosen', 'Card Panel', 'Card'))).toEqual([
      'state chosen: Page1 owns > List passes > Card reads > Panel reads',
      'event changeChosen: Page1 catches > List passes > Card raises',
    ]);
  });
  test('a value at home has one knot; one that nobody needs has no strand', () => {
    expect(lines(valueOf(plan, 'open', 'Panel', 'Panel'))).toEqual(['state open: Panel owns+changes+reads']);
    expect(lines(valueOf(plan, 'lost', '', ''))).toEqual([]);
  });
  test('events of parts are heard by their owner', () => {
    const card = partNamed(plan, 'Card');
    const heard = card ? changePart(plan, card.id, { events: [{ name: 'select', payload: '' }] }) : plan;
    const tree = planTree(heard);
    expect(
      planStrands(heard, tree).map((strand) =>
        strand.knots.map((knot) => `${nameOf(heard, tree.nodes[knot.place]?.part as never)} ${knot.kinds.join()}`).join(' > '),
      ),
    ).toEqual(['List catches > Card raises']);
  });
});
