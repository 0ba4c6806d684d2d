import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { commitNamed, commitsIn, filesOfCommit, GitError } from './commits';
import { filesByPath, type GitFiles } from './git-files';

const root = mkdtempSync(path.join(tmpdir(), 'commits-'));
const text = new TextDecoder();

function git(...args: string[]): string {
  const env = { ...process.env, GIT_AUTHOR_DATE: '2026-05-01T10:00:00Z', GIT_COMMITTER_DATE: '2026-05-01T10:00:00Z' };
  return execFileSync('git', ['-C', root, '-c', 'user.name=test', '-c', 'user.email=test@localhost', ...args], {
    encoding: 'utf8',
    env,
    stdio: ['ignore', 'pipe', 'ignore'],
  }).trim();
}

function write(file: string, content: string): void {
  mkdirSync(path.dirname(path.join(root, file)), { recursive: true });
  writeFileSync(path.join(root, file), content);
}

/** All that lies below the folder now, under a folder of its own as an archive has it. */
function handedIn(top = ''): GitFiles | undefined {
  const files = new Map<string, () => Promise<Uint8Array>>();
  for (const name of readdirSync(root, { recursive: true, encoding: 'utf8' })) {
    const whole = path.join(root, name);
    if (statSync(whole).isFile()) files.set(top + name, async () => new Uint8Array(readFileSync(whole)));
  }
  return filesByPath(files);
}

async function textsAt(hash: string, files = handedIn()): Promise<Record<string, string>> {
  if (!files) throw new Error('There is no .git.');
  const found = await filesOfCommit(
    files,
    hash,
    () => undefined,
    () => false,
  );
  return Object.fromEntries(await Promise.all(found.files.map(async ({ file, bytes }) => [file, text.decode(await bytes())])));
}

// Git itself makes the repository, by many commands: a machine that stands still for a while is no fault of what is tested.
beforeAll(() => {
  git('init', '-q', '-b', 'main');
  write('src/App.jsx', 'export const App = () => <p>one</p>;\n');
  write('package.json', '{ "name": "towpath" }\n');
  write('node_modules/x/index.js', 'left out\n');
  write('notes.txt', 'left out\n');
  git('add', '-A');
  git('commit', '-qm', 'First\n\nwith more');
  git('tag', 'v1');
  git('tag', '-a', 'v1-noted', '-m', 'a note');
  for (let at = 0; at < 30; at++) {
    write('src/Lock.jsx', `export const Lock = () => <p>${'lock '.repeat(40)}${at}</p>;\n`);
    git('add', '-A');
    git('commit', '-qm', `Lock ${at}`);
  }
  git('mv', 'src/App.jsx', 'src/Board.jsx');
  git('commit', '-qm', 'App is Board');
  git('branch', 'side', 'HEAD~5');
}, 30_000);
afterAll(() => rmSync(root, { recursive: true }));

/** The forms in which a repository lies in its folder. */
const kinds: readonly (readonly [string, () => void])[] = [
  ['with an object in each file', () => undefined],
  ['packed, with objects that are told by others', () => void git('gc', '-q', '--aggressive', '--prune=now')],
];

describe.each(kinds)(
  'a repository %s',
  (_, prepare) => {
    beforeAll(prepare, 30_000);

    test('lists branches, tags and commits', async () => {
      const files = handedIn();
      const { all, problems } = await commitsIn(files as GitFiles);
      expect(problems).toEqual([]);
      const names = (kind: string): string[] => all.flatMap((one) => (one.kind === kind ? [`${one.name} ${one.title}`] : []));
      expect(names('branch')).toEqual(['main App is Board', 'side Lock 25']);
      expect(names('tag')).toEqual(['v1 First', 'v1-noted First']);
      expect(names('commit')).toHaveLength(32);
      expect(all.every(({ at }) => at === Date.parse('2026-05-01T10:00:00Z'))).toBe(true);
    });

    test('gives the files of a commit that Liana reads', async () => {
      expect(Object.keys(await textsAt(git('rev-parse', 'HEAD'))).sort()).toEqual(['package.json', 'src/Board.jsx', 'src/Lock.jsx']);
      expect(await textsAt(git('rev-parse', 'v1'))).toEqual({
        'package.json': '{ "name": "towpath" }\n',
        'src/App.jsx': 'export const App = () => <p>one</p>;\n',
      });
      expect((await textsAt(git('rev-parse', 'HEAD~20')))['src/Lock.jsx']).toMatch(/lock 10</);
    });

    test('lies in a folder of an archive', async () => {
      const files = handedIn('towpath-main/');
      expect((await commitsIn(files as GitFiles)).all.length).toBeGreaterThan(30);
      expect(Object.keys(await textsAt(git('rev-parse', 'v1'), files))).toContain('src/App.jsx');
    });
  },
  120_000,
);

describe('what cannot be read is said', () => {
  test('a folder without .git', () => {
    expect(filesByPath(new Map([['src/App.jsx', async () => new Uint8Array()]]))).toBeUndefined();
  });

  test('a .git that leads elsewhere', async () => {
    const files: GitFiles = {
      read: async (file) => (file === '.git' ? new TextEncoder().encode('gitdir: ../elsewhere') : undefined),
      list: async () => undefined,
    };
    await expect(commitsIn(files)).rejects.toThrow(
      'The folder has no .git that can be read. It leads to a folder elsewhere, which cannot be reached from here.',
    );
  });

  test('a module of another repository is left out, by its path', async () => {
    const other = git('rev-parse', 'v1');
    git('update-index', '--add', '--cacheinfo', `160000,${other},vendor/other`);
    git('commit', '-qm', 'A module');
    const found = await filesOfCommit(
      handedIn() as GitFiles,
      git('rev-parse', 'HEAD'),
      () => undefined,
      () => false,
    );
    expect(found.modules).toEqual(['vendor/other']);
  });

  test('an object that is broken or not there', async () => {
    write('src/Gate.jsx', 'export const Gate = () => <p>gate</p>;\n');
    git('add', 'src/Gate.jsx');
    git('commit', '-qm', 'Gate');
    const blob = git('rev-parse', 'HEAD:src/Gate.jsx');
    const tree = git('rev-parse', 'HEAD:src');
    rmSync(path.join(root, '.git/objects', blob.slice(0, 2), blob.slice(2)), { force: true });
    const hash = git('rev-parse', 'HEAD');
    const { files } = await filesOfCommit(
      handedIn() as GitFiles,
      hash,
      () => undefined,
      () => false,
    );
    await expect(files.find(({ file }) => file === 'src/Gate.jsx')?.bytes()).rejects.toThrow(/its text cannot be read: .*could not find/i);
    rmSync(path.join(root, '.git/objects', tree.slice(0, 2), tree.slice(2)), { force: true });
    await expect(textsAt(hash)).rejects.toThrow(GitError);
    await expect(textsAt(hash)).rejects.toThrow(/The folder src\/ cannot be read/);
  });
});

test('of a repository of 5,000 commits no more is read than is asked for', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'many-commits-'));
  try {
    const run = (args: readonly string[], input = ''): void =>
      void execFileSync('git', ['-C', folder, ...args], { input, stdio: ['pipe', 'ignore', 'ignore'] });
    run(['init', '-q', '-b', 'main']);
    const commits = Array.from({ length: 5000 }, (_, at) => {
      const [title, body] = [`Change ${at}`, `export const Part${at % 50} = () => <p>${at}</p>;\n`];
      const head = `commit refs/heads/main\nmark :${at + 1}\ncommitter test <test@localhost> ${1_700_000_000 + at} +0000\ndata ${title.length}\n${title}\n`;
      return `${head}${at > 0 ? `from :${at}\n` : ''}M 100644 inline src/part${at % 50}.jsx\ndata ${body.length}\n${body}\n`;
    });
    run(['fast-import', '--quiet'], commits.join(''));
    run(['tag', 'v1', 'HEAD~4000']);
    run(['gc', '-q']);
    let reads = 0;
    const all = new Map<string, () => Promise<Uint8Array>>();
    for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
      const whole = path.join(folder, name);
      if (!statSync(whole).isFile()) continue;
      all.set(name, async () => {
        reads++;
        return new Uint8Array(readFileSync(whole));
      });
    }
    const files = filesByPath(all) as GitFiles;
    const { all: listed } = await commitsIn(files);
    expect(listed.filter(({ kind }) => kind === 'commit').length).toBe(300);
    const tag = listed.find(({ name }) => name === 'v1');
    const first = await commitNamed(files, 'v1');
    expect(first?.hash).toBe(tag?.hash);
    const texts = await textsAt(first?.hash ?? '', files);
    expect(Object.keys(texts)).toHaveLength(50);
    expect(texts['src/part49.jsx']).toContain('<p>999</p>');
    // The references, one pack and its index, each a few times.
    expect(reads).toBeLessThan(40);
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 60_000);

describe('a commit by a name', () => {
  test.each([
    ['v1', 'First'],
    ['side', 'Lock 25'],
    ['no-such-thing', undefined],
    ['', undefined],
  ])('%s', async (name, title) => {
    expect((await commitNamed(handedIn() as GitFiles, name))?.title).toBe(title);
  });
  test('that is the beginning of its hash', async () => {
    const hash = git('rev-parse', 'v1');
    expect((await commitNamed(handedIn() as GitFiles, hash.slice(0, 7)))?.hash).toBe(hash);
  });
});
