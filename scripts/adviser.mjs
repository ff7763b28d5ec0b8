import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { openCore } from './core.mjs';
import { ensurePackages, root } from './setup.mjs';

/* npm run adviser: plays the adviser on drawn machines and prints how it does; with --write, into docs/ADVISER.md; with --cycles, only where its table and cycles differ. */

const SEED = 20261125;
/** A band of fewer statements tells nothing. */
const LEAST_CASES = 50;
const percent = (share) => `${Math.round(100 * share)} %`;
const points = (share) => (100 * share).toFixed(1);

/** Plays every kind of loader by both policies, and in both worlds. @returns four tables, each with its head first */
export async function playAdviser(machines) {
  const core = await openCore();
  const { KNOWLEDGE, POLICIES, NO_BLUR } = await core.room('work/diagnosis');
  const { simulate, WORLDS } = await core.file('/lab/src/adviser/index.ts');
  const { LOADERS } = await core.room('base/loaders');
  const asking = [
    [
      'loader',
      'policy',
      'player',
      'first, after 5',
      'minutes by then',
      'after 10',
      'tests',
      'minutes',
      'certain',
      'of ceiling, after 5',
    ],
  ];
  const trust = [['world', 'table taken', 'certain', 'stated', 'right', 'apart, points']];
  const sums = new Map();
  const add = (key, one) => {
    const sum = sums.get(key) ?? { n: 0, certain: 0, stated: 0, right: 0 };
    sums.set(key, {
      n: sum.n + 1,
      certain: sum.certain + one.certain,
      stated: sum.stated + one.statedWhenCertain * one.certain,
      right: sum.right + one.rightWhenCertain * one.certain,
      bands: one.bands.map((band, n) => {
        const so = sum.bands?.[n] ?? { cases: 0, stated: 0, right: 0 };
        return {
          from: band.from,
          cases: so.cases + band.cases,
          stated: so.stated + band.cases * band.stated,
          right: so.right + band.cases * band.right,
        };
      }),
    });
  };
  const wrong = [['policy', 'first after 5, adviser', 'one who knows the true table', 'share of it']];
  const afterFive = new Map();
  for (const loader of LOADERS) {
    for (const policy of POLICIES) {
      const { players } = simulate(KNOWLEDGE, loader, machines, SEED, { policy });
      if (policy === 'minute') add('perturbed, as judgement', players.adviser);
      for (const [name, one] of Object.entries(players)) {
        if (policy === 'test' && (name === 'fixed' || name === 'random')) continue;
        asking.push([
          loader,
          `per ${policy}`,
          name,
          percent(one.top1[4]),
          one.minutesAfter5.toFixed(0),
          percent(one.top1[9]),
          one.testsToCertain.toFixed(1),
          one.minutesToCertain.toFixed(0),
          percent(one.certain),
          name === 'adviser' ? percent(one.top1[4] / players.ceiling.top1[4]) : '',
        ]);
      }
      const torn = simulate(KNOWLEDGE, loader, machines, SEED, {
        world: 'structure',
        policy,
        only: ['adviser', 'ceiling'],
      }).players;
      if (policy === 'minute') add('structure, as judgement', torn.adviser);
      const sum = afterFive.get(policy) ?? { adviser: 0, ceiling: 0 };
      afterFive.set(policy, {
        adviser: sum.adviser + torn.adviser.top1[4],
        ceiling: sum.ceiling + torn.ceiling.top1[4],
      });
    }
    for (const world of WORLDS) {
      const game = { world, blurs: NO_BLUR, only: ['adviser'] };
      add(`${world}, at its word`, simulate(KNOWLEDGE, loader, machines, SEED, game).players.adviser);
    }
  }
  for (const [policy, { adviser, ceiling }] of afterFive)
    wrong.push([
      `per ${policy}`,
      percent(adviser / LOADERS.length),
      percent(ceiling / LOADERS.length),
      percent(adviser / ceiling),
    ]);
  for (const [key, sum] of sums) {
    trust.push([
      ...key.split(', '),
      percent(sum.certain / sum.n),
      points(sum.stated / sum.certain),
      points(sum.right / sum.certain),
      points((sum.right - sum.stated) / sum.certain),
    ]);
  }
  const bands = [['world', 'said of the first', 'cases', 'stated', 'right', 'apart, points']];
  for (const [key, { bands: own }] of sums) {
    if (!key.endsWith('as judgement')) continue;
    for (const { from, cases, stated, right } of own) {
      if (cases < LEAST_CASES) continue;
      bands.push([
        key.split(', ')[0],
        `${(100 * from).toFixed(0)} to ${(100 * from + 10).toFixed(0)}`,
        String(cases),
        points(stated / cases),
        points(right / cases),
        points((right - stated) / cases),
      ]);
    }
  }
  await core.close();
  return { asking, trust, bands, wrong };
}

/** Answers that cycles give to tests where physics decides them, beside the adviser's table; apart by more is marked. */
const APART = 0.25;
async function heldAgainstCycles(machines) {
  const core = await openCore();
  const { KNOWLEDGE } = await core.room('work/diagnosis');
  const { tableAgainstCycles } = await core.file('/lab/src/cycles/index.ts');
  const all = tableAgainstCycles(KNOWLEDGE, machines, SEED);
  await core.close();
  const far = all.filter(({ table, simulated }) => Math.abs(table - simulated) > APART);
  const shown = far.sort((a, b) => Math.abs(b.simulated - b.table) - Math.abs(a.simulated - a.table));
  return {
    words: `${all.length} answers that physics decides were held against cycles of ${machines} machines a cause; ${far.length} lie more than 25 points apart:`,
    lines: [
      ['cause', 'test', 'answer', 'table', 'cycles'],
      ...shown.map(({ cause, test, outcome, table, simulated }) => [
        cause,
        test,
        outcome,
        percent(table),
        percent(simulated),
      ]),
    ],
  };
}

const table = (lines) =>
  lines
    .flatMap((cells, index) => [
      `| ${cells.join(' | ')} |`,
      ...(index === 0 ? [`|${cells.map(() => '---').join('|')}|`] : []),
    ])
    .join('\n');

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  ensurePackages();
  const machines = Number(process.argv.find((one) => /^\d+$/.test(one)) ?? 400);
  const cycles = await heldAgainstCycles(Math.min(machines, 200));
  const physics = `${cycles.words}\n\n${table(cycles.lines)}`;
  if (process.argv.includes('--cycles')) {
    console.log(physics);
    process.exit();
  }
  const { asking, trust, bands, wrong } = await playAdviser(machines);
  const text = `${machines} machines a loader, seed ${SEED}, \`npm run adviser -- --write\`.\n\n${table(trust)}\n\n${table(bands)}\n\n${table(wrong)}\n\n${table(asking)}\n\n${physics}`;
  console.log(text);
  if (process.argv.includes('--write')) {
    const file = join(root, 'docs/ADVISER.md');
    const whole = `<!-- played -->\n\n${text}\n\n<!-- /played -->`;
    const { format } = await import('prettier');
    const made = readFileSync(file, 'utf8').replace(/<!-- played -->[\s\S]*<!-- \/played -->/, whole);
    writeFileSync(file, await format(made, { parser: 'markdown', printWidth: 120 }));
  }
}
