import { grooveFriction, innerPath, motorTorqueNmm } from '../drive';
import type { Worlds } from '../odds';
import type { Situation, Surface } from '../sizing';
import { seeded, type Random } from '../statistics';
import { drawDrive, type TrueDrive } from './drive';

/** Drives from which the ceiling takes what cannot be measured. */
const POOL = 12_000;
const SEEN_RIGHT = 0.9;
/** Standard uncertainty of a pull read on a scale, N. */
const PULL_STD_N = 0.1;

export const drawPool = (seed: number): readonly TrueDrive[] => {
  const random = seeded(seed);
  return Array.from({ length: POOL }, () => drawDrive(random, 'all'));
};

/** How likely a surface is to be seen so: right nine times in ten, and else taken for clean. */
const seenAs = (real: Surface, seen: Surface): number =>
  real === seen ? (seen === 'clean' ? 1 : SEEN_RIGHT) : seen === 'clean' ? 1 - SEEN_RIGHT : 0;

/**
 * The worlds of somebody who measured what the bench measured and knows, beyond that, exactly how such drives are
 * spread: nobody could choose better from the same readings. What was measured is drawn about its reading; the rest is
 * taken from drives of the pool, weighed by how well they agree with the pull and the surfaces.
 *
 * @returns worlds and their weights; undefined where no drive of the pool is anything like it
 */
export function ceilingWorlds(
  pool: readonly TrueDrive[],
  situation: Situation,
  random: Random,
): { readonly worlds: Worlds; readonly weights: Float64Array } | undefined {
  const { drive, path, trayPullN, motorSurface, driveSurface } = situation;
  const inner = drive && innerPath(drive);
  if (!drive || !inner?.ok || !trayPullN) return undefined;
  const likely = pool
    .map((one) => ({
      one,
      weight:
        Math.exp(-0.5 * ((one.trayPullN - trayPullN.value) / PULL_STD_N) ** 2) *
        seenAs(one.motorSurface, motorSurface) *
        seenAs(one.driveSurface, driveSurface),
    }))
    .filter(({ weight }) => weight > 0.01);
  const total = likely.reduce((sum, { weight }) => sum + weight, 0);
  if (likely.length < 20) return undefined;
  const bell = (): number => (random() + random() + random() - 1.5) * 2;
  const [motorWrap = Math.PI, driveWrap = Math.PI] = inner.value.wrapsRad;
  const list = (value: (one: TrueDrive) => number): Float64Array => Float64Array.from(likely, ({ one }) => value(one));
  const grip = (one: TrueDrive): number =>
    Math.min(
      Math.tanh((grooveFriction(drive.motor.groove, one.motorFriction) * motorWrap) / 2),
      Math.tanh((grooveFriction(drive.drive.groove, one.driveFriction) * driveWrap) / 2),
    );
  const worlds: Worlds = {
    count: likely.length,
    pathMm: list(() => path.value + path.std * bell()),
    motorRadiusMm: list(() => drive.motor.bottomDiameterMm / 2 + 0.05 * bell()),
    driveRadiusMm: list(() => drive.drive.bottomDiameterMm / 2),
    motorWrapRad: list(() => motorWrap),
    driveWrapRad: list(() => driveWrap),
    grip: list(grip),
    modulusMpa: list(({ modulusMpa }) => modulusMpa),
    relaxedShare: list(({ relaxedShare }) => relaxedShare),
    stretchMost: list(({ stretchMost }) => stretchMost),
    needTorqueNmm: list((one) => motorTorqueNmm(one.trayPullN, one)),
    stallTorqueNmm: list(({ stallTorqueNmm }) => stallTorqueNmm),
    grooveLogRatio: list(({ grooveLogRatio }) => grooveLogRatio),
    lengthWithin: list(({ lengthWithin }) => lengthWithin),
    trayPullN: list((one) => one.trayPullN),
    travelPerTurnMm: list(({ travelPerTurnMm }) => travelPerTurnMm),
  };
  return { worlds, weights: Float64Array.from(likely, ({ weight }) => weight / total) };
}
