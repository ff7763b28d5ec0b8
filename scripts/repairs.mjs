import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openCore } from './core.mjs';
import { ensurePackages, root } from './setup.mjs';

/* npm run repairs -- N: the robot technician repairs N hidden machines of each kind of loader; with --write, into docs/REPAIRS.md. */

const percent = (share) => (100 * share).toFixed(0);
const NAMES = {
  perMinute: 'as the app proposes, by the minute',
  perTest: 'as the app proposes, by the test',
  usual: 'usual order, rules of thumb',
  oracle: 'oracle',
};
const table = ([head, ...rows]) =>
  [
    `| ${head.join(' | ')} |`,
    `|${head.map(() => '---').join('|')}|`,
    ...rows.map((row) => `| ${row.join(' | ')} |`),
  ].join('\n');

/** Where minutes go. */
const SPENT = ['find', 'open', 'measure', 'treat', 'prove'];

ensurePackages();
const machines = Number(process.argv.find((word) => /^\d+$/.test(word)) ?? 200);
const core = await openCore();
const { playRepairs } = await core.file('/lab/src/repairs/index.ts');
const { KNOWLEDGE } = await core.room('work/diagnosis');
const { LOADERS } = await core.room('base/loaders');
const began = performance.now();
const played = LOADERS.map((loader) => {
  const records = playRepairs(KNOWLEDGE, loader, machines, 1, (done) => {
    if (done % 50 === 0) console.error(`${loader}: ${done} of ${machines}`);
  });
  return { loader, records };
});
await core.close();
const rows = played.flatMap(({ loader, records }) =>
  records.map((one) => [
    loader,
    NAMES[one.technician],
    `${percent(one.cured)} ± ${percent(one.curedStd)}`,
    one.beltsACure.toFixed(2),
    one.wrongBelts.toFixed(2),
    one.wrongCauses.toFixed(2),
    one.partsInVain.toFixed(2),
    `${percent(one.back)} ± ${percent(one.backStd)}`,
    one.medianMinutes.toFixed(0),
    ...SPENT.map((at) => one.spent[at].toFixed(0)),
  ]),
);
const bands = new Map();
for (const { records } of played)
  for (const { of, from, cases, stated, came } of records.find(({ technician }) => technician === 'perMinute').bands) {
    const key = `${of} ${from}`;
    const sum = bands.get(key) ?? { of, from, cases: 0, stated: 0, came: 0 };
    bands.set(key, {
      ...sum,
      cases: sum.cases + cases,
      stated: sum.stated + cases * stated,
      came: sum.came + cases * came,
    });
  }
const said = [...bands.values()]
  .filter(({ cases }) => cases >= 50)
  .sort((a, b) => a.of.localeCompare(b.of) || a.from - b.from)
  .map(({ of, from, cases, stated, came }) => [
    of,
    `${from} to ${from + 10}`,
    cases,
    percent(stated / cases),
    percent(came / cases),
  ]);
const LOST = ['find', 'size', 'prove', 'effort'];
/** Against the oracle, as the app proposes by the minute: cures and minutes, by where they are lost. */
const losses = played.map(({ loader, records }) => {
  const [app, oracle] = ['perMinute', 'oracle'].map((who) => records.find(({ technician }) => technician === who));
  const short = LOST.map((at) => (100 * (app.lost[at] - oracle.lost[at])).toFixed(0));
  return [loader, ...short, ...SPENT.map((at) => (app.spent[at] - oracle.spent[at]).toFixed(0))];
});
const text = `# The robot technician

${machines} hidden machines of each kind of loader, numbers 1 to ${machines}; \`npm run repairs -- ${machines} --write\` makes this page again.
A machine is dealt by \`lab/src/hidden\` (its causes by the adviser's own shares, its state by ranges from memory), repaired by
\`lab/src/repairs\` through core's public doors. Minutes are the tests' own and, of stations, from memory.
Cycles after a treatment may hide a fault that only comes now and then. Back within a year: what was not cured, and belts that lose
their pull (\`lab/src/hidden/year.ts\`).  Wrong causes count whatever was treated and was not there.

${table([['loader', 'who', 'cured, in 100', 'belts a cure', 'wrong belts', 'wrong causes', 'parts in vain', 'back in a year, in 100', 'median minutes', ...SPENT], ...rows])}

## What is lost to the oracle

As the app proposes, by the minute: cures lost, in 100 machines, where the cause was never treated (find), no right belt was on (size), it
was handed back while a fault hid (prove), or given up (effort); then minutes spent more, mean, by station.

${table([['loader', ...LOST.map((at) => `cures: ${at}`), ...SPENT.map((at) => `min: ${at}`)], ...losses])}

## What it states, and what comes

As the app proposes, by the minute; bands with 50 cases and more, all loaders. Seen: a cause that was seen with the eye. Promise: that nothing more is
wrong, as Find says it where what was put right was there and it sends one on to Prove.

${table([['of', 'stated, in 100', 'cases', 'stated', 'came'], ...said])}
`;
console.log(text);
console.error(`${((performance.now() - began) / 60_000).toFixed(1)} minutes`);
if (process.argv.includes('--write')) {
  const { format } = await import('prettier');
  writeFileSync(join(root, 'docs/REPAIRS.md'), await format(text, { parser: 'markdown', printWidth: 120 }));
}
