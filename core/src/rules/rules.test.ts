import { type Files, analyseFiles, findingLines } from '../../../testing/src/project';
import { catalogue, entryOf } from './catalogue';
import { describe, expect, test } from 'vitest';

/** Findings of an application in one file, mounted. */
function foundIn(text: string, more: Files = {}): string[] {
  return findingLines(
    analyseFiles({ 'src/App.tsx': text, 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);", ...more }).findings,
  );
}

const row = 'function Row({ eta, boat }: { eta: string; boat?: string }) { return <p>{eta}{boat}</p>; }\n';

const pill = 'function Pill({ onClear }: { onClear?: () => void }) { return <button onClick={() => onClear?.()}/>; }\n';

const keeper = 'const K = createContext(null);\nfunction Menu() { const { name } = useContext(K); return <p>{name}</p>; }\n';

test('one cause, one finding: a misspelt prop is neither missing nor unknown', () => {
  expect(
    foundIn('function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row lable="a"/>; }'),
  ).toEqual(['prop-spelt App lable']);
});

test('a page without its provider is named, others are not', () => {
  const { findings } = analyseFiles({
    'src/pages.tsx': `${keeper}export function A() { return <K value={1}><Menu/></K>; }\nexport function B() { return <Menu/>; }`,
    'src/main.tsx':
      "import { RouterProvider } from 'router'; import { A, B } from './pages';\nconst router = createBrowserRouter([{ path: '/a', element: <A/> }, { path: '/b', element: <B/> }]);\ncreateRoot(x).render(<RouterProvider router={router}/>);",
  });
  expect(findings.map((finding) => [finding.rule, finding.pages])).toEqual([['context-missing', ['B']]]);
});

describe('what findings say', () => {
  const { findings } = analyseFiles({
    'src/App.tsx': `${row}${pill}const all = [1];\nexport function App() { return <><Row/><Pill onClear={() => {}}/><Pill/>{all.map((one) => <b>{one}</b>)}</>; }`,
    'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  });

  test('worst first', () => {
    expect(findings.map((finding) => finding.severity)).toEqual(['fault', 'risk', 'risk', 'tidy']);
  });

  test('whole sentences with the names in them, and evidence that starts at the place', () => {
    for (const finding of findings) {
      // It may begin with a name, as the code has it.
      expect(finding.message).toMatch(/^[\w<].*\.$/);
      expect(finding.consequence).toMatch(/\.$/);
      expect(finding.fix).toMatch(/\.$/);
      expect(finding.evidence[0]?.at).toEqual(finding.at);
      expect(`${finding.message}${finding.consequence}${finding.fix}`).not.toContain('undefined,');
    }
    expect(findings[0]?.message).toBe('Row needs eta, and nothing passes it.');
  });

  test('keys survive edits above, and are never shared', () => {
    const again = analyseFiles({
      'src/App.tsx': `// a line more\n\n${row}${pill}const all = [1];\nexport function App() { return <><Row/><Pill onClear={() => {}}/><Pill/>{all.map((one) => <b>{one}</b>)}</>; }`,
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    });
    expect(again.findings.map((finding) => finding.key)).toEqual(findings.map((finding) => finding.key));
    const twice = analyseFiles({
      'src/App.tsx': `${row}export function App() { return <><Row/><Row/></>; }`,
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    });
    expect(new Set(twice.findings.map((finding) => finding.key)).size).toBe(twice.findings.length);
    expect(twice.findings.map((finding) => finding.rule)).toEqual(['prop-missing', 'prop-missing', 'prop-unused']);
  });

  test('tests and stories are not checked', () => {
    expect(
      foundIn('export function App() { return <p/>; }', {
        'src/App.test.tsx': `${row}test('a', () => { render(<Row/>); });\nfunction Sample() { return <Row/>; }`,
      }),
    ).toEqual([]);
  });
});

describe('the catalogue', () => {
  test.each(Object.entries(catalogue))('%s helps with a fault and a sound form', (_, entry) => {
    for (const text of [entry.title, entry.help.what, entry.help.why, entry.help.fault, entry.help.sound])
      expect(text.length).toBeGreaterThan(10);
  });

  test('knows no other rules', () => {
    expect(entryOf('prop-imagined')).toBeUndefined();
  });
});
