import { describe, expect, test } from 'vitest';
import type { VersionsAnswer } from '../../analysis/answers';
import type { Commit } from '../../analysis/git/commits';
import { chosenCommits, versionName } from './commits';
import { groupsOf, type Listed, noteOf, parseCompareState, withCompare } from './state';

const one = (name: string, status: Listed['status'], holds: boolean | null = true, contract = 0, alike = 0.9): Listed => ({
  key: name,
  name,
  file: `src/${name}.tsx`,
  status,
  holds,
  says: '',
  alike,
  contract,
});
const answer = (...components: readonly Listed[]): VersionsAnswer => ({
  summary: '',
  components,
  breaks: [],
  ways: [],
  answers: [],
  newFindings: 0,
  goneFindings: 0,
});

describe('the state in the URL', () => {
  test.each([
    ['', { before: undefined, after: 'now', component: undefined, untouched: false, adding: false }],
    [
      'before=reading:3&after=project:x&component=a%23B&untouched=yes',
      { before: 'reading:3', after: 'project:x', component: 'a#B', untouched: true, adding: false },
    ],
    ['before=reading:x&after=strange', { before: undefined, after: 'now', component: undefined, untouched: false, adding: false }],
    ['before=plan&after=now', { before: 'plan', after: 'now', component: undefined, untouched: false, adding: false }],
    ['add=yes', { before: undefined, after: 'now', component: undefined, untouched: false, adding: true }],
    ['before=project:', { before: undefined, after: 'now', component: undefined, untouched: false, adding: false }],
  ])('%s', (text, state) => {
    expect(parseCompareState(new URLSearchParams(text))).toEqual(state);
  });
  test('a change leaves the rest', () => {
    expect(withCompare(new URLSearchParams('before=now&component=a'), { component: undefined, untouched: 'yes' }).toString()).toBe(
      'before=now&untouched=yes',
    );
  });
});

test('the groups, what no longer holds first; untouched ones only where they are asked for', () => {
  const compared = answer(
    one('A', 'same'),
    one('B', 'changed'),
    one('C', 'same', false),
    one('D', 'renamed'),
    one('E', 'new', null),
    one('F', 'gone', null),
  );
  const told = (untouched: boolean): string[] =>
    groupsOf(compared, untouched).map(({ title, entries }) => `${title}: ${entries.map(({ name }) => name).join(' ')}`);
  expect(told(false)).toEqual([
    'No longer holds what it held: C',
    'Changed, and holds what it held: B',
    'Moved or renamed: D',
    'New: E',
    'Gone: F',
  ]);
  expect(told(true).at(-1)).toBe('Not touched: A');
  expect(groupsOf(answer(), false)).toEqual([]);
});

test.each([
  [one('A', 'changed', true, 1), '1 change for users'],
  [one('A', 'changed', true, 2), '2 changes for users'],
  [one('A', 'moved'), '90 % the same'],
  [one('A', 'new', null), ''],
  [one('A', 'same'), ''],
])('what stands beside a line: %#', (listed, words) => {
  expect(noteOf(listed)).toBe(words);
});

describe('commits to choose from', () => {
  const commit = (kind: Commit['kind'], name: string, title: string, hash = 'a'.repeat(40)): Commit => ({ kind, name, title, hash, at: 0 });
  const all = [
    commit('branch', 'main', 'Queue by the keeper'),
    commit('tag', 'v1', 'First'),
    commit('commit', 'beef0123', 'Locks and their queue', `beef0123${'0'.repeat(32)}`),
  ];
  test.each([
    ['', ['main', 'v1', 'beef0123']],
    ['queue', ['main', 'beef0123']],
    ['QUEUE locks', ['beef0123']],
    ['beef01230000', ['beef0123']],
    ['bee', ['beef0123']],
    ['nothing', []],
  ])('%s', (text, names) => {
    expect(chosenCommits(all, text).shown.map(({ name }) => name)).toEqual(names);
  });
  test('no more than can be read, and how many more there are', () => {
    const many = Array.from({ length: 100 }, (_, at) => commit('commit', `c${at}`, 'x'));
    expect(chosenCommits(many, '')).toMatchObject({ more: 60 });
    expect(chosenCommits(many, '').shown).toHaveLength(40);
  });
  test('the name of a version tells which commit it is', () => {
    expect(versionName(commit('tag', 'v1', 'First'))).toBe('v1, aaaaaaaa: First');
    expect(versionName(commit('commit', 'beef0123', 'x'.repeat(60)))).toBe(`beef0123: ${'x'.repeat(39)}…`);
  });
});
