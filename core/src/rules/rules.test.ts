import { describe, expect, test } from 'vitest';
import { catalogue, entryOf } from './catalogue';
import { analyseFiles, type Files, findingLines } from '../../../testing/src/project';

/** Findings of an application in one file, mounted. */
function foundIn(text: string, more: Files = {}): string[] {
  return findingLines(
    analyseFiles({ 'src/App.tsx': text, 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);", ...more }).findings,
  );
}

type Case = readonly [name: string, text: string];

/** Cases in which a rule must find just one thing, named; and cases in which it must stay silent. */
function table(rule: string, fires: readonly (readonly [name: string, text: string, found: string])[], silent: readonly Case[]): void {
  describe(rule, () => {
    test.each(fires)('fires: %s', (_, text, found) => {
      expect(foundIn(text).filter((line) => line.startsWith(`${rule} `))).toEqual([`${rule} ${found}`]);
    });
    test.each(silent)('stays silent: %s', (_, text) => {
      expect(foundIn(text).filter((line) => line.startsWith(`${rule} `))).toEqual([]);
    });
  });
}

const row = 'function Row({ eta, boat }: { eta: string; boat?: string }) { return <p>{eta}{boat}</p>; }\n';

table(
  'prop-missing',
  [
    ['not given', `${row}export function App() { return <Row boat="b"/>; }`, 'App eta'],
    ['in a list', `${row}export function App({ all }) { return all.map((one) => <Row key={one} boat={one}/>); }`, 'App eta'],
    ['of a type from another file', "import { Row } from './Row';\nexport function App() { return <><Row/><p/></>; }", 'App eta'],
    [
      'required children',
      'function Frame({ children }: { children: ReactNode }) { return <p>{children}</p>; }\nexport function App() { return <Frame/>; }',
      'App children',
    ],
    ['through memo', 'const Row = memo(({ eta }: { eta: string }) => <p>{eta}</p>);\nexport function App() { return <Row/>; }', 'App eta'],
    ['a spread whose names are all seen', `${row}export function App() { return <Row {...{ boat: 'b' }}/>; }`, 'App eta'],
  ].map(([name, text, found]) => [name, (text ?? '').replace("import { Row } from './Row';", `${row}`), found] as [string, string, string]),
  [
    ['given', `${row}export function App() { return <Row eta="1"/>; }`],
    ['given by a spread that cannot be seen', `${row}export function App(props) { return <Row {...props.all}/>; }`],
    ['a default', 'function Row({ eta = "-" }: { eta: string }) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }'],
    ['declared optional', 'function Row({ eta }: { eta?: string }) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }'],
    ['nothing declares it', 'function Row({ eta }) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }'],
    [
      'a type from outside',
      "import type { P } from 'out';\nfunction Row({ eta }: P) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }",
    ],
    [
      'content gives children',
      'function Frame({ children }: { children: ReactNode }) { return <p>{children}</p>; }\nexport function App() { return <Frame>a</Frame>; }',
    ],
    [
      'a parent that clones its content',
      `${row}function Group({ children }) { return cloneElement(children, { eta: '1' }); }\nexport function App() { return <Group><Row/></Group>; }`,
    ],
    ['a lone child of a part from outside', `import { Tip } from 'out';\n${row}export function App() { return <Tip><Row/></Tip>; }`],
    [
      'a wrapper that may add it',
      'const Row = withEta(({ eta }: { eta: string }) => <p>{eta}</p>);\nexport function App() { return <Row/>; }',
    ],
    [
      'required in one alternative only',
      'function Row(props: { eta: string } | { boat: string }) { return <p/>; }\nexport function App() { return <Row boat="b"/>; }',
    ],
    [
      'key is no prop',
      'function Row({ eta }: { key?: string; eta: string }) { return <p>{eta}</p>; }\nexport function App() { return <Row eta="1"/>; }',
    ],
    ['handed on as a value', `import { List } from 'out';\n${row}export function App() { return <List of={Row}/>; }`],
  ],
);

table(
  'prop-unknown',
  [
    ['not declared', `${row}export function App() { return <Row eta="1" tone="calm"/>; }`, 'App tone'],
    [
      'no types, taken apart without a rest',
      'function Row({ eta }) { return <p>{eta}</p>; }\nexport function App() { return <Row eta="1" tone="calm"/>; }',
      'App tone',
    ],
    ['no parameter at all', 'function Row() { return <p/>; }\nexport function App() { return <Row tone="calm"/>; }', 'App tone'],
    [
      'the rest goes to a component that does not take it',
      'function Inner({ a }) { return <p>{a}</p>; }\nfunction Row({ eta, ...rest }) { return <Inner {...rest} a={eta}/>; }\nexport function App() { return <Row eta="1" tone="calm"/>; }',
      'App tone',
    ],
  ],
  [
    ['declared', `${row}export function App() { return <Row eta="1" boat="b"/>; }`],
    [
      'the rest reaches an element',
      'function Row({ eta, ...rest }) { return <p {...rest}>{eta}</p>; }\nexport function App() { return <Row eta="1" tone="calm"/>; }',
    ],
    ['all props are spread', 'function Row(props) { return <p {...props}/>; }\nexport function App() { return <Row tone="calm"/>; }'],
    [
      'props go somewhere unseen',
      'function Row(props) { return <p>{format(props)}</p>; }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    [
      'attributes of the platform',
      'function Row(props: HTMLAttributes<Element> & { a?: 1 }) { return <p {...props}/>; }\nexport function App() { return <Row title="t"/>; }',
    ],
    ['hyphenated', `${row}export function App() { return <Row eta="1" data-test="r" aria-label="r"/>; }`],
    [
      'an index signature',
      'function Row(props: { [key: string]: string }) { return <p/>; }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    [
      'a class',
      'class Row extends Component { render() { return <p>{this.props.a}</p>; } }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    [
      'the rest goes to a component that takes it',
      'function Inner({ tone }) { return <p>{tone}</p>; }\nfunction Row({ ...rest }) { return <Inner {...rest}/>; }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    ['key and ref', `${row}export function App() { return <Row key="k" ref={null} eta="1"/>; }`],
  ],
);

table(
  'prop-spelt',
  [
    [
      'a letter',
      'function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row labl="a"/>; }',
      'App labl',
    ],
    [
      'two letters exchanged',
      'function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row lable="a"/>; }',
      'App lable',
    ],
    [
      'letter case',
      'function Row({ maxLevel }: { maxLevel: number }) { return <p>{maxLevel}</p>; }\nexport function App() { return <Row maxlevel={1}/>; }',
      'App maxlevel',
    ],
    [
      'an event',
      'function Row({ onSelect }: { onSelect?: () => void }) { return <p onClick={onSelect}/>; }\nexport function App() { return <Row onSelct={() => {}}/>; }',
      'App onSelct',
    ],
  ],
  [
    [
      'the declared one is given as well',
      'function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row label="a" labl="b"/>; }',
    ],
    [
      'two are equally near',
      'function Row({ labelA, labelB }: { labelA?: string; labelB?: string }) { return <p>{labelA}{labelB}</p>; }\nexport function App() { return <Row labelC="a"/>; }',
    ],
    ['a short name', 'function Row({ id }: { id?: string }) { return <p>{id}</p>; }\nexport function App() { return <Row as="a"/>; }'],
    [
      'another word',
      'function Row({ label }: { label?: string }) { return <p>{label}</p>; }\nexport function App() { return <Row title="a"/>; }',
    ],
    [
      'an open contract',
      'function Row(props) { return <p>{format(props)}{props.label}</p>; }\nexport function App() { return <Row labl="a"/>; }',
    ],
  ],
);

test('one cause, one finding: a misspelt prop is neither missing nor unknown', () => {
  expect(
    foundIn('function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row lable="a"/>; }'),
  ).toEqual(['prop-spelt App lable']);
});

const pill = 'function Pill({ onClear }: { onClear?: () => void }) { return <button onClick={() => onClear?.()}/>; }\n';

table(
  'event-unheard',
  [
    ['one use listens and one does not', `${pill}export function App() { return <><Pill onClear={() => {}}/><Pill/></>; }`, 'Pill onClear'],
    ['nobody listens', `${pill}export function App() { return <Pill/>; }`, 'Pill onClear'],
    [
      'attached to an element',
      'function Pill({ onClear }: { onClear?: () => void }) { return <button onClick={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
      'Pill onClear',
    ],
  ],
  [
    ['all listen', `${pill}export function App() { return <Pill onClear={() => {}}/>; }`],
    ['most do not: it is an option', `${pill}export function App() { return <><Pill onClear={() => {}}/><Pill/><Pill/></>; }`],
    ['a spread may give it', `${pill}export function App(props) { return <><Pill onClear={() => {}}/><Pill {...props.pill}/></>; }`],
    [
      'required: another rule speaks',
      'function Pill({ onClear }: { onClear: () => void }) { return <button onClick={onClear}/>; }\nexport function App() { return <Pill/>; }',
    ],
    [
      'a default',
      'function Pill({ onClear = () => {} }: { onClear?: () => void }) { return <button onClick={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'never raised',
      'function Pill({ onClear }: { onClear?: () => void }) { return <Inner onClear={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'switched off',
      `function Pill({ onClear, disabled }: { onClear?: () => void; disabled?: boolean }) { return <button disabled={disabled} onClick={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill disabled/></>; }`,
    ],
  ],
);

describe('event-unheard', () => {
  test('is a risk where others listen and to be tidied where nobody does', () => {
    const severity = (app: string): string | undefined =>
      analyseFiles({
        'src/App.tsx': `${pill}export function App() { return ${app}; }`,
        'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
      }).findings[0]?.severity;
    expect(severity('<><Pill onClear={() => {}}/><Pill/></>')).toBe('risk');
    expect(severity('<Pill/>')).toBe('tidy');
  });

  test('leaves a library’s public components alone', () => {
    expect(
      findingLines(
        analyseFiles({ 'src/Pill.tsx': `export ${pill}export function Bar() { return <><Pill onClear={() => {}}/><Pill/></>; }` }).findings,
      ),
    ).toEqual([]);
  });
});

const keeper = 'const K = createContext(null);\nfunction Menu() { const { name } = useContext(K); return <p>{name}</p>; }\n';

table(
  'context-missing',
  [
    ['no provider', `${keeper}export function App() { return <Menu/>; }`, 'Menu K'],
    ['a provider beside it', `${keeper}export function App() { return <><K.Provider value={1}><p/></K.Provider><Menu/></>; }`, 'Menu K'],
    [
      'the owner provides, the parent does not',
      `${keeper}function Frame({ children }) { return <><K value={1}><p/></K>{children}</>; }\nexport function App() { return <Frame><Menu/></Frame>; }`,
      'Menu K',
    ],
  ],
  [
    ['provided above', `${keeper}export function App() { return <K.Provider value={1}><Menu/></K.Provider>; }`],
    [
      'provided by the parent of its slot',
      `${keeper}function Frame({ children }) { return <K value={1}>{children}</K>; }\nexport function App() { return <Frame><Menu/></Frame>; }`,
    ],
    [
      'a default',
      'const K = createContext({ name: "-" });\nfunction Menu() { const { name } = useContext(K); return <p>{name}</p>; }\nexport function App() { return <Menu/>; }',
    ],
    [
      'guarded',
      'const K = createContext(null);\nfunction Menu() { const k = useContext(K); return k ? <p>{k.name}</p> : null; }\nexport function App() { return <Menu/>; }',
    ],
    ['below something that cannot be followed', `${keeper}export function App({ as: As }) { return <As><Menu/></As>; }`],
    [
      'below a wrapper that may provide',
      `${keeper}const Frame = withKeeper(({ children }) => <p>{children}</p>);\nexport function App() { return <Frame><Menu/></Frame>; }`,
    ],
    [
      'mounted with a provider in main',
      `export ${keeper.replace('const K', 'const K')}export function App() { return <Other/>; }\nfunction Other() { return <p/>; }`,
    ],
  ],
);

test('a page without its provider is named, others are not', () => {
  const { findings } = analyseFiles({
    'src/pages.tsx': `${keeper}export function A() { return <K value={1}><Menu/></K>; }\nexport function B() { return <Menu/>; }`,
    'src/main.tsx':
      "import { RouterProvider } from 'router'; import { A, B } from './pages';\nconst router = createBrowserRouter([{ path: '/a', element: <A/> }, { path: '/b', element: <B/> }]);\ncreateRoot(x).render(<RouterProvider router={router}/>);",
  });
  expect(findings.map((finding) => [finding.rule, finding.pages])).toEqual([['context-missing', ['B']]]);
});

table(
  'list-unkeyed',
  [
    ['no key', 'export function App({ all }) { return <ul>{all.map((one) => <li>{one}</li>)}</ul>; }', 'App key'],
    ['a fragment that cannot have one', 'export function App({ all }) { return <ul>{all.map((one) => <><b/>{one}</>)}</ul>; }', 'App key'],
    ['in a condition', 'export function App({ all }) { return <ul>{all.map((one) => one.a && <li>{one.a}</li>)}</ul>; }', 'App key'],
    [
      'pushed in a loop',
      'export function App({ all }) { const rows = []; for (const one of all) rows.push(<li>{one}</li>); return <ul>{rows}</ul>; }',
      'App key',
    ],
    [
      'the position, filtered while rendering, and the parts remember',
      'function Row() { const [a] = useState(1); return <p>{a}</p>; }\nexport function App({ all }) { return all.filter(Boolean).map((one, i) => <Row key={i}/>); }',
      'App key',
    ],
    [
      'the position, the state is filtered, and there is a field',
      'export function App() { const [all, setAll] = useState([]); const cut = () => setAll(all.filter(Boolean)); return <ul onClick={cut}>{all.map((one, i) => <li key={i}><input/></li>)}</ul>; }',
      'App key',
    ],
  ],
  [
    ['a key', 'export function App({ all }) { return <ul>{all.map((one) => <li key={one.id}>{one.a}</li>)}</ul>; }'],
    ['a fragment with one', 'export function App({ all }) { return <ul>{all.map((one) => <Fragment key={one.id}><b/></Fragment>)}</ul>; }'],
    ['a spread may bring it', 'export function App({ all }) { return <ul>{all.map((one) => <li {...one}/>)}</ul>; }'],
    [
      'the position, and nothing remembers',
      'export function App({ all }) { return <ul>{all.filter(Boolean).map((one, i) => <li key={i}>{one}</li>)}</ul>; }',
    ],
    [
      'the position of a list that only grows',
      'export function App() { const [all, setAll] = useState([]); const more = () => setAll([...all, 1]); return <ul onClick={more}>{all.map((one, i) => <li key={i}><input/></li>)}</ul>; }',
    ],
    [
      'the position of a constant list',
      'const all = [1, 2];\nexport function App() { return <ul>{all.map((one, i) => <li key={i}><input/></li>)}</ul>; }',
    ],
    [
      'the position of a list of fixed length',
      'export function App() { return <ul>{Array.from({ length: 3 }, (_, i) => <li key={i}><input/></li>)}</ul>; }',
    ],
    ['Children.map', 'export function App({ children }) { return <ul>{Children.map(children, (one) => <li>{one}</li>)}</ul>; }'],
    ['Children.toArray', 'export function App({ all }) { return <ul>{Children.toArray(all.map((one) => <li>{one}</li>))}</ul>; }'],
    ['objects that hold markup', 'export function App({ all }) { return <Table columns={all.map((one) => ({ cell: <b>{one}</b> }))}/>; }'],
    ['the key of a portal', 'export function App({ all }) { return all.map((one) => createPortal(<li>{one}</li>, one.at, one.id)); }'],
    ['texts', 'export function App({ all }) { return <p>{all.map((one) => one.name)}</p>; }'],
    [
      'a list given as a prop',
      "import { List } from 'out';\nexport function App({ all }) { return <List items={all.map((one) => <li>{one}</li>)}/>; }",
    ],
  ],
);

const carried = (leaf: string, mid = '<Inner a={a}/>'): string =>
  `${leaf}\nfunction Inner({ a }) { return <Leaf a={a}/>; }\nfunction Outer({ a }) { return ${mid}; }\nexport function App() { const [a] = useState(1); return <Outer a={a}/>; }`;

table(
  'prop-carried',
  [
    ['through two', carried('function Leaf({ a }) { return <p>{a}</p>; }'), 'Outer a'],
    [
      'under another name',
      'function Leaf({ c }) { return <p>{c}</p>; }\nfunction Inner({ b }) { return <Leaf c={b}/>; }\nfunction Outer({ a }) { return <Inner b={a}/>; }\nexport function App() { const [x] = useState(1); return <Outer a={x}/>; }',
      'Outer a',
    ],
    ['a callback handed on by reference', carried('function Leaf({ a }) { return <p onClick={() => a()}/>; }'), 'Outer a'],
  ],
  [
    [
      'through one',
      'function Leaf({ a }) { return <p>{a}</p>; }\nfunction Outer({ a }) { return <Leaf a={a}/>; }\nexport function App() { const [a] = useState(1); return <Outer a={a}/>; }',
    ],
    ['read on the way', carried('function Leaf({ a }) { return <p>{a}</p>; }', '<p title={a}><Inner a={a}/></p>')],
    ['narrowed on the way', carried('function Leaf({ a }) { return <p>{a}</p>; }', '<Inner a={a.b}/>')],
    [
      'a class name',
      'function Leaf({ className }) { return <p className={className}/>; }\nfunction Inner({ className }) { return <Leaf className={className}/>; }\nfunction Outer({ className }) { return <Inner className={className}/>; }\nexport function App() { const [x] = useState(1); return <Outer className={x}/>; }',
    ],
    [
      'children',
      'function Inner({ children }) { return <p>{children}</p>; }\nfunction Mid({ children }) { return <Inner>{children}</Inner>; }\nfunction Outer({ children }) { return <Mid>{children}</Mid>; }\nexport function App() { return <Outer><b/></Outer>; }',
    ],
    [
      'to a component from outside',
      "import { Leaf } from 'out';\nfunction Outer({ a }) { return <Leaf a={a}/>; }\nfunction More({ a }) { return <Outer a={a}/>; }\nexport function App() { const [a] = useState(1); return <More a={a}/>; }",
    ],
    [
      'never given',
      'function Leaf({ a }) { return <p>{a}</p>; }\nfunction Inner({ a }) { return <Leaf a={a}/>; }\nfunction Outer({ a }) { return <Inner a={a}/>; }\nexport function App() { return <Outer/>; }',
    ],
    [
      'components that pass it to each other',
      'function Inner({ a, n }) { return n ? <Outer a={a} n={n - 1}/> : null; }\nfunction Outer({ a, n }) { return <Inner a={a} n={n}/>; }\nexport function App() { const [a] = useState(1); return <Outer a={a} n={2}/>; }',
    ],
  ],
);

describe('what findings say', () => {
  const { findings } = analyseFiles({
    'src/App.tsx': `${row}${pill}export function App({ all }) { return <><Row/><Pill onClear={() => {}}/><Pill/>{all.map((one) => <b>{one}</b>)}</>; }`,
    'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  });

  test('worst first', () => {
    expect(findings.map((finding) => finding.severity)).toEqual(['fault', 'risk', 'risk']);
  });

  test('whole sentences with the names in them, and evidence that starts at the place', () => {
    for (const finding of findings) {
      expect(finding.message).toMatch(/^[A-Z<].*\.$/);
      expect(finding.consequence).toMatch(/\.$/);
      expect(finding.fix).toMatch(/\.$/);
      expect(finding.evidence[0]?.at).toEqual(finding.at);
      expect(`${finding.message}${finding.consequence}${finding.fix}`).not.toContain('undefined,');
    }
    expect(findings[0]?.message).toBe('Row needs eta, and nothing passes it.');
  });

  test('keys survive edits above, and are never shared', () => {
    const again = analyseFiles({
      'src/App.tsx': `// a line more\n\n${row}${pill}export function App({ all }) { return <><Row/><Pill onClear={() => {}}/><Pill/>{all.map((one) => <b>{one}</b>)}</>; }`,
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    });
    expect(again.findings.map((finding) => finding.key)).toEqual(findings.map((finding) => finding.key));
    const twice = analyseFiles({
      'src/App.tsx': `${row}export function App() { return <><Row/><Row/></>; }`,
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    });
    expect(new Set(twice.findings.map((finding) => finding.key)).size).toBe(2);
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
