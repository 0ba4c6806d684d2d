import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['core/src/**/*.test.ts', 'cli/src/**/*.test.ts', 'web/app/**/*.test.ts', 'demo/*.test.ts', 'bench/src/**/*.test.ts'],
    testTimeout: 30_000,
    // The core keeps nothing between calls but what its compilers are, so that files may share what they import: half of the time went there.
    isolate: false,
    maxWorkers: 2,
  },
});
