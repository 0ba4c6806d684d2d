import { test } from '@playwright/test';
test('look', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  const row = (name: RegExp) => page.getByRole('treeitem', { name }).locator('.name').first();
  await row(/^KeeperMenu/).click();
  await page.getByRole('button', { name: 'What if KeeperMenu stood elsewhere?' }).click();
  await row(/^LockPanel/).click();
  await page.getByRole('list', { name: 'What would be otherwise' }).waitFor();
  await page.waitForTimeout(600);
  await page.screenshot({ path: '/tmp/l1.png' });
  await page.getByRole('button', { name: 'Let it stand there' }).click();
  await row(/^PassageQueue/).dragTo(row(/^LockPanel/));
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/l2.png' });
  await page.getByRole('button', { name: 'Leave it where it is' }).click();
  await page.setViewportSize({ width: 700, height: 800 });
  await page.waitForTimeout(600);
  await page.screenshot({ path: '/tmp/l3.png' });
});
