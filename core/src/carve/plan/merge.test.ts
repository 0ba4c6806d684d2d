import { describe, expect, test } from 'vitest';
import { addSheet, changePart, markPart, moveRegions, removeRegions } from './edit';
import { mergePlans } from './merge';
import { emptyPlan, partNamed, type Plan } from './plan';

const box = (x: number) => ({ x, y: 0, width: 10, height: 10 });
const sheet = { title: '', kind: 'picture', width: 100, height: 100, file: 'a.png' } as const;
const begun = addSheet(emptyPlan('Towpath'), 'TodayPage', sheet);
const marked = (plan: Plan, name: string, x: number): Plan => markPart(plan, begun.sheet, name, [{ box: box(x), selector: '' }]).plan;
const base = marked(marked(begun.plan, 'TopBar', 0), 'LockCard', 20);
const note = (plan: Plan, name: string, text: string): Plan => {
  const part = partNamed(plan, name);
  return part ? changePart(plan, part.id, { note: text }) : plan;
};
const first = (plan: Plan) => plan.regions[0]?.id as NonNullable<(typeof plan.regions)[0]>['id'];
const names = (plan: Plan | undefined): string[] | undefined => plan?.parts.map((part) => part.name).sort();

describe('two plans that were made of one', () => {
  test('marks of different parts stand together, each with an id of its own', () => {
    const merged = mergePlans(base, marked(base, 'Mine', 40), marked(base, 'Theirs', 60));
    expect(names(merged)).toEqual(['LockCard', 'Mine', 'Theirs', 'TodayPage', 'TopBar']);
    const every = [...(merged?.parts ?? []), ...(merged?.regions ?? [])].map((one) => one.id as string);
    expect(new Set(every).size).toBe(every.length);
    expect(merged?.regions.find((one) => one.part === partNamed(merged, 'Mine')?.id)?.box).toEqual(box(40));
    expect(merged?.regions.find((one) => one.part === partNamed(merged, 'Theirs')?.id)?.box).toEqual(box(60));
  });

  test('what one changed and what the other changed are both kept', () => {
    const merged = mergePlans(
      base,
      note(base, 'TopBar', 'mine'),
      moveRegions(note(base, 'LockCard', 'theirs'), new Map([[first(base), box(5)]])),
    );
    expect(merged && [partNamed(merged, 'TopBar')?.note, partNamed(merged, 'LockCard')?.note]).toEqual(['mine', 'theirs']);
    expect(merged?.regions[0]?.box).toEqual(box(5));
  });

  test.each<[string, Plan, Plan]>([
    ['nothing was changed by one', base, note(base, 'TopBar', 'x')],
    ['both changed the same in the same way', note(base, 'TopBar', 'x'), note(base, 'TopBar', 'x')],
    ['both took the same away', removeRegions(base, [first(base)]), removeRegions(base, [first(base)])],
  ])('it is certain where %s', (_, mine, theirs) => {
    expect(mergePlans(base, mine, theirs)).toEqual({ ...theirs, numbered: theirs.numbered });
    expect(mergePlans(base, theirs, mine)).toEqual({ ...theirs, numbered: theirs.numbered });
  });

  test.each<[string, Plan, Plan]>([
    ['both changed one part', note(base, 'TopBar', 'mine'), note(base, 'TopBar', 'theirs')],
    ['both moved one mark', moveRegions(base, new Map([[first(base), box(1)]])), moveRegions(base, new Map([[first(base), box(2)]]))],
    ['one moved what the other took away', moveRegions(base, new Map([[first(base), box(1)]])), removeRegions(base, [first(base)])],
    ['both gave the plan another name', { ...base, name: 'A' }, { ...base, name: 'B' }],
  ])('it is not where %s', (_, mine, theirs) => {
    expect(mergePlans(base, mine, theirs)).toBeUndefined();
    expect(mergePlans(base, theirs, mine)).toBeUndefined();
  });

  test('a text that looks like an id is a text', () => {
    const mine = note(marked(base, 'Mine', 40), 'TopBar', 'part-99');
    const merged = mergePlans(base, mine, marked(base, 'Theirs', 60));
    expect(merged && partNamed(merged, 'TopBar')?.note).toBe('part-99');
  });
});
