export {
  eventShape,
  EVENTS_MAX,
  recordHead,
  ticketEvents,
  ticketShape,
  TICKET_FORMAT,
  TICKET_VERSION,
  type EventBody,
  type EventType,
  type Ticket,
  type TicketEvent,
  type TicketRecord,
} from './schema';
export { applyEvent } from './apply';
export { append, openRecord, redoTarget, replay, timeline, undoTarget } from './record';
export { headline } from './headline';
export { describeEvent, eventPlace } from './describe';
export {
  factsOf,
  grooveOf,
  nextStation,
  picturesNamed,
  summarise,
  SUMMARY_VERSION,
  type TicketSummary,
} from './summary';
export { carryOver, knownFrom, type KnownFrom } from './carryOver';
export { recheckTargets, type RecheckTarget } from './rechecks';
