import type { Reading } from '../measuring';
import type { Timer } from '../timers';
import type { StripEventBody } from '../strip';
import type { Check, Cycle, CleanRun, Recheck, Timing, Treatment } from '../proving';
import type {
  AfterUnplugging,
  CauseVerdict,
  ObservationRecord,
  Complaint,
  Disc,
  Evidence,
  Lid,
  Mains,
  Offer,
  OwnerAnswers,
  Picture,
  QuestionSheet,
} from './arrival';
import type { DriveRecord, HandBack, StationId, StationMark, Ticket, Try, Verdict } from './types';

/** What every event carries: its own id, when it happened, and the gesture it belongs to where typing goes on. */
interface Stamp {
  readonly id: string;
  readonly at: string;
  /** Events of one gesture that follow one another replace the last: a note typed in one go is one event. */
  readonly gesture?: string;
}

/** The details of a ticket that can be retyped. */
export type Details = Pick<Ticket, 'number' | 'machine' | 'loader' | 'serial' | 'owner'>;

/** What of a drive is set rather than measured. */
export type DriveSettings = Pick<
  DriveRecord,
  | 'name'
  | 'role'
  | 'mechanism'
  | 'normal'
  | 'codes'
  | 'crossed'
  | 'motorGroove'
  | 'drivenGroove'
  | 'motorSurface'
  | 'drivenSurface'
  | 'oldShape'
  | 'idlers'
  | 'speed'
  | 'ownerWish'
>;

/** Everything that can recordEvent to a ticket, at the size of a gesture. */
export type EventBody =
  | StripEventBody
  | {
      readonly type: 'ticketOpened';
      readonly ticketId: string;
      readonly driveId: string;
      readonly details: Details;
      readonly complaint: Complaint | null;
    }
  | { readonly type: 'detailsChanged'; readonly changes: Partial<Details> }
  | { readonly type: 'waitingChanged'; readonly waiting: Ticket['waiting'] }
  | { readonly type: 'complaintPut'; readonly complaint: Complaint }
  | { readonly type: 'complaintRemoved'; readonly complaintId: string }
  | { readonly type: 'storyTold'; readonly story: string }
  | { readonly type: 'evidencePut'; readonly evidence: Evidence }
  | { readonly type: 'evidenceRemoved'; readonly evidenceId: string }
  | { readonly type: 'triedAgain'; readonly afterUnplugging: AfterUnplugging }
  | { readonly type: 'picturePut'; readonly picture: Picture }
  | { readonly type: 'pictureRemoved'; readonly pictureId: string }
  | { readonly type: 'questionsSent'; readonly sheet: QuestionSheet }
  | { readonly type: 'answersTaken'; readonly answers: OwnerAnswers }
  | { readonly type: 'mainsSaid'; readonly mains: Mains }
  | { readonly type: 'lidSaid'; readonly lid: Lid }
  | { readonly type: 'timerPut'; readonly timer: Timer }
  | { readonly type: 'discPut'; readonly disc: Disc }
  | { readonly type: 'discRemoved'; readonly discId: string }
  | { readonly type: 'checkPut'; readonly check: Check }
  | { readonly type: 'timingPut'; readonly timing: Timing }
  | { readonly type: 'timingRemoved'; readonly timingId: string }
  | { readonly type: 'recheckPut'; readonly recheck: Recheck }
  | { readonly type: 'observed'; readonly observation: ObservationRecord }
  | { readonly type: 'observationRemoved'; readonly observationId: string }
  | { readonly type: 'verdictGiven'; readonly verdict: CauseVerdict }
  | { readonly type: 'verdictRemoved'; readonly causeId: string }
  | { readonly type: 'offerPut'; readonly offer: Offer }
  | { readonly type: 'offerRemoved'; readonly offerId: string }
  | { readonly type: 'cycleLogged'; readonly cycle: Cycle }
  | { readonly type: 'treatmentRecorded'; readonly treatment: Treatment }
  | { readonly type: 'cleanRunBegun'; readonly cleanRun: CleanRun }
  | { readonly type: 'stationMarked'; readonly station: StationId; readonly mark: StationMark }
  | { readonly type: 'noteWritten'; readonly station: StationId; readonly text: string }
  | { readonly type: 'driveAdded'; readonly driveId: string; readonly name: string }
  | { readonly type: 'driveChanged'; readonly driveId: string; readonly changes: Partial<DriveSettings> }
  | { readonly type: 'driveRemoved'; readonly driveId: string }
  | { readonly type: 'readingTaken'; readonly driveId: string; readonly reading: Reading }
  | { readonly type: 'readingRemoved'; readonly driveId: string; readonly readingId: string }
  | { readonly type: 'tryLogged'; readonly driveId: string; readonly try: Try }
  | {
      readonly type: 'tryJudged';
      readonly driveId: string;
      readonly tryId: string;
      readonly verdict: Verdict;
      readonly note: string;
    }
  | {
      readonly type: 'tryLabelled';
      readonly driveId: string;
      readonly tryId: string;
      readonly changes: Partial<Pick<Try, 'source' | 'label' | 'because'>>;
    }
  | { readonly type: 'handBackWritten'; readonly changes: Partial<HandBack> }
  | { readonly type: 'ticketClosed'; readonly despite: string }
  | { readonly type: 'ticketReopened' }
  | { readonly type: 'undone'; readonly eventId: string }
  | { readonly type: 'redone'; readonly eventId: string };

export type TicketEvent = EventBody & Stamp;
export type EventType = EventBody['type'];
