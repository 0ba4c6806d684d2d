import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { hostilePages } from '../../testing/src/fuzz/hostile-pages';
import { openHome } from '../sources';

const folder = mkdtempSync(path.join(tmpdir(), 'liana-hostile-'));

/** A page that tries all that a page can try. */
const acting = `<!doctype html><html><head><base href="https://elsewhere.invalid/"><meta http-equiv="refresh" content="0;url=https://elsewhere.invalid/refresh">
<link rel="stylesheet" href="https://elsewhere.invalid/style.css"><link rel="preload" as="image" href="https://elsewhere.invalid/preload.png"><link rel="dns-prefetch" href="https://elsewhere.invalid">
<style>@import url(https://elsewhere.invalid/import.css); @font-face { font-family: x; src: url(https://elsewhere.invalid/font.woff) } body { background: url(https://elsewhere.invalid/ground.png) }</style>
<script>window.top.hurt = 'script'; window.top.location = 'https://elsewhere.invalid/top'</script></head>
<body onload="window.top.hurt = 'onload'" style="background-image: url('https://elsewhere.invalid/inline.png')">
<h1 onclick="top.hurt = 1">Hostile</h1><img src="https://elsewhere.invalid/picture.png" onerror="window.top.hurt = 'onerror'" srcset="https://elsewhere.invalid/set.png 2x"><img src=x onerror="window.top.hurt = 'onerror'">
<iframe src="https://elsewhere.invalid/frame"></iframe><object data="https://elsewhere.invalid/object"></object><embed src="https://elsewhere.invalid/embed"><video src="https://elsewhere.invalid/video" autoplay poster="https://elsewhere.invalid/poster.png"></video><audio src="https://elsewhere.invalid/audio" autoplay></audio>
<form action="https://elsewhere.invalid/form" method="post"><input name="a" autofocus><button formaction="https://elsewhere.invalid/button">Send</button></form>
<a href="javascript:window.top.hurt='link'">script</a><a href="https://elsewhere.invalid/link" ping="https://elsewhere.invalid/ping" target="_top">away</a>
<svg><script>window.top.hurt = 'svg'</script><image href="https://elsewhere.invalid/svg.png"/><use href="https://elsewhere.invalid/use.svg#a"/><a xlink:href="javascript:top.hurt=1"><text>x</text></a><animate onbegin="window.top.hurt='animate'" attributeName="x" dur="1s"/></svg>
<math><mtext><table><mglyph><style><img src=x onerror="window.top.hurt='mutation'"></style></mglyph></table></mtext></math><noscript><p title="</noscript><img src=x onerror=window.top.hurt='noscript'>"></noscript><textarea autofocus onfocus="window.top.hurt='focus'"></textarea>
<details open ontoggle="window.top.hurt='toggle'"><summary>x</summary></details><p id="end">The end of the page</p></body></html>`;

async function bring(page: Page, name: string, html: string): Promise<number> {
  const file = path.join(folder, name);
  writeFileSync(file, html);
  await openHome(page);
  await page.getByRole('button', { name: 'Start from a page' }).click();
  const started = Date.now();
  await page.getByLabel('Pages').setInputFiles(file);
  await expect(page.getByRole('button', { name: 'Suggest parts' })).toBeEnabled({ timeout: 40_000 });
  return Date.now() - started;
}

test('a page that acts neither runs, nor loads, nor goes anywhere', async ({ page }) => {
  const asked: string[] = [];
  page.on('request', (request) => request.url().includes('elsewhere') && asked.push(request.url()));
  await bring(page, 'acting.html', acting);
  await expect(page.frameLocator('.page-area iframe').getByText('The end of the page')).toBeVisible();
  await page.waitForTimeout(1500);
  const frame = page.frameLocator('.page-area iframe');
  expect(await frame.locator('script, iframe, object, embed, base, meta[http-equiv=refresh], link').count()).toBe(0);
  expect(await page.evaluate(() => (window as unknown as { hurt?: string }).hurt)).toBeUndefined();
  expect(asked).toEqual([]);
  expect(page.url()).toContain('/carve');
  await page.getByRole('button', { name: 'Suggest parts' }).click();
  await expect(page.getByRole('button', { name: /^Take/ }).first()).toBeVisible();
});

test('none of the ways that a page has of running or asking for something is open to it', async ({ page }) => {
  const asked: string[] = [];
  page.on('request', (request) => request.url().includes('elsewhere') && asked.push(request.url()));
  // What nothing closes would swallow those after it.
  const last = (html: string): boolean => /nothing closes|<frameset|<!--/.test(html);
  const all = [...hostilePages].sort(([a, one], [b, other]) => Number(last(a + one)) - Number(last(b + other)));
  await bring(
    page,
    'all.html',
    `<main><h1>All</h1>${all.map(([name, html]) => `<section title="${name}">${html}</section>`).join('')}</main>`,
  );
  await page.getByRole('button', { name: 'Suggest parts' }).click();
  await expect(page.getByRole('button', { name: /^Take/ }).first()).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { hurt?: string }).hurt)).toBeUndefined();
  expect(asked).toEqual([]);
});

test('a page that names its own elements as the browser names its methods is measured all the same', async ({ page }) => {
  await bring(
    page,
    'named.html',
    `<!doctype html><body><img name="querySelectorAll" alt=""><img name="defaultView" alt=""><img name="body" alt="">
    <form><input name="getBoundingClientRect"><input name="getAttribute"><input name="children"><button>Send</button></form>
    <ul>${'<li><b>Heron</b> <span>10:20</span></li>'.repeat(4)}</ul></body>`,
  );
  await page.getByRole('button', { name: 'Suggest parts' }).click();
  await page.getByRole('button', { name: /^Take all/ }).click();
  await expect(page.locator('.mark').first()).toBeVisible();
  expect(await page.locator('.mark').count()).toBeGreaterThan(3);
});

const huge: Readonly<Record<string, { html: string; says: RegExp }>> = {
  'thirty million characters': {
    html: `<main>${'<p>Low water until four.</p>'.repeat(1_100_000)}</main>`,
    says: /million characters; only the first 8 million are read/,
  },
  'two hundred thousand elements': {
    html: `<main>${'<i>x</i>'.repeat(200_000)}</main>`,
    says: /more than 60,000 elements and texts; it is shown up to line/,
  },
  'endless nesting': { html: '<div>'.repeat(60_000), says: /nest more than 120 deep at line 1/ },
  'endless formatting': { html: '<p><b><i>'.repeat(8_000), says: /nest more than 120 deep|more than 60,000/ },
};

for (const [title, { html, says }] of Object.entries(huge)) {
  test(`${title}: cut with a message, and the view still answers`, async ({ page }) => {
    test.setTimeout(90_000);
    const took = await bring(page, 'huge.html', html);
    await expect(page.getByRole('note')).toContainText(says, { timeout: 40_000 });
    console.log(`${title}: ${took} ms`);
    await page.getByRole('button', { name: 'Values', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'What it knows, and where that should live' })).toBeVisible();
  });
}

test('what is no page is refused in plain words, and nothing is kept', async ({ page }) => {
  await openHome(page);
  await page.getByRole('button', { name: 'Start from a page' }).click();
  await page.getByLabel('Pages').setInputFiles({ name: 'broken.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/The browser cannot read this picture/)).toBeVisible();
  await page.getByLabel('Pages').setInputFiles({ name: 'notes.css', mimeType: 'text/css', buffer: Buffer.from('a {}') });
  await expect(page.getByText(/There is no picture and no saved page in that/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Begin with a page' })).toBeVisible();
});
