import { defineConfig } from 'vitest/config';

const shared = {
  environment: 'node' as const,
  // A law over many cases may take its time on a busy machine; speed is measured by the bench.
  testTimeout: 60_000,
  setupFiles: ['./vitest.setup.ts'],
};

export default defineConfig({
  test: {
    // Both cores of a small machine: the default leaves one of two idle.
    maxWorkers: 2,
    projects: [
      // What is pure stands on nothing that a test before it could have changed: modules are loaded once for all files.
      {
        test: {
          ...shared,
          name: 'pure',
          include: ['core/src/**/*.test.ts', 'lab/src/**/*.test.ts', 'server/src/**/*.test.ts'],
          isolate: false,
        },
      },
      { test: { ...shared, name: 'app', include: ['app/src/**/*.test.ts'] } },
    ],
  },
});
