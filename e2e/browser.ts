import type { PlaywrightTestConfig } from '@playwright/test';

const port = 4312;

/** Debian's Chromium, at the size that every view must work at. */
export const browser: NonNullable<PlaywrightTestConfig['use']> = {
  baseURL: `http://localhost:${port}`,
  viewport: { width: 1280, height: 800 },
  colorScheme: 'light',
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  },
};

/** The built application, as `npm start` serves it. */
export const server: NonNullable<PlaywrightTestConfig['webServer']> = {
  command: 'node ../scripts/start.mjs',
  url: `http://localhost:${port}`,
  env: { PORT: String(port) },
  reuseExistingServer: false,
  timeout: 30_000,
};
