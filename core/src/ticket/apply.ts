import { stationReducers, type Reducers, type stationEvents } from '../stations';
import { ok, refuse, type Result } from '../units';
import type { StationEventBody, Ticket, TicketEvent } from './schema';

/** What each event makes of a ticket. An event without its case does not compile. */
const REDUCERS: Reducers<Ticket, typeof stationEvents> = stationReducers;
type AnyReducer = (ticket: Ticket, event: StationEventBody) => Result<Partial<Ticket>>;

/**
 * The ticket after one event at a station. Pure; the same events always give the same ticket.
 *
 * @returns the new ticket, or a sentence where the event speaks of something that is not there
 */
export function applyEvent(ticket: Ticket, event: TicketEvent): Result<Ticket> {
  if (event.type === 'ticketOpened') return refuse('A ticket is opened once, by its first event.');
  if (event.type === 'undone' || event.type === 'redone') {
    return refuse('Undoing replays the events; it is not applied by itself.');
  }
  // The registry pairs each type with its own event; indexing by a union loses that pairing.
  const after = (REDUCERS[event.type] as AnyReducer)(ticket, event);
  return after.ok ? ok({ ...ticket, ...after.value }) : after;
}
