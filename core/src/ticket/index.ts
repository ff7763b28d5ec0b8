export * from './types';
export type { Details, DriveSettings, EventType, Happening, TicketEvent } from './events';
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
  CHECK_STATE_NAMES,
  COMPLAINT_STATE_NAMES,
  describeEvent,
  eventPlace,
  headline,
  LOADER_NAMES,
  MAINS_NAMES,
  MARK_NAMES,
  MEASURAND_NAMES,
  SOUND_NAMES,
  STATION_NAMES,
  VERDICT_NAMES,
  type EventPlace,
} from './names';
export { factsOf, grooveOf, nextStation, summarise, type TicketSummary } from './summary';
