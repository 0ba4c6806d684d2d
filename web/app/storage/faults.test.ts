import 'fake-indexeddb/auto';
import { addSheet, emptyPlan, markPart, partNamed, changePart, type Plan } from '@liana/core';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { database } from './database';
import { choosePlan, loadAside, loadPlan, newPlanProject, saveLooks, savePlan, storedDocument } from './plans';
import { deleteProject, getProject, listProjects, renameProject, restoreProject, saveFiles, saveProject } from './projects';
import { StorageError } from './room';
import {
  DecidedElsewhere,
  loadTriage,
  markFinding,
  retryWaiting,
  saveDecisions,
  setRule,
  setTwinsFrom,
  waitingStore,
  wrongTriage,
} from './triage';

const begun = addSheet(emptyPlan('Towpath'), 'TodayPage', { title: '', kind: 'picture', width: 100, height: 100, file: 'a.png' });
const marked = (plan: Plan, name: string, x: number): Plan =>
  markPart(plan, begun.sheet, name, [{ box: { x, y: 0, width: 10, height: 10 }, selector: '' }]).plan;
const noted = (plan: Plan, text: string): Plan => {
  const part = partNamed(plan, 'TodayPage');
  return part ? changePart(plan, part.id, { note: text }) : plan;
};
const look = { file: 'a.png', type: 'image/png', bytes: new Uint8Array([1, 2, 3]) };
const mark = { state: 'accepted', reason: 'known', at: 1 } as const;
const source = (text: string) => ({
  files: [{ file: 'a.ts', hash: text, size: text.length, kind: 'source' as const, text }],
  leftOut: {},
  refused: [],
});

/** All that is stored, as it would be after a reload. */
async function everything(): Promise<unknown> {
  return Promise.all(database.tables.map(async (table) => [table.name, await table.toArray()]));
}

beforeEach(async () => {
  await Promise.all(database.tables.map((table) => table.clear()));
  await saveProject('p', 'boats', { kind: 'zip', name: 'boats.zip' }, source('one'));
  await savePlan('p', begun.plan);
  await markFinding('p', 'old', mark);
});

afterEach(async () => {
  vi.restoreAllMocks();
  await retryWaiting();
});

/** What a browser throws when it does not write. */
const faults: readonly [name: string, error: string][] = [
  ['a full storage', 'QuotaExceededError'],
  ['a transaction that the browser ends', 'AbortError'],
  ['a disk that fails', 'UnknownError'],
  ['a storage that another version of Liana closed', 'InvalidStateError'],
];

const failing = (error: string): void => {
  const fail = (): never => {
    throw new DOMException('It was not written.', error);
  };
  vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(fail);
  vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(fail);
};

const writes: readonly [name: string, write: () => Promise<unknown>][] = [
  ['a plan', () => savePlan('p', marked(begun.plan, 'TopBar', 0), { plan: begun.plan, revision: 1 })],
  ['a plan with its pages', () => saveLooks('p', [look], marked(begun.plan, 'TopBar', 0))],
  ['a choice between two plans', () => choosePlan('p', begun.plan, emptyPlan('x'), 'why')],
  ['a new plan', () => newPlanProject('new')],
  ['a name', () => renameProject('p', 'canal')],
  ['a project brought in', () => saveProject('q', 'other', { kind: 'zip', name: 'q' }, source('two'))],
  ['a project read again', () => saveProject('p', 'boats', { kind: 'zip', name: 'boats.zip' }, source('three'))],
  ['a file that was followed', () => saveFiles('p', source('four').files)],
];

describe('what is not written is said, and what was there stays', () => {
  for (const [fault, error] of faults)
    test.each(writes)(`${fault}: %s`, async (_, write) => {
      const before = await everything();
      failing(error);
      await expect(write()).rejects.toThrow(StorageError);
      vi.restoreAllMocks();
      expect(await everything()).toEqual(before);
      await expect(write()).resolves.not.toThrow();
    });
});

const decisions: readonly [
  name: string,
  decide: () => Promise<unknown>,
  holds: (now: Awaited<ReturnType<typeof loadTriage>>) => unknown,
][] = [
  ['a decision', () => markFinding('p', 'new', mark), (now) => now.marks['new']],
  ['one taken back', () => markFinding('p', 'old', undefined), (now) => now.marks['old'] === undefined],
  ['a rule', () => setRule('p', 'prop-idle', 'off'), (now) => now.rules['prop-idle']],
  ['the likeness of twins', () => setTwinsFrom('p', 0.9), (now) => now.twinsFrom],
  ['decisions that came with a project', () => saveDecisions('p', { marks: { other: mark }, rules: {} }), (now) => now.marks['other']],
];

describe('a decision that is not stored waits, holds in this tab, and is stored when it can be', () => {
  for (const [fault, error] of faults)
    test.each(decisions)(`${fault}: %s`, async (_, decide, holds) => {
      const before = await database.triage.toArray();
      failing(error);
      expect(await decide()).not.toBe('stored');
      expect(waitingStore.get()).toBe(1);
      expect(waitingStore.reason()).not.toBe('');
      expect(holds(await loadTriage('p'))).toBeTruthy();
      vi.restoreAllMocks();
      expect(await database.triage.toArray()).toEqual(before);
      await retryWaiting();
      expect(waitingStore.get()).toBe(0);
      const [stored] = await database.triage.toArray();
      expect(stored && holds(stored)).toBeTruthy();
    });

  test('their order is kept', async () => {
    failing('QuotaExceededError');
    await markFinding('p', 'a', mark);
    await markFinding('p', 'a', { ...mark, state: 'later' });
    vi.restoreAllMocks();
    await markFinding('p', 'a', { ...mark, state: 'wrong' });
    await retryWaiting();
    expect((await database.triage.get('p'))?.marks['a']?.state).toBe('wrong');
  });
});

test.each(faults.slice(1))('a project that cannot be deleted stays, and it is said: %s', async (_, error) => {
  const before = await everything();
  failing(error);
  await expect(deleteProject('p')).rejects.toThrow(StorageError);
  vi.restoreAllMocks();
  expect(await everything()).toEqual(before);
});

describe('deleting when there is no room', () => {
  test('a project goes for good at once, with what it took', async () => {
    failing('QuotaExceededError');
    expect(await deleteProject('p')).toBe('gone');
    vi.restoreAllMocks();
    expect(await Promise.all(database.tables.map((table) => table.count()))).toEqual(database.tables.map(() => 0));
    expect(await restoreProject('p')).toBe(false);
  });

  test('what was deleted before makes room for what is written', async () => {
    await newPlanProject('kept');
    await deleteProject('p');
    let full = true;
    const put = IDBObjectStore.prototype.put;
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
      if (full) {
        full = false;
        throw new DOMException('full', 'QuotaExceededError');
      }
      return put.apply(this, args);
    });
    await saveProject('q', 'other', { kind: 'zip', name: 'q' }, source('two'));
    expect((await listProjects()).projects.map((project) => project.name).sort()).toEqual(['kept', 'other']);
    expect(await database.projects.get('p')).toBeUndefined();
  });
});

describe('two tabs', () => {
  const seen = async () => loadPlan({ id: 'p', name: 'x' });

  test('marks of different parts are both in the plan', async () => {
    const first = await seen();
    await savePlan('p', marked(first.plan, 'Mine', 0), first);
    const saved = await savePlan('p', marked(first.plan, 'Theirs', 20), first);
    expect(saved.kind).toBe('merged');
    expect((await seen()).plan.parts.map((part) => part.name).sort()).toEqual(['Mine', 'Theirs', 'TodayPage']);
  });

  test('what does not fit is not written; the one that is not chosen is set aside', async () => {
    const first = await seen();
    await savePlan('p', noted(first.plan, 'theirs'), first);
    const mine = noted(first.plan, 'mine');
    expect((await savePlan('p', mine, first)).kind).toBe('differs');
    expect(partNamed((await seen()).plan, 'TodayPage')?.note).toBe('theirs');
    await choosePlan('p', mine, (await seen()).plan, 'The plan of another tab');
    expect(partNamed((await seen()).plan, 'TodayPage')?.note).toBe('mine');
    expect(JSON.stringify((await loadAside('p'))[0]?.document)).toContain('theirs');
  });

  test('decisions on different findings are both kept', async () => {
    await markFinding('p', 'a', mark, { decision: undefined });
    await markFinding('p', 'b', mark, { decision: undefined });
    expect(Object.keys((await loadTriage('p')).marks).sort()).toEqual(['a', 'b', 'old']);
  });

  test.each([
    ['another state', { ...mark, state: 'wrong' } as const],
    ['taken back', undefined],
  ])('of one finding, what the other tab decided stands: %s', async (_, mine) => {
    await markFinding('p', 'old', { ...mark, state: 'later' }, { decision: mark });
    await expect(markFinding('p', 'old', mine, { decision: mark })).rejects.toThrow(DecidedElsewhere);
    expect((await loadTriage('p')).marks['old']?.state).toBe('later');
    await markFinding('p', 'old', mine);
    expect((await loadTriage('p')).marks['old']?.state).toBe(mine?.state);
  });

  test('the same decision in both is one', async () => {
    await markFinding('p', 'a', mark, { decision: undefined });
    await expect(markFinding('p', 'a', { ...mark, at: 9 }, { decision: undefined })).resolves.toBe('stored');
  });

  test('of one rule, what the other tab set stands until one decides again', async () => {
    await setRule('p', 'prop-idle', 'off', { decision: undefined });
    await expect(setRule('p', 'prop-idle', 'risk', { decision: undefined })).rejects.toThrow(DecidedElsewhere);
    expect((await loadTriage('p')).rules['prop-idle']).toBe('off');
    await setRule('p', 'prop-idle', 'off', { decision: undefined });
    await setRule('p', 'prop-idle', 'risk');
    expect((await loadTriage('p')).rules['prop-idle']).toBe('risk');
  });

  test('of what counts as twins, too', async () => {
    await setTwinsFrom('p', 0.9, { decision: undefined });
    await expect(setTwinsFrom('p', undefined, { decision: 0.7 })).rejects.toThrow(DecidedElsewhere);
    expect((await loadTriage('p')).twinsFrom).toBe(0.9);
    await setTwinsFrom('p', undefined, { decision: 0.9 });
    expect((await loadTriage('p')).twinsFrom).toBeUndefined();
  });

  test('of two names the first given stands, and is told', async () => {
    expect(await renameProject('p', 'canal', 'boats')).toBeUndefined();
    expect(await renameProject('p', 'river', 'boats')).toBe('canal');
    expect((await getProject('p'))?.name).toBe('canal');
  });
});

test.each<[string, unknown]>([
  ['marks that are none', { projectId: 'p', marks: null, rules: {}, latest: [], latestAt: 0 }],
  [
    'a state that there is not',
    { projectId: 'p', marks: { a: { state: 'hulled', reason: '', at: 1 } }, rules: {}, latest: [], latestAt: 0 },
  ],
  ['a field that is missing', { projectId: 'p', marks: {} }],
])('decisions that cannot be read are named and set aside: %s', async (_, stored) => {
  await database.triage.put(stored as never);
  expect(await wrongTriage('p')).toBeTruthy();
  expect((await loadTriage('p')).marks).toEqual({});
  expect(await loadAside('p')).toEqual([]);
  await markFinding('p', 'new', mark);
  expect((await loadAside('p')).map((one) => one.document)).toEqual([stored]);
  expect(await wrongTriage('p')).toBeUndefined();
  expect(Object.keys((await loadTriage('p')).marks)).toEqual(['new']);
});

describe('a plan that cannot be read is kept as it is', () => {
  test.each<[string, unknown, RegExp]>([
    ['a newer one', { format: 'liana-plan', version: 2, plan: { hulls: [] } }, /newer Liana \(version 2\)/],
    [
      'one with a field of another kind',
      { format: 'liana-plan', version: 1, plan: { ...begun.plan, parts: 3 } },
      /"plan\.parts" must be an array/,
    ],
    ['one of another format', { format: 'other', version: 1 }, /"format" must be/],
    ['nothing that is a plan', 'spoilt', /must be of type object/],
  ])('%s', async (_, document, says) => {
    await database.plans.put({ projectId: 'p', document: document as never, savedAt: 5, revision: 3 });
    const found = await loadPlan({ id: 'p', name: 'x' });
    expect(found.wrong).toMatch(says);
    expect(await storedDocument('p')).toEqual(document);
    // Looking at it changes nothing; the first edit begins another and sets it aside.
    expect(await loadAside('p')).toEqual([]);
    await savePlan('p', marked(begun.plan, 'TopBar', 0), { plan: found.plan, revision: found.revision });
    expect((await loadAside('p')).map((one) => [one.document, one.at])).toEqual([[document, 5]]);
    expect((await loadPlan({ id: 'p', name: 'x' })).wrong).toBeUndefined();
  });
});
