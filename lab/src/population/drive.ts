import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { needTimes } from '@loose-pulley/core/physics/cycle';
import { innerPath, motorTorqueNmm, trayForceN, type Drive, type Surface } from '@loose-pulley/core/physics/drive';
import { youngModulusMpa, type BeltSection } from '@loose-pulley/core/physics/rubber';
import { DEFAULT_REQUIREMENTS } from '@loose-pulley/core/belts/sizing';
import { evaluateBelt, FAILURE_BITS, type DriveValues } from '@loose-pulley/core/physics/evaluation';
import type { BeltVerdict } from '@loose-pulley/core/belts/probability';
import type { Random } from '@loose-pulley/core/base/statistics';
import { forShapes, type SectionShape } from '@loose-pulley/core/base/shapes';

/** A drive with everything known of it that a bench can only guess at: what the players are tried on. */
export interface TrueDrive {
  readonly drive: Drive;
  readonly pathMm: number;
  readonly section: BeltSection;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  readonly motorFriction: number;
  readonly drivenFriction: number;
  /** Of the belts that this bench buys, by stock. */
  readonly modulusMpa: Readonly<Record<SectionShape, number>>;
  readonly relaxedShare: number;
  readonly strainMax: number;
  readonly grooveLogRatio: number;
  readonly trayPullN: number;
  /** The same while the tray was as it should be: what the drive was made for. */
  readonly healthyN: number;
  readonly travelPerTurnMm: number;
  readonly efficiency: number;
  readonly stallFactor: number;
  readonly stallTorqueNmm: number;
  readonly shaftRadiusMm: number;
  readonly bushFriction: number;
  /** Where the belts of this purchase lie within their makers' limits, −1 to 1. */
  readonly lengthWithin: number;
  /** The old belt as it is now: set, and swollen where it was oiled. */
  readonly oldInnerMm: number;
  readonly oldThicknessMm: number;
}

/** The kinds of drive that the players are told apart on. */
export const DRIVE_CLASSES = [
  'all',
  'square',
  'ring',
  'flat',
  'smallMotor',
  'weakMotor',
  'motorOff',
  'hardnessOff',
  'frictionOff',
] as const;
export type DriveClass = (typeof DRIVE_CLASSES)[number];

const between = (random: Random, least: number, most: number): number => least + (most - least) * random();
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
/** Bell-shaped between two ends: most values in the middle, none outside. */
const humped = (random: Random, least: number, most: number): number =>
  least + ((most - least) * (random() + random() + random())) / 3;

/** Real friction by what the surface is, dry and cleaned drives being the most. From memory of the trade, no source. */
const FRICTION_REAL: Readonly<Record<'clean' | 'glazed' | 'dusty' | 'oily', readonly [number, number]>> = {
  clean: [0.6, 1],
  glazed: [0.28, 0.52],
  dusty: [0.36, 0.64],
  oily: [0.15, 0.25],
};

/** A few drives in ten have a pulley that is not what it should be, and was not seen to. */
function surfaceOf(random: Random): keyof typeof FRICTION_REAL {
  const drawn = random();
  if (drawn < 0.8) return 'clean';
  return drawn < 0.88 ? 'glazed' : drawn < 0.96 ? 'dusty' : 'oily';
}

const SHAPE_OF = { square: 'square', ring: 'round', flat: 'flat' } as const;
const isOf = (one: TrueDrive, kind: DriveClass): boolean => {
  switch (kind) {
    case 'square':
    case 'ring':
    case 'flat':
      return one.section.shape === SHAPE_OF[kind];
    case 'smallMotor':
      return one.drive.motorPulley.bottomDiameterMm < 4.2;
    case 'weakMotor':
      return one.stallFactor < 2;
    case 'all':
    case 'motorOff':
    case 'hardnessOff':
    case 'frictionOff':
      return true;
  }
};

/** A third less than anybody believes. */
const OFF = 2 / 3;

function sectionOf(random: Random): BeltSection {
  const drawn = random();
  if (drawn < 0.5) return { shape: 'square', thicknessMm: pick(random, [1, 1.2, 1.2, 1.5]) };
  if (drawn < 0.8) return { shape: 'round', thicknessMm: 1.78 };
  const [widthMm, thicknessMm] = pick(random, [
    [3, 0.5],
    [4, 0.6],
    [5, 0.6],
    [5, 0.8],
  ] as const);
  return { shape: 'flat', thicknessMm, widthMm };
}

/** Hardness of each stock as sold, Shore A. From memory of the trade, no source. */
const SHORE: Readonly<Record<SectionShape, readonly [number, number]>> = {
  square: [52, 68],
  round: [62, 78],
  flat: [52, 68],
};
const modulusOf = (random: Random, shape: SectionShape): number => {
  const modulus = youngModulusMpa(humped(random, ...SHORE[shape]));
  return (modulus.ok ? modulus.value : 0) * humped(random, 0.6, 1.4);
};

/** How a drive has aged: what differs from one machine to the next of one mechanism. */
function aged(random: Random, kind: DriveClass) {
  const motorSurface = surfaceOf(random);
  const drivenSurface = surfaceOf(random);
  const off = kind === 'frictionOff' ? OFF : 1;
  const harder = kind === 'hardnessOff' ? OFF : 1;
  return {
    motorSurface,
    drivenSurface,
    motorFriction: off * between(random, ...FRICTION_REAL[motorSurface]),
    drivenFriction: off * between(random, ...FRICTION_REAL[drivenSurface]),
    // Most trays are as they were; some have grown stiff, up to three fifths and more.
    stiffened: random() < 0.6 ? between(random, 1, 1.2) : between(random, 1.1, 1.7),
    modulusMpa: forShapes((shape) => harder * modulusOf(random, shape)),
    relaxedShare: between(random, 0.72, 0.88),
    strainMax: between(random, 0.15, 0.2),
    lengthWithin: between(random, -1, 1),
  };
}

/** How the old belt is now: set, and swollen where it was oiled. */
function oldBelt(random: Random, pathMm: number, section: BeltSection, madeStretch: number, oily: boolean) {
  const thicknessMm = section.thicknessMm * (oily ? between(random, 1.02, 1.08) : between(random, 0.98, 1.01));
  const round = Math.PI * section.thicknessMm;
  const madeMm = (pathMm + round) / (1 + madeStretch);
  const innerMm =
    madeMm * (1 + madeStretch * between(random, 0.4, 1.1)) * (oily ? between(random, 1.01, 1.06) : 1) - round;
  return { oldInnerMm: innerMm, oldThicknessMm: thicknessMm };
}

const inGroove = { form: 'flat' } as const;

/** The belt that a drive was made with: it carried a healthy tray for years, with a margin, and its motor turned it. */
function anyDrive(random: Random, kind: DriveClass): TrueDrive {
  for (;;) {
    const motorDiameterMm = humped(random, 2.8, 8.4);
    const drive: Drive = {
      motorPulley: { bottomDiameterMm: motorDiameterMm, groove: inGroove },
      drivenPulley: { bottomDiameterMm: humped(random, 12, 32), groove: inGroove },
      centreDistanceMm: between(random, 26, 55),
      crossed: false,
    };
    const inner = innerPath(drive);
    if (!inner.ok || drive.centreDistanceMm < 3 + (motorDiameterMm + drive.drivenPulley.bottomDiameterMm) / 2) continue;
    const pathMm = inner.value.lengthMm;
    const section = sectionOf(random);
    const madeStretch = humped(random, 0.04, 0.11);
    const gearing = { travelPerTurnMm: humped(random, 1.1, 3.4), efficiency: between(random, 0.5, 0.7) };
    const stallFactor = between(random, 1.5, 4);
    const [shaftRadiusMm, bushFriction] = [between(random, 0.75, 1), between(random, 0.1, 0.15)];
    const first = {
      pathMm,
      motorRadiusMm: motorDiameterMm / 2,
      drivenRadiusMm: drive.drivenPulley.bottomDiameterMm / 2,
      motorFriction: between(random, ...FRICTION_REAL.clean),
      drivenFriction: between(random, ...FRICTION_REAL.clean),
      idlerFrictions: [],
      modulusMpa: modulusOf(random, section.shape),
      relaxedShare: between(random, 0.72, 0.88),
      strainMax: 0.2,
      grooveLogRatio: 1,
      bushMm: bushFriction * shaftRadiusMm,
      needNmm: 1,
      stallNmm: 100,
      heldThroughN: 0,
    };
    const round = Math.PI * section.thicknessMm;
    const made = { ...section, innerLengthMm: (pathMm + round * 0.96) / (1 + madeStretch) - round };
    const demands = { requirements: DEFAULT_REQUIREMENTS };
    const gripNmm = evaluateBelt(drive, made, first, demands)?.grip.slipTorqueNmm ?? 0;
    const healthyNmm = gripNmm / between(random, 1.4, 3);
    const healthyN = trayForceN(healthyNmm, gearing);
    if (healthyN < 0.5 || healthyN > 3) continue;
    const stallTorqueNmm = stallFactor * healthyNmm;
    const worked = evaluateBelt(drive, made, { ...first, needNmm: healthyNmm, stallNmm: stallTorqueNmm }, demands);
    if (worked?.fails !== 0) continue;
    const { stiffened, ...now } = aged(random, kind);
    const oily = now.motorSurface === 'oily' || now.drivenSurface === 'oily';
    return {
      drive,
      pathMm,
      section,
      ...now,
      grooveLogRatio: Math.log(between(random, 1.3, 2)),
      trayPullN: healthyN * stiffened,
      healthyN,
      ...gearing,
      stallFactor,
      stallTorqueNmm: stallTorqueNmm * (kind === 'motorOff' ? OFF : 1),
      shaftRadiusMm,
      bushFriction,
      ...oldBelt(random, pathMm, section, madeStretch, oily),
    };
  }
}

/**
 * Another machine with the same mechanism: made for the same, aged by itself; path and motor differ a little.
 *
 * @example sisterOf(one, seeded(2)).pathMm / one.pathMm // 1.002
 */
export function sisterOf(one: TrueDrive, random: Random): TrueDrive {
  const { stiffened, ...now } = aged(random, 'all');
  const grown = 1 + 0.004 * (2 * random() - 1) * 1.7;
  const drive = { ...one.drive, centreDistanceMm: one.drive.centreDistanceMm + (one.pathMm * (grown - 1)) / 2 };
  const inner = innerPath(drive);
  return {
    ...one,
    ...now,
    drive,
    pathMm: inner.ok ? inner.value.lengthMm : one.pathMm,
    trayPullN: one.healthyN * stiffened,
    stallTorqueNmm: one.stallTorqueNmm * humped(random, 0.85, 1.15),
  };
}

/**
 * A drive of a class, drawn from the ranges that benches meet: pulleys, rubber of uncertain hardness, grown-stiff trays,
 * weak motors, worn and oily pulleys, set and swollen old belts. Written from the ranges and not from the ranking's own
 * spreads, so that the ranking is wrong about it in ordinary ways.
 *
 * Source of the ranges: common practice and memory, none published.
 *
 * @example sampleDrive(seeded(1), 'smallMotor').drive.motor.bottomDiameterMm < 4.2 // true
 */
export function sampleDrive(random: Random, kind: DriveClass): TrueDrive {
  for (;;) {
    const one = anyDrive(random, kind);
    if (isOf(one, kind)) return one;
  }
}

/** A drive with everything known, as the evaluation takes it. */
export const truthOf = (one: TrueDrive, shape: SectionShape = one.section.shape): DriveValues => ({
  pathMm: one.pathMm,
  motorRadiusMm: one.drive.motorPulley.bottomDiameterMm / 2,
  drivenRadiusMm: one.drive.drivenPulley.bottomDiameterMm / 2,
  motorFriction: one.motorFriction,
  drivenFriction: one.drivenFriction,
  idlerFrictions: [],
  modulusMpa: one.modulusMpa[shape],
  relaxedShare: one.relaxedShare,
  strainMax: one.strainMax,
  grooveLogRatio: one.grooveLogRatio,
  bushMm: one.bushFriction * one.shaftRadiusMm,
  needNmm: motorTorqueNmm(one.trayPullN, one),
  stallNmm: one.stallTorqueNmm,
  heldThroughN: 0,
});

/**
 * Whether a belt really works in a drive: the one criterion of the product, with everything known.
 *
 * @example worksIn(one, belt) // true or false
 */
export function worksIn(one: TrueDrive, belt: CatalogueBelt): boolean {
  return failsIn(one, belt) === 0;
}

/** What goes wrong with a belt in a drive, as `FAILURE_BITS`; undefined where it cannot run there at all. */
export function failsIn(one: TrueDrive, belt: CatalogueBelt): number | undefined {
  const innerLengthMm = belt.innerLengthMm + belt.innerLengthToleranceMm * one.lengthWithin;
  const demands = { requirements: DEFAULT_REQUIREMENTS };
  return evaluateBelt(one.drive, { ...belt, innerLengthMm }, truthOf(one, belt.shape), demands, one.section)?.fails;
}

/** What grease is of a pull, and what guides hold more from rest: real ones differ by more than is believed. From memory, no source. */
const REAL_SHARES = { greaseShare: [0.02, 0.35], restShare: [0.02, 0.16] } as const;

/** The same drive after a night in a room of 8 °C. */
export function inTheCold(one: TrueDrive, random: Random): TrueDrive {
  const shares = {
    greaseShare: between(random, ...REAL_SHARES.greaseShare),
    restShare: between(random, ...REAL_SHARES.restShare),
  };
  return { ...one, trayPullN: one.trayPullN * needTimes({ roomC: 8, idleHours: 12 }, shares) };
}

/** What the bench says of a belt that is on: what goes wrong with it, the plainest first. */
export function verdictOn(one: TrueDrive, belt: CatalogueBelt): BeltVerdict {
  const fails = failsIn(one, belt);
  if (fails === 0) return 'right';
  if (fails === undefined || fails & FAILURE_BITS.groove) return 'twisted';
  return fails & (FAILURE_BITS.motor | FAILURE_BITS.stretch) ? 'tooTight' : 'tooLoose';
}
