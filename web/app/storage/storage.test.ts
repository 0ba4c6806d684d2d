import 'fake-indexeddb/auto';
import { readFile } from '@liana/core';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { database, type Origin } from './database';
import {
  deleteProject,
  getProject,
  listProjects,
  type NewFiles,
  renameProject,
  restoreProject,
  saveProject,
  sweepDeleted,
} from './projects';
import { StorageError } from './room';

const origin: Origin = { kind: 'zip', name: 'boats.zip' };
const filesOf = (texts: Readonly<Record<string, string>>): NewFiles => ({
  files: Object.entries(texts).map(([file, text]) => ({
    file,
    hash: `hash of ${text}`,
    size: text.length,
    kind: file.endsWith('.json') ? 'config' : 'source',
    text,
  })),
  leftOut: { dependencies: 2 },
  refused: [],
});

beforeEach(async () => {
  await database.delete();
  await database.open();
});
afterEach(() => vi.restoreAllMocks());

describe('keeping projects', () => {
  test('a project is saved with its files and texts', async () => {
    const project = await saveProject('p', 'boats', origin, filesOf({ 'a.ts': 'one', 'package.json': '{}' }));
    expect(project).toMatchObject({ id: 'p', name: 'boats', files: 1, bytes: 5, leftOut: { dependencies: 2 } });
    expect(await getProject('p')).toEqual(project);
    expect(await database.texts.get(['p', 'a.ts'])).toMatchObject({ text: 'one' });
  });

  test('read again, it keeps its name and its first day, and loses what is gone', async () => {
    const first = await saveProject('p', 'boats', origin, filesOf({ 'a.ts': 'one', 'b.ts': 'two' }));
    await renameProject('p', 'canal');
    await database.facts.bulkPut(
      ['a.ts', 'b.ts'].map((file) => ({ projectId: 'p', file, hash: 'h', version: '1', facts: readFile(file, '') })),
    );
    const again = await saveProject('p', 'boats', origin, filesOf({ 'a.ts': 'three' }));
    expect(again).toMatchObject({ name: 'canal', createdAt: first.createdAt, files: 1 });
    expect((await database.files.toArray()).map((file) => file.file)).toEqual(['a.ts']);
    expect((await database.facts.toArray()).map((one) => one.file)).toEqual(['a.ts']);
    expect(await database.texts.get(['p', 'b.ts'])).toBeUndefined();
  });

  test('the newest comes first', async () => {
    const now = vi.spyOn(Date, 'now');
    for (const [at, id] of ['old', 'new'].entries()) {
      now.mockReturnValue(1000 + at);
      await saveProject(id, id, origin, filesOf({ 'a.ts': '' }));
    }
    expect((await listProjects()).projects.map((project) => project.id)).toEqual(['new', 'old']);
  });

  test('what is not as Liana wrote it is named and left as it is', async () => {
    await saveProject('p', 'boats', origin, filesOf({ 'a.ts': '' }));
    await database.projects.put({ id: 'x', name: 'Strange', createdAt: 1, files: 'many' } as never);
    const { projects, damaged } = await listProjects();
    expect(projects.map((project) => project.id)).toEqual(['p']);
    expect(damaged).toEqual([{ id: 'x', name: 'Strange', says: expect.stringMatching(/"origin" is required/) as string }]);
    expect(await database.projects.get('x')).toBeDefined();
  });
});

describe('deleting', () => {
  beforeEach(async () => {
    await saveProject('p', 'boats', origin, filesOf({ 'a.ts': 'one' }));
    await deleteProject('p');
  });

  test('takes a project off the list, with its files still there', async () => {
    expect((await listProjects()).projects).toEqual([]);
    expect(await getProject('p')).toBeUndefined();
    expect(await database.texts.count()).toBe(1);
  });

  test('can be undone', async () => {
    await restoreProject('p');
    expect((await listProjects()).projects.map((project) => project.name)).toEqual(['boats']);
    expect(await getProject('p')).not.toHaveProperty('deletedAt');
  });

  test('is for good only after a while', async () => {
    await sweepDeleted();
    expect(await database.texts.count()).toBe(1);
    vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 3_600_000);
    await sweepDeleted();
    expect([await database.texts.count(), await database.files.count(), await database.projects.count()]).toEqual([0, 0, 0]);
  });
});

describe('when it cannot be saved', () => {
  test('a full disk is told in plain words, and nothing of the import stays', async () => {
    const full = Object.assign(new Error('full'), { name: 'QuotaExceededError' });
    vi.spyOn(database.texts, 'bulkPut').mockImplementation((() => Promise.reject(full)) as never);
    await expect(saveProject('p', 'boats', origin, filesOf({ 'a.ts': 'one' }))).rejects.toThrow(StorageError);
    vi.restoreAllMocks();
    expect([await database.projects.count(), await database.files.count(), await database.texts.count()]).toEqual([0, 0, 0]);
  });

  test('stopped before its end, nothing changes', async () => {
    await saveProject('p', 'boats', origin, filesOf({ 'a.ts': 'one' }));
    await expect(saveProject('p', 'boats', origin, filesOf({ 'a.ts': 'two', 'b.ts': '' }), () => true)).rejects.toThrow(
      'Stopped before it was finished',
    );
    expect(await database.texts.get(['p', 'a.ts'])).toMatchObject({ text: 'one' });
    expect(await database.files.count()).toBe(1);
  });
});
