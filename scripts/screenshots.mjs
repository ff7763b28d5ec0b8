import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensurePackages, root } from './setup.mjs';

/* npm run screenshots: one current picture a main view, from the demo's data, into docs/screenshots. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
if (!ensureChromium()) process.exit(1);
ensureBuilt();
const { chromium } = await import('@playwright/test');

const PORT = 4830;
const SHOTS = [
  { file: 'bench', path: '/' },
  { file: 'measure', path: '/t/demo-0147/measure' },
  { file: 'size', path: '/t/demo-0147/size' },
  { file: 'size-lamp', path: '/t/demo-0147/size', lamp: true },
  { file: 'size-phone', path: '/t/demo-0147/size', width: 390, height: 844 },
  { file: 'handback', path: '/t/demo-0118/handBack' },
  // A4 at 96 dots an inch.
  { file: 'sheet', path: '/t/demo-0118/sheet', width: 794, height: 1123, print: true },
];

const server = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--demo', '--port', String(PORT)], {
  stdio: 'ignore',
});
for (let i = 0; i < 100 && !(await fetch(`http://127.0.0.1:${PORT}/health`).catch(() => null))?.ok; i++)
  await new Promise((done) => setTimeout(done, 50));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
for (const { file, path, width = 1280, height = 800, lamp, print } of SHOTS) {
  const page = await browser.newPage({
    viewport: { width, height },
    reducedMotion: 'reduce',
    locale: 'en-GB',
    timezoneId: 'UTC',
  });
  await page.goto(`http://127.0.0.1:${PORT}${path}`);
  await page.getByRole('main').getByText('One moment').waitFor({ state: 'detached' });
  await page.waitForTimeout(500);
  if (lamp) await page.getByRole('button', { name: 'Lamp' }).click();
  if (print) await page.emulateMedia({ media: 'print' });
  await page.waitForTimeout(200);
  await page.screenshot({ path: join(root, 'docs/screenshots', `${file}.png`) });
  await page.close();
}
await browser.close();
server.kill('SIGTERM');
