import { defineConfig } from '@playwright/test';
import { browser, server } from './browser';

/** Takes the pictures of `docs/screenshots` from the demo. */
export default defineConfig({
  testDir: './screenshots',
  outputDir: './.results',
  timeout: 60_000,
  workers: 1,
  reporter: [['list']],
  use: browser,
  webServer: server,
});
