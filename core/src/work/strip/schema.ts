import {
  id,
  list,
  nullable,
  number,
  one,
  optional,
  pictureId,
  shape,
  some,
  text,
  time,
  flag,
  type ShapeValue,
  type ValueOf,
} from '../../base/schema';

/** What a step is about, by what has to be known to put it back: kinds that count apart. */
export const STEP_KINDS = [
  'screws',
  'nuts',
  'clips',
  'springs',
  'tabs',
  'adhesive',
  'cover',
  'connector',
  'cable',
  'wire',
  'belt',
  'gear',
  'part',
  'note',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** What was done with it. The last three change nothing on the machine: nothing goes back for them. */
export const FATES = [
  'off',
  'loosened',
  'movedAside',
  'foldedBack',
  'turned',
  'pulled',
  'unhooked',
  'unsoldered',
  'cut',
  'marked',
  'leftAlone',
  'noted',
] as const;
export type Fate = (typeof FATES)[number];

const fact = text(200);
/** What is worth knowing of some kinds of step beyond the line; a fact that is not known is not there. */
const facts = some({
  head: fact,
  thread: fact,
  driverFitted: fact,
  latch: fact,
  hides: fact,
  ways: fact,
  keyed: fact,
  pinOne: fact,
  route: fact,
  lookAlikes: fact,
  side: fact,
  turns: fact,
  direction: fact,
  leaves: fact,
  parkedAt: fact,
  mark: fact,
  viewedFrom: fact,
  homes: fact,
});
export type StepFact = keyof ValueOf<typeof facts>;

/** One time that a step was off: a machine may be opened several times. */
const removal = shape({
  opening: number(1, 1000),
  /** How many came off this time. */
  off: number(0, 1000),
  /** How many are back; null while it is still off. */
  back: nullable(number(0, 1000)),
  /** When it came off, and when it went back; not there where an older ticket did not say. */
  offAt: optional(time()),
  backAt: optional(time()),
});
export interface Removal extends ValueOf<typeof removal> {}

/** One step of the strip: something that came off, or was moved, and what it takes to bring it back. */
export const step = shape({
  id: id(),
  at: time(),
  /** The balloon, the bag and the label; given once and never again. 0 for a note of an old ticket. */
  number: number(0, 10_000),
  kind: one(STEP_KINDS),
  fate: one(FATES),
  /** What it is, in the bench's words: screws, lid, grey plug. */
  what: text(400),
  /** As it was typed, for what the parts below do not say. */
  line: text(400),
  /** How many there are when all are there; 1 where it is one thing. */
  count: number(0, 1000),
  /** How many were missing on arrival. */
  missing: number(0, 1000),
  /** The driver that fits a fastener as the trade writes it: PH1, T8 pinned. Empty elsewhere. */
  driverType: text(40),
  /** Length under the head of a fastener, where it was looked at. */
  lengthMm: nullable(number(0, 1000)),
  where: text(400),
  /** Which way round: stripe to the left, arrow to the back, two turns on the motor. */
  orientation: text(400),
  facts,
  /** Why it must be left alone, or was not needed; empty where it is an ordinary step. */
  leaveAlone: text(400),
  /** Why fewer are back than came off, where that is known and meant: a thread stripped, one replaced. */
  explained: optional(text(400)),
  notNextTime: text(400),
  pictureIds: list(pictureId(), 20),
  removals: list(removal, 200),
});
export interface Step extends ValueOf<typeof step> {}

/** The latest moment at which a temporary change may still stand. */
export const CHANGE_LIMITS = ['power', 'lid', 'handBack'] as const;
export type ChangeLimit = (typeof CHANGE_LIMITS)[number];

export const TEMPORARY_CHANGE_KINDS = [
  'laserBridged',
  'stopPinOut',
  'transportLockOff',
  'stylusOut',
  'axisMoved',
  'switchLeversOff',
  'shieldFolded',
  'lampShaded',
  'trayLeftOut',
  'hookedUp',
  'noBelt',
  'own',
] as const;
export type TemporaryChangeKind = (typeof TEMPORARY_CHANGE_KINDS)[number];

/** Something altered for the work that must be reversed: the thing most often forgotten. */
export const temporaryChange = shape({
  id: id(),
  kind: one(TEMPORARY_CHANGE_KINDS),
  words: text(400),
  /** What reverses it. */
  closes: text(400),
  before: one(CHANGE_LIMITS),
  openedAt: time(),
  closedAt: nullable(time()),
  /** The step that must be back before it may be reversed, where there is one: the plug before its pads. */
  afterStepId: nullable(id()),
  /** The change that must have been reversed before this one may, where some go only in an order. */
  afterChangeId: nullable(id()),
  /** The step that covers its place on the way back, so that it must have ended before: the mechanism over bridged pads. */
  beforeStepId: nullable(id()),
});
export interface TemporaryChange extends ValueOf<typeof temporaryChange> {}

/** “This before that” on the way back. */
export const order = shape({ id: id(), firstId: id(), thenId: id(), why: text(400) });
export interface Order extends ValueOf<typeof order> {}

/** A loose thing has a home somewhere; dirt has none. */
export const FOUND_KINDS = ['object', 'dirt'] as const;

/** Something that rattled or fell out, until it has a home; or dirt. */
export const foundPart = shape({
  id: id(),
  kind: one(FOUND_KINDS),
  what: text(400),
  where: text(400),
  /** Where it seems to belong. */
  guess: text(400),
  homed: flag(),
  pictureIds: list(pictureId(), 20),
});
export interface FoundPart extends ValueOf<typeof foundPart> {}

export const GEAR_ENDS = ['unknown', 'in', 'out'] as const;
export const GEAR_RESULTS = ['right', 'slow', 'error', 'liftShort', 'uneven'] as const;
/** One trial of a gear's tooth: how it was set and what it did. */
export const gearTrial = shape({
  id: id(),
  at: time(),
  /** Which gear, and from which side it is told. */
  what: text(400),
  /** At which end of its travel the tray was parked. */
  parkedAt: one(GEAR_ENDS),
  /** Teeth from the mark; minus against the clock. */
  teeth: number(-99, 99),
  result: one(GEAR_RESULTS),
});
export interface GearTrial extends ValueOf<typeof gearTrial> {}

/** A machine laid aside in pieces. */
export const park = shape({
  since: time(),
  /** Where its parts lie. */
  lies: text(1000),
  awaited: text(1000),
});
export interface Park extends ValueOf<typeof park> {}

/** Everything about taking one machine apart. */
export const strip = shape({
  steps: list(step, 5000),
  /** The highest number given so far, taken-out steps included. */
  lastNumber: number(0, 10_000),
  /** Counted from 1. */
  opening: number(1, 1000, 1),
  temporaryChanges: list(temporaryChange, 500),
  orders: list(order, 2000),
  found: list(foundPart, 500),
  gearTrials: list(gearTrial, 500),
  park: nullable(park),
});
export interface Strip extends ValueOf<typeof strip> {}

/** What can happen to a strip at Strip. */
export const stripEvents = {
  stepPut: { step, beforeId: optional(id()) },
  stepRemoved: { stepId: id() },
  openedAgain: {},
  temporaryChangePut: { change: temporaryChange },
  foundPut: { found: foundPart },
  foundRemoved: { foundId: id() },
  parked: { park: nullable(park) },
} as const;

/** What can happen to it on the way back. */
export const rebuildEvents = {
  orderSaid: { order },
  orderRemoved: { orderId: id() },
  gearTried: { trial: gearTrial },
} as const;

type Bodies<E> = { [T in keyof E]: { readonly type: T } & ShapeValue<E[T]> }[keyof E];
export type StripEventBody = Bodies<typeof stripEvents> | Bodies<typeof rebuildEvents>;
