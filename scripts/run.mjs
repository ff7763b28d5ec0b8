import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensurePackages, root } from './setup.mjs';

/* npm run demo and npm start: install what is missing, build, serve. */
const [what, ...args] = process.argv.slice(2);
ensurePackages();
ensureBuilt();
const server = spawn(
  process.execPath,
  [join(root, 'server/dist/main.js'), ...(what === 'demo' ? ['--demo'] : []), ...args],
  {
    cwd: root,
    stdio: 'inherit',
  },
);
// Ctrl-C reaches both; the server ends by itself and says how it went.
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
