import { stationDescriptions, type Descriptions, type EventPlace, type SaidOn } from '../stations';
import type { LengthUnit } from '../../base/units';
import type { EventBody, Ticket, TicketEvent, ticketEvents } from './schema';

const takeIn = (): EventPlace => ({ station: 'takeIn' });

/** Every event in a few words, and its place. An event without its case does not compile. */
const DESCRIPTIONS: Descriptions<typeof ticketEvents> = {
  ticketOpened: { says: ({ details }) => `opened ${details.number}`, place: takeIn },
  undone: { says: () => 'undone', place: takeIn },
  redone: { says: () => 'redone', place: takeIn },
  ...stationDescriptions,
};
// The registry pairs each type with its own event; indexing by a union loses that pairing.
const descriptionOf = (event: EventBody) =>
  DESCRIPTIONS[event.type] as {
    says(event: EventBody, on: SaidOn): string;
    place(event: EventBody): EventPlace;
  };

/** The station, and drive where it has one, that an event belongs to: where undo leads. */
export const eventPlace = (event: TicketEvent): EventPlace => descriptionOf(event).place(event);

/**
 * An event in a few words, for undo, the timeline and the record.
 *
 * @example describeEvent(events[16], ticket, 'mm') // 'belt section 1.2 mm'
 */
export const describeEvent = (event: TicketEvent, ticket: Ticket, unit: LengthUnit): string =>
  descriptionOf(event).says(event, {
    unit,
    driveName: (id) => ticket.drives.find((one) => one.id === id)?.name ?? 'removed',
  });
