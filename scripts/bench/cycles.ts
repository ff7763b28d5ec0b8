import { BOOTH } from '../../core/fixtures/booth';
import { TRAY } from '../../core/fixtures/cycleMachine';
import { CyclePlay } from '../../core/src/belts/cycling';
import { believe } from '../../core/src/belts/probability';
import { seeded } from '../../core/src/base/statistics';
import { ON_THE_BENCH, cycle, onKnifeEdge, type Cycle, type CycleMachine } from '../../core/src/physics/cycle';
import { median, ms, times, type Row } from './report';

const MACHINES = 1000;

/** A machine from easy to hopeless. */
function randomMachine(random: () => number): CycleMachine {
  const between = (low: number, high: number): number => low + (high - low) * random();
  const [belt] = TRAY.belts;
  if (!belt || TRAY.load.kind !== 'travel') throw new Error('the fixture is a tray with a belt');
  return {
    ...TRAY,
    motor: { ...TRAY.motor, stallNmm: between(0.8, 5), rotorGcm2: between(0.3, 1.5) },
    belts: [{ ...belt, limitN: between(0.1, 1.2) }],
    load: {
      ...TRAY.load,
      guideN: between(0.3, 3),
      massG: between(80, 400),
      viscousNsPerMm: between(0, 0.006),
      places: [{ name: 'guide', kind: 'binds', fromMm: 60, toMm: 68, forceN: between(0, 1.5) }],
    },
  };
}

const run = (machine: CycleMachine, stepS: number): Cycle => {
  const made = cycle(machine, ON_THE_BENCH, { stepS, traced: false });
  if (!made.ok) throw new Error(made.problem);
  return made.value;
};

/** One cycle, a thousand machines, and what half the step changes. */
export async function benchCycles(row: Row): Promise<void> {
  const traced = await times(40, () => cycle(TRAY, ON_THE_BENCH));
  row('one cycle, traced, 1.5 s of it', ms(median(traced)), 'goal 20 ms');
  const believed = believe(BOOTH, [], MACHINES, 1);
  const belt = { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 } as const;
  const began = performance.now();
  new CyclePlay(BOOTH, believed, MACHINES, {}, { belt, on: ON_THE_BENCH }, 1).all();
  row(`${MACHINES} machines that fit`, `${((performance.now() - began) / 1000).toFixed(1)} s`, 'goal 3 s, in a worker');

  const random = seeded(20261202);
  let later = 0;
  let others = 0;
  let atAnEdge = 0;
  let worst = 0;
  for (let i = 0; i < MACHINES; i++) {
    const machine = randomMachine(random);
    const [whole, half] = [run(machine, 1e-4), run(machine, 5e-5)];
    if (whole.outcome !== half.outcome) {
      if (onKnifeEdge(machine, ON_THE_BENCH, whole.outcome)) atAnEdge += 1;
      else others += 1;
    } else if (whole.timeS !== null && half.timeS !== null) {
      const apart = Math.abs(whole.timeS - half.timeS);
      worst = Math.max(worst, apart / half.timeS);
      if (apart > Math.max(1.01e-4, 1e-3 * half.timeS)) later += 1;
    }
  }
  row(
    `half the step, ${MACHINES} random machines: another outcome`,
    `${others}, and ${atAnEdge} at a knife edge`,
    `goal none but at an edge; ${later} times off by more than 0.1 % or a step, the worst by ${(100 * worst).toFixed(2)} %`,
  );
}
