import { expect, type Page, test } from '@playwright/test';
import { openHome, zip } from '../sources';

const rungs = (page: Page) =>
  page
    .getByRole('list')
    .filter({ has: page.locator('.rung-row') })
    .getByRole('listitem');

test.describe('a trace of the demo', () => {
  test.beforeEach(async ({ page }) => {
    await page.goto('/demo');
    await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
    await page.getByRole('link', { name: 'Trace', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'What do you want to follow?' })).toBeVisible();
  });

  test('is chosen from what the page holds; the list can be narrowed', async ({ page }) => {
    await page.getByRole('searchbox', { name: /Show only names/ }).fill('nothing like it');
    await expect(page.getByText('Nothing on this page is named like “nothing like it”.')).toBeVisible();
    await page.getByRole('searchbox', { name: /Show only names/ }).fill('passages');
    await page.getByRole('link', { name: 'passages TodayPage' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('passages');
    await expect(rungs(page).first()).toContainText('src/pages/TodayPage.tsx:11');
    await expect(page.getByRole('complementary')).toContainText('LockList and LockCard never read it.');
    await expect(page.locator('.rung-row', { hasText: 'passes on unread' })).toHaveCount(2);
  });

  test('answers four questions, each with its own address', async ({ page }) => {
    await page.getByRole('link', { name: 'passages TodayPage' }).click();
    await page.getByRole('button', { name: 'What changes it' }).click();
    await expect(rungs(page).filter({ hasText: 'submit on <form>' })).toBeVisible();
    await expect(page).toHaveURL(/ask=changes/);
    await page.getByRole('button', { name: 'If it changes' }).click();
    await expect(page.getByRole('complementary')).toContainText('may show something new');
    await page.getByRole('button', { name: 'Where it comes from' }).click();
    await expect(rungs(page).filter({ hasText: 'a constant' }).first()).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('button', { name: 'If it changes' })).toHaveAttribute('aria-pressed', 'true');
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('passages');
  });

  test('what derives from what: rows, strands, steps, by mouse and by keyboard, with an address of its own', async ({ page }) => {
    await page.getByRole('link', { name: 'passages TodayPage' }).click();
    await page.getByRole('button', { name: 'What derives from what' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('TodayPage');
    const chosen = page.locator('.derives-row[aria-current]');
    await expect(chosen).toContainText('= useState(firstPassages)');
    await expect(page.getByRole('complementary')).toContainText('Set by hand');
    await page.locator('.derives-row', { hasText: 'locks.find' }).click();
    await expect(page.getByRole('complementary')).toContainText('the first for which lock.id === selectedLock');
    await expect(page).toHaveURL(/ask=derives.*rung=\d+/);
    await page.locator('.derives').focus();
    await page.keyboard.press('Home');
    await expect(page.locator('.derives-row').first()).toHaveAttribute('aria-current', 'true');
    await page.keyboard.press('ArrowDown');
    await expect(page.locator('.derives-row').nth(1)).toHaveAttribute('aria-current', 'true');
    await page.reload();
    await expect(page.locator('.derives-row').nth(1)).toHaveAttribute('aria-current', 'true');
    await page.locator('.derives-row', { hasText: 'locks.find' }).click();
    // Until then what is beside it tells of the row before.
    await expect(page.locator('.derives-row', { hasText: 'locks.find' })).toHaveAttribute('aria-current', 'true');
    await expect(page.getByRole('complementary')).toContainText('the first for which lock.id === selectedLock');
    await page.getByRole('button', { name: 'Where it comes from' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('selected');
    await page.goBack();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('TodayPage');
  });

  test('what happens on the event of an element, with an address of its own', async ({ page }) => {
    await page.getByRole('link', { name: 'submit on <form> PassageForm' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('submit on <form>');
    await expect(rungs(page).filter({ hasText: 'raises onBook' })).toHaveCount(1);
    await expect(rungs(page).filter({ hasText: 'changes passages' })).toContainText('TodayPage');
    await expect(page.getByRole('complementary')).toContainText('places render again.');
    await page.reload();
    await expect(rungs(page).first()).toContainText('submit on <form>');
    await page
      .locator('.rung-code .name', { hasText: /^setBoat$/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('setBoat');
  });

  test('a click on a name in the code traces that name, and back leads back', async ({ page }) => {
    await page.getByRole('link', { name: 'passages TodayPage' }).click();
    await page
      .locator('.rung-code .name', { hasText: /^setPassages$/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('setPassages');
    await page.goBack();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('passages');
    await page
      .locator('.rung-code .name', { hasText: /^useState$/ })
      .first()
      .click();
    await expect(page.getByText('Liana knows no value of that name there.')).toBeVisible();
  });

  test('a rung leads to its place, opens its component, and can be asked on from', async ({ page }) => {
    await page.getByRole('link', { name: 'passages TodayPage' }).click();
    const rung = rungs(page).filter({ hasText: 'src/locks/LockPanel.tsx' }).first();
    await rung.click({ position: { x: 200, y: 12 } });
    await page.getByRole('button', { name: 'Whole component' }).click();
    await expect(page.locator('.cm-content')).toContainText('export function LockPanel');
    await page.locator('.cm-content .cm-marked').first().click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^waiting/);
    await page.goBack();
    // The whole component above may still be opening, and what is below moves with it.
    await expect(async () => {
      await rungs(page)
        .filter({ hasText: 'computed: waiting' })
        .click({ position: { x: 200, y: 12 } });
      await expect(page.getByRole('link', { name: 'Trace from here' })).toBeVisible({ timeout: 1500 });
    }).toPass();
    await page.getByRole('link', { name: 'Trace from here' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('waiting');
    await rungs(page)
      .first()
      .click({ position: { x: 200, y: 12 } });
    await page.getByRole('link', { name: 'See in tree' }).click();
    await expect(page.getByRole('treeitem', { selected: true })).toHaveAccessibleName(/^LockPanel/);
  });

  test('by keyboard: along the rungs, and wide', async ({ page }) => {
    await page.getByRole('link', { name: 'passages TodayPage' }).click();
    await page.getByRole('group', { name: /^The trace, rung by rung/ }).focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await expect(page).toHaveURL(/rung=1/);
    await page.keyboard.press('Enter');
    await expect(page.locator('.cm-content')).toContainText('export function TodayPage');
    await page.keyboard.press('Escape');
    await expect(page).not.toHaveURL(/rung=/);
  });

  test('is copied as text and as a link', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await page.getByRole('link', { name: 'selectedLock TodayPage' }).click();
    await page.getByRole('button', { name: 'Copy as text' }).click();
    await expect(page.getByText('Trace copied.')).toBeVisible();
    const text = await page.evaluate(() => navigator.clipboard.readText());
    expect(text).toContain('selectedLock, state of TodayPage: where it goes\n');
    expect(text).toMatch(/LockCard \(src\/locks\/LockList\.tsx:\d+\): /);
    await page.getByRole('button', { name: 'Copy link' }).click();
    await expect(page.getByText('Link copied.')).toBeVisible();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(page.url());
  });

  test('a link to what is gone says so and offers the rest', async ({ page }) => {
    await page.goto(`${page.url().split('?')[0]}?of=src%2FGone.tsx%23Gone~boat`);
    await expect(page.getByRole('heading', { name: 'This is not in the project any more' })).toBeVisible();
    await expect(page.getByText('src/Gone.tsx#Gone~boat')).toBeVisible();
    await expect(page.getByRole('link', { name: 'passages TodayPage' })).toBeVisible();
  });

  test('the search finds what to trace', async ({ page }) => {
    await page.keyboard.press('/');
    await page.keyboard.type('onDismiss');
    await page
      .getByRole('option', { name: /onDismiss/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('onDismiss');
  });
});

test('from the tree: a card’s prop, a strand, a finding', async ({ page }) => {
  await page.goto('/demo');
  await page
    .getByRole('treeitem', { name: /^PassageQueue/ })
    .locator('.name')
    .click();
  await page.getByRole('complementary').getByRole('link', { name: 'items', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('items');
  await expect(rungs(page).filter({ hasText: 'src/pages/TodayPage.tsx:11' })).toBeVisible();
  await page.getByRole('link', { name: 'Tree', exact: true }).click();
  await page.getByRole('button', { name: /^store levels/ }).click();
  await page.getByRole('link', { name: 'Trace it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('levels');
  await page.getByRole('link', { name: /^Findings/ }).click();
  await page
    .getByRole('option', { name: /PassageRow needs eta/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: /PassageRow needs eta/ })).toBeVisible();
  await page.getByRole('link', { name: 'Trace it' }).click();
  await expect(page).toHaveURL(/\/trace\?/);
});

test('along a strand by keyboard', async ({ page }) => {
  await page.goto('/demo');
  await page.getByRole('button', { name: /^state passages/ }).click();
  await expect(page.getByRole('list', { name: 'Knots of passages' })).toBeVisible();
  await page.getByRole('tree').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByRole('treeitem', { selected: true })).toHaveAccessibleName(/^TodayPage/);
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByRole('treeitem', { selected: true })).toHaveAccessibleName(/^LockList/);
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByRole('treeitem', { selected: true })).toHaveAccessibleName(/^TodayPage/);
});

test('a store with sixty readers: one line a component, open on demand, and nothing long on the page’s own thread', async ({ page }) => {
  const readers = Array.from({ length: 60 }, (_, index) => `<Gauge key="${index}" id="g${index}"/>`).join('');
  await openHome(page);
  await page.getByLabel('Archive').setInputFiles(
    zip('levels.zip', {
      'src/levels.ts': 'export const useLevels = create((set) => ({ north: 1, raise: () => set({ north: 2 }) }));',
      'src/App.tsx': `import { useLevels } from './levels';\nfunction Gauge({ id }) { const north = useLevels((state) => state.north); return <p title={id}>{north}</p>; }\nexport function App() { return <main>${readers}</main>; }`,
      'src/main.tsx': "import { App } from './App'; createRoot(document.body).render(<App/>);",
    }),
  );
  await page.getByRole('link', { name: 'Trace', exact: true }).click();
  await page.evaluate(() => {
    const told = { longest: 0 };
    Object.assign(window, { told });
    new PerformanceObserver((list) =>
      list.getEntries().forEach((entry) => (told.longest = Math.max(told.longest, entry.duration))),
    ).observe({ entryTypes: ['longtask'] });
  });
  await page.getByRole('link', { name: 'useLevels levels.ts' }).click();
  const fan = page.getByRole('button', { name: 'Show 60 places of Gauge' });
  await expect(fan).toBeVisible();
  await fan.click();
  await expect(page.getByRole('button', { name: 'Fold 60 places of Gauge' })).toBeVisible();
  await expect(page.locator('.rung-row', { hasText: 'takes north' }).first()).toBeVisible();
  const longest = await page.evaluate(() => (window as unknown as { told: { longest: number } }).told.longest);
  test.info().annotations.push({ type: 'longest task', description: `${longest} ms` });
});
