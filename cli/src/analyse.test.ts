import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { runAnalyse } from './analyse-command';

const require = createRequire(import.meta.url);
const command = fileURLToPath(new URL('analyse.ts', import.meta.url));
const folder = mkdtempSync(path.join(tmpdir(), 'liana cli '));

type Ended = { readonly status: number | null; readonly stdout: string; readonly stderr: string };

/** The command as a process of its own, as the shell runs it. */
function spawned(...args: readonly string[]): Ended {
  return spawnSync(process.execPath, ['--import', require.resolve('tsx'), command, ...args], { encoding: 'utf8' });
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
    expect(Object.keys(report)).toEqual(['files', 'problems', 'components', 'uses', 'pages', 'findings', 'seconds']);
    expect(report['files']).toEqual({ read: 5, leftOut: 1 });
    expect(report.problems.map((problem) => problem.file).sort()).toEqual(['src/binary.js', 'src/broken.tsx']);
    expect(report['uses']).toEqual({ resolved: 2, outside: 0, unresolved: 0 });
    expect(report['pages']).toEqual([{ name: 'App', file: 'src/Über Blick.tsx', places: 2 }]);
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
    expect(stdout).toContain('5 files read, 1 left out. 2 components on 1 pages.');
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
    ['text', 'Findings: 1 fault, 0 risks'],
  ])('prints %s', async (format, contains) => {
    const { status, stdout } = await run(folder, '--format', format);
    expect(status).toBe(0);
    expect(stdout).toContain(contains);
  });
});
