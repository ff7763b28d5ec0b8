import { grooveFriction, gripShare, shaftLoadN } from '../../physics/drive';
import {
  FAILURE_BITS,
  oldSeat,
  seatAt,
  sectionLogRatio,
  wrapsOfPath,
  type EvaluatedBelt,
  type Seat,
} from '../../physics/evaluation';
import { sectionAreaMm2, type BeltSection } from '../../physics/rubber';
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

/** What every sample makes of the wraps: the same for all sections that lie alike, which on an open drive is all of them. */
interface WrapSamples {
  /** 2f of the pulley that slips first; times pull and motor radius it is the torque at which the belt slips. */
  readonly grip: Float64Array;
  /** The same once the belt has relaxed. */
  readonly gripRelaxed: Float64Array;
  /** Load on each shaft for each newton of pull: motor, driven, then the idlers. */
  readonly shaftLoads: readonly Float64Array[];
}

/** @param wrapsRad undefined where they follow from each sample's own path and pulleys */
function wrapSamples(samples: Samples, { drive }: Situation, wrapsRad: readonly number[] | undefined): WrapSamples {
  const { count, pathMm, motorRadiusMm, drivenRadiusMm } = samples;
  const { motorFriction, drivenFriction, idlerFrictions, relaxedShare } = samples;
  const grip = new Float64Array(count);
  const gripRelaxed = new Float64Array(count);
  const idlers = drive?.idlers ?? [];
  const shaftLoads = Array.from({ length: 2 + idlers.length }, (_, index) =>
    new Float64Array(count).fill(shaftLoadN(1, wrapsRad?.[index] ?? 0)),
  );
  const motorGroove = drive?.motorPulley.groove ?? FLAT;
  const drivenGroove = drive?.drivenPulley.groove ?? FLAT;
  for (let i = 0; i < count; i++) {
    const wraps =
      wrapsRad ??
      wrapsOfPath({
        pathMm: pathMm[i] as number,
        motorRadiusMm: motorRadiusMm[i] as number,
        drivenRadiusMm: drivenRadiusMm[i] as number,
      });
    if (!wrapsRad) shaftLoads.forEach((list, index) => (list[i] = shaftLoadN(1, wraps[index] ?? 0)));
    let share = Math.min(
      gripShare(grooveFriction(motorGroove, motorFriction[i] as number), wraps[0] ?? Math.PI),
      gripShare(grooveFriction(drivenGroove, drivenFriction[i] as number), wraps[1] ?? Math.PI),
    );
    for (let index = 0; index < idlers.length; index++) {
      const one = idlers[index];
      if (!one?.driven) continue;
      const friction = idlerFrictions[index]?.[i] ?? (drivenFriction[i] as number);
      share = Math.min(share, gripShare(grooveFriction(one.groove, friction), wraps[index + 2] ?? 0));
    }
    grip[i] = 2 * share;
    gripRelaxed[i] = 2 * share * (relaxedShare[i] as number);
  }
  return { grip, gripRelaxed, shaftLoads };
}

/** What every sample makes of one section, for each newton of fresh strand pull: the same for every length of it. */
interface SectionSamples extends WrapSamples {
  /** Growth of path and radii, for each mm of thickness. */
  readonly pathGrowth: number;
  readonly motorGrowth: number;
  readonly drivenGrowth: number;
  /** Torque at the motor that the bushes take for each newton of pull. */
  readonly dragMm: Float64Array;
  /** What the motor may lose to the bushes before too little is left. */
  readonly spareNmm: Float64Array;
}

/** Sections, and the wraps they share, as they are asked for. */
function sectionsOf(samples: Samples, situation: Situation): (section: BeltSection) => SectionSamples | undefined {
  const { drive, demands } = situation;
  const { motorMin } = demands.requirements;
  const { count, motorRadiusMm, drivenRadiusMm, bushMm, stallNmm, heldThroughN, needNmm } = samples;
  const wrapped = new Map<string, WrapSamples>();
  const wraps = (wrapsRad: readonly number[] | undefined): WrapSamples => {
    // A billionth of a radian is far below what any grip could tell.
    const key = wrapsRad?.map((rad) => rad.toFixed(9)).join(' ') ?? '';
    const known = wrapped.get(key) ?? wrapSamples(samples, situation, wrapsRad);
    wrapped.set(key, known);
    return known;
  };
  const work = (section: BeltSection): SectionSamples | undefined => {
    const thicknessMm = section.thicknessMm / Math.sqrt(USUAL_STRETCH);
    const seat: Seat | undefined = seatAt(drive, thicknessMm);
    if (!seat) return undefined;
    const lying = wraps(seat.wrapsRad);
    const [motorLoads, drivenLoads, ...idlerLoads] = lying.shaftLoads;
    if (!motorLoads || !drivenLoads) return undefined;
    const dragMm = new Float64Array(count);
    const spareNmm = new Float64Array(count);
    for (let i = 0; i < count; i++) {
      const motorMm = (motorRadiusMm[i] as number) + seat.motorMm;
      const drivenMm = (drivenRadiusMm[i] as number) + seat.drivenMm;
      let loads = (motorLoads[i] as number) + ((drivenLoads[i] as number) * motorMm) / drivenMm;
      for (let index = 0; index < idlerLoads.length; index++)
        loads += (((idlerLoads[index] as Float64Array)[i] as number) * motorMm) / (seat.idlerRadiiMm[index] as number);
      const drag = (bushMm[i] as number) * loads;
      dragMm[i] = drag;
      spareNmm[i] = (stallNmm[i] as number) + drag * (heldThroughN[i] as number) - motorMin * (needNmm[i] as number);
    }
    return {
      ...lying,
      pathGrowth: seat.pathMm / thicknessMm,
      motorGrowth: seat.motorMm / thicknessMm,
      drivenGrowth: seat.drivenMm / thicknessMm,
      dragMm,
      spareNmm,
    };
  };
  const sections = new Map<string, SectionSamples | undefined>();
  return (section) => {
    const key = `${section.shape} ${section.thicknessMm} ${section.widthMm ?? ''}`;
    if (!sections.has(key)) sections.set(key, work(section));
    return sections.get(key);
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
  const { count, pathMm, motorRadiusMm, drivenRadiusMm, strainMax, needNmm } = samples;
  const { grooveLogRatio, lengthWithin, thickerMm, oldThickerMm } = samples;
  const { oldSection, demands } = situation;
  const { requirements, speed } = demands;
  const { gripMin } = requirements;
  const outcomes = new Uint8Array(belts.length * count);
  const slipAtNmm = needNmm.map((need) => gripMin * need);
  const sectionOf = sectionsOf(samples, situation);
  const { motorRpm, targetRpm } = speed ?? {};
  const fixed = motorRpm !== undefined && targetRpm !== undefined ? targetRpm / motorRpm : undefined;
  const made = oldSeat(situation.drive, oldSection);
  for (const [index, belt] of belts.entries()) {
    const section = sectionOf(belt);
    const row = index * count;
    if (!section) {
      outcomes.fill(BESIDE, row, row + count);
      continue;
    }
    const { pathGrowth, motorGrowth, drivenGrowth, dragMm, spareNmm } = section;
    const { thicknessMm, innerLengthMm, innerLengthToleranceMm, settled = false, lengthsMm } = belt;
    const third = sectionAreaMm2(belt) / 3;
    const grooveLog = oldSection ? sectionLogRatio(belt, oldSection) : 0;
    const modulusMpa = samples.modulusMpa[belt.shape];
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
      if (speed && (fixed !== undefined || made)) {
        const older = 1 + (oldThickerMm[i] as number) / (oldSection?.thicknessMm ?? 1);
        const wanted =
          fixed ??
          ((motorRadiusMm[i] as number) + (made?.motorMm ?? 0) * older) /
            ((drivenRadiusMm[i] as number) + (made?.drivenMm ?? 0) * older);
        const thicker = thickerMm[i] as number;
        const ratio =
          (motorMm + motorGrowth * thicker) / ((drivenRadiusMm[i] as number) + drivenGrowth * (thinMm + thicker));
        if (Math.abs(ratio / wanted - 1) > speed.tolerance) outcome |= WRONG_SPEED;
      }
      outcomes[row + i] = outcome;
    }
  }
  return outcomes;
}
