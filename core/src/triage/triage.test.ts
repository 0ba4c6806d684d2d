import { describe, expect, test } from 'vitest';
import type { Finding } from '../model/finding';
import { acceptedInSource, withSettings } from '.';
import { analyseFiles } from '../../../testing/src/project';

const row = 'function Row({ eta }: { eta: string }) { return <p>{eta}</p>; }\n';
const main = { 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" };

function acceptedIn(app: string): string[] {
  const text = row + app;
  const { findings } = analyseFiles({ 'src/App.tsx': text, ...main });
  expect(findings.map((finding) => finding.rule)).toEqual(['prop-missing']);
  return acceptedInSource(findings, (file) => (file === 'src/App.tsx' ? text : undefined)).map((one) => one.reason);
}

describe('a comment accepts a finding', () => {
  test.each([
    [
      'above it',
      'export function App() { return (\n  // liana-accept prop-missing: the server adds it\n  <Row/>\n); }',
      ['the server adds it'],
    ],
    ['on its line', 'export function App() { return <Row/>; } // liana-accept prop-missing: known', ['known']],
    ['in markup', 'export function App() { return <div>\n  {/* liana-accept prop-missing: known */}\n  <Row/>\n</div>; }', ['known']],
    [
      'with other comments between',
      'export function App() { return (\n  // liana-accept prop-missing: known\n  // See the notes.\n  <Row/>\n); }',
      ['known'],
    ],
    ['without a reason', 'export function App() { return <Row/>; } // liana-accept prop-missing', ['']],
    ['for another rule', 'export function App() { return <Row/>; } // liana-accept prop-unknown: known', []],
    ['too far above', '// liana-accept prop-missing: known\n\nexport function App() { return (\n  <Row/>\n); }', []],
    ['below it', 'export function App() { return <Row/>; }\n// liana-accept prop-missing: known', []],
  ])('%s', (_, app, reasons) => {
    expect(acceptedIn(app)).toEqual(reasons);
  });

  test('a file without text accepts nothing', () => {
    const { findings } = analyseFiles({ 'src/App.tsx': `${row}export function App() { return <Row/>; }`, ...main });
    expect(acceptedInSource(findings, () => undefined)).toEqual([]);
  });
});

test('settings turn rules off and change their severity, worst first', () => {
  const finding = (rule: string, severity: Finding['severity']): Finding => ({ rule, severity, key: rule }) as Finding;
  const all = [finding('a', 'fault'), finding('b', 'risk'), finding('c', 'tidy')];
  expect(withSettings(all, {}).map((one) => one.rule)).toEqual(['a', 'b', 'c']);
  expect(withSettings(all, { a: 'off' }).map((one) => one.rule)).toEqual(['b', 'c']);
  expect(withSettings(all, { a: 'tidy', c: 'fault' }).map((one) => `${one.rule} ${one.severity}`)).toEqual(['c fault', 'b risk', 'a tidy']);
});
