/* All stations together, in one place: a station with a part of the ticket and events of its own adds a line to each. */
import { deskDescriptions } from './desk/describe';
import { deskReducers } from './desk/reduce';
import { takeInDescriptions } from './takeIn/describe';
import { takeInReducers } from './takeIn/reduce';
import { findDescriptions } from './find/describe';
import { findReducers } from './find/reduce';
import { stripDescriptions } from './strip/describe';
import { stripReducers } from './strip/reduce';
import { cleanDescriptions } from './clean/describe';
import { cleanReducers } from './clean/reduce';
import { trainDescriptions } from './train/describe';
import { trainReducers } from './train/reduce';
import { measureDescriptions } from './measure/describe';
import { measureReducers } from './measure/reduce';
import { sizeDescriptions } from './size/describe';
import { sizeReducers } from './size/reduce';
import { rebuildDescriptions } from './rebuild/describe';
import { rebuildReducers } from './rebuild/reduce';
import { proveDescriptions } from './prove/describe';
import { proveReducers } from './prove/reduce';
import { handBackDescriptions } from './handBack/describe';
import { handBackReducers } from './handBack/reduce';
import type { StationId } from './module';
import { cleanEvents, cleanState } from './clean/schema';
import { trainEvents, trainState } from './train/schema';
import { deskEvents, deskState } from './desk/schema';
import { drivesState } from './drives/schema';
import { findEvents, findState } from './find/schema';
import { handBackEvents, handBackState } from './handBack/schema';
import { measureEvents } from './measure/schema';
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
};
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
};
/** Each event in a few words, and its place. */
export const stationDescriptions = {
  ...deskDescriptions,
  ...takeInDescriptions,
  ...findDescriptions,
  ...stripDescriptions,
  ...cleanDescriptions,
  ...trainDescriptions,
  ...measureDescriptions,
  ...sizeDescriptions,
  ...rebuildDescriptions,
  ...proveDescriptions,
  ...handBackDescriptions,
};
