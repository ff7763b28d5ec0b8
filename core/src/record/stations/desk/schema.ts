import { LOADERS } from '../../../base/loaders';
import {
  id,
  list,
  nullable,
  one,
  optional,
  shape,
  text,
  time,
  some,
  type ShapeValue,
  type ValueOf,
} from '../../../base/schema';
import { timer } from '../../../base/timers';
import { STATIONS } from '../module';

/* What belongs to a ticket as a whole, whatever station is open. */

export const STATION_MARKS = ['open', 'done', 'notNeeded'] as const;
export type StationMark = (typeof STATION_MARKS)[number];

export const WAITING_FOR = ['nothing', 'parts', 'owner'] as const;

/** How the machine stands to the mains, since when. The app cannot see it: the bench says it. */
export const MAINS_STATES = ['plugged', 'unplugged', 'poweredOpen'] as const;
const mains = shape({ state: one(MAINS_STATES), since: time() });
export interface Mains extends ValueOf<typeof mains> {}

/** Whether the lid is on, since when: what was not powered since it went on is not proved. */
export const LID_STATES = ['off', 'on'] as const;
const lid = shape({ state: one(LID_STATES), since: time() });
export interface Lid extends ValueOf<typeof lid> {}

const waiting = shape({ for: one(WAITING_FOR), what: text(200) });

/** What was promised to whom, and by when. */
const promise = shape({ to: text(120), at: time() });
export interface Promised extends ValueOf<typeof promise> {}

/** The details of a ticket that can be retyped. */
export const details = {
  number: text(20),
  machine: text(120),
  loader: one(LOADERS),
  serial: text(80),
  owner: text(120),
};
export interface Details extends ShapeValue<typeof details> {}

const everyStation = <F>(field: F) =>
  Object.fromEntries(STATIONS.map((station) => [station, field])) as Record<(typeof STATIONS)[number], F>;

export const deskState = {
  id: id(),
  ...details,
  openedAt: time(),
  waiting,
  stations: shape(everyStation(one(STATION_MARKS))),
  notes: shape(everyStation(text(8000))),
  /** Null until it was said. */
  mains: nullable(mains),
  lid: nullable(lid),
  timers: list(timer, 500),
  promise: nullable(promise),
  /** The earlier ticket of the same machine; null where the bench said that it is another; not there while nobody said. */
  sameAs: optional(nullable(id())),
};

export const deskEvents = {
  detailsChanged: { changes: some(details) },
  waitingChanged: { waiting },
  stationMarked: { station: one(STATIONS), mark: one(STATION_MARKS) },
  noteWritten: { station: one(STATIONS), text: text(8000) },
  mainsSaid: { mains },
  lidSaid: { lid },
  timerPut: { timer },
  promised: { promise: nullable(promise) },
  sameMachineSaid: { as: nullable(id()) },
};
