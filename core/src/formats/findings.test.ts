import { readFileSync } from 'node:fs';
import { Ajv } from 'ajv';
import formats from 'ajv-formats';
import Papa from 'papaparse';
import type { Log } from 'sarif';
import { describe, expect, test } from 'vitest';
import { analyseFiles } from '../../../testing/src/project';
import { findingEntries, findingsCsv, findingsJson, findingsMarkdown, findingsSarif } from './findings';
import { parseBaseline, parseSettings } from './settings';

const app =
  'function Row({ eta, late }: { eta: string; late?: boolean }) { return <p data-late={late}>{eta}</p>; }\nexport function App() {\n  return <main>\n    <Row late/><Row eta="1" tone="=calm"/>\n  </main>;\n}';
const files = { 'src/App [1].tsx': app, 'src/main.tsx': "import { App } from './App [1]'; createRoot(x).render(<App/>);" };
const { model, findings } = analyseFiles(files);
const textOf = (file: string): string | undefined => (files as Record<string, string>)[file];
const [missing, unknown] = ['prop-missing', 'prop-unknown'].map((rule) => findings.find((one) => one.rule === rule)?.key ?? '');
const entries = findingEntries(model, findings, textOf, {
  marks: new Map([[unknown ?? '', { state: 'wrong', reason: 'the | server, "adds" it', at: 0 }]]),
  accepted: [{ key: missing ?? '', reason: 'known' }],
});

test('entries have lines and columns', () => {
  expect(
    entries
      .map(
        (one) =>
          `${one.rule} ${one.file}:${one.line}:${one.column}-${one.endLine}:${one.endColumn} ${one.component} ${one.decided?.state ?? ''} ${one.decided?.by ?? ''}`,
      )
      .sort(),
  ).toEqual(['prop-missing src/App [1].tsx:4:6-4:9 App accepted comment', 'prop-unknown src/App [1].tsx:4:29-4:33 App wrong mark']);
});

test('JSON can be taken as a baseline', () => {
  expect(parseBaseline(findingsJson(entries))).toEqual({ keys: new Set(entries.map((one) => one.key)) });
  expect(parseBaseline('{')).toHaveProperty('wrong');
  expect(parseBaseline('{"findings":[{}]}')).toEqual({ wrong: 'findings[0].key is required' });
});

test('CSV read again is the same, and no cell is run as a formula', () => {
  const text = findingsCsv(entries);
  const read = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(read.errors).toEqual([]);
  expect(read.data.map((row) => [row['rule'], row['line'], row['reason']])).toEqual(
    entries.map((one) => [one.rule, String(one.line), one.decided?.reason ?? '']),
  );
  expect(text).not.toMatch(/(^|,)"?[=+@-]/m);
});

test('Markdown tells each with its evidence', () => {
  const text = findingsMarkdown('Towpath', entries);
  expect(text).toContain('# Findings in Towpath');
  expect(text).toContain('### Row needs eta, and nothing passes it.');
  expect(text).toContain('`src/App [1].tsx:4` · prop-missing');
  expect(findingsMarkdown('Towpath', [])).toContain('Nothing was found.');
});

describe('SARIF', () => {
  const schema = JSON.parse(readFileSync(new URL('../../../testing/sarif-2.1.0.json', import.meta.url), 'utf8')) as object;
  const ajv = formats.default(new Ajv({ allErrors: true }));
  const validate = ajv.compile(schema);
  const wrongIn = (text: string): unknown => (validate(JSON.parse(text)) ? [] : validate.errors);
  test('fits the schema, with findings and without', () => {
    expect(wrongIn(findingsSarif(entries, new Set([missing ?? ''])))).toEqual([]);
    expect(wrongIn(findingsSarif([]))).toEqual([]);
    const [one] = entries;
    const rung = one?.evidence[0];
    const twice = one && rung ? [{ ...one, evidence: [rung, rung] }] : [];
    expect(wrongIn(findingsSarif(twice))).toEqual([]);
  });
  test.each([
    [
      'a column before the first',
      (log: Log) => Object.assign(log.runs[0]?.results?.[0]?.locations?.[0]?.physicalLocation?.region ?? {}, { startColumn: 0 }),
    ],
    ['a level that there is not', (log: Log) => Object.assign(log.runs[0]?.results?.[0] ?? {}, { level: 'fault' })],
    ['no message', (log: Log) => Object.assign(log.runs[0]?.results?.[0] ?? {}, { message: undefined })],
    [
      'an address with a space',
      (log: Log) => Object.assign(log.runs[0]?.results?.[0]?.locations?.[0]?.physicalLocation?.artifactLocation ?? {}, { uri: 'a b' }),
    ],
  ])('the schema would tell %s', (_, spoil) => {
    const log = JSON.parse(findingsSarif(entries)) as Log;
    spoil(log);
    expect(wrongIn(JSON.stringify(log))).not.toEqual([]);
  });
  const log = JSON.parse(findingsSarif(entries, new Set([missing ?? '']))) as Log;
  const [run] = log.runs;
  test('names its version, its rules, and each result by one of these', () => {
    expect([log.version, run?.tool.driver.name, run?.columnKind]).toEqual(['2.1.0', 'Liana', 'utf16CodeUnits']);
    for (const result of run?.results ?? []) expect(run?.tool.driver.rules?.[result.ruleIndex ?? -1]?.id).toBe(result.ruleId);
  });
  test('says where, with an address that is one', () => {
    const region = run?.results?.find((one) => one.ruleId === 'prop-missing')?.locations?.[0]?.physicalLocation;
    expect(region?.artifactLocation?.uri).toBe('src/App%20%5B1%5D.tsx');
    expect(region?.region).toEqual({ startLine: 4, startColumn: 6, endLine: 4, endColumn: 9 });
  });
  test('says what is new and what was decided', () => {
    expect(run?.results?.map((one) => [one.ruleId, one.level, one.baselineState, one.suppressions?.[0]?.kind]).sort()).toEqual([
      ['prop-missing', 'error', 'unchanged', 'inSource'],
      ['prop-unknown', 'error', 'new', 'external'],
    ]);
  });
});

describe('settings', () => {
  test.each([
    ['{}', { settings: {} }],
    [
      '{"rules":{"prop-missing":"off","list-unkeyed":"fault"},"failOn":"risk","format":"sarif","baseline":"known.json"}',
      { settings: { rules: { 'prop-missing': 'off', 'list-unkeyed': 'fault' }, failOn: 'risk', format: 'sarif', baseline: 'known.json' } },
    ],
    ['{"rules":{"prop-mising":"off"}}', { wrong: 'rules.prop-mising is not allowed' }],
    ['{"rules":{"prop-missing":"never"}}', { wrong: 'rules.prop-missing must be one of [off, fault, risk, tidy]' }],
    ['{"twinsFrom":0.9}', { settings: { twinsFrom: 0.9 } }],
    ['{"twinsFrom":80}', { wrong: 'twinsFrom must be less than or equal to 1' }],
    ['{"failOn":"always","fromat":"json"}', { wrong: 'failOn must be one of [fault, risk, tidy, never]; fromat is not allowed' }],
    ['[]', { wrong: 'value must be of type object' }],
  ])('%s', (text, expected) => {
    expect(parseSettings(text)).toEqual(expected);
  });
  test('what is no JSON', () => {
    expect(parseSettings('{')).toHaveProperty('wrong', expect.stringContaining('no JSON'));
  });
});
