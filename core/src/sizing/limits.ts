import type { Surface } from '../drive';

/** A figure that is not known exactly: best estimate and standard uncertainty (k = 1). */
export interface Spread {
  readonly best: number;
  readonly std: number;
}

/**
 * Friction of rubber on plastic or brass by the state of the surface. From memory of the trade, no source; spread
 * stated so that the ranking knows how little it knows.
 */
export const FRICTION: Readonly<Record<Surface, Spread>> = {
  clean: { best: 0.8, std: 0.1 },
  glazed: { best: 0.4, std: 0.08 },
  dusty: { best: 0.5, std: 0.08 },
  wet: { best: 0.3, std: 0.06 },
  oily: { best: 0.2, std: 0.03 },
};

/** What a belt is judged by, until something of it is measured. */
export interface Limits {
  /** Shore A of a new belt. */
  readonly hardnessShoreA: Spread;
  /** Relative spread of the modulus about the hardness relation; two published relations differ by about this. */
  readonly modulusRelativeStd: number;
  /** Share of its fresh pull that a belt keeps: 10–20 % goes in the first days, a little more by decades of time. */
  readonly relaxedShare: Spread;
  /** Stretch up to which a ground chloroprene belt is meant to work, 15–20 %. */
  readonly stretchComfortable: number;
  readonly stretchMost: number;
  /** With the path alone and no pulleys known: the least stretch that can be trusted to drive. */
  readonly stretchLeast: Spread;
  /** Grip wanted, as a multiple of the need, before a belt counts as snug. */
  readonly gripWanted: number;
  /** Grip, as a multiple of the need, with which a relaxed belt still counts as working. */
  readonly gripLeast: number;
  /** Friction of rubber on a pulley, by the state of its surface. */
  readonly friction: Readonly<Record<Surface, Spread>>;
  /** What a fresh belt must leave of the motor, as a multiple of the need. */
  readonly motorLeast: number;
  /** Tray pull, N, until measured on a scale. */
  readonly trayPullN: Spread;
  /** How much stiffer than healthy a tray in for repair may be: half-normal in the logarithm of the ratio. */
  readonly stiffnessLogStd: number;
  /** Tray travel per turn of the motor pulley, mm, until counted. */
  readonly travelPerTurnMm: Spread;
  readonly efficiency: Spread;
  /** Motor stall torque as a multiple of what a healthy tray needs. */
  readonly stallFactor: Spread;
  /** Strand pull, N, of the belt or band through which a tray is held while the motor stands. */
  readonly heldThroughN: Spread;
  /** Torque at the motor that turns a spindle, N·mm, 0.3 to 0.8. */
  readonly spindleTorqueNmm: Spread;
  /** Need of a lift or clamp, and of the rollers of a slot loader (1.5 to 3 N), as multiples of a tray's. */
  readonly liftTimes: number;
  readonly rollerTimes: number;
  /** Pulley diameters at the bottom of the groove, where a string is all that was measured. */
  readonly motorDiameterMm: Spread;
  readonly drivenDiameterMm: Spread;
  readonly shaftRadiusMm: number;
  readonly bushFriction: number;
  /** Smallest pulley in sections of a solid round belt, below which bending is warned of. */
  readonly bendLeast: number;
}

/**
 * The bench's defaults. Stretch, relaxation and bend after makers' handbooks and common practice; tray, motor and
 * bush from memory, no source. Spreads are a quarter of the stated ranges (19 in 20 inside).
 */
export const DEFAULT_LIMITS: Limits = {
  hardnessShoreA: { best: 60, std: 3 },
  modulusRelativeStd: 0.2,
  relaxedShare: { best: 0.8, std: 0.04 },
  stretchComfortable: 0.15,
  stretchMost: 0.2,
  stretchLeast: { best: 0.02, std: 0.02 },
  gripWanted: 1.5,
  gripLeast: 1.1,
  motorLeast: 1.1,
  friction: FRICTION,
  trayPullN: { best: 1.4, std: 0.4 },
  stiffnessLogStd: 0.25,
  travelPerTurnMm: { best: 2.2, std: 0.6 },
  efficiency: { best: 0.6, std: 0.05 },
  stallFactor: { best: 2.5, std: 0.6 },
  heldThroughN: { best: 1, std: 0.4 },
  spindleTorqueNmm: { best: 0.55, std: 0.125 },
  liftTimes: 2,
  rollerTimes: 1.6,
  motorDiameterMm: { best: 5.5, std: 1.4 },
  drivenDiameterMm: { best: 22, std: 5 },
  shaftRadiusMm: 0.875,
  bushFriction: 0.125,
  bendLeast: 6,
};

/**
 * The pull of the same tray when healthy, for which its motor was made: of a stiff tray the likeliest split between a
 * drive that was always heavy and one that has become so.
 *
 * @example healthyPullN(3, DEFAULT_LIMITS) // 2.13
 */
export function healthyPullN(needN: number, limits: Limits): number {
  const usual = limits.trayPullN.std / limits.trayPullN.best;
  const excess = Math.max(0, Math.log(needN / limits.trayPullN.best));
  const stiff = limits.stiffnessLogStd ** 2;
  return needN * Math.exp((-excess * stiff) / (stiff + usual ** 2));
}
