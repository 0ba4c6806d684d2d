import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { act, choose, openHome } from '../sources';

const pages = fileURLToPath(new URL('../../demo/pages/', import.meta.url));

/** Drops files of the demo's pages onto the view, as from a file manager. */
async function drop(page: Page, ...names: string[]): Promise<void> {
  const files = names.map((name) => ({
    name,
    type: name.endsWith('.png') ? 'image/png' : 'text/html',
    base64: readFileSync(pages + name).toString('base64'),
  }));
  await page.evaluate((given) => {
    const transfer = new DataTransfer();
    for (const { name, type, base64 } of given)
      transfer.items.add(new File([Uint8Array.from(atob(base64), (one) => one.charCodeAt(0))], name, { type }));
    document.querySelector('.carve')?.dispatchEvent(new DragEvent('drop', { dataTransfer: transfer, bubbles: true, cancelable: true }));
  }, files);
}

/** Draws a box on the page, in the page's own pixels. */
async function draw(page: Page, x: number, y: number, width: number, height: number, pageWidth = 1280): Promise<void> {
  const area = page.locator('.page-area');
  // The top of the page may be scrolled away: the wheel brings it back.
  await page.locator('.stage-scroll').evaluate((element, to) => element.scrollTo(0, to), 0);
  const box = await area.boundingBox();
  if (!box) throw new Error('no page');
  const share = box.width / pageWidth;
  await page.mouse.move(box.x + x * share, box.y + y * share);
  await page.mouse.down();
  await page.mouse.move(box.x + (x + width / 2) * share, box.y + (y + height / 2) * share);
  await page.mouse.move(box.x + (x + width) * share, box.y + (y + height) * share);
  await page.mouse.up();
}

async function name(page: Page, text: string): Promise<void> {
  await expect(page.getByRole('heading', { name: /^Part\d+$/ })).toBeVisible();
  await page.getByLabel('Name').fill(text);
  await page.getByLabel('Name').press('Enter');
  await expect(page.getByRole('treeitem', { name: new RegExp(`^${text}`) }).first()).toBeVisible();
}

async function startPlan(page: Page): Promise<void> {
  await openHome(page);
  await page.getByRole('button', { name: 'Start from a page' }).click();
  await expect(page.getByRole('heading', { name: 'Begin with a page' })).toBeVisible();
}

async function skeletonOf(page: Page): Promise<Record<string, string>> {
  await page.getByRole('button', { name: 'Skeleton' }).click();
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Download \d+ files/ }).click();
  const file = await (await coming).path();
  return Object.fromEntries(Object.entries(unzipSync(readFileSync(file))).map(([path, bytes]) => [path, strFromU8(bytes)]));
}

test('by mouse: from a dropped picture to a skeleton', async ({ page }) => {
  await startPlan(page);
  await drop(page, 'today.png');
  await expect(page.locator('.page-area img')).toBeVisible();
  await draw(page, 2, 1, 1274, 47);
  await name(page, 'TopBar');
  await draw(page, 158, 421, 964, 235);
  await name(page, 'LockCard');
  await page.getByRole('button', { name: 'Find repeats' }).click();
  await expect(page.getByRole('treeitem', { name: /^LockCard ×3/ })).toBeVisible();
  await expect(page.getByText('2 more like LockCard marked')).toBeVisible();
  const files = await skeletonOf(page);
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining(['src/pages/TodayPage.tsx', 'src/parts/TopBar.tsx', 'src/parts/LockCard.tsx', 'package.json']),
  );
  expect(files['src/pages/TodayPage.tsx']).toContain('{locks.map((lock) => (');
});

test('by keyboard: from a chosen picture to a skeleton', async ({ page }) => {
  await startPlan(page);
  const choosing = page.waitForEvent('filechooser');
  const choose = page.getByRole('button', { name: 'Choose a picture or a page' });
  for (let tries = 0; tries < 25 && !(await choose.evaluate((element) => element === document.activeElement)); tries++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await (await choosing).setFiles(`${pages}roster.png`);
  await expect(page.locator('.page-area img')).toBeVisible();
  const stage = page.locator('.stage-scroll');
  for (let tries = 0; tries < 40 && !(await stage.evaluate((element) => element === document.activeElement)); tries++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('n');
  await expect(page.getByRole('treeitem', { name: /^Part1/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name')).toBeFocused();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('ShiftTable');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('treeitem', { name: /^ShiftTable/ })).toBeVisible();
  await stage.focus();
  const before = await page.locator('.mark.chosen').boundingBox();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Alt+ArrowRight');
  await expect.poll(async () => (await page.locator('.mark.chosen').boundingBox())?.y ?? 0).toBeGreaterThan(before?.y ?? 0);
  for (
    let tries = 0;
    tries < 40 && !(await page.getByRole('button', { name: 'Skeleton' }).evaluate((element) => element === document.activeElement));
    tries++
  )
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const download = page.getByRole('button', { name: /^Download \d+ files/ });
  for (let tries = 0; tries < 10 && !(await download.evaluate((element) => element === document.activeElement)); tries++)
    await page.keyboard.press('Tab');
  const coming = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  expect((await coming).suggestedFilename()).toBe('a-new-plan-skeleton.zip');
});

test('a pasted picture becomes a page; a name that is taken is refused, and two parts can be made one', async ({ page }) => {
  await startPlan(page);
  const base64 = readFileSync(`${pages}roster.png`).toString('base64');
  await page.evaluate((content) => {
    const transfer = new DataTransfer();
    transfer.items.add(new File([Uint8Array.from(atob(content), (one) => one.charCodeAt(0))], 'roster.png', { type: 'image/png' }));
    document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: transfer }));
  }, base64);
  await expect(page.locator('.page-area img')).toBeVisible();
  await draw(page, 2, 1, 1274, 47);
  await name(page, 'TopBar');
  await draw(page, 300, 300, 200, 60);
  await expect(page.getByRole('heading', { name: /^Part\d+$/ })).toBeVisible();
  await page.getByLabel('Name').fill('top-bar');
  await page.getByLabel('Name').press('Enter');
  await expect(page.getByRole('alert')).toContainText(/PascalCase|Another part is called TopBar/);
  await choose(page, 'Same part as', 'TopBar');
  await expect(page.getByRole('treeitem', { name: /^TopBar ×2/ })).toBeVisible();
  await expect(page.getByRole('treeitem')).toHaveCount(2);
});

test('undo goes back over more than fifty steps, and redo forth again', async ({ page }) => {
  await startPlan(page);
  await drop(page, 'roster.png');
  await draw(page, 2, 1, 1274, 47);
  const mark = page.locator('.mark.chosen');
  await expect(mark).toBeVisible();
  await page.locator('.stage-scroll').focus();
  const left = async (): Promise<number> => Number.parseFloat(await mark.evaluate((element) => (element as HTMLElement).style.left));
  const start = await left();
  for (let step = 0; step < 55; step++) await page.keyboard.press('ArrowRight');
  await expect.poll(left).toBeGreaterThan(start + 20);
  for (let step = 0; step < 55; step++) await page.keyboard.press('ControlOrMeta+z');
  await expect.poll(left).toBe(start);
  for (let step = 0; step < 55; step++) await page.keyboard.press('ControlOrMeta+Shift+z');
  await expect.poll(left).toBeGreaterThan(start + 20);
});

test('a picture: what stands out and what repeats is suggested, taken, named, and is a skeleton', async ({ page }) => {
  await startPlan(page);
  await drop(page, 'today.png');
  await expect(page.locator('.page-area img')).toBeVisible();
  const press = async (role: 'button', named: RegExp | string): Promise<void> => {
    await page.getByRole(role, { name: named }).first().focus();
    await page.keyboard.press('Enter');
  };
  await press('button', 'Suggest parts');
  await expect(page.getByText('told from the picture alone')).toBeVisible();
  const all = page.getByRole('button', { name: /^Take all \d+$/ });
  const offered = Number((await all.textContent())?.match(/\d+/)?.[0]);
  expect(offered).toBeGreaterThanOrEqual(5);
  await page
    .getByRole('button', { name: /^Leave / })
    .last()
    .focus();
  await page.keyboard.press('Enter');
  await expect(all).toHaveText(`Take all ${offered - 1}`);
  await press('button', /^Take all/);
  await expect(page.getByText('Nothing is left to take.')).toBeVisible();
  // A card stands several times, and has props for what stands in it.
  const card = page.getByRole('treeitem', { name: /^Card\d* ×/ }).first();
  await card.click();
  await page.getByRole('button', { name: 'Part', exact: true }).click();
  await expect(page.getByLabel('Props')).toHaveValue(/title: string/);
  await page.getByLabel('Name', { exact: true }).fill('LockCard');
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await expect(page.getByRole('treeitem', { name: /^LockCard ×/ })).toBeVisible();
  const files = await skeletonOf(page);
  expect(Object.keys(files).filter((path) => path.endsWith('.tsx')).length).toBeGreaterThanOrEqual(offered - 1);
});

test('a reload in the middle of the work loses nothing', async ({ page }) => {
  await startPlan(page);
  await drop(page, 'today.png');
  await draw(page, 158, 421, 964, 235);
  await name(page, 'LockCard');
  await page.reload();
  await expect(page.getByRole('treeitem', { name: /^LockCard/, selected: true })).toBeVisible();
  await expect(page.locator('.page-area img')).toBeVisible();
  await expect(page.locator('.mark')).toHaveCount(1);
});

test('a saved page: suggested parts are taken, repeats say what varies, the plan is in the code', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  await page.getByRole('link', { name: 'Carve' }).click();
  await page.getByRole('button', { name: 'Its pages, not yet marked' }).click();
  await choose(page, 'Page', 'TodayPage, today.html');
  await page.getByRole('button', { name: 'Suggest parts' }).click();
  await page.getByRole('button', { name: 'Leave NavBar' }).click();
  await page.getByRole('button', { name: /^Take all/ }).click();
  await expect(page.getByRole('treeitem', { name: /^LockCard ×3.*selected/ })).toBeVisible();
  await page.getByRole('button', { name: 'Skeleton' }).click();
  await choose(page, 'Framework', 'Svelte');
  await expect(page).toHaveURL(/framework=svelte/);
  await expect(page.getByRole('combobox', { name: 'File', exact: true })).toHaveText(/\.svelte$/);
  await choose(page, 'Framework', 'React');
  await page.getByRole('button', { name: 'In the code' }).click();
  await expect(page.getByRole('link', { name: 'LockCard in the tree' })).toBeVisible();
  await page.getByRole('link', { name: 'LockCard in the tree' }).click();
  await expect(page.getByRole('heading', { name: 'LockCard' })).toBeVisible();
  await page.getByRole('link', { name: 'Its part on the page' }).click();
  await expect(page.getByRole('treeitem', { name: /^LockCard/, selected: true })).toBeVisible();
});

test('the finished plan says where values live, at once when a part moves', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  await page.getByRole('link', { name: 'Carve' }).click();
  await page.getByRole('button', { name: 'Its finished plan' }).click();
  const row = (value: string) => page.getByRole('row', { name: new RegExp(`^${value}`) });
  await expect(row('levels')).toContainText('a store');
  await expect(row('selectedLock')).toContainText('2 down, 2 up');
  await row('selectedLock').getByRole('button').click();
  await page.getByRole('group', { name: 'Who shows it, or decides by it' }).getByLabel('LockPanel').uncheck();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(row('selectedLock')).toContainText('LockList');
  await expect(row('selectedLock')).toContainText('1 down, 1 up');
  await page.getByRole('button', { name: 'Strands' }).click();
  await expect(page.getByRole('button', { name: /selectedLock/ }).first()).toBeVisible();
});

test('a project file takes the plan, its pages and its source to another browser', async ({ page, browser }) => {
  await page.goto('/demo?edition=sound');
  await page.getByRole('link', { name: 'Carve' }).click();
  await page.getByRole('button', { name: 'Its finished plan' }).click();
  await expect(page.getByRole('row', { name: /^levels/ })).toBeVisible();
  const coming = page.waitForEvent('download');
  await act(page, 'More to do with the page', 'Project file (.liana.zip)');
  const file = await coming;
  const elsewhere = await (await browser.newContext()).newPage();
  await openHome(elsewhere);
  await elsewhere
    .getByLabel('Zip archive')
    .setInputFiles({ name: file.suggestedFilename(), mimeType: 'application/zip', buffer: readFileSync(await file.path()) });
  await expect(elsewhere.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await elsewhere.getByRole('link', { name: 'Carve' }).click();
  await expect(elsewhere.getByRole('row', { name: /^levels/ })).toContainText('a store');
  await expect(elsewhere.frameLocator('.page-area iframe').getByText('Marsh Heron')).toBeVisible();
});

for (const [entry, ending, holds] of [
  ['This page with its marks (.svg)', 'svg', '<svg'],
  ['Tree as Mermaid (.mmd)', 'mmd', 'flowchart TD'],
  ['Tree as DOT (.dot)', 'dot', 'digraph'],
  ['This page with its marks (.png)', 'png', 'PNG'],
  ['Markdown with pictures (.zip)', 'zip', 'plan.md'],
] as const) {
  test(`the plan: ${entry}`, async ({ page }) => {
    await startPlan(page);
    await drop(page, 'roster.png');
    await draw(page, 2, 1, 1274, 47);
    await expect(page.locator('.mark')).toHaveCount(1);
    const coming = page.waitForEvent('download');
    await act(page, 'More to do with the page', entry);
    const file = await coming;
    expect(file.suggestedFilename()).toMatch(new RegExp(`^a-new-plan.*\\.${ending}$`));
    expect(readFileSync(await file.path()).toString('latin1')).toContain(holds);
  });
}

test('the same block on other pages is found too; a JPEG is a page like any other', async ({ page }) => {
  await page.goto('/demo?edition=sound');
  await page.getByRole('link', { name: 'Carve' }).click();
  await page.getByRole('button', { name: 'Its pages, not yet marked' }).click();
  await choose(page, 'Page', 'TodayPage, today.html');
  await page.getByRole('button', { name: 'Suggest parts' }).click();
  await page.getByRole('button', { name: 'Take TopBar' }).click();
  await page.getByRole('treeitem', { name: /^TopBar/ }).click();
  await expect(page.getByRole('heading', { name: 'TopBar' })).toBeVisible();
  await page.getByRole('button', { name: 'Find repeats' }).click();
  await expect(page.getByRole('treeitem', { name: /^TopBar/ })).toHaveCount(3);
  await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [400, 300];
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg'));
    const transfer = new DataTransfer();
    if (blob) transfer.items.add(new File([blob], 'basin.jpeg', { type: blob.type }));
    document.querySelector('.carve')?.dispatchEvent(new DragEvent('drop', { dataTransfer: transfer, bubbles: true, cancelable: true }));
  });
  await expect(page.getByText('400 × 300')).toBeVisible();
  await expect(page.getByRole('treeitem', { name: /^BasinPage/ })).toBeVisible();
});
