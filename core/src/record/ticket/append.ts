import { ok, refuse, type Result } from '../../base/units';
import { applyEvent } from './apply';
import { eventFits, type TicketEvent, type TicketRecord } from './schema';

/** The events after one more: one of the same gesture as the last replaces it, so that a note typed in one go is one step of undo. */
export function withEvent(events: readonly TicketEvent[], event: TicketEvent): readonly TicketEvent[] {
  const last = events[events.length - 1];
  const sameGesture = event.gesture !== undefined && last?.gesture === event.gesture && last.type === event.type;
  return sameGesture ? [...events.slice(0, -1), event] : [...events, event];
}

/**
 * Appends an event at a station. Opening, undoing and redoing are `history`'s.
 *
 * @returns the record with it; or a sentence where it is out of its range, or cannot follow what there is
 *
 * @example append(record, { type: 'noteWritten', station: 'find', text: 'hums', id: 'e999', at }).value.ticket.notes.find // 'hums'
 */
export function append(record: TicketRecord, event: TicketEvent): Result<TicketRecord> {
  // As strict as the importer: what could not come back from a file does not happen.
  if (!eventFits(event))
    return refuse('That is more than a ticket can keep, out of its range, or has a character that no file can.');
  const ticket = applyEvent(record.ticket, event);
  return ticket.ok ? ok({ ...record, ticket: ticket.value, events: withEvent(record.events, event) }) : ticket;
}
