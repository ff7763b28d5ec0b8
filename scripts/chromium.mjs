import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './setup.mjs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];
const works = (command, args) => spawnSync(command, args, { stdio: 'ignore' }).status === 0;

/**
 * Sees to it that Debian's Chromium is there: installs it as root or by sudo, or says what to install.
 *
 * @returns whether it is there
 */
export function ensureChromium() {
  if (PLACES.some(existsSync)) return true;
  const advice = 'The browser tests need Chromium. Install it with: sudo apt-get install chromium';
  if (!works('apt-get', ['--version'])) {
    console.error(`${advice} (this is no Debian: install your system’s own so that /usr/bin/chromium is there).`);
    return false;
  }
  const prefix = process.getuid?.() === 0 ? [] : works('sudo', ['-n', 'true']) ? ['sudo', '-n'] : undefined;
  if (!prefix) {
    console.error(`${advice} (no right to install it from here).`);
    return false;
  }
  console.log('Installing Chromium from Debian’s packages…');
  const apt = (...args) => {
    const [command = 'apt-get', ...rest] = [...prefix, 'apt-get', ...args];
    return run(command, rest, {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
  };
  if (apt('update', '-qq') && apt('install', '-y', '-qq', 'chromium') && PLACES.some(existsSync)) return true;
  console.error(advice);
  return false;
}
