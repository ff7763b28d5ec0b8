import { join } from 'node:path';
import { ensureBuilt, ensurePackages, root } from './setup.mjs';
import { launch, serve } from './stage.mjs';

/* npm run screenshots: one current picture a main view, from the demo's data, into docs/screenshots; `-- bench` some of them. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
if (!ensureChromium()) process.exit(1);
ensureBuilt();

const PORT = 4830;
const SHOTS = [
  { file: 'bench', path: '/', line: '66.4 square 1.2', wait: 3000 },
  { file: 'measure', path: '/t/demo-0147/measure' },
  { file: 'size', path: '/t/demo-0147/size' },
  { file: 'cycle-dark', path: '/t/demo-0147/cycle', dark: true, height: 1000, wait: 15_000 },
  { file: 'swap', path: '/t/demo-0147/swap' },
  {
    file: 'practice',
    path: '/practice?loader=tray&number=4127',
    press: ['Take it', 'Press eject', 'Pull the plug', 'Take the lid off'],
    station: 'Find',
    height: 1000,
    wait: 1500,
  },
  { file: 'takein', path: '/t/demo-0147/takeIn' },
  { file: 'find', path: '/t/demo-0147/find', height: 1120 },
  { file: 'strip', path: '/t/demo-0147/strip', height: 1000 },
  { file: 'clean', path: '/t/demo-0143/clean', height: 1000 },
  { file: 'train', path: '/t/demo-0137/train' },
  { file: 'rebuild', path: '/t/demo-0147/rebuild' },
  { file: 'prove', path: '/t/demo-0146/prove' },
  { file: 'handback', path: '/t/demo-0118/handBack' },
  { file: 'drawer', path: '/drawer?size=demo-book-i14', height: 900 },
  { file: 'orders', path: '/orders' },
  { file: 'day', path: '/day', wait: 2500 },
  { file: 'log', path: '/log', height: 1100, open: ['Totals', 'How long remedies last'], wait: 1500 },
  // A4 at 96 dots an inch.
  { file: 'sheet', path: '/t/demo-0118/sheet', width: 794, height: 1123, print: true },
];

const { url, stop } = await serve(PORT, '--demo');
const browser = await launch();
const only = process.argv.slice(2);
for (const {
  file,
  path,
  width = 1280,
  height = 800,
  dark,
  print,
  open = [],
  press = [],
  station,
  line,
  wait = 500,
} of SHOTS) {
  if (only.length > 0 && !only.includes(file)) continue;
  const page = await browser.newPage({
    viewport: { width, height },
    reducedMotion: 'reduce',
    locale: 'en-GB',
    timezoneId: 'UTC',
  });
  await page.goto(`${url}${path}`);
  // The page is there, and has nothing more to say: a busy machine draws it late.
  await page.getByRole('main').getByRole('heading').first().waitFor();
  await page
    .getByRole('main')
    .getByText(/one moment|being worked out|the finer one follows/i)
    .first()
    .waitFor({ state: 'detached' });
  if (line) await page.locator('#line').fill(line);
  for (const name of press) {
    await page.getByRole('button', { name, exact: true }).click();
    await page.waitForTimeout(600);
  }
  if (station) await page.getByRole('link', { name: new RegExp(` ${station},`) }).click();
  for (const fold of open) await page.getByText(fold, { exact: true }).click();
  if (open.length > 0) await page.evaluate(() => scrollTo(0, 0));
  await page.waitForTimeout(wait);
  if (dark) await page.getByRole('button', { name: 'Dark', exact: true }).click();
  if (print) await page.emulateMedia({ media: 'print' });
  await page.waitForTimeout(200);
  await page.screenshot({ path: join(root, 'docs/screenshots', `${file}.png`) });
  await page.close();
}
await browser.close();
stop();
