import { firstValue } from '../schema';
import { newDrive } from '../stations';
import { ok, refuse, type Result } from '../units';
import { append, withEvent } from './append';
import { changeOf } from './apply';
import { undoneIds } from './undo';
import { TICKET_FORMAT, TICKET_VERSION } from './format';
import { ticketShape, type Ticket, type TicketEvent, type TicketRecord } from './schema';

/* Opening a ticket, and walking its history: fetched when it is asked for, since most changes only append. */

/** The ticket that an opening event gives. */
function opened(event: TicketEvent): Result<Ticket> {
  if (event.type !== 'ticketOpened') return refuse('The first event of a ticket must open it.');
  return ok({
    ...firstValue(ticketShape),
    id: event.ticketId,
    ...event.details,
    complaints: event.complaint ? [event.complaint] : [],
    openedAt: event.at,
    drives: [newDrive(event.driveId, 'A')],
  });
}

/**
 * The ticket that a list of events gives. Events that stand undone are left out. Cost: linear.
 *
 * @returns the ticket, or a sentence that says which event cannot be followed
 */
export function replay(events: readonly TicketEvent[]): Result<Ticket> {
  const undone = undoneIds(events);
  let ticket: Ticket | undefined;
  for (const [index, event] of events.entries()) {
    if (event.type === 'undone' || event.type === 'redone' || undone.has(event.id)) continue;
    const next = ticket ? changeOf(ticket, event) : opened(event);
    if (!next.ok) return refuse(`Event ${index + 1} (${event.type}): ${next.problem}`);
    // Nobody else has seen this one yet, so it may change instead of being copied a thousand times.
    ticket = ticket ? Object.assign(ticket, next.value) : (next.value as Ticket);
  }
  return ticket ? ok(ticket) : refuse('There is no event that opens the ticket.');
}

/** A new record from its opening event. */
export function openRecord(event: TicketEvent): Result<TicketRecord> {
  const ticket = opened(event);
  return ticket.ok
    ? ok({ format: TICKET_FORMAT, version: TICKET_VERSION, ticket: ticket.value, events: [event] })
    : ticket;
}

/**
 * Appends any event: undoing and redoing replay, everything else is applied to the ticket as it stands.
 *
 * @example appendAny(record, { type: 'undone', eventId, … })
 */
export function appendAny(record: TicketRecord, event: TicketEvent): Result<TicketRecord> {
  if (event.type !== 'undone' && event.type !== 'redone') return append(record, event);
  const events = withEvent(record.events, event);
  const ticket = replay(events);
  return ticket.ok ? ok({ ...record, ticket: ticket.value, events }) : ticket;
}
