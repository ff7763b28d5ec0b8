import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { writeFileSync } from 'node:fs';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { ensurePackages, root } from './setup.mjs';

/*
 * npm run population: plays every way of choosing a belt on drawn drives and prints how each does; with --write, into
 * docs/CHOOSING.md. Classes are played side by side, each by a process of its own, from core built once.
 */

const SEED = 20261127;
const DRAWS = 800;
const SELF = fileURLToPath(import.meta.url);
const BUILT = join(root, '.tmp/population');

const NAMES = {
  'rule:tenthOff': 'a tenth off the doubled length',
  'rule:oneUnderBelt': 'one size under the old belt',
  'rule:oneUnderString': 'one size under the string',
  'rule:slightlySmaller': 'a twentieth under the old belt',
  'rule:likeForLike': 'like for like',
  'single:oldBelt': 'best fixed percentage, old belt',
  'ours:oldBelt': '**by chance, old belt alone**',
  'single:string': 'best fixed percentage, string',
  'ours:string': '**by chance, and a string**',
  'single:pulleys': 'best fixed percentage, pulleys',
  'ours:pulleys': '**by chance, and pulleys**',
  'ours:pull': '**by chance, and tray pull, unpowered**',
  'ours:held': '**by chance, and tray held, the motor standing**',
  'ours:travel': '**by chance, and tray travel**',
  oracle: 'oracle: knows the drive, not the rubber that comes',
  hindsight: 'hindsight: knows the rubber too',
  'second:string': '**second belt, string**: first wrong, a right one on sale',
  'second oracle:string': '– by the oracle, on the same drives',
  'second:held': '**second belt, tray held**',
  'second oracle:held': '– by the oracle, on the same drives',
  'sisters:string': '**after two sisters, string**',
  'sisters:held': '**after two sisters, tray held**',
  'sisters oracle:held': '– by the oracle, on the same drives',
  'sisters copied:held': '– their belt, copied blindly',
};
const COLD = {
  'cold bench:string': 'chosen as for the bench, and a string',
  'cold:string': '**chosen for the cold, and a string**',
  'cold bench:held': 'chosen as for the bench, and tray held',
  'cold:held': '**chosen for the cold, and tray held**',
  'cold oracle:held': 'hindsight in the cold',
};
const GAPS = {
  string: 'string',
  pulleys: 'and pulleys',
  pull: 'and tray pull',
  held: 'and tray held',
  travel: 'and tray travel',
};

const percent = (share) => (100 * share).toFixed(1);

/** Core as plain modules, a third faster than it is served. */
async function build() {
  const vite = await import('vite');
  await vite.build({
    configFile: false,
    root,
    logLevel: 'silent',
    build: {
      ssr: true,
      outDir: BUILT,
      emptyOutDir: true,
      rollupOptions: {
        input: { population: 'lab/src/population/index.ts', sizing: 'core/src/belts/sizing/index.ts' },
        output: { entryFileNames: '[name].mjs', chunkFileNames: '[name]-[hash].mjs' },
      },
    },
  });
}
const load = (name) => import(pathToFileURL(join(BUILT, `${name}.mjs`)).href);

/** What a process of its own does: one class. */
async function playOne(kind, drives, usual) {
  const { playPopulation } = await load('population');
  const { DEFAULT_PRIORS } = await load('sizing');
  return playPopulation(kind, drives, SEED, DEFAULT_PRIORS, { draws: DRAWS, usual });
}
const aside = (...order) =>
  new Promise((resolve, reject) => {
    const child = fork(SELF, ['--one']);
    child.on('message', (population) => {
      resolve(population);
      child.kill();
    });
    child.on('error', reject);
    child.on('exit', (code) => code && reject(new Error(`a class ended with ${code}`)));
    child.send(order);
  });

/** Plays every class, the usual drives first: what is the best percentage there is held against those nobody can see. */
async function playClasses(drives) {
  const { DRIVE_CLASSES } = await load('population');
  const [first, ...rest] = DRIVE_CLASSES;
  const usual = await aside(first, drives);
  const waiting = [...rest];
  const played = new Map([[first, usual]]);
  const work = async () => {
    for (let kind = waiting.shift(); kind; kind = waiting.shift()) {
      played.set(kind, await aside(kind, drives, usual.stretches));
      console.error(`${kind} played`);
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, work));
  return DRIVE_CLASSES.map((kind) => played.get(kind));
}

const rightOf = (names, populations) =>
  Object.entries(names).map(([player, name]) => [
    name,
    ...populations.map(({ scores: list }) => {
      const one = list.find((score) => score.player === player);
      return one && one.drives > 0 ? `${percent(one.right)} ± ${percent(one.std)}` : '–';
    }),
  ]);

function tablesOf(populations) {
  const head = populations.map(({ kind }) => kind);
  const scores = [
    ['right, in 100', ...head],
    ...rightOf(NAMES, populations),
    ...Object.entries(GAPS).map(([effort, name]) => [
      `of the gap to the oracle closed: ${name}`,
      ...populations.map(
        ({ closed }) => `${Math.round(100 * closed[effort].share)} ± ${Math.round(100 * closed[effort].std)} %`,
      ),
    ]),
  ];
  const bands = populations[0].calibration.map(({ from, to }) => [from, to]);
  const calibration = [
    ['stated, in 100', ...head],
    ...bands.map(([from, to]) => [
      `${percent(from)} to ${percent(to)}`,
      ...populations.map(({ calibration: list }) => {
        const band = list.find((one) => one.from === from);
        return band ? `${percent(band.stated)} → ${percent(band.worked)} (${band.count})` : '–';
      }),
    ]),
  ];
  const said = ({ count, stated, worked }) => `${percent(stated)} → ${percent(worked)} (${count})`;
  const cold = [
    ['right in the cold, in 100', ...head],
    ...rightOf(COLD, populations),
    ['stated → worked, chosen as for the bench', ...populations.map(({ cold: { forBench } }) => said(forBench))],
    ['stated → worked, chosen for the cold', ...populations.map(({ cold: { forCold } }) => said(forCold))],
  ];
  return { scores, calibration, cold };
}

const table = ([head, ...rows]) =>
  [
    `| ${head.join(' | ')} |`,
    `|${head.map(() => '---').join('|')}|`,
    ...rows.map((row) => `| ${row.join(' | ')} |`),
  ].join('\n');

async function main() {
  ensurePackages();
  await build();
  const drives = Number(process.argv.find((word) => /^\d+$/.test(word)) ?? 1500);
  const { scores, calibration, cold } = tablesOf(await playClasses(drives));
  const text = `# How the ways of choosing do

Drawn drives with the bench’s ordinary errors, ${drives} of each class, seed ${SEED}; \`npm run population -- --write\` makes
this page again. What is drawn is in \`lab/src/population/drive.ts\`: each drive was made with a belt that carried a healthy
tray with 1.4 to 3 times the grip it needs, and has aged since. The ranges are common practice and memory, so this
compares ways of choosing with one another and proves nothing about any one machine. The bench reads everything twice, a
third time where the two lie apart, and takes the odd one out: \`lab/src/population/bench.ts\`.

The last three classes are worlds that are not as believed, and nobody at the bench knows: motors a third weaker, rubber a
third softer, friction a third less.

${table(scores)}

± is one standard error. The best fixed percentage is that of each stock, picked knowing how it went; for a weak motor and
for the last three classes, which nobody can see, that of the usual drives. The gap is from that percentage to the oracle, who
knows the drive to the last figure, the motor and the friction too, and chooses the belt that works with most of the rubber
that might come; hindsight knows that rubber as well, as nobody can before the post comes.

## What its chances are worth

Stated → worked (choices), first belts at every effort, second belts, and those after two sisters. A class that is picked by
what nobody could see (a weak motor) cannot be stated rightly from readings that do not show it.

${table(calibration)}

## Complaints of the cold

The same drives after a night in a room of 8 °C: what moves takes some 16 in 100 more there, by as much grease as each has.
Everything was read and tried in the warm. As chosen for the bench is what was done before cycles were known of.

${table(cold)}
`;
  console.log(text);
  if (process.argv.includes('--write')) {
    const { format } = await import('prettier');
    writeFileSync(join(root, 'docs/CHOOSING.md'), await format(text, { parser: 'markdown', printWidth: 120 }));
  }
}

if (process.argv.includes('--one')) {
  process.once('message', (order) => void playOne(...order).then((population) => process.send(population)));
} else if (process.argv[1] === SELF) await main();
