import { beltPath, checkPulleys, type BeltPath, type PathPulley } from '../geometry';
import { thinnedMm, type BeltSection } from '../rubber';
import { ok, refuse, type Result } from '../units';
import { seatedRadiusMm, type Pulley } from './seat';

/** A belt drive on two fixed centres. */
export interface Drive {
  readonly motorPulley: Pulley;
  readonly drivenPulley: Pulley;
  readonly centreDistanceMm: number;
  readonly crossed: boolean;
  /** Pulleys beside the two, in the order in which the belt meets them on its run. */
  readonly idlers?: readonly Idler[] | undefined;
}

/** An idler: its shaft told from the motor's, x towards the drive, y upwards. */
export interface Idler extends Pulley {
  readonly name: string;
  readonly xMm: number;
  readonly yMm: number;
  /** The belt touches it with its back. */
  readonly back: boolean;
  /** It takes power from the belt, so that the belt may slip on it first. */
  readonly driven: boolean;
  /** On the run that comes after the motor (the lower), or after the drive (the upper). */
  readonly after: 'motor' | 'driven';
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
  readonly drivenRadiusMm: number;
  readonly centreLine: BeltPath;
}

/**
 * All pulleys in the order in which the belt meets them, with the radius of whatever line runs round them: motor, those
 * on the lower run, drive, those on the upper.
 *
 * @example pulleysInOrder(drive, ({ bottomDiameterMm }) => bottomDiameterMm / 2).map(({ name }) => name)
 */
export function pulleysInOrder(drive: Drive, radiusMm: (pulley: Pulley) => number): PathPulley[] {
  const others = drive.idlers ?? [];
  const side = drive.crossed ? -1 : 1;
  const on = (run: 'motor' | 'driven', turn: 1 | -1): PathPulley[] =>
    others
      .filter(({ after }) => after === run)
      .map((one) => ({
        name: one.name || 'idler',
        xMm: one.xMm,
        yMm: one.yMm,
        radiusMm: radiusMm(one),
        side: one.back ? (-turn as 1 | -1) : turn,
      }));
  return [
    { name: 'motor pulley', xMm: 0, yMm: 0, radiusMm: radiusMm(drive.motorPulley), side: 1 },
    ...on('motor', 1),
    { name: 'driven pulley', xMm: drive.centreDistanceMm, yMm: 0, radiusMm: radiusMm(drive.drivenPulley), side },
    ...on('driven', side),
  ];
}

/** The path round all pulleys. Wraps: motor, drive, then the others as they stand in `drive.others`. */
function pathRound(drive: Drive, radiusMm: (pulley: Pulley) => number): Result<BeltPath> {
  const path = beltPath(pulleysInOrder(drive, radiusMm));
  if (!path.ok) return path;
  const others = drive.idlers ?? [];
  const lower = others.filter(({ after }) => after === 'motor');
  const upper = others.filter(({ after }) => after === 'driven');
  const [motorWrap = 0, ...rest] = path.value.wrapsRad;
  const drivenWrap = rest[lower.length] ?? 0;
  // The belt meets those of the lower run before the drive, whatever the order in which they were put in.
  const wrapOf = (one: Idler): number =>
    one.after === 'motor' ? (rest[lower.indexOf(one)] ?? 0) : (rest[lower.length + 1 + upper.indexOf(one)] ?? 0);
  return ok({ ...path.value, wrapsRad: [motorWrap, drivenWrap, ...others.map(wrapOf)] });
}

/** Refuses pulleys of which two would stand in one place, and names them. */
function checkOthers(drive: Drive): Result<true> {
  const all = [
    { name: 'motor pulley', xMm: 0, yMm: 0, bottomDiameterMm: drive.motorPulley.bottomDiameterMm },
    {
      name: 'driven pulley',
      xMm: drive.centreDistanceMm,
      yMm: 0,
      bottomDiameterMm: drive.drivenPulley.bottomDiameterMm,
    },
    ...(drive.idlers ?? []).map((one) => ({ ...one, name: one.name || 'idler' })),
  ];
  for (const [index, a] of all.entries()) {
    for (const b of all.slice(index + 1)) {
      const apart = Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);
      const least = (a.bottomDiameterMm + b.bottomDiameterMm) / 2;
      if (apart < least) {
        return refuse(
          `The ${a.name} and the ${b.name} overlap: shafts ${apart.toFixed(1)} mm apart, but the two radii need ${least.toFixed(1)} mm.`,
        );
      }
    }
  }
  return ok(true);
}

const pathWith = (drive: Drive, thicknessMm: number) => {
  const motorRadiusMm = seatedRadiusMm(drive.motorPulley, thicknessMm);
  const drivenRadiusMm = seatedRadiusMm(drive.drivenPulley, thicknessMm);
  const path = pathRound(drive, (pulley) => seatedRadiusMm(pulley, thicknessMm));
  return { motorRadiusMm, drivenRadiusMm, path };
};

/**
 * The inner path: the length of a line drawn tight round the groove bottoms.
 *
 * @returns the path, or a sentence saying why no belt can run so.
 * @example innerPath({ motor: Ø6, drive: Ø25, centreDistanceMm: 40, crossed: false }) // 130.962
 */
export function innerPath(drive: Drive): Result<BeltPath> {
  const pulleys = {
    motorRadiusMm: drive.motorPulley.bottomDiameterMm / 2,
    drivenRadiusMm: drive.drivenPulley.bottomDiameterMm / 2,
    centreDistanceMm: drive.centreDistanceMm,
    crossed: drive.crossed,
  };
  const possible = checkPulleys(pulleys);
  if (!possible.ok) return possible;
  const room = checkOthers(drive);
  return room.ok ? pathRound(drive, ({ bottomDiameterMm }) => bottomDiameterMm / 2) : room;
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
  const { motorRadiusMm, drivenRadiusMm, path } = pathWith(drive, thicknessMm);
  if (!path.ok) return path;
  return ok({
    strain: path.value.lengthMm / relaxedCentreMm - 1,
    thicknessMm,
    motorRadiusMm,
    drivenRadiusMm,
    centreLine: path.value,
  });
}
