import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
mkdirSync('/tmp/shots', { recursive: true });
const steps = JSON.parse(process.argv[2] ?? '[]') as { name: string; to?: string; click?: string; width?: number; height?: number; dark?: boolean; press?: string; scroll?: number }[];
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'] });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
page.on('pageerror', (e) => console.log('pageerror', e.message));
page.on('console', (m) => { if (m.type() === 'error') console.log('console', m.text()); });
await page.goto('http://localhost:4310/demo?edition=' + (process.argv[3] ?? 'sound'));
await page.waitForURL(/projects\//, { timeout: 60000 });
await page.waitForTimeout(1500);
const base = page.url().match(/.*\/projects\/[^/?]+/)![0];
console.log(base);
for (const step of steps) {
  if (step.width) await page.setViewportSize({ width: step.width, height: step.height ?? 800 });
  if (step.dark !== undefined) await page.emulateMedia({ colorScheme: step.dark ? 'dark' : 'light' });
  if (step.to !== undefined) await page.goto(base + step.to);
  if (step.click) await page.locator(step.click).first().click();
  if (step.press) await page.keyboard.press(step.press);
  await page.waitForTimeout(900);
  if (step.name) await page.screenshot({ path: `/tmp/shots/${step.name}.png` });
  console.log(step.name, page.url().replace(base, ''));
}
await browser.close();
