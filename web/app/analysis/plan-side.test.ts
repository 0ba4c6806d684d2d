import 'fake-indexeddb/auto';
import { planDocument } from '@liana/core';
import { beforeEach, expect, test } from 'vitest';
import { planOf } from '../../../testing/src/carve';
import { database } from '../storage/database';
import { planSide } from './plan-side';

const html =
  '<main><ul class="lock-list"><li class="lock-card"><h3>Aldermoor</h3></li><li class="lock-card"><h3>Quarry Rise</h3></li></ul></main>';

beforeEach(async () => {
  await Promise.all(database.tables.map((table) => table.clear()));
});

async function keepPlan(): Promise<void> {
  const { plan } = planOf({ TodayPage: html });
  await database.plans.put({ projectId: 'p', document: planDocument(plan), savedAt: 1 });
  for (const { file } of plan.sheets)
    await database.looks.put({ projectId: 'p', file, type: 'text/html', bytes: new Uint8Array(new TextEncoder().encode(html)) });
}

const namesIn = async (frameworks: readonly string[]): Promise<string[]> =>
  [...(await planSide('p', frameworks)).model.components.values()].flatMap(({ name, role }) => (role === 'component' ? [name] : []));

test('a plan is the code that its skeleton would be, in the framework of the project', async () => {
  await keepPlan();
  expect((await namesIn(['react'])).sort()).toEqual(['LockCard', 'TodayPage']);
  expect((await namesIn(['angular'])).sort()).toEqual(['App', 'LockCard', 'TodayPage']);
  const { model } = await planSide('p', ['lwc', 'vue']);
  expect([...model.components.values()].find(({ name }) => name === 'LockCard')?.framework).toBe('vue');
});

test('a project without a plan, or with one that cannot be read, has no such side', async () => {
  await expect(planSide('p', ['react'])).rejects.toThrow('The plan has no parts. Mark some in Carve.');
  await database.plans.put({ projectId: 'p', document: { format: 'strange' } as never, savedAt: 1 });
  await expect(planSide('p', ['react'])).rejects.toThrow(/^The plan cannot be read: /);
});
