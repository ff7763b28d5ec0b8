import { ensureBuilt, ensurePackages } from './setup.mjs';
import { openCore } from './core.mjs';

/* npm run bench: what the user waits for, measured here and now, as a table; `-- full jobs` measures some parts. Nothing is asserted. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
if (!ensureChromium()) process.exit(1);
ensureBuilt();
const core = await openCore();
const { bench } = await core.file('/scripts/bench/index.ts');
await bench(process.argv.slice(2));
await core.close();
process.exit(0);
