import { bushShare, grooveFriction, innerPath, motorTorqueNmm, type Drive, type Surface } from '../drive';
import type { Samples } from '../probability';
import type { Situation } from '../sizing';
import { seeded, type Random } from '../statistics';
import { sampleDrive, type TrueDrive } from './drive';

/** Drives from which those who know how drives are spread take what they did not measure. */
const POOL = 12_000;
const SEEN_RIGHT = 0.9;
/** Standard uncertainty of a pull read on a scale, N. */
const PULL_STD_N = 0.1;
/** Belts that might come in the post, for the oracle. */
const BELTS = 600;

export const drawPool = (seed: number): readonly TrueDrive[] => {
  const random = seeded(seed);
  return Array.from({ length: POOL }, () => sampleDrive(random, 'all'));
};

/** How likely a surface is to be seen so: right nine times in ten, and else taken for clean. */
const seenAs = (real: Surface, seen: Surface): number =>
  real === seen ? (seen === 'clean' ? 1 : SEEN_RIGHT) : seen === 'clean' ? 1 - SEEN_RIGHT : 0;

const bushMm = (one: TrueDrive, drive: Drive, wrapsRad: readonly number[]): number =>
  one.bushFriction *
  one.shaftRadiusMm *
  bushShare([drive.motorPulley.bottomDiameterMm / 2, drive.drivenPulley.bottomDiameterMm / 2], wrapsRad);

const gripOf = (one: TrueDrive, drive: Drive, wrapsRad: readonly number[]): number =>
  Math.min(
    Math.tanh((grooveFriction(drive.motorPulley.groove, one.motorFriction) * (wrapsRad[0] ?? Math.PI)) / 2),
    Math.tanh((grooveFriction(drive.drivenPulley.groove, one.drivenFriction) * (wrapsRad[1] ?? Math.PI)) / 2),
  );

/**
 * The samples of somebody who measured what the bench measured and knows, beyond that, exactly how such drives are
 * spread: nobody could choose better from the same readings. What was measured is drawn about its reading; the rest is
 * taken from drives of the pool, weighed by how well they agree with the pull and the surfaces.
 *
 * @returns samples and their weights; undefined where no drive of the pool is anything like it
 */
export function ceilingSamples(
  pool: readonly TrueDrive[],
  situation: Situation,
  random: Random,
): { readonly samples: Samples; readonly weights: Float64Array } | undefined {
  const { drive, path, trayPullN, stallPullN, motorSurface, drivenSurface, limits } = situation;
  const inner = drive && innerPath(drive);
  if (!drive || !inner?.ok || !trayPullN) return undefined;
  const likely = pool
    .map((one) => ({
      one,
      weight:
        Math.exp(-0.5 * ((one.trayPullN - trayPullN.value) / PULL_STD_N) ** 2) *
        seenAs(one.motorSurface, motorSurface) *
        seenAs(one.drivenSurface, drivenSurface),
    }))
    .filter(({ weight }) => weight > 0.01);
  const total = likely.reduce((sum, { weight }) => sum + weight, 0);
  if (likely.length < 20) return undefined;
  const bell = (): number => (random() + random() + random() - 1.5) * 2;
  const { wrapsRad } = inner.value;
  const list = (value: (one: TrueDrive) => number): Float64Array => Float64Array.from(likely, ({ one }) => value(one));
  /** The motor as the bench read it, where it did; else as in the pool's drive. */
  const stallNmm = (one: TrueDrive): number =>
    stallPullN
      ? motorTorqueNmm(one.trayPullN + stallPullN.value + stallPullN.std * bell(), one) +
        bushMm(one, drive, wrapsRad) * (limits.heldThroughN.best + limits.heldThroughN.std * bell())
      : one.stallTorqueNmm;
  const samples: Samples = {
    count: likely.length,
    pathMm: list(() => path.value + path.std * bell()),
    motorRadiusMm: list(() => drive.motorPulley.bottomDiameterMm / 2 + 0.05 * bell()),
    drivenRadiusMm: list(() => drive.drivenPulley.bottomDiameterMm / 2),
    dragMm: list((one) => bushMm(one, drive, wrapsRad)),
    grip: list((one) => gripOf(one, drive, wrapsRad)),
    modulusMpa: list(({ modulusMpa }) => modulusMpa),
    relaxedShare: list(({ relaxedShare }) => relaxedShare),
    stretchMost: list(({ stretchMost }) => stretchMost),
    needTorqueNmm: list((one) => motorTorqueNmm(one.trayPullN, one)),
    stallTorqueNmm: list(stallNmm),
    grooveLogRatio: list(({ grooveLogRatio }) => grooveLogRatio),
    lengthWithin: list(({ lengthWithin }) => lengthWithin),
    trayPullN: list((one) => one.trayPullN),
    travelPerTurnMm: list(({ travelPerTurnMm }) => travelPerTurnMm),
  };
  return { samples, weights: Float64Array.from(likely, ({ weight }) => weight / total) };
}

/**
 * The samples of the oracle, who knows the drive to the last figure and cannot know the rubber that will come in the
 * post: hardness, how much of its pull a belt gives back, how far it may be stretched, and where it lies within its
 * maker's limits are those of any drive of the pool.
 */
export function oracleSamples(pool: readonly TrueDrive[], one: TrueDrive, random: Random): Samples {
  const inner = innerPath(one.drive);
  const wrapsRad = inner.ok ? inner.value.wrapsRad : [];
  const come = Array.from({ length: BELTS }, () => pool[Math.floor(random() * pool.length)] as TrueDrive);
  const known = (value: number): Float64Array => new Float64Array(BELTS).fill(value);
  const list = (value: (belt: TrueDrive) => number): Float64Array => Float64Array.from(come, value);
  return {
    count: BELTS,
    pathMm: known(one.pathMm),
    motorRadiusMm: known(one.drive.motorPulley.bottomDiameterMm / 2),
    drivenRadiusMm: known(one.drive.drivenPulley.bottomDiameterMm / 2),
    dragMm: known(bushMm(one, one.drive, wrapsRad)),
    grip: known(gripOf(one, one.drive, wrapsRad)),
    modulusMpa: list(({ modulusMpa }) => modulusMpa),
    relaxedShare: list(({ relaxedShare }) => relaxedShare),
    stretchMost: list(({ stretchMost }) => stretchMost),
    needTorqueNmm: known(motorTorqueNmm(one.trayPullN, one)),
    stallTorqueNmm: known(one.stallTorqueNmm),
    grooveLogRatio: known(one.grooveLogRatio),
    lengthWithin: list(({ lengthWithin }) => lengthWithin),
    trayPullN: known(one.trayPullN),
    travelPerTurnMm: known(one.travelPerTurnMm),
  };
}
