import type { Random } from '@loose-pulley/core/base/statistics';
import {
  cycle,
  ON_THE_BENCH,
  type Cycle,
  type CycleConditions,
  type CycleMachine,
  type CycleTravel,
} from '@loose-pulley/core/physics/cycle';

/** The bench’s own conditions, and those of a cold and a warm room. */
export const ROOM = ON_THE_BENCH;
const COLD = { ...ROOM, roomC: 6, idleHours: 12 };
const WARM = { ...ROOM, roomC: 26 };
/** A light pull by one finger, and a light hold, newtons. From memory of the trade, no source. */
const PULLED = { ...ROOM, helpN: 4 };
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

type Lay = (machine: CycleMachine, random: Random) => CycleMachine | undefined;
/** Laid on what moves along a way; a spindle has none of it. */
const onTravel =
  (change: (load: CycleTravel, random: Random) => Partial<CycleTravel>): Lay =>
  (machine, random) => {
    const { load } = machine;
    return load.kind === 'travel' ? { ...machine, load: { ...load, ...change(load, random) } } : undefined;
  };
/** Something that stands in the way between two shares of it, holding with so many newtons. */
const blocked = (from: number, to: number, least: number, most: number): Lay =>
  onTravel((load, random) => {
    const fromMm = load.travelMm * between(random, from, to);
    const forceN = between(random, least, most);
    return {
      places: [...load.places, { name: 'in the way', kind: 'binds', fromMm, toMm: load.travelMm, forceN }],
    };
  });
/** Rollers that pass these shares of what the guides ask, left and right. */
const rollersPass = (left: readonly [number, number], right: readonly [number, number]): Lay =>
  onTravel(({ guideN }, random) => ({
    rollers: { leftN: guideN * between(random, ...left), rightN: guideN * between(random, ...right), apartMm: 60 },
  }));
const noBelt: Lay = (machine) => ({ ...machine, belts: machine.belts.map((one) => ({ ...one, stretch: 0.9 })) });
const switchOf = (machine: CycleMachine, state: CycleMachine['endSwitch']['state']): CycleMachine | undefined =>
  machine.load.kind === 'travel' ? { ...machine, endSwitch: { ...machine.endSwitch, state } } : undefined;
/** So many of its teeth a turn catch. From memory of the trade, no source. */
const CRACKS = 5;

/**
 * Causes that physics knows, each laid upon a sound machine with a severity of its own; undefined where a machine has
 * nothing that it could befall. From memory of the trade, no source. Causes that only the table knows stay the table's.
 */
export const FAULTS: Readonly<Record<string, Lay>> = {
  beltSlack: (machine, random) => withBelt(machine, between(random, 0.05, 0.7)),
  beltOily: (machine, random) => withBelt(machine, between(random, 0.15, 0.45)),
  beltGlazed: (machine, random) => withBelt(machine, between(random, 0.35, 0.75)),
  beltOff: noBelt,
  beltBroken: noBelt,
  beltDissolved: noBelt,
  guidesDry: onTravel(({ guideN, viscousNsPerMm }, random) => ({
    guideN: guideN * between(random, 1.5, 4),
    viscousNsPerMm: viscousNsPerMm * between(random, 1, 4),
  })),
  motorWeak: (machine, random) => {
    const stallNmm = machine.motor.stallNmm * between(random, 0.15, 0.6);
    return { ...machine, motor: { ...machine.motor, stallNmm } };
  },
  discJammed: blocked(0, 0.6, 20, 40),
  loosePart: blocked(0.1, 0.9, 8, 30),
  pastLock: blocked(0, 0, 20, 40),
  transportLock: blocked(0, 0, 30, 60),
  notClicked: blocked(0.02, 0.1, 4, 15),
  offTrack: (machine, random) => {
    const dragged = onTravel(({ guideN }) => ({ guideN: guideN * between(random, 1.5, 3) }))(machine, random);
    return dragged && blocked(0.1, 0.8, 3, 12)(dragged, random);
  },
  // It stands against its end before the lever is reached.
  toothOut: (machine) => {
    const { load, endSwitch } = machine;
    if (load.kind !== 'travel' || load.stopAtMm === null) return undefined;
    return { ...machine, endSwitch: { ...endSwitch, atMm: load.stopAtMm + 3 } };
  },
  gearCracked: onTravel((load, random) => {
    const forceN = load.guideN * between(random, 1.5, 5);
    const [first, apart] = [load.travelMm * between(random, 0.05, 0.2), load.travelMm / CRACKS];
    const cracks = Array.from({ length: CRACKS }, (_, i): CycleTravel['places'][number] => ({
      name: 'the cracked tooth',
      kind: 'binds',
      fromMm: first + i * apart,
      toMm: first + i * apart + 1.5,
      forceN,
    })).filter(({ toMm }) => toMm < load.travelMm);
    return { places: [...load.places, ...cracks] };
  }),
  // The wheels before the gap turn, and nothing after it.
  gearStripped: onTravel(({ travelPerTurnMm, efficiency }) => ({
    travelPerTurnMm: travelPerTurnMm / 200,
    efficiency: efficiency / 2,
  })),
  switchDirty: (machine) => switchOf(machine, 'dirty'),
  switchTorn: (machine) => switchOf(machine, 'stuck'),
  rollersWorn: rollersPass([0.15, 0.4], [0.15, 0.4]),
  rollersDirty: rollersPass([0.2, 0.45], [0.2, 0.45]),
  rollerLink: rollersPass([0, 0], [0.3, 0.8]),
};
/** Causes that keep its motor from turning at all: nothing else is to be seen. */
export const DEAD: ReadonlySet<string> = new Set(['latched', 'modeGear', 'connector']);
/** What is seen where its motor never turns. */
export const SILENT = { behaviour: 'nothing', sound: 'silence', holdEject: 'nothing' } as const;

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

/** A pulley that turns slower is not seen to turn. From memory, no source. */
const TURNS_RPM = 30;
/** Whether the pulley that the last belt drives was turned the way that opens; a hand that holds turns it back. */
const drivenTurned = ({ trace }: Cycle): boolean => (trace.pulleyRpm.at(-1) ?? []).some((rpm) => rpm > TURNS_RPM);
/** Held lightly: it pushes on, the belt slips, the train turns and the rest does not, or nothing turns. */
function heldShows(held: Cycle): string {
  if (arrives(held)) return 'pushes';
  const slid = held.trace.slidMm.some((list) => (list.at(-1) ?? 0) > MOVED_MM);
  if (!slid && runsOn(held) && farthest(held) < MOVED_MM && drivenTurned(held)) return 'gears';
  return runsOn(held) ? 'slips' : 'nothing';
}
/** What is heard at the very end of the way is not what is heard under way. */
const NEARLY = 0.95;
function soundOf(one: Cycle, { belts: [belt], load }: CycleMachine, moved: boolean): string {
  const ended = load.kind === 'travel' && farthest(one) > NEARLY * load.travelMm;
  const underWay = one.events.some(
    (event) => event.kind === 'slips' && !event.chirp && (!ended || event.atMm < NEARLY * farthest(one)),
  );
  const slid = !ended && one.trace.slidMm.some((list) => (list.at(-1) ?? 0) > MOVED_MM);
  if (slid || underWay) return belt && belt.limitN * belt.slidingShare >= SCREECH_N ? 'screech' : 'runsFree';
  if (moved) return 'usual';
  return runsOn(one) ? 'runsFree' : 'silence';
}

/** The tests that physics answers. */
export const BY_PHYSICS = ['behaviour', 'sound', 'warm', 'pull', 'holdEject', 'tapped'] as const;
const CONDITIONS = { ROOM, COLD, WARM, PULLED, HELD, TAPPED: { ...ROOM, tapped: true } } as const;

/** A machine that is looked at: every condition is run once, when it is first asked for. */
export interface Looked {
  /** It fails in the bench’s room, or in the cold. */
  readonly fails: boolean;
  /** What somebody at the bench would answer to a test; undefined where physics does not decide it. */
  answer(test: string): string | undefined;
}

/**
 * A machine, seen from outside.
 *
 * @param soundS how long the same machine takes when it is sound
 * @returns undefined of figures that cannot be
 */
export function look(machine: CycleMachine, soundS: number, seed: number): Looked | undefined {
  const ran = new Map<keyof typeof CONDITIONS, Cycle | undefined>();
  const at = (name: keyof typeof CONDITIONS): Cycle | undefined => {
    if (!ran.has(name)) ran.set(name, run(machine, CONDITIONS[name], seed));
    return ran.get(name);
  };
  const room = at('ROOM');
  if (!room) return undefined;
  const slow = room.timeS !== null && room.timeS > SLOW * soundS;
  const works = arrives(room) && !slow;
  const moved = farthest(room) > MOVED_MM;
  const behaviour = (): string => {
    if (works) return 'works';
    if (room.timeS !== null) return 'slow';
    if (!moved) return 'nothing';
    return room.outcome === 'givesBack' ? 'reverses' : 'part';
  };
  const answers: Readonly<Record<(typeof BY_PHYSICS)[number], () => string>> = {
    behaviour,
    sound: () => soundOf(room, machine, moved),
    warm: () => (!arrives(at('COLD')) && arrives(at('WARM')) ? 'betterWarm' : 'alike'),
    pull: () => (works ? 'noNeed' : arrives(at('PULLED')) ? 'comes' : 'blocked'),
    holdEject: () => {
      const held = at('HELD');
      return held ? heldShows(held) : 'nothing';
    },
    tapped: () => (!works && arrives(at('TAPPED')) ? 'helps' : 'noHelp'),
  };
  return {
    get fails() {
      return !works || !arrives(at('COLD'));
    },
    answer: (test) => answers[test as (typeof BY_PHYSICS)[number]]?.(),
  };
}
