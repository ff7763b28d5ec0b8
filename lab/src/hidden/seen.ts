import type { Random } from '@loose-pulley/core/base/statistics';
import {
  cycle,
  ON_THE_BENCH,
  type Cycle,
  type CycleConditions,
  type CycleMachine,
} from '@loose-pulley/core/physics/cycle';

/** The bench’s own conditions, and those of a cold and a warm room. */
export const ROOM = ON_THE_BENCH;
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

/** Evenly between two ends. */
export const between = (random: Random, low: number, high: number): number => low + (high - low) * random();

const withBelt = (machine: CycleMachine, times: number): CycleMachine => ({
  ...machine,
  belts: machine.belts.map((one) => ({ ...one, limitN: one.limitN * times })),
});

/**
 * Causes that physics knows, each laid upon a sound machine with a severity of its own. From memory of the trade, no
 * source. Causes that only the table knows stay the table's.
 */
export const FAULTS: Readonly<Record<string, (machine: CycleMachine, random: Random) => CycleMachine>> = {
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

/** One cycle; undefined of figures that cannot be. */
export const run = (machine: CycleMachine, on: CycleConditions, seed: number): Cycle | undefined => {
  const made = cycle(machine, on, { stepS: STEP_S, seed });
  return made.ok ? made.value : undefined;
};
/** Whether a cycle arrives without a slide. */
export const arrives = (one: Cycle | undefined): boolean => one?.timeS != null && one.outcome !== 'slips';
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

/**
 * What somebody at the bench would answer to each test that physics decides, seen from outside.
 *
 * @param soundS how long the same machine takes when it is sound
 * @returns undefined where it works in every room
 */
export function seenFrom(
  machine: CycleMachine,
  soundS: number,
  seed: number,
): Readonly<Record<string, string>> | undefined {
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
