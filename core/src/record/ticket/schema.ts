import {
  fits,
  id,
  nullable,
  number,
  one,
  optional,
  shape,
  text,
  time,
  type AnyField,
  type ValueOf,
} from '../../base/schema';
import { complaint, details, stationEvents, stationsState, type BodyOf, type Stamp } from '../stations';
import { EVENTS_MAX, TICKET_FORMAT, TICKET_VERSION } from './format';

/* A ticket is what its stations keep of it; what can happen to it is what can happen there. */

export const ticketShape = shape(stationsState);
/** One machine on the bench, as its events have made it. Times are ISO 8601 in UTC. */
export interface Ticket extends ValueOf<typeof ticketShape> {}

/** What happens to a ticket as a whole: it is opened, and steps are taken back. */
export const wholeEvents = {
  ticketOpened: { ticketId: id(), driveId: id(), details: shape(details), complaint: nullable(complaint) },
  undone: { eventId: id() },
  redone: { eventId: id() },
};
export const ticketEvents = { ...wholeEvents, ...stationEvents };

/** Everything that can happen to a ticket, at the size of a gesture. */
export type EventBody = BodyOf<typeof ticketEvents>;
export type EventType = EventBody['type'];
/** What can happen at a station. */
export type StationEventBody = BodyOf<typeof stationEvents>;
export type TicketEvent = EventBody & Stamp;

/** The fields that every event carries beside its own. */
export const stamp = { id: id(), at: time(), gesture: optional(text(64)), together: optional(id()) };

/** An event of one type, whole. */
export const eventShape = (type: EventType) => shape({ ...stamp, type: one([type]), ...ticketEvents[type] });

const eventShapes = new Map<string, AnyField>();
/** Whether an event is one that the importer takes: of a known type, every field within its limits. */
export function eventFits(event: unknown): boolean {
  const { type } = (event ?? {}) as { readonly type?: EventType };
  return typeof type === 'string' && Object.hasOwn(ticketEvents, type) && fits(shapeOf(type), event);
}
function shapeOf(type: EventType): AnyField {
  const known = eventShapes.get(type) ?? eventShape(type);
  eventShapes.set(type, known);
  return known;
}

/** What is kept of a ticket: its events, and the ticket they give. */
export interface TicketRecord {
  readonly format: typeof TICKET_FORMAT;
  readonly version: typeof TICKET_VERSION;
  readonly ticket: Ticket;
  readonly events: readonly TicketEvent[];
}

/** The record around the events, which differ by their type and stand apart. */
export const recordHead = {
  format: one([TICKET_FORMAT]),
  version: number(TICKET_VERSION, TICKET_VERSION),
  ticket: ticketShape,
};
const headShape = shape(recordHead);

/** Whether a document is shaped like a record: head, ticket and every event. */
export function recordFits(document: unknown): boolean {
  if (typeof document !== 'object' || document === null) return false;
  const { events, ...head } = document as { readonly events?: unknown };
  return (
    fits(headShape, head) &&
    Array.isArray(events) &&
    events.length >= 1 &&
    events.length <= EVENTS_MAX &&
    events.every(eventFits)
  );
}
