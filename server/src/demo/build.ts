import type { Reading } from '@loose-pulley/core/belts/measuring';
import {
  appendAny,
  openRecord,
  type EventBody,
  type TicketEvent,
  type TicketRecord,
} from '@loose-pulley/core/record/ticket';
import { newComplaint, type Details } from '@loose-pulley/core/record/stations';

/** A reading of the demo: what, how, how much, with its tools. */
export type DemoReading = readonly [Reading['measurand'], string, number, Reading['aux']?];

/** A ticket of the demo: when it was opened, what it is, and what happened to its drives. */
export interface DemoTicket {
  readonly openedAt: string;
  readonly details: Details & { readonly complaint: string };
  /** Minutes between one event and the next. */
  readonly paceMinutes?: number;
  readonly bodies: ReadonlyArray<EventBody | Said>;
}

/** Something that is said of the ticket as it then stands, such as a typed line: what it comes to hangs on that. */
export type Said = (record: TicketRecord, at: string) => readonly EventBody[];

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
  let at = 0;
  const stamped = (body: EventBody): TicketEvent => ({
    ...body,
    id: `demo-${number}-e${at}`,
    at: new Date(start + at++ * paceMinutes * 60_000).toISOString(),
  });
  const opened = openRecord(stamped(opening));
  if (!opened.ok) throw new Error(`Demo ticket ${number}: ${opened.problem}`);
  let record = opened.value;
  for (const body of bodies) {
    const now = new Date(start + at * paceMinutes * 60_000).toISOString();
    for (const one of typeof body === 'function' ? body(record, now) : [body]) {
      const next = appendAny(record, stamped(one));
      if (!next.ok) throw new Error(`Demo ticket ${number}: ${next.problem}`);
      record = next.value;
    }
  }
  return record;
}
