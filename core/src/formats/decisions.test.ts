import { describe, expect, test } from 'vitest';
import { decisionsDocument, parseDecisions } from './decisions';

const mark = { state: 'wrong', reason: 'the server "adds" it', at: 1 } as const;

test('decisions come back as they were saved', () => {
  const decisions = {
    marks: { 'prop-missing:src/App.tsx#App:eta': mark },
    rules: { 'prop-carried': 'off', 'a-rule-to-come': 'risk' },
    twinsFrom: 0.9,
  } as const;
  expect(parseDecisions(JSON.parse(JSON.stringify(decisionsDocument(decisions))))).toEqual({ decisions });
});

describe('what is wrong is named', () => {
  const sound = decisionsDocument({ marks: {}, rules: {} });
  test.each([
    ['another format', { ...sound, format: 'x' }, /"format" must be/],
    ['another version', { ...sound, version: 2 }, /"version" must be/],
    ['no marks', { ...sound, marks: undefined }, /"marks" is required/],
    ['a state that there is not', { ...sound, marks: { a: { ...mark, state: 'maybe' } } }, /"marks\.a\.state" must be one of/],
    ['a time that is none', { ...sound, marks: { a: { ...mark, at: 'now' } } }, /"marks\.a\.at" must be a number/],
    ['a setting that there is not', { ...sound, rules: { a: 'loud' } }, /"rules\.a" must be one of/],
    ['a likeness that cannot be', { ...sound, twinsFrom: 2 }, /"twinsFrom" must be less/],
    ['no object', [], /must be of type object/],
  ])('%s', (_, given, says) => {
    expect(parseDecisions(given)).toEqual({ wrong: expect.stringMatching(says) as string });
  });
});
