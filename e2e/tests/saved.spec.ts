import { expect, type Page, test } from '@playwright/test';

/** Lets a test take the browser's room away, and give it back. */
async function withRoomToTake(page: Page): Promise<void> {
  await page.addInitScript(() => {
    let isFull = false;
    const { prototype } = IDBObjectStore;
    for (const name of ['put', 'add'] as const) {
      const write = prototype[name];
      prototype[name] = function (this: IDBObjectStore, ...given: Parameters<typeof write>) {
        if (isFull) throw new DOMException('There is no room.', 'QuotaExceededError');
        return write.apply(this, given);
      };
    }
    Object.assign(window, { setFull: (full: boolean) => (isFull = full) });
  });
}

const setFull = (page: Page, full: boolean): Promise<void> =>
  page.evaluate((value) => (window as unknown as { setFull: (full: boolean) => void }).setFull(value), full);

/** The sound demo with its pages, and with one marked by hand. */
async function openPages(page: Page): Promise<void> {
  await page.goto('/demo?edition=sound');
  await page.getByRole('link', { name: 'Carve' }).click();
  await page.getByRole('button', { name: 'Its pages, not yet marked' }).click();
  await expect(page.locator('.page-area iframe')).toBeVisible();
}

/** Marks the next thing on the page, and gives it a name. */
async function mark(page: Page, name: string): Promise<void> {
  await page.locator('.stage-scroll').focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: /^Part\d+$/ })).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
}

/** All plans of the browser's storage, as they stand there. */
const plansStored = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const open = indexedDB.open('liana');
        open.onsuccess = () => {
          const all = open.result.transaction('plans').objectStore('plans').getAll();
          all.onsuccess = () => {
            open.result.close();
            resolve(JSON.stringify(all.result));
          };
        };
        open.onerror = () => reject(new Error('closed'));
      }),
  );

test('two tabs on one plan: what each marks is in both, and in the storage', async ({ page, context }) => {
  await openPages(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.locator('.page-area iframe')).toBeVisible();
  await mark(page, 'FirstPart');
  await expect(other.getByRole('treeitem', { name: /^FirstPart/ })).toBeVisible();
  await mark(other, 'SecondPart');
  await expect(page.getByRole('treeitem', { name: /^SecondPart/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('treeitem', { name: /^FirstPart/ })).toBeVisible();
  await expect(page.getByRole('treeitem', { name: /^SecondPart/ })).toBeVisible();
});

test('a plan that cannot be stored is said, can be exported, and is stored when there is room', async ({ page }) => {
  await withRoomToTake(page);
  await openPages(page);
  await setFull(page, true);
  await mark(page, 'LateMark');
  const notice = page.getByRole('alert').filter({ hasText: 'The plan is not stored as it is shown.' });
  await expect(notice).toContainText('The browser has no room left for this.');
  const coming = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'Export the project' }).click();
  expect((await coming).suggestedFilename()).toMatch(/\.liana\.zip$/);
  await setFull(page, false);
  await notice.getByRole('button', { name: 'Try again' }).click();
  await expect(notice).toBeHidden();
  await page.reload();
  await expect(page.getByRole('treeitem', { name: /^LateMark/ })).toBeVisible();
});

test('a decision that cannot be stored is said, and is stored by itself when there is room', async ({ page }) => {
  await withRoomToTake(page);
  await page.goto('/demo');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('button', { name: '9 faults' })).toBeVisible();
  await setFull(page, true);
  await page.getByLabel('Reason').fill('The tone comes later');
  await page.getByRole('button', { name: 'Accept', exact: true }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'One decision is not stored yet.' });
  await expect(notice).toContainText('The browser has no room left for this.');
  await expect(page.getByRole('button', { name: '8 faults' })).toBeVisible();
  const coming = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'Export the decisions' }).click();
  expect((await coming).suggestedFilename()).toBe('liana-decisions.json');
  await setFull(page, false);
  await expect(notice).toBeHidden();
  await page.reload();
  await expect(page.getByRole('button', { name: '8 faults' })).toBeVisible();
});

test('two tabs on one finding: what was decided first stands, and the other is told', async ({ page, context }) => {
  await page.goto('/demo');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('button', { name: '9 faults' })).toBeVisible();
  const other = await context.newPage();
  // This tab does not hear of what the other stores: it decides by what it saw.
  await other.addInitScript(() => Object.assign(window, { BroadcastChannel: undefined }));
  await other.goto(page.url());
  await expect(other.getByRole('button', { name: '9 faults' })).toBeVisible();
  await page.getByLabel('Reason').fill('known');
  await page.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(page.getByRole('button', { name: '8 faults' })).toBeVisible();
  await other.getByRole('button', { name: 'It is wrong' }).click();
  await expect(other.getByText('Another tab decided otherwise meanwhile: Accepted, known. That stands.')).toBeVisible();
  await other.getByRole('button', { name: 'Decide as here' }).click();
  await page.reload();
  await page.goto(page.url().replace(/\?.*/, '?state=wrong'));
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(1);
});

test('a plan that this version cannot read is kept, said with its field, and can be taken away as it is', async ({ page }) => {
  await openPages(page);
  await mark(page, 'OldPart');
  // What is still to be written would be written over what follows.
  await expect.poll(() => plansStored(page)).toContain('OldPart');
  await page.getByRole('link', { name: 'Liana, all projects' }).click();
  await expect(page.getByRole('button', { name: 'Open the worn demo in React' })).toBeVisible();
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('liana');
        open.onsuccess = () => {
          const transaction = open.result.transaction('plans', 'readwrite');
          const store = transaction.objectStore('plans');
          transaction.oncomplete = () => {
            open.result.close();
            resolve();
          };
          const all = store.getAll();
          all.onsuccess = () => {
            const stored = all.result[0] as { document: { version: number } };
            stored.document.version = 2;
            store.put(stored);
          };
        };
        open.onerror = () => reject(new Error('closed'));
      }),
  );
  await page
    .getByRole('link', { name: /^Towpath/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Carve' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'The plan was written by a newer Liana (version 2)' });
  await expect(notice).toBeVisible();
  const coming = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'Export it as it is' }).click();
  expect((await coming).suggestedFilename()).toMatch(/-plan\.json$/);
  await page.getByRole('button', { name: 'Its pages, not yet marked' }).click();
  await expect(page.locator('.page-area iframe')).toBeVisible();
  await page.reload();
  const aside = page.getByRole('alert').filter({ hasText: /^Set aside/ });
  await expect(aside).toContainText('newer Liana (version 2)');
  await aside.getByRole('button', { name: 'Throw it away' }).click();
  await expect(aside).toBeHidden();
  await page.locator('.MuiSnackbar-root').getByRole('button', { name: 'Undo' }).click();
  await expect(aside).toBeVisible();
});

test('readings that are damaged are made again, and a damaged entry can be removed', async ({ page }) => {
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  const address = page.url();
  await page.goto('/help');
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('liana');
        open.onsuccess = () => {
          const change = open.result.transaction(['facts', 'projects'], 'readwrite');
          change.objectStore('projects').put({ id: 'x', name: 'Strange', createdAt: 1, files: 'many' });
          const facts = change.objectStore('facts');
          const all = facts.getAll();
          all.onsuccess = () => {
            for (const one of all.result as { facts: unknown }[]) facts.put({ ...one, facts: { file: 7, components: 'none' } });
          };
          change.oncomplete = () => {
            open.result.close();
            resolve();
          };
        };
        open.onerror = () => reject(new Error('closed'));
      }),
  );
  await page.goto(address);
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('Strange cannot be shown');
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByText('Strange cannot be shown')).toBeHidden();
});

test('what one tab brings in and names, another lists', async ({ page, context }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'See through a component application' })).toBeVisible();
  const other = await context.newPage();
  await other.goto('/demo');
  await expect(other.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Towpath', exact: true })).toBeVisible();
  await other.goto('/');
  await other.getByRole('button', { name: 'Rename' }).click();
  await other.getByLabel('Name').fill('A canal');
  await other.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'A canal' })).toBeVisible();
});
