import { execFileSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { choose } from '../sources';
import { readFolder } from '../../cli/src/folder';
import { analyseFolder } from '../../cli/src/report';

test.beforeEach(async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('listbox')).toBeVisible();
});

test('a finding of twins leads to both side by side, and the patch makes them one', async ({ page }) => {
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /HintBubble and InfoBubble/ })
    .click();
  await page.getByRole('link', { name: 'Compare them' }).click();
  const rows = page.getByRole('region', { name: 'Both, row by row' });
  await expect(rows).toContainText('99 % alike');
  await expect(rows.locator('tr', { hasText: 'class → prop' })).toContainText('className="hint"');
  await expect(page.getByLabel('The merged component')).toContainText("tone = 'hint'");
  await page.getByLabel('Name of the prop for the class').fill('look');
  await page.getByLabel('Name of the prop for the class').press('Enter');
  await expect(page.getByLabel('The merged component')).toContainText("look = 'hint'");
  await expect(page).toHaveURL(/name\.class-1=look/);
  await page.reload();
  await expect(page.getByLabel('Changes of the uses')).toContainText('<HintBubble look="info" label=');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as patch' }).click();
  const patch = readFileSync(await (await coming).path(), 'utf8');

  const copy = mkdtempSync(path.join(tmpdir(), 'towpath-'));
  cpSync(fileURLToPath(new URL('../../demo/react/worn', import.meta.url)), copy, { recursive: true });
  execFileSync('git', ['init', '-q'], { cwd: copy });
  execFileSync('git', ['apply', '-'], { cwd: copy, input: patch });
  expect(existsSync(path.join(copy, 'src/parts/InfoBubble.tsx'))).toBe(false);
  const { findings } = analyseFolder(await readFolder(copy));
  expect(findings.filter((one) => one.rule === 'twins')).toEqual([]);
  expect(findings.filter((one) => one.severity !== 'tidy')).toHaveLength(17);
  rmSync(copy, { recursive: true });
});

test('both can be accepted, and that can be undone', async ({ page }) => {
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /HintBubble and InfoBubble/ })
    .click();
  await page.getByRole('link', { name: 'Compare them' }).click();
  await page.getByRole('button', { name: 'Accept both' }).click();
  await expect(page.getByRole('link', { name: /^Findings/ })).toContainText('33');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Findings/ })).toContainText('34');
});

test('a project sets from which likeness on two components are twins', async ({ page }) => {
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /HintBubble and InfoBubble/ })
    .click();
  await choose(page, 'In this project two components are twins from', '100 %');
  await expect(page.getByRole('link', { name: /^Findings/ })).toContainText('33');
  await expect(page.getByRole('listbox').getByRole('option', { name: /HintBubble and InfoBubble/ })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('link', { name: /^Findings/ })).toContainText('33');
  await page.goto(page.url().replace(/\?.*/, ''));
});

test('the map of likeness leads to a comparison', async ({ page }) => {
  await page.getByRole('link', { name: 'By likeness' }).click();
  await expect(page.getByText('39 components are like no other.')).toBeVisible();
  await choose(page, 'Together from', '90 % on');
  await expect(page).toHaveURL(/from=90/);
  await page.getByRole('link', { name: 'HintBubble and InfoBubble, 99 %' }).click();
  await expect(page.getByRole('heading', { name: 'One in their place' })).toBeVisible();
});

test('the project in figures, and the same as a table', async ({ page }) => {
  await page.getByRole('link', { name: 'Towpath', exact: true }).click();
  const figures = page.getByRole('region', { name: 'components', exact: true });
  await expect(figures).toContainText('41');
  await expect(page.getByRole('region', { name: 'pages' })).toContainText('TodayPage, 7 deep');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  const table = readFileSync(await (await coming).path(), 'utf8');
  expect(table.split('\r\n')[1]).toBe('components,,,41');
  await page.getByRole('link', { name: 'components are like another' }).click();
  await expect(page.getByRole('heading', { name: 'Groups' })).toBeVisible();
});

test('a component that is gone is named, not shown as empty', async ({ page }) => {
  await page.goto(page.url().replace(/findings.*/, 'overlap?a=src%2Fgone.tsx%23Gone&b=src%2FApp.tsx%23App'));
  await expect(page.getByText('One of these components is not in the project any more.')).toBeVisible();
});

for (const view of ['overlap', '', 'overlap?a=src%2Fparts%2FHintBubble.tsx%23HintBubble&b=src%2Fparts%2FInfoBubble.tsx%23InfoBubble'])
  test(`${view.split('?')[0] || 'figures'}${view.includes('?') ? ' of two' : ''}: nothing serious for those who do not see it`, async ({
    page,
  }) => {
    await page.goto(page.url().replace(/findings.*/, view));
    await expect(page.locator('.controls')).toBeVisible();
    await page.waitForTimeout(400);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(
      violations
        .filter((one) => one.impact === 'serious' || one.impact === 'critical')
        .map((one) => `${one.id}: ${one.nodes[0]?.html ?? ''}`),
    ).toEqual([]);
  });
