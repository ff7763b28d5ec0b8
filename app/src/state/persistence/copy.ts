import { nanoid } from 'nanoid';
import type { TicketRecord } from '@loose-pulley/core/record/ticket';

/** A ticket under a new id, so that both can stay. */
export function asCopy(record: TicketRecord): TicketRecord {
  const id = nanoid(12);
  const events = record.events.map((event) => (event.type === 'ticketOpened' ? { ...event, ticketId: id } : event));
  return { ...record, ticket: { ...record.ticket, id }, events };
}
