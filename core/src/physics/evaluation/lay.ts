import { shapeOf } from '../../base/shapes';
import { centreLineAt, innerPath, seatedRadiusMm, type Drive } from '../drive';
import { thinnedMm, type BeltSection } from '../rubber';
import type { DriveValues, EvaluatedBelt, SpeedWanted } from './types';

/** A belt laid in a drive whose path and radii are given. Wraps: motor, driven, then the idlers. */
export interface Laid {
  /** Stretched over relaxed length, on the centre line. */
  readonly stretch: number;
  readonly thicknessMm: number;
  readonly motorRadiusMm: number;
  readonly drivenRadiusMm: number;
  readonly idlerRadiiMm: readonly number[];
  readonly wrapsRad: readonly number[];
}

/** What a section adds to a drive at a thickness: to the path, and to each radius; and the wraps there. */
export interface Seat {
  readonly pathMm: number;
  readonly motorMm: number;
  readonly drivenMm: number;
  readonly idlerRadiiMm: readonly number[];
  /** Undefined where only the path is known: the wraps then follow from each sample's own pulleys. */
  readonly wrapsRad?: readonly number[];
}

/** A thinning that moves by less than this any more has settled: a hundred-thousandth of what a caliper reads. */
const SETTLED_MM = 1e-7;

/** The inner path of a drive, worked out once: hundreds of belts are laid round the same pulleys. */
const innerPaths = new WeakMap<Drive, ReturnType<typeof innerPath>>();
function innerPathOf(drive: Drive): ReturnType<typeof innerPath> {
  const known = innerPaths.get(drive) ?? innerPath(drive);
  innerPaths.set(drive, known);
  return known;
}

/** Centre distance of an open drive whose path is known: Newton on P(C), which rises all the way. */
function centreOfPath(pathMm: number, motorRadiusMm: number, drivenRadiusMm: number): number {
  const sum = motorRadiusMm + drivenRadiusMm;
  const difference = drivenRadiusMm - motorRadiusMm;
  // Shafts nearer than this would let the pulleys rub; a path that short belongs to smaller ones.
  const least = 1.02 * sum;
  let centre = Math.max(least, (pathMm - Math.PI * sum) / 2);
  for (let turn = 0; turn < 4; turn++) {
    const straight = Math.sqrt(Math.max(centre * centre - difference * difference, 1e-9));
    const at = 2 * straight + Math.PI * sum + 2 * difference * Math.asin(Math.min(1, difference / centre)) - pathMm;
    centre = Math.max(least, centre - (at * centre) / (2 * straight));
  }
  return centre;
}

/** Wraps of an open drive of which the path and both pulleys are known, and the distance follows. */
export function wrapsOfPath({
  pathMm,
  motorRadiusMm,
  drivenRadiusMm,
}: Pick<DriveValues, 'pathMm' | 'motorRadiusMm' | 'drivenRadiusMm'>): readonly [number, number] {
  const centre = centreOfPath(pathMm, motorRadiusMm, drivenRadiusMm);
  const lean = Math.asin(Math.max(-1, Math.min(1, (drivenRadiusMm - motorRadiusMm) / centre)));
  return [Math.PI - 2 * lean, Math.PI + 2 * lean];
}

/**
 * What a section adds to a drive: by the exact path where the pulleys are known, else to an open one.
 *
 * @param inner the drive's inner path, where it is worked out already
 * @returns undefined where no belt can run there
 */
export function seatAt(
  drive: Drive | undefined,
  thicknessMm: number,
  inner = drive && innerPathOf(drive),
): Seat | undefined {
  if (!drive || !inner) {
    return { pathMm: Math.PI * thicknessMm, motorMm: thicknessMm / 2, drivenMm: thicknessMm / 2, idlerRadiiMm: [] };
  }
  const line = centreLineAt(drive, thicknessMm);
  if (!inner.ok || !line.ok) return undefined;
  return {
    pathMm: line.value.lengthMm - inner.value.lengthMm,
    motorMm: seatedRadiusMm(drive.motorPulley, thicknessMm) - drive.motorPulley.bottomDiameterMm / 2,
    drivenMm: seatedRadiusMm(drive.drivenPulley, thicknessMm) - drive.drivenPulley.bottomDiameterMm / 2,
    idlerRadiiMm: (drive.idlers ?? []).map((one) => seatedRadiusMm(one, thicknessMm)),
    wrapsRad: line.value.wrapsRad,
  };
}

/**
 * Lays a belt on a path: the section's seat depends on its thinning and the thinning on the stretch, so a few turns
 * settle both. A hanging belt keeps its thickness.
 *
 * @returns undefined where no belt can run there
 */
export function layBelt(drive: Drive | undefined, belt: EvaluatedBelt, values: DriveValues): Laid | undefined {
  const relaxedMm = belt.innerLengthMm + Math.PI * belt.thicknessMm;
  const inner = drive && innerPathOf(drive);
  let thicknessMm = belt.thicknessMm;
  let seat = seatAt(drive, thicknessMm, inner);
  for (let turn = 0; turn < 12; turn++) {
    if (!seat) return undefined;
    const next = thinnedMm(belt.thicknessMm, Math.max((values.pathMm + seat.pathMm) / relaxedMm, 1));
    if (Math.abs(next - thicknessMm) < SETTLED_MM) break;
    thicknessMm = next;
    seat = seatAt(drive, thicknessMm, inner);
  }
  if (!seat) return undefined;
  return {
    stretch: (values.pathMm + seat.pathMm) / relaxedMm,
    thicknessMm,
    motorRadiusMm: values.motorRadiusMm + seat.motorMm,
    drivenRadiusMm: values.drivenRadiusMm + seat.drivenMm,
    idlerRadiiMm: seat.idlerRadiiMm,
    wrapsRad: seat.wrapsRad ?? wrapsOfPath(values),
  };
}

/**
 * How far a section differs from the one that lay in the groove, in logarithm of the ratio: a flat belt by its width,
 * which the rims hold, any other by its thickness.
 */
export function sectionLogRatio(belt: BeltSection, old: BeltSection): number {
  const [mine, its] =
    shapeOf(belt.shape).hasWidth && shapeOf(old.shape).hasWidth
      ? [belt.widthMm ?? belt.thicknessMm, old.widthMm ?? belt.widthMm ?? belt.thicknessMm]
      : [belt.thicknessMm, old.thicknessMm];
  return Math.abs(Math.log(mine / its));
}

/** How a belt of usual stretch is thinned: what the drive was made with lay so. */
const MADE_STRETCH = 1.075;

/** What the old section added to each radius; undefined where it is not known or none can run there. */
export const oldSeat = (drive: Drive | undefined, old: BeltSection | undefined): Seat | undefined =>
  old && seatAt(drive, thinnedMm(old.thicknessMm, MADE_STRETCH));

/**
 * The ratio of pitch radii, motor over driven, that a speed asks for: of the revolutions, or else that of the belt the
 * drive was made with.
 *
 * @returns undefined where neither is known
 */
export function ratioWanted(
  drive: Drive | undefined,
  { motorRpm, targetRpm }: SpeedWanted,
  { motorRadiusMm, drivenRadiusMm }: Pick<DriveValues, 'motorRadiusMm' | 'drivenRadiusMm'>,
  old: BeltSection | undefined,
): number | undefined {
  if (motorRpm !== undefined && targetRpm !== undefined) return targetRpm / motorRpm;
  const seat = oldSeat(drive, old);
  return seat && (motorRadiusMm + seat.motorMm) / (drivenRadiusMm + seat.drivenMm);
}
