import { defineConfig } from '@playwright/test';
import { browser, server } from './browser';

export default defineConfig({
  testDir: './tests',
  outputDir: './.results',
  // Generous, because machines differ: nothing waits for them when all is well.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  fullyParallel: true,
  workers: 2,
  // A machine that stands still for seconds is no fault of the application; what passes at the second try is told as flaky.
  retries: 1,
  reporter: [['list']],
  forbidOnly: Boolean(process.env['CI']),
  use: browser,
  webServer: server,
});
