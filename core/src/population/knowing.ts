import { motorTorqueNmm, type Surface } from '../drive';
import type { DriveValues } from '../evaluation';
import { samplesOf, type Samples } from '../probability';
import type { Situation } from '../sizing';
import { bellCurve, seeded, type Random } from '../statistics';
import { sampleDrive, truthOf, type TrueDrive } from './drive';

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
  const { drive, path, trayPullN, stallPullN, motorSurface, drivenSurface, priors } = situation;
  if (!drive || !trayPullN) return undefined;
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
  const bell = bellCurve(random);
  /** The motor as the bench read it, where it did; else as in the pool's drive. */
  const motorOf = (one: TrueDrive): Pick<DriveValues, 'stallNmm' | 'heldThroughN'> =>
    stallPullN
      ? {
          stallNmm: motorTorqueNmm(one.trayPullN + stallPullN.value + stallPullN.std * bell(), one),
          heldThroughN: priors.heldThroughN.best + priors.heldThroughN.std * bell(),
        }
      : { stallNmm: one.stallTorqueNmm, heldThroughN: 0 };
  const values = likely.map(({ one }): DriveValues => ({
    ...truthOf(one),
    pathMm: path.value + path.std * bell(),
    motorRadiusMm: drive.motorPulley.bottomDiameterMm / 2 + 0.05 * bell(),
    drivenRadiusMm: drive.drivenPulley.bottomDiameterMm / 2,
    ...motorOf(one),
  }));
  return {
    samples: samplesOf(
      values,
      likely.map(({ one }) => one.lengthWithin),
    ),
    weights: Float64Array.from(likely, ({ weight }) => weight / total),
  };
}

/**
 * The samples of the oracle, who knows the drive to the last figure and cannot know the rubber that will come in the
 * post: hardness, how much of its pull a belt gives back, how far it may be stretched, and where it lies within its
 * maker's limits are those of any drive of the pool.
 */
export function oracleSamples(pool: readonly TrueDrive[], one: TrueDrive, random: Random): Samples {
  const come = Array.from({ length: BELTS }, () => pool[Math.floor(random() * pool.length)] as TrueDrive);
  const values = come.map(({ modulusMpa, relaxedShare, strainMax }): DriveValues => ({
    ...truthOf(one),
    modulusMpa,
    relaxedShare,
    strainMax,
  }));
  return samplesOf(
    values,
    come.map(({ lengthWithin }) => lengthWithin),
  );
}
