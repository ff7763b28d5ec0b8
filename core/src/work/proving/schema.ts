import { flag, id, list, nullable, number, one, optional, shape, text, time, type ValueOf } from '../../base/schema';

/** What one cycle was. Trays open and close, a carousel's table turns, slots load and eject, a disk drive spins up. */
export const CYCLE_ACTIONS = ['open', 'close', 'turnTable', 'load', 'eject', 'spinUp'] as const;
export type CycleAction = (typeof CYCLE_ACTIONS)[number];

/** How it went. Slow got there by itself; helped did not. */
export const CYCLE_RESULTS = ['good', 'bad', 'slow', 'helped'] as const;
export type CycleResult = (typeof CYCLE_RESULTS)[number];

/** Which disc was in, by what is at risk: a worthless one, the bench's own, the owner's. */
export const TEST_DISCS = ['unknown', 'none', 'junk', 'own', 'owners'] as const;
export type TestDisc = (typeof TEST_DISCS)[number];

/** One counted cycle. */
export const cycle = shape({
  id: id(),
  at: time(),
  action: one(CYCLE_ACTIONS),
  result: one(CYCLE_RESULTS),
  /** From the press at eject to the verdict, where a watch ran. */
  seconds: nullable(number(0, 3600)),
  /** Empty or loaded: the clamp magnet holds harder with no disc between. */
  loaded: flag(),
  disc: one(TEST_DISCS),
  /** Which deck or slot; empty where there is one. */
  place: text(40),
  /** Other conditions, in the bench's words: cold, lid off, on its side. */
  conditions: list(text(40), 20),
  /** The clean run that it was counted for; null for cycles before any treatment. */
  cleanRunId: nullable(id()),
  /** Why it only was a trial and counts for nothing, such as parts being out; not there where it counts. */
  trial: optional(text(120)),
});
export interface Cycle extends ValueOf<typeof cycle> {}

/** What was done about a fault: only after one may a new clean run begin. */
export const treatment = shape({ id: id(), at: time(), what: text(2000) });
export interface Treatment extends ValueOf<typeof treatment> {}

/** A clean run begun: from here clean cycles count, and the first failure ends it. */
export const cleanRun = shape({ id: id(), startedAt: time() });
export interface CleanRun extends ValueOf<typeof cleanRun> {}

export const CHECK_KINDS = [
  'motorPulleyHeld',
  'trayHeld',
  'contentsRead',
  'firstAndLast',
  'eachDeck',
  'bothSides',
  'spindleSpeed',
  'takesIn',
  'holdsDisc',
  'givesBack',
  'refusesSecond',
  'beforeTheLid',
  'afterTheLid',
] as const;
export type CheckKind = (typeof CHECK_KINDS)[number];

export const CHECK_STATES = ['notDone', 'shown', 'failed', 'notShown', 'doesNotApply'] as const;
export type CheckState = (typeof CHECK_STATES)[number];

/** One thing to be shown of a repair, and how it went. */
export const check = shape({
  kind: one(CHECK_KINDS),
  state: one(CHECK_STATES),
  /** What was felt or read, or why it was not shown or does not apply. */
  note: text(2000),
  /** Bench conditions under which it was shown. */
  conditions: list(text(40), 20),
  /** What was measured, in the unit of `CHECKS`, and what it should be; null where nothing was. */
  figure: nullable(number(0, 100_000)),
  wanted: nullable(number(0, 100_000)),
});
export interface Check extends ValueOf<typeof check> {}

/** Before anything was done, or after. */
export const TIMING_SIDES = ['before', 'after'] as const;

/** One timed test by name: how long it took, and how often it had to be tried. */
export const timing = shape({
  id: id(),
  at: time(),
  /** Such as “time to load”. */
  what: text(80),
  side: one(TIMING_SIDES),
  /** Null where it never got there. */
  seconds: nullable(number(0, 86_400)),
  retries: number(0, 999),
});
export interface Timing extends ValueOf<typeof timing> {}

/** What a second look after a treatment showed. */
export const RECHECK_RESULTS = ['fine', 'faulty', 'notLooked'] as const;
export const recheck = shape({
  treatmentId: id(),
  /** The complaint or the drive that was looked at. */
  of: id(),
  result: one(RECHECK_RESULTS),
});
export interface Recheck extends ValueOf<typeof recheck> {}
