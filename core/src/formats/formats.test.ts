import { describe, expect, test } from 'vitest';
import { changePart } from '../carve/plan/edit';
import { planFrom, valueOf } from '../../../testing/src/plan';
import { parsePlan, planDocument } from './plan-document';
import { planDot, planMarkdown, planMermaid } from './plan-text';

const bare = planFrom('TodayPage\n  LockList\n    LockCard x3\n  LockPanel ?\n');
const card = bare.parts.find((part) => part.name === 'LockCard');
const named = card
  ? changePart(bare, card.id, {
      props: [{ name: 'name', type: "'a' | 'b'", optional: false }],
      events: [{ name: 'select', payload: 'string' }],
      note: 'One lock.',
    })
  : bare;
const plan = { ...named, values: [valueOf(named, 'selectedLock', 'LockCard LockPanel', 'LockCard')] };

describe('a plan document', () => {
  test('comes back as it was, through JSON', () => {
    expect(parsePlan(JSON.parse(JSON.stringify(planDocument(plan))))).toEqual({ plan });
  });
  const spoilt = (
    change: (
      plan: Record<string, unknown> & {
        regions: Record<string, unknown>[];
        parts: Record<string, unknown>[];
        sheets: Record<string, unknown>[];
      },
    ) => void,
  ): unknown => {
    const document = JSON.parse(JSON.stringify(planDocument(plan))) as { plan: never };
    change(document.plan);
    return document;
  };
  test.each<[string, unknown, RegExp]>([
    ['nothing', undefined, /"value" is required|cannot be read/],
    ['a text', 'plan', /must be of type object/],
    ['another format', { ...planDocument(plan), format: 'x' }, /"format" must be \[liana-plan\]/],
    ['a newer version', { ...planDocument(plan), version: 2 }, /newer Liana \(version 2\)/],
    ['a field that is not known', spoilt((one) => (one['more'] = 1)), /"plan.more" is not allowed/],
    ['a part without a name', spoilt((one) => delete one.parts[0]?.['name']), /"plan.parts\[0\].name" is required/],
    [
      'a box of no size',
      spoilt((one) => (one.regions[0] = { ...one.regions[0], box: { x: 0, y: 0, width: 0, height: 1 } })),
      /"plan.regions\[0\].box.width"/,
    ],
    [
      'a part that is not there',
      spoilt((one) => (one.regions[0] = { ...one.regions[0], part: 'part-77' })),
      /speaks of part-77, which is not in it/,
    ],
    ['a sheet that is not there', spoilt((one) => (one.regions[0] = { ...one.regions[0], sheet: 'sheet-77' })), /speaks of sheet-77/],
    ['a page that is not there', spoilt((one) => (one.sheets[0] = { ...one.sheets[0], page: 'part-77' })), /speaks of part-77/],
    ['an id twice', spoilt((one) => one.regions.push({ ...one.regions[0] })), /stands twice/],
  ])('%s is refused with the field', (_, given, says) => {
    expect(parsePlan(given)).toEqual({ wrong: expect.stringMatching(says) as string });
  });
  test('numbers go on after the highest id', () => {
    const parsed = parsePlan({ ...planDocument(plan), plan: { ...plan, numbered: 0 } });
    expect('plan' in parsed && parsed.plan.numbered).toBeGreaterThan(3);
  });
});

test('Markdown tells the tree, the contracts and the values', () => {
  expect(planMarkdown(plan, () => 'page.svg')).toBe(`# A plan

![TodayPage](page.svg)

![TodayPage](page.svg)

## Parts

- **TodayPage**
  - **LockList**
    - **LockCard** ×3; \`name\`
  - **LockPanel** not always there

| Part | Props | Events | Note |
| --- | --- | --- | --- |
| LockCard | \`name: 'a' \\| 'b'\` | \`select\` | One lock. |

## What it knows, and where that should live

| Value | Read by | Changed by | Best home | Hops | Why |
| --- | --- | --- | --- | --- | --- |
| \`selectedLock\` | LockCard, LockPanel | LockCard | TodayPage | 2 down, 2 up | TodayPage is the closest owner of LockCard and LockPanel. LockList carries it without reading it. |
`);
});

test('Mermaid and DOT draw the tree', () => {
  expect(planMermaid(plan)).toBe(`flowchart TD
  n0["TodayPage"]
  n1["LockList"]
  n2["LockCard<br>×3"]
  n3["LockPanel<br>not always there"]
  n0 --> n1
  n1 --> n2
  n0 -.-> n3
`);
  expect(planDot({ ...plan, name: 'The "plan"' })).toBe(`digraph "The \\"plan\\"" {
  node [shape=box];
  n0 [label="TodayPage"];
  n1 [label="LockList"];
  n2 [label="LockCard\\n×3"];
  n3 [label="LockPanel\\nnot always there"];
  n0 -> n1;
  n1 -> n2;
  n0 -> n3 [style=dashed];
}
`);
});
