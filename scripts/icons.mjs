import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages, root } from './setup.mjs';
import { launch } from './stage.mjs';

/* npm run icons: the mark as the pictures that a computer wants of an installed app, square to the edge. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
if (!ensureChromium()) process.exit(1);

const folder = join(root, 'app/public');
const mark = readFileSync(join(folder, 'mark.svg'), 'utf8').replace(/ rx="\d+"/, '');
const browser = await launch();
for (const size of [192, 512]) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  await page.setContent(`<style>body{margin:0}svg{display:block;width:100vw}</style>${mark}`);
  await page.screenshot({ path: join(folder, `icon-${size}.png`) });
  await page.close();
}
await browser.close();
