import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** What every command of the project shares: where it lives, and how it gets what it needs. Node's own modules only. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command to its end, its output in sight. @returns whether it ended well */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    shell: process.platform === 'win32',
    ...options,
  });
  return status === 0;
}

/** Runs a command beside others. @returns whether it ended well, and all that it said */
export const runAside = (command, args) =>
  new Promise((done) => {
    let said = '';
    const child = spawn(command, args, { cwd: root, shell: process.platform === 'win32' });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data));
    child.on('error', ({ message }) => done({ held: false, said: message }));
    child.on('close', (status) => done({ held: status === 0, said }));
  });

const stamp = (path) => (existsSync(path) ? statSync(path).mtimeMs : 0);

/** The newest change below a folder, built and fetched things apart. */
function newest(folder) {
  let latest = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (entry.name === 'node_modules' || entry.name === 'dist' || entry.name.startsWith('.')) continue;
    const path = join(folder, entry.name);
    latest = Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs);
  }
  return latest;
}

function refuseOldNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  console.error(`Loose Pulley needs Node 20.19 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

/** Installs the packages of the lock file where they are missing or older than it. */
export function ensurePackages() {
  refuseOldNode();
  const installed = stamp(join(root, 'node_modules/.package-lock.json'));
  if (installed >= stamp(join(root, 'package-lock.json')) && installed > 0) return;
  console.log('Installing packages…');
  if (!run('npm', ['ci', '--no-audit', '--no-fund'])) {
    console.error('The packages could not be installed. Is the npm registry reachable from here?');
    process.exit(1);
  }
}

/** Builds app and server where the sources are newer than what was built. */
export function ensureBuilt() {
  const built = Math.min(stamp(join(root, 'app/dist/index.html')), stamp(join(root, 'server/dist/wrackline.json')));
  const sources = Math.max(
    ...['core', 'lab', 'app', 'server'].map((folder) => newest(join(root, folder))),
    stamp(join(root, 'package-lock.json')),
  );
  if (built >= sources) return;
  console.log('Building…');
  if (!run('npm', ['run', 'build', '--silent'])) {
    console.error('The build failed; what it printed above says where.');
    process.exit(1);
  }
}
