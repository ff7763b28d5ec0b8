import { DRIVEN, loaderOf, type Loader } from '@loose-pulley/core/base/loaders';
import { outcomeChances, type BenchTest } from '@loose-pulley/core/work/diagnosis';
import type { Reading } from '@loose-pulley/core/belts/measuring';
import type { CycleConditions } from '@loose-pulley/core/physics/cycle';
import { measured } from '../population';
import { drawFor, type HiddenMachine } from './deal';
import { machineNow, seenNow, type OnBench } from './onBench';
import { DEAD, ROOM, run } from './seen';

/** Of a hundred answers that hands can spoil, so many are misread. From memory of the trade, no source. */
const MISREAD = 0.03;

/** From this share on an answer is the sight of a cause, and below that of no other: percent, as `seenCause` has it. */
const SIGHT = { of: 80, elseAt: 20 } as const;
/** As often as this, percent, such machines show it so by what is wrong with them, whatever else it is the sight of. */
const SHOWN_SO = 5;

/** Whether an eye can see this on it: what is there, or what the table says that such machines show. Nobody sees a gap that is not there. */
function isThere(test: BenchTest, outcome: number, left: readonly string[]): boolean {
  const shares = Object.entries(test.given).map(([cause, row]) => [cause, row[outcome] ?? 0] as const);
  const likely = shares.filter(([, share]) => share >= SIGHT.of);
  const [cause] = likely[0] ?? [];
  const isSight =
    outcome > 0 &&
    cause !== undefined &&
    shares.every(([one, share]) => one === cause || share <= SIGHT.elseAt) &&
    (test.sound[outcome] ?? 0) <= SIGHT.elseAt;
  return !isSight || left.includes(cause) || left.some((one) => (test.given[one]?.[outcome] ?? 0) >= SHOWN_SO);
}

/**
 * What a test of Find shows on this machine now: by physics where that decides it, else as such machines show it. Now and
 * then hands misread it; asked again of the same state it is the same.
 *
 * @returns the answer’s name
 */
export function answer(on: OnBench, test: BenchTest): string {
  const { machine, left } = on;
  const random = drawFor(machine.seed, `${test.id} ${left.length === machine.causes.length ? '' : left.join(' ')}`);
  const sure = seenNow(on, test.id);
  const known = test.outcomes.some(({ id }) => id === sure) ? sure : undefined;
  if (known !== undefined && random() >= MISREAD) return known;
  const misread = known !== undefined || random() < MISREAD;
  const chances = outcomeChances(test, left).map((chance, o) => (misread || isThere(test, o, left) ? chance : 0));
  let at = random() * chances.reduce((sum, chance) => sum + chance, 0);
  const outcome = test.outcomes.find((_, index) => (at -= chances[index] ?? 0) < 0) ?? test.outcomes[0];
  return outcome?.id ?? '';
}

/** What is seen and heard when it is asked to move. */
export interface Ejected {
  readonly movedMm: number;
  readonly ofMm: number;
  /** Null where it never got there. */
  readonly seconds: number | null;
  readonly sound: string;
}

/** One press at eject, in any conditions. For instance eject(broughtIn(machine)).seconds: null where it never got there */
export function eject(on: OnBench, room: CycleConditions = ROOM, times = 0): Ejected {
  const now = machineNow(on);
  const { load } = on.machine.sound;
  const ofMm = load.kind === 'travel' ? load.travelMm : 0;
  const dead = on.left.some((cause) => DEAD.has(cause));
  const one = dead || !now ? undefined : run(now, room, on.machine.seed + times);
  const sound = seenNow(on, 'sound') ?? 'usual';
  if (!one) return { movedMm: 0, ofMm, seconds: null, sound: dead ? 'silence' : sound };
  const movedMm = one.trace.position.reduce((most, at) => Math.max(most, at), 0);
  return { movedMm: Math.min(movedMm, ofMm || movedMm), ofMm, seconds: one.timeS, sound };
}

/** Soft rubber between jaws reads this much thinner. From memory of the trade, no source. */
const PRESSED_MM = [0.02, 0.08] as const;

/**
 * Its readings, with each method’s ordinary error, now and then a careless one, and this user’s own way of pressing soft
 * rubber; the same whenever they are taken.
 */
export function measure({ drive, seed }: Pick<HiddenMachine, 'drive' | 'seed'>): readonly Reading[] {
  const presses = drawFor(seed, 'presses');
  const thinner = PRESSED_MM[0] + (PRESSED_MM[1] - PRESSED_MM[0]) * presses();
  return measured(drive, drawFor(seed, 'measure')).readings.map((one) =>
    one.method === 'sectionJaws' ? { ...one, amount: Math.max(0.3, one.amount - thinner) } : one,
  );
}

type Told = Readonly<Record<string, readonly string[]>>;
/** How owners tell what it does. {moved} is what moves. */
const TOLD_OF_TRAY: Told = {
  nothing: ['the {moved} does not open', 'nothing happens when I press open', 'the {moved} stays shut'],
  part: ['the {moved} stops half way', 'the {moved} gets stuck half way'],
  slow: ['the {moved} opens very slowly', 'the {moved} is slow to open'],
  reverses: ['the {moved} opens a little and closes again', 'the {moved} comes back by itself'],
  works: ['sometimes the {moved} does not open', 'the {moved} does not open on cold mornings'],
};
const TOLD_OF_SLOT: Told = {
  nothing: ['it will not take a disc in', 'nothing happens when I push a disc in'],
  part: ['the disc gets stuck half way', 'it takes the disc half in'],
  slow: ['it takes a disc in very slowly'],
  reverses: ['it gives the disc back by itself'],
  works: ['sometimes it does not take a disc in', 'it does not take a disc in on cold mornings'],
};
const TOLD_OF_DISK: Told = {
  nothing: ['it does not spin up', 'nothing happens when a disk is in'],
  part: ['it begins to spin and stops again'],
  slow: ['it spins up very slowly'],
  reverses: ['it begins to spin and stops again'],
  works: ['sometimes it does not spin up', 'it does not spin up on cold mornings'],
};
const toldOf = (loader: Loader): Told => {
  const { has } = loaderOf(loader);
  if (has.disks) return TOLD_OF_DISK;
  return has.rollers ? TOLD_OF_SLOT : TOLD_OF_TRAY;
};

/** The complaint, in its owner’s words: what it does at the owner’s, where somebody pressed often. */
export function complaintOf(on: OnBench, behaviour: BenchTest): string {
  const outcome = answer(on, behaviour);
  const all = toldOf(on.machine.loader);
  const told = all[outcome] ?? all['nothing'] ?? [];
  const words = told[Math.floor(drawFor(on.machine.seed, 'complaint')() * told.length)] ?? '';
  return words.replace('{moved}', DRIVEN[loaderOf(on.machine.loader).driven].word);
}
