import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';

async function seriousOn(page: Page): Promise<string[]> {
  // A page that somebody carves is theirs, and as it is.
  const { violations } = await new AxeBuilder({ page }).exclude('.page-area iframe').analyze();
  return violations
    .filter((violation) => violation.impact === 'serious' || violation.impact === 'critical')
    .map(
      (violation) =>
        `${violation.id}: ${violation.nodes
          .map((node) => node.target.join(' '))
          .slice(0, 3)
          .join(', ')}`,
    );
}

for (const scheme of ['light', 'dark'] as const) {
  test.describe(scheme, () => {
    test.use({ colorScheme: scheme });

    test('the first page', async ({ page }) => {
      await page.goto('/');
      await expect(page.getByRole('button', { name: 'Open the worn demo in React' })).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
    });

    test('the tree, and with a choice', async ({ page }) => {
      await page.goto('/demo');
      await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
      await page
        .getByRole('treeitem', { name: /^PassageQueue/ })
        .locator('.name')
        .click();
      await expect(page.getByRole('heading', { name: 'PassageQueue' })).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
    });

    test('a trace: before a choice, its ladder, and with a rung opened', async ({ page }) => {
      await page.goto('/demo');
      await page.getByRole('link', { name: 'Trace', exact: true }).click();
      await expect(page.getByRole('heading', { name: 'What do you want to follow?' })).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
      await page.getByRole('link', { name: 'passages TodayPage' }).click();
      await page
        .locator('.rung-row')
        .nth(2)
        .click({ position: { x: 200, y: 12 } });
      await page.getByRole('button', { name: 'Whole component' }).click();
      await expect(page.locator('.cm-content')).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
      await page.getByRole('button', { name: 'What derives from what' }).click();
      await expect(page.locator('.derives-row[aria-current]')).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
    });

    test('carve: before a page, with a plan, and in each panel', async ({ page }) => {
      await page.goto('/demo?edition=sound');
      await page.getByRole('link', { name: 'Carve' }).click();
      await expect(page.getByRole('heading', { name: 'Begin with a page' })).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
      await page.getByRole('button', { name: 'Its finished plan' }).click();
      await page.getByRole('treeitem', { name: /^LockCard/ }).click();
      await expect(page.getByRole('heading', { name: 'LockCard' })).toBeVisible();
      for (const panel of ['Part', 'Values', 'Suggested', 'Strands', 'Skeleton', 'In the code']) {
        await page.getByRole('button', { name: panel, exact: true }).click();
        await expect(page.getByRole('region', { name: panel, exact: true })).toBeVisible();
        expect(await seriousOn(page)).toEqual([]);
      }
    });

    test('findings and help', async ({ page }) => {
      await page.goto('/demo');
      await page.getByRole('link', { name: /^Findings/ }).click();
      await expect(page.getByRole('listbox')).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
      await page.goto('/help/prop-missing');
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      expect(await seriousOn(page)).toEqual([]);
    });
  });
}
