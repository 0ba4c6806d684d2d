import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';

const shot = async (page: Page, name: string): Promise<void> => {
  await page.mouse.move(2, 2);
  await page.waitForTimeout(600);
  await page.screenshot({ path: fileURLToPath(new URL(`../../docs/screenshots/${name}.png`, import.meta.url)) });
};

test('the main views, from the demo', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await shot(page, 'tree');
  await page
    .getByRole('treeitem', { name: /^PassageQueue/ })
    .locator('.name')
    .click();
  await expect(page.getByRole('heading', { name: 'PassageQueue' })).toBeVisible();
  await shot(page, 'tree-selection');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await page.getByRole('option', { name: /PassageRow needs eta/ }).click();
  await expect(page.getByRole('heading', { name: /PassageRow needs eta/ })).toBeVisible();
  await shot(page, 'findings');
  await page.getByRole('link', { name: 'Liana, all projects' }).click();
  await expect(page.getByRole('link', { name: 'Towpath', exact: true })).toBeVisible();
  await shot(page, 'projects');
});
