import type { Reading } from '@loose-pulley/core/measuring';
import { appendAny, openRecord, type EventBody, type TicketRecord } from '@loose-pulley/core/ticket';
import { newComplaint, type Details } from '@loose-pulley/core/stations';

/** A reading of the demo: what, how, how much, with its tools. */
export type DemoReading = readonly [Reading['measurand'], string, number, Reading['aux']?];

/** A ticket of the demo: when it was opened, what it is, and what happened to its drives. */
export interface DemoTicket {
  readonly openedAt: string;
  readonly details: Details & { readonly complaint: string };
  /** Minutes between one event and the next. */
  readonly paceMinutes?: number;
  readonly bodies: readonly EventBody[];
}

/** The id of a drive of the demo: ticket number and letter. */
export const driveId = (number: string, letter: string): string => `demo-${number}-${letter.toLowerCase()}`;

/** Readings taken one after another on one drive. */
export function readings(number: string, letter: string, list: readonly DemoReading[]): EventBody[] {
  return list.map(([measurand, method, amount, aux = {}], index) => ({
    type: 'readingTaken',
    driveId: driveId(number, letter),
    reading: {
      id: `demo-${number}-${letter}-${index}`,
      measurand,
      method,
      typed: String(amount),
      amount,
      aux,
      ownStd: null,
    },
  }));
}

/** Stations marked done, in order. */
export const doneStations = (
  ...stations: ReadonlyArray<
    'takeIn' | 'find' | 'strip' | 'measure' | 'size' | 'clean' | 'rebuild' | 'prove' | 'handBack'
  >
): EventBody[] => stations.map((station) => ({ type: 'stationMarked', station, mark: 'done' }));

/**
 * Makes a record of a demo ticket by the same events that the app makes.
 *
 * @throws Error where an event cannot be followed: the demo itself is then wrong
 */
export function buildTicket({ openedAt, details, bodies, paceMinutes = 7 }: DemoTicket): TicketRecord {
  const { number } = details;
  const start = Date.parse(openedAt);
  const { complaint, ...plain } = details;
  const opening: EventBody = {
    type: 'ticketOpened',
    ticketId: `demo-${number}`,
    driveId: driveId(number, 'A'),
    details: plain,
    complaint: newComplaint(`demo-${number}-k1`, complaint),
  };
  const events = [opening, ...bodies].map((body, index) => ({
    ...body,
    id: `demo-${number}-e${index}`,
    at: new Date(start + index * paceMinutes * 60_000).toISOString(),
  }));
  const [first, ...rest] = events;
  if (!first) throw new Error(`Demo ticket ${number} is empty.`);
  const opened = openRecord(first);
  if (!opened.ok) throw new Error(`Demo ticket ${number}: ${opened.problem}`);
  return rest.reduce((record, event) => {
    const next = appendAny(record, event);
    if (!next.ok) throw new Error(`Demo ticket ${number}: ${next.problem}`);
    return next.value;
  }, opened.value);
}
