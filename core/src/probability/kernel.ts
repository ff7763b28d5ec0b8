import { fitBelt, innerPath, type Belt } from '../drive';
import { sectionAreaMm2, type BeltSection } from '../rubber';
import type { Situation, Weakness } from '../sizing';
import type { Samples } from './samples';

/** A belt to be judged: its section, nominal inner length, and the maker's limit on that. */
export interface JudgedBelt extends Belt {
  readonly innerLengthToleranceMm: number;
  /** It has given back its first pull long ago: an old belt, not a new one. */
  readonly settled?: boolean;
  /** Its inner length in each world, where that is not one figure with a limit. */
  readonly lengthsMm?: Float64Array;
}

/** What may go wrong, one bit each: several may at once. */
export const FAILS = { grip: 1, motor: 2, stretch: 4, groove: 8, slack: 16, speed: 32 } as const satisfies Readonly<
  Record<Weakness | 'speed', number>
>;

/** Seat and growth of one section on this drive: the same for every length of it. */
interface Seat {
  /** Growth of the path on the centre line, for each mm of thickness. */
  readonly growth: number;
  /** Growth of the motor pulley's pitch radius, for each mm of thickness. */
  readonly motorGrowth: number;
  readonly drivenGrowth: number;
}

/** Laid once by the exact path, a little stretched; from there on everything is in proportion to the thickness. */
function seatOf(situation: Situation, section: BeltSection): Seat {
  const { drive } = situation;
  const onBottom = { growth: Math.PI, motorGrowth: 0.5, drivenGrowth: 0.5 };
  if (!drive) return onBottom;
  const inner = innerPath(drive);
  if (!inner.ok) return onBottom;
  const innerLengthMm = inner.value.lengthMm / 1.08 - Math.PI * section.thicknessMm * 0.08;
  const fitted = fitBelt(drive, { ...section, innerLengthMm });
  if (!fitted.ok) return onBottom;
  const { thicknessMm, motorRadiusMm, drivenRadiusMm, centreLine } = fitted.value;
  return {
    growth: (centreLine.lengthMm - inner.value.lengthMm) / thicknessMm,
    motorGrowth: (motorRadiusMm - drive.motorPulley.bottomDiameterMm / 2) / thicknessMm,
    drivenGrowth: (drivenRadiusMm - drive.drivenPulley.bottomDiameterMm / 2) / thicknessMm,
  };
}

/**
 * How every belt fares in every world: a byte of `FAILS` bits each, 0 where it works. Works means: the relaxed belt
 * carries the need with the least margin asked for, the fresh one leaves the motor enough, the stretch is within the
 * material's limit, the section lies in the groove, and the speed is in tolerance where one is asked for.
 *
 * Cost: some 20 ns for each belt and world. The drive's own geometry is laid exactly once for each section; the path's
 * growth with the thickness is taken as in proportion (exact for open drives with flat grooves; elsewhere a test bounds it).
 *
 * @returns `belts.length` rows of `samples.count` bytes
 */
export function playOutcomes(samples: Samples, situation: Situation, belts: readonly JudgedBelt[]): Uint8Array {
  const { count } = samples;
  const { limits, oldSection, speed } = situation;
  const outcomes = new Uint8Array(belts.length * count);
  const seats = new Map<string, Seat>();
  const { pathMm, motorRadiusMm, drivenRadiusMm, grip, modulusMpa, relaxedShare, stretchMost } = samples;
  const { needTorqueNmm, stallTorqueNmm, dragMm, grooveLogRatio, lengthWithin } = samples;
  // What is the same for every belt of a world is worked out once: this is the innermost loop of the product.
  const holdNew = new Float64Array(count);
  const holdSettled = new Float64Array(count);
  const slipLeastNmm = new Float64Array(count);
  const spareNmm = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    const need = needTorqueNmm[i] as number;
    holdSettled[i] = 2 * (grip[i] as number);
    holdNew[i] = 2 * (grip[i] as number) * (relaxedShare[i] as number);
    slipLeastNmm[i] = limits.gripLeast * need;
    spareNmm[i] = (stallTorqueNmm[i] as number) - limits.motorLeast * need;
  }
  for (const [index, belt] of belts.entries()) {
    const key = `${belt.shape} ${belt.thicknessMm} ${belt.widthMm ?? ''}`;
    const seat = seats.get(key) ?? seatOf(situation, belt);
    seats.set(key, seat);
    const { thicknessMm, innerLengthMm, innerLengthToleranceMm } = belt;
    const third = sectionAreaMm2(belt) / 3;
    const grooveLog = oldSection ? Math.abs(Math.log(thicknessMm / oldSection.thicknessMm)) : 0;
    const row = index * count;
    const { settled = false, lengthsMm } = belt;
    const hold = settled ? holdSettled : holdNew;
    const round = Math.PI * thicknessMm;
    const { growth, motorGrowth, drivenGrowth } = seat;
    for (let i = 0; i < count; i++) {
      const path = pathMm[i] as number;
      const innerMm = lengthsMm
        ? (lengthsMm[i] as number)
        : innerLengthMm + innerLengthToleranceMm * (lengthWithin[i] as number);
      const perMm = 1 / (innerMm + round);
      let thinMm = thicknessMm;
      let stretch = (path + growth * thinMm) * perMm;
      let outcome: number = grooveLog > (grooveLogRatio[i] as number) ? FAILS.groove : 0;
      if (stretch <= 1) {
        if ((spareNmm[i] as number) < 0) outcome |= FAILS.motor;
        outcomes[row + i] = outcome | FAILS.slack;
        continue;
      }
      // Strain and thickness depend on one another; one turn brings the strain to two in a hundred thousand.
      thinMm = thicknessMm / Math.sqrt(stretch);
      stretch = (path + growth * thinMm) * perMm;
      const pullN = (modulusMpa[i] as number) * third * (stretch - 1 / (stretch * stretch));
      const motorMm = (motorRadiusMm[i] as number) + motorGrowth * thinMm;
      if (pullN * (hold[i] as number) * motorMm < (slipLeastNmm[i] as number)) outcome |= FAILS.grip;
      if (pullN * (dragMm[i] as number) > (spareNmm[i] as number)) outcome |= FAILS.motor;
      if (stretch - 1 > (stretchMost[i] as number)) outcome |= FAILS.stretch;
      if (speed) {
        const driveMm = (drivenRadiusMm[i] as number) + drivenGrowth * thinMm;
        const rpm = (speed.motorRpm * motorMm) / driveMm;
        if (Math.abs(rpm / speed.targetRpm - 1) > speed.tolerance) outcome |= FAILS.speed;
      }
      outcomes[row + i] = outcome;
    }
  }
  return outcomes;
}
