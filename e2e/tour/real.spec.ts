import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';
import { zip } from '../sources';
import { scroll, step, type Step, table, watchTasks } from './measure';

const corpus = fileURLToPath(new URL('../../bench/.corpus', import.meta.url));

/** The folder of a package of the corpus, whatever its version. */
function packageFolder(name: string): string | undefined {
  const found = existsSync(corpus) ? readdirSync(corpus).find((one) => one.startsWith(`${name}_`)) : undefined;
  return found && path.join(corpus, found);
}

function filesOf(folder: string, below = ''): Record<string, Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  for (const name of readdirSync(path.join(folder, below))) {
    const file = below === '' ? name : `${below}/${name}`;
    if (statSync(path.join(folder, file)).isDirectory()) {
      if (name !== 'node_modules' && name !== 'dist') Object.assign(files, filesOf(folder, file));
    } else if (/\.(?:[jt]sx?|vue|svelte|json|mjs|html)$/.test(name)) files[file] = readFileSync(path.join(folder, file));
  }
  return files;
}

async function bringIn(page: Page, name: string, folder: string): Promise<Step> {
  await watchTasks(page);
  await page.goto('/');
  const field = page.getByLabel('Zip archive', { exact: true });
  await expect(page.getByRole('button', { name: 'Choose a zip archive' })).toBeVisible();
  const files = zip(`${name}.zip`, filesOf(folder));
  const began = Date.now();
  await field.setInputFiles(files);
  await page.getByRole('treeitem').first().waitFor();
  return {
    what: 'open the archive',
    took: Date.now() - began,
    longest: await page.evaluate(() => Math.round(Math.max(0, ...(window as unknown as { longTasks: number[] }).longTasks))),
  };
}

for (const { name, title } of [
  { name: '_medusajs_dashboard', title: '@medusajs/dashboard' },
  { name: 'docus', title: 'docus' },
]) {
  const folder = packageFolder(name);

  test(`by mouse: ${title}`, async ({ page }) => {
    test.skip(folder === undefined, 'npm run corpus fetches it.');
    const steps: Step[] = [await bringIn(page, name, folder ?? '')];
    const rows = page.getByRole('treeitem');
    const card = page.getByRole('complementary', { name: 'What is chosen' });
    const chooser = page.getByRole('combobox', { name: 'Page', exact: true });
    steps.push(await step(page, 'list the pages', () => chooser.click(), page.getByRole('option').first()));
    const second = page.getByRole('option').nth(1);
    const chosen = (await second.locator('b').textContent()) ?? '';
    const size = (await second.locator('span').last().textContent()) ?? '';
    steps.push(
      await step(
        page,
        `choose the page ${chosen} of ${size}`,
        () => second.click(),
        page.locator('.controls > span').filter({ hasText: size }),
      ),
    );
    steps.push(
      await step(
        page,
        'back to the first',
        async () => {
          await chooser.click();
          await page.getByRole('option').first().click();
        },
        rows.nth(2),
      ),
    );
    steps.push(await scroll(page, page.locator('.tree-scroll'), 240, 60));
    await page.locator('.tree-scroll').evaluate((element) => void (element.scrollTop = 0));
    const traced = card.locator('.entry a').first();
    await expect(rows.first()).toBeVisible();
    for (const label of (await rows.locator('.name').allTextContents()).slice(1, 12)) {
      const row = page.getByRole('treeitem').filter({ has: page.getByText(label, { exact: true }) });
      steps.push(
        await step(
          page,
          `choose the component ${label}`,
          () => row.first().locator('.name').click(),
          card.getByRole('heading', { name: label, exact: true }),
        ),
      );
      if ((await traced.count()) > 0) break;
    }
    const value = (await traced.textContent()) ?? '';
    steps.push(await step(page, `trace ${value}`, () => traced.click(), page.locator('.rung-row').first()));
    steps.push(
      await step(
        page,
        'what changes it',
        () => page.getByRole('button', { name: 'What changes it' }).click(),
        page.getByRole('region', { name: /^What changes it/ }),
      ),
    );
    steps.push(
      await step(
        page,
        'findings',
        () => page.getByRole('link', { name: /^Findings/ }).click(),
        page.getByRole('listbox').getByRole('option').first(),
      ),
    );
    const next = page.getByRole('listbox').getByRole('option').last();
    const words = ((await next.locator('b').textContent()) ?? '').slice(0, 40);
    steps.push(
      await step(
        page,
        'choose a finding',
        () => next.click(),
        page.getByRole('region', { name: 'The finding' }).getByRole('heading', { name: words }),
      ),
    );
    steps.push(await scroll(page, page.locator('.finding-list'), 400, 40));
    console.log(table(`${title}, by mouse`, steps));
  });

  test(`by keyboard alone: ${title}`, async ({ page }) => {
    test.skip(folder === undefined, 'npm run corpus fetches it.');
    const steps: Step[] = [await bringIn(page, name, folder ?? '')];
    const tree = page.getByRole('tree');
    const press = (key: string) => () => page.keyboard.press(key);
    steps.push(
      await step(
        page,
        'the search, by /',
        press('/'),
        page.getByRole('combobox', { name: /^Find a component/ }).and(page.locator(':focus')),
      ),
    );
    const label = (await page.getByRole('treeitem').nth(1).locator('.name').textContent()) ?? '';
    await page.keyboard.type(label.slice(0, -1));
    steps.push(
      await step(
        page,
        `find ${label}`,
        () => page.keyboard.type(label.slice(-1)),
        page.getByRole('option').filter({ hasText: label }).first(),
      ),
    );
    steps.push(
      await step(
        page,
        'go there',
        press('Enter'),
        page.getByRole('complementary', { name: 'What is chosen' }).getByRole('heading').first(),
      ),
    );
    for (let tries = 0; tries < 80 && !(await tree.evaluate((element) => element === document.activeElement)); tries++)
      await page.keyboard.press('Tab');
    await expect(tree).toBeFocused();
    const selected = page.getByRole('treeitem', { selected: true });
    const before = await selected.getAttribute('id');
    const other = page.locator(`[role=treeitem][aria-selected=true]:not([id="${before}"])`);
    steps.push(await step(page, 'the next row', press('ArrowDown'), other));
    steps.push(await step(page, 'the next loose end, or none', press('n'), page.getByRole('treeitem').first()));
    console.log(table(`${title}, by keyboard`, steps));
  });
}
