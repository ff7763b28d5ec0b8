import type { Ticket } from '../../record/ticket';

const plain = (words: string): string => words.trim().toLowerCase();

/**
 * The last machine of the same name that went back, of which nobody can tell whether this is it: to be asked. Two serial
 * numbers, or one with its owner, tell it by themselves.
 *
 * @example perhapsSame({ ...ticket, sameAs: null }, [ticket]) // undefined
 */
export function perhapsSame(ticket: Ticket, past: readonly Ticket[]): Ticket | undefined {
  if (ticket.sameAs !== undefined || plain(ticket.machine) === '') return undefined;
  const told = (one: Ticket): boolean =>
    plain(one.serial) !== '' && plain(ticket.serial) !== ''
      ? true
      : plain(one.owner) !== '' &&
        plain(ticket.owner) !== '' &&
        plain(one.serial) === '' &&
        plain(ticket.serial) === '';
  return past
    .filter(
      (one) =>
        one.id !== ticket.id &&
        plain(one.machine) === plain(ticket.machine) &&
        one.closedAt !== null &&
        one.closedAt < ticket.openedAt &&
        !told(one),
    )
    .sort((a, b) => b.openedAt.localeCompare(a.openedAt))[0];
}
