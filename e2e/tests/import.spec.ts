import { expect, test } from '@playwright/test';
import { chooseFolder, large, openHome, slowly, small, writeFolder, zip } from '../sources';

/** Each batch of files takes half a second more. */
const slowReader = `addEventListener('message', () => { for (const until = Date.now() + 500; Date.now() < until; ); });`;

test('the demo opens with one click and shows its tree and strands', async ({ page }) => {
  await openHome(page);
  await page.getByRole('button', { name: 'Open the worn demo in React' }).click();
  await expect(page).toHaveURL(/\/projects\/demo-react-worn\/tree/);
  await expect(page.getByRole('treeitem', { name: /^PassageQueue/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^state passages/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Findings/ })).toContainText('34');
});

test('the address /demo opens the demo', async ({ page }) => {
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
});

for (const [framework, words, slot] of [
  ['vue', 'Vue', 'default slot'],
  ['svelte', 'Svelte', 'children'],
] as const) {
  test(`the demo in ${words} opens, all of it is read, and its faults are found`, async ({ page }) => {
    await page.goto(`/demo?framework=${framework}`);
    await expect(page.getByRole('treeitem', { name: /^PassageRow/ }).first()).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /^NoticeStrip/ })).toContainText(`in AppShell’s ${slot}`);
    await expect(page.getByRole('banner')).toContainText(`${words} · 27 components`);
    await page.getByRole('link', { name: /^Findings/ }).click();
    await expect(page.getByRole('option', { name: /PassageRow needs eta/ })).toBeVisible();
    await expect(page.getByText('could not be read or checked in full')).toHaveCount(0);
    await page.getByRole('link', { name: 'Liana, all projects' }).click();
    await expect(page.getByRole('region', { name: 'Projects' })).toContainText(`${words}.`);
  });
}

test('the demo in Lightning web components opens, with bundles of both frameworks, and its faults are found', async ({ page }) => {
  await page.goto('/demo?framework=lwc');
  await expect(page.getByRole('treeitem', { name: /^passageRow/ }).first()).toBeVisible();
  await expect(page.getByRole('treeitem', { name: /^noticeStrip/ })).toContainText('in appShell’s default slot');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('option', { name: /passageRow is given stauts/ })).toBeVisible();
  await expect(page.getByRole('option', { name: /lockPage uses LockBanner/ })).toBeVisible();
  await expect(page.getByText('could not be read or checked in full')).toHaveCount(0);
});

test('the sound demo has nothing to find', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.getByRole('link', { name: 'Findings', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Nothing was found' })).toBeVisible();
});

test('a folder: what is left out is said, the fault is found', async ({ page }) => {
  await openHome(page);
  const folder = writeFolder('boats', {
    ...small,
    'node_modules/x/index.js': 'x',
    'README.md': '# a',
    '.gitignore': 'secret.ts\n',
    'src/secret.ts': 'export {}',
  });
  await chooseFolder(page, folder);
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('heading', { name: 'Row needs eta, and nothing passes it' })).toBeVisible();
  await page.getByRole('link', { name: 'Liana, all projects' }).click();
  const item = page.getByRole('listitem').filter({ hasText: 'boats' });
  await expect(item).toContainText('3 files');
  await expect(item).toContainText('Left out: 1 dependencies, 1 named by .gitignore, 1 of other kinds.');
});

test('a zip archive', async ({ page }) => {
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('boats.zip', small));
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
});

test('a zip archive whose path climbs out is refused, the entry is named, and nothing is kept', async ({ page }) => {
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('evil.zip', { ...small, '../../evil.ts': 'x' }));
  await expect(
    page.getByText('This archive was refused: ../../evil.ts: its path climbs out of the archive. Nothing was imported.'),
  ).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'See through a component application' })).toBeVisible();
});

test('a file that is no archive is refused in plain words', async ({ page }) => {
  await openHome(page);
  await page
    .getByLabel('Zip archive', { exact: true })
    .setInputFiles({ name: 'note.zip', mimeType: 'application/zip', buffer: Buffer.from('just text') });
  await expect(page.getByText(/This file is no zip archive that can be read/)).toBeVisible();
});

test('files dropped on the page', async ({ page }) => {
  await openHome(page);
  await expect(page.getByRole('button', { name: 'Open the worn demo in React' })).toBeVisible();
  const transfer = await page.evaluateHandle(
    (files) => {
      const data = new DataTransfer();
      for (const [name, text] of Object.entries(files)) data.items.add(new File([text as string], name.replace('src/', '')));
      return data;
    },
    small as Record<string, string>,
  );
  await page.dispatchEvent('main', 'drop', { dataTransfer: transfer });
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
});

test('a folder without source is refused, and says what it held', async ({ page }) => {
  await openHome(page);
  await chooseFolder(page, writeFolder('texts', { 'a.md': '# a', 'b.txt': 'b' }));
  await expect(page.getByText(/Nothing was imported\. It holds 2 files, and none of them is source/)).toBeVisible();
});

test('odd files: broken, empty, large, UTF-16, spaces and accents, no text at all', async ({ page }) => {
  await openHome(page);
  const wide = Buffer.from('\uFEFFexport function Wide() {\n  return <p>wide</p>;\n}\n', 'utf16le');
  const twoMegabytes = `export const data = [\n${'  "a line of data, and another one, and one more",\n'.repeat(42_000)}];\n`;
  const folder = writeFolder('odd', {
    ...small,
    'src/App.tsx': `import { Wide } from './Wide';\nimport { Ünder } from './Über Blick';\n${String(small['src/App.tsx']).replace('<Row', '<Wide />\n      <Ünder />\n      <Row')}`,
    'src/Wide.tsx': wide,
    'src/Über Blick.tsx': 'export function Ünder() {\n  return <p>under</p>;\n}\n',
    'src/empty.tsx': '',
    'src/broken.tsx': 'export function Broken( {\n  return <p>;\n',
    'src/data.ts': twoMegabytes,
    'src/binary.js': Uint8Array.from([1, 0, 0, 2, 9]),
  });
  await chooseFolder(page, folder);
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('treeitem', { name: /^Wide/ })).toBeVisible();
  await expect(page.getByRole('treeitem', { name: /^Ünder/ })).toBeVisible();
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByText(/1 place could not be read or checked in full/)).toContainText('src/broken.tsx, line 2: Unexpected token');
  await page.getByRole('link', { name: 'Liana, all projects' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'odd' })).toContainText(
    'Not readable: src/binary.js (it holds bytes that are not text)',
  );
});

test('long work tells its stage and can be stopped in the middle; nothing is kept', async ({ page }) => {
  await slowly(
    page,
    'model.worker',
    `const digest = crypto.subtle.digest.bind(crypto.subtle);
    crypto.subtle.digest = async (...all) => (await new Promise((go) => setTimeout(go, 100)), digest(...all));`,
  );
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('many.zip', large(1200)));
  const notice = page.getByRole('status').filter({ hasText: 'Bringing in many' });
  await expect(notice).toContainText(/[1-9][\d,]* of 1,20\d/);
  await notice.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped before it was finished. Nothing was changed.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'See through a component application' })).toBeVisible();
});

test('opening a project again reads nothing anew', async ({ page }) => {
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('boats.zip', large(120)));
  await expect(page.getByRole('treeitem', { name: /^Part1\b/ })).toBeVisible({ timeout: 30_000 });
  const readers: string[] = [];
  page.on('worker', (worker) => readers.push(worker.url()));
  await page.reload();
  await expect(page.getByRole('treeitem', { name: /^Part1\b/ })).toBeVisible();
  expect(readers.filter((url) => /model\.worker/.test(url)).length).toBe(1);
  expect(readers.filter((url) => /reader\.worker/.test(url))).toEqual([]);
});

test('reloaded while it is still reading, the same place comes up', async ({ page }) => {
  await slowly(page, 'reader.worker', slowReader);
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('many.zip', large(400, 40)));
  await expect(page.getByRole('status').filter({ hasText: 'Reading many' })).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(page.getByRole('link', { name: /^Tree/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('treeitem', { name: /^Part1\b/ })).toBeVisible();
});

test('stopped while it is reading, the project is kept and opens later', async ({ page }) => {
  await slowly(page, 'reader.worker', slowReader);
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('many.zip', large(400, 40)));
  const notice = page.getByRole('status').filter({ hasText: 'Reading many' });
  await expect(notice).toBeVisible({ timeout: 30_000 });
  await notice.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('link', { name: 'many' }).click({ timeout: 30_000 });
  await expect(page.getByRole('region', { name: 'components', exact: true })).toContainText('402', { timeout: 30_000 });
  await page.getByRole('link', { name: 'Tree', exact: true }).click();
  await expect(page.getByRole('treeitem', { name: /^Part1\b/ })).toBeVisible({ timeout: 30_000 });
});
