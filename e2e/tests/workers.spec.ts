import { expect, type Page, test } from '@playwright/test';
import { large, openHome, slowly, zip } from '../sources';

/** Keeps the workers of the page in reach, so that a test can end them behind the application's back. */
async function keepWorkers(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const workers: Worker[] = [];
    const { Worker: Plain } = window;
    window.Worker = class extends Plain {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        workers.push(this);
        // The first of all, before it can say a word.
        if ('endFirst' in window && workers.length === 1) this.terminate();
        // From its first word on, where a test asks for that.
        this.addEventListener('message', () => 'endEach' in window && this.terminate());
      }
    };
    Object.assign(window, {
      endWorkers: () => {
        // What the application calls itself stays; this is an end that it did not ask for.
        for (const worker of workers.splice(0)) worker.terminate();
      },
    });
  });
}

const endWorkers = (page: Page): Promise<void> => page.evaluate(() => (window as unknown as { endWorkers: () => void }).endWorkers());

/** What is asked after a worker has ended, and what answers. */
const questions: readonly (readonly [name: string, ask: (page: Page) => Promise<void>])[] = [
  [
    'a component is chosen',
    async (page) => {
      await page
        .getByRole('treeitem', { name: /^PassageQueue/ })
        .locator('.name')
        .click();
      await expect(page.getByRole('heading', { name: 'PassageQueue' })).toBeVisible();
    },
  ],
  [
    'a value is traced',
    async (page) => {
      await page.getByRole('link', { name: 'Trace', exact: true }).click();
      await page.getByRole('link', { name: 'passages TodayPage' }).click();
      await expect(page.locator('.rung-row').first()).toBeVisible();
    },
  ],
  [
    'another question is asked of it',
    async (page) => {
      await page.getByRole('button', { name: 'What changes it' }).click();
      await expect(page.getByRole('region', { name: /^What changes it/ })).toBeVisible();
    },
  ],
  [
    'what derives from what is asked',
    async (page) => {
      await page.getByRole('button', { name: 'What derives from what' }).click();
      await expect(page.getByRole('region', { name: /^What derives from what/ })).toBeVisible();
    },
  ],
  [
    'findings are listed',
    async (page) => {
      await page.getByRole('link', { name: /^Findings/ }).click();
      await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
    },
  ],
  [
    'another finding is chosen',
    async (page) => {
      await page.getByRole('option', { name: /DateField is given lable/ }).click();
      await expect(page.getByLabel('The change')).toBeVisible();
    },
  ],
  [
    'a name is searched',
    async (page) => {
      await page.getByRole('combobox', { name: /^Find a component/ }).fill('LevelGauge');
      await expect(page.getByRole('option', { name: /^LevelGauge/ }).first()).toBeVisible();
      await page.keyboard.press('Enter');
      await expect(page.getByRole('heading', { name: 'LevelGauge' })).toBeVisible();
    },
  ],
  [
    'likeness is mapped',
    async (page) => {
      await page.getByRole('link', { name: /^Findings/ }).click();
      await page.getByRole('link', { name: 'By likeness' }).click();
      await expect(page.getByRole('heading', { name: 'Groups' })).toBeVisible();
    },
  ],
  [
    'parts are suggested',
    async (page) => {
      await page.getByRole('link', { name: 'Carve' }).click();
      await page.getByRole('button', { name: 'Its pages, not yet marked' }).click();
      await page.getByRole('button', { name: 'Suggest parts' }).click();
      await expect(page.getByRole('button', { name: /^Take all/ })).toBeVisible();
    },
  ],
  [
    'the tree is opened again',
    async (page) => {
      await page.getByRole('link', { name: 'Tree', exact: true }).click();
      await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
    },
  ],
];

for (const [when, after] of [
  ['between questions', undefined],
  ['while they are asked', 15],
] as const)
  test(`workers that end ${when}: each question is answered all the same`, async ({ page }) => {
    await keepWorkers(page);
    await page.goto('/demo');
    await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
    for (const [name, ask] of questions)
      await test.step(name, async () => {
        if (after === undefined) {
          await endWorkers(page);
          await ask(page);
        } else await Promise.all([ask(page), page.waitForTimeout(after).then(() => endWorkers(page))]);
      });
  });

const source = zip('large.zip', large(150));

for (const delay of [0, 30, 60, 120, 250, 400, 650, 900])
  test(`a worker that ends ${delay} ms after a project was handed in: it is opened all the same`, async ({ page }) => {
    await keepWorkers(page);
    await openHome(page);
    await expect(page.getByRole('button', { name: 'Choose a zip archive' })).toBeVisible();
    await page.getByLabel('Zip archive', { exact: true }).setInputFiles(source);
    await page.waitForTimeout(delay);
    await endWorkers(page);
    // That a worker has ended is noticed late, and all is read again.
    await expect(page.getByRole('treeitem').first()).toBeVisible({ timeout: 90_000 });
  });

test('a worker that ends before it has started is replaced at once', async ({ page }) => {
  await keepWorkers(page);
  await page.addInitScript(() => Object.assign(window, { endFirst: true }));
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
});

test('Stop replaces a worker that is too busy to hear of it', async ({ page }) => {
  await page.addInitScript(() => {
    new BroadcastChannel('busy').onmessage = () => Object.assign(window, { isBusy: true });
  });
  await slowly(
    page,
    'model.worker',
    `const digest = crypto.subtle.digest.bind(crypto.subtle);
    let times = 0;
    crypto.subtle.digest = (...all) => {
      if (++times === 40) {
        new BroadcastChannel('busy').postMessage(true);
        for (const until = Date.now() + 300_000; Date.now() < until; );
      }
      return digest(...all);
    };`,
  );
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(source);
  const stop = page.getByRole('status').filter({ hasText: 'Bringing in large' }).getByRole('button', { name: 'Stop' });
  // One that is not busy yet would hear of it, and stay.
  await page.waitForFunction(() => 'isBusy' in window);
  // The worker that takes its place may start at once, and is as any other.
  await page.unrouteAll();
  await stop.click();
  await expect(page.getByText('Stopped before it was finished. Nothing was changed.')).toBeVisible();
  // What is asked next is answered: the worker is another one.
  await page.getByRole('button', { name: 'Open the worn demo in React' }).click();
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
});

test('a worker that ends over every question is said, with a way to try again', async ({ page }) => {
  await keepWorkers(page);
  await page.goto('/demo');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.evaluate(() => Object.assign(window, { endEach: true }));
  await endWorkers(page);
  await page.getByRole('link', { name: /^Findings/ }).click();
  await expect(page.getByRole('heading', { name: 'Something went wrong' })).toBeVisible();
  await expect(page.getByText('What was saved is still there.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
});

test('a worker that cannot be loaded is said', async ({ page }) => {
  await page.route(/model\.worker/, (route) => route.abort());
  await page.goto('/demo');
  await expect(page.getByRole('heading', { name: 'Something went wrong' })).toBeVisible();
  await page.unroute(/model\.worker/);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
});
