import { expect, test } from '@playwright/test';

test('a rule is found by a word of it, and its page leads back', async ({ page }) => {
  await page.goto('/help');
  await expect(page.getByRole('region', { name: 'Slots' }).getByRole('listitem').first()).toBeVisible();
  await page.getByLabel('Find a rule').fill('misspelt');
  await expect(page.getByRole('region', { name: 'Slots' })).toBeHidden();
  await page.getByRole('link', { name: 'A prop is misspelt' }).click();
  await expect(page.getByRole('heading', { name: 'A prop is misspelt', level: 1 })).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Find a rule')).toHaveValue('misspelt');
});

test('rules by how bad they are, and none for a word that none has', async ({ page }) => {
  await page.goto('/help?severity=tidy');
  await expect(page.getByRole('button', { name: 'Works, and is too much' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('link', { name: 'A prop is misspelt' })).toBeHidden();
  await page.getByLabel('Find a rule').fill('zebra');
  await expect(page.getByText('No rule has these words.')).toBeVisible();
  await expect(page.getByRole('status')).toHaveText('0 rules');
});

test('a rule that there is not is said to be none', async ({ page }) => {
  await page.goto('/help/__proto__');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
});
