import { stationReducers, type Reducers, type stationEvents } from '../stations';
import { overfull, type AnyField } from '../../base/schema';
import { ok, refuse, type Result } from '../../base/units';
import { ticketShape, type StationEventBody, type Ticket, type TicketEvent } from './schema';

/** What each event makes of a ticket. An event without its case does not compile. */
const REDUCERS: Reducers<Ticket, typeof stationEvents> = stationReducers;
/** The most that one of the changed lists takes, where it holds more: what the importer would refuse does not happen. */
function mostOf(changed: Partial<Ticket>): number | undefined {
  for (const [key, value] of Object.entries(changed)) {
    const field = (ticketShape.fields as Readonly<Record<string, AnyField>>)[key];
    const most = field && overfull(field, value);
    if (most !== undefined) return most;
  }
  return undefined;
}

type AnyReducer = (ticket: Ticket, event: StationEventBody) => Result<Partial<Ticket>>;

/**
 * What one event at a station changes of a ticket. Pure; the same events always give the same ticket.
 *
 * @returns the changed parts, or a sentence where the event speaks of something that is not there
 */
export function changeOf(ticket: Ticket, event: TicketEvent): Result<Partial<Ticket>> {
  if (event.type === 'ticketOpened') return refuse('A ticket is opened once, by its first event.');
  if (event.type === 'undone' || event.type === 'redone') {
    return refuse('Undoing replays the events; it is not applied by itself.');
  }
  // The registry pairs each type with its own event; indexing by a union loses that pairing.
  const after = (REDUCERS[event.type] as AnyReducer)(ticket, event);
  if (!after.ok) return after;
  const most = mostOf(after.value);
  if (most !== undefined) return refuse(`No more of these fit on one ticket: at most ${most}.`);
  return after;
}

/** The ticket after one event at a station. @returns the new ticket, or a sentence, as of `changeOf` */
export function applyEvent(ticket: Ticket, event: TicketEvent): Result<Ticket> {
  const change = changeOf(ticket, event);
  return change.ok ? ok({ ...ticket, ...change.value }) : change;
}
