import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    testTimeout: 60_000,
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts', 'cli/src/**/*.test.ts', 'demo/*.test.ts', 'bench/src/**/*.test.ts'],
          // These keep nothing between calls, so that files may share what they import: half of the time went there.
          isolate: false,
        },
      },
      // What the browser stores is one for all that share it.
      { extends: true, test: { name: 'web', include: ['web/app/**/*.test.ts'] } },
    ],
  },
});
