import { DRIVEN, loaderOf } from '@loose-pulley/core/base/loaders';
import { seeded } from '@loose-pulley/core/base/statistics';
import { outcomeChances, type BenchTest } from '@loose-pulley/core/work/diagnosis';
import type { Reading } from '@loose-pulley/core/belts/measuring';
import type { BeltVerdict } from '@loose-pulley/core/belts/probability';
import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import type { CycleConditions } from '@loose-pulley/core/physics/cycle';
import { failsIn, measured, verdictOn } from '../population';
import { FAILURE_BITS } from '@loose-pulley/core/physics/evaluation';
import type { HiddenMachine } from './deal';
import { ROOM, run } from './seen';

/** Of a hundred answers that hands can spoil, so many are misread. From memory of the trade, no source. */
const MISREAD = 0.03;

/** A draw of its own for each question to each machine, however often it is asked. */
const drawFor = ({ seed }: HiddenMachine, what: string): (() => number) => {
  let mixed = seed;
  for (const letter of what) mixed = (Math.imul(mixed, 31) + letter.charCodeAt(0)) >>> 0;
  return seeded(mixed);
};

/**
 * What a test of Find shows on this machine: by physics where that decides it, else as such machines show it. Now and then
 * hands misread it; asked again it is the same.
 *
 * @returns the answer’s name
 */
export function answer(machine: HiddenMachine, test: BenchTest): string {
  const random = drawFor(machine, test.id);
  const sure = machine.seen[test.id];
  const known = test.outcomes.some(({ id }) => id === sure) ? sure : undefined;
  if (known !== undefined && random() >= MISREAD) return known;
  const chances = outcomeChances(test, machine.causes);
  let at = random();
  const outcome = test.outcomes.find((_, index) => (at -= chances[index] ?? 0) < 0) ?? test.outcomes[0];
  return outcome?.id ?? '';
}

/** What is seen and heard when it is asked to move. */
export interface Ejected {
  readonly movedMm: number;
  readonly seconds: number | null;
  readonly sound: string;
}

/** One press at eject, in any conditions. For instance eject(machine, ROOM).seconds: null where it never got there */
export function eject(machine: HiddenMachine, on: CycleConditions = ROOM): Ejected | undefined {
  const one = run(machine.asFound, on, machine.seed);
  if (!one) return undefined;
  const movedMm = one.trace.position.reduce((most, at) => Math.max(most, at), 0);
  return { movedMm, seconds: one.timeS, sound: machine.seen['sound'] ?? 'usual' };
}

/** Its readings, with each method’s ordinary error and now and then a careless one; the same whenever they are taken. */
export const measure = (machine: HiddenMachine): readonly Reading[] =>
  measured(machine.drive, drawFor(machine, 'measure')).readings;

/** What the bench says of a belt that is fitted, the pulleys as they are: one that hangs is loose, whatever the motor has. */
export const fit = ({ drive }: HiddenMachine, belt: CatalogueBelt): BeltVerdict =>
  (failsIn(drive, belt) ?? 0) & FAILURE_BITS.slack ? 'tooLoose' : verdictOn(drive, belt);

/** How owners tell what it does. {moved} is what moves. */
const TOLD: Readonly<Record<string, readonly string[]>> = {
  nothing: ['the {moved} does not open', 'nothing happens when I press open', 'the {moved} stays shut'],
  part: ['the {moved} stops half way', 'the {moved} gets stuck half way'],
  slow: ['the {moved} opens very slowly', 'the {moved} is slow to open'],
  reverses: ['the {moved} opens a little and closes again', 'the {moved} comes back by itself'],
  works: ['sometimes the {moved} does not open', 'the {moved} does not open on cold mornings'],
};

/** The complaint, in its owner’s words: what it does at the owner’s, where somebody pressed often. */
export function complaintOf(machine: HiddenMachine, behaviour: BenchTest): string {
  const outcome = answer(machine, behaviour);
  const told = TOLD[outcome] ?? TOLD['nothing'] ?? [];
  const random = drawFor(machine, 'complaint');
  const words = told[Math.floor(random() * told.length)] ?? '';
  return words.replace('{moved}', DRIVEN[loaderOf(machine.loader).driven].word);
}
