import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { act, choose } from '../sources';
import { readFolder } from '../../cli/src/folder';
import { analyseFolder } from '../../cli/src/report';

const exported = 'Take the findings shown away as a file';

test.beforeEach(async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('listbox')).toBeVisible();
});

test('worst first, with evidence, what to do, and where it touches', async ({ page }) => {
  const items = page.getByRole('listbox').getByRole('option');
  await expect(page.getByRole('button', { name: '9 faults' })).toBeVisible();
  await expect(page.getByRole('button', { name: '8 risks' })).toBeVisible();
  await expect(page.getByRole('button', { name: '17 to tidy' })).toBeVisible();
  await expect(items.first()).toHaveAccessibleName(/GateSwitch is given tone/);
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /no provider is above it on LockPage/ })
    .click();
  const detail = page.getByRole('region', { name: 'The finding' });
  await expect(detail.getByRole('heading', { level: 2 })).toHaveText(
    'PassageRow takes KeeperContext, and no provider is above it on LockPage',
  );
  await expect(detail.locator('figcaption')).toHaveText([
    'src/passages/PassageRow.tsx:13',
    'src/shell/keeper.ts:6',
    'src/pages/RosterPage.tsx:23',
    'src/shell/AppShell.tsx:14',
  ]);
  await expect(detail).toContainText('It breaks on LockPage.');
});

test('what a button says can be told from its ground', async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: /^Findings/ }).click();
  const colours = await page.getByRole('link', { name: 'See in tree' }).evaluate((button) => {
    const { color, backgroundColor } = getComputedStyle(button);
    return [color, backgroundColor];
  });
  expect(colours[0]).not.toBe(colours[1]);
});

test('arrow keys go from one to the next, and the choice is in the URL', async ({ page }) => {
  await page.getByRole('listbox').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('listbox').getByRole('option', { selected: true })).toHaveAccessibleName(/PassageQueue is given content/);
  await page.reload();
  await expect(page.getByRole('listbox').getByRole('option', { selected: true })).toHaveAccessibleName(/PassageQueue is given content/);
});

test('by severity', async ({ page }) => {
  await page.getByRole('button', { name: '9 faults' }).click();
  await expect(page).toHaveURL(/without=fault/);
  await expect(page.getByRole('listbox').getByRole('option').first()).toHaveAccessibleName(/^risk/);
  await page.getByRole('button', { name: '17 to tidy' }).click();
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(8);
});

test('leads to its place in the tree, and to the help of its rule', async ({ page }) => {
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /DateField is given lable/ })
    .click();
  await expect(page.getByRole('heading', { level: 2, name: /DateField/ })).toBeVisible();
  await page.getByRole('link', { name: 'See in tree' }).click();
  await expect(page.getByRole('treeitem', { name: /^DateField/, selected: true })).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: 'About this rule' }).click();
  await expect(page.getByRole('heading', { name: 'A prop is misspelt' })).toBeVisible();
});

test('grouped and filtered, with all of it in the URL', async ({ page }) => {
  await choose(page, 'Group by', 'By component');
  await expect(page.locator('.finding-group').first()).toContainText('LockCard');
  await page.getByLabel('Find in findings').fill('passageform');
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(3);
  await expect(page.getByRole('button', { name: '2 faults' })).toBeVisible();
  await expect(page).toHaveURL(/group=component.*text=passageform/);
  await page.reload();
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(3);
  await choose(page, 'Rule', /^A reading that stays behind \(/);
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(1);
  await page.getByLabel('Find in findings').fill('nothing of that name');
  await expect(page.getByRole('heading', { name: 'Nothing fits' })).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(page.getByLabel('Find in findings')).toHaveValue('');
  await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
});

test('a decision with its reason is kept, can be undone, and is not asked again', async ({ page }) => {
  await page.getByLabel('Reason').fill('The tone comes with the next release');
  await page.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(page.getByRole('button', { name: '8 faults' })).toBeVisible();
  await expect(page.getByRole('listbox').getByRole('option', { name: /GateSwitch is given tone/ })).toHaveCount(0);
  await expect(page.getByRole('listbox').getByRole('option', { selected: true })).toHaveAccessibleName(/PassageQueue is given content/);
  await page.reload();
  await choose(page, 'Decided', 'Accepted');
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /GateSwitch is given tone/ })
    .click();
  const detail = page.getByRole('region', { name: 'The finding' });
  await expect(detail).toContainText('The tone comes with the next release');
  await detail.getByRole('button', { name: 'Open it again' }).click();
  await choose(page, 'Decided', 'Open');
  await expect(page.getByRole('button', { name: '9 faults' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: '8 faults' })).toBeVisible();
});

test('a rule can be off in a project, and the settings can be taken to the shell', async ({ page }) => {
  await choose(page, 'In this project this rule is', 'off');
  await expect(page.getByRole('button', { name: '8 faults' })).toBeVisible();
  const coming = page.waitForEvent('download');
  await act(page, exported, 'Settings for the shell command');
  const file = await coming;
  expect(file.suggestedFilename()).toBe('liana.config.json');
  expect(JSON.parse(readFileSync(await file.path(), 'utf8'))).toEqual({ rules: { 'prop-unknown': 'off' } });
});

test('the patch of all certain fixes is taken by git, and the findings leave as files', async ({ page }) => {
  const saved = async (form: string): Promise<string> => {
    const coming = page.waitForEvent('download');
    await act(page, exported, form);
    return readFileSync(await (await coming).path(), 'utf8');
  };
  const copy = mkdtempSync(path.join(tmpdir(), 'towpath-'));
  cpSync(fileURLToPath(new URL('../../demo/react/worn', import.meta.url)), copy, { recursive: true });
  execFileSync('git', ['init', '-q'], { cwd: copy });
  execFileSync('git', ['apply', '-'], { cwd: copy, input: await saved('Patch of all certain fixes') });
  const keys = analyseFolder(await readFolder(copy)).findings.map((finding) => finding.rule);
  expect(keys).not.toContain('prop-spelt');
  expect(keys.length).toBeLessThan(34);
  rmSync(copy, { recursive: true });

  expect((JSON.parse(await saved('SARIF')) as { runs: { results: unknown[] }[] }).runs[0]?.results).toHaveLength(34);
  expect((await saved('CSV')).trim().split('\r\n')).toHaveLength(35);
  expect(await saved('Markdown')).toContain('# Findings in Towpath');
  expect((JSON.parse(await saved('JSON')) as { findings: unknown[] }).findings).toHaveLength(34);
});

test('the help of a rule has the forms of each framework', async ({ page }) => {
  await page.goto('/help/slot-nowhere');
  await expect(page.getByRole('heading', { name: 'Sound in Vue' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'The fault in Svelte' })).toBeVisible();
});
