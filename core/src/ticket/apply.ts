import { mayBeginCleanRun } from '../proving';
import { applyStrip, EMPTY_STRIP } from '../strip';
import { ok, refuse, type Result } from '../units';
import type { TicketEvent } from './events';
import type { Complaint } from './arrival';
import { STATIONS, type DriveRecord, type StationId, type Ticket, type Try } from './types';

const eachStation = <T>(value: T): Record<StationId, T> =>
  Object.fromEntries(STATIONS.map((station) => [station, value])) as Record<StationId, T>;

/** A drive as it is before anything is known of it. */
export function newDrive(id: string, name: string): DriveRecord {
  return {
    id,
    name,
    role: '',
    mechanism: '',
    normal: '',
    codes: [],
    crossed: false,
    motorGroove: { form: 'flat', veeAngleDeg: null },
    drivenGroove: { form: 'flat', veeAngleDeg: null },
    motorSurface: 'clean',
    drivenSurface: 'clean',
    oldShape: 'square',
    idlers: [],
    speed: null,
    ownerWish: 'unknown',
    readings: [],
    tries: [],
  };
}

/** A complaint as it is when the owner has just said it. @example newComplaint('k1', 'dead drawer').state // 'open' */
export const newComplaint = (id: string, words: string): Complaint => ({
  id,
  words,
  state: 'open',
  drivetrain: true,
  sounds: [],
  before: '',
  after: '',
});

/** Replaces one drive. Refuses where the ticket has none of that id. */
function onDrive(ticket: Ticket, driveId: string, change: (drive: DriveRecord) => DriveRecord): Result<Ticket> {
  if (!ticket.drives.some(({ id }) => id === driveId)) {
    return refuse(`There is no drive “${driveId}” on this ticket.`);
  }
  return ok({ ...ticket, drives: ticket.drives.map((drive) => (drive.id === driveId ? change(drive) : drive)) });
}

/** Puts an item in place of the one with its id, or at the end. */
function upsert<T extends { readonly id: string }>(list: readonly T[], item: T): readonly T[] {
  return list.some(({ id }) => id === item.id) ? list.map((old) => (old.id === item.id ? item : old)) : [...list, item];
}

/** A list without the item of an id. */
const without = <T extends { readonly id: string }>(list: readonly T[], gone: string): readonly T[] =>
  list.filter(({ id }) => id !== gone);

/** A drive with one of its tries changed. */
const onTry = (drive: DriveRecord, tryId: string, changes: Partial<Try>): DriveRecord => ({
  ...drive,
  tries: drive.tries.map((one) => (one.id === tryId ? { ...one, ...changes } : one)),
});

/**
 * The ticket after one event. Pure; the same events always give the same ticket.
 *
 * @param ticket undefined before the first event, which must be `ticketOpened`
 * @returns the new ticket, or a sentence where the event speaks of something that is not there
 */
export function applyEvent(ticket: Ticket | undefined, event: TicketEvent): Result<Ticket> {
  if (event.type === 'ticketOpened') {
    if (ticket) return refuse('A ticket is opened once, by its first event.');
    return ok({
      id: event.ticketId,
      ...event.details,
      complaints: event.complaint ? [event.complaint] : [],
      story: '',
      evidence: [],
      afterUnplugging: null,
      pictures: [],
      questionSheets: [],
      ownerAnswers: [],
      mains: null,
      lid: null,
      timers: [],
      discs: [],
      openedAt: event.at,
      closedAt: null,
      closedDespite: '',
      waiting: { for: 'nothing', what: '' },
      stations: eachStation('open'),
      notes: eachStation(''),
      drives: [newDrive(event.driveId, 'A')],
      cycles: [],
      treatments: [],
      cleanRuns: [],
      checks: [],
      timings: [],
      rechecks: [],
      offers: [],
      observations: [],
      verdicts: [],
      strip: EMPTY_STRIP,
      handBack: {
        found: '',
        done: '',
        left: '',
        notTested: '',
        provisional: '',
        dueOn: '',
        minutes: null,
        cost: '',
      },
    });
  }
  if (!ticket) return refuse('The first event of a ticket must open it.');
  switch (event.type) {
    case 'detailsChanged':
      return ok({ ...ticket, ...event.changes });
    case 'waitingChanged':
      return ok({ ...ticket, waiting: event.waiting });
    case 'complaintPut':
      return ok({ ...ticket, complaints: upsert(ticket.complaints, event.complaint) });
    case 'complaintRemoved':
      return ok({ ...ticket, complaints: without(ticket.complaints, event.complaintId) });
    case 'storyTold':
      return ok({ ...ticket, story: event.story });
    case 'evidencePut':
      return ok({ ...ticket, evidence: upsert(ticket.evidence, event.evidence) });
    case 'evidenceRemoved':
      return ok({ ...ticket, evidence: without(ticket.evidence, event.evidenceId) });
    case 'triedAgain':
      return ok({ ...ticket, afterUnplugging: event.afterUnplugging });
    case 'picturePut':
      return ok({ ...ticket, pictures: upsert(ticket.pictures, event.picture) });
    case 'pictureRemoved':
      return ok({ ...ticket, pictures: without(ticket.pictures, event.pictureId) });
    case 'questionsSent':
      return ok({ ...ticket, questionSheets: upsert(ticket.questionSheets, event.sheet) });
    case 'answersTaken':
      if (!ticket.questionSheets.some(({ id }) => id === event.answers.sheetId)) {
        return refuse('These answers belong to questions that this ticket never sent.');
      }
      return ok({
        ...ticket,
        ownerAnswers: [
          ...ticket.ownerAnswers.filter(({ sheetId }) => sheetId !== event.answers.sheetId),
          event.answers,
        ],
      });
    case 'lidSaid':
      return ok({ ...ticket, lid: event.lid });
    case 'mainsSaid':
      return ok({ ...ticket, mains: event.mains });
    case 'timerPut':
      return ok({ ...ticket, timers: upsert(ticket.timers, event.timer) });
    case 'discPut':
      return ok({ ...ticket, discs: upsert(ticket.discs, event.disc) });
    case 'discRemoved':
      return ok({ ...ticket, discs: without(ticket.discs, event.discId) });
    case 'checkPut': {
      const others = ticket.checks.filter(({ kind }) => kind !== event.check.kind);
      return ok({ ...ticket, checks: [...others, event.check] });
    }
    case 'timingPut':
      return ok({ ...ticket, timings: upsert(ticket.timings, event.timing) });
    case 'timingRemoved':
      return ok({ ...ticket, timings: without(ticket.timings, event.timingId) });
    case 'recheckPut': {
      const { recheck } = event;
      const others = ticket.rechecks.filter(
        ({ treatmentId, of }) => treatmentId !== recheck.treatmentId || of !== recheck.of,
      );
      return ok({ ...ticket, rechecks: [...others, recheck] });
    }
    case 'observed':
      return ok({ ...ticket, observations: upsert(ticket.observations, event.observation) });
    case 'observationRemoved':
      return ok({ ...ticket, observations: without(ticket.observations, event.observationId) });
    case 'verdictGiven': {
      const others = ticket.verdicts.filter(({ causeId }) => causeId !== event.verdict.causeId);
      return ok({ ...ticket, verdicts: [...others, event.verdict] });
    }
    case 'verdictRemoved':
      return ok({ ...ticket, verdicts: ticket.verdicts.filter(({ causeId }) => causeId !== event.causeId) });
    case 'offerPut':
      return ok({ ...ticket, offers: upsert(ticket.offers, event.offer) });
    case 'offerRemoved':
      return ok({ ...ticket, offers: without(ticket.offers, event.offerId) });
    case 'cycleLogged':
      if (event.cycle.cleanRunId !== null && !ticket.cleanRuns.some(({ id }) => id === event.cycle.cleanRunId)) {
        return refuse('The cycle belongs to a clean run that was never begun.');
      }
      return ok({ ...ticket, cycles: [...ticket.cycles, event.cycle] });
    case 'treatmentRecorded':
      return ok({ ...ticket, treatments: [...ticket.treatments, event.treatment] });
    case 'cleanRunBegun':
      if (!mayBeginCleanRun(ticket.cleanRuns, ticket.treatments)) {
        return refuse('A new clean run begins only after something was done about the fault: record the treatment first.');
      }
      return ok({ ...ticket, cleanRuns: [...ticket.cleanRuns, event.cleanRun] });
    case 'stationMarked':
      return ok({ ...ticket, stations: { ...ticket.stations, [event.station]: event.mark } });
    case 'noteWritten':
      return ok({ ...ticket, notes: { ...ticket.notes, [event.station]: event.text } });
    case 'driveAdded':
      if (ticket.drives.some(({ id }) => id === event.driveId))
        return refuse(`Drive “${event.driveId}” is there already.`);
      return ok({ ...ticket, drives: [...ticket.drives, newDrive(event.driveId, event.name)] });
    case 'driveChanged':
      return onDrive(ticket, event.driveId, (drive) => ({ ...drive, ...event.changes }));
    case 'driveRemoved':
      if (ticket.drives.length === 1) return refuse('A ticket keeps at least one drive.');
      return ok({ ...ticket, drives: without(ticket.drives, event.driveId) });
    case 'readingTaken':
      return onDrive(ticket, event.driveId, (drive) => ({ ...drive, readings: upsert(drive.readings, event.reading) }));
    case 'readingRemoved':
      return onDrive(ticket, event.driveId, (drive) => ({
        ...drive,
        readings: without(drive.readings, event.readingId),
      }));
    case 'tryLogged':
      return onDrive(ticket, event.driveId, (drive) => ({ ...drive, tries: upsert(drive.tries, event.try) }));
    case 'tryJudged':
      return onDrive(ticket, event.driveId, (drive) =>
        onTry(drive, event.tryId, { verdict: event.verdict, note: event.note }),
      );
    case 'tryLabelled':
      return onDrive(ticket, event.driveId, (drive) => onTry(drive, event.tryId, event.changes));
    case 'handBackWritten':
      return ok({ ...ticket, handBack: { ...ticket.handBack, ...event.changes } });
    case 'ticketClosed':
      return ok({ ...ticket, closedAt: event.at, closedDespite: event.despite });
    case 'ticketReopened':
      return ok({ ...ticket, closedAt: null, closedDespite: '' });
    case 'stepPut':
    case 'stepRemoved':
    case 'openedAgain':
    case 'temporaryChangePut':
    case 'orderSaid':
    case 'orderRemoved':
    case 'foundPut':
    case 'foundRemoved':
    case 'gearTried':
    case 'parked': {
      const strip = applyStrip(ticket.strip, event);
      return strip.ok ? ok({ ...ticket, strip: strip.value }) : strip;
    }
    case 'undone':
    case 'redone':
      return refuse('Undoing replays the events; it is not applied by itself.');
  }
}
