import { bushShare, grooveFriction, gripShare } from '../drive';
import { FAILURE_BITS, seatAt, wrapsOfPath, type EvaluatedBelt, type Seat } from '../evaluation';
import { sectionAreaMm2, type BeltSection } from '../rubber';
import type { Situation } from '../sizing';
import { valuesOf, type Samples } from './samples';

/** A belt to be judged: its section, nominal inner length, and the maker's limit on that. */
export interface JudgedBelt extends EvaluatedBelt {
  readonly innerLengthToleranceMm: number;
  /** Its inner length in each sample, where that is not one figure with a limit. */
  readonly lengthsMm?: Float64Array;
}

/** Stretch at which a section's seat is taken once for all its lengths: what a belt that works is stretched by. */
const USUAL_STRETCH = 1.08;
const FLAT = { form: 'flat' } as const;

/** What every sample makes of one section, for each newton of fresh strand pull: the same for every length of it. */
interface SectionSamples {
  /** Growth of path and radii, for each mm of thickness. */
  readonly pathGrowth: number;
  readonly motorGrowth: number;
  readonly drivenGrowth: number;
  /** 2f of the pulley that slips first; times pull and motor radius it is the torque at which the belt slips. */
  readonly grip: Float64Array;
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
  const grip = new Float64Array(count);
  const dragMm = new Float64Array(count);
  const spareNmm = new Float64Array(count);
  const motorGroove = drive?.motorPulley.groove ?? FLAT;
  const drivenGroove = drive?.drivenPulley.groove ?? FLAT;
  const idlers = drive?.idlers ?? [];
  for (let i = 0; i < count; i++) {
    const wrapsRad = seat.wrapsRad ?? wrapsOfPath(valuesOf(samples, i));
    let share = Math.min(
      gripShare(grooveFriction(motorGroove, samples.motorFriction[i] as number), wrapsRad[0] ?? Math.PI),
      gripShare(grooveFriction(drivenGroove, samples.drivenFriction[i] as number), wrapsRad[1] ?? Math.PI),
    );
    idlers.forEach((one, index) => {
      if (!one.driven) return;
      const friction = samples.idlerFrictions[index]?.[i] ?? (samples.drivenFriction[i] as number);
      share = Math.min(share, gripShare(grooveFriction(one.groove, friction), wrapsRad[index + 2] ?? 0));
    });
    const radiiMm = [
      (samples.motorRadiusMm[i] as number) + seat.motorMm,
      (samples.drivenRadiusMm[i] as number) + seat.drivenMm,
      ...seat.idlerRadiiMm,
    ];
    const drag = (samples.bushMm[i] as number) * bushShare(radiiMm, wrapsRad);
    grip[i] = 2 * share;
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
  const { count, pathMm, motorRadiusMm, drivenRadiusMm, modulusMpa, relaxedShare, strainMax, needNmm } = samples;
  const { grooveLogRatio, lengthWithin } = samples;
  const { oldSection, demands } = situation;
  const { requirements, speed } = demands;
  const outcomes = new Uint8Array(belts.length * count);
  const sections = new Map<string, SectionSamples | undefined>();
  for (const [index, belt] of belts.entries()) {
    const key = `${belt.shape} ${belt.thicknessMm} ${belt.widthMm ?? ''}`;
    if (!sections.has(key)) sections.set(key, sectionSamples(samples, situation, belt));
    const section = sections.get(key);
    const row = index * count;
    if (!section) {
      outcomes.fill(FAILURE_BITS.groove, row, row + count);
      continue;
    }
    const { pathGrowth, motorGrowth, drivenGrowth, grip, dragMm, spareNmm } = section;
    const { thicknessMm, innerLengthMm, innerLengthToleranceMm, settled = false, lengthsMm } = belt;
    const third = sectionAreaMm2(belt) / 3;
    const grooveLog = oldSection ? Math.abs(Math.log(thicknessMm / oldSection.thicknessMm)) : 0;
    const round = Math.PI * thicknessMm;
    for (let i = 0; i < count; i++) {
      const path = pathMm[i] as number;
      const innerMm = lengthsMm
        ? (lengthsMm[i] as number)
        : innerLengthMm + innerLengthToleranceMm * (lengthWithin[i] as number);
      const perMm = 1 / (innerMm + round);
      let thinMm = thicknessMm;
      let stretch = (path + pathGrowth * thinMm) * perMm;
      let outcome = grooveLog > (grooveLogRatio[i] as number) ? FAILURE_BITS.groove : 0;
      if (stretch <= 1) {
        if ((spareNmm[i] as number) < 0) outcome |= FAILURE_BITS.motor;
        outcomes[row + i] = outcome | FAILURE_BITS.slack;
        continue;
      }
      // Strain and thickness depend on one another; one turn brings the strain to two in a hundred thousand.
      thinMm = thicknessMm / Math.sqrt(stretch);
      stretch = (path + pathGrowth * thinMm) * perMm;
      const pullN = (modulusMpa[i] as number) * third * (stretch - 1 / (stretch * stretch));
      const motorMm = (motorRadiusMm[i] as number) + motorGrowth * thinMm;
      const keptN = settled ? pullN : pullN * (relaxedShare[i] as number);
      if (keptN * (grip[i] as number) * motorMm < requirements.gripMin * (needNmm[i] as number)) {
        outcome |= FAILURE_BITS.grip;
      }
      if (pullN * (dragMm[i] as number) > (spareNmm[i] as number)) outcome |= FAILURE_BITS.motor;
      if (stretch - 1 > (strainMax[i] as number)) outcome |= FAILURE_BITS.stretch;
      if (speed) {
        const rpm = (speed.motorRpm * motorMm) / ((drivenRadiusMm[i] as number) + drivenGrowth * thinMm);
        if (Math.abs(rpm / speed.targetRpm - 1) > speed.tolerance) outcome |= FAILURE_BITS.speed;
      }
      outcomes[row + i] = outcome;
    }
  }
  return outcomes;
}
