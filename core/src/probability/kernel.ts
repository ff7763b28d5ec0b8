import { bushShare, grooveFriction, gripShare } from '../drive';
import { FAILURE_BITS, seatAt, wrapsOfPath, type EvaluatedBelt, type Seat } from '../evaluation';
import { sectionAreaMm2, type BeltSection } from '../rubber';
import type { Situation } from '../sizing';
import type { Samples } from './samples';

/** A belt to be judged: its section, nominal inner length, and the maker's limit on that. */
export interface JudgedBelt extends EvaluatedBelt {
  readonly innerLengthToleranceMm: number;
  /** Its inner length in each sample, where that is not one figure with a limit. */
  readonly lengthsMm?: Float64Array;
}

/** Stretch at which a section's seat is taken once for all its lengths: what a belt that works is stretched by. */
const USUAL_STRETCH = 1.08;
/** At hand, not looked up: they are asked for a million times. */
const { slack: SLACK, grip: SLIPS, motor: STALLS, stretch: TORN, groove: BESIDE, speed: WRONG_SPEED } = FAILURE_BITS;
const FLAT = { form: 'flat' } as const;

/** What every sample makes of one section, for each newton of fresh strand pull: the same for every length of it. */
interface SectionSamples {
  /** Growth of path and radii, for each mm of thickness. */
  readonly pathGrowth: number;
  readonly motorGrowth: number;
  readonly drivenGrowth: number;
  /** 2f of the pulley that slips first; times pull and motor radius it is the torque at which the belt slips. */
  readonly grip: Float64Array;
  /** The same once the belt has relaxed. */
  readonly gripRelaxed: Float64Array;
  /** Torque at the motor that the bushes take for each newton of pull. */
  readonly dragMm: Float64Array;
  /** What the motor may lose to the bushes before too little is left. */
  readonly spareNmm: Float64Array;
}

function sectionSamples(samples: Samples, situation: Situation, section: BeltSection): SectionSamples | undefined {
  const { drive, demands } = situation;
  const { motorMin } = demands.requirements;
  const thicknessMm = section.thicknessMm / Math.sqrt(USUAL_STRETCH);
  const seat: Seat | undefined = seatAt(drive, thicknessMm);
  if (!seat) return undefined;
  const { count } = samples;
  const { motorRadiusMm, drivenRadiusMm, motorFriction, drivenFriction, idlerFrictions, relaxedShare } = samples;
  const grip = new Float64Array(count);
  const gripRelaxed = new Float64Array(count);
  const dragMm = new Float64Array(count);
  const spareNmm = new Float64Array(count);
  const motorGroove = drive?.motorPulley.groove ?? FLAT;
  const drivenGroove = drive?.drivenPulley.groove ?? FLAT;
  const idlers = drive?.idlers ?? [];
  const radiiMm = [0, 0, ...seat.idlerRadiiMm];
  for (let i = 0; i < count; i++) {
    const motorMm = motorRadiusMm[i] as number;
    const drivenMm = drivenRadiusMm[i] as number;
    const wrapsRad =
      seat.wrapsRad ??
      wrapsOfPath({ pathMm: samples.pathMm[i] as number, motorRadiusMm: motorMm, drivenRadiusMm: drivenMm });
    let share = Math.min(
      gripShare(grooveFriction(motorGroove, motorFriction[i] as number), wrapsRad[0] ?? Math.PI),
      gripShare(grooveFriction(drivenGroove, drivenFriction[i] as number), wrapsRad[1] ?? Math.PI),
    );
    for (let index = 0; index < idlers.length; index++) {
      const one = idlers[index];
      if (!one?.driven) continue;
      const friction = idlerFrictions[index]?.[i] ?? (drivenFriction[i] as number);
      share = Math.min(share, gripShare(grooveFriction(one.groove, friction), wrapsRad[index + 2] ?? 0));
    }
    radiiMm[0] = motorMm + seat.motorMm;
    radiiMm[1] = drivenMm + seat.drivenMm;
    const drag = (samples.bushMm[i] as number) * bushShare(radiiMm, wrapsRad);
    grip[i] = 2 * share;
    gripRelaxed[i] = 2 * share * (relaxedShare[i] as number);
    dragMm[i] = drag;
    spareNmm[i] =
      (samples.stallNmm[i] as number) +
      drag * (samples.heldThroughN[i] as number) -
      motorMin * (samples.needNmm[i] as number);
  }
  return {
    pathGrowth: seat.pathMm / thicknessMm,
    motorGrowth: seat.motorMm / thicknessMm,
    drivenGrowth: seat.drivenMm / thicknessMm,
    grip,
    gripRelaxed,
    dragMm,
    spareNmm,
  };
}

/**
 * How every belt does in every sample: a byte of `FAILURE_BITS` each, 0 where it works. The same criterion as
 * `evaluateBelt`, in typed arrays: a section's seat and wraps are taken once, at a usual stretch, and the thinning is
 * carried one turn. A test holds it to the scalar on 100,000 random cases.
 *
 * Cost: some 20 ns for each belt and sample.
 *
 * @returns `belts.length` rows of `samples.count` bytes
 */
export function playOutcomes(samples: Samples, situation: Situation, belts: readonly JudgedBelt[]): Uint8Array {
  const { count, pathMm, motorRadiusMm, drivenRadiusMm, modulusMpa, strainMax, needNmm } = samples;
  const { grooveLogRatio, lengthWithin } = samples;
  const { oldSection, demands } = situation;
  const { requirements, speed } = demands;
  const { gripMin } = requirements;
  const outcomes = new Uint8Array(belts.length * count);
  const slipAtNmm = needNmm.map((need) => gripMin * need);
  const sections = new Map<string, SectionSamples | undefined>();
  for (const [index, belt] of belts.entries()) {
    const key = `${belt.shape} ${belt.thicknessMm} ${belt.widthMm ?? ''}`;
    if (!sections.has(key)) sections.set(key, sectionSamples(samples, situation, belt));
    const section = sections.get(key);
    const row = index * count;
    if (!section) {
      outcomes.fill(BESIDE, row, row + count);
      continue;
    }
    const { pathGrowth, motorGrowth, drivenGrowth, dragMm, spareNmm } = section;
    const { thicknessMm, innerLengthMm, innerLengthToleranceMm, settled = false, lengthsMm } = belt;
    const third = sectionAreaMm2(belt) / 3;
    const grooveLog = oldSection ? Math.abs(Math.log(thicknessMm / oldSection.thicknessMm)) : 0;
    const round = Math.PI * thicknessMm;
    const hold = settled ? section.grip : section.gripRelaxed;
    for (let i = 0; i < count; i++) {
      const path = pathMm[i] as number;
      const innerMm = lengthsMm
        ? (lengthsMm[i] as number)
        : innerLengthMm + innerLengthToleranceMm * (lengthWithin[i] as number);
      const perMm = 1 / (innerMm + round);
      let thinMm = thicknessMm;
      let stretch = (path + pathGrowth * thinMm) * perMm;
      let outcome = grooveLog > (grooveLogRatio[i] as number) ? BESIDE : 0;
      if (stretch <= 1) {
        if ((spareNmm[i] as number) < 0) outcome |= STALLS;
        outcomes[row + i] = outcome | SLACK;
        continue;
      }
      // Strain and thickness depend on one another; one turn brings the strain to two in a hundred thousand.
      thinMm = thicknessMm / Math.sqrt(stretch);
      stretch = (path + pathGrowth * thinMm) * perMm;
      const pullN = (modulusMpa[i] as number) * third * (stretch - 1 / (stretch * stretch));
      const motorMm = (motorRadiusMm[i] as number) + motorGrowth * thinMm;
      if (pullN * (hold[i] as number) * motorMm < (slipAtNmm[i] as number)) outcome |= SLIPS;
      if (pullN * (dragMm[i] as number) > (spareNmm[i] as number)) outcome |= STALLS;
      if (stretch - 1 > (strainMax[i] as number)) outcome |= TORN;
      if (speed) {
        const rpm = (speed.motorRpm * motorMm) / ((drivenRadiusMm[i] as number) + drivenGrowth * thinMm);
        if (Math.abs(rpm / speed.targetRpm - 1) > speed.tolerance) outcome |= WRONG_SPEED;
      }
      outcomes[row + i] = outcome;
    }
  }
  return outcomes;
}
