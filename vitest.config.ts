import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['core/src/**/*.test.ts', 'cli/src/**/*.test.ts', 'web/app/**/*.test.ts', 'demo/*.test.ts', 'bench/src/**/*.test.ts'],
    testTimeout: 30_000,
  },
});
