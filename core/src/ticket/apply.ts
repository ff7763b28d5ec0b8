import { firstValue } from '../schema';
import {
  deskReducers,
  findReducers,
  handBackReducers,
  measureReducers,
  newDrive,
  proveReducers,
  rebuildReducers,
  sizeReducers,
  stripReducers,
  takeInReducers,
  type Reducers,
} from '../stations';
import { ok, refuse, type Result } from '../units';
import { ticketShape, type stationEvents, type StationEventBody, type Ticket, type TicketEvent } from './schema';

/** What each event makes of a ticket. An event without its case does not compile. */
const REDUCERS: Reducers<Ticket, typeof stationEvents> = {
  ...deskReducers,
  ...takeInReducers,
  ...findReducers,
  ...stripReducers,
  ...measureReducers,
  ...sizeReducers,
  ...rebuildReducers,
  ...proveReducers,
  ...handBackReducers,
};
type AnyReducer = (ticket: Ticket, event: StationEventBody) => Result<Partial<Ticket>>;

/**
 * The ticket after one event. Pure; the same events always give the same ticket.
 *
 * @param ticket undefined before the first event, which must be `ticketOpened`
 * @returns the new ticket, or a sentence where the event speaks of something that is not there
 */
export function applyEvent(ticket: Ticket | undefined, event: TicketEvent): Result<Ticket> {
  if (event.type === 'ticketOpened') {
    if (ticket) return refuse('A ticket is opened once, by its first event.');
    return ok({
      ...firstValue(ticketShape),
      id: event.ticketId,
      ...event.details,
      complaints: event.complaint ? [event.complaint] : [],
      openedAt: event.at,
      drives: [newDrive(event.driveId, 'A')],
    });
  }
  if (!ticket) return refuse('The first event of a ticket must open it.');
  if (event.type === 'undone' || event.type === 'redone') {
    return refuse('Undoing replays the events; it is not applied by itself.');
  }
  // The registry pairs each type with its own event; indexing by a union loses that pairing.
  const after = (REDUCERS[event.type] as AnyReducer)(ticket, event);
  return after.ok ? ok({ ...ticket, ...after.value }) : after;
}
