import { beltPath, checkPulleys, type BeltPath, type PathPulley } from '../geometry';
import { thinnedMm, type BeltSection } from '../rubber';
import { ok, refuse, type Result } from '../../base/units';
import { seatedRadiusMm, type Pulley } from './seat';

/** A belt drive on two fixed centres. */
export interface Drive {
  readonly motorPulley: Pulley;
  readonly drivenPulley: Pulley;
  readonly centreDistanceMm: number;
  readonly crossed: boolean;
  /** Pulleys beside the two, in the order in which they were put in. */
  readonly idlers?: readonly Idler[] | undefined;
}

/** A pulley beside the two: its shaft told from the motor's, x towards the driven pulley, y upwards. */
export interface Idler extends Pulley {
  readonly name: string;
  readonly xMm: number;
  readonly yMm: number;
  /** The belt touches it with its back. */
  readonly back: boolean;
  /** It takes power from the belt, so that the belt may slip on it first. */
  readonly driven: boolean;
  /** On the run that comes after the motor (the lower), or after the driven pulley (the upper). */
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

export const MOTOR_PULLEY = 'motor pulley';
export const DRIVEN_PULLEY = 'driven pulley';

/** An idler by its name, or by what it is. @example idlerName({ name: '', driven: false }) // 'idler' */
export const idlerName = ({ name, driven }: Pick<Idler, 'name' | 'driven'>): string =>
  name || (driven ? 'second driven pulley' : 'idler');

/**
 * All things along a belt in the order in which it meets them: the motor pulley, what stands on the lower run, the
 * driven pulley, what stands on the upper. The one place that knows this order.
 *
 * For instance beltOrder({ motor, driven, idlers, after: ({ after }) => after })
 */
export function beltOrder<T, I>(
  motor: T,
  driven: T,
  idlers: readonly I[],
  after: (idler: I) => Idler['after'],
): ReadonlyArray<T | I> {
  const on = (run: Idler['after']) => idlers.filter((one) => after(one) === run);
  return [motor, ...on('motor'), driven, ...on('driven')];
}

/**
 * Which face of the belt touches each pulley, in belt order: a crossed belt meets the driven pulley, and what stands
 * after it, with its other face; an idler at the belt's back with the other one again.
 */
export const touchedSide = (
  crossed: boolean,
  one: { readonly after: Idler['after']; readonly back: boolean },
): 1 | -1 => {
  const run = crossed && one.after === 'driven' ? -1 : 1;
  return one.back ? (-run as 1 | -1) : run;
};

/**
 * All pulleys in the order in which the belt meets them, with the radius of whatever line runs round them.
 *
 * @example pulleysInOrder(drive, ({ bottomDiameterMm }) => bottomDiameterMm / 2).length // 2
 */
export function pulleysInOrder(drive: Drive, radiusMm: (pulley: Pulley) => number): PathPulley[] {
  const { crossed, centreDistanceMm, idlers = [] } = drive;
  const motor: PathPulley = { name: MOTOR_PULLEY, xMm: 0, yMm: 0, radiusMm: radiusMm(drive.motorPulley), side: 1 };
  const driven: PathPulley = {
    name: DRIVEN_PULLEY,
    xMm: centreDistanceMm,
    yMm: 0,
    radiusMm: radiusMm(drive.drivenPulley),
    side: crossed ? -1 : 1,
  };
  return beltOrder(motor, driven, idlers, ({ after }) => after).map((one) =>
    'side' in one
      ? one
      : { name: idlerName(one), xMm: one.xMm, yMm: one.yMm, radiusMm: radiusMm(one), side: touchedSide(crossed, one) },
  );
}

const TURN_RAD = 2 * Math.PI;

/**
 * Why no belt can take a path, by the name of the pulley: taken with their sense the wraps of a loop add up to as many
 * turns as it has, one where it is open, none where it crosses once. What does not is reached only by going round some
 * pulley backwards.
 *
 * Source: the turning number of a closed curve (H. Hopf, 1935).
 *
 * @returns a sentence, or undefined where the path can be
 */
function goneRoundBackwards(
  pulleys: readonly PathPulley[],
  wrapsRad: readonly number[],
  crossed: boolean,
): string | undefined {
  const turns = pulleys.reduce((sum, { side }, i) => sum + side * (wrapsRad[i] ?? 0), 0) / TURN_RAD;
  if (Math.abs(turns - (crossed ? 0 : 1)) < 0.01) return undefined;
  // The idler that is wrapped the most is the one that a mistyped place has put out of reach.
  const at = (i: number): number => wrapsRad[i] ?? 0;
  const idlers = pulleys.flatMap((one, i) => (one.name === MOTOR_PULLEY || one.name === DRIVEN_PULLEY ? [] : [i]));
  const most = idlers.reduce((a, b) => (at(b) > at(a) ? b : a), idlers[0] ?? 0);
  const { name = '', xMm = 0, yMm = 0, side = 1 } = pulleys[most] ?? {};
  const place = `at ${xMm.toFixed(1)}, ${yMm.toFixed(1)} mm from the motor’s shaft, touched by the belt’s ${side === 1 ? 'face' : 'back'}`;
  return `No belt can run so: the ${name} (${place}) would be reached only by going ${Math.round((at(most) * 180) / Math.PI)}° round it, backwards. Check its place, its side, and after which pulley it comes.`;
}

/** The path round all pulleys. Wraps: motor, driven, then the idlers as they stand in `drive.idlers`. */
function pathRound(drive: Drive, radiusMm: (pulley: Pulley) => number): Result<BeltPath> {
  const pulleys = pulleysInOrder(drive, radiusMm);
  const path = beltPath(pulleys);
  if (!path.ok) return path;
  const unreached = goneRoundBackwards(pulleys, path.value.wrapsRad, drive.crossed);
  if (unreached) return refuse(unreached);
  const idlers = drive.idlers ?? [];
  if (idlers.length === 0) return path;
  const order = beltOrder<'motor' | 'driven', Idler>('motor', 'driven', idlers, ({ after }) => after);
  const wrapOf = (one: 'motor' | 'driven' | Idler): number => path.value.wrapsRad[order.indexOf(one)] ?? 0;
  return ok({ ...path.value, wrapsRad: [wrapOf('motor'), wrapOf('driven'), ...idlers.map(wrapOf)] });
}

/** Refuses pulleys of which two would stand in one place, and names them. */
function checkIdlers(drive: Drive): Result<true> {
  const all = [
    { name: MOTOR_PULLEY, xMm: 0, yMm: 0, bottomDiameterMm: drive.motorPulley.bottomDiameterMm },
    { name: DRIVEN_PULLEY, xMm: drive.centreDistanceMm, yMm: 0, bottomDiameterMm: drive.drivenPulley.bottomDiameterMm },
    ...(drive.idlers ?? []).map((one) => ({ ...one, name: idlerName(one) })),
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

/**
 * The inner path: the length of a line drawn tight round the groove bottoms.
 *
 * @returns the path, or a sentence saying why no belt can run so.
 * @example innerPath(drive).value.lengthMm // 127.106
 */
export function innerPath(drive: Drive): Result<BeltPath> {
  const possible = checkPulleys({
    motorRadiusMm: drive.motorPulley.bottomDiameterMm / 2,
    drivenRadiusMm: drive.drivenPulley.bottomDiameterMm / 2,
    centreDistanceMm: drive.centreDistanceMm,
    crossed: drive.crossed,
  });
  if (!possible.ok) return possible;
  const room = checkIdlers(drive);
  return room.ok ? pathRound(drive, ({ bottomDiameterMm }) => bottomDiameterMm / 2) : room;
}

/**
 * The line that a belt's centre takes at a thickness: the path round all pulleys at their seats. Refused, as the path is,
 * where the pulleys overlap.
 *
 * @example centreLineAt(drive, 1.2).value.lengthMm - innerPath(drive).value.lengthMm // 3.770
 */
export const centreLineAt = (drive: Drive, thicknessMm: number): Result<BeltPath> =>
  pathRound(drive, (pulley) => seatedRadiusMm(pulley, thicknessMm));

/**
 * Lays a belt in a drive: strain ε = Pc/(Li + πt) − 1 on the centre line, Pc taken at the thinned section's seat.
 * Thinning and strain depend on one another; a few turns settle it to less than a micrometre. A hanging belt keeps
 * its thickness.
 *
 * @param shiftMm what a better reading of the path, a string say, adds to the pulleys' own
 * @returns the fitted belt, or the drive's own refusal.
 * @example fitBelt(drive, belt).value.strain // 0.091
 */
export function fitBelt(drive: Drive, belt: Belt, shiftMm = 0): Result<FittedBelt> {
  const relaxedCentreMm = belt.innerLengthMm + Math.PI * belt.thicknessMm;
  let thicknessMm = belt.thicknessMm;
  let path = centreLineAt(drive, thicknessMm);
  for (let turn = 0; turn < 12; turn++) {
    if (!path.ok) return path;
    const next = thinnedMm(belt.thicknessMm, Math.max((path.value.lengthMm + shiftMm) / relaxedCentreMm, 1));
    const settled = Math.abs(next - thicknessMm) < 1e-9;
    thicknessMm = next;
    path = centreLineAt(drive, thicknessMm);
    if (settled) break;
  }
  if (!path.ok) return path;
  return ok({
    strain: (path.value.lengthMm + shiftMm) / relaxedCentreMm - 1,
    thicknessMm,
    motorRadiusMm: seatedRadiusMm(drive.motorPulley, thicknessMm),
    drivenRadiusMm: seatedRadiusMm(drive.drivenPulley, thicknessMm),
    centreLine: path.value,
  });
}
