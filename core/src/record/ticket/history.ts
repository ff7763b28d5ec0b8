import { firstValue } from '../../base/schema';
import { newDrive } from '../stations';
import { ok, refuse, type Result } from '../../base/units';
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

/** How many events lie between two tickets that are remembered of a walk. */
const STRIDE = 200;

/** The last walk through a history, with the ticket as it stood before every so many events. */
interface Walk {
  readonly events: readonly TicketEvent[];
  readonly undone: ReadonlySet<string>;
  readonly stops: ReadonlyArray<{ readonly before: number; readonly ticket: Ticket }>;
}
/** By the event that opened the ticket: a walk is of one ticket, and goes with it. */
const walks = new WeakMap<TicketEvent, Walk>();

/** The stops of the last walk up to where a list of events, or what of it stands undone, begins to differ. */
function sharedStops(events: readonly TicketEvent[], undone: ReadonlySet<string>): Walk['stops'] {
  const last = events[0] && walks.get(events[0]);
  if (!last) return [];
  const { events: walked, undone: wasUndone, stops } = last;
  const same = (event: TicketEvent, index: number): boolean =>
    event === walked[index] && undone.has(event.id) === wasUndone.has(event.id);
  const differs = events.findIndex((event, index) => !same(event, index));
  return stops.filter(({ before }) => differs < 0 || before <= differs);
}

/**
 * The ticket that a list of events gives. Events that stand undone are left out. Cost: linear, and next to nothing
 * where the end alone differs from the list walked last, as it does when undoing.
 *
 * @returns the ticket, or a sentence that says which event cannot be followed
 */
export function replay(events: readonly TicketEvent[]): Result<Ticket> {
  const undone = undoneIds(events);
  const stops = [...sharedStops(events, undone)];
  const start = stops.at(-1);
  let ticket: Ticket | undefined = start && { ...start.ticket };
  for (let index = start?.before ?? 0; index < events.length; index++) {
    const event = events[index] as TicketEvent;
    if (index > (stops.at(-1)?.before ?? 0) && index % STRIDE === 0 && ticket)
      stops.push({ before: index, ticket: { ...ticket } });
    if (event.type === 'undone' || event.type === 'redone' || undone.has(event.id)) continue;
    const next = ticket ? changeOf(ticket, event) : opened(event);
    if (!next.ok) return refuse(`Event ${index + 1} (${event.type}): ${next.problem}`);
    // Nobody else has seen this one yet, so it may change instead of being copied a thousand times.
    ticket = ticket ? Object.assign(ticket, next.value) : (next.value as Ticket);
  }
  if (!ticket) return refuse('There is no event that opens the ticket.');
  if (events[0]) walks.set(events[0], { events, undone, stops });
  return ok(ticket);
}

/** A new record from its opening event; any other is refused. */
export function openRecord(event: TicketEvent): Result<TicketRecord> {
  const ticket = opened(event);
  return ticket.ok
    ? ok({ format: TICKET_FORMAT, version: TICKET_VERSION, ticket: ticket.value, events: [event] })
    : ticket;
}

/**
 * Appends any event: undoing and redoing replay, everything else is applied to the ticket as it stands.
 *
 * @returns the record with it; or a sentence that says why it cannot follow
 *
 * For instance appendAny(record, { type: 'undone', eventId, … })
 */
export function appendAny(record: TicketRecord, event: TicketEvent): Result<TicketRecord> {
  if (event.type !== 'undone' && event.type !== 'redone') return append(record, event);
  const events = withEvent(record.events, event);
  const ticket = replay(events);
  return ticket.ok ? ok({ ...record, ticket: ticket.value, events }) : ticket;
}
