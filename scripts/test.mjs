import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages, root, run, runAside } from './setup.mjs';

/* npm test: installs what is missing, then types, lint, order, form, unit, server and browser tests. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
const results = join(root, 'test-results');
const total = { passed: 0, failed: 0 };

/** Counts checks that either hold or do not, each told whole once it has ended. Two go side by side. */
async function check(checks) {
  const waiting = [...checks];
  const work = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, script] = next;
      const { held, said } = await runAside('npx', ['--no-install', ...script]);
      console.log(`\n== ${name}\n${said}`.trimEnd());
      total[held ? 'passed' : 'failed'] += 1;
      if (!held) console.error(`${name}: failed`);
    }
  };
  await Promise.all([work(), work()]);
}

/** Counts the tests of a runner from its own report; a runner that leaves none counts as a failure. */
function count(name, script, report, read) {
  const file = join(results, report);
  rmSync(file, { force: true });
  console.log(`\n== ${name}`);
  const held = run('npx', ['--no-install', ...script]);
  if (!existsSync(file)) {
    total.failed += 1;
    console.error(`${name}: left no report`);
    return;
  }
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
  total.passed += passed;
  total.failed += failed;
  if (!held && failed === 0) total.failed += 1;
}

mkdirSync(results, { recursive: true });
await check([
  // The longest first.
  ['lint', ['eslint', '.', '--max-warnings', '0']],
  ['types: core', ['tsc', '-p', 'core']],
  ['types: lab', ['tsc', '-p', 'lab']],
  ['types: app', ['tsc', '-p', 'app']],
  ['types: workers', ['tsc', '-p', 'app/tsconfig.workers.json']],
  ['types: server and unit tests', ['tsc', '-p', 'server']],
  ['types: browser tests', ['tsc', '-p', 'e2e']],
  ['types: bench', ['tsc', '-p', 'scripts']],
  [
    'order of imports',
    ['depcruise', '--config', '.dependency-cruiser.cjs', 'core/src', 'lab/src', 'app/src', 'server/src'],
  ],
  ['unused code', ['knip', '--no-progress']],
  ['form', ['prettier', '--check', '--log-level', 'warn', '.']],
]);
count(
  'unit and server tests',
  ['vitest', 'run', '--reporter=dot', '--reporter=json', `--outputFile=${join(results, 'unit.json')}`],
  'unit.json',
  (report) => ({
    passed: report.numPassedTests,
    failed:
      report.numFailedTests +
      report.testResults.filter(({ status, assertionResults }) => status === 'failed' && assertionResults.length === 0)
        .length,
  }),
);
console.log('\n== build');
if (!run('npm', ['run', 'build', '--silent'])) {
  total.failed += 1;
} else if (ensureChromium()) {
  count('browser tests', ['playwright', 'test', '-c', 'e2e/playwright.config.ts'], 'browser.json', ({ stats }) => ({
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky,
  }));
} else total.failed += 1;

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
