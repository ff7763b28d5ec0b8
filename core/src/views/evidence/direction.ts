import { countedBefore, isFailure, type CycleAction } from '../../work/proving';
import { readOwner } from '../../work/ownerLine';
import type { Ticket } from '../../record/ticket';

/** The tests of the two directions: how it opens, or takes in; and how it goes the other way. */
export const DIRECTIONS = ['behaviour', 'closing'] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** Tests that watch it open: of a fault in closing they are asked later. */
const WATCH_IT_OPEN: readonly string[] = ['behaviour', 'sound', 'holdEject'];

/** The direction that a counted cycle went. */
export const WENT: Readonly<Record<CycleAction, Direction | null>> = {
  open: 'behaviour',
  close: 'closing',
  turnTable: null,
  load: 'behaviour',
  eject: 'closing',
  spinUp: null,
};

/**
 * The direction in which it goes wrong, where only one is told of: by the complaints' words, by the cycles counted before
 * anything was done, or by the answers themselves. Undefined where both are, or neither.
 *
 * @param answers those that are given already
 * @example failsAt(ticket, []) // 'behaviour'
 */
export function failsAt(
  ticket: Ticket,
  answers: ReadonlyArray<{ readonly testId: string; readonly outcome: string }>,
): Direction | undefined {
  const told = ticket.complaints
    .filter(({ drivetrain, state }) => drivetrain && state !== 'anotherTrade')
    .flatMap(({ words }) => readOwner(words, ticket.loader).answers);
  const failed = countedBefore(ticket.cycles).filter(isFailure);
  const wrong = DIRECTIONS.filter(
    (direction) =>
      failed.some(({ action }) => WENT[action] === direction) ||
      [...told, ...answers].some(({ testId, outcome }) => testId === direction && outcome !== 'works'),
  );
  return wrong.length === 1 ? wrong[0] : undefined;
}

/**
 * Tests to ask before all others, and after them: a fault in closing is first asked about as it closes, and about
 * opening only when nothing else is left.
 *
 * @example inOrderOf('closing').later // ['behaviour', 'sound', 'holdEject']
 */
export const inOrderOf = (
  direction: Direction | undefined,
): { readonly sooner: readonly string[]; readonly later: readonly string[] } =>
  direction === 'closing' ? { sooner: ['closing'], later: WATCH_IT_OPEN } : { sooner: [], later: [] };
