import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';

/** Debian's own Python, which Debian's NumPy belongs to. */
const PYTHON = '/usr/bin/python3';
const has = () => spawnSync(PYTHON, ['-c', 'import numpy']).status === 0;

/** Runs scripts/odds.py on the same samples; installs NumPy from Debian where it is missing. @returns undefined where it cannot be had */
export function numpyTime(data) {
  if (!has()) spawnSync('apt-get', ['install', '-y', '-q', 'python3-numpy'], { stdio: 'ignore' });
  if (!has()) return undefined;
  const file = join(root, '.tmp/bench/samples.json');
  writeFileSync(file, JSON.stringify(data));
  const { stdout, status } = spawnSync(PYTHON, [join(root, 'scripts/odds.py'), file], { encoding: 'utf8' });
  return status === 0 ? JSON.parse(stdout) : undefined;
}
