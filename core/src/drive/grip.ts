import type { Idler } from './fitted';
import { grooveFriction } from './seat';

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

/** Where a drive lets go, and at what. */
export interface Grip {
  readonly motorShare: number;
  readonly drivenShare: number;
  /** The pulley that slips first: the one with the smaller share, whatever its radius. */
  readonly weaker: 'motor' | 'driven';
  /** Largest pull the belt passes from pulley to pulley. */
  readonly beltPullN: number;
  /** The same, seen as torque on the motor shaft. */
  readonly slipTorqueNmm: number;
}

/**
 * The pull and motor torque at which the belt lets go: M = 2·T·r_motor·min f.
 *
 * @param strandPullN T, pull of one strand at rest
 * @param motorRadiusMm pitch radius, to the belt's centre line
 * @param frictions effective, after the groove
 * @example slipGrip({ strandPullN: 0.385, motorRadiusMm: 3.577, … μ 0.8 both, 6/25/40 }).slipTorqueNmm // 2.18
 */
export function slipGrip(input: {
  readonly strandPullN: number;
  readonly motorRadiusMm: number;
  readonly motorFriction: number;
  readonly drivenFriction: number;
  readonly motorWrapRad: number;
  readonly drivenWrapRad: number;
  /** The least share of idlers that take power; 1 where there are none. */
  readonly idlersShare?: number;
}): Grip {
  const motorShare = gripShare(input.motorFriction, input.motorWrapRad);
  const drivenShare = gripShare(input.drivenFriction, input.drivenWrapRad);
  const beltPullN = 2 * input.strandPullN * Math.min(motorShare, drivenShare, input.idlersShare ?? 1);
  return {
    motorShare,
    drivenShare,
    weaker: drivenShare < motorShare ? 'driven' : 'motor',
    beltPullN,
    slipTorqueNmm: beltPullN * input.motorRadiusMm,
  };
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
 * The least share of 2T that the driven ones of idlers can pass; 1 where none takes power.
 *
 * @param wraps of the idlers, in their order
 * @param frictions of rubber on each of them, before the groove
 */
export const idlersGripShare = (
  others: readonly Idler[],
  wraps: readonly number[],
  frictions: readonly number[],
): number =>
  others.reduce(
    (least, { driven, groove }, index) =>
      driven ? Math.min(least, gripShare(grooveFriction(groove, frictions[index] ?? 0), wraps[index] ?? 0)) : least,
    1,
  );

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
