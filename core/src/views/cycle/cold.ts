import type { Ticket } from '../../record/ticket';
import { readOwner } from '../../work/ownerLine';
import { answersOf, failsInCold } from '../evidence';

/**
 * What a ticket has of the cold: found to fail there; told, where only its owner speaks of it, which owners do in many ways
 * (“not only in the cold”): that is offered and never taken for granted.
 *
 * For instance coldOf(ticket): 'told'
 */
export function coldOf(ticket: Ticket): 'found' | 'told' | null {
  if (failsInCold(ticket)) return 'found';
  // What a test said of it stands above the words.
  if (answersOf(ticket).some(({ testId }) => testId === 'warm')) return null;
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
