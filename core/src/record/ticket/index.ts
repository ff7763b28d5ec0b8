export { EVENTS_MAX, SUMMARY_VERSION, TICKET_FORMAT, TICKET_VERSION } from './format';
export {
  eventFits,
  eventShape,
  recordFits,
  recordHead,
  ticketEvents,
  ticketShape,
  type EventBody,
  type EventType,
  type Ticket,
  type TicketEvent,
  type TicketRecord,
} from './schema';
export { applyEvent } from './apply';
export { append } from './append';
export { appendAny, openRecord, replay } from './history';
export { redoTarget, timeline, undoTarget } from './undo';
export { headline } from './headline';
export { marksOf, nextPage, nextStation } from './holds';
export { changedBy, type Changed } from './changed';
export { describeEvent, eventPlace } from './describe';
export { driveFactsOf, grooveOf } from './driveFacts';
export { picturesNamed, summarise, type TicketSummary } from './summary';
export { REMEDY_KIND_NAMES, REMEDY_KINDS, remedyOf, type Judged, type Remedied, type RemedyKind } from './outcome';
export { writeTicketFile } from './writeTicketFile';
export { recheckTargets, type RecheckTarget } from './rechecks';
export { provisionalNow, provisionalSaid } from './provisional';
