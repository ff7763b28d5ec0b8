import { ACTION_NAMES, RESULT_NAMES } from '../proving';
import { findMethod, isForce } from '../measuring';
import { beltLabel, formatLength, formatNewton, type LengthUnit } from '../units';
import type { TicketEvent } from './events';
import { LID_NAMES, MAINS_NAMES, MARK_NAMES, MEASURAND_NAMES, STATION_NAMES } from './names';
import {
  AFTER_UNPLUGGING_NAMES,
  CHECK_STATE_NAMES,
  EVIDENCE_NAMES,
  OFFER_NAMES,
  VERDICT_NAMES,
  VERDICT_STATE_NAMES,
} from './stationNames';
import type { StationId, Ticket } from './types';

/** Where on the ticket an event acted: what undo says and where it leads. */
export interface EventPlace {
  readonly station: StationId;
  readonly driveId?: string;
}

/** The station, and drive where it has one, that an event belongs to. */
export function eventPlace(event: TicketEvent): EventPlace {
  switch (event.type) {
    case 'stationMarked':
    case 'noteWritten':
      return { station: event.station };
    case 'driveAdded':
    case 'driveChanged':
    case 'driveRemoved':
    case 'readingTaken':
    case 'readingRemoved':
      return { station: 'measure', driveId: event.driveId };
    case 'tryLogged':
    case 'tryJudged':
    case 'tryLabelled':
      return { station: 'size', driveId: event.driveId };
    case 'cycleLogged':
      return { station: event.cycle.cleanRunId === null ? 'takeIn' : 'prove' };
    case 'treatmentRecorded':
    case 'cleanRunBegun':
    case 'checkPut':
    case 'recheckPut':
      return { station: 'prove' };
    case 'stepPut':
      return { station: event.step.removals.some(({ back }) => back !== null) ? 'rebuild' : 'strip' };
    case 'temporaryChangePut':
      return { station: event.change.closedAt === null ? 'strip' : 'rebuild' };
    case 'stepRemoved':
    case 'openedAgain':
    case 'foundPut':
    case 'foundRemoved':
    case 'parked':
      return { station: 'strip' };
    case 'orderSaid':
    case 'orderRemoved':
    case 'gearTried':
      return { station: 'rebuild' };
    case 'observed':
    case 'observationRemoved':
    case 'verdictGiven':
    case 'verdictRemoved':
      return { station: 'find' };
    case 'timingPut':
      return { station: event.timing.side === 'before' ? 'takeIn' : 'prove' };
    case 'offerPut':
    case 'offerRemoved':
    case 'handBackWritten':
    case 'ticketClosed':
    case 'ticketReopened':
      return { station: 'handBack' };
    default:
      return { station: 'takeIn' };
  }
}

const DETAIL_NAMES: Readonly<Record<string, string>> = {
  number: 'number',
  machine: 'machine',
  loader: 'kind of loader',
  serial: 'serial',
  owner: 'owner',
  found: 'found',
  done: 'done',
  left: 'noticed and left',
  notTested: 'not tested',
  provisional: 'provisional',
  dueOn: 'due on',
  minutes: 'bench minutes',
  cost: 'cost',
  source: 'where the belt came from',
  label: 'the belt’s label',
  because: 'why it was fitted',
  name: 'name',
  role: 'what it drives',
  mechanism: 'mechanism',
  normal: 'what is normal',
  codes: 'error codes',
  crossed: 'crossed belt',
  motorGroove: 'motor pulley’s groove',
  drivenGroove: 'driven pulley’s groove',
  motorSurface: 'motor pulley’s surface',
  drivenSurface: 'driven pulley’s surface',
  oldShape: 'old belt’s shape',
  others: 'other pulleys',
  speed: 'speed wanted',
  ownerWish: 'owner’s wish',
};

/**
 * An event in a few words, for undo, the timeline and the record.
 *
 * @example describeEvent(readingTaken Ø6.0 on the motor pulley, ticket, 'mm') // 'motor pulley, thin jaws 6.0 mm'
 */
export function describeEvent(event: TicketEvent, ticket: Ticket, unit: LengthUnit): string {
  const changed = (changes: object) =>
    Object.keys(changes)
      .map((key) => DETAIL_NAMES[key] ?? key)
      .join(', ');
  const drive = (id: string) => `drive ${ticket.drives.find((one) => one.id === id)?.name ?? 'removed'}`;
  switch (event.type) {
    case 'ticketOpened':
      return `opened ${event.details.number}`;
    case 'detailsChanged':
      return `${changed(event.changes)} changed`;
    case 'waitingChanged':
      return `waits for ${event.waiting.for === 'nothing' ? 'a hand' : `the ${event.waiting.for}`}`;
    case 'complaintPut':
      return `complaint “${event.complaint.words}”`;
    case 'complaintRemoved':
      return 'a complaint taken out';
    case 'storyTold':
      return 'what happened before it failed';
    case 'evidencePut':
      return `on arrival: ${EVIDENCE_NAMES[event.evidence.kind]}`;
    case 'evidenceRemoved':
      return 'evidence taken out';
    case 'triedAgain':
      return `tried again after unplugging: ${AFTER_UNPLUGGING_NAMES[event.afterUnplugging.result]}`;
    case 'picturePut':
      return event.picture.caption ? `picture “${event.picture.caption}”` : 'a picture';
    case 'pictureRemoved':
      return 'a picture taken out';
    case 'questionsSent':
      return `${event.sheet.questions.length} questions for the owner`;
    case 'answersTaken':
      return `${event.answers.answers.length} answers of the owner taken in`;
    case 'lidSaid':
      return `lid ${LID_NAMES[event.lid.state]}`;
    case 'mainsSaid':
      return `mains: ${MAINS_NAMES[event.mains.state]}`;
    case 'timerPut':
      return event.timer.endedAt === null ? `timer, ${event.timer.what}` : `timer seen to, ${event.timer.what}`;
    case 'discPut':
      return event.disc.returned ? `disc returned, ${event.disc.whose}` : `disc, ${event.disc.whose}`;
    case 'discRemoved':
      return 'a disc taken out of the list';
    case 'checkPut':
      return `a clean run marked ${CHECK_STATE_NAMES[event.check.state]}`;
    case 'timingPut':
      return `timed, ${event.timing.what}`;
    case 'timingRemoved':
      return 'a timed test taken out';
    case 'recheckPut':
      return 'looked at again after a treatment';
    case 'stepPut': {
      const { number, what, removals } = event.step;
      const last = removals[removals.length - 1];
      const how = last ? (last.back === null ? 'off' : 'back') : 'noted';
      return number === 0 ? `note “${what}”` : `${number} ${what}, ${how}`;
    }
    case 'stepRemoved':
      return 'a step taken out';
    case 'openedAgain':
      return 'opened once more';
    case 'temporaryChangePut':
      return event.change.closedAt === null ? `change: ${event.change.words}` : `ended: ${event.change.words}`;
    case 'orderSaid':
      return 'this before that';
    case 'orderRemoved':
      return 'an order taken out';
    case 'foundPut':
      return event.found.homed ? `placed: ${event.found.what}` : `found: ${event.found.what}`;
    case 'foundRemoved':
      return 'something found taken out';
    case 'gearTried':
      return `gear tried: ${event.trial.what}`;
    case 'parked':
      return event.park ? 'parked' : 'taken up again';
    case 'observed':
      return 'a test answered';
    case 'observationRemoved':
      return 'an answer taken back';
    case 'verdictGiven':
      return `${event.verdict.words}: ${VERDICT_STATE_NAMES[event.verdict.state]}`;
    case 'verdictRemoved':
      return 'a verdict taken back';
    case 'offerPut':
      return `offered: ${event.offer.what}, ${OFFER_NAMES[event.offer.answer]}`;
    case 'offerRemoved':
      return 'an offer taken out';
    case 'cycleLogged':
      return `cycle, ${ACTION_NAMES[event.cycle.action]} ${RESULT_NAMES[event.cycle.result]}`;
    case 'treatmentRecorded':
      return `treatment: ${event.treatment.what}`;
    case 'cleanRunBegun':
      return 'clean run begun';
    case 'stationMarked':
      return `${STATION_NAMES[event.station]} marked ${MARK_NAMES[event.mark]}`;
    case 'noteWritten':
      return `note on ${STATION_NAMES[event.station]}`;
    case 'driveAdded':
      return `drive ${event.name} added`;
    case 'driveChanged':
      return `${drive(event.driveId)}, ${changed(event.changes)}`;
    case 'driveRemoved':
      return 'a drive removed';
    case 'readingTaken': {
      const { measurand, method, amount } = event.reading;
      const figure = isForce(measurand) ? formatNewton(amount) : `${formatLength(amount, unit)} ${unit}`;
      const how = findMethod(method)?.label ?? method;
      return how === 'section' ? `belt section ${figure}` : `${MEASURAND_NAMES[measurand]}, ${how} ${figure}`;
    }
    case 'readingRemoved':
      return 'a reading taken out';
    case 'tryLogged': {
      const label = beltLabel(event.try, unit);
      return `fitted ${label.sign} ${label.size}`;
    }
    case 'tryJudged':
      return `try judged ${VERDICT_NAMES[event.verdict]}`;
    case 'tryLabelled':
      return `a try’s ${changed(event.changes)}`;
    case 'handBackWritten':
      return `hand back, ${changed(event.changes)}`;
    case 'ticketClosed':
      return 'handed back';
    case 'ticketReopened':
      return 'opened again';
    case 'undone':
      return 'undone';
    case 'redone':
      return 'brought back';
  }
}
