import { existsSync } from 'node:fs';

/**
 * Ports of this run's own, so that a bench that is running, and another run of the tests, are left alone. The runner
 * chooses them once; its workers are told by the environment.
 */
process.env.LOOSE_PULLEY_TEST_PORT ??= String(20_000 + (process.pid % 5000) * 2);
const port = Number(process.env.LOOSE_PULLEY_TEST_PORT);
export const BENCH_URL = `http://127.0.0.1:${port}`;
export const DEMO_URL = `http://127.0.0.1:${port + 1}`;

/** Debian's Chromium; as root it runs without its sandbox, and it is kept from calling home. */
const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];
export const LAUNCH = {
  executablePath: places.find((path) => existsSync(path)) ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // A camera that films a test card.
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
  ],
};
