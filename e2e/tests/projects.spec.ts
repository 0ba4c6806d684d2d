import { expect, test } from '@playwright/test';
import { openHome, small, zip } from '../sources';

test.beforeEach(async ({ page }) => {
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('boats.zip', small));
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
  await page.getByRole('link', { name: 'Liana, all projects' }).click();
});

test('rename', async ({ page }) => {
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByLabel('Name').fill('A canal of some length');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'A canal of some length' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: 'A canal of some length' })).toBeVisible();
});

test('delete, and undo brings all of it back', async ({ page }) => {
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'boats' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: 'boats' }).click();
  await page.getByRole('link', { name: 'Tree', exact: true }).click();
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
});

test('a deleted project’s address says what happened', async ({ page }) => {
  await page.getByRole('link', { name: 'boats' }).click();
  await page.getByRole('link', { name: 'Tree', exact: true }).click();
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
  const address = page.url();
  await page.goto('/');
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('boats was deleted.')).toBeVisible();
  await page.goto(address);
  await expect(page.getByText('This browser does not hold that project.')).toBeVisible();
  await page.getByRole('link', { name: 'Go to your projects' }).click();
  await expect(page.getByRole('heading', { name: 'See through a component application' })).toBeVisible();
});

test('read again takes the new state and keeps the name', async ({ page }) => {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('button', { name: 'Read again' }).click()]);
  await chooser.setFiles(
    zip('boats.zip', { ...small, 'src/App.tsx': String(small['src/App.tsx']).replace('boat={boat}', 'boat={boat} eta="9:10"') }),
  );
  await expect(page.getByRole('treeitem', { name: /^Row/ })).toBeVisible();
  await page.getByRole('link', { name: 'Findings', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Nothing was found' })).toBeVisible();
});

test('an entry in the storage that Liana did not write is named, and hurts nothing', async ({ page }) => {
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('liana');
        open.onsuccess = () => {
          const write = open.result.transaction('projects', 'readwrite');
          write.objectStore('projects').put({ id: 'x', name: 'Strange', createdAt: 1, files: 'many' });
          write.oncomplete = () => {
            open.result.close();
            resolve();
          };
          write.onerror = () => reject(new Error('not written'));
        };
      }),
  );
  await page.reload();
  await expect(page.getByText(/Strange cannot be shown/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'boats' })).toBeVisible();
});
