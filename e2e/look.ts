import { chromium } from '@playwright/test';
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: '--no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync'.split(
    ' ',
  ),
});
const page = await browser.newPage({
  viewport: { width: Number(process.env.W ?? 1280), height: 800 },
  colorScheme: (process.env.SCHEME as 'dark') ?? 'light',
});
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text()));
page.on('pageerror', (e) => console.log('error', e.message));
await page.goto('http://localhost:4310/');
const run = await import(process.argv[2] as string);
await run.default(page, (name: string) => page.screenshot({ path: `/tmp/shots/${name}.png` }));
await browser.close();
