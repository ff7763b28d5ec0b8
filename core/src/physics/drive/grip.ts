/**
 * The share of 2T that a pulley can pass before it slips: f = (e^{μ′θ} − 1)/(e^{μ′θ} + 1). On fixed centres an
 * elastic belt keeps tight + slack ≈ 2T, and Euler–Eytelwein bounds their ratio by e^{μ′θ}.
 *
 * @returns 0 (no friction) to 1
 * @example gripShare(0.8, Math.PI) // 0.850
 */
export function gripShare(friction: number, wrapRad: number): number {
  // tanh(x/2) is the same fraction, and does not overflow for a rope wound ten times.
  return Math.tanh((friction * wrapRad) / 2);
}

/** A pulley that takes or gives power: its friction after the groove, and how far the belt wraps it. */
export interface GrippingPulley {
  readonly name: string;
  readonly friction: number;
  readonly wrapRad: number;
}

/** Where a drive slips, and at what. */
export interface Grip {
  /** The pulley that slips first: the one with the least share, whatever its radius. */
  readonly weaker: string;
  /** Its share of 2T. */
  readonly share: number;
  /** Largest pull the belt passes from pulley to pulley. */
  readonly beltPullN: number;
  /** The same, seen as torque on the motor shaft. */
  readonly slipTorqueNmm: number;
}

/**
 * The pull and motor torque at which the belt slips: M = 2·T·r_motor·min f. An idler that only guides takes no power
 * and cannot slip; leave it out.
 *
 * @param input the pull of one strand at rest (T), the pitch radius of the motor to the belt’s centre line, and the pulleys
 * For instance slipGrip({ strandPullN: 0.385, motorRadiusMm: 3.577, pulleys: 6/25/40 with μ 0.8 }).slipTorqueNmm: 2.18
 */
export function slipGrip(input: {
  readonly strandPullN: number;
  readonly motorRadiusMm: number;
  readonly pulleys: readonly GrippingPulley[];
}): Grip {
  let weaker = '';
  let share = 1;
  for (const { name, friction, wrapRad } of input.pulleys) {
    const own = gripShare(friction, wrapRad);
    if (weaker !== '' && own >= share) continue;
    weaker = name;
    share = own;
  }
  const beltPullN = 2 * input.strandPullN * share;
  return { weaker, share, beltPullN, slipTorqueNmm: beltPullN * input.motorRadiusMm };
}

/**
 * Load of the belt on a shaft: 2T·sin(θ/2), from the two strands leaving at the wrap's ends.
 *
 * @example shaftLoadN(0.385, Math.PI) // 0.77
 */
export function shaftLoadN(strandPullN: number, wrapRad: number): number {
  return 2 * strandPullN * Math.abs(Math.sin(wrapRad / 2));
}

/**
 * What the bushes of all shafts take of the motor, as the share of each newton of strand pull that bears on them,
 * reckoned at the motor: Σ 2·sin(θ/2)·r_motor/r. Times bush friction, shaft radius and pull it is a torque.
 *
 * @param radiiMm of the pulleys at the belt, the motor's first
 * @param wrapsRad of the same pulleys
 * @example bushShare([3, 12], [Math.PI, Math.PI]) // 2.5
 */
export const bushShare = (radiiMm: readonly number[], wrapsRad: readonly number[]): number =>
  radiiMm.reduce(
    (sum, radiusMm, index) => sum + (shaftLoadN(1, wrapsRad[index] ?? 0) * (radiiMm[0] ?? radiusMm)) / radiusMm,
    0,
  );
