import { spawnSync } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { runAnalyse } from './analyse-command';

const command = fileURLToPath(new URL('../../scripts/command.mjs', import.meta.url));
const folder = mkdtempSync(path.join(tmpdir(), 'liana cli '));

type Ended = { readonly status: number | null; readonly stdout: string; readonly stderr: string };

/** The command as a process of its own, as the shell runs it. */
function spawned(...args: readonly string[]): Ended {
  return spawnSync(process.execPath, [command, 'analyse', ...args], { encoding: 'utf8' });
}

async function run(...args: readonly string[]): Promise<Ended> {
  const said = { stdout: '', stderr: '' };
  const status = await runAnalyse(args, { out: (text) => (said.stdout += text), err: (text) => (said.stderr += text) });
  return { status, ...said };
}

function write(file: string, content: string | Uint8Array): void {
  mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
  writeFileSync(path.join(folder, file), content);
}

beforeAll(() => {
  write('src/main.tsx', "import { App } from './Über Blick';\ncreateRoot(x).render(<App />);\n");
  write(
    'src/Über Blick.tsx',
    'function Row({ eta }: { eta: string }) {\n  return <p>{eta}</p>;\n}\n\nexport function App() {\n  return <Row />;\n}\n',
  );
  write('src/broken.tsx', 'export function Broken( {\n');
  write('src/empty.tsx', '');
  write('src/wide.ts', Buffer.from('\uFEFFexport const a = 1;', 'utf16le'));
  write('src/binary.js', Uint8Array.from([1, 0, 0, 2]));
  write('node_modules/x/index.js', 'x');
  write('README.md', '# a');
  symlinkSync('..', path.join(folder, 'src', 'loop'));
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('analyse', () => {
  test('prints one JSON object, and a file that cannot be parsed is a problem in it', async () => {
    const { status, stdout, stderr } = await run(folder, '--json');
    expect([status, stderr]).toEqual([0, '']);
    const report = JSON.parse(stdout) as { problems: { file: string }[]; seconds: object } & Record<string, unknown>;
    expect(Object.keys(report)).toEqual(['files', 'problems', 'components', 'uses', 'pages', 'reach', 'findings', 'seconds']);
    expect(report['files']).toEqual({ read: 5, leftOut: 1 });
    expect(report.problems.map((problem) => problem.file).sort()).toEqual(['src/binary.js', 'src/broken.tsx']);
    expect(report['uses']).toEqual({ resolved: 2, outside: 0, unresolved: 0 });
    expect(report['reach']).toEqual({ components: 2, onPages: 2, alone: 0 });
    expect(report['pages']).toEqual([{ name: 'App', file: 'src/Über Blick.tsx', path: '', why: 'mounted', places: 2, components: 2 }]);
    expect(report['findings']).toMatchObject([
      {
        rule: 'prop-missing',
        severity: 'fault',
        component: 'App',
        subject: 'eta',
        file: 'src/Über Blick.tsx',
        line: 6,
        message: 'Row needs eta, and nothing passes it.',
        evidence: [{ line: 6 }, { line: 1, says: 'eta is declared as required.' }],
      },
    ]);
    expect(Object.keys(report.seconds)).toEqual(['floor', 'read', 'link', 'check', 'total']);
  });

  test('as a process of its own it says and ends with the same', () => {
    const { status, stdout, stderr } = spawned(folder, '--format', 'csv', '--fail-on', 'fault');
    expect([status, stderr]).toEqual([1, '']);
    expect(stdout).toContain('prop-missing');
  });

  test('an option that there is not ends with 1 and is named', async () => {
    const { status, stderr } = await run(folder, '--format', 'poem');
    expect(status).toBe(1);
    expect(stderr).toContain('poem');
  });

  test('prints a summary that people can read', async () => {
    const { status, stdout } = await run(folder);
    expect(status).toBe(0);
    expect(stdout).toContain('5 files read, 1 left out. 2 components, 1 page.');
    expect(stdout).toContain('fault  src/Über Blick.tsx:6  Row needs eta, and nothing passes it.  (prop-missing)');
    expect(stdout).toContain('src/broken.tsx: Unexpected token');
  });

  const refused: readonly [name: string, args: readonly string[], message: string][] = [
    ['a folder that is not there', [path.join(folder, 'nowhere')], 'There is no folder'],
    ['a file', [path.join(folder, 'README.md')], 'is a file, not a folder'],
  ];
  test.each(refused)('%s ends with 2 and says so', async (_, args, message) => {
    const { status, stdout, stderr } = await run(...args, '--json');
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toContain(message);
  });

  test('an empty folder is no error', async () => {
    mkdirSync(path.join(folder, 'void'), { recursive: true });
    const { status, stdout } = await run(path.join(folder, 'void'), '--json');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ files: { read: 0 }, components: [], findings: [] });
  });
});

describe('trees and traces', () => {
  const asked = path.join(folder, 'asked');
  beforeAll(() => {
    write('asked/src/main.jsx', "import { Page } from './Page';\ncreateRoot(x).render(<Page />);\n");
    write(
      'asked/src/Page.jsx',
      [
        "import { useState } from 'react';",
        "import { Row } from './Row';",
        "import { rows, Tone } from './rows';",
        'export function Page() {',
        '  const [open, setOpen] = useState(null); useRows();',
        '  return (',
        '    <Tone.Provider value="dark">',
        '      {rows.map((row) => (',
        '        <Row key={row.id} row={row} isOpen={open === row.id} onOpen={setOpen} />',
        '      ))}',
        '      {open && <Row row={open} onOpen={() => setOpen(null)} />}',
        '    </Tone.Provider>',
        '  );',
        '}',
        "export function useRows() { useEffect(() => { window.addEventListener('row:opened', go); return () => window.removeEventListener('row:opened', go); }, []); }",
      ].join('\n'),
    );
    write(
      'asked/src/Row.jsx',
      [
        "import { useContext } from 'react';",
        "import { Tone, useKeeper } from './rows';",
        'export function Row({ row, isOpen, onOpen }) {',
        '  const tone = useContext(Tone);',
        '  const keeper = useKeeper((all) => all.name);',
        '  return <p className={tone} onClick={() => { onOpen(row.id); window.dispatchEvent(new CustomEvent("row:opened")); }}>{isOpen ? row.text : row.name}<b>',
        '    {keeper}</b></p>;',
        '}',
      ].join('\n'),
    );
    write(
      'asked/src/rows.js',
      "import { createContext } from 'react';\nimport { create } from 'zustand';\nexport const useKeeper = create(() => ({ name: 'a' }));\nexport const Tone = createContext();\nexport const rows = [{ id: 1, name: 'a', text: 'b' }];\n",
    );
  });

  test('the tree of a page has each place with its parent, lists and conditions', async () => {
    const { stdout } = await run(asked, '--json', '--tree', 'Page');
    const { trees, traces } = JSON.parse(stdout) as { trees: unknown; traces?: unknown };
    expect(traces).toBeUndefined();
    const row = { depth: 1, component: 'Row', file: 'src/Page.jsx', owner: 'Page', parent: 'Page' };
    expect(trees).toEqual([
      {
        page: 'Page',
        file: 'src/Page.jsx',
        places: [
          { depth: 0, component: 'Page', file: 'src/main.jsx', line: 2, repeat: false, condition: false },
          { ...row, line: 9, repeat: true, condition: false },
          { ...row, line: 11, repeat: false, condition: true, when: ['open'] },
        ],
      },
    ]);
  });

  test.each<[question: string, has: readonly [how: string, component: string | undefined, file: string, line: number][]]>([
    ['goes:Page.open', [['paints', 'Row', 'src/Row.jsx', 6]]],
    ['comes:Row.isOpen', [['owns', 'Page', 'src/Page.jsx', 5]]],
    [
      'changes:Page.open',
      [
        ['changes', 'Row', 'src/Row.jsx', 6],
        ['changes', 'Page', 'src/Page.jsx', 11],
      ],
    ],
    ['impact:Page.open', [['paints', 'Row', 'src/Row.jsx', 3]]],
    ['hears:Row.onOpen', [['catches', 'Page', 'src/Page.jsx', 11]]],
    ['hears:Row.open@Page', [['catches', 'Page', 'src/Page.jsx', 11]]],
    ['hears:Row.row:opened', [['hears', 'Page', 'src/Page.jsx', 15]]],
    ['answers:Row.Tone', [['provides', 'Page', 'src/Page.jsx', 7]]],
    ['goes:src/rows.js#useKeeper', [['paints', 'Row', 'src/Row.jsx', 7]]],
  ])('%s is answered', async (question, has) => {
    const { stdout, stderr } = await run(asked, '--json', '--trace', question);
    expect(stderr).toBe('');
    const [trace] = (
      JSON.parse(stdout) as { traces: { of: string; rungs: { how: string; component?: string; file: string; line: number }[] }[] }
    ).traces;
    expect(trace?.of).toBe(question);
    const rungs = trace?.rungs.map(({ how, component, file, line }) => [how, component, file, line]);
    for (const one of has) expect(rungs).toContainEqual(one);
  });

  test('in words there is what was asked for, and nothing else', async () => {
    const { stdout } = await run(asked, '--trees', '--trace', 'changes:Page.open');
    expect(stdout).toContain('  Row  repeated  (src/Page.jsx:9)\n  Row  when open  (src/Page.jsx:11)');
    expect(stdout).toContain('open, state of Page: what changes it');
    expect(stdout).not.toContain('Findings');
  });

  test.each([
    ['--tree', 'Pagee', 'There is no page Pagee. Near to it: Page.'],
    ['--trace', 'Page.open', '"Page.open" does not begin with a question'],
    ['--trace', 'goes:open', '"open" names nothing: write Component.name'],
    ['--trace', 'goes:Pages.open', 'There is no component Pages. Near to it: Page.'],
    ['--trace', 'goes:Page.opne', 'Page has no opne. Near to it: open.'],
    ['--trace', 'goes:Row.row@Shelf', 'Row stands nowhere below Shelf.'],
    ['--trace', 'answers:Row.Tune', 'Row takes no context Tune. It takes tone.'],
    ['--trace', 'goes:rows.js#rows', 'There is no file rows.js among those that were read. Near to it: src/rows.js.'],
    ['--trace', 'goes:src/rows.js#useKeper', 'src/rows.js declares no useKeper. Near to it: useKeeper.'],
  ])('%s %s ends with 2 and says what is near', async (option, value, message) => {
    const { status, stdout, stderr } = await run(asked, '--json', option, value);
    expect(status).toBe(2);
    expect((JSON.parse(stdout) as { components: unknown[] }).components.length).toBeGreaterThan(0);
    expect(stderr).toContain(message);
  });

  test('what is there is printed all the same', async () => {
    const { status, stdout } = await run(
      asked,
      '--json',
      '--tree',
      'Page',
      '--tree',
      'Pagee',
      '--trace',
      'goes:open',
      '--trace',
      'goes:Page.open',
    );
    const { trees, traces } = JSON.parse(stdout) as { trees: { page: string }[]; traces: { of: string }[] };
    expect([status, trees.map((one) => one.page), traces.map((one) => one.of)]).toEqual([2, ['Page'], ['goes:Page.open']]);
  });
});

describe('gates', () => {
  const kept = path.join(folder, 'kept.json');
  test.each([
    ['nothing fails unless asked', [], 0],
    ['a fault', ['--fail-on', 'fault'], 1],
    ['anything worse counts too', ['--fail-on', 'tidy'], 1],
    ['only a rule that finds nothing', ['--fail-on', 'fault', '--rules', 'prop-unknown,list-unkeyed'], 0],
    ['only the rule that finds it', ['--fail-on', 'fault', '--rules', 'prop-missing'], 1],
    ['a severity that there is not', ['--fail-on', 'always'], 1],
    ['a rule that there is not', ['--rules', 'prop-mising'], 2],
    ['settings that are not there', ['--config', path.join(folder, 'gone.json')], 2],
  ] as const)('%s', async (_, options, status) => {
    expect((await run(folder, ...options)).status).toBe(status);
  });

  test('what was known before does not fail', async () => {
    writeFileSync(kept, (await run(folder, '--format', 'json')).stdout);
    expect((await run(folder, '--fail-on', 'fault', '--baseline', kept)).status).toBe(0);
    writeFileSync(kept, '{"findings":[]}');
    expect((await run(folder, '--fail-on', 'fault', '--baseline', kept)).status).toBe(1);
    writeFileSync(kept, '[]');
    const { status, stderr } = await run(folder, '--baseline', kept);
    expect([status, stderr]).toEqual([2, `The baseline ${kept} is not understood: value must be of type object.\n`]);
  });

  test('settings of the folder hold, and wrong keys are named', async () => {
    write('liana.config.json', '{"rules":{"prop-missing":"risk"},"failOn":"fault"}');
    expect((await run(folder)).status).toBe(0);
    expect((await run(folder, '--fail-on', 'risk')).status).toBe(1);
    write('liana.config.json', '{"rules":{"prop-mising":"off"}}');
    const { status, stderr } = await run(folder);
    expect(status).toBe(2);
    expect(stderr).toContain('liana.config.json are not understood: rules.prop-mising is not allowed.');
    rmSync(path.join(folder, 'liana.config.json'));
  });

  test('a comment in the source accepts a finding', async () => {
    write(
      'src/Known.tsx',
      'function Part({ a }: { a: string }) {\n  return <p>{a}</p>;\n}\nexport function Known() {\n  return <Part />; // liana-accept prop-missing: the server adds it\n}\n',
    );
    write('src/known.ts', "import { Known } from './Known';\ncreateRoot(x).render(<Known />);\n");
    const { findings } = JSON.parse((await run(folder, '--json')).stdout) as { findings: { file: string; decided?: { reason: string } }[] };
    expect(findings.find((one) => one.file === 'src/Known.tsx')?.decided?.reason).toBe('the server adds it');
    rmSync(path.join(folder, 'src/Known.tsx'));
    rmSync(path.join(folder, 'src/known.ts'));
  });

  test.each([
    ['sarif', '"version": "2.1.0"'],
    ['markdown', '# Findings in'],
    ['csv', 'severity,rule,framework'],
    ['text', 'Findings: 1 fault, 1 risk'],
  ])('prints %s', async (format, contains) => {
    const { status, stdout } = await run(folder, '--format', format);
    expect(status).toBe(0);
    expect(stdout).toContain(contains);
  });
});

/** Runs something as somebody who may not read everything: root may. */
async function asNobody<T>(what: () => Promise<T>): Promise<T> {
  if (process.getuid?.() !== 0) return what();
  process.seteuid?.(65534);
  try {
    return await what();
  } finally {
    process.seteuid?.(0);
  }
}

test('an ignore file and a folder that may not be read are named, and the rest is read', async () => {
  write('closed/src/A.tsx', 'export function A() {\n  return <p />;\n}\n');
  write('closed/private/B.tsx', 'export function B() {\n  return <p />;\n}\n');
  write('closed/.gitignore', 'dist\n');
  const at = (file: string): string => path.join(folder, 'closed', file);
  chmodSync(folder, 0o755);
  chmodSync(at('private'), 0o000);
  chmodSync(at('.gitignore'), 0o000);
  const { status, stdout } = await asNobody(() => run(at('.'), '--json')).finally(() => chmodSync(at('private'), 0o755));
  const report = JSON.parse(stdout) as { components: { name: string }[]; problems: { file: string; message: string }[] };
  expect(status).toBe(0);
  expect(report.components.map((one) => one.name)).toEqual(['A']);
  expect(report.problems.map((one) => one.file).sort()).toEqual(['.gitignore', 'private']);
  for (const { message } of report.problems) expect(message).toMatch(/not read: .*(EACCES|permission)/);
});

describe('a gate is never green by a mistake', () => {
  test.each([
    [['--rules', '__proto__'], /There is no rule __proto__/],
    [['--rules', 'constructor,prop-missing'], /There is no rule constructor/],
    [['--rules', ''], /There is no rule/],
    [['--fail-on', 'faults'], /faults/],
    [['--baseline', 'nowhere.json'], /baseline nowhere\.json cannot be read/],
  ])('%j', async (args, says) => {
    const { status, stderr } = await run(folder, '--fail-on', 'fault', ...args);
    expect(status).not.toBe(0);
    expect(stderr).toMatch(says);
  });

  test('settings that are there and cannot be read', async () => {
    write('set/src/A.tsx', 'export const a = 1;\n');
    mkdirSync(path.join(folder, 'set/liana.config.json'));
    const { status, stderr } = await run(path.join(folder, 'set'));
    expect(status).toBe(2);
    expect(stderr).toMatch(/settings .*liana\.config\.json cannot be read/);
  });

  test('a folder without source', async () => {
    mkdirSync(path.join(folder, 'bare'), { recursive: true });
    expect((await run(path.join(folder, 'bare'))).status).toBe(0);
    const { status, stderr } = await run(path.join(folder, 'bare'), '--fail-on', 'fault');
    expect(status).toBe(2);
    expect(stderr).toMatch(/holds no source/);
  });
});
