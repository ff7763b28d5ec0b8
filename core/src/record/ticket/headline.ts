import type { Ticket } from './schema';

/** The first complaint, which a ticket is known by. @example headline(ticket) // 'shy on cold mornings' */
export const headline = (ticket: Pick<Ticket, 'complaints'>): string => ticket.complaints[0]?.words ?? '';
