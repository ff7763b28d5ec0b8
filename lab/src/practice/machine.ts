import type { Loader } from '@loose-pulley/core/base/loaders';
import { seeded } from '@loose-pulley/core/base/statistics';
import { refuse, type Result } from '@loose-pulley/core/base/units';
import type { Knowledge } from '@loose-pulley/core/work/diagnosis';
import {
  broughtIn,
  deal,
  lay,
  NUMBERS,
  prepared,
  type Hand,
  type HiddenMachine,
  type Laid,
  type OnBench,
} from '../hidden';

/** Which machine: by its number, or one that was prepared. */
export interface Which {
  readonly loader: Loader;
  readonly number: number;
  readonly prepared: string | null;
  readonly version: number;
}

/**
 * The machine that a ticket speaks of.
 *
 * @returns refused for a number that no machine has, or a prepared one that is not known here
 * For instance theMachine(KNOWLEDGE, { loader: 'tray', number: 4127, prepared: null, version: 1 }).value.causes
 */
export const theMachine = (knowledge: Knowledge, which: Which): Result<HiddenMachine> =>
  which.prepared === null ? deal(knowledge, which.loader, which.number) : prepared(which.prepared, which.version);

/** How hard a machine is: one fault that shows itself, one that is seldom or hides, or two at once. */
export const HARDNESS = ['any', 'plain', 'seldom', 'two'] as const;
export type Hardness = (typeof HARDNESS)[number];

/** Of a hundred machines, a cause with fewer is a seldom one. */
const SELDOM_SHARE = 0.04;

function hardOf(knowledge: Knowledge, { causes, loader }: HiddenMachine): Hardness {
  if (causes.length > 1) return 'two';
  const all = knowledge.causes.reduce((sum, { priors }) => sum + priors[loader], 0);
  const own = knowledge.causes.find(({ id }) => id === causes[0])?.priors[loader] ?? 0;
  return own / all < SELDOM_SHARE ? 'seldom' : 'plain';
}

/** So many numbers are tried for one of the hardness that was asked for. */
const TRIES = 200;

/**
 * A number whose machine is as hard as was asked for: drawn anew from a seed until one is.
 *
 * @returns refused where none was found
 * For instance dealHard(KNOWLEDGE, 'tray', 'two', 1).value.causes.length: 2
 */
export function dealHard(
  knowledge: Knowledge,
  loader: Loader,
  hardness: Hardness,
  seed: number,
): Result<HiddenMachine> {
  const random = seeded(seed);
  for (let i = 0; i < TRIES; i++) {
    const made = deal(knowledge, loader, NUMBERS.min + Math.floor(random() * (NUMBERS.max - NUMBERS.min + 1)));
    if (made.ok && (hardness === 'any' || hardOf(knowledge, made.value) === hardness)) return made;
  }
  return refuse('No such machine was found. Take another kind of loader, or any.');
}

/** A machine after hands were laid on it, in their order, with what came of each. */
export function afterHands(
  knowledge: Knowledge,
  machine: HiddenMachine,
  hands: readonly Hand[],
): { readonly on: OnBench; readonly laid: readonly Laid[] } {
  let on = broughtIn(machine);
  const laid = hands.map((hand, times) => {
    const one = lay(knowledge, on, hand, times);
    ({ on } = one);
    return one;
  });
  return { on, laid };
}
