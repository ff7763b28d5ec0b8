import { ON_THE_BENCH, type CycleConditions } from '../../physics/cycle';
import type { Ticket } from '../../record/ticket';
import { answersOf } from './caseOf';

/** A room in which machines that fail in the cold do so. From memory of the trade, no source. */
export const COLD_ROOM_C = 8;

/** A machine that stood the night in a cold room. */
export const IN_THE_COLD: CycleConditions = { ...ON_THE_BENCH, roomC: COLD_ROOM_C, idleHours: 12 };

const known = new WeakMap<Ticket, boolean>();

/**
 * Whether it was found to fail in the cold, by a test or the counted cycles. What only its owner says of it is another
 * matter, and leads nothing.
 *
 * For instance failsInCold(ticket): true
 */
export function failsInCold(ticket: Ticket): boolean {
  const before = known.get(ticket);
  if (before !== undefined) return before;
  const fails = answersOf(ticket).findLast(({ testId }) => testId === 'warm')?.outcome === 'betterWarm';
  known.set(ticket, fails);
  return fails;
}

/** The conditions of what is wrong with it: a cold room where it was found to fail there. @example complaintConditions(ticket).roomC // 20 */
export const complaintConditions = (ticket: Ticket): CycleConditions =>
  failsInCold(ticket) ? IN_THE_COLD : ON_THE_BENCH;
