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
  const child = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--port', String(port), ...mode], {
    stdio: 'ignore',
  });
  // Whatever becomes of the script, its server ends with it.
  process.on('exit', () => child.kill('SIGTERM'));
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    // Another one answers at its port, perhaps of an older build: nothing would be measured.
    if (child.exitCode !== null)
      throw new Error(`The server could not begin on port ${port}. Is another one running there?`);
    const answer = await fetch(`${url}/health`).catch(() => null);
    if (answer?.ok && child.exitCode === null) return { url, stop: () => child.kill('SIGTERM') };
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error(`The server did not answer on port ${port}.`);
}

export async function launch() {
  const { chromium } = await import('@playwright/test');
  return chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
}
