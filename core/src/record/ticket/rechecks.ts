import type { Recheck } from '../../work/proving';
import type { Ticket } from './schema';

/** Something to be looked at again after a cure. */
export interface RecheckTarget {
  readonly of: string;
  readonly words: string;
  readonly driveName?: string;
  readonly result: Recheck['result'];
}

/**
 * What to look at again after the last treatment: every complaint of the drivetrain that is not answered by another
 * trade or left, and every belt that was not itself renewed. Empty while nothing was done.
 *
 * @example recheckTargets(ticket)[0]?.words // '“shy on cold mornings”: is it still so?'
 */
export function recheckTargets(ticket: Ticket): RecheckTarget[] {
  const treatmentId = ticket.treatments[ticket.treatments.length - 1]?.id;
  if (treatmentId === undefined) return [];
  const resultOf = (of: string): Recheck['result'] =>
    ticket.rechecks.find((one) => one.treatmentId === treatmentId && one.of === of)?.result ?? 'notLooked';
  const complaints = ticket.complaints
    .filter(({ state }) => state !== 'anotherTrade' && state !== 'left')
    .map(({ id, words }) => ({ of: id, words: `“${words}”: is it still so?`, result: resultOf(id) }));
  const belts = ticket.drives
    .filter(({ tries }) => !tries.some(({ verdict }) => verdict === 'right'))
    .map(({ id, name, role }) => ({
      of: id,
      words: `Drive ${name}${role && `, ${role}`}: the same test of its belt.`,
      driveName: name,
      result: resultOf(id),
    }));
  return [...complaints, ...belts];
}
