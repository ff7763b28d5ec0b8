export * from './arrival';
export * from './types';
export type { Details, DriveSettings, EventType, EventBody, TicketEvent } from './events';
export { applyEvent, newComplaint, newDrive } from './apply';
export {
  append,
  openRecord,
  redoTarget,
  replay,
  timeline,
  TICKET_FORMAT,
  TICKET_VERSION,
  undoTarget,
  type TicketRecord,
} from './record';
export {
  DRIVEN_OF,
  headline,
  LID_NAMES,
  LOADER_NAMES,
  MAINS_NAMES,
  MARK_NAMES,
  MEASURAND_NAMES,
  STATION_NAMES,
} from './names';
export {
  AFTER_UNPLUGGING_NAMES,
  CHECK_STATE_NAMES,
  COMPLAINT_STATE_NAMES,
  EVIDENCE_NAMES,
  FITTED_BECAUSE_NAMES,
  OFFER_NAMES,
  SOUND_NAMES,
  VERDICT_NAMES,
  VERDICT_STATE_NAMES,
} from './stationNames';
export { describeEvent, eventPlace, type EventPlace } from './describe';
export { factsOf, grooveOf, nextStation, picturesNamed, summarise, type TicketSummary } from './summary';
export { carryOver, knownFrom, type KnownFrom } from './carryOver';
export { recheckTargets, type RecheckTarget } from './rechecks';
export { predictedPull, type PredictedPull } from './predictedPull';
