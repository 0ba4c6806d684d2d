import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { choose, chooseFolder, openHome, small, writeFolder } from '../sources';

test('the worn demo after the sound one: what is broken first, both contracts, both texts', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.getByRole('link', { name: 'Compare' }).click();
  await expect(page.getByRole('heading', { name: 'Compare with an earlier version' })).toBeVisible();
  await choose(page, 'The earlier version', 'Towpath (sound)');
  await expect(
    page.getByRole('status').filter({ hasText: /components hold what they held; \d+ things are broken that were not before/ }),
  ).toBeVisible();

  // By keyboard alone: from the first on, with both sides at the right.
  await page.getByRole('listbox').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('option', { selected: true })).toContainText('AlarmButton');
  await expect(page.getByRole('region', { name: 'AlarmButton' })).toContainText('towpath:alarm');
  await page.getByRole('option', { name: /PassageRow/ }).click();
  await expect(page.getByRole('table', { name: 'The contract, before and after' }).getByRole('row', { name: /onClear/ })).toContainText(
    'is gone',
  );
  await expect(page.getByText('PassageRow needs eta, and nothing passes it.').first()).toBeVisible();
  await expect(page).toHaveURL(/component=/);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'PassageRow' })).toBeVisible();

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(
    violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id, nodes }) => [id, nodes[0]?.html]),
  ).toEqual([]);

  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the comparison' }).click();
  await page.getByRole('menuitem', { name: 'Markdown, for a review' }).click();
  expect(readFileSync(await (await coming).path(), 'utf8')).toContain('## Broken now, and not before');
});

test('the refactor of the demo is opened as a comparison', async ({ page }) => {
  await openHome(page);
  await page.getByRole('button', { name: 'Compare the demo in React before and after a refactor' }).click();
  await expect(page.getByRole('status').filter({ hasText: '3 things are broken that were not before' })).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'The earlier version' })).toHaveText('Towpath (sound)');
  await page.getByRole('option', { name: /AlarmBadge/ }).click();
  await expect(page.getByText('AlarmBadge waits for towpath-alarm, and nothing in the project sends it.').first()).toBeVisible();
});

test('what stood before is kept when a project is read again, and a version that is kept has a name', async ({ page }) => {
  await openHome(page);
  await chooseFolder(page, writeFolder('boats', small));
  await expect(page.getByRole('treeitem', { name: /^App/ })).toBeVisible();
  await page.getByRole('link', { name: 'Compare' }).click();
  await expect(page.getByText(/There is nothing to compare with yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Versions to compare with' }).click();
  await page.getByRole('menuitem', { name: 'Keep the project as it is now' }).click();
  await expect(page.getByText('The project as it is now is kept')).toBeVisible();
  await page.getByRole('combobox', { name: 'The earlier version' }).click();
  await page.getByRole('option', { name: /^kept / }).click();
  await expect(page.getByText('nothing is broken that was not before').first()).toBeVisible();
  await expect(page.getByText('No component was touched.')).toBeVisible();
  await page.getByRole('button', { name: 'not touched' }).click();
  await expect(page.getByRole('option')).toHaveCount(2);
});

test('a commit, a tag or what lies in a folder is added as a version', async ({ page }) => {
  const folder = writeFolder('repository', small);
  const git = (...args: string[]): void =>
    void execFileSync('git', ['-C', folder, '-c', 'user.name=test', '-c', 'user.email=test@localhost', ...args]);
  git('init', '-q', '-b', 'main');
  git('add', '.');
  git('commit', '-qm', 'Boats and their names');
  git('tag', 'v1');
  const app = path.join(folder, 'src/App.tsx');
  writeFileSync(app, readFileSync(app, 'utf8').replace('<main ', '<main title="later" '));
  git('commit', '-qam', 'A title');
  git('gc', '-q');
  await openHome(page);
  await chooseFolder(page, folder);
  await expect(page.getByRole('treeitem', { name: /^App/ })).toBeVisible();
  await page.getByRole('link', { name: 'Compare' }).click();
  await page.getByRole('link', { name: 'Add a commit, a folder or an archive' }).click();
  await page.getByLabel('Folder of the version').setInputFiles(folder);

  const versions = page.getByRole('list', { name: /^Versions in / });
  await expect(versions.getByRole('button')).toHaveText([/as it lies in the folder/, /^main/, /^v1/, /A title/, /Boats and their names/]);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(
    violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id, nodes }) => [id, nodes[0]?.html]),
  ).toEqual([]);
  const field = page.getByLabel('Branch, tag, commit, or words of its message');
  await field.fill('no such thing');
  await field.press('Enter');
  await expect(page.getByRole('alert')).toHaveText(/has no branch, tag or commit that is called no such thing/);
  await field.fill('v1');
  await field.press('Enter');
  await expect(page.getByRole('combobox', { name: 'The earlier version' })).toHaveText(/^v1, [0-9a-f]{8}: Boats and their names/);
  await expect(page.getByRole('option').filter({ hasText: 'App' })).toBeVisible();
  await expect(page).toHaveURL(/before=reading/);

  await page.getByRole('button', { name: 'Versions to compare with' }).click();
  await page.getByRole('menuitem', { name: 'Take the earlier version away' }).click();
  await expect(page.getByText(/There is nothing to compare with yet/)).toBeVisible();
});

test('a repository without a commit says so, and is added as it lies there', async ({ page }) => {
  const folder = writeFolder('new-repository', small);
  execFileSync('git', ['-C', folder, 'init', '-q', '-b', 'main']);
  await openHome(page);
  await chooseFolder(page, folder);
  await expect(page.getByRole('treeitem', { name: /^App/ })).toBeVisible();
  await page.getByRole('link', { name: 'Compare' }).click();
  await page.getByRole('link', { name: 'Add a commit, a folder or an archive' }).click();
  await page.getByLabel('Folder of the version').setInputFiles(folder);
  await expect(page.getByText(/^No branch, tag or commit of .* can be listed\.$/)).toBeVisible();
  await page.getByRole('button', { name: /as it lies in the folder/ }).click();
  await expect(page.getByText('No component was touched.')).toBeVisible();
});

test('a version that is not kept any more is said', async ({ page }) => {
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  const [base] = page.url().split('/tree');
  await page.goto(`${base}/compare?before=reading:99`);
  await expect(page.getByText('That reading is not kept any more. Choose another one.')).toBeVisible();
  await page.goto(`${base}/compare?before=strange`);
  await expect(page.getByRole('heading', { name: 'Compare with an earlier version' })).toBeVisible();
});

test('what if a part stood elsewhere: nothing is written, and the question is in the URL', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  const row = (name: RegExp) => page.getByRole('treeitem', { name }).locator('.name');
  await row(/^PassageRow/).click();
  await page.getByRole('button', { name: 'What if PassageRow stood elsewhere?' }).click();
  await expect(page.getByText('Choose the row that it would stand in')).toBeVisible();
  await row(/^LockPanel/).click();
  const told = page.getByRole('list', { name: 'What would be otherwise' });
  await expect(told).toContainText('boat would not be given: item is not known there.');
  await expect(told).toContainText('Nobody would hear onClear.');
  await expect(page).toHaveURL(/move=/);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'What if PassageRow stood in LockPanel' })).toBeVisible();
  await row(/^BoatBadge/)
    .first()
    .click();
  await expect(page.getByText('It cannot stand there: BoatBadge stands in it, or would.')).toBeVisible();
  await page.getByRole('button', { name: 'Leave it where it is' }).click();
  await expect(page).not.toHaveURL(/move=/);
});

test('what if: rows are dragged, moves are kept and taken back, and written as one patch', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  const row = (name: RegExp) => page.getByRole('treeitem', { name });
  await row(/^KeeperMenu/).dragTo(row(/^LockPanel/));
  await expect(page.getByRole('heading', { name: 'What if KeeperMenu stood in LockPanel' })).toBeVisible();
  await expect(row(/^KeeperMenu.*would stand here/)).toBeVisible();
  await expect(row(/^KeeperMenu.*would stand elsewhere/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'To move it' })).toBeVisible();
  await page.getByRole('button', { name: 'Let it stand there' }).click();
  await expect(page).toHaveURL(/stands=/);

  await row(/^PassageQueue/).dragTo(row(/^LockPanel/));
  await expect(page.getByRole('heading', { name: 'To make these 2 moves' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'What would be otherwise' }).first()).toContainText(
    'items would not be given: passages is state of TodayPage, which would have to hand it down.',
  );
  await expect(page.getByText('Not written for you: PassageQueue would not be given items')).toBeVisible();
  await page.getByRole('button', { name: 'Let it stand there' }).click();
  await expect(page.getByRole('button', { name: 'Take back that PassageQueue stands in LockPanel' })).toBeVisible();
  await page.reload();
  await expect(row(/would stand here/)).toHaveCount(5);

  await page.getByRole('button', { name: 'Take back that PassageQueue stands in LockPanel' }).click();
  await expect(row(/would stand here/)).toHaveCount(1);
  const written = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download it' }).click();
  const patch = readFileSync(await (await written).path(), 'utf8');
  expect(patch).toContain('+++ b/src/locks/LockPanel.tsx');
  expect(patch).toMatch(/^\+ +<KeeperMenu \/>$/m);
  expect(patch).toMatch(/^- +<KeeperMenu \/>$/m);
  await page.getByRole('button', { name: 'All as it is' }).click();
  await expect(row(/would stand/)).toHaveCount(0);
  await expect(page).not.toHaveURL(/stands=/);
});

test('what if, by keys alone', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  await page.getByRole('tree').focus();
  const selected = page.getByRole('treeitem', { selected: true });
  for (const name of [/^TodayPage/, /^AppShell/, /^TopBar/, /^AlarmBadge/, /^ClockBadge/]) {
    await page.keyboard.press('ArrowDown');
    await expect(selected).toHaveAccessibleName(name);
  }
  await page.getByRole('button', { name: 'What if ClockBadge stood elsewhere?' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('tree').focus();
  // The chosen row is the one that is asked about, until another is chosen; rows that would come are passed over.
  for (const name of [/^KeeperMenu/, /^NoticeStrip/, /^LockList/]) {
    await page.keyboard.press('ArrowDown');
    await expect(selected).toHaveAccessibleName(name);
  }
  await expect(page.getByRole('heading', { name: 'What if ClockBadge stood in LockList' })).toBeVisible();
  await page.getByRole('button', { name: 'Let it stand there' }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/stands=/);
});

test('what if a state lived elsewhere', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  const row = (name: RegExp) => page.getByRole('treeitem', { name }).locator('.name');
  await expect(row(/^TodayPage/)).toBeVisible();
  await page
    .getByRole('button', { name: /selectedLock, / })
    .first()
    .click();
  await page.getByRole('button', { name: 'What if selectedLock lived elsewhere?' }).click();
  await expect(page.getByText('It lives in TodayPage.')).toBeVisible();
  await row(/^LockPanel/).click();
  await expect(page.getByRole('heading', { name: 'What if selectedLock lived in LockPanel' })).toBeVisible();
  const told = page.getByRole('list', { name: 'What would be otherwise' });
  await expect(told).toContainText('would not get it: LockPanel can only give it to what it writes.');
  await page.reload();
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: 'As it is' }).click();
  await expect(page).not.toHaveURL(/lives=/);

  await page.getByRole('button', { name: /keeper, / }).click();
  await page.getByRole('button', { name: 'What if keeper were provided elsewhere?' }).click();
  await row(/^TopBar/).click();
  await expect(page.getByRole('heading', { name: 'What if keeper were provided in TopBar' })).toBeVisible();
  await expect(told).toContainText('PassageRow would not get it: nobody would answer.');
  await expect(told).toContainText('As now: KeeperMenu.');
});
