import { ensureBuilt, ensurePackages } from './setup.mjs';

/*
 * npm run attack: damaged files against what reads them, and a browser that kills tabs, takes tickets over and refuses
 * to write, seeded, with counts. `npm run attack -- 100` does a hundredth as much; `npm run attack -- files` or
 * `browser` one of the two.
 */
ensurePackages();
const SEED = 20261126;
const words = process.argv.slice(2);
const part = 1 / Number(words.find((word) => /^\d+$/.test(word)) ?? 1);
const only = words.find((word) => word === 'files' || word === 'browser');
const times = (most) => Math.max(1, Math.round(most * part));

let wrong = 0;
if (only !== 'browser') wrong += await (await import('./attack/files.mjs')).attackFiles(times(20_000), SEED);
if (only !== 'files') {
  const { ensureChromium } = await import('./chromium.mjs');
  if (!ensureChromium()) process.exit(1);
  ensureBuilt();
  const { attackBrowser } = await import('./attack/browser.mjs');
  wrong += await attackBrowser({ kills: times(500), takeovers: times(60), imports: times(50) }, SEED);
}
console.log(wrong === 0 ? 'Nothing went wrong.' : `${wrong} went wrong.`);
process.exit(wrong === 0 ? 0 : 1);
