/* What the stations keep of a ticket, what can happen there, and their words; the ticket is their composition. */
export {
  STATION_NAMES,
  STATIONS,
  USUAL_MINUTES,
  type BodyOf,
  type Descriptions,
  type EventPlace,
  type Reducers,
  type SaidOn,
  type Stamp,
  type StateOf,
  type StationId,
} from './module';
export { stationEvents, stationOfEvent, stationReducers, stationsState, type StationsState } from './all';
export { stationDescriptions } from './descriptions';
export * from './desk/schema';
export { LID_NAMES, MAINS_NAMES, MARK_NAMES, WAITING_NAMES } from './desk/words';
export * from './takeIn/schema';
export { newComplaint } from './takeIn/newComplaint';
export { AFTER_UNPLUGGING_NAMES, COMPLAINT_STATE_NAMES, EVIDENCE_NAMES, SOUND_NAMES } from './takeIn/words';
export * from './find/schema';
export { VERDICT_STATE_NAMES } from './find/words';
export * from './strip/schema';
export * from './clean/schema';
export * from './train/schema';
export * from './drives/schema';
export { newDrive } from './drives/newDrive';
export * from './measure/schema';
export { MEASURAND_NAMES, OLD_STATE_NAMES, readingName } from './measure/words';
export * from './size/schema';
export { FITTED_BECAUSE_NAMES, VERDICT_NAMES } from './size/words';
export * from './rebuild/schema';
export * from './prove/schema';
export { CHECK_STATE_NAMES } from './prove/words';
export * from './handBack/schema';
export { OFFER_NAMES } from './handBack/words';
export * from './practice/schema';
