import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['core/src/**/*.test.ts', 'lab/src/**/*.test.ts', 'app/src/**/*.test.ts', 'server/src/**/*.test.ts'],
    environment: 'node',
    // A law over many cases may take its time on a busy machine; speed is measured by the bench.
    testTimeout: 60_000,
    setupFiles: ['./vitest.setup.ts'],
  },
});
