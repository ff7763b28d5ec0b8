import * as yup from 'yup';
import {
  CHECK_KINDS,
  CHECK_STATES,
  CYCLE_ACTIONS,
  CYCLE_RESULTS,
  RECHECK_RESULTS,
  TEST_DISCS,
  TIMING_SIDES,
} from '../proving';
import {
  AFTER_UNPLUGGING,
  COMPLAINT_STATES,
  EVIDENCE_KINDS,
  FITTED_BECAUSE,
  GROOVE_FORMS,
  LID_STATES,
  LOADERS,
  MAINS_STATES,
  OFFER_ANSWERS,
  OWNER_WISHES,
  RUNS,
  SHAPES,
  SOUNDS,
  STATION_MARKS,
  STATIONS,
  SURFACES,
  TICKET_FORMAT,
  TICKET_VERSION,
  VERDICT_STATES,
  VERDICTS,
  WAITING_FOR,
  type EventType,
} from '../ticket';
import { day, flag, id, listOf, number, one, pictureId, shape, some, text, time } from './fields';
import { found, gearTrial, order, park, step, strip, temporaryChange } from './stripSchema';

/**
 * The stored format, version 3, as Yup checks it. `docs/ticket.schema.json` says the same as JSON Schema; a test
 * holds the two together. Nothing is coerced and nothing unknown is let through.
 */

const measurands = [
  'section',
  'width',
  'oldBelt',
  'stringPath',
  'motorDiameter',
  'drivenDiameter',
  'centreDistance',
  'trayTravel',
  'trayPull',
  'stallPull',
] as const;
const auxKeys = [
  'sectionMm',
  'pinDiameterMm',
  'nextCapMm',
  'secondDiameterMm',
  'stringDiameterMm',
  'threadDiameterMm',
  'turns',
  'grooveDepthMm',
  'motorOutsideMm',
  'drivenOutsideMm',
  'veeAngleDeg',
] as const;

const reading = () =>
  shape({
    id: id(),
    measurand: one(measurands),
    method: id(),
    typed: text(200),
    amount: number(0, 10_000),
    aux: some(Object.fromEntries(auxKeys.map((key) => [key, number(0, 10_000)]))),
    ownStd: number(0, 1000).nullable(),
    from: text(20).optional(),
  });
const tryLabel = { source: text(200), label: text(200), because: one(FITTED_BECAUSE) };
const tryRecord = () =>
  shape({
    id: id(),
    shape: one(SHAPES),
    thicknessMm: number(0.3, 8),
    widthMm: number(0.3, 20).nullable(),
    innerLengthMm: number(1, 2000),
    ...tryLabel,
    verdict: one(VERDICTS),
    note: text(4000),
  });
const groove = () => shape({ form: one(GROOVE_FORMS), veeAngleDeg: number(20, 120).nullable() });
const settings = {
  name: text(40),
  role: text(80),
  mechanism: text(80),
  normal: text(2000),
  codes: listOf(shape({ code: text(40), meaning: text(400) }), 200),
  crossed: flag(),
  motorGroove: groove(),
  drivenGroove: groove(),
  motorSurface: one(SURFACES),
  drivenSurface: one(SURFACES),
  oldShape: one(SHAPES),
  idlers: listOf(
    shape({
      id: id(),
      name: text(40),
      xMm: number(-1000, 1000),
      yMm: number(-1000, 1000),
      diameterMm: number(0.5, 500),
      groove: groove(),
      back: flag(),
      driven: flag(),
      after: one(RUNS),
      surface: one(SURFACES).nullable(),
    }),
    4,
  ),
  speed: shape({
    motorRpm: number(1, 100_000),
    targetRpm: number(1, 100_000),
    tolerancePercent: number(0.01, 50),
  }).nullable(),
  ownerWish: one(OWNER_WISHES),
};
const details = {
  number: text(20),
  machine: text(120),
  loader: one(LOADERS),
  serial: text(80),
  owner: text(120),
};
const complaint = () =>
  shape({
    id: id(),
    words: text(500),
    state: one(COMPLAINT_STATES),
    drivetrain: flag(),
    sounds: listOf(one(SOUNDS), 20),
    before: text(2000),
    after: text(2000),
  });
const cycle = () =>
  shape({
    id: id(),
    at: time(),
    action: one(CYCLE_ACTIONS),
    result: one(CYCLE_RESULTS),
    seconds: number(0, 3600).nullable(),
    loaded: flag(),
    disc: one(TEST_DISCS),
    place: text(40),
    conditions: listOf(text(40), 20),
    cleanRunId: id().nullable(),
  });
const mains = () => shape({ state: one(MAINS_STATES), since: time() });
const timer = () => shape({ id: id(), what: text(80), startedAt: time(), endsAt: time(), endedAt: time().nullable() });
const disc = () =>
  shape({ id: id(), whose: text(120), where: text(200), condition: text(400), out: text(200), returned: flag() });
const check = () =>
  shape({
    kind: one(CHECK_KINDS),
    state: one(CHECK_STATES),
    note: text(2000),
    conditions: listOf(text(40), 20),
    figure: number(0, 100_000).nullable(),
    wanted: number(0, 100_000).nullable(),
  });
const lid = () => shape({ state: one(LID_STATES), since: time() });
const evidence = () => shape({ id: id(), kind: one(EVIDENCE_KINDS), words: text(400), age: text(80) });
const afterUnplugging = () => shape({ result: one(AFTER_UNPLUGGING), at: time() });
const picture = () =>
  shape({
    id: pictureId(),
    caption: text(400),
    at: time(),
    widthPx: number(1, 20_000),
    heightPx: number(1, 20_000),
    bytes: number(1, 50_000_000),
    marks: listOf(shape({ id: id(), xFraction: number(0, 1), yFraction: number(0, 1), words: text(200) }), 50),
  });
const timing = () =>
  shape({
    id: id(),
    at: time(),
    what: text(80),
    side: one(TIMING_SIDES),
    seconds: number(0, 86_400).nullable(),
    retries: number(0, 999),
  });
const recheck = () => shape({ treatmentId: id(), of: id(), result: one(RECHECK_RESULTS) });
const observation = () => shape({ id: id(), at: time(), testId: id(), outcome: id(), driveId: id().nullable() });
const verdict = () => shape({ causeId: id(), state: one(VERDICT_STATES), words: text(200), at: time() });
const offer = () => shape({ id: id(), what: text(400), answer: one(OFFER_ANSWERS), by: text(400) });
const questionSheet = () =>
  shape({ id: id(), at: time(), questions: listOf(shape({ id: id(), text: text(1000) }), 100) });
const ownerAnswers = () =>
  shape({
    sheetId: id(),
    at: time(),
    answers: listOf(shape({ questionId: id(), text: text(4000), pictureIds: listOf(pictureId(), 20) }), 100),
  });
const treatment = () => shape({ id: id(), at: time(), what: text(2000) });
const cleanRun = () => shape({ id: id(), startedAt: time() });
const waiting = () => shape({ for: one(WAITING_FOR), what: text(200) });
const handBack = {
  found: text(8000),
  done: text(8000),
  left: text(8000),
  notTested: text(8000),
  provisional: text(8000),
  dueOn: day(),
  minutes: number(0, 100_000).nullable(),
  cost: text(40),
};
const station = () => one(STATIONS);

const ticket = shape({
  id: id(),
  ...details,
  complaints: listOf(complaint(), 100),
  story: text(4000),
  evidence: listOf(evidence(), 100),
  afterUnplugging: afterUnplugging().nullable(),
  pictures: listOf(picture(), 500),
  questionSheets: listOf(questionSheet(), 50),
  ownerAnswers: listOf(ownerAnswers(), 50),
  mains: mains().nullable(),
  lid: lid().nullable(),
  timers: listOf(timer(), 500),
  discs: listOf(disc(), 200),
  openedAt: time(),
  closedAt: time().nullable(),
  closedDespite: text(2000),
  waiting: waiting(),
  stations: shape(Object.fromEntries(STATIONS.map((name) => [name, one(STATION_MARKS)]))),
  notes: shape(Object.fromEntries(STATIONS.map((name) => [name, text(8000)]))),
  drives: listOf(
    shape({ id: id(), ...settings, readings: listOf(reading(), 500), tries: listOf(tryRecord(), 200) }),
    20,
  ).min(1),
  cycles: listOf(cycle(), 20_000),
  treatments: listOf(treatment(), 500),
  cleanRuns: listOf(cleanRun(), 500),
  checks: listOf(check(), 50),
  timings: listOf(timing(), 500),
  rechecks: listOf(recheck(), 1000),
  offers: listOf(offer(), 100),
  observations: listOf(observation(), 1000),
  verdicts: listOf(verdict(), 200),
  strip: strip(),
  handBack: shape(handBack),
});

const EVENTS: Readonly<Record<EventType, yup.ObjectShape>> = {
  ticketOpened: { ticketId: id(), driveId: id(), details: shape(details), complaint: complaint().nullable() },
  detailsChanged: { changes: some(details) },
  waitingChanged: { waiting: waiting() },
  complaintPut: { complaint: complaint() },
  complaintRemoved: { complaintId: id() },
  storyTold: { story: text(4000) },
  evidencePut: { evidence: evidence() },
  evidenceRemoved: { evidenceId: id() },
  triedAgain: { afterUnplugging: afterUnplugging() },
  picturePut: { picture: picture() },
  pictureRemoved: { pictureId: pictureId() },
  questionsSent: { sheet: questionSheet() },
  answersTaken: { answers: ownerAnswers() },
  mainsSaid: { mains: mains() },
  lidSaid: { lid: lid() },
  timerPut: { timer: timer() },
  discPut: { disc: disc() },
  discRemoved: { discId: id() },
  checkPut: { check: check() },
  timingPut: { timing: timing() },
  timingRemoved: { timingId: id() },
  recheckPut: { recheck: recheck() },
  stepPut: { step: step(), beforeId: id().optional() },
  stepRemoved: { stepId: id() },
  openedAgain: {},
  temporaryChangePut: { change: temporaryChange() },
  orderSaid: { order: order() },
  orderRemoved: { orderId: id() },
  foundPut: { found: found() },
  foundRemoved: { foundId: id() },
  gearTried: { trial: gearTrial() },
  parked: { park: park().nullable() },
  observed: { observation: observation() },
  observationRemoved: { observationId: id() },
  verdictGiven: { verdict: verdict() },
  verdictRemoved: { causeId: id() },
  offerPut: { offer: offer() },
  offerRemoved: { offerId: id() },
  cycleLogged: { cycle: cycle() },
  treatmentRecorded: { treatment: treatment() },
  cleanRunBegun: { cleanRun: cleanRun() },
  stationMarked: { station: station(), mark: one(STATION_MARKS) },
  noteWritten: { station: station(), text: text(8000) },
  driveAdded: { driveId: id(), name: text(40) },
  driveChanged: { driveId: id(), changes: some(settings) },
  driveRemoved: { driveId: id() },
  readingTaken: { driveId: id(), reading: reading() },
  readingRemoved: { driveId: id(), readingId: id() },
  tryLogged: { driveId: id(), try: tryRecord() },
  tryJudged: { driveId: id(), tryId: id(), verdict: one(VERDICTS), note: text(4000) },
  tryLabelled: { driveId: id(), tryId: id(), changes: some(tryLabel) },
  handBackWritten: { changes: some(handBack) },
  ticketClosed: { despite: text(2000) },
  ticketReopened: {},
  undone: { eventId: id() },
  redone: { eventId: id() },
};
const EVENT_TYPES = Object.keys(EVENTS) as EventType[];
const eventSchemas = new Map(
  EVENT_TYPES.map((type) => [
    type,
    shape({ id: id(), at: time(), type: one([type]), gesture: text(64).optional(), ...EVENTS[type] }),
  ]),
);
// Its type is what is wrong with it, so only that is looked at.
const unknownEvent = yup
  .object({ type: one(EVENT_TYPES) })
  .strict()
  .defined();
const event = yup.lazy(
  (value: { type?: EventType } | null | undefined) => eventSchemas.get(value?.type as EventType) ?? unknownEvent,
);

export const recordSchema = shape({
  format: one([TICKET_FORMAT]),
  version: yup.number().strict().defined().oneOf([TICKET_VERSION]),
  ticket,
  events: listOf(event, 100_000).min(1),
});
