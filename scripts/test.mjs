import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages, root, run } from './setup.mjs';

/* npm test: installs what is missing, then types, lint, order, form, unit, server and browser tests. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
const results = join(root, 'test-results');
const total = { passed: 0, failed: 0 };

/** Counts one check that either holds or does not. */
function check(name, script) {
  console.log(`\n== ${name}`);
  const held = run('npx', ['--no-install', ...script]);
  total[held ? 'passed' : 'failed'] += 1;
  if (!held) console.error(`${name}: failed`);
  return held;
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
check('types: core', ['tsc', '-p', 'core']);
check('types: app', ['tsc', '-p', 'app']);
check('types: workers', ['tsc', '-p', 'app/tsconfig.workers.json']);
check('types: server and unit tests', ['tsc', '-p', 'server']);
check('types: browser tests', ['tsc', '-p', 'e2e']);
check('types: bench', ['tsc', '-p', 'scripts']);
check('lint', ['eslint', '.', '--max-warnings', '0']);
check('order of imports', ['depcruise', '--config', '.dependency-cruiser.cjs', 'core/src', 'app/src', 'server/src']);
check('form', ['prettier', '--check', '--log-level', 'warn', '.']);
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
