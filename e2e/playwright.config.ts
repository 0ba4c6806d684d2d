import { defineConfig } from '@playwright/test';
import { browser, server } from './browser';

export default defineConfig({
  testDir: './tests',
  outputDir: './.results',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  fullyParallel: true,
  workers: 2,
  reporter: [['list']],
  forbidOnly: Boolean(process.env['CI']),
  use: browser,
  webServer: server,
});
