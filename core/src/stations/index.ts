/* What the stations keep of a ticket, what can happen there, and their words; the ticket is their composition. */
export {
  STATIONS,
  type BodyOf,
  type Descriptions,
  type EventPlace,
  type Reducers,
  type SaidOn,
  type Stamp,
  type StateOf,
  type StationId,
} from './module';
export * from './desk/schema';
export { deskReducers } from './desk/reduce';
export { LID_NAMES, MAINS_NAMES, MARK_NAMES, STATION_NAMES, WAITING_NAMES } from './desk/words';
export * from './takeIn/schema';
export { newComplaint } from './takeIn/newComplaint';
export { takeInReducers } from './takeIn/reduce';
export { AFTER_UNPLUGGING_NAMES, COMPLAINT_STATE_NAMES, EVIDENCE_NAMES, SOUND_NAMES } from './takeIn/words';
export * from './find/schema';
export { findReducers } from './find/reduce';
export { VERDICT_STATE_NAMES } from './find/words';
export * from './strip/schema';
export { stripReducers } from './strip/reduce';
export * from './drives/schema';
export { newDrive } from './drives/newDrive';
export * from './measure/schema';
export { measureReducers } from './measure/reduce';
export { MEASURAND_NAMES } from './measure/words';
export * from './size/schema';
export { sizeReducers } from './size/reduce';
export { FITTED_BECAUSE_NAMES, VERDICT_NAMES } from './size/words';
export * from './rebuild/schema';
export { rebuildReducers } from './rebuild/reduce';
export * from './prove/schema';
export { proveReducers } from './prove/reduce';
export { CHECK_STATE_NAMES } from './prove/words';
export * from './handBack/schema';
export { handBackReducers } from './handBack/reduce';
export { OFFER_NAMES } from './handBack/words';
export { deskDescriptions } from './desk/describe';
export { takeInDescriptions } from './takeIn/describe';
export { findDescriptions } from './find/describe';
export { stripDescriptions } from './strip/describe';
export { measureDescriptions } from './measure/describe';
export { sizeDescriptions } from './size/describe';
export { rebuildDescriptions } from './rebuild/describe';
export { proveDescriptions } from './prove/describe';
export { handBackDescriptions } from './handBack/describe';
