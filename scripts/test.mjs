import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ensurePackages, root, run, runAside } from './setup.mjs';

/* npm test: installs what is missing, then types, lint, order, form, unit, server and browser tests. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
const results = join(root, 'test-results');
const total = { passed: 0, failed: 0 };
/* Named once more at the very end: what CI keeps of a long log is its tail. */
const failures = [];

/** Counts checks that either hold or do not, each told whole once it has ended. Two go side by side. */
async function check(checks) {
  const waiting = [...checks];
  const work = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, script] = next;
      const { held, said } = await runAside('npx', ['--no-install', ...script]);
      console.log(`\n== ${name}\n${said}`.trimEnd());
      total[held ? 'passed' : 'failed'] += 1;
      if (!held) failures.push(`${name}\n${said.trim().split('\n').slice(-20).join('\n')}`);
    }
  };
  await Promise.all([work(), work()]);
}

/** The first lines of what a runner said, without its colours. */
function firstLines(messages) {
  return messages
    .join('\n')
    .replace(/\u001b\[\d+m/g, '')
    .split('\n')
    .slice(0, 12)
    .join('\n');
}

/** Every test of a browser run's report, however its groups are nested. */
function specsOf(suite) {
  return [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)];
}

/** Counts the tests of a runner from its own report; a runner that leaves none counts as a failure. */
function count(name, script, report, read) {
  const file = join(results, report);
  rmSync(file, { force: true });
  console.log(`\n== ${name}`);
  const held = run('npx', ['--no-install', ...script]);
  if (!existsSync(file)) {
    total.failed += 1;
    failures.push(`${name}: left no report`);
    return;
  }
  const { passed, failed, named } = read(JSON.parse(readFileSync(file, 'utf8')));
  total.passed += passed;
  total.failed += failed;
  failures.push(...named);
  if (!held && failed === 0) {
    total.failed += 1;
    failures.push(`${name}: ended in error with no test failed`);
  }
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
  ({ numPassedTests, numFailedTests, testResults }) => {
    const unread = testResults.filter(
      ({ status, assertionResults }) => status === 'failed' && assertionResults.length === 0,
    );
    const failed = testResults.flatMap(({ name, assertionResults }) =>
      assertionResults
        .filter(({ status }) => status === 'failed')
        .map(({ fullName, failureMessages }) => `${relative(root, name)}: ${fullName}\n${firstLines(failureMessages)}`),
    );
    return {
      passed: numPassedTests,
      failed: numFailedTests + unread.length,
      named: [...failed, ...unread.map(({ name, message }) => `${relative(root, name)}: ${firstLines([message])}`)],
    };
  },
);
console.log('\n== build');
if (!run('npm', ['run', 'build', '--silent'])) {
  total.failed += 1;
  failures.push('build');
} else if (ensureChromium()) {
  count('browser tests', ['playwright', 'test', '-c', 'e2e/playwright.config.ts'], 'browser.json', (report) => ({
    passed: report.stats.expected,
    failed: report.stats.unexpected + report.stats.flaky,
    named: report.suites
      .flatMap(specsOf)
      .filter(({ ok }) => !ok)
      .map(({ file, line, title, tests }) => {
        const said = tests.flatMap(({ results: runs }) => runs.flatMap(({ errors }) => errors.map((e) => e.message)));
        return `${file}:${line}: ${title}\n${firstLines(said)}`;
      }),
  }));
} else total.failed += 1;

for (const failure of failures) console.error(`\nFAILED ${failure}`);
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
