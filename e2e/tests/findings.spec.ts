import { expect, test } from '@playwright/test';

test.beforeEach(async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('listbox')).toBeVisible();
});

test('worst first, with evidence, what to do, and where it touches', async ({ page }) => {
  const items = page.getByRole('option');
  await expect(items).toHaveCount(8);
  await expect(items.first()).toHaveAccessibleName(/GateSwitch is given tone/);
  await page.getByRole('option', { name: /no provider is above it on LockPage/ }).click();
  const detail = page.getByRole('region', { name: 'The finding' });
  await expect(detail.getByRole('heading', { level: 2 })).toHaveText(
    'PassageRow takes KeeperContext, and no provider is above it on LockPage',
  );
  await expect(detail.locator('figcaption')).toHaveText([
    'src/passages/PassageRow.tsx:13',
    'src/shell/keeper.ts:6',
    'src/pages/RosterPage.tsx:21',
    'src/shell/AppShell.tsx:13',
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
  await expect(page.getByRole('option', { selected: true })).toHaveAccessibleName(/PassageRow needs eta/);
  await page.reload();
  await expect(page.getByRole('option', { selected: true })).toHaveAccessibleName(/PassageRow needs eta/);
});

test('by severity', async ({ page }) => {
  await page.getByRole('button', { name: /4 faults/ }).click();
  await expect(page.getByRole('option')).toHaveCount(4);
});

test('leads to its place in the tree, and to the help of its rule', async ({ page }) => {
  await page.getByRole('option', { name: /DateField is given lable/ }).click();
  await expect(page.getByRole('heading', { level: 2, name: /DateField/ })).toBeVisible();
  await page.getByRole('link', { name: 'See in tree' }).click();
  await expect(page.getByRole('treeitem', { name: /^DateField/, selected: true })).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: 'About this rule' }).click();
  await expect(page.getByRole('heading', { name: 'A prop is misspelt' })).toBeVisible();
});
