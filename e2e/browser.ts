import { existsSync } from 'node:fs';

/** Ports of the tests' own, so that a bench that is running is left alone. */
export const BENCH_URL = 'http://127.0.0.1:4781';
export const DEMO_URL = 'http://127.0.0.1:4791';

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
