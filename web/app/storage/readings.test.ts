import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { database } from './database';
import { saveFiles, saveProject } from './projects';
import { addReading, listReadings, nameReading, readingsKept, removeReading, textsOfReading } from './readings';
import { removeForGood } from './room';

type Text = Readonly<Record<string, string>>;

const filesOf = (texts: Text) =>
  Object.entries(texts).map(([file, text]) => ({ file, text, hash: `hash of ${text}`, size: text.length, kind: 'source' as const }));
const save = (texts: Text) => saveProject('p', 'p', { kind: 'files', name: 'p' }, { files: filesOf(texts), leftOut: {}, refused: [] });
const readings = async (): Promise<(Text | undefined)[]> =>
  Promise.all(
    (await listReadings('p')).map(async (one) => {
      const texts = await textsOfReading(one);
      return texts && Object.fromEntries(texts);
    }),
  );

beforeEach(async () => {
  await Promise.all(database.tables.map((table) => table.clear()));
});

afterEach(() => vi.restoreAllMocks());

describe('what stood before is kept', () => {
  test('not at the first reading, nor where nothing changed', async () => {
    await save({ 'a.ts': '1' });
    await save({ 'a.ts': '1' });
    expect(await readings()).toEqual([]);
  });
  test('with files that changed, are gone, or stayed as they were', async () => {
    await save({ 'a.ts': '1', 'b.ts': '2', 'c.ts': '3' });
    await save({ 'a.ts': '1', 'b.ts': 'two' });
    expect(await readings()).toEqual([{ 'a.ts': '1', 'b.ts': '2', 'c.ts': '3' }]);
    // Only what the project no longer has is kept beside it.
    expect(await database.oldTexts.count()).toBe(2);
  });
  test('also when single files are written over later', async () => {
    await save({ 'a.ts': '1', 'b.ts': '2' });
    await save({ 'a.ts': 'one', 'b.ts': '2' });
    await saveFiles('p', filesOf({ 'b.ts': 'two' }));
    expect(await readings()).toEqual([{ 'a.ts': '1', 'b.ts': '2' }]);
  });
  test('the latest first, and no more than so many', async () => {
    for (let at = 0; at <= readingsKept + 3; at++) await save({ 'a.ts': String(at) });
    const kept = await readings();
    expect(kept).toHaveLength(readingsKept);
    expect(new Set(kept.map((one) => one?.['a.ts'])).has('0')).toBe(false);
    expect(await database.oldTexts.count()).toBe(readingsKept);
  });
  test('a version with a name stays, whatever comes after it', async () => {
    await save({ 'a.ts': '0' });
    await nameReading('p', 'before the refactor');
    for (let at = 1; at <= readingsKept + 3; at++) await save({ 'a.ts': String(at) });
    const named = (await listReadings('p')).find(({ name }) => name !== undefined);
    expect([named?.name, named && Object.fromEntries((await textsOfReading(named)) ?? [])]).toEqual([
      'before the refactor',
      { 'a.ts': '0' },
    ]);
  });
  test('a version that is added has files of its own, and the project keeps those that it has', async () => {
    await save({ 'a.ts': '1', 'b.ts': '2' });
    const id = await addReading('p', 'v1', filesOf({ 'a.ts': 'old', 'b.ts': '2' }));
    expect((await listReadings('p')).map((one) => [one.id, one.name])).toEqual([[id, 'v1']]);
    expect(await readings()).toEqual([{ 'a.ts': 'old', 'b.ts': '2' }]);
    expect((await database.texts.get(['p', 'a.ts']))?.text).toBe('1');
  });
  test('a version that is taken away leaves the others whole', async () => {
    await save({ 'a.ts': '1' });
    const one = await addReading('p', 'v1', filesOf({ 'a.ts': 'old', 'b.ts': 'shared' }));
    await addReading('p', 'v2', filesOf({ 'a.ts': 'new', 'b.ts': 'shared' }));
    await removeReading('p', one);
    expect(await readings()).toEqual([{ 'a.ts': 'new', 'b.ts': 'shared' }]);
    expect(await database.oldTexts.count()).toBe(2);
  });
  test('a text that is missing is said, not made up', async () => {
    await save({ 'a.ts': '1' });
    await save({ 'a.ts': '2' });
    await database.oldTexts.clear();
    expect(await readings()).toEqual([undefined]);
  });
  test('what Liana did not write is left out', async () => {
    await database.readings.add({ projectId: 'p', readAt: 'today' } as never);
    expect(await listReadings('p')).toEqual([]);
  });
  test('where there is no room for it, what is read now is saved all the same', async () => {
    await save({ 'a.ts': '1' });
    vi.spyOn(database.readings, 'add').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
    await save({ 'a.ts': '2' });
    expect([await readings(), (await database.texts.get(['p', 'a.ts']))?.text]).toEqual([[], '2']);
  });
  test('it goes with its project', async () => {
    await save({ 'a.ts': '1' });
    await save({ 'a.ts': '2' });
    await removeForGood('p');
    expect([await database.readings.count(), await database.oldTexts.count()]).toEqual([0, 0]);
  });
});
