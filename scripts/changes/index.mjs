import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { ensurePackages, root } from '../setup.mjs';
import { ROWS } from './rows.mjs';

/*
 * npm run changes: plays each change on a copy, file by file, until neither compiler nor unit tests ask for more, and counts
 * the files; with --write, into docs/ARCHITECTURE.md. A row over its bound fails.
 */
ensurePackages();
const only = process.argv.slice(2).filter((one) => !one.startsWith('--'));
const copy = mkdtempSync(join(tmpdir(), 'loose-pulley-changes-'));
const inCopy = (command, args) => spawnSync(command, args, { cwd: copy, encoding: 'utf8', maxBuffer: 1 << 26 });
const must = (command, args) => {
  const { status, stdout, stderr } = inCopy(command, args);
  if (status !== 0) throw new Error(`${command} ${args.join(' ')}: ${stdout}${stderr}`);
};
spawnSync('git', ['clone', '-q', root, copy], { stdio: 'inherit' });
for (const folder of ['.', 'core', 'lab', 'app', 'server', 'e2e']) {
  const packages = join(root, folder, 'node_modules');
  if (existsSync(packages))
    cpSync(packages, join(copy, folder, 'node_modules'), { recursive: true, verbatimSymlinks: true });
}
// Between them these two hold core, lab, their tests, app and server.
const PROJECTS = ['server', 'app'];

/** What the compiler and the tests still want; empty where nothing. */
function asked({ tests, generated = [] }) {
  const errors = PROJECTS.flatMap((project) =>
    inCopy('npx', ['--no-install', 'tsc', '-p', project])
      .stdout.split('\n')
      .filter((line) => line.includes('error TS')),
  );
  if (errors.length > 0) return errors;
  if (generated.length > 0) must('node', ['scripts/schema.mjs']);
  const { status, stdout, stderr } = inCopy('npx', [
    '--no-install',
    'vitest',
    'run',
    '--reporter=dot',
    '--silent=true',
    ...tests,
  ]);
  return status === 0 ? [] : `${stdout}${stderr}`.split('\n').filter((line) => /FAIL|Error/.test(line));
}

const counted = [];
for (const row of ROWS) {
  if (only.length > 0 && !only.some((word) => row.change.includes(word))) continue;
  const steps = Object.entries(row.steps);
  for (const [path, step] of steps) {
    const file = join(copy, path);
    mkdirSync(dirname(file), { recursive: true });
    const made =
      typeof step === 'function'
        ? step(readFileSync(file, 'utf8'))
        : step.like
          ? step.change(readFileSync(join(copy, step.like), 'utf8'))
          : step.text;
    writeFileSync(file, made);
  }
  const left = asked(row);
  const held = left.length === 0 && steps.length <= row.most;
  console.log(`${held ? 'held' : 'NOT HELD'}: ${row.change}, ${steps.length} of at most ${row.most} files`);
  if (left.length > 0) console.log(`  still asked for:\n  ${left.slice(0, 12).join('\n  ')}`);
  if (!held) process.exitCode = 1;
  counted.push({ ...row, files: steps.map(([path]) => path), held });
  must('git', ['checkout', '-q', '.']);
  must('git', ['clean', '-qfd']);
}
rmSync(copy, { recursive: true, force: true });

if (process.argv.includes('--write')) {
  const page = join(root, 'docs/ARCHITECTURE.md');
  const before = readFileSync(page, 'utf8').split('\n');
  const lines = ROWS.map(({ change }) => {
    const played = counted.find((one) => one.change === change);
    // What was not played now stays as it was.
    if (!played) return before.find((line) => line.startsWith(`| ${change} `)) ?? `| ${change} | not played | | |`;
    const which = played.files.map((file) => `\`${file.replace(/^(core|app|lab)\/src\//, '$1/')}\``).join(', ');
    return `| ${change} | ${played.held ? played.files.length : 'not held'} | ${played.most} | ${which} |`;
  });
  const table = ['| change | files | at most | which |', '| --- | --- | --- | --- |', ...lines].join('\n');
  const text = readFileSync(page, 'utf8');
  writeFileSync(page, text.replace(/(<!-- changes -->\n)[\s\S]*?(<!-- \/changes -->)/, `$1\n${table}\n\n$2`));
  spawnSync('npx', ['--no-install', 'prettier', '--write', '--log-level', 'warn', page], {
    cwd: root,
    stdio: 'inherit',
  });
}
