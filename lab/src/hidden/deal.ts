import { LOADERS, loaderOf, type Loader } from '@loose-pulley/core/base/loaders';
import { seeded, type Random } from '@loose-pulley/core/base/statistics';
import { refuse, ok, type Result } from '@loose-pulley/core/base/units';
import { drawBeliefs, machineOf } from '@loose-pulley/core/belts/cycling';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS, type Situation } from '@loose-pulley/core/belts/sizing';
import type { CycleMachine } from '@loose-pulley/core/physics/cycle';
import type { EvaluatedBelt } from '@loose-pulley/core/physics/evaluation';
import type { Knowledge } from '@loose-pulley/core/work/diagnosis';
import { sampleDrive, truthOf, type TrueDrive } from '../population';
import { arrives, between, DEAD, FAULTS, look, ROOM, run } from './seen';

/** A machine whose truth is known to nobody who repairs it. The same loader and number are the same machine everywhere. */
export interface HiddenMachine {
  readonly loader: Loader;
  readonly number: number;
  /** What is wrong with it, by the adviser's names; one or two, or none: then it was only used wrongly. */
  readonly causes: readonly string[];
  readonly drive: TrueDrive;
  readonly oldBelt: EvaluatedBelt;
  /** As it was made, as it came, and how long it takes when it is sound. */
  readonly sound: CycleMachine;
  readonly asFound: CycleMachine;
  readonly soundS: number;
  /** Any of its causes is one that physics knows: what is seen from outside is run, and asked of no table. */
  readonly physical: boolean;
  readonly seed: number;
  /** What the severity of each cause is drawn from. */
  readonly severity: number;
  /** What earlier hands left wrong, in words; empty where nobody was in it. */
  readonly earlier: string;
}

/** Numbers that a machine may have. */
export const NUMBERS = { min: 1, max: 999_999 } as const;
/** A draw that comes to no machine is drawn anew; so often at the most. */
const TRIES = 60;
/** Rubber that a new belt was stretched by, and a slack one is left with. From memory of the trade, no source. */
const TAUT = [0.05, 0.1] as const;
const SLACK = [-0.02, 0.02] as const;
const WRONG = [
  [-0.04, 0],
  [0.22, 0.4],
] as const;

/** Causes by their shares on a kind of loader: one, or two in as many of a hundred as the adviser believes. */
function causesOf(knowledge: Knowledge, loader: Loader, random: Random): readonly string[] {
  const possible = knowledge.causes.filter(({ priors }) => priors[loader] > 0);
  const pick = (): string => {
    let at = random() * possible.reduce((sum, { priors }) => sum + priors[loader], 0);
    return (possible.find(({ priors }) => (at -= priors[loader]) < 0) ?? possible[0])?.id ?? '';
  };
  const first = pick();
  if (random() >= knowledge.pairShare) return [first];
  const second = pick();
  return second === first ? [first] : [first, second];
}

const beltOf = ({ section, pathMm }: TrueDrive, strain: number): EvaluatedBelt => {
  const round = Math.PI * section.thicknessMm;
  return { ...section, innerLengthMm: (pathMm + round) / (1 + strain) - round };
};

const situationOf = (loader: Loader, one: TrueDrive): Situation => ({
  path: { value: one.pathMm, std: 0 },
  drive: one.drive,
  motorSurface: 'clean',
  drivenSurface: 'clean',
  oldSection: one.section,
  driven: loaderOf(loader).driven,
  trayPullN: { value: one.healthyN, std: 0 },
  travelPerTurnMm: { value: one.travelPerTurnMm, std: 0 },
  priors: DEFAULT_PRIORS,
  demands: { requirements: DEFAULT_REQUIREMENTS },
});

/** Real friction of rubber on a pulley that is clean. */
const CLEAN = 0.8;
/**
 * A cycle of a drive with a belt on, its pulleys clean.
 *
 * @returns undefined where no belt like that can be on
 */
export function madeOf(loader: Loader, one: TrueDrive, belt: EvaluatedBelt, seed: number): CycleMachine | undefined {
  const values = { ...truthOf(one, belt.shape), motorFriction: CLEAN, drivenFriction: CLEAN };
  const made = machineOf(situationOf(loader, one), values, belt, drawBeliefs(1, seed), 0, {
    trayPullN: one.healthyN,
    travelPerTurnMm: one.travelPerTurnMm,
  });
  return made.ok ? made.value : undefined;
}
/** A draw of its own for each thing of a machine, however often and in whatever order it is asked. */
export function drawFor(seed: number, what: string): Random {
  let mixed = seed;
  for (const letter of what) mixed = (Math.imul(mixed, 31) + letter.charCodeAt(0)) >>> 0;
  return seeded(mixed);
}
/** Causes that are of the belt that lies in it, and go with another. */
export const OF_THE_BELT: ReadonlySet<string> = new Set([
  'beltSlack',
  'beltGlazed',
  'beltBroken',
  'beltDissolved',
  'beltWrong',
  'beltOff',
]);
/** A machine with its causes laid upon it, each with the severity that it has on this one. */
export const laidOn = (made: CycleMachine, causes: readonly string[], severity: number): CycleMachine =>
  causes.reduce((machine, cause) => FAULTS[cause]?.(machine, drawFor(severity, cause)) ?? machine, made);
/** What earlier hands leave. From memory of the trade, no source. */
const EARLIER = [
  'a screw of the lid is missing',
  'two screws are of another length',
  'the pin of a cover is out',
] as const;

/** Its pulleys as the causes leave them: what is not said of them is clean. */
const surfacesOf = (causes: readonly string[]): Pick<TrueDrive, 'motorSurface' | 'drivenSurface'> => ({
  motorSurface: causes.includes('beltOily') ? 'oily' : 'clean',
  drivenSurface: causes.includes('beltOily') ? 'oily' : causes.includes('beltGlazed') ? 'glazed' : 'clean',
});

/** One draw of everything; undefined where it would be no machine, or one that is not wrong although a cause is there. */
function drawn(
  loader: Loader,
  number: number,
  causes: readonly string[],
  random: Random,
  seed: number,
): HiddenMachine | undefined {
  const any = sampleDrive(random, 'all');
  const taut = beltOf(any, between(random, ...TAUT));
  const sound = madeOf(loader, any, taut, seed);
  const soundS = sound && run(sound, ROOM, seed);
  if (!sound || !soundS || !arrives(soundS) || soundS.timeS === null) return undefined;
  // A wrong belt is as often too long as too short.
  const wrong = WRONG[random() < 0.5 ? 0 : 1];
  const strain = causes.includes('beltWrong') ? wrong : causes.includes('beltSlack') ? SLACK : undefined;
  const oldBelt = strain ? beltOf(any, between(random, strain[0], strain[1])) : taut;
  const severity = Math.floor(random() * 2 ** 31);
  // A belt that hangs or is set is its own length's doing; all else is laid upon the machine as it was made.
  const withBelt = strain ? madeOf(loader, any, oldBelt, seed) : sound;
  if (!withBelt) return undefined;
  const others = causes.filter((cause) => cause !== 'beltSlack' && cause !== 'beltWrong');
  const asFound = laidOn(withBelt, others, severity);
  const physical = asFound !== sound;
  const dead = causes.some((cause) => DEAD.has(cause));
  // What works in every room comes to no bench; of two faults that physics knows each is one by itself.
  const fails = (one: CycleMachine): boolean => look(one, soundS.timeS ?? 0, seed)?.fails ?? false;
  if (physical && !dead && !fails(asFound)) return undefined;
  const alone = others.length > 1 ? others.map((cause) => laidOn(sound, [cause], severity)) : [];
  if (alone.some((one) => one !== sound && !fails(one))) return undefined;
  const drive: TrueDrive = {
    ...any,
    ...surfacesOf(causes),
    motorFriction: CLEAN,
    drivenFriction: CLEAN,
    oldInnerMm: oldBelt.innerLengthMm,
    oldThicknessMm: oldBelt.thicknessMm,
    trayPullN: asFound.load.kind === 'travel' ? asFound.load.guideN : any.healthyN,
  };
  const earlier = causes.includes('earlierWork') || random() < 0.1;
  const left = EARLIER[Math.floor(random() * EARLIER.length)] ?? EARLIER[0];
  return {
    loader,
    number,
    causes,
    drive,
    oldBelt,
    sound,
    asFound,
    soundS: soundS.timeS,
    physical: physical || dead,
    seed,
    severity,
    earlier: earlier ? left : '',
  };
}

const seedOf = (loader: Loader, number: number): number => number * LOADERS.length + LOADERS.indexOf(loader);
const numbered = (number: number): string | null =>
  Number.isInteger(number) && number >= NUMBERS.min && number <= NUMBERS.max
    ? null
    : `Read ${number}. Machines are numbered ${NUMBERS.min} to ${NUMBERS.max}.`;

/**
 * The machine of a number: its mechanism, its state, and one or two things that are wrong with it. Where physics knows a
 * cause, the machine really fails by it.
 *
 * @returns refused for a number that no machine has
 * @example deal(KNOWLEDGE, 'tray', 0).ok // false
 */
export function deal(knowledge: Knowledge, loader: Loader, number: number): Result<HiddenMachine> {
  const refused = numbered(number);
  if (refused !== null) return refuse(refused);
  const seed = seedOf(loader, number);
  const random = seeded(seed);
  return made(loader, number, causesOf(knowledge, loader, random), random, seed);
}

/**
 * A machine with these causes, and all else by its number: what is prepared for one judgement.
 *
 * @returns refused for a number that no machine has
 * For instance dealWith('tray', ['beltOily'], 1).value.causes: beltOily alone
 */
export function dealWith(loader: Loader, causes: readonly string[], number: number): Result<HiddenMachine> {
  const refused = numbered(number);
  if (refused !== null) return refuse(refused);
  const seed = seedOf(loader, number);
  return made(loader, number, causes, seeded(seed), seed);
}

function made(
  loader: Loader,
  number: number,
  causes: readonly string[],
  random: Random,
  seed: number,
): Result<HiddenMachine> {
  for (let i = 0; i < TRIES; i++) {
    const machine = drawn(loader, number, causes, random, seed);
    if (machine) return ok(machine);
  }
  return refuse(`Machine ${number} could not be made. Take another number.`);
}
