import http from 'node:http';
import { expect, type Page, test } from '@playwright/test';
import { browser } from '../browser';
import { choose } from '../sources';

const port = Number(new URL(String(browser.baseURL)).port);

type Answer = { readonly status: number; readonly headers: http.IncomingHttpHeaders; readonly body: string };

/** A request as it is written, with whatever head. */
function ask(path: string, { method = 'GET', host = `localhost:${port}` }: { method?: string; host?: string } = {}): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const request = http.request({ host: '127.0.0.1', port, path, method, headers: { host } }, (response) => {
      let body = '';
      response.setEncoding('utf8');
      response.on('data', (chunk: string) => (body += chunk));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, headers: response.headers, body }));
    });
    request.on('error', reject);
    request.end();
  });
}

test('a page may load nothing from elsewhere, and every script in it carries the word of this answer', async () => {
  const { status, headers, body } = await ask('/help');
  expect(status).toBe(200);
  const policy = String(headers['content-security-policy']);
  for (const part of ["default-src 'self'", "connect-src 'self'", "object-src 'none'", "frame-ancestors 'none'", "base-uri 'none'"])
    expect(policy).toContain(part);
  const nonce = /script-src 'self' 'nonce-([^']+)'/.exec(policy)?.[1];
  expect(nonce).toBeTruthy();
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  const scripts = body.match(/<script\b[^>]*>/g) ?? [];
  expect(scripts.length).toBeGreaterThan(2);
  expect(scripts.filter((tag) => !tag.includes(`nonce="${nonce}"`))).toEqual([]);
  expect((await ask('/help')).headers['content-security-policy']).not.toContain(nonce);
});

test('every answer has its heads', async () => {
  for (const path of ['/', '/liana.svg', '/sources/react/sound', '/nothing/here']) {
    const { headers } = await ask(path);
    expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer' });
    expect(headers['permissions-policy']).toContain('camera=()');
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['x-powered-by']).toBeUndefined();
  }
});

for (const [host, status] of [
  ['localhost', 200],
  ['127.0.0.1:1', 200],
  ['[::1]:4310', 200],
  ['LOCALHOST', 200],
  ['elsewhere.example', 421],
  ['localhost.elsewhere.example', 421],
  ['local host', 400],
  ['localhost:port', 400],
  ['localhost/../x', 400],
] as const) {
  test(`asked as “${host}” it answers ${status}`, async () => {
    expect((await ask('/help', { host })).status).toBe(status);
  });
}

for (const method of ['POST', 'PUT', 'DELETE', 'OPTIONS', 'TRACE', 'PROPFIND']) {
  test(`nothing is sent to it by ${method}`, async () => {
    const { status, headers } = await ask('/', { method });
    expect(status).toBe(405);
    expect(headers.allow).toBe('GET, HEAD');
  });
}

for (const path of [
  '/%',
  '/%ff',
  '/help/%00',
  '/sources/../../package.json',
  '/assets/..%2f..%2fserver%2findex.js',
  '/sources/__proto__/sound',
  '/sources/react/constructor',
]) {
  test(`the address ${path} is nothing to it`, async () => {
    const { status, body } = await ask(path);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
    expect(body).not.toMatch(/\n\s+at /);
  });
}

test('it cannot be reached by another address of this machine', async () => {
  const { networkInterfaces } = await import('node:os');
  const others = Object.values(networkInterfaces()).flatMap((list) => (list ?? []).filter((one) => !one.internal && one.family === 'IPv4'));
  for (const { address } of others)
    await expect(
      new Promise((resolve, reject) => http.get({ host: address, port, path: '/' }, resolve).on('error', reject)),
    ).rejects.toThrow(/ECONNREFUSED/);
});

/** Through every view, with what each can do, as one would in a first hour. */
async function tour(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Open the worn demo in React' }).click();
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page
    .getByRole('treeitem', { name: /^PassageQueue/ })
    .locator('.name')
    .click();
  await expect(page.getByRole('heading', { name: 'PassageQueue' })).toBeVisible();
  await page.getByRole('link', { name: 'Trace', exact: true }).click();
  await page.getByRole('link', { name: 'passages TodayPage' }).click();
  await expect(page.locator('.rung-row').first()).toBeVisible();
  await page.getByRole('link', { name: /^Findings/ }).click();
  await choose(page, 'Group by', 'By component');
  await expect(page.locator('.cm-content').first()).toBeVisible();
  await page.getByRole('link', { name: 'By likeness' }).click();
  await expect(page.getByRole('heading', { name: 'Groups' })).toBeVisible();
  await page.getByRole('link', { name: 'Carve' }).click();
  await page.getByRole('button', { name: 'Its finished plan' }).click();
  await expect(page.frameLocator('.page-area iframe').locator('body')).not.toBeEmpty();
  await page.getByRole('button', { name: 'Skeleton', exact: true }).click();
  await expect(page.locator('.cm-content')).toBeVisible();
  await page.goto('/demo?framework=vue');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.goto('/demo?framework=svelte');
  await expect(page.getByRole('treeitem', { name: /^TodayPage/ })).toBeVisible();
  await page.goto('/help');
  await page.getByRole('link', { name: 'A prop is misspelt' }).click();
  await expect(page.getByRole('heading', { name: 'A prop is misspelt' })).toBeVisible();
}

test('a tour through the whole application sends no request elsewhere, and its policy stops nothing of its own', async ({ page }) => {
  const elsewhere: string[] = [];
  const refused: string[] = [];
  page.context().on('request', (request) => {
    const { protocol, host } = new URL(request.url());
    if (/^(http|ws)s?:$/.test(protocol) && host !== `localhost:${port}`) elsewhere.push(request.url());
  });
  page.on('console', (message) => {
    if (/Content.Security.Policy/i.test(message.text())) refused.push(message.text());
  });
  page.on('pageerror', (error) => refused.push(error.message));
  await tour(page);
  expect(elsewhere).toEqual([]);
  expect(refused).toEqual([]);
});
