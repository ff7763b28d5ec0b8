import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CATALOGUE, SQUARE_BELTS } from '../../core/src/belts/catalogue';
import { believe, KNOWLEDGE, machineOf, suggest } from '../../core/src/work/diagnosis';
import { seatAt } from '../../core/src/physics/evaluation';
import { driveFacts } from '../../core/src/belts/measuring';
import {
  answerProbability,
  believe as believed,
  playOutcomes,
  type JudgedBelt,
} from '../../core/src/belts/probability';
import { sectionAreaMm2 } from '../../core/src/physics/rubber';
import { rank, situationOf, type Situation } from '../../core/src/belts/sizing';
import { reading } from '../../core/fixtures/sample';
import { root } from '../setup.mjs';
import { median, ms, times, type Row } from './report';
import type { Stage } from './stage';

/** The booth deck, measured. */
function boothDeck(): Situation {
  const facts = driveFacts(
    [
      reading('section', 'section', 'sectionJaws', 1.2),
      reading('motor', 'motorDiameter', 'motorJaws', 6),
      reading('driven', 'drivenDiameter', 'drivenJaws', 24.8),
      reading('centre', 'centreDistance', 'shaftToShaft', 38.2),
    ],
    { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } },
  );
  const situation = situationOf(facts, { motorSurface: 'clean', drivenSurface: 'clean', oldShape: 'square' });
  if (!situation.ok) throw new Error(situation.problem);
  return situation.value;
}

/** Debian's own Python, which Debian's NumPy belongs to. */
const PYTHON = '/usr/bin/python3';
const hasNumpy = () => spawnSync(PYTHON, ['-c', 'import numpy']).status === 0;

/** The same work by NumPy, which is installed from Debian where it is missing. @returns undefined where it cannot be had */
function numpy(work: string, situation: Situation, belts: readonly JudgedBelt[], count: number) {
  if (!hasNumpy()) spawnSync('apt-get', ['install', '-y', '-q', 'python3-numpy'], { stdio: 'ignore' });
  if (!hasNumpy()) return undefined;
  const samples = believed(situation, [], count, 1).value;
  const { drive, oldSection, demands } = situation;
  const file = join(work, 'samples.json');
  writeFileSync(
    file,
    JSON.stringify({
      samples: Object.fromEntries(
        [...Object.entries(samples), ['modulusMpa', samples.modulusMpa.square] as const].flatMap(([key, list]) =>
          list instanceof Float64Array ? [[key, [...list]]] : [],
        ),
      ),
      requirements: demands.requirements,
      belts: belts.map((belt) => {
        const usualMm = belt.thicknessMm / Math.sqrt(1.08);
        const seat = seatAt(drive, usualMm);
        if (!seat) throw new Error('a belt that cannot lie there');
        return {
          thicknessMm: belt.thicknessMm,
          innerLengthMm: belt.innerLengthMm,
          toleranceMm: belt.innerLengthToleranceMm,
          areaMm2: sectionAreaMm2(belt),
          pathGrowth: seat.pathMm / usualMm,
          motorGrowth: seat.motorMm / usualMm,
          motorMm: seat.motorMm,
          drivenMm: seat.drivenMm,
          wrapsRad: seat.wrapsRad?.slice(0, 2),
          grooveLog: oldSection ? Math.abs(Math.log(belt.thicknessMm / oldSection.thicknessMm)) : 0,
        };
      }),
    }),
  );
  const { stdout, status } = spawnSync(PYTHON, [join(root, 'scripts/bench/chance.py'), file], { encoding: 'utf8' });
  return status === 0 ? (JSON.parse(stdout) as { readonly ms: number; readonly works: number }) : undefined;
}

/** What the workers do, in Node: the same code without the screen. */
export async function benchCalculating(row: Row, { work }: Stage): Promise<void> {
  const situation = boothDeck();
  for (let i = 0; i < 20; i++) rank(situation, CATALOGUE);
  const ranking = median(await times(30, () => rank(situation, CATALOGUE)));
  const perBelt = `${((1000 * ranking) / CATALOGUE.length).toFixed(1)} µs a belt`;
  row(`ranking of every catalogue belt (${CATALOGUE.length})`, ms(ranking), perBelt);

  // One stock, as NumPy has it: the same modulus for all.
  const belts = [...SQUARE_BELTS, ...SQUARE_BELTS].slice(0, 500);
  const tried = (innerLengthMm: number, verdict: 'right' | 'tooTight') => ({
    belt: { shape: 'square' as const, thicknessMm: 1.2, innerLengthMm, innerLengthToleranceMm: 1 },
    verdict,
  });
  const sisters = ['1', '2', '3'].map((number) => ({
    number,
    motorSurface: 'clean' as const,
    drivenSurface: 'clean' as const,
    tries: [tried(116, 'right')],
  }));
  const answered = async (draws: number, quick: boolean, more: boolean) =>
    ms(
      median(
        await times(9, () =>
          answerProbability(
            {
              situation: more ? { ...situation, sisters } : situation,
              belts,
              tries: more ? [tried(108, 'tooTight')] : [],
              seed: 1,
            },
            draws,
            quick,
          ),
        ),
      ),
    );
  row('chances of 500 belts, first estimate (1,000 samples)', await answered(1000, true, false), 'goal 50 ms');
  row('the same with a verdict and three sisters', await answered(1000, true, true), 'goal 50 ms');
  row('chances of 500 belts, 4,000 samples, all of it', await answered(4000, false, false), 'goal 0.6 s');
  row('the same with a verdict and three sisters', await answered(4000, false, true), 'goal 0.6 s');
  const samples = believed(situation, [], 4000, 1).value;
  const fastest = Math.min(...(await times(9, () => playOutcomes(samples, situation, belts))));
  const works = playOutcomes(samples, situation, belts).reduce((sum, outcome) => sum + (outcome === 0 ? 1 : 0), 0);
  const theirs = numpy(work, situation, belts, 4000);
  row(
    'every belt in every sample, drawn already',
    ms(fastest),
    theirs ? `NumPy ${ms(theirs.ms)}; ${works} works, NumPy ${theirs.works}` : 'NumPy could not be installed',
  );

  const machine = machineOf(KNOWLEDGE, 'carousel');
  const observations = machine.tests
    .slice(1)
    .flatMap(({ id, outcomes: [first] }) => (first ? [{ testId: id, outcome: first.id, cured: 0 as const }] : []));
  const given = {
    loader: 'carousel',
    observations,
    cured: [],
    ruledOut: [],
    opened: 'lidOn',
    stillFails: false,
  } as unknown as Parameters<typeof suggest>[2];
  const advising = median(await times(30, () => suggest(machine, believe(machine, given), given)));
  row(
    'next test, everything else answered',
    ms(advising),
    `goal 50 ms; ${machine.hypotheses.length} hypotheses, ${machine.tests.length} tests`,
  );
}
