import { defineConfig } from '@playwright/test';
import { PATIENCE_MS } from './patience';
import { BENCH_URL, DEMO_URL, LAUNCH } from './browser';

const server = (port: string, mode: string[]) => ({
  command: ['node', '../server/dist/main.js', '--port', port, ...mode].join(' '),
  url: `http://127.0.0.1:${port}/health`,
  reuseExistingServer: false,
});

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  fullyParallel: true,
  workers: 2,
  // Nothing is expected within seconds: a test waits for what is meant to happen, on however slow a machine. Only what
  // never comes is ended, and that late.
  timeout: 2 * PATIENCE_MS,
  expect: { timeout: PATIENCE_MS },
  // A test that passes only when tried again has not passed.
  retries: 0,
  forbidOnly: true,
  outputDir: '../test-results',
  reporter: [['list'], ['json', { outputFile: '../test-results/browser.json' }]],
  use: {
    baseURL: BENCH_URL,
    actionTimeout: PATIENCE_MS,
    viewport: { width: 1280, height: 800 },
    launchOptions: LAUNCH,
    // Each test is a fresh browser: keeping the whole app in it each time would only cost. One file of tests keeps it.
    serviceWorkers: 'block',
    locale: 'en-GB',
    timezoneId: 'UTC',
  },
  webServer: [server(new URL(BENCH_URL).port, []), server(new URL(DEMO_URL).port, ['--demo'])],
});
