import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';

const require = createRequire(import.meta.url);
const command = fileURLToPath(new URL('analyse.ts', import.meta.url));
const folder = mkdtempSync(path.join(tmpdir(), 'liana cli '));

function run(...args: readonly string[]): { status: number | null; stdout: string; stderr: string } {
  return spawnSync(process.execPath, ['--import', require.resolve('tsx'), command, ...args], { encoding: 'utf8' });
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
  test('prints one JSON object, and a file that cannot be parsed is a problem in it', () => {
    const { status, stdout, stderr } = run(folder, '--json');
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

  test('prints a summary that people can read', () => {
    const { status, stdout } = run(folder);
    expect(status).toBe(0);
    expect(stdout).toContain('5 files read, 1 left out. 2 components on 1 pages.');
    expect(stdout).toContain('fault  src/Über Blick.tsx:6  Row needs eta, and nothing passes it.  (prop-missing)');
    expect(stdout).toContain('src/broken.tsx: Unexpected token');
  });

  const refused: readonly [name: string, args: readonly string[], message: string][] = [
    ['a folder that is not there', [path.join(folder, 'nowhere')], 'There is no folder'],
    ['a file', [path.join(folder, 'README.md')], 'is a file, not a folder'],
  ];
  test.each(refused)('%s ends with 2 and says so', (_, args, message) => {
    const { status, stdout, stderr } = run(...args, '--json');
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toContain(message);
  });

  test('an empty folder is no error', () => {
    mkdirSync(path.join(folder, 'void'), { recursive: true });
    const { status, stdout } = run(path.join(folder, 'void'), '--json');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ files: { read: 0 }, components: [], findings: [] });
  });
});
