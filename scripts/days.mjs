import { ensurePackages } from './setup.mjs';
import { openCore } from './core.mjs';

/* npm run days [count]: random days planned by the app, and to the optimum by a general solver; printed as a table. */
ensurePackages();
const core = await openCore();
const { days } = await core.file('/scripts/days/index.ts');
await days(Number(process.argv[2] ?? 200));
await core.close();
process.exit(0);
