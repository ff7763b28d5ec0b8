import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './setup.mjs';

/* What the scripts that drive a browser share: a server of their own, and Debian's Chromium. */

const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Starts the built server and waits until it answers. @returns its address and how to stop it */
export async function serve(port, ...mode) {
  const url = `http://127.0.0.1:${port}`;
  const answers = () =>
    fetch(`${url}/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  // A left-over one, perhaps of an older build, would be taken for ours.
  if (await answers()) throw new Error(`Another server answers on port ${port}. Stop it first.`);
  const child = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--port', String(port), ...mode], {
    stdio: 'ignore',
  });
  // Whatever becomes of the script, its server ends with it.
  process.on('exit', () => child.kill('SIGTERM'));
  for (let tries = 0; tries < 100; tries++) {
    if (await answers()) return { url, stop: () => child.kill('SIGTERM') };
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error(`The server did not answer on port ${port}.`);
}

export async function launch() {
  const { chromium } = await import('@playwright/test');
  return chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
}
