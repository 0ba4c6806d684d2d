import { expect, test } from '@playwright/test';
import { large, openHome, zip } from '../sources';

test.describe('the demo’s tree', () => {
  test.beforeEach(async ({ page }) => {
    await page.goto('/demo');
    await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  });

  test('choosing a component tells its contract, who gives what, and shows the code', async ({ page }) => {
    await page
      .getByRole('treeitem', { name: /^PassageQueue/ })
      .locator('.name')
      .click();
    const card = page.getByRole('complementary', { name: 'What is chosen' });
    await expect(card.getByRole('heading', { name: 'PassageQueue' })).toBeVisible();
    await expect(card).toContainText('Placed by LockCard, which also owns it.');
    await expect(card).toContainText('from passages of TodayPage, 3 components up, under another name');
    await expect(card).toContainText('PassageRow needs eta, and nothing passes it.');
    await expect(card.locator('.cm-marked', { hasText: 'PassageRow' })).toBeVisible();
  });

  test('owner and parent are told apart', async ({ page }) => {
    await page
      .getByRole('treeitem', { name: /^NoticeStrip/ })
      .locator('.name')
      .click();
    await expect(page.getByRole('complementary')).toContainText(
      'Owned by TodayPage, which passes its props. Placed in AppShell. It stands in the children of AppShell.',
    );
  });

  test('choosing a strand lists its knots; a knot shows its line of code with file and line', async ({ page }) => {
    await page.getByRole('button', { name: /^state passages/ }).click();
    const knots = page.getByRole('list', { name: 'Knots of passages' });
    await expect(knots.getByRole('button')).toHaveCount(9);
    await knots.getByRole('button', { name: /^LockCard/ }).click();
    await expect(page).toHaveURL(/place=.*LockCard/);
    await expect(page.getByRole('complementary').locator('figcaption').first()).toContainText('src/locks/LockList.tsx:16');
    await expect(page.getByRole('complementary').locator('.cm-marked').first()).toHaveText('passages={passages}');
  });

  test('a knot in the drawing can be clicked', async ({ page }) => {
    await page.locator('.knot', { has: page.locator('title', { hasText: 'eta: loose end' }) }).click();
    await expect(page.getByRole('complementary')).toContainText('PassageRow needs eta, and nothing passes it.');
    await expect(page.getByRole('complementary').locator('.cm-marked').first()).toBeVisible();
  });

  test('rows fold and unfold', async ({ page }) => {
    await page.getByRole('button', { name: 'Fold LockList' }).click();
    await expect(page.getByRole('treeitem', { name: /^PassageRow/ })).toBeHidden();
    await page.getByRole('button', { name: 'Unfold LockList' }).click();
    await expect(page.getByRole('treeitem', { name: /^PassageRow/ })).toBeVisible();
  });

  test('only loose ends; kinds of strands; what is hidden is counted', async ({ page }) => {
    await page.getByRole('button', { name: /^loose ends/ }).click();
    await expect(page.getByRole('group', { name: 'Strands' }).getByRole('button')).toHaveCount(3);
    await expect(page.getByRole('status').filter({ hasText: 'strands' })).toHaveText('23 places. 3 of 18 strands.');
    await page.getByRole('button', { name: /^loose ends/ }).click();
    await page.getByRole('button', { name: /^events/ }).click();
    await expect(page.getByRole('button', { name: /^event onSelect/ })).toBeHidden();
  });

  test('another page of the project', async ({ page }) => {
    await page.getByLabel('Page', { exact: true }).fill('lock');
    await page.getByRole('option', { name: /^LockPage/ }).click();
    await expect(page.getByRole('treeitem', { name: /^LockPage/ })).toBeVisible();
    await expect(page.getByRole('button', { name: /^context keeper, loose end/ })).toBeVisible();
  });

  test('the search finds a prop and leads to it', async ({ page }) => {
    await page.keyboard.press('/');
    await page.keyboard.type('canClear');
    await page
      .getByRole('option', { name: /canClear/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { name: 'StatusPill' })).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /^StatusPill/, selected: true })).toBeVisible();
    await expect(page.getByRole('complementary').locator('.cm-marked').first()).toContainText('canClear');
  });

  test('the search finds nothing of a name that is not there', async ({ page }) => {
    await page.getByRole('combobox', { name: /^Find a component/ }).fill('zebra');
    await expect(page.getByRole('option')).toHaveCount(0);
    await expect(page.getByText('Nothing in the project has a name like this.')).toBeVisible();
  });

  test('the search leads to its first hit by Enter', async ({ page }) => {
    await page.keyboard.press('/');
    await page.keyboard.type('LevelGauge');
    await expect(page.getByRole('option').first()).toContainText('LevelGauge');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'LevelGauge' })).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /^LevelGauge/, selected: true })).toBeVisible();
  });

  test('of two quick clicks neither is lost', async ({ page }) => {
    await page.evaluate(() => {
      [...document.querySelectorAll<HTMLElement>('[role=treeitem] .name')].find((one) => one.innerText === 'LockList')?.click();
      document.querySelector<HTMLElement>('[aria-label^="state passages"]')?.click();
    });
    await expect(page.getByRole('list', { name: 'Knots of passages' })).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /^LockList/, selected: true })).toBeVisible();
  });

  test('reload, back and a copied link come back to the same place', async ({ page, context }) => {
    await page
      .getByRole('treeitem', { name: /^LockList/ })
      .locator('.name')
      .click();
    await expect(page.getByRole('treeitem', { name: /^LockList/, selected: true })).toBeVisible();
    await page.getByRole('button', { name: /^state passages/ }).click();
    await expect(page.getByRole('list', { name: 'Knots of passages' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('list', { name: 'Knots of passages' })).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /^LockList/, selected: true })).toBeVisible();
    const second = await context.newPage();
    await second.goto(page.url());
    await expect(second.getByRole('list', { name: 'Knots of passages' })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('list', { name: 'Knots of passages' })).toBeHidden();
    await expect(page.getByRole('heading', { name: 'LockList' })).toBeVisible();
  });
});

test('by keyboard alone, from the first page to a line of code', async ({ page }) => {
  await openHome(page);
  const demo = page.getByRole('button', { name: 'Open the worn demo in React' });
  await expect(demo).toBeVisible();
  for (let tries = 0; tries < 10 && !(await demo.evaluate((element) => element === document.activeElement)); tries++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const tree = page.getByRole('tree');
  await expect(tree).toBeVisible();
  for (let tries = 0; tries < 60 && !(await tree.evaluate((element) => element === document.activeElement)); tries++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('treeitem', { selected: true })).toHaveAccessibleName(/^TodayPage/);
  for (const name of [/^AppShell/, /^TopBar/]) {
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('treeitem', { selected: true })).toHaveAccessibleName(name);
  }
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('treeitem', { name: /^KeeperMenu/ })).toBeHidden();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('treeitem', { name: /^KeeperMenu/ })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('treeitem', { selected: true })).toHaveAccessibleName(/^AlarmBadge/);
  await expect(page.getByRole('heading', { name: 'AlarmBadge' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'What derives from what' })).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'alarm', exact: true })).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'What if AlarmBadge stood elsewhere?' })).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Code of src/shell/TopBar.tsx, line 14')).toBeFocused();
});

test('three hundred rows and eighty strands: scrolls, counts what it hides, and never blocks for long', async ({ page }) => {
  await page.addInitScript(() => {
    const found: number[] = [];
    (window as { tasks?: number[] }).tasks = found;
    new PerformanceObserver((list) => found.push(...list.getEntries().map((entry) => entry.duration))).observe({
      type: 'longtask',
      buffered: true,
    });
  });
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(zip('many.zip', large(300)));
  await expect(page.getByRole('treeitem', { name: /^Part1\b/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('status').filter({ hasText: 'strands' })).toContainText(
    /^Rows 1 to \d+ of \d+. \d+ columns for the \d+ strands/,
  );
  await page.evaluate(() => ((window as { tasks?: number[] }).tasks ?? []).splice(0));
  const scroll = page.locator('.tree-scroll');
  for (let at = 0; at < 12; at++) {
    await scroll.evaluate((element, top) => element.scrollTo(0, top), at * 700);
    await page.waitForTimeout(60);
  }
  await expect(page.getByRole('treeitem', { name: /^Part280\b/ })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'strands' })).toContainText(/^Rows 2\d\d to/);
  const longest = await page.evaluate(() => Math.max(0, ...((window as { tasks?: number[] }).tasks ?? [])));
  expect(longest).toBeLessThan(250);
});

test('what stands above already is one row that opens; rows are filtered by name; what is above is pinned', async ({ page }) => {
  const level = (at: number): string => `export function P${at}() { return <>${`<P${at + 1}/>`.repeat(3)}</>; }`;
  const deep = [
    ...Array.from({ length: 9 }, (_, at) => level(at)),
    'export function P9() { return <Leaf/>; }',
    'export function Leaf() { return <p/>; }',
  ];
  await openHome(page);
  await page.getByLabel('Zip archive', { exact: true }).setInputFiles(
    zip('deep.zip', {
      'src/parts.tsx': deep.join('\n'),
      'src/main.tsx': "import { P0 } from './parts'; createRoot(document.body).render(<P0/>);",
    }),
  );
  const folded = page.getByRole('treeitem', { name: /^P9, as above, 1 place/ }).first();
  await expect(folded).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('treeitem', { name: /^Leaf/ })).toHaveCount(1);
  await folded.getByRole('button', { name: 'Unfold P9' }).click();
  await expect(page.getByRole('treeitem', { name: /^Leaf/ })).toHaveCount(2);
  await expect(page).toHaveURL(/open=/);
  await page.getByLabel('Filter rows by name').fill('leaf');
  await expect(page.getByRole('treeitem')).toHaveCount(11);
  await expect(page.getByRole('treeitem', { name: /^P0/ })).toBeVisible();
  const border = page.getByRole('separator', { name: /^Border between/ });
  const before = await border.getAttribute('aria-valuenow');
  await border.press('ArrowRight');
  await expect(border).not.toHaveAttribute('aria-valuenow', before ?? '');
});
