import { ensureBuilt, ensurePackages } from './setup.mjs';

/*
 * npm run attack: damaged files against what reads them, and a browser that kills tabs, takes tickets over and refuses
 * to write, seeded, with counts. `npm run attack -- 100` does a hundredth as much; `npm run attack -- files` or
 * `browser` one of the two; `fields`, `takeovers`, `imports`, `tabs`, `lists` or `counters` one attack on the browser.
 */
ensurePackages();
const SEED = 20261126;
const words = process.argv.slice(2);
const part = 1 / Number(words.find((word) => /^\d+$/.test(word)) ?? 1);
const only =
  words.find((word) => word === 'files' || word === 'browser') ??
  (words.some((word) => /^[a-z]+$/.test(word)) ? 'browser' : undefined);
/** Whether one attack on the browser is wanted, by its name; all of them where none is named. */
const ATTACKS = ['fields', 'takeovers', 'imports', 'tabs', 'lists', 'counters'];
const named = words.filter((word) => ATTACKS.includes(word));
const wanted = (attack) => (named.length === 0 || named.includes(attack) ? 1 : 0);
const times = (most) => Math.max(1, Math.round(most * part));

let wrong = 0;
if (only !== 'browser') wrong += await (await import('./attack/files.mjs')).attackFiles(times(20_000), SEED);
if (only !== 'files') {
  const { ensureChromium } = await import('./chromium.mjs');
  if (!ensureChromium()) process.exit(1);
  ensureBuilt();
  const { attackBrowser } = await import('./attack/browser.mjs');
  wrong += await attackBrowser(
    {
      kills: wanted('fields') * times(500),
      takeovers: wanted('takeovers') * times(60),
      imports: wanted('imports') * times(50),
      rounds: wanted('tabs') * times(200),
      lists: wanted('lists') * times(200),
      counters: wanted('counters') * times(60),
    },
    SEED,
  );
}
console.log(wrong === 0 ? 'Nothing went wrong.' : `${wrong} went wrong.`);
process.exit(wrong === 0 ? 0 : 1);
