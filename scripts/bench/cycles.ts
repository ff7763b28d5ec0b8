import { BOOTH } from '../../core/fixtures/booth';
import { TRAY } from '../../core/fixtures/cycleMachine';
import { CyclePlay } from '../../core/src/belts/cycling';
import { believe } from '../../core/src/belts/probability';
import { seeded } from '../../core/src/base/statistics';
import { ON_THE_BENCH, cycle, onKnifeEdge, type Cycle, type CycleMachine } from '../../core/src/physics/cycle';
import { median, ms, times, type Row } from './report';
import type { Stage } from './stage';

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

/** Frames of a cycle that is played on its page, once all machines that fit are done. */
async function benchFrames(row: Row, { page, demoUrl }: Stage): Promise<void> {
  await page.goto(`${demoUrl}/t/demo-0147/cycle`);
  await page.getByText(/machines? that run with what ran on the bench, of \d+\./).waitFor({ timeout: 60_000 });
  await page.getByText('Trying one thing after the other…').waitFor({ state: 'detached', timeout: 120_000 });
  const frames = await page.evaluate(async () => {
    [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Play')?.click();
    const taken: number[] = [];
    let last = await new Promise<number>((begin) => requestAnimationFrame(begin));
    for (const end = last + 2000; last < end;) {
      const now = await new Promise<number>((next) => requestAnimationFrame(next));
      taken.push(now - last);
      last = now;
    }
    return taken;
  });
  const sorted = [...frames].sort((a, b) => a - b);
  row(
    'a frame of a cycle that plays',
    ms(median(frames)),
    `nineteen in twenty within ${ms(sorted[Math.floor(0.95 * sorted.length)] ?? NaN)}; a frame of the screen is 16.7 ms`,
  );
}

/** One cycle, a thousand machines, and what half the step changes. */
export async function benchCycles(row: Row, stage: Stage): Promise<void> {
  await benchFrames(row, stage);
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
