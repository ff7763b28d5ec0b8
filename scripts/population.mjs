import { join } from 'node:path';
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { openCore } from './core.mjs';
import { ensurePackages, root } from './setup.mjs';

/* npm run population: plays every way of choosing a belt on drawn drives and prints how each does; with --write, into docs/CHOOSING.md. */

const SEED = 20261125;
const DRAWS = 2000;

const NAMES = {
  'rule:tenthOff': 'a tenth off the doubled length',
  'rule:oneUnderBelt': 'one size under the old belt',
  'rule:oneUnderString': 'one size under the string',
  'rule:slightlySmaller': 'a twentieth under the old belt',
  'rule:likeForLike': 'like for like',
  'single:string': 'best single stretch, string',
  'single:pulleys': 'best single stretch, pulleys',
  'ours:string': 'ranking, string only',
  'ours:pulleys': 'ranking, and pulleys',
  'ours:pull': 'ranking, and tray pull, unpowered',
  'ours:held': 'ranking, and tray held, the motor standing',
  'ours:travel': 'ranking, and tray travel',
  ceiling: 'ceiling: as much as held, and how such drives are spread',
  oracle: 'oracle: knows the drive, not the rubber that comes',
  hindsight: 'hindsight: knows the rubber too',
};

const GAPS = [
  ['of the gap to the oracle closed: string', 'closed', 'string'],
  ['– and pulleys', 'closed', 'pulleys'],
  ['– and tray pull, unpowered', 'closed', 'pull'],
  ['– and tray held', 'closed', 'held'],
  ['– and tray travel', 'closed', 'travel'],
  ['– by the ceiling', 'closed', 'ceiling'],
  ['of the gap to hindsight closed: all but travel', 'closedOfHindsight', 'held'],
  ['– by the ceiling', 'closedOfHindsight', 'ceiling'],
  ['– by the oracle', 'closedOfHindsight', 'oracle'],
];

/** Plays every class. @returns tables as lists of rows, and the populations themselves */
export async function playClasses(drives) {
  const core = await openCore();
  const { playPopulation, DRIVE_CLASSES } = await core.room('population');
  const { DEFAULT_PRIORS } = await core.room('sizing');
  const populations = DRIVE_CLASSES.map((kind) =>
    playPopulation(kind, drives, SEED, DEFAULT_PRIORS, { ceiling: true, draws: DRAWS }),
  );
  await core.close();
  const percent = (share) => (100 * share).toFixed(1);
  const scores = [
    ['first belt right, in 100', ...populations.map(({ kind }) => kind)],
    ...Object.entries(NAMES).map(([player, name]) => [
      name,
      ...populations.map(({ scores: list }) => {
        const one = list.find((score) => score.player === player);
        return one ? `${percent(one.right)} ± ${percent(one.std)}` : '–';
      }),
    ]),
    ...GAPS.map(([name, list, player]) => [
      name,
      ...populations.map((population) => {
        const closed = population[list][player];
        return closed ? `${Math.round(100 * closed.share)} ± ${Math.round(100 * closed.std)} %` : '–';
      }),
    ]),
  ];
  const calibration = [
    ['stated chance', 'choices', 'mean stated', 'worked'],
    ...(populations[0]?.calibration ?? []).map((band) => [
      `${percent(band.from)} to ${percent(band.to)}`,
      String(band.count),
      percent(band.stated),
      percent(band.worked),
    ]),
  ];
  return { populations, scores, calibration };
}

const table = ([head, ...rows]) =>
  [
    `| ${head.join(' | ')} |`,
    `|${head.map(() => '---').join('|')}|`,
    ...rows.map((row) => `| ${row.join(' | ')} |`),
  ].join('\n');

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  ensurePackages();
  const drives = Number(process.argv.find((word) => /^\d+$/.test(word)) ?? 1500);
  const { scores, calibration } = await playClasses(drives);
  const text = `# How the ways of choosing do

Drawn drives with the bench’s ordinary errors, ${drives} of each class, seed ${SEED}; \`npm run population\` makes this page again. What
is drawn is in \`core/src/population/drive.ts\`: the ranges are common practice and memory, so this compares ways of
choosing with one another and proves nothing about any one machine. The bench reads everything twice, a third time where
the two lie apart, and takes the odd one out: \`core/src/population/bench.ts\`.

${table(scores)}

± is one standard error. The best single stretch was picked knowing the outcome, which flatters it. The gap is from the
better of the two single stretches to the oracle, who knows the drive to the last figure, the motor and the friction too, and
chooses the belt that works with most of the rubber that might come; hindsight knows that rubber as well, as nobody can
before the post comes. The ceiling measured what the ranking with the tray held has measured, and knows besides exactly
how the drawn drives are spread: nobody could choose better from those readings.

## What its chances are worth

The drives of the class “all”, at every effort of measuring.

${table(calibration)}
`;
  console.log(text);
  if (process.argv.includes('--write')) {
    const { format } = await import('prettier');
    writeFileSync(join(root, 'docs/CHOOSING.md'), await format(text, { parser: 'markdown', printWidth: 120 }));
  }
}
