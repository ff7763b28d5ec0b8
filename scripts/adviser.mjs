import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { openCore } from './core.mjs';
import { ensurePackages, root } from './setup.mjs';

/* npm run adviser: plays the adviser on drawn machines and prints how it does; with --write, into docs/ADVISER.md. */

const SEED = 20261125;

/** Plays every kind of loader. @returns lines of a table, the head first */
export async function playAdviser(machines) {
  const core = await openCore();
  const { simulate, KNOWLEDGE } = await core.room('diagnosis');
  const { LOADERS } = await core.room('loaders');
  const percent = (share) => `${Math.round(100 * share)} %`;
  const lines = [
    [
      'loader',
      'player',
      'first, after 5',
      'after 10',
      'in first 3, after 5',
      'tests',
      'minutes',
      'certain',
      'then right',
      'of ceiling, after 5',
      'minutes saved',
    ],
  ];
  for (const loader of LOADERS) {
    const { players } = simulate(KNOWLEDGE, loader, machines, SEED);
    for (const [name, one] of Object.entries(players)) {
      lines.push([
        loader,
        name,
        percent(one.top1[4]),
        percent(one.top1[9]),
        percent(one.top3[4]),
        one.testsToCertain.toFixed(1),
        one.minutesToCertain.toFixed(0),
        percent(one.certain),
        percent(one.rightWhenCertain),
        name === 'adviser' ? percent(one.top1[4] / players.ceiling.top1[4]) : '',
        name === 'adviser' ? percent(1 - one.minutesToCertain / players.fixed.minutesToCertain) : '',
      ]);
    }
  }
  await core.close();
  return lines;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  ensurePackages();
  const machines = Number(process.argv.find((one) => /^\d+$/.test(one)) ?? 400);
  const lines = await playAdviser(machines);
  const table = lines
    .flatMap((cells, index) => [
      `| ${cells.join(' | ')} |`,
      ...(index === 0 ? [`|${cells.map(() => '---').join('|')}|`] : []),
    ])
    .join('\n');
  console.log(table);
  if (process.argv.includes('--write')) {
    const file = join(root, 'docs/ADVISER.md');
    const text = `<!-- played -->\n\n${machines} machines a loader, seed ${SEED}, \`npm run adviser -- --write\`.\n\n${table}\n\n<!-- /played -->`;
    writeFileSync(file, readFileSync(file, 'utf8').replace(/<!-- played -->[\s\S]*<!-- \/played -->/, text));
  }
}
