import 'fake-indexeddb/auto';
import { addSheet, emptyPlan } from '@liana/core';
import { beforeEach, expect, test, vi } from 'vitest';
import { database } from './database';
import { loadLooks, loadPlan, newPlanProject, saveLooks, savePlan } from './plans';
import { deleteProject, listProjects, sweepDeleted } from './projects';
import { StorageError } from './room';

const { plan } = addSheet(emptyPlan('Towpath'), 'TodayPage', { title: '', kind: 'picture', width: 10, height: 10, file: 'a.png' });
const look = { file: 'a.png', type: 'image/png', bytes: new Uint8Array([1, 2, 3]) };

beforeEach(async () => {
  await Promise.all(database.tables.map((table) => table.clear()));
});

test('a project that begins with a page is listed, and its plan is empty at first', async () => {
  const id = await newPlanProject('A new plan');
  expect((await listProjects()).projects.map((project) => [project.id, project.origin.kind])).toEqual([[id, 'plan']]);
  expect(await loadPlan({ id, name: 'A new plan' })).toEqual({ plan: emptyPlan('A new plan'), revision: 0 });
});

test('a plan and its pages come back as they were saved', async () => {
  await saveLooks('p', [look], plan);
  expect((await loadPlan({ id: 'p', name: 'x' })).plan).toEqual(plan);
  expect((await loadLooks('p')).map(({ file, type, bytes }) => [file, type, [...bytes]])).toEqual([['a.png', 'image/png', [1, 2, 3]]]);
  await savePlan('p', { ...plan, name: 'Other' });
  expect((await loadPlan({ id: 'p', name: 'x' })).plan.name).toBe('Other');
  expect(await loadLooks('q')).toEqual([]);
});

test('a stored plan that is not what Liana wrote is named, and the view can still open', async () => {
  await database.plans.put({
    projectId: 'p',
    savedAt: 0,
    document: { format: 'liana-plan', version: 1, plan: { ...plan, parts: 3 } } as never,
  });
  const { plan: found, wrong } = await loadPlan({ id: 'p', name: 'Mine' });
  expect(found).toEqual(emptyPlan('Mine'));
  expect(wrong).toMatch(/"plan\.parts" must be an array/);
});

test('a full storage is said so, and nothing of it is kept', async () => {
  await savePlan('p', plan);
  const failing = vi
    .spyOn(database.looks, 'bulkPut')
    .mockRejectedValueOnce(Object.assign(new Error('full'), { name: 'QuotaExceededError' }));
  await expect(saveLooks('p', [look], { ...plan, name: 'Other' })).rejects.toThrow(StorageError);
  failing.mockRestore();
  expect((await loadPlan({ id: 'p', name: 'x' })).plan.name).toBe('Towpath');
  expect(await loadLooks('p')).toEqual([]);
});

test('what is swept goes with its plan and pages', async () => {
  const id = await newPlanProject('Old');
  await saveLooks(id, [look], plan);
  await deleteProject(id);
  await database.projects.update(id, { deletedAt: Date.now() - 3_600_000 });
  await sweepDeleted();
  expect([await database.plans.count(), await database.looks.count(), await database.projects.count()]).toEqual([0, 0, 0]);
});
