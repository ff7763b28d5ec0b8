import type { CatalogueBelt } from '../catalogue';
import { innerPath, motorTorqueNmm, type Drive, type Surface } from '../drive';
import { youngModulusMpa, type BeltSection } from '../rubber';
import { DEFAULT_REQUIREMENTS } from '../sizing';
import { evaluateBelt, type DriveValues } from '../evaluation';
import type { Random } from '../statistics';

/** A drive with everything known of it that a bench can only guess at: what the players are tried on. */
export interface TrueDrive {
  readonly drive: Drive;
  readonly pathMm: number;
  readonly section: BeltSection;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  readonly motorFriction: number;
  readonly drivenFriction: number;
  readonly modulusMpa: number;
  readonly relaxedShare: number;
  readonly strainMax: number;
  readonly grooveLogRatio: number;
  readonly trayPullN: number;
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
export const DRIVE_CLASSES = ['all', 'squareOnly', 'oringOnly', 'smallMotor', 'weakMotor'] as const;
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

const isOf = (one: TrueDrive, kind: DriveClass): boolean => {
  switch (kind) {
    case 'all':
      return true;
    case 'squareOnly':
      return one.section.shape === 'square';
    case 'oringOnly':
      return one.section.shape === 'round';
    case 'smallMotor':
      return one.drive.motorPulley.bottomDiameterMm < 4.2;
    case 'weakMotor':
      return one.stallFactor < 2;
  }
};

function anyDrive(random: Random): TrueDrive {
  for (;;) {
    const motorDiameterMm = humped(random, 2.8, 8.4);
    const drive: Drive = {
      motorPulley: { bottomDiameterMm: motorDiameterMm, groove: { form: 'flat' } },
      drivenPulley: { bottomDiameterMm: humped(random, 12, 32), groove: { form: 'flat' } },
      centreDistanceMm: between(random, 26, 55),
      crossed: false,
    };
    const inner = innerPath(drive);
    if (!inner.ok || drive.centreDistanceMm < 3 + (motorDiameterMm + drive.drivenPulley.bottomDiameterMm) / 2) continue;
    const section: BeltSection =
      random() < 0.6
        ? { shape: 'square', thicknessMm: pick(random, [1, 1.2, 1.2, 1.5]) }
        : { shape: 'round', thicknessMm: 1.78 };
    const motorSurface = surfaceOf(random);
    const drivenSurface = surfaceOf(random);
    const modulus = youngModulusMpa(humped(random, 52, 68));
    const healthyN = humped(random, 0.7, 2.3);
    // Most trays are as they were; some have grown stiff, up to three fifths and more.
    const trayPullN = healthyN * (random() < 0.6 ? between(random, 1, 1.2) : between(random, 1.1, 1.7));
    const gearing = { travelPerTurnMm: humped(random, 1.1, 3.4), efficiency: between(random, 0.5, 0.7) };
    const stallFactor = between(random, 1.5, 4);
    const stallTorqueNmm = stallFactor * motorTorqueNmm(healthyN, gearing);
    const oily = motorSurface === 'oily' || drivenSurface === 'oily';
    const oldThicknessMm = section.thicknessMm * (oily ? between(random, 1.02, 1.08) : between(random, 0.98, 1.01));
    // It was made some 4 to 11 % short, has taken a part of that as set, and more where oil swelled it.
    const madeStretch = humped(random, 0.04, 0.11);
    const oldInnerMm =
      (inner.value.lengthMm / (1 + madeStretch)) *
      (1 + madeStretch * between(random, 0.4, 1.1)) *
      (oily ? between(random, 1.01, 1.06) : 1);
    return {
      drive,
      pathMm: inner.value.lengthMm,
      section,
      motorSurface,
      drivenSurface,
      motorFriction: between(random, ...FRICTION_REAL[motorSurface]),
      drivenFriction: between(random, ...FRICTION_REAL[drivenSurface]),
      modulusMpa: (modulus.ok ? modulus.value : 0) * humped(random, 0.6, 1.4),
      relaxedShare: between(random, 0.72, 0.88),
      strainMax: between(random, 0.15, 0.2),
      grooveLogRatio: Math.log(between(random, 1.3, 2)),
      trayPullN,
      ...gearing,
      stallFactor,
      stallTorqueNmm,
      shaftRadiusMm: between(random, 0.75, 1),
      bushFriction: between(random, 0.1, 0.15),
      lengthWithin: between(random, -1, 1),
      oldInnerMm,
      oldThicknessMm,
    };
  }
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
    const one = anyDrive(random);
    if (isOf(one, kind)) return one;
  }
}

/** A drive with everything known, as the evaluation takes it. */
export const truthOf = (one: TrueDrive): DriveValues => ({
  pathMm: one.pathMm,
  motorRadiusMm: one.drive.motorPulley.bottomDiameterMm / 2,
  drivenRadiusMm: one.drive.drivenPulley.bottomDiameterMm / 2,
  motorFriction: one.motorFriction,
  drivenFriction: one.drivenFriction,
  idlerFrictions: [],
  modulusMpa: one.modulusMpa,
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
  const innerLengthMm = belt.innerLengthMm + belt.innerLengthToleranceMm * one.lengthWithin;
  const { shape, thicknessMm } = belt;
  const demands = { requirements: DEFAULT_REQUIREMENTS };
  return (
    evaluateBelt(one.drive, { shape, thicknessMm, innerLengthMm }, truthOf(one), demands, one.section)?.fails === 0
  );
}
