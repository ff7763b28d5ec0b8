/* All stations together, in one place: a station with a part of the ticket and events of its own adds a line to each. */
import { deskReducers } from './desk/reduce';
import { takeInReducers } from './takeIn/reduce';
import { findReducers } from './find/reduce';
import { stripReducers } from './strip/reduce';
import { cleanReducers } from './clean/reduce';
import { trainReducers } from './train/reduce';
import { measureReducers } from './measure/reduce';
import { sizeReducers } from './size/reduce';
import { rebuildReducers } from './rebuild/reduce';
import { proveReducers } from './prove/reduce';
import { handBackReducers } from './handBack/reduce';
import { practiceReducers } from './practice/reduce';
import type { ShapeValue } from '../../base/schema';
import type { StationId } from './module';
import { cleanEvents, cleanState } from './clean/schema';
import { trainEvents, trainState } from './train/schema';
import { deskEvents, deskState } from './desk/schema';
import { drivesState } from './drives/schema';
import { findEvents, findState } from './find/schema';
import { handBackEvents, handBackState } from './handBack/schema';
import { measureEvents } from './measure/schema';
import { practiceEvents, practiceState } from './practice/schema';
import { proveEvents, proveState } from './prove/schema';
import { rebuildEvents } from './rebuild/schema';
import { sizeEvents } from './size/schema';
import { stripEvents, stripState } from './strip/schema';
import { takeInEvents, takeInState } from './takeIn/schema';

/** What the stations keep of a ticket. */
export const stationsState = {
  ...deskState,
  ...takeInState,
  ...findState,
  ...stripState,
  ...cleanState,
  ...trainState,
  ...drivesState,
  ...proveState,
  ...handBackState,
  ...practiceState,
};
/** What all stations together keep of a ticket. */
export interface StationsState extends ShapeValue<typeof stationsState> {}
/** What can happen at the stations. */
export const stationEvents = {
  ...deskEvents,
  ...takeInEvents,
  ...findEvents,
  ...stripEvents,
  ...cleanEvents,
  ...trainEvents,
  ...measureEvents,
  ...sizeEvents,
  ...rebuildEvents,
  ...proveEvents,
  ...handBackEvents,
  ...practiceEvents,
};
/** The station at which an event happens, by its type; a few say it themselves. Events of the desk have none. */
const STATION_OF = new Map<string, StationId>(
  (
    [
      ['takeIn', takeInEvents],
      ['find', findEvents],
      ['strip', stripEvents],
      ['clean', cleanEvents],
      ['rebuild', trainEvents],
      ['measure', measureEvents],
      ['size', sizeEvents],
      ['rebuild', rebuildEvents],
      ['prove', proveEvents],
      ['handBack', handBackEvents],
    ] as const
  ).flatMap(([station, events]) => Object.keys(events).map((type) => [type, station] as const)),
);
/** The station at which an event happens; undefined where it belongs to the ticket as a whole. */
export const stationOfEvent = (event: { readonly type: string; readonly station?: StationId }): StationId | undefined =>
  event.station ?? STATION_OF.get(event.type);

/** What each event makes of a ticket. */
export const stationReducers = {
  ...deskReducers,
  ...takeInReducers,
  ...findReducers,
  ...stripReducers,
  ...cleanReducers,
  ...trainReducers,
  ...measureReducers,
  ...sizeReducers,
  ...rebuildReducers,
  ...proveReducers,
  ...handBackReducers,
  ...practiceReducers,
};
