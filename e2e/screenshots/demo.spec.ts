import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';
import { choose } from '../sources';

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
  await page.getByRole('treeitem', { name: /^PassageQueue/ }).dragTo(page.getByRole('treeitem', { name: /^LockPanel/ }));
  await expect(page.getByRole('heading', { name: 'What if PassageQueue stood in LockPanel' })).toBeVisible();
  await shot(page, 'what-if');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await page.getByRole('option', { name: /PassageRow needs eta/ }).click();
  await expect(page.getByRole('heading', { name: /PassageRow needs eta/ })).toBeVisible();
  await shot(page, 'findings');
  await page.goto('/help/slot-nowhere');
  await expect(page.getByRole('heading', { name: 'Sound in Vue' })).toBeVisible();
  await shot(page, 'help-rule');
  await page.goto('/projects/demo-react-worn/findings?rule=prop-carried');
  await page.getByText('This is the way by a context.').evaluate((node) => node.scrollIntoView({ block: 'start' }));
  await shot(page, 'finding-proposal');
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Towpath', exact: true })).toBeVisible();
  await shot(page, 'projects');
});

test('a page of Astro with parts of three frameworks, from its demo', async ({ page }) => {
  await page.goto('/demo?framework=astro&edition=sound');
  await page.getByRole('button', { name: /^store \$levels/ }).click();
  await page
    .getByRole('treeitem', { name: /^GateSwitch/ })
    .first()
    .locator('.name')
    .click();
  await expect(page.getByRole('heading', { name: 'GateSwitch' })).toBeVisible();
  await shot(page, 'tree-mixed');
});

test('traces, from the demo', async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: 'Trace', exact: true }).click();
  await page.getByRole('link', { name: 'passages TodayPage' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('passages');
  await shot(page, 'trace-goes');
  await page.goto('/demo?framework=angular');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  const trace = new URL(page.url()).pathname.replace(/tree$/, 'trace');
  await page.goto(`${trace}?of=${encodeURIComponent('src/roster/shift-cell.ts#ShiftCell~keeper')}&ask=comes`);
  await expect(page.getByRole('heading', { name: 'Who answers here' })).toBeVisible();
  await shot(page, 'trace-answers');
  await page.goto(`${trace}?of=${encodeURIComponent('src/pages/today-page.ts#TodayPage~byLock$')}&ask=derives`);
  await expect(page.getByRole('heading', { name: 'What each step does' })).toBeVisible();
  await shot(page, 'trace-derives');
});

test('carve, from the demo', async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: 'Carve' }).click();
  await page.getByRole('button', { name: 'Its finished plan' }).click();
  await expect(page.getByRole('row', { name: /^levels/ })).toContainText('a store');
  await page.getByRole('treeitem', { name: /^LockList/ }).click();
  await expect(page.getByRole('heading', { name: 'LockList' })).toBeVisible();
  await shot(page, 'carve-marks');
  await page.getByRole('button', { name: 'Values', exact: true }).click();
  await shot(page, 'carve-values');
  await page.getByRole('button', { name: 'Skeleton', exact: true }).click();
  await choose(page, 'File', 'src/parts/LockCard.tsx');
  await expect(page.locator('.cm-content')).toContainText('export function LockCard');
  await shot(page, 'carve-skeleton');
});

test('repeats found in a picture, from the demo', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start from a page' }).click();
  await page.getByLabel('Pages').setInputFiles(fileURLToPath(new URL('../../demo/pages/today.png', import.meta.url)));
  await expect(page.locator('.page-area img')).toBeVisible();
  await page.locator('.page-area').dblclick({ position: { x: 300, y: 245 } });
  await page.getByLabel('Name').fill('LockCard');
  await page.getByLabel('Name').press('Enter');
  await page.getByRole('button', { name: 'Find repeats' }).click();
  await expect(page.getByText(/more like LockCard marked/)).toBeVisible();
  await shot(page, 'carve-repeats');
});

test('overlap and figures, from the demo', async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await page.getByRole('link', { name: 'By likeness' }).click();
  await choose(page, 'Together from', '70 % on');
  await expect(page.getByRole('heading', { name: 'Groups' })).toBeVisible();
  await shot(page, 'likeness');
  await page.getByRole('link', { name: /HintBubble and InfoBubble/ }).click();
  await expect(page.getByLabel('The merged component')).toBeVisible();
  await shot(page, 'overlap');
  await page.getByRole('link', { name: 'Towpath', exact: true }).click();
  await expect(page.getByRole('region', { name: 'pages' })).toBeVisible();
  await shot(page, 'figures');
});

test('a refactor compared with what stood before it, from the demo', async ({ page }) => {
  await page.goto('/demo?edition=refactored');
  await expect(page.getByRole('heading', { name: 'The whole' })).toBeVisible();
  await shot(page, 'compare');
  await page.getByRole('option', { name: /DateField/ }).click();
  await expect(page.getByRole('heading', { name: 'DateField' })).toBeVisible();
  await shot(page, 'compare-contract');
});
