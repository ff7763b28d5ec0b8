import { GROOVE_FORMS, OLD_STATES, SURFACES } from '../../../physics/drive';
import { reading } from '../../../belts/measuring';
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
  type ShapeValue,
  type ValueOf,
} from '../../../base/schema';
import { SECTION_SHAPES } from '../../../base/shapes';

/* The belt drives of a machine: what Measure reads of them and what Size tries on them. */

/** A groove as kept: a vee's full angle in degrees, null otherwise. */
export const groove = shape({ form: one(GROOVE_FORMS), veeAngleDeg: nullable(number(20, 120)) });
export interface GrooveRecord extends ValueOf<typeof groove> {}

/** An error code of a mechanism and what it means. */
const errorCode = shape({ code: text(40), meaning: text(400) });
export interface ErrorCode extends ValueOf<typeof errorCode> {}

/** The runs of a belt, by the pulley that it has just left: after the motor the lower, after the driven pulley the upper. */
export const RUNS = ['motor', 'driven'] as const;

/** A pulley beside the two. Its shaft's place is told from the motor's: x towards the driven pulley, y upwards. */
const idler = shape({
  id: id(),
  name: text(40),
  xMm: number(-1000, 1000),
  yMm: number(-1000, 1000),
  diameterMm: number(0.5, 500),
  groove,
  /** The belt touches it with its back. */
  back: flag(),
  /** It drives something too, rather than only guiding the belt. */
  driven: flag(),
  after: one(RUNS),
  /** Its surface, where that is not the driven pulley's. */
  surface: nullable(one(SURFACES)),
});
export interface IdlerRecord extends ValueOf<typeof idler> {}

/** A speed that matters: in revolutions where the motor's are known, else beside the belt the drive was made with. */
const speed = shape({
  motorRpm: nullable(number(1, 100_000)),
  targetRpm: nullable(number(1, 100_000)),
  /** How far off it may be, in per cent. */
  tolerancePercent: number(0.01, 50),
});
export interface SpeedRecord extends ValueOf<typeof speed> {}

export const OWNER_WISHES = ['unknown', 'renew', 'keep'] as const;

/** What of a drive is set rather than measured. */
export const driveSettings = {
  /** The letter it is called by. */
  name: text(40),
  /** What it drives, in the bench's words: loading, lift, table. */
  role: text(80),
  /** The mechanism, which machines of different makes share. */
  mechanism: text(80),
  /** What is normal for this mechanism, so that it is not taken for a fault. */
  normal: text(2000),
  codes: list(errorCode, 200),
  crossed: flag(),
  motorGroove: groove,
  drivenGroove: groove,
  motorSurface: one(SURFACES),
  drivenSurface: one(SURFACES),
  /** How the old belt is cut across. */
  oldShape: one(SECTION_SHAPES),
  /** How it was found. */
  oldState: one(OLD_STATES),
  /** Pulleys beside motor and driven pulley, in the order in which the belt meets them. */
  idlers: list(idler, 4),
  /** What is wanted of the driven pulley's speed, where it matters. */
  speed: nullable(speed),
  /** What the owner wishes of this belt, whatever its chance. */
  ownerWish: one(OWNER_WISHES),
};
export interface DriveSettings extends ShapeValue<typeof driveSettings> {}

export const VERDICTS = ['untried', 'right', 'tooLoose', 'tooTight', 'twisted'] as const;
export type Verdict = (typeof VERDICTS)[number];
/** Why a belt was fitted: the old one failed, before it fails, as the other of a pair, because the owner wished it. */
export const FITTED_BECAUSE = ['unknown', 'failed', 'preventive', 'pair', 'ownersWish'] as const;
export type FittedBecause = (typeof FITTED_BECAUSE)[number];

/** What is written on a try afterwards. */
export const tryLabel = {
  /** Where it came from. */
  source: text(200),
  /** What its label said, kept so that the same can be had again. */
  label: text(200),
  because: one(FITTED_BECAUSE),
  /** Its inner length as it was measured in the hand, before it was fitted. */
  measuredMm: nullable(number(1, 2000)),
};
/** A belt that was fitted to see whether it runs. */
export const beltTry = shape({
  id: id(),
  shape: one(SECTION_SHAPES),
  thicknessMm: number(0.3, 8),
  /** Of a flat belt, where it is known. */
  widthMm: nullable(number(0.3, 20)),
  innerLengthMm: number(1, 2000),
  /** The size in the drawer that it came from, where it did. */
  itemId: optional(id()),
  ...tryLabel,
  verdict: one(VERDICTS),
  note: text(4000),
});
export interface Try extends ValueOf<typeof beltTry> {}

/** One belt drive of a machine. */
export const driveRecord = shape({
  id: id(),
  ...driveSettings,
  readings: list(reading, 500),
  tries: list(beltTry, 200),
});
export interface DriveRecord extends ValueOf<typeof driveRecord> {}

/** A belt by what tells it from another, and the chance that it works where it is wanted. */
const wouldDo = shape({
  shape: one(SECTION_SHAPES),
  thicknessMm: number(0.3, 8),
  widthMm: nullable(number(0.3, 20)),
  innerLengthMm: number(1, 2000),
  chance: number(0, 1),
});
/** A belt that a drive waits for, with what would do in its stead. */
export const want = shape({
  id: id(),
  driveId: id(),
  belt: wouldDo,
  count: number(1, 100),
  alternates: list(wouldDo, 40),
});
export interface Want extends ValueOf<typeof want> {}

/** Measure and Size share one part of the ticket. */
export const drivesState = { drives: list(driveRecord, 20, 1), wants: list(want, 40) };
