import type { Finding } from '@liana/core';
import { describe, expect, test } from 'vitest';
import type { FindingView } from '../../analysis/answers';
import { choicesOf, fittingFindings, linesOf, parseFindingsState, toldFindings, withFindings } from './state';

const view = (key: string, more: Partial<FindingView> = {}): FindingView =>
  ({
    key,
    rule: 'prop-missing',
    severity: 'fault',
    framework: 'react',
    componentName: 'App',
    message: `${key} is wrong.`,
    at: { file: 'src/App.tsx', start: 0, end: 1 },
    touches: { component: 'x', places: 1 },
    pages: [],
    onPages: ['TodayPage'],
    line: 1,
    ...more,
  }) as FindingView & Finding;

const all = [
  view('a'),
  view('b', { severity: 'risk', rule: 'list-unkeyed', componentName: 'Row', onPages: ['TodayPage', 'LockPage'] }),
  view('c', { severity: 'tidy', rule: 'prop-carried', framework: 'vue', onPages: [] }),
  view('d', { accepted: 'known' }),
];
const mark = { state: 'wrong', reason: 'no', at: 1 } as const;
const keys = (query: string, decisions: Parameters<typeof toldFindings>[1] = { marks: {}, rules: {} }): string =>
  fittingFindings(toldFindings(all, decisions), parseFindingsState(new URLSearchParams(query)))
    .map(({ finding }) => finding.key)
    .join('');

describe('which findings are shown', () => {
  test.each([
    ['', 'abc'],
    ['state=all', 'adbc'],
    ['state=accepted', 'd'],
    ['state=wrong', ''],
    ['state=imagined', 'abc'],
    ['text=ROW', 'b'],
    ['text=wrong%20row', 'b'],
    ['rule=list-unkeyed', 'b'],
    ['framework=vue', 'c'],
    ['on=LockPage', 'b'],
    ['in=src', 'abc'],
    ['in=src/pages', ''],
    ['in=sr', ''],
  ])('%s', (query, expected) => {
    expect([...keys(query)].sort().join('')).toBe([...expected].sort().join(''));
  });
  test('marks take away from what is open, and say their state', () => {
    expect(keys('', { marks: { a: mark }, rules: {} })).toBe('bc');
    expect(keys('state=wrong', { marks: { a: mark }, rules: {} })).toBe('a');
    expect(keys('', { marks: { gone: mark }, rules: {} })).toBe('abc');
  });
  test('rules that are off, or of another severity', () => {
    expect(keys('', { marks: {}, rules: { 'prop-missing': 'off' } })).toBe('bc');
    expect(keys('', { marks: {}, rules: { 'prop-carried': 'fault' } })).toBe('acb');
  });
  test('what is new since the reading before', () => {
    expect(keys('state=new', { marks: {}, rules: {}, known: ['a', 'b'] })).toBe('c');
    expect(keys('state=new')).toBe('');
  });
});

test.each([
  ['severity', 'Does not work 1, Breaks in a case that can happen 1, Works, and is too much 1'],
  ['component', 'App 2, Row 1'],
  ['file', 'src/App.tsx 3'],
  ['page', 'TodayPage 2, On no page that is mounted 1'],
  ['rule', 'A required prop is not given 1, A repeated part without an identity 1, A prop that is only carried through 1'],
] as const)('grouped by %s, worst first', (group, expected) => {
  const told = fittingFindings(toldFindings(all, { marks: {}, rules: {} }), parseFindingsState(new URLSearchParams()));
  const groups = linesOf(told, group).flatMap((line) => (line.kind === 'group' ? [`${line.title} ${line.count}`] : []));
  expect(groups.join(', ')).toBe(expected);
  expect(linesOf(told, group).filter((line) => line.kind === 'finding')).toHaveLength(told.length);
});

test('choices are counted, the most first', () => {
  const told = toldFindings(all, { marks: {}, rules: {} });
  expect(choicesOf(told, ({ finding }) => finding.onPages)).toEqual([
    { value: 'TodayPage', count: 3 },
    { value: 'LockPage', count: 1 },
  ]);
});

test('the address keeps what is not changed, and drops what is empty', () => {
  expect(String(withFindings(new URLSearchParams('finding=a&text=x'), { text: '', group: 'rule' }))).toBe('finding=a&group=rule');
});
