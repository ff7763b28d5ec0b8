import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import type { BeltVerdict } from '@loose-pulley/core/belts/probability';
import type { CycleMachine } from '@loose-pulley/core/physics/cycle';
import { FAILURE_BITS } from '@loose-pulley/core/physics/evaluation';
import type { Depth } from '@loose-pulley/core/work/diagnosis';
import { failsIn, verdictOn, type TrueDrive } from '../population';
import { laidOn, madeOf, OF_THE_BELT, type HiddenMachine } from './deal';
import { AGAIN_MINUTES, type Cleaned } from './hands';
import { DEAD, look, SILENT, type Looked } from './seen';

/** What is forgotten, what then happens, and what it would have cost. */
export const MISHAPS = {
  powered: {
    words: 'Power was on while hands were inside.',
    cost: 'A slip there costs a motor driver, or a finger. Pull the plug first; it takes half a minute.',
  },
  wet: {
    words: 'The belt went on pulleys that were still wet, and slid.',
    cost: `Off again, dry, and on: ${AGAIN_MINUTES} minutes. A wet belt also looks like a loose one.`,
  },
  forced: {
    words: 'It gave way with a crack.',
    cost: 'A gear has cracked: a part, and half an hour. What does not come by a light pull is held by something.',
  },
  leftOpen: {
    words: 'It went home with its lid off.',
    cost: 'A machine that was not tried with its lid on was not tried as it is used.',
  },
} as const;
export type Mishap = keyof typeof MISHAPS;

/** A hidden machine as it now stands on the bench, after what hands have done with it. */
export interface OnBench {
  readonly machine: HiddenMachine;
  /** What is wrong with it now. */
  readonly left: readonly string[];
  readonly opened: Depth;
  readonly lid: 'on' | 'off';
  readonly powered: boolean;
  /** Minutes on the work clock, and until when what was wiped is wet. */
  readonly minutes: number;
  readonly wetUntil: number;
  readonly clean: readonly Cleaned[];
  /** The belt that was put on; null while the one that it came with is on, or none. */
  readonly belt: CatalogueBelt | null;
  readonly verdict: BeltVerdict | null;
  readonly fitted: readonly CatalogueBelt[];
  /** Causes that were treated and not there, and parts that were bought for them. */
  readonly inVain: readonly string[];
  readonly parts: readonly string[];
  readonly partsInVain: readonly string[];
  readonly mishaps: readonly Mishap[];
  readonly handedBack: boolean;
}

/** As it comes in: closed, plugged in, nothing done. */
export const broughtIn = (machine: HiddenMachine): OnBench => ({
  machine,
  left: machine.causes,
  opened: 'lidOn',
  lid: 'on',
  powered: true,
  minutes: 0,
  wetUntil: 0,
  clean: [],
  belt: null,
  verdict: null,
  fitted: [],
  inVain: [],
  parts: [],
  partsInVain: [],
  mishaps: [],
  handedBack: false,
});

/** Friction on what is not clean: oil, and rubber that went to tar. From memory of the trade, no source. */
const DIRTY: Readonly<Record<string, number>> = { beltOily: 0.22, beltDissolved: 0.3 };

/** Faults that are left and are not the belt’s own. */
const beside = (left: readonly string[]): readonly string[] => left.filter((cause) => !OF_THE_BELT.has(cause));

/** The drive as it is now: what was cleaned grips, what was greased runs light. */
export function driveNow({ machine, left, clean }: OnBench): TrueDrive {
  const { drive, sound, severity } = machine;
  const now = laidOn(sound, beside(left), severity);
  const oily = left.includes('beltOily');
  const tarred = machine.causes.includes('beltDissolved') && !clean.includes('pulleys');
  const friction = Math.min(
    oily ? (DIRTY['beltOily'] ?? 1) : 1,
    tarred ? (DIRTY['beltDissolved'] ?? 1) : 1,
    drive.motorFriction,
  );
  const motorShare = now.motor.stallNmm / sound.motor.stallNmm;
  return {
    ...drive,
    motorFriction: friction,
    drivenFriction: friction,
    trayPullN: now.load.kind === 'travel' ? now.load.guideN : drive.healthyN,
    stallTorqueNmm: drive.stallTorqueNmm * motorShare,
  };
}

/** What the bench says of a belt that is fitted now: one that hangs is loose, whatever the motor has. */
export function verdictNow(on: OnBench, belt: CatalogueBelt): BeltVerdict {
  const drive = driveNow(on);
  return (failsIn(drive, belt) ?? 0) & FAILURE_BITS.slack ? 'tooLoose' : verdictOn(drive, belt);
}

/** The machine as a cycle sees it now; undefined where the belt that is on cannot run at all. */
export function machineNow({ machine, left, belt }: OnBench): CycleMachine | undefined {
  const { loader, drive, seed, severity, oldBelt } = machine;
  const made = madeOf(loader, { ...drive, trayPullN: drive.healthyN }, belt ?? oldBelt, seed);
  const own = belt ? beside(left) : left.filter((cause) => cause !== 'beltSlack' && cause !== 'beltWrong');
  return made && laidOn(made, own, severity);
}

/** Looks already taken at a machine, by its state: each is run once. */
const looks = new WeakMap<HiddenMachine, Map<string, Looked | null>>();
function lookNow(on: OnBench): Looked | null {
  const { machine, left, belt } = on;
  const taken = looks.get(machine) ?? new Map<string, Looked | null>();
  looks.set(machine, taken);
  const state = `${left.join(' ')}/${belt?.id ?? ''}`;
  const known = taken.get(state);
  if (known !== undefined) return known;
  const now = machineNow(on);
  const looked = (now && look(now, machine.soundS, machine.seed)) ?? null;
  taken.set(state, looked);
  return looked;
}
/** What is seen where no belt that is on can pass anything. */
const UNABLE: Readonly<Record<string, string>> = { behaviour: 'nothing', sound: 'runsFree', holdEject: 'slips' };

/** What physics decides of a test now, seen from outside; undefined where it decides nothing of it. */
export function seenNow(on: OnBench, test: string): string | undefined {
  const { machine, left, belt } = on;
  if (left.some((cause) => DEAD.has(cause))) return SILENT[test as keyof typeof SILENT];
  if (!machine.physical && belt === null && left.every((cause) => machine.causes.includes(cause))) return undefined;
  const looked = lookNow(on);
  if (!looked) return UNABLE[test];
  return looked.fails ? looked.answer(test) : undefined;
}
