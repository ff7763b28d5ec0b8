import { checkPulleys, twoPulleyPath, type BeltPath } from '../geometry';
import { thinnedMm, type BeltSection } from '../rubber';
import { ok, type Result } from '../units';
import { seatedRadiusMm, type Pulley } from './seat';

/** A belt drive on two fixed centres. */
export interface Drive {
  readonly motor: Pulley;
  readonly drive: Pulley;
  readonly centreDistanceMm: number;
  readonly crossed: boolean;
}

/** A belt by its section and relaxed inner length. */
export interface Belt extends BeltSection {
  readonly innerLengthMm: number;
}

/** A belt lying in a drive. `strain` is on the centre line; below zero the belt is longer than its path and hangs. */
export interface FittedBelt {
  readonly strain: number;
  readonly thicknessMm: number;
  readonly motorRadiusMm: number;
  readonly driveRadiusMm: number;
  readonly centreLine: BeltPath;
}

const pathWith = (drive: Drive, thicknessMm: number) => {
  const motorRadiusMm = seatedRadiusMm(drive.motor, thicknessMm);
  const driveRadiusMm = seatedRadiusMm(drive.drive, thicknessMm);
  const path = twoPulleyPath({
    motorRadiusMm,
    driveRadiusMm,
    centreDistanceMm: drive.centreDistanceMm,
    crossed: drive.crossed,
  });
  return { motorRadiusMm, driveRadiusMm, path };
};

/**
 * The inner path: the length of a line drawn tight round the groove bottoms.
 *
 * @returns the path, or a sentence saying why no belt can run so.
 * @example innerPath({ motor: Ø6, drive: Ø25, centreDistanceMm: 40, crossed: false }) // 130.962
 */
export function innerPath(drive: Drive): Result<BeltPath> {
  const pulleys = {
    motorRadiusMm: drive.motor.bottomDiameterMm / 2,
    driveRadiusMm: drive.drive.bottomDiameterMm / 2,
    centreDistanceMm: drive.centreDistanceMm,
    crossed: drive.crossed,
  };
  const possible = checkPulleys(pulleys);
  return possible.ok ? twoPulleyPath(pulleys) : possible;
}

/**
 * Lays a belt in a drive: strain ε = Pc/(Li + πt) − 1 on the centre line, Pc taken at the thinned section's seat.
 * Thinning and strain depend on one another; a few turns settle it to less than a micrometre. A hanging belt keeps
 * its thickness.
 *
 * @returns the fitted belt, or the drive's own refusal.
 * @example fitBelt(drive 6/25/40, { shape: 'square', thicknessMm: 1.2, innerLengthMm: 118.0 }).strain // 0.104
 */
export function fitBelt(drive: Drive, belt: Belt): Result<FittedBelt> {
  const relaxedCentreMm = belt.innerLengthMm + Math.PI * belt.thicknessMm;
  let thicknessMm = belt.thicknessMm;
  for (let turn = 0; turn < 12; turn++) {
    const { path } = pathWith(drive, thicknessMm);
    if (!path.ok) return path;
    const next = thinnedMm(belt.thicknessMm, Math.max(path.value.lengthMm / relaxedCentreMm, 1));
    if (Math.abs(next - thicknessMm) < 1e-9) break;
    thicknessMm = next;
  }
  const { motorRadiusMm, driveRadiusMm, path } = pathWith(drive, thicknessMm);
  if (!path.ok) return path;
  return ok({
    strain: path.value.lengthMm / relaxedCentreMm - 1,
    thicknessMm,
    motorRadiusMm,
    driveRadiusMm,
    centreLine: path.value,
  });
}
