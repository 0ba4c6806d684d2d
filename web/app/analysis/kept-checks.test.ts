import 'fake-indexeddb/auto';
import { check, type Finding } from '@liana/core';
import { beforeEach, describe, expect, test } from 'vitest';
import { analyseFiles } from '../../../testing/src/project';
import { database } from '../storage/database';
import { removeForGood } from '../storage/room';
import { checkKey, type Checked, keepCheck, keptCheck } from './kept-checks';

beforeEach(async () => {
  await database.delete();
  await database.open();
});

const files = [
  { file: 'src/App.jsx', hash: 'one' },
  { file: 'src/Row.jsx', hash: 'two' },
];
const findings: readonly Finding[] = check(
  analyseFiles({
    'src/App.jsx': 'import { Row } from \'./Row\'; export function App() { return <Row tone="a" />; }',
    'src/Row.jsx': 'export function Row({ name }) { return <b>{name.length}</b>; }',
  }).model,
);
const checked: Checked = { findings, failures: [], places: new Map([['src/App.jsx#App', 2]]), standsOn: new Map() };

describe('a check is kept under what it follows from', () => {
  test.each([
    ['another file', [...files, { file: 'src/New.jsx', hash: 'three' }], undefined],
    ['a file that is gone', files.slice(1), undefined],
    ['another content', [{ file: 'src/App.jsx', hash: 'other' }, ...files.slice(1)], undefined],
    [
      'contents that changed places',
      [
        { file: 'src/App.jsx', hash: 'two' },
        { file: 'src/Row.jsx', hash: 'one' },
      ],
      undefined,
    ],
    ['another setting', files, 90],
  ])('%s asks for another one', async (_, other, twinsFrom) => {
    expect(await checkKey(other, twinsFrom)).not.toBe(await checkKey(files, undefined));
  });

  test('the same files in another order ask for the same', async () => {
    expect(await checkKey(files.toReversed(), undefined)).toBe(await checkKey(files, undefined));
  });

  test('it comes back as it was, under its key alone', async () => {
    expect(findings.length).toBeGreaterThan(0);
    await keepCheck('p', 'key', checked);
    expect(await keptCheck('p', 'key')).toMatchObject({ findings, places: checked.places, standsOn: checked.standsOn });
    expect(await keptCheck('p', 'other')).toBeUndefined();
    expect(await keptCheck('q', 'key')).toBeUndefined();
  });

  test.each([
    ['findings that are none', { findings: 3 }],
    ['places that are none', { places: {} }],
    ['no failures', { failures: undefined }],
  ])('a damaged one is none: %s', async (_, damage) => {
    await database.checks.put({ projectId: 'p', key: 'key', ...checked, ...damage } as never);
    expect(await keptCheck('p', 'key')).toBeUndefined();
  });

  test('it goes with its project', async () => {
    await keepCheck('p', 'key', checked);
    await removeForGood('p');
    expect(await database.checks.count()).toBe(0);
  });
});
