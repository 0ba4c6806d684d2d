import { describe, expect, test } from 'vitest';
import { readPage } from '../page/read';
import { suggestParts } from '../page/suggest';
import { adoptParts, adoptPictureParts, boxesByOrder, proposedFor } from './adopt';
import { addSheet, changePart } from './edit';
import { emptyPlan, nameOf, partNamed, type Plan } from './plan';
import { planTree } from './plan-tree';

const html = `<ul class="lock-list">
  <li class="lock-card"><h3>Aldermoor</h3><p class="queue">2 <b class="pill">late</b></p></li>
  <li class="lock-card"><h3>Quarry Rise</h3><p class="queue">0 <b class="pill">clear</b></p></li>
</ul>`;
const page = readPage(html);
const { plan: start, sheet } = addSheet(emptyPlan('Plan'), 'TodayPage', {
  title: '',
  kind: 'html',
  width: 800,
  height: 600,
  file: 'a.html',
});
const at = (token: string): number[] => page.nodes.filter((node) => node.tokens.includes(token)).map((node) => node.index);
const adopt = (plan: Plan, name: string, token: string): Plan =>
  adoptParts(plan, sheet, page, [{ name, at: at(token) }], boxesByOrder(page));
const propsOf = (plan: Plan, name: string): string[] => partNamed(plan, name)?.props.map((prop) => prop.name) ?? [];

describe('taking parts over from a page', () => {
  test('a part stands at its elements, nested as they are, with props for what varies', () => {
    const plan = adopt(adopt(start, 'LockList', 'lock-list'), 'LockCard', 'lock-card');
    expect(planTree(plan).nodes.map((node) => `${node.depth} ${nameOf(plan, node.part)} ×${node.times}`)).toEqual([
      '0 TodayPage ×1',
      '1 LockList ×1',
      '2 LockCard ×2',
    ]);
    expect(propsOf(plan, 'LockCard')).toEqual(['title', 'queue', 'pill']);
    expect(propsOf(plan, 'LockList')).toEqual([]);
  });
  test('what turns out to be a part of its own takes its props along', () => {
    const plan = adopt(adopt(start, 'LockCard', 'lock-card'), 'StatusPill', 'pill');
    expect(propsOf(plan, 'LockCard')).toEqual(['title', 'queue']);
    expect(propsOf(plan, 'StatusPill')).toEqual(['name']);
  });
  test('what was written by hand stays', () => {
    const cards = adopt(start, 'LockCard', 'lock-card');
    const card = partNamed(cards, 'LockCard');
    if (!card) throw new Error('no LockCard');
    const byHand = changePart(cards, card.id, {
      props: [
        ...card.props.map((prop) => (prop.name === 'pill' ? { ...prop, type: 'Tone' } : prop)),
        { name: 'own', type: 'string', optional: false },
      ],
    });
    expect(propsOf(adopt(byHand, 'StatusPill', 'pill'), 'LockCard')).toEqual(['title', 'queue', 'pill', 'own']);
  });
  test('one alone calls for no props', () => {
    const plan = adopt(start, 'LockList', 'lock-list');
    expect(proposedFor(plan, partNamed(plan, 'LockList')?.id as never, sheet, page)).toEqual([]);
  });
  test('all that is suggested, one after the other or at once, is the same plan but for its numbers', () => {
    const { parts } = suggestParts(page);
    const atOnce = adoptParts(start, sheet, page, parts, boxesByOrder(page));
    const oneByOne = parts.reduce((plan, part) => adoptParts(plan, sheet, page, [part], boxesByOrder(page)), start);
    const words = (plan: Plan): string[] => plan.parts.map((part) => `${part.name}: ${part.props.map((prop) => prop.name).join()}`);
    expect(words(oneByOne)).toEqual(words(atOnce));
  });
});

describe('taking parts over from a picture', () => {
  const panel = { x: 0, y: 0, width: 400, height: 300 };
  const cards = [20, 160].map((y) => ({ x: 20, y, width: 300, height: 100 }));
  const title = { name: 'title', type: 'string', optional: false };
  const parts = [
    { name: 'Panel', boxes: [panel], parent: null, why: 'panel', reason: '', props: [] },
    { name: 'Card', boxes: cards, parent: 'Panel', why: 'card', reason: '', props: [title] },
  ] as const;
  test('parts stand at their boxes, nested as they lie, with their props', () => {
    const plan = adoptPictureParts(start, sheet, parts);
    expect(planTree(plan).nodes.map((node) => `${node.depth} ${nameOf(plan, node.part)} ×${node.times}`)).toEqual([
      '0 TodayPage ×1',
      '1 Panel ×1',
      '2 Card ×2',
    ]);
    expect(propsOf(plan, 'Card')).toEqual(['title']);
  });
  test('a name that is taken gets a number: it need not be the same part', () => {
    const plan = adoptPictureParts(adoptPictureParts(start, sheet, parts), sheet, [{ ...parts[1], boxes: [panel] }]);
    expect(plan.parts.map((part) => part.name)).toEqual(['TodayPage', 'Panel', 'Card', 'Card2']);
  });
});
