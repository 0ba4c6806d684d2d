import { describe, expect, test } from 'vitest';
import { listName } from './page/props';
import { checkName } from './names';
import { camelCase, freeName, pascalCase, plural, singular } from '../write/case';

test.each([
  ['lock-card', 'LockCard', 'lockCard'],
  ['lock_card__name', 'LockCardName', 'lockCardName'],
  ['LockCARD', 'LockCard', 'lockCard'],
  ['HTMLPanel', 'HtmlPanel', 'htmlPanel'],
  ['3 boats', 'Part3Boats', 'part3Boats'],
  ['Überblick', 'Uberblick', 'uberblick'],
  ['– –', '', ''],
  ['', '', ''],
])('%j is %j and %j', (text, pascal, camel) => {
  expect([pascalCase(text), camelCase(text)]).toEqual([pascal, camel]);
});

test.each([
  ['Locks', 'Lock'],
  ['LockCard', 'LockCard'],
  ['PassageEntries', 'PassageEntry'],
  ['', ''],
])('one of %j is %j', (many, one) => {
  expect(singular(many)).toBe(one);
});

test('many', () => {
  expect([plural('LockCard'), plural('Entry'), plural('')]).toEqual(['LockCards', 'Entries', '']);
});

test.each([
  ['LockCard', 'locks'],
  ['PassageRow', 'passages'],
  ['Entry', 'entries'],
  ['Card', 'cards'],
  ['StatusPill', 'statusPills'],
])('%s comes from the list %s', (part, list) => {
  expect(listName(part)).toBe(list);
});

describe('a name among others', () => {
  const says = (name: string, others: string[] = [], repeats = false): string[] =>
    checkName(name, others, repeats).map((one) => `${one.weight}: ${one.says}`);
  test.each([
    ['LockCard', [], false],
    ['LockCard', ['LockList'], true],
    ['Status', [], true],
    ['Locks', [], false],
  ] as const)('%s is fine', (name, others, repeats) => {
    expect(says(name, [...others], repeats)).toEqual([]);
  });
  test.each([
    ['', [], false, /^fault: The part needs a name/],
    ['lock-card', [], false, /^fault: .*PascalCase: LockCard/],
    ['9Lock', [], false, /^fault: .*PascalCase/],
    ['Map', [], false, /^fault: Map is taken/],
    ['LockCard', ['LockCard'], false, /^fault: Another part is called LockCard/],
    ['LockCard', ['Lockcard'], false, /^fault: .*differ only in capitals/],
    ['Locks', [], true, /^hint: .*Lock would say/],
    ['Wrapper', [], false, /^hint: Wrapper does not say/],
    ['Part3', [], false, /^hint: Part3 does not say/],
  ] as const)('%j: %#', (name, others, repeats, expected) => {
    expect(says(name, [...others], repeats).join('\n')).toMatch(expected);
  });
});

test('a free name is the name itself or the next number', () => {
  expect([freeName('A', new Set()), freeName('A', new Set(['A'])), freeName('A', new Set(['A', 'A2']))]).toEqual(['A', 'A2', 'A3']);
});
