import { seeded, type Random } from '@loose-pulley/core/base/statistics';
import { bestValues, situationOf, type Situation } from '@loose-pulley/core/belts/sizing';
import { drawBeliefs, machineOf } from '@loose-pulley/core/belts/cycling';
import { believe, valuesOf } from '@loose-pulley/core/belts/probability';
import { driveFacts, type Reading } from '@loose-pulley/core/belts/measuring';
import {
  cycle,
  ON_THE_BENCH,
  type Cycle,
  type CycleConditions,
  type CycleMachine,
} from '@loose-pulley/core/physics/cycle';
import type { Knowledge } from '@loose-pulley/core/work/diagnosis';

/** One answer to one test where physics decides it: what the adviser's table says, and what cycles come to. */
export interface Against {
  readonly cause: string;
  readonly test: string;
  readonly outcome: string;
  /** Of all answers to that test for that cause. */
  readonly table: number;
  readonly simulated: number;
}

const ROOM = ON_THE_BENCH;
const COLD = { ...ROOM, roomC: 6, idleHours: 12 };
const WARM = { ...ROOM, roomC: 26 };
/** A light pull, and a light hold. */
const PULLED = { ...ROOM, helpN: 2 };
const HELD = { ...ROOM, helpN: -2 };
const STEP_S = 4e-4;
/** So much longer than the same machine sound is called slow. */
const SLOW = 1.5;
/** What has moved less has not moved for whoever watches. */
const MOVED_MM = 3;

const between = (random: Random, low: number, high: number): number => low + (high - low) * random();

const withBelt = (machine: CycleMachine, times: number): CycleMachine => ({
  ...machine,
  belts: machine.belts.map((one) => ({ ...one, limitN: one.limitN * times })),
});

/**
 * Causes that physics knows, each laid upon a sound machine with a severity of its own. From memory of the trade, no
 * source. Causes that only the table knows stay the table's.
 */
const FAULTS: Readonly<Record<string, (machine: CycleMachine, random: Random) => CycleMachine>> = {
  beltSlack: (machine, random) => withBelt(machine, between(random, 0.05, 0.7)),
  beltOily: (machine, random) => withBelt(machine, between(random, 0.15, 0.45)),
  beltGlazed: (machine, random) => withBelt(machine, between(random, 0.35, 0.75)),
  beltOff: (machine) => ({ ...machine, belts: machine.belts.map((one) => ({ ...one, stretch: 0.9 })) }),
  guidesDry: (machine, random) => {
    const { load } = machine;
    const [dry, grease] = [between(random, 1.5, 4), between(random, 1, 4)];
    return load.kind === 'spin'
      ? machine
      : { ...machine, load: { ...load, guideN: load.guideN * dry, viscousNsPerMm: load.viscousNsPerMm * grease } };
  },
  motorWeak: (machine, random) => {
    const stallNmm = machine.motor.stallNmm * between(random, 0.15, 0.6);
    return { ...machine, motor: { ...machine.motor, stallNmm } };
  },
};

const run = (machine: CycleMachine, on: CycleConditions, seed: number): Cycle | undefined => {
  const made = cycle(machine, on, { stepS: STEP_S, seed });
  return made.ok ? made.value : undefined;
};
const arrives = (one: Cycle | undefined): boolean => one?.timeS != null && one.outcome !== 'slips';
const farthest = ({ trace }: Cycle): number => trace.position.reduce((most, at) => Math.max(most, at), 0);

/** A belt that slides with less than this is not heard; one that does with more screeches. From memory, no source. */
const SCREECH_N = 0.25;
/** Motors that turn at half of their speed and more run on. */
const RUNS_RPM = 1000;

/** Whether the motor turns while it is left on, half a second after it was asked. */
const runsOn = ({ trace }: Cycle): boolean =>
  Math.abs(trace.motorRpm[trace.timeS.findIndex((t) => t > 0.5)] ?? 0) > RUNS_RPM;

function soundOf(one: Cycle, { belts: [belt] }: CycleMachine, moved: boolean): string {
  const slid = one.trace.slidMm.some((list) => (list.at(-1) ?? 0) > MOVED_MM);
  if (slid) return belt && belt.limitN * belt.slidingShare >= SCREECH_N ? 'screech' : 'runsFree';
  if (moved) return 'usual';
  return runsOn(one) ? 'runsFree' : 'silence';
}

/** What somebody at the bench would answer to each test, seen from outside. */
function answers(machine: CycleMachine, soundS: number, seed: number): Readonly<Record<string, string>> | undefined {
  const room = run(machine, ROOM, seed);
  const cold = run(machine, COLD, seed);
  if (!room || !cold) return undefined;
  const slow = room.timeS !== null && room.timeS > SLOW * soundS;
  const works = arrives(room) && !slow;
  // What works in every room comes to no bench.
  if (works && arrives(cold)) return undefined;
  const warm = arrives(run(machine, WARM, seed));
  const held = run(machine, HELD, seed);
  const pulled = arrives(run(machine, PULLED, seed));
  const moved = farthest(room) > MOVED_MM;
  return {
    behaviour: works
      ? 'works'
      : room.timeS !== null
        ? 'slow'
        : !moved
          ? 'nothing'
          : room.outcome === 'givesBack'
            ? 'reverses'
            : 'part',
    sound: soundOf(room, machine, moved),
    warm: warm && !arrives(cold) ? 'betterWarm' : 'alike',
    pull: works ? 'noNeed' : pulled ? 'comes' : 'blocked',
    holdEject: held && arrives(held) ? 'pushes' : held && runsOn(held) ? 'slips' : 'nothing',
    tapped: !works && arrives(run(machine, { ...ROOM, tapped: true }, seed)) ? 'helps' : 'noHelp',
  };
}

const MEASURED = [
  ['section', 'sectionJaws', 1.2],
  ['motorDiameter', 'motorJaws', 6],
  ['drivenDiameter', 'drivenJaws', 24.8],
  ['centreDistance', 'shaftToShaft', 38.2],
] as const satisfies ReadonlyArray<readonly [Reading['measurand'], string, number]>;

/** A measured tray of the middle sort. */
function usualTray(): Situation {
  const readings = MEASURED.map(([measurand, method, amount]): Reading => ({
    id: measurand,
    measurand,
    method,
    typed: '',
    amount,
    aux: {},
    ownStd: null,
  }));
  const facts = driveFacts(readings, { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } });
  const situation = situationOf(facts, { motorSurface: 'clean', drivenSurface: 'clean', oldShape: 'square' });
  if (!situation.ok) throw new Error(situation.problem);
  return situation.value;
}

/**
 * Holds the adviser's table against cycles: of so many machines with one cause each, what those that fail would answer.
 *
 * @returns a line for each answer of each test that physics decides, for each cause that physics knows
 */
export function tableAgainstCycles(knowledge: Knowledge, machines: number, seed: number): readonly Against[] {
  const situation = usualTray();
  const believed = believe(situation, [], machines, seed).value;
  const beliefs = drawBeliefs(machines, seed);
  const belt = { shape: 'square', thicknessMm: 1.2, innerLengthMm: 114 } as const;
  const all: Against[] = [];
  for (const [cause, lay] of Object.entries(FAULTS)) {
    const random = seeded(seed);
    const counts = new Map<string, Map<string, number>>();
    let failing = 0;
    for (let i = 0; i < machines; i++) {
      const values = { ...valuesOf(believed, i, belt.shape), needNmm: bestValues(situation, belt.shape).needNmm };
      const made = machineOf(situation, values, belt, beliefs, i, {});
      const sound = made.ok ? run(made.value, ROOM, i) : undefined;
      if (!made.ok || !sound || !arrives(sound) || sound.timeS === null) continue;
      const found = answers(lay(made.value, random), sound.timeS, i);
      if (!found) continue;
      failing += 1;
      for (const [test, outcome] of Object.entries(found)) {
        const list = counts.get(test) ?? new Map<string, number>();
        list.set(outcome, (list.get(outcome) ?? 0) + 1);
        counts.set(test, list);
      }
    }
    for (const [test, list] of counts) {
      const row = knowledge.tests.find(({ id }) => id === test);
      const given = row?.given[cause];
      if (!row || !given) continue;
      const sum = given.reduce((total, one) => total + one, 0);
      row.outcomes.forEach(({ id }, at) => {
        all.push({
          cause,
          test,
          outcome: id,
          table: (given[at] ?? 0) / sum,
          simulated: (list.get(id) ?? 0) / failing,
        });
      });
    }
  }
  return all;
}
