import { AGENTS, DIRTS, MATERIALS } from '../compatibility';
import {
  flag,
  id,
  list,
  nullable,
  number,
  one,
  optional,
  shape,
  text,
  time,
  type ShapeValue,
  type ValueOf,
} from '../../base/schema';
import { RUNGS, RUNG_RESULTS, SIDES, TURN_WAYS } from '../jams';

/** What a place is: each kind has its own manner of cleaning, its own lubricant, and its own sign on the map. */
export const PLACE_KINDS = [
  'motorPulley',
  'drivenPulley',
  'idler',
  'belt',
  'bushing',
  'shaft',
  'rod',
  'guide',
  'rack',
  'gear',
  'roller',
  'clamp',
  'switch',
  'lens',
  'head',
  'pot',
  'key',
  'contact',
  'spindle',
  'floor',
  'part',
] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** What was seen at a place, and when: what was done later may have taken it off. */
const seen = shape({ dirt: one(DIRTS), at: time() });

/** A place of the machine: what it is, what of, what was found on it. */
export const place = shape({
  id: id(),
  /** The same balloon as on Strip, in labels and on paper; given once. */
  number: number(0, 10_000),
  kind: one(PLACE_KINDS),
  name: text(80),
  material: one(MATERIALS),
  /** The drive that it belongs to, where it is a pulley or a belt. */
  driveId: nullable(id()),
  /** The step of Strip that it is, where it came off. */
  stepId: nullable(id()),
  seen: list(seen, 60),
  /** Nicked, worn, torn: what cleaning does not mend, and what goes home with it. */
  left: text(400),
  /** Whether the belt is within reach of what is put here; null as its kind usually is. */
  nearBelt: nullable(flag()),
});
export interface Place extends ValueOf<typeof place> {}

/** What was done at a place. */
export const DEEDS = [
  'wipe',
  'wash',
  'soak',
  'pick',
  'strokes',
  'spotTest',
  'oldGreaseOff',
  'lubricate',
  'excessWiped',
  'workedIn',
  'dried',
  'handsClean',
  'other',
] as const;
export type CleanDeed = (typeof DEEDS)[number];

/** How a swab came away. */
export const SWABS = ['black', 'grey', 'clean'] as const;
export type Swab = (typeof SWABS)[number];

/** How it stood afterwards, as the bench says it. */
export const OUTCOMES = ['unknown', 'clean', 'better', 'same', 'tacky', 'stillDirty', 'harmed'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** One thing done at one place, with one agent. */
export const placeTreatment = shape({
  id: id(),
  at: time(),
  /** Null where it is about no place: clean hands, a line that was not read. */
  placeId: nullable(id()),
  deed: one(DEEDS),
  /** Null where nothing was put on it. */
  agent: nullable(one(AGENTS)),
  /** With what: swab, cloth, brush, pick. */
  way: text(80),
  strokes: number(0, 10_000),
  /** How much, in the bench's words: one drop, a film. */
  amount: text(80),
  /** The swabs in their order. */
  swabs: list(one(SWABS), 60),
  outcome: one(OUTCOMES),
  /** As it was typed, for what the parts above do not say. */
  line: text(400),
  /** Hands on it, where that was said. */
  minutes: optional(number(0, 10_000)),
});
export interface PlaceTreatment extends ValueOf<typeof placeTreatment> {}

/** Before anything was cleaned, or after. */
export const STAGES = ['before', 'after'] as const;
export type Stage = (typeof STAGES)[number];
export const SLIPS = ['slips', 'slipsHard', 'holds'] as const;
export type Slip = (typeof SLIPS)[number];
/** A belt held back by fingers, or by a scale. */
export const slipTest = shape({
  id: id(),
  at: time(),
  driveId: id(),
  stage: one(STAGES),
  slip: one(SLIPS),
  /** What the scale showed as it let go; null by fingers. */
  forceN: nullable(number(0, 1000)),
});
export interface SlipTest extends ValueOf<typeof slipTest> {}

export const FEELS = ['stiff', 'middling', 'free'] as const;
export type Feel = (typeof FEELS)[number];
/** How something runs by hand, where no scale was there. */
export const feelTest = shape({
  id: id(),
  at: time(),
  driveId: id(),
  stage: one(STAGES),
  feel: one(FEELS),
});
export interface FeelTest extends ValueOf<typeof feelTest> {}

/** A belt warmed to shrink: its length before, and what it came to. Its length after is a reading of its own as well. */
export const shrink = shape({
  id: id(),
  at: time(),
  driveId: id(),
  beforeMm: number(1, 2000),
  afterMm: nullable(number(1, 2000)),
});
export interface Shrink extends ValueOf<typeof shrink> {}

/** The pieces of a belt that came apart. */
export const crumbs = shape({
  driveId: id(),
  /** Lengths of the pieces that were found. */
  piecesMm: list(number(0, 2000), 200),
  /** Gone to tar: nothing to lay end to end. */
  dissolved: flag(),
  /** Where they lay. */
  where: text(400),
  /** The places were looked through, and every crumb is accounted for. */
  allOut: flag(),
});
export interface Crumbs extends ValueOf<typeof crumbs> {}

/** One rung of the ladder that was tried, and what came of it. */
const rungTried = shape({ id: id(), at: time(), rung: one(RUNGS), result: one(RUNG_RESULTS), note: text(400) });
export interface RungTried extends ValueOf<typeof rungTried> {}
/** What is in the way, and what was tried to bring it out. */
export const jam = shape({
  what: text(400),
  /** Travel that is left, in millimetres; null until somebody looked. */
  travelLeftMm: nullable(number(0, 2000)),
  /** Which way the motor pulley turns to open, looked at from a stated side. */
  opens: one(TURN_WAYS),
  viewedFrom: one(SIDES),
  tried: list(rungTried, 200),
  /** Where it lay, and how it got there. */
  lay: text(400),
  cameBy: text(400),
  out: flag(),
});
export interface Jam extends ValueOf<typeof jam> {}

/** What a bench puts on guides and rods: oil, grease, or not asked yet. */
export const LUBRICANT_RULES = ['unknown', 'oil', 'grease'] as const;
export type LubricantRuleId = (typeof LUBRICANT_RULES)[number];

/** All that Clean keeps of a ticket. */
export const cleaning = shape({
  places: list(place, 200),
  treatments: list(placeTreatment, 2000),
  slipTests: list(slipTest, 500),
  feelTests: list(feelTest, 500),
  shrinks: list(shrink, 100),
  crumbs: list(crumbs, 20),
  jam: nullable(jam),
});
export interface Cleaning extends ValueOf<typeof cleaning> {}

export const cleanEvents = {
  placePut: { place },
  placeRemoved: { placeId: id() },
  treated: { treatment: placeTreatment },
  treatmentRemoved: { treatmentId: id() },
  slipTested: { test: slipTest },
  feelTested: { test: feelTest },
  shrinkPut: { shrink },
  crumbsPut: { crumbs },
  jamPut: { jam: nullable(jam) },
} as const;
export type CleanEventBody = {
  [T in keyof typeof cleanEvents]: { readonly type: T } & ShapeValue<(typeof cleanEvents)[T]>;
}[keyof typeof cleanEvents];
