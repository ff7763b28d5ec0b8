import type { DriveValues } from '../../physics/evaluation';
import { forShapes, type SectionShape } from '../../base/shapes';

/**
 * Drives that could be the one on the bench, drawn once and shared by every belt that is judged: a belt that works in
 * 900 of 1,000 of them has a chance of 90 in 100. One number a sample in each list; lengths mm, forces N, torques N·mm.
 */
export interface Samples {
  readonly count: number;
  /** Inner path. */
  readonly pathMm: Float64Array;
  /** At the bottom of the groove. */
  readonly motorRadiusMm: Float64Array;
  readonly drivenRadiusMm: Float64Array;
  readonly motorFriction: Float64Array;
  readonly drivenFriction: Float64Array;
  /** A list for each idler, in their order. */
  readonly idlerFrictions: readonly Float64Array[];
  /** Of a new belt of each stock. */
  readonly modulusMpa: Readonly<Record<SectionShape, Float64Array>>;
  /** What the frictions would be on clean pulleys. */
  readonly motorFrictionClean: Float64Array;
  readonly drivenFrictionClean: Float64Array;
  readonly relaxedShare: Float64Array;
  readonly strainMax: Float64Array;
  /** Bush friction times shaft radius. */
  readonly bushMm: Float64Array;
  readonly needNmm: Float64Array;
  readonly stallNmm: Float64Array;
  /** Strand pull of the belt that the motor was read through; 0 where it was not. */
  readonly heldThroughN: Float64Array;
  /** Largest ratio, in logarithm, by which a section may differ from the old one's and still lie in its groove. */
  readonly grooveLogRatio: Float64Array;
  /** By how much a new belt is thicker than its name, and the old one than was read. */
  readonly thickerMm: Float64Array;
  readonly oldThickerMm: Float64Array;
  /** How far a belt's own length lies within its maker's limits, −1 to 1. */
  readonly lengthWithin: Float64Array;
  /** What was drawn of the quantities that a bench could still measure; NaN for a spindle, which has neither. */
  readonly trayPullN: Float64Array;
  readonly travelPerTurnMm: Float64Array;
}

/** One sample, as the scalar evaluation takes it, for a belt of a shape. */
export function valuesOf(samples: Samples, i: number, shape: SectionShape): DriveValues {
  const at = (list: Float64Array): number => list[i] as number;
  return {
    pathMm: at(samples.pathMm),
    motorRadiusMm: at(samples.motorRadiusMm),
    drivenRadiusMm: at(samples.drivenRadiusMm),
    motorFriction: at(samples.motorFriction),
    drivenFriction: at(samples.drivenFriction),
    idlerFrictions: samples.idlerFrictions.map(at),
    modulusMpa: at(samples.modulusMpa[shape]),
    relaxedShare: at(samples.relaxedShare),
    strainMax: at(samples.strainMax),
    grooveLogRatio: at(samples.grooveLogRatio),
    bushMm: at(samples.bushMm),
    needNmm: at(samples.needNmm),
    stallNmm: at(samples.stallNmm),
    heldThroughN: at(samples.heldThroughN),
    thickerMm: at(samples.thickerMm),
    oldThickerMm: at(samples.oldThickerMm),
  };
}

/**
 * Samples from drives that are known whole.
 *
 * @param modulusMpa of each, by stock, where belts of several are judged
 */
export function samplesOf(
  values: readonly DriveValues[],
  lengthWithin: readonly number[],
  modulusMpa: Readonly<Partial<Record<SectionShape, readonly number[]>>> = {},
): Samples {
  const list = (of: (one: DriveValues) => number): Float64Array => Float64Array.from(values, of);
  const idlers = values[0]?.idlerFrictions.length ?? 0;
  const unknown = new Float64Array(values.length).fill(Number.NaN);
  return {
    count: values.length,
    pathMm: list((one) => one.pathMm),
    motorRadiusMm: list((one) => one.motorRadiusMm),
    drivenRadiusMm: list((one) => one.drivenRadiusMm),
    motorFriction: list((one) => one.motorFriction),
    drivenFriction: list((one) => one.drivenFriction),
    idlerFrictions: Array.from({ length: idlers }, (_, index) => list((one) => one.idlerFrictions[index] ?? 0)),
    modulusMpa: forShapes((shape) => {
      const own = modulusMpa[shape];
      return own ? Float64Array.from(own) : list((one) => one.modulusMpa);
    }),
    motorFrictionClean: list((one) => one.motorFriction),
    drivenFrictionClean: list((one) => one.drivenFriction),
    relaxedShare: list((one) => one.relaxedShare),
    strainMax: list((one) => one.strainMax),
    bushMm: list((one) => one.bushMm),
    needNmm: list((one) => one.needNmm),
    stallNmm: list((one) => one.stallNmm),
    heldThroughN: list((one) => one.heldThroughN),
    grooveLogRatio: list((one) => one.grooveLogRatio),
    thickerMm: list((one) => one.thickerMm ?? 0),
    oldThickerMm: list((one) => one.oldThickerMm ?? 0),
    lengthWithin: Float64Array.from(lengthWithin),
    trayPullN: unknown,
    travelPerTurnMm: unknown,
  };
}
