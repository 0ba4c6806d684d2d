import { defineConfig } from '@playwright/test';
import { browser, server } from './browser';

/** A newcomer's tour of real applications, which `npm run corpus` has fetched before. Its times are printed, not asserted. */
export default defineConfig({
  testDir: './tour',
  outputDir: './.results',
  timeout: 90_000,
  expect: { timeout: 20_000 },
  workers: 1,
  reporter: [['list']],
  use: browser,
  webServer: server,
});
