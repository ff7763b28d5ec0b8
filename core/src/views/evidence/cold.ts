import { ON_THE_BENCH, type CycleConditions } from '../../physics/cycle';
import type { Ticket } from '../../record/ticket';
import { readOwner } from '../../work/ownerLine';
import { answersOf } from './caseOf';

/** A room in which machines that fail in the cold do so. From memory of the trade, no source. */
export const COLD_ROOM_C = 8;

/** A machine that stood the night in a cold room. */
export const IN_THE_COLD: CycleConditions = { ...ON_THE_BENCH, roomC: COLD_ROOM_C, idleHours: 12 };

type Cold = 'found' | 'told' | null;
const known = new WeakMap<Ticket, Cold>();

/**
 * What a ticket has of the cold: found to fail there, by a test or the counted cycles; told, where only its owner speaks of
 * it, which owners do in many ways (“not only in the cold”): that is offered and never taken for granted.
 *
 * For instance coldOf(ticket): 'found'
 */
export function coldOf(ticket: Ticket): Cold {
  const before = known.get(ticket);
  if (before !== undefined) return before;
  const cold = coldNow(ticket);
  known.set(ticket, cold);
  return cold;
}

function coldNow(ticket: Ticket): Cold {
  const answer = answersOf(ticket).findLast(({ testId }) => testId === 'warm');
  if (answer) return answer.outcome === 'betterWarm' ? 'found' : null;
  const told = ticket.complaints.some(
    ({ words, drivetrain, state }) =>
      drivetrain &&
      state !== 'anotherTrade' &&
      readOwner(words, ticket.loader).answers.some(
        ({ testId, outcome }) => testId === 'warm' && outcome === 'betterWarm',
      ),
  );
  return told ? 'told' : null;
}

/** The conditions of what is wrong with it: a cold room where it was found to fail there. @example complaintConditions(ticket).roomC // 20 */
export const complaintConditions = (ticket: Ticket): CycleConditions =>
  coldOf(ticket) === 'found' ? IN_THE_COLD : ON_THE_BENCH;
