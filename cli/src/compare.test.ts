import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { runAnalyse } from './analyse-command';
import { runCompare } from './compare-command';

const root = mkdtempSync(path.join(tmpdir(), 'liana compare '));
afterAll(() => rmSync(root, { recursive: true }));

const app = 'import { Card } from \'./Card\';\nexport function App() { return <Card tone="a"/>; }\n';
const before = { 'src/Card.jsx': 'export const Card = ({ tone }) => <b>{tone}</b>;\n', 'src/App.jsx': app };
const after = { 'src/Card.jsx': 'export const Card = ({ level }) => <b>{level}</b>;\n', 'src/App.jsx': app };

function write(name: string, files: Readonly<Record<string, string>>): string {
  const folder = path.join(root, name);
  for (const [file, text] of Object.entries(files)) {
    mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
    writeFileSync(path.join(folder, file), text);
  }
  return folder;
}

type Ran = { code: number; out: string; err: string };
async function run(command: typeof runCompare, ...args: readonly string[]): Promise<Ran> {
  const ran: Ran = { code: 0, out: '', err: '' };
  ran.code = await command(args, { out: (text) => (ran.out += text), err: (text) => (ran.err += text) });
  return ran;
}
const compare = (...args: readonly string[]): Promise<Ran> => run(runCompare, ...args);

const one = write('before', before);
const two = write('after', after);

describe('how it is printed', () => {
  test('in lines', async () => {
    expect((await compare(one, two)).out).toBe(`0 of 2 components hold what they held; 1 thing is broken that was not before.

Broken now, and not before:
  src/App.jsx:2 Card is given tone, and does not take it.

Components:
  Card was changed: prop tone is named level now. It no longer holds what it held.
  App was not touched, and something in it is broken now.
`);
  });
  test('as JSON', async () => {
    const { summary, components, breaks } = JSON.parse((await compare(one, two, '--json')).out) as {
      summary: string;
      components: unknown[];
      breaks: unknown[];
    };
    expect(summary).toBe('0 of 2 components hold what they held; 1 thing is broken that was not before.');
    expect(components[0]).toMatchObject({
      before: 'Card',
      after: 'Card',
      status: 'changed',
      holds: false,
      contract: [{ member: 'prop', name: 'tone', change: 'renamed', to: 'level' }],
    });
    expect(breaks).toMatchObject([{ file: 'src/App.jsx', line: 2, component: 'App', why: 'prop-unknown', subject: 'tone' }]);
  });
  test('as Markdown and SARIF', async () => {
    expect((await compare(one, two, '--format', 'markdown')).out).toContain(
      '| src/App.jsx:2 | Card is given tone, and does not take it. |',
    );
    expect(JSON.parse((await compare(one, two, '--format', 'sarif')).out)).toMatchObject({
      version: '2.1.0',
      runs: [{ results: [{ ruleId: 'prop-unknown' }] }],
    });
  });
});

test.each([
  [[], 0],
  [['--fail-on', 'breaks'], 1],
  [['--fail-on', 'changes'], 1],
])('as a gate: %j ends with %i', async (flags, code) => {
  expect((await compare(one, two, ...flags)).code).toBe(code);
});

test('nothing changed passes any gate', async () => {
  expect(await compare(one, one, '--fail-on', 'changes')).toMatchObject({ code: 0, err: '' });
});

describe('sides', () => {
  const repository = write('repository', before);
  const git = (...args: string[]): string =>
    execFileSync('git', ['-C', repository, '-c', 'user.name=test', '-c', 'user.email=test@localhost', ...args], { encoding: 'utf8' });
  beforeAll(() => {
    git('init', '-q', '-b', 'main');
    git('add', '.');
    git('commit', '-qm', 'first');
    git('tag', 'v1');
    write('repository', after);
    git('commit', '-qam', 'second');
    git('repack', '-adq');
  });

  test('a commit of the other folder', async () => {
    expect((await compare('git:v1', repository)).out).toContain('1 thing is broken that was not before');
    expect((await compare('git:HEAD', repository)).out).toContain('nothing is broken that was not before');
  });
  test('two commits of a folder that is named', async () => {
    expect((await compare(`git:v1:${repository}`, `git:main:${repository}`)).out).toContain('1 thing is broken that was not before');
  });
  test('submodules and links of a commit are left out, and a file that is missing in the repository is said', async () => {
    const folder = write('linked', before);
    const run = (...args: string[]): string =>
      execFileSync('git', ['-C', folder, '-c', 'user.name=test', '-c', 'user.email=test@localhost', ...args], { encoding: 'utf8' });
    symlinkSync('Card.jsx', path.join(folder, 'src/Linked.jsx'));
    run('init', '-q');
    run('add', '.');
    run('commit', '-qm', 'first');
    run('update-index', '--add', '--cacheinfo', `160000,${run('rev-parse', 'HEAD').trim()},sub`);
    run('commit', '-qm', 'with a submodule');
    const { components } = JSON.parse((await compare('git:HEAD', folder, '--json')).out) as { components: { status: string }[] };
    expect(components.map(({ status }) => status)).toEqual(['same', 'same']);
    const id = run('rev-parse', 'HEAD:src/Card.jsx').trim();
    const objects = path.join(folder, '.git/objects', id.slice(0, 2));
    for (const name of readdirSync(objects)) rmSync(path.join(objects, name), { force: true });
    expect(await compare('git:HEAD', folder)).toMatchObject({
      code: 2,
      err: `src/Card.jsx (${id}) is broken or missing in the repository.\n`,
    });
  });
  test('an archive, with all in one folder or not', async () => {
    const zip = (prefix: string): string => {
      const file = path.join(root, `${prefix ? 'wrapped' : 'plain'}.zip`);
      writeFileSync(
        file,
        zipSync(Object.fromEntries(Object.entries(before).map(([name, text]) => [prefix + name, new TextEncoder().encode(text)]))),
      );
      return file;
    };
    expect((await compare(zip(''), one)).out).toContain('nothing is broken that was not before');
    expect((await compare(zip('project-main/'), two)).out).toContain('1 thing is broken that was not before');
  });
  test.each<[string, () => string, RegExp]>([
    ['a commit that is not there', () => `git:nowhere:${repository}`, /^nowhere of .*repository cannot be read: .*\.$/],
    ['no repository', () => `git:main:${one}`, /cannot be read: not a git repository/],
    ['no commit named', () => 'git:', /^git: must be followed by a commit/],
    ['a flag in its place', () => `git:--output=x:${repository}`, /^git: must be followed by a commit/],
    ['no such folder', () => path.join(root, 'nowhere'), /^There is no folder/],
    ['no such archive', () => path.join(root, 'nowhere.zip'), /^There is no archive/],
    [
      'a broken archive',
      () => (writeFileSync(path.join(root, 'broken.zip'), 'no zip'), path.join(root, 'broken.zip')),
      /is no zip archive that can be read/,
    ],
  ])('%s is said in a line, with status 2', async (_, given, says) => {
    const { code, out, err } = await compare(given(), two);
    expect([code, out]).toEqual([2, '']);
    expect(err.trim()).toMatch(says);
    expect(err.trim().split('\n')).toHaveLength(1);
  });
  test('a side without a component is said', async () => {
    const empty = write('empty', { 'readme.txt': 'nothing' });
    expect((await compare(empty, two)).err).toMatch(/empty has no component that can be read\./);
  });
});

describe('what if', () => {
  test('in lines and as JSON', async () => {
    const folder = write('moved', {
      'src/App.jsx':
        "import { useState } from 'react'; export function App() { const [n] = useState(1); return <main><Row n={n}/><Box/></main>; }\nconst Row = ({ n }) => <b>{n}</b>;\nconst Box = () => <p/>;",
    });
    expect((await run(runAnalyse, folder, '--what-if', 'Row@App>Box')).out).toBe(
      'Row@App>Box\n  n of Row would not be given: n is state of App, which would have to hand it down.\n  The edits for it are not written: Row would not be given n: where that is to come from is for you to say.\n',
    );
    expect(JSON.parse((await run(runAnalyse, folder, '--json', '--what-if', 'Row@App>Box')).out)).toMatchObject({
      whatIf: [{ move: 'Row@App>Box', lost: [{ component: 'Row', name: 'n', of: 'n' }], unchanged: [] }],
    });
    const [written] = (
      JSON.parse((await run(runAnalyse, folder, '--json', '--what-if', 'Box@App>Row')).out) as { whatIf: { patch: string }[] }
    ).whatIf;
    expect(written?.patch.split('\n')).toEqual(
      expect.arrayContaining([
        '--- a/src/App.jsx',
        '+++ b/src/App.jsx',
        '-const Row = ({ n }) => <b>{n}</b>;',
        '+const Row = ({ n }) => <b>{n}<Box/></b>;',
      ]),
    );
    expect(await run(runAnalyse, folder, '--what-if', 'Rows')).toMatchObject({
      code: 2,
      err: '"Rows" is no move: write Component@Parent>Target, with #slot where it is to stand in one.\n',
    });
  });
});
