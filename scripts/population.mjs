import { join } from 'node:path';
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { openCore } from './core.mjs';
import { ensurePackages, root } from './setup.mjs';

/* npm run population: plays every way of choosing a belt on drawn drives and prints how each does; with --write, into docs/CHOOSING.md. */

const SEED = 20261125;

const NAMES = {
  'school:tenthOff': 'a tenth off the doubled length',
  'school:oneUnderBelt': 'one size under the old belt',
  'school:oneUnderString': 'one size under the string',
  'school:slightlySmaller': 'a twentieth under the old belt',
  'school:likeForLike': 'like for like',
  'single:string': 'best single stretch, string',
  'single:pulleys': 'best single stretch, pulleys',
  'ours:string': 'ranking, string only',
  'ours:pulleys': 'ranking, and pulleys',
  'ours:pull': 'ranking, and tray pull',
  'ours:travel': 'ranking, and tray travel',
  ceiling: 'ceiling: the same readings, and how such drives are spread',
  oracle: 'oracle: knows the drive',
};

/** Plays every class. @returns tables as lists of rows, and the populations themselves */
export async function playClasses(drives) {
  const core = await openCore();
  const { playPopulation, DRIVE_CLASSES } = await core.room('population');
  const { DEFAULT_LIMITS } = await core.room('sizing');
  const populations = DRIVE_CLASSES.map((kind) =>
    playPopulation(kind, drives, SEED, DEFAULT_LIMITS, { ceiling: true }),
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
    ['of the gap closed, with the pull', ...populations.map(({ closed }) => `${Math.round(100 * closed.pull)} %`)],
    ['of the gap, what the ceiling closes', ...populations.map(({ closable }) => `${Math.round(100 * closable)} %`)],
    ['of the gap closed, with the travel', ...populations.map(({ closed }) => `${Math.round(100 * closed.travel)} %`)],
  ];
  const calibration = [
    ['stated odds', 'choices', 'mean stated', 'worked'],
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
  const drives = Number(process.argv.find((word) => /^\d+$/.test(word)) ?? 1000);
  const { scores, calibration } = await playClasses(drives);
  const text = `# How the ways of choosing do

Drawn drives with the bench’s ordinary errors, ${drives} of each class, seed ${SEED}; \`npm run population\` makes this page again. What
is drawn is in \`core/src/population/drive.ts\`: the ranges are common practice and memory, so this compares ways of
choosing with one another and proves nothing about any one machine.

${table(scores)}

± is one standard error of the draw. The best single stretch was picked knowing the outcome, which flatters it. The gap
is from the better of the two single stretches to the oracle. The ceiling measured what the ranking with the pull measured
and knows besides exactly how the drawn drives are spread: nobody could choose better from those readings.

## What its odds are worth

All classes of drive together, every effort of measuring.

${table(calibration)}
`;
  console.log(text);
  if (process.argv.includes('--write')) writeFileSync(join(root, 'docs/CHOOSING.md'), text);
}
