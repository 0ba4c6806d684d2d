import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { database } from './database';
import { loadTriage, markFinding, noteReading, setRule } from './triage';

beforeEach(async () => {
  await database.delete();
  await database.open();
});

const mark = { state: 'accepted', reason: 'known', at: 1 } as const;

describe('decisions about findings', () => {
  test('a mark is kept, changed and taken back, others stay', async () => {
    await markFinding('p', 'a', mark);
    await markFinding('p', 'b', { ...mark, state: 'later' });
    expect((await loadTriage('p')).marks).toEqual({ a: mark, b: { ...mark, state: 'later' } });
    await markFinding('p', 'a', undefined);
    expect(Object.keys((await loadTriage('p')).marks)).toEqual(['b']);
    expect((await loadTriage('other')).marks).toEqual({});
  });

  test('a rule is set and taken back', async () => {
    await setRule('p', 'prop-missing', 'off');
    await setRule('p', 'list-unkeyed', 'fault');
    await setRule('p', 'prop-missing', undefined);
    expect((await loadTriage('p')).rules).toEqual({ 'list-unkeyed': 'fault' });
  });

  test('marks and rules survive a reading', async () => {
    await markFinding('p', 'a', mark);
    await noteReading('p', 10, ['a', 'b']);
    await noteReading('p', 20, ['b']);
    expect((await loadTriage('p')).marks).toEqual({ a: mark });
  });
});

describe('what a reading finds', () => {
  test('the first has nothing to be compared with', async () => {
    expect((await noteReading('p', 10, ['a'])).known).toBeUndefined();
  });
  test('the second knows the first, however often it is looked at', async () => {
    await noteReading('p', 10, ['a', 'b']);
    await noteReading('p', 20, ['b', 'c']);
    const again = await noteReading('p', 20, ['b', 'c']);
    expect([again.known, again.latest]).toEqual([
      ['a', 'b'],
      ['b', 'c'],
    ]);
  });
});
