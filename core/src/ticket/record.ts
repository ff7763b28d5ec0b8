import { ok, refuse, type Result } from '../units';
import { applyEvent } from './apply';
import { TICKET_FORMAT, TICKET_VERSION, type Ticket, type TicketEvent, type TicketRecord } from './schema';

/** The ids of events that stand undone, by the undo and redo events among them. */
function undoneIds(events: readonly TicketEvent[]): Set<string> {
  const undone = new Set<string>();
  for (const event of events) {
    if (event.type === 'undone') undone.add(event.eventId);
    if (event.type === 'redone') undone.delete(event.eventId);
  }
  return undone;
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
    const next = applyEvent(ticket, event);
    if (!next.ok) return refuse(`Event ${index + 1} (${event.type}): ${next.problem}`);
    ticket = next.value;
  }
  return ticket ? ok(ticket) : refuse('There is no event that opens the ticket.');
}

/** A new record from its opening event. */
export function openRecord(event: TicketEvent): Result<TicketRecord> {
  const ticket = applyEvent(undefined, event);
  return ticket.ok
    ? ok({ format: TICKET_FORMAT, version: TICKET_VERSION, ticket: ticket.value, events: [event] })
    : ticket;
}

/**
 * Appends an event. One of the same gesture as the last event replaces it, so that a note typed in one go is one step
 * of undo. Undo and redo replay; everything else is applied to the ticket as it stands.
 *
 * @example append(record, { type: 'noteWritten', … }).value.ticket.notes.find // the text
 */
export function append(record: TicketRecord, event: TicketEvent): Result<TicketRecord> {
  const last = record.events[record.events.length - 1];
  const sameGesture = event.gesture !== undefined && last?.gesture === event.gesture && last.type === event.type;
  const events = sameGesture ? [...record.events.slice(0, -1), event] : [...record.events, event];
  const replays = event.type === 'undone' || event.type === 'redone';
  const ticket = replays ? replay(events) : applyEvent(record.ticket, event);
  return ticket.ok ? ok({ ...record, ticket: ticket.value, events }) : ticket;
}

/** The event that undo would take back now: the last that stands, opening apart. */
export function undoTarget(record: TicketRecord): TicketEvent | undefined {
  const undone = undoneIds(record.events);
  return record.events.findLast(
    ({ id, type }) => type !== 'undone' && type !== 'redone' && type !== 'ticketOpened' && !undone.has(id),
  );
}

/** The event that redo would bring back now: the last undone, unless something new has happened since. */
export function redoTarget(record: TicketRecord): TicketEvent | undefined {
  const sinceNew: TicketEvent[] = [];
  for (const event of [...record.events].reverse()) {
    if (event.type !== 'undone' && event.type !== 'redone') break;
    sinceNew.unshift(event);
  }
  const stack: string[] = [];
  for (const event of sinceNew) {
    if (event.type === 'undone') stack.push(event.eventId);
    if (event.type === 'redone') stack.pop();
  }
  const target = stack[stack.length - 1];
  return record.events.find(({ id }) => id === target);
}

/** Every event with whether it stands, newest last: the timeline. */
export function timeline(
  record: TicketRecord,
): ReadonlyArray<{ readonly event: TicketEvent; readonly undone: boolean }> {
  const undone = undoneIds(record.events);
  return record.events.map((event) => ({ event, undone: undone.has(event.id) }));
}
